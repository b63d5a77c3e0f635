<script setup lang="ts">
import { ref } from 'vue'
import type { Place } from '../api/types.generated'
import { takeAway } from '../kitchen/takeAway'
import NumberField from '../ui/NumberField.vue'
import SwitchRow from '../ui/SwitchRow.vue'
import { useDoing } from '../ui/useDoing'
import type { Jars } from './useJars'

/** The kitchen's own places: named, added, taken away when nothing stands there. */
const props = defineProps<{ jars: Jars }>()
const open = defineModel<boolean>({ required: true })
const KINDS: { value: Place['kind']; title: string }[] = [
    { value: 'jar', title: 'at room warmth' },
    { value: 'fridge', title: 'fridge' },
    { value: 'freezer', title: 'freezer' },
]
const name = ref('')
const kind = ref<Place['kind']>('jar')
const { problem, doing } = useDoing()

async function add(): Promise<void> {
    if (name.value.trim() === '') {
        problem.value = 'A place has a name: "the tin on the dresser".'
        return
    }
    if (await doing(() => props.jars.kitchen.all.places.keep(null, { name: name.value.trim(), kind: kind.value }))) name.value = ''
}
const change = (one: Place, fields: { name?: string; celsius?: number | null }): Promise<boolean> =>
    doing(() => props.jars.kitchen.all.places.keep(one.id, fields))
</script>

<template>
    <v-dialog v-model="open" max-width="680" scrollable aria-labelledby="places-title">
        <div class="paper">
            <h2 id="places-title">Your places</h2>
            <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
            <ul class="places">
                <li v-for="one in jars.places.value" :key="one.id" class="places__one">
                    <v-text-field
                        :model-value="one.name"
                        :label="KINDS.find((other) => other.value === one.kind)?.title"
                        :maxlength="60"
                        autocomplete="off"
                        @change="(event: Event) => change(one, { name: (event.target as HTMLInputElement).value })"
                    />
                    <NumberField
                        v-if="one.kind === 'jar'"
                        label="Room"
                        unit="°C"
                        :value="one.celsius"
                        :least="-30"
                        :most="50"
                        @meant="(value) => value !== one.celsius && change(one, { celsius: value })"
                    />
                    <v-btn
                        variant="text"
                        :aria-label="`Take away ${one.name}`"
                        @click="doing(() => takeAway(jars.kitchen, jars.outbox, 'places', one.id, one.name))"
                        >Take away</v-btn
                    >
                </li>
            </ul>
            <form class="places__new" @submit.prevent="add">
                <v-text-field v-model="name" label="Another place" placeholder="the tin on the dresser" :maxlength="60" autocomplete="off" />
                <SwitchRow v-model="kind" label="What kind of place" :items="KINDS" />
                <v-btn type="submit" variant="tonal">Add it</v-btn>
            </form>
            <p class="paper__ends"><v-btn variant="tonal" @click="open = false">Done</v-btn></p>
        </div>
    </v-dialog>
</template>
