<script setup lang="ts">
import { computed, ref } from 'vue'
import { takeAway } from '../kitchen/takeAway'
import { useKitchen } from '../kitchen/useKitchen'
import { useOutbox } from '../kitchen/useOutbox'
import { useToday } from '../kitchen/useToday'
import { writtenDate } from '../ui/dates'
import DateField from '../ui/DateField.vue'
import { useDoing } from '../ui/useDoing'

/** A day on which a recipe is to be baked: one of the next seven in a tap, or any. It stands on Today and in the calendar. */
const props = defineProps<{ recipe: string; title: string }>()
const kitchen = useKitchen()
const outbox = useOutbox()
const { problem, doing } = useDoing()
const isOpen = ref(false)
const today = useToday()
const plan = computed(() => kitchen.all.planned.items.find((one) => one.recipeId === props.recipe && one.batchId === null) ?? null)
const order = computed(() => kitchen.kitchen?.datesAs ?? 'dmy')
const days = computed(() =>
    Array.from({ length: 7 }, (_, n) => {
        const at = new Date(Date.parse(`${today.value}T12:00:00Z`) + n * 86_400_000)

        return {
            iso: at.toISOString().slice(0, 10),
            name: n === 0 ? 'today' : n === 1 ? 'tomorrow' : new Intl.DateTimeFormat('en-GB', { weekday: 'long', timeZone: 'UTC' }).format(at),
        }
    }),
)

async function on(day: string | null): Promise<void> {
    if (day === null) return
    // closed at once: a kitchen that is slow to answer holds up no hand
    isOpen.value = false
    const { planned } = kitchen.all
    const open = plan.value
    const keep = (): Promise<unknown> =>
        open === null ? planned.keep(null, { recipeId: props.recipe, on: day }) : planned.keep(open.id, { on: day })
    if (!(await doing(keep))) isOpen.value = true
}
const forget = (): Promise<boolean> => doing(() => takeAway(kitchen, outbox, 'planned', plan.value?.id ?? '', `the planned bake of ${props.title}`))
</script>

<template>
    <div class="plan-bake">
        <p v-if="plan !== null" class="plan-bake__said">
            Planned for {{ days.find((one) => one.iso === plan?.on)?.name ?? writtenDate(plan.on, order) }}.
            <v-btn variant="text" :aria-label="`Do not bake ${title} then`" @click="forget">Not then</v-btn>
        </p>
        <v-btn variant="text" :aria-expanded="isOpen" :aria-label="`Plan to bake ${title}`" @click="isOpen = !isOpen">{{
            plan === null ? 'Plan it' : 'Another day'
        }}</v-btn>
        <div v-if="isOpen" class="plan-bake__days" role="group" :aria-label="`When to bake ${title}`">
            <v-btn v-for="one in days" :key="one.iso" variant="tonal" @click="on(one.iso)">{{ one.name }}</v-btn>
            <DateField label="or on" :value="null" :least="today" @meant="on" />
        </div>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
    </div>
</template>
