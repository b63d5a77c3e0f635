<script setup lang="ts">
import type { Panel } from '../api/types.generated'
import { figure } from '../ui/format'

/** What a piece and the batch hold: as they are, in dry matter, per 1000 kcal. */
defineProps<{ panel: Panel }>()

function shown(value: number | null): string {
    return value === null ? '–' : figure(value)
}
</script>

<template>
    <div class="panel">
        <p>
            {{ figure(panel.kcalPer100g) }} kcal per 100 g<template v-if="panel.kcalModifiedPer100g !== null"
                >; {{ figure(panel.kcalModifiedPer100g) }} by the pet-food label convention (dietary in place of crude fibre, so
                understated)</template
            >. Moisture {{ figure(panel.moisture) }} %.<template v-if="panel.class === 'light'">
                By the label rule for dog food it may be called light.</template
            >
        </p>
        <table class="compare__table">
            <caption class="hint">
                What it holds
            </caption>
            <thead>
                <tr>
                    <th scope="col" />
                    <th scope="col">a piece</th>
                    <th scope="col">per 100 g</th>
                    <th scope="col">100 g dry</th>
                    <th scope="col">1000 kcal</th>
                    <th scope="col">the batch</th>
                </tr>
            </thead>
            <tbody>
                <tr v-for="row in panel.rows" :key="row.name">
                    <th scope="row">{{ row.name }}, {{ row.unit }}</th>
                    <td>{{ shown(row.piece) }}</td>
                    <td>{{ shown(row.per100g) }}</td>
                    <td>{{ shown(row.dryMatterPer100g) }}</td>
                    <td>{{ shown(row.per1000kcal) }}</td>
                    <td>{{ shown(row.batch) }}</td>
                </tr>
            </tbody>
        </table>
    </div>
</template>
