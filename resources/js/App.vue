<script setup lang="ts">
import {
    mdiAlertOctagonOutline,
    mdiBowlMixOutline,
    mdiCoffeeOutline,
    mdiDogSide,
    mdiKeyboardOutline,
    mdiStove,
    mdiWardrobeOutline,
    mdiWeatherNight,
    mdiWhiteBalanceSunny,
} from '@mdi/js'
import { useEventListener, useMediaQuery } from '@vueuse/core'
import { computed, ref, watchEffect } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useTheme } from 'vuetify'
import AwayPlace from './kitchen/AwayPlace.vue'
import { useKitchen } from './kitchen/useKitchen'
import IconButton from './ui/IconButton.vue'
import { KEYS, lead, leading, led, pressed, type Key } from './ui/keys'
import { vRoving } from './ui/roving'
import { useReturn } from './ui/useReturn'
import { LIGHT } from './ui/vuetify'
import { later } from './ui/later'

const kitchen = useKitchen()
const theme = useTheme()
const router = useRouter()
const route = useRoute()
const UnitsMenu = later(() => import('./kitchen/UnitsMenu.vue'))
const WaitingList = later(() => import('./kitchen/WaitingList.vue'))
const NoticeBar = later(() => import('./ui/NoticeBar.vue'))
const RaidDialog = later(() => import('./raid/RaidDialog.vue'))
const ShortcutList = later(() => import('./ui/ShortcutList.vue'))
const showsKeys = ref(false)
const raided = ref(false)
/** What was opened once stays: it comes in again at once. */
const wasRaided = ref(false)
useReturn(raided)
useReturn(showsKeys)
const wereKeysShown = ref(false)
watchEffect(() => {
    if (raided.value) wasRaided.value = true
    if (showsKeys.value) wereKeysShown.value = true
})

/** A jar with a lid, half full: the set has none. */
const JAR =
    'M7 2h10v3H7V2M6.5 6h11A2.5 2.5 0 0 1 20 8.5V20a2 2 0 0 1-2 2H6a2 2 0 0 1-2-2V8.5A2.5 2.5 0 0 1 6.5 6M6 8.5V11h12V8.5a.5.5 0 0 0-.5-.5h-11a.5.5 0 0 0-.5.5'

/** In the order of the day. */
const PLACES = [
    { id: 'today', to: '/today', name: 'Today', icon: mdiCoffeeOutline },
    { id: 'bench', to: '/bench', name: 'Bench', icon: mdiBowlMixOutline },
    { id: 'oven', to: '/oven', name: 'Oven', icon: mdiStove },
    { id: 'jars', to: '/jars', name: 'Jars', icon: JAR },
    { id: 'dogs', to: '/dogs', name: 'Dogs', icon: mdiDogSide },
    { id: 'cupboard', to: '/cupboard', name: 'Cupboard', icon: mdiWardrobeOutline },
] as const

/** At a phone's width the places lie under the thumb. */
const isNarrow = useMediaQuery('(max-width: 640px)')
const isNight = computed(() => theme.global.current.value.dark)
const here = computed(() => String(route.meta['place'] ?? ''))
/** The kitchen never answered: a place without it would look empty, and is not. Some can be used all the same. */
const isUnknown = computed(() => kitchen.kitchen === null && kitchen.trouble !== null && route.meta['away'] !== true)
const letters = computed(() => (KEYS as readonly Key[]).filter((one) => one.then !== undefined))

// dialogs hang outside the application's own element and take their colours from here
watchEffect(() => {
    document.documentElement.classList.toggle('night', isNight.value)
    document.documentElement.classList.toggle('day', !isNight.value)
})

function turnLight(): void {
    const next = isNight.value ? 'day' : 'night'
    theme.change(next)
    try {
        localStorage.setItem(LIGHT, next)
    } catch {
        // it lasts as long as the page
    }
}

/** On the bench the page is the sheet: one key later one writes. */
function skip(event: MouseEvent): void {
    const sheet = document.querySelector<HTMLElement>('.cm-content')
    if (sheet === null) return
    event.preventDefault()
    sheet.focus()
}

