<script setup lang="ts">
import { computed } from 'vue'
import { useKitchen } from '../kitchen/useKitchen'
import { useQuestion } from './useQuestion'
import { useSheet } from './useSheet'

/** A kitchen with no dog in it yet: the three things that make the first answer. */
const emit = defineEmits<{ bring: [] }>()
const kitchen = useKitchen()
const { sheet } = useSheet()
const { answer } = useQuestion()

const steps = computed(() => [
    {
        id: 'dog',
        does: 'Say who eats it',
        how: 'A name, a weight and an age are enough; the rest is asked when it matters.',
        done: kitchen.dogs.length > 0,
    },
    {
        id: 'recipe',
        does: 'Write or paste a recipe',
        how: 'A food on each line of the sheet, as one would tell it. A page, a file or a talk comes in by “Bring in”.',
        done: sheet.value.text.trim() !== '',
    },
    {
        id: 'answer',
        does: 'Read what comes back',
        how: 'What it may not eat, how many pieces a day, and why.',
        done: kitchen.dogs.length > 0 && answer.value !== null && answer.value.lines.length > 0,
    },
])
</script>

<template>
    <section class="begin" aria-labelledby="begin-title">
        <h2 id="begin-title">A kitchen begins with a dog</h2>
        <ol>
            <li v-for="(step, n) in steps" :key="step.id" :class="{ begin__done: step.done }">
                <span class="begin__mark" aria-hidden="true">{{ step.done ? '✓' : n + 1 }}</span>
                <div>
                    <h3>{{ step.does }}<span v-if="step.done" class="unseen">, done</span></h3>
                    <p class="hint">{{ step.how }}</p>
                    <v-btn v-if="step.id === 'dog'" to="/dogs/new" variant="flat" color="primary">Add the first dog</v-btn>
                    <v-btn v-if="step.id === 'recipe' && !step.done" variant="tonal" @click="emit('bring')">Bring in</v-btn>
                </div>
            </li>
        </ol>
    </section>
</template>
