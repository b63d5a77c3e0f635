<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue'
import { blockOpened, amountsAs as shownAs, openField, proposed, rowsAt, shownField, type Opened, type PartHead } from './paper/fields'
import { joined } from './paper/document'
import type { RowReading } from './paper/reading'
import { useSheet } from './useSheet'
import { later } from '../ui/later'

/** The sheet of paper: one document to write on. What stands in its margin and under its rows is put there by the answer. */
const props = defineProps<{ amountsAs: 'grams' | 'cups' }>()
const { paper, hooks, id } = useSheet()
const FindBar = later(() => import('./FindBar.vue'))
// the words first: what opens behind a row comes once they stand
const LineBlock = later(() => import('./LineBlock.vue'))
const PartHeadStrip = later(() => import('./PartHeadStrip.vue'))

const ground = ref<HTMLElement | null>(null)
const opened = shallowRef<Opened | null>(null)
const rows = shallowRef<RowReading[]>([])
const words = ref('')
const heads = shallowRef<PartHead[]>([])
const swapping = ref(false)
const finding = ref(false)

const NONE: RowReading[] = []
/** What is wanted next is fetched while nothing is asked for. */
const AHEAD_MS = 1_500

function look(): void {
    const open = paper.state.field(openField)
    if (open?.host !== opened.value?.host) swapping.value = false
    opened.value = open
    rows.value = open === null ? NONE : rowsAt(paper.state, Math.min(open.at, paper.state.doc.length))
    words.value = open === null ? '' : paper.state.doc.lineAt(Math.min(open.at, paper.state.doc.length)).text
    const shown = paper.state.field(shownField).heads
    if (shown !== heads.value) heads.value = shown
}
onBeforeUnmount(paper.follow(look))

onMounted(() => {
    if (ground.value !== null) paper.show(ground.value)
    look()
    setTimeout(() => {
        void import('./LineBlock.vue').catch(() => undefined)
    }, AHEAD_MS)
})
onBeforeUnmount(() => {
    paper.leave()
})

watch(
    [() => props.amountsAs, id],
    () => {
        paper.dispatch({ effects: shownAs.of(props.amountsAs) })
    },
    { immediate: true },
)

hooks.swap = (at) => {
    paper.dispatch({ effects: blockOpened.of(at) })
    look()
    swapping.value = true
}
hooks.find = () => {
    finding.value = true
}
hooks.leave = () => {
    const was = finding.value
    finding.value = false

    return was
}

function close(): void {
    paper.dispatch({ effects: [blockOpened.of(null), proposed.of(null)] })
    paper.shownIn?.focus()
}

function propose(after: { text: string; steps: string } | null): void {
    paper.dispatch({ effects: proposed.of(after === null ? null : joined(after)) })
}

function stopFinding(): void {
    finding.value = false
    paper.shownIn?.focus()
}
</script>

<template>
    <div class="paper-sheet">
        <FindBar v-if="finding" @close="stopFinding" />
        <div ref="ground" class="paper-sheet__ground" />
        <Teleport v-if="opened !== null" :to="opened.host">
            <LineBlock v-model:swapping="swapping" :rows="rows" :words="words" :at="opened.at" @close="close" @propose="propose" />
        </Teleport>
        <Teleport v-for="head in heads" :key="head.part.section ?? ''" :to="head.host">
            <PartHeadStrip :part="head.part" :alone="heads.length === 1" :on-heading="head.onHeading" />
        </Teleport>
    </div>
</template>
