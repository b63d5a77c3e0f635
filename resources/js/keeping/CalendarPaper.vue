<script setup lang="ts">
import { ref, watch } from 'vue'
import { api } from '../api/client'
import { wordsOf } from '../kitchen/useKitchen'

/** The kitchen's days for another calendar: a file to save, and a private address to subscribe to. */
const open = defineModel<boolean>({ required: true })
const address = ref<string | null>(null)
const problem = ref<string | null>(null)

async function ask(work: () => Promise<{ address: string | null }>): Promise<void> {
    problem.value = null
    try {
        address.value = (await work()).address
    } catch (error) {
        problem.value = wordsOf(error)
    }
}
watch(open, (is) => {
    if (is) void ask(() => api.calendarAddress())
})
</script>

<template>
    <v-dialog v-model="open" max-width="620" aria-labelledby="calendar-title">
        <div class="paper">
            <h2 id="calendar-title">The days of this kitchen in your calendar</h2>
            <p>Best before of every bag, what to thaw when, bakes that are planned, whom to weigh, what is tried, and when a vet's word runs out.</p>
            <p><a class="link-button" href="/api/calendar" download="mild-bowl.ics">Save it as a file</a></p>
            <template v-if="address !== null">
                <v-text-field :model-value="address" label="Address to subscribe to" readonly @focus="($event.target as HTMLInputElement).select()" />
                <p class="hint">
                    Whoever knows this address can read the calendar, and nothing else. It works on this machine. A new one makes the old one useless.
                </p>
            </template>
            <p v-else class="hint">An address that a calendar can subscribe to is made when you ask for it.</p>
            <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
            <p class="paper__ends">
                <v-btn variant="outlined" @click="ask(() => api.renewCalendar())">{{
                    address === null ? 'Make an address' : 'Make a new address'
                }}</v-btn><v-btn variant="tonal" @click="open = false">Close</v-btn>
            </p>
        </div>
    </v-dialog>
</template>
