<script setup lang="ts">
import { mdiClose, mdiContentCopy } from '@mdi/js'
import { useEventListener } from '@vueuse/core'
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { KitchenProblem } from '../api/client'
import type { Clipping, Cut } from '../api/types.generated'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import FoldPart from '../ui/FoldPart.vue'
import { figure, grams, spread } from '../ui/format'
import IconButton from '../ui/IconButton.vue'
import { pressed } from '../ui/keys'
import { vRoving } from '../ui/roving'
import { useReturn } from '../ui/useReturn'
import DogTable from './DogTable.vue'
import HistoryButtons from './HistoryButtons.vue'
import OpenSheets from './OpenSheets.vue'
import PaperSheet from './PaperSheet.vue'
import { METHOD_ROW } from './paper/document'
import PieceDrawing from './PieceDrawing.vue'
import RationPlate from './RationPlate.vue'
import { useQuestion } from './useQuestion'
import { useSheet, type Sheet } from './useSheet'
import { useShelving } from './useShelving'
import SheetTitle from './SheetTitle.vue'
import SwitchRow from '../ui/SwitchRow.vue'
import VerdictWords from './VerdictWords.vue'
import { later } from '../ui/later'

/** The bench: the recipe as a sheet of paper that answers back. */
const kitchen = useKitchen()
const router = useRouter()
const route = useRoute()
const { sheet, id, trouble, hooks, paper, openSlip, blank, go, confirm, takeBack, layClipping } = useSheet()
const { answer, refusal, silent, freshness, ask } = useQuestion()
const { keeping, problem, clash, keepAsNew, keep, settle } = useShelving()

const FeelStrip = later(() => import('./FeelStrip.vue'))
const PartyPlan = later(() => import('../feeding/PartyPlan.vue'))
const ClashPanel = later(() => import('../ui/ClashPanel.vue'))
const CutChooser = later(() => import('./CutChooser.vue'))
const ClipDialog = later(() => import('../clipping/ClipDialog.vue'))
const CompositionPanel = later(() => import('./CompositionPanel.vue'))
const RescuePanel = later(() => import('../swaps/RescuePanel.vue'))
const BakeIt = later(() => import('../making/BakeIt.vue'))
const BeginPart = later(() => import('./BeginPart.vue'))
const rescuing = ref(false)
const showsMade = ref(false)
const clips = ref(false)
const clipped = ref('')
/** What was opened once stays, with what was pasted into it. */
const wereClips = ref(false)
useReturn(clips)
watch(clips, (are) => {
    if (are) wereClips.value = true
})
const copied = ref('')
watch([() => sheet.value.text, () => sheet.value.steps], () => {
    copied.value = ''
})
const doubts = computed(() => (answer.value?.explain?.doubts ?? []).filter((one) => one.row === null))

function bringIn(content = ''): void {
    clipped.value = content
    clips.value = true
}
hooks.bringIn = bringIn

async function keepAll(clippings: Clipping[]): Promise<void> {
    try {
        for (const { title, text, steps, source, times, ...one } of clippings)
            await kitchen.all.recipes.keep(null, {
                title,
                text,
                steps,
                source,
                yield: one.yield,
                prepMinutes: times.prepMinutes,
                bakeMinutes: times.bakeMinutes,
            })
    } catch (error) {
        trouble.value = wordsOf(error)
    }
}
const amountsAs = computed(() => kitchen.kitchen?.amountsAs ?? 'grams')
const cut = computed<Cut>({
    get: () => sheet.value.cut,
    set: (value) => {
        sheet.value.cut = value
    },
})
const texture = computed<Sheet['texture']>({
    get: () => sheet.value.texture,
    set: (value) => {
        sheet.value.texture = value
    },
})
const textProblem = computed(() => (refusal.value !== null && !/^\/(cut|recipe\/parts)/.test(refusal.value.path) ? refusal.value.message : null))
const isLate = computed(() => freshness.value === 'late')
const isWritten = computed(() => sheet.value.text.trim() !== '' || sheet.value.steps.trim() !== '')
const hasMethod = computed(() => sheet.value.steps.trim() !== '')

const KEEPING = {
    blank: '',
    browser: 'kept in this browser',
    keeping: 'putting it on the shelf…',
    kept: 'on the shelf',
    waiting: 'waits for the kitchen; kept in this browser, and sent by itself',
    refused: 'not on the shelf yet; kept in this browser',
}

const amounts = computed({
    get: () => amountsAs.value,
    set: (as) => {
        kitchen.change({ amountsAs: as }).catch((error: unknown) => {
            trouble.value = wordsOf(error)
        })
    },
})

/** A sheet has an address: its recipe's, once it is on the shelf; else its own. */
const address = computed(() => sheet.value.recipeId ?? id.value)

