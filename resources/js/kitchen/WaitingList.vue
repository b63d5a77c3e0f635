<script setup lang="ts">
import { computed, ref } from 'vue'
import { conflictsOf, type Entry } from '../api/outbox'
import ClashPanel from '../ui/ClashPanel.vue'
import { useReturn } from '../ui/useReturn'
import { useKitchen } from './useKitchen'
import { useOutbox } from './useOutbox'

/** Whether the kitchen answers, what waits to be sent, and what it refused when nobody was looking. In sight only where there is something to see. */
const kitchen = useKitchen()
const outbox = useOutbox()
const opened = ref(false)
useReturn(opened)
const refused = computed(() => outbox.entries.filter((one) => one.state === 'refused'))
const waiting = computed(() => outbox.entries.filter((one) => one.state === 'waits'))
/** What is sent in the blink of an eye is not worth a word. */
const isShown = computed(() => refused.value.length > 0 || (outbox.state.away && kitchen.kitchen !== null))
const words = computed(() =>
    refused.value.length > 0
        ? `${refused.value.length} not taken`
        : waiting.value.length > 0
          ? `kitchen away, ${waiting.value.length} wait${waiting.value.length === 1 ? 's' : ''}`
          : 'kitchen away',
)

function does(one: Entry): string {
    return one.method === 'DELETE'
        ? `take away ${one.name}`
        : one.method === 'POST'
          ? `add ${one.name}`
          : `change ${one.name}: ${Object.keys(one.body ?? {}).join(', ')}`
}

function settle(one: Entry, takesTheirs: string[]): void {
    outbox.retry(one.key, {
        base: one.problem?.version ?? null,
        body: Object.fromEntries(Object.entries(one.body ?? {}).filter(([field]) => !takesTheirs.includes(field))),
    })
}
</script>

<template>
    <v-btn v-if="isShown" class="waiting" variant="outlined" :color="refused.length > 0 ? 'error' : undefined" @click="opened = true">{{
        words
    }}</v-btn>
    <span class="unseen" role="status">{{ isShown ? words : '' }}</span>
    <v-dialog v-model="opened" max-width="640" aria-labelledby="waiting-title">
        <div class="paper">
            <h2 id="waiting-title">On the way to the kitchen</h2>
            <p v-if="outbox.state.away">
                The kitchen does not answer. What you write and tap is kept in this browser and sent by itself, in order, when it answers again.
                Figures that were not checked say so.
            </p>
            <p v-else-if="outbox.entries.length === 0">Everything has arrived.</p>
            <ol class="waiting__list">
                <li v-for="one in outbox.entries" :key="one.key">
                    <template v-if="one.state === 'waits'">{{ does(one) }}</template>
                    <template v-else>
                        <p class="problem">Not taken: {{ does(one) }}. {{ one.problem?.message }}</p>
                        <ClashPanel
                            v-if="conflictsOf(one.problem).length > 0"
                            :fields="conflictsOf(one.problem)"
                            :of="one.name"
                            @settle="settle(one, $event)"
                        />
                        <p class="paper__ends">
                            <v-btn @click="outbox.drop(one.key)">Let it go</v-btn
                            ><v-btn variant="outlined" @click="outbox.retry(one.key)">Send it again</v-btn>
                        </p>
                    </template>
                </li>
            </ol>
            <p class="paper__ends">
                <v-btn v-if="waiting.length > 0" variant="outlined" @click="outbox.work()">Try now</v-btn
                ><v-btn variant="tonal" @click="opened = false">Close</v-btn>
            </p>
        </div>
    </v-dialog>
</template>
