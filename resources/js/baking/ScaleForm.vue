<script setup lang="ts">
import { computed, reactive } from 'vue'
import { api } from '../api/client'
import type { ScaleAnswer, ScaleBy } from '../api/types.generated'
import { useQuestion } from '../bench/useQuestion'
import { useSheet } from '../bench/useSheet'
import { useKitchen } from '../kitchen/useKitchen'
import NumberField from '../ui/NumberField.vue'
import { figure } from '../ui/format'
import { useAsked } from '../ui/useAsked'
import { useDraft } from '../ui/useDraft'
import SwitchRow from '../ui/SwitchRow.vue'
import SizeField from '../ui/SizeField.vue'

/** The same recipe larger or smaller, in amounts a kitchen can measure. Nothing changes until it is taken. */
const kitchen = useKitchen()
const { sheet, takeSwap, scaledParts } = useSheet()
const { answer: bench, question } = useQuestion()
const WAYS = [
    ['factor', 'times'],
    ['pieces', 'pieces'],
    ['days', 'days for these dogs'],
    ['tin', 'a tin'],
    ['atHand', 'what is at hand'],
] as const
const form = reactive({
    way: 'factor' as (typeof WAYS)[number][0],
    number: null as number | null,
    widthMm: null as number | null,
    lengthMm: null as number | null,
    depthMm: null as number | null,
    line: 0,
    grams: null as number | null,
})
const { anew } = useDraft('scale', form)

const by = computed<ScaleBy | null>(() => {
    switch (form.way) {
        case 'factor':
            return form.number === null ? null : { factor: form.number }
        case 'pieces':
            return form.number === null ? null : { pieces: Math.max(1, Math.round(form.number)) }
        case 'days':
            return form.number === null ? null : { days: Math.max(1, Math.round(form.number)) }
        case 'tin':
            return form.widthMm === null || form.depthMm === null
                ? null
                : {
                      tin:
                          form.lengthMm === null
                              ? { diameterMm: form.widthMm, depthMm: form.depthMm }
                              : { widthMm: form.widthMm, lengthMm: form.lengthMm, depthMm: form.depthMm },
                  }
        default:
            return form.grams === null ? null : { atHand: { line: form.line, grams: form.grams } }
    }
})

const { answer, problem, stale, late } = useAsked<ScaleAnswer>({
    of: [by, question, () => kitchen.version],
    ask: (signal) => {
        const asked = question()

        return asked === null || by.value === null ? null : api.scale({ ...asked, by: by.value }, signal)
    },
})

function take(text: string, factor: number): void {
    takeSwap(text, sheet.value.steps, { parts: scaledParts(factor) })
    anew()
    answer.value = null
}
</script>

<template>
    <section class="studio__part" aria-labelledby="scale-title">
        <h2 id="scale-title">Larger or smaller</h2>
        <SwitchRow v-model="form.way" label="Scale by" :items="WAYS.map(([value, title]) => ({ value, title }))" />
        <div class="fields">
            <NumberField
                v-if="['factor', 'pieces', 'days'].includes(form.way)"
                :key="form.way"
                :label="WAYS.find(([key]) => key === form.way)?.[1] ?? ''"
                :value="form.number"
                :above="0"
                :whole="form.way !== 'factor'"
                of="low"
                live
                @meant="form.number = $event"
            />
            <template v-else-if="form.way === 'tin'">
                <SizeField label="wide, or across" :short="false" :value="form.widthMm" :above="0" live @meant="form.widthMm = $event" />
                <SizeField label="long (empty: round)" :short="false" :value="form.lengthMm" :above="0" live @meant="form.lengthMm = $event" />
                <SizeField label="filled to" :value="form.depthMm" :above="0" live @meant="form.depthMm = $event" />
            </template>
            <template v-else>
                <v-select
                    v-model="form.line"
                    class="field--long"
                    label="line"
                    :items="(bench?.lines ?? []).map((line, id) => ({ id, name: line.text }))"
                />
                <NumberField label="g of it at hand" :value="form.grams" :above="0" of="low" live @meant="form.grams = $event" />
            </template>
        </div>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <div v-if="answer !== null" role="status" class="studio__answer" :class="{ 'said-before': late }">
            <p>
                <strong>{{ figure(answer.factor) }}</strong> times the recipe:
            </p>
            <ul class="scaled">
                <li v-for="line in answer.lines" :key="line.line">
                    <del v-if="line.line !== line.to">{{ line.line }}</del> <ins>{{ line.to }}</ins>
                    <small v-if="line.note !== null">{{ line.note }}</small>
                </li>
            </ul>
            <p v-for="warning in answer.warnings" :key="warning" class="hint">{{ warning }}</p>
            <p class="paper__ends">
                <v-btn
                    v-if="answer.wholeEggs !== null"
                    variant="outlined"
                    :disabled="stale"
                    @click="take(answer.wholeEggs.recipeText, answer.wholeEggs.factor)"
                    >{{ answer.wholeEggs.says }}</v-btn><v-btn
                    variant="flat"
                    color="primary"
                    :disabled="stale"
                    @click="take(answer.recipeText, answer.factor)"
                    >Scale the sheet</v-btn
                >
            </p>
        </div>
    </section>
</template>