/** Lays what an address names; what is nowhere is said so, and the bench stays as it is. */
async function follow(asked: string): Promise<void> {
    if (asked === '' || asked === address.value) return
    if (go(asked)) return
    try {
        await openSlip({ id: asked })
    } catch (error) {
        trouble.value =
            error instanceof KitchenProblem && error.problem.status === 404
                ? 'No recipe has this address. If it was taken off the shelf, it lies in the trash, in the Cupboard.'
                : wordsOf(error)
    }
}
const asked = computed(() => (route.name === 'bench' ? String(route.params['sheet'] ?? '') : null))
watch(asked, (now, before) => {
    if (now !== null && now !== '' && before !== undefined) void follow(now)
})
onMounted(async () => {
    if (asked.value !== null && asked.value !== '') await follow(asked.value)
    if (route.name === 'bench' && asked.value !== address.value) await router.replace(`/bench/${address.value}`)
})
// another sheet is another address, and Back goes to the one before; one that was put on the shelf only changes its own
watch([address, id], ([now, draft], [, before]) => {
    if (route.name !== 'bench' || asked.value === now) return
    if (draft === before) void router.replace(`/bench/${now}`)
    else void router.push(`/bench/${now}`)
})

async function open(slip: { id: string }): Promise<void> {
    try {
        await openSlip(slip)
    } catch (error) {
        trouble.value = wordsOf(error)
    }
}

/** What is selected, else the whole recipe under its title, for a message. */
async function copy(): Promise<void> {
    const { main } = paper.state.selection
    const words = main.empty
        ? `${sheet.value.title.trim() === '' ? '' : `${sheet.value.title}\n\n`}${paper.document}`
        : paper.state.sliceDoc(main.from, main.to)
    try {
        await navigator.clipboard.writeText(words)
        copied.value = main.empty ? 'The recipe is copied.' : 'What is selected is copied.'
    } catch {
        copied.value = 'This browser does not let a page copy: select the words and copy them yourself.'
    }
}

/** Begins the method under the list, and goes there. */
function beginMethod(): void {
    const { length } = paper.state.doc
    const insert = `${length === 0 || paper.document.endsWith('\n') ? '' : '\n'}${METHOD_ROW}\n`
    paper.dispatch({ changes: { from: length, insert }, selection: { anchor: length + insert.length }, userEvent: 'input', scrollIntoView: true })
    paper.shownIn?.focus()
}

useEventListener(document, 'keydown', (event) => {
    const key = pressed(event, 'studio', 'table', 'cut', 'rescue', 'keep', 'find')
    if (key === null) return
    const typing = event.target instanceof Element && event.target.closest('input, textarea, select, [contenteditable=true], .v-overlay') !== null
    if (key === 'find') {
        if (typing) return
        hooks.find()
    } else if (key === 'studio') void router.push('/studio')
    else if (key === 'table') document.querySelector<HTMLElement>('.seat')?.focus()
    else if (key === 'cut') document.querySelector<HTMLElement>('#cut-shape')?.focus()
    else if (key === 'rescue') rescuing.value = true
    else if (sheet.value.recipeId === null) keepAsNew()
    else keep()
    event.preventDefault()
})
</script>

