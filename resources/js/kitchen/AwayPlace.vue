<script setup lang="ts">
import { useRoute } from 'vue-router'
import EmptyPlace from '../ui/EmptyPlace.vue'

/** The page was opened where its kitchen does not answer: what it would show is not known here, and what can be done meanwhile. */
const route = useRoute()
</script>

<template>
    <div class="place place--narrow">
        <header class="place__head">
            <h1>{{ route.meta['title'] }}</h1>
        </header>
        <EmptyPlace title="The kitchen is away"
            >What belongs here is kept in the kitchen, and nothing of it is known in this browser. It opens by itself once the kitchen answers, and
            what was written down and not sent is sent then. Meanwhile the shopping list that was made last can be ticked, and a recipe written on the
            bench: bake nothing of it before it was screened.<template #acts
                ><v-btn variant="flat" color="primary" to="/cupboard/shopping">The shopping list</v-btn
                ><v-btn variant="outlined" to="/bench">The bench</v-btn></template
            ></EmptyPlace
        >
    </div>
</template>
