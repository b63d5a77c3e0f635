<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { useKitchen } from '../kitchen/useKitchen'
import { useToday } from '../kitchen/useToday'
import { writtenDate } from '../ui/dates'
import { age } from '../ui/format'
import SwitchRow from '../ui/SwitchRow.vue'
import { useUnits } from '../ui/useUnits'
import { dayAfter, dayInWords, daysOf, entryInWords, lookedAt } from './days'
import GivenLately from './GivenLately.vue'
import SeasonBoard from './SeasonBoard.vue'
import { useSeason } from './useSeason'

/** A dog's days for its vet, on a page to print: who it is, what it ate in the last two days, what was seen, its trials and weights. */
const kitchen = useKitchen()
const route = useRoute()
const units = useUnits()
const today = useToday()
const id = computed(() => String(route.params['id']))
const dog = computed(() => kitchen.all.dogs.of(id.value) ?? null)
const long = ref<14 | 70 | 365>(70)
const to = computed(() => today.value)
const from = computed(() => dayAfter(to.value, 1 - long.value))
const { season, problem, nameOf } = useSeason(id, from, to)
const days = computed(() => (season.value === null ? [] : daysOf(season.value)))
const looked = computed(() =>
    lookedAt(season.value, days.value, kitchen.choices?.signs ?? []).filter((one) => one.of.suspects.some((of) => of.strength !== 'none')),
)
const MOST = 40
const seen = computed(() =>
    (season.value?.entries ?? [])
        .filter((one) => !one.undone && (one.kind === 'note' || (one.kind === 'sign' && (one.said.score ?? 0) > 0)))
        .toReversed()
        .slice(0, MOST),
)
const foods = computed(() =>
    (looked.value[0]?.of.suspects ?? [])
        .slice(0, 3)
        .map((one) => ({
            id: one.food,
            name: nameOf(one.food),
            ate: new Set(days.value.filter((day) => day.given?.foods.includes(one.food) === true).map((day) => day.on)),
        }))
        .filter((one) => one.ate.size > 0),
)
const chosen = ref(to.value)
const date = (iso: string): string => writtenDate(iso, kitchen.kitchen?.datesAs ?? 'dmy')
const trials = computed(() => (season.value?.trials ?? []).toReversed())
const facts = computed(() => {
    const of = dog.value
    if (of === null) return ''
    const conditions = of.conditions.map((one) => kitchen.choices?.conditions.find((it) => it.id === one)?.name ?? one)

    return [
        of.breed ?? 'breed not known',
        age(of.ageMonths),
        units.weight(of),
        of.sex === null ? null : `${of.sex}${of.neutered === true ? ', neutered' : ''}`,
        of.bodyCondition === null ? null : `body condition ${of.bodyCondition} of 9`,
        of.allergies.length === 0 ? null : `allergic to ${of.allergies.join(', ')}`,
        conditions.length === 0 ? null : conditions.join(', '),
        of.medicines.length === 0 ? null : `on ${of.medicines.join(', ')}`,
    ]
        .filter((one) => one !== null)
        .join('; ')
})
function print(): void {
    window.print()
}
</script>

<template>
    <div class="place vet-print">
        <header class="place__head vet-print__head">
            <h1>{{ dog?.name ?? '' }}, for the vet</h1>
            <div class="season__tools">
                <SwitchRow
                    v-model="long"
                    label="How far back"
                    :items="[
                        { value: 14, title: 'Two weeks' },
                        { value: 70, title: 'Ten weeks' },
                        { value: 365, title: 'A year' },
                    ]"
                />
                <v-btn variant="flat" color="primary" @click="print">Print</v-btn>
                <v-btn variant="text" :to="`/dogs/${id}/days`">To its days</v-btn>
            </div>
        </header>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <article v-if="dog !== null && season !== null" class="paper vet-print__page" aria-label="The page">
            <p class="vet-print__facts">
                <b>{{ dog.name }}</b>: {{ facts }}. Printed {{ date(today) }}.
            </p>
            <section>
                <h2>Eaten in the last two days, as it was written down</h2>
                <GivenLately :dog="id" />
            </section>
            <section>
                <h2>{{ dayInWords(from) }} to {{ dayInWords(to) }}</h2>
                <SeasonBoard v-model="chosen" :days="days" :season="season" :name="dog.name" :sign="looked[0]?.sign ?? null" :foods="foods" />
            </section>
            <section v-if="looked.length > 0">
                <h2>What goes with it</h2>
                <template v-for="one in looked" :key="one.sign.kind">
                    <p v-for="of in one.of.suspects.filter((it) => it.strength !== 'none').slice(0, 3)" :key="of.food">
                        <b>{{ one.sign.name }}, {{ nameOf(of.food) }}</b> ({{ of.strength }}): {{ of.says }}
                    </p>
                </template>
            </section>
            <p class="hint">{{ season.suspects.says }}</p>
            <section v-if="seen.length > 0">
                <h2>Seen</h2>
                <ul class="vet-print__seen">
                    <li v-for="one in seen" :key="one.id">
                        {{ date(one.on) }}: {{ entryInWords(one, kitchen.choices?.signs ?? [], kitchen.choices?.hows ?? []) }}
                    </li>
                </ul>
            </section>
            <section v-if="trials.length > 0">
                <h2>Trials</h2>
                <p v-for="one in trials" :key="one.id">
                    {{ one.foods.map(nameOf).join(', ') }} ({{ one.kind.replaceAll('-', ' ') }}), {{ date(one.from)
                    }}{{ one.endedOn === null ? '' : ` to ${date(one.endedOn)}` }}:
                    {{ one.outcome === null ? one.says : one.outcome === 'well' ? 'went well' : (one.saw ?? 'broken off') }}.
                </p>
            </section>
            <section v-if="season.weighings.length > 0">
                <h2>Weights</h2>
                <p>
                    <template v-for="(one, n) in season.weighings.slice(-12)" :key="one.on"
                        >{{ n > 0 ? '; ' : '' }}{{ date(one.on) }}: {{ units.kg(one.kg)
                        }}<template v-if="one.bodyCondition !== null"> (body {{ one.bodyCondition }} of 9)</template></template
                    >.
                </p>
            </section>
            <p class="hint">{{ kitchen.choices?.standingWords }}</p>
        </article>
    </div>
</template>
