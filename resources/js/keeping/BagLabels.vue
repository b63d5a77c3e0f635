<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import type { Bag } from '../api/types.generated'
import { writtenDate } from '../ui/dates'
import { pieces } from '../ui/format'
import TogglePill from '../ui/TogglePill.vue'
import { daysBetween } from './shelves'
import { useJars } from './useJars'

/** Plain labels for bags, to print and stick on: number, what it is, until when, for whom. */
const jars = useJars()
const route = useRoute()
const all = computed(() => jars.here.value.filter((one) => one.number > 0).toSorted((one, two) => two.number - one.number))
const chosen = ref<string[] | null>(null)
const NEW_DAYS = 1
/** Of what was put away lately, where nobody chose. */
watch(
    all,
    (bags) => {
        const asked = route.query['bag']
        if (chosen.value !== null || bags.length === 0) return
        chosen.value =
            typeof asked === 'string' ? [asked] : bags.filter((one) => daysBetween(one.made, jars.today.value) <= NEW_DAYS).map((one) => one.id)
        if (chosen.value.length === 0) chosen.value = bags.slice(0, 6).map((one) => one.id)
    },
    { immediate: true },
)
const shown = computed(() => all.value.filter((one) => chosen.value?.includes(one.id) === true))
const date = (iso: string | null): string => (iso === null ? '' : writtenDate(iso, jars.kitchen.kitchen?.datesAs ?? 'dmy'))
const forWhom = (bag: Bag): string => bag.dogs.map((id) => jars.kitchen.dogs.find((one) => one.id === id)?.name ?? '').join(', ')
const toggle = (id: string): void => {
    chosen.value = chosen.value?.includes(id) === true ? chosen.value.filter((one) => one !== id) : [...(chosen.value ?? []), id]
}
const print = (): void => {
    window.print()
}
</script>

<template>
    <div class="place bag-labels">
        <header class="place__head bag-labels__head">
            <h1>Labels for bags</h1>
            <div class="jars__tools">
                <v-btn variant="flat" color="primary" :disabled="shown.length === 0" @click="print">Print {{ shown.length }}</v-btn>
                <v-btn variant="text" to="/jars">To the jars</v-btn>
            </div>
        </header>
        <p class="bag-labels__choice" role="group" aria-label="Which bags">
            <TogglePill v-for="one in all" :key="one.id" :on="chosen?.includes(one.id) === true" @click="toggle(one.id)"
                >{{ one.number }} {{ one.title }}</TogglePill
            >
        </p>
        <ul class="bag-labels__sheet" aria-label="Labels">
            <li v-for="bag in shown" :key="bag.id" class="bag-label">
                <p class="bag-label__no">{{ bag.number }}</p>
                <p class="bag-label__title">
                    {{ bag.title }}<template v-if="bag.lot !== null">, {{ bag.lot }}</template>
                </p>
                <p>
                    <template v-if="bag.content === 'treats'">{{ pieces(bag.pieces) }} pieces, </template
                    ><template v-else-if="bag.content === 'dough'">raw dough, </template>made {{ date(bag.made) }}
                </p>
                <p class="bag-label__due">best before {{ date(bag.bestBefore) }}</p>
                <p v-if="bag.frozen">
                    frozen: once thawed, {{ bag.thawedDays === 1 ? 'a day' : `${bag.thawedDays} days` }} in the fridge, never frozen again
                </p>
                <p v-else-if="bag.thawedOn !== null">thawed {{ date(bag.thawedOn) }}: never frozen again</p>
                <p v-if="bag.dogs.length > 0">for {{ forWhom(bag) }}</p>
                <p v-if="bag.content === 'treats'" class="bag-label__small">For dogs. A treat, not a complete food.</p>
            </li>
        </ul>
    </div>
</template>
