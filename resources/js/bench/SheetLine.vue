<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import type { AnswerLine, Candidate, Finding, Product } from '../api/types.generated'
import FindingMark from '../ui/FindingMark.vue'
import { grams as inGrams, figure } from '../ui/format'
import { pressed } from '../ui/keys'
import { inShort, told } from '../ui/levels'
import SwapPanel from '../swaps/SwapPanel.vue'
import FindingCard from './FindingCard.vue'
import type { Confirmation, Saying } from './useSheet'

/** One row of the sheet: what was written at the left, what was understood and found in the margin. */
const props = defineProps<{
    text: string
    row: number
    kind: 'line' | 'heading' | 'step'
    lines: AnswerLine[]
    findings: Finding[]
    waiting: boolean
    amountsAs: 'grams' | 'cups'
    label: string
    placeholder?: string
    products: Product[]
    boundTo: string | null
    lineNumber: number | null
}>()

const emit = defineEmits<{
    write: [text: string]
    split: [before: string, after: string]
    join: []
    go: [by: -1 | 1, column: number]
    move: [by: -1 | 1]
    paste: [before: string, lines: string[], after: string]
    confirm: [one: Saying]
    takeBack: [one: Confirmation]
    bind: [productId: string | null]
    name: [words: string, ingredient: string]
}>()

const field = ref<HTMLTextAreaElement | null>(null)
const open = ref(false)
const swapping = ref(false)
const instead = ref<string | null>(null)
const shown = computed(() => told(props.findings))
const explained = computed(() => props.lines.flatMap((line) => line.explain?.made ?? []))
const words = computed(() => props.lines.flatMap((line) => line.explain?.words ?? []))
const poison = computed(() => props.lines.flatMap((line) => line.explain?.poison ?? []))
const offers = computed(() => props.lines.flatMap((line) => line.explain?.nearest ?? []))
/** The words a person may say belong to a food: what was not understood. */
const unread = computed(() => props.lines.flatMap((line) => line.ingredient === null ? (line.explain?.words ?? []).filter((word) => word.role === 'unread').map((word) => word.text) : line.explain?.unread ?? []).join(' '))
const bindable = computed(() => props.products.length > 0 && (props.boundTo !== null || props.findings.some((one) => one.level === 'check-label')))
const canOpen = computed(() => shown.value.length > 0 || explained.value.length > 0 || words.value.length > 0)
/** The number of the line in the recipe; a row told in sentences holds several and is rescued whole. */
const swappable = computed(() => props.kind === 'line' && props.lines.length === 1 && props.lines[0]?.ingredient !== null && props.lineNumber !== null)

function swapAway(): void {
    open.value = true
    swapping.value = true
}

function look(candidate: Candidate | null): void {
    instead.value = candidate === null ? null : candidate.action === 'remove' ? 'left out' : candidate.texts.join(' and ')
}

function stopSwapping(): void {
    swapping.value = false
    instead.value = null
    field.value?.focus()
}

const ROLES = { amount: 'amount', ingredient: 'food', form: 'form', unread: 'not understood' }

function amount(line: AnswerLine): string {
    if (line.grams === null) return '? g'
    if (props.amountsAs === 'cups' && line.explain?.measure) return line.explain.measure

    return inGrams(line.grams.best)
}

function onKey(event: KeyboardEvent): void {
    const input = field.value
    if (input === null) return
    const { selectionStart: from, selectionEnd: to, value } = input
    const key = pressed(event, 'split', 'join', 'walk', 'move', 'find', 'swap')
    const up = event.key === 'ArrowUp'
    if (key === 'split') {
        event.preventDefault()
        emit('split', value.slice(0, from), value.slice(to))
    } else if (key === 'join' && from === 0 && to === 0) {
        event.preventDefault()
        emit('join')
    } else if (key === 'move') {
        event.preventDefault()
        emit('move', up ? -1 : 1)
    } else if (key === 'walk' && (up ? !value.slice(0, from).includes('\n') && onEdge(input, 'first') : onEdge(input, 'last'))) {
        event.preventDefault()
        emit('go', up ? -1 : 1, from)
    } else if (key === 'swap') {
        event.preventDefault()
        if (swappable.value) swapAway()
    } else if (key === 'find') {
        event.preventDefault()
        open.value = !open.value
    } else if (event.key === 'Escape' && open.value) {
        open.value = false
    }
}

/** In a wrapped line the arrows first walk inside it. */
function onEdge(input: HTMLTextAreaElement, edge: 'first' | 'last'): boolean {
    if (input.scrollHeight < 60) return true

    return edge === 'first' ? input.selectionStart === 0 : input.selectionEnd === input.value.length
}

