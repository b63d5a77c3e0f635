<script setup lang="ts">
import { reactive, ref } from 'vue'
import { api, KitchenProblem } from '../api/client'
import type { Offer, OwnFood } from '../api/types.generated'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import NumberField from '../ui/NumberField.vue'
import { refusedIn } from '../ui/refused'

/** Foods added from a label, and this kitchen's own words for foods that are known. */
const props = withDefaults(defineProps<{ name?: string }>(), { name: '' })
const kitchen = useKitchen()
const problem = ref<string | null>(null)
const errors = ref<Record<string, string>>({})
const FIGURES: [keyof NonNullable<OwnFood['per100g']>, string][] = [['kcal', 'kcal'], ['proteinG', 'protein, g'], ['fatG', 'fat, g'], ['carbohydrateG', 'carbohydrate, g'], ['fibreG', 'fibre, g'], ['sugarsG', 'sugars, g'], ['sodiumMg', 'sodium, mg'], ['calciumMg', 'calcium, mg']]
const form = reactive({ name: props.name, names: '', ingredients: '', cup: null as number | null, each: null as number | null, groups: [] as string[], figures: {} as Record<string, number | null> })
const word = reactive({ words: '', search: '', offers: [] as Offer[] })

async function keepFood(): Promise<void> {
    problem.value = null
    errors.value = {}
    const per100g = Object.fromEntries(FIGURES.map(([key]) => [key, form.figures[key] ?? null]).filter(([, value]) => value !== null))
    try {
        await kitchen.all.foods.keep(null, {
            name: form.name, names: form.names.split(',').map((one) => one.trim()).filter((one) => one !== ''), groups: form.groups, gramsPerCup: form.cup, gramsEach: form.each,
            ingredients: form.ingredients.trim() === '' ? null : form.ingredients, ...(Object.keys(per100g).length === 0 ? {} : { per100g }),
        })
        Object.assign(form, { name: '', names: '', ingredients: '', cup: null, each: null, groups: [], figures: {} })
    } catch (error) {
        problem.value = wordsOf(error)
        if (error instanceof KitchenProblem) errors.value = { [error.problem.path]: error.message }
    }
}

async function look(): Promise<void> {
    try {
        word.offers = await api.search(word.search)
    } catch (error) {
        problem.value = wordsOf(error)
    }
}

async function keepWord(ingredient: string): Promise<void> {
    problem.value = null
    try {
        await kitchen.all.names.keep(null, { words: word.words, ingredient })
        Object.assign(word, { words: '', search: '', offers: [] })
    } catch (error) {
        problem.value = wordsOf(error)
    }
}

async function remove(act: Promise<void>): Promise<void> {
    try {
        await act
    } catch (error) {
        problem.value = wordsOf(error)
    }
}

function toggle(group: string): void {
    form.groups = form.groups.includes(group) ? form.groups.filter((one) => one !== group) : [...form.groups, group]
}
</script>

<template>
    <div class="pantry__halves">
        <form class="dog-form" @submit.prevent="refusedIn($event.currentTarget) || keepFood()">
            <h2>A food of your own</h2>
            <label class="plain"><span>Name</span><input v-model="form.name" required maxlength="80" :aria-invalid="errors['/name'] !== undefined" /></label>
            <label class="plain"><span>Other names, with commas between</span><input v-model="form.names" maxlength="300" /></label>
            <label class="plain"><span>Its list of ingredients, as printed</span><textarea v-model="form.ingredients" rows="3" class="clip__text" maxlength="5000" /></label>
            <div class="fields"><NumberField v-for="[key, label] in FIGURES" :key="key" :label="label" :value="form.figures[key] ?? null" :problem="errors[`/per100g/${key}`] ?? null" live @meant="form.figures[key] = $event" /></div>
            <p class="hint">Per 100 g, from the label. What is left empty is not known, and is said to be so.</p>
            <div class="fields"><NumberField label="g in a cup" :value="form.cup" :above="0" live @meant="form.cup = $event" /><NumberField label="g each" :value="form.each" :above="0" live @meant="form.each = $event" /></div>
            <p class="hint">Belongs to, for dogs that react:</p>
            <div class="toggles"><button v-for="one in kitchen.choices?.allergens ?? []" :key="one.id" type="button" class="toggle" :aria-pressed="form.groups.includes(one.id)" @click="toggle(one.id)">{{ one.name }}</button></div>
            <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
            <p class="paper__ends"><v-btn type="submit" variant="flat" color="primary">Keep this food</v-btn></p>
        </form>
        <section>
            <h2>Foods of this kitchen</h2>
            <p v-if="kitchen.foods.length === 0" class="hint">None yet.</p>
            <ul class="products"><li v-for="one in kitchen.foods" :key="one.id"><strong>{{ one.food.name }}</strong> <span v-if="one.food.per100g?.kcal">{{ one.food.per100g.kcal }} kcal per 100 g</span> <v-btn @click="remove(kitchen.all.foods.remove(one.id))">Take out</v-btn></li></ul>
            <h2>Your words for foods</h2>
            <p class="hint">A word that was not understood on the bench, and what you said it means.</p>
            <ul class="products"><li v-for="one in kitchen.names" :key="one.id">“{{ one.words }}” is {{ kitchen.nameOf(one.ingredient) }} <v-btn @click="remove(kitchen.all.names.remove(one.id))">Forget it</v-btn></li></ul>
            <form class="fields" @submit.prevent="look">
                <label class="plain"><span>Your word</span><input v-model="word.words" maxlength="80" /></label>
                <label class="plain"><span>means</span><input v-model="word.search" maxlength="80" placeholder="the food it is" /></label>
                <v-btn type="submit" variant="tonal" :disabled="word.words.trim() === ''">Look</v-btn>
            </form>
            <ul class="products"><li v-for="one in word.offers" :key="one.ingredient"><button type="button" class="start" @click="keepWord(one.ingredient)">{{ one.name }}</button> <span class="hint">{{ one.reason }}</span></li></ul>
        </section>
    </div>
</template>
