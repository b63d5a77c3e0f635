<script setup lang="ts">
import { reactive, ref } from 'vue'
import { takeAway } from '../kitchen/takeAway'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { useOutbox } from '../kitchen/useOutbox'
import { goOn } from '../ui/goOn'
import { useDraft } from '../ui/useDraft'
import NumberField from '../ui/NumberField.vue'
import { refusedIn } from '../ui/refused'

/** What this kitchen paid for its foods: a pack, its weight, its price. */
const kitchen = useKitchen()
const outbox = useOutbox()
const problem = ref<string | null>(null)
const form = reactive({ food: '' as string | null, grams: null as number | null, price: null as number | null })
const { anew } = useDraft('price', form)

async function keep(): Promise<void> {
    if (form.grams === null || form.price === null) {
        problem.value = 'The weight of the pack and its price should be numbers.'
        return
    }
    const sent = { ...form }
    try {
        const kept = { ingredient: await kitchen.foodCalled(form.food ?? ''), grams: form.grams, price: form.price }
        // at once: what is typed next is not to be wiped when the answer comes
        anew()
        problem.value = null
        await kitchen.all.prices.keep(null, kept)
    } catch (error) {
        if ((form.food ?? '') === '') Object.assign(form, sent)
        problem.value = wordsOf(error)
    }
}

async function remove(id: string, name: string): Promise<void> {
    try {
        await takeAway(kitchen, outbox, 'prices', id, name)
    } catch (error) {
        problem.value = wordsOf(error)
    }
}
</script>

<template>
    <section aria-label="What things cost">
        <p class="hint">In your own money. What has a price is counted in the batch and in what may stand in; water is free.</p>
        <ul class="products">
            <li v-for="one in kitchen.prices" :key="one.id">
                {{ kitchen.nameOf(one.price.ingredient) }}: {{ one.price.price.toFixed(2) }} for {{ one.price.grams }} g
                <v-btn @click="remove(one.id, `the price of ${kitchen.nameOf(one.price.ingredient)}`)">Forget it</v-btn>
            </li>
        </ul>
        <form class="fields" @keydown.enter.capture="goOn" @submit.prevent="refusedIn($event.currentTarget) || keep()">
            <v-combobox v-model="form.food" class="field--long" label="Food" :items="kitchen.foodsByName.map((one) => one.name)" />
            <NumberField label="pack, g" :value="form.grams" :above="0" of="low" live @meant="form.grams = $event" />
            <NumberField label="price" :value="form.price" of="high" live @meant="form.price = $event" />
            <v-btn type="submit" variant="tonal">Keep this price</v-btn>
        </form>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
    </section>
</template>
