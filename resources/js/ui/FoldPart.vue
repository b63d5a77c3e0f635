<script setup lang="ts">
import { computed } from 'vue'

/** What is asked for rarely stands behind its name, and is made when it is opened first. */
defineProps<{ title: string }>()
const open = defineModel<boolean>('open', { default: false })
const panel = computed({
    get: () => (open.value ? 0 : undefined),
    set: (at) => {
        open.value = at === 0
    },
})
</script>

<template>
    <v-expansion-panels v-model="panel" class="fold">
        <v-expansion-panel :title="title"
            ><template #text><slot /></template
        ></v-expansion-panel>
    </v-expansion-panels>
</template>
