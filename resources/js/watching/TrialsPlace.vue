<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import type { DiaryEntry, Trial } from '../api/types.generated'
import { takeAway } from '../kitchen/takeAway'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { useOutbox } from '../kitchen/useOutbox'
import { useToday } from '../kitchen/useToday'
import { writtenDate } from '../ui/dates'
import EmptyPlace from '../ui/EmptyPlace.vue'
import { daysBetween } from '../keeping/shelves'
import { dayInWords, entryInWords } from './days'
import DogHead from './DogHead.vue'
import TrialEnd from './TrialEnd.vue'
import TrialForm from './TrialForm.vue'
import TrialStrip from './TrialStrip.vue'
import { useSeason } from './useSeason'

/** The trials of a dog: one new food, one left out, only a few, one given again; and what they came to. */
const kitchen = useKitchen()
const outbox = useOutbox()
const route = useRoute()
const today = useToday()
const id = computed(() => String(route.params['id']))
const dog = computed(() => kitchen.all.dogs.of(id.value) ?? null)
const all = computed(() => kitchen.all.trials.items.filter((one) => one.dogId === id.value).toReversed())
const open = computed(() => all.value.filter((one) => one.outcome === null))
const ended = computed(() => all.value.filter((one) => one.outcome !== null))
const problem = ref<string | null>(null)
const KIND: Record<Trial['kind'], string> = {
    'new-food': 'A new food',
    'leave-out': 'Left out',
    elimination: 'Only a few foods',
    challenge: 'Given again',
}
const CAME = { well: 'It bears it.', badly: 'It did not bear it', open: 'Broken off; nobody can tell.' } as const
const foods = (one: Trial): string => one.foods.map((food) => kitchen.nameOf(food)).join(', ')
const date = (iso: string): string => writtenDate(iso, kitchen.kitchen?.datesAs ?? 'dmy')

async function doing(work: () => Promise<unknown>): Promise<void> {
    problem.value = null
    try {
        await work()
    } catch (error) {
        problem.value = wordsOf(error)
    }
}
/** Since the first of them began. */
const since = computed(() => open.value.reduce((least, one) => (one.from < least ? one.from : least), today.value))
const { season } = useSeason(id, since, today)
const seenSince = (one: Trial): DiaryEntry[] =>
    (season.value?.entries ?? []).filter((of) => !of.undone && of.on >= one.from && (of.kind !== 'taken' || one.kind !== 'leave-out')).toReversed()
const again = (one: Trial): Promise<void> => doing(() => kitchen.all.trials.keep(one.id, { outcome: null }))
const remove = (one: Trial): Promise<void> => doing(() => takeAway(kitchen, outbox, 'trials', one.id, `${dog.value?.name ?? ''}: ${foods(one)}`))
</script>

<template>
    <div class="place place--wide">
        <DogHead :dog="id" />
        <p v-if="dog === null && kitchen.kitchen !== null" class="problem" role="alert">
            That dog is not in this kitchen. <router-link to="/dogs">To the dogs</router-link>.
        </p>
        <div v-if="dog !== null" class="trials">
            <div class="trials__list">
                <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
                <EmptyPlace v-if="all.length === 0" title="No trial yet"
                    >A trial finds out what {{ dog.name }} bears: one food at a time, written down day by day. The bench and Today know of
                    it.</EmptyPlace
                >
                <article v-for="one in open" :key="one.id" class="paper trial" :aria-label="`${KIND[one.kind]}: ${foods(one)}`">
                    <header class="trial__head">
                        <h2>
                            {{ KIND[one.kind] }}: <b>{{ foods(one) }}</b>
                        </h2>
                        <p class="hint">since {{ date(one.from) }}<template v-if="one.vetSaid">, as the vet said</template></p>
                    </header>
                    <p class="trial__says" :class="{ 'trial__says--due': one.isDue }">{{ one.says }}</p>
                    <TrialStrip :trial="one" :today="today" />
                    <ul v-if="seenSince(one).length > 0" class="trial__seen" :aria-label="`Seen since: ${foods(one)}`">
                        <li v-for="of in seenSince(one)" :key="of.id">
                            <b>day {{ daysBetween(one.from, of.on) + 1 }}</b>
                            {{ entryInWords(of, kitchen.choices?.signs ?? [], kitchen.choices?.hows ?? []) }}
                        </li>
                    </ul>
                    <p v-else-if="one.from <= today" class="hint">Nothing was written down since it began: “Its days” has a place for it.</p>
                    <ul v-if="one.dates.length > 0" class="trial__dates" aria-label="What when">
                        <li v-for="of in one.dates" :key="of.on">
                            <b>{{ dayInWords(of.on, 'short') }}</b> {{ of.says }}
                        </li>
                    </ul>
                    <TrialEnd :trial="one" :name="dog.name" :today="today" @took="problem = null" @refused="problem = $event" />
                    <p class="trial__acts">
                        <router-link :to="`/dogs/${id}/days`">Its days</router-link>
                        <v-btn size="small" variant="text" @click="remove(one)">Take the trial out</v-btn>
                    </p>
                </article>
                <section v-if="ended.length > 0" class="paper" aria-label="Trials that are over">
                    <h2>Over</h2>
                    <ul class="trials__over">
                        <li v-for="one in ended" :key="one.id">
                            <span
                                ><b>{{ foods(one) }}</b> ({{ KIND[one.kind].toLowerCase() }}, {{ date(one.from) }} to {{ date(one.endedOn ?? '') }}):
                                {{ CAME[one.outcome ?? 'open'] }}<template v-if="one.saw !== null">: {{ one.saw }}.</template></span
                            >
                            <span
                                ><v-btn size="small" variant="text" :aria-label="`Go on with ${foods(one)}`" @click="again(one)">Go on with it</v-btn
                                ><v-btn size="small" variant="text" :aria-label="`Take out the trial of ${foods(one)}`" @click="remove(one)"
                                    >Take out</v-btn
                                ></span
                            >
                        </li>
                    </ul>
                </section>
            </div>
            <TrialForm :dog="dog" :today="today" :eliminates="open.some((one) => one.kind === 'elimination')" />
        </div>
    </div>
</template>
