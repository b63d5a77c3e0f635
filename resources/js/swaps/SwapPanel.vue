<script setup lang="ts">
import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import { api } from '../api/client'
import type { Candidate, SwapsAnswer } from '../api/types.generated'
import { useQuestion } from '../bench/useQuestion'
import { useSheet } from '../bench/useSheet'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { figure, pieces } from '../ui/format'
import TogglePill from '../ui/TogglePill.vue'

/** What may stand in for one line, beside it. The old line stays until the person takes one. */
const props = defineProps<{ index: number; text: string }>()
const emit = defineEmits<{ close: []; look: [candidate: Candidate | null] }>()
const kitchen = useKitchen()
const { takeSwap } = useSheet()
const { question, freshness } = useQuestion()

const JOBS = ['bind', 'bulk', 'thicken', 'wet', 'fat', 'protein', 'sweeten', 'flavour', 'leaven', 'coat']
const answer = ref<SwapsAnswer | null>(null)
const jobs = ref<string[]>([])
const corrected = ref(false)
const at = ref(0)
const problem = ref<string | null>(null)
const list = ref<HTMLElement | null>(null)
let turn = 0
/** what the candidates belong to: the sheet as it stood, and the number of the line on it */
const askedOf = shallowRef<{ sheet: ReturnType<typeof question>; index: number } | null>(null)
/** the sheet was changed since: what would be taken is the sheet as it was */
const isStale = computed(() => askedOf.value === null || askedOf.value.sheet !== question() || askedOf.value.index !== props.index)

async function look(): Promise<void> {
    const asked = question()
    if (asked === null) return
    const mine = ++turn
    const { index } = props
    try {
        const given = await api.swaps({ ...asked, line: index, ...(corrected.value ? { jobs: jobs.value } : {}) })
        if (mine !== turn) return
        answer.value = given
        askedOf.value = { sheet: asked, index }
        if (!corrected.value) jobs.value = given.jobs
        at.value = 0
        problem.value = null
        await nextTick()
        list.value?.querySelector('button')?.focus()
    } catch (error) {
        if (mine === turn) problem.value = wordsOf(error)
    }
}
// which line it is, is known where the answer is of what stands on the sheet
watch(
    [freshness, () => props.index, question],
    ([now]) => {
        if (now === 'fresh' && isStale.value) void look()
    },
    { immediate: true },
)

const chosen = computed(() => (isStale.value ? null : (answer.value?.candidates[at.value] ?? null)))
watch(
    chosen,
    (candidate) => {
        emit('look', candidate)
    },
    { immediate: true },
)

function onKey(event: KeyboardEvent): void {
    const count = answer.value?.candidates.length ?? 0
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
        event.preventDefault()
        at.value = Math.min(count - 1, Math.max(0, at.value + (event.key === 'ArrowDown' ? 1 : -1)))
        void nextTick(() => list.value?.querySelectorAll<HTMLElement>('.swap__take')[at.value]?.focus())
    } else if (event.key === 'Escape') {
        event.stopPropagation()
        emit('close')
    }
}

function toggle(job: string): void {
    corrected.value = true
    jobs.value = jobs.value.includes(job) ? jobs.value.filter((one) => one !== job) : [...jobs.value, job]
    void look()
}

function take(candidate: Candidate): void {
    if (isStale.value) return
    emit('close')
    takeSwap(candidate.recipeText, candidate.steps)
}

async function rate(candidate: Candidate, rating: 'good' | 'bad'): Promise<void> {
    if (candidate.swap === null) return
    try {
        await kitchen.all.swaps.keep(null, { ...candidate.swap, rating })
    } catch (error) {
        problem.value = wordsOf(error)
    }
}

function rated(candidate: Candidate): string | null {
    return kitchen.swaps.find(({ swap }) => swap.out === candidate.swap?.out && swap.in === candidate.swap.in)?.swap.rating ?? null
}

