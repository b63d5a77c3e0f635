<script setup lang="ts">
import { computed, ref } from 'vue'
import { tell } from '../ui/notices'
import { useReturn } from '../ui/useReturn'
import { useKitchen, wordsOf } from './useKitchen'

/** From the demo to a kitchen of one's own: what is in it goes to the trash, the house rules stay. */
const kitchen = useKitchen()
const asks = ref(false)
useReturn(asks)
const working = ref(false)
const problem = ref<string | null>(null)
const many = computed(() => kitchen.dogs.length + kitchen.recipes.length)

async function clear(): Promise<void> {
    working.value = true
    problem.value = null
    try {
        for (const kind of ['dogs', 'recipes'] as const) for (const one of [...kitchen.all[kind].items]) await kitchen.all[kind].remove(one.id)
        tell('The kitchen is empty. All of it lies in the trash for thirty days.')
        asks.value = false
    } catch (error) {
        problem.value = wordsOf(error)
    } finally {
        working.value = false
    }
}
</script>

<template>
    <fieldset>
        <legend>A kitchen of your own</legend>
        <p class="hint">
            Takes every dog and every recipe out, for a beginning with nothing in it. They lie in the trash for thirty days; what this kitchen
            decided, its foods and its labels stay.
        </p>
        <v-btn class="clear-kitchen" variant="outlined" color="error" :disabled="many === 0" @click="asks = true">Clear the kitchen</v-btn>
        <v-dialog v-model="asks" max-width="520" aria-labelledby="clear-title">
            <div class="paper">
                <h2 id="clear-title">Clear the kitchen?</h2>
                <p>
                    {{ kitchen.dogs.length }} dogs and {{ kitchen.recipes.length }} recipes go to the trash. Each can be brought back for thirty days.
                </p>
                <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
                <p class="paper__ends">
                    <v-btn @click="asks = false">Leave it as it is</v-btn
                    ><v-btn variant="flat" color="error" :loading="working" @click="clear">Clear it</v-btn>
                </p>
            </div>
        </v-dialog>
    </fieldset>
</template>
