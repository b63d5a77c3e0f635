<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Recipe } from '../api/types.generated'
import { useSheet } from '../bench/useSheet'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import CompareVersions from './CompareVersions.vue'
import FamilyTree from './FamilyTree.vue'

/** The kitchen's recipes, as slips on a shelf: a family of versions on each. */
const kitchen = useKitchen()
const router = useRouter()
const { openRecipe, blank, sheet } = useSheet()
const leaving = ref<Recipe | null>(null)
const problem = ref<string | null>(null)
const compared = ref<Recipe[]>([])

const roots = computed(() => kitchen.recipes.filter((one) => one.parentId === null || !kitchen.recipes.some((other) => other.id === one.parentId)))

function take(recipe: Recipe): void {
    openRecipe(recipe)
    void router.push('/bench')
}

function begin(): void {
    blank()
    void router.push('/bench')
}

async function change(recipe: Recipe, fields: Partial<Pick<Recipe, 'title' | 'notes' | 'promoted'>>): Promise<void> {
    try {
        await kitchen.all.recipes.keep(recipe.id, fields)
        problem.value = null
    } catch (error) {
        problem.value = wordsOf(error)
    }
}

/** The version that is the family's own from now on; the one before steps back. */
async function promote(recipe: Recipe): Promise<void> {
    for (const other of familyOf(recipe)) if (other.promoted && other.id !== recipe.id) await change(other, { promoted: false })
    await change(recipe, { promoted: !recipe.promoted })
}

function rootOf(recipe: Recipe): Recipe {
    let root = recipe
    for (let steps = 0; steps < 100; steps++) {
        const parent = kitchen.recipes.find((one) => one.id === root.parentId)
        if (parent === undefined) return root
        root = parent
    }

    return root
}

function familyOf(recipe: Recipe): Recipe[] {
    const root = rootOf(recipe)

    return kitchen.recipes.filter((one) => rootOf(one).id === root.id)
}

function compare(recipe: Recipe): void {
    compared.value = compared.value.some((one) => one.id === recipe.id) ? compared.value.filter((one) => one.id !== recipe.id) : [...compared.value, recipe].slice(-2)
}

async function remove(): Promise<void> {
    if (leaving.value === null) return
    try {
        const { id } = leaving.value
        await kitchen.all.recipes.remove(id)
        for (const child of kitchen.recipes) if (child.parentId === id) child.parentId = null
        if (sheet.value.recipeId === id) sheet.value.recipeId = null
        compared.value = compared.value.filter((one) => one.id !== id)
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
        <CompareVersions v-if="compared.length === 2" :one="compared[0]!" :two="compared[1]!" @close="compared = []" />
        <p v-else-if="compared.length === 1" class="hint" role="status">Choose a second recipe to compare with {{ compared[0]?.title }}.</p>
        <ul class="slips">
            <li v-for="root in roots" :key="root.id" class="slip">
                <button type="button" class="slip__open" @click="take(root)">
                    <span class="slip__title">{{ root.title }}<small v-if="root.promoted"> · ours</small></span>
                    <span class="slip__text">{{ root.text.split('\n').filter((line) => line.trim() !== '').slice(0, 4).join(' · ') }}</span>
                </button>
                <FamilyTree v-if="familyOf(root).length > 1" :root="root" :family="familyOf(root)" @take="take" @promote="promote" @compare="compare" @change="change" @leave="leaving = $event" />
                <p class="slip__acts"><v-btn size="small" :aria-label="`Compare ${root.title}`" :aria-pressed="compared.some((one) => one.id === root.id)" @click="compare(root)">Compare</v-btn><v-btn size="small" :aria-label="`Take ${root.title} off the shelf`" @click="leaving = root">Take off</v-btn></p>
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
