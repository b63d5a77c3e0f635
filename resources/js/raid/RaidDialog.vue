<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { api } from '../api/client'
import type { AskedRaid } from '../api/asked'
import type { Dog, Gift, RaidAnswer } from '../api/types.generated'
import { useSheet } from '../bench/useSheet'
import { kitchenTime } from '../api/client'
import { useOutbox } from '../kitchen/useOutbox'
import { usePerson } from '../making/usePerson'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import NumberField from '../ui/NumberField.vue'
import { figure, grams, pieces } from '../ui/format'
import { refusedIn } from '../ui/refused'
import SwitchRow from '../ui/SwitchRow.vue'
import { useUnits } from '../ui/useUnits'
import { goOn } from '../ui/goOn'
import GivenLately from '../watching/GivenLately.vue'
import { ownStore } from '../ui/store'
import { useDraft } from '../ui/useDraft'

/** A dog got at something. Two taps: this, then the dog. The words to act on stand there from the first moment. */
const open = defineModel<boolean>({ required: true })
const kitchen = useKitchen()
const outbox = useOutbox()
const person = usePerson()
const { sheet } = useSheet()
const units = useUnits()

/** What is told in a hurry is there again after a wrong key or a reload; what was told this morning is not of now. */
const LASTS_MS = 60 * 60 * 1000
const form = reactive({
    kind: 'food' as 'food' | 'bag' | 'recipe' | 'product',
    bagId: null as string | null,
    left: null as number | null,
    food: '',
    pieces: null as number | null,
    recipeId: null as string | null,
    productId: null as string | null,
    grams: null as number | null,
    when: '',
})
const { anew } = useDraft('raid', form, null, ownStore(), LASTS_MS)
/** Asked anew each time: which dog it was is never taken from the last. */
const dog = ref<Dog | null>(null)
const answer = ref<RaidAnswer | null>(null)
const problem = ref<string | null>(null)

const STANDING = 'Call a vet or an animal poison line at once if it may have been something poisonous. Do not wait for signs.'

const recipes = computed(() => [
    ...(sheet.value.text.trim() === '' || sheet.value.recipeId !== null
        ? []
        : [
              {
                  id: 'bench',
                  title: `${sheet.value.title || 'Untitled'} (on the bench)`,
                  asked: { title: sheet.value.title, text: sheet.value.text, cut: sheet.value.cut } as AskedRaid['recipe'],
              },
          ]),
    ...kitchen.recipes.map(({ id, title }) => ({ id, title, asked: { id } as AskedRaid['recipe'] })),
])

/** What stands on the shelves, that which was touched last in front: it is most likely that one. */
const bags = computed(() =>
    kitchen.all.bags.items
        .filter((one) => one.state === 'here' && one.number > 0)
        .toSorted(
            (one, two) =>
                Number(one.frozen) - Number(two.frozen) || Number(one.content === 'food') - Number(two.content === 'food') || two.number - one.number,
        )
        .map((one) => ({
            ...one,
            said: `${one.number} ${one.title}${one.content === 'food' ? (one.grams === null ? '' : `, ${grams(one.grams)}`) : `, ${pieces(one.pieces)} in it`}`,
        })),
)
const bag = computed(() => bags.value.find((one) => one.id === form.bagId) ?? null)
const isCounted = computed(() => bag.value !== null && bag.value.content !== 'food')
const gone = computed(() => (bag.value === null || form.left === null ? null : bag.value.pieces - form.left))
const missing = computed(() => {
    if (bag.value === null || !isCounted.value) return null
    if (gone.value === null) return `There were ${pieces(bag.value.pieces)} in it. Left empty: all of them.`

    return gone.value > 0 ? `${pieces(gone.value)} are missing of ${pieces(bag.value.pieces)}.` : 'None is missing then.'
})
/** It is in the ledger then, and out of the bag. */
const written = ref(false)
async function writeDown(): Promise<void> {
    if (dog.value === null || bag.value === null) return
    const much = gone.value ?? bag.value.pieces
    const gift: Gift = {
        id: crypto.randomUUID(),
        at: new Date(kitchenTime()).toISOString(),
        by: person.name.value,
        bag: bag.value.id,
        dogs: [{ dog: dog.value.id, pieces: much }],
        raid: true,
    }
    problem.value = null
    try {
        await outbox.put({
            method: 'POST',
            path: 'given',
            kind: 'given',
            id: gift.id,
            key: gift.id,
            name: `what ${dog.value.name} helped itself to`,
            body: gift as unknown as Record<string, unknown>,
            base: null,
            apart: true,
        })
        written.value = true
    } catch (error) {
        problem.value = wordsOf(error)
    }
}

