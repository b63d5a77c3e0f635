<script setup lang="ts">
import { computed, watch } from 'vue'
import type { Candidate } from '../api/types.generated'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import SwapPanel from '../swaps/SwapPanel.vue'
import DidYouMean from './DidYouMean.vue'
import FindingCard from './FindingCard.vue'
import LineTools from './LineTools.vue'
import type { RowReading, UnsureNumber } from './paper/reading'
import { writtenDate } from '../ui/dates'
import { useSheet } from './useSheet'

/** What stands behind one row: what was found and why, what instead, how it was read, how its figures were made, and what can be done with it. */
const props = defineProps<{ rows: RowReading[]; words: string; at: number }>()
const swapping = defineModel<boolean>('swapping', { required: true })
const emit = defineEmits<{ close: []; propose: [after: { text: string; steps: string } | null] }>()
const kitchen = useKitchen()
const { sheet, paper, confirm, takeBack, bind, trouble } = useSheet()

const found = computed(() => props.rows.flatMap((row) => row.told))
const lines = computed(() => props.rows.flatMap((row) => row.lines))
const made = computed(() => lines.value.flatMap((line) => line.explain?.made ?? []))
const read = computed(() => lines.value.flatMap((line) => line.explain?.words ?? []))
const poison = computed(() => lines.value.flatMap((line) => line.explain?.poison ?? []))
const unsure = computed(() => props.rows.flatMap((row) => row.unsure))
const doubts = computed(() => props.rows.flatMap((row) => row.doubts))
const plain = computed(() => props.words.trim())

/** What was not understood of a line, with what it may be meant to be. */
const unread = computed(() =>
    lines.value
        .filter((line) => line.ingredient === null || (line.explain?.unread.length ?? 0) > 0)
        .map((line) => ({
            line: line.text,
            words:
                line.ingredient === null
                    ? (line.explain?.words ?? [])
                          .filter((word) => word.role === 'unread')
                          .map((word) => word.text)
                          .join(' ')
                    : (line.explain?.unread ?? []).join(' '),
            offers: line.explain?.nearest ?? [],
        })),
)

/** Every jar of the kitchen, with when its list was read. */
const jars = computed(() => [
    { id: '', name: 'none chosen' },
    ...kitchen.products.map((one) => ({
        id: one.id,
        name: one.readOn === null ? one.name : `${one.name}, read ${writtenDate(one.readOn, kitchen.kitchen?.datesAs ?? 'dmy')}`,
    })),
])
const boundTo = computed(() => sheet.value.bound.find((one) => one.line === plain.value)?.productId ?? null)
const bindable = computed(
    () => kitchen.products.length > 0 && (boundTo.value !== null || found.value.some((one) => one.finding.level === 'check-label')),
)
/** The number of the line in the recipe; a row told in sentences holds several and is rescued whole. */
const number = computed(() => {
    const [row] = props.rows

    return props.rows.length === 1 && row !== undefined && row.lines.length === 1 && row.lines[0]?.ingredient !== null
        ? (row.numbers[0] ?? null)
        : null
})

const ROLES = { amount: 'amount', ingredient: 'food', form: 'form', unread: 'not understood' }

function look(candidate: Candidate | null): void {
    emit('propose', candidate === null ? null : { text: candidate.recipeText, steps: candidate.steps })
}

// what was worked out for other words must not be taken over these
watch([() => sheet.value.text, () => sheet.value.steps], () => {
    if (swapping.value) stopSwapping()
})

function stopSwapping(): void {
    swapping.value = false
    emit('propose', null)
    paper.shownIn?.focus()
}

function choose(one: UnsureNumber, meant: string): void {
    const line = paper.state.doc.lineAt(props.at)
    const at = line.text.startsWith(one.written, one.from) ? one.from : line.text.indexOf(one.written)
    if (at !== -1) paper.replace(line.from + at, line.from + at + one.written.length, meant)
}

async function remember(words: string, ingredient: string): Promise<void> {
    try {
        await kitchen.all.names.keep(null, { words, ingredient })
        emit('close')
    } catch (error) {
        trouble.value = wordsOf(error)
    }
}

function leaveOut(): void {
    const { doc } = paper.state
    const line = doc.lineAt(props.at)
    paper.dispatch({ changes: { from: line.from, to: Math.min(doc.length, line.to + 1) }, userEvent: 'take.out' })
    emit('close')
}

function onKey(event: KeyboardEvent): void {
    if (event.key !== 'Escape' || event.defaultPrevented) return
    event.preventDefault()
    event.stopPropagation()
    emit('close')
}
</script>

<template>
    <section class="row__more" :aria-label="`Behind “${plain}”`" @keydown="onKey">
        <SwapPanel v-if="swapping && number !== null" :index="number" :text="plain" @close="stopSwapping" @look="look" />
        <template v-else>
            <FindingCard
                v-for="one in found"
                :key="one.line + one.finding.code + one.finding.message"
                :told="one"
                :line="one.line"
                :row="plain"
                @confirm="confirm"
                @take-back="takeBack"
            />
            <div v-for="one in unsure" :key="one.from" class="asked">
                <p>{{ one.question }}</p>
                <p class="offers">
                    <v-btn v-for="(meant, which) in one.instead" :key="meant" variant="outlined" @click="choose(one, meant)"
                        >{{ meant }}<small v-if="which === 0"> as it is read now</small></v-btn
                    >
                </p>
            </div>
            <p v-for="one in doubts" :key="one.question" class="asked">{{ one.question }}</p>
            <DidYouMean
                v-for="one in unread"
                :key="one.line"
                :words="one.words === '' ? one.line : one.words"
                :offers="one.offers"
                @name="remember"
                @leave-out="leaveOut"
            />
            <p v-for="one in poison" :key="one" class="card__figure row__poison">{{ one }}</p>
            <v-select
                v-if="bindable"
                class="row__bind"
                label="The product used here"
                :model-value="boundTo ?? ''"
                :items="jars"
                @update:model-value="bind(plain, $event === '' ? null : $event)"
            />
            <div v-if="made.length > 0" class="made">
                <h3>How the figures were made</h3>
                <p v-for="(sentence, which) in made" :key="which">{{ sentence }}</p>
            </div>
            <p v-if="read.length > 0" class="row__words">
                <span class="hint">Read as:</span>
                <span v-for="(word, which) in read" :key="which" class="word" :class="`word--${word.role}`"
                    >{{ word.text }}<small>{{ ROLES[word.role] }}</small></span
                >
            </p>
            <LineTools :at="at" :words="plain" :can-swap="number !== null" @swap="swapping = true" @leave-out="leaveOut" @close="emit('close')" />
        </template>
    </section>
</template>
