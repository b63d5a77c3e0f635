<script setup lang="ts">
import type { ShoppingAnswer } from '../api/types.generated'
import { figure, grams } from '../ui/format'
import NumberField from '../ui/NumberField.vue'
import PickMany from '../ui/PickMany.vue'
import SwitchRow from '../ui/SwitchRow.vue'
import { useShopping } from './useShopping'

/** What to buy for what is to be baked, by aisle; ticked in the shop, also where there is no network; and what it comes to. */
type Item = ShoppingAnswer['aisles'][number]['items'][number]
const {
    kitchen,
    form,
    asked,
    list,
    buys,
    bought,
    ticked,
    saves,
    answer,
    problem,
    failed,
    stale,
    isKept,
    madeOn,
    keep,
    choose,
    batches,
    tick,
    putAway,
} = useShopping()

function amount(item: Item): string {
    if (item.packs !== null && item.packGrams !== null) return `${item.packs} ${item.packs === 1 ? 'pack' : 'packs'} of ${grams(item.packGrams)}`

    if (item.pieces !== null && item.buyGrams !== null) return `${item.pieces} (${grams(item.buyGrams)})`

    return item.buyGrams === null ? 'some' : grams(item.buyGrams)
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
                @update:model-value="choose"
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
            <section class="inout__part shopping__list" :class="{ 'said-before': stale && !isKept }" aria-labelledby="shopping-title">
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
