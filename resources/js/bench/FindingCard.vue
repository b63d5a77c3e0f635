<script setup lang="ts">
import { computed } from 'vue'
import FindingMark from '../ui/FindingMark.vue'
import { LEVELS, type Told } from '../ui/levels'
import type { Confirmation, Saying } from './useSheet'

/** A finding opened: why, the figure, what to do, where it is known from. */
const props = defineProps<{ told: Told, line: string | null, plain?: boolean }>()
const emit = defineEmits<{ confirm: [one: Saying], takeBack: [one: Confirmation] }>()

function sayings(): Saying[] {
    const { level, message } = props.told.finding

    return level === 'ask-vet' || level === 'check-label' ? eachDog().map((one, n) => ({ ...one, level, words: message, dogName: props.told.dogs[n] ?? null })) : []
}

function eachDog(): Confirmation[] {
    const { finding, ids } = props.told

    return (ids.length === 0 ? [null] : ids).map((dog) => ({ code: finding.code, line: props.line, dog }))
}
const words = computed(() => props.told.finding.confirmed === true ? 'Take that back' : props.told.finding.level === 'ask-vet' ? 'I have asked the vet, who agrees' : 'I read the label: nothing of the kind is in it')

function turn(): void {
    if (props.told.finding.confirmed === true) for (const one of eachDog()) emit('takeBack', one)
    else for (const one of sayings()) emit('confirm', one)
}
</script>

<template>
    <section class="card" :class="`card--${told.finding.level}`" :role="told.finding.level === 'never' ? 'alert' : undefined">
        <h4><FindingMark :level="told.finding.level" /> {{ LEVELS[told.finding.level].word }}<template v-if="told.dogs.length > 0"> · {{ told.dogs.join(', ') }}</template></h4>
        <p>{{ told.finding.message }}</p>
        <p v-if="told.finding.figure !== null" class="card__figure">{{ told.finding.figure }}</p>
        <p v-if="told.finding.advice !== ''"><strong>{{ told.finding.advice }}</strong></p>
        <p v-if="told.finding.emergency" class="card__emergency">If a dog has eaten it: call a vet or an animal poison line at once. Do not wait for signs.</p>
        <p v-if="told.finding.source !== ''" class="card__source">Known from: {{ told.finding.source }}</p>
        <!-- one button for saying it and taking it back: the focus stays on it -->
        <v-btn v-if="plain !== true && (told.finding.level === 'ask-vet' || told.finding.level === 'check-label')" variant="outlined" @click="turn">{{ words }}</v-btn>
    </section>
</template>
