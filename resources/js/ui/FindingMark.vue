<script setup lang="ts">
import { LEVELS, type Level } from './levels'

defineProps<{ level: Level }>()
</script>

<template>
    <svg
        class="mark"
        :class="[`mark--${level}`, { 'mark--filled': LEVELS[level].filled }]"
        viewBox="0 0 24 24"
        width="20"
        height="20"
        aria-hidden="true"
    >
        <path :d="LEVELS[level].path" />
    </svg>
</template>
