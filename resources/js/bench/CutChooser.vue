<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Cut, FormulateAnswer } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import type { Sheet } from './useSheet'

/** Shape, sizes and texture of a piece, drawn at true scale on a ruler beside the dogs' safe bite. */
const props = defineProps<{ answer: FormulateAnswer | null, refusal: { message: string, path: string } | null }>()
const cut = defineModel<Cut>('cut', { required: true })
const texture = defineModel<Sheet['texture']>('texture', { required: true })
const kitchen = useKitchen()

const NAMES: Record<Cut['shape'], string> = {
    round: 'round', square: 'square', rectangle: 'finger', bone: 'bone', heart: 'heart', star: 'star', area: 'own cutter', strip: 'strip',
    log: 'slices of a log', ball: 'ball', scoop: 'scoop', mould: 'mould', grid: 'tray in squares', slices: 'slices of a cake', pieces: 'just a count',
}
const SIZES: Record<string, { label: string, start: number, unit: string, step: number }> = {
    diameterMm: { label: 'across', start: 25, unit: 'mm', step: 1 }, thicknessMm: { label: 'thick', start: 6, unit: 'mm', step: 1 }, sideMm: { label: 'side', start: 20, unit: 'mm', step: 1 },
    widthMm: { label: 'wide', start: 15, unit: 'mm', step: 1 }, lengthMm: { label: 'long', start: 35, unit: 'mm', step: 1 }, areaMm2: { label: 'area', start: 500, unit: 'mm²', step: 10 },
    sliceMm: { label: 'slice', start: 7, unit: 'mm', step: 1 }, ml: { label: 'holds', start: 5, unit: 'ml', step: 1 }, cavityMl: { label: 'each holds', start: 6, unit: 'ml', step: 1 }, cavities: { label: 'hollows', start: 40, unit: '', step: 1 },
    sheetWidthMm: { label: 'tray wide', start: 200, unit: 'mm', step: 5 }, sheetLengthMm: { label: 'tray long', start: 300, unit: 'mm', step: 5 }, depthMm: { label: 'deep', start: 12, unit: 'mm', step: 1 },
    columns: { label: 'columns', start: 8, unit: '', step: 1 }, rows: { label: 'rows', start: 12, unit: '', step: 1 }, count: { label: 'pieces', start: 24, unit: '', step: 1 },
}

const shapes = computed(() => kitchen.choices?.shapes ?? {})
const needs = computed(() => shapes.value[cut.value.shape] ?? Object.keys(cut.value).filter((key) => key !== 'shape'))
const sizes = computed(() => cut.value as unknown as Record<string, number>)
const typed = ref<Record<string, string>>({})

function choose(shape: string): void {
    const next: Record<string, unknown> = { shape }
    for (const key of shapes.value[shape] ?? []) next[key] = sizes.value[key] ?? SIZES[key]?.start ?? 10
    typed.value = {}
    cut.value = next as unknown as Cut
}

function resize(key: string, text: string): void {
    typed.value = { ...typed.value, [key]: text }
    const value = Number(text.replace(',', '.'))
    if (text.trim() === '' || !Number.isFinite(value)) return
    cut.value = { ...cut.value, [key]: value } as Cut
}

const problem = computed(() => props.refusal !== null && props.refusal.path.startsWith('/cut') ? props.refusal : null)

/** The outline of a piece in millimetres; null where a cut is only a count. */
const outline = computed(() => {
    const s = sizes.value
    const [w, h] = [s['widthMm'] ?? 0, s['lengthMm'] ?? 0]
    switch (cut.value.shape) {
        case 'round': case 'log': case 'ball': return { width: s['diameterMm'] ?? 0, height: s['diameterMm'] ?? 0, path: circle(s['diameterMm'] ?? 0) }
        case 'square': return { width: s['sideMm'] ?? 0, height: s['sideMm'] ?? 0, path: box(s['sideMm'] ?? 0, s['sideMm'] ?? 0) }
        case 'rectangle': case 'strip': return { width: h, height: w, path: box(h, w) }
        case 'bone': return { width: h, height: w, path: `M${h * 0.2} ${w * 0.3} H${h * 0.8} a${h * 0.1} ${w * 0.25} 0 1 1 ${h * 0.1} ${w * 0.2} a${h * 0.1} ${w * 0.25} 0 1 1 ${-h * 0.1} ${w * 0.2} H${h * 0.2} a${h * 0.1} ${w * 0.25} 0 1 1 ${-h * 0.1} ${-w * 0.2} a${h * 0.1} ${w * 0.25} 0 1 1 ${h * 0.1} ${-w * 0.2}z` }
        case 'heart': return { width: w, height: h, path: `M${w / 2} ${h} C${-w * 0.35} ${h * 0.45} ${w * 0.15} ${-h * 0.25} ${w / 2} ${h * 0.22} C${w * 0.85} ${-h * 0.25} ${w * 1.35} ${h * 0.45} ${w / 2} ${h}z` }
        case 'star': return { width: w, height: h, path: Array.from({ length: 10 }, (_, i) => {
            const r = i % 2 === 0 ? 0.5 : 0.2
            const angle = Math.PI * (i / 5 - 0.5)
            return `${i === 0 ? 'M' : 'L'}${w / 2 + Math.cos(angle) * r * w} ${h / 2 + Math.sin(angle) * r * h}`
        }).join(' ') + 'z' }
        default: return null
    }
})

