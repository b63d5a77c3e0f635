<script setup lang="ts">
import { computed } from 'vue'
import type { PlanStep } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import { useToday } from '../kitchen/useToday'
import { daysBetween } from '../keeping/shelves'
import type { OccasionOnPage } from './useOccasion'

/** From the first bake to the moment they eat, as one strip through the days. */
const props = defineProps<{ page: OccasionOnPage }>()
const kitchen = useKitchen()
const today = useToday()
const NAMES: Record<PlanStep['kind'], string> = {
    bake: 'Bake',
    cool: 'Cool',
    freeze: 'Freeze',
    keep: 'Keep',
    thaw: 'Thaw',
    leave: 'Take along',
    serve: 'Serve',
}
const MANY = 1
const days = computed(() => {
    const steps = (props.page.plan.value?.treats ?? []).flatMap((treat) =>
        (treat.plan?.steps ?? []).map((step) => ({ ...step, of: treat.name, id: treat.id })),
    )
    const byDay = new Map<string, typeof steps>()
    const said = new Set<string>()
    for (const step of steps.toSorted((one, two) => (one.on === two.on ? (one.at ?? '').localeCompare(two.at ?? '') : one.on < two.on ? -1 : 1)))
        if (step.kind !== 'serve' || !said.has(step.text)) {
            byDay.set(step.on, [...(byDay.get(step.on) ?? []), step])
            said.add(step.text)
        }

    return [...byDay.entries()].map(([on, all]) => ({ on, steps: all }))
})
const problems = computed(() =>
    (props.page.plan.value?.treats ?? []).flatMap((one) => (one.plan?.problem == null ? [] : [{ of: one.name, says: one.plan.problem }])),
)
const several = computed(() => (props.page.plan.value?.treats.filter((one) => one.plan !== null).length ?? 0) > MANY)
const written = (iso: string): string =>
    new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' }).format(new Date(`${iso}T12:00:00Z`))
/** After a colon a sentence goes on small. */
const shown = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1)
const away = (iso: string): string => {
    const many = daysBetween(today.value, iso)
    return many === 0 ? 'today' : many === 1 ? 'tomorrow' : many < 0 ? 'past' : `in ${many} days`
}
const bakes = computed(() => (props.page.plan.value?.treats ?? []).filter((one) => one.plan !== null && one.plan.bakeOn >= today.value))
const unplanned = computed(() =>
    bakes.value.filter(
        (one) => !kitchen.all.planned.items.some((plan) => plan.batchId === null && plan.recipeId === one.id && plan.on === one.plan?.bakeOn),
    ),
)
function planAll(): void {
    for (const one of unplanned.value) {
        const open = kitchen.all.planned.items.find((plan) => plan.batchId === null && plan.recipeId === one.id)
        const on = one.plan?.bakeOn ?? today.value
        void kitchen.all.planned.keep(open?.id ?? null, open === undefined ? { recipeId: one.id, on } : { on }).catch(() => undefined)
    }
}
</script>

<template>
    <section v-if="days.length > 0" class="occasion__part" aria-labelledby="occasion-when">
        <h2 id="occasion-when">Backward from it</h2>
        <p v-for="one in problems" :key="one.of" class="problem" role="alert">{{ one.of }}: {{ one.says }}</p>
        <ol class="backward">
            <li v-for="day in days" :key="day.on" class="backward__day" :class="{ 'backward__day--past': day.on < today }">
                <p class="backward__on">
                    <strong>{{ written(day.on) }}</strong> <small>{{ away(day.on) }}</small>
                </p>
                <ul>
                    <li v-for="(step, n) in day.steps" :key="n" class="backward__step" :class="`backward__step--${step.kind}`">
                        <span class="backward__at">{{ step.at ?? '' }}</span>
                        <span
                            ><b>{{ NAMES[step.kind] }}</b
                            ><template v-if="several && step.kind !== 'serve'"> the {{ step.of }}</template
                            >: {{ shown(step.text) }}</span
                        >
                    </li>
                </ul>
            </li>
        </ol>
        <p class="occasion__acts">
            <v-btn v-if="unplanned.length > 0" variant="tonal" @click="planAll"
                >Plan {{ unplanned.length === 1 ? 'this bake' : `these ${unplanned.length} bakes` }}</v-btn
            >
            <span v-else-if="bakes.length > 0" class="hint">The bakes stand on Today and in the calendar.</span>
            <v-btn variant="text" :to="`/cupboard/shopping?occasion=${page.occasion.value?.id ?? ''}`">What to buy for it</v-btn>
        </p>
    </section>
</template>
