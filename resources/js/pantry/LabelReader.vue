<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { api } from '../api/client'
import type { LabelAnswer, LabelPhoto as ReadPhoto } from '../api/types.generated'
import { keepPhotograph } from '../kitchen/photographs'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { useOutbox } from '../kitchen/useOutbox'
import FindingMark from '../ui/FindingMark.vue'
import { LEVELS, told } from '../ui/levels'
import { tell } from '../ui/notices'
import { useAsked } from '../ui/useAsked'
import DoubtfulWords from './DoubtfulWords.vue'
import { mended, moved, type Doubt } from './doubts'
import LabelPhoto from './LabelPhoto.vue'
import ReadPicture from './ReadPicture.vue'

export interface LabelForm {
    id: string | null
    name: string
    number: string | null
    ingredients: string
    /** words of it that were read from a photograph and have still to be looked at */
    doubts: Doubt[]
    /** why the photograph is a poor one */
    poor: string | null
}

/** Reads the list printed on a tub, part by part, for every dog of the kitchen. */
const id = defineModel<string | null>('id', { required: true })
const number = defineModel<string | null>('number', { required: true })
const name = defineModel<string>('name', { required: true })
const ingredients = defineModel<string>('ingredients', { required: true })
const doubts = defineModel<Doubt[]>('doubts', { required: true })
const poor = defineModel<string | null>('poor', { required: true })
const emit = defineEmits<{ anew: [] }>()
const kitchen = useKitchen()
const outbox = useOutbox()
const photo = shallowRef<HTMLCanvasElement | null>(null)
const read = ref<ReadPhoto | null>(null)
const problem = ref<string | null>(null)
/** the picture of what is kept is on its way */
const busy = ref(false)

const {
    answer,
    problem: refusal,
    late,
} = useAsked<LabelAnswer>({
    of: [name, ingredients, () => kitchen.version],
    ask: (signal) => {
        if (ingredients.value.trim() === '' || kitchen.kitchen === null) return null

        return api.label({ name: name.value, ingredients: ingredients.value, dogs: kitchen.dogs.slice(0, MOST_DOGS).map((dog) => dog.id) }, signal)
    },
})

/** As many as one question takes. */
const MOST_DOGS = 50

const words = computed(() => {
    const worst = answer.value?.worst
    if (worst === undefined) return null
    // a poison that was read is told at once; that nothing is there only when every word was looked at
    if (doubts.value.length > 0 && worst !== 'never')
        return `Not checked yet: ${doubts.value.length === 1 ? 'one word is' : `${doubts.value.length} words are`} still to be looked at.`

    return worst === 'clear' ? 'Nothing found in this list.' : `${LEVELS[worst].word}: ${LEVELS[worst].meaning}.`
})

/** The list as the doubts know it: what is changed by hand moves them. */
let known = ingredients.value
watch(ingredients, (now) => {
    if (doubts.value.length > 0 && now !== known) doubts.value = moved(doubts.value, known, now)
    known = now
})

function took(answer: ReadPhoto, picture: HTMLCanvasElement): void {
    photo.value = picture
    read.value = answer
    known = answer.list
    ingredients.value = answer.list
    doubts.value = answer.doubts.map((one) => ({ span: [one.span[0] ?? 0, one.span[1] ?? 0], text: one.text, box: one.box }))
    poor.value = answer.poor
    if (answer.barcode !== null) {
        number.value = answer.barcode.number
        id.value = answer.barcode.product?.id ?? id.value
        name.value = answer.barcode.product?.name ?? answer.barcode.shelf?.name ?? name.value
    }
    if (name.value.trim() === '') name.value = answer.name.slice(0, 120)
}

function settle(doubt: Doubt, word: string): void {
    const others = doubts.value.filter((one) => one !== doubt)
    if (word === doubt.text) doubts.value = others
    else {
        const list = mended(ingredients.value, doubt.span, word)
        doubts.value = moved(others, ingredients.value, list)
        known = list
        ingredients.value = list
    }
}

function another(): void {
    photo.value = null
    read.value = null
    emit('anew')
}

