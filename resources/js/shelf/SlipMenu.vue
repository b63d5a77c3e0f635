<script setup lang="ts">
import { onMounted, ref } from 'vue'
import type { Slip } from '../api/types.generated'
import type { SlipAct } from './acts'

/**
 * What can be done with a recipe, opened at its card's button. It belongs to the shelf and stays where it opened:
 * a card is measured anew, or taken out of the page, whenever a verdict comes in, and a choice must not move or go with it.
 */
const props = defineProps<{ slip: Slip; button: HTMLElement; compared: boolean; versions: number }>()
const emit = defineEmits<{ act: [act: SlipAct]; close: [] }>()
const { right, bottom } = props.button.getBoundingClientRect()
const open = ref(false)
onMounted(() => {
    open.value = true
})

const ACTS: [SlipAct, string][] = [
    ['print', 'Print it as a card'],
    ['again', 'Write it again under another name'],
    ['rename', 'Name and notes'],
    ['tags', 'Tags'],
    ['photograph', 'Photograph'],
    ['take-off', 'Take off the shelf'],
]

/** The hand is at the button again, so that what opens next knows where it came from. */
function back(): void {
    const label = `More for ${props.slip.title}`
    const button = props.button.isConnected ? props.button : document.querySelector<HTMLElement>(`[aria-label="${CSS.escape(label)}"]`)
    button?.focus({ preventScroll: true })
}

function choose(act: SlipAct): void {
    back()
    emit('act', act)
    emit('close')
}

function left(): void {
    const { activeElement } = document
    if (activeElement === null || activeElement === document.body || activeElement.closest('.v-menu') !== null) back()
    emit('close')
}
</script>

<template>
    <v-menu :model-value="open" :target="[right, bottom]" location="bottom end" scroll-strategy="none" context-menu @update:model-value="left">
        <v-list :aria-label="slip.title">
            <v-list-item @click="choose('compare')">{{ compared ? 'No longer compare' : 'Compare' }}</v-list-item>
            <v-list-item v-for="[act, words] in ACTS" :key="act" @click="choose(act)">{{ words }}</v-list-item>
            <v-list-item v-if="slip.photoId !== null" @click="choose('unphotograph')">Take the photograph off</v-list-item>
            <v-list-item v-if="versions > 0 || slip.parentId !== null" @click="choose('promote')">{{
                slip.promoted ? 'No longer ours' : 'Make it ours'
            }}</v-list-item>
        </v-list>
    </v-menu>
</template>
