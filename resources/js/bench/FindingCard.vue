<script setup lang="ts">
import { computed, ref } from 'vue'
import FindingMark from '../ui/FindingMark.vue'
import { useVetsWords } from '../dogs/useVetsWords'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import DateField from '../ui/DateField.vue'
import { LEVELS, type Told } from '../ui/levels'
import { useSheet, type Confirmation, type Saying } from './useSheet'

/** A finding opened: why, the figure, what to do, where it is known from. */
const props = defineProps<{ told: Told; line: string | null; plain?: boolean; row?: string }>()
const kitchen = useKitchen()
const { sheet } = useSheet()
const { written } = useVetsWords()
/** the jar that was read, by its name: what is said of it holds wherever it is used */
const jar = ref<string | null>(null)
const until = ref<string | null>(null)
const problem = ref<string | null>(null)
const emit = defineEmits<{ confirm: [one: Saying]; takeBack: [one: Confirmation] }>()

function sayings(): Saying[] {
    const { level, message } = props.told.finding

    return level === 'ask-vet' || level === 'check-label'
        ? eachDog().map((one, n) => ({ ...one, level, words: message, dogName: props.told.dogs[n] ?? null }))
        : []
}

function eachDog(): Confirmation[] {
    const { finding, ids } = props.told

    return (ids.length === 0 ? [null] : ids).map((dog) => ({ code: finding.code, line: props.line, dog }))
}
const words = computed(() =>
    props.told.finding.confirmed === true
        ? 'Take that back'
        : props.told.finding.level === 'ask-vet'
          ? 'I have asked the vet, who agrees'
          : 'I read the label: nothing of the kind is in it',
)

const isLabel = computed(() => props.told.finding.level === 'check-label')
/** The jar that this line is bound to: what is said is said of it. */
const bound = computed(() => sheet.value.bound.find((one) => one.line === (props.row ?? props.line ?? '').trim())?.productId ?? null)
/** What was said of it before, and lasts: by whom, when, until when. */
const lasting = computed(() =>
    kitchen.words.filter(
        (word) =>
            word.code === props.told.finding.code &&
            (isLabel.value ? word.productId !== null && word.productId === bound.value : word.dogId !== null && props.told.ids.includes(word.dogId)),
    ),
)

/** The jar of a name; a new one is put on the shelf of jars, its list to be copied later. */
async function jarOf(name: string): Promise<string> {
    const known = kitchen.products.find((one) => one.name.toLowerCase() === name.toLowerCase())

    return known?.id ?? (await kitchen.all.products.keep(null, { name, listLater: true })).id
}

async function turn(): Promise<void> {
    problem.value = null
    if (props.told.finding.confirmed === true) {
        for (const one of eachDog()) emit('takeBack', one)
        return
    }
    try {
        const name = (jar.value ?? '').trim()
        const productId = bound.value ?? (isLabel.value && name !== '' ? await jarOf(name) : null)
        for (const one of sayings()) emit('confirm', { ...one, productId, ...(until.value === null ? {} : { holdsUntil: until.value }) })
    } catch (error) {
        problem.value = wordsOf(error)
    }
}
</script>

<template>
    <section class="card" :class="`card--${told.finding.level}`" :role="told.finding.level === 'never' ? 'alert' : undefined">
        <h3>
            <FindingMark :level="told.finding.level" /> {{ LEVELS[told.finding.level].word
            }}<template v-if="told.dogs.length > 0"> · {{ told.dogs.join(', ') }}</template>
        </h3>
        <p>{{ told.finding.message }}</p>
        <p v-if="told.finding.figure !== null" class="card__figure">{{ told.finding.figure }}</p>
        <p v-if="told.finding.advice !== ''">
            <strong>{{ told.finding.advice }}</strong>
        </p>
        <p v-if="told.finding.emergency" class="card__emergency">
            If a dog has eaten it: call a vet or an animal poison line at once. Do not wait for signs.
        </p>
        <p v-if="told.finding.source !== ''" class="card__source">Known from: {{ told.finding.source }}</p>
        <p v-for="word in lasting" :key="word.id" class="card__word">
            {{ isLabel ? 'Read' : 'The vet agreed'
            }}<template v-if="word.saidAt !== ''">: {{ word.saidBy }}, {{ written(word.saidAt.slice(0, 10)) }}</template
            ><template v-if="word.holdsUntil !== null">; holds until {{ written(word.holdsUntil) }}</template
            >.
        </p>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <!-- one button for saying it and taking it back: the focus stays on it -->
        <v-btn v-if="plain !== true && (told.finding.level === 'ask-vet' || told.finding.level === 'check-label')" variant="outlined" @click="turn">{{
            words
        }}</v-btn>
        <div v-if="plain !== true && told.finding.confirmed !== true && (told.finding.level === 'ask-vet' || isLabel)" class="card__says fields">
            <v-combobox
                v-if="isLabel && line !== null && bound === null"
                v-model="jar"
                class="field--long"
                label="Which jar"
                :items="kitchen.products.map((one) => one.name)"
                placeholder="its name, to be asked once only"
            />
            <DateField v-if="told.finding.level === 'ask-vet'" label="Holds until" :value="until" @meant="until = $event" />
        </div>
    </section>
</template>
