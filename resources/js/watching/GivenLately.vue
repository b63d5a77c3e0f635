<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api } from '../api/client'
import type { DogGiven } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import { useToday } from '../kitchen/useToday'
import { hourOf } from '../making/clockwork'
import { writtenDate } from '../ui/dates'
import { figure, pieces } from '../ui/format'
import { dayAfter } from './days'

/** All that a dog was given in the last two days, for a vet to hear. What could not be asked never looks like nothing. */
const props = defineProps<{ dog: string }>()
const kitchen = useKitchen()
const today = useToday()
const DAYS = 2
const told = ref<DogGiven | null>(null)
const failed = ref(false)
let asked = 0
watch(
    [() => props.dog, today, () => kitchen.number],
    async ([dog], [was]) => {
        const mine = ++asked
        if (dog !== was) told.value = null
        try {
            const given = await api.dogGiven(dog, dayAfter(today.value, -DAYS), today.value)
            if (mine === asked) [told.value, failed.value] = [given, false]
        } catch {
            if (mine === asked) [told.value, failed.value] = [null, true]
        }
    },
    { immediate: true },
)
const given = computed(() => (told.value?.given ?? []).filter((one) => !one.undone))
const date = (iso: string): string => writtenDate(iso, kitchen.kitchen?.datesAs ?? 'dmy')
</script>

<template>
    <p v-if="told === null">{{ failed ? 'The book cannot be asked just now: say what you remember.' : 'Being looked up.' }}</p>
    <p v-else-if="given.length === 0">Nothing was written down. Its own meals are not in this book.</p>
    <template v-else>
        <p v-for="one in given" :key="one.id">
            {{ date(one.on) }} {{ hourOf(one.at, kitchen.kitchen?.timezone) }}: {{ one.pieces === null ? '' : `${pieces(one.pieces)} ` }}{{ one.words
            }}<template v-if="one.unsure"> (not sure that it had it)</template>
        </p>
        <p v-for="day in told.days" :key="day.on" class="hint">
            In it on {{ date(day.on) }}: {{ day.foods.map((food) => told?.names[food] ?? food).join(', ') }}; {{ figure(day.kcal) }} kcal in all.
        </p>
    </template>
</template>