let turn = 0

watch(
    open,
    (is) => {
        turn++
        if (!is) {
            // it was counted: the next one begins empty
            if (answer.value !== null) anew()
            return
        }
        dog.value = null
        answer.value = null
        written.value = false
        problem.value = null
        form.recipeId ??= sheet.value.recipeId ?? (sheet.value.text.trim() === '' ? null : 'bench')
    },
    { immediate: true },
)

async function count(): Promise<void> {
    if (dog.value === null) return
    problem.value = null
    const recipe = recipes.value.find((one) => one.id === form.recipeId)
    const product = kitchen.products.find((one) => one.id === form.productId)
    const what =
        form.kind === 'food'
            ? { food: form.food }
            : form.kind === 'bag'
              ? bag.value === null || (isCounted.value && gone.value !== null && gone.value <= 0)
                  ? null
                  : { bag: { id: bag.value.id, pieces: isCounted.value ? (gone.value ?? bag.value.pieces) : null } }
              : form.kind === 'product'
                ? product === undefined
                    ? null
                    : { product: { id: product.id, grams: form.grams ?? 0 } }
                : recipe === undefined
                  ? null
                  : { recipe: { ...recipe.asked, ...(form.pieces === null ? {} : { pieces: form.pieces }) } }
    if (form.kind === 'product' && product !== undefined && form.grams === null) {
        problem.value = 'Say about how many grams; the most it may have been.'
        return
    }
    if (what === null) {
        problem.value =
            form.kind === 'product'
                ? 'Choose the product.'
                : form.kind === 'bag'
                  ? bag.value === null
                      ? 'Choose the bag.'
                      : 'None is missing then: say how many are left in it now.'
                  : 'Choose the recipe.'
        return
    }
    const mine = ++turn
    try {
        const told = await api.raid({ dog: dog.value.id, ...what, ...(form.when.trim() === '' ? {} : { when: form.when }) })
        if (mine !== turn) return
        answer.value = told
        written.value = false
    } catch (error) {
        if (mine === turn) problem.value = wordsOf(error)
    }
}

/** What was counted, for whoever hears the page: the doses, and what they reach. */
const counted = computed(() =>
    answer.value === null
        ? ''
        : [
              answer.value.what,
              ...answer.value.never.map((one) => one.message),
              ...answer.value.doses.map((dose) => `${dose.name}: ${doseSaid(dose)}${dose.reached === null ? '' : `, ${dose.reached}`}`),
          ].join('. '),
)

function doseSaid(dose: RaidAnswer['doses'][number]): string {
    return dose.perKg === null ? `${figure(dose.amount.high)} in all` : `${figure(dose.perKg.best)} ${dose.unit}, at most ${figure(dose.perKg.high)}`
}

function anotherDog(): void {
    turn++
    dog.value = null
}

function print(): void {
    window.print()
}
</script>

