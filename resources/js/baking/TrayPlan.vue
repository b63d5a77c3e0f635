<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Cut, PortionOfBatch } from '../api/types.generated'
import { outlineOf, shapeOf } from '../bench/outline'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import NumberField from '../ui/NumberField.vue'
import SizeField from '../ui/SizeField.vue'
import { useUnits } from '../ui/useUnits'

/** The pieces laid out on the baker's own tray, to scale. */
const props = defineProps<{ portion: PortionOfBatch }>()
const kitchen = useKitchen()
const { mm } = useUnits()
const problem = ref<string | null>(null)

const tray = computed(() => kitchen.kitchen?.tray ?? { widthMm: 300, lengthMm: 400, gapMm: 10, atOnce: 1 })
const plan = computed(() => props.portion.sheet)
const shape = computed(() => shapeOf(props.portion.cut, kitchen.choices?.shapes ?? []))
const outline = computed(() => outlineOf(props.portion.cut as unknown as Cut, shape.value))
const isOwnTray = computed(() => shape.value?.lies !== 'AsSheet' && shape.value?.lies !== 'InMoulds')
/** A grid is its own tray. */
const frame = computed(() => {
    const cut = props.portion.cut as unknown as Record<string, number>

    return shape.value?.lies === 'AsSheet'
        ? { width: cut['sheetWidthMm'] ?? 0, length: cut['sheetLengthMm'] ?? 0 }
        : { width: tray.value.widthMm, length: tray.value.lengthMm }
})
/** A piece lies as the plan says: its outline is turned where it lies across. */
const turned = computed(() => outline.value !== null && plan.value !== null && Math.abs(outline.value.width - (plan.value.pieceMm[0] ?? 0)) > 0.1)

async function change(key: 'trayWidthMm' | 'trayLengthMm' | 'trayGapMm' | 'traysAtOnce', value: number | null): Promise<void> {
    if (value === null) return
    try {
        await kitchen.change({ [key]: value })
        problem.value = null
    } catch (error) {
        problem.value = wordsOf(error)
    }
}

const FIELDS = [
    ['trayWidthMm', 'tray wide', 'widthMm'],
    ['trayLengthMm', 'tray long', 'lengthMm'],
    ['trayGapMm', 'gap', 'gapMm'],
] as const
</script>

<template>
    <section class="studio__part" aria-labelledby="tray-title">
        <h2 id="tray-title">On the tray</h2>
        <div v-if="isOwnTray" class="fields">
            <SizeField
                v-for="[key, label, field] in FIELDS"
                :key="key"
                :label="label"
                :value="tray[field]"
                @meant="change(key, $event)"
            /><NumberField label="trays at once" :value="tray.atOnce" whole @meant="change('traysAtOnce', $event)" />
        </div>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <p v-if="plan === null" class="hint">Pieces that are only counted have no place on a tray: choose a shape with sizes.</p>
        <template v-else>
            <p role="status">
                <strong>{{ plan.perSheet }}</strong> {{ shape?.lies === 'InMoulds' ? 'hollows' : 'on a sheet'
                }}<template v-if="plan.sheets > 0"
                    >, so <strong>{{ plan.sheets }}</strong> sheet{{ plan.sheets === 1 ? '' : 's'
                    }}<template v-if="plan.lastSheet < plan.perSheet"> (the last holds {{ plan.lastSheet }})</template> and
                    <strong>{{ plan.rounds }}</strong> oven round{{ plan.rounds === 1 ? '' : 's' }}</template
                ><template v-if="plan.staggered">; rows staggered</template>.<template v-if="isOwnTray">
                    Left free at the edges: {{ mm(Math.round(plan.edgesMm[0] ?? 0)) }} and {{ mm(Math.round(plan.edgesMm[1] ?? 0)) }}.</template
                >
            </p>
            <p v-if="plan.says !== null" class="hint">{{ plan.says }}</p>
            <svg
                v-if="plan.at.length > 0"
                class="tray"
                :viewBox="`-4 -4 ${frame.width + 8} ${frame.length + 8}`"
                role="img"
                :aria-label="`${plan.perSheet} pieces on a tray of ${mm(frame.width)} by ${mm(frame.length)}`"
            >
                <rect x="-3" y="-3" :width="frame.width + 6" :height="frame.length + 6" rx="8" class="tray__rim" />
                <template v-for="([x, y], n) in plan.at" :key="n">
                    <path
                        v-if="outline !== null"
                        :d="outline.path"
                        :transform="`translate(${x} ${y})${turned ? ' rotate(90)' : ''} translate(${-outline.width / 2} ${-outline.height / 2}) scale(${outline.width} ${outline.height})`"
                        vector-effect="non-scaling-stroke"
                        class="tray__piece"
                        :class="{ 'tray__piece--none': plan.sheets === 1 && n >= plan.lastSheet }"
                    />
                    <circle
                        v-else
                        :cx="x"
                        :cy="y"
                        :r="(plan.pieceMm[0] ?? 0) / 2"
                        class="tray__piece"
                        :class="{ 'tray__piece--none': plan.sheets === 1 && n >= plan.lastSheet }"
                    />
                </template>
            </svg>
        </template>
    </section>
</template>
