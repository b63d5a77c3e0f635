<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { api } from '../api/client'
import type { Cut } from '../api/types.generated'
import CutChooser from '../bench/CutChooser.vue'
import DogTable from '../bench/DogTable.vue'
import HistoryButtons from '../bench/HistoryButtons.vue'
import LimitBars from '../bench/LimitBars.vue'
import { useQuestion } from '../bench/useQuestion'
import { UNMEASURED, useSheet, type Measured, type Portion, type Sheet } from '../bench/useSheet'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import EmptyPlace from '../ui/EmptyPlace.vue'
import FoldPart from '../ui/FoldPart.vue'
import NumberField from '../ui/NumberField.vue'
import PieceDots from '../ui/PieceDots.vue'
import { figure, grams, pieces } from '../ui/format'
import BackwardsForm from './BackwardsForm.vue'
import HeatTimes from './HeatTimes.vue'
import ScaleForm from './ScaleForm.vue'
import TrayPlan from './TrayPlan.vue'
import TogglePill from '../ui/TogglePill.vue'
import { useStands } from '../ui/useStands'
import { useUnits } from '../ui/useUnits'

/** The cut studio: how large, how many, for whom; portions of one dough, the tray, time and heat. */
const kitchen = useKitchen()
const units = useUnits()
const { sheet, takeSwap, scaledParts } = useSheet()
const { answer, refusal, silent, freshness, ask, question } = useQuestion()
const isLate = computed(() => freshness.value === 'late')

/** What is further down is made once what is looked at first stands there. */
const below = useStands()
const chosen = ref(-1)
const screenScale = useLocalStorage('mildbowl.screen-scale', 1)
const problem = ref<string | null>(null)

const portions = computed(() => answer.value?.portions ?? [])
/** The portion of the answer that is shown: asked portions first, the rest last. */
const shown = computed(() =>
    chosen.value >= 0 ? portions.value[chosen.value] : (portions.value.find((one) => one.name === null) ?? portions.value[0]),
)
const rations = computed(() => (answer.value?.rations ?? []).filter((ration) => shown.value?.dogIds?.includes(ration.dogId ?? null) === true))
const mine = computed<Portion | null>(() => sheet.value.portions[chosen.value] ?? null)

const cut = computed<Cut>({
    get: () => mine.value?.cut ?? sheet.value.cut,
    set: (value) => {
        if (mine.value === null) sheet.value.cut = value
        else mine.value.cut = value
    },
})
const texture = computed<Sheet['texture']>({
    get: () => mine.value?.bake.texture ?? sheet.value.texture,
    set: (value) => {
        if (mine.value === null) sheet.value.texture = value
        else mine.value.bake.texture = value
    },
})

const measured = computed<Measured>(() => (mine.value === null ? sheet.value.measured : mine.value.measured) ?? UNMEASURED)

function measure(key: keyof Measured, value: number | null): void {
    const next = { ...measured.value, [key]: value }
    if (mine.value === null) sheet.value.measured = next
    else mine.value.measured = next
}

/** Score lines for the dog with the smallest bite that eats from this portion. */
const score = computed(
    () =>
        rations.value
            .map((ration) => ration.explain?.breakInto ?? null)
            .filter((one) => one !== null)
            .sort((one, two) => two.along * two.across - one.along * one.across)[0] ?? null,
)

function add(): void {
    sheet.value.portions.push({
        name: `portion ${sheet.value.portions.length + 1}`,
        dogs: [],
        share: null,
        cut: JSON.parse(JSON.stringify(sheet.value.cut)) as Cut,
        bake: { texture: sheet.value.texture },
    })
    chosen.value = sheet.value.portions.length - 1
}

function drop(): void {
    sheet.value.portions.splice(chosen.value, 1)
    chosen.value = -1
}

function nameOf(dog: string): string {
    return kitchen.dogs.find((one) => one.id === dog)?.name ?? 'a dog no longer here'
}

function seatedIn(portion: Portion): string {
    return portion.dogs
        .filter((dog) => kitchen.atTable.some((one) => one.id === dog))
        .map(nameOf)
        .join(', ')
}

function seat(dog: string): void {
    const portion = mine.value
    if (portion === null) return
    const had = portion.dogs.includes(dog)
    for (const one of sheet.value.portions) one.dogs = one.dogs.filter((id) => id !== dog)
    if (!had) portion.dogs.push(dog)
}