<template>
    <v-dialog v-model="open" max-width="820" scrollable aria-labelledby="raid-title">
        <div class="paper raid">
            <h2 id="raid-title">{{ dog === null ? 'A dog got at something' : `${dog.name} got at something` }}</h2>
            <p class="raid__words" role="alert">{{ answer?.words ?? STANDING }}</p>
            <p class="unseen" role="status">{{ counted }}</p>
            <template v-if="dog === null">
                <p v-if="kitchen.kitchen === null">
                    Nothing can be counted: the kitchen does not answer. Do not wait for it. Say what it ate, how much, and when.
                </p>
                <p v-else-if="kitchen.dogs.length === 0">
                    No dog lives in this kitchen yet: it is counted by a dog's weight.
                    <router-link to="/dogs/new" @click="open = false">Add the dog</router-link>, and do not wait for it with the call.
                </p>
                <p v-else>Which dog?</p>
                <div class="raid__dogs">
                    <button v-for="one in kitchen.dogs" :key="one.id" type="button" class="raid__dog" @click="dog = one">
                        {{ one.name }}<small>{{ units.weight(one) }}</small>
                    </button>
                </div>
            </template>
            <form
                v-else-if="answer === null"
                class="raid__form"
                @keydown.enter.capture="goOn"
                @submit.prevent="refusedIn($event.currentTarget) || count()"
            >
                <SwitchRow
                    v-model="form.kind"
                    label="What it took"
                    :items="[
                        { value: 'food', title: 'a food' },
                        { value: 'bag', title: 'out of a bag' },
                        { value: 'recipe', title: 'treats of mine' },
                        { value: 'product', title: 'a product' },
                    ]"
                />
                <v-textarea
                    v-if="form.kind === 'food'"
                    v-model="form.food"
                    label="What and how much, one a line"
                    rows="2"
                    placeholder="100 g dark chocolate"
                />
                <template v-else-if="form.kind === 'bag'">
                    <v-autocomplete v-model="form.bagId" label="Which bag" placeholder="choose" :items="bags" item-title="said" item-value="id" />
                    <NumberField
                        v-if="bag !== null && isCounted"
                        label="How many are left in it now"
                        :short="false"
                        :value="form.left"
                        :least="0"
                        of="low"
                        live
                        @meant="form.left = $event"
                    />
                    <p v-if="missing !== null" class="raid__missing" role="status">{{ missing }}</p>
                </template>
                <template v-else-if="form.kind === 'recipe'">
                    <v-autocomplete
                        v-model="form.recipeId"
                        label="Which treats"
                        placeholder="choose"
                        :items="recipes"
                        item-title="title"
                        item-value="id"
                    />
                    <NumberField
                        label="How many pieces (empty: the whole batch)"
                        :short="false"
                        :value="form.pieces"
                        :above="0"
                        of="high"
                        live
                        @meant="form.pieces = $event"
                    />
                </template>
                <template v-else>
                    <v-autocomplete
                        v-model="form.productId"
                        label="Which product"
                        placeholder="choose"
                        :items="kitchen.products"
                        item-title="name"
                        item-value="id"
                    />
                    <NumberField
                        label="About how many grams"
                        :short="false"
                        :value="form.grams"
                        :above="0"
                        of="high"
                        live
                        @meant="form.grams = $event"
                    />
                </template>
                <v-text-field v-model="form.when" label="When" placeholder="half an hour ago" maxlength="60" autocomplete="off" />
                <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
                <p class="paper__ends">
                    <v-btn @click="anotherDog">Another dog</v-btn><v-btn type="submit" variant="flat" color="error">Count it</v-btn>
                </p>
            </form>
            <template v-else>
                <p class="raid__what">
                    {{ answer.what }}<template v-if="answer.when">, {{ answer.when }}</template
                    >.
                </p>
                <p v-if="answer.kcal !== null">
                    {{ figure(answer.kcal.best) }} kcal<template v-if="answer.shareOfDayPercent !== null"
                        >: {{ figure(answer.shareOfDayPercent) }} % of its day</template
                    >.
                </p>
                <ul class="raid__list">
                    <li v-for="one in answer.never" :key="one.message">
                        <strong>{{ one.message }}</strong><span v-if="one.figure">{{ ` ${one.figure}.` }}</span>
                    </li>
                </ul>
                <div v-for="dose in answer.doses" :key="dose.substance" class="raid__dose" :class="{ 'raid__dose--reached': dose.reached !== null }">
                    <p>
                        <strong>{{ dose.name }}: {{ doseSaid(dose) }}</strong
                        ><template v-if="dose.reached !== null"> — {{ dose.reached }}</template>
                    </p>
                    <p class="raid__marks">{{ dose.thresholds.map((one) => `${one.at} ${dose.unit}: ${one.sign}`).join('; ') }}. {{ dose.remark }}</p>
                </div>
                <p v-if="answer.unread.length > 0" class="problem">Not known to us: {{ answer.unread.join('; ') }}. Tell the vet as it is.</p>
                <section class="raid__sheet" aria-label="To read out to the vet">
                    <h3>To read out to the vet</h3>
                    <p v-for="line in answer.sheet" :key="line">{{ line }}</p>
                    <h4>Given in the last two days, as it was written down</h4>
                    <GivenLately v-if="dog !== null" :dog="dog.id" />
                </section>
                <p class="paper__ends">
                    <v-btn v-if="form.kind === 'bag' && bag?.content === 'treats' && !written" variant="flat" color="primary" @click="writeDown"
                        >Write it down: out of the bag</v-btn
                    ><span v-else-if="written" role="status">Written down, and out of the bag.</span><v-btn @click="answer = null">Change it</v-btn
                    ><v-btn variant="outlined" @click="print">Print</v-btn><v-btn @click="open = false">Close</v-btn>
                </p>
            </template>
        </div>
    </v-dialog>
</template>
