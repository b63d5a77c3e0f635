<script setup lang="ts">
import { computed, ref } from 'vue'
import { wordsOf } from '../kitchen/useKitchen'
import { useOutbox } from '../kitchen/useOutbox'
import { addressOf, keepPhotograph } from '../kitchen/photographs'
import LeftOver from '../keeping/LeftOver.vue'
import { grams } from '../ui/format'
import NumberField from '../ui/NumberField.vue'
import SwitchRow from '../ui/SwitchRow.vue'
import LotMark from './LotMark.vue'
import type { LotSign } from './lots'
import type { BatchOnPage } from './useBatch'
import WeighIn from './WeighIn.vue'

/** What came out: counted, weighed, wasted, put away; what the oven did, and what to do differently. */
const props = defineProps<{ page: BatchOnPage; lots: LotSign[] }>()
const outbox = useOutbox()

const WHY = ['burnt', 'broken', 'edges', 'stuck', 'dropped', 'other'] as const
const WHY_SAID: Record<string, string> = {
    burnt: 'burnt',
    broken: 'broken',
    edges: 'edges cut off',
    stuck: 'stuck',
    dropped: 'dropped',
    other: 'something else',
}
const all = computed<(LotSign | null)[]>(() => (props.lots.length === 0 ? [null] : props.lots))
const last = (kind: string, lot: string | null, key: 'pieces' | 'grams' | 'percent'): number | null =>
    props.page.state.value.standing.findLast((one) => one.kind === kind && (one.said?.lot ?? null) === lot)?.said?.[key] ?? null
const ofLot = (lot: LotSign | null): { lot?: string } => (lot === null ? {} : { lot: lot.name })
const wasted = (lot: string | null): string =>
    props.page.state.value.standing
        .filter((one) => one.kind === 'waste' && (one.said?.lot ?? null) === lot)
        .map((one) => `${one.said?.pieces !== undefined ? one.said.pieces : grams(one.said?.grams ?? 0)} ${WHY_SAID[one.said?.why ?? ''] ?? ''}`)
        .join(', ')
const isMould = computed(() => props.page.batch.value?.question.cut?.shape === 'mould')
const why = ref<(typeof WHY)[number]>('burnt')
const weighs = ref<string | null>(null)
const place = ref<'jar' | 'fridge' | 'freezer'>('jar')
const bags = computed(() => props.page.state.value.standing.filter((one) => one.kind === 'bag'))
const notes = computed(() => props.page.state.value.standing.filter((one) => one.kind === 'note'))
const photo = computed(() => props.page.state.value.standing.findLast((one) => one.kind === 'photo')?.said?.photo ?? null)
const about = ref<'oven' | 'dough' | 'next'>('next')
const note = ref('')
const trouble = ref<string | null>(null)
const picture = ref<HTMLInputElement | null>(null)

/** The same figure again is no new one; another corrects the one before. */
function measure(kind: 'count' | 'weight', lot: LotSign | null, value: number | null): void {
    const key = kind === 'count' ? 'pieces' : 'grams'
    if (value === null || value === last(kind, lot?.name ?? null, key)) return
    const before = props.page.state.value.standing.findLast((one) => one.kind === kind && (one.said?.lot ?? null) === (lot?.name ?? null))
    void props.page.tell(kind, { [key]: value, ...ofLot(lot) }, before?.id ?? null)
}

async function write(): Promise<void> {
    if (note.value.trim() === '') return
    if (await props.page.tell('note', { about: about.value, text: note.value.trim() })) note.value = ''
}

async function take(event: Event): Promise<void> {
    const file = (event.target as HTMLInputElement).files?.[0]
    if (file === undefined) return
    trouble.value = null
    try {
        await props.page.tell('photo', { photo: await keepPhotograph(outbox, file, `“${props.page.batch.value?.title ?? 'a batch'}”`) })
    } catch (error) {
        trouble.value = error instanceof Error && error.message !== '' ? error.message : wordsOf(error)
    }
    ;(event.target as HTMLInputElement).value = ''
}

function putAway(lot: LotSign | null, pieces: number | null): void {
    if (pieces === null || pieces === 0) return
    void props.page.tell('bag', { place: place.value, pieces, bags: 1, ...ofLot(lot) })
}
const left = (lot: string | null): number | null => {
    const count = last('count', lot, 'pieces')

    return count === null
        ? null
        : count - bags.value.filter((one) => (one.said?.lot ?? null) === lot).reduce((sum, one) => sum + (one.said?.pieces ?? 0), 0)
}
</script>

