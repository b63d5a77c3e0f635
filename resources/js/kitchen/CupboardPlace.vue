<script setup lang="ts">
import {
    mdiArchiveArrowDownOutline,
    mdiBarcode,
    mdiBasketOutline,
    mdiBookCheckOutline,
    mdiCashMultiple,
    mdiDeleteRestore,
    mdiFoodVariant,
    mdiFountainPenTip,
    mdiHomeEditOutline,
    mdiSwapHorizontal,
    mdiSwapVerticalBold,
    mdiCorn,
} from '@mdi/js'
import { computed } from 'vue'
import { useRoute } from 'vue-router'

/** What is behind one door: labels, foods, swaps, prices, rules, records, house rules, trash. Each has its own address. */
const route = useRoute()

const PARTS = [
    { to: '/cupboard/labels', name: 'Labels', icon: mdiBarcode },
    { to: '/cupboard/foods', name: 'Foods', icon: mdiCorn },
    { to: '/cupboard/swaps', name: 'Swaps', icon: mdiSwapHorizontal },
    { to: '/cupboard/at-hand', name: 'At hand', icon: mdiFoodVariant },
    { to: '/cupboard/shopping', name: 'Shopping', icon: mdiBasketOutline },
    { to: '/cupboard/prices', name: 'Prices', icon: mdiCashMultiple },
    { to: '/cupboard/rules', name: 'Rule book', icon: mdiBookCheckOutline },
    { to: '/cupboard/confirmed', name: 'Confirmed', icon: mdiFountainPenTip },
    { to: '/cupboard/house', name: 'House rules', icon: mdiHomeEditOutline },
    { to: '/cupboard/in-and-out', name: 'In and out', icon: mdiSwapVerticalBold },
    { to: '/cupboard/backup', name: 'Backup', icon: mdiArchiveArrowDownOutline },
    { to: '/cupboard/trash', name: 'Trash', icon: mdiDeleteRestore },
]
const title = computed(() => String(route.meta['title'] ?? 'Cupboard'))
</script>

<template>
    <div class="place place--wide cupboard">
        <nav class="cupboard__parts" aria-label="In the cupboard">
            <router-link v-for="part in PARTS" :key="part.to" :to="part.to" class="cupboard__part"
                ><v-icon :icon="part.icon" size="20" aria-hidden="true" /><span>{{ part.name }}</span></router-link
            >
        </nav>
        <section class="cupboard__open">
            <header class="place__head">
                <h1>{{ title }}</h1>
            </header>
            <router-view />
        </section>
    </div>
</template>
