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
/** Something that may be left: what it is called, what is said of it, and how it is put by. */
interface Rest {
    what: string
    name: string
    words: string
    answered: 'kept' | 'gone' | null
    keep: (place: Place) => ReturnType<typeof jars.act>
}
/** what may be answered, and what was */
const rests = computed<Rest[]>(() => {
    if (left.value === null) return []
    const { kept, dough } = left.value
    const all = kept.map((one): Rest => ({
        what: one.ingredient,
        name: one.name,
        words: `, if some is left: ${one.days} ${one.days === 1 ? 'day' : 'days'} in the fridge`,
        answered: one.answered,
        keep: (place) => open(one, place),
    }))
    if (dough !== null)
        all.push({
            what: 'dough',
            name: 'dough',
            words: ` that became no piece, about ${grams(dough.grams)}: roll it into one more, or put it by`,
            answered: dough.answered,
            keep: (place) =>
                jars.act('put', {
                    batch: props.batch.id,
                    as: 'dough',
                    split: [{ bag: crypto.randomUUID(), place: place.id, pieces: dough.pieces, grams: dough.grams }],
                }),
        })

    return all
        .filter((one) => isFresh(props.batch) || one.answered !== null)
        .map((one) => ({ ...one, answered: one.what in said.value ? (said.value[one.what] ?? null) : one.answered }))
})
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
/** Its days count from the day of the batch, whenever somebody puts it by. */
function open(one: LeftOver['kept'][number], place: Place): ReturnType<typeof jars.act> {
    return jars.act('open', {
        bag: crypto.randomUUID(),
        title: one.name,
        food: one.food,
        ingredient: one.ingredient,
        place: place.id,
        batch: props.batch.id,
        made: dayIn(jars.kitchen.kitchen?.timezone ?? 'UTC', new Date(props.batch.begunAt)),
    })
}
async function keep(one: Rest, place: Place): Promise<void> {
    took(one.what, 'kept', await one.keep(place), `The rest of the ${one.name}: ${place.name}.`)
}
async function none(one: Rest): Promise<void> {
    took(one.what, 'gone', await jars.act('gone', { batch: props.batch.id, ingredient: one.what }), `Nothing is left of the ${one.name}.`)
}
</script>

<template>
    <section v-if="rests.length > 0 || (left !== null && left.scraps.length > 0 && isFresh(batch))" class="left-over" aria-label="Left over">
        <h2>Left over</h2>
        <p v-if="jars.refused.value !== null" class="problem" role="alert">{{ jars.refused.value }}</p>
        <ul v-if="rests.length > 0" class="left-over__kept">
            <li v-for="one in rests" :key="one.what">
                <span
                    ><b>{{ one.name }}</b
                    >{{ one.words }}</span
                >
                <span v-if="one.answered !== null" class="left-over__said">{{ one.answered === 'kept' ? 'put by' : 'nothing left' }}</span>
                <span v-else role="group" :aria-label="`The rest of the ${one.name}`" class="left-over__where">
                    <v-btn
                        v-for="place in cold"
                        :key="place.id"
                        variant="tonal"
                        :aria-label="`${one.name}: ${place.name}`"
                        @click="keep(one, place)"
                        >{{ place.name }}</v-btn
                    >
                    <v-btn variant="text" :aria-label="`Nothing is left of the ${one.name}`" @click="none(one)">Nothing left</v-btn>
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
