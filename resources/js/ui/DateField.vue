<script setup lang="ts">
import { mdiCalendarMonthOutline } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { useKitchen } from '../kitchen/useKitchen'
import { patternOf, readDate, writtenDate } from './dates'
import { later } from './later'

/** A day, typed or chosen, in the order in which this kitchen writes dates. */
const props = withDefaults(
    defineProps<{ label: string; value: string | null; problem?: string | null; most?: string | undefined; least?: string | undefined }>(),
    { problem: null, most: undefined, least: undefined },
)
const emit = defineEmits<{ meant: [iso: string | null] }>()
const kitchen = useKitchen()
const VDatePicker = later(async () => (await import('vuetify/components/VDatePicker')).VDatePicker)
const order = computed(() => kitchen.kitchen?.datesAs ?? 'dmy')
const text = ref<string | null>(writtenDate(props.value, order.value))
const refused = ref<string | null>(null)
const opened = ref(false)
watch([() => props.value, order], () => {
    if (refused.value === null) text.value = writtenDate(props.value, order.value)
})

function read(): void {
    const plain = (text.value ?? '').trim()
    const iso = plain === '' ? null : readDate(plain, order.value)
    refused.value = plain !== '' && iso === null ? `“${plain}” is no day here: write it as ${patternOf(order.value)}.` : null
    if (refused.value === null && iso !== props.value) emit('meant', iso)
}

function choose(day: unknown): void {
    if (!(day instanceof Date)) return
    opened.value = false
    refused.value = null
    emit('meant', `${day.getFullYear()}-${String(day.getMonth() + 1).padStart(2, '0')}-${String(day.getDate()).padStart(2, '0')}`)
}
</script>

<template>
    <v-text-field
        v-model="text"
        class="field--short"
        :label="label"
        :placeholder="patternOf(order)"
        autocomplete="off"
        inputmode="numeric"
        :error-messages="(refused ?? problem) === null ? [] : [(refused ?? problem)!]"
        :data-refused="refused === null ? undefined : true"
        @change="read"
        @blur="read"
        @keydown.enter="read"
    >
        <template #append-inner>
            <v-menu v-model="opened" :close-on-content-click="false" location="bottom end">
                <template #activator="{ props: opens }"
                    ><v-btn v-bind="opens" icon size="small" variant="text" :aria-label="`Choose: ${label}`"
                        ><v-icon :icon="mdiCalendarMonthOutline" /></v-btn
                ></template>
                <VDatePicker
                    v-if="opened"
                    :model-value="value === null ? null : new Date(`${value}T12:00:00`)"
                    :max="most"
                    :min="least"
                    hide-header
                    show-adjacent-months
                    @update:model-value="choose"
                />
            </v-menu>
        </template>
    </v-text-field>
</template>
