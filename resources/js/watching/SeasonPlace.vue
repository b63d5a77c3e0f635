<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { useToday } from '../kitchen/useToday'
import { tell } from '../ui/notices'
import SwitchRow from '../ui/SwitchRow.vue'
import DayPanel from './DayPanel.vue'
import { dayAfter, daysOf, lookedAt, type SignKind } from './days'
import DogHead from './DogHead.vue'
import SeasonBoard from './SeasonBoard.vue'
import SuspectList from './SuspectList.vue'
import { useSeason } from './useSeason'

/** A dog's days: a week, a season or a year side by side, one of them whole, and what the bad ones have in common. */
const kitchen = useKitchen()
const route = useRoute()
const router = useRouter()
const today = useToday()
const id = computed(() => String(route.params['id']))
const dog = computed(() => kitchen.all.dogs.of(id.value) ?? null)
const LONG = { week: 7, season: 70, year: 365 } as const
type Long = keyof typeof LONG
const long = ref<Long>('season')
/** how many such spans before today the last day lies */
const back = ref(0)
const to = computed(() => dayAfter(today.value, -back.value * LONG[long.value]))
const from = computed(() => dayAfter(to.value, 1 - LONG[long.value]))
/** What goes with what is counted over ten weeks at least: a week tells nothing. */
const since = computed(() => dayAfter(to.value, 1 - Math.max(LONG.season, LONG[long.value])))
const { season, problem, late, nameOf } = useSeason(id, since, to)
const counted = computed(() => (season.value === null ? [] : daysOf(season.value)))
const days = computed(() => counted.value.slice(-LONG[long.value]))
watch(long, () => {
    back.value = 0
})

const bad = computed(() => lookedAt(season.value, counted.value, kitchen.choices?.signs ?? []))
const sign = ref<SignKind | null>(null)
const looked = computed(() => bad.value.find((one) => one.sign.kind === sign.value) ?? bad.value[0] ?? null)
const windowOf = (days: number): string => (days === 1 ? 'day' : `${days} days`)

const ROWS = 5
/** The foods that are drawn: those that are suspected, else those that were eaten most. */
const foods = computed(() => {
    const ate = new Map<string, Set<string>>()
    for (const day of days.value) for (const food of day.given?.foods ?? []) ate.set(food, (ate.get(food) ?? new Set()).add(day.on))
    const suspected = (looked.value?.of.suspects ?? []).map((one) => one.food).filter((one) => ate.has(one))
    const rest = [...ate.keys()].toSorted((one, two) => (ate.get(two)?.size ?? 0) - (ate.get(one)?.size ?? 0))
    const order = [...new Set([...suspected, ...rest])].slice(0, ROWS)

    return order.map((food) => ({ id: food, name: nameOf(food), ate: ate.get(food) ?? new Set<string>() }))
})
const variety = computed(() => {
    const treats = new Set<string>()
    for (const day of days.value) for (const food of day.given?.foods ?? []) treats.add(food)
    const fed = days.value.filter((day) => day.given !== null)
    const same = fed.filter((day, n) => n > 0 && day.given?.foods.join() === fed[n - 1]?.given?.foods.join()).length

    return { foods: treats.size, days: fed.length, same }
})

/** The day that is open; the address follows it, for keys come faster than addresses change. */
const picked = ref<string | null>(null)
watch(
    () => route.query['on'],
    (on) => {
        picked.value = typeof on === 'string' ? on : null
    },
    { immediate: true },
)
const chosen = computed({
    get: () => (picked.value !== null && days.value.some((one) => one.on === picked.value) ? picked.value : to.value),
    set: (on: string) => {
        picked.value = on
        follow()
    },
})
const follow = useDebounceFn(() => {
    if (picked.value !== null && picked.value !== route.query['on']) void router.replace({ query: { ...route.query, on: picked.value } })
}, 200)
const day = computed(() => days.value.find((one) => one.on === chosen.value) ?? days.value.at(-1) ?? null)
const refused = ref<string | null>(null)
const busy = ref(false)

