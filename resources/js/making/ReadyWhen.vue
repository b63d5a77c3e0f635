<script setup lang="ts">
import { computed, ref } from 'vue'
import { api, kitchenTime } from '../api/client'
import type { BakeAnswer } from '../api/types.generated'
import { useQuestion } from '../bench/useQuestion'
import { useKitchen } from '../kitchen/useKitchen'
import { writtenDate } from '../ui/dates'
import SwitchRow from '../ui/SwitchRow.vue'
import { useAsked } from '../ui/useAsked'
import { minuteAfter, minuteOf } from './clockwork'

/** When the work is ready if it is begun now, when to begin to be ready by an hour, and what is done when. */
const props = defineProps<{ oven: string | null; ovens: number }>()
const kitchen = useKitchen()
const { question, freshness } = useQuestion()
const hour = ref('')
const inDays = ref(0)
const DAYS = [
    { value: 0, title: 'today' },
    { value: 1, title: 'tomorrow' },
    { value: 2, title: 'the day after' },
]
const asked = computed(() => (freshness.value === 'fresh' ? question() : null))
const timezone = computed(() => kitchen.kitchen?.timezone)

const { answer, problem, late } = useAsked<BakeAnswer>({
    of: [asked, () => props.oven, () => props.ovens],
    ask: (signal) =>
        asked.value === null
            ? null
            : api.bake(
                  {
                      question: { ...asked.value, explain: false },
                      startAt: minuteOf(kitchenTime(), timezone.value),
                      ovens: props.ovens,
                      ...(props.oven === null ? {} : { inOven: props.oven }),
                  },
                  signal,
              ),
    immediate: true,
})
const today = computed(() => minuteOf(kitchenTime(), timezone.value).slice(0, 10))
const readyBy = computed(() => (hour.value === '' ? null : minuteAfter(`${today.value}T${hour.value.slice(0, 5)}`, 1440 * inDays.value)))
/** The hour alone on the day itself. */
const told = (minute: string): string =>
    minute.startsWith(today.value)
        ? minute.slice(11)
        : `${minute.slice(11)} on ${writtenDate(minute.slice(0, 10), kitchen.kitchen?.datesAs ?? 'dmy')}`
const hours = (minutes: number): string =>
    minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h${minutes % 60 === 0 ? '' : ` ${minutes % 60} min`}`
const beginAt = computed(() => (answer.value === null || readyBy.value === null ? null : minuteAfter(readyBy.value, -answer.value.elapsedMinutes)))
const isTooLate = computed(() => beginAt.value !== null && beginAt.value < minuteOf(kitchenTime(), timezone.value))
/** what is shown is begun at the hour that is wanted, or now */
const from = computed(() => (beginAt.value !== null && !isTooLate.value ? beginAt.value : minuteOf(kitchenTime(), timezone.value)))
</script>

<template>
    <section class="ready" :class="{ 'said-before': late }" aria-label="When it is ready">
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <template v-if="answer !== null">
            <p role="status">
                Begun now it is ready at <strong>{{ told(answer.readyAt ?? '') }}</strong>: {{ hours(answer.handsOnMinutes) }} by hand,
                {{ hours(answer.elapsedMinutes) }} in all.
            </p>
            <div class="ready__wish">
                <v-text-field v-model="hour" type="time" label="To be ready by" />
                <SwitchRow v-model="inDays" label="On which day" :items="DAYS" />
            </div>
            <p v-if="beginAt !== null" role="status" class="ready__by">
                <template v-if="isTooLate"
                    >That is too soon: it wants {{ hours(answer.elapsedMinutes) }}, and would have had to be begun at {{ told(beginAt) }}.</template
                >
                <template v-else
                    >Begin at <strong>{{ told(beginAt) }}</strong>.</template
                >
            </p>
            <ul v-if="answer.warnings.length > 0" class="oven__warnings" aria-label="About the plan">
                <li v-for="one in answer.warnings" :key="one">{{ one }}</li>
            </ul>
            <ol class="ready__plan" aria-label="What is done when" tabindex="0">
                <li v-for="step in answer.steps" :key="step.id">
                    <time>{{ told(minuteAfter(from, Math.floor(step.startsAfterMinutes))) }}</time> <span>{{ step.text }}</span>
                </li>
            </ol>
        </template>
        <p v-else-if="problem === null" class="hint">Working it out.</p>
    </section>
</template>
