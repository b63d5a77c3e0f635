<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { api } from '../api/client'
import type { AnswerLine, BatchEntry, DoughAnswer, MadeEntry } from '../api/types.generated'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { grams } from '../ui/format'
import FoldPart from '../ui/FoldPart.vue'
import NumberField from '../ui/NumberField.vue'
import TogglePill from '../ui/TogglePill.vue'
import type { BatchOnPage } from './useBatch'
import WeighIn from './WeighIn.vue'

/** What really went into the bowl, in one tap each; what the hand says, and what would help; what was handed down meanwhile. */
const props = defineProps<{ page: BatchOnPage }>()

const SHARES = [
    { share: 1, says: 'all of it' },
    { share: 2 / 3, says: 'two of three' },
    { share: 0.5, says: 'half' },
    { share: 1 / 3, says: 'one of three' },
    { share: 0, says: 'left out' },
]
/** share by which the ends of what is written differ before each is offered */
const ENDS_FROM = 0.1
/** As a hand says it, by the word of the feel. */
const HAND: Record<string, string> = {
    crumbles: 'crumbles, cracks',
    stiff: 'stiff',
    rolls: 'rolls well',
    tacky: 'too sticky',
    spreads: 'spreads',
    batter: 'runs',
    loose: 'falls apart',
    shapes: 'soft',
    holds: 'holds',
}
const kitchen = useKitchen()
const feels = computed(() => (isMeat.value ? kitchen.choices?.feelsOfMeat : kitchen.choices?.feels) ?? [])

const written = computed(() =>
    (props.page.batch.value?.answer.lines ?? []).filter(
        (line): line is AnswerLine & { row: number; span: number[] } => line.row !== null && line.span !== null,
    ),
)
const made = computed(() => props.page.state.value.standing.filter((one) => one.kind === 'made'))
const additions = computed(() => made.value.filter((one) => one.said?.entry !== undefined && 'text' in one.said.entry))
const isMeat = computed(() => props.page.batch.value?.answer.batch.wetness === null)
const flour = computed(() => {
    const [most] = written.value
        .filter((line) => line.explain === undefined && /flour|oats|meal/.test(line.text))
        .sort((one, two) => (two.grams?.best ?? 0) - (one.grams?.best ?? 0))

    return most?.ingredient?.replaceAll('-', ' ') ?? 'oat flour'
})
const quick = computed(() => ['1 tsp water', '1 tbsp water', `1 tbsp ${flour.value}`, '1 tsp oil'])
const opened = ref<number | null>(null)
const weighs = ref(false)
const more = ref('')

function saidOf(line: { row: number; span: number[] }): BatchEntry | undefined {
    return made.value.findLast((one) => {
        const entry = one.said?.entry

        return (
            entry !== undefined &&
            'row' in entry &&
            entry.row === line.row &&
            (entry.span === undefined || entry.span === null || entry.span[0] === line.span[0])
        )
    })
}

/** "¼ to ½ cup": the less and the more of it, each in one tap. */
function ends(line: AnswerLine): { grams: number; says: string }[] {
    const { low, best, high } = line.grams ?? { low: 0, best: 0, high: 0 }
    if (best <= 0 || (high - low) / best < ENDS_FROM || !/\d.*(?:-|–|\bto\b|\bor\b).*\d/.test(line.text)) return []

    return [
        { grams: Math.round(10 * low) / 10, says: `the less of it, ${grams(low)}` },
        { grams: Math.round(10 * high) / 10, says: `all of it, ${grams(high)}` },
    ]
}

/** Which of several lines of one row is meant, where there are several. */
function place(line: { row: number; span: number[] }): { row: number; span?: number[] } {
    return written.value.filter((one) => one.row === line.row).length > 1 ? { row: line.row, span: line.span } : { row: line.row }
}

/** The line closes with the tap, so that the next tap opens it again however soon it comes; a refusal leaves it open. */
async function use(line: { row: number; span: number[] }, entry: { share: number } | { grams: number }, says: string): Promise<void> {
    const of = opened.value
    opened.value = null
    if (!(await props.page.tell('made', { entry: { ...place(line), ...entry } as MadeEntry, says }))) opened.value ??= of
}

function add(text: string): void {
    if (text.trim() === '') return
    void props.page.tell('made', { entry: { text: text.trim() }, says: `+ ${text.trim()}` }).then((is) => {
        if (is && text === more.value) more.value = ''
    })
}

/** Dusting flour: what the jar weighed before and after. */
const before = ref<number | null>(null)
const after = ref<number | null>(null)
const dusted = computed(() => (before.value === null || after.value === null ? null : Math.round(10 * (before.value - after.value)) / 10))

