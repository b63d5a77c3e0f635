<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useKitchen } from '../kitchen/useKitchen'

/** A dog's name and its four pages. */
const props = defineProps<{ dog: string }>()
const kitchen = useKitchen()
const route = useRoute()
const name = computed(() => kitchen.all.dogs.of(props.dog)?.name ?? '')
const PAGES = [
    { name: 'dog', path: '', title: 'About' },
    { name: 'dog-days', path: '/days', title: 'Its days' },
    { name: 'dog-trials', path: '/trials', title: 'Trials' },
    { name: 'dog-likes', path: '/likes', title: 'What it likes' },
] as const
</script>

<template>
    <header class="place__head dog-head">
        <h1>{{ name }}</h1>
        <nav v-if="name !== ''" :aria-label="`Pages of ${name}`">
            <router-link
                v-for="one in PAGES"
                :key="one.name"
                class="dog-head__page"
                :to="`/dogs/${dog}${one.path}`"
                :aria-current="route.name === one.name ? 'page' : undefined"
                >{{ one.title }}</router-link
            >
        </nav>
        <slot />
    </header>
</template>
