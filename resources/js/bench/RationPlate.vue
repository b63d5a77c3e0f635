<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { FormulateAnswer, Ration } from '../api/types.generated'
import { api } from '../api/client'
import { wordsOf } from '../kitchen/useKitchen'
import { pieces } from '../ui/format'
import { told } from '../ui/levels'
import { useUnits } from '../ui/useUnits'
import FindingMark from '../ui/FindingMark.vue'
import PieceDots from '../ui/PieceDots.vue'
import { LEVELS } from '../ui/levels'
import LimitBars from './LimitBars.vue'
import { plainly, useParts } from './useParts'
import { useQuestion } from './useQuestion'
import type { Confirmation, Saying } from './useSheet'
import TogglePill from '../ui/TogglePill.vue'
import { later } from '../ui/later'

/** What one dog may have today, drawn as pieces, with what holds it there. */
const props = defineProps<{ ration: Ration; verdict: FormulateAnswer['verdict']['dogs'][number] | undefined }>()
const emit = defineEmits<{ confirm: [one: Saying]; takeBack: [one: Confirmation] }>()
const FindingCard = later(() => import('./FindingCard.vue'))
const open = ref(false)
const units = useUnits()

const shown = computed(() => props.ration.piecesPerDay ?? 0)
const ifCleared = computed(() => props.ration.ifCleared ?? 0)
const ghost = computed(() => shown.value === 0 && ifCleared.value > 0)
const notes = computed(() => told(props.verdict?.findings ?? []))

const ramp = computed(() => props.ration.explain?.ramp ?? [])
const breakInto = computed(() => props.ration.explain?.breakInto ?? null)
const wouldFit = computed(() => {
    const cut = props.ration.explain?.wouldFit ?? null

    return cut === null
        ? null
        : `${cut.shape} ${Object.entries(cut)
              .filter(([key]) => key.endsWith('Mm'))
              .map(([, mm]) => units.mm(mm as number))
              .join(' × ')}`
})

const { question, answer } = useQuestion()
const { goesWithout, toggleWithout } = useParts()
const wanted = ref('')
const occasion = ref<string | null>(null)

async function askOccasion(): Promise<void> {
    const [asked, pieces] = [question(), wanted.value]
    if (asked === null || pieces.trim() === '') return
    let says: string
    try {
        says = (await api.occasion({ ...asked, occasion: { dog: props.ration.dogId ?? props.ration.dog, pieces: pieces.trim() } })).says
    } catch (error) {
        says = wordsOf(error)
    }
    if (asked === question() && pieces === wanted.value) occasion.value = says
}

// it was said of the ration as it was
watch([() => props.ration, wanted], () => {
    occasion.value = null
})

/** What may be left off for one dog: whatever goes on the pieces besides the dough. */
const leavable = computed(() => (answer.value?.parts ?? []).filter((part) => part.role !== 'body' && part.section !== null))

const words = computed(() => {
    if (props.ration.piecesPerDay === null) return 'Nothing in it to count'
    if (props.verdict?.cleared) return `${pieces(shown.value)} a day`
    if (ifCleared.value > 0) return `none yet; ${pieces(ifCleared.value)} once cleared`

    return 'none'
})
</script>

<template>
    <li class="ration" :class="{ 'ration--waits': !verdict?.cleared }">
        <button type="button" class="ration__head" :aria-expanded="open" @click="open = !open">
            <span class="ration__dog"
                >{{ ration.dog }} <small v-if="ration.explain?.portion">{{ ration.explain.portion }}</small></span
            >
            <span class="ration__words" aria-live="polite">{{ words }}</span>
        </button>
        <PieceDots class="ration__pieces" :count="ghost ? ifCleared : shown" :ghost="ghost" />
        <p class="ration__held">
            <template v-if="verdict?.cleared"
                >held by {{ ration.explain?.shows
                }}<template v-if="ration.holdBackGrams !== null && ration.holdBackGrams > 0">
                    · hold back {{ Math.max(1, Math.round(ration.holdBackGrams)) }} g of its meal</template
                ></template
            >
            <template v-else-if="notes.length === 0">waits for what is marked on the sheet</template>
        </p>
        <p v-if="notes.length > 0" class="ration__notes">
            <button
                v-for="one in notes"
                :key="one.finding.code"
                type="button"
                class="chip"
                :class="[`chip--${one.finding.level}`, { 'chip--settled': one.finding.confirmed }]"
                @click="open = !open"
            >
                <FindingMark :level="one.finding.level" /><span class="chip__word">{{
                    one.finding.confirmed ? 'Settled' : LEVELS[one.finding.level].word
                }}</span>
            </button>
        </p>
        <div v-if="leavable.length > 0 && ration.dogId" class="toggles ration__without" role="group" :aria-label="`What ${ration.dog} goes without`">
            <TogglePill
                v-for="part in leavable"
                :key="part.section ?? ''"
                :on="goesWithout(ration.dogId, part)"
                @click="toggleWithout(ration.dogId, part)"
                >without {{ plainly(part) }}</TogglePill
            >
        </div>
        <div v-if="open" class="ration__made">
            <FindingCard
                v-for="one in notes"
                :key="one.finding.code"
                :told="one"
                :line="null"
                @confirm="emit('confirm', $event)"
                @take-back="emit('takeBack', $event)"
            />
            <router-link class="link-button" :to="`/report/${encodeURIComponent(ration.dogId ?? ration.dog)}`">Screening report</router-link>
            <LimitBars v-if="ration.limits.length > 0" :ration="ration" />
            <p v-if="ramp.length > 0">
                Something here is new to {{ ration.dog }}:
                <template v-for="(one, n) in ramp" :key="one.days">{{ n > 0 ? '; ' : '' }}{{ one.days }} {{ pieces(one.pieces) }}</template> a day.
            </p>
            <p v-if="breakInto !== null">
                Break it first: score {{ breakInto.along }} × {{ breakInto.across }}, so that no part is longer than its safe bite of
                {{ units.mmAtMost(ration.explain?.safeBiteMm ?? 0) }}.
            </p>
            <p v-if="wouldFit !== null">Too rich for {{ ration.dog }}: {{ wouldFit }} would go, one a day.</p>
            <div class="made">
                <h3>Why this many</h3>
                <p v-for="sentence in ration.explain?.made ?? []" :key="sentence">{{ sentence }}</p>
            </div>
            <form v-if="verdict !== undefined" class="fields" @submit.prevent="askOccasion">
                <v-text-field
                    v-model="wanted"
                    class="field--long"
                    label="A birthday? How much that day"
                    placeholder="half a slice, a sixth, 3"
                    maxlength="80"
                    autocomplete="off"
                />
                <v-btn type="submit" variant="tonal" :disabled="wanted.trim() === ''">What that takes</v-btn>
            </form>
            <p v-if="occasion !== null" role="status">{{ occasion }}</p>
        </div>
    </li>
</template>
