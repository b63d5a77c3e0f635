<script setup lang="ts">
import { reactive, ref } from 'vue'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'

/** What this kitchen paid for its foods: a pack, its weight, its price. */
const kitchen = useKitchen()
const problem = ref<string | null>(null)
const form = reactive({ food: '', grams: '', price: '' })

function nameOf(id: string): string {
    return kitchen.choices?.foods.find((one) => one.id === id)?.name ?? id.replaceAll('-', ' ')
}

function number(text: string): number {
    return text.trim() === '' ? Number.NaN : Number(text.replace(',', '.'))
}

async function keep(): Promise<void> {
    const wanted = form.food.trim().toLowerCase()
    const food = kitchen.choices?.foods.find((one) => one.name.toLowerCase() === wanted || one.id === wanted)
    if (food === undefined) {
        problem.value = `The catalogue holds no "${form.food}": choose one of the names it offers.`
        return
    }
    if (Number.isNaN(number(form.grams)) || Number.isNaN(number(form.price))) {
        problem.value = 'The weight of the pack and its price should be numbers.'
        return
    }
    try {
        await kitchen.keepPrice({ ingredient: food.id, grams: number(form.grams), price: number(form.price) })
        Object.assign(form, { food: '', grams: '', price: '' })
        problem.value = null
    } catch (error) {
        problem.value = wordsOf(error)
    }
}

async function remove(id: string): Promise<void> {
    try {
        await kitchen.removePrice(id)
    } catch (error) {
        problem.value = wordsOf(error)
    }
}
</script>

<template>
    <section aria-labelledby="prices-title">
        <h2 id="prices-title">What things cost</h2>
        <p class="hint">In your own money. What has a price is counted in the batch and in what may stand in; water is free.</p>
        <ul class="products"><li v-for="one in kitchen.prices" :key="one.id">{{ nameOf(one.price.ingredient) }}: {{ one.price.price.toFixed(2) }} for {{ one.price.grams }} g <v-btn @click="remove(one.id)">Forget it</v-btn></li></ul>
        <datalist id="priced-foods"><option v-for="food in kitchen.choices?.foods ?? []" :key="food.id" :value="food.name" /></datalist>
        <form class="fields" @submit.prevent="keep">
            <label class="plain"><span>Food</span><input v-model="form.food" required list="priced-foods" maxlength="80" /></label>
            <label class="plain plain--short"><span>pack, g</span><input v-model="form.grams" required inputmode="decimal" /></label>
            <label class="plain plain--short"><span>price</span><input v-model="form.price" required inputmode="decimal" /></label>
            <v-btn type="submit" variant="tonal">Keep this price</v-btn>
        </form>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
    </section>
</template>
