<script setup lang="ts">
import { copyLineDown } from '@codemirror/commands'
import { mdiArrowDown, mdiArrowUp } from '@mdi/js'
import { computed } from 'vue'
import { boundaryOf } from './paper/document'
import { openField, shownField } from './paper/fields'
import { moveRow } from './paper/margin'
import { useSheet } from './useSheet'

/** What a hand does with one row, for whoever has no keys: move it, also to another part, write it twice, swap it, take it out. */
const props = defineProps<{ at: number; words: string; canSwap: boolean }>()
const emit = defineEmits<{ swap: []; leaveOut: []; close: [] }>()
const { paper } = useSheet()

const parts = computed(() =>
    paper.state
        .field(shownField)
        .heads.filter((head) => head.onHeading)
        .map((head) => ({ name: head.part.section ?? '', at: head.at })),
)

function move(by: 1 | -1): void {
    const view = paper.shownIn
    if (view === null) return
    const line = view.state.doc.lineAt(view.state.field(openField)?.at ?? props.at)
    const next = line.number + by
    if (next < 1 || next > view.state.doc.lines) return
    const other = view.state.doc.line(next)
    moveRow(view, line.number, by === -1 ? other.from : other.to + 1)
}

/** To the end of a part: before the heading of the next, or the end of the list. */
function moveTo(at: string): void {
    const view = paper.shownIn
    const head = parts.value.find((one) => String(one.at) === at)
    if (view === null || head === undefined) return
    const line = view.state.doc.lineAt(view.state.field(openField)?.at ?? props.at)
    moveRow(view, line.number, endOf(head.at))
    emit('close')
}

/** Behind the last written row of the part that begins here. */
function endOf(at: number): number {
    const { doc } = paper.state
    const next =
        [...parts.value.map((one) => one.at), boundaryOf(paper.document)?.from ?? doc.length + 1]
            .filter((one) => one > at)
            .sort((one, two) => one - two)[0] ?? doc.length + 1
    let last = doc.lineAt(Math.min(doc.length, next - 1))
    while (last.text.trim() === '' && last.from > at) last = doc.lineAt(last.from - 1)

    return last.to + 1
}

function double(): void {
    const view = paper.shownIn
    if (view === null) return
    const line = view.state.doc.lineAt(view.state.field(openField)?.at ?? props.at)
    view.dispatch({ selection: { anchor: line.to } })
    copyLineDown(view)
    emit('close')
}
</script>

<template>
    <div class="line-tools" role="group" :aria-label="`Do with “${words}”`">
        <v-btn v-if="canSwap" variant="tonal" @click="emit('swap')">Swap this line</v-btn>
        <v-btn variant="outlined" aria-label="Move up" @click="move(-1)"><v-icon :icon="mdiArrowUp" /></v-btn>
        <v-btn variant="outlined" aria-label="Move down" @click="move(1)"><v-icon :icon="mdiArrowDown" /></v-btn>
        <v-select
            v-if="parts.length > 1"
            class="line-tools__part"
            label="Move to"
            placeholder="another part …"
            :model-value="null"
            :items="parts.map((one) => ({ id: String(one.at), name: one.name }))"
            @update:model-value="moveTo($event ?? '')"
        />
        <v-btn variant="outlined" @click="double">Write it twice</v-btn>
        <v-btn variant="outlined" @click="emit('leaveOut')">Take it out</v-btn>
        <v-btn variant="outlined" class="line-tools__close" @click="emit('close')">Close</v-btn>
    </div>
</template>
