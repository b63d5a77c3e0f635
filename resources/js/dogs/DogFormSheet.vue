<script setup lang="ts">
import { computed, onMounted, reactive, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { KitchenProblem, type DogFields } from '../api/client'
import { conflictsOf } from '../api/outbox'
import type { Dog, Problem } from '../api/types.generated'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import ClashPanel from '../ui/ClashPanel.vue'
import { goOn } from '../ui/goOn'
import NumberField from '../ui/NumberField.vue'
import PickMany from '../ui/PickMany.vue'
import { patternOf } from '../ui/dates'
import { refusedIn } from '../ui/refused'
import { tell } from '../ui/notices'
import { useDraft } from '../ui/useDraft'
import { useUnits } from '../ui/useUnits'
import BodyShape from './BodyShape.vue'
import { fieldsOf, formOf, turn, type DogForm } from './form'

/** What is known of one dog. Of a new one four fields are enough; whatever is left out is taken at the end that protects the dog. */
const props = defineProps<{ dog: Dog | null }>()
const kitchen = useKitchen()
const router = useRouter()
const order = kitchen.kitchen?.datesAs ?? 'dmy'
const units = useUnits()
const kgAPound = units.kgAPound()
const unit = units.isPounds() ? 'lb' : 'kg'

const form = reactive<DogForm>(formOf(props.dog, unit, order, kgAPound))
/** `on` is the version it was opened on: what another changes meanwhile stays. */
const { back, forget, anew, base: opened, on } = useDraft(`dog.${props.dog?.id ?? 'new'}`, form, props.dog?.version ?? null)
/** What is known of the dog changed while the form is open: it stands in every field that was not touched. */
watch(
    () => props.dog,
    (now) => {
        if (now === null) return
        const fresh = formOf(now, unit, order, kgAPound)
        const same = (one: unknown, two: unknown): boolean => JSON.stringify(one) === JSON.stringify(two)
        let isAsked = false
        for (const key of Object.keys(fresh) as (keyof DogForm)[]) {
            if (same(form[key], opened.value[key])) {
                Object.assign(form, { [key]: fresh[key] })
                Object.assign(opened.value, { [key]: JSON.parse(JSON.stringify(fresh[key])) as unknown })
            } else if (!same(opened.value[key], fresh[key])) isAsked = true
        }
        // where both wrote in one field, the kitchen has to know what this form was written over
        if (!isAsked) on.value = now.version
    },
)
watch(
    () => form.weightUnit,
    (now, before) => {
        turn(form, props.dog, before, now, kgAPound)
    },
)
const errors = ref<Record<string, string>>({})
const problem = ref<string | null>(null)
const clash = shallowRef<{ problem: Problem; fields: DogFields } | null>(null)
const first = ref<{ focus: () => void } | null>(null)
onMounted(() => {
    if (props.dog === null) first.value?.focus()
})

/** Fields of the kitchen that have a place here for what is wrong with them. */
const FIELDS = [
    'name',
    'weight',
    'age',
    'bornOn',
    'breed',
    'expectedAdultWeight',
    'foodKcalPer100g',
    'meals',
    'budgetPercent',
    'dislikes',
    'allergies',
    'allowList',
    'newIngredients',
    'conditions',
    'medicines',
]

const BODY = [
    'ribs, spine and hips stand out from afar',
    'bones easily seen, no fat to feel',
    'ribs easily felt, tops of the spine show',
    'ribs felt with little cover, clear waist',
    'ribs felt without excess, waist seen from above',
    'ribs felt with some excess, waist just seen',
    'ribs hard to feel, waist barely there',
    'ribs under heavy fat, no waist',
    'great fat on neck, limbs and base of the tail',
]
const ACTIVITIES = computed(() => (kitchen.choices?.activities ?? ['normal']).map((id) => ({ id, name: id.replace('-', ', ') })))
const STAGES = computed(() => [{ id: null, name: 'by its age' }, ...(kitchen.choices?.stages ?? []).map((id) => ({ id, name: id }))])
const SEXES = [
    { id: null, name: 'not said' },
    { id: 'female', name: 'female' },
    { id: 'male', name: 'male' },
]
const NEUTERED = [
    { id: 'unknown', name: 'not known' },
    { id: 'yes', name: 'yes' },
    { id: 'no', name: 'no' },
]
const TEETH = [
    { id: 'full', name: 'all there' },
    { id: 'few', name: 'few' },
    { id: 'none', name: 'none' },
]
const EATING = [
    { id: 'normal', name: 'chews' },
    { id: 'gulps', name: 'gulps' },
]

/** All that may have to be minded, found in one field: what it reacts to, what a vet has named, what it takes. */
const minded = computed(() => [
    ...(kitchen.choices?.allergens ?? []).map((one) => ({ id: `allergies ${one.id}`, name: `reacts to ${one.name}` })),
    ...(kitchen.choices?.conditions ?? []).map((one) => ({ id: `conditions ${one.id}`, name: one.name })),
    ...(kitchen.choices?.medicines ?? []).map((one) => ({ id: `medicines ${one.id}`, name: `takes ${one.name}` })),
])
/** Whole groups (rabbit, however it is cooked) and single foods. */
const eatable = computed(() => {
    const groups = kitchen.choices?.allergens ?? []

    return [...groups, ...kitchen.foodsByName.filter((food) => !groups.some((group) => group.id === food.id))]
})
const KINDS = ['allergies', 'conditions', 'medicines'] as const
const mind = computed<string[]>({
    get: () => KINDS.flatMap((kind) => (form[kind] as string[]).map((id) => `${kind} ${id}`)),
    set: (chosen) => {
        for (const kind of KINDS)
            Object.assign(form, { [kind]: chosen.filter((one) => one.startsWith(`${kind} `)).map((one) => one.slice(kind.length + 1)) })
    },
})

const namesOf = (ids: string[], names: { id: string; name: string }[] | undefined): string =>
    ids.map((one) => names?.find((other) => other.id === one)?.name ?? one).join(', ')
/** What is known already, beside the name of each part: nothing has to be opened to see it. */
const said = computed(() => ({
    more: [
        form.breed,
        form.sex,
        form.activity === 'normal' ? '' : form.activity.replace('-', ', '),
        form.grown === '' ? '' : `grown ${/[a-z]/i.test(form.grown) ? form.grown : `${form.grown} ${form.weightUnit}`}`,
    ]
        .filter(Boolean)
        .join(' · '),
    body: form.bodyCondition === null ? '' : `${form.bodyCondition} of 9`,
    eating: [
        form.teeth === 'few' ? 'few teeth' : form.teeth === 'none' ? 'no teeth' : '',
        form.eating === 'gulps' ? 'gulps' : '',
        form.meals === null ? '' : `${form.meals} meals`,
    ]
        .filter(Boolean)
        .join(' · '),
    reacts: [namesOf(form.allergies, kitchen.choices?.allergens), form.only.length === 0 ? '' : `only ${namesOf(form.only, eatable.value)}`]
        .filter(Boolean)
        .join(' · '),
    health: [namesOf(form.conditions, kitchen.choices?.conditions), namesOf(form.medicines, kitchen.choices?.medicines)].filter(Boolean).join(' · '),
}))

async function keep(fields: DogFields | null = null): Promise<void> {
    errors.value = {}
    problem.value = null
    const read = fieldsOf(form, opened.value, order, props.dog, kgAPound)
    errors.value = { ...read.problems }
    if (Object.keys(read.problems).length > 0) return
    const sent = fields ?? read.fields
    if (props.dog === null) sent.name ??= ''
    else if (Object.keys(sent).length === 0) {
        await router.push('/dogs')
        return
    }
    try {
        await kitchen.all.dogs.keep(props.dog?.id ?? null, sent, on.value === null ? {} : { base: on.value })
        forget()
        clash.value = null
        tell(props.dog === null ? `${form.name} is in the kitchen.` : `What you wrote of ${form.name} is kept.`)
        await router.push(props.dog === null ? '/bench' : '/dogs')
    } catch (error) {
        const told = error instanceof KitchenProblem ? error.problem : null
        if (conflictsOf(told).length > 0 && told !== null) {
            clash.value = { problem: told, fields: sent }
            return
        }
        // what is said beside its field is not said again
        problem.value = FIELDS.some((field) => told?.path.startsWith(`/${field}`)) ? null : wordsOf(error)
        errors.value = Object.fromEntries(
            (told?.errors ?? [{ path: told?.path ?? '', message: told?.message ?? '' }]).map((one) => [one.path.split('/')[1] ?? '', one.message]),
        )
        requestAnimationFrame(() => {
            document.querySelector<HTMLElement>('.dog-form [aria-invalid=true], .dog-form .v-input--error input')?.focus()
        })
    }
}

/** Two wrote in one field: what was chosen of the other's is left out of what is sent, over the version that stands now. */
function settle(takesTheirs: string[]): void {
    const asked = clash.value
    if (asked === null) return
    const sent = Object.fromEntries(
        Object.entries(asked.fields).filter(
            ([key]) =>
                !takesTheirs.includes(key) &&
                !(takesTheirs.includes('weightKg') && key === 'weight') &&
                !(takesTheirs.includes('expectedAdultWeightKg') && key === 'expectedAdultWeight'),
        ),
    )
    on.value = asked.problem.version ?? on.value
    clash.value = null
    void keep(sent)
}

function problemOf(...keys: string[]): string[] {
    return keys
        .map((key) => errors.value[key])
        .filter((one) => one !== undefined && one !== '')
        .slice(0, 1) as string[]
}
</script>

<template>
    <form class="dog-form" novalidate @keydown.enter.capture="goOn" @submit.prevent="refusedIn($event.currentTarget) || keep()">
        <p v-if="back" class="hint" role="status">What you wrote here before is back. <v-btn class="link" @click="anew">Begin anew</v-btn></p>
        <fieldset>
            <legend>{{ dog === null ? 'Four things to begin with' : 'Who' }}</legend>
            <div class="fields">
                <v-text-field
                    ref="first"
                    v-model="form.name"
                    class="field--long"
                    label="Name"
                    maxlength="60"
                    autocomplete="off"
                    :error-messages="problemOf('name')"
                />
                <v-text-field
                    v-model="form.weight"
                    class="field--short"
                    label="Weight"
                    placeholder="17, or 50 to 60 lb"
                    autocomplete="off"
                    :error-messages="problemOf('weight', 'weightKg')"
                />
                <v-select
                    v-model="form.weightUnit"
                    class="field--short"
                    label="Unit of weight"
                    :items="[
                        { id: 'kg', name: 'kg' },
                        { id: 'lb', name: 'lb' },
                    ]"
                />
                <v-text-field
                    v-model="form.age"
                    class="field--short"
                    label="Age, or born on"
                    :placeholder="`5 months, or ${patternOf(order)}`"
                    autocomplete="off"
                    :error-messages="problemOf('age', 'ageMonths', 'bornOn')"
                />
            </div>
            <PickMany
                v-if="dog === null"
                v-model="mind"
                label="Reacts to, has, or takes"
                :items="minded"
                hint="Allergies, conditions that a vet has named, medicines: type a few letters"
                :problem="problemOf('allergies', 'conditions', 'medicines')[0] ?? null"
            />
            <p v-if="dog === null" class="hint">The rest is asked when it matters. What is not known is taken at the end that protects the dog.</p>
        </fieldset>
        <v-expansion-panels multiple class="dog-form__more">
            <v-expansion-panel>
                <v-expansion-panel-title
                    >More about it: breed, sex, activity, grown weight <small>{{ said.more }}</small></v-expansion-panel-title
                >
                <v-expansion-panel-text>
                    <div class="fields">
                        <v-combobox
                            v-model="form.breed"
                            class="field--long"
                            label="Breed, as far as known"
                            :items="kitchen.choices?.breeds ?? []"
                            maxlength="80"
                            :error-messages="problemOf('breed')"
                        />
                        <v-select v-model="form.sex" class="field--short" label="Sex" :items="SEXES" />
                        <v-select v-model="form.neutered" class="field--short" label="Neutered" :items="NEUTERED" />
                        <v-select v-model="form.activity" class="field--long" label="Activity" :items="ACTIVITIES" />
                        <v-text-field
                            v-model="form.grown"
                            class="field--short"
                            label="Grown weight"
                            placeholder="puppies"
                            :error-messages="problemOf('expectedAdultWeight', 'expectedAdultWeightKg')"
                        />
                        <v-select v-model="form.stage" class="field--short" label="Life stage" :items="STAGES" />
                    </div>
                </v-expansion-panel-text>
            </v-expansion-panel>
            <v-expansion-panel>
                <v-expansion-panel-title
                    >Body condition: which is it, seen from above? <small>{{ said.body }}</small></v-expansion-panel-title
                >
                <v-expansion-panel-text>
                    <v-radio-group v-model="form.bodyCondition" class="bodies" aria-label="Body condition" hide-details>
                        <v-radio v-for="score in 9" :key="score" :value="score" class="body" :class="{ 'body--chosen': form.bodyCondition === score }"
                            ><template #label
                                ><BodyShape :score="score" /><strong>{{ score }}</strong> {{ BODY[score - 1] }}</template
                            ></v-radio
                        >
                    </v-radio-group>
                </v-expansion-panel-text>
            </v-expansion-panel>
            <v-expansion-panel>
                <v-expansion-panel-title
                    >Eating: teeth, meals, its own food, what it leaves <small>{{ said.eating }}</small></v-expansion-panel-title
                >
                <v-expansion-panel-text>
                    <div class="fields">
                        <v-select v-model="form.teeth" class="field--short" label="Teeth" :items="TEETH" />
                        <v-select v-model="form.eating" class="field--short" label="Manner" :items="EATING" />
                        <NumberField
                            label="Its food, kcal per 100 g"
                            :short="false"
                            :value="form.food"
                            :problem="errors['foodKcalPer100g'] ?? null"
                            live
                            @meant="form.food = $event"
                        />
                        <NumberField
                            label="Meals a day"
                            :value="form.meals"
                            :problem="errors['meals'] ?? null"
                            whole
                            live
                            @meant="form.meals = $event"
                        />
                        <NumberField
                            label="Treats, % of the day"
                            placeholder="as usual"
                            :value="form.budget"
                            :problem="errors['budgetPercent'] ?? null"
                            of="low"
                            live
                            @meant="form.budget = $event"
                        />
                    </div>
                    <PickMany
                        v-model="form.dislikes"
                        label="Leaves in the bowl"
                        :items="[]"
                        hint="Say raw or baked where it matters; Enter or a comma ends each"
                        own
                        :problem="problemOf('dislikes')[0] ?? null"
                    />
                </v-expansion-panel-text>
            </v-expansion-panel>
            <v-expansion-panel>
                <v-expansion-panel-title
                    >Reacts to, may have only, new to it <small>{{ said.reacts }}</small></v-expansion-panel-title
                >
                <v-expansion-panel-text>
                    <PickMany
                        v-model="form.allergies"
                        label="Reacts to"
                        :items="kitchen.choices?.allergens ?? []"
                        :problem="problemOf('allergies')[0] ?? null"
                    />
                    <PickMany
                        v-model="form.only"
                        label="May have only these"
                        :items="eatable"
                        hint="Empty: anything"
                        :problem="problemOf('allowList')[0] ?? null"
                    />
                    <PickMany v-model="form.newTo" label="New to it" :items="eatable" :problem="problemOf('newIngredients')[0] ?? null" />
                </v-expansion-panel-text>
            </v-expansion-panel>
            <v-expansion-panel>
                <v-expansion-panel-title
                    >Health: conditions a vet has named, what it takes or faces <small>{{ said.health }}</small></v-expansion-panel-title
                >
                <v-expansion-panel-text>
                    <PickMany
                        v-model="form.conditions"
                        label="Conditions a vet has named"
                        :items="kitchen.choices?.conditions ?? []"
                        :problem="problemOf('conditions')[0] ?? null"
                    />
                    <PickMany
                        v-model="form.medicines"
                        label="Takes or faces"
                        :items="kitchen.choices?.medicines ?? []"
                        :problem="problemOf('medicines')[0] ?? null"
                    />
                </v-expansion-panel-text>
            </v-expansion-panel>
        </v-expansion-panels>
        <ClashPanel v-if="clash !== null" :fields="conflictsOf(clash.problem)" :of="dog?.name ?? 'it'" @settle="settle" />
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <p class="paper__ends">
            <slot />
            <v-btn to="/dogs" @click="forget">Leave as it was</v-btn>
            <v-btn type="submit" variant="flat" color="primary">{{ dog === null ? 'Add to the kitchen' : 'Keep' }}</v-btn>
        </p>
    </form>
</template>
