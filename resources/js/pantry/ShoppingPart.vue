<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { api, kitchenTime } from '../api/client'
import type { ShoppingAnswer } from '../api/types.generated'
import { fieldsOf } from '../feeding/useOccasion'
import { useKitchen } from '../kitchen/useKitchen'
import { dayIn, figure, grams } from '../ui/format'
import NumberField from '../ui/NumberField.vue'
import PickMany from '../ui/PickMany.vue'
import SwitchRow from '../ui/SwitchRow.vue'
import { ownStore } from '../ui/store'
import { useAsked } from '../ui/useAsked'
import { useDoing } from '../ui/useDoing'

/** What to buy for what is to be baked, by aisle; ticked in the shop, also where there is no network; and what it comes to. */
type Item = ShoppingAnswer['aisles'][number]['items'][number]
const kitchen = useKitchen()
const { problem: failed, doing } = useDoing()
const store = ownStore()
const KEY = 'mildbowl.shopping'
/** A list is of a trip or two. */
const LASTS_MS = 14 * 86_400_000

const route = useRoute()
/** It was opened for an occasion: its treats, each as often as the occasion takes. */
const asked = computed(() => {
    const id = route.query['occasion']
    return typeof id === 'string' ? kitchen.all.occasions.of(id) : undefined
})

interface Kept {
    /** batches of a recipe, where an occasion says how many */
    many?: Record<string, number>
    recipes: string[]
    byDays: boolean
    times: number
    days: number
    /** the occasion it was made for */
    occasion?: string | undefined
    ticked: string[]
    list: ShoppingAnswer | null
    /** what the list is of, and when it was made; ticks may be younger */
    of?: string | undefined
    made?: number | undefined
    at: number
}
const kept = ((): Partial<Kept> => {
    try {
        const read = JSON.parse(store.getItem(KEY) ?? '{}') as Partial<Kept>
        return kitchenTime() - (read.at ?? 0) <= LASTS_MS ? read : {}
    } catch {
        return {}
    }
})()
const soon = computed(() => {
    const until = dayIn(kitchen.kitchen?.timezone ?? 'UTC', new Date(kitchenTime() + LASTS_MS))
    return kitchen.all.planned.items.filter((one) => one.batchId === null && one.on <= until).map((one) => one.recipeId)
})
const form = reactive({
    recipes: kept.recipes ?? [],
    byDays: kept.byDays ?? false,
    times: kept.times ?? 1,
    days: kept.days ?? 7,
    many: kept.many ?? {},
})
const ticked = ref(new Set(kept.ticked ?? []))
/** The list that was made last, of what, and when. */
const last = ref({ list: kept.list ?? null, of: kept.of, made: kept.made })
const occasion = ref(kept.occasion)
// what is planned stands there where nobody chose anything yet
watch(
    () => kitchen.all.planned.isLaid && kept.recipes === undefined && asked.value === undefined,
    (is) => {
        if (is && form.recipes.length === 0) form.recipes = [...new Set(soon.value)]
    },
    { immediate: true },
)
watch(
    asked,
    async (one, before) => {
        if (one === undefined || one.id === before?.id) return
        await doing(async () => {
            const { plan } = await api.planOccasion(one.id, fieldsOf(one))
            const needed = plan.treats.filter((treat) => treat.times > 0)
            form.byDays = false
            form.many = Object.fromEntries(needed.map((treat) => [treat.id, treat.times]))
            form.recipes = needed.map((treat) => treat.id)
            // opened anew in the shop it is the same list, and what lies in the basket stays ticked
            if (occasion.value !== one.id) ticked.value = new Set()
            occasion.value = one.id
            keep()
        })
    },
    { immediate: true },
)
/** Whoever changes how much it is says so of all. */
function batches(many: number): void {
    form.times = many
    form.many = {}
    keep()
}
const saves = ref(false)
const { answer, problem, stale } = useAsked<ShoppingAnswer>({
    of: [
        () => form.recipes.join(),
        () => JSON.stringify(form.many),
        saves,
        () => form.byDays,
        () => form.times,
        () => form.days,
        () => kitchen.version,
    ],
    ask: (signal) =>
        form.recipes.length === 0
            ? null
            : api.shopping(
                  {
                      dogs: form.byDays || saves.value ? kitchen.atTable.map((dog) => dog.id) : [],
                      savings: saves.value,
                      treats: form.recipes.map((id) => ({
                          name: kitchen.all.recipes.of(id)?.title ?? 'a treat',
                          recipe: { id },
                          ...(form.byDays ? { days: form.days } : { times: form.many[id] ?? form.times }),
                      })),
                  },
                  signal,
              ),
    immediate: true,
})
const wanted = computed(() => JSON.stringify([form.recipes, form.byDays, form.byDays ? form.days : form.times, form.many]))
watch([answer, stale], ([one, isStale]) => {
    if (one === null || isStale) return
    last.value = { list: one, of: wanted.value, made: kitchenTime() }
    keep()
})
/** In the shop nobody answers: the list that was made at home of the same stands. */
const list = computed(() => answer.value ?? (last.value.of === wanted.value ? last.value.list : null))
const isKept = computed(() => answer.value === null && problem.value !== null && list.value !== null)
const madeOn = computed(() =>
    new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short', timeZone: kitchen.kitchen?.timezone }).format(last.value.made),
)
const buys = computed(() => (list.value?.aisles ?? []).flatMap((aisle) => aisle.items))

