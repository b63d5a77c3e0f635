<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { api, type RecipeFields } from '../api/client'
import type { RescueAnswer, RescuePlan } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import { tell } from '../ui/notices'
import { useDoing } from '../ui/useDoing'
import type { OccasionOnPage } from './useOccasion'

/** One recipe changed for all who come: what would change, whom it serves then, and the smallest split where one batch cannot do. */
const props = defineProps<{ page: OccasionOnPage; recipe: string; title: string }>()
const emit = defineEmits<{ instead: [recipe: string]; close: [] }>()
const kitchen = useKitchen()
const { problem, doing } = useDoing()
const answer = ref<RescueAnswer | null>(null)
const works = ref(true)

onMounted(async () => {
    await doing(async () => {
        answer.value = await api.rescue({
            recipe: { id: props.recipe },
            dogs: props.page.coming.value.map((one) => one.guest ?? one.id),
        })
    })
    works.value = false
})
async function keep(way: RescuePlan): Promise<void> {
    const id = crypto.randomUUID()
    const done = await doing(async () => {
        const whole = await kitchen.recipe(props.recipe)
        const fields = {
            title: `${props.title}, for ${props.page.occasion.value?.name ?? 'all'}`,
            text: way.recipeText,
            steps: way.steps,
            cut: way.cut ?? whole.cut,
            texture: way.bake?.texture ?? whole.texture,
            portions: whole.portions,
            parts: whole.parts,
            bound: whole.bound,
            tags: whole.tags,
            parentId: props.recipe,
        }
        await kitchen.all.recipes.keep(null, fields as RecipeFields, { id })
    })
    if (!done) return
    tell(`“${props.title}” stays as it is; the changed one is on the shelf.`)
    emit('instead', id)
}
</script>

<template>
    <div class="party-rescue" role="region" :aria-label="`${props.title}, changed for all`" :aria-busy="works">
        <p v-if="works" class="hint" role="status">Looking for the fewest changes…</p>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <template v-if="answer !== null">
            <p v-if="answer.rescues.length === 0">No change clears it for any of them. {{ answer.why ?? '' }}</p>
            <ul class="party-rescue__ways">
                <li v-for="(way, n) in answer.rescues" :key="n">
                    <p>
                        <strong>{{ way.servedDogs.length === 0 ? 'For nobody yet' : `For ${way.servedDogs.join(', ')}` }}</strong><template
                            v-if="way.afterLabels.length > 0"
                            >; after a label is read also for {{ way.afterLabels.join(', ') }}</template
                        >
                    </p>
                    <ul class="party-rescue__changes">
                        <li v-for="(change, m) in way.changes" :key="m">
                            <s>{{ change.line }}</s> {{ change.to ?? 'left out' }} <small>{{ change.reason }}</small>
                        </li>
                    </ul>
                    <p v-for="(left, m) in way.leftOut" :key="m" class="hint">{{ left.dog }}: {{ left.reason }}</p>
                    <v-btn variant="tonal" @click="keep(way)">Serve this one</v-btn>
                </li>
            </ul>
            <p v-if="answer.tables.length > 1">
                One batch cannot serve all of them. The smallest split: {{ answer.tables.map((table) => table.join(', ')).join(' | ') }}.
            </p>
            <p v-if="answer.rescues.length > 0 && answer.why !== null" class="hint">{{ answer.why }}</p>
        </template>
        <v-btn variant="text" @click="emit('close')">Close</v-btn>
    </div>
</template>
