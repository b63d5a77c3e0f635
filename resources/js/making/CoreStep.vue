<script setup lang="ts">
import { computed, onScopeDispose, ref } from 'vue'
import type { CoreTarget, WorkStep } from '../api/types.generated'
import NumberField from '../ui/NumberField.vue'
import { StandInProbe } from './probe'
import type { BatchOnPage } from './useBatch'

/** The core of the thickest piece: read off a probe, or typed; the step ends when it is reached, and not before. */
const props = defineProps<{ core: CoreTarget; step: WorkStep; page: BatchOnPage }>()
const emit = defineEmits<{ reached: [] }>()

const shown = ref<number | null>(null)
const hint = ref<string | null>(null)
let stop: (() => void) | null = null
const isOn = ref(false)
const share = computed(() => Math.min(1, Math.max(0, (shown.value ?? 0) / props.core.celsius)))

function follow(): void {
    const { question, answer } = props.page.batch.value ?? {}
    const cut = question?.cut as Record<string, number> | undefined
    const probe = new StandInProbe({
        grams: answer?.piece.doughGrams.best ?? 20,
        thicknessMm: cut?.['thicknessMm'] ?? cut?.['diameterMm'] ?? 20,
        ovenCelsius: 175,
    })
    isOn.value = true
    stop = probe.follow((celsius) => {
        shown.value = celsius
        if (celsius !== null && celsius >= props.core.celsius) {
            stop?.()
            void take(celsius)
        }
    })
}
onScopeDispose(() => stop?.())

async function take(celsius: number): Promise<void> {
    hint.value = null
    if (!(await props.page.tell('core', { celsius, step: props.step.id, ...(props.step.lot === null ? {} : { lot: props.step.lot }) }))) return
    if (celsius >= props.core.celsius) emit('reached')
    else hint.value = `${celsius} °C is under ${props.core.celsius} °C: back into the heat for five minutes, and probe it again.`
}
</script>

<template>
    <div class="core" role="group" aria-label="Core temperature">
        <p v-if="isOn" class="core__shown" role="status">
            <strong>{{ shown?.toFixed(0) ?? '–' }} °C</strong>
            <small>stand-in probe: none is connected; this one ships with Mild Bowl, to be tried</small>
            <span class="core__bar" aria-hidden="true"><span :style="{ width: `${100 * share}%` }" /></span>
        </p>
        <NumberField label="What the probe shows" unit="°C" :value="null" @meant="(value) => value !== null && take(value)" />
        <v-btn v-if="!isOn" variant="outlined" :height="64" @click="follow">Follow the probe</v-btn>
        <p v-if="hint !== null" class="problem" role="alert">{{ hint }}</p>
    </div>
</template>
