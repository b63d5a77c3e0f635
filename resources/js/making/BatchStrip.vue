<script setup lang="ts">
import type { BatchSlip } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import { grams } from '../ui/format'
import { dayOfBatch, minutesOfBatch } from './slips'

/** Batches through time, the newest first. */
defineProps<{ batches: BatchSlip[]; chosen?: string[]; compares?: boolean }>()
const emit = defineEmits<{ choose: [id: string] }>()
const kitchen = useKitchen()
const day = (one: BatchSlip): string => dayOfBatch(one, kitchen.kitchen)
</script>

<template>
    <ol class="strip">
        <li
            v-for="one in batches"
            :key="one.id"
            class="strip__one"
            :class="{ 'strip__one--up': one.state === 'given-up', 'strip__one--on': one.state === 'making' }"
        >
            <router-link :to="`/oven/${one.id}`"
                ><small>{{ day(one) }}</small
                ><strong>{{ one.title }}</strong
                ><span
                    >{{
                        one.state === 'making'
                            ? 'in the making'
                            : one.state === 'given-up'
                              ? 'given up'
                              : one.count === null
                                ? 'not counted'
                                : `${one.count} pieces`
                    }}<template v-if="one.bakedGrams !== null">, {{ grams(one.bakedGrams) }}</template></span
                ><span>{{ minutesOfBatch(one) }}</span
                ><span v-if="one.wastePieces > 0" class="strip__waste">{{ one.wastePieces }} wasted</span
                ><em v-if="one.next !== null">{{ one.next }}</em></router-link
            >
            <v-btn
                v-if="compares"
                size="small"
                variant="outlined"
                :aria-pressed="chosen?.includes(one.id)"
                :aria-label="`Compare ${one.title} of ${day(one)}`"
                @click="emit('choose', one.id)"
                >{{ chosen?.includes(one.id) ? 'Chosen' : 'Compare' }}</v-btn
            >
        </li>
    </ol>
</template>
