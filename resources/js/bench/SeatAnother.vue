<script setup lang="ts">
import type { Dog } from '../api/types.generated'

/** Of many dogs, one is seated by its name. */
defineProps<{ dogs: Dog[] }>()
const emit = defineEmits<{ seat: [id: string] }>()

function seat(id: unknown): void {
    if (typeof id === 'string') emit('seat', id)
}
</script>

<template>
    <v-autocomplete
        label="Seat another"
        :items="dogs"
        item-title="name"
        item-value="id"
        :model-value="null"
        auto-select-first
        clear-on-select
        @update:model-value="seat"
    />
</template>
