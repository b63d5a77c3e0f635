<script setup lang="ts">
import type { LotSign } from './lots'

/** The shape of a lot with its name: colour only helps. */
defineProps<{ lot: LotSign | null }>()
</script>

<template>
    <span v-if="lot !== null" class="lot-mark" :class="`lot-mark--${lot.colour}`"
        ><svg viewBox="0 0 24 24" aria-hidden="true"><path :d="lot.path" /></svg>{{ lot.name }}</span
    >
</template>
