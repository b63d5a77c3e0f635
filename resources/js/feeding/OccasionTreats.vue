<script setup lang="ts">
import { computed, ref } from 'vue'
import { api } from '../api/client'
import type { OccasionFound } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import DateField from '../ui/DateField.vue'
import PickMany from '../ui/PickMany.vue'
import { useDoing } from '../ui/useDoing'
import OccasionRescue from './OccasionRescue.vue'
import type { OccasionOnPage } from './useOccasion'

/** What is served: chosen by hand, found on the shelf, or changed until all may have it; how many batches, and on which day. */
const props = defineProps<{ page: OccasionOnPage }>()
const kitchen = useKitchen()
const { problem, doing } = useDoing()
const found = ref<OccasionFound | null>(null)
const looks = ref(false)
const rescued = ref<string | null>(null)
const MOST = 12
const chosen = computed({
    get: () => props.page.treats.value.map((one) => one.recipeId),
    set: (ids) => {
        const known = props.page.occasion.value?.treats ?? []
        void props.page.keep({ treats: ids.slice(0, MOST).map((id) => known.find((one) => one.recipeId === id) ?? { recipeId: id, bakeOn: null }) })
    },
})
const served = (id: string) => props.page.servedOf(id)
const isNeeded = (id: string): boolean => (served(id)?.pieces ?? 0) > 0
function bakeOn(id: string, on: string | null): void {
    void props.page.keep({ treats: (props.page.occasion.value?.treats ?? []).map((one) => (one.recipeId === id ? { ...one, bakeOn: on } : one)) })
}
async function find(): Promise<void> {
    looks.value = true
    await doing(async () => {
        found.value = await api.findForOccasion(props.page.fields())
    })
    looks.value = false
}
function take(ids: string[]): void {
    chosen.value = ids
    found.value = null
}
const names = (all: { dog: string }[]): string => all.map((one) => one.dog).join(', ')
function instead(recipe: string): void {
    const was = rescued.value
    const treats = props.page.occasion.value?.treats ?? []
    rescued.value = null
    void props.page.keep({
        treats: treats.some((one) => one.recipeId === recipe)
            ? treats
            : treats.map((one) => (one.recipeId === was ? { recipeId: recipe, bakeOn: one.bakeOn } : one)),
        shares: (props.page.occasion.value?.shares ?? []).map((one) => (one.recipeId === was ? { ...one, recipeId: recipe } : one)),
        boxes: (props.page.occasion.value?.boxes ?? []).map((one) => (one.recipeId === was ? { ...one, recipeId: recipe } : one)),
    })
}
</script>

<template>
    <section class="occasion__served" aria-labelledby="occasion-served">
        <h2 id="occasion-served">What is served</h2>
        <PickMany v-model="chosen" label="Recipes" :items="kitchen.recipes.map((one) => ({ id: one.id, name: one.title }))" />
        <ul class="party-treats">
            <li v-for="one in page.treats.value" :key="one.recipeId" class="party-treat">
                <p>
                    <router-link :to="`/card/${one.recipeId}`">{{ one.title }}</router-link>
                    <template v-if="served(one.recipeId) !== undefined && !page.stale.value">
                        <template v-if="isNeeded(one.recipeId)"
                            >:
                            {{
                                served(one.recipeId)!.times === 1
                                    ? 'one batch'
                                    : served(one.recipeId)!.times === 2
                                      ? 'two batches, or one doubled'
                                      : `${served(one.recipeId)!.times} batches`
                            }}
                            of {{ served(one.recipeId)!.aBatch }} for {{ Math.ceil(served(one.recipeId)!.pieces) }};
                            {{ Math.floor(served(one.recipeId)!.left) }} left over.</template
                        ><template v-else>: nobody needs it, what else is served does for all who may have some.</template>
                    </template>
                </p>
                <p v-if="(served(one.recipeId)?.lacks.length ?? 0) > 0 && !page.stale.value" class="party-treat__lacks">
                    Not for {{ names(served(one.recipeId)!.lacks) }}.
                    <v-btn variant="text" size="small" @click="rescued = rescued === one.recipeId ? null : one.recipeId"
                        >Change it for all of them</v-btn
                    >
                </p>
                <OccasionRescue
                    v-if="rescued === one.recipeId"
                    :page="page"
                    :recipe="one.recipeId"
                    :title="one.title"
                    @instead="instead"
                    @close="rescued = null"
                />
                <DateField
                    label="Baked on"
                    :value="one.bakeOn ?? served(one.recipeId)?.plan?.bakeOn ?? null"
                    :most="page.occasion.value?.on"
                    @meant="bakeOn(one.recipeId, $event)"
                />
            </li>
        </ul>
        <p class="occasion__acts">
            <v-btn variant="tonal" :loading="looks" :disabled="page.coming.value.length === 0" @click="find"
                >Look through the shelf for all of them</v-btn
            >
        </p>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <div v-if="found !== null" class="occasion__found" role="status">
            <p v-if="found.forAll.length > 0">
                All of them may have {{ found.forAll.length === 1 ? '' : 'each of ' }}{{ found.forAll.map((one) => one.title).join(', ') }}.
            </p>
            <p v-else-if="found.fewest.length > 0">
                No one recipe is for all. The fewest that do: {{ found.fewest.map((one) => `${one.title} (${one.serves.join(', ')})`).join('; ') }}.
            </p>
            <p v-else>Nothing on the shelf is for any of them as it stands.</p>
            <p v-if="found.notServed.length > 0">Nothing as it stands is for {{ found.notServed.map((one) => one.dog).join(', ') }}.</p>
            <p class="hint">{{ found.looked }} of {{ found.of }} recipes looked through, those first that the most of your dogs were cleared for.</p>
            <p class="occasion__acts">
                <v-btn v-for="one in found.forAll.slice(0, 3)" :key="one.recipeId" variant="flat" color="primary" @click="take([one.recipeId])"
                    >Serve {{ one.title }}</v-btn
                >
                <v-btn
                    v-if="found.forAll.length === 0 && found.fewest.length > 0"
                    variant="flat"
                    color="primary"
                    @click="take(found.fewest.map((one) => one.recipeId))"
                    >Serve {{ found.fewest.length === 1 ? 'it' : 'these' }}</v-btn
                >
                <v-btn variant="text" @click="found = null">Leave it</v-btn>
            </p>
        </div>
    </section>
</template>
