<script setup lang="ts">
import { computed } from 'vue'
import type { Bag, Place } from '../api/types.generated'
import { BODY, bodyId } from './bodies'
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
const [TOP, BOTTOM] = [24, 90]
const level = computed(() => BOTTOM - (BOTTOM - TOP) * fullness(props.bag))
/** as many discs as there are rows for, so that little looks little; one path, for there may be hundreds of bags */
const discs = computed(() => {
    if (props.bag.content !== 'treats') return ''
    const rows = Math.ceil((BOTTOM - level.value) / 13)

    return Array.from({ length: rows * 4 }, (_, n) => {
        const row = Math.floor(n / 4)

        return `M${7.8 + (n % 4) * 15 + (row % 2) * 6} ${84 - row * 13}a7.2 7.2 0 1 0 14.4 0a7.2 7.2 0 1 0-14.4 0`
    }).join('')
})
</script>

<template>
    <svg class="bag-drawing" :class="`bag-drawing--${shape}`" viewBox="0 0 80 96" aria-hidden="true">
        <path :d="BODY[shape]" class="bag-drawing__wall" />
        <g :clip-path="`url(#${bodyId(shape)})`">
            <rect v-if="bag.content !== 'treats'" x="0" :y="level" width="80" height="96" class="bag-drawing__fill" />
            <path v-else-if="discs !== ''" :d="discs" class="bag-drawing__piece" />
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
