<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, defineAsyncComponent, ref } from 'vue'
import type { Sheet } from './useSheet'
import type { Clipping, Cut } from '../api/types.generated'
import { useRouter } from 'vue-router'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { figure, grams, spread } from '../ui/format'
import { pressed } from '../ui/keys'
import CutChooser from './CutChooser.vue'
import DogTable from './DogTable.vue'
import FeelStrip from './FeelStrip.vue'
import PartsPanel from './PartsPanel.vue'
import RationPlate from './RationPlate.vue'
import RecipeSheet from './RecipeSheet.vue'
import { useSheet } from './useSheet'

/** The bench: the recipe as a sheet of paper that answers back. */
const kitchen = useKitchen()
const router = useRouter()
const { sheet, answer, answered, refusal, silent, keeping, start, ask, keepAsNew, openRecipe, blank, confirm, takeBack, bind, lay, undoSwap, taken } = useSheet()
start()

const ClipDialog = defineAsyncComponent(() => import('../clipping/ClipDialog.vue'))
const CompositionPanel = defineAsyncComponent(() => import('./CompositionPanel.vue'))
const RescueDialog = defineAsyncComponent(() => import('../swaps/RescueDialog.vue'))
const rescuing = ref(false)
const showsMade = ref(false)
const clips = ref(false)
const doubts = computed(() => answer.value?.explain?.doubts ?? [])

async function remember(words: string, ingredient: string): Promise<void> {
    try {
        await kitchen.keepName(words, ingredient)
    } catch (error) {
        silent.value = wordsOf(error)
    }
}

async function keepAll(clippings: Clipping[]): Promise<void> {
    try {
        for (const { title, text, steps, source, times, ...one } of clippings) await kitchen.keepRecipe(null, { title, text, steps, source, yield: one.yield, prepMinutes: times.prepMinutes, bakeMinutes: times.bakeMinutes })
    } catch (error) {
        silent.value = wordsOf(error)
    }
}
const amountsAs = computed(() => kitchen.kitchen?.amountsAs ?? 'grams')
const cut = computed<Cut>({ get: () => sheet.value.cut, set: (value) => { sheet.value.cut = value } })
const texture = computed<Sheet['texture']>({ get: () => sheet.value.texture, set: (value) => { sheet.value.texture = value } })
const textProblem = computed(() => refusal.value !== null && !/^\/(cut|recipe\/parts)/.test(refusal.value.path) ? refusal.value.message : null)

const KEEPING = {
    blank: '', browser: 'kept in this browser', keeping: 'putting it on the shelf…', kept: 'on the shelf', failed: 'not on the shelf yet; kept in this browser',
}

const verdict = computed(() => {
    const given = answer.value
    if (given === null) return null
    if (given.lines.length === 0) return { stop: true, words: 'No line with a food in it yet.' }
    const dogs = given.verdict.dogs
    const waiting = dogs.filter((dog) => !dog.cleared).map((dog) => dog.name)
    if (given.verdict.cleared) {
        return { stop: false, words: dogs.length === 0 ? 'Nothing found that stops this batch. No dog is at the table yet.' : `Nothing found that stops this batch for ${list(dogs.map((dog) => dog.name))}.` }
    }
    if (dogs.length === 0) return { stop: true, words: 'Not cleared: see the marks on the sheet.' }
    if (waiting.length === 0) return { stop: true, words: 'Not cleared: see the marks on the sheet.' }

    return { stop: true, words: `Not cleared for ${list(waiting)}.` }
})

const poisons = computed(() => (answer.value?.lines ?? []).filter((line) => line.findings.some((one) => one.level === 'never')).length
    + (answer.value?.steps ?? []).filter((step) => step.findings.some((one) => one.level === 'never')).length)

