<script setup lang="ts">
import { useRouter } from 'vue-router'
import type { Recipe } from '../api/types.generated'
import { useSheet } from '../bench/useSheet'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { ref } from 'vue'

/** The kitchen's recipes, as slips on a shelf. */
const kitchen = useKitchen()
const router = useRouter()
const { openRecipe, blank, sheet } = useSheet()
const leaving = ref<Recipe | null>(null)
const problem = ref<string | null>(null)

function take(recipe: Recipe): void {
    openRecipe(recipe)
    void router.push('/bench')
}

function begin(): void {
    blank()
    void router.push('/bench')
}

async function remove(): Promise<void> {
    if (leaving.value === null) return
    try {
        await kitchen.removeRecipe(leaving.value.id)
        if (sheet.value.recipeId === leaving.value.id) sheet.value.recipeId = null
        leaving.value = null
    } catch (error) {
        problem.value = wordsOf(error)
    }
}
</script>

<template>
    <div class="place">
        <header class="place__head"><h1>The shelf</h1><v-btn variant="tonal" @click="begin">A new sheet</v-btn></header>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <p v-if="kitchen.recipes.length === 0">Nothing on the shelf yet. Type or paste a recipe on the bench and keep it.</p>
        <ul class="slips">
            <li v-for="recipe in kitchen.recipes" :key="recipe.id" class="slip">
                <button type="button" class="slip__open" @click="take(recipe)">
                    <span class="slip__title">{{ recipe.title }}</span>
                    <span class="slip__text">{{ recipe.text.split('\n').filter((line) => line.trim() !== '').slice(0, 4).join(' · ') }}</span>
                </button>
                <v-btn size="small" :aria-label="`Take ${recipe.title} off the shelf`" @click="leaving = recipe">Take off</v-btn>
            </li>
        </ul>
        <v-dialog :model-value="leaving !== null" max-width="440" aria-labelledby="leave-title" @update:model-value="leaving = null">
            <div class="paper">
                <h2 id="leave-title">Take it off the shelf?</h2>
                <p>{{ leaving?.title }} will be gone for good. If it lies on the bench, the sheet stays there.</p>
                <p class="paper__ends"><v-btn @click="leaving = null">Leave it</v-btn><v-btn variant="outlined" color="error" @click="remove">Take it off</v-btn></p>
            </div>
        </v-dialog>
    </div>
</template>
