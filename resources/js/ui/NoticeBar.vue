<script setup lang="ts">
import { computed } from 'vue'
import { letGo, notices } from './notices'

/** One notice at a time, the oldest first. */
const shown = computed(() => notices[0] ?? null)

function run(): void {
    const now = shown.value
    if (now === null) return
    letGo(now.id)
    void now.run?.()
}
</script>

<template>
    <v-snackbar
        v-if="shown !== null"
        :key="shown.id"
        :model-value="true"
        :timeout="shown.act === null ? 5000 : 12000"
        location="bottom"
        class="notice"
        role="status"
        @update:model-value="letGo(shown.id)"
    >
        {{ shown.text }}
        <template v-if="shown.act !== null" #actions
            ><v-btn variant="outlined" @click="run">{{ shown.act }}</v-btn></template
        >
    </v-snackbar>
</template>
