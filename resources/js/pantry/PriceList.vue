<script setup lang="ts">
import { reactive, ref } from 'vue'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import NumberField from '../ui/NumberField.vue'
import { refusedIn } from '../ui/refused'

/** What this kitchen paid for its foods: a pack, its weight, its price. */
const kitchen = useKitchen()
const problem = ref<string | null>(null)
const form = reactive({ food: '', grams: null as number | null, price: null as number | null })

async function keep(): Promise<void> {
    if (form.grams === null || form.price === null) {
        problem.value = 'The weight of the pack and its price should be numbers.'
        return
    }
    try {
        await kitchen.all.prices.keep(null, { ingredient: await kitchen.foodCalled(form.food), grams: form.grams, price: form.price })
        Object.assign(form, { food: '', grams: null, price: null })
        problem.value = null
    } catch (error) {
        problem.value = wordsOf(error)
    }
}

async function remove(id: string): Promise<void> {
    try {
        await kitchen.all.prices.remove(id)
    } catch (error) {
        problem.value = wordsOf(error)
    }
}
</script>

<template>
    <section aria-labelledby="prices-title">
        <h2 id="prices-title">What things cost</h2>
        <p class="hint">In your own money. What has a price is counted in the batch and in what may stand in; water is free.</p>
        <ul class="products"><li v-for="one in kitchen.prices" :key="one.id">{{ kitchen.nameOf(one.price.ingredient) }}: {{ one.price.price.toFixed(2) }} for {{ one.price.grams }} g <v-btn @click="remove(one.id)">Forget it</v-btn></li></ul>
        <datalist id="priced-foods"><option v-for="food in kitchen.foodsByName" :key="food.id" :value="food.name" /></datalist>
        <form class="fields" @submit.prevent="refusedIn($event.currentTarget) || keep()">
            <label class="plain"><span>Food</span><input v-model="form.food" required list="priced-foods" maxlength="80" /></label>
            <NumberField label="pack, g" :value="form.grams" :above="0" of="low" live @meant="form.grams = $event" />
            <NumberField label="price" :value="form.price" of="high" live @meant="form.price = $event" />
            <v-btn type="submit" variant="tonal">Keep this price</v-btn>
        </form>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
    </section>
</template>
