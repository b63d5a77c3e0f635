<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Heat, PortionOfBatch } from '../api/types.generated'
import { useSheet } from '../bench/useSheet'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import HeatField from '../ui/HeatField.vue'
import SwitchRow from '../ui/SwitchRow.vue'
import { useUnits } from '../ui/useUnits'

/** How long and how hot, as a starting point, with when to look first and how done looks. */
const props = defineProps<{ heat: Heat; portions: PortionOfBatch[]; problem: string | null }>()
const kitchen = useKitchen()
const { sheet } = useSheet()
const units = useUnits()
const own = ref<string | null>(null)

function span(low: number, high: number): string {
    const said = (minutes: number): string => (minutes < 120 ? `${minutes}` : `${Math.round(minutes / 15) / 4}`)
    const unit = high < 120 ? 'min' : 'h'
    const from = high >= 120 && low < 120 ? `${Math.round(low / 15) / 4}` : said(low)

    return low === high ? `${said(low)} ${unit}` : `${from}–${said(high)} ${unit}`
}

/** Which portion leaves the oven when: what is soonest done first. */
const order = computed(() =>
    props.portions
        .filter((one) => one.heat.stages[0]?.celsius !== null && one.share > 0.001)
        .map((one) => ({ name: one.name ?? 'the rest', stage: one.heat.stages[0] }))
        .sort((one, two) => (one.stage?.minutesHigh ?? 0) - (two.stage?.minutesHigh ?? 0))
        .map(({ name, stage }) => ({ name, time: span(stage?.minutesLow ?? 0, stage?.minutesHigh ?? 0) })),
)

const temperature = computed<'C' | 'F' | 'gas'>({
    get: () => kitchen.kitchen?.temperature ?? 'C',
    set: (as) => {
        void change({ temperature: as })
    },
})
const fan = computed({
    get: () => kitchen.kitchen?.ovenFan === true,
    set: (is) => {
        void change({ ovenFan: is })
    },
})

async function change(fields: { temperature: 'C' | 'F' | 'gas' } | { ovenFan: boolean }): Promise<void> {
    try {
        await kitchen.change(fields)
        own.value = null
    } catch (error) {
        own.value = wordsOf(error)
    }
}
</script>

<template>
    <section class="studio__part" aria-labelledby="heat-title">
        <h2 id="heat-title">Time and heat</h2>
        <div class="fields">
            <SwitchRow
                v-model="temperature"
                label="Temperatures in"
                :items="[
                    { value: 'C', title: '°C' },
                    { value: 'F', title: '°F' },
                    { value: 'gas', title: 'gas' },
                ]"
            />
            <SwitchRow
                v-model="fan"
                label="The oven"
                :items="[
                    { value: false, title: 'still oven' },
                    { value: true, title: 'fan' },
                ]"
            />
            <HeatField label="set to" :value="sheet.ovenC" placeholder="as below" @meant="sheet.ovenC = $event" />
        </div>
        <p v-if="(own ?? problem) !== null" class="problem" role="alert">{{ own ?? problem }}</p>
        <p v-if="heat.coreStep !== null" class="heat__core"><strong>First:</strong> {{ heat.coreStep }}</p>
        <p v-else-if="heat.cores.length > 0">
            At the core:
            <template v-for="(core, n) in heat.cores" :key="core.what"
                >{{ n > 0 ? '; ' : '' }}{{ core.foods.join(', ') }} {{ units.heat(core) }}</template
            >.
        </p>
        <ol class="heat">
            <li v-for="stage in heat.stages" :key="stage.does">
                <strong>{{ stage.does }}</strong>
                <span v-if="stage.celsius !== null" class="heat__dial"
                    >{{ units.heat({ celsius: stage.celsius, fahrenheit: stage.fahrenheit ?? 0, gasMark: heat.fan ? null : stage.gasMark })
                    }}<template v-if="heat.fan"> fan</template
                    ><template v-else-if="stage.gasMark !== null">{{
                        temperature === 'gas' ? `, ${stage.celsius} °C` : `, gas ${stage.gasMark}`
                    }}</template></span
                >
                <span class="heat__time">{{ span(stage.minutesLow, stage.minutesHigh) }}</span>
                <span class="hint"
                    >First look at {{ span(stage.firstLookMinutes, stage.firstLookMinutes) }}.<template v-if="stage.turn !== null">{{
                        ` ${stage.turn.charAt(0).toUpperCase()}${stage.turn.slice(1)}.`
                    }}</template>
                    Done: {{ stage.sign }}.</span
                >
            </li>
        </ol>
        <p v-if="order.length > 1">
            Out of the oven in this order:
            <template v-for="(one, n) in order" :key="one.name"
                >{{ n > 0 ? ', then ' : '' }}<strong>{{ one.name }}</strong> after {{ one.time }}</template
            >.
        </p>
        <p class="hint">A starting point. Your oven and your log correct it.</p>
    </section>
</template>
