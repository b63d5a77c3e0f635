<script setup lang="ts">
import { ref } from 'vue'
import { useRoute } from 'vue-router'
import ConfirmationRecords from './ConfirmationRecords.vue'
import LabelReader from './LabelReader.vue'
import OwnPantry from './OwnPantry.vue'
import OwnSwaps from './OwnSwaps.vue'
import PriceList from './PriceList.vue'
import ProductShelf from './ProductShelf.vue'

/** The pantry: labels that were read, the kitchen's own foods and words, and what people confirmed. */
const tabs = ['Labels', 'Own foods and words', 'Swaps', 'Prices', 'What was confirmed'] as const
/** Words that were not understood on a sheet, to be made a food of one's own. */
const own = useRoute().query['own']
const tab = ref<typeof tabs[number]>(typeof own === 'string' ? 'Own foods and words' : 'Labels')
const reading = ref<{ id: string | null, name: string, number: string | null, ingredients: string } | null>(null)
</script>

<template>
    <div class="place">
        <header class="place__head"><h1>Pantry</h1></header>
        <div class="switch pantry__tabs" role="group" aria-label="Parts of the pantry"><button v-for="one in tabs" :key="one" type="button" :aria-pressed="tab === one" @click="tab = one">{{ one }}</button></div>
        <div v-if="tab === 'Labels'" class="pantry__halves">
            <LabelReader v-model="reading" />
            <ProductShelf @read="reading = $event" />
        </div>
        <OwnPantry v-else-if="tab === 'Own foods and words'" :name="typeof own === 'string' ? own : ''" />
        <OwnSwaps v-else-if="tab === 'Swaps'" />
        <PriceList v-else-if="tab === 'Prices'" />
        <ConfirmationRecords v-else />
    </div>
</template>
