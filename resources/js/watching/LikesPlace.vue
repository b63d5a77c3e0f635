<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useKitchen } from '../kitchen/useKitchen'
import { useToday } from '../kitchen/useToday'
import EmptyPlace from '../ui/EmptyPlace.vue'
import { dayAfter } from './days'
import DogHead from './DogHead.vue'
import TasteList from './TasteList.vue'
import { useSeason } from './useSeason'

/** What a dog takes and what it leaves, by food, texture and shape, counted; and how varied its treats are. */
const kitchen = useKitchen()
const route = useRoute()
const today = useToday()
const id = computed(() => String(route.params['id']))
const dog = computed(() => kitchen.all.dogs.of(id.value) ?? null)
const YEAR = 365
const from = computed(() => dayAfter(today.value, 1 - YEAR))
const { season, problem, nameOf } = useSeason(id, from, today)
const likes = computed(() => season.value?.likes ?? null)
const texture = (of: string): string => kitchen.choices?.textures.find((one) => one.id === of)?.name ?? of
const shape = (of: string): string => kitchen.choices?.shapes.find((one) => one.id === of)?.name ?? of
/** What it was given lately, by how often: the same every day is not the aim. */
const LATELY = 28
const MOST = 8
const eaten = computed(() => {
    const times = new Map<string, number>()
    const since = dayAfter(today.value, 1 - LATELY)
    const days = (season.value?.days ?? []).filter((one) => one.on >= since)
    for (const day of days) for (const food of day.foods) times.set(food, (times.get(food) ?? 0) + 1)

    return { days: days.length, foods: [...times].toSorted((one, two) => two[1] - one[1] || one[0].localeCompare(two[0])) }
})
</script>

<template>
    <div class="place place--wide">
        <DogHead :dog="id" />
        <p v-if="problem !== null" class="trouble" role="status">{{ problem }}</p>
        <p v-if="dog === null && kitchen.kitchen !== null" class="problem" role="alert">
            That dog is not in this kitchen. <router-link to="/dogs">To the dogs</router-link>.
        </p>
        <div v-if="dog !== null && likes !== null" class="likes">
            <section class="paper likes__said">
                <p class="likes__says">{{ likes.says }}</p>
                <p class="hint">
                    Swaps, rescue and “bake next” put in front what it takes. Of a food that was offered fewer than three times nothing is said. What
                    it refuses for good is told on its page “About”.
                </p>
            </section>
            <EmptyPlace v-if="likes.foods.length === 0" title="Nobody has written it down yet"
                >How {{ dog.name }} takes a treat is one tap: in “Its days”, beside what it was given.</EmptyPlace
            >
            <template v-else>
                <section class="paper">
                    <h2>Foods</h2>
                    <TasteList :of="likes.foods" :name-of="nameOf" label="By food" />
                </section>
                <div class="likes__beside">
                    <section v-if="likes.textures.length > 0" class="paper">
                        <h2>Textures</h2>
                        <TasteList :of="likes.textures" :name-of="texture" label="By texture" />
                    </section>
                    <section v-if="likes.shapes.length > 0" class="paper">
                        <h2>Shapes</h2>
                        <TasteList :of="likes.shapes" :name-of="shape" label="By shape" />
                    </section>
                    <section class="paper" aria-label="Variety">
                        <h2>The last four weeks</h2>
                        <p v-if="eaten.days === 0">No treat was written down.</p>
                        <p v-else>
                            {{ eaten.foods.length }} different foods on {{ eaten.days }} days with treats. The same every day is not the aim.
                        </p>
                        <ul class="variety">
                            <li v-for="[food, times] in eaten.foods.slice(0, MOST)" :key="food">
                                <span>{{ nameOf(food) }}</span><i :style="{ '--share': times / Math.max(1, eaten.days) }" aria-hidden="true" /><small
                                    >{{ times }} {{ times === 1 ? 'day' : 'days' }}</small
                                >
                            </li>
                        </ul>
                    </section>
                </div>
            </template>
        </div>
    </div>
</template>
