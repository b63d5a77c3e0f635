<script setup lang="ts">
import { reactive, ref } from 'vue'
import { api, KitchenProblem } from '../api/client'
import type { Offer, OwnFood } from '../api/types.generated'
import { useRoute } from 'vue-router'
import { takeAway } from '../kitchen/takeAway'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { useOutbox } from '../kitchen/useOutbox'
import { goOn } from '../ui/goOn'
import PickMany from '../ui/PickMany.vue'
import { useDraft } from '../ui/useDraft'
import NumberField from '../ui/NumberField.vue'
import { refusedIn } from '../ui/refused'

/** Foods added from a label, and this kitchen's own words for foods that are known. */
const route = useRoute()
const kitchen = useKitchen()
const outbox = useOutbox()
const problem = ref<string | null>(null)
const errors = ref<Record<string, string>>({})
const FIGURES: [keyof NonNullable<OwnFood['per100g']>, string][] = [
    ['kcal', 'kcal'],
    ['proteinG', 'protein, g'],
    ['fatG', 'fat, g'],
    ['carbohydrateG', 'carbohydrate, g'],
    ['fibreG', 'fibre, g'],
    ['sugarsG', 'sugars, g'],
    ['sodiumMg', 'sodium, mg'],
    ['calciumMg', 'calcium, mg'],
]
/** Words that were not understood on a sheet, to be made a food of one's own. */
const asked = typeof route.query['own'] === 'string' ? route.query['own'] : ''
const form = reactive({
    name: '',
    names: '',
    ingredients: '',
    cup: null as number | null,
    each: null as number | null,
    groups: [] as string[],
    figures: {} as Record<string, number | null>,
})
const { anew } = useDraft('food', form)
if (asked !== '' && form.name === '') form.name = asked
const word = reactive({ words: '', search: '' })
const { anew: anotherWord } = useDraft('word', word)
const offers = ref<Offer[]>([])

async function keepFood(): Promise<void> {
    problem.value = null
    errors.value = {}
    const per100g = Object.fromEntries(FIGURES.map(([key]) => [key, form.figures[key] ?? null]).filter(([, value]) => value !== null))
    const sent = JSON.parse(JSON.stringify(form)) as typeof form
    try {
        const kept = {
            name: form.name,
            names: form.names
                .split(',')
                .map((one) => one.trim())
                .filter((one) => one !== ''),
            groups: form.groups,
            gramsPerCup: form.cup,
            gramsEach: form.each,
            ingredients: form.ingredients.trim() === '' ? null : form.ingredients,
            ...(Object.keys(per100g).length === 0 ? {} : { per100g }),
        }
        // at once: what is typed next is not to be wiped when the answer comes
        anew()
        await kitchen.all.foods.keep(null, kept)
    } catch (error) {
        if (form.name === '') Object.assign(form, sent)
        const place = error instanceof KitchenProblem ? error.problem.path : ''
        // what is said beside its field is not said again
        if (place === '/name' || place.startsWith('/per100g/')) errors.value = { [place]: wordsOf(error) }
        else problem.value = wordsOf(error)
    }
}

async function look(): Promise<void> {
    try {
        offers.value = await api.search(word.search)
    } catch (error) {
        problem.value = wordsOf(error)
    }
}

async function keepWord(ingredient: string): Promise<void> {
    problem.value = null
    try {
        const { words } = word
        anotherWord()
        offers.value = []
        await kitchen.all.names.keep(null, { words, ingredient })
    } catch (error) {
        problem.value = wordsOf(error)
    }
}

async function remove(kind: 'foods' | 'names', id: string, name: string): Promise<void> {
    try {
        await takeAway(kitchen, outbox, kind, id, name)
    } catch (error) {
        problem.value = wordsOf(error)
    }
}
</script>

<template>
    <div class="pantry__halves">
        <form class="dog-form" @keydown.enter.capture="goOn" @submit.prevent="refusedIn($event.currentTarget) || keepFood()">
            <h2>A food of your own</h2>
            <v-text-field
                v-model="form.name"
                label="Name"
                maxlength="80"
                autocomplete="off"
                :error-messages="errors['/name'] === undefined ? [] : [errors['/name']!]"
            />
            <v-text-field v-model="form.names" label="Other names, with commas between" maxlength="300" autocomplete="off" />
            <v-textarea v-model="form.ingredients" label="Its list of ingredients, as printed" maxlength="5000" />
            <div class="fields">
                <NumberField
                    v-for="[key, label] in FIGURES"
                    :key="key"
                    :label="label"
                    :value="form.figures[key] ?? null"
                    :problem="errors[`/per100g/${key}`] ?? null"
                    live
                    @meant="form.figures[key] = $event"
                />
            </div>
            <p class="hint">Per 100 g, from the label. What is left empty is not known, and is said to be so.</p>
            <div class="fields">
                <NumberField label="g in a cup" :value="form.cup" :above="0" live @meant="form.cup = $event" /><NumberField
                    label="g each"
                    :value="form.each"
                    :above="0"
                    live
                    @meant="form.each = $event"
                />
            </div>
            <PickMany v-model="form.groups" label="Belongs to, for dogs that react" :items="kitchen.choices?.allergens ?? []" />
            <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
            <p class="paper__ends"><v-btn type="submit" variant="flat" color="primary">Keep this food</v-btn></p>
        </form>
        <section>
            <h2>Foods of this kitchen</h2>
            <p v-if="kitchen.foods.length === 0" class="hint">None yet.</p>
            <ul class="products">
                <li v-for="one in kitchen.foods" :key="one.id">
                    <strong>{{ one.food.name }}</strong> <span v-if="one.food.per100g?.kcal">{{ one.food.per100g.kcal }} kcal per 100 g</span>
                    <v-btn @click="remove('foods', one.id, one.food.name)">Take out</v-btn>
                </li>
            </ul>
            <h2>Your words for foods</h2>
            <p class="hint">A word that was not understood on the bench, and what you said it means.</p>
            <ul class="products">
                <li v-for="one in kitchen.names" :key="one.id">
                    “{{ one.words }}” is {{ kitchen.nameOf(one.ingredient) }} <v-btn @click="remove('names', one.id, one.words)">Forget it</v-btn>
                </li>
            </ul>
            <form class="fields" @keydown.enter.capture="goOn" @submit.prevent="look">
                <v-text-field v-model="word.words" class="field--long" label="Your word" maxlength="80" autocomplete="off" />
                <v-text-field
                    v-model="word.search"
                    class="field--long"
                    label="means"
                    maxlength="80"
                    placeholder="the food it is"
                    autocomplete="off"
                />
                <v-btn type="submit" variant="tonal" :disabled="word.words.trim() === ''">Look</v-btn>
            </form>
            <ul class="products">
                <li v-for="one in offers" :key="one.ingredient">
                    <v-btn class="start" @click="keepWord(one.ingredient)">{{ one.name }}</v-btn> <span class="hint">{{ one.reason }}</span>
                </li>
            </ul>
        </section>
    </div>
</template>