function onPaste(event: ClipboardEvent): void {
    const text = event.clipboardData?.getData('text/plain') ?? ''
    if (!/[\r\n]/.test(text) || field.value === null) return
    event.preventDefault()
    const { selectionStart: from, selectionEnd: to, value } = field.value
    emit('paste', value.slice(0, from), text.replace(/\r\n?/g, '\n').replace(/\n+$/, '').split('\n'), value.slice(to))
}

function focus(column: number): void {
    void nextTick(() => {
        field.value?.focus()
        const at = Math.min(column, field.value?.value.length ?? 0)
        field.value?.setSelectionRange(at, at)
    })
}

defineExpose({ focus })
</script>

<template>
    <li class="row" :class="[`row--${kind}`, { 'row--open': open, 'row--stop': shown[0]?.finding.level === 'never' }]">
        <textarea
            ref="field" class="row__text" rows="1" :value="text" :aria-label="label" :placeholder="placeholder" spellcheck="false" autocapitalize="off"
            :aria-describedby="`margin-${kind === 'step' ? 's' : 'l'}-${row}`"
            @input="emit('write', ($event.target as HTMLTextAreaElement).value.replace(/\n/g, ' '))" @keydown="onKey" @paste="onPaste"
        />
        <div :id="`margin-${kind === 'step' ? 's' : 'l'}-${row}`" class="row__margin" :class="{ 'row__margin--waiting': waiting }">
            <button v-for="(line, index) in lines" :key="index" type="button" class="row__amount" :aria-expanded="open" :aria-label="`How ${amount(line)} and its calories were made`" @click="open = !open">
                <span class="row__grams">{{ amount(line) }}</span><span class="row__kcal">{{ line.kcal === null ? '–' : `${figure(line.kcal.best)} kcal` }}</span>
            </button>
            <button v-if="shown.length > 0" type="button" class="row__found" :aria-expanded="open" @click="open = !open">
                <span v-for="one in shown" :key="one.finding.level + one.finding.code + one.finding.message" class="chip" :class="[`chip--${one.finding.level}`, { 'chip--settled': one.finding.confirmed }]">
                    <FindingMark :level="one.finding.level" />
                    <span class="chip__word">{{ one.finding.confirmed ? 'Settled' : inShort(one.finding) }}</span>
                    <span v-if="one.dogs.length > 0" class="chip__dogs">{{ one.dogs.join(', ') }}</span>
                </span>
            </button>
        </div>
        <p v-if="swapping && instead !== null" class="row__instead"><del>{{ text.trim() }}</del> <ins>{{ instead }}</ins></p>
        <SwapPanel v-if="swapping && lineNumber !== null" class="row__swaps" :index="lineNumber" :text="text" @close="stopSwapping" @look="look" />
        <div v-if="open && canOpen && !swapping" class="row__more">
            <FindingCard v-for="one in shown" :key="one.finding.code + one.finding.message" :told="one" :line="text.trim()" @confirm="emit('confirm', $event)" @take-back="emit('takeBack', $event)" />
            <p v-if="swappable && !swapping"><v-btn variant="tonal" @click="swapping = true">Swap this line</v-btn></p>
            <p v-for="one in poison" :key="one" class="card__figure row__poison">{{ one }}</p>
            <div v-if="offers.length > 0" class="offers">
                <p>Did you mean one of these? The kitchen remembers your answer.</p>
                <button v-for="one in offers" :key="one.ingredient" type="button" class="toggle" @click="emit('name', unread === '' ? text.trim() : unread, one.ingredient)">“{{ unread === '' ? text.trim() : unread }}” is {{ one.name }} <small>{{ one.reason }}</small></button>
            </div>
            <label v-if="bindable" class="plain row__bind"><span>The product used here</span>
                <select :value="boundTo ?? ''" @change="emit('bind', ($event.target as HTMLSelectElement).value === '' ? null : ($event.target as HTMLSelectElement).value)"><option value="">none chosen</option><option v-for="one in products" :key="one.id" :value="one.id">{{ one.name }}, read {{ one.readOn }}</option></select>
            </label>
            <p v-if="words.length > 0" class="row__words"><span class="hint">Read as:</span> <span v-for="(word, index) in words" :key="index" class="word" :class="`word--${word.role}`">{{ word.text }}<small>{{ ROLES[word.role] }}</small></span></p>
            <div v-if="explained.length > 0" class="made">
                <h4>How the figures were made</h4>
                <p v-for="sentence in explained" :key="sentence">{{ sentence }}</p>
            </div>
        </div>
    </li>
</template>
