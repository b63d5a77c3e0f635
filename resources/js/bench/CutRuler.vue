<script setup lang="ts">
import { useElementSize, useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Cut } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import { useUnits } from '../ui/useUnits'
import { handlesOf, outlineOf, shapeOf, thicknessKey } from './outline'

/** One piece at true size on a ruler in millimetres and inches, from above and from the side, beside the dogs' safe bites. Its edges can be dragged. */
const props = defineProps<{ bites: { mm: number; dogs: string[] }[]; score?: { along: number; across: number } | null; large?: boolean }>()
const cut = defineModel<Cut>({ required: true })
/** How much the screen's own millimetre differs from the baker's ruler. */
const scale = useLocalStorage('mildbowl.screen-scale', 1)

const { mmAnInch } = useUnits()
const GAP = 7
/** A hand wants so many pixels to take hold of. */
const HOLD_PX = 28
const CSS_MM = 96 / 25.4
/** A grip as it is drawn, in millimetres. */
const ACROSS = { width: 3.2, height: 8 }
const DOWN = { width: 8, height: 3.2 }
const svg = ref<SVGSVGElement | null>(null)
const kitchen = useKitchen()
const shape = computed(() => shapeOf(cut.value, kitchen.choices?.shapes ?? []))
const outline = computed(() => outlineOf(cut.value, shape.value))
const { width: drawnPx } = useElementSize(svg)
const handles = computed(() => handlesOf(shape.value))
const sizes = computed(() => cut.value as unknown as Record<string, number>)
const thick = computed(() => {
    const key = thicknessKey(shape.value)

    return key === null || outline.value === null ? null : { key, mm: sizes.value[key] ?? 0 }
})

const sideX = computed(() => (outline.value?.width ?? 0) + GAP)
const bitesX = computed(() => sideX.value + (thick.value === null ? 0 : thick.value.mm + GAP))
const ruler = computed(() => {
    const need = bitesX.value + props.bites.reduce((sum, bite) => sum + bite.mm + 4, 0) + 6

    return Math.min(props.large ? 220 : 160, Math.max(60, Math.ceil(need / 10) * 10))
})
const tall = computed(() => Math.min(90, Math.max(outline.value?.height ?? 0, ...props.bites.map((bite) => bite.mm), 10)) + 2)
/** The quarter inches along the ruler, and where they stand on it; none while core's measure of an inch is not here. */
const quarters = computed(() => {
    const inch = mmAnInch()

    return inch === null
        ? []
        : Array.from({ length: Math.floor(((ruler.value - 2) / inch) * 4) + 1 }, (_, n) => ({
              inches: n / 4,
              x: (n / 4) * inch,
              isWhole: n % 4 === 0,
          }))
})

/** How far the drawing is from its true size: a narrow screen draws it smaller. */
const drawnAs = computed(() => (drawnPx.value === 0 ? 1 : Math.min(1, drawnPx.value / (ruler.value * scale.value * CSS_MM))))
/** What a hand takes hold of, in the millimetres of the drawing. */
const hold = computed(() => HOLD_PX / CSS_MM / scale.value / drawnAs.value)

/** Where to press a knife before baking: the length of the piece runs along its longer side. */
const scoreLines = computed(() => {
    const [piece, score] = [outline.value, props.score]
    if (piece === null || score === null || score === undefined) return ''
    const [across, down] = piece.width >= piece.height ? [score.along, score.across] : [score.across, score.along]

    return [
        ...Array.from({ length: across - 1 }, (_, n) => `M${((n + 1) * piece.width) / across} 0 v${piece.height}`),
        ...Array.from({ length: down - 1 }, (_, n) => `M0 ${((n + 1) * piece.height) / down} h${piece.width}`),
    ].join(' ')
})

/** Where the edges that can be dragged are taken hold of: those of the piece from above, and its thickness from the side. */
const grips = computed(() => {
    const piece = outline.value
    if (piece === null) return []
    const edges = handles.value.map(({ key, label, axis }) =>
        axis === 'across'
            ? { key, label, axis, x: piece.width, y: tall.value - piece.height / 2, ...ACROSS }
            : { key, label, axis, x: piece.width / 2, y: tall.value - piece.height, ...DOWN },
    )

    return thick.value === null
        ? edges
        : [
              {
                  key: thick.value.key,
                  label: 'thick',
                  axis: 'across' as const,
                  x: sideX.value + thick.value.mm,
                  y: tall.value - piece.height / 2,
                  ...ACROSS,
              },
              ...edges,
          ]
})

function biteX(index: number): number {
    return bitesX.value + props.bites.slice(0, index).reduce((sum, bite) => sum + bite.mm + 4, 0)
}

