<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import type { WorkStep } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import { unbroken } from '../ui/format'
import { useSettles } from '../ui/useSettles'
import { runsByItself } from './log'
import LotMark from './LotMark.vue'
import type { LotSign } from './lots'

/** One step, large enough to be read from the other side of the kitchen; the next one small. */
const props = defineProps<{
    step: WorkStep
    next: WorkStep | null
    stage: 'waits' | 'may' | 'runs' | 'done'
    rings: boolean
    lot: LotSign | null
    number: number
    of: number
}>()
const emit = defineEmits<{ begin: []; done: []; skip: []; again: [seconds: number] }>()
const kitchen = useKitchen()

const KINDS: Record<WorkStep['kind'], string> = {
    prepare: 'Prepare',
    soak: 'Soak',
    mix: 'Mix',
    rest: 'Rest',
    chill: 'Chill',
    shape: 'Shape',
    preheat: 'Heat the oven',
    heat: 'Into the heat',
    look: 'Look',
    turn: 'Turn',
    stir: 'Stir',
    core: 'Core temperature',
    cool: 'Cool',
    set: 'Set',
    freeze: 'Freeze',
    dry: 'Dry',
    bag: 'Put away',
}
const oven = computed(() => {
    const { oven: heat } = props.step
    const as = kitchen.kitchen?.temperature ?? 'C'
    if (heat === null) return null

    return as === 'F'
        ? `${heat.fahrenheit} °F`
        : as === 'gas' && heat.gas !== null
          ? `gas ${heat.gas}`
          : kitchen.kitchen?.ovenFan === true
            ? `${heat.fanCelsius} °C, fan`
            : `${heat.celsius} °C`
})
const isByItself = computed(() => runsByItself(props.step))
const begins = computed(() => isByItself.value && props.stage !== 'runs')
const words = computed(() => {
    if (!begins.value)
        return props.step.kind === 'heat' || props.step.kind === 'dry'
            ? 'Out: it is done'
            : props.rings && props.step.kind === 'look'
              ? 'I have looked'
              : 'Done'

    return (
        { preheat: 'The oven is on', heat: 'It is in', dry: 'It is in', cool: 'It is cooling', freeze: 'It is in the freezer' }[
            props.step.kind as string
        ] ?? 'Begun'
    )
})
const main = ref<{ $el: HTMLElement } | null>(null)

/** Whatever comes next, one key does it: the hand never has to look for the button. */
watch(
    () => [props.step.id, begins.value],
    async () => {
        await nextTick()
        const at = document.activeElement
        if (at === null || at === document.body || at.closest('.stage') !== null) main.value?.$el.focus()
    },
    { immediate: true },
)

const settles = useSettles(() => `${props.step.id} ${begins.value}`)

function act(): void {
    if (settles.value) return
    if (begins.value) emit('begin')
    else emit('done')
}
</script>

<template>
    <section class="stage" :class="{ 'stage--rings': rings, 'stage--hazard': step.hazard !== null }" aria-label="The step now">
        <p class="stage__kind">
            <span>{{ KINDS[step.kind] }}</span> <LotMark :lot="lot" /> <small>{{ number }} of {{ of }}</small>
            <strong v-if="oven !== null" class="stage__heat">{{ oven }}</strong>
            <strong v-if="step.core !== null" class="stage__heat"
                >{{ step.core.celsius }} °C<template v-if="step.core.holdMinutes > 0"> for {{ step.core.holdMinutes }} min</template></strong
            >
        </p>
        <p class="stage__words" :class="{ 'stage__words--long': step.text.length > 150 }" aria-live="polite">{{ unbroken(step.text) }}</p>
        <p v-if="step.hazard !== null" class="stage__hazard">
            <svg viewBox="0 0 24 24" width="28" height="28" aria-hidden="true">
                <path d="M12 3 23 21H1z M11 9h2v6h-2z M11 17h2v2h-2z" fill-rule="evenodd" /></svg
            >{{ step.hazard }}
        </p>
        <p v-if="step.tip !== null" class="stage__tip">{{ step.tip }}</p>
        <slot />
        <p class="stage__acts">
            <v-btn ref="main" class="stage__main" color="primary" variant="flat" :height="76" :aria-disabled="settles" @click="act">{{
                words
            }}</v-btn>
            <v-btn
                v-if="rings && (step.kind === 'look' || step.kind === 'heat' || step.kind === 'dry')"
                class="stage__more"
                variant="outlined"
                :height="76"
                @click="emit('again', 180)"
                >Look again in 3 min</v-btn
            >
            <v-btn v-if="rings" class="stage__more" variant="outlined" :height="76" @click="emit('again', 300)">Five more minutes</v-btn>
            <v-btn v-if="!rings" class="stage__skip" :height="76" @click="emit('skip')">Leave it out</v-btn>
        </p>
        <p v-if="next !== null" class="stage__next"><span>Next</span> {{ next.text }}</p>
    </section>
</template>
