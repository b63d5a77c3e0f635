<script setup lang="ts">
import { computed } from 'vue'
import type { Growth } from '../api/types.generated'
import { figure } from '../ui/format'
import LineChart from '../ui/LineChart.vue'
import { useUnits } from '../ui/useUnits'

/** What was weighed against age, the grown weight it heads for, and how the day's energy runs on the way there. */
const props = defineProps<{ growth: Growth; name: string }>()
const { kg } = useUnits()

const weighed = computed(() => props.growth.weighings.filter((one): one is { ageMonths: number; kg: number } => one.ageMonths !== null))
const grown = computed(() => props.growth.expectedKg)
const kgMost = computed(() => Math.max(grown.value ?? 0, ...weighed.value.map((one) => one.kg), 1))
const curve = computed(() => props.growth.curve)
const from = computed(() => (curve.value.length > 0 ? 0 : Math.max(0, Math.min(...weighed.value.map((one) => one.ageMonths)) - 1)))
const to = computed(() => Math.max(curve.value.length > 0 ? props.growth.adultFromMonths : 0, ...weighed.value.map((one) => one.ageMonths), 1))
const now = computed(() => weighed.value[weighed.value.length - 1]?.kg ?? null)
const first = computed(() => curve.value[0] ?? null)
const last = computed(() => curve.value[curve.value.length - 1] ?? null)
const kcalMost = computed(() => Math.max(...curve.value.map((one) => one.kcal), 1))
</script>

<template>
    <div class="growth">
        <figure v-if="weighed.length > 0">
            <figcaption>What {{ name }} weighed</figcaption>
            <LineChart
                :points="weighed.map((one) => ({ x: one.ageMonths, y: one.kg }))"
                dots
                :from="from"
                :to="to"
                :most="kgMost"
                :label="`Weights of ${name}: ${weighed.map((one) => `${kg(one.kg)} at ${figure(one.ageMonths)} months`).join(', ')}`"
                :x-labels="[`${figure(from)} months`, figure(to)]"
                :y-label="kg(kgMost)"
                :last="now === null ? null : kg(now)"
                :goal="grown === null ? null : { y: grown, label: `${kg(grown)} grown, at ${growth.adultFromMonths} months` }"
            />
        </figure>
        <figure v-if="first !== null && last !== null">
            <figcaption>Its energy on the way there, kcal a day</figcaption>
            <LineChart
                :points="curve.map((one) => ({ x: one.kg, y: one.kcal }))"
                :from="first.kg"
                :to="last.kg"
                :most="kcalMost"
                :label="`Energy by the growth formula from ${kg(first.kg)}, ${figure(first.kcal)} kcal, to ${kg(last.kg)}, ${figure(last.kcal)} kcal`"
                :x-labels="[kg(first.kg), kg(last.kg)]"
                :y-label="figure(kcalMost)"
            />
        </figure>
        <p v-if="curve.length > 0" class="hint">{{ growth.source }}. A puppy is fed to its growth and condition, not to a line.</p>
    </div>
</template>