<template>
    <section class="finish" aria-label="Count and finish">
        <h2>What came out</h2>
        <div v-for="lot in all" :key="lot?.name ?? ''" class="finish__lot" role="group" :aria-label="lot?.name ?? 'the batch'">
            <LotMark v-if="lot !== null" :lot="lot" />
            <div class="finish__fields">
                <NumberField
                    label="Pieces"
                    :value="last('count', lot?.name ?? null, 'pieces')"
                    whole
                    :least="0"
                    :most="10000"
                    @meant="(value) => measure('count', lot, value)"
                />
                <NumberField
                    label="Weight, cold"
                    unit="g"
                    :value="last('weight', lot?.name ?? null, 'grams')"
                    :least="0"
                    :most="100000"
                    @meant="(value) => measure('weight', lot, value)"
                />
                <v-btn variant="outlined" :height="56" :aria-label="`Weigh ${lot?.name ?? 'them'} on the scale`" @click="weighs = lot?.name ?? ''"
                    >Scale</v-btn
                >
            </div>
            <WeighIn
                v-if="weighs === (lot?.name ?? '')"
                :of="lot?.name ?? 'them'"
                @take="
                    (value) => {
                        weighs = null
                        measure('weight', lot, value)
                    }
                "
                @close="weighs = null"
            />
            <div class="finish__fields">
                <NumberField
                    label="Wasted pieces"
                    :value="null"
                    whole
                    :least="0"
                    :most="10000"
                    @meant="(value) => value !== null && value > 0 && page.tell('waste', { pieces: value, why, ...ofLot(lot) })"
                />
                <v-select v-model="why" label="Why" :items="WHY.map((one) => ({ id: one, name: WHY_SAID[one] }))" />
                <p v-if="wasted(lot?.name ?? null) !== ''" class="hint">Wasted: {{ wasted(lot?.name ?? null) }}</p>
            </div>
            <div v-if="isMould" class="finish__fields">
                <NumberField
                    label="The last mould is full to"
                    unit="%"
                    :value="last('mould', lot?.name ?? null, 'percent')"
                    :least="0"
                    :most="100"
                    @meant="(value) => value !== null && page.tell('mould', { percent: value, ...ofLot(lot) })"
                />
            </div>
            <div class="finish__fields">
                <NumberField
                    :label="`Put away${left(lot?.name ?? null) === null ? '' : `, of ${left(lot?.name ?? null)} left`}`"
                    unit="pieces"
                    :value="null"
                    whole
                    :least="0"
                    :most="10000"
                    @meant="(value) => putAway(lot, value)"
                />
                <SwitchRow
                    v-model="place"
                    label="Where"
                    :items="[
                        { value: 'jar', title: 'jar' },
                        { value: 'fridge', title: 'fridge' },
                        { value: 'freezer', title: 'freezer' },
                    ]"
                />
            </div>
        </div>
        <p><router-link class="link-button" :to="`/jars?dough=${page.batch.value?.id ?? ''}`">Put raw dough by</router-link></p>
        <ul v-if="bags.length > 0" class="finish__bags" aria-label="Put away">
            <li v-for="one in bags" :key="one.id">
                {{ one.said?.pieces }} in the {{ one.said?.place }}<template v-if="one.said?.lot !== undefined">, {{ one.said.lot }}</template>
                <v-btn
                    size="small"
                    variant="outlined"
                    :aria-label="`Undo ${one.said?.pieces} in the ${one.said?.place}`"
                    @click="page.tell('undone', {}, one.id)"
                    >Undo</v-btn
                >
            </li>
        </ul>
        <h3>Notes</h3>
        <ul class="finish__notes">
            <li v-for="one in notes" :key="one.id">
                <small>{{ { oven: 'the oven', dough: 'the dough', next: 'next time', other: 'note' }[one.said?.about ?? 'other'] }}</small>
                {{ one.said?.text }}
            </li>
        </ul>
        <form class="finish__note" @submit.prevent="write">
            <SwitchRow
                v-model="about"
                label="About"
                :items="[
                    { value: 'next', title: 'next time' },
                    { value: 'oven', title: 'the oven' },
                    { value: 'dough', title: 'the dough' },
                ]"
            />
            <v-text-field v-model="note" label="What to do differently, or how it went" :maxlength="500" autocomplete="off" />
            <v-btn type="submit" variant="tonal" :height="56" :disabled="note.trim() === ''">Write it down</v-btn>
        </form>
        <LeftOver v-if="page.batch.value !== null && !page.state.value.isClosed" :batch="page.batch.value" />
        <p class="finish__photo">
            <img v-if="photo !== null" :src="addressOf(outbox, photo)" :alt="`What came out of ${page.batch.value?.title ?? 'the oven'}`" />
            <input
                ref="picture"
                type="file"
                accept="image/*"
                class="unseen"
                tabindex="-1"
                aria-label="A photograph of what came out"
                @change="take"
            />
            <v-btn variant="outlined" :height="56" @click="picture?.click()">{{ photo === null ? 'Take a photograph' : 'Another photograph' }}</v-btn>
        </p>
        <p v-if="trouble !== null" class="problem" role="alert">{{ trouble }}</p>
        <p class="finish__end">
            <v-btn v-if="!page.state.value.isClosed" color="primary" variant="flat" :height="76" @click="page.tell('finished')"
                >The batch is finished</v-btn
            >
            <span v-else class="finish__closed" role="status"
                >This batch is finished. Notes, waste and bags can still be added. <router-link to="/jars">The jars</router-link> say until when it
                keeps.</span
            >
        </p>
    </section>
</template>
