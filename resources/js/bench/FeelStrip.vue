<script setup lang="ts">
import { computed } from 'vue'
import type { FormulateAnswer } from '../api/types.generated'

/** From crumbs to batter: where this dough stands. */
const props = defineProps<{ batch: FormulateAnswer['batch'] }>()

const stops = [
    { upTo: 0.75, word: 'crumbles' }, { upTo: 0.92, word: 'stiff' }, { upTo: 1.08, word: 'rolls' },
    { upTo: 1.3, word: 'tacky' }, { upTo: 1.8, word: 'spreads' }, { upTo: 2.4, word: 'batter' },
]

/** Each class has the same width on the strip; the needle stands where the wetness falls inside its class. */
const place = computed(() => {
    const wetness = props.batch.wetness
    if (wetness === null) return null
    let from = 0.4
    for (const [index, stop] of stops.entries()) {
        if (wetness < stop.upTo || index === stops.length - 1) {
            const inside = Math.min(1, Math.max(0, (wetness - from) / (stop.upTo - from)))
            return { index, percent: (index + inside) * (100 / stops.length) }
        }
        from = stop.upTo
    }

    return null
})
</script>

<template>
    <figure class="feel">
        <figcaption><strong>{{ batch.feel ?? 'No flour to judge a dough by' }}</strong><span v-if="batch.explain?.sign"> — {{ batch.explain.sign }}</span></figcaption>
        <svg v-if="place !== null" viewBox="0 0 600 44" class="feel__strip" aria-hidden="true">
            <g v-for="(stop, index) in stops" :key="stop.word">
                <rect :x="index * 100 + 1" y="14" width="98" height="10" rx="5" :class="{ now: place.index === index }" />
                <text :x="index * 100 + 50" y="40" text-anchor="middle" :class="{ now: place.index === index }">{{ stop.word }}</text>
            </g>
            <path :d="`M${place.percent * 6} 14 l-7 -13 h14 z`" class="needle" />
        </svg>
    </figure>
</template>
