<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Offer } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'

/** A word nobody understood always leads on: what comes nearest, a search through all foods, a food of one's own, or out with it. */
const props = defineProps<{ words: string, offers: Offer[] }>()
const emit = defineEmits<{ name: [words: string, ingredient: string], leaveOut: [] }>()
const kitchen = useKitchen()
const router = useRouter()
const searched = ref('')

const MOST = 8

const found = computed(() => {
    const asked = searched.value.trim().toLowerCase()
    if (asked.length < 2) return []
    const foods = new Map<string, string>()
    for (const { name, ingredient } of kitchen.vocabulary?.foods ?? []) {
        if (name.toLowerCase().includes(asked) && !foods.has(ingredient)) foods.set(ingredient, name)
    }

    return [...foods].sort(([, one], [, two]) => Number(two.toLowerCase().startsWith(asked)) - Number(one.toLowerCase().startsWith(asked)) || one.length - two.length).slice(0, MOST)
})

function makeOwn(): void {
    void router.push({ path: '/pantry', query: { own: props.words } })
}
</script>

<template>
    <div class="did-you-mean" role="group" :aria-label="`What is meant by “${words}”`">
        <p>{{ offers.length > 0 ? 'Did you mean one of these? The kitchen remembers your answer.' : `Nothing the kitchen knows comes near “${words}”.` }}</p>
        <p v-if="offers.length > 0" class="offers"><button v-for="one in offers" :key="one.ingredient" type="button" class="toggle" @click="emit('name', words, one.ingredient)">“{{ words }}” is {{ one.name }} <small>{{ one.reason }}</small></button></p>
        <div class="did-you-mean__ways">
            <label class="plain"><span>Look through all foods</span><input v-model="searched" type="search" autocomplete="off" @keydown.enter.prevent="found[0] !== undefined && emit('name', words, found[0][0])" /></label>
            <v-btn variant="outlined" @click="makeOwn">Make it our own food</v-btn>
            <v-btn variant="outlined" @click="emit('leaveOut')">Leave it out</v-btn>
        </div>
        <p v-if="searched.trim().length >= 2" class="offers" role="status"><button v-for="[ingredient, name] in found" :key="ingredient" type="button" class="toggle" @click="emit('name', words, ingredient)">“{{ words }}” is {{ name }}</button><span v-if="found.length === 0">No food is called so.</span></p>
    </div>
</template>
