<script setup lang="ts">
import { computed } from 'vue'
import { useKitchen } from '../kitchen/useKitchen'
import NumberField from './NumberField.vue'

/** What an oven is set to, told in °C and typed as this kitchen's dial reads: degrees, or the marks of a gas oven. */
defineProps<{ label: string; value: number | null; placeholder?: string }>()
const emit = defineEmits<{ meant: [celsius: number | null] }>()
const kitchen = useKitchen()
const as = computed(() => kitchen.kitchen?.temperature ?? 'C')
const marks = computed(() => [
    { id: null, name: 'as below' },
    ...(kitchen.choices?.measures.gasMarks ?? []).map((one) => ({ id: one.celsius, name: `gas ${one.mark}` })),
])

/** The mark nearest to a heat that was typed in degrees. */
function nearest(celsius: number | null): number | null {
    if (celsius === null) return null
    const off = (one: number): number => Math.abs(one - celsius)

    return (kitchen.choices?.measures.gasMarks ?? []).reduce<number | null>(
        (best, one) => (best === null || off(one.celsius) < off(best) ? one.celsius : best),
        null,
    )
}

const toF = (celsius: number): number => Math.round((celsius * 9) / 5 + 32)
const toC = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9
</script>

<template>
    <v-select
        v-if="as === 'gas'"
        class="field--short"
        :label="label"
        :items="marks"
        :model-value="nearest(value)"
        @update:model-value="emit('meant', $event)"
    />
    <NumberField
        v-else-if="as === 'F'"
        :label="`${label}, °F`"
        :value="value === null ? null : toF(value)"
        :placeholder="placeholder ?? ''"
        :least="122"
        :most="572"
        @meant="emit('meant', $event === null ? null : toC($event))"
    />
    <NumberField
        v-else
        :label="`${label}, °C`"
        :value="value === null ? null : Math.round(value)"
        :placeholder="placeholder ?? ''"
        :least="50"
        :most="300"
        @meant="emit('meant', $event)"
    />
</template>
