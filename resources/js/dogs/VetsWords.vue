<script setup lang="ts">
import { ref } from 'vue'
import type { Dog } from '../api/types.generated'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { useVetsWords } from './useVetsWords'

/** What vets said of this dog: by whom it was told, of which rule, until when it holds; each can be taken back. */
const props = defineProps<{ dog: Dog }>()
const kitchen = useKitchen()
const { of, state, written } = useVetsWords()
const problem = ref<string | null>(null)

async function takeBack(id: string): Promise<void> {
    try {
        await kitchen.all.words.remove(id)
        problem.value = null
    } catch (error) {
        problem.value = wordsOf(error)
    }
}
</script>

<template>
    <section class="vets-words" :aria-label="`What vets said of ${props.dog.name}`">
        <h2>What the vet said</h2>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <p v-if="of(dog).length === 0" class="hint">
            Nothing yet. Where a rule asks for the vet, say on the bench that the vet agrees: it holds for {{ dog.name }} on every sheet, for a year.
        </p>
        <ul>
            <li v-for="word in of(dog)" :key="word.id" :class="{ 'vets-words__over': !state(word, dog).holds }">
                <strong>{{ word.code.replaceAll('-', ' ') }}</strong> <span class="vets-words__state">{{ state(word, dog).says }}</span>
                <p>
                    <q>{{ word.words }}</q>
                </p>
                <p class="hint">{{ word.saidAt === '' ? 'waits for the kitchen' : `${word.saidBy}, ${written(word.saidAt.slice(0, 10))}` }}</p>
                <v-btn
                    size="small"
                    variant="outlined"
                    :aria-label="`Take back what the vet said of ${word.code.replaceAll('-', ' ')}`"
                    @click="takeBack(word.id)"
                    >Take that back</v-btn
                >
            </li>
        </ul>
    </section>
</template>