function dust(): void {
    if (dusted.value === null || dusted.value <= 0) return
    void props.page.tell('made', { entry: { text: `${dusted.value} g ${flour.value}` }, says: `dusted with ${dusted.value} g ${flour.value}` })
    before.value = after.value = null
}

/** A recipe told without amounts is weighed by what came of it: so many pieces of so much, shared among what nobody weighed. */
const unweighed = computed(() =>
    written.value.filter((line) => line.grams === null && line.ingredient !== null && saidOf(line)?.said?.entry === undefined),
)
const piecesOut = ref<number | null>(null)
const eachOut = ref<number | null>(null)

async function shareOut(): Promise<void> {
    if (piecesOut.value === null || eachOut.value === null || unweighed.value.length === 0) return
    const known = (props.page.figures.value ?? props.page.batch.value?.answer)?.batch.doughGrams.best ?? 0
    const each = Math.round((10 * (piecesOut.value * eachOut.value - known)) / unweighed.value.length) / 10
    if (each <= 0) return
    for (const line of unweighed.value)
        await props.page.tell('made', { entry: { ...place(line), grams: each } as MadeEntry, says: `${each} g, from what came out` })
    void props.page.tell('count', { pieces: piecesOut.value })
}

const offer = shallowRef<DoughAnswer | null>(null)
const offerProblem = ref<string | null>(null)
const felt = computed(() => props.page.state.value.standing.findLast((one) => one.kind === 'felt')?.said?.feel ?? null)

/** The hand's words become an offer with its amount: one tap books it. */
async function feel(word: string): Promise<void> {
    offer.value = null
    offerProblem.value = null
    const { batch, tell } = props.page
    if (batch.value === null) return
    void tell('felt', { feel: word })
    const entries = made.value.flatMap((one) => (one.said?.entry === undefined ? [] : [one.said.entry]))
    const { question } = batch.value
    try {
        offer.value = await api.coreDough({
            ...question,
            explain: null,
            recipe: { ...question.recipe, ...(entries.length === 0 ? {} : { asMade: entries }) },
            feels: word,
        })
    } catch (error) {
        offerProblem.value = wordsOf(error)
    }
}

async function book(): Promise<void> {
    const text = offer.value?.add?.text
    if (text === undefined) return
    if (await props.page.tell('made', { entry: { text }, says: `+ ${text}` })) offer.value = null
}

const dogs = computed(() => props.page.batch.value?.question.dogs ?? [])
const tasting = ref<string | null>(null)
const took = ref(true)
const LICKED = 'licked the spoon'
const what = ref(LICKED)
const isOfBatch = ref(true)
/** g of the dough; what nobody knows is not taken off it */
const tasted = ref<number | null>(null)

async function taste(): Promise<void> {
    const dog = dogs.value.find((one) => one.name === tasting.value)
    if (dog === undefined) return
    if (
        await props.page.tell('tasted', {
            dog: dog.id ?? dog.name,
            name: dog.name,
            what: what.value.trim() || 'a taste',
            took: took.value,
            ofBatch: isOfBatch.value,
            ...(isOfBatch.value && took.value && tasted.value !== null ? { grams: tasted.value } : {}),
        })
    ) {
        tasting.value = tasted.value = null
        what.value = LICKED
        isOfBatch.value = took.value = true
    }
}
</script>

