<script setup lang="ts">
import { ref } from 'vue'
import { api } from '../api/client'
import type { ConfirmationRecord, Product, ShelfProduct } from '../api/types.generated'
import { takeAway } from '../kitchen/takeAway'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { addressOf } from '../kitchen/photographs'
import { useOutbox } from '../kitchen/useOutbox'
import { writtenDate } from '../ui/dates'
import FindingMark from '../ui/FindingMark.vue'
import { LEVELS } from '../ui/levels'

/** The products of this kitchen, and the label shelf to look others up on. */
const emit = defineEmits<{ read: [product: { id: string | null; name: string; number: string | null; ingredients: string }] }>()
const kitchen = useKitchen()
const outbox = useOutbox()
const wanted = ref('')
const found = ref<ShelfProduct[] | null>(null)
const problem = ref<string | null>(null)

async function look(): Promise<void> {
    problem.value = null
    const words = wanted.value.trim()
    try {
        found.value = (await api.labelShelf(/^\d{6,}$/.test(words) ? { number: words } : { name: words })).products
    } catch (error) {
        found.value = []
        problem.value = wordsOf(error)
    }
}

/** What was confirmed of a jar: it holds wherever the jar is used. */
function read(id: string): ConfirmationRecord[] {
    return kitchen.words.filter((word) => word.productId === id)
}

function take(one: ShelfProduct): void {
    const known = kitchen.products.find((product) => product.number === one.number)
    emit('read', { id: known?.id ?? null, name: known?.name ?? one.name, number: one.number, ingredients: one.ingredients })
}

async function remove(product: Product): Promise<void> {
    try {
        await takeAway(kitchen, outbox, 'products', product.id, product.name, 'off the shelf of jars')
    } catch (error) {
        problem.value = wordsOf(error)
    }
}
</script>

<template>
    <section class="shelf-side">
        <h2>Products of this kitchen</h2>
        <p v-if="kitchen.products.length === 0" class="hint">
            None yet. Read a label and keep it: a line that names the product is then settled by its list.
        </p>
        <ul class="products">
            <li v-for="one in kitchen.products" :key="one.id" class="slip">
                <p class="products__name">
                    <strong>{{ one.name }}</strong>
                    <span v-if="one.worst !== 'clear'" class="chip" :class="`chip--${one.worst}`"
                        ><FindingMark :level="one.worst" />{{ LEVELS[one.worst].word }}</span
                    ><span v-else class="chip">nothing found</span>
                </p>
                <p class="slip__text">{{ one.ingredients === '' ? 'its list is not copied yet' : one.ingredients }}</p>
                <p v-if="one.difference !== null" class="products__change">
                    The recipe changed:
                    <template v-if="one.difference.added.length > 0"
                        ><ins>{{ one.difference.added.join(', ') }}</ins> came in</template
                    ><template v-if="one.difference.added.length > 0 && one.difference.gone.length > 0">; </template
                    ><template v-if="one.difference.gone.length > 0"
                        ><del>{{ one.difference.gone.join(', ') }}</del> went out</template
                    >.
                </p>
                <img
                    v-if="one.photoId !== null"
                    class="product-photo"
                    :src="addressOf(outbox, one.photoId)"
                    :alt="`The label of ${one.name}, photographed`"
                    loading="lazy"
                />
                <p v-for="word in read(one.id)" :key="word.id" class="products__word">
                    Read and found free of it: {{ word.code.replaceAll('-', ' ') }}, {{ word.saidBy }},
                    {{ writtenDate(word.saidAt.slice(0, 10), kitchen.kitchen?.datesAs ?? 'dmy') }}
                    <v-btn size="small" @click="kitchen.all.words.remove(word.id)">Take that back</v-btn>
                </p>
                <p v-if="one.readOn !== null" class="hint">
                    read {{ writtenDate(one.readOn, kitchen.kitchen?.datesAs ?? 'dmy')
                    }}<template v-if="one.readings.length > 1">, {{ one.readings.length }} wordings kept</template> · rules {{ one.dataVersion }}
                </p>
                <p><v-btn variant="tonal" @click="emit('read', one)">Read again</v-btn> <v-btn @click="remove(one)">Take off</v-btn></p>
            </li>
        </ul>
        <h2>Label shelf</h2>
        <p class="hint">A stand-in: made-up products that ship with Mild Bowl, in place of a barcode service.</p>
        <form class="fields" @submit.prevent="look">
            <v-text-field v-model="wanted" class="field--long" label="Barcode number or name" placeholder="peanut butter" maxlength="80" />
            <v-btn type="submit" variant="tonal">Look</v-btn>
        </form>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <ul v-if="found !== null" class="products">
            <li v-if="found.length === 0 && problem === null">Nothing of that name on the shelf.</li>
            <li v-for="one in found" :key="one.number">
                <v-btn class="start" @click="take(one)">{{ one.name }}</v-btn> <span class="hint">{{ one.number }}</span>
            </li>
        </ul>
    </section>
</template>
