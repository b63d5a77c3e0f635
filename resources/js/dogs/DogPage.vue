<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { KitchenProblem } from '../api/client'
import type { Dog } from '../api/types.generated'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import NumberField from '../ui/NumberField.vue'
import { refusedIn } from '../ui/refused'
import BodyShape from './BodyShape.vue'
import ProfileAside from './ProfileAside.vue'

/** One dog, filled in in two minutes. Whatever is left out is taken at the end that protects the dog. */
const kitchen = useKitchen()
const route = useRoute()
const router = useRouter()

const id = computed(() => route.params['id'] === 'new' ? null : String(route.params['id']))
const dog = computed(() => kitchen.dogs.find((one) => one.id === id.value))
const errors = ref<Record<string, string>>({})
const problem = ref<string | null>(null)
const leaving = ref(false)

const BODY = [
    'ribs, spine and hips stand out from afar', 'bones easily seen, no fat to feel', 'ribs easily felt, tops of the spine show', 'ribs felt with little cover, clear waist',
    'ribs felt without excess, waist seen from above', 'ribs felt with some excess, waist just seen', 'ribs hard to feel, waist barely there', 'ribs under heavy fat, no waist', 'great fat on neck, limbs and base of the tail',
]

type Form = Omit<Dog, 'id' | 'bornOn' | 'weightSaid' | 'meals' | 'weightKg' | 'ageMonths' | 'expectedAdultWeightKg' | 'foodKcalPer100g' | 'budgetPercent'>
    & { weight: string, weightUnit: 'kg' | 'lb', years: number | null, months: number | null, expected: number | null, food: number | null, allowText: string, newText: string, dislikeText: string, born: string, meals: number | null, neuter: 'yes' | 'no' | 'unknown', budget: number | null }

const form = reactive<Form>(emptyForm())

function emptyForm(): Form {
    return {
        name: '', weight: '', weightUnit: 'kg', years: null, months: null, expected: null, food: null, sex: null, neutered: null, neuter: 'unknown', bodyCondition: null, activity: 'normal', breed: null, stage: null,
        teeth: 'full', eating: 'normal', allergies: [], allowList: null, conditions: [], medicines: [], newIngredients: [], dislikes: [], atTable: true, allowText: '', newText: '', dislikeText: '', born: '', meals: null, budget: null,
    }
}

watch(dog, (known) => {
    if (known === undefined) {
        if (id.value === null) Object.assign(form, emptyForm())
        return
    }
    const { weightKg, ageMonths, weightSaid, meals, bornOn, expectedAdultWeightKg, foodKcalPer100g, budgetPercent, ...rest } = known
    const whole = ageMonths === null ? null : Math.floor(ageMonths + 0.02)
    Object.assign(form, JSON.parse(JSON.stringify(rest)) as typeof rest, {
        weight: weightSaid ?? (weightKg ?? ''), weightUnit: 'kg', meals, born: bornOn ?? '', dislikeText: known.dislikes.join(', '), expected: expectedAdultWeightKg, food: foodKcalPer100g, budget: budgetPercent,
        years: whole === null ? null : Math.floor(whole / 12), months: whole === null ? null : whole % 12,
        allowText: known.allowList?.join(', ') ?? '', newText: known.newIngredients.join(', '), neuter: known.neutered === null ? 'unknown' : known.neutered ? 'yes' : 'no',
    })
}, { immediate: true })

const ageTouched = ref(false)

function words(text: string): string[] {
    return text.split(/[,\n]/).map((one) => one.trim()).filter((one) => one !== '')
}

