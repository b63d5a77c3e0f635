<script setup lang="ts">
import { computed, onMounted, reactive, ref, watch } from 'vue'
import { api } from '../api/client'
import type { AskedTreatOfKitchen } from '../api/asked'
import type { GiveAwayAnswer, WeekAnswer } from '../api/types.generated'
import { useQuestion } from '../bench/useQuestion'
import { useSheet } from '../bench/useSheet'
import { useKitchen } from '../kitchen/useKitchen'
import { useToday } from '../kitchen/useToday'
import NumberField from '../ui/NumberField.vue'
import PickMany from '../ui/PickMany.vue'
import PieceDots from '../ui/PieceDots.vue'
import { figure, pieces } from '../ui/format'
import { useAsked } from '../ui/useAsked'
import TogglePill from '../ui/TogglePill.vue'
import DateField from '../ui/DateField.vue'
import { useUnits } from '../ui/useUnits'

/** One page for the fridge door: each dog, each treat, pieces a day, what to hold back, until when. */
const kitchen = useKitchen()
const { isPounds } = useUnits()
const { sheet } = useSheet()
const { question } = useQuestion()

const chosen = reactive<{ key: string; share: number | null }[]>([])
const from = ref(useToday().value)
const wantsAway = ref(false)
/** Of more treats than this some are found by typing. */
const MANY = 12

/** What can be on the chart: the sheet on the bench, and every kept recipe. */
const treats = computed(() => [
    ...(sheet.value.text.trim() === ''
        ? []
        : [{ key: 'sheet', title: `${sheet.value.title === '' ? 'Untitled sheet' : sheet.value.title} (on the bench)` }]),
    ...kitchen.recipes
        .filter((recipe) => recipe.begins.trim() !== '' && recipe.id !== sheet.value.recipeId)
        .map((recipe) => ({ key: recipe.id, title: recipe.title })),
])

function asTreat(key: string, share: number | null): AskedTreatOfKitchen | null {
    const given = { share: share ?? 1 }
    if (key !== 'sheet') {
        return { ...given, recipe: { id: key } }
    }
    const asked = question()
    if (asked === null) return null
    const { recipe, cut, bake, portions, confirmed, bound } = asked

    return { ...given, name: sheet.value.title === '' ? 'Untitled sheet' : sheet.value.title, recipe, cut, bake, portions, confirmed, bound }
}

const {
    answer,
    problem: refusal,
    late,
} = useAsked<WeekAnswer>({
    of: [() => chosen, from, question, () => kitchen.version],
    ask: (signal) => {
        const asked = chosen.map(({ key, share }) => asTreat(key, share)).filter((one) => one !== null)
        if (asked.length === 0 || kitchen.kitchen === null) return null

        return api.week({ dogs: kitchen.atTable.map((dog) => dog.id), from: from.value === '' ? null : from.value, treats: asked }, signal)
    },
    immediate: true,
})

const {
    answer: away,
    problem: awayRefusal,
    late: awayLate,
} = useAsked<GiveAwayAnswer>({
    of: [wantsAway, question, () => kitchen.version],
    ask: (signal) => {
        const asked = question()

        return asked === null || !wantsAway.value ? null : api.giveAway(asked, signal)
    },
    immediate: true,
})

function toggle(key: string): void {
    const at = chosen.findIndex((one) => one.key === key)
    if (at === -1) chosen.push({ key, share: 1 })
    else chosen.splice(at, 1)
}

const keys = computed({
    get: () => chosen.map((one) => one.key),
    set: (wanted: string[]) => {
        chosen.splice(0, chosen.length, ...wanted.map((key) => chosen.find((one) => one.key === key) ?? { key, share: 1 }))
    },
})

function begin(): void {
    const first = treats.value[0]
    if (chosen.length === 0 && first !== undefined) toggle(first.key)
}

onMounted(begin)
watch(treats, begin)

function day(iso: string): string {
    return new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long' }).format(new Date(`${iso}T12:00:00`))
}

function print(): void {
    window.print()
}
</script>

