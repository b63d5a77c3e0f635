<script setup lang="ts">
/** A button that shows a sign; what it does is its name, and a word beside it for whoever rests on it. */
defineProps<{ icon: string; label: string }>()
</script>

<template>
    <v-btn icon :aria-label="label"
        ><v-icon :icon="icon" /><v-tooltip :eager="false" activator="parent" location="bottom" :text="label" aria-hidden="true"
    /></v-btn>
</template>
