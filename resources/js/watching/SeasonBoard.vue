<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import { computed, useTemplateRef } from 'vue'
import type { Season, SignChoice } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import { daysBetween } from '../keeping/shelves'
import { figure } from '../ui/format'
import { useUnits } from '../ui/useUnits'
import { dayInWords, entryInWords, isBad, type DogDay } from './days'

/**
 * A dog's days side by side: what it ate, what was seen, what it weighed, its trials. The bad days of the sign that is looked at go down as
 * stripes through the foods, so that whoever looks sees for herself what stands on them and what does not.
 */
const props = defineProps<{
    days: DogDay[]
    season: Season
    name: string
    /** the sign that is looked at */
    sign: SignChoice | null
    foods: { id: string; name: string; ate: Set<string> }[]
}>()
const firstDay = computed(() => props.days[0]?.on ?? props.season.from)
const lastDay = computed(() => props.days.at(-1)?.on ?? props.season.to)
const chosen = defineModel<string>({ required: true })
const kitchen = useKitchen()
const units = useUnits()
const LABEL = 124
const AXIS = 24
const TREATS = 60
const SIGN = 28
const WEIGHT = 58
const BODY = 44
const FOOD = 22
const TRIAL = 20
const WIDEST_FULL = 1.5

const board = useTemplateRef<HTMLElement>('board')
const { width } = useElementSize(board)
const w = computed(() => Math.max(320, width.value))
const col = computed(() => (w.value - LABEL - 8) / props.days.length)
const x = (n: number): number => LABEL + n * col.value
const index = computed(() => new Map(props.days.map((one, n) => [one.on, n])))
const at = computed(() => index.value.get(chosen.value) ?? props.days.length - 1)

const signs = computed<SignChoice[]>(() =>
    (kitchen.choices?.signs ?? []).filter((one) => one.kind === props.sign?.kind || props.days.some((day) => (day.scores[one.kind] ?? 0) > 0)),
)
const weighed = computed(() => props.season.weighings.filter((one) => one.on >= firstDay.value))
const earlier = computed(() => props.season.weighings.filter((one) => one.on < firstDay.value).at(-1) ?? null)
const trials = computed(() =>
    props.season.trials
        .filter((one) => one.from <= lastDay.value && (one.endedOn ?? '9') > firstDay.value)
        .map((one) => {
            const first = Math.max(0, daysBetween(firstDay.value, one.from))
            const last = Math.min(props.days.length, daysBetween(firstDay.value, one.endedOn ?? lastDay.value) + (one.endedOn === null ? 1 : 0))

            return { ...one, first, long: Math.max(1, last - first), says: one.foods.map((food) => props.season.names[food] ?? food).join(', ') }
        }),
)
const tops = computed(() => {
    let y = AXIS
    const take = (high: number): number => {
        const top = y
        y += high

        return top
    }
    const treats = take(TREATS)
    const sign = new Map(signs.value.map((one) => [one.kind, take(SIGN)]))
    const foods = props.foods.map(() => take(FOOD))
    const weight = weighed.value.length > 0 ? take(WEIGHT) : null
    const body = weighed.value.some((one) => one.bodyCondition !== null) ? take(BODY) : null
    const trial = trials.value.map(() => take(TRIAL))

    return { treats, sign, foods, weight, body, trial, end: y + 4 }
})

