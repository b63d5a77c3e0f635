<script setup lang="ts">
import { mdiRulerSquareCompass } from '@mdi/js'
import { computed, ref } from 'vue'
import type { KitchenFields } from '../api/client'
import SwitchRow from '../ui/SwitchRow.vue'
import { useKitchen, wordsOf } from './useKitchen'

/** The units that this kitchen reads, chosen once for every place, method and print. */
const kitchen = useKitchen()
const problem = ref<string | null>(null)

async function change(fields: KitchenFields): Promise<void> {
    try {
        await kitchen.change(fields)
        problem.value = null
    } catch (error) {
        problem.value = wordsOf(error)
    }
}

function bound<K extends 'amountsAs' | 'weightsAs' | 'sizesAs' | 'temperature' | 'datesAs'>(key: K, first: NonNullable<KitchenFields[K]>) {
    return computed({
        get: () => kitchen.kitchen?.[key] ?? first,
        set: (value) => {
            void change({ [key]: value })
        },
    })
}

const amounts = bound('amountsAs', 'grams')
const weights = bound('weightsAs', 'kg')
const sizes = bound('sizesAs', 'mm')
const temperature = bound('temperature', 'C')
const dates = bound('datesAs', 'dmy')
</script>

<template>
    <v-menu location="bottom end" :close-on-content-click="false">
        <template #activator="{ props: opens }"
            ><v-btn v-bind="opens" icon aria-label="Units"><v-icon :icon="mdiRulerSquareCompass" /></v-btn
        ></template>
        <div class="units" role="group" aria-label="Units">
            <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
            <SwitchRow
                v-model="amounts"
                shows
                label="Amounts"
                :items="[
                    { value: 'grams', title: 'grams' },
                    { value: 'cups', title: 'cups' },
                ]"
            />
            <SwitchRow
                v-model="weights"
                shows
                label="A dog's weight"
                :items="[
                    { value: 'kg', title: 'kg' },
                    { value: 'lb', title: 'lb' },
                ]"
            />
            <SwitchRow
                v-model="sizes"
                shows
                label="Sizes"
                :items="[
                    { value: 'mm', title: 'mm' },
                    { value: 'in', title: 'inches' },
                ]"
            />
            <SwitchRow
                v-model="temperature"
                shows
                label="Heat"
                :items="[
                    { value: 'C', title: '°C' },
                    { value: 'F', title: '°F' },
                    { value: 'gas', title: 'gas' },
                ]"
            />
            <SwitchRow
                v-model="dates"
                shows
                label="Dates"
                :items="[
                    { value: 'dmy', title: '31/12' },
                    { value: 'mdy', title: '12/31' },
                    { value: 'ymd', title: '2026-12-31' },
                ]"
            />
        </div>
    </v-menu>
</template>
