<script setup lang="ts">
import { mdiAlertOctagonOutline, mdiBookCheckOutline, mdiBowlMixOutline, mdiDogSide, mdiBarcode, mdiBookOpenPageVariantOutline, mdiCalendarWeekOutline, mdiHomeEditOutline, mdiWeatherNight, mdiWhiteBalanceSunny, mdiKeyboardOutline } from '@mdi/js'
import { useEventListener } from '@vueuse/core'
import { computed, defineAsyncComponent, ref, watchEffect } from 'vue'
import { useRouter } from 'vue-router'
import { useTheme } from 'vuetify'
import { useKitchen } from './kitchen/useKitchen'
import { pressed } from './ui/keys'
import ShortcutList from './ui/ShortcutList.vue'

const kitchen = useKitchen()
const theme = useTheme()
const router = useRouter()
const RaidDialog = defineAsyncComponent(() => import('./raid/RaidDialog.vue'))
const showsKeys = ref(false)
const raided = ref(false)

const places = [
    { to: '/bench', name: 'Bench', icon: mdiBowlMixOutline },
    { to: '/dogs', name: 'Dogs', icon: mdiDogSide },
    { to: '/shelf', name: 'Shelf', icon: mdiBookOpenPageVariantOutline },
    { to: '/pantry', name: 'Pantry', icon: mdiBarcode },
    { to: '/rules', name: 'Rule book', icon: mdiBookCheckOutline },
    { to: '/settings', name: 'House rules', icon: mdiHomeEditOutline },
    { to: '/chart', name: 'Chart', icon: mdiCalendarWeekOutline },
]

const isNight = computed(() => theme.global.current.value.dark)

// dialogs hang outside the application's own element and take their colours from here
watchEffect(() => {
    document.documentElement.classList.toggle('night', isNight.value)
    document.documentElement.classList.toggle('day', !isNight.value)
})

function turnLight(): void {
    const next = isNight.value ? 'day' : 'night'
    theme.change(next)
    localStorage.setItem('mildbowl.theme', next)
}

useEventListener(document, 'keydown', (event) => {
    const target = event.target as HTMLElement
    const typing = target.closest('input, textarea, [contenteditable]') !== null
    const key = pressed(event, 'list', 'places', 'raid')
    if (key === null || (key === 'list' && typing)) return
    if (key === 'list') showsKeys.value = true
    else if (key === 'raid') raided.value = true
    else {
        const place = places[Number(event.key) - 1]
        if (place !== undefined) void router.push(place.to)
    }
    event.preventDefault()
})

void kitchen.open()
</script>

<template>
    <v-app :class="isNight ? 'night' : 'day'">
        <a class="skip" href="#place">Skip to the sheet</a>
        <header class="rail">
            <div class="rail__name">
                <svg viewBox="0 0 64 40" width="38" height="24" aria-hidden="true"><path d="M4 10h56a28 26 0 0 1-56 0z" class="rail__bowl" /><ellipse cx="32" cy="10" rx="28" ry="5" class="rail__dough" /></svg>
                <span><strong>Mild Bowl</strong><em>{{ kitchen.kitchen?.name ?? '' }}</em></span>
            </div>
            <nav class="rail__places" aria-label="Places">
                <router-link v-for="place in places" :key="place.to" :to="place.to" class="rail__place">
                    <v-icon :icon="place.icon" size="22" aria-hidden="true" /><span>{{ place.name }}</span>
                </router-link>
            </nav>
            <div class="rail__end">
                <button type="button" class="rail__raid" aria-label="It ate something" @click="raided = true"><v-icon :icon="mdiAlertOctagonOutline" size="20" aria-hidden="true" /><span>It ate something</span></button>
                <v-btn class="rail__keys" icon aria-label="Keys that work here" @click="showsKeys = true"><v-icon :icon="mdiKeyboardOutline" /></v-btn>
                <v-btn icon :aria-label="isNight ? 'Turn the light on' : 'Dim the light'" @click="turnLight"><v-icon :icon="isNight ? mdiWhiteBalanceSunny : mdiWeatherNight" /></v-btn>
            </div>
        </header>
        <p v-if="kitchen.trouble !== null" class="trouble" role="alert">
            {{ kitchen.trouble }} <v-btn variant="outlined" @click="kitchen.open()">Try again</v-btn>
        </p>
        <main id="place" tabindex="-1"><router-view /></main>
        <footer class="standing">{{ kitchen.choices?.standingWords ?? 'A planning aid, not veterinary advice. If a dog has eaten something poisonous: call a vet or an animal poison line now.' }}</footer>
        <ShortcutList v-model="showsKeys" />
        <RaidDialog v-model="raided" />
    </v-app>
</template>