async function keep(): Promise<void> {
    errors.value = {}
    problem.value = null
    const said = String(form.weight).trim()
    // a bare number is in the unit beside it; words carry their own
    const weight = said === '' ? null : /^[\d.,\s–-]+$/.test(said) || /^[\d.,]+ to [\d.,]+$/.test(said) ? `${said} ${form.weightUnit}` : said
    const { years, months } = form
    try {
        await kitchen.all.dogs.keep(id.value, {
            name: form.name, ...(dog.value !== undefined && String(form.weight) === String(dog.value.weightSaid ?? dog.value.weightKg ?? '') && form.weightUnit === 'kg' ? {} : { weight }),
            ...(form.born !== (dog.value?.bornOn ?? '') ? { bornOn: form.born === '' ? null : form.born } : ageTouched.value || id.value === null ? { ageMonths: years === null && months === null ? null : (years ?? 0) * 12 + (months ?? 0) } : {}),
            sex: form.sex, neutered: form.neuter === 'unknown' ? null : form.neuter === 'yes', bodyCondition: form.bodyCondition, activity: form.activity,
            breed: form.breed === '' ? null : form.breed, expectedAdultWeightKg: form.expected, teeth: form.teeth, eating: form.eating, stage: form.stage,
            allergies: form.allergies, conditions: form.conditions, medicines: form.medicines, foodKcalPer100g: form.food,
            allowList: words(form.allowText).length === 0 ? null : words(form.allowText), newIngredients: words(form.newText), dislikes: words(form.dislikeText), meals: form.meals, budgetPercent: form.budget,
        })
        await router.push('/bench')
    } catch (error) {
        problem.value = wordsOf(error)
        if (error instanceof KitchenProblem) {
            errors.value = Object.fromEntries((error.problem.errors ?? [{ path: error.problem.path, message: error.problem.message }]).map((one) => [one.path.split('/')[1] ?? '', one.message]))
        }
    }
}

async function remove(): Promise<void> {
    if (id.value === null) return
    try {
        await kitchen.all.dogs.remove(id.value)
        await router.push('/dogs')
    } catch (error) {
        problem.value = wordsOf(error)
    }
}

function toggle(list: string[], value: string): void {
    const at = list.indexOf(value)
    if (at === -1) list.push(value)
    else list.splice(at, 1)
}
</script>

