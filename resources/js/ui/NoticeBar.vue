<script setup lang="ts">
import { computed } from 'vue'
import { letGo, notices } from './notices'

/** One notice at a time, the newest in front: the way back that a hand looks for is of what it did last. */
const shown = computed(() => notices.at(-1) ?? null)

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
