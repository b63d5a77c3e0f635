<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { DoughBalance } from '../api/types.generated'
import { useQuestion } from './useQuestion'
import { useSheet } from './useSheet'

/** More meat, less flour: slid at the same mass, with the place where the dough stops holding. */
const props = defineProps<{ balance: DoughBalance }>()
const { sheet, takeSwap } = useSheet()
const { answer } = useQuestion()
const at = ref(props.balance.now)
watch(
    () => props.balance,
    (balance) => {
        at.value = balance.now
    },
)

const point = computed(() => props.balance.points[at.value] ?? null)
const share = (index: number): number => (100 * index) / Math.max(1, props.balance.points.length - 1)

/** Only where each of the two lines has a row of its own can one be written in its place. */
const canWrite = computed(() =>
    [props.balance.meatRow, props.balance.flourRow].every(
        (row) => (answer.value?.lines ?? []).filter((line) => line.in === 'text' && line.row === row).length === 1,
    ),
)

function write(): void {
    if (point.value === null) return
    const rows = sheet.value.text.split('\n')
    rows[props.balance.meatRow] = point.value.meatText
    rows[props.balance.flourRow] = point.value.flourText
    takeSwap(rows.join('\n'), sheet.value.steps)
}
</script>

<template>
    <div class="balance">
        <p class="plain" aria-hidden="true"><span>More meat, less flour</span></p>
        <div class="balance__track">
            <span
                v-for="(one, index) in balance.points"
                :key="index"
                class="balance__mark"
                :class="{ 'balance__mark--holds': one.holds }"
                :style="{ left: `${share(index)}%` }"
                aria-hidden="true"
            />
            <v-slider
                v-model="at"
                min="0"
                :max="balance.points.length - 1"
                step="1"
                aria-label="More meat, less flour"
                :aria-valuetext="point === null ? '' : `${point.meatText}, ${point.flourText}: ${point.feel ?? 'no feel'}`"
            />
            <span
                v-if="balance.stops !== null"
                class="balance__stop"
                :class="{ 'balance__stop--early': share(balance.stops) < 40 }"
                :style="{ left: `${share(balance.stops + 0.5)}%` }"
                aria-hidden="true"
                >holds up to here</span
            >
        </div>
        <p v-if="point !== null" role="status">
            <strong>{{ point.meatText }}</strong> and <strong>{{ point.flourText }}</strong>: {{ point.feel ?? 'nothing to judge it by'
            }}{{ point.holds ? '' : ', it holds no shape by itself' }}.
        </p>
        <p class="hint">{{ balance.says }}</p>
        <v-btn v-if="canWrite && at !== balance.now" variant="tonal" @click="write">Write it on the sheet</v-btn>
    </div>
</template>
