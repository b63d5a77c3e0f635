<script setup lang="ts">
import { computed, onScopeDispose, ref } from 'vue'
import type { CoreTarget, WorkStep } from '../api/types.generated'
import NumberField from '../ui/NumberField.vue'
import { heatOf } from './log'
import type { BatchOnPage } from './useBatch'
import { useProbe } from './useDevices'

/** The core of the thickest piece: read off a probe, or typed; the step ends when it is reached, and not before. */
const props = defineProps<{ core: CoreTarget; step: WorkStep; page: BatchOnPage }>()
/** °C of an oven that warms a piece as a boil on the hob does */
const HOB_C = 150
const emit = defineEmits<{ reached: [] }>()

const probeFor = useProbe()
const said = ref<string | null>(null)
const shown = ref<number | null>(null)
const hint = ref<string | null>(null)
let stop: (() => void) | null = null
const isOn = ref(false)
const share = computed(() => Math.min(1, Math.max(0, (shown.value ?? 0) / props.core.celsius)))

function follow(): void {
    const { question, answer } = props.page.batch.value ?? {}
    const cut = question?.cut as Record<string, number> | undefined
    const steps = props.page.batch.value?.plan.steps ?? []
    const probe = probeFor({
        grams: answer?.piece.doughGrams.best ?? 20,
        thicknessMm: cut?.['thicknessMm'] ?? cut?.['diameterMm'] ?? 20,
        ovenCelsius: heatOf(props.step, steps)?.oven?.celsius ?? HOB_C,
    })
    isOn.value = true
    said.value = probe.isStandIn ? 'stand-in probe: none is connected; this one ships with Mild Bowl, to be tried' : probe.name
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
            <strong>{{ shown === null ? 'says nothing' : `${shown.toFixed(0)} °C` }}</strong>
            <small>{{ said }}</small>
            <span class="core__bar" aria-hidden="true"><span :style="{ width: `${100 * share}%` }" /></span>
        </p>
        <NumberField label="What the probe shows" unit="°C" :value="null" @meant="(value) => value !== null && take(value)" />
        <v-btn v-if="!isOn" variant="outlined" :height="64" @click="follow">Follow the probe</v-btn>
        <p v-if="hint !== null" class="problem" role="alert">{{ hint }}</p>
    </div>
</template>
