<script setup lang="ts">
import { onScopeDispose, ref } from 'vue'
import NumberField from '../ui/NumberField.vue'
import { useScale } from './useDevices'

/** What lies on the scale, for the line that waits for it. */
defineProps<{ of: string }>()
const emit = defineEmits<{ take: [grams: number]; close: [] }>()
const scale = useScale()
const reading = ref<{ grams: number; isSettled: boolean; isOver: boolean } | null>(null)
const isSilent = ref(false)
let heard = Date.now()
const stop = scale.follow((one) => {
    if (one !== null) heard = Date.now()
    reading.value = one ?? reading.value
    isSilent.value = one === null && Date.now() - heard > 1_000
})
onScopeDispose(stop)
const isSane = (grams: number): boolean => Number.isFinite(grams) && grams >= 0
</script>

<template>
    <section class="weigh" aria-label="The scale">
        <p class="weigh__name">
            {{ scale.name }}<template v-if="scale.isStandIn">: no scale is connected; this one ships with Mild Bowl, to be tried</template>
        </p>
        <p class="weigh__grams" role="status" :class="{ 'weigh__grams--settled': reading?.isSettled }">
            <template v-if="isSilent">The scale says nothing. Is it on? Type what it shows.</template>
            <template v-else-if="reading?.isOver">Too much for it: over 5 kg. Weigh in two goes.</template>
            <template v-else
                ><strong>{{ (reading?.grams ?? 0).toFixed(reading !== null && Math.abs(reading.grams) < 10 ? 1 : 0) }}</strong> g
                <small>{{ reading?.isSettled ? 'steady' : 'settling' }}</small></template
            >
        </p>
        <p class="weigh__acts">
            <v-btn variant="outlined" :height="64" @click="scale.tare()">Tare</v-btn>
            <v-btn
                color="primary"
                variant="flat"
                :height="64"
                :disabled="isSilent || reading === null || !reading.isSettled || reading.isOver || !isSane(reading.grams)"
                @click="reading !== null && emit('take', reading.grams)"
                >Take it</v-btn
            >
            <v-btn :height="64" @click="emit('close')">Not now</v-btn>
        </p>
        <NumberField
            v-if="scale.isStandIn"
            label="Lay on it, to try"
            unit="g"
            :value="null"
            :least="0"
            :most="20000"
            @meant="(value) => value !== null && scale.lay?.(value)"
        />
    </section>
</template>
