<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import { computed } from 'vue'

/** One quantity against another, drawn: what was known, a line between it, and where it is heading. The figures stand in its name. */
const props = defineProps<{
    points: { x: number; y: number }[]
    label: string
    from: number
    to: number
    /** the least and the most on the upright axis are 0 and this */
    most: number
    xLabels: [string, string]
    yLabel: string
    dots?: boolean
    goal?: { y: number; label: string } | null
    /** what stands at the last point */
    last?: string | null
}>()

const [W, H] = [240, 140]
const [LEFT, RIGHT, TOP, BOTTOM] = [42, 6, 14, 20]
const x = computed(() =>
    scaleLinear()
        .domain([props.from, Math.max(props.to, props.from + 0.1)])
        .range([LEFT, W - RIGHT - 6]),
)
const y = computed(() =>
    scaleLinear()
        .domain([0, 1.1 * props.most])
        .range([H - BOTTOM, TOP]),
)
const path = computed(
    () =>
        line<{ x: number; y: number }>(
            (one) => x.value(one.x),
            (one) => y.value(one.y),
        )(props.points) ?? '',
)
const end = computed(() => {
    const one = props.points[props.points.length - 1]
    if (one === undefined) return null
    const at = { x: x.value(one.x), y: y.value(one.y) }

    // beside the point, or under it where it stands at the edge
    return at.x > W - 60 ? { x: W - RIGHT, y: at.y + 18, anchor: 'end' as const } : { x: at.x + 7, y: at.y + 4, anchor: 'start' as const }
})
</script>

<template>
    <svg :viewBox="`0 0 ${W} ${H}`" role="img" :aria-label="label" class="line-chart">
        <path :d="`M${LEFT} ${TOP - 2} V${H - BOTTOM} H${W - RIGHT}`" class="growth__axis" />
        <g v-if="goal">
            <path :d="`M${LEFT} ${y(goal.y)} H${W - RIGHT}`" class="growth__goal" />
            <text :x="W - RIGHT - 2" :y="y(goal.y) - 4" text-anchor="end">{{ goal.label }}</text>
        </g>
        <path :d="path" class="growth__line" />
        <template v-if="dots">
            <circle v-for="one in points" :key="`${one.x} ${one.y}`" :cx="x(one.x)" :cy="y(one.y)" r="3.2" class="growth__dot" />
        </template>
        <text v-if="end !== null && last" :x="end.x" :y="end.y" :text-anchor="end.anchor">{{ last }}</text>
        <text :x="LEFT - 4" :y="y(most) + 4" text-anchor="end">{{ yLabel }}</text>
        <text :x="LEFT - 4" :y="H - BOTTOM" text-anchor="end">0</text>
        <text :x="LEFT" :y="H - 6">{{ xLabels[0] }}</text>
        <text :x="W - RIGHT" :y="H - 6" text-anchor="end">{{ xLabels[1] }}</text>
    </svg>
</template>
