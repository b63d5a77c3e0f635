<script setup lang="ts">
import { computed } from 'vue'
import type { Trial } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import { daysBetween } from '../keeping/shelves'

/** The days of a trial as a strip: how much is given on each, which lie behind, where today is. */
const props = defineProps<{ trial: Trial; today: string }>()
const [W, H] = [560, 40]
const day = computed(() => daysBetween(props.trial.from, props.today) + 1)
const brings = computed(() => props.trial.kind === 'new-food' || props.trial.kind === 'challenge')
const kitchen = useKitchen()
const share = (n: number): number => (brings.value ? (kitchen.choices?.ramp.findLast((one) => one.day <= n)?.share ?? 1) : 1)
const cells = computed(() => Array.from({ length: props.trial.days }, (_, n) => ({ n: n + 1, share: share(n + 1) })))
const wide = computed(() => W / props.trial.days)
</script>

<template>
    <svg :viewBox="`0 0 ${W} ${H + 14}`" class="trial-strip" role="img" :aria-label="`Day ${Math.max(0, day)} of ${trial.days}`">
        <g v-for="one in cells" :key="one.n">
            <rect
                :x="(one.n - 1) * wide + 1"
                :y="4 + (H - 8) * (1 - one.share)"
                :width="Math.max(1, wide - 2)"
                :height="(H - 8) * one.share"
                rx="2"
                :class="{ 'trial-strip__past': one.n < day, 'trial-strip__now': one.n === day, 'trial-strip__out': trial.kind === 'leave-out' }"
                class="trial-strip__day"
            />
            <text v-if="wide > 22 || one.n % 7 === 0" :x="(one.n - 0.5) * wide" :y="H + 10" text-anchor="middle">{{ one.n }}</text>
        </g>
    </svg>
</template>
