<script setup lang="ts">
import { computed, watch } from 'vue'
import { api } from '../api/client'
import type { OccasionDue } from '../api/types.generated'
import { useVetsWords } from '../dogs/useVetsWords'
import { isUnjudged } from '../shelf/finding'
import { useVerdicts } from '../shelf/useVerdicts'
import type { Jars } from '../keeping/useJars'
import { daysBetween, due } from '../keeping/shelves'
import { useLeftOvers } from '../keeping/useLeftOvers'
import { useThawPlan } from '../keeping/useThawPlan'
import { hourOf, leftOf } from '../making/clockwork'
import PlanBake from '../making/PlanBake.vue'
import { useAlarm } from '../making/useAlarm'
import { pieces } from '../ui/format'
import type { DayOnPage } from './useDay'
import { tell } from '../ui/notices'
import { useAsked } from '../ui/useAsked'
import { useNextBakes } from './useNextBakes'

/** What is due this morning: thaw, eat, throw away, bake next, ask the vet; what is in the oven. Nothing where there is nothing to do. */
const props = defineProps<{ jars: Jars; day: DayOnPage }>()
const plan = useThawPlan(props.jars, 21)
const { runningOut } = useVetsWords()
const verdicts = useVerdicts()
// a handful is enough to bake one of
watch(
    () =>
        props.jars.kitchen.recipes
            .filter(isUnjudged)
            .slice(0, 24)
            .map((one) => one.id),
    (ids) => {
        for (const id of ids) verdicts.want(id)
    },
    { immediate: true },
)
const { now } = useAlarm(computed(() => []))
const today = props.jars.today
const bagOf = (id: string) => props.jars.here.value.find((one) => one.id === id)
const named = (id: string): string => {
    const one = bagOf(id)

    return one === undefined ? 'a bag' : `bag ${one.number}, ${one.title}`
}
const over = computed(() => props.jars.here.value.filter((one) => one.bestBefore !== null && one.bestBefore < today.value))
const soon = computed(() =>
    props.jars.here.value.filter(
        (one) =>
            one.bestBefore !== null && !one.frozen && daysBetween(today.value, one.bestBefore) >= 0 && daysBetween(today.value, one.bestBefore) <= 1,
    ),
)
const thaws = computed(() => (plan.value?.takeOut ?? []).filter((one) => daysBetween(today.value, one.on) <= 1 && bagOf(one.bag)?.frozen === true))
/** What would go off before it is eaten, and can still be frozen. */
const freezes = computed(() =>
    (plan.value?.waste ?? []).filter((one) => {
        const bag = bagOf(one.bag)

        return bag !== undefined && !bag.frozen && bag.thawedOn === null && one.pieces >= 2 && daysBetween(today.value, one.on) >= 0
    }),
)
const making = computed(() => props.jars.kitchen.all.batches.items.filter((one) => one.state === 'making'))
const weighs = computed(() =>
    (props.day.day.value?.weigh ?? []).map((one) => ({ ...one, name: props.jars.kitchen.dogs.find((dog) => dog.id === one.dog)?.name ?? 'a dog' })),
)
const vets = computed(() => props.jars.kitchen.dogs.flatMap((dog) => runningOut(dog).map((says) => ({ dog, says }))))
/** Bakes that are planned for today and tomorrow, or were for a day before. */
const bakes = computed(() =>
    props.jars.kitchen.all.planned.items
        .filter((one) => one.batchId === null && daysBetween(today.value, one.on) <= 1)
        .map((one) => ({ ...one, title: props.jars.kitchen.recipes.find((of) => of.id === one.recipeId)?.title ?? 'a recipe' })),
)
/** Trials whose days are over, and those that run: the first wait for a word. */
const trials = computed(() =>
    props.jars.kitchen.all.trials.items
        .filter((one) => one.isOpen && one.outcome === null && props.jars.kitchen.dogs.some((dog) => dog.id === one.dogId))
        .map((one) => ({ ...one, name: props.day.nameOf(one.dogId), of: one.foods.map((food) => props.jars.kitchen.nameOf(food)).join(', ') }))
        .toSorted((one, two) => Number(two.isDue) - Number(one.isDue)),
)
/** Occasions of the next days, and what is done for them today and tomorrow; a bake that is planned stands there already. */
const SOON_DAYS = 7
const { answer: occasionDues } = useAsked<OccasionDue[]>({
    of: [() => JSON.stringify(props.jars.kitchen.all.occasions.items), today],
    ask: (signal) => (props.jars.kitchen.all.occasions.items.some((one) => one.on >= today.value) ? api.occasionsDue(SOON_DAYS, signal) : null),
    immediate: true,
})
const occasions = computed(() =>
    (occasionDues.value ?? []).filter(
        (one) =>
            daysBetween(today.value, one.on) <= (one.kind === 'occasion' ? SOON_DAYS : 1) &&
            !(one.kind === 'bake' && props.jars.kitchen.all.planned.items.some((plan) => plan.batchId === null && plan.recipeId === one.recipeId)),
    ),
)
const DOES = { bake: 'Bake', thaw: 'Thaw', leave: 'Take along', occasion: '' }
const fridge = computed(() => props.jars.places.value.find((one) => one.kind === 'fridge'))
const freezer = computed(() => props.jars.places.value.find((one) => one.kind === 'freezer'))
const weekday = (iso: string): string => new Intl.DateTimeFormat('en-GB', { weekday: 'long', timeZone: 'UTC' }).format(new Date(`${iso}T12:00:00Z`))
const when = (iso: string): string =>
    daysBetween(today.value, iso) < 0
        ? `${-daysBetween(today.value, iso)} ${daysBetween(today.value, iso) === -1 ? 'day' : 'days'} ago`
        : daysBetween(today.value, iso) === 0
          ? 'today'
          : daysBetween(today.value, iso) === 1
            ? 'tomorrow'
            : daysBetween(today.value, iso) < 7
              ? `on ${weekday(iso)}`
              : `in ${daysBetween(today.value, iso)} days`
