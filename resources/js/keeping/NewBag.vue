<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { plainly } from '../shelf/finding'
import DateField from '../ui/DateField.vue'
import NumberField from '../ui/NumberField.vue'
import SwitchRow from '../ui/SwitchRow.vue'
import type { Jars } from './useJars'

/** Something that comes to the shelves without a batch: a tin that is opened, a bag that nobody marked. */
const props = defineProps<{ jars: Jars }>()
const open = defineModel<boolean>({ required: true })
const KINDS = [
    { value: 'tin', title: 'opened tin' },
    { value: 'squash', title: 'cut squash' },
    { value: 'leftover', title: 'cooked, left over' },
    { value: 'egg', title: 'white, yolk or egg' },
    { value: 'raw-meat', title: 'raw meat or fish' },
    { value: 'bag', title: 'a bag without a label' },
] as const
const CLASSES = [
    { id: '', name: 'nobody knows' },
    { id: 'hard-biscuit', name: 'hard biscuit' },
    { id: 'biscuit', name: 'biscuit' },
    { id: 'chewy', name: 'chewy' },
    { id: 'soft', name: 'soft or cake' },
    { id: 'moist', name: 'moist, with meat, fish, egg or fresh cheese' },
    { id: 'jerky', name: 'dried meat' },
    { id: 'dough', name: 'raw dough' },
]
const form = reactive({
    kind: 'tin' as (typeof KINDS)[number]['value'],
    title: '',
    grams: null as number | null,
    pieces: null as number | null,
    made: null as string | null,
    kept: '',
    place: '',
    note: '',
})
const problem = ref<string | null>(null)
const foods = computed(() => props.jars.kitchen.foodsByName.map((one) => one.name))
const cold = computed(() => props.jars.places.value.find((one) => one.kind === 'fridge')?.id ?? '')
const froze = computed(() => props.jars.places.value.find((one) => one.kind === 'freezer')?.id ?? '')
watch(open, (is) => {
    if (!is) return
    Object.assign(form, { title: '', grams: null, pieces: null, made: null, kept: '', place: cold.value, note: '' })
    problem.value = null
})
watch(
    () => form.kind,
    (kind) => {
        form.place = kind === 'bag' ? froze.value : cold.value
    },
)

/** By its ingredient it is known what to bake from it; what is called otherwise is kept all the same. */
function ingredientOf(title: string): { ingredient?: string } {
    const words = plainly(title).split(/\s+/)
    const named = props.jars.kitchen.foodsByName.map((one) => ({ id: one.id, words: plainly(one.name).split(/[^\p{L}]+/u) }))
    const fit = named.filter((one) => words.every((word) => one.words.includes(word)))
    const food = fit.find((one) => one.words.length === words.length) ?? (fit.length === 1 ? fit[0] : undefined)

    return food === undefined ? {} : { ingredient: food.id }
}

async function add(): Promise<void> {
    problem.value = null
    if (form.title.trim() === '') {
        problem.value = form.kind === 'bag' ? 'Say what it looks like: "some sort of coins".' : 'Say what it is: "pumpkin purée".'
        return
    }
    if (form.kind === 'bag' && (form.pieces === null || form.made === null)) {
        problem.value = form.pieces === null ? 'About how many pieces are in it?' : 'About when was it made? The earliest it may have been.'
        return
    }
    const bag = crypto.randomUUID()
    const said =
        form.kind === 'bag'
            ? {
                  bag,
                  title: form.title,
                  made: form.made,
                  pieces: form.pieces,
                  place: form.place,
                  ...(form.kept === '' ? {} : { class: form.kept }),
                  ...(form.note.trim() === '' ? {} : { note: form.note }),
              }
            : {
                  bag,
                  title: form.title,
                  food: form.kind,
                  place: form.place,
                  ...(form.grams === null ? {} : { grams: form.grams }),
                  ...ingredientOf(form.title),
              }
    if ((await props.jars.act(form.kind === 'bag' ? 'found' : 'open', said)) === null) {
        problem.value = props.jars.refused.value
        return
    }
    open.value = false
}
</script>

<template>
    <v-dialog v-model="open" max-width="640" aria-labelledby="new-bag-title">
        <form class="paper" @submit.prevent="add">
            <h2 id="new-bag-title">Something else for the shelves</h2>
            <SwitchRow v-model="form.kind" label="What it is" :items="KINDS" />
            <v-text-field v-if="form.kind === 'bag'" v-model="form.title" label="What it looks like" :maxlength="200" autocomplete="off" autofocus />
            <v-combobox
                v-else
                :model-value="form.title"
                label="What it is"
                :items="foods"
                :maxlength="200"
                autocomplete="off"
                autofocus
                @update:model-value="(value: string | null) => (form.title = value ?? '')"
                @update:search="(value: string) => (form.title = value)"
            />
            <template v-if="form.kind === 'bag'">
                <NumberField
                    label="About how many"
                    unit="pieces"
                    :value="form.pieces"
                    :least="0.25"
                    :most="10000"
                    live
                    @meant="(value) => (form.pieces = value)"
                />
                <DateField label="Made about" :value="form.made" :most="jars.today.value" @meant="(day) => (form.made = day)" />
                <v-select v-model="form.kept" label="What sort of treat" :items="CLASSES" item-title="name" item-value="id" />
                <p v-if="form.kept === ''" class="hint">What nobody knows is kept as what goes off soon. No dog with an allergy should have it.</p>
                <v-text-field v-model="form.note" label="Note" :maxlength="200" autocomplete="off" />
            </template>
            <NumberField
                v-else
                label="How much is left"
                unit="g"
                :value="form.grams"
                :least="1"
                :most="20000"
                live
                @meant="(value) => (form.grams = value)"
            />
            <v-select v-model="form.place" label="Where" :items="jars.places.value" item-title="name" item-value="id" />
            <p v-if="form.kind === 'squash'" class="hint">
                A squash that was carved or stood out is no food any more: it goes to the compost, where no dog can reach it.
            </p>
            <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
            <p class="paper__ends">
                <v-btn @click="open = false">Not now</v-btn><v-btn type="submit" variant="flat" color="primary">Put it there</v-btn>
            </p>
        </form>
    </v-dialog>
</template>
