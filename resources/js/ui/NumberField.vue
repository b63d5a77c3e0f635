<script setup lang="ts">
import { ref, watch } from 'vue'

/** A number that is typed and then meant: it is handed on when the field is left or Enter is pressed, and what is being typed is never overwritten. */
const props = withDefaults(defineProps<{ label: string, value: number | null, placeholder?: string, short?: boolean }>(), { placeholder: '', short: true })
const emit = defineEmits<{ meant: [value: number | null] }>()

const shown = (value: number | null): string => value === null ? '' : String(value)
const text = ref(shown(props.value))
const typing = ref(false)

watch(() => props.value, (value) => {
    if (!typing.value) text.value = shown(value)
})

function done(): void {
    if (!typing.value) return
    typing.value = false
    const plain = text.value.trim().replace(',', '.')
    if (plain === '') emit('meant', null)
    else if (Number.isFinite(Number(plain))) emit('meant', Number(plain))
}
</script>

<template>
    <label class="plain" :class="{ 'plain--short': short }"><span>{{ label }}</span><input v-model="text" inputmode="decimal" :placeholder="placeholder" @input="typing = true" @change="done" @keydown.enter.prevent="done" @blur="done" /></label>
</template>