async function keep(): Promise<void> {
    problem.value = null
    const sent = { id: id.value, name: name.value, number: number.value, ingredients: ingredients.value, poor: poor.value }
    const [picture, answered] = [photo.value, read.value]
    busy.value = true
    try {
        const photoId = picture === null ? undefined : await keepPhotograph(outbox, picture, `the label of ${sent.name}`)
        // before the answer comes: what is read or opened meanwhile is not to be wiped by it
        if (id.value === sent.id && name.value === sent.name && ingredients.value === sent.ingredients) another()
        busy.value = false
        const product = await kitchen.all.products.keep(sent.id, {
            name: sent.name,
            number: sent.number,
            ingredients: sent.ingredients,
            ...(photoId === undefined ? {} : { photoId }),
        })
        tell(
            kitchen.all.products.waits(product.id)
                ? 'It waits for the kitchen.'
                : sent.id === null || product.readings.length < 2
                  ? `“${product.name}” is kept with today's date.`
                  : `“${product.name}” is kept beside the older wording.`,
        )
    } catch (error) {
        problem.value = wordsOf(error)
        busy.value = false
        if (name.value !== '' || ingredients.value !== '' || photo.value !== null) return
        ;[id.value, name.value, number.value, ingredients.value, poor.value] = [sent.id, sent.name, sent.number, sent.ingredients, sent.poor]
        photo.value = picture
        read.value = answered
    }
}
</script>

<template>
    <section class="label-reader" aria-labelledby="reader-title">
        <h2 id="reader-title">Read a label</h2>
        <LabelPhoto @read="took" />
        <v-text-field v-model="name" label="Name of the product" maxlength="120" placeholder="as you will write it in a recipe" autocomplete="off" />
        <div class="label-reader__beside" :class="{ 'label-reader__beside--two': photo !== null }">
            <ReadPicture v-if="photo !== null" :picture="photo" :doubts="doubts" />
            <v-textarea
                v-model="ingredients"
                label="Its list of ingredients, as printed"
                :rows="photo === null ? 4 : 10"
                maxlength="5000"
                placeholder="Roasted peanuts (95%), …"
            />
        </div>
        <p v-if="read?.barcode" class="hint">
            Barcode {{ read.barcode.number }}:
            {{
                read.barcode.product !== null
                    ? `“${read.barcode.product.name}” of this kitchen; this becomes its newest wording.`
                    : read.barcode.shelf !== null
                      ? `“${read.barcode.shelf.name}” on the label shelf (a stand-in).`
                      : 'on no shelf yet; it is kept with the product.'
            }}
        </p>
        <DoubtfulWords :list="ingredients" :doubts="doubts" :picture="photo" :poor="poor" @settle="settle" @all="doubts = []" />
        <p v-for="one in read?.besides ?? []" :key="one.text" class="problem" role="alert">
            Beside the list is also printed “{{ one.text }}”. {{ one.message }} If it is in it, write it into the list.
        </p>
        <p v-if="(problem ?? refusal) !== null" class="problem" role="alert">{{ problem ?? refusal }}</p>
        <template v-if="answer !== null">
            <p
                class="verdict label-reader__verdict"
                :class="{
                    'verdict--poison': answer.worst === 'never' && !late,
                    'verdict--stop':
                        late ||
                        (answer.worst !== 'clear' && answer.worst !== 'never' && answer.worst !== 'caution') ||
                        (doubts.length > 0 && answer.worst !== 'never'),
                }"
                role="status"
            >
                <strong>{{ late ? 'Not checked yet.' : words }}</strong>
            </p>
            <ol class="parts" :class="{ 'said-before': late }">
                <li
                    v-for="(part, index) in answer.parts"
                    :key="index"
                    class="part"
                    :class="{ 'part--never': part.findings.some((one) => one.level === 'never') }"
                    :style="{ paddingInlineStart: `${0.6 + part.depth * 1.2}rem` }"
                >
                    <span class="part__text"
                        >{{ part.text }}<em v-if="part.trace"> trace</em>
                        <em v-if="part.percent !== null && !part.text.includes('%')">{{ part.percent }} %</em></span
                    >
                    <span v-for="one in told(part.findings)" :key="one.finding.code" class="part__finding"
                        ><span class="chip" :class="`chip--${one.finding.level}`"
                            ><FindingMark :level="one.finding.level" />{{ LEVELS[one.finding.level].word
                            }}<template v-if="one.dogs.length > 0">{{ ` ${one.dogs.join(', ')}` }}</template></span
                        >
                        {{ one.finding.message }}</span
                    >
                </li>
            </ol>
            <p class="paper__ends">
                <v-btn @click="another">Another</v-btn
                ><v-btn variant="flat" color="primary" :disabled="name.trim() === '' || doubts.length > 0 || busy" @click="keep">{{
                    id === null ? 'Keep as a product' : 'Keep this wording'
                }}</v-btn>
            </p>
        </template>
    </section>
</template>
