<script setup lang="ts">
import { computed } from 'vue'
import type { Cut, Slip } from '../api/types.generated'
import { outlineOf, shapeOf } from '../bench/outline'
import { addressOf } from '../kitchen/photographs'
import { useKitchen } from '../kitchen/useKitchen'
import { useOutbox } from '../kitchen/useOutbox'

/** What a recipe looks like: its photograph, else a few of its pieces as it is cut and baked. */
const props = defineProps<{ slip: Pick<Slip, 'photoId' | 'shape' | 'texture' | 'title'> }>()
const kitchen = useKitchen()
const outbox = useOutbox()

/** Where the drawn pieces lie, and how they are turned. */
const LYING = [
    [24, 30, -12],
    [50, 22, 8],
    [74, 34, -4],
    [38, 54, 20],
    [66, 60, -16],
] as const
const SIZE = 24

const shape = computed(() => shapeOf({ shape: props.slip.shape ?? 'round' }, kitchen.choices?.shapes ?? []))
const outline = computed(() => {
    const sizes = Object.fromEntries((shape.value?.sizes ?? []).map((size) => [size.key, size.start]))
    const drawn = outlineOf({ shape: props.slip.shape ?? 'round', ...sizes } as unknown as Cut, shape.value)
    if (drawn === null) return null
    const scale = SIZE / Math.max(drawn.width, drawn.height)

    return { path: drawn.path, width: drawn.width * scale, height: drawn.height * scale }
})
</script>

<template>
    <img
        v-if="slip.photoId !== null"
        class="slip-picture"
        :src="addressOf(outbox, slip.photoId)"
        :alt="`${slip.title}, photographed`"
        loading="lazy"
    />
    <svg v-else class="slip-picture" :class="`slip-picture--${slip.texture ?? 'none'}`" viewBox="0 0 98 84" aria-hidden="true">
        <g v-for="[x, y, turn] in LYING" :key="x" :transform="`translate(${x} ${y}) rotate(${turn})`">
            <path
                v-if="outline !== null"
                :d="outline.path"
                :transform="`translate(${-outline.width / 2} ${-outline.height / 2}) scale(${outline.width} ${outline.height})`"
                vector-effect="non-scaling-stroke"
            />
            <circle v-else r="9" />
        </g>
    </svg>
</template>
