<script setup lang="ts">
import { computed } from 'vue'
import type { OccasionBox } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import NumberField from '../ui/NumberField.vue'
import { writtenDate } from '../ui/dates'
import { pieces } from '../ui/format'
import { ASKS, type OccasionOnPage } from './useOccasion'

/** Boxes and tins: for whom, what, how many; how long it lasts the dog, and the labels. */
const props = defineProps<{ page: OccasionOnPage }>()
const kitchen = useKitchen()
const MOST = 60
const VESSELS = [
    { id: 'box', name: 'a box' },
    { id: 'tin', name: 'a tin' },
    { id: 'bag', name: 'a bag' },
]
const boxes = computed(() =>
    (props.page.occasion.value?.boxes ?? []).filter((one) => props.page.treats.value.some((treat) => treat.recipeId === one.recipeId)),
)
const lost = computed(() => (props.page.occasion.value?.boxes ?? []).length - boxes.value.length)
const order = computed(() => kitchen.kitchen?.datesAs ?? 'dmy')
/** The answer tells the boxes in their order; while it is on its way it is of others. */
const told = (n: number) => (props.page.stale.value ? undefined : props.page.plan.value?.boxes[n])
const dogs = computed(() => [{ id: null, name: 'dogs nobody here knows' }, ...props.page.coming.value.map((one) => ({ id: one.id, name: one.name }))])
const FIRST = 12
function add(): void {
    const first = props.page.treats.value[0]
    const kept = props.page.occasion.value?.boxes ?? []
    if (first === undefined) return
    const last = kept.at(-1)
    void props.page.keep({
        boxes: [
            ...kept,
            {
                id: crypto.randomUUID(),
                for: `box ${kept.length + 1}`,
                dog: null,
                recipeId: last?.recipeId ?? first.recipeId,
                pieces: last?.pieces ?? FIRST,
                in: last?.in ?? 'box',
            },
        ],
    })
}
function forAll(): void {
    const kept = props.page.occasion.value?.boxes ?? []
    const served = (props.page.plan.value?.guests ?? []).filter(
        (one) => one.state !== 'none' && one.treat !== null && one.dogId != null && !kept.some((box) => box.dog === one.dogId),
    )
    void props.page.keep({
        boxes: [
            ...kept,
            ...served.map((one) => ({
                id: crypto.randomUUID(),
                for: one.dog,
                dog: one.dogId ?? null,
                recipeId: one.treat ?? '',
                pieces: FIRST,
                in: 'box' as const,
            })),
        ].slice(0, MOST),
    })
}
const change = (one: OccasionBox, said: Partial<OccasionBox>): void => {
    void props.page.box(one.id, said)
}
const printable = computed(() => boxes.value.some((_one, n) => told(n)?.stops === null))
const isForDogs = computed(() => props.page.coming.value.length > 0)
</script>

<template>
    <section class="occasion__part" aria-labelledby="occasion-boxes">
        <h2 id="occasion-boxes">Boxes and tins</h2>
        <p v-if="boxes.length === 0" class="hint">
            A box to take home, a tin for each boat: each gets a label with what is in it, for whom, and until when.
        </p>
        <p v-if="lost > 0" class="hint">
            {{ lost === 1 ? 'One box holds' : `${lost} boxes hold` }} a treat that is not served any more, and {{ lost === 1 ? 'is' : 'are' }} left
            out.
        </p>
        <ul class="party-boxes">
            <li v-for="(one, n) in boxes" :key="one.id" class="party-box" :class="{ 'party-box--stops': told(n)?.stops != null }">
                <svg class="party-box__vessel" viewBox="0 0 48 40" width="48" height="40" aria-hidden="true">
                    <path v-if="one.in === 'bag'" d="M14 4h20l-3 6 7 26H10l7-26z" />
                    <path v-else-if="one.in === 'tin'" d="M4 10c0-8 40-8 40 0v22c0 8-40 8-40 0zM4 12c0 8 40 8 40 0" />
                    <path v-else d="M3 12h42v25H3zM3 12l4-8h34l4 8M24 4v33" />
                </svg>
                <v-text-field
                    class="field--long"
                    label="For"
                    density="compact"
                    :model-value="one.for"
                    maxlength="80"
                    autocomplete="off"
                    @change="change(one, { for: ($event.target as HTMLInputElement).value })"
                />
                <v-select
                    v-if="isForDogs"
                    label="Eaten by"
                    density="compact"
                    :items="dogs"
                    item-title="name"
                    item-value="id"
                    :model-value="page.coming.value.some((dog) => dog.id === one.dog) ? one.dog : null"
                    @update:model-value="change(one, { dog: $event })"
                />
                <v-select
                    v-if="page.treats.value.length > 1"
                    label="Treat"
                    density="compact"
                    :items="page.treats.value"
                    item-title="title"
                    item-value="recipeId"
                    :model-value="one.recipeId"
                    @update:model-value="change(one, { recipeId: $event })"
                />
                <NumberField
                    label="Pieces in it"
                    :value="one.pieces"
                    :above="0"
                    :most="10000"
                    @meant="$event !== null && change(one, { pieces: $event })"
                />
                <v-select
                    label="In"
                    density="compact"
                    class="field--short"
                    :items="VESSELS"
                    item-title="name"
                    item-value="id"
                    :model-value="one.in"
                    @update:model-value="change(one, { in: $event })"
                />
                <v-btn variant="text" :aria-label="`No ${one.in} for ${one.for}`" @click="page.box(one.id, null)">Not this</v-btn>
                <p v-if="told(n) !== undefined" class="party-box__says">
                    <strong v-if="told(n)!.stops !== null">Not to be filled: {{ told(n)!.stops }}</strong>
                    <template v-else>
                        <strong v-if="told(n)!.ask.length > 0">{{
                            `Ask its people first: ${told(n)!
                                .ask.map((what) => ASKS[what])
                                .join(', ')}. `
                        }}</strong>
                        <template v-if="told(n)!.piecesPerDay !== null && told(n)!.days !== null"
                            >{{ pieces(told(n)!.piecesPerDay ?? 0) }} a day: lasts {{ told(n)!.days === 1 ? 'a day' : `${told(n)!.days} days` }} from
                            {{ writtenDate(told(n)!.from, order) }}.</template
                        >
                        <template v-if="told(n)!.keepsUntil !== null"> Good until {{ writtenDate(told(n)!.keepsUntil, order) }}.</template>
                        <strong v-if="told(n)!.says !== null">{{ ` ${told(n)!.says}` }}</strong>
                    </template>
                </p>
            </li>
        </ul>
        <p class="occasion__acts">
            <v-btn v-if="boxes.length < MOST" variant="tonal" @click="add">One more</v-btn>
            <v-btn v-if="isForDogs && boxes.length < MOST" variant="text" @click="forAll">A box for every dog that gets some</v-btn>
            <v-btn v-if="printable" variant="text" :to="`/labels/print?what=gift&occasion=${page.occasion.value?.id ?? ''}`">Their labels</v-btn>
        </p>
    </section>
</template>
