<script setup lang="ts">
import { computed } from 'vue'
import type { BatchEntry } from '../api/types.generated'
import { figure, grams } from '../ui/format'
import { hourOf } from './clockwork'
import type { BatchOnPage } from './useBatch'

/** What was done, by whom and when; a slip is taken back by saying so, and stays in the log as one. */
const props = defineProps<{ page: BatchOnPage; timezone: string | undefined }>()

const standing = computed(() => new Set(props.page.state.value.standing.map((one) => one.id)))
const all = computed(() => props.page.entries.value.toSorted((one, two) => (one.at < two.at ? 1 : -1)))
const steps = computed(() => new Map((props.page.batch.value?.plan.steps ?? []).map((one) => [one.id, one.text])))

function words({ kind, said = {} }: BatchEntry): string {
    const step = steps.value.get(said.step ?? '') ?? said.name ?? ''
    const lot = said.lot === undefined ? '' : `, ${said.lot}`
    switch (kind) {
        case 'begun':
            return `Begun: ${step}`
        case 'done':
            return `Done: ${step}`
        case 'skipped':
            return `Left out: ${step}`
        case 'timer':
            return `A timer of ${figure((said.seconds ?? 0) / 60)} min: ${said.name ?? ''}`
        case 'more':
            return `${figure((said.seconds ?? 0) / 60)} min more`
        case 'stopped':
            return 'A timer was stopped'
        case 'made':
            return said.says ?? 'Something went in otherwise'
        case 'felt':
            return `It feels: ${said.feel ?? ''}`
        case 'tasted':
            return `${said.name ?? ''}: ${said.what ?? ''}, ${said.took === true ? 'took it' : 'would not'}`
        case 'core':
            return `Core: ${figure(said.celsius ?? 0)} °C${lot}`
        case 'count':
            return `${said.pieces ?? 0} pieces${lot}`
        case 'weight':
            return `${grams(said.grams ?? 0)}${lot}`
        case 'waste':
            return `Wasted: ${said.pieces !== undefined ? `${said.pieces} pieces` : grams(said.grams ?? 0)}, ${said.why ?? ''}${lot}`
        case 'note':
            return said.text ?? ''
        case 'photo':
            return 'A photograph'
        case 'bag':
            return `${said.pieces ?? 0} in the ${said.place ?? ''}${lot}`
        case 'finished':
            return 'Finished'
        case 'given-up':
            return `Given up${said.why === undefined || said.why === '' ? '' : `: ${said.why}`}`
        case 'undone':
            return 'That was a slip'
        default:
            return kind
    }
}
</script>

<template>
    <section class="log" aria-label="The log">
        <h2>What was done</h2>
        <p v-if="all.length === 0" class="hint">Nothing yet.</p>
        <ol>
            <li v-for="one in all" :key="one.id" :class="{ 'log--gone': !standing.has(one.id) && one.kind !== 'undone' }">
                <small>{{ hourOf(one.at, timezone) }} {{ one.by }}</small>
                <span
                    ><s v-if="!standing.has(one.id) && one.kind !== 'undone'">{{ words(one) }}</s
                    ><template v-else>{{ words(one) }}</template
                    ><em v-if="one.corrects && one.kind !== 'undone'"> (corrected)</em></span
                >
                <v-btn
                    v-if="standing.has(one.id)"
                    size="small"
                    variant="outlined"
                    :aria-label="`A slip: ${words(one)}`"
                    @click="page.tell('undone', {}, one.id)"
                    >A slip</v-btn
                >
            </li>
        </ol>
    </section>
</template>
