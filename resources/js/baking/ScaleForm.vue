<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { api } from '../api/client'
import type { ScaleAnswer, ScaleBy } from '../api/types.generated'
import { useSheet } from '../bench/useSheet'
import { figure } from '../ui/format'
import { useAsked } from '../ui/useAsked'

/** The same recipe larger or smaller, in amounts a kitchen can measure. Nothing changes until it is taken. */
const { sheet, answer: bench, question, takeSwap, scaleParts } = useSheet()
const WAYS = [['factor', 'times'], ['pieces', 'pieces'], ['days', 'days for these dogs'], ['tin', 'a tin'], ['atHand', 'what is at hand']] as const
const way = ref<typeof WAYS[number][0]>('factor')
const form = reactive({ number: '', widthMm: '', lengthMm: '', depthMm: '', line: 0, grams: '' })

function number(text: string): number {
    return Number(text.replace(',', '.'))
}

const by = computed<ScaleBy | null>(() => {
    switch (way.value) {
        case 'factor': return number(form.number) > 0 ? { factor: number(form.number) } : null
        case 'pieces': return number(form.number) >= 1 ? { pieces: Math.round(number(form.number)) } : null
        case 'days': return number(form.number) >= 1 ? { days: Math.round(number(form.number)) } : null
        case 'tin': return number(form.widthMm) > 0 && number(form.depthMm) > 0 ? { tin: form.lengthMm === '' ? { diameterMm: number(form.widthMm), depthMm: number(form.depthMm) } : { widthMm: number(form.widthMm), lengthMm: number(form.lengthMm), depthMm: number(form.depthMm) } } : null
        default: return number(form.grams) > 0 ? { atHand: { line: form.line, grams: number(form.grams) } } : null
    }
})

const { answer, problem, stale } = useAsked<ScaleAnswer>({
    of: [by, () => sheet.value.text, () => sheet.value.cut],
    ask: (signal) => {
        const asked = question()

        return asked === null || by.value === null ? null : api.scale({ ...asked, by: by.value }, signal)
    },
})

function take(text: string, factor: number): void {
    takeSwap(text, sheet.value.steps, `${figure(factor)} times the recipe`)
    scaleParts(factor)
    form.number = ''
    form.grams = ''
    answer.value = null
}
</script>

<template>
    <section class="studio__part" aria-labelledby="scale-title">
        <h2 id="scale-title">Larger or smaller</h2>
        <div class="switch" role="group" aria-label="Scale by"><button v-for="[key, label] in WAYS" :key="key" type="button" :aria-pressed="way === key" @click="way = key">{{ label }}</button></div>
        <div class="fields">
            <label v-if="['factor', 'pieces', 'days'].includes(way)" class="plain plain--short"><span>{{ WAYS.find(([key]) => key === way)?.[1] }}</span><input v-model="form.number" inputmode="decimal" /></label>
            <template v-else-if="way === 'tin'">
                <label class="plain"><span>wide, or across, mm</span><input v-model="form.widthMm" inputmode="decimal" /></label>
                <label class="plain"><span>long, mm; empty: round</span><input v-model="form.lengthMm" inputmode="decimal" /></label>
                <label class="plain plain--short"><span>filled to, mm</span><input v-model="form.depthMm" inputmode="decimal" /></label>
            </template>
            <template v-else>
                <label class="plain"><span>line</span><select v-model="form.line"><option v-for="(line, n) in bench?.lines ?? []" :key="n" :value="n">{{ line.text }}</option></select></label>
                <label class="plain plain--short"><span>g of it at hand</span><input v-model="form.grams" inputmode="decimal" /></label>
            </template>
        </div>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <div v-if="answer !== null" role="status" class="studio__answer">
            <p><strong>{{ figure(answer.factor) }}</strong> times the recipe:</p>
            <ul class="scaled"><li v-for="line in answer.lines" :key="line.line"><del v-if="line.line !== line.to">{{ line.line }}</del> <ins>{{ line.to }}</ins><small v-if="line.note !== null"> {{ line.note }}</small></li></ul>
            <p v-for="warning in answer.warnings" :key="warning" class="hint">{{ warning }}</p>
            <p class="paper__ends"><v-btn v-if="answer.wholeEggs !== null" variant="outlined" :disabled="stale" @click="take(answer.wholeEggs.recipeText, answer.wholeEggs.factor)">{{ answer.wholeEggs.says }}</v-btn><v-btn variant="flat" color="primary" :disabled="stale" @click="take(answer.recipeText, answer.factor)">Scale the sheet</v-btn></p>
        </div>
    </section>
</template>
