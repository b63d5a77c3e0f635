<script setup lang="ts">
import { computed, ref } from 'vue'
import type { DiarySaid } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import type { SignKind } from './days'
import SignSteps from './SignSteps.vue'

/** What was seen of a dog, in two taps: what it was, then the step of it. Where there is room (`all`) every step is in sight: one tap. */
const props = defineProps<{ dog: string; day: string; busy?: boolean; all?: boolean }>()
const emit = defineEmits<{ seen: [kind: 'sign' | 'well', said: DiarySaid] }>()
const kitchen = useKitchen()
const signs = computed(() => kitchen.choices?.signs ?? [])
const opened = ref<SignKind | null>(null)
const sign = computed(() => signs.value.find((one) => one.kind === opened.value) ?? null)

function seen(said: DiarySaid): void {
    opened.value = null
    emit('seen', 'sign', said)
}
</script>

<template>
    <div class="signs">
        <template v-if="all">
            <div v-for="one in signs" :key="one.kind" class="signs__row">
                <b>{{ one.name }}</b>
                <SignSteps :sign="one" :busy="busy" small @seen="seen" />
            </div>
        </template>
        <template v-else>
            <div class="signs__kinds" role="group" :aria-label="`How ${props.dog} was, ${props.day}`">
                <button type="button" class="signs__well" :disabled="busy" @click="emit('seen', 'well', {})">All well</button>
                <button
                    v-for="one in signs"
                    :key="one.kind"
                    type="button"
                    class="signs__kind"
                    :class="{ 'signs__kind--open': opened === one.kind }"
                    :aria-expanded="opened === one.kind"
                    @click="opened = opened === one.kind ? null : one.kind"
                >
                    {{ one.name }}
                </button>
            </div>
            <SignSteps v-if="sign !== null" :key="sign.kind" :sign="sign" :busy="busy" @seen="seen" />
        </template>
    </div>
</template>
