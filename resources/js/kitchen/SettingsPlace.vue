<script setup lang="ts">
import { computed, ref } from 'vue'
import type { KitchenFields } from '../api/client'
import ClearKitchen from './ClearKitchen.vue'
import { useKitchen, wordsOf } from './useKitchen'
import { figure } from '../ui/format'
import NumberField from '../ui/NumberField.vue'

/** The house rules: what this kitchen decided once for all its recipes. */
const kitchen = useKitchen()
const problem = ref<string | null>(null)

interface Question {
    key: 'energySchool' | 'calorieConvention' | 'garlic' | 'units' | 'pseudoGrains'
    asks: string
    answers: { value: string; name: string; gloss: string }[]
}

/** How large the cups and spoons of a system are, by the same table that weighs with them. */
function sizeOf(units: string): string {
    const cups = kitchen.choices?.cups.find((one) => one.units === units)
    return cups === undefined ? '' : `cup ${figure(cups.cupMl)} ml, tablespoon ${figure(cups.tablespoonMl)} ml`
}

const questions = computed<Question[]>(() => [
    {
        key: 'energySchool',
        asks: "How is a dog's energy worked out?",
        answers: [
            {
                value: 'clinic',
                name: 'Clinic factors',
                gloss: 'resting energy times a factor for stage and neutering, as in the guidelines of AAHA and WSAVA',
            },
            { value: 'nrc', name: 'Research formula', gloss: "NRC 2006; usually higher, and follows a puppy's growth" },
        ],
    },
    {
        key: 'calorieConvention',
        asks: 'How are calories of food counted?',
        answers: [
            { value: '4-9-4', name: '4-9-4', gloss: 'as for human-grade food; the default' },
            { value: 'modified', name: '3.5-8.5-3.5', gloss: 'the convention of pet-food labels' },
        ],
    },
    {
        key: 'garlic',
        asks: 'Garlic?',
        answers: [
            { value: 'avoid', name: 'Never', gloss: 'the default, and the safe choice' },
            {
                value: 'measured',
                name: 'Measured',
                gloss: "this kitchen's own choice, against the caution: at most 0.1 g fresh per kg a day; still refused for puppies, pregnant, anaemic and sensitive dogs",
            },
        ],
    },
    {
        key: 'units',
        asks: 'Whose cups and spoons?',
        answers: [
            { value: 'us', name: 'American', gloss: sizeOf('us') },
            { value: 'metric', name: 'Metric', gloss: sizeOf('metric') },
            { value: 'imperial', name: 'Imperial', gloss: sizeOf('imperial') },
            { value: 'australian', name: 'Australian', gloss: sizeOf('australian') },
        ],
    },
    {
        key: 'pseudoGrains',
        asks: 'Do buckwheat, quinoa and amaranth count as grain?',
        answers: [
            { value: 'not-grain', name: 'No', gloss: 'they are not grasses' },
            { value: 'grain', name: 'Yes', gloss: 'strict: a dog kept off grain gets none of them' },
        ],
    },
])

/** Every zone this browser knows, and the kitchen's own. */
const zones = computed(() => [...new Set(['UTC', kitchen.kitchen?.timezone ?? 'UTC', ...Intl.supportedValuesOf('timeZone')])].sort())

function named(key: 'name' | 'baker', event: Event): void {
    const said = (event.target as HTMLInputElement).value.trim()
    if (said === '') problem.value = key === 'name' ? 'A kitchen has a name.' : 'Somebody bakes here: say who.'
    else void choose({ [key]: said })
}

function zone(timezone: string | null): void {
    if (timezone !== null) void choose({ timezone })
}

async function choose(fields: KitchenFields): Promise<void> {
    try {
        await kitchen.change(fields)
        problem.value = null
    } catch (error) {
        problem.value = wordsOf(error)
    }
}
</script>

<template>
    <div>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <form v-if="kitchen.kitchen !== null" class="rules" @submit.prevent>
            <fieldset>
                <legend>Whose kitchen it is</legend>
                <div class="fields">
                    <v-text-field
                        :model-value="kitchen.kitchen.name"
                        class="field--long"
                        label="Name of the kitchen"
                        maxlength="120"
                        autocomplete="off"
                        @change="named('name', $event)"
                    />
                    <v-text-field
                        :model-value="kitchen.kitchen.baker"
                        class="field--long"
                        label="Who bakes here"
                        maxlength="120"
                        autocomplete="off"
                        @change="named('baker', $event)"
                    />
                </div>
            </fieldset>
            <fieldset v-for="question in questions" :key="question.key">
                <legend>{{ question.asks }}</legend>
                <v-radio-group
                    :model-value="kitchen.kitchen.policy[question.key]"
                    :name="question.key"
                    :aria-label="question.asks"
                    hide-details
                    @update:model-value="choose({ [question.key]: $event })"
                >
                    <v-radio v-for="one in question.answers" :key="one.value" :value="one.value"
                        ><template #label
                            ><span
                                ><strong>{{ one.name }}</strong> — {{ one.gloss }}</span
                            ></template
                        ></v-radio
                    >
                </v-radio-group>
            </fieldset>
            <fieldset>
                <legend>Share of the day that treats may take, at most</legend>
                <NumberField
                    label="percent, up to 10; empty for the usual"
                    :short="false"
                    :value="kitchen.kitchen.policy.budgetPercent"
                    :most="10"
                    @meant="choose({ budgetPercent: $event })"
                />
                <p class="hint">It may be lowered, never raised: the usual is 10 %, and 5 % for a puppy, a weight-loss plan or any condition.</p>
            </fieldset>
            <fieldset>
                <legend>Where the kitchen is</legend>
                <v-autocomplete
                    label="Time zone, for what is today"
                    class="field--long"
                    :model-value="kitchen.kitchen.timezone"
                    :items="zones"
                    @update:model-value="zone"
                />
            </fieldset>
            <ClearKitchen />
        </form>
    </div>
</template>
