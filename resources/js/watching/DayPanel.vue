<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { api } from '../api/client'
import type { DiarySaid, Dog, HowChoice, LedgerEntry } from '../api/types.generated'
import BudgetDish from '../feeding/BudgetDish.vue'
import { addressOf, keepPhotograph } from '../kitchen/photographs'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { useOutbox } from '../kitchen/useOutbox'
import { hourOf } from '../making/clockwork'
import { figure, pieces } from '../ui/format'
import FoldPart from '../ui/FoldPart.vue'
import { tell } from '../ui/notices'
import { dayAfter, dayInWords, entryInWords, type DogDay } from './days'
import HowTaken from './HowTaken.vue'
import OfferedElse from './OfferedElse.vue'
import SignPicker from './SignPicker.vue'
import { useDiary } from './useDiary'

/** One day of a dog, whole: its dish, all it was given, all that was seen; and what is to be written down of it. */
const props = defineProps<{ dog: Dog; day: DogDay; first: string; last: string; nameOf: (id: string) => string }>()
const emit = defineEmits<{ go: [on: string] }>()
const kitchen = useKitchen()
const outbox = useOutbox()
const diary = useDiary()
const problem = ref<string | null>(null)
const given = shallowRef<LedgerEntry[] | null>(null)
const note = ref('')
const busy = ref(false)
let asked = 0

async function load(): Promise<void> {
    const mine = ++asked
    try {
        const told = await api.dogGiven(props.dog.id, props.day.on, props.day.on)
        if (mine === asked) given.value = told.given.filter((one) => !one.undone).toReversed()
    } catch (error) {
        if (mine === asked) {
            given.value = null
            problem.value = wordsOf(error)
        }
    }
}
watch(
    [() => props.dog.id, () => props.day.on, () => kitchen.number],
    ([dog, on], was) => {
        if (was[0] !== dog || was[1] !== on) {
            given.value = null
            problem.value = null
            note.value = ''
        }
        void load()
    },
    { immediate: true },
)

const taken = computed(() => new Set(props.day.entries.filter((one) => one.kind === 'taken').map((one) => one.said.gift ?? '')))
/** Each kind of treat once: how it took the second of the same is not asked. */
const open = computed(() => {
    const words = new Set<string>()

    return (given.value ?? []).filter((one) => {
        if (taken.value.has(one.gift) || words.has(one.words)) return false
        words.add(one.words)

        return true
    })
})
const foods = computed(() => (props.day.given?.foods ?? []).map(props.nameOf).join(', '))

async function write(kind: 'sign' | 'well' | 'taken' | 'note', said: DiarySaid, photo: string | null = null): Promise<boolean> {
    problem.value = null
    busy.value = true
    try {
        const id = await diary.write(props.dog.id, props.day.on, kind, said, photo)
        const step = kitchen.choices?.signs.find((one) => one.kind === said.sign)?.steps.find((one) => one.step === said.step)
        tell(
            step?.urgent === true ? `${props.dog.name}: ${step.name}. Ring your vet today.` : `Written down of ${props.dog.name}.`,
            'Undo',
            () => void back(id),
        )

        return true
    } catch (error) {
        problem.value = wordsOf(error)

        return false
    } finally {
        busy.value = false
    }
}
async function back(id: string): Promise<void> {
    try {
        await diary.takeBack(id)
    } catch (error) {
        problem.value = wordsOf(error)
    }
}
const took = (gift: string, how: HowChoice['id']): Promise<boolean> => write('taken', { how, gift })
async function keepNote(): Promise<void> {
    if (note.value.trim() !== '' && (await write('note', { text: note.value.trim() }))) note.value = ''
}
async function picture(event: Event): Promise<void> {
    const field = event.target as HTMLInputElement
    const file = field.files?.[0]
    if (file === undefined) return
    problem.value = null
    try {
        const photo = await keepPhotograph(outbox, file, props.dog.name)
        await write('note', { text: note.value.trim() === '' ? 'a photograph' : note.value.trim() }, photo)
        note.value = ''
    } catch (error) {
        problem.value = error instanceof Error ? error.message : wordsOf(error)
    }
    field.value = ''
}
</script>

<template>
    <aside class="day-panel" :aria-label="`${dog.name}, ${dayInWords(day.on)}`">
        <header class="day-panel__head">
            <v-btn icon size="small" variant="text" :disabled="day.on <= first" aria-label="The day before" @click="emit('go', dayAfter(day.on, -1))"
                ><span aria-hidden="true">‹</span></v-btn
            >
            <h2>{{ dayInWords(day.on) }}</h2>
            <v-btn icon size="small" variant="text" :disabled="day.on >= last" aria-label="The day after" @click="emit('go', dayAfter(day.on, 1))"
                ><span aria-hidden="true">›</span></v-btn
            >
        </header>
        <div class="day-panel__dish">
            <BudgetDish :budget="day.given?.budgetKcal ?? null" :given="day.given?.kcal ?? 0" />
            <p v-if="day.given === null">Nothing was given.</p>
            <p v-else>
                <b>{{ figure(day.given.kcal) }} kcal</b
                ><template v-if="day.given.budgetKcal !== null"> of {{ figure(day.given.budgetKcal) }}</template
                ><template v-if="day.given.over">, over</template>
            </p>
        </div>
        <ul v-if="(given ?? []).length > 0" class="day-panel__list" aria-label="Given">
            <li v-for="one in given" :key="one.id">
                <small>{{ hourOf(one.at, kitchen.kitchen?.timezone) }}, {{ one.by }}</small>
                {{ one.pieces === null ? '' : `${pieces(one.pieces)} ` }}{{ one.words }}
            </li>
        </ul>
        <p v-if="foods !== ''" class="hint">In it: {{ foods }}.</p>
        <ul v-if="day.entries.length > 0" class="day-panel__list" aria-label="Seen">
            <li v-for="one in day.entries" :key="one.id" class="day-panel__seen">
                <span
                    ><small>{{ one.by }}</small> {{ entryInWords(one, kitchen.choices?.signs ?? [], kitchen.choices?.hows ?? []) }}</span
                >
                <img v-if="one.photo !== null" :src="addressOf(outbox, one.photo)" :alt="`A photograph of ${dog.name}, ${dayInWords(day.on)}`" />
                <v-btn
                    size="small"
                    variant="text"
                    :aria-label="`Take back: ${entryInWords(one, kitchen.choices?.signs ?? [], kitchen.choices?.hows ?? [])}`"
                    @click="back(one.id)"
                    >Take back</v-btn
                >
            </li>
        </ul>
        <h3>What was seen</h3>
        <SignPicker :dog="dog.name" :day="dayInWords(day.on)" :busy="busy" @seen="(kind, said) => void write(kind, said)" />
        <HowTaken v-for="one in open" :key="one.id" :what="one.words" :busy="busy" @took="(how) => void took(one.gift, how)" />
        <FoldPart title="Something else it was offered"><OfferedElse :busy="busy" :keep="(said) => write('taken', said)" /></FoldPart>
        <form class="day-panel__note" @submit.prevent="keepNote">
            <v-text-field v-model="note" label="A note" maxlength="1000" autocomplete="off" />
            <v-btn type="submit" variant="tonal" :disabled="note.trim() === '' || busy">Write it down</v-btn>
            <label class="day-panel__picture"
                >Add a photograph<input type="file" accept="image/jpeg,image/png,image/webp" class="unseen" @change="picture"
            /></label>
        </form>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
    </aside>
</template>
