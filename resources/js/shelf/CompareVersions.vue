<script setup lang="ts">
import { computed } from 'vue'
import { api } from '../api/client'
import type { FormulateAnswer, Slip } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import { figure, grams, pieces } from '../ui/format'
import { useAsked } from '../ui/useAsked'

/** Two recipes side by side: what is in them, what a piece holds, how the dough feels, and every ration. */
const props = defineProps<{ one: Slip; two: Slip }>()
const emit = defineEmits<{ close: [] }>()
const kitchen = useKitchen()

const SHOWN: [string, string][] = [
    ['proteinG', 'protein, g'],
    ['fatG', 'fat, g'],
    ['fibreG', 'fibre, g'],
    ['sugarsG', 'sugars, g'],
    ['sodiumMg', 'sodium, mg'],
]

function asked(recipe: Slip, signal: AbortSignal): Promise<FormulateAnswer | null> {
    if (recipe.begins.trim() === '') return Promise.resolve(null)

    return api.formulate({ recipe: { id: recipe.id }, dogs: kitchen.atTable.map((dog) => dog.id), explain: true }, signal)
}

const { answer, problem, late } = useAsked<(FormulateAnswer | null)[]>({
    of: [() => props.one, () => props.two, () => kitchen.version],
    ask: (signal) => Promise.all([props.one, props.two].map((recipe) => asked(recipe, signal))),
    immediate: true,
})
const answers = computed(() => answer.value ?? [null, null])

const foods = computed(() => {
    const rows = new Map<string, [string, string]>()
    answers.value.forEach((answer, side) => {
        for (const line of answer?.lines ?? []) {
            const name = line.explain?.name ?? line.text
            const row = rows.get(name) ?? ['–', '–']
            const amount = line.grams === null ? '?' : grams(line.grams.best)
            row[side as 0 | 1] = row[side as 0 | 1] === '–' ? amount : `${row[side as 0 | 1]} + ${amount}`
            rows.set(name, row)
        }
    })

    return [...rows.entries()].map(([name, [left, right]]) => ({ name, left, right, differs: left !== right }))
})

function nutrient(side: number, key: string): string {
    const value = answers.value[side]?.piece.nutrients[key]

    return value === undefined ? '–' : figure(value)
}

function ration(side: number, dog: string): string {
    const found = answers.value[side]?.rations.find((one) => one.dog === dog)
    if (found === undefined) return '–'

    return `${pieces(found.ifCleared ?? 0)}${answers.value[side]?.verdict.dogs.find((one) => one.name === dog)?.cleared === true ? '' : ' once cleared'}`
}
</script>

<template>
    <section class="compare" aria-label="Two recipes compared">
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <table class="compare__table" :class="{ 'said-before': late }">
            <thead>
                <tr>
                    <th scope="col"><v-btn @click="emit('close')">Close</v-btn></th>
                    <th scope="col">{{ one.title }}</th>
                    <th scope="col">{{ two.title }}</th>
                </tr>
            </thead>
            <tbody>
                <tr v-for="food in foods" :key="food.name" :class="{ 'compare__row--differs': food.differs }">
                    <th scope="row">{{ food.name }}</th>
                    <td>{{ food.left }}</td>
                    <td>{{ food.right }}</td>
                </tr>
                <tr>
                    <th scope="row">kcal a piece</th>
                    <td v-for="side in [0, 1]" :key="side">{{ answers[side] === null ? '–' : figure(answers[side]?.piece.kcal.best ?? 0) }}</td>
                </tr>
                <tr v-for="[key, name] in SHOWN" :key="key">
                    <th scope="row">{{ name }} a piece</th>
                    <td v-for="side in [0, 1]" :key="side">{{ nutrient(side, key) }}</td>
                </tr>
                <tr>
                    <th scope="row">the dough</th>
                    <td v-for="side in [0, 1]" :key="side">{{ answers[side]?.batch.feel ?? '–' }}</td>
                </tr>
                <tr v-for="dog in kitchen.atTable" :key="dog.id">
                    <th scope="row">{{ dog.name }}, pieces a day</th>
                    <td v-for="side in [0, 1]" :key="side">{{ ration(side, dog.name) }}</td>
                </tr>
            </tbody>
        </table>
    </section>
</template>
