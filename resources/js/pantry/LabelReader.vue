<script setup lang="ts">
import { computed, ref } from 'vue'
import { api } from '../api/client'
import type { LabelAnswer } from '../api/types.generated'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import FindingMark from '../ui/FindingMark.vue'
import { LEVELS, told } from '../ui/levels'
import { tell } from '../ui/notices'
import { useAsked } from '../ui/useAsked'

export interface LabelForm {
    id: string | null
    name: string
    number: string | null
    ingredients: string
}

/** Reads the list printed on a tub, part by part, for every dog of the kitchen. */
const props = defineProps<Pick<LabelForm, 'id' | 'number'>>()
const name = defineModel<string>('name', { required: true })
const ingredients = defineModel<string>('ingredients', { required: true })
const emit = defineEmits<{ anew: [] }>()
const kitchen = useKitchen()
const problem = ref<string | null>(null)

const {
    answer,
    problem: refusal,
    late,
} = useAsked<LabelAnswer>({
    of: [name, ingredients, () => kitchen.version],
    ask: (signal) => {
        if (ingredients.value.trim() === '' || kitchen.kitchen === null) return null

        return api.label({ name: name.value, ingredients: ingredients.value, dogs: kitchen.dogs.slice(0, MOST_DOGS).map((dog) => dog.id) }, signal)
    },
})

/** As many as one question takes. */
const MOST_DOGS = 50

const words = computed(() => {
    const worst = answer.value?.worst
    if (worst === undefined) return null

    return worst === 'clear' ? 'Nothing found in this list.' : `${LEVELS[worst].word}: ${LEVELS[worst].meaning}.`
})

async function keep(): Promise<void> {
    problem.value = null
    const isNew = props.id === null
    try {
        const product = await kitchen.all.products.keep(props.id, { name: name.value, number: props.number, ingredients: ingredients.value })
        emit('anew')
        tell(
            kitchen.all.products.waits(product.id)
                ? 'It waits for the kitchen.'
                : isNew || product.readings.length < 2
                  ? `“${product.name}” is kept with today's date.`
                  : `“${product.name}” is kept beside the older wording.`,
        )
    } catch (error) {
        problem.value = wordsOf(error)
    }
}
</script>

<template>
    <section class="label-reader" aria-labelledby="reader-title">
        <h2 id="reader-title">Read a label</h2>
        <v-text-field v-model="name" label="Name of the product" maxlength="120" placeholder="as you will write it in a recipe" autocomplete="off" />
        <v-textarea
            v-model="ingredients"
            label="Its list of ingredients, as printed"
            rows="4"
            maxlength="5000"
            placeholder="Roasted peanuts (95%), …"
        />
        <p v-if="(problem ?? refusal) !== null" class="problem" role="alert">{{ problem ?? refusal }}</p>
        <template v-if="answer !== null">
            <p
                class="verdict label-reader__verdict"
                :class="{
                    'verdict--poison': answer.worst === 'never' && !late,
                    'verdict--stop': late || (answer.worst !== 'clear' && answer.worst !== 'never' && answer.worst !== 'caution'),
                }"
                role="status"
            >
                <strong>{{ late ? 'Not checked yet.' : words }}</strong>
            </p>
            <ol class="parts" :class="{ 'said-before': late }">
                <li
                    v-for="(part, index) in answer.parts"
                    :key="index"
                    class="part"
                    :class="{ 'part--never': part.findings.some((one) => one.level === 'never') }"
                    :style="{ paddingInlineStart: `${0.6 + part.depth * 1.2}rem` }"
                >
                    <span class="part__text"
                        >{{ part.text }}<em v-if="part.trace"> trace</em>
                        <em v-if="part.percent !== null && !part.text.includes('%')">{{ part.percent }} %</em></span
                    >
                    <span v-for="one in told(part.findings)" :key="one.finding.code" class="part__finding"
                        ><span class="chip" :class="`chip--${one.finding.level}`"
                            ><FindingMark :level="one.finding.level" />{{ LEVELS[one.finding.level].word
                            }}<template v-if="one.dogs.length > 0">{{ ` ${one.dogs.join(', ')}` }}</template></span
                        >
                        {{ one.finding.message }}</span
                    >
                </li>
            </ol>
            <p class="paper__ends">
                <v-btn @click="emit('anew')">Another</v-btn
                ><v-btn variant="flat" color="primary" :disabled="name.trim() === ''" @click="keep">{{
                    id === null ? 'Keep as a product' : 'Keep this wording'
                }}</v-btn>
            </p>
        </template>
    </section>
</template>
