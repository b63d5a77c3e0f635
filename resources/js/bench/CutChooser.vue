<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Cut, FormulateAnswer } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import CutRuler from './CutRuler.vue'
import type { Sheet } from './useSheet'

/** Shape, sizes and texture of a piece, drawn at true scale on a ruler beside the dogs' safe bite. */
const props = withDefaults(defineProps<{ answer: FormulateAnswer | null, refusal: { message: string, path: string } | null, place?: string, dogs?: string[] | null, oddity?: string | null, score?: { along: number, across: number } | null, large?: boolean }>(), { place: '/cut', dogs: null, oddity: null, score: null, large: false })
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

/** What was typed, as long as it is what the cut says; a size that was dragged takes its place. */
function shown(key: string): string | number | undefined {
    const text = typed.value[key]

    return text !== undefined && (text.trim() === '' || !Number.isFinite(Number(text)) || Number(text.replace(',', '.')) === sizes.value[key]) ? text : sizes.value[key]
}

const problem = computed(() => props.refusal !== null && props.refusal.path.startsWith(props.place) ? props.refusal : null)

const bites = computed(() => {
    const seen = new Map<number, string[]>()
    for (const ration of props.answer?.rations ?? []) {
        const bite = ration.explain?.safeBiteMm
        if (props.dogs !== null && !props.dogs.includes(ration.dog)) continue
        if (bite !== null && bite !== undefined) seen.set(bite, [...(seen.get(bite) ?? []), ration.dog])
    }

    return [...seen.entries()].sort(([one], [two]) => one - two).map(([mm, dogs]) => ({ mm, dogs }))
})
</script>

<template>
    <section class="cut" aria-label="The cut">
        <slot><h3>The cut</h3></slot>
        <div class="cut__fields">
            <label class="plain"><span>Shape</span>
                <select :id="place === '/cut' ? 'cut-shape' : undefined" :value="cut.shape" @change="choose(($event.target as HTMLSelectElement).value)">
                    <option v-for="(_, shape) in shapes" :key="shape" :value="shape">{{ NAMES[shape as Cut['shape']] }}</option>
                    <option v-if="Object.keys(shapes).length === 0" :value="cut.shape">{{ NAMES[cut.shape] }}</option>
                </select>
            </label>
            <label v-for="key in needs" :key="key" class="plain plain--short"><span>{{ SIZES[key]?.label ?? key }}{{ SIZES[key]?.unit ? `, ${SIZES[key]?.unit}` : '' }}</span>
                <input type="number" inputmode="decimal" :step="SIZES[key]?.step" min="1" :value="shown(key)" :aria-invalid="problem?.path === `${place}/${key}`" @input="resize(key, ($event.target as HTMLInputElement).value)" />
            </label>
            <label class="plain"><span>Leaves the oven</span>
                <select v-model="texture">
                    <option v-for="one in kitchen.choices?.textures ?? [{ id: texture, name: texture }]" :key="one.id" :value="one.id">{{ one.name }}</option>
                </select>
            </label>
        </div>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem.message }}</p>
        <CutRuler v-model="cut" :bites="bites" :score="score" :large="large" />
        <p v-if="score !== null" class="hint">Score it {{ score.along }} × {{ score.across }} before it is baked, so that it breaks into safe parts.</p>
        <p v-if="bites.length > 0" class="cut__bites">Safe bite: <template v-for="(bite, index) in bites" :key="bite.mm">{{ index > 0 ? '; ' : '' }}{{ bite.mm }} mm for {{ bite.dogs.join(', ') }}</template>.</p>
        <p v-if="oddity !== null" class="hint">{{ oddity }}</p>
    </section>
</template>