function resize(key: string, mm: number): void {
    cut.value = { ...cut.value, [key]: Math.max(1, Math.min(500, Math.round(mm))) } as Cut
}

/** Follows the pointer from where it took hold, in the millimetres of the drawing. */
function drag(event: PointerEvent, key: string, axis: 'across' | 'down'): void {
    const box = svg.value?.getBoundingClientRect()
    if (box === undefined || box.width === 0) return
    event.preventDefault()
    const mmPerPixel = ruler.value / box.width
    const [fromX, fromY, from] = [event.clientX, event.clientY, sizes.value[key] ?? 0]
    const target = event.currentTarget as Element
    target.setPointerCapture(event.pointerId)
    const move = (at: Event): void => {
        const pointer = at as PointerEvent
        resize(key, from + (axis === 'across' ? pointer.clientX - fromX : fromY - pointer.clientY) * mmPerPixel)
    }
    const end = (): void => {
        target.removeEventListener('pointermove', move)
        target.removeEventListener('pointerup', end)
        target.removeEventListener('pointercancel', end)
    }
    target.addEventListener('pointermove', move)
    target.addEventListener('pointerup', end)
    target.addEventListener('pointercancel', end)
}

function nudge(event: KeyboardEvent, key: string): void {
    const step = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 5, PageDown: -5 }[event.key]
    if (step === undefined) return
    event.preventDefault()
    resize(key, (sizes.value[key] ?? 0) + step)
}
</script>

<template>
    <svg
        v-if="outline !== null || bites.length > 0"
        ref="svg"
        class="ruler"
        :style="{ width: `${ruler * scale}mm`, height: `${(tall + 19) * scale}mm` }"
        :viewBox="`-1 -1 ${ruler} ${tall + 19}`"
        role="group"
        aria-label="The piece at true size on a ruler, beside the safe bite of the dogs"
    >
        <path
            v-if="outline !== null"
            :d="outline.path"
            class="ruler__piece"
            vector-effect="non-scaling-stroke"
            :transform="`translate(0 ${tall - outline.height}) scale(${outline.width} ${outline.height})`"
        />
        <path v-if="outline !== null && score" :d="scoreLines" class="ruler__score" :transform="`translate(0 ${tall - outline.height})`" />
        <g v-if="thick !== null">
            <rect class="ruler__piece" :x="sideX" :y="tall - (outline?.height ?? 0)" :width="thick.mm" :height="outline?.height ?? 0" rx=".8" />
        </g>
        <g
            v-for="grip in grips"
            :key="grip.key"
            class="ruler__handle"
            role="slider"
            tabindex="0"
            :aria-label="`Drag: ${grip.label}`"
            :aria-valuenow="sizes[grip.key]"
            aria-valuemin="1"
            aria-valuemax="500"
            @pointerdown="drag($event, grip.key, grip.axis)"
            @keydown="nudge($event, grip.key)"
        >
            <rect class="ruler__hold" :x="grip.x - hold / 2" :y="grip.y - hold / 2" :width="hold" :height="hold" />
            <rect :x="grip.x - grip.width / 2" :y="grip.y - grip.height / 2" :width="grip.width" :height="grip.height" rx="1.6" />
        </g>
        <g v-for="(bite, index) in bites" :key="bite.mm">
            <circle :cx="biteX(index) + bite.mm / 2" :cy="tall - bite.mm / 2" :r="bite.mm / 2" class="ruler__bite" />
            <text :x="biteX(index) + bite.mm / 2" :y="tall - bite.mm / 2 + 1" text-anchor="middle">{{ bite.mm }}</text>
        </g>
        <path
            :d="Array.from({ length: ruler - 1 }, (_, i) => `M${i} ${tall + 1} v${i % 10 === 0 ? 4 : i % 5 === 0 ? 3 : 1.6}`).join(' ')"
            class="ruler__ticks"
        />
        <text v-for="i in Math.floor((ruler - 2) / 10)" :key="i" :x="i * 10" :y="tall + 8.4" text-anchor="middle">
            {{ i }}
            <tspan v-if="i === 1">cm</tspan>
        </text>
        <path :d="quarters.map((one) => `M${one.x} ${tall + 10} v${one.isWhole ? 4 : 2}`).join(' ')" class="ruler__ticks" />
        <text
            v-for="one in quarters.filter((mark) => mark.isWhole && mark.inches > 0)"
            :key="one.inches"
            :x="one.x"
            :y="tall + 17"
            text-anchor="middle"
        >
            {{ one.inches }} in
        </text>
    </svg>
    <p v-if="drawnAs < 0.98" class="hint">Drawn at {{ Math.round(100 * drawnAs) }} % of its true size: this screen is too narrow for it.</p>
</template>