function keep(): void {
    const all = { ...form, ...last.value, occasion: occasion.value, ticked: [...ticked.value], at: kitchenTime() } satisfies Kept
    store.setItem(KEY, JSON.stringify(all))
}
function tick(key: string): void {
    const now = new Set(ticked.value)
    if (!now.delete(key)) now.add(key)
    ticked.value = now
    keep()
}
function amount(item: Item): string {
    if (item.packs !== null && item.packGrams !== null) return `${item.packs} ${item.packs === 1 ? 'pack' : 'packs'} of ${grams(item.packGrams)}`

    if (item.pieces !== null && item.buyGrams !== null) return `${item.pieces} (${grams(item.buyGrams)})`

    return item.buyGrams === null ? 'some' : grams(item.buyGrams)
}
const bought = computed(() => buys.value.filter((item) => ticked.value.has(item.ingredient)))
async function putAway(): Promise<void> {
    const those = bought.value.map((item) => item.ingredient)
    const done = await doing(async () => {
        for (const ingredient of those) {
            const known = kitchen.all.stock.items.find((one) => one.ingredient === ingredient)
            await kitchen.all.stock.keep(known?.id ?? null, known === undefined ? { ingredient, state: 'at-hand' } : { state: 'at-hand' })
        }
    })
    if (done) {
        ticked.value = new Set()
        keep()
    }
}
const money = (value: number): string => value.toFixed(2)
const print = (): void => {
    window.print()
}
</script>

