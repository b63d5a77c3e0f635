<script setup lang="ts">
import { computed } from 'vue'
import FindingMark from '../ui/FindingMark.vue'
import { figure, pieces } from '../ui/format'
import type { BatchOnPage } from './useBatch'

/** What a piece of it holds and how many each dog may have, of what was really made; and for whom it was begun though not cleared. */
const props = defineProps<{ page: BatchOnPage }>()
const { figures, isLate } = props.page
const open = computed(() => props.page.batch.value?.answer.verdict.dogs.filter((dog) => !dog.cleared).map((dog) => dog.name) ?? [])
</script>

<template>
    <div v-if="figures !== null" class="oven__figures" :class="{ 'oven__figures--late': isLate }" aria-live="polite">
        <p v-if="isLate" class="hint">Not checked yet.</p>
        <p>
            <strong>{{ Math.floor(figures.piece.count.best + 1e-9) }}</strong> pieces of
            <strong>{{ figure(figures.piece.kcal.best) }}</strong> kcal<template v-if="figures.batch.feel !== null"
                >; {{ figures.batch.feel }}</template
            >
        </p>
        <ul>
            <li v-for="ration in figures.rations" :key="ration.dog">
                <strong>{{ ration.dog }}</strong>
                {{ ration.piecesPerDay === null ? 'as the vet says' : ration.piecesPerDay === 0 ? 'none' : `${pieces(ration.piecesPerDay)} a day` }}
            </li>
        </ul>
    </div>
    <p v-if="open.length > 0" class="oven__open">
        <FindingMark level="ask-vet" /> Begun while not cleared for {{ open.join(', ') }}: give them none of it before that is settled.
    </p>
</template>
