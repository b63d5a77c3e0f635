<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Ration } from '../api/types.generated'
import { figure, pieces } from '../ui/format'

/** Every limit of one dog's ration as a bar of pieces, the tightest first: one sees what holds, and what would hold next. */
const props = defineProps<{ ration: Ration; few?: boolean }>()
const all = ref(false)

const bars = computed(() => {
    const made = props.ration.explain?.limits ?? []
    const limits = props.ration.limits
        .map((limit, n) => ({ ...limit, shows: made[n]?.shows ?? limit.code, made: made[n]?.made ?? '' }))
        .sort((one, two) => one.piecesPerDay - two.piecesPerDay)
    const tightest = limits[0]?.piecesPerDay ?? 0
    // the bars reach to what would hold next; what lies beyond is cut off, and drawn so
    const far = Math.max(1.2 * (limits[1]?.piecesPerDay ?? tightest), tightest, 1)

    return limits.map((limit) => ({ ...limit, percent: Math.min(100, (100 * limit.piecesPerDay) / far), beyond: limit.piecesPerDay > far }))
})
</script>

<template>
    <ol class="limits" :aria-label="`What limits ${ration.dog}`">
        <li v-for="(bar, index) in few && !all ? bars.slice(0, 3) : bars" :key="bar.code" class="limit" :class="{ 'limit--holds': index === 0 }">
            <span class="limit__name">{{ bar.shows }}</span>
            <svg class="limit__bar" viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
                <rect x="0" y="2" :width="Math.max(0.6, bar.percent)" height="6" rx="1" />
                <path v-if="bar.beyond" d="M96 0 l-2 3 l3 2 l-3 2 l2 3" />
            </svg>
            <span class="limit__pieces">{{ bar.piecesPerDay < 0.25 ? figure(bar.piecesPerDay) : pieces(Math.floor(bar.piecesPerDay * 4) / 4) }}</span>
            <span v-if="index === 0" class="limit__made">{{ bar.made }}</span>
        </li>
        <li v-if="few && bars.length > 3">
            <v-btn size="small" :aria-expanded="all" @click="all = !all">{{
                all ? 'only the nearest' : `${bars.length - 3} more, further off`
            }}</v-btn>
        </li>
    </ol>
</template>
