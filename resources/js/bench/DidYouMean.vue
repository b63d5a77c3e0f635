<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Offer } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'

/** A word nobody understood always leads on: what comes nearest, a search through all foods, a food of one's own, or out with it. */
const props = defineProps<{ words: string; offers: Offer[] }>()
const emit = defineEmits<{ name: [words: string, ingredient: string]; leaveOut: [] }>()
const kitchen = useKitchen()
const router = useRouter()
const chosen = ref<string | null>(null)

/** Every food by a name of its own, to be found by typing. */
const foods = computed(() => {
    const named = new Map<string, string>()
    for (const { name, ingredient } of kitchen.vocabulary?.foods ?? []) if (!named.has(ingredient)) named.set(ingredient, name)

    return [...named].map(([id, name]) => ({ id, name }))
})

function take(id: unknown): void {
    if (typeof id === 'string') emit('name', props.words, id)
}

function makeOwn(): void {
    void router.push({ path: '/cupboard/foods', query: { own: props.words } })
}
</script>

<template>
    <div class="did-you-mean" role="group" :aria-label="`What is meant by “${words}”`">
        <p>
            {{
                offers.length > 0
                    ? 'Did you mean one of these? The kitchen remembers your answer.'
                    : `Nothing the kitchen knows comes near “${words}”.`
            }}
        </p>
        <p v-if="offers.length > 0" class="offers">
            <v-btn v-for="one in offers" :key="one.ingredient" variant="outlined" @click="emit('name', words, one.ingredient)"
                >“{{ words }}” is {{ one.name }} <small>{{ one.reason }}</small></v-btn
            >
        </p>
        <div class="did-you-mean__ways">
            <v-autocomplete
                v-model="chosen"
                class="field--long"
                label="Look through all foods"
                :items="foods"
                item-title="name"
                item-value="id"
                auto-select-first
                no-data-text="No food is called so."
                @update:model-value="take"
            />
            <v-btn variant="outlined" @click="makeOwn">Make it our own food</v-btn>
            <v-btn variant="outlined" @click="emit('leaveOut')">Leave it out</v-btn>
        </div>
    </div>
</template>
