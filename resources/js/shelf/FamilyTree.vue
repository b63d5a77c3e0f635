<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Recipe } from '../api/types.generated'

/** A recipe with the versions that came from it, drawn as a tree. */
const props = defineProps<{ root: Recipe, family: Recipe[] }>()
const emit = defineEmits<{
    take: [recipe: Recipe]
    promote: [recipe: Recipe]
    compare: [recipe: Recipe]
    leave: [recipe: Recipe]
    change: [recipe: Recipe, fields: { title?: string, notes?: string }]
}>()
const editing = ref<string | null>(null)
const title = ref('')
const notes = ref('')

/** Every version below the root with its depth, each under its parent. */
const branches = computed(() => {
    const found: { recipe: Recipe, depth: number, last: boolean }[] = []
    const walk = (parent: string, depth: number): void => {
        const children = props.family.filter((one) => one.parentId === parent)
        children.forEach((child, index) => {
            found.push({ recipe: child, depth, last: index === children.length - 1 })
            walk(child.id, depth + 1)
        })
    }
    walk(props.root.id, 1)

    return found
})

function edit(recipe: Recipe): void {
    editing.value = recipe.id
    title.value = recipe.title
    notes.value = recipe.notes
}

function keep(recipe: Recipe): void {
    emit('change', recipe, { title: title.value, notes: notes.value })
    editing.value = null
}
</script>

<template>
    <ul class="family" :aria-label="`Versions of ${root.title}`">
        <li v-for="{ recipe, depth, last } in branches" :key="recipe.id" class="branch" :style="{ paddingInlineStart: `${depth * 1.4}rem` }">
            <svg class="branch__line" :style="{ insetInlineStart: `${(depth - 1) * 1.4 + 0.35}rem` }" viewBox="0 0 20 44" preserveAspectRatio="none" aria-hidden="true"><path :d="last ? 'M2 0 V22 H20' : 'M2 0 V44 M2 22 H20'" /></svg>
            <template v-if="editing === recipe.id">
                <label class="plain"><span>Name of this version</span><input v-model="title" maxlength="200" /></label>
                <label class="plain"><span>Notes</span><textarea v-model="notes" rows="2" maxlength="5000" class="clip__text" /></label>
                <v-btn variant="tonal" :disabled="title.trim() === ''" @click="keep(recipe)">Keep</v-btn>
            </template>
            <template v-else>
                <button type="button" class="branch__open" @click="emit('take', recipe)">{{ recipe.title }}<small v-if="recipe.promoted"> · ours</small></button>
                <span v-if="recipe.notes !== ''" class="hint">{{ recipe.notes }}</span>
                <span class="branch__acts">
                    <v-btn size="small" :aria-label="`Name and notes of ${recipe.title}`" @click="edit(recipe)">Notes</v-btn>
                    <v-btn size="small" :aria-label="`${recipe.promoted ? 'No longer make' : 'Make'} ${recipe.title} ours`" @click="emit('promote', recipe)">{{ recipe.promoted ? 'Not ours' : 'Make it ours' }}</v-btn>
                    <v-btn size="small" :aria-label="`Compare ${recipe.title}`" @click="emit('compare', recipe)">Compare</v-btn>
                    <v-btn size="small" :aria-label="`Take ${recipe.title} off the shelf`" @click="emit('leave', recipe)">Take off</v-btn>
                </span>
            </template>
        </li>
    </ul>
</template>
