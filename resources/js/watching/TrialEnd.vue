<script setup lang="ts">
import { ref } from 'vue'
import type { Trial } from '../api/types.generated'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'

/** What a trial came to: one tap where it went well, a word of what was seen where it did not. */
const props = defineProps<{ trial: Trial; name: string; today: string }>()
const emit = defineEmits<{ took: []; refused: [words: string] }>()
const kitchen = useKitchen()
const badly = ref(false)
const saw = ref('')
const busy = ref(false)

async function end(outcome: 'well' | 'badly' | 'open'): Promise<void> {
    busy.value = true
    try {
        await kitchen.all.trials.keep(props.trial.id, {
            outcome,
            endedOn: props.today,
            ...(outcome === 'badly' ? { saw: saw.value.trim() } : {}),
        })
        emit('took')
    } catch (error) {
        emit('refused', wordsOf(error))
    }
    busy.value = false
}
</script>

<template>
    <div class="trial-end" role="group" :aria-label="`How it went with ${name}`">
        <template v-if="!badly">
            <v-btn :variant="trial.isDue ? 'flat' : 'outlined'" :color="trial.isDue ? 'primary' : undefined" :disabled="busy" @click="end('well')"
                >It went well</v-btn
            >
            <v-btn variant="outlined" :disabled="busy" @click="badly = true">It went badly</v-btn>
            <v-btn variant="text" :disabled="busy" @click="end('open')">Break it off</v-btn>
        </template>
        <form v-else class="trial-end__saw" @submit.prevent="saw.trim() !== '' && end('badly')">
            <v-text-field v-model="saw" label="What was seen" placeholder="it itched on the third day" maxlength="200" autocomplete="off" autofocus />
            <v-btn type="submit" variant="flat" color="error" :disabled="busy || saw.trim() === ''">It did not bear it</v-btn>
            <v-btn variant="text" @click="badly = false">Leave it</v-btn>
        </form>
    </div>
</template>