<template>
    <div class="place place--narrow">
        <header class="place__head"><h1>{{ id === null ? 'A new dog' : form.name }}</h1></header>
        <p v-if="id !== null && dog === undefined && kitchen.dogs.length > 0" class="problem" role="alert">That dog is not in this kitchen. <router-link to="/dogs">To the dogs</router-link></p>
        <ProfileAside v-if="dog !== undefined" :key="dog.id" :dog="dog" />
        <form v-if="id === null || dog !== undefined || kitchen.dogs.length === 0" class="dog-form" novalidate @submit.prevent="refusedIn($event.currentTarget) || keep()">
            <fieldset>
                <legend>Who</legend>
                <label class="plain"><span>Name</span><input v-model="form.name" required maxlength="60" autocomplete="off" :aria-invalid="errors['name'] !== undefined" aria-describedby="e-name" /><em id="e-name" class="field-error">{{ errors['name'] }}</em></label>
                <label class="plain"><span>Breed, as far as known</span><input v-model="form.breed" list="breeds" maxlength="80" autocomplete="off" /><datalist id="breeds"><option v-for="breed in kitchen.choices?.breeds ?? []" :key="breed" :value="breed" /></datalist></label>
                <div class="fields">
                    <label class="plain plain--short"><span>Weight</span><input v-model="form.weight" placeholder="or 50 to 60 lb" :aria-invalid="(errors['weight'] ?? errors['weightKg']) !== undefined" aria-describedby="e-weight" /></label>
                    <label class="plain plain--short"><span>Unit of weight</span><select v-model="form.weightUnit"><option value="kg">kg</option><option value="lb">lb</option></select></label>
                    <NumberField label="Age, years" :value="form.years" :most="40" live @meant="form.years = $event; ageTouched = true" />
                    <NumberField label="and months" :value="form.months" :most="480" live @meant="form.months = $event; ageTouched = true" />
                    <label class="plain"><span>or born on</span><input v-model="form.born" type="date" /></label>
                    <NumberField label="Grown, kg" placeholder="puppies" :value="form.expected" :problem="errors['expectedAdultWeightKg'] ?? null" live @meant="form.expected = $event" />
                </div>
                <em id="e-weight" class="field-error">{{ errors['weight'] ?? errors['weightKg'] ?? errors['bornOn'] ?? errors['ageMonths'] }}</em>
                <div class="fields">
                    <label class="plain"><span>Sex</span><select v-model="form.sex"><option :value="null">not said</option><option value="female">female</option><option value="male">male</option></select></label>
                    <label class="plain"><span>Neutered</span><select v-model="form.neuter"><option value="unknown">not known</option><option value="yes">yes</option><option value="no">no</option></select></label>
                    <label class="plain"><span>Activity</span><select v-model="form.activity"><option v-for="one in kitchen.choices?.activities ?? ['normal']" :key="one" :value="one">{{ one.replace('-', ', ') }}</option></select></label>
                </div>
            </fieldset>
            <fieldset>
                <legend>Body condition: which is it, seen from above?</legend>
                <div class="bodies">
                    <label v-for="score in 9" :key="score" class="body" :class="{ 'body--chosen': form.bodyCondition === score }">
                        <input v-model="form.bodyCondition" type="radio" name="body" :value="score" /><BodyShape :score="score" /><strong>{{ score }}</strong><span>{{ BODY[score - 1] }}</span>
                    </label>
                </div>
            </fieldset>
            <fieldset>
                <legend>Eating</legend>
                <div class="fields">
                    <label class="plain"><span>Teeth</span><select v-model="form.teeth"><option value="full">all there</option><option value="few">few</option><option value="none">none</option></select></label>
                    <label class="plain"><span>Manner</span><select v-model="form.eating"><option value="normal">chews</option><option value="gulps">gulps</option></select></label>
                    <NumberField label="Its food, kcal per 100 g" :value="form.food" :problem="errors['foodKcalPer100g'] ?? null" live @meant="form.food = $event" />
                </div>
                <div class="fields">
                    <NumberField label="Meals a day" :value="form.meals" :problem="errors['meals'] ?? null" whole live @meant="form.meals = $event" />
                    <label class="plain"><span>Life stage</span><select v-model="form.stage"><option :value="null">by its age</option><option v-for="one in kitchen.choices?.stages ?? []" :key="one" :value="one">{{ one }}</option></select></label>
                    <NumberField label="Treats, % of the day" placeholder="as usual" :value="form.budget" :problem="errors['budgetPercent'] ?? null" of="low" live @meant="form.budget = $event" />
                </div>
                <label class="plain"><span>Leaves in the bowl (say raw or baked where it matters)</span><input v-model="form.dislikeText" placeholder="raw apple, celery" /></label>
                <em class="field-error">{{ errors['dislikes'] }}</em>
            </fieldset>
            <fieldset>
                <legend>Reacts to</legend>
                <div class="toggles"><button v-for="one in kitchen.choices?.allergens ?? []" :key="one.id" type="button" class="toggle" :aria-pressed="form.allergies.includes(one.id)" @click="toggle(form.allergies, one.id)">{{ one.name }}</button></div>
                <label class="plain"><span>May have only these (empty: anything)</span><input v-model="form.allowText" placeholder="rabbit, parsnip, sorghum" :aria-invalid="errors['allowList'] !== undefined" /></label>
                <label class="plain"><span>New to it</span><input v-model="form.newText" placeholder="mussel, millet" /></label>
                <em class="field-error">{{ errors['allowList'] ?? errors['newIngredients'] ?? errors['allergies'] }}</em>
            </fieldset>
            <fieldset>
                <legend>Conditions a vet has named</legend>
                <div class="toggles"><button v-for="one in kitchen.choices?.conditions ?? []" :key="one.id" type="button" class="toggle" :aria-pressed="(form.conditions as string[]).includes(one.id)" @click="toggle(form.conditions as string[], one.id)">{{ one.name }}</button></div>
            </fieldset>
            <fieldset>
                <legend>Takes or faces</legend>
                <div class="toggles"><button v-for="one in kitchen.choices?.medicines ?? []" :key="one.id" type="button" class="toggle" :aria-pressed="(form.medicines as string[]).includes(one.id)" @click="toggle(form.medicines as string[], one.id)">{{ one.name }}</button></div>
            </fieldset>
            <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
            <p class="paper__ends">
                <v-btn v-if="id !== null" color="error" @click="leaving = true">Take out of the kitchen</v-btn>
                <router-link class="link-button" to="/dogs">Leave as it was</router-link>
                <v-btn type="submit" variant="flat" color="primary">{{ id === null ? 'Add to the kitchen' : 'Keep' }}</v-btn>
            </p>
        </form>
        <v-dialog v-model="leaving" max-width="440" aria-labelledby="out-title">
            <div class="paper">
                <h2 id="out-title">Take {{ form.name }} out of the kitchen?</h2>
                <p>What is written about it here will be gone for good.</p>
                <p class="paper__ends"><v-btn @click="leaving = false">Leave it</v-btn><v-btn variant="outlined" color="error" @click="remove">Take out</v-btn></p>
            </div>
        </v-dialog>
    </div>
</template>
