<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Batch, StockItem } from '../api/types.generated'
import { api } from '../api/client'
import { takeAway } from '../kitchen/takeAway'
import { useKitchen } from '../kitchen/useKitchen'
import { useOutbox } from '../kitchen/useOutbox'
import SwitchRow from '../ui/SwitchRow.vue'
import { useDoing } from '../ui/useDoing'

/** What stands in the pantry, lightly: at hand, low, out. A rescue reaches for what is at hand first. */
const kitchen = useKitchen()
const outbox = useOutbox()
const { problem, doing } = useDoing()
const food = ref<string | null>('')
const STATES: { value: StockItem['state']; title: string }[] = [
    { value: 'at-hand', title: 'at hand' },
    { value: 'low', title: 'low' },
    { value: 'out', title: 'out' },
]
const ORDER = ['out', 'low', 'at-hand']
const items = computed(() =>
    kitchen.all.stock.items.toSorted(
        (one, two) =>
            ORDER.indexOf(one.state) - ORDER.indexOf(two.state) || kitchen.nameOf(one.ingredient).localeCompare(kitchen.nameOf(two.ingredient)),
    ),
)
/** What the newest batch took: most likely to have run low. */
const newest = computed(() => kitchen.all.batches.items.find((one) => one.state === 'finished') ?? null)
const used = ref<string[] | null>(null)
const toBuy = computed(() => items.value.filter((one) => one.state !== 'at-hand').map((one) => kitchen.nameOf(one.ingredient)))

/** The latest word holds: of what is known already it is changed. */
const keep = (ingredient: string, state: StockItem['state']): Promise<unknown> => {
    const known = kitchen.all.stock.items.find((one) => one.ingredient === ingredient)

    return known === undefined ? kitchen.all.stock.keep(null, { ingredient, state }) : kitchen.all.stock.keep(known.id, { state })
}
const say = (ingredient: string, state: StockItem['state']): Promise<boolean> => doing(() => keep(ingredient, state))

async function add(): Promise<void> {
    const name = food.value ?? ''
    if (await doing(async () => keep(await kitchen.foodCalled(name), 'at-hand'))) food.value = ''
}

async function look(): Promise<void> {
    const batch = newest.value
    if (batch === null) return
    await doing(async () => {
        const whole: Batch = await api.batch(batch.id)
        const foods = whole.answer.lines.map((one) => one.ingredient).filter((one): one is string => one !== null && one !== 'water')
        used.value = [...new Set(foods)]
    })
}
const stateOf = (ingredient: string): StockItem['state'] | null => kitchen.all.stock.items.find((one) => one.ingredient === ingredient)?.state ?? null
</script>

<template>
    <section class="at-hand" aria-label="At hand">
        <p class="hint">One word for each food is enough. What is at hand or low is reached for first when a recipe is rescued.</p>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <p v-if="toBuy.length > 0"><b>To buy:</b> {{ toBuy.join(', ') }}</p>
        <form class="fields" @submit.prevent="add">
            <v-combobox v-model="food" class="field--long" label="Food" :items="kitchen.foodsByName.map((one) => one.name)" />
            <v-btn type="submit" variant="tonal">It is at hand</v-btn>
            <v-btn v-if="newest !== null" variant="outlined" :aria-expanded="used !== null" @click="used === null ? look() : (used = null)"
                >What {{ newest.title }} took</v-btn
            >
        </form>
        <ul v-if="used !== null" class="at-hand__list" aria-label="Taken by the newest batch">
            <li v-for="one in used" :key="one">
                <span>{{ kitchen.nameOf(one) }}</span>
                <SwitchRow
                    :model-value="stateOf(one) ?? ('' as StockItem['state'])"
                    :label="`How ${kitchen.nameOf(one)} stands`"
                    :items="STATES"
                    @update:model-value="(state) => say(one, state)"
                />
            </li>
        </ul>
        <ul class="at-hand__list" aria-label="In the pantry">
            <li v-for="one in items" :key="one.id">
                <span>{{ kitchen.nameOf(one.ingredient) }}</span>
                <SwitchRow
                    :model-value="one.state"
                    :label="`${kitchen.nameOf(one.ingredient)} is`"
                    :items="STATES"
                    @update:model-value="(state) => say(one.ingredient, state)"
                />
                <v-btn
                    variant="text"
                    :aria-label="`Forget ${kitchen.nameOf(one.ingredient)}`"
                    @click="doing(() => takeAway(kitchen, outbox, 'stock', one.id, kitchen.nameOf(one.ingredient)))"
                    >Forget it</v-btn
                >
            </li>
        </ul>
    </section>
</template>
