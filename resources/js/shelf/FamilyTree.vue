<script setup lang="ts">
import { computed } from 'vue'
import type { Slip } from '../api/types.generated'
import type { SlipAct } from './acts'

/** A recipe with the versions that came from it, drawn as a tree. */
const props = defineProps<{ root: Slip; family: Slip[] }>()
const emit = defineEmits<{ take: [slip: Slip]; act: [slip: Slip, act: SlipAct] }>()

/** Every version below the root with its depth, each under its parent. */
const branches = computed(() => {
    const found: { slip: Slip; depth: number; last: boolean }[] = []
    const walk = (parent: string, depth: number): void => {
        const children = props.family.filter((one) => one.parentId === parent)
        children.forEach((child, index) => {
            found.push({ slip: child, depth, last: index === children.length - 1 })
            walk(child.id, depth + 1)
        })
    }
    walk(props.root.id, 1)

    return found
})

const ACTS: [SlipAct, string][] = [
    ['rename', 'Name and notes'],
    ['promote', 'Ours'],
    ['compare', 'Compare'],
    ['take-off', 'Take off'],
]
</script>

<template>
    <ul class="family" :aria-label="`Versions of ${root.title}`">
        <li v-for="{ slip, depth, last } in branches" :key="slip.id" class="branch" :style="{ paddingInlineStart: `${depth * 1.4}rem` }">
            <svg
                class="branch__line"
                :style="{ insetInlineStart: `${(depth - 1) * 1.4 + 0.35}rem` }"
                viewBox="0 0 20 44"
                preserveAspectRatio="none"
                aria-hidden="true"
            >
                <path :d="last ? 'M2 0 V22 H20' : 'M2 0 V44 M2 22 H20'" />
            </svg>
            <button type="button" class="branch__open" @click="emit('take', slip)">
                {{ slip.title }}<small v-if="slip.promoted"> · ours</small>
            </button>
            <span v-if="slip.notes !== ''" class="hint">{{ slip.notes }}</span>
            <span class="branch__acts"
                ><v-btn
                    v-for="[act, words] in ACTS"
                    :key="act"
                    size="small"
                    :aria-label="`${words}: ${slip.title}`"
                    :aria-pressed="act === 'promote' ? slip.promoted : undefined"
                    @click="emit('act', slip, act)"
                    >{{ words }}</v-btn
                ></span
            >
        </li>
    </ul>
</template>
