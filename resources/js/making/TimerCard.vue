<script setup lang="ts">
import { computed } from 'vue'
import { hourOf, leftOf } from './clockwork'
import type { Timer } from './log'
import LotMark from './LotMark.vue'
import type { LotSign } from './lots'

/** One timer, to be read across the room: its name, what is left, and a disc that empties. */
const props = defineProps<{ timer: Timer; now: number; lot: LotSign | null; timezone: string | undefined }>()
const emit = defineEmits<{ more: [seconds: number]; stop: [] }>()
const left = computed(() => props.timer.endsAt - props.now)
const rings = computed(() => left.value <= 0)
const share = computed(() => Math.max(0, Math.min(1, left.value / Math.max(1, props.timer.endsAt - props.timer.from))))
const AROUND = 2 * Math.PI * 20
</script>

<template>
    <li class="timer" :class="{ 'timer--rings': rings, [`timer--lot-${lot?.colour ?? 0}`]: lot !== null }">
        <svg class="timer__disc" viewBox="0 0 48 48" aria-hidden="true">
            <circle cx="24" cy="24" r="20" class="timer__round" />
            <circle cx="24" cy="24" r="20" class="timer__left" :stroke-dasharray="`${share * AROUND} ${AROUND}`" transform="rotate(-90 24 24)" />
        </svg>
        <p class="timer__name"><LotMark v-if="lot !== null" :lot="lot" /> {{ lot !== null && timer.name === lot.name ? '' : timer.name }}</p>
        <p class="timer__time" role="timer" :aria-label="`${timer.name}: ${rings ? 'it is time' : leftOf(left)}`">{{ leftOf(left) }}</p>
        <p class="timer__when">{{ rings ? 'It is time' : `at ${hourOf(timer.endsAt, timezone)}` }}</p>
        <p class="timer__acts">
            <v-btn variant="outlined" :aria-label="`Five more minutes: ${timer.name}`" @click="emit('more', 300)">+5 min</v-btn>
            <v-btn variant="outlined" :aria-label="`One more minute: ${timer.name}`" @click="emit('more', 60)">+1 min</v-btn>
            <v-btn variant="tonal" :aria-label="`Stop: ${timer.name}`" @click="emit('stop')">Stop</v-btn>
        </p>
    </li>
</template>