<template>
    <section class="went" aria-label="What went in">
        <h2>What went in</h2>
        <ul class="went__lines">
            <li v-for="(line, n) in written" :key="`${line.row} ${line.span[0]}`">
                <v-btn class="went__line" :height="64" variant="outlined" :aria-expanded="opened === n" @click="opened = opened === n ? null : n"
                    ><span>{{ line.text }}</span
                    ><small v-if="saidOf(line) !== undefined">{{ saidOf(line)?.said?.says ?? 'otherwise' }}</small></v-btn
                >
                <div v-if="opened === n" class="went__ways" role="group" :aria-label="`What of ${line.text} went in`">
                    <v-btn v-for="one in SHARES" :key="one.says" variant="tonal" :height="64" @click="use(line, { share: one.share }, one.says)">{{
                        one.says
                    }}</v-btn>
                    <v-btn
                        v-for="one in ends(line)"
                        :key="one.says"
                        variant="tonal"
                        :height="64"
                        @click="use(line, { grams: one.grams }, one.says)"
                        >{{ one.says }}</v-btn
                    >
                    <NumberField
                        label="Weighed"
                        unit="g"
                        :value="null"
                        :least="0"
                        :most="20000"
                        @meant="(value) => value !== null && use(line, { grams: value }, `weighed ${grams(value)}`)"
                    />
                    <v-btn variant="outlined" :height="64" @click="weighs = true">From the scale</v-btn>
                    <WeighIn
                        v-if="weighs"
                        :of="line.text"
                        @take="
                            (value) => {
                                weighs = false
                                void use(line, { grams: value }, `weighed ${grams(value)}`)
                            }
                        "
                        @close="weighs = false"
                    />
                </div>
            </li>
            <li v-for="one in additions" :key="one.id" class="went__added">
                <span>{{ one.said?.says }}</span>
                <v-btn variant="outlined" :aria-label="`Undo ${one.said?.says}`" @click="page.tell('undone', {}, one.id)">Undo</v-btn>
            </li>
        </ul>
        <div class="went__more" role="group" aria-label="Add to it">
            <v-btn v-for="one in quick" :key="one" variant="tonal" :height="64" @click="add(one)">+ {{ one }}</v-btn>
            <form @submit.prevent="add(more)">
                <v-text-field v-model="more" label="Something else that went in" placeholder="1 tbsp parsley" autocomplete="off" :maxlength="200" />
                <v-btn type="submit" variant="tonal" :height="56" :disabled="more.trim() === ''">Add</v-btn>
            </form>
        </div>
        <div v-if="unweighed.length > 0" class="went__offer" role="group" aria-label="Told without amounts">
            <p>
                {{ unweighed.map((line) => line.text).join(' and ') }} {{ unweighed.length === 1 ? 'has' : 'have' }} no amount. What did it come to,
                before the oven?
            </p>
            <NumberField label="Pieces that came of it" :value="piecesOut" whole :least="1" :most="10000" @meant="(value) => (piecesOut = value)" />
            <NumberField label="Each, raw" unit="g" :value="eachOut" :least="0.1" :most="5000" @meant="(value) => (eachOut = value)" />
            <v-btn color="primary" variant="flat" :height="64" :disabled="piecesOut === null || eachOut === null" @click="shareOut">{{
                unweighed.length === 2 ? 'About half and half' : unweighed.length === 1 ? 'All of it' : 'In equal shares'
            }}</v-btn>
        </div>
        <FoldPart title="Dusting flour, weighed before and after">
            <div class="went__taste">
                <NumberField label="Jar before" unit="g" :value="before" :least="0" :most="20000" @meant="(value) => (before = value)" />
                <NumberField label="Jar after" unit="g" :value="after" :least="0" :most="20000" @meant="(value) => (after = value)" />
                <v-btn variant="tonal" :height="56" :disabled="dusted === null || dusted <= 0" @click="dust">{{
                    dusted !== null && dusted <= 0 ? 'After is more than before' : 'Write it down'
                }}</v-btn>
            </div>
        </FoldPart>
        <h3>How does it feel?</h3>
        <div class="went__feels" role="group" aria-label="How the dough feels">
            <TogglePill v-for="one in feels" :key="one.feel" :on="felt === one.feel" @click="feel(one.feel)">{{
                HAND[one.word] ?? one.word
            }}</TogglePill>
        </div>
        <p v-if="offerProblem !== null" class="problem" role="alert">{{ offerProblem }}</p>
        <div v-if="offer !== null" class="went__offer" role="status">
            <p>{{ offer.says }}</p>
            <v-btn v-if="offer.add !== null" color="primary" variant="flat" :height="64" @click="book"
                >Work in {{ offer.add.text }}, and write it down</v-btn
            >
        </div>
        <h3>Handed down</h3>
        <div class="went__feels" role="group" aria-label="Who had a taste">
            <TogglePill v-for="dog in dogs" :key="dog.name" :on="tasting === dog.name" @click="tasting = tasting === dog.name ? null : dog.name">{{
                dog.name
            }}</TogglePill>
        </div>
        <form v-if="tasting !== null" class="went__taste" @submit.prevent="taste">
            <v-text-field v-model="what" :label="`What ${tasting} was offered`" :maxlength="120" autocomplete="off" />
            <TogglePill :on="took" @click="took = !took">{{ took ? 'took it' : 'would not' }}</TogglePill>
            <TogglePill :on="isOfBatch" @click="isOfBatch = !isOfBatch">{{ isOfBatch ? 'of this dough' : 'something else' }}</TogglePill>
            <NumberField
                v-if="isOfBatch && took"
                label="About how much, if you know"
                unit="g"
                :value="tasted"
                :least="0.1"
                :most="500"
                @meant="(value) => (tasted = value)"
            />
            <v-btn type="submit" variant="tonal" :height="56">Write it down</v-btn>
        </form>
    </section>
</template>
