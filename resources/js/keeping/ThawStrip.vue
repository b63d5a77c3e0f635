<script setup lang="ts">
import { computed } from 'vue'
import { pieces } from '../ui/format'
import { daysBetween } from './shelves'
import type { Jars } from './useJars'
import { useThawPlan } from './useThawPlan'

/** The plan of thawing as a strip of days: what is taken out when, how long it lasts, what would go off, and how to lose less. */
const props = defineProps<{ jars: Jars }>()
const DAYS = 21
const plan = useThawPlan(props.jars, DAYS)
const bagOf = (id: string) => props.jars.here.value.find((one) => one.id === id)
const aDay = computed(() => (plan.value?.eaters ?? []).reduce((sum, one) => sum + one.piecesPerDay, 0))
const dayAt = (n: number): Date => new Date(Date.parse(`${plan.value?.from ?? props.jars.today.value}T12:00:00Z`) + n * 86_400_000)
const iso = (n: number): string => dayAt(n).toISOString().slice(0, 10)
const days = computed(() =>
    Array.from({ length: DAYS }, (_, n) => {
        const on = iso(n)

        return {
            on,
            letter: new Intl.DateTimeFormat('en-GB', { weekday: 'narrow', timeZone: 'UTC' }).format(dayAt(n)),
            number: dayAt(n).getUTCDate(),
            isWeekend: [0, 6].includes(dayAt(n).getUTCDay()),
            out: (plan.value?.takeOut ?? []).filter((one) => one.on === on).map((one) => bagOf(one.bag)),
            waste: (plan.value?.waste ?? []).filter((one) => one.on === on).reduce((sum, one) => sum + one.pieces, 0),
            covered: plan.value?.lastsUntil != null && on <= plan.value.lastsUntil,
            short: on === plan.value?.shortOn,
        }
    }),
)
const long = (on: string): string =>
    new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' }).format(new Date(`${on}T12:00:00Z`))
const said = computed(() =>
    days.value
        .flatMap((day) => [
            ...day.out.map((bag) => `${long(day.on)}: thaw bag ${bag?.number ?? ''}`),
            ...(day.waste > 0 ? [`${long(day.on)}: ${pieces(day.waste)} would go off`] : []),
            ...(day.short ? [`${long(day.on)}: nothing is left`] : []),
        ])
        .join('. '),
)
/** What would be lost, and how to lose less of it. */
const losses = computed(() =>
    (plan.value?.waste ?? [])
        .filter((one) => daysBetween(props.jars.today.value, one.on) >= 0)
        .map((one) => ({ ...one, of: bagOf(one.bag) }))
        .filter((one) => one.of !== undefined)
        .map(({ of, ...one }) => {
            const fits = Math.max(1, Math.floor(aDay.value * (of?.thawedDays ?? 1)))

            return of?.frozen === true
                ? `Bag ${of.number}: ${pieces(one.pieces)} would go off. Thaw ${fits} at a time: divide it while it is frozen.`
                : `Bag ${of?.number ?? ''}: ${pieces(one.pieces)} will not be eaten in time.${of?.thawedOn === null ? ' Freeze them now.' : ' It was thawed: give them away, or throw them away.'}`
        }),
)
</script>

<template>
    <section v-if="plan !== null" class="thaw" aria-label="What to thaw when">
        <p class="thaw__said">
            <b>{{ pieces(Math.round(aDay * 4) / 4) }} a day</b>
            {{ plan.reckonedBy === 'ledger' ? 'as given in the last two weeks' : 'reckoned, until the ledger knows' }};
            {{
                plan.shortOn === null
                    ? `enough for ${DAYS} days`
                    : `enough until ${plan.lastsUntil === null ? 'nobody: nothing is thawed' : long(plan.lastsUntil)}`
            }}.
        </p>
        <div class="thaw__days" role="img" :aria-label="said === '' ? 'Nothing to thaw' : said">
            <div
                v-for="day in days"
                :key="day.on"
                class="thaw__day"
                :class="{ 'thaw__day--rest': day.isWeekend, 'thaw__day--covered': day.covered, 'thaw__day--short': day.short }"
            >
                <span class="thaw__date"
                    >{{ day.letter }}<b>{{ day.number }}</b></span
                >
                <span v-for="bag in day.out" :key="bag?.id" class="thaw__out">{{ bag?.number }}</span>
                <span v-if="day.waste > 0" class="thaw__waste">−{{ pieces(day.waste) }}</span>
            </div>
        </div>
        <ul v-if="losses.length > 0" class="thaw__losses">
            <li v-for="one in losses" :key="one">{{ one }}</li>
        </ul>
    </section>
</template>
