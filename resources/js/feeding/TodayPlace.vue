<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Bag } from '../api/types.generated'
import BagBodies from '../keeping/BagBodies.vue'
import BagDrawing from '../keeping/BagDrawing.vue'
import { due, isMeantFor, pressing } from '../keeping/shelves'
import { useJars } from '../keeping/useJars'
import { hourOf } from '../making/clockwork'
import WhoBakes from '../making/WhoBakes.vue'
import { figure, pieces } from '../ui/format'
import { tell } from '../ui/notices'
import EmptyPlace from '../ui/EmptyPlace.vue'
import SwitchRow from '../ui/SwitchRow.vue'
import { useReturn } from '../ui/useReturn'
import { useSettles } from '../ui/useSettles'
import DogToday from './DogToday.vue'
import DueList from './DueList.vue'
import { useDay } from './useDay'
import { later } from '../ui/later'
import HowWas from '../watching/HowWas.vue'

/** The first screen of the day: coffee, the dogs at the door. What is due, and who may still have what, in one tap. */
/** so long a tap waits for its dog's day */
const HELD_MS = 5000
const GiveOther = later(() => import('./GiveOther.vue'))
const jars = useJars()
const day = useDay()
const kitchen = jars.kitchen
const amount = ref<1 | 0.5>(1)
const others = ref(false)
useReturn(others)
/** not sure who: these are taken for it */
const suspects = ref<string[] | null>(null)
const open = computed(() =>
    jars.here.value
        .filter((one) => one.content === 'treats' && !one.frozen && one.number > 0)
        .toSorted((one, two) => (one.bestBefore ?? '9').localeCompare(two.bestBefore ?? '9') || one.number - two.number),
)
/** What is over is thrown away, not given. */
const givable = computed(() => open.value.filter((one) => pressing(one, jars.today.value) !== 'over'))
/** the first few; a hand holds no dozen */
const reachesAll = ref(false)
const inReach = computed(() => (reachesAll.value ? givable.value : givable.value.filter((one, n) => n < 6 || one.id === chosen.value)))
const chosen = ref<string | null>(null)
const bag = computed<Bag | null>(() => givable.value.find((one) => one.id === chosen.value) ?? givable.value[0] ?? null)
const asked = ref<string | null>(null)
/** when a tap came while its dog's day was not reckoned */
let held = 0
watch([() => bag.value?.id, amount], () => {
    asked.value = null
    held = 0
})
// what was tapped while nothing was known is answered by what came: a tap of just now is carried out, an old one is for the hand to say again
watch([day.day, day.unreckoned], () => {
    const dog = kitchen.dogs.find((one) => one.id === asked.value)
    if (dog === undefined || !fits(dog.id)) return
    asked.value = null
    if (performance.now() - held < HELD_MS) void giveOne(dog)
})
const settles = useSettles(() => asked.value)
const written = computed(() =>
    new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' }).format(
        new Date(`${jars.today.value}T12:00:00Z`),
    ),
)

function isReckoned(dog: string): boolean {
    return bag.value !== null && day.mayOf(dog, bag.value.batch, bag.value.lot) !== null && !day.unreckoned.value.has(dog)
}

function fits(dog: string): boolean {
    if (bag.value === null) return false
    const may = day.mayOf(dog, bag.value.batch, bag.value.lot)

    return (
        may !== null &&
        isMeantFor(bag.value, dog) &&
        day.poisonOf(dog) === null &&
        may.heldBy !== 'not-cleared' &&
        (may.pieces === null || may.pieces + 1e-9 >= amount.value) &&
        !day.unreckoned.value.has(dog)
    )
}
const overdue = computed(() => jars.here.value.filter((one) => pressing(one, jars.today.value) === 'over').length)
/** under a thumb the list of what is due stands below all the dogs */
function jump(): void {
    document.getElementById('due')?.scrollIntoView({ behavior: 'smooth', block: 'start' })
}
const all = computed(() => kitchen.dogs.filter((dog) => fits(dog.id)))

function told(gift: string | null, who: string, much: string): void {
    if (gift !== null) tell(`${much} ${bag.value?.title ?? ''}: ${who}.`, 'Undo', () => void day.takeBack(gift))
}

async function give(dog: { id: string; name: string }): Promise<void> {
    if (bag.value === null) return
    if (suspects.value !== null) {
        suspects.value = suspects.value.includes(dog.id) ? suspects.value.filter((one) => one !== dog.id) : [...suspects.value, dog.id]
        return
    }
    if (!fits(dog.id) && asked.value !== dog.id) {
        asked.value = dog.id
        held = isReckoned(dog.id) ? 0 : performance.now()
        return
    }
    // the second tap of a hasty hand is no answer to what was asked
    if (settles.value && asked.value === dog.id) return
    asked.value = null
    await giveOne(dog)
}