function change(before: number, after: number): string {
    return figure(before) === figure(after) ? figure(after) : `${figure(before)} → ${figure(after)}`
}
</script>

<template>
    <section class="swaps" :aria-label="`What may stand in for ${text.trim()}`" @keydown="onKey">
        <header class="swaps__head">
            <h3>What may stand in</h3>
            <v-btn @click="emit('close')">Close</v-btn>
        </header>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <div v-if="answer !== null" class="swaps__jobs" role="group" aria-label="What this line does in the dough">
            <span class="hint">Its job here:</span
            ><TogglePill v-for="job in JOBS" :key="job" :on="jobs.includes(job)" @click="toggle(job)">{{ job }}</TogglePill>
        </div>
        <p v-if="answer !== null && answer.candidates.length === 0" role="status">
            Nothing known does that job. Name another job, or leave the line out yourself.
        </p>
        <ol ref="list" class="swaps__list" :class="{ 'said-before': answer !== null && isStale }">
            <li
                v-for="(one, number) in answer?.candidates ?? []"
                :key="one.action + one.texts.join()"
                class="swap"
                :class="{ 'swap--at': number === at }"
            >
                <button
                    type="button"
                    class="swap__take"
                    :aria-current="number === at"
                    :aria-disabled="isStale"
                    @focus="at = number"
                    @click="take(one)"
                >
                    <strong>{{ one.action === 'remove' ? 'leave it out' : one.texts.join(' and ') }}</strong>
                    <span class="swap__why">{{ one.reason }}</span>
                </button>
                <p class="swap__effect">
                    <span>{{ change(answer?.before.kcalPerPiece ?? 0, one.after.kcalPerPiece) }} kcal a piece</span>
                    <span>{{ change(answer?.before.fatPerPiece ?? 0, one.after.fatPerPiece) }} g fat</span>
                    <span v-if="one.after.feel !== null"
                        >{{ one.after.feel === answer?.before.feel ? one.after.feel : `${answer?.before.feel ?? 'no dough'} → ${one.after.feel}`
                        }}<template v-if="one.after.wetness !== null && answer?.before.wetness != null">
                            (wetness {{ answer.before.wetness.toFixed(2) }} → {{ one.after.wetness.toFixed(2) }})</template
                        ></span
                    >
                    <span v-if="one.after.made !== null && one.after.made !== answer?.before.made" class="swap__class"
                        >no longer {{ answer?.before.made ?? 'a dough' }}: {{ one.after.made }}</span
                    >
                    <span v-else-if="one.after.made !== null">still {{ one.after.made }}</span>
                    <span v-if="one.after.cost !== null && answer?.before.cost"
                        >cost {{ answer.before.cost.known.toFixed(2) }} → {{ one.after.cost.known.toFixed(2)
                        }}<template v-if="one.after.cost.share < 0.995">, where a price is known</template></span
                    >
                    <span v-for="(ration, n) in one.after.rations" :key="ration.dog"
                        >{{ ration.dog }} {{ pieces(answer?.before.rations[n]?.pieces ?? 0) }} → {{ pieces(ration.pieces ?? 0) }}</span
                    >
                </p>
                <p v-if="one.mending !== null" class="hint">{{ one.mending }}</p>
                <p v-if="one.labels.length > 0" class="hint">Read its label: {{ one.labels.join(' ') }}</p>
                <p v-if="one.newTo.length > 0" class="hint">New to {{ one.newTo.join(', ') }}.</p>
                <p v-if="one.notFor.length > 0" class="swap__not">Not for {{ one.notFor.join(', ') }}.</p>
                <p v-if="one.swap !== null" class="swap__rate">
                    <span class="hint">In this kitchen it</span><TogglePill :on="rated(one) === 'good'" @click="rate(one, 'good')">worked</TogglePill
                    ><TogglePill :on="rated(one) === 'bad'" @click="rate(one, 'bad')">failed</TogglePill>
                </p>
            </li>
        </ol>
    </section>
</template>
