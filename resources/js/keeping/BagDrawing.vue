<script setup lang="ts">
import { computed } from 'vue'
import type { Bag, Place } from '../api/types.generated'
import { fullness } from './shelves'

/** A bag drawn as what it is: a jar, a tub, a frozen bag, a lump of dough, an opened tin. Filled as far as pieces are left. */
const props = defineProps<{ bag: Bag; kind: Place['kind'] }>()
const shape = computed(() =>
    props.bag.content === 'food'
        ? 'tin'
        : props.bag.content === 'dough'
          ? 'dough'
          : props.kind === 'jar'
            ? 'jar'
            : props.kind === 'fridge'
              ? 'tub'
              : 'pouch',
)
const BODY = {
    jar: 'M16 22h48q6 0 6 8v52q0 8-8 8H18q-8 0-8-8V30q0-8 6-8z',
    tub: 'M8 40h64l-6 44q-1 6-7 6H21q-6 0-7-6z',
    pouch: 'M14 20h52l4 66q0 4-4 4H14q-4 0-4-4z',
    dough: 'M12 66q0-26 28-26t28 26q0 24-28 24T12 66z',
    tin: 'M18 34h44v50q0 6-22 6t-22-6z',
} as const
const [TOP, BOTTOM] = [24, 90]
const level = computed(() => BOTTOM - (BOTTOM - TOP) * fullness(props.bag))
/** as many discs as there are rows for, so that little looks little */
const discs = computed(() => {
    if (props.bag.content !== 'treats') return []
    const rows = Math.ceil((BOTTOM - level.value) / 13)

    return Array.from({ length: rows }, (_, row) =>
        Array.from({ length: 4 }, (__, n) => ({ x: 18 + n * 15 + (row % 2) * 6 - 3, y: 84 - row * 13 })),
    ).flat()
})
const clip = computed(() => `bag-${props.bag.id}`)
</script>

<template>
    <svg class="bag-drawing" :class="`bag-drawing--${shape}`" viewBox="0 0 80 96" aria-hidden="true">
        <clipPath :id="clip"><path :d="BODY[shape]" /></clipPath>
        <path :d="BODY[shape]" class="bag-drawing__wall" />
        <g :clip-path="`url(#${clip})`">
            <rect v-if="bag.content !== 'treats'" x="0" :y="level" width="80" height="96" class="bag-drawing__fill" />
            <circle v-for="(one, n) in discs" :key="n" :cx="one.x" :cy="one.y" r="7.2" class="bag-drawing__piece" />
        </g>
        <path :d="BODY[shape]" class="bag-drawing__edge" />
        <rect v-if="shape === 'jar'" x="14" y="10" width="52" height="12" rx="4" class="bag-drawing__lid" />
        <rect v-if="shape === 'tub'" x="5" y="32" width="70" height="9" rx="4" class="bag-drawing__lid" />
        <path v-if="shape === 'pouch'" d="M14 20h52M15 26h50" class="bag-drawing__zip" />
        <path v-if="shape === 'tin'" d="M18 34q0-6 22-6t22 6-22 6-22-6zM40 28l20-14" class="bag-drawing__zip" />
        <g v-if="bag.frozen" class="bag-drawing__frost">
            <path d="M62 70v16M55 74l14 8M69 74l-14 8" />
        </g>
    </svg>
</template>