<template>
    <div class="shopping">
        <p v-if="kitchen.kitchen === null && kitchen.trouble !== null && list === null" class="hint" role="status">
            No list was made in this browser: it is made of what the kitchen knows, and stays here then.
        </p>
        <form
            v-if="kitchen.kitchen !== null || kitchen.trouble === null"
            class="inout__part shopping__choose"
            aria-label="What is baked"
            @submit.prevent
        >
            <PickMany
                v-model="form.recipes"
                label="What is to be baked"
                :items="kitchen.recipes.map((one) => ({ id: one.id, name: one.title }))"
                hint="what is planned for two weeks stands there already"
                @update:model-value="keep"
            />
            <p v-if="asked !== undefined && Object.keys(form.many).length > 0">
                For {{ asked.name }}:
                {{ form.recipes.map((id) => `${form.many[id] ?? 1} × ${kitchen.all.recipes.of(id)?.title ?? 'a treat'}`).join(', ') }}.
            </p>
            <div class="fields">
                <SwitchRow
                    v-model="form.byDays"
                    label="How much"
                    :items="[
                        { value: false, title: 'batches' },
                        { value: true, title: 'days for the dogs at the table' },
                    ]"
                    @update:model-value="keep"
                />
                <NumberField
                    v-if="form.byDays"
                    label="Days"
                    whole
                    :value="form.days"
                    :least="1"
                    :most="60"
                    @meant="((form.days = $event ?? 7), keep())"
                />
                <NumberField v-else label="Batches of each" :value="form.times" :above="0" :most="50" @meant="batches($event ?? 1)" />
            </div>
        </form>
        <p v-if="(failed ?? (list === null && kitchen.kitchen !== null ? problem : null)) !== null" class="problem" role="alert">
            {{ failed ?? problem }}
        </p>
        <p v-if="form.recipes.length === 0 && kitchen.kitchen !== null" class="hint">
            Choose what is to be baked: the list is made of it, less what stands at hand.
        </p>
        <template v-if="list !== null">
            <section class="inout__part shopping__list" :class="{ 'said-before': stale && answer !== null }" aria-labelledby="shopping-title">
                <h2 id="shopping-title">To buy</h2>
                <p v-if="isKept" class="hint" role="status">
                    The list of {{ madeOn }}. Ticks are kept here; what was baked, bought or changed at home since is not in it.
                </p>
                <p v-if="buys.length === 0 && list.unread.length === 0">Nothing: all of it is at hand.</p>
                <div v-for="aisle in list.aisles" :key="aisle.aisle">
                    <h3>{{ aisle.label }}</h3>
                    <ul class="shopping__items">
                        <li v-for="item in aisle.items" :key="item.ingredient">
                            <label class="shopping__item" :class="{ 'shopping__item--ticked': ticked.has(item.ingredient) }"
                                ><input type="checkbox" :checked="ticked.has(item.ingredient)" @change="tick(item.ingredient)" />
                                <span
                                    ><strong>{{ item.name }}</strong> {{ amount(item)
                                    }}<template v-if="item.haveGrams > 0">, {{ grams(item.haveGrams) }} lie open</template
                                    ><template v-if="item.price !== null">, {{ money(item.price) }}</template>
                                    <small>for {{ item.for.join(', ') }}</small></span
                                ></label
                            >
                        </li>
                    </ul>
                </div>
                <div v-if="list.unread.length > 0">
                    <h3>As it was written</h3>
                    <ul class="shopping__items">
                        <li v-for="one in list.unread" :key="`${one.for} ${one.text}`">
                            <label class="shopping__item" :class="{ 'shopping__item--ticked': ticked.has(one.text) }"
                                ><input type="checkbox" :checked="ticked.has(one.text)" @change="tick(one.text)" />
                                <span
                                    ><strong>{{ one.text }}</strong> <small>for {{ one.for }}; nobody knows this food</small></span
                                ></label
                            >
                        </li>
                    </ul>
                </div>
                <p v-if="list.price !== null">
                    Comes to <strong>{{ money(list.price) }}</strong><template v-if="list.withoutPrice.length > 0">
                        without {{ list.withoutPrice.join(', ') }}, whose price is not known</template
                    >.
                </p>
                <p class="inout__ways shopping__tools">
                    <v-btn variant="flat" color="primary" @click="(keep(), print())">Print</v-btn
                    ><v-btn v-if="bought.length > 0 && kitchen.all.stock.isLaid" variant="outlined" @click="putAway"
                        >Put {{ bought.length }} away: at hand now</v-btn
                    >
                </p>
            </section>
            <section v-if="list.atHand.length > 0" class="inout__part" aria-labelledby="shopping-there">
                <h2 id="shopping-there">There already</h2>
                <p>{{ list.atHand.map((item) => item.name).join(', ') }}.</p>
            </section>
            <section class="inout__part" aria-labelledby="shopping-costs">
                <h2 id="shopping-costs">What it costs</h2>
                <ul class="shopping__costs">
                    <li v-for="one in list.costs" :key="one.name">
                        <strong>{{ one.name }}</strong><template v-if="one.times !== 1"> × {{ figure(one.times) }}</template
                        >: <template v-if="one.known === null">no price of what is in it is known.</template
                        ><template v-else
                            >{{ money(one.known) }} a batch<template v-if="one.aPiece !== null">, {{ money(one.aPiece) }} a piece</template
                            ><template v-if="one.unknown.length > 0"> without {{ one.unknown.join(', ') }}, whose price is not known</template
                            >.</template
                        >
                        <template v-for="dog in one.dogs" :key="dog.dog"
                            ><template v-if="dog.aWeek !== null && dog.piecesPerDay > 0">{{
                                ` ${dog.dog} ${money(dog.aWeek)} a week.`
                            }}</template></template
                        >
                        <ul v-if="one.savings.length > 0" class="shopping__savings">
                            <li v-for="saving in one.savings" :key="saving.line">
                                <s>{{ saving.line }}</s> {{ saving.to }}: <strong>{{ money(saving.saves) }}</strong> less a batch
                            </li>
                        </ul>
                    </li>
                </ul>
                <p v-if="saves && answer !== null && !stale && list.costs.every((one) => one.savings.length === 0)" class="hint" role="status">
                    No swap whose price is known would make it cheaper for the same dogs.
                </p>
                <p class="inout__ways shopping__tools">
                    <v-btn v-if="!saves" variant="tonal" @click="saves = true">What would a swap save?</v-btn>
                </p>
                <p class="hint">
                    By what a pack costs (<router-link to="/cupboard/prices">Prices</router-link>), in your own money. A pack that is begun stays for
                    the next.
                </p>
            </section>
        </template>
    </div>
</template>
