<script setup lang="ts">
import { computed } from 'vue'
import type { Cut, FormulateAnswer } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import NumberField from '../ui/NumberField.vue'
import CutRuler from './CutRuler.vue'
import { shapeOf } from './outline'
import type { Sheet } from './useSheet'
import SizeField from '../ui/SizeField.vue'
import { useUnits } from '../ui/useUnits'

/** Shape, sizes and texture of a piece, drawn at true scale on a ruler beside the dogs' safe bite. */
const props = withDefaults(
    defineProps<{
        answer: FormulateAnswer | null
        refusal: { message: string; path: string } | null
        place?: string
        dogs?: (string | null)[] | null
        oddity?: string | null
        score?: { along: number; across: number } | null
        large?: boolean
    }>(),
    { place: '/cut', dogs: null, oddity: null, score: null, large: false },
)
const cut = defineModel<Cut>('cut', { required: true })
const texture = defineModel<Sheet['texture']>('texture', { required: true })
const kitchen = useKitchen()
const units = useUnits()

const shapes = computed(() => kitchen.choices?.shapes ?? [])
const needs = computed(() => shapeOf(cut.value, shapes.value)?.sizes ?? [])
const sizes = computed(() => cut.value as unknown as Record<string, number>)

function choose(shape: string): void {
    const next: Record<string, unknown> = { shape }
    for (const size of shapeOf({ shape }, shapes.value)?.sizes ?? []) next[size.key] = sizes.value[size.key] ?? size.start
    cut.value = next as unknown as Cut
    // nobody bakes a cake until it snaps; another texture is a choice of its own
    if (shape === 'slices' && texture.value === 'biscuit') texture.value = 'cake'
}

function resize(key: string, value: number | null): void {
    if (value !== null) cut.value = { ...cut.value, [key]: value } as Cut
}

const problem = computed(() => (props.refusal !== null && props.refusal.path.startsWith(props.place) ? props.refusal : null))

const bites = computed(() => {
    const seen = new Map<number, string[]>()
    for (const ration of props.answer?.rations ?? []) {
        const bite = ration.explain?.safeBiteMm
        if (props.dogs !== null && !props.dogs.includes(ration.dogId ?? null)) continue
        if (bite !== null && bite !== undefined) seen.set(bite, [...(seen.get(bite) ?? []), ration.dog])
    }

    return [...seen.entries()].sort(([one], [two]) => one - two).map(([mm, dogs]) => ({ mm, dogs }))
})
</script>

<template>
    <section class="cut" aria-label="The cut">
        <slot><h3>The cut</h3></slot>
        <div class="cut__fields">
            <v-select
                :id="place === '/cut' ? 'cut-shape' : undefined"
                class="field--long"
                label="Shape"
                :model-value="cut.shape"
                :items="shapes.length === 0 ? [{ id: cut.shape, name: cut.shape }] : shapes"
                @update:model-value="choose($event)"
            />
            <template v-for="size in needs" :key="`${cut.shape} ${size.key}`">
                <SizeField
                    v-if="size.unit === 'mm'"
                    :label="size.label"
                    :value="sizes[size.key] ?? null"
                    :problem="problem?.path === `${place}/${size.key}` ? problem.message : null"
                    of="high"
                    live
                    @meant="resize(size.key, $event)"
                />
                <NumberField
                    v-else
                    :label="`${size.label}${size.unit === '' ? '' : `, ${size.unit}`}`"
                    :value="sizes[size.key] ?? null"
                    :problem="problem?.path === `${place}/${size.key}` ? problem.message : null"
                    of="high"
                    live
                    @meant="resize(size.key, $event)"
                />
            </template>
            <v-select
                v-model="texture"
                class="field--long"
                label="Leaves the oven"
                :items="kitchen.choices?.textures ?? [{ id: texture, name: texture }]"
            />
        </div>
        <p v-if="problem !== null && !needs.some((size) => problem?.path === `${place}/${size.key}`)" class="problem" role="alert">
            {{ problem.message }}
        </p>
        <CutRuler v-model="cut" :bites="bites" :score="score" :large="large" />
        <p v-if="score !== null" class="hint">
            Score it {{ score.along }} × {{ score.across }} before it is baked, so that it breaks into safe parts.
        </p>
        <p v-if="bites.length > 0" class="cut__bites">
            Safe bite:
            <template v-for="(bite, index) in bites" :key="bite.mm"
                >{{ index > 0 ? '; ' : '' }}{{ units.mmAtMost(bite.mm) }} for {{ bite.dogs.join(', ') }}</template
            >.
        </p>
        <p v-if="oddity !== null" class="hint">{{ oddity }}</p>
    </section>
</template>