async function giveOne(dog: { id: string; name: string }): Promise<void> {
    if (bag.value === null) return
    told(
        await day.give({ dogs: [{ dog: dog.id, pieces: amount.value }], bag: bag.value.id }, bag.value.title),
        dog.name,
        amount.value === 1 ? 'One' : 'A half',
    )
}

async function oneEach(): Promise<void> {
    if (bag.value === null || all.value.length === 0) return
    const names = all.value.map((dog) => dog.name)
    told(
        await day.give({ dogs: all.value.map((dog) => ({ dog: dog.id, pieces: amount.value })), bag: bag.value.id }, bag.value.title),
        names.join(', '),
        amount.value === 1 ? 'One each' : 'A half each',
    )
}

async function oneOf(): Promise<void> {
    const dogs = suspects.value ?? []
    if (bag.value === null || dogs.length === 0) return
    suspects.value = null
    told(
        await day.give({ dogs: dogs.map((dog) => ({ dog })), unsure: { pieces: amount.value }, bag: bag.value.id }, bag.value.title),
        `shared among ${dogs.length}`,
        amount.value === 1 ? 'One' : 'A half',
    )
}
async function borrow(dog: { id: string; name: string }): Promise<void> {
    const loan = await day.borrow(dog.id)
    if (loan !== null) tell(`${dog.name} borrows from the days after.`, 'Undo', () => void day.takeBack(loan))
}
/** the newest first; what was given to several in one tap stands together */
const log = computed(() => {
    const gifts = new Map<string, typeof day.given.value>()
    for (const one of day.given.value) gifts.set(one.gift, [...(gifts.get(one.gift) ?? []), one])

    return [...gifts.values()].reverse()
})
const grave = computed(() =>
    (day.day.value?.date === jars.today.value ? day.day.value.dogs : []).flatMap((dog) =>
        dog.findings
            .filter((one) => one.level === 'never' || one.level === 'allergen' || one.level === 'unknown')
            .map((one) => ({ ...one, dog: dog.dog })),
    ),
)
const backs = computed(() =>
    (day.day.value?.dogs ?? []).filter((dog) => (dog.holdBackGrams ?? 0) >= 1 && (dog.dogId === undefined || day.poisonOf(dog.dogId) === null)),
)
</script>

