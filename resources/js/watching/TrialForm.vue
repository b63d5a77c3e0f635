<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import type { Dog, Trial } from '../api/types.generated'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import DateField from '../ui/DateField.vue'
import PickMany from '../ui/PickMany.vue'
import { tell } from '../ui/notices'
import { useDraft } from '../ui/useDraft'

/** A trial that is to begin. What would tell nothing the kitchen refuses in words. */
const props = defineProps<{ dog: Dog; today: string; eliminates: boolean }>()
const kitchen = useKitchen()
const form = reactive({ kind: 'new-food' as Trial['kind'], foods: [] as string[], from: props.today, vetSaid: false })
const { send } = useDraft(`trial.${props.dog.id}`, form)
const problem = ref<string | null>(null)
const busy = ref(false)
const KINDS = computed(() => [
    { value: 'new-food' as const, title: 'A new food', says: 'A quarter for two days, half for two, then all of it; watched for 14 days.' },
    { value: 'leave-out' as const, title: 'Leave one out', says: 'To see whether a sign goes with it: 14 days without.' },
    { value: 'elimination' as const, title: 'Only a few foods', says: 'Eight weeks with nothing but these, under a vet.' },
    ...(props.eliminates
        ? [{ value: 'challenge' as const, title: 'Give one again', says: 'While only a few are eaten: one food at a time, as your vet says.' }]
        : []),
])
const foods = computed(() => [
    ...(kitchen.choices?.allergens ?? []).map((one) => ({ id: one.id, name: `${one.name} (all of its kind)` })),
    ...kitchen.foodsByName.filter((one) => kitchen.choices?.allergens.some((of) => of.id === one.id) !== true),
])

async function begin(): Promise<void> {
    problem.value = null
    if (form.foods.length === 0) {
        problem.value = 'Say which food.'

        return
    }
    busy.value = true
    try {
        await send(async (sent) => {
            await kitchen.all.trials.keep(null, {
                dogId: props.dog.id,
                kind: sent.kind,
                foods: sent.foods,
                from: sent.from,
                ...(sent.vetSaid ? { vetSaid: true } : {}),
            })
            tell(`A trial of ${props.dog.name}: ${sent.foods.map((one) => kitchen.nameOf(one)).join(', ')}.`)
        })
    } catch (error) {
        problem.value = wordsOf(error)
    }
    busy.value = false
}
</script>

<template>
    <form class="paper trial-form" aria-labelledby="trial-form-title" @submit.prevent="begin">
        <h2 id="trial-form-title">Begin a trial</h2>
        <v-radio-group v-model="form.kind" class="trial-form__kinds" aria-label="What kind of trial">
            <v-radio v-for="one in KINDS" :key="one.value" :value="one.value"
                ><template #label
                    ><span
                        ><b>{{ one.title }}</b
                        ><small>{{ one.says }}</small></span
                    ></template
                ></v-radio
            >
        </v-radio-group>
        <PickMany
            v-model="form.foods"
            :label="form.kind === 'elimination' ? 'All that it may eat' : 'Which food'"
            :items="foods"
            :hint="form.kind === 'elimination' ? 'treats and meals' : 'one at a time: with two, nobody knows which it was'"
        />
        <DateField label="from" :value="form.from" @meant="form.from = $event ?? today" />
        <v-checkbox v-model="form.vetSaid" label="My vet asked for it" hide-details />
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <v-btn type="submit" variant="flat" color="primary" :disabled="busy">Begin</v-btn>
        <p class="hint">
            A dog that is unwell, very young, pregnant or on medicine: ask your vet first. Swollen face, trouble breathing, blood, or vomiting again
            and again: ring a vet now.
        </p>
    </form>
</template>
