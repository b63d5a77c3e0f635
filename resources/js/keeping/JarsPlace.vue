<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import EmptyPlace from '../ui/EmptyPlace.vue'
import { useReturn } from '../ui/useReturn'
import BagBodies from './BagBodies.vue'
import BagPanel from './BagPanel.vue'
import PutAway from './PutAway.vue'
import ShelfBoard from './ShelfBoard.vue'
import ThawStrip from './ThawStrip.vue'
import { pressing } from './shelves'
import { useJars } from './useJars'
import { later } from '../ui/later'

/** What is where, for whom, until when: the shelves as one looks at them, and one bag in the hand. */
const NewBag = later(() => import('./NewBag.vue'))
const PowerCut = later(() => import('./PowerCut.vue'))
const PlaceList = later(() => import('./PlaceList.vue'))
const CalendarPaper = later(() => import('./CalendarPaper.vue'))
const jars = useJars()
const route = useRoute()
const router = useRouter()
const chosen = computed(() => (typeof route.params['bag'] === 'string' && route.params['bag'] !== '' ? route.params['bag'] : null))
/** raw dough of a batch that is put by, as the oven asks */
const ofDough = computed(() => jars.kitchen.all.batches.items.find((one) => one.id === route.query['dough']) ?? null)
const bag = computed(() => jars.bags.value.find((one) => one.id === chosen.value) ?? null)
const asks = ref<'bag' | 'cut' | 'places' | 'calendar' | null>(null)
const dialog = (what: 'bag' | 'cut' | 'places' | 'calendar') =>
    computed({
        get: () => asks.value === what,
        set: (is: boolean) => {
            asks.value = is ? what : null
        },
    })
const [adds, cuts, lists, calendars] = [dialog('bag'), dialog('cut'), dialog('places'), dialog('calendar')]
for (const one of [adds, cuts, lists, calendars]) useReturn(one)
const over = computed(() => jars.here.value.filter((one) => pressing(one, jars.today.value) === 'over'))
const soon = computed(() => jars.here.value.filter((one) => pressing(one, jars.today.value) === 'soon'))
const said = computed(() =>
    [
        over.value.length === 0 ? '' : `${over.value.length} past ${over.value.length === 1 ? 'its' : 'their'} day`,
        soon.value.length === 0 ? '' : `${soon.value.length} to eat within two days`,
    ]
        .filter((one) => one !== '')
        .join(', '),
)
</script>

<template>
    <div class="place jars">
        <BagBodies />
        <header class="place__head">
            <h1>
                Jars <small v-if="said !== ''" class="jars__said" :class="{ 'jars__said--over': over.length > 0 }">{{ said }}</small>
            </h1>
            <div class="jars__tools" role="group" aria-label="At the shelves">
                <v-btn variant="tonal" @click="adds = true">Opened or found</v-btn>
                <v-btn variant="outlined" @click="cuts = true">Power cut</v-btn>
                <v-btn variant="outlined" to="/labels/print">Labels</v-btn>
                <v-btn variant="outlined" @click="calendars = true">Calendar</v-btn>
                <v-btn variant="outlined" @click="lists = true">Your places</v-btn>
            </div>
        </header>
        <p v-if="jars.refused.value !== null && bag === null" class="problem" role="alert">{{ jars.refused.value }}</p>
        <ul v-if="ofDough !== null" class="loose-list" aria-label="Dough to put by">
            <PutAway
                :jars="jars"
                :batch="ofDough"
                :lot="null"
                :left="Math.floor(ofDough.lots.reduce((sum, one) => sum + (one.computedCount ?? 0), 0) * 1.5)"
                dough
            />
        </ul>
        <ul v-if="jars.loose.value.length > 0" class="loose-list" aria-label="To put away">
            <PutAway
                v-for="one in jars.loose.value"
                :key="`${one.batch.id} ${one.lot ?? ''}`"
                :jars="jars"
                :batch="one.batch"
                :lot="one.lot"
                :left="one.left"
            />
        </ul>
        <ThawStrip v-if="jars.here.value.some((one) => one.frozen)" :jars="jars" />
        <div class="jars__halves" :class="{ 'jars__halves--open': bag !== null }">
            <div class="jars__shelves">
                <ShelfBoard
                    v-for="one in jars.places.value"
                    :key="one.id"
                    :place="one"
                    :bags="jars.here.value"
                    :today="jars.today.value"
                    :chosen="chosen"
                />
                <EmptyPlace v-if="jars.kitchen.all.places.isLaid && jars.places.value.length === 0" title="No shelves yet">
                    A jar on the dresser, the fridge, two freezers, a neighbour's: name the places where treats stand, and put a batch away in a tap.
                    <template #acts><v-btn variant="flat" color="primary" @click="lists = true">Name your places</v-btn></template>
                </EmptyPlace>
            </div>
            <aside v-if="chosen !== null" class="jars__hand" aria-label="In the hand">
                <BagPanel v-if="bag !== null" :jars="jars" :bag="bag" @gone="router.replace('/jars')" />
                <p v-else class="hint">No bag here has this address. It is empty, or it was never filled.</p>
                <v-btn variant="text" @click="router.replace('/jars')">Put it back</v-btn>
            </aside>
        </div>
        <NewBag v-model="adds" :jars="jars" />
        <PowerCut v-model="cuts" :jars="jars" />
        <PlaceList v-model="lists" :jars="jars" />
        <CalendarPaper v-model="calendars" />
    </div>
</template>
