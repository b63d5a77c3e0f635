<script setup lang="ts">
import { computed } from 'vue'

/** A day as a dish: how much of it treats may take, as a layer of so many kcal at the bottom. Full of its own food above. */
const props = defineProps<{ dailyKcal: number | null; treatKcal: number | null }>()

const [LEFT, RIGHT, TOP, BOTTOM] = [8, 112, 14, 54]
/** A tenth of the day would be a line: the dish shows treats at this many times their share, as its caption says nothing of height. */
const SWELL = 4
const share = computed(() =>
    props.dailyKcal === null || props.treatKcal === null || props.dailyKcal <= 0 ? null : Math.min(1, props.treatKcal / props.dailyKcal),
)
const level = computed(() => BOTTOM - (BOTTOM - TOP) * Math.min(1, SWELL * (share.value ?? 0)))
/** The dish is narrower below: where its wall stands at a height. */
const wall = (y: number): number => 22 * ((y - TOP) / (BOTTOM - TOP)) ** 2
</script>

<template>
    <svg class="day-dish" viewBox="0 0 120 62" aria-hidden="true">
        <path
            :d="`M${LEFT} ${TOP} Q${LEFT + 4} ${BOTTOM} ${LEFT + 30} ${BOTTOM} H${RIGHT - 30} Q${RIGHT - 4} ${BOTTOM} ${RIGHT} ${TOP}z`"
            class="day-dish__food"
        />
        <path
            v-if="share !== null"
            :d="`M${LEFT + wall(level)} ${level} Q${LEFT + 10} ${BOTTOM} ${LEFT + 30} ${BOTTOM} H${RIGHT - 30} Q${RIGHT - 10} ${BOTTOM} ${RIGHT - wall(level)} ${level}z`"
            class="day-dish__treats"
        />
        <path
            :d="`M${LEFT} ${TOP} Q${LEFT + 4} ${BOTTOM} ${LEFT + 30} ${BOTTOM} H${RIGHT - 30} Q${RIGHT - 4} ${BOTTOM} ${RIGHT} ${TOP}`"
            class="day-dish__wall"
        />
        <ellipse
            :cx="(LEFT + RIGHT) / 2"
            :cy="TOP"
            :rx="(RIGHT - LEFT) / 2"
            ry="6"
            class="day-dish__rim"
            :class="{ 'day-dish__rim--unknown': share === null }"
        />
    </svg>
</template>
