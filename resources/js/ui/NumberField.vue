<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { readNumber, type NumberRules } from './number'

/**
 * A number that is typed and then meant: it is handed on when the field is left or Enter is pressed (with `live` at every key that makes
 * a number), and what is being typed is never overwritten. What cannot be meant is refused in words and stays where it was typed.
 */
const props = withDefaults(
    defineProps<
        NumberRules & {
            label: string
            value: number | null
            placeholder?: string
            short?: boolean
            live?: boolean
            disabled?: boolean
            problem?: string | null
            unit?: string
        }
    >(),
    {
        placeholder: '',
        short: true,
        live: false,
        whole: false,
        problem: null,
        unit: '',
    },
)
const emit = defineEmits<{ meant: [value: number | null] }>()

const shown = (value: number | null): string => (value === null ? '' : String(Math.round(value * 1000) / 1000))
const text = ref<string | null>(shown(props.value))
const typing = ref(false)
const refused = ref<string | null>(null)
const told = computed(() => refused.value ?? props.problem)

watch(
    () => props.value,
    (value) => {
        if (!typing.value && refused.value === null) text.value = shown(value)
    },
)

function read(): void {
    const { value, problem } = readNumber(text.value ?? '', props)
    refused.value = problem
    if (problem !== null) return
    emit('meant', value)
    // what was meant stands there once the hand has left it
    if (!typing.value) text.value = shown(value)
}

function typed(): void {
    typing.value = true
    if (props.live) read()
}

function done(): void {
    if (!typing.value) return
    typing.value = false
    read()
}
</script>

<template>
    <v-text-field
        v-model="text"
        :label="label"
        inputmode="decimal"
        autocomplete="off"
        :placeholder="placeholder"
        :disabled="disabled"
        :suffix="unit === '' ? undefined : unit"
        :class="short ? 'field--short' : 'field--long'"
        :error-messages="told === null ? [] : [told]"
        :data-refused="refused === null ? undefined : true"
        @update:model-value="typed"
        @change="done"
        @keydown.enter="done"
        @blur="done"
    />
</template>
