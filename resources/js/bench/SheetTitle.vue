<script setup lang="ts">
import { computed } from 'vue'
import { useSheet } from './useSheet'

/** The name over the sheet, as long as it is; Enter goes on to the first line. */
const { sheet, paper } = useSheet()
const title = computed({
    get: () => sheet.value.title,
    set: (words: string | null) => {
        sheet.value.title = (words ?? '').replace(/\s*\n\s*/g, ' ')
    },
})
</script>

<template>
    <v-textarea
        v-model="title"
        class="sheet__title"
        variant="plain"
        density="compact"
        rows="1"
        no-resize
        aria-label="Title of the recipe"
        placeholder="Untitled sheet"
        maxlength="200"
        @keydown.enter.prevent="paper.shownIn?.focus()"
    />
</template>
