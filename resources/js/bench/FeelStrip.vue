<script setup lang="ts">
import { computed, ref } from 'vue'
import { api } from '../api/client'
import type { DoughAnswer, FormulateAnswer } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import FoldPart from '../ui/FoldPart.vue'
import { useAsked } from '../ui/useAsked'
import BalanceSlider from './BalanceSlider.vue'
import { useQuestion } from './useQuestion'

/** From crumbs to batter, or from loose to firm where meat is the body: where this dough stands, and what a hand would do about it. */
const props = defineProps<{ batch: FormulateAnswer['batch'] }>()

const kitchen = useKitchen()
const { question } = useQuestion()
const opened = ref(false)
const felt = ref('')
const wanted = ref('')
const {
    answer: advice,
    problem,
    stale,
} = useAsked<DoughAnswer>({
    of: [opened, felt, wanted, () => props.batch],
    ask: (signal) => {
        const asked = question()

        return asked === null || !opened.value
            ? null
            : api.dough(
                  { ...asked, ...(felt.value === '' ? {} : { feels: felt.value }), ...(wanted.value === '' ? {} : { wants: wanted.value }) },
                  signal,
              )
    },
})

/** Where the strip of drawn classes begins and ends: the first and the last have no bound of their own. */
const [DRAWN_FROM, DRAWN_TO] = [0.4, 2.6]
const ofMeat = computed(() => kitchen.choices?.feelsOfMeat ?? [])
const isMeat = computed(() => ofMeat.value.some((one) => one.feel === props.batch.feel))
const feels = computed(() => (isMeat.value ? ofMeat.value : (kitchen.choices?.feels ?? [])))
const stops = computed(() => feels.value.map((one) => ({ upTo: Math.min(one.below, DRAWN_TO), word: one.word })))
const width = computed(() => 600 / Math.max(1, stops.value.length))

/** Each class has the same width on the strip; the needle stands where the wetness falls inside its class. */
const place = computed(() => {
    const wetness = props.batch.wetness
    if (isMeat.value) {
        const index = feels.value.findIndex((one) => one.feel === props.batch.feel)
        return { index, at: (index + 0.5) * width.value }
    }
    if (wetness === null) return null
    let from = DRAWN_FROM
    for (const [index, stop] of stops.value.entries()) {
        if (wetness < stop.upTo || index === stops.value.length - 1) {
            const inside = Math.min(1, Math.max(0, (wetness - from) / (stop.upTo - from)))
            return { index, at: (index + inside) * width.value }
        }
        from = stop.upTo
    }

    return null
})
</script>

<template>
    <figure class="feel">
        <figcaption>
            <strong>{{ batch.feel ?? 'No flour to judge a dough by' }}</strong><span v-if="batch.explain?.sign"> — {{ batch.explain.sign }}</span>
        </figcaption>
        <svg v-if="place !== null" viewBox="0 0 600 44" class="feel__strip" aria-hidden="true">
            <g v-for="(stop, index) in stops" :key="stop.word">
                <rect :x="index * width + 1" y="14" :width="width - 2" height="10" rx="5" :class="{ now: place.index === index }" />
                <text :x="(index + 0.5) * width" y="40" text-anchor="middle" :class="{ now: place.index === index }">{{ stop.word }}</text>
            </g>
            <path :d="`M${place.at} 14 l-7 -13 h14 z`" class="needle" />
        </svg>
        <FoldPart v-model:open="opened" title="Right for what you make of it?">
            <div class="fields">
                <v-select
                    v-model="felt"
                    class="field--long"
                    label="Under your hand it"
                    :items="[{ id: '', name: 'is as worked out' }, ...feels.map((one) => ({ id: one.feel, name: one.feel }))]"
                />
                <v-select
                    v-model="wanted"
                    class="field--long"
                    label="You want"
                    :items="[{ id: '', name: 'what the cut wants' }, ...feels.map((one) => ({ id: one.feel, name: one.feel }))]"
                />
            </div>
            <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
            <p v-if="advice !== null && !stale" role="status">{{ advice.says }}</p>
            <BalanceSlider v-if="advice !== null && advice.balance !== null && !stale" :balance="advice.balance" />
        </FoldPart>
    </figure>
</template>
