<script setup lang="ts">
import { computed, reactive } from 'vue'
import { useRouter } from 'vue-router'
import { api } from '../api/client'
import type { Occasion, OccasionDue } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import { useToday } from '../kitchen/useToday'
import DateField from '../ui/DateField.vue'
import EmptyPlace from '../ui/EmptyPlace.vue'
import { useAsked } from '../ui/useAsked'
import { useDoing } from '../ui/useDoing'
import DayLeaf from './DayLeaf.vue'

/** The occasions that are coming, and those that were: a birthday, a holiday's tins. */
const kitchen = useKitchen()
const router = useRouter()
const today = useToday()
const { problem, doing } = useDoing()
const all = computed(() => kitchen.all.occasions.items)
const coming = computed(() => all.value.filter((one) => one.on >= today.value))
const past = computed(() => all.value.filter((one) => one.on < today.value).toReversed())
const { answer: dues } = useAsked<OccasionDue[]>({
    of: [() => JSON.stringify(all.value), () => kitchen.version, today],
    ask: (signal) => api.occasionsDue(AHEAD, signal),
    immediate: true,
})
/** days of which what is done for an occasion is told */
const AHEAD = 60
const NAMES = { bake: 'Bake', thaw: 'Thaw', leave: 'Take along', occasion: '' }
const stepsOf = (one: Occasion): OccasionDue[] => (dues.value ?? []).filter((of) => of.occasion === one.id && of.kind !== 'occasion')
const weekday = (iso: string): string =>
    new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' }).format(new Date(`${iso}T12:00:00Z`))
const form = reactive({ name: '', on: null as string | null })

const titlesOf = (one: Occasion): string =>
    one.treats
        .map((treat) => kitchen.all.recipes.of(treat.recipeId)?.title)
        .filter((title) => title !== undefined)
        .join(' and ')
const guests = (one: Occasion): number => one.guests.length + one.dogs.filter((id) => kitchen.all.dogs.of(id) !== undefined).length
function says(one: Occasion): string {
    const boxes = one.boxes.length
    return [
        guests(one) === 0 ? '' : guests(one) === 1 ? 'one dog' : `${guests(one)} dogs`,
        titlesOf(one),
        boxes === 0 ? '' : boxes === 1 ? `one ${one.boxes[0]?.in ?? 'box'} to fill` : `${boxes} to fill`,
    ]
        .filter((part) => part !== '')
        .join('; ')
}

async function add(): Promise<void> {
    const id = crypto.randomUUID()
    if (form.on === null || form.name.trim() === '') {
        problem.value = form.name.trim() === '' ? 'Give it a name: “Quill is twelve”.' : 'Say on which day it is.'
        return
    }
    const on = form.on
    if (await doing(() => kitchen.all.occasions.keep(null, { name: form.name.trim(), on, dogs: kitchen.atTable.map((dog) => dog.id) }, { id })))
        await router.push(`/occasions/${id}`)
}
</script>

<template>
    <div class="place occasions">
        <header class="place__head">
            <h1>Occasions</h1>
            <router-link to="/today">Back to today</router-link>
        </header>
        <form class="occasions__new" aria-label="A new occasion" novalidate @submit.prevent="add">
            <v-text-field
                v-model="form.name"
                class="field--long"
                label="What is it"
                placeholder="Quill is twelve"
                maxlength="120"
                autocomplete="off"
            />
            <DateField label="On which day" :value="form.on" :least="today" @meant="form.on = $event" />
            <v-btn variant="flat" color="primary" type="submit">Plan it</v-btn>
        </form>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <EmptyPlace v-if="kitchen.all.occasions.isLaid && all.length === 0" title="Nothing to celebrate yet"
            >A birthday with eleven dogs, a tin for each boat: name it and its day, then who comes and what is served. What each may have, how much is
            baked and when stands beside it.</EmptyPlace
        >
        <ul v-if="coming.length > 0" class="occasions__list" aria-label="What is coming">
            <li v-for="one in coming" :key="one.id">
                <router-link :to="`/occasions/${one.id}`" class="occasion-slip"
                    ><DayLeaf :on="one.on" :at="one.at" /><span
                        ><strong>{{ one.name }}</strong
                        ><small v-if="one.place !== ''">{{ one.place }}</small
                        ><span>{{ says(one) }}</span
                        ><span v-for="(step, n) in stepsOf(one)" :key="n" class="occasion-slip__step"
                            ><b>{{ NAMES[step.kind] }}</b> {{ step.title }}, {{ weekday(step.on) }}{{ step.at === null ? '' : `, ${step.at}` }}</span
                        ></span
                    ></router-link
                >
            </li>
        </ul>
        <template v-if="past.length > 0">
            <h2>Past</h2>
            <ul class="occasions__list occasions__list--past" aria-label="What was">
                <li v-for="one in past" :key="one.id">
                    <router-link :to="`/occasions/${one.id}`" class="occasion-slip"
                        ><DayLeaf :on="one.on" :at="one.at" /><span
                            ><strong>{{ one.name }}</strong
                            ><span>{{ says(one) }}</span></span
                        ></router-link
                    >
                </li>
            </ul>
        </template>
    </div>
</template>
