<script setup lang="ts">
import type { DiarySaid, SignChoice } from '../api/types.generated'
import StoolStep from './StoolStep.vue'

/** The steps of one sign, each a button: drawn where people look rather than read, a number where it is told by one. */
const props = defineProps<{ sign: SignChoice; busy?: boolean; small?: boolean }>()
const emit = defineEmits<{ seen: [said: DiarySaid] }>()
const MOST = 10
const SAID: Record<number, string> = { 0: 'none', 3: 'now and then', 5: 'often', 8: 'wakes at night', 10: 'without end' }
</script>

<template>
    <div
        class="signs__steps"
        :class="{ 'signs__steps--small': small, 'signs__steps--scores': sign.steps.length === 0 }"
        role="group"
        :aria-label="`${sign.name}: which of these`"
    >
        <button
            v-for="one in sign.steps"
            :key="one.step"
            type="button"
            class="signs__step"
            :class="{ 'signs__step--urgent': one.urgent }"
            :disabled="busy"
            :aria-label="`${sign.name}: ${one.name}, ${one.meaning}${one.urgent ? '. Ring a vet today' : ''}`"
            @click="emit('seen', { sign: props.sign.kind, step: one.step })"
        >
            <StoolStep v-if="sign.kind === 'gut'" :step="one.step" />
            <b>{{ one.name }}</b><small v-if="!small">{{ one.meaning }}</small
            ><small v-if="one.urgent" class="signs__urgent">ring a vet today</small>
        </button>
        <template v-if="sign.steps.length === 0">
            <button
                v-for="score in MOST + 1"
                :key="score"
                type="button"
                class="signs__score"
                :disabled="busy"
                :aria-label="`${sign.name}: ${score - 1} of ${MOST}${SAID[score - 1] === undefined ? '' : `, ${SAID[score - 1]}`}`"
                @click="emit('seen', { sign: props.sign.kind, score: score - 1 })"
            >
                <i :style="{ '--high': (score - 1) / MOST }" aria-hidden="true" /><b>{{ score - 1 }}</b
                ><small v-if="!small">{{ SAID[score - 1] ?? '' }}</small>
            </button>
        </template>
    </div>
</template>
