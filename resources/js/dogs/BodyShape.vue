<script setup lang="ts">
import { computed } from 'vue'

/** A dog from above, from 1 (bones stand out) to 9 (no waist): our own drawing. */
const props = defineProps<{ score: number }>()

const path = computed(() => {
    const fat = (props.score - 5) / 4
    const [chest, waist, hip] = [13 + fat * 4, 10 + fat * 7.5, 12 + fat * 5]

    return (
        `M30 ${24 - 6} C36 ${24 - chest} 44 ${24 - chest} 52 ${24 - chest} C62 ${24 - chest} 66 ${24 - waist} 74 ${24 - waist} C82 ${24 - waist} 86 ${24 - hip} 94 ${24 - hip} C102 ${24 - hip} 106 20 108 24 ` +
        `C106 28 102 ${24 + hip} 94 ${24 + hip} C86 ${24 + hip} 82 ${24 + waist} 74 ${24 + waist} C66 ${24 + waist} 62 ${24 + chest} 52 ${24 + chest} C44 ${24 + chest} 36 ${24 + chest} 30 30z`
    )
})
</script>

<template>
    <svg class="body-shape" viewBox="0 0 132 48" aria-hidden="true">
        <path d="M108 24 C116 22 122 18 128 20 C122 22 116 26 108 25z" />
        <path :d="path" />
        <path d="M6 24 C8 19 14 17 20 17 C26 16 32 18 34 24 C32 30 26 32 20 31 C14 31 8 29 6 24z" />
        <path d="M22 17 C20 11 27 10 29 15z M22 31 C20 37 27 38 29 33z" />
    </svg>
</template>
