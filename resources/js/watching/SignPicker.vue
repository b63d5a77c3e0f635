<script setup lang="ts">
import { computed, ref, useId } from 'vue'
import type { DiarySaid } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import type { SignKind } from './days'
import StoolStep from './StoolStep.vue'

/** What was seen of a dog, in two taps: what it was, then the step of it, drawn where people look rather than read. */
const props = defineProps<{ dog: string; day: string; busy?: boolean }>()
const emit = defineEmits<{ seen: [kind: 'sign' | 'well', said: DiarySaid] }>()
const kitchen = useKitchen()
const signs = computed(() => kitchen.choices?.signs ?? [])
const opened = ref<SignKind | null>(null)
const sign = computed(() => signs.value.find((one) => one.kind === opened.value) ?? null)
const MOST = 10
const SAID: Record<number, string> = { 0: 'none', 3: 'now and then', 5: 'often', 8: 'wakes at night', 10: 'without end' }
const id = useId()

function seen(said: DiarySaid): void {
    opened.value = null
    emit('seen', 'sign', said)
}
</script>

<template>
    <div class="signs">
        <div class="signs__kinds" role="group" :aria-label="`How ${props.dog} was, ${props.day}`">
            <button type="button" class="signs__well" :disabled="busy" @click="emit('seen', 'well', {})">All well</button>
            <button
                v-for="one in signs"
                :key="one.kind"
                type="button"
                class="signs__kind"
                :class="{ 'signs__kind--open': opened === one.kind }"
                :aria-expanded="opened === one.kind"
                :aria-controls="opened === one.kind ? id : undefined"
                @click="opened = opened === one.kind ? null : one.kind"
            >
                {{ one.name }}
            </button>
        </div>
        <div v-if="sign !== null" :id="id" class="signs__steps" role="group" :aria-label="`${sign.name}: which of these`">
            <button
                v-for="one in sign.steps"
                :key="one.step"
                type="button"
                class="signs__step"
                :class="{ 'signs__step--urgent': one.urgent }"
                :disabled="busy"
                :aria-label="`${sign.name}: ${one.name}, ${one.meaning}${one.urgent ? '. Ring a vet today' : ''}`"
                @click="seen({ sign: sign.kind, step: one.step })"
            >
                <StoolStep v-if="sign.kind === 'gut'" :step="one.step" />
                <b>{{ one.name }}</b><small>{{ one.meaning }}</small
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
                    @click="seen({ sign: sign.kind, score: score - 1 })"
                >
                    <i :style="{ '--high': (score - 1) / MOST }" aria-hidden="true" /><b>{{ score - 1 }}</b
                    ><small>{{ SAID[score - 1] ?? '' }}</small>
                </button>
            </template>
        </div>
    </div>
</template>