const stripes = computed(() => props.days.flatMap((day, n) => (props.sign !== null && isBad(day, props.sign) ? [n] : [])))
const bars = computed(() =>
    props.days.flatMap((day, n) => {
        const given = day.given
        if (given === null) return []
        const share = given.budgetKcal === null || given.budgetKcal <= 0 ? 0.5 : given.kcal / given.budgetKcal

        return [{ n, high: (Math.min(WIDEST_FULL, share) / WIDEST_FULL) * (TREATS - 8), over: given.over, unknown: given.budgetKcal === null }]
    }),
)
const full = computed(() => tops.value.treats + TREATS - (1 / WIDEST_FULL) * (TREATS - 8))
const kg = computed(() => {
    const all = weighed.value.map((one) => one.kg)
    const [least, most] = [Math.min(...all), Math.max(...all)]
    const room = Math.max(0.2, (most - least) * 0.25)

    return scaleLinear()
        .domain([least - room, most + room])
        .range([(tops.value.weight ?? 0) + WEIGHT - 8, (tops.value.weight ?? 0) + 18])
})
const WORD = 46
/** Of those that stand close the later ones are drawn without their figure; the chart of the page “About” has them all. */
const weights = computed(() => {
    let right = -WORD

    return weighed.value.map((one) => {
        const at = x(index.value.get(one.on) ?? 0) + col.value / 2
        const isTold = at - right >= WORD
        if (isTold) right = at

        return { ...one, x: at, y: kg.value(one.kg), isTold }
    })
})
const curve = computed(
    () =>
        line<{ x: number; y: number }>(
            (one) => one.x,
            (one) => one.y,
        )(weights.value) ?? '',
)
/** Body condition from 1, starved, below to 9, very fat, above; 4 and 5 are ideal. */
const IDEAL = { from: 4, to: 5 }
const condition = computed(() =>
    scaleLinear()
        .domain([1, 9])
        .range([(tops.value.body ?? 0) + BODY - 6, (tops.value.body ?? 0) + 6]),
)
const bodies = computed(() =>
    weights.value.flatMap((one) => (one.bodyCondition === null ? [] : [{ ...one, score: one.bodyCondition, y: condition.value(one.bodyCondition) }])),
)
const bodyCurve = computed(
    () =>
        line<{ x: number; y: number }>(
            (one) => one.x,
            (one) => one.y,
        )(bodies.value) ?? '',
)
/** The days that are named: each where there is room, else each Monday, else the first of a month. */
const ticks = computed(() =>
    props.days.flatMap((day, n) => {
        const date = new Date(`${day.on}T12:00:00Z`)
        const isMonth = date.getUTCDate() === 1
        const isMonday = date.getUTCDay() === 1
        if (col.value >= 60) return [{ n, says: dayInWords(day.on, 'short') }]
        if (col.value >= 9 ? isMonday : isMonth)
            return [{ n, says: new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' }).format(date) }]

        return []
    }),
)

/** What stands on a day, for whoever hears the page. */
function told(day: DogDay | undefined): string {
    if (day === undefined) return ''
    const ate = day.given === null ? 'nothing given' : `${figure(day.given.kcal)} kcal of treats`
    const seen = day.entries.map((one) => entryInWords(one, kitchen.choices?.signs ?? [], kitchen.choices?.hows ?? []))

    return `${dayInWords(day.on)}: ${ate}; ${seen.length === 0 ? 'nothing written down' : seen.join('; ')}`
}
const STEPS: Record<string, number> = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 7, PageDown: -7 }
function go(to: number): void {
    const day = props.days[Math.max(0, Math.min(props.days.length - 1, to))]
    if (day !== undefined) chosen.value = day.on
}
function key(event: KeyboardEvent): void {
    const step = STEPS[event.key]
    const to = event.key === 'Home' ? 0 : event.key === 'End' ? props.days.length - 1 : step === undefined ? null : at.value + step
    if (to === null) return
    event.preventDefault()
    go(to)
}
function point(event: MouseEvent): void {
    const box = (event.currentTarget as Element).getBoundingClientRect()
    const n = Math.floor((event.clientX - box.left - LABEL) / col.value)
    if (n >= 0 && n < props.days.length) go(n)
}
const r = computed(() => Math.max(2.2, Math.min(9, col.value * 0.42)))
const radius = (score: number): number => r.value * (0.45 + 0.055 * score)
const cut = (text: string): string => (text.length > 17 ? `${text.slice(0, 16)}…` : text)
</script>

<template>
    <div
        ref="board"
        class="board"
        role="slider"
        tabindex="0"
        :aria-label="`The days of ${name}`"
        aria-orientation="horizontal"
        :aria-valuemin="1"
        :aria-valuemax="props.days.length"
        :aria-valuenow="at + 1"
        :aria-valuetext="told(props.days[at])"
        @keydown="key"
    >
        <svg :viewBox="`0 0 ${w} ${tops.end}`" :width="w" :height="tops.end" aria-hidden="true" @click="point">
            <rect :x="x(at)" y="0" :width="col" :height="tops.end" class="board__chosen" />
            <rect
                v-for="n in stripes"
                :key="`s${n}`"
                :x="x(n)"
                :y="AXIS"
                :width="col"
                :height="(tops.weight ?? tops.end) - AXIS"
                class="board__bad"
            />
            <g v-for="one in ticks" :key="`t${one.n}`">
                <path :d="`M${x(one.n)} ${AXIS - 4} V${tops.end}`" class="board__tick" />
                <text :x="x(one.n) + 2" :y="AXIS - 8" class="board__date">{{ one.says }}</text>
            </g>
            <text :x="0" :y="tops.treats + 30" class="board__row">treats</text>
            <path :d="`M${LABEL} ${full} H${w - 8}`" class="board__full" />
            <text :x="LABEL - 6" :y="full + 4" text-anchor="end" class="board__small">its budget</text>
            <rect
                v-for="one in bars"
                :key="`b${one.n}`"
                :x="x(one.n) + col * 0.14"
                :y="tops.treats + TREATS - one.high"
                :width="col * 0.72"
                :height="one.high"
                class="board__treats"
                :class="{ 'board__treats--over': one.over, 'board__treats--unknown': one.unknown }"
            />
            <path :d="`M${LABEL} ${tops.treats + TREATS} H${w - 8}`" class="board__line" />
            <g v-for="of in signs" :key="of.kind">
                <text :x="0" :y="(tops.sign.get(of.kind) ?? 0) + 19" class="board__row" :class="{ 'board__row--on': of.kind === props.sign?.kind }">
                    {{ of.name }}
                </text>
                <template v-for="(day, n) in props.days" :key="n">
                    <circle
                        v-if="(day.scores[of.kind] ?? 0) > 0"
                        :cx="x(n) + col / 2"
                        :cy="(tops.sign.get(of.kind) ?? 0) + SIGN / 2"
                        :r="radius(day.scores[of.kind] ?? 0)"
                        class="board__sign"
                        :class="{ 'board__sign--bad': isBad(day, of) }"
                    />
                    <circle
                        v-else-if="day.scores[of.kind] === 0 || day.isWell"
                        :cx="x(n) + col / 2"
                        :cy="(tops.sign.get(of.kind) ?? 0) + SIGN / 2"
                        :r="Math.min(2, col * 0.2)"
                        class="board__well"
                    />
                </template>
            </g>
            <g v-for="(food, m) in foods" :key="food.id">
                <text :x="0" :y="(tops.foods[m] ?? 0) + 15" class="board__row">{{ cut(food.name) }}</text>
                <template v-for="(day, n) in props.days" :key="n">
                    <template v-if="food.ate.has(day.on)">
                        <rect
                            :x="x(n)"
                            :y="(tops.foods[m] ?? 0) + 8"
                            :width="Math.min(col * ((props.sign?.windowDays ?? 0) + 1), w - 8 - x(n))"
                            height="8"
                            class="board__window"
                        />
                        <rect :x="x(n) + col * 0.12" :y="(tops.foods[m] ?? 0) + 4" :width="col * 0.76" height="16" rx="2" class="board__ate" />
                    </template>
                </template>
            </g>
            <g v-if="tops.weight !== null">
                <text :x="0" :y="tops.weight + 30" class="board__row">weight</text>
                <text v-if="earlier !== null" :x="0" :y="tops.weight + 46" class="board__small">before: {{ units.kg(earlier.kg) }}</text>
                <path :d="curve" class="board__curve" />
                <g v-for="one in weights" :key="one.on">
                    <circle :cx="one.x" :cy="one.y" r="4" class="board__weighed" />
                    <text v-if="one.isTold" :x="Math.min(one.x, w - 24)" :y="one.y - 8" text-anchor="middle" class="board__small">
                        {{ units.kg(one.kg) }}
                    </text>
                </g>
            </g>
            <g v-if="tops.body !== null">
                <text :x="0" :y="tops.body + 22" class="board__row">body</text>
                <text :x="0" :y="tops.body + 37" class="board__small">1 to 9, 4–5 ideal</text>
                <rect
                    :x="LABEL"
                    :y="condition(IDEAL.to + 0.5)"
                    :width="w - LABEL - 8"
                    :height="condition(IDEAL.from - 0.5) - condition(IDEAL.to + 0.5)"
                    class="board__ideal"
                />
                <path :d="bodyCurve" class="board__body" />
                <g v-for="one in bodies" :key="one.on">
                    <rect :x="one.x - 3.5" :y="one.y - 3.5" width="7" height="7" class="board__scored" />
                    <text v-if="one.isTold" :x="Math.min(one.x, w - 12)" :y="one.y - 7" text-anchor="middle" class="board__small">
                        {{ one.score }}
                    </text>
                </g>
            </g>
            <g v-for="(one, m) in trials" :key="one.id">
                <text :x="0" :y="(tops.trial[m] ?? 0) + 14" class="board__row">{{ m === 0 ? 'trials' : '' }}</text>
                <rect
                    :x="x(one.first)"
                    :y="(tops.trial[m] ?? 0) + 2"
                    :width="col * one.long"
                    height="16"
                    rx="8"
                    class="board__trial"
                    :class="{ 'board__trial--open': one.isOpen }"
                />
                <text :x="x(one.first) + 8" :y="(tops.trial[m] ?? 0) + 14" class="board__on">
                    {{ one.kind === 'leave-out' ? `without ${one.says}` : one.says }}
                </text>
            </g>
        </svg>
    </div>
</template>
