<script setup lang="ts">
import { mdiDotsVertical, mdiStar, mdiStarOutline } from '@mdi/js'
import { computed, watch } from 'vue'
import type { Slip } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import { figure } from '../ui/format'
import { isUnjudged } from './finding'
import SlipPicture from './SlipPicture.vue'

/** A recipe as a card: what it is like, whom it is cleared for today, and what can be done with it. */
const props = defineProps<{ slip: Slip; versions: number; open: boolean; inHand: boolean }>()
const emit = defineEmits<{ take: []; favourite: []; more: [button: HTMLElement]; tag: [tag: string]; family: []; unjudged: [] }>()
const kitchen = useKitchen()

watch(
    () => isUnjudged(props.slip),
    (is) => {
        if (is) emit('unjudged')
    },
    { immediate: true },
)

const texture = computed(() => kitchen.choices?.textures.find((one) => one.id === props.slip.texture)?.name ?? null)
const like = computed(() => {
    const { judged } = props.slip

    return [
        texture.value,
        judged?.kcalPerPiece == null ? null : `${figure(judged.kcalPerPiece)} kcal a piece`,
        judged?.pieces == null ? null : `${Math.floor(judged.pieces + 1e-9)} pieces`,
    ]
        .filter((one) => one !== null)
        .join(' · ')
})
const foods = computed(() =>
    props.slip.begins
        .split('\n')
        .map((line) => line.trim())
        .filter((line) => line !== '' && !line.endsWith(':'))
        .slice(0, 4)
        .join(' · '),
)
const cleared = computed(() => kitchen.dogs.filter((dog) => props.slip.judged?.clearedFor.includes(dog.id) === true).map((dog) => dog.name))
const isForAll = computed(() => cleared.value.length > 0 && cleared.value.length === kitchen.dogs.length)
const forWhom = computed(() => {
    if (props.slip.begins.trim() === '') return 'nothing written on it yet'
    if (props.slip.judged === null) return 'not checked yet for the dogs as they are today'
    if (cleared.value.length === 0) return 'cleared for none of the dogs'
    if (isForAll.value) return 'cleared for every dog'

    return cleared.value.length > 6 ? `cleared for ${cleared.value.length} of ${kitchen.dogs.length} dogs` : `cleared for ${cleared.value.join(', ')}`
})
const waits = computed(() => kitchen.all.recipes.waits(props.slip.id))
</script>

<template>
    <article class="slip-card" :aria-label="slip.title">
        <SlipPicture :slip="slip" />
        <div class="slip-card__body">
            <h2 class="slip-card__title">
                <button type="button" class="slip-card__open" @click="emit('take')">{{ slip.title }}</button><small v-if="slip.promoted"> ours</small>
            </h2>
            <p class="slip-card__like">{{ like }}</p>
            <p class="slip-card__foods">{{ foods }}</p>
            <p class="slip-card__for" :class="{ 'slip-card__for--unknown': slip.judged === null }">
                {{ forWhom }}<template v-if="waits"> · waits for the kitchen</template>
            </p>
            <p v-if="slip.tags.length > 0" class="slip-card__tags">
                <v-chip
                    v-for="tag in slip.tags"
                    :key="tag"
                    size="small"
                    tag="button"
                    type="button"
                    :aria-label="`All with the tag ${tag}`"
                    @click="emit('tag', tag)"
                    >{{ tag }}</v-chip
                >
            </p>
        </div>
        <div class="slip-card__acts">
            <v-btn icon :aria-label="`${slip.title}: favourite`" :aria-pressed="slip.favourite" @click="emit('favourite')"
                ><v-icon :icon="slip.favourite ? mdiStar : mdiStarOutline" :color="slip.favourite ? 'secondary' : undefined"
            /></v-btn>
            <v-btn
                icon
                aria-haspopup="menu"
                :aria-expanded="inHand"
                :aria-label="`More for ${slip.title}`"
                @click="emit('more', $event.currentTarget as HTMLElement)"
                ><v-icon :icon="mdiDotsVertical"
            /></v-btn>
        </div>
        <v-btn v-if="versions > 0" class="slip-card__family" size="small" :aria-expanded="open" @click="emit('family')"
            >{{ versions }} version{{ versions === 1 ? '' : 's' }} of it</v-btn
        >
        <slot />
    </article>
</template>
