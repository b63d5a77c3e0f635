<script setup lang="ts">
import { computed, ref } from 'vue'
import type { KitchenFields } from '../api/client'
import { useKitchen, wordsOf } from './useKitchen'
import { figure } from '../ui/format'
import NumberField from '../ui/NumberField.vue'

/** The house rules: what this kitchen decided once for all its recipes. */
const kitchen = useKitchen()
const problem = ref<string | null>(null)

interface Question {
    key: 'energySchool' | 'calorieConvention' | 'garlic' | 'units' | 'pseudoGrains'
    asks: string
    answers: { value: string, name: string, gloss: string }[]
}

/** How large the cups and spoons of a system are, by the same table that weighs with them. */
function sizeOf(units: string): string {
    const cups = kitchen.choices?.cups.find((one) => one.units === units)
    return cups === undefined ? '' : `cup ${figure(cups.cupMl)} ml, tablespoon ${figure(cups.tablespoonMl)} ml`
}

const questions = computed<Question[]>(() => [
    { key: 'energySchool', asks: 'How is a dog\'s energy worked out?', answers: [
        { value: 'clinic', name: 'Clinic factors', gloss: 'resting energy times a factor for stage and neutering, as in the guidelines of AAHA and WSAVA' },
        { value: 'nrc', name: 'Research formula', gloss: 'NRC 2006; usually higher, and follows a puppy\'s growth' }] },
    { key: 'calorieConvention', asks: 'How are calories of food counted?', answers: [
        { value: '4-9-4', name: '4-9-4', gloss: 'as for human-grade food; the default' },
        { value: 'modified', name: '3.5-8.5-3.5', gloss: 'the convention of pet-food labels' }] },
    { key: 'garlic', asks: 'Garlic?', answers: [
        { value: 'avoid', name: 'Never', gloss: 'the default, and the safe choice' },
        { value: 'measured', name: 'Measured', gloss: 'this kitchen\'s own choice, against the caution: at most 0.1 g fresh per kg a day; still refused for puppies, pregnant, anaemic and sensitive dogs' }] },
    { key: 'units', asks: 'Whose cups and spoons?', answers: [
        { value: 'us', name: 'American', gloss: sizeOf('us') }, { value: 'metric', name: 'Metric', gloss: sizeOf('metric') },
        { value: 'imperial', name: 'Imperial', gloss: sizeOf('imperial') }, { value: 'australian', name: 'Australian', gloss: sizeOf('australian') }] },
    { key: 'pseudoGrains', asks: 'Do buckwheat, quinoa and amaranth count as grain?', answers: [
        { value: 'not-grain', name: 'No', gloss: 'they are not grasses' }, { value: 'grain', name: 'Yes', gloss: 'strict: a dog kept off grain gets none of them' }] },
])

/** Every zone this browser knows, and the kitchen's own. */
const zones = computed(() => [...new Set(['UTC', kitchen.kitchen?.timezone ?? 'UTC', ...Intl.supportedValuesOf('timeZone')])].sort())

async function choose(fields: KitchenFields): Promise<void> {
    try {
        await kitchen.change(fields)
        problem.value = null
    } catch (error) {
        problem.value = wordsOf(error)
    }
}
</script>

<template>
    <div class="place">
        <header class="place__head"><h1>House rules</h1></header>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <form v-if="kitchen.kitchen !== null" class="rules" @submit.prevent>
            <fieldset v-for="question in questions" :key="question.key">
                <legend>{{ question.asks }}</legend>
                <label v-for="one in question.answers" :key="one.value" class="choice">
                    <input type="radio" :name="question.key" :value="one.value" :checked="kitchen.kitchen.policy[question.key] === one.value" @change="choose({ [question.key]: one.value })" />
                    <span><strong>{{ one.name }}</strong> — {{ one.gloss }}</span>
                </label>
            </fieldset>
            <fieldset>
                <legend>Share of the day that treats may take, at most</legend>
                <NumberField label="percent, up to 10; empty for the usual" :value="kitchen.kitchen.policy.budgetPercent" @meant="choose({ budgetPercent: $event })" />
                <p class="hint">It may be lowered, never raised: the usual is 10 %, and 5 % for a puppy, a weight-loss plan or any condition.</p>
            </fieldset>
            <fieldset>
                <legend>Where the kitchen is</legend>
                <label class="plain"><span>Time zone, for what is today</span><select :value="kitchen.kitchen.timezone" @change="choose({ timezone: ($event.target as HTMLSelectElement).value })"><option v-for="one in zones" :key="one">{{ one }}</option></select></label>
            </fieldset>
        </form>
    </div>
</template>
