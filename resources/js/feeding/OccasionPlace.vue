<script setup lang="ts">
import { mdiEmailOutline } from '@mdi/js'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { takeAway } from '../kitchen/takeAway'
import { useKitchen } from '../kitchen/useKitchen'
import { useOutbox } from '../kitchen/useOutbox'
import { useToday } from '../kitchen/useToday'
import DateField from '../ui/DateField.vue'
import NumberField from '../ui/NumberField.vue'
import TogglePill from '../ui/TogglePill.vue'
import { later } from '../ui/later'
import BackwardStrip from './BackwardStrip.vue'
import GuestForm from './GuestForm.vue'
import OccasionBoxes from './OccasionBoxes.vue'
import OccasionGuests from './OccasionGuests.vue'
import OccasionTreats from './OccasionTreats.vue'
import { useOccasion } from './useOccasion'

/** One occasion: who comes and what is served on the one side; who gets what, how much is baked and when on the other. */
const route = useRoute()
const router = useRouter()
const kitchen = useKitchen()
const outbox = useOutbox()
const today = useToday()
const id = computed(() => String(route.params['id']))
const page = useOccasion(() => id.value)
const { occasion, coming, plan, stale, late, problem, refused, keep } = page
const OccasionServing = later(() => import('./OccasionServing.vue'))
const asksGuest = ref<string | null>(null)
const words = ref<string | null>(null)
const MOST_GUESTS = 40

function comes(dog: string): void {
    const dogs = (occasion.value?.dogs ?? []).filter((one) => kitchen.all.dogs.of(one) !== undefined)
    void keep({ dogs: dogs.includes(dog) ? dogs.filter((one) => one !== dog) : [...dogs, dog] })
}
async function remove(): Promise<void> {
    const one = occasion.value
    if (one === undefined) return
    await takeAway(kitchen, outbox, 'occasions', one.id, one.name)
    await router.push('/occasions')
}
/** 15:00, 15.30, 3 pm; null: nobody can read it */
function clock(said: string): string | null {
    const part = /^([01]?\d|2[0-3])(?:[:.h]?([0-5]\d))?\s*(am|pm)?$/i.exec(said.trim())
    if (part === null) return null
    const hour = Number(part[1]) % (part[3] === undefined ? 24 : 12)

    return `${String(hour + (part[3]?.toLowerCase() === 'pm' ? 12 : 0)).padStart(2, '0')}:${part[2] ?? '00'}`
}
const clockProblem = ref<string | null>(null)
function time(event: Event): void {
    const said = (event.target as HTMLInputElement).value.trim()
    const at = said === '' ? null : clock(said)
    clockProblem.value = said !== '' && at === null ? `“${said}” is no time of day: write it like 15:30.` : null
    if (clockProblem.value === null) void keep({ at })
}
const isToday = computed(() => occasion.value?.on === today.value)
const facts = (guest: { weightKg: number | null; ageMonths: number | null; allergies: string[] | null; conditions: string[] | null }): string =>
    guest.weightKg === null || guest.ageMonths === null || guest.allergies === null || guest.conditions === null ? 'ask its people' : 'asked'
</script>

