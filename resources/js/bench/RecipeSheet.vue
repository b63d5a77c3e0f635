<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import type { AnswerLine, FormulateAnswer, Product } from '../api/types.generated'
import { rowsThen } from './rows'
import { pressed } from '../ui/keys'
import SheetLine from './SheetLine.vue'
import type { Binding, Confirmation, Saying } from './useSheet'

/** A text edited row by row, as on paper: the list of foods, or the method. */
const props = defineProps<{
    answer: FormulateAnswer | null
    /** the text that the answer is about */
    answered: string
    part: 'list' | 'method'
    amountsAs: 'grams' | 'cups'
    label: string
    placeholder: string
    products?: Product[]
    bound?: Binding[]
}>()
const text = defineModel<string>({ required: true })
const emit = defineEmits<{ confirm: [one: Saying], takeBack: [one: Confirmation], bind: [line: string, productId: string | null], name: [words: string, ingredient: string] }>()

const rows = computed(() => text.value.split('\n'))
const fields = ref<InstanceType<typeof SheetLine>[]>([])
const undone: string[] = []

/** The rows as they were when the answer that is shown was asked for. */
const wereRows = computed(() => rowsThen(rows.value, props.answered.split('\n')))

/** Whether something of the answer stands on a row of this text. */
function stands(row: number | null): (one: { row: number, in: 'text' | 'steps' }) => boolean {
    return (one) => one.row === row && one.in === (props.part === 'list' ? 'text' : 'steps')
}

const ofRow = computed(() => rows.value.map((row, index) => {
    const plain = row.trim()
    const then = wereRows.value[index] ?? null
    const lines = (props.answer?.lines ?? []).filter(stands(then))
    const steps = (props.answer?.steps ?? []).filter(stands(then))
    const isHeading = props.part === 'list' && plain !== '' && lines.length === 0 && steps.length === 0 && (plain.endsWith(':') || /^for the\b/i.test(plain))
    const kind: 'line' | 'heading' | 'step' = props.part === 'method' || (lines.length === 0 && steps.length > 0) ? 'step' : isHeading ? 'heading' : 'line'

    return { lines, kind, findings: [...lines.flatMap((line) => line.findings), ...steps.flatMap((step) => step.findings)] }
}))

function numberOf(line: AnswerLine | undefined): number | null {
    const number = line === undefined ? -1 : (props.answer?.lines ?? []).indexOf(line)

    return number === -1 ? null : number
}

function remember(): void {
    if (undone[undone.length - 1] !== text.value) undone.push(text.value)
    if (undone.length > 200) undone.shift()
}

function set(next: string[]): void {
    remember()
    text.value = next.join('\n')
}

function focus(row: number, column: number): void {
    void nextTick(() => fields.value.find((field) => field.$props.row === row)?.focus(column))
}

function write(row: number, value: string): void {
    set(rows.value.map((old, index) => index === row ? value : old))
}

function split(row: number, before: string, after: string): void {
    set(rows.value.flatMap((old, index) => index === row ? [before, after] : [old]))
    focus(row + 1, 0)
}

function join(row: number): void {
    const above = rows.value[row - 1]
    const own = rows.value[row]
    if (above === undefined || own === undefined) return
    set(rows.value.flatMap((old, index) => index === row ? [] : index === row - 1 ? [above + own] : [old]))
    focus(row - 1, above.length)
}

function go(row: number, by: -1 | 1, column: number): void {
    if (rows.value[row + by] !== undefined) focus(row + by, column)
}

function move(row: number, by: -1 | 1): void {
    const own = rows.value[row]
    const other = rows.value[row + by]
    if (own === undefined || other === undefined) return
    set(rows.value.map((old, index) => index === row ? other : index === row + by ? own : old))
    focus(row + by, own.length)
}

function paste(row: number, before: string, lines: string[], after: string): void {
    const put = lines.map((line, index) => (index === 0 ? before : '') + line + (index === lines.length - 1 ? after : ''))
    set(rows.value.flatMap((old, index) => index === row ? put : [old]))
    focus(row + put.length - 1, (put[put.length - 1] ?? '').length - after.length)
}

function undo(event: KeyboardEvent): void {
    if (pressed(event, 'undo') === null) return
    const last = undone.pop()
    if (last === undefined) return
    event.preventDefault()
    text.value = last
}
</script>

<template>
    <ol class="rows" :aria-label="label" @keydown="undo">
        <SheetLine
            v-for="(row, index) in rows" :key="index" ref="fields" :text="row" :row="index" :kind="ofRow[index]?.kind ?? 'line'" :lines="ofRow[index]?.lines ?? []"
            :findings="ofRow[index]?.findings ?? []" :waiting="false" :amounts-as="amountsAs" :label="`${label}, line ${index + 1}`" :placeholder="index === 0 && rows.length === 1 ? placeholder : undefined"
            @write="write(index, $event)" @split="(before, after) => split(index, before, after)" @join="join(index)" @go="(by, column) => go(index, by, column)"
            @move="move(index, $event)" @paste="(before, lines, after) => paste(index, before, lines, after)" @confirm="emit('confirm', $event)" @take-back="emit('takeBack', $event)" @bind="emit('bind', row.trim(), $event)" @name="(words, ingredient) => emit('name', words, ingredient)"
            :line-number="part === 'list' && ofRow[index]?.lines.length === 1 ? numberOf(ofRow[index]?.lines[0]) : null" :products="products ?? []" :bound-to="bound?.find((one) => one.line === row.trim())?.productId ?? null"
        />
    </ol>
</template>