function circle(d: number): string {
    return `M0 ${d / 2} a${d / 2} ${d / 2} 0 1 0 ${d} 0 a${d / 2} ${d / 2} 0 1 0 ${-d} 0z`
}

function box(width: number, height: number): string {
    return `M0 0 h${width} v${height} h${-width}z`
}

const bites = computed(() => {
    const seen = new Map<number, string[]>()
    for (const ration of props.answer?.rations ?? []) {
        const bite = ration.explain?.safeBiteMm
        if (bite !== null && bite !== undefined) seen.set(bite, [...(seen.get(bite) ?? []), ration.dog])
    }

    return [...seen.entries()].sort(([one], [two]) => one - two).map(([mm, dogs]) => ({ mm, dogs }))
})

const ruler = computed(() => {
    const need = (outline.value?.width ?? 0) + bites.value.reduce((sum, bite) => sum + bite.mm + 4, 0) + 6
    return Math.min(160, Math.max(60, Math.ceil(need / 10) * 10))
})
const tall = computed(() => Math.min(70, Math.max(outline.value?.height ?? 0, ...bites.value.map((bite) => bite.mm), 10)) + 2)

function biteX(index: number): number {
    return (outline.value?.width ?? 0) + 4 + bites.value.slice(0, index).reduce((sum, bite) => sum + bite.mm + 4, 0)
}
</script>

<template>
    <section class="cut" aria-labelledby="cut-title">
        <h3 id="cut-title">The cut</h3>
        <div class="cut__fields">
            <label class="plain"><span>Shape</span>
                <select id="cut-shape" :value="cut.shape" @change="choose(($event.target as HTMLSelectElement).value)">
                    <option v-for="(_, shape) in shapes" :key="shape" :value="shape">{{ NAMES[shape as Cut['shape']] }}</option>
                    <option v-if="Object.keys(shapes).length === 0" :value="cut.shape">{{ NAMES[cut.shape] }}</option>
                </select>
            </label>
            <label v-for="key in needs" :key="key" class="plain plain--short"><span>{{ SIZES[key]?.label ?? key }}{{ SIZES[key]?.unit ? `, ${SIZES[key]?.unit}` : '' }}</span>
                <input type="number" inputmode="decimal" :step="SIZES[key]?.step" min="1" :value="typed[key] ?? sizes[key]" :aria-invalid="problem?.path === `/cut/${key}`" @input="resize(key, ($event.target as HTMLInputElement).value)" />
            </label>
            <label class="plain"><span>Leaves the oven</span>
                <select v-model="texture">
                    <option v-for="one in kitchen.choices?.textures ?? [{ id: texture, name: texture }]" :key="one.id" :value="one.id">{{ one.name }}</option>
                </select>
            </label>
        </div>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem.message }}</p>
        <svg v-if="outline !== null || bites.length > 0" class="ruler" :style="{ width: `${ruler}mm`, height: `${tall + 12}mm` }" :viewBox="`-1 -1 ${ruler} ${tall + 12}`" role="img" aria-label="The piece at true size on a ruler, beside the safe bite of the dogs">
            <path v-if="outline !== null" :d="outline.path" class="ruler__piece" :transform="`translate(0 ${tall - outline.height})`" />
            <g v-for="(bite, index) in bites" :key="bite.mm">
                <circle :cx="biteX(index) + bite.mm / 2" :cy="tall - bite.mm / 2" :r="bite.mm / 2" class="ruler__bite" />
                <text :x="biteX(index) + bite.mm / 2" :y="tall - bite.mm / 2 + 1" text-anchor="middle">{{ bite.mm }}</text>
            </g>
            <path :d="Array.from({ length: ruler - 1 }, (_, i) => `M${i} ${tall + 1} v${i % 10 === 0 ? 4 : i % 5 === 0 ? 3 : 1.6}`).join(' ')" class="ruler__ticks" />
            <text v-for="i in Math.floor((ruler - 2) / 10)" :key="i" :x="i * 10" :y="tall + 9" text-anchor="middle">{{ i }}</text>
        </svg>
        <p v-if="bites.length > 0" class="cut__bites">Safe bite: <template v-for="(bite, index) in bites" :key="bite.mm">{{ index > 0 ? '; ' : '' }}{{ bite.mm }} mm for {{ bite.dogs.join(', ') }}</template>. Centimetres below.</p>
    </section>
</template>
