<script setup lang="ts" generic="T extends string | boolean | number">
/** One of a few, all in sight. */
defineProps<{ label: string; items: readonly { value: T; title: string }[]; shows?: boolean }>()
const chosen = defineModel<T>({ required: true })
</script>

<template>
    <div class="switch-row">
        <span v-if="shows" class="switch-row__label" aria-hidden="true">{{ label }}</span>
        <v-btn-toggle v-model="chosen" mandatory :aria-label="label" role="group">
            <v-btn v-for="one in items" :key="String(one.value)" :value="one.value" :aria-pressed="chosen === one.value">{{ one.title }}</v-btn>
        </v-btn-toggle>
    </div>
</template>
