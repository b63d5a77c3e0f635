<script setup lang="ts">
import { computed } from 'vue'
import type { Bag, Dog } from '../api/types.generated'
import { isMeantFor } from '../keeping/shelves'
import { figure, pieces } from '../ui/format'
import PieceDots from '../ui/PieceDots.vue'
import BudgetDish from './BudgetDish.vue'
import { reason } from './gifts'
import type { DayOnPage } from './useDay'

/** One dog at the door: its dish, what it may still have of what is in the hand, and one tap that gives it. */
const props = defineProps<{ day: DayOnPage; dog: Dog; bag: Bag | null; amount: number; asked: boolean }>()
const emit = defineEmits<{ give: []; borrow: [] }>()
const loans = computed(() => (props.day.day.value?.loans ?? []).filter((one) => one.dog === props.dog.id))
/** days after this one that give up some of their treats for it */
const lent = computed(() => loans.value.filter((one) => one.on === props.day.today.value).reduce((sum, one) => sum + one.days.length, 0))
const owed = computed(() =>
    loans.value
        .flatMap((one) => one.days)
        .filter((one) => one.on === props.day.today.value)
        .reduce((sum, one) => sum + one.kcal, 0),
)
const its = computed(() => props.day.dogOf(props.dog.id))
const may = computed(() => (props.bag === null ? null : props.day.mayOf(props.dog.id, props.bag.batch, props.bag.lot)))
/** in words, so that a door is drawn anew only where its own words are others */
const had = computed(() =>
    props.day.given.value
        .filter((one) => one.dog === props.dog.id && !one.undone)
        .map((one) => `${one.pieces === null ? '' : `${pieces(one.pieces)} `}${one.words}`)
        .join(', '),
)
const isOpen = computed(() => props.day.unreckoned.value.has(props.dog.id))
const why = computed(() => (may.value?.heldBy === 'not-cleared' ? reason(may.value.why) : null))
const poison = computed(() => props.day.poisonOf(props.dog.id))
const notFor = computed(() =>
    props.bag === null || isMeantFor(props.bag, props.dog.id)
        ? null
        : `This bag is for ${props.bag.dogs.map((id) => props.day.nameOf(id)).join(', ')}.`,
)
/** Said before it is given, not only after. */
const warns = computed(() => {
    if (props.bag === null) return null
    if (poison.value !== null) return 'Nothing more before a vet says so.'
    if (props.bag.batch === null) return 'Nobody knows what is in it.'
    if (why.value !== null) return `Not for ${props.dog.name}.`
    if (may.value === null || isOpen.value) return 'Not reckoned yet.'
    if (notFor.value !== null) return notFor.value
    if (its.value?.over === true) return 'Over already.'
    const left = may.value?.pieces

    return left == null || props.amount <= left + 1e-9 ? null : left > 0 ? `Only ${pieces(left)} more today.` : 'No more today.'
})
const button = computed(() => `Give ${props.dog.name} ${props.amount === 1 ? 'one' : props.amount === 0.5 ? 'a half' : pieces(props.amount)}`)
const said = computed(() => {
    const left = its.value?.leftKcal
    if (isOpen.value) return 'not reckoned yet'
    if (its.value === null) return 'not known yet'
    if (left == null) return 'no budget: its weight is not known, or a vet must say'

    return left < 0 ? `over by ${figure(-left)} kcal` : `${figure(left)} kcal left of ${figure(its.value.budgetKcal ?? 0)}`
})
</script>

<template>
    <li class="door" :class="{ 'door--over': its?.over === true, 'door--late': isOpen || day.isOld.value }">
        <router-link class="door__name" :to="`/dogs/${dog.id}`">{{ dog.name }}</router-link>
        <BudgetDish :budget="its?.budgetKcal ?? null" :given="its?.given.kcal.best ?? 0" />
        <p class="door__left">{{ said }}</p>
        <p class="door__had">{{ had === '' ? 'nothing yet' : `had ${had}` }}</p>
        <p v-if="lent > 0" class="door__warns">An occasion: {{ lent === 1 ? 'the day after gives' : `${lent} days after give` }} it up.</p>
        <p v-if="owed >= 1" class="door__warns">{{ figure(owed) }} kcal of today went to an occasion.</p>
        <p v-if="poison !== null" class="door__not">
            <b>{{ poison.message }}</b> {{ poison.emergency ? 'Call a vet or an animal poison line now.' : 'Ask a vet.' }}
        </p>
        <v-btn
            v-if="its?.over === true && !isOpen && poison === null"
            variant="text"
            :aria-label="`An occasion: ${dog.name} borrows from the days after`"
            @click="emit('borrow')"
            >An occasion: borrow</v-btn
        >
        <template v-if="bag !== null">
            <p v-if="why !== null" class="door__not"><b>Not:</b> {{ why }}</p>
            <p v-else-if="may !== null && poison === null" class="door__may">
                <PieceDots v-if="(may.pieces ?? 0) > 0" :count="may.pieces ?? 0" :most="6" ghost /><span
                    >{{ may.pieces === null ? 'no limit known' : (may.pieces ?? 0) > 0 ? `${pieces(may.pieces)} more` : 'no more today'
                    }}<template v-if="may.heldBy !== null && may.heldBy !== 'budget'">, held by {{ may.heldBy.replaceAll('-', ' ') }}</template></span
                >
            </p>
            <!-- plain, for there may be many: a library's button costs a millisecond each -->
            <button
                type="button"
                class="door__give"
                :class="asked ? 'door__give--asked' : warns === null ? '' : 'door__give--warns'"
                :aria-label="asked ? `${warns ?? ''} ${button} all the same` : button"
                @click="emit('give')"
            >
                {{ asked ? 'All the same' : amount === 1 ? 'Give one' : amount === 0.5 ? 'Give a half' : `Give ${pieces(amount)}` }}
            </button>
            <p v-if="warns !== null" class="door__warns" :role="asked ? 'alert' : undefined">{{ warns }}</p>
        </template>
    </li>
</template>