<template>
    <div class="place chart">
        <header class="place__head">
            <h1>For the fridge door</h1>
            <div class="report__tools">
                <v-btn variant="tonal" :disabled="sheet.text.trim() === ''" title="Of what lies on the bench" @click="wantsAway = true"
                    >For giving away</v-btn
                ><v-btn variant="flat" color="primary" @click="print">Print</v-btn>
            </div>
        </header>
        <section class="report__tools chart__choose" aria-label="What is on the chart">
            <PickMany
                v-if="treats.length > MANY"
                v-model="keys"
                label="What is in the jars"
                :items="treats.map((one) => ({ id: one.key, name: one.title }))"
            />
            <div v-else class="toggles">
                <TogglePill v-for="one in treats" :key="one.key" :on="chosen.some((it) => it.key === one.key)" @click="toggle(one.key)">{{
                    one.title
                }}</TogglePill>
            </div>
            <div class="fields">
                <NumberField
                    v-for="one in chosen"
                    v-show="chosen.length > 1"
                    :key="one.key"
                    :label="`parts of ${treats.find((it) => it.key === one.key)?.title ?? 'it'}`"
                    :short="false"
                    :value="one.share"
                    :above="0"
                    live
                    @meant="one.share = $event"
                />
                <DateField label="from" :value="from" @meant="from = $event ?? ''" />
            </div>
        </section>
        <p v-if="(refusal ?? awayRefusal) !== null" class="problem" role="alert">{{ refusal ?? awayRefusal }}</p>
        <p v-if="chosen.length === 0">Choose what is in the jar.</p>
        <p v-else-if="kitchen.atTable.length === 0">No dog is at the table. <router-link to="/bench">Seat one.</router-link></p>
        <template v-if="answer !== null && answer.dogs.length > 0">
            <p v-if="answer.from !== null" class="chart__from">
                From {{ day(answer.from)
                }}<template v-for="treat in answer.treats" :key="treat.treat"
                    ><br />{{ treat.treat }}: <template v-if="treat.daysItLasts === null">nobody has any</template
                    ><template v-else-if="treat.until === null">does not last a day</template
                    ><template v-else
                        >{{ treat.pieces }} pieces, until {{ day(treat.until) }} ({{ treat.daysItLasts }} day{{
                            treat.daysItLasts === 1 ? '' : 's'
                        }}
                        of them)<template v-if="treat.says !== null">{{ `. ${treat.says}` }}</template></template
                    ></template
                >
            </p>
            <table class="chart__table" :class="{ 'said-before': late }">
                <thead>
                    <tr>
                        <th scope="col">Each day</th>
                        <th v-for="treat in answer.treats" :key="treat.treat" scope="col">{{ treat.treat }}</th>
                        <th scope="col">hold back</th>
                    </tr>
                </thead>
                <tbody>
                    <tr v-for="dog in answer.dogs" :key="dog.dog">
                        <th scope="row">
                            {{ dog.dog }}<small v-if="dog.budgetKcal !== null">{{ figure(dog.kcal) }} of {{ figure(dog.budgetKcal) }} kcal</small
                            ><small v-for="care in dog.cares" :key="care" class="chart__care">{{ care }}</small>
                        </th>
                        <td v-for="treat in dog.treats" :key="treat.treat">
                            <template v-if="treat.piecesPerDay > 0"
                                ><strong>{{ pieces(treat.piecesPerDay) }}</strong> <PieceDots :count="treat.piecesPerDay" /><small
                                    v-if="treat.ramp.length > 0"
                                    >new to it:
                                    <template v-for="(one, n) in treat.ramp" :key="one.days"
                                        >{{ n > 0 ? '; ' : '' }}{{ one.days }} {{ pieces(one.pieces) }}</template
                                    ></small
                                ></template
                            >
                            <template v-else
                                ><strong>none</strong><small>{{ treat.why }}</small></template
                            >
                        </td>
                        <td>
                            {{
                                dog.holdBackGrams === null
                                    ? 'not known'
                                    : dog.holdBackGrams < 0.5
                                      ? 'nothing'
                                      : `${Math.round(dog.holdBackGrams)} g of its meals`
                            }}
                        </td>
                    </tr>
                </tbody>
            </table>
            <p class="hint">Other treats come off these. Fresh water beside every dry treat. {{ kitchen.choices?.standingWords }}</p>
        </template>
        <section v-if="away !== null" class="chart__away" aria-labelledby="away-title">
            <h2 id="away-title">{{ sheet.title === '' ? 'This treat' : sheet.title }}, for giving away</h2>
            <p v-if="away.stops !== null" class="problem">Not to be given away: {{ away.stops }}</p>
            <table v-else class="chart__table" :class="{ 'said-before': awayLate }">
                <thead>
                    <tr>
                        <th scope="col">a dog of</th>
                        <th scope="col">pieces a day, at most</th>
                        <th scope="col">lasts</th>
                        <th scope="col" />
                    </tr>
                </thead>
                <tbody>
                    <tr v-for="row in away.rows" :key="row.kg">
                        <th scope="row">{{ isPounds() ? `${row.lb} lb (${row.kg} kg)` : `${row.kg} kg (${row.lb} lb)` }}</th>
                        <td>{{ pieces(row.piecesPerDay ?? 0) }}</td>
                        <td>{{ row.daysItLasts === null ? '' : row.daysItLasts === 1 ? 'a day' : `${row.daysItLasts} days` }}</td>
                        <td>{{ row.breakFirst ? 'break it first' : '' }}</td>
                    </tr>
                </tbody>
            </table>
            <p class="hint">
                {{ away.assumes }} It keeps {{ away.keepsDays === 1 ? 'a day' : `${away.keepsDays} days` }} unfrozen: nothing is given after that.
            </p>
        </section>
    </div>
</template>
