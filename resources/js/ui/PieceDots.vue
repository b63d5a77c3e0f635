<script setup lang="ts">
import { computed } from 'vue'

/** A number of pieces drawn as pieces: three and a half discs, not only "3.5". */
const props = defineProps<{ count: number; ghost?: boolean; most?: number }>()

const PARTS = ['', 'M8 8 V1 A7 7 0 0 1 15 8z', 'M8 1 A7 7 0 0 1 8 15z', 'M8 8 H1 A7 7 0 1 0 8 1z']
const drawn = computed(() => {
    const most = props.most ?? 24
    const whole = Math.min(Math.floor(props.count), most)

    return { whole, part: whole < most ? Math.round((props.count - Math.floor(props.count)) * 4) : 0, more: props.count > most }
})
</script>

<template>
    <span class="dots" aria-hidden="true">
        <svg v-for="i in drawn.whole" :key="i" viewBox="0 0 16 16" :class="{ ghost }"><circle cx="8" cy="8" r="7" /></svg>
        <svg v-if="drawn.part > 0" viewBox="0 0 16 16" :class="{ ghost }">
            <circle cx="8" cy="8" r="7" class="hollow" />
            <path :d="PARTS[drawn.part]" />
        </svg>
        <span v-if="drawn.more" class="ration__more">and more</span>
    </span>
</template>
