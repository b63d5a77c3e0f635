<script setup lang="ts">
import { mdiMinus, mdiPlus } from '@mdi/js'
import { computed } from 'vue'
import type { PartyDog } from '../api/types.generated'
import IconButton from '../ui/IconButton.vue'
import PieceDots from '../ui/PieceDots.vue'
import { figure, grams, pieces } from '../ui/format'
import { ASKS, type OccasionOnPage } from './useOccasion'

/** Who gets what: a plate for each dog that comes, with what it borrows, or why it gets nothing. */
const props = defineProps<{ page: OccasionOnPage }>()
const ORDER = { none: 0, 'ask-first': 1, may: 2 }
const guests = computed(() => [...(props.page.plan.value?.guests ?? [])].sort((one, two) => ORDER[one.state] - ORDER[two.state]))
const served = computed(() => guests.value.filter((one) => one.state !== 'none').length)
const titleOf = (id: string | null): string => props.page.treats.value.find((one) => one.recipeId === id)?.title ?? ''
const saidOf = (dog: string | null | undefined): number | string | null =>
    props.page.occasion.value?.shares.find((one) => one.dog === dog)?.pieces ?? null
const FEWEST = 0.5
/** One more or one fewer; under one it is a half. */
const more = (many: number): number => (many < 1 ? 1 : Math.floor(many) + 1)
const fewer = (many: number): number => (many > 1 ? Math.ceil(many) - 1 : FEWEST)
/** What was said last counts, also while its answer is on the way: two quick taps are two. */
const now = (one: PartyDog): number => {
    const said = saidOf(one.dogId)
    return typeof said === 'number' ? said : one.pieces
}
const mayMore = (one: PartyDog): boolean => one.mostPieces + 1e-9 >= more(now(one))
const give = (one: PartyDog, many: number): void => {
    if (one.dogId != null) void props.page.share(one.dogId, { pieces: many })
}
/** All of them the same, each as much of it as it may have. */
function giveAll(step: (many: number) => number): void {
    const those = guests.value.filter((one) => one.state !== 'none' && one.dogId != null)
    const others = (props.page.occasion.value?.shares ?? []).filter((one) => !those.some((of) => of.dogId === one.dog))
    void props.page.keep({
        shares: [
            ...others,
            ...those.map((one) => {
                const said = props.page.occasion.value?.shares.find((of) => of.dog === one.dogId)
                return {
                    dog: one.dogId ?? '',
                    recipeId: said?.recipeId ?? null,
                    pieces: Math.min(step(now(one)), one.mostPieces),
                }
            }),
        ],
    })
}
/** What of the day is still there, where something else took of it. */
const leftOf = (one: PartyDog, budget: number): string =>
    one.leftKcal === null || one.leftKcal > budget - 0.5 ? figure(budget) : `${figure(one.leftKcal)} left of ${figure(budget)}`
/** So much of the treats of its day, and what to leave out of its bowl. */
const spends = (one: PartyDog): string =>
    [
        one.kcal === null
            ? ''
            : `${figure(one.kcal)} kcal${one.budgetKcal === null ? '' : ` of the ${leftOf(one, one.budgetKcal)} for treats in its day`}.`,
        (one.holdBackGrams ?? 0) >= 1 ? `Leave ${grams(one.holdBackGrams ?? 0)} out of its bowl.` : '',
    ]
        .filter((part) => part !== '')
        .join(' ')
/** A vet's word, or a label, could settle it. */
const isOpen = (one: PartyDog): boolean =>
    one.state === 'none' &&
    (props.page.plan.value?.treats ?? []).some((treat) =>
        treat.lacks.some((lack) => lack.dog === one.dog && lack.confirmable && lack.why === one.says),
    )
const stateOf = (one: PartyDog): string =>
    one.state === 'may' ? '' : one.state === 'ask-first' ? 'ask first' : isOpen(one) ? 'not settled' : 'nothing of it'
