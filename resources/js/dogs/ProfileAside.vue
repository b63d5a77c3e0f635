<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { api } from '../api/client'
import type { Dog, ProfileAnswer, Weighing } from '../api/types.generated'
import { useCollection } from '../kitchen/useCollection'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { useOutbox } from '../kitchen/useOutbox'
import { useToday } from '../kitchen/useToday'
import DateField from '../ui/DateField.vue'
import FoldPart from '../ui/FoldPart.vue'
import NumberField from '../ui/NumberField.vue'
import { writtenDate } from '../ui/dates'
import { figure, spread } from '../ui/format'
import { goOn } from '../ui/goOn'
import { useDraft } from '../ui/useDraft'
import { useUnits } from '../ui/useUnits'
import { useAsked } from '../ui/useAsked'
import { refusedIn } from '../ui/refused'
import DayDish from './DayDish.vue'
import GrowthCurve from './GrowthCurve.vue'

/** What follows from what was entered: stage, ideal weight, both schools side by side, budget, meals, growth, and what was taken for granted. */
const props = defineProps<{ dog: Dog }>()
const kitchen = useKitchen()
const outbox = useOutbox()
const weighings = useCollection<Weighing, { on: string; weight: string; bodyCondition?: number }>(outbox, 'weighings', {
    path: `dogs/${props.dog.id}/weighings`,
    over: ({ on, bodyCondition }) => ({ on, dogId: props.dog.id, bodyCondition: bodyCondition ?? null }),
    called: () => `a weight of ${props.dog.name}`,
})
const problem = ref<string | null>(null)
const today = useToday()
const weighed = reactive({ kg: null as number | null, on: today.value, bodyCondition: null as number | null })
const BODIES = [
    { value: 1, title: '1 starved' },
    { value: 2, title: '2 very thin' },
    { value: 3, title: '3 thin' },
    { value: 4, title: '4 lean, ideal' },
    { value: 5, title: '5 ideal' },
    { value: 6, title: '6 a little over' },
    { value: 7, title: '7 heavy' },
    { value: 8, title: '8 fat' },
    { value: 9, title: '9 very fat' },
]
const { send } = useDraft(`weighing.${props.dog.id}.${kitchen.kitchen?.weightsAs ?? 'kg'}`, weighed)

const {
    answer,
    problem: refusal,
    late,
} = useAsked<ProfileAnswer>({
    of: [() => kitchen.version, () => weighings.items],
    ask: (signal) => api.profile({ dog: props.dog.id }, signal),
    immediate: true,
})

const units = useUnits()
const unit = computed(() => kitchen.kitchen?.weightsAs ?? 'kg')
watch(
    () => kitchen.weighed,
    ({ dog }) => {
        if (dog === null || dog === props.dog.id) void weighings.load().catch(() => undefined)
    },
)

weighings.load().catch((error: unknown) => {
    problem.value = wordsOf(error)
})

async function weigh(): Promise<void> {
    if (weighed.kg === null) return
    try {
        await send((sent) =>
            weighings.keep(null, {
                on: sent.on,
                weight: `${sent.kg} ${unit.value}`,
                ...(sent.bodyCondition === null ? {} : { bodyCondition: sent.bodyCondition }),
            }),
        )
        problem.value = null
    } catch (error) {
        problem.value = wordsOf(error)
    }
}

async function unweigh(id: string): Promise<void> {
    try {
        await weighings.remove(id)
        problem.value = null
    } catch (error) {
        problem.value = wordsOf(error)
    }
}
</script>