<template>
    <div v-if="occasion === undefined" class="place occasions">
        <p v-if="kitchen.all.occasions.isLaid" class="hint" role="status">
            This occasion is not here. <router-link to="/occasions">To the occasions</router-link>
        </p>
    </div>
    <div v-else class="place place--wide occasion">
        <header class="place__head occasion__head">
            <h1>{{ occasion.name }}</h1>
            <router-link to="/occasions">All occasions</router-link>
            <a class="occasion__invite" :href="`/api/occasions/${occasion.id}/invitation`" download="invitation.ics"
                ><v-icon :icon="mdiEmailOutline" size="20" aria-hidden="true" /> Invitation for a calendar</a
            >
            <a :href="`/api/occasions/${occasion.id}/invitation?as=txt`" target="_blank" rel="noopener">as text</a>
            <v-btn variant="text" @click="remove">Take it out</v-btn>
        </header>
        <p v-if="refused !== null" class="problem" role="alert">{{ refused }}</p>
        <div class="occasion__halves">
            <section class="occasion__asked" aria-label="What is planned">
                <div class="fields">
                    <v-text-field
                        class="field--long"
                        label="What is it"
                        :model-value="occasion.name"
                        maxlength="120"
                        autocomplete="off"
                        @change="keep({ name: ($event.target as HTMLInputElement).value })"
                    />
                    <DateField label="On which day" :value="occasion.on" @meant="$event !== null && keep({ on: $event })" />
                    <v-text-field
                        class="field--short"
                        label="They eat at"
                        placeholder="15:00"
                        autocomplete="off"
                        :model-value="occasion.at ?? ''"
                        :error-messages="clockProblem === null ? [] : [clockProblem]"
                        @change="time"
                    />
                    <v-text-field
                        class="field--long"
                        label="Where"
                        :model-value="occasion.place"
                        maxlength="120"
                        autocomplete="off"
                        @change="keep({ place: ($event.target as HTMLInputElement).value })"
                    />
                    <NumberField
                        label="On the way"
                        unit="min"
                        whole
                        :value="occasion.transportMinutes"
                        :least="0"
                        :most="1440"
                        @meant="keep({ transportMinutes: $event })"
                    />
                </div>
                <h2>Who comes</h2>
                <div class="occasion__dogs" role="group" aria-label="Dogs of this kitchen">
                    <TogglePill v-for="dog in kitchen.dogs" :key="dog.id" :on="occasion.dogs.includes(dog.id)" @click="comes(dog.id)">{{
                        dog.name
                    }}</TogglePill>
                </div>
                <ul v-if="occasion.guests.length > 0" class="occasion__guests" aria-label="Guests">
                    <li v-for="guest in occasion.guests" :key="guest.id">
                        <v-btn
                            variant="outlined"
                            class="pill"
                            :class="{ 'pill--unasked': facts(guest) !== 'asked' }"
                            :aria-expanded="asksGuest === guest.id"
                            @click="asksGuest = asksGuest === guest.id ? null : guest.id"
                            >{{ guest.name }}<small v-if="facts(guest) !== 'asked'">: {{ facts(guest) }}</small></v-btn
                        >
                    </li>
                </ul>
                <v-btn
                    v-if="asksGuest === null && occasion.guests.length < MOST_GUESTS"
                    variant="tonal"
                    class="occasion__add"
                    @click="asksGuest = 'new'"
                    >A guest comes too</v-btn
                >
                <GuestForm v-if="asksGuest !== null" :key="asksGuest" :page="page" :guest="asksGuest" @close="asksGuest = null" />
                <OccasionTreats :page="page" />
                <v-textarea
                    class="occasion__words"
                    label="Words of the invitation"
                    rows="2"
                    auto-grow
                    maxlength="2000"
                    :model-value="words ?? occasion.words"
                    @update:model-value="words = $event"
                    @change="keep({ words: words ?? '' })"
                />
            </section>
            <section class="occasion__answer" :class="{ 'said-before': late }" aria-label="What it comes to" :aria-busy="stale">
                <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
                <p v-if="page.treats.value.length === 0" class="occasion__first">
                    Say what is served, or let the shelf be looked through: then stands here what each dog may have of it, how much is baked, and
                    when.
                </p>
                <template v-if="plan !== null">
                    <OccasionServing v-if="isToday" :page="page" />
                    <OccasionGuests v-if="coming.length > 0" :page="page" />
                    <BackwardStrip :page="page" />
                </template>
                <OccasionBoxes v-if="page.treats.value.length > 0" :page="page" />
                <p class="hint">
                    Reckoned for the dogs as they are known here. A dog with a condition, on medicine or on a diet: its vet decides. Every guest's
                    people are asked before it gets anything.
                </p>
            </section>
        </div>
    </div>
</template>