const isOwn = (one: PartyDog): boolean => one.dogId != null && props.page.occasion.value?.dogs.includes(one.dogId) === true
const why = (one: PartyDog): string => one.says.replace(`${one.dog} is not cleared: `, '')
const choices = computed(() => [
    { id: null, title: 'the first it may have' },
    ...props.page.treats.value.map((one) => ({ id: one.recipeId, title: one.title })),
])
function amount(dog: string, event: Event): void {
    const said = (event.target as HTMLInputElement).value.trim()
    const plain = Number(said.replace(',', '.'))
    void props.page.share(dog, { pieces: said === '' ? null : Number.isFinite(plain) && plain > 0 ? plain : said })
}
const cutOf = (one: PartyDog) => props.page.servedOf(one.treat ?? '')
const shares = (one: PartyDog): boolean => one.pieces > 0 && one.pieces % 1 > 0 && (cutOf(one)?.slices.length ?? 0) > 0
const slicesOf = (one: PartyDog): string =>
    (cutOf(one)?.slices ?? [])
        .filter((slice) => slice.parts.some((part) => part.dog === one.dog && part.share < 1 && slice.parts.length > 1))
        .flatMap((slice) => slice.parts.filter((part) => part.dog !== one.dog).map((part) => part.dog))
        .join(', ')
</script>

<template>
    <section class="occasion__part" aria-labelledby="occasion-who">
        <div class="occasion__title">
            <h2 id="occasion-who">Who gets what: {{ served }} of {{ guests.length }}</h2>
            <span v-if="served > 1" class="party-all" role="group" aria-label="All of them">
                All of them
                <IconButton label="Fewer for all" :icon="mdiMinus" @click="giveAll(fewer)" />
                <IconButton label="More for all" :icon="mdiPlus" @click="giveAll(more)" />
            </span>
        </div>
        <ul class="party-plates">
            <li v-for="one in guests" :key="one.dogId ?? one.dog" class="party-plate" :class="`party-plate--${isOpen(one) ? 'open' : one.state}`">
                <p class="party-plate__who">
                    <strong>{{ one.dog }}</strong>
                    <span class="party-plate__state">{{ stateOf(one) }}</span>
                </p>
                <template v-if="one.state !== 'none'">
                    <div class="party-plate__hand">
                        <IconButton
                            :label="`Fewer for ${one.dog}`"
                            :icon="mdiMinus"
                            :disabled="now(one) <= FEWEST"
                            @click="give(one, fewer(now(one)))"
                        />
                        <PieceDots :count="one.pieces" :ghost="one.state === 'ask-first'" :most="8" />
                        <IconButton :label="`More for ${one.dog}`" :icon="mdiPlus" :disabled="!mayMore(one)" @click="give(one, more(now(one)))" />
                    </div>
                    <p class="party-plate__says">
                        {{ pieces(one.pieces) }} of the {{ titleOf(one.treat)
                        }}<template v-if="one.without.length > 0"> without {{ one.without.join(' and ') }}</template
                        ><template v-if="shares(one) && slicesOf(one) !== ''">, one shared with {{ slicesOf(one) }}</template
                        >.
                        <strong v-if="(one.daysWithout ?? 0) > 0"
                            >Then {{ one.daysWithout === 1 ? 'a day' : `${one.daysWithout} days` }} without other treats.</strong
                        >
                    </p>
                    <p v-if="one.countedWith.length > 0" class="party-plate__small">
                        Counted with what {{ one.countedWith.join(' and ') }} take{{ one.countedWith.length === 1 ? 's' : '' }} from these days.
                    </p>
                    <p v-if="one.ask.length > 0" class="party-plate__ask">Nobody asked: {{ one.ask.map((what) => ASKS[what]).join(', ') }}.</p>
                    <p class="party-plate__small">{{ spends(one) }}</p>
                </template>
                <p v-else class="party-plate__says">
                    {{ why(one) }}
                    <router-link v-if="isOpen(one) && isOwn(one)" :to="`/dogs/${one.dogId}`">Its page keeps what the vet said.</router-link>
                </p>
                <details v-if="one.dogId != null && (one.state !== 'none' || page.treats.value.length > 1)" class="party-plate__more">
                    <summary>Another share for {{ one.dog }}</summary>
                    <v-text-field
                        label="Pieces"
                        :placeholder="'1, half a slice'"
                        density="compact"
                        autocomplete="off"
                        :model-value="saidOf(one.dogId) === null ? '' : String(saidOf(one.dogId))"
                        @change="amount(one.dogId, $event)"
                    />
                    <v-select
                        v-if="page.treats.value.length > 1"
                        label="Of"
                        :items="choices"
                        item-title="title"
                        item-value="id"
                        :model-value="page.occasion.value?.shares.find((of) => of.dog === one.dogId)?.recipeId ?? null"
                        @update:model-value="page.share(one.dogId, { recipeId: $event })"
                    />
                </details>
            </li>
        </ul>
    </section>
</template>
