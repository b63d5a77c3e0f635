<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, kitchenTime } from '../api/client'
import { useQuestion } from '../bench/useQuestion'
import { useSheet } from '../bench/useSheet'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import FoldPart from '../ui/FoldPart.vue'
import SwitchRow from '../ui/SwitchRow.vue'
import { useSettles } from '../ui/useSettles'
import BatchStrip from './BatchStrip.vue'
import { minuteOf } from './clockwork'
import ReadyWhen from './ReadyWhen.vue'
import { dayOfBatch } from './slips'
import { usePerson } from './usePerson'

/** Begins a batch of what stands on the sheet: one tap, and one more where a dog at the table is not cleared. */
const kitchen = useKitchen()
const router = useRouter()
const { sheet } = useSheet()
const { answer, freshness, question } = useQuestion()
const person = usePerson()
const isSure = ref(false)
const isOn = ref(false)
const settles = useSettles(isSure)
const trouble = ref<string | null>(null)
/** one tap is one batch, however often it has to be sent */
let key = crypto.randomUUID()

/** the batches of this recipe, the newest first, and what was to be done differently */
const batches = computed(() =>
    sheet.value.recipeId === null ? [] : kitchen.all.batches.items.filter((one) => one.recipeId === sheet.value.recipeId),
)
const next = computed(() => batches.value.find((one) => one.next !== null) ?? null)
const ovens = computed(() => [...new Set(kitchen.all.batches.items.map((one) => one.oven))])
const oven = ref<string | null>(null)
/** that are hot at once: what both did together is told of neither */
const atOnce = ref(1)
const BOTH = 'two ovens at once'
const named = computed(() => {
    const name = oven.value?.trim() ?? ''

    return name !== '' ? name : atOnce.value > 1 ? BOTH : null
})
const uncleared = computed(() => answer.value?.verdict.dogs.filter((dog) => !dog.cleared).map((dog) => dog.name) ?? [])
/** What no dog may have, whoever it is baked for. */
const poisons = computed(
    () =>
        answer.value?.lines.filter((line) => line.findings.some((one) => one.level === 'never' && one.confirmed !== true)).map((line) => line.text) ??
        [],
)
const isStopped = computed(() => answer.value !== null && !answer.value.verdict.cleared)

async function begin(): Promise<void> {
    const asked = question()
    if (asked === null || isOn.value || settles.value) return
    if (isStopped.value && !isSure.value) {
        isSure.value = true
        return
    }
    isOn.value = true
    trouble.value = null
    const now = kitchenTime()
    const { recipeId, title } = sheet.value
    try {
        const batch = await api.beginBatch(
            {
                asked: { ...asked, recipe: { ...asked.recipe, ...(recipeId === null ? {} : { id: recipeId }) }, explain: false },
                title: title.trim() === '' ? 'A batch without a name' : title,
                at: new Date(now).toISOString(),
                startAt: minuteOf(now, kitchen.kitchen?.timezone),
                by: person.name.value,
                ...(named.value === null ? {} : { oven: named.value }),
                ovens: atOnce.value,
            },
            key,
        )
        key = crypto.randomUUID()
        isSure.value = false
        await router.push(`/oven/${batch.id}`)
    } catch (error) {
        trouble.value = wordsOf(error)
    }
    isOn.value = false
}
</script>

<template>
    <div class="bake-it">
        <v-btn
            class="bake-it__go"
            color="primary"
            variant="flat"
            :height="56"
            :disabled="freshness !== 'fresh' || isOn || answer === null || answer.lines.length === 0"
            :aria-disabled="settles"
            @click="begin"
            >{{ isSure ? 'Bake it all the same' : 'Bake it' }}</v-btn
        >
        <p v-if="next !== null" class="bake-it__next">
            <strong>Next time,</strong> you wrote on {{ dayOfBatch(next, kitchen.kitchen) }}: {{ next.next }}
        </p>
        <p v-if="isSure && isStopped" class="bake-it__sure" role="alert">
            <template v-if="poisons.length > 0">{{ poisons.join(', ') }}: no dog may have any of this. Take it out, or bake it for no dog.</template>
            <template v-else
                >{{ uncleared.length === 0 ? 'This sheet is not cleared' : `Not cleared for ${uncleared.join(', ')}` }}: bake it only for dogs that
                may have it.</template
            >
            <v-btn @click="isSure = false">Not yet</v-btn>
        </p>
        <p v-if="trouble !== null" class="problem" role="alert">{{ trouble }}</p>
        <FoldPart v-if="batches.length > 0" :title="`Batches of it (${batches.length})`"><BatchStrip :batches="batches" /></FoldPart>
        <FoldPart title="The oven, and when it is ready">
            <v-combobox v-model="oven" label="In which oven" :items="ovens" :placeholder="named ?? 'the oven'" :maxlength="60" clearable />
            <SwitchRow
                v-model="atOnce"
                label="How many ovens"
                shows
                :items="[
                    { value: 1, title: 'one' },
                    { value: 2, title: 'two at once' },
                ]"
            />
            <ReadyWhen :oven="named" :ovens="atOnce" />
        </FoldPart>
    </div>
</template>
