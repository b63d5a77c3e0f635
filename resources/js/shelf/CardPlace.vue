<script setup lang="ts">
import { mdiMenuDown } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { api } from '../api/client'
import type { FormulateAnswer, Recipe } from '../api/types.generated'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import BatchStrip from '../making/BatchStrip.vue'
import PlanBake from '../making/PlanBake.vue'
import { figure, grams } from '../ui/format'
import { useAsked } from '../ui/useAsked'
import { useUnits } from '../ui/useUnits'
import SlipPicture from './SlipPicture.vue'

/** A recipe as a card to print: what goes in, weighed; what is done; what a piece holds; for whom it is cleared today. */
const route = useRoute()
const kitchen = useKitchen()
const units = useUnits()
const id = computed(() => String(route.params['id'] ?? ''))
const recipe = ref<Recipe | null>(null)
const problem = ref<string | null>(null)

watch(
    [id, () => kitchen.all.recipes.of(id.value)?.version],
    async () => {
        try {
            recipe.value = await kitchen.recipe(id.value)
            problem.value = null
        } catch (error) {
            problem.value = wordsOf(error)
        }
    },
    { immediate: true },
)

const { answer, late } = useAsked<FormulateAnswer>({
    of: [id, recipe, () => kitchen.version],
    ask: (signal) =>
        recipe.value === null || recipe.value.text.trim() === ''
            ? null
            : api.formulate({ recipe: { id: id.value }, dogs: kitchen.atTable.map((dog) => dog.id), explain: true }, signal),
    immediate: true,
})
// nothing of another recipe stands under this one's name
watch(
    id,
    () => {
        recipe.value = null
        answer.value = null
    },
    { flush: 'sync' },
)
const FORMS = [
    ['jsonld', 'JSON-LD, for other programs'],
    ['md', 'Markdown'],
    ['txt', 'Plain text'],
] as const
const isCups = computed(() => kitchen.kitchen?.amountsAs === 'cups')
const cleared = computed(() => (answer.value?.verdict.dogs ?? []).filter((dog) => dog.cleared).map((dog) => dog.name))
const poison = computed(() => (answer.value?.lines ?? []).some((line) => line.findings.some((one) => one.level === 'never')))

/** baked so far, the newest first: seen here, and not printed */
const batches = computed(() => kitchen.all.batches.items.filter((one) => one.recipeId === id.value))

function print(): void {
    window.print()
}
</script>

<template>
    <article class="place place--narrow recipe-card" :aria-label="recipe?.title">
        <p class="report__tools">
            <v-btn variant="flat" color="primary" @click="print">Print</v-btn><v-btn :to="`/bench/${id}`">To the bench</v-btn
            ><v-btn to="/shelf">To the shelf</v-btn><v-btn :to="{ path: '/labels/print', query: { what: 'card', recipe: id } }">As a card</v-btn
            ><v-menu
                ><template #activator="{ props: menu }"><v-btn v-bind="menu" :append-icon="mdiMenuDown">Save as a file</v-btn></template
                ><v-list
                    ><v-list-item v-for="[form, name] in FORMS" :key="form" :href="`/api/recipes/${id}/as/${form}`" download :title="name" /></v-list
            ></v-menu>
        </p>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <template v-if="recipe !== null">
            <header class="recipe-card__head">
                <div>
                    <h1>{{ recipe.title }}</h1>
                    <p class="hint">{{ [kitchen.kitchen?.name, recipe.source].filter(Boolean).join(' · ') }}</p>
                </div>
                <SlipPicture :slip="{ photoId: recipe.photoId, shape: recipe.cut?.shape ?? null, texture: recipe.texture, title: recipe.title }" />
            </header>
            <p v-if="poison" class="problem">Holds what no dog may have: not to be baked as it stands.</p>
            <p v-if="late" class="hint">Not checked yet.</p>
            <table v-if="answer !== null" class="recipe-card__lines" :class="{ 'said-before': late }">
                <tbody>
                    <tr v-for="(line, n) in answer.lines" :key="n">
                        <th scope="row">{{ line.text }}</th>
                        <td>{{ isCups && line.explain?.measure ? line.explain.measure : line.grams === null ? '?' : grams(line.grams.best) }}</td>
                    </tr>
                </tbody>
            </table>
            <pre v-else class="recipe-card__text">{{ recipe.text }}</pre>
            <ol v-if="answer !== null && answer.steps.length > 0" class="recipe-card__steps">
                <li v-for="(step, n) in answer.steps" :key="n">{{ step.shown ?? step.text }}</li>
            </ol>
            <ol v-else-if="recipe.steps !== ''" class="recipe-card__steps">
                <li v-for="step in recipe.steps.split('\n').filter((one) => one.trim() !== '')" :key="step">{{ step }}</li>
            </ol>
            <template v-if="answer !== null && !late">
                <p>
                    <strong>{{ Math.floor(answer.piece.count.best + 1e-9) }}</strong> pieces of
                    <strong>{{ figure(answer.piece.kcal.best) }}</strong> kcal<template v-if="recipe.cut && 'thicknessMm' in recipe.cut"
                        >, {{ units.mm(recipe.cut.thicknessMm) }} thick</template
                    >.
                </p>
                <p>{{ cleared.length === 0 ? 'Cleared for none of the dogs at the table today.' : `Cleared today for ${cleared.join(', ')}.` }}</p>
            </template>
            <p v-if="recipe.notes !== ''" class="recipe-card__notes">{{ recipe.notes }}</p>
            <PlanBake v-if="!poison" class="recipe-card__plan" :recipe="id" :title="recipe.title" />
            <section v-if="batches.length > 0" class="recipe-card__batches" aria-label="Batches of it">
                <h2>Batches of it</h2>
                <BatchStrip :batches="batches" />
            </section>
            <p class="hint">{{ kitchen.choices?.standingWords }}</p>
        </template>
    </article>
</template>
