<script setup lang="ts">
import type { Acceptance } from '../api/types.generated'

/** How often each was taken, of the times it was offered: drawn as pieces, and counted. */
defineProps<{ of: Acceptance[]; nameOf: (id: string) => string; label: string }>()
const MOST = 12
const SAYS: Record<Acceptance['liking'], string> = { liked: 'takes it', mixed: 'now and then', refused: 'leaves it', unknown: 'too few times' }
</script>

<template>
    <ul class="tastes" :aria-label="label">
        <li v-for="one in of" :key="one.what" class="taste" :class="`taste--${one.liking}`">
            <span class="taste__name">{{ nameOf(one.what) }}</span>
            <span class="taste__dots" aria-hidden="true"
                ><i
                    v-for="n in Math.min(one.of, MOST)"
                    :key="n"
                    :class="{ taste__took: n <= Math.round((one.took / one.of) * Math.min(one.of, MOST)) }"
            /></span>
            <small
                >{{ one.took }} of {{ one.of }}<template v-if="one.again > 0">, came back {{ one.again }}×</template>: {{ SAYS[one.liking] }}</small
            >
        </li>
    </ul>
</template>
