<script setup lang="ts">
import { computed } from 'vue'
import NumberField from './NumberField.vue'
import { useUnits } from './useUnits'

/** A length, kept in millimetres, shown and typed in the unit that this kitchen reads. */
const props = withDefaults(
    defineProps<{
        label: string
        value: number | null
        placeholder?: number | null
        short?: boolean
        live?: boolean
        problem?: string | null
        above?: number
        of?: 'low' | 'middle' | 'high'
    }>(),
    { placeholder: null, short: true, live: false, problem: null, above: undefined, of: 'middle' },
)
const emit = defineEmits<{ meant: [mm: number | null] }>()
const units = useUnits()
const unit = computed(() => (units.isInches() ? 'in' : 'mm'))
const limits = computed(() => (props.above === undefined ? {} : { above: props.above }))
</script>

<template>
    <NumberField
        v-bind="limits"
        :key="unit"
        :label="`${label}, ${unit}`"
        :short="short"
        :live="live"
        :problem="problem"
        :of="of"
        :value="value === null ? null : units.inUnit(value)"
        :placeholder="placeholder === null ? '' : String(units.inUnit(placeholder))"
        @meant="emit('meant', $event === null ? null : units.inMm($event))"
    />
</template>
