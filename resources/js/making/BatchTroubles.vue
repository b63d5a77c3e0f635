<script setup lang="ts">
import { computed } from 'vue'
import type { BatchEntry } from '../api/types.generated'
import { useOutbox } from '../kitchen/useOutbox'
import FindingMark from '../ui/FindingMark.vue'
import type { BatchOnPage } from './useBatch'
import { wordsOfEntry } from './words'

/** What could not be written down, now or while the kitchen was away; and what stops the batch. */
const props = defineProps<{ page: BatchOnPage }>()
const outbox = useOutbox()
const { batch, figures, refused, refusedSince } = props.page
const steps = computed(() => new Map((batch.value?.plan.steps ?? []).map((one) => [one.id, one.text])))

/** Poison, whoever wrote it; and what was added that a dog at the table may not have. */
const stops = computed(() => {
    const given = figures.value
    if (given === null || batch.value === null) return []
    const was = batch.value.answer
    const before = new Set(
        [...was.lines, ...was.steps].flatMap((one) => one.findings.map((finding) => `${finding.level} ${finding.code} ${finding.dog ?? ''}`)),
    )

    return given.lines
        .flatMap((line) => line.findings.map((finding) => ({ line, finding })))
        .filter(
            ({ finding }) =>
                ['never', 'unknown', 'allergen', 'ask-vet', 'check-label'].includes(finding.level) &&
                finding.confirmed !== true &&
                (finding.level === 'never' || !before.has(`${finding.level} ${finding.code} ${finding.dog ?? ''}`)),
        )
})
</script>

<template>
    <p v-if="refused !== null" class="trouble" role="alert">{{ refused }} <v-btn variant="outlined" @click="refused = null">I see</v-btn></p>
    <p v-for="one in refusedSince" :key="one.key" class="trouble" role="alert">
        Not written down: {{ wordsOfEntry(one.body as unknown as BatchEntry, steps) }} {{ one.problem?.message }}
        <v-btn variant="outlined" @click="outbox.drop(one.key)">I see</v-btn>
    </p>
    <section v-if="stops.length > 0" class="oven__stop" role="alert" aria-label="This stops the batch">
        <p v-for="{ line, finding } in stops" :key="`${line.text} ${finding.code} ${finding.dog}`">
            <FindingMark :level="finding.level" /> <strong>{{ finding.dog ?? 'Every dog' }}: {{ line.text }}.</strong> {{ finding.message }}
            {{ finding.advice }}
        </p>
    </section>
</template>
