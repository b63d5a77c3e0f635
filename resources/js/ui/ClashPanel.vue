<script setup lang="ts">
import { computed, onMounted, reactive, ref } from 'vue'
import type { Problem } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import SwitchRow from './SwitchRow.vue'

/** Two wrote in one field: both side by side, and the person chooses. Nothing is chosen for anybody. */
const props = defineProps<{ fields: NonNullable<Problem['conflicts']>; of: string }>()
const emit = defineEmits<{ settle: [takesTheirs: string[]] }>()
const kitchen = useKitchen()
const chosen = reactive<Record<string, 'mine' | 'theirs' | undefined>>({})
const title = ref<HTMLElement | null>(null)
onMounted(() => title.value?.focus())

const NAMES: Record<string, string> = {
    text: 'The recipe',
    steps: 'The method',
    cut: 'The cut',
    texture: 'How it leaves the oven',
    weightKg: 'Weight, kg',
    expectedAdultWeightKg: 'Grown weight, kg',
    bornOn: 'Born on',
    bodyCondition: 'Body condition',
    foodKcalPer100g: 'Its food, kcal per 100 g',
    allowList: 'May have only',
    budgetPercent: 'Treats, % of the day',
    photoId: 'The photograph',
}

function nameOf(field: string): string {
    return NAMES[field] ?? field.replace(/([A-Z])/g, ' $1').replace(/^./, (letter) => letter.toUpperCase())
}

function said(value: unknown): string {
    if (value === null || value === undefined || value === '') return 'nothing'
    if (value === true || value === false) return value ? 'yes' : 'no'
    if (Array.isArray(value))
        return value.length === 0 ? 'none' : value.map((one) => (typeof one === 'string' ? kitchen.nameOf(one) : said(one))).join(', ')
    if (typeof value === 'object')
        return Object.entries(value)
            .map(
                ([key, one]) =>
                    `${key
                        .replace(/Mm$/, '')
                        .replace(/([A-Z])/g, ' $1')
                        .toLowerCase()} ${said(one)}`,
            )
            .join(', ')

    return String(value as string | number)
}

const all = computed(() => props.fields.every((one) => chosen[one.field] !== undefined))

function settle(): void {
    emit(
        'settle',
        props.fields.map((one) => one.field).filter((field) => chosen[field] === 'theirs'),
    )
}
</script>

<template>
    <section class="clash" aria-labelledby="clash-title">
        <h2 id="clash-title" ref="title" tabindex="-1">{{ of }} was changed elsewhere too</h2>
        <p class="hint">Both wrote in the same place. All else was put together; choose what is to stand here.</p>
        <div v-for="one in fields" :key="one.field" class="clash__field">
            <h3>{{ nameOf(one.field) }}</h3>
            <div class="clash__sides">
                <p>
                    <strong>Yours</strong><span class="clash__words">{{ said(one.mine) }}</span>
                </p>
                <p>
                    <strong>The other's</strong><span class="clash__words">{{ said(one.theirs) }}</span>
                </p>
            </div>
            <SwitchRow
                :model-value="chosen[one.field] ?? ''"
                :label="`${nameOf(one.field)}: which`"
                :items="[
                    { value: 'mine', title: 'Take yours' },
                    { value: 'theirs', title: 'Take the other\'s' },
                ]"
                @update:model-value="chosen[one.field] = $event === 'mine' ? 'mine' : 'theirs'"
            />
        </div>
        <p class="paper__ends"><v-btn type="button" variant="flat" color="primary" :disabled="!all" @click="settle">Let it stand so</v-btn></p>
    </section>
</template>