function share(percent: number | null): void {
    if (mine.value === null) return
    mine.value.share = percent === null || percent <= 0 ? null : Math.min(100, percent) / 100
}

/** Takes a solved cut: portions for the dogs, and the recipe scaled to give them enough. */
async function takeSizes(given: Portion[], factor: number): Promise<void> {
    const asked = question()
    if (asked === null) return
    try {
        const scaled = await api.scale({ ...asked, portions: [], by: { factor } })
        takeSwap(scaled.recipeText, sheet.value.steps, { parts: scaledParts(factor), portions: given })
        chosen.value = given.length > 0 ? 0 : -1
        problem.value = null
    } catch (error) {
        problem.value = wordsOf(error)
    }
}

function shareOf(index: number): number {
    return portions.value[index]?.share ?? 0
}

const cleared = computed(() => new Set((answer.value?.verdict.dogs ?? []).filter((dog) => dog.cleared).map((dog) => dog.name)))
</script>

<template>
    <div class="studio" :class="{ 'studio--late': isLate }">
        <header class="place__head">
            <h1>{{ sheet.title === '' ? 'Untitled sheet' : sheet.title }} <small>in the cut studio</small></h1>
            <p class="studio__tools"><HistoryButtons /><router-link class="link-button" to="/bench">Back to the bench</router-link></p>
        </header>
        <DogTable :answer="answer" />
        <p v-if="silent !== null" class="trouble" role="alert">{{ silent }} <v-btn variant="outlined" @click="ask()">Ask again</v-btn></p>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <EmptyPlace v-if="sheet.text.trim() === ''" title="Nothing lies on the bench"
            >A recipe has to lie there before it is cut: one of the shelf, or one you write.<template #acts
                ><v-btn variant="flat" color="primary" to="/shelf">To the shelf</v-btn><v-btn to="/bench">To the bench</v-btn></template
            ></EmptyPlace
        >
        <template v-else-if="answer !== null && shown !== undefined">
            <p v-if="isLate" class="verdict verdict--stop" role="status">
                <strong>Not checked yet.</strong> What stands below was said of the sheet as it was before.
            </p>
            <div class="lots" role="group" aria-label="Portions of this dough">
                <button
                    v-for="(portion, index) in sheet.portions"
                    :key="index"
                    type="button"
                    class="lot"
                    :aria-pressed="chosen === index"
                    :style="{ flexGrow: Math.max(0.12, shareOf(index)) }"
                    @click="chosen = index"
                >
                    <strong>{{ portion.name }}</strong><span>{{ Math.round(100 * shareOf(index)) }} % · {{ seatedIn(portion) || 'no dog yet' }}</span>
                </button>
                <button
                    v-if="sheet.portions.length === 0 || portions.some((one) => one.name === null && (one.share > 0.001 || one.dogs.length > 0))"
                    type="button"
                    class="lot"
                    :aria-pressed="chosen < 0"
                    :style="{ flexGrow: Math.max(0.12, portions.find((one) => one.name === null)?.share ?? 1) }"
                    @click="chosen = -1"
                >
                    <strong>{{ sheet.portions.length === 0 ? 'the whole dough' : 'the rest' }}</strong><span>{{
                        grams(portions.find((one) => one.name === null)?.doughGrams.best ?? 0)
                    }}</span>
                </button>
                <v-btn variant="tonal" :disabled="sheet.portions.length >= 10" @click="add">Another portion</v-btn>
            </div>
            <div class="studio__halves">
                <div class="studio__column">
                    <section v-if="mine !== null" class="studio__part" aria-label="This portion">
                        <div class="fields">
                            <v-text-field v-model="mine.name" class="field--long" label="Called" maxlength="60" autocomplete="off" />
                            <NumberField
                                :short="false"
                                label="% of the dough"
                                :value="mine.share === null ? null : Math.round(1000 * mine.share) / 10"
                                placeholder="by need"
                                @meant="share"
                            />
                            <v-btn @click="drop">Take this portion away</v-btn>
                        </div>
                        <div class="toggles" role="group" aria-label="Dogs that eat from it">
                            <TogglePill v-for="dog in kitchen.atTable" :key="dog.id" :on="mine.dogs.includes(dog.id)" @click="seat(dog.id)">{{
                                dog.name
                            }}</TogglePill>
                        </div>
                    </section>
                    <CutChooser
                        :key="chosen"
                        v-model:cut="cut"
                        v-model:texture="texture"
                        class="studio__part"
                        :answer="answer"
                        :refusal="refusal"
                        :place="chosen < 0 ? '/cut' : `/portions/${chosen}/cut`"
                        :dogs="shown.dogIds ?? []"
                        :oddity="shown.oddity"
                        :score="score"
                        large
                        ><h2>The piece, at true size</h2></CutChooser
                    >
                    <p class="studio__figures">
                        <strong>{{ Math.floor(shown.piece.count.best + 1e-9) }}</strong> pieces ·
                        <strong>{{ figure(shown.piece.kcal.best) }}</strong> kcal each<template
                            v-if="figure(shown.piece.kcal.low) !== figure(shown.piece.kcal.high)"
                        >
                            ({{ figure(shown.piece.kcal.low) }}–{{ figure(shown.piece.kcal.high) }})</template
                        >
                        · {{ grams(shown.piece.bakedGrams.best) }} out of the oven · {{ grams(shown.doughGrams.best) }} of dough<template
                            v-if="shown.daysItLasts !== null"
                        >
                            · lasts {{ shown.daysItLasts }} day{{ shown.daysItLasts === 1 ? '' : 's' }}</template
                        >
                    </p>
                    <FoldPart title="Counted and weighed after cooling">
                        <div class="fields">
                            <NumberField label="pieces" :value="measured.count" @meant="measure('count', $event)" /><NumberField
                                label="g in all"
                                :value="measured.bakedGrams"
                                @meant="measure('bakedGrams', $event)"
                            /><NumberField label="g spoilt" :value="measured.wasteGrams" @meant="measure('wasteGrams', $event)" />
                        </div>
                        <p class="hint">What you measure overrules what was worked out. What is spoilt leaves with its share of the energy.</p>
                        <p v-if="refusal !== null && refusal.path.includes('measured')" class="problem" role="alert">{{ refusal.message }}</p>
                    </FoldPart>
                    <div class="studio__scale">
                        <p id="screen-scale" class="hint">
                            Is ten centimetres on the screen ten on your ruler? Make it so: {{ Math.round(100 * screenScale) }} %
                        </p>
                        <v-slider v-model="screenScale" min="0.6" max="1.8" step="0.01" aria-labelledby="screen-scale" />
                    </div>
                    <BackwardsForm v-if="below" @take="takeSizes" />
                    <TrayPlan v-if="below" :portion="shown" />
                </div>
                <div class="studio__column">
                    <section class="studio__part" aria-labelledby="who-title">
                        <h2 id="who-title">Who gets how many</h2>
                        <p v-if="rations.length === 0" class="hint">No dog eats from this portion yet.</p>
                        <ul class="studio__rations">
                            <li v-for="ration in rations" :key="ration.dog">
                                <p class="studio__dog">
                                    <strong>{{ ration.dog }}</strong>
                                    <span>{{
                                        cleared.has(ration.dog)
                                            ? `${pieces(ration.piecesPerDay ?? 0)} a day`
                                            : `waits; ${pieces(ration.ifCleared ?? 0)} once cleared`
                                    }}</span>
                                </p>
                                <PieceDots
                                    :count="cleared.has(ration.dog) ? (ration.piecesPerDay ?? 0) : (ration.ifCleared ?? 0)"
                                    :ghost="!cleared.has(ration.dog)"
                                />
                                <LimitBars :ration="ration" few />
                                <p v-if="ration.explain?.breakInto" class="hint">
                                    Larger than its safe bite of {{ units.mmAtMost(ration.explain.safeBiteMm ?? 0) }}: score
                                    {{ ration.explain.breakInto.along }} × {{ ration.explain.breakInto.across }} and break.
                                </p>
                            </li>
                        </ul>
                    </section>
                    <HeatTimes
                        v-if="below"
                        :heat="shown.heat"
                        :portions="portions"
                        :problem="refusal !== null && refusal.path.startsWith('/oven') ? refusal.message : null"
                    />
                    <ScaleForm v-if="below" />
                </div>
            </div>
        </template>
    </div>
</template>
