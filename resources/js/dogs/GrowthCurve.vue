<script setup lang="ts">
import { computed } from 'vue'
import type { Growth } from '../api/types.generated'
import { figure } from '../ui/format'

/** What was weighed against age, the grown weight it heads for, and how the day's energy runs on the way there. */
const props = defineProps<{ growth: Growth, name: string }>()

const W = 300
const H = 150
const weighed = computed(() => props.growth.weighings.filter((one): one is { ageMonths: number, kg: number } => one.ageMonths !== null))
const months = computed(() => Math.max(props.growth.curve.length > 0 ? props.growth.adultFromMonths : 0, ...weighed.value.map((one) => one.ageMonths), 1))
const firstMonth = computed(() => props.growth.curve.length > 0 ? 0 : Math.max(0, Math.min(...weighed.value.map((one) => one.ageMonths)) - 1))
const kgMost = computed(() => 1.1 * Math.max(props.growth.expectedKg ?? 0, ...weighed.value.map((one) => one.kg), 1))
const kcalMost = computed(() => 1.1 * Math.max(...props.growth.curve.map((one) => one.kcal), 1))

const x = (age: number): number => 34 + (age - firstMonth.value) / Math.max(0.1, months.value - firstMonth.value) * (W - 44)
const y = (kg: number): number => H - 20 - kg / kgMost.value * (H - 34)
const line = computed(() => weighed.value.map((one, n) => `${n === 0 ? 'M' : 'L'}${x(one.ageMonths)} ${y(one.kg)}`).join(' '))

const kgFrom = computed(() => props.growth.curve[0]?.kg ?? 0)
const kgTo = computed(() => props.growth.curve[props.growth.curve.length - 1]?.kg ?? 1)
const ex = (kg: number): number => 40 + (kg - kgFrom.value) / Math.max(0.1, kgTo.value - kgFrom.value) * (W - 54)
const ey = (kcal: number): number => H - 20 - kcal / kcalMost.value * (H - 34)
const energy = computed(() => props.growth.curve.map((one, n) => `${n === 0 ? 'M' : 'L'}${ex(one.kg)} ${ey(one.kcal)}`).join(' '))
/** Where the last weighing stands: its label goes beside it, or under it at the edge. */
const last = computed(() => x(weighed.value[weighed.value.length - 1]?.ageMonths ?? 0))
const now = computed(() => weighed.value[weighed.value.length - 1]?.kg ?? null)
</script>

<template>
    <div class="growth">
        <figure v-if="weighed.length > 0">
            <figcaption>What {{ name }} weighed</figcaption>
            <svg :viewBox="`0 0 ${W} ${H}`" role="img" :aria-label="`Weights of ${name}: ${weighed.map((one) => `${figure(one.kg)} kg at ${figure(one.ageMonths)} months`).join(', ')}`">
                <path :d="`M34 10 V${H - 20} H${W - 8}`" class="growth__axis" />
                <g v-if="growth.expectedKg !== null"><path :d="`M34 ${y(growth.expectedKg)} H${W - 8}`" class="growth__goal" /><text :x="W - 10" :y="y(growth.expectedKg) - 4" text-anchor="end">{{ figure(growth.expectedKg) }} kg grown, at {{ growth.adultFromMonths }} months</text></g>
                <path :d="line" class="growth__line" />
                <g v-for="one in weighed" :key="one.ageMonths"><circle :cx="x(one.ageMonths)" :cy="y(one.kg)" r="3.2" class="growth__dot" /></g>
                <text v-if="now !== null" :x="last > W - 44 ? W - 8 : last + 6" :y="last > W - 44 ? y(now) + 18 : y(now) + 4" :text-anchor="last > W - 44 ? 'end' : 'start'">{{ figure(now) }} kg</text>
                <text x="30" :y="y(kgMost / 1.1) + 4" text-anchor="end">{{ figure(kgMost / 1.1) }}</text><text x="30" :y="H - 20" text-anchor="end">0</text>
                <text x="34" :y="H - 6">{{ figure(firstMonth) }} months</text><text :x="W - 8" :y="H - 6" text-anchor="end">{{ figure(months) }}</text>
            </svg>
        </figure>
        <figure v-if="growth.curve.length > 0">
            <figcaption>Its energy on the way there, kcal a day</figcaption>
            <svg :viewBox="`0 0 ${W} ${H}`" role="img" :aria-label="`Energy by the growth formula from ${figure(kgFrom)} kg, ${figure(growth.curve[0]?.kcal ?? 0)} kcal, to ${figure(kgTo)} kg, ${figure(growth.curve[growth.curve.length - 1]?.kcal ?? 0)} kcal`">
                <path :d="`M40 10 V${H - 20} H${W - 8}`" class="growth__axis" />
                <path :d="energy" class="growth__line" />
                <text x="36" :y="ey(kcalMost / 1.1) + 4" text-anchor="end">{{ figure(kcalMost / 1.1) }}</text><text x="36" :y="H - 20" text-anchor="end">0</text>
                <text x="40" :y="H - 6">{{ figure(kgFrom) }} kg</text><text :x="W - 8" :y="H - 6" text-anchor="end">{{ figure(kgTo) }} kg</text>
            </svg>
        </figure>
        <p v-if="growth.curve.length > 0" class="hint">{{ growth.source }}. A puppy is fed to its growth and condition, not to a line.</p>
    </div>
</template>
