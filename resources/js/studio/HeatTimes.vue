<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Heat } from '../api/types.generated'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'

/** How long and how hot, as a starting point, with when to look first and how done looks. */
defineProps<{ heat: Heat }>()
const kitchen = useKitchen()
const problem = ref<string | null>(null)
const isFahrenheit = computed(() => kitchen.kitchen?.temperature === 'F')

function span(low: number, high: number): string {
    const said = (minutes: number): string => minutes < 120 ? `${minutes}` : `${Math.round(minutes / 15) / 4}`
    const unit = high < 120 ? 'min' : 'h'
    const from = high >= 120 && low < 120 ? `${Math.round(low / 15) / 4}` : said(low)

    return low === high ? `${said(low)} ${unit}` : `${from}–${said(high)} ${unit}`
}

async function change(fields: { temperature: 'C' | 'F' } | { ovenFan: boolean }): Promise<void> {
    try {
        await kitchen.change(fields)
        problem.value = null
    } catch (error) {
        problem.value = wordsOf(error)
    }
}
</script>

<template>
    <section class="studio__part" aria-labelledby="heat-title">
        <h2 id="heat-title">Time and heat</h2>
        <div class="fields">
            <div class="switch" role="group" aria-label="Temperatures in"><button type="button" :aria-pressed="!isFahrenheit" @click="change({ temperature: 'C' })">°C</button><button type="button" :aria-pressed="isFahrenheit" @click="change({ temperature: 'F' })">°F</button></div>
            <div class="switch" role="group" aria-label="The oven"><button type="button" :aria-pressed="!kitchen.kitchen?.ovenFan" @click="change({ ovenFan: false })">still oven</button><button type="button" :aria-pressed="kitchen.kitchen?.ovenFan === true" @click="change({ ovenFan: true })">fan</button></div>
        </div>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <p v-if="heat.coreStep !== null" class="heat__core"><strong>First:</strong> {{ heat.coreStep }}</p>
        <p v-else-if="heat.cores.length > 0">At the core: <template v-for="(core, n) in heat.cores" :key="core.what">{{ n > 0 ? '; ' : '' }}{{ core.foods.join(', ') }} {{ isFahrenheit ? `${Math.round(core.celsius * 9 / 5 + 32)} °F` : `${core.celsius} °C` }}</template>.</p>
        <ol class="heat">
            <li v-for="stage in heat.stages" :key="stage.does">
                <strong>{{ stage.does }}</strong>
                <span v-if="stage.celsius !== null" class="heat__dial">{{ isFahrenheit ? `${stage.fahrenheit} °F` : `${stage.celsius} °C` }}<template v-if="heat.fan"> fan</template><template v-if="stage.gasMark !== null && !heat.fan">, gas {{ stage.gasMark }}</template></span>
                <span class="heat__time">{{ span(stage.minutesLow, stage.minutesHigh) }}</span>
                <span class="hint">First look at {{ span(stage.firstLookMinutes, stage.firstLookMinutes) }}. Done: {{ stage.sign }}.</span>
            </li>
        </ol>
        <p class="hint">A starting point. Your oven and your log correct it.</p>
    </section>
</template>
