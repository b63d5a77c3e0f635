<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api, KitchenProblem } from '../api/client'
import type { LabelAnswer } from '../api/types.generated'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import FindingMark from '../ui/FindingMark.vue'
import { LEVELS, told } from '../ui/levels'
import { useAsked } from '../ui/useAsked'

/** Reads the list printed on a tub, part by part, for every dog of the kitchen. */
const given = defineModel<{ id: string | null, name: string, number: string | null, ingredients: string } | null>({ required: true })
const kitchen = useKitchen()
const name = ref('')
const number = ref<string | null>(null)
const ingredients = ref('')
const id = ref<string | null>(null)
const problem = ref<string | null>(null)
const kept = ref('')

watch(given, (product) => {
    if (product === null) return
    id.value = product.id
    name.value = product.name
    number.value = product.number
    ingredients.value = product.ingredients
    kept.value = ''
})

const { answer, problem: refusal, late } = useAsked<LabelAnswer>({
    of: [name, ingredients, () => kitchen.version],
    ask: (signal) => {
        if (ingredients.value.trim() === '' || kitchen.kitchen === null) return null

        return api.label({ name: name.value, ingredients: ingredients.value, dogs: kitchen.dogs.map((dog) => dog.id) }, signal)
    },
})

const words = computed(() => {
    const worst = answer.value?.worst
    if (worst === undefined) return null

    return worst === 'clear' ? 'Nothing found in this list.' : `${LEVELS[worst].word}: ${LEVELS[worst].meaning}.`
})

async function keep(): Promise<void> {
    problem.value = null
    try {
        const product = await kitchen.all.products.keep(id.value, { name: name.value, number: number.value, ingredients: ingredients.value })
        id.value = product.id
        kept.value = product.difference === null || product.readings.length < 2 ? 'Kept with today\'s date.' : 'Kept beside the older wording.'
    } catch (error) {
        problem.value = error instanceof KitchenProblem ? error.message : wordsOf(error)
    }
}

function blank(): void {
    id.value = null
    name.value = ''
    number.value = null
    ingredients.value = ''
    kept.value = ''
    given.value = null
}
</script>

<template>
    <section class="label-reader" aria-labelledby="reader-title">
        <h2 id="reader-title">Read a label</h2>
        <label class="plain"><span>Name of the product</span><input v-model="name" maxlength="120" placeholder="as you will write it in a recipe" /></label>
        <label class="plain"><span>Its list of ingredients, as printed</span><textarea v-model="ingredients" rows="5" class="clip__text" maxlength="5000" placeholder="Roasted peanuts (95%), …" /></label>
        <p v-if="(problem ?? refusal) !== null" class="problem" role="alert">{{ problem ?? refusal }}</p>
        <template v-if="answer !== null">
            <p class="verdict label-reader__verdict" :class="{ 'verdict--poison': answer.worst === 'never' && !late, 'verdict--stop': late || (answer.worst !== 'clear' && answer.worst !== 'never' && answer.worst !== 'caution') }" role="status"><strong>{{ late ? 'Not checked yet.' : words }}</strong></p>
            <ol class="parts" :class="{ 'said-before': late }">
                <li v-for="(part, index) in answer.parts" :key="index" class="part" :class="{ 'part--never': part.findings.some((one) => one.level === 'never') }" :style="{ paddingInlineStart: `${0.6 + part.depth * 1.2}rem` }">
                    <span class="part__text">{{ part.text }}<em v-if="part.trace"> trace</em> <em v-if="part.percent !== null && !part.text.includes('%')">{{ part.percent }} %</em></span>
                    <span v-for="one in told(part.findings)" :key="one.finding.code" class="part__finding"><span class="chip" :class="`chip--${one.finding.level}`"><FindingMark :level="one.finding.level" />{{ LEVELS[one.finding.level].word }}<template v-if="one.dogs.length > 0">{{ ` ${one.dogs.join(", ")}` }}</template></span> {{ one.finding.message }}</span>
                </li>
            </ol>
            <p class="paper__ends"><span role="status">{{ kept }}</span><v-btn @click="blank">Another</v-btn><v-btn variant="flat" color="primary" :disabled="name.trim() === ''" @click="keep">{{ id === null ? 'Keep as a product' : 'Keep this wording' }}</v-btn></p>
        </template>
    </section>
</template>
