<script setup lang="ts">
import { useKitchen } from '../kitchen/useKitchen'
import { age } from '../ui/format'
import BodyShape from './BodyShape.vue'

/** The dogs of the kitchen. */
const kitchen = useKitchen()

function label(ids: string[], names: { id: string, name: string }[] | undefined): string {
    return ids.map((id) => names?.find((one) => one.id === id)?.name ?? id).join(', ')
}
</script>

<template>
    <div class="place">
        <header class="place__head"><h1>The dogs</h1><router-link class="link-button" to="/dogs/new">Add a dog</router-link></header>
        <ul class="dogs">
            <li v-for="dog in kitchen.dogs" :key="dog.id">
                <router-link :to="`/dogs/${dog.id}`" class="dog">
                    <BodyShape :score="dog.bodyCondition ?? 5" class="dog__shape" />
                    <span class="dog__name">{{ dog.name }}</span>
                    <span class="dog__facts">{{ [dog.breed, age(dog.ageMonths), dog.weightKg === null ? 'no weight yet' : `${dog.weightKg} kg`].filter(Boolean).join(' · ') }}</span>
                    <span v-if="dog.allergies.length > 0" class="dog__note">reacts to {{ label(dog.allergies, kitchen.choices?.allergens) }}</span>
                    <span v-if="dog.conditions.length > 0" class="dog__note">{{ label(dog.conditions, kitchen.choices?.conditions) }}</span>
                    <span v-if="dog.teeth !== 'full' || dog.eating !== 'normal'" class="dog__note">{{ [dog.teeth === 'few' ? 'few teeth' : dog.teeth === 'none' ? 'no teeth' : '', dog.eating === 'gulps' ? 'gulps' : ''].filter(Boolean).join(', ') }}</span>
                </router-link>
            </li>
        </ul>
    </div>
</template>