async function leaveOut(some: string[], lasts: number): Promise<void> {
    refused.value = null
    busy.value = true
    try {
        await kitchen.all.trials.keep(null, { dogId: id.value, kind: 'leave-out', foods: some, from: today.value, days: lasts })
        tell(`${some.map(nameOf).join(', ')}: left out for ${lasts} days from today.`)
    } catch (error) {
        refused.value = wordsOf(error)
    }
    busy.value = false
}
</script>

<template>
    <div class="place place--wide season">
        <DogHead :dog="id">
            <div class="season__tools">
                <v-btn variant="text" :aria-label="`The ${long} before`" @click="back++">‹ before</v-btn>
                <SwitchRow
                    v-model="long"
                    label="How long"
                    :items="[
                        { value: 'week', title: 'Week' },
                        { value: 'season', title: 'Ten weeks' },
                        { value: 'year', title: 'Year' },
                    ]"
                />
                <v-btn variant="text" :disabled="back === 0" :aria-label="`The ${long} after`" @click="back--">after ›</v-btn>
                <v-btn variant="outlined" :to="`/dogs/${id}/vet`">For the vet</v-btn>
            </div>
        </DogHead>
        <p v-if="dog === null && kitchen.kitchen !== null" class="problem" role="alert">
            That dog is not in this kitchen. <router-link to="/dogs">To the dogs</router-link>.
        </p>
        <p v-if="problem !== null" class="trouble" role="status">{{ problem }} What is written down meanwhile is kept and sent by itself.</p>
        <div v-if="dog !== null && season !== null && day !== null" class="season__halves" :class="{ 'said-before': late && problem !== null }">
            <div class="season__main">
                <section class="paper season__paper" aria-label="Days side by side">
                    <p v-if="bad.length > 1" class="season__kinds" role="group" aria-label="Which sign is looked at">
                        <button
                            v-for="one in bad"
                            :key="one.sign.kind"
                            type="button"
                            class="season__kind"
                            :class="{ 'season__kind--on': one.sign.kind === looked?.sign.kind }"
                            :aria-pressed="one.sign.kind === looked?.sign.kind"
                            @click="sign = one.sign.kind"
                        >
                            {{ one.sign.name }}: {{ one.bad }} bad {{ one.bad === 1 ? 'day' : 'days' }}
                        </button>
                    </p>
                    <SeasonBoard v-model="chosen" :days="days" :season="season" :name="dog.name" :sign="looked?.sign ?? null" :foods="foods" />
                    <p class="hint season__legend">
                        <template v-if="looked !== null"
                            >Shaded: days of {{ looked.sign.name }}{{ looked.sign.badFrom > 0 ? `, ${looked.sign.badFrom} of 10 or more` : '' }}.
                            Beside each food: the day it was eaten, and the {{ windowOf(looked.sign.windowDays) }} on which it may still
                            tell.</template
                        >
                        <template v-else>No bad day was written down in these {{ counted.length }} days.</template>
                        {{ variety.foods }} different foods on {{ variety.days }} days<template v-if="variety.same > 0"
                            >; {{ variety.same }} times the very same as the time before</template
                        >. Tap a day, or go along with the arrow keys.
                    </p>
                </section>
                <p v-if="refused !== null" class="problem" role="alert">{{ refused }}</p>
                <SuspectList
                    v-if="looked !== null"
                    :key="looked.sign.kind"
                    :of="looked.of"
                    :signs="looked.sign.name"
                    :name-of="nameOf"
                    :says="season.suspects.says"
                    :from="season.countedFrom"
                    :busy="busy"
                    @leave-out="leaveOut"
                />
                <p v-else class="hint">{{ season.suspects.says }}</p>
            </div>
            <DayPanel :dog="dog" :day="day" :first="from" :last="to" :name-of="nameOf" @go="chosen = $event" />
        </div>
    </div>
</template>
