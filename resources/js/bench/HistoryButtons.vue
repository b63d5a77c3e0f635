<script setup lang="ts">
import { mdiRedo, mdiUndo } from '@mdi/js'
import { useEventListener } from '@vueuse/core'
import IconButton from '../ui/IconButton.vue'
import { pressed } from '../ui/keys'
import { useSheet } from './useSheet'

/** Back and forth through everything that was done to this sheet, wherever it is worked on. */
const { depth, undo, redo } = useSheet()

useEventListener(document, 'keydown', (event) => {
    const key = pressed(event, 'undo', 'redo')
    // a field has a history of its own
    if (
        key === null ||
        (event.target instanceof Element && event.target.closest('input, textarea, select, [contenteditable=true], .v-overlay') !== null)
    )
        return
    if (key === 'undo') undo()
    else redo()
    event.preventDefault()
})
</script>

<template>
    <IconButton label="Undo" :icon="mdiUndo" :disabled="depth.back === 0" @click="undo" />
    <IconButton label="Redo" :icon="mdiRedo" :disabled="depth.forth === 0" @click="redo" />
</template>
