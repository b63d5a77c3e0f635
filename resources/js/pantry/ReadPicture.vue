<script setup lang="ts">
import { onMounted, useTemplateRef, watch } from 'vue'
import { drawn } from '../kitchen/photographs'
import type { Doubt } from './doubts'

/** The photograph that a list was read from, with marks where a word is still to be looked at. */
const props = defineProps<{ picture: HTMLCanvasElement; doubts: Doubt[] }>()
const canvas = useTemplateRef('canvas')
const SHOWN = 900

function draw(): void {
    const small = drawn(props.picture, SHOWN)
    if (canvas.value === null) return
    canvas.value.width = small.width
    canvas.value.height = small.height
    canvas.value.getContext('2d')?.drawImage(small, 0, 0)
}
onMounted(draw)
watch(() => props.picture, draw)

const share = (part: number, of: number): string => `${((100 * part) / of).toFixed(2)}%`
</script>

<template>
    <div class="read-picture">
        <canvas ref="canvas" role="img" aria-label="The photograph that it was read from" />
        <template v-for="one in doubts" :key="one.span[0]">
            <span
                v-if="one.box !== null"
                class="read-picture__mark"
                :style="{
                    left: share(one.box.left - 4, picture.width),
                    top: share(one.box.top - 4, picture.height),
                    width: share(one.box.width + 8, picture.width),
                    height: share(one.box.height + 8, picture.height),
                }"
            />
        </template>
    </div>
</template>
