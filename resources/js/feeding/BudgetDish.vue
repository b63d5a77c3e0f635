<script setup lang="ts">
import { computed } from 'vue'

/** A dog's day of treats as a dish that fills: empty in the morning, full when its budget is, heaped when it is over. */
const props = defineProps<{ budget: number | null; given: number; borrowed?: number }>()
const [TOP, BOTTOM] = [16, 56]
const share = computed(() => (props.budget === null || props.budget <= 0 ? null : props.given / props.budget))
const level = computed(() => BOTTOM - (BOTTOM - TOP) * Math.min(1, share.value ?? 0))
const wall = (y: number): number => 24 * ((y - TOP) / (BOTTOM - TOP)) ** 2
</script>

<template>
    <svg class="dish" viewBox="0 0 120 64" aria-hidden="true">
        <path d="M8 16 Q12 56 40 56 H80 Q108 56 112 16z" class="dish__body" />
        <path
            v-if="share !== null && share > 0"
            :d="`M${8 + wall(level)} ${level} Q${12 + wall(level) / 2} 56 40 56 H80 Q${108 - wall(level) / 2} 56 ${112 - wall(level)} ${level}z`"
            class="dish__given"
        />
        <path v-if="share !== null && share > 1" d="M14 16 Q60 -8 106 16z" class="dish__heap" />
        <ellipse cx="60" cy="16" rx="52" ry="6" class="dish__rim" :class="{ 'dish__rim--unknown': share === null }" />
    </svg>
</template>
