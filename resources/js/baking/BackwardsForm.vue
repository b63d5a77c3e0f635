<script setup lang="ts">
import { computed, reactive } from 'vue'
import { api } from '../api/client'
import type { Cut, SizeAnswer, SizeRequest } from '../api/types.generated'
import { useQuestion } from '../bench/useQuestion'
import { useSheet, type Portion } from '../bench/useSheet'
import { useKitchen } from '../kitchen/useKitchen'
import NumberField from '../ui/NumberField.vue'
import { figure } from '../ui/format'
import { useAsked } from '../ui/useAsked'
import { useDraft } from '../ui/useDraft'
import { useUnits } from '../ui/useUnits'
import SizeField from '../ui/SizeField.vue'

/** Backwards: so many a day for this dog and that one, for so many days; what size, and how much dough? */
const emit = defineEmits<{ take: [portions: Portion[], factor: number] }>()
const kitchen = useKitchen()
const units = useUnits()
const { sheet } = useSheet()
const { question } = useQuestion()
const form = reactive({ wishes: {} as Record<string, number | null>, days: 7 as number | null, thickness: null as number | null })
useDraft('backwards', form)
const asked = computed(() =>
    kitchen.atTable.map((dog) => ({ dog: dog.id, piecesPerDay: form.wishes[dog.id] ?? 0 })).filter((one) => one.piecesPerDay > 0),
)
/** The cut with what is asked for left open. */
function openCut(cut: Cut | null | undefined): SizeRequest['cut'] {
    const sizes = (cut ?? {}) as unknown as Record<string, number>
    const thick = form.thickness ?? sizes['thicknessMm'] ?? null
    const kept = ['sheetWidthMm', 'sheetLengthMm', 'depthMm', 'sliceMm', 'cavities'].filter((key) => key in sizes).map((key) => [key, sizes[key]])

    return {
        shape: cut?.shape ?? 'round',
        ...('thicknessMm' in sizes && thick !== null ? { thicknessMm: thick } : {}),
        ...(Object.fromEntries(kept) as object),
    }
}

const { answer, problem, stale, late } = useAsked<SizeAnswer>({
    of: [asked, () => form.days, () => form.thickness, question, () => kitchen.version],
    ask: (signal) => {
        const whole = question()
        if (whole === null || asked.value.length === 0) return null
        const { cut, portions, ...rest } = whole
        void portions

        return api.size({ ...rest, cut: openCut(cut), wishes: asked.value, days: form.days ?? 1 }, signal)
    },
})
const solution = computed(() => (answer.value?.possible === true ? answer.value : (answer.value?.ifCleared ?? null)))

function said(cut: { shape: string }): string {
    const sizes = Object.entries(cut).filter(([key]) => key !== 'shape')
    const mm = sizes
        .filter(([key]) => key.endsWith('Mm'))
        .map(([, size]) => units.mm(size as unknown as number))
        .join(' × ')
    const rest = sizes
        .filter(([key]) => !key.endsWith('Mm'))
        .map(([key, size]) => `${key === 'ml' || key === 'cavityMl' ? `${size} ml` : `${size} ${key}`}`)
        .join(', ')

    return [cut.shape, mm, rest].filter(Boolean).join(' ')
}

function take(): void {
    const found = solution.value
    if (found === null || found.batchFactor === null) return
    const whole = found.sizes.reduce((sum, size) => sum + size.doughGrams, 0)
    emit(
        'take',
        found.sizes.map((size) => ({
            name: `for ${size.dogs.join(' and ')}`,
            dogs: (size.dogIds ?? []).filter((id) => id !== null),
            share: whole > 0 ? Math.floor((1e6 * size.doughGrams) / whole) / 1e6 : null,
            cut: size.cut as unknown as Cut,
            bake: { texture: sheet.value.texture },
        })),
        found.batchFactor,
    )
}
</script>

<template>
    <section class="studio__part" aria-labelledby="back-title">
        <h2 id="back-title">Backwards</h2>
        <p v-if="kitchen.atTable.length === 0">No dog is at the table yet: seat one above.</p>
        <p class="hint">Say how many a day and for how long; the size and the dough follow.</p>
        <div class="fields">
            <NumberField
                v-for="dog in kitchen.atTable"
                :key="dog.id"
                :label="`${dog.name}, a day`"
                :value="form.wishes[dog.id] ?? null"
                :above="0"
                of="low"
                live
                @meant="form.wishes[dog.id] = $event"
            />
            <NumberField label="days" :value="form.days" :least="1" :most="365" whole live @meant="form.days = $event" />
            <SizeField
                v-if="'thicknessMm' in sheet.cut"
                label="rolled to"
                :placeholder="sheet.cut.thicknessMm"
                :value="form.thickness"
                :above="0"
                live
                @meant="form.thickness = $event"
            />
        </div>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <div v-if="answer !== null" role="status" class="studio__answer" :class="{ 'said-before': late }">
            <p v-if="!answer.possible">
                <strong>{{ answer.why }}</strong> {{ answer.remedy }}
            </p>
            <template v-if="solution !== null && solution.batchFactor !== null">
                <p v-if="!answer.possible">Once that is settled:</p>
                <ul class="sizes">
                    <li v-for="size in solution.sizes" :key="size.dogs.join()">
                        <strong>{{ size.dogs.join(' and ') }}</strong>: {{ said(size.cut) }}, {{ size.pieces }} pieces of
                        {{ figure(size.kcalPerPiece) }} kcal, from {{ Math.round(size.doughGrams) }} g of dough<template v-if="size.sheet !== null"
                            >, {{ size.sheet.perSheet }} on a sheet</template
                        ><template v-if="size.commonCutterMm !== null">
                            (a cutter of {{ units.mm(size.commonCutterMm) }} is the nearest that is not larger)</template
                        >
                    </li>
                </ul>
                <p>In all {{ figure(solution.batchFactor) }} times this recipe.</p>
                <p class="paper__ends"><v-btn variant="flat" color="primary" :disabled="stale" @click="take">Cut it so</v-btn></p>
            </template>
        </div>
    </section>
</template>