useEventListener(document, 'keydown', lead, { capture: true })
useEventListener(document, 'keydown', (event) => {
    const typing = event.target instanceof Element && event.target.closest('input, textarea, [contenteditable]') !== null
    const key = pressed(event, 'list', 'today', 'bench', 'oven', 'jars', 'dogs', 'cupboard', 'shelf', 'raid')
    led(event)
    if (key === null || (key === 'list' && typing)) return
    if (key === 'list') showsKeys.value = true
    else if (key === 'raid') raided.value = true
    else void router.push(`/${key}`)
    event.preventDefault()
})
useEventListener(window, 'blur', () => {
    leading.is = false
})

void kitchen.open()
</script>

<template>
    <v-app :class="[isNight ? 'night' : 'day', { 'app--narrow': isNarrow }]">
        <a class="skip" href="#place" @click="skip">{{ route.name === 'bench' ? 'Skip to the sheet' : 'Skip to the page' }}</a>
        <header class="rail">
            <router-link class="rail__name" to="/bench" tabindex="-1" aria-label="Mild Bowl, to the bench">
                <svg viewBox="0 0 64 40" width="38" height="24" aria-hidden="true">
                    <path d="M4 10h56a28 26 0 0 1-56 0z" class="rail__bowl" />
                    <ellipse cx="32" cy="10" rx="28" ry="5" class="rail__dough" />
                </svg>
                <span
                    ><strong>Mild Bowl</strong><em>{{ kitchen.kitchen?.name ?? '' }}</em></span
                >
            </router-link>
            <nav v-if="!isNarrow" v-roving class="rail__places" aria-label="Places">
                <router-link
                    v-for="place in PLACES"
                    :key="place.to"
                    :to="place.to"
                    class="rail__place"
                    :class="{ 'rail__place--here': here === place.id }"
                    :aria-current="here === place.id ? 'page' : undefined"
                >
                    <v-icon :icon="place.icon" size="22" aria-hidden="true" /><span>{{ place.name }}</span>
                </router-link>
            </nav>
            <div v-roving class="rail__end" role="toolbar" aria-label="Always at hand">
                <WaitingList />
                <button type="button" class="rail__raid" aria-label="It ate something" @click="raided = true">
                    <v-icon :icon="mdiAlertOctagonOutline" size="20" aria-hidden="true" /><span>It ate something</span>
                </button>
                <UnitsMenu />
                <IconButton class="rail__keys" label="Keys that work here" :icon="mdiKeyboardOutline" @click="showsKeys = true" />
                <IconButton
                    :label="isNight ? 'Turn the light on' : 'Dim the light'"
                    :icon="isNight ? mdiWhiteBalanceSunny : mdiWeatherNight"
                    @click="turnLight"
                />
            </div>
        </header>
        <p v-if="kitchen.trouble !== null" class="trouble" role="alert">
            {{ kitchen.trouble }} <v-btn variant="outlined" @click="kitchen.open()">Try again</v-btn>
        </p>
        <main id="place" tabindex="-1" :inert="raided || showsKeys"><AwayPlace v-if="isUnknown" /><router-view v-else /></main>
        <footer class="standing">
            {{
                kitchen.choices?.standingWords ??
                'A planning aid, not veterinary advice. If a dog has eaten something poisonous: call a vet or an animal poison line now.'
            }}
        </footer>
        <v-bottom-navigation v-if="isNarrow" v-roving tag="nav" class="thumb" aria-label="Places" grow :height="60" :elevation="0" :active="true">
            <v-btn
                v-for="place in PLACES"
                :key="place.to"
                :to="place.to"
                class="thumb__place"
                :class="{ 'thumb__place--here': here === place.id }"
                :aria-current="here === place.id ? 'page' : undefined"
                ><v-icon :icon="place.icon" size="24" aria-hidden="true" /><span>{{ place.name }}</span></v-btn
            >
        </v-bottom-navigation>
        <div v-if="leading.is" class="leading" role="status">
            <span v-for="one in letters" :key="one.id"
                ><kbd>{{ one.then?.toUpperCase() }}</kbd> {{ one.does }}</span
            >
        </div>
        <ShortcutList v-if="wereKeysShown" v-model="showsKeys" />
        <RaidDialog v-if="wasRaided" v-model="raided" />
        <NoticeBar />
    </v-app>
</template>
