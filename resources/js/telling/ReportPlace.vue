<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useQuestion } from '../bench/useQuestion'
import { useSheet } from '../bench/useSheet'
import { useKitchen } from '../kitchen/useKitchen'
import { figure, grams, pieces } from '../ui/format'
import { LEVELS, worstFirst } from '../ui/levels'
import { useUnits } from '../ui/useUnits'

/** The screening report of what lies on the bench, for one dog, to print or to keep. */
const route = useRoute()
const kitchen = useKitchen()
const { sheet } = useSheet()
const { kg } = useUnits()
const { answer, freshness } = useQuestion()

const id = computed(() => String(route.params['dog'] ?? ''))
const dog = computed(() => kitchen.dogs.find((one) => one.id === id.value))
const name = computed(() => dog.value?.name ?? '')
const verdict = computed(() => answer.value?.verdict.dogs.find((one) => one.id === id.value))
const ration = computed(() => answer.value?.rations.find((one) => one.dogId === id.value))
const lines = computed(() => [
    ...(answer.value?.lines ?? []).map((line) => ({
        text: line.text,
        amount: line.grams === null ? '?' : grams(line.grams.best),
        findings: mine(line.findings),
        poison: (line.explain?.poison ?? []).filter((one) => one.includes(`${name.value}'s`)),
    })),
    ...(answer.value?.steps ?? []).map((step) => ({ text: step.text, amount: '', findings: mine(step.findings), poison: [] as string[] })),
])

function mine<T extends { dog: string | null; dogId?: string }>(findings: T[]): T[] {
    return findings.filter((one) => one.dog === null || one.dogId === id.value)
}

function save(): void {
    const blob = new Blob(
        [
            JSON.stringify(
                { recipe: { title: sheet.value.title, text: sheet.value.text, steps: sheet.value.steps }, dog: dog.value, answer: answer.value },
                null,
                2,
            ),
        ],
        { type: 'application/json' },
    )
    const link = document.createElement('a')
    link.href = URL.createObjectURL(blob)
    link.download = `screening-${name.value.toLowerCase()}.json`
    link.click()
    URL.revokeObjectURL(link.href)
}

function print(): void {
    window.print()
}
</script>

<template>
    <article class="place place--narrow report">
        <header class="place__head">
            <h1>Screening report</h1>
            <p class="report__tools">
                <v-btn variant="tonal" @click="print">Print</v-btn><v-btn @click="save">Save as JSON</v-btn
                ><router-link class="link-button" to="/bench">To the bench</router-link>
            </p>
        </header>
        <p v-if="freshness === 'late'" class="problem">Not checked yet: the kitchen has not answered for what stands on the sheet now.</p>
        <p v-else-if="answer === null || verdict === undefined" class="problem">Lay a recipe on the bench and seat {{ name }} at the table first.</p>
        <template v-else>
            <p class="report__for">
                <strong>{{ sheet.title || 'Untitled sheet' }}</strong> for <strong>{{ name }}</strong><template v-if="dog"
                    >, {{ [dog.breed, dog.weightKg === null ? null : kg(dog.weightKg)].filter(Boolean).join(', ') }}</template
                >
            </p>
            <p class="report__verdict">
                {{ verdict.cleared ? 'Nothing found that stops this batch for this dog.' : 'Not cleared for this dog.' }}
                <template v-if="ration !== undefined">{{
                    verdict.cleared ? `${pieces(ration.piecesPerDay ?? 0)} a day, held by ${ration.explain?.shows ?? ''}.` : ''
                }}</template>
            </p>
            <section v-for="(line, index) in lines" :key="index" class="report__line">
                <h2>
                    {{ line.text }} <small>{{ line.amount }}</small>
                </h2>
                <p v-if="line.findings.length === 0" class="hint">nothing found</p>
                <p v-for="one in worstFirst(line.findings)" :key="one.code + one.message">
                    <strong>{{ LEVELS[one.level].word }}{{ one.confirmed ? ' (settled)' : '' }}.</strong> {{ one.message }} {{ one.advice
                    }}<template v-if="one.figure">
                        <em>{{ one.figure }}.</em></template
                    >
                    <small>Known from: {{ one.source }}</small>
                </p>
                <p v-for="one in line.poison" :key="one">
                    <em>{{ one }}</em>
                </p>
            </section>
            <section v-if="verdict.findings.length > 0" class="report__line">
                <h2>About {{ name }}</h2>
                <p v-for="one in worstFirst(verdict.findings)" :key="one.code">
                    <strong>{{ LEVELS[one.level].word }}{{ one.confirmed ? ' (settled)' : '' }}.</strong> {{ one.message }} {{ one.advice }}
                    <small>Known from: {{ one.source }}</small>
                </p>
            </section>
            <section v-if="ration !== undefined" class="report__line">
                <h2>The ration</h2>
                <p v-for="one in ration.explain?.made ?? []" :key="one">{{ one }}</p>
                <p>A piece holds {{ figure(answer.piece.kcal.best) }} kcal.</p>
            </section>
            <p class="hint">Rules and data: version {{ answer.dataVersion }}. {{ kitchen.choices?.standingWords }}</p>
        </template>
    </article>
</template>