function list(names: string[]): string {
    return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names[names.length - 1] ?? ''}`
}

const checked = computed(() => {
    const given = answer.value
    if (given === null) return ''
    const lines = given.lines.length
    const unread = given.lines.filter((line) => line.ingredient === null).length

    return `Checked ${lines} line${lines === 1 ? '' : 's'}${given.steps.length > 0 ? ` and ${given.steps.length} step${given.steps.length === 1 ? '' : 's'}` : ''} against the never list, labels, doses, allergies and conditions${unread > 0 ? `; ${unread} could not be read` : ''}.`
})

async function switchAmounts(as: 'grams' | 'cups'): Promise<void> {
    if (kitchen.kitchen !== null) kitchen.kitchen.amountsAs = as
    try {
        await kitchen.change({ amountsAs: as })
    } catch {
        // the switch holds for this page all the same
    }
}

useEventListener(document, 'keydown', (event) => {
    const key = pressed(event, 'studio', 'dogs', 'cut', 'rescue', 'keep')
    if (key === null) return
    if (key === 'studio') void router.push('/studio')
    else if (key === 'dogs') document.querySelector<HTMLElement>('.seat')?.focus()
    else if (key === 'cut') document.querySelector<HTMLElement>('#cut-shape')?.focus()
    else if (key === 'rescue') rescuing.value = true
    else if (sheet.value.recipeId === null) void keepAsNew()
    event.preventDefault()
})
</script>

<template>
    <div class="bench">
        <DogTable :answer="answer" />
        <p v-if="silent !== null" class="trouble" role="alert">{{ silent }} <v-btn variant="outlined" @click="ask()">Ask again</v-btn></p>
        <div class="bench__halves">
            <section class="sheet" aria-label="The sheet">
                <header class="sheet__head">
                    <input v-model="sheet.title" class="sheet__title" aria-label="Title of the recipe" placeholder="Untitled sheet" maxlength="200" />
                    <div class="sheet__tools">
                        <div class="switch" role="group" aria-label="Amounts shown as">
                            <button type="button" :aria-pressed="amountsAs === 'grams'" @click="switchAmounts('grams')">grams</button>
                            <button type="button" :aria-pressed="amountsAs === 'cups'" @click="switchAmounts('cups')">cups</button>
                        </div>
                        <v-btn v-if="sheet.recipeId === null" variant="tonal" :disabled="sheet.text.trim() === ''" @click="keepAsNew">Keep on the shelf</v-btn>
                        <v-btn @click="clips = true">Bring in</v-btn>
                        <v-btn @click="blank">New sheet</v-btn>
                    </div>
                    <p class="sheet__kept" role="status">{{ sheet.recipeId === null && keeping === 'kept' ? '' : KEEPING[keeping] }}</p>
                </header>
                <p v-if="textProblem !== null" class="problem" role="alert">{{ textProblem }}</p>
                <RecipeSheet v-model="sheet.text" :answer="answer" :answered="answered.text" part="list" :amounts-as="amountsAs" label="Foods" placeholder="Type or paste a recipe here…" :products="kitchen.products" :bound="sheet.bound" @confirm="confirm" @take-back="takeBack" @bind="bind" @name="remember" />
                <h3 class="sheet__part">Method</h3>
                <RecipeSheet v-model="sheet.steps" :answer="answer" :answered="answered.steps" part="method" :amounts-as="amountsAs" label="Method" placeholder="The steps, one a line (optional)" @confirm="confirm" @take-back="takeBack" />
                <section v-if="doubts.length > 0" class="doubts" aria-label="Questions about this recipe"><h3 class="sheet__part">Questions</h3><ul><li v-for="one in doubts" :key="one.text + one.question"><q>{{ one.text }}</q> {{ one.question }}</li></ul></section>
                <p v-if="sheet.source !== null || sheet.yield !== null" class="hint">{{ [sheet.source === null ? null : `From ${sheet.source}`, sheet.yield === null ? null : `makes ${sheet.yield}`].filter(Boolean).join(' · ') }}</p>
                <div v-if="sheet.text.trim() === '' && kitchen.recipes.length > 0" class="sheet__starts">
                    <p>Or take one from the shelf:</p>
                    <button v-for="recipe in kitchen.recipes" :key="recipe.id" type="button" class="start" @click="openRecipe(recipe)">{{ recipe.title }}</button>
                </div>
            </section>
            <aside class="outcome" aria-label="What it comes to">
                <div v-if="verdict !== null" class="verdict" :class="{ 'verdict--stop': verdict.stop, 'verdict--poison': poisons > 0 }" role="status">
                    <p class="verdict__words">{{ verdict.words }}</p>
                    <p v-if="poisons > 0" class="verdict__poison">{{ poisons }} line{{ poisons === 1 ? '' : 's' }} must be swapped or taken out: no amount is acceptable.</p>
                    <p class="verdict__checked">{{ checked }}</p>
                    <p class="verdict__acts"><v-btn variant="tonal" @click="rescuing = true">{{ verdict.stop ? 'Rescue this recipe' : 'Change it towards a goal' }}</v-btn><v-btn v-if="taken.length > 0" @click="undoSwap">Undo: {{ taken[taken.length - 1]?.says }}</v-btn></p>
                </div>
                <template v-if="answer !== null && answer.lines.length > 0">
                    <ul v-if="answer.rations.length > 0" class="rations" aria-label="Rations">
                        <RationPlate v-for="ration in answer.rations" :key="ration.dog" :ration="ration" :verdict="answer.verdict.dogs.find((dog) => dog.name === ration.dog)" @confirm="confirm" @take-back="takeBack" />
                    </ul>
                    <button type="button" class="piece" :aria-expanded="showsMade" @click="showsMade = !showsMade">
                        <span><strong>{{ figure(answer.piece.kcal.best) }}</strong> kcal a piece</span>
                        <span><strong>{{ Math.floor(answer.piece.count.best + 1e-9) }}</strong> pieces</span>
                        <span><strong>{{ grams(answer.piece.bakedGrams.best) }}</strong> each, out of the oven</span>
                    </button>
                    <div v-if="showsMade" class="made">
                        <h4>How the figures were made</h4>
                        <CompositionPanel v-if="answer.batch.explain" :panel="answer.batch.explain.panel" />
                        <p v-if="answer.batch.cost">This batch costs {{ answer.batch.cost.known.toFixed(2) }}<template v-if="answer.batch.cost.share < .995">, counting the {{ Math.round(100 * answer.batch.cost.share) }} % of it whose price is known</template>.</p>
                        <p>A piece: {{ spread(answer.piece.kcal) }} kcal; the batch: {{ spread(answer.batch.kcal) }} kcal.</p>
                        <p v-for="sentence in [...(answer.piece.explain?.made ?? []), ...(answer.batch.explain?.made ?? [])]" :key="sentence">{{ sentence }}</p>
                    </div>
                    <FeelStrip :batch="answer.batch" />
                </template>
                <CutChooser v-model:cut="cut" v-model:texture="texture" :answer="answer" :refusal="refusal" :oddity="answer?.portions?.find((one) => one.name === null)?.oddity ?? null" />
                <PartsPanel v-if="answer !== null && answer.lines.length > 0" :answer="answer" :refusal="refusal" />
                <p v-if="sheet.portions.length > 0" class="hint">This dough is cut in {{ sheet.portions.length + 1 }} portions; the cut above is for what is left.</p>
                <router-link class="link-button" to="/studio">Cut studio: portions, tray, time and heat, scaling</router-link>
                <details v-if="answer !== null && answer.assumptions.length > 0" class="assumed">
                    <summary>Taken for granted ({{ answer.assumptions.length }})</summary>
                    <ul><li v-for="one in answer.assumptions" :key="one.code + one.message">{{ one.message }}</li></ul>
                </details>
            </aside>
        </div>
        <RescueDialog v-model="rescuing" />
        <ClipDialog v-model="clips" @take="lay" @keep="keepAll" />
    </div>
</template>
