<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import type { OccasionGuest } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import NumberField from '../ui/NumberField.vue'
import PickMany from '../ui/PickMany.vue'
import TogglePill from '../ui/TogglePill.vue'
import { refusedIn } from '../ui/refused'
import { useUnits } from '../ui/useUnits'
import type { OccasionOnPage } from './useOccasion'

/** The few facts of a guest. What nobody asked stays unasked: then its people are asked before it gets anything. */
const props = defineProps<{ page: OccasionOnPage; guest: string }>()
const emit = defineEmits<{ close: [] }>()
const kitchen = useKitchen()
const units = useUnits()
const isPounds = units.isPounds()
const kgAPound = units.kgAPound()
const known = computed(() => props.page.occasion.value?.guests.find((one) => one.id === props.guest) ?? null)
const turned = (kg: number | null): number | null => (kg === null || !isPounds ? kg : Math.round((kg / kgAPound) * 10) / 10)
const before = known.value
const form = reactive({
    name: before?.name ?? '',
    weight: turned(before?.weightKg ?? null),
    years: before?.ageMonths === null || before === null ? null : Math.round((before.ageMonths / 12) * 10) / 10,
    isFoodAsked: before !== null && before.allergies !== null,
    allergies: [...(before?.allergies ?? [])],
    isHealthAsked: before !== null && before.conditions !== null,
    minded: [...(before?.conditions ?? []).map((one) => `conditions ${one}`), ...(before?.medicines ?? []).map((one) => `medicines ${one}`)],
})
const problem = ref<string | null>(null)
const minded = computed(() => [
    ...(kitchen.choices?.conditions ?? []).map((one) => ({ id: `conditions ${one.id}`, name: one.name })),
    ...(kitchen.choices?.medicines ?? []).map((one) => ({ id: `medicines ${one.id}`, name: `takes ${one.name}` })),
])
const picked = (kind: string): string[] => form.minded.filter((one) => one.startsWith(`${kind} `)).map((one) => one.slice(kind.length + 1))

async function keep(): Promise<void> {
    if (form.name.trim() === '') {
        problem.value = 'A guest has a name.'
        return
    }
    const id = before?.id ?? crypto.randomUUID()
    const guest = {
        id,
        name: form.name.trim(),
        weightKg: form.weight === null ? null : isPounds ? Math.round(form.weight * kgAPound * 100) / 100 : form.weight,
        ageMonths: form.years === null ? null : Math.round(form.years * 12),
        allergies: form.isFoodAsked ? form.allergies : null,
        conditions: form.isHealthAsked ? picked('conditions') : null,
        medicines: form.isHealthAsked ? picked('medicines') : [],
    } as OccasionGuest
    const all = props.page.occasion.value?.guests ?? []
    if (await props.page.keep({ guests: all.some((one) => one.id === id) ? all.map((one) => (one.id === id ? guest : one)) : [...all, guest] }))
        emit('close')
    else problem.value = props.page.refused.value
}
async function remove(): Promise<void> {
    const one = props.page.occasion.value
    if (one === undefined || before === null) return
    const done = await props.page.keep({
        guests: one.guests.filter((of) => of.id !== before.id),
        shares: one.shares.filter((of) => of.dog !== before.id),
        boxes: one.boxes.map((of) => (of.dog === before.id ? { ...of, dog: null } : of)),
    })
    if (done) emit('close')
}
</script>

<template>
    <form
        class="guest-form"
        :aria-label="before === null ? 'A new guest' : before.name"
        novalidate
        @submit.prevent="refusedIn($event.currentTarget) || keep()"
        @keydown.esc="emit('close')"
    >
        <div class="fields">
            <v-text-field v-model="form.name" class="field--long" label="Guest's name" maxlength="60" autocomplete="off" autofocus />
            <NumberField
                label="Weight"
                :unit="isPounds ? 'lb' : 'kg'"
                :value="form.weight"
                :above="0"
                :most="isPounds ? 260 : 120"
                live
                @meant="form.weight = $event"
            />
            <NumberField label="Age in years" :value="form.years" :least="0" :most="30" live @meant="form.years = $event" />
        </div>
        <div class="guest-form__asked">
            <TogglePill :on="form.isFoodAsked" @click="form.isFoodAsked = !form.isFoodAsked">Its people were asked what it must not eat</TogglePill>
            <PickMany
                v-if="form.isFoodAsked"
                v-model="form.allergies"
                label="It must not eat"
                :items="kitchen.choices?.allergens ?? []"
                hint="empty: they know of nothing"
            />
        </div>
        <div class="guest-form__asked">
            <TogglePill :on="form.isHealthAsked" @click="form.isHealthAsked = !form.isHealthAsked"
                >They were asked about illness and medicine</TogglePill
            >
            <PickMany
                v-if="form.isHealthAsked"
                v-model="form.minded"
                label="Illness and medicine"
                :items="minded"
                hint="empty: it is healthy and takes nothing"
            />
        </div>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <p class="occasion__acts">
            <v-btn variant="flat" color="primary" type="submit">{{ before === null ? 'It comes' : 'Keep it' }}</v-btn>
            <v-btn variant="text" @click="emit('close')">Leave it</v-btn>
            <v-btn v-if="before !== null" variant="text" @click="remove">It does not come</v-btn>
        </p>
    </form>
</template>
