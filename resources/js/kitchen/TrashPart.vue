<script setup lang="ts">
import { onMounted, ref, watch } from 'vue'
import { api } from '../api/client'
import type { Trashed } from '../api/types.generated'
import { useSheet } from '../bench/useSheet'
import { writtenDate } from '../ui/dates'
import { tell } from '../ui/notices'
import { bringBack } from './takeAway'
import { useKitchen, wordsOf } from './useKitchen'
import { useOutbox } from './useOutbox'

/** What was taken away in the last thirty days, and can be brought back. */
const kitchen = useKitchen()
const outbox = useOutbox()
const { putAway, bringBack: layAgain } = useSheet()
const found = ref<Trashed[] | null>(null)
const problem = ref<string | null>(null)

const KINDS: Record<string, string> = {
    dogs: 'dog',
    recipes: 'recipe',
    products: 'jar',
    names: 'word',
    foods: 'food',
    swaps: 'swap',
    prices: 'price',
    weighings: 'weight',
    confirmations: 'confirmation',
    batches: 'batch',
    accepted: 'lesson of the oven',
    places: 'place',
    stock: 'at hand',
    planned: 'planned bake',
    occasions: 'occasion',
    trials: 'trial',
}

async function look(): Promise<void> {
    try {
        found.value = await api.trash()
        problem.value = null
    } catch (error) {
        problem.value = wordsOf(error)
    }
}

async function back(one: Trashed): Promise<void> {
    await bringBack(kitchen, outbox, one.kind, one.id)
    tell(`“${nameOf(one)}” is back.`)
    await look()
}

function nameOf(one: Trashed): string {
    return one.kind === 'prices' || one.kind === 'swaps' || one.kind === 'stock'
        ? kitchen.nameOf(one.name)
        : one.kind === 'weighings'
          ? writtenDate(one.name, kitchen.kitchen?.datesAs ?? 'dmy')
          : one.name
}

onMounted(look)
watch(
    () => kitchen.number,
    () => void look(),
)
</script>

<template>
    <section aria-label="What was taken away">
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <p v-if="putAway !== null" class="trash__row">
            The sheet “{{ putAway.draft.sheet.title || 'Untitled sheet' }}” was put away from the bench.
            <v-btn variant="outlined" @click="layAgain">Bring it back</v-btn>
        </p>
        <v-skeleton-loader v-if="found === null && problem === null" type="list-item-two-line@3" />
        <p v-else-if="found?.length === 0" class="hint">Nothing was taken away in the last thirty days.</p>
        <ul v-else class="trash">
            <li v-for="one in found" :key="one.id" class="trash__row">
                <span
                    ><strong>{{ nameOf(one) }}</strong>
                    <small
                        >{{ KINDS[one.kind] ?? one.kind }}, taken away {{ writtenDate(one.takenAt.slice(0, 10), kitchen.kitchen?.datesAs ?? 'dmy') }};
                        gone for good {{ writtenDate(one.goneOn, kitchen.kitchen?.datesAs ?? 'dmy') }}</small
                    ></span
                ><v-btn variant="outlined" :aria-label="`Bring ${nameOf(one)} back`" @click="back(one)">Bring back</v-btn>
            </li>
        </ul>
    </section>
</template>