const open = computed(() => props.jars.here.value.filter((one) => one.content === 'food'))
const unjudged = computed(() => props.jars.kitchen.recipes.filter(isUnjudged).length)
const lacking = computed(() => props.day.day.value?.lacking ?? [])
const nexts = useNextBakes(
    [() => props.jars.kitchen.number, () => props.jars.kitchen.recipes.length, unjudged, () => lacking.value.join(), () => props.jars.here.value],
    () => ({ lacking: lacking.value.join() }),
)
const dogsOf = (ids: readonly string[]) => props.jars.kitchen.dogs.filter((one) => ids.includes(one.id))
/** Dogs with nothing in the jars, for whom something could be baked. */
const without = computed(() => dogsOf(lacking.value).filter((dog) => nexts.value.some((one) => one.lack.includes(dog.id))))
/** The first, and one for those that have nothing where the first is none for them. */
const next = computed(() => {
    const [first, ...others] = nexts.value
    if (first === undefined) return []
    const second = (first.lack.length === 0 ? others.find((one) => one.lack.length > 0) : undefined) ?? others[0]

    return second === undefined ? [first] : [first, second]
})
const leftOvers = useLeftOvers(props.jars)
const all = computed(() => props.jars.kitchen.dogs.length)
const namesOf = (dogs: { name: string }[]): string => (dogs.length === all.value ? 'every dog' : dogs.map((one) => one.name).join(', '))
const isShort = computed(() => plan.value?.shortOn != null && daysBetween(today.value, plan.value.shortOn) <= 10)
/** what is not known yet may be due */
const isCalm = computed(
    () =>
        props.jars.kitchen.isWhole &&
        plan.value !== null &&
        props.day.day.value?.date === today.value &&
        [over, soon, thaws, freezes, making, vets, weighs, leftOvers, without, bakes, trials, occasions].every((one) => one.value.length === 0) &&
        props.jars.loose.value.length === 0 &&
        !isShort.value,
)

