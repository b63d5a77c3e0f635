<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import NumberField from '../ui/NumberField.vue'
import PickMany from '../ui/PickMany.vue'
import SwitchRow from '../ui/SwitchRow.vue'
import { useKitchen } from '../kitchen/useKitchen'
import type { DayOnPage } from './useDay'

/** What came from no bag: a scrap of the table, an extra in the bowl, a bought treat by its label. */
const props = defineProps<{ day: DayOnPage }>()
const open = defineModel<boolean>({ required: true })
const kitchen = useKitchen()
const form = reactive({
    kind: 'text' as 'text' | 'label',
    text: '',
    name: '',
    kcal: null as number | null,
    grams: null as number | null,
    pieces: 1 as number | null,
    dogs: [] as string[],
    product: null as string | null,
})
const problem = ref<string | null>(null)
watch(open, (is) => {
    if (!is) return
    Object.assign(form, { text: '', name: '', kcal: null, grams: null, pieces: 1, dogs: [], product: null })
    problem.value = null
})
const products = computed(() => kitchen.products.map(({ id, name }) => ({ id, name })))
const list = computed(() => kitchen.products.find((one) => one.id === form.product))
watch(list, (one) => {
    if (one !== undefined) form.name = one.name
})

async function give(): Promise<void> {
    problem.value = null
    if (form.dogs.length === 0) {
        problem.value = 'To which dog?'
        return
    }
    if (form.kind === 'text' ? form.text.trim() === '' : form.name.trim() === '' || form.pieces === null) {
        problem.value = form.kind === 'text' ? 'Say what it was and how much: "20 g cooked chicken".' : 'Say what it was, and how many.'
        return
    }
    const ingredients = list.value?.ingredients ?? null
    const given = await props.day.give(
        form.kind === 'text'
            ? { dogs: form.dogs.map((dog) => ({ dog })), text: form.text.trim() }
            : {
                  dogs: form.dogs.map((dog) => ({ dog, pieces: form.pieces ?? 1 })),
                  label: {
                      name: form.name.trim(),
                      ...(form.kcal === null ? {} : { kcal: form.kcal }),
                      ...(form.grams === null ? {} : { grams: form.grams }),
                      ...(ingredients === null || ingredients.trim() === '' ? {} : { ingredients }),
                  },
              },
        form.kind === 'text' ? form.text.trim() : form.name.trim(),
    )
    if (given === null) problem.value = props.day.refused.value
    else open.value = false
}
</script>

<template>
    <v-dialog v-model="open" max-width="600" aria-labelledby="other-title">
        <form class="paper" @submit.prevent="give">
            <h2 id="other-title">Something else was given</h2>
            <SwitchRow
                v-model="form.kind"
                label="What it was"
                :items="[
                    { value: 'text', title: 'a scrap, an extra' },
                    { value: 'label', title: 'a bought treat' },
                ]"
            />
            <v-text-field
                v-if="form.kind === 'text'"
                v-model="form.text"
                label="What, and how much"
                placeholder="20 g cooked chicken"
                :maxlength="500"
                autocomplete="off"
                autofocus
            />
            <template v-else>
                <v-select
                    v-if="products.length > 0"
                    v-model="form.product"
                    label="From your labels"
                    :items="products"
                    item-title="name"
                    item-value="id"
                    clearable
                />
                <v-text-field v-model="form.name" label="What it is called" :maxlength="200" autocomplete="off" />
                <div class="other__figures">
                    <NumberField label="How many" :value="form.pieces" :least="0.25" :most="100" live @meant="(value) => (form.pieces = value)" />
                    <NumberField
                        label="One has"
                        unit="kcal"
                        :value="form.kcal"
                        :least="0"
                        :most="2000"
                        live
                        @meant="(value) => (form.kcal = value)"
                    />
                    <NumberField
                        label="One weighs"
                        unit="g"
                        :value="form.grams"
                        :least="0.1"
                        :most="2000"
                        live
                        @meant="(value) => (form.grams = value)"
                    />
                </div>
                <p v-if="form.kcal === null" class="hint">
                    Without its figure it is reckoned
                    {{ form.grams === null ? 'as unknown: no more treats are told for that day' : 'as rich as its weight can be' }}.
                </p>
            </template>
            <PickMany v-model="form.dogs" label="To which dog" :items="kitchen.dogs" />
            <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
            <p class="paper__ends">
                <v-btn @click="open = false">Not now</v-btn><v-btn type="submit" variant="flat" color="primary">Write it down</v-btn>
            </p>
        </form>
    </v-dialog>
</template>
