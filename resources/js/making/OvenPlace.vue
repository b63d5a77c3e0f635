<script setup lang="ts">
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import { api } from '../api/client'
import type { BatchSlip, OvenLesson } from '../api/types.generated'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { useOutbox } from '../kitchen/useOutbox'
import { takeAway } from '../kitchen/takeAway'
import { figure } from '../ui/format'
import { hourOf, leftOf } from './clockwork'
import BatchStrip from './BatchStrip.vue'
import CompareBatches from './CompareBatches.vue'
import { dayOfBatch } from './slips'
import { useAlarm } from './useAlarm'
import { usePerson } from './usePerson'

/** What is in the making, what was made, and what the oven says of itself. */
const kitchen = useKitchen()
const outbox = useOutbox()
const person = usePerson()
const batches = computed(() => kitchen.all.batches.items)
const making = computed(() => batches.value.filter((one) => one.state === 'making'))
const past = computed(() => batches.value.filter((one) => one.state !== 'making'))
/** so many are drawn until all are asked for */
const SHOWN = 30
const all = ref(false)
const lessons = shallowRef<OvenLesson[] | null>(null)
const trouble = ref<string | null>(null)
const chosen = ref<string[]>([])
const { now } = useAlarm(computed(() => []))
const timezone = computed(() => kitchen.kitchen?.timezone)
/** What is worth a word: two bakes at least, and off by more than a scale is; what bakes most often first. */
const told = computed(() =>
    (lessons.value ?? [])
        .filter((one) => one.factor !== null && (Math.abs(one.factor - 1) >= WORTH || acceptedOf(one) !== undefined))
        .toSorted((one, two) => two.from - one.from || Math.abs((two.factor ?? 1) - 1) - Math.abs((one.factor ?? 1) - 1)),
)
const allLessons = ref(false)
const openLesson = ref<string | null>(null)
const keyOf = (one: OvenLesson): string => `${one.oven} ${one.class} ${one.of}`
const dayOf = (id: string): string => {
    const one = batches.value.find((other) => other.id === id)

    return one === undefined ? 'a bake' : day(one)
}
const ovens = computed(() => new Set((lessons.value ?? []).map((one) => one.oven)))

async function look(): Promise<void> {
    try {
        lessons.value = await api.lessons()
        trouble.value = null
    } catch (error) {
        trouble.value = wordsOf(error)
    }
}
onMounted(async () => {
    await kitchen.opened()
    await look()
})
watch(() => past.value.length, look)

const acceptedOf = (one: OvenLesson) =>
    kitchen.all.accepted.items.find((other) => other.oven === one.oven && other.class === one.class && other.of === one.of)

async function accept({ oven, class: kind, of, factor, says }: OvenLesson): Promise<void> {
    if (factor === null) return
    try {
        await kitchen.all.accepted.keep(null, { oven, class: kind, of, factor: Math.min(10, Math.max(0.1, factor)), says, by: person.name.value })
    } catch (error) {
        trouble.value = wordsOf(error)
    }
}

function takeBack(one: OvenLesson): void {
    const accepted = acceptedOf(one)
    if (accepted !== undefined) void takeAway(kitchen, outbox, 'accepted', accepted.id, one.says, 'back')
}

function choose(id: string): void {
    chosen.value = chosen.value.includes(id) ? chosen.value.filter((one) => one !== id) : [...chosen.value.slice(-1), id]
}
const compared = computed(() =>
    chosen.value.map((id) => batches.value.find((one) => one.id === id)).filter((one): one is BatchSlip => one !== undefined),
)
const day = (one: BatchSlip): string => dayOfBatch(one, kitchen.kitchen)
/** share by which the log differs from the plan before it is told */
const WORTH = 0.05
const OF: Record<OvenLesson['of'], string> = {
    minutes: 'time in the heat',
    mass: 'weight after the heat',
    count: 'pieces out of a dough',
    wetness: 'wetness of the dough',
}
</script>