async function move(bag: string, to: string | undefined, did: string): Promise<void> {
    if (to === undefined) return
    const done = await props.jars.act('move', { bag, place: to })
    if (done !== null) tell(`${did}: ${named(bag)}.`, 'Undo', () => void props.jars.act('undo', {}, done.id))
}
async function throwAway(bag: string): Promise<void> {
    const done = await props.jars.act('take', { bag, why: 'thrown', because: 'past its day' })
    if (done !== null) tell('Thrown away, out of reach of the dogs.', 'Undo', () => void props.jars.act('undo', {}, done.id))
}
</script>

<template>
    <section id="due" class="due" aria-label="What is due">
        <p v-if="isCalm" class="due__calm">Nothing is due. A good morning.</p>
        <ul>
            <li v-for="one in over" :key="one.id" class="due__one due__one--over">
                <p>
                    <b>Throw away</b> <router-link :to="`/jars/${one.id}`">{{ named(one.id) }}</router-link>: {{ due(one.bestBefore, today) }}.
                </p>
                <v-btn variant="tonal" :aria-label="`Thrown away: ${named(one.id)}`" @click="throwAway(one.id)">Done</v-btn>
            </li>
            <li v-for="one in thaws" :key="`thaw ${one.bag}`" class="due__one">
                <p>
                    <b>Thaw {{ when(one.on) }}</b> <router-link :to="`/jars/${one.bag}`">{{ named(one.bag) }}</router-link>.
                </p>
                <v-btn
                    variant="tonal"
                    :disabled="fridge === undefined"
                    :aria-label="`Taken out: ${named(one.bag)}`"
                    @click="move(one.bag, fridge?.id, 'Taken out')"
                    >Taken out</v-btn
                >
            </li>
            <li v-for="one in soon" :key="`eat ${one.id}`" class="due__one">
                <p>
                    <b>{{ one.content === 'treats' ? 'Eat' : 'Use' }} {{ when(one.bestBefore ?? '') }}:</b>{{ ' '
                    }}<router-link :to="`/jars/${one.id}`">{{ named(one.id) }}</router-link
                    ><template v-if="one.content === 'treats'">: {{ pieces(one.pieces) }} left</template>.
                </p>
            </li>
            <li v-for="one in freezes" :key="`freeze ${one.bag}`" class="due__one">
                <p>
                    <b>Freeze some</b> of <router-link :to="`/jars/${one.bag}`">{{ named(one.bag) }}</router-link>: {{ pieces(one.pieces) }} of it
                    will not be eaten by {{ when(one.on) }}.
                </p>
                <v-btn
                    variant="text"
                    :disabled="freezer === undefined"
                    :aria-label="`All of it frozen: ${named(one.bag)}`"
                    @click="move(one.bag, freezer?.id, 'Frozen')"
                    >Freeze it</v-btn
                >
            </li>
            <li v-for="one in jars.loose.value" :key="`loose ${one.batch.id} ${one.lot ?? ''}`" class="due__one">
                <p>
                    <b>Put away</b> <router-link to="/jars">{{ pieces(one.left) }} {{ one.batch.title }}</router-link
                    >.
                </p>
            </li>
            <li v-for="one in leftOvers" :key="`left ${one.id}`" class="due__one">
                <p>
                    <b>Left over</b> of <router-link :to="`/oven/${one.id}`">{{ one.title }}</router-link>: {{ one.names.join(', ') }}?
                </p>
            </li>
            <li v-for="one in bakes" :key="`bake ${one.id}`" class="due__one" :class="{ 'due__one--over': one.on < today }">
                <p>
                    <b>Bake {{ one.on < today ? `(planned ${when(one.on)})` : when(one.on) }}</b>
                    <router-link :to="`/card/${one.recipeId}`">{{ one.title }}</router-link>.
                </p>
                <v-btn variant="tonal" :to="`/bench/${one.recipeId}`" :aria-label="`To the bench: ${one.title}`">To the bench</v-btn>
            </li>
            <li v-for="(one, n) in occasions" :key="`occasion ${n}`" class="due__one">
                <p v-if="one.kind === 'occasion'">
                    <b>{{ when(one.on) }}{{ one.at === null ? '' : `, ${one.at}` }}</b
                    >{{ ' ' }}<router-link :to="`/occasions/${one.occasion}`">{{ one.name }}</router-link
                    >.
                </p>
                <p v-else>
                    <b>{{ DOES[one.kind] }} {{ when(one.on) }}{{ one.at === null ? '' : `, ${one.at}` }}</b> {{ one.title }}, for
                    <router-link :to="`/occasions/${one.occasion}`">{{ one.name }}</router-link>.
                </p>
            </li>
            <li v-for="one in making" :key="`oven ${one.id}`" class="due__one">
                <p>
                    <b>In the making</b> <router-link :to="`/oven/${one.id}`">{{ one.title }}</router-link>, since
                    {{ hourOf(one.begunAt, jars.kitchen.kitchen?.timezone)
                    }}<template v-for="timer in one.timers" :key="timer.id">; {{ timer.name }} {{ leftOf(Date.parse(timer.endsAt) - now) }}</template>
                </p>
            </li>
            <li v-for="one in weighs" :key="`weigh ${one.dog}`" class="due__one">
                <p>
                    <b>Weigh</b> <router-link :to="`/dogs/${one.dog}`">{{ one.name }}</router-link>{{
                        one.lastOn === null ? ': never weighed here' : `: last ${-daysBetween(today, one.lastOn)} days ago`
                    }}.
                </p>
            </li>
            <li v-for="one in trials" :key="`trial ${one.id}`" class="due__one" :class="{ 'due__one--over': one.isDue }">
                <p>
                    <b>Watch</b> <router-link :to="`/dogs/${one.dogId}/trials`">{{ one.name }}, {{ one.of }}</router-link
                    >: {{ one.says }}
                </p>
            </li>
            <li v-for="(one, n) in vets" :key="`vet ${n}`" class="due__one">
                <p>
                    <b>Ask the vet</b> about <router-link :to="`/dogs/${one.dog.id}`">{{ one.dog.name }}</router-link>: {{ one.says }}.
                </p>
            </li>
            <li v-if="isShort || open.length > 0 || without.length > 0" class="due__one due__one--bake">
                <p>
                    <b>Bake next</b>
                    <template v-if="isShort">Nothing is left to give {{ when(plan?.shortOn ?? '') }}.</template>
                    <template v-if="without.length > 0"> Nothing in the jars is for {{ without.map((one) => one.name).join(', ') }}.</template>
                    <template v-if="open.length > 0">
                        Open: {{ open.map((one) => `${one.title} (${due(one.bestBefore, today)})`).join(', ') }}.</template
                    >
                </p>
                <ul v-if="next.length > 0" class="due__next">
                    <li v-for="one in next" :key="one.recipe">
                        <router-link :to="`/card/${one.recipe}`">{{ one.title }}</router-link>:
                        <template v-if="one.uses.length > 0"
                            >uses up {{ one.uses.map((bag) => bagOf(bag)?.title ?? 'what is open').join(', ') }}; </template
                        >for {{ namesOf(dogsOf(one.dogs))
                        }}<template v-if="one.like.length > 0"
                            >;
                            {{
                                dogsOf(one.like)
                                    .map((of) => of.name)
                                    .join(', ')
                            }}
                            {{ one.like.length === 1 ? 'likes' : 'like' }} what is in it</template
                        ><template v-if="one.refuse.length > 0"
                            >; {{ one.refuse.map((of) => `${day.nameOf(of.dog)} does not care for ${of.food}`).join(', ') }}</template
                        ><template v-if="one.there > 0">; {{ pieces(one.there) }} are left</template>
                        <PlanBake :recipe="one.recipe" :title="one.title" />
                    </li>
                </ul>
            </li>
        </ul>
    </section>
</template>
