<script setup lang="ts">
import { computed, ref } from 'vue'
import { useJars } from '../keeping/useJars'
import { tell } from '../ui/notices'
import { pieces } from '../ui/format'
import { useDay } from './useDay'
import type { OccasionOnPage } from './useOccasion'

/** It is today: what the own dogs got is written down in one tap, out of the bag it came from, with what it borrows. */
const props = defineProps<{ page: OccasionOnPage }>()
const jars = useJars()
const day = useDay()
const own = computed(() => new Set(props.page.occasion.value?.dogs ?? []))
/** Dogs that had theirs, of whatever treat it was. */
const had = computed(
    () => new Set((props.page.plan.value?.treats ?? []).flatMap((treat) => (props.page.writtenOf(treat.id)?.given ?? []).map((one) => one.dog))),
)
const rows = computed(() =>
    (props.page.plan.value?.treats ?? []).flatMap((treat) => {
        const written = props.page.writtenOf(treat.id)
        const given = (written?.given ?? []).map((one) => ({ ...one, name: day.nameOf(one.dog) }))
        const dogs = (props.page.plan.value?.guests ?? []).filter(
            (one) => one.treat === treat.id && one.state === 'may' && own.value.has(one.dogId ?? '') && !had.value.has(one.dogId ?? ''),
        )
        const bag = jars.here.value
            .filter((one) => one.content === 'treats' && !one.frozen && jars.kitchen.all.batches.of(one.batch ?? '')?.recipeId === treat.id)
            .toSorted((one, two) => (one.bestBefore ?? '9').localeCompare(two.bestBefore ?? '9'))[0]

        return dogs.length === 0 && given.length === 0 ? [] : [{ treat, dogs, bag, given, next: written?.next }]
    }),
)
type Row = (typeof rows.value)[number]
/** Sent, and not in the ledger yet. */
const sent = ref(new Set<string>())
const isSent = (row: Row): boolean => row.next !== undefined && sent.value.has(row.next)

const unsent = (gift: string): void => {
    sent.value = new Set([...sent.value].filter((one) => one !== gift))
}

async function write(row: Row): Promise<void> {
    if (row.bag === undefined || row.next === undefined || isSent(row)) return
    sent.value = new Set([...sent.value, row.next])
    const dogs = row.dogs.map((one) => ({ dog: one.dogId ?? '', pieces: one.pieces }))
    const gift = await day.give({ dogs, bag: row.bag.id }, row.treat.name, row.next)
    if (gift === null) return unsent(row.next)
    const loans: string[] = []
    for (const one of row.dogs) {
        const loan = (one.daysWithout ?? 0) > 0 ? await day.borrow(one.dogId ?? '', true) : null
        if (loan !== null) loans.push(loan)
    }
    tell(`Written down: ${row.dogs.map((one) => `${one.dog} ${pieces(one.pieces)}`).join(', ')}.`, 'Undo', () => takeBack(gift, loans))
}

async function takeBack(gift: string, loans: string[]): Promise<void> {
    // a dog that was not over has borrowed nothing
    for (const one of loans) if (day.isWaiting(one) || day.day.value?.loans.some((of) => of.id === one) === true) await day.takeBack(one)
    // what the kitchen has heard of keeps its id: the next is another
    if (await day.takeBack(gift)) unsent(gift)
}
</script>

<template>
    <section v-if="rows.length > 0" class="occasion__part occasion__now" aria-labelledby="occasion-now">
        <h2 id="occasion-now">It is today</h2>
        <p v-if="day.refused.value !== null" class="problem" role="alert">{{ day.refused.value }}</p>
        <template v-for="row in rows" :key="row.treat.id">
            <p v-if="row.given.length > 0">
                {{ row.treat.name }}, in the ledger: {{ row.given.map((one) => `${one.name} ${pieces(one.pieces ?? 0)}`).join(', ') }}, by
                {{ [...new Set(row.given.map((one) => one.by))].join(' and ') }}.
            </p>
            <p v-if="row.dogs.length > 0">
                {{ row.treat.name }}: {{ row.dogs.map((one) => `${one.dog} ${pieces(one.pieces)}`).join(', ') }}.
                <span v-if="isSent(row)" class="hint">On its way to the ledger.</span>
                <v-btn v-else-if="row.bag !== undefined" variant="tonal" :disabled="page.stale.value" @click="write(row)"
                    >Given, out of bag {{ row.bag.number }}</v-btn
                >
                <span v-else class="hint"
                    >Nothing of it is in the jars: bag the batch first, or write it down on <router-link to="/today">Today</router-link>.</span
                >
            </p>
        </template>
    </section>
</template>
