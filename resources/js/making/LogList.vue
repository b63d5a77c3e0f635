<script setup lang="ts">
import { computed } from 'vue'
import { hourOf } from './clockwork'
import type { BatchOnPage } from './useBatch'
import { wordsOfEntry } from './words'

/** What was done, by whom and when; a slip is taken back by saying so, and stays in the log as one. */
const props = defineProps<{ page: BatchOnPage; timezone: string | undefined }>()

const standing = computed(() => new Set(props.page.state.value.standing.map((one) => one.id)))
const all = computed(() => props.page.entries.value.toSorted((one, two) => (one.at < two.at ? 1 : -1)))
const steps = computed(() => new Map((props.page.batch.value?.plan.steps ?? []).map((one) => [one.id, one.text])))
</script>

<template>
    <section class="log" aria-label="The log">
        <h2>What was done</h2>
        <p v-if="all.length === 0" class="hint">Nothing yet.</p>
        <ol>
            <li v-for="one in all" :key="one.id" :class="{ 'log--gone': !standing.has(one.id) && one.kind !== 'undone' }">
                <small>{{ hourOf(one.at, timezone) }} {{ one.by }}</small>
                <span
                    ><s v-if="!standing.has(one.id) && one.kind !== 'undone'">{{ wordsOfEntry(one, steps) }}</s
                    ><template v-else>{{ wordsOfEntry(one, steps) }}</template
                    ><em v-if="one.corrects && one.kind !== 'undone'"> (corrected)</em></span
                >
                <v-btn
                    v-if="standing.has(one.id)"
                    size="small"
                    variant="outlined"
                    :aria-label="`A slip: ${wordsOfEntry(one, steps)}`"
                    @click="page.tell('undone', {}, one.id)"
                    >A slip</v-btn
                >
            </li>
        </ol>
    </section>
</template>
