<script setup lang="ts">
import { computed } from 'vue'
import type { BatchSlip } from '../api/types.generated'
import { figure, grams } from '../ui/format'

/** Two batches side by side: what was planned, what came of it. */
const props = defineProps<{ one: BatchSlip; two: BatchSlip }>()
const emit = defineEmits<{ close: [] }>()

const both = computed(() => [props.one, props.two])
const minutes = (of: BatchSlip, key: 'minutes' | 'plannedMinutes'): string =>
    of.lots.map((lot) => (lot[key] === null ? '–' : `${figure(lot[key])} min`)).join(', ')
const ROWS: { name: string; say: (of: BatchSlip) => string }[] = [
    { name: 'Planned in the heat', say: (of) => minutes(of, 'plannedMinutes') },
    { name: 'Really in the heat', say: (of) => minutes(of, 'minutes') },
    { name: 'Went in otherwise', say: (of) => (of.made === 0 ? 'nothing' : `${of.made} things`) },
    { name: 'Felt', say: (of) => of.felt ?? '–' },
    { name: 'Pieces', say: (of) => (of.count === null ? '–' : String(of.count)) },
    { name: 'Pieces reckoned', say: (of) => figure(of.lots.reduce((sum, lot) => sum + (lot.computedCount ?? 0), 0)) },
    { name: 'Weight, cold', say: (of) => (of.bakedGrams === null ? '–' : grams(of.bakedGrams)) },
    { name: 'Weight reckoned', say: (of) => grams(of.lots.reduce((sum, lot) => sum + (lot.computedGrams ?? 0), 0)) },
    { name: 'Wasted', say: (of) => (of.wastePieces > 0 ? `${of.wastePieces} pieces` : of.wasteGrams > 0 ? grams(of.wasteGrams) : 'nothing') },
    { name: 'Next time', say: (of) => of.next ?? '–' },
]
</script>

<template>
    <section class="compare" aria-label="Two batches compared">
        <table>
            <thead>
                <tr>
                    <td />
                    <th v-for="of in both" :key="of.id" scope="col">
                        {{ of.title }}<small>{{ of.begunAt.slice(0, 10) }}</small>
                    </th>
                </tr>
            </thead>
            <tbody>
                <tr v-for="row in ROWS" :key="row.name" :class="{ compare__differs: row.say(one) !== row.say(two) }">
                    <th scope="row">{{ row.name }}</th>
                    <td v-for="of in both" :key="of.id">{{ row.say(of) }}</td>
                </tr>
            </tbody>
        </table>
        <v-btn variant="outlined" @click="emit('close')">Close</v-btn>
    </section>
</template>