<template>
    <div class="place oven-place">
        <header class="place__head"><h1>Oven</h1></header>
        <p v-if="trouble !== null" class="trouble" role="alert">{{ trouble }} <v-btn variant="outlined" @click="look">Ask again</v-btn></p>
        <div class="oven-place__top">
            <section aria-label="In the making" class="oven-place__making">
                <router-link v-for="one in making" :key="one.id" :to="`/oven/${one.id}`" class="making">
                    <strong class="making__title">{{ one.title }}</strong>
                    <span class="making__steps"
                        ><span :style="{ width: `${(100 * one.done) / Math.max(1, one.steps)}%` }" aria-hidden="true" />{{ one.done }} of
                        {{ one.steps }} steps, since {{ hourOf(one.begunAt, timezone) }}, {{ one.begunBy }}</span
                    >
                    <span
                        v-for="timer in one.timers"
                        :key="timer.id"
                        class="making__timer"
                        :class="{ 'making__timer--rings': Date.parse(timer.endsAt) <= now }"
                        >{{ timer.name }} <b>{{ leftOf(Date.parse(timer.endsAt) - now) }}</b></span
                    >
                </router-link>
                <p v-if="making.length === 0" class="oven-place__calm">
                    Nothing is in the making. A batch is begun from its sheet on <router-link to="/bench">the bench</router-link>.
                </p>
            </section>
            <section v-if="told.length > 0" aria-label="What your oven says" class="lessons">
                <h2>What your oven says</h2>
                <ul>
                    <li v-for="one in allLessons ? told : told.slice(0, 3)" :key="keyOf(one)" class="lesson">
                        <p>
                            <strong>{{ one.says }}</strong>
                            <small
                                >{{ OF[one.of] }}<template v-if="ovens.size > 1">, {{ one.oven }}</template></small
                            >
                        </p>
                        <v-btn
                            class="link"
                            :aria-expanded="openLesson === keyOf(one)"
                            @click="openLesson = openLesson === keyOf(one) ? null : keyOf(one)"
                            >from {{ one.from }} bakes</v-btn
                        >
                        <v-btn v-if="acceptedOf(one) === undefined" variant="tonal" :aria-label="`Reckon with it: ${one.says}`" @click="accept(one)"
                            >Reckon with it</v-btn
                        >
                        <v-btn v-else variant="outlined" :aria-label="`Take it back: ${one.says}`" @click="takeBack(one)">Take it back</v-btn>
                        <p v-if="acceptedOf(one) !== undefined" class="lesson__on">
                            Plans reckon with {{ figure(acceptedOf(one)?.factor ?? 1) }} times.
                        </p>
                        <p v-if="openLesson === keyOf(one)" class="lesson__bakes">
                            From {{ figure(one.low) }} to {{ figure(one.high) }} times the plan:
                            <router-link v-for="id in one.batches" :key="id" :to="`/oven/${id}`" class="lesson__bake">{{ dayOf(id) }}</router-link>
                        </p>
                    </li>
                </ul>
                <v-btn v-if="told.length > 3" :aria-expanded="allLessons" @click="allLessons = !allLessons">{{
                    allLessons ? 'Only the first' : `All ${told.length}`
                }}</v-btn>
            </section>
        </div>
        <section aria-label="Batches so far" class="batches">
            <h2>Batches so far</h2>
            <p v-if="past.length === 0" class="hint">No batch was finished yet.</p>
            <CompareBatches v-if="compared.length === 2" :one="compared[0]!" :two="compared[1]!" @close="chosen = []" />
            <BatchStrip :batches="all ? past : past.slice(0, SHOWN)" :chosen="chosen" compares @choose="choose" />
            <v-btn v-if="past.length > SHOWN" :aria-expanded="all" @click="all = !all">{{
                all ? `Only the newest ${SHOWN}` : `All ${past.length}`
            }}</v-btn>
        </section>
    </div>
</template>