<template>
    <aside class="profile" aria-label="What follows from it">
        <p v-if="(problem ?? refusal) !== null" class="problem" role="alert">{{ problem ?? refusal }}</p>
        <template v-if="answer !== null">
            <div class="profile__day" :class="{ 'said-before': late }" aria-live="polite">
                <DayDish :daily-kcal="answer.schools.find((one) => one.chosen)?.dailyKcal?.best ?? null" :treat-kcal="answer.budget?.kcal ?? null" />
                <p v-if="late">Not worked out yet.</p>
                <p v-else-if="answer.budget !== null">
                    <strong>{{ figure(answer.budget.kcal) }} kcal</strong> of treats a day<template v-if="answer.safeBiteMm !== null"
                        >, no piece over {{ units.mmAtMost(answer.safeBiteMm) }}</template
                    >
                </p>
            </div>
            <p v-for="one in answer.questions" :key="one" class="profile__question">{{ one }}</p>
            <p>
                <strong>{{ answer.stage }}</strong>. {{ answer.stageWhy }}
            </p>
            <p v-if="answer.idealSays !== null">{{ answer.idealSays }}</p>
            <p v-if="answer.breedNote !== null">{{ answer.breedNote }}</p>
            <ul v-if="answer.cares.length > 0" class="profile__cares" aria-label="What its body asks of every treat">
                <li v-for="one in answer.cares" :key="one">{{ one }}</li>
            </ul>
            <div class="profile__schools">
                <div v-for="school in answer.schools" :key="school.school" class="school" :class="{ 'school--chosen': school.chosen }">
                    <h2>{{ school.name }}</h2>
                    <p v-if="school.dailyKcal !== null">
                        <strong>{{ spread(school.dailyKcal) }}</strong> kcal a day
                    </p>
                    <p v-else>no figure</p>
                    <p class="hint">
                        {{ school.made }}<template v-if="school.note !== null">. {{ school.note }}</template
                        ><template v-if="school.chosen"> — this kitchen's choice</template>
                    </p>
                </div>
            </div>
            <p v-if="answer.difference !== null" class="hint">{{ answer.difference }}</p>
            <p v-if="answer.budget !== null">
                Treats: at most <strong>{{ figure(answer.budget.kcal) }} kcal</strong> a day, {{ figure(answer.budget.percent) }} %,
                {{ answer.budget.reason }}.
            </p>
            <p v-if="answer.meals !== null">
                Its own food: {{ Math.round(answer.meals.foodGrams) }} g a day without treats<template v-if="answer.meals.perMealGrams !== null"
                    >, {{ Math.round(answer.meals.perMealGrams) }} g a meal</template
                >; a full day of treats takes the place of {{ Math.round(answer.meals.treatShareGrams) }} g.
            </p>
            <GrowthCurve v-if="answer.growth !== null" :growth="answer.growth" :name="dog.name" />
            <div v-if="answer.assumed.length > 0" class="hint">
                <p>Taken for granted, at the end that protects it:</p>
                <ul>
                    <li v-for="one in answer.assumed" :key="one">{{ one }}</li>
                </ul>
            </div>
        </template>
        <form class="fields" @keydown.enter.capture="goOn" @submit.prevent="refusedIn($event.currentTarget) || weigh()">
            <NumberField :label="`Weighed, ${unit}`" :value="weighed.kg" :above="0" live @meant="weighed.kg = $event" />
            <DateField label="on" :value="weighed.on" :most="today" @meant="weighed.on = $event ?? today" />
            <v-select v-model="weighed.bodyCondition" label="Body 1–9" :items="BODIES" clearable class="field--short" />
            <v-btn type="submit" variant="tonal" :disabled="weighed.kg === null">Write it down</v-btn>
        </form>
        <FoldPart v-if="weighings.items.length > 0" :title="`Weights so far (${weighings.items.length})`"
            ><ul class="assumed">
                <li v-for="one in [...weighings.items].reverse()" :key="one.id">
                    {{ writtenDate(one.on, kitchen.kitchen?.datesAs ?? 'dmy') }}:
                    {{ one.kg === undefined ? 'waits for the kitchen' : units.kg(one.kg)
                    }}<template v-if="one.bodyCondition !== null">, body {{ one.bodyCondition }} of 9</template>
                    <v-btn size="small" :aria-label="`Take out the weight of ${one.on}`" @click="unweigh(one.id)">Take out</v-btn>
                </li>
            </ul></FoldPart
        >
    </aside>
</template>