<template>
    <div class="place today">
        <BagBodies />
        <header class="place__head">
            <h1>{{ written }}</h1>
            <button v-if="kitchen.dogs.length > 0" type="button" class="today__jump" @click="jump">
                {{ overdue > 0 ? `${overdue} to throw away, and what else is due` : 'What is due' }}
            </button>
            <v-btn variant="text" to="/occasions">Occasions</v-btn>
            <WhoBakes does="Giving" label="Who gives" />
        </header>
        <p v-if="day.problem.value !== null" class="trouble" role="status">
            {{ day.problem.value }} What stands here was true before; what you tap is kept and sent by itself.
        </p>
        <div v-if="grave.length > 0" role="alert">
            <ul class="today__grave">
                <li v-for="(one, n) in grave" :key="n" :class="`grave grave--${one.level}`">
                    <b>{{ one.dog }}:</b> {{ one.message }}
                    <template v-if="one.emergency"><strong>Call a vet or an animal poison line now; do not wait for signs.</strong></template
                    ><template v-else>{{ one.level === 'unknown' ? one.advice : 'Watch it, and ask a vet.' }}</template>
                </li>
            </ul>
        </div>
        <p v-if="day.refused.value !== null" class="problem" role="alert">{{ day.refused.value }}</p>
        <EmptyPlace v-if="kitchen.kitchen !== null && kitchen.dogs.length === 0" title="No dog at the door yet"
            >Its name, weight and age are enough: then its day stands here as a dish, with what it may have in treats.<template #acts
                ><v-btn variant="flat" color="primary" to="/dogs/new">Add the first dog</v-btn></template
            ></EmptyPlace
        >
        <div v-else class="today__halves">
            <div class="today__door">
                <HowWas :asks="day.asksAfter.value" />
                <section class="hand-row" aria-label="In the hand">
                    <button
                        v-for="one in inReach"
                        :key="one.id"
                        type="button"
                        class="hand-row__bag"
                        :class="{ 'hand-row__bag--chosen': bag?.id === one.id }"
                        :aria-pressed="bag?.id === one.id"
                        :aria-label="`In the hand: ${one.title}, ${pieces(one.pieces)} left, ${due(one.bestBefore, jars.today.value)}`"
                        @click="chosen = one.id"
                    >
                        <BagDrawing :bag="one" :kind="jars.places.value.find((of) => of.id === one.place)?.kind ?? 'jar'" />
                        <span
                            ><b>{{ one.title }}</b
                            ><small>{{ pieces(one.pieces) }} left, {{ due(one.bestBefore, jars.today.value) }}</small></span
                        >
                    </button>
                    <v-btn v-if="inReach.length < givable.length" variant="text" @click="reachesAll = true"
                        >{{ givable.length - inReach.length }} more</v-btn
                    >
                    <p v-if="kitchen.all.bags.isLaid && givable.length === 0" class="hint">
                        No treat is open. <router-link to="/jars">The jars</router-link> tell what is frozen; what is given besides can be written
                        down all the same.
                    </p>
                    <div class="hand-row__how">
                        <SwitchRow
                            v-model="amount"
                            label="How much at a tap"
                            :items="[
                                { value: 1, title: 'one' },
                                { value: 0.5, title: 'a half' },
                            ]"
                        />
                        <v-btn v-if="suspects === null" variant="flat" color="primary" :disabled="bag === null || all.length === 0" @click="oneEach"
                            >{{ amount === 1 ? 'One each' : 'A half each' }}: {{ all.length }}</v-btn
                        >
                        <v-btn v-if="suspects === null" variant="outlined" :disabled="bag === null" @click="suspects = []">Not sure who</v-btn>
                        <template v-else>
                            <v-btn variant="flat" color="primary" :disabled="suspects.length < 2" @click="oneOf"
                                >Share among {{ suspects.length }}</v-btn
                            >
                            <v-btn variant="text" @click="suspects = null">Leave it</v-btn>
                        </template>
                        <v-btn variant="text" @click="others = true">Something else</v-btn>
                    </div>
                    <p v-if="suspects !== null" class="hint">Tap the dogs that may have had it.</p>
                </section>
                <ul class="doors" aria-label="The dogs">
                    <DogToday
                        v-for="dog in kitchen.dogs"
                        :key="dog.id"
                        :class="{ 'door--suspect': suspects?.includes(dog.id) === true }"
                        :day="day"
                        :dog="dog"
                        :bag="bag"
                        :amount="amount"
                        :asked="asked === dog.id"
                        @give="give(dog)"
                        @borrow="borrow(dog)"
                    />
                </ul>
            </div>
            <aside class="today__beside">
                <DueList :jars="jars" :day="day" />
                <section v-if="log.length > 0" class="ledger" aria-label="Given today">
                    <h2>Given today</h2>
                    <ol>
                        <li v-for="gift in log" :key="gift[0]!.gift" :class="{ 'is-undone': gift[0]!.undone }">
                            <span
                                ><small>{{ hourOf(gift[0]!.at, kitchen.kitchen?.timezone) }}, {{ gift[0]!.by }}</small
                                >{{ gift[0]!.pieces === null ? '' : `${pieces(gift[0]!.pieces * (gift[0]!.unsure ? gift.length : 1))} `
                                }}{{ gift[0]!.words }}: {{ gift[0]!.unsure ? 'one of ' : '' }}{{ gift.map((one) => day.nameOf(one.dog)).join(', ')
                                }}<template v-if="gift[0]!.undone"> (taken back)</template
                                ><template v-else-if="gift[0]!.waits"> (waits to be sent)</template></span
                            >
                            <v-btn
                                v-if="!gift[0]!.undone"
                                size="small"
                                variant="text"
                                :aria-label="`Take back: ${gift[0]!.words}, ${gift.map((one) => day.nameOf(one.dog)).join(', ')}`"
                                @click="day.takeBack(gift[0]!.gift)"
                                >Take back</v-btn
                            >
                        </li>
                    </ol>
                    <p v-if="backs.length > 0" class="hint">
                        Leave out of the bowl today:
                        <template v-for="(dog, n) in backs" :key="dog.dog"
                            >{{ n > 0 ? ', ' : '' }}{{ dog.dog }} {{ figure(dog.holdBackGrams ?? 0) }} g</template
                        >.
                    </p>
                </section>
            </aside>
        </div>
        <GiveOther v-model="others" :day="day" />
    </div>
</template>
