<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Bag, Place } from '../api/types.generated'
import { pieces } from '../ui/format'
import BagDrawing from './BagDrawing.vue'
import { due, pressing, standing } from './shelves'

/** One place of the kitchen as a shelf: what stands on it, what goes off first in front. */
const props = defineProps<{ place: Place; bags: Bag[]; today: string; chosen: string | null }>()
const here = computed(() => standing(props.bags, props.place))
/** what stands in front; a freezer may hold hundreds */
const FRONT = 24
const showsAll = ref(false)
const front = computed(() =>
    showsAll.value || here.value.length <= FRONT + 2 ? here.value : here.value.filter((one, n) => n < FRONT || one.id === props.chosen),
)
const KINDS = { jar: 'room', fridge: 'cold', freezer: 'frozen' } as const
const said = (bag: Bag): string =>
    [
        bag.number > 0 ? `Bag ${bag.number}` : 'A bag on its way',
        bag.title,
        bag.content === 'treats' ? `${pieces(bag.pieces)} left` : bag.content === 'dough' ? 'dough' : 'opened',
        due(bag.bestBefore, props.today),
        bag.frozen ? 'frozen' : bag.thawedOn !== null ? 'thawed' : '',
    ]
        .filter((one) => one !== '')
        .join(', ')
</script>

<template>
    <section class="board" :class="`board--${place.kind}`" :aria-label="place.name">
        <h2 class="board__name">
            {{ place.name }}
            <small
                >{{ KINDS[place.kind] }}<template v-if="place.kind === 'jar' && place.celsius !== null">, {{ place.celsius }} °C</template></small
            >
        </h2>
        <ul class="board__row">
            <li v-for="bag in front" :key="bag.id">
                <router-link
                    class="bag"
                    :class="[`bag--${pressing(bag, today)}`, { 'bag--chosen': chosen === bag.id }]"
                    :to="chosen === bag.id ? '/jars' : `/jars/${bag.id}`"
                    replace
                    :aria-label="said(bag)"
                    :aria-current="chosen === bag.id ? 'true' : undefined"
                >
                    <span class="bag__due">{{ due(bag.bestBefore, today) }}</span>
                    <BagDrawing :bag="bag" :kind="place.kind" />
                    <span class="bag__no"
                        >{{ bag.number > 0 ? bag.number : '·' }}<b v-if="bag.content === 'treats'">{{ pieces(bag.pieces) }}</b
                        ><b v-else-if="bag.content === 'dough'">dough</b
                        ><b v-else>{{ bag.grams === null ? 'open' : `${Math.round(bag.grams)} g` }}</b></span
                    >
                    <span class="bag__title">{{ bag.title }}</span>
                </router-link>
            </li>
            <li v-if="front.length < here.length" class="board__more">
                <v-btn
                    variant="tonal"
                    :height="56"
                    :aria-label="`${here.length - front.length} more behind, in ${place.name}`"
                    @click="showsAll = true"
                    >{{ here.length - front.length }} more behind</v-btn
                >
            </li>
            <li v-if="here.length === 0" class="board__empty">nothing here</li>
        </ul>
    </section>
</template>
