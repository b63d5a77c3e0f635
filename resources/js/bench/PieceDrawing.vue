<script setup lang="ts">
import { computed } from 'vue'
import type { Cut, Part } from '../api/types.generated'

/**
 * One piece from the side, cut open: what its parts are and how much of each is on it. Heights follow the grams on a piece, so that a thin
 * glaze is thin; a part too thin to be seen is drawn as thin as can be.
 */
const props = defineProps<{ parts: Part[]; cut: Cut }>()

const W = 120
const H = 64
const THIN = 3

const onPiece = computed(() => props.parts.filter((part) => part.into.length === 0 && part.gramsPerPiece.best > 0))
const body = computed(() => onPiece.value.find((part) => part.role === 'body') ?? null)
const total = computed(() => onPiece.value.reduce((sum, part) => sum + part.gramsPerPiece.best, 0))
const isJelly = computed(() => body.value?.process === 'set')
const isRound = computed(() => ['ball', 'round'].includes(props.cut.shape))

function share(role: Part['role']): number {
    return total.value === 0
        ? 0
        : onPiece.value.filter((part) => part.role === role).reduce((sum, part) => sum + part.gramsPerPiece.best, 0) / total.value
}

function thick(role: Part['role'], whole: number): number {
    return share(role) === 0 ? 0 : Math.max(THIN, share(role) * whole)
}

const drawn = computed(() => {
    const top = thick('frosting', 40) + thick('topping', 24)
    const coat = thick('coating', 16)
    const height = 44 - Math.min(20, top)
    const [left, right, bottom] = [8, W - 8, H - 4]
    const roof = bottom - height
    const curve = isJelly.value ? 14 : isRound.value ? 9 : 4
    const outline = `M${left} ${bottom - 2} q0 2 2 2 H${right - 2} q2 0 2 -2 V${roof + curve} q0 ${-curve} ${-curve} ${-curve} H${left + curve} q${-curve} 0 ${-curve} ${curve} Z`
    const waves = Array.from(
        { length: 6 },
        (_, n) => `q${(right - left - 2 * curve) / 12} ${n % 2 === 0 ? -6 : 4} ${(right - left - 2 * curve) / 6} 0`,
    ).join(' ')
    const frosting = thick('frosting', 40)
    const filling = thick('filling', 40)

    return {
        outline,
        coat,
        frosting: frosting === 0 ? null : `M${left + curve} ${roof + 1} V${roof - frosting} ${waves} V${roof + 1} Z`,
        filling: filling === 0 ? null : { x: left + 12, y: (roof + bottom) / 2 - filling / 2, width: right - left - 24, height: filling },
        specks:
            share('dusting') > 0 || share('topping') > 0
                ? Array.from({ length: 9 }, (_, n) => ({
                      x: left + 12 + (n * (right - left - 24)) / 8,
                      y: roof - frosting - (n % 2 === 0 ? 2 : 4),
                      r: share('topping') > 0 ? 2.6 : 1.2,
                  }))
                : [],
        liquid:
            share('liquid') > 0
                ? `M${left + 2} ${bottom - Math.min(height - 2, thick('liquid', height))} H${right - 2} V${bottom - 1} H${left + 2} Z`
                : null,
    }
})

const NAMES: Record<Part['role'], string> = {
    body: 'dough',
    filling: 'filling',
    topping: 'topping',
    frosting: 'frosting',
    coating: 'coating',
    liquid: 'liquid',
    dusting: 'dusting',
}

const says = computed(() =>
    onPiece.value.length < 2 && !isJelly.value
        ? ''
        : `A piece: ${onPiece.value.map((part) => `${Math.round((100 * part.gramsPerPiece.best) / total.value)} % ${part.role === 'body' && isJelly.value ? 'jelly' : NAMES[part.role]}`).join(', ')}`,
)
</script>

<template>
    <figure v-if="says !== ''" class="piece-drawing">
        <svg :viewBox="`0 0 ${W} ${H}`" role="img" :aria-label="says">
            <path v-if="drawn.coat > 0" class="piece-drawing__coating" :d="drawn.outline" :stroke-width="drawn.coat * 2" />
            <path class="piece-drawing__body" :class="{ 'piece-drawing__body--jelly': isJelly }" :d="drawn.outline" />
            <path v-if="drawn.liquid !== null" class="piece-drawing__liquid" :d="drawn.liquid" />
            <rect v-if="drawn.filling !== null" class="piece-drawing__filling" v-bind="drawn.filling" rx="5" />
            <path v-if="drawn.frosting !== null" class="piece-drawing__frosting" :d="drawn.frosting" />
            <circle v-for="(one, n) in drawn.specks" :key="n" class="piece-drawing__speck" :cx="one.x" :cy="one.y" :r="one.r" />
        </svg>
        <figcaption>{{ says.replace('A piece: ', '') }}</figcaption>
    </figure>
</template>
