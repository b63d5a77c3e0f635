<script setup lang="ts">
import { mdiPlus } from '@mdi/js'
import { computed } from 'vue'
import type { Dog, FormulateAnswer } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import FindingMark from '../ui/FindingMark.vue'
import { age } from '../ui/format'
import { LEVELS, type Level } from '../ui/levels'
import { vRoving } from '../ui/roving'
import { useUnits } from '../ui/useUnits'
import { later } from '../ui/later'

/** The dogs of the kitchen; a tap seats one at the table or lets it go. */
const props = defineProps<{ answer: FormulateAnswer | null }>()
const kitchen = useKitchen()
const units = useUnits()
const SeatAnother = later(() => import('./SeatAnother.vue'))

/** Of more dogs than this those at the table are shown, and the others are found by typing. */
const MANY = 12
const shown = computed(() => (kitchen.dogs.length <= MANY ? kitchen.dogs : kitchen.atTable))
const others = computed(() => (kitchen.dogs.length <= MANY ? [] : kitchen.dogs.filter((dog) => !dog.atTable)))

function seat(id: string): void {
    const dog = others.value.find((one) => one.id === id)
    if (dog !== undefined) void kitchen.seat(dog)
}

function worst(dog: Dog): Level | null {
    const verdict = props.answer?.verdict.dogs.find((one) => one.id === dog.id)

    return verdict === undefined || verdict.worst === 'clear' ? null : verdict.worst
}
</script>

<template>
    <section class="table" aria-labelledby="table-title">
        <h2 id="table-title">At the table</h2>
        <p v-if="kitchen.kitchen === null && kitchen.trouble !== null" class="hint">Who sits here is known once the kitchen answers.</p>
        <ul v-else v-roving>
            <li v-for="dog in shown" :key="dog.id">
                <button type="button" class="seat" :class="{ 'seat--taken': dog.atTable }" :aria-pressed="dog.atTable" @click="kitchen.seat(dog)">
                    <span class="seat__name">{{ dog.name }}</span>
                    <span class="seat__facts">{{ dog.weightKg === null ? 'no weight' : units.kg(dog.weightKg) }} · {{ age(dog.ageMonths) }}</span>
                    <span v-if="dog.atTable && worst(dog) !== null" class="seat__worst"
                        ><FindingMark :level="worst(dog)!" /><span>{{ LEVELS[worst(dog)!].word }}</span></span
                    >
                </button>
            </li>
            <li v-if="others.length > 0" data-own-stop><SeatAnother class="table__others" :dogs="others" @seat="seat" /></li>
            <li>
                <router-link class="seat seat--new" to="/dogs/new"><v-icon :icon="mdiPlus" size="20" aria-hidden="true" /> Add a dog</router-link>
            </li>
        </ul>
    </section>
</template>
