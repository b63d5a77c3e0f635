<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { api } from '../api/client'
import type { PowerCutAnswer } from '../api/types.generated'
import { wordsOf } from '../kitchen/useKitchen'
import NumberField from '../ui/NumberField.vue'
import SwitchRow from '../ui/SwitchRow.vue'
import type { Jars } from './useJars'

/** The power was gone for some hours: what of each bag, and what to feel first. */
const props = defineProps<{ jars: Jars }>()
const open = defineModel<boolean>({ required: true })
type Feels = 'hard' | 'icy' | 'soft'
const hours = ref<number | null>(null)
const full = ref<'half' | 'full'>('half')
const feels = reactive(new Map<string, Feels>())
const answer = ref<PowerCutAnswer | null>(null)
const problem = ref<string | null>(null)
const OUTCOME = { kept: 'stays', look: 'feel it', thawed: 'thawed', stood: 'stood warm', throw: 'throw away' } as const
const FEELS: { value: Feels; title: string }[] = [
    { value: 'hard', title: 'hard' },
    { value: 'icy', title: 'icy inside' },
    { value: 'soft', title: 'soft' },
]
let turn = 0
watch(open, (is) => {
    if (!is) return
    hours.value = null
    feels.clear()
    answer.value = null
    problem.value = null
})
const said = computed(() => [...feels].map(([bag, how]) => ({ bag, feels: how })))
watch([hours, full, said], async () => {
    const mine = ++turn
    if (hours.value === null) {
        answer.value = null
        return
    }
    try {
        const given = await api.powerCut({ hours: hours.value, full: full.value === 'full', feels: said.value })
        if (mine === turn) [answer.value, problem.value] = [given, null]
    } catch (error) {
        if (mine === turn) problem.value = wordsOf(error)
    }
})
const rows = computed(() =>
    (answer.value?.bags ?? [])
        .map((one) => ({ ...one, of: props.jars.here.value.find((bag) => bag.id === one.bag) }))
        .filter((one) => one.of !== undefined)
        .toSorted((one, two) => ORDER.indexOf(one.outcome) - ORDER.indexOf(two.outcome)),
)
const ORDER = ['look', 'throw', 'thawed', 'stood', 'kept']
const looks = computed(() => rows.value.filter((one) => one.outcome === 'look').length)

async function settle(): Promise<void> {
    if (hours.value === null) return
    if ((await props.jars.act('cut', { hours: hours.value, full: full.value === 'full', feels: said.value })) === null) {
        problem.value = props.jars.refused.value
        return
    }
    open.value = false
}
</script>

<template>
    <v-dialog v-model="open" max-width="720" scrollable aria-labelledby="cut-title">
        <div class="paper">
            <h2 id="cut-title">The power was gone</h2>
            <div class="cut__asked">
                <NumberField
                    label="For about how long"
                    unit="hours"
                    :value="hours"
                    :least="0.1"
                    :most="1000"
                    live
                    @meant="(value) => (hours = value)"
                />
                <SwitchRow
                    v-model="full"
                    label="The freezer was"
                    shows
                    :items="[
                        { value: 'half', title: 'half full' },
                        { value: 'full', title: 'full' },
                    ]"
                />
            </div>
            <p class="hint">Both kept shut. Where you do not know, take the longer time.</p>
            <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
            <ul class="cut__bags" aria-live="polite">
                <li v-for="one in rows" :key="one.bag" :class="`cut__bag cut__bag--${one.outcome}`">
                    <p>
                        <b>{{ OUTCOME[one.outcome] }}</b> Bag {{ one.of?.number }}, {{ one.of?.title }}. {{ one.says }}
                    </p>
                    <SwitchRow
                        v-if="one.of?.frozen === true && (one.outcome === 'look' || feels.has(one.bag))"
                        :model-value="feels.get(one.bag) ?? ('' as Feels)"
                        :label="`How bag ${one.of?.number} feels`"
                        :items="FEELS"
                        @update:model-value="(how) => feels.set(one.bag, how)"
                    />
                </li>
            </ul>
            <p class="paper__ends">
                <v-btn @click="open = false">Not now</v-btn
                ><v-btn variant="flat" color="primary" :disabled="answer === null || looks > 0" @click="settle">{{
                    looks > 0 ? `Feel ${looks} first` : 'Write it down'
                }}</v-btn>
            </p>
        </div>
    </v-dialog>
</template>
