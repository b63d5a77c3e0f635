<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue'
import { api } from '../api/client'
import type { BatchSlip, LeftOver, Place } from '../api/types.generated'
import { wordsOf } from '../kitchen/useKitchen'
import { dayIn, grams } from '../ui/format'
import { tell } from '../ui/notices'
import { useJars } from './useJars'
import { isFresh } from './useLeftOvers'

/** What a batch leaves over: half tins and dough that are put by in a tap, and the scraps that no dog may reach. */
const props = defineProps<{ batch: BatchSlip }>()
const jars = useJars()
const left = shallowRef<LeftOver | null>(null)
const problem = shallowRef<string | null>(null)
/** said on this page, before the kitchen has answered */
const said = shallowRef<Record<string, 'kept' | 'gone' | null>>({})
watch(
    [() => props.batch.id, () => jars.kitchen.number],
    async ([id], before) => {
        if (before?.[0] !== id) left.value = null
        try {
            const told = await api.leftOver(id)
            if (id !== props.batch.id) return
            left.value = told
            said.value = {}
            problem.value = null
        } catch (error) {
            problem.value = wordsOf(error)
        }
    },
    { immediate: true },
)
/** one of each is choice enough here: the jars move it on */
const cold = computed(() =>
    (['fridge', 'freezer'] as const).flatMap((kind) => {
        const first = jars.places.value.find((one) => one.kind === kind)

        return first === undefined ? [] : [first]
    }),
)
const answerOf = (what: string, told: 'kept' | 'gone' | null): 'kept' | 'gone' | null => (what in said.value ? (said.value[what] ?? null) : told)
/** what may be answered, and what was */
const kept = computed(() => (left.value?.kept ?? []).filter((one) => isFresh(props.batch) || one.answered !== null))
const dough = computed(() => (left.value === null || (left.value.dough?.answered === null && !isFresh(props.batch)) ? null : left.value.dough))
const out = computed(() => (left.value?.scraps ?? []).filter((one) => one.outOfReach))
const bowl = computed(() => (left.value?.scraps ?? []).filter((one) => !one.outOfReach))

function took(what: string, how: 'kept' | 'gone', act: { id: string } | null, words: string): void {
    if (act === null) return
    said.value = { ...said.value, [what]: how }
    tell(words, 'Undo', () => {
        said.value = { ...said.value, [what]: null }
        void jars.act('undo', {}, act.id)
    })
}
async function keep(one: LeftOver['kept'][number], place: Place): Promise<void> {
    const bag = crypto.randomUUID()
    const act = await jars.act('open', {
        bag,
        title: one.name,
        food: one.food,
        ingredient: one.ingredient,
        place: place.id,
        batch: props.batch.id,
        made: dayIn(jars.kitchen.kitchen?.timezone ?? 'UTC', new Date(props.batch.begunAt)),
    })
    took(one.ingredient, 'kept', act, `The rest of the ${one.name}: ${place.name}.`)
}
async function keepDough(dough: NonNullable<LeftOver['dough']>, place: Place): Promise<void> {
    const split = [{ bag: crypto.randomUUID(), place: place.id, pieces: dough.pieces, grams: dough.grams }]
    took('dough', 'kept', await jars.act('put', { batch: props.batch.id, as: 'dough', split }), `The rest of the dough: ${place.name}.`)
}
async function none(ingredient: string, name: string): Promise<void> {
    took(ingredient, 'gone', await jars.act('gone', { batch: props.batch.id, ingredient }), `Nothing is left of the ${name}.`)
}
</script>

<template>
    <section
        v-if="left !== null && (kept.length > 0 || dough !== null || (left.scraps.length > 0 && isFresh(batch)))"
        class="left-over"
        aria-label="Left over"
    >
        <h2>Left over</h2>
        <p v-if="jars.refused.value !== null" class="problem" role="alert">{{ jars.refused.value }}</p>
        <ul v-if="kept.length > 0 || dough !== null" class="left-over__kept">
            <li v-for="one in kept" :key="one.ingredient">
                <span
                    ><b>{{ one.name }}</b
                    >, if some is left: {{ one.days }} {{ one.days === 1 ? 'day' : 'days' }} in the fridge</span
                >
                <span v-if="answerOf(one.ingredient, one.answered) !== null" class="left-over__said">{{
                    answerOf(one.ingredient, one.answered) === 'kept' ? 'put by' : 'nothing left'
                }}</span>
                <span v-else role="group" :aria-label="`The rest of the ${one.name}`" class="left-over__where">
                    <v-btn
                        v-for="place in cold"
                        :key="place.id"
                        variant="tonal"
                        :aria-label="`${one.name}: ${place.name}`"
                        @click="keep(one, place)"
                        >{{ place.name }}</v-btn
                    >
                    <v-btn variant="text" :aria-label="`Nothing is left of the ${one.name}`" @click="none(one.ingredient, one.name)"
                        >Nothing left</v-btn
                    >
                </span>
            </li>
            <li v-if="dough !== null">
                <span><b>dough</b> that became no piece, about {{ grams(dough.grams) }}: roll it into one more, or put it by</span>
                <span v-if="answerOf('dough', dough.answered) !== null" class="left-over__said">{{
                    answerOf('dough', dough.answered) === 'kept' ? 'put by' : 'nothing left'
                }}</span>
                <span v-else role="group" aria-label="The rest of the dough" class="left-over__where">
                    <v-btn
                        v-for="place in cold"
                        :key="place.id"
                        variant="tonal"
                        :aria-label="`dough: ${place.name}`"
                        @click="keepDough(dough, place)"
                        >{{ place.name }}</v-btn
                    >
                    <v-btn variant="text" aria-label="Nothing is left of the dough" @click="none('dough', 'dough')">Nothing left</v-btn>
                </span>
            </li>
        </ul>
        <template v-if="out.length > 0">
            <h3>Out of every dog's reach, in a bin with a lid</h3>
            <ul class="left-over__out">
                <li v-for="one in out" :key="one.scrap">
                    <b>{{ one.scrap }}</b> ({{ one.of.join(', ') }}): {{ one.says }}
                </li>
            </ul>
            <p class="hint">Did a dog get at it? "It ate something" on the rail counts what it had, to read out to the vet.</p>
        </template>
        <ul v-if="bowl.length > 0" class="left-over__bowl">
            <li v-for="one in bowl" :key="one.scrap">
                <b>{{ one.scrap }}</b> of {{ one.of.join(', ') }}: {{ one.says }}
            </li>
        </ul>
    </section>
    <p v-else-if="problem !== null" class="hint">{{ problem }}</p>
</template>