<template>
    <div class="bench" :class="{ 'bench--late': isLate }">
        <h1 class="unseen">{{ sheet.title === '' ? 'Untitled sheet' : sheet.title }}, on the bench</h1>
        <DogTable :answer="answer" />
        <p v-if="silent !== null" class="trouble" role="alert">{{ silent }} <v-btn variant="outlined" @click="ask()">Ask again</v-btn></p>
        <p v-if="trouble !== null" class="trouble" role="alert">
            {{ trouble }} <v-btn variant="outlined" :icon="mdiClose" aria-label="Put this message away" @click="trouble = null" />
        </p>
        <div class="bench__halves">
            <section class="sheet" aria-label="The sheet">
                <OpenSheets />
                <header class="sheet__head">
                    <SheetTitle />
                    <p class="sheet__kept" role="status">
                        <template v-if="copied !== ''">{{ `${copied} ` }}</template>{{
                            sheet.recipeId === null && keeping === 'kept' ? '' : KEEPING[keeping]
                        }}<template v-if="problem !== null"
                            >: {{ problem }} <v-btn class="link" @click="sheet.recipeId === null ? keepAsNew() : keep()">Try again</v-btn></template
                        >
                    </p>
                    <div v-roving class="sheet__tools" role="toolbar" aria-label="For this sheet">
                        <HistoryButtons />
                        <IconButton label="Copy the recipe" :icon="mdiContentCopy" :disabled="!isWritten" @click="copy" />
                        <SwitchRow
                            v-model="amounts"
                            label="Amounts shown as"
                            :items="[
                                { value: 'grams', title: 'grams' },
                                { value: 'cups', title: 'cups' },
                            ]"
                        />
                        <v-btn v-if="sheet.recipeId === null" variant="tonal" :disabled="!isWritten" @click="keepAsNew">Keep on the shelf</v-btn>
                        <v-btn class="sheet__bring" @click="bringIn()">Bring in</v-btn>
                        <v-btn @click="blank">New sheet</v-btn>
                        <v-btn to="/shelf">Shelf</v-btn>
                    </div>
                </header>
                <ClashPanel v-if="clash !== null && clash.draft === id" :fields="clash.fields" :of="sheet.title || 'This sheet'" @settle="settle" />
                <p v-if="textProblem !== null" class="problem" role="alert">{{ textProblem }}</p>
                <PaperSheet :amounts-as="amountsAs" />
                <p v-if="isWritten && !hasMethod" class="sheet__method"><v-btn class="start" @click="beginMethod">Write the method</v-btn></p>
                <section v-if="doubts.length > 0" class="doubts" aria-label="Questions about this recipe">
                    <h3 class="sheet__part">Questions</h3>
                    <ul>
                        <li v-for="one in doubts" :key="one.text + one.question">
                            <q>{{ one.text }}</q> {{ one.question }}
                        </li>
                    </ul>
                </section>
                <p v-if="sheet.source !== null || sheet.yield !== null" class="hint">
                    {{
                        [sheet.source === null ? null : `From ${sheet.source}`, sheet.yield === null ? null : `makes ${sheet.yield}`]
                            .filter(Boolean)
                            .join(' · ')
                    }}
                </p>
                <div v-if="!isWritten && kitchen.recipes.length > 0" class="sheet__starts">
                    <p>Or take one from the shelf:</p>
                    <v-btn v-for="recipe in kitchen.recipes.slice(0, 12)" :key="recipe.id" class="start" @click="open(recipe)">{{
                        recipe.title
                    }}</v-btn>
                </div>
            </section>
            <aside class="outcome" aria-label="What it comes to">
                <RescuePanel v-if="rescuing" @close="rescuing = false" />
                <template v-else>
                    <BeginPart v-if="kitchen.kitchen !== null && kitchen.dogs.length === 0" @bring="bringIn()" />
                    <VerdictWords @rescue="rescuing = true" />
                    <template v-if="answer !== null && answer.lines.length > 0">
                        <div class="piece-row">
                            <PieceDrawing :parts="answer.parts" :cut="cut" />
                            <button type="button" class="piece" :aria-expanded="showsMade" @click="showsMade = !showsMade">
                                <span aria-live="polite"
                                    ><strong>{{ figure(answer.piece.kcal.best) }}</strong> kcal a piece</span
                                >
                                <span aria-live="polite"
                                    ><strong>{{ Math.floor(answer.piece.count.best + 1e-9) }}</strong> pieces</span
                                >
                                <span
                                    ><strong>{{ grams(answer.piece.bakedGrams.best) }}</strong> each, out of the oven</span
                                >
                            </button>
                        </div>
                        <div v-if="showsMade" class="made">
                            <h3>How the figures were made</h3>
                            <CompositionPanel v-if="answer.batch.explain" :panel="answer.batch.explain.panel" />
                            <p v-if="answer.batch.cost">
                                This batch costs {{ answer.batch.cost.known.toFixed(2)
                                }}<template v-if="answer.batch.cost.share < 0.995"
                                    >, counting the {{ Math.round(100 * answer.batch.cost.share) }} % of it whose price is known</template
                                >.
                            </p>
                            <p>A piece: {{ spread(answer.piece.kcal) }} kcal; the batch: {{ spread(answer.batch.kcal) }} kcal.</p>
                            <p v-for="sentence in [...(answer.piece.explain?.made ?? []), ...(answer.batch.explain?.made ?? [])]" :key="sentence">
                                {{ sentence }}
                            </p>
                        </div>
                        <ul v-if="answer.rations.length > 0" class="rations" aria-label="Rations">
                            <RationPlate
                                v-for="ration in answer.rations"
                                :key="ration.dog"
                                :ration="ration"
                                :verdict="answer.verdict.dogs.find((dog) => dog.name === ration.dog)"
                                @confirm="confirm"
                                @take-back="takeBack"
                            />
                        </ul>
                        <p v-if="answer.batch.leftGrams >= 1" class="hint">{{ grams(answer.batch.leftGrams) }} of dough fill no whole piece.</p>
                        <BakeIt />
                        <FeelStrip :batch="answer.batch" />
                        <PartyPlan v-if="answer.rations.length > 1" />
                    </template>
                    <CutChooser
                        v-model:cut="cut"
                        v-model:texture="texture"
                        :answer="answer"
                        :refusal="refusal"
                        :oddity="answer?.portions?.find((one) => one.name === null)?.oddity ?? null"
                    />
                    <p v-if="sheet.portions.length > 0" class="hint">
                        This dough is cut in {{ sheet.portions.length + 1 }} portions; the cut above is for what is left.
                    </p>
                    <p class="outcome__ways">
                        <v-btn variant="tonal" to="/studio">Cut studio: portions, tray, heat, scaling</v-btn
                        ><v-btn variant="tonal" to="/chart">Chart for the fridge door</v-btn>
                    </p>
                    <FoldPart v-if="answer !== null && answer.assumptions.length > 0" :title="`Taken for granted (${answer.assumptions.length})`">
                        <ul class="assumed">
                            <li v-for="one in answer.assumptions" :key="one.code + one.message">{{ one.message }}</li>
                        </ul>
                    </FoldPart>
                </template>
            </aside>
        </div>
        <ClipDialog v-if="wereClips" v-model="clips" :brought="clipped" @take="layClipping" @keep="keepAll" />
    </div>
</template>
