<script setup lang="ts">
/** One of several that may be on together. */
defineProps<{ on: boolean }>()
</script>

<template>
    <v-btn variant="outlined" class="pill" :class="{ 'pill--on': on }" :aria-pressed="on"><slot /></v-btn>
</template>
