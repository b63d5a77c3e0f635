<script setup lang="ts">
import type { HowChoice } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'

/** How a dog took what it was offered: one tap. */
const props = defineProps<{ what: string; busy?: boolean }>()
const emit = defineEmits<{ took: [how: HowChoice['id']] }>()
const kitchen = useKitchen()
</script>

<template>
    <div class="took" role="group" :aria-label="`How it took ${props.what}`">
        <span class="took__what">{{ what }}</span>
        <button
            v-for="one in kitchen.choices?.hows ?? []"
            :key="one.id"
            type="button"
            class="took__how"
            :disabled="busy"
            :aria-label="`${what}: ${one.name}`"
            @click="emit('took', one.id)"
        >
            {{ one.name }}
        </button>
    </div>
</template>
