<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { RecipeFields } from '../api/client'
import type { Slip } from '../api/types.generated'
import { useSheet } from '../bench/useSheet'
import EmptyPlace from '../ui/EmptyPlace.vue'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { keepPhotograph } from '../kitchen/photographs'
import { takeAway } from '../kitchen/takeAway'
import { useOutbox } from '../kitchen/useOutbox'
import { tell } from '../ui/notices'
import { useReturn } from '../ui/useReturn'
import type { SlipAct } from './acts'
import EditSlip from './EditSlip.vue'
import FamilyTree from './FamilyTree.vue'
import { Finder, isUnjudged } from './finding'
import SlipCard from './SlipCard.vue'
import SlipMenu from './SlipMenu.vue'
import { useVerdicts } from './useVerdicts'
import TogglePill from '../ui/TogglePill.vue'
import { later } from '../ui/later'

/** The kitchen's recipes, found as one types; a family of versions behind each. */
const kitchen = useKitchen()
const outbox = useOutbox()
const route = useRoute()
const router = useRouter()
const { openSlip, blank, sheet } = useSheet()
const verdicts = useVerdicts()
const CompareVersions = later(() => import('./CompareVersions.vue'))

const problem = ref<string | null>(null)
const compared = ref<Slip[]>([])
const opened = ref<string | null>(null)
const wanted = reactive({ words: String(route.query['find'] ?? ''), tags: [] as string[], dogs: [] as string[], favourites: false })
const editing = ref<{ slip: Slip; what: 'rename' | 'tags' } | null>(null)
useReturn(computed(() => editing.value !== null))
const file = ref<HTMLInputElement | null>(null)
const photographed = ref<Slip | null>(null)
const ground = ref<HTMLElement | null>(null)
const { width } = useElementSize(ground)

const finder = computed(() => new Finder(kitchen.dogs))
const isLookedFor = computed(() => wanted.words.trim() !== '' || wanted.tags.length > 0 || wanted.dogs.length > 0 || wanted.favourites)
const ids = computed(() => new Set(kitchen.recipes.map((one) => one.id)))
const children = computed(() => {
    const by = new Map<string, Slip[]>()
    for (const one of kitchen.recipes)
        if (one.parentId !== null && ids.value.has(one.parentId)) by.set(one.parentId, [...(by.get(one.parentId) ?? []), one])

    return by
})
/** The card whose menu is open, and its button: nothing moves under the hand that is about to choose. */
const inHand = ref<{ slip: Slip; button: HTMLElement } | null>(null)
let stood: Slip[] = []
/** The first of each family, favourites before the others; where something is looked for, whatever fits. */
const shown = computed(() => {
    if (inHand.value !== null) {
        const now = new Map(kitchen.recipes.map((one) => [one.id, one]))

        return stood.map((one) => now.get(one.id)).filter((one) => one !== undefined)
    }
    const fits = finder.value.among(
        isLookedFor.value ? kitchen.recipes : kitchen.recipes.filter((one) => one.parentId === null || !ids.value.has(one.parentId)),
        wanted,
    )

    stood = [...fits.filter((one) => one.favourite), ...fits.filter((one) => !one.favourite)]

    return stood
})

function more(slip: Slip, button: HTMLElement): void {
    inHand.value = inHand.value?.slip.id === slip.id ? null : { slip, button }
}

const unjudged = computed(() => (finder.value.restsOnVerdicts(wanted) ? kitchen.recipes.filter(isUnjudged).length : 0))
watch(
    unjudged,
    (left) => {
        if (left > 0) for (const one of kitchen.recipes) if (isUnjudged(one)) verdicts.want(one.id)
    },
    { immediate: true },
)

const columns = computed(() => Math.max(1, Math.floor((width.value + 14) / 390)))
const rows = computed(() => {
    const list: Slip[][] = []
    for (let n = 0; n < shown.value.length; n += columns.value) list.push(shown.value.slice(n, n + columns.value))

    return list
})
const tags = computed(() => [...new Set(kitchen.recipes.flatMap((one) => one.tags))].sort((one, two) => one.localeCompare(two)))

function familyOf(slip: Slip): Slip[] {
    const below = (id: string, seen: Set<string>): Slip[] =>
        (children.value.get(id) ?? []).filter((one) => !seen.has(one.id)).flatMap((one) => [one, ...below(one.id, seen.add(one.id))])

    return [slip, ...below(slip.id, new Set([slip.id]))]
}

async function take(slip: Pick<Slip, 'id'>): Promise<void> {
    try {
        await openSlip(slip)
        await router.push('/bench')
    } catch (error) {
        problem.value = wordsOf(error)
    }
}

function begin(): void {
    blank()
    void router.push('/bench')
}

async function change(slip: Slip, fields: RecipeFields): Promise<void> {
    try {
        await kitchen.all.recipes.keep(slip.id, fields)
        problem.value = null
    } catch (error) {
        problem.value = wordsOf(error)
    }
}

/** The version that is the family's own from now on; the one before steps back. */
async function promote(slip: Slip): Promise<void> {
    let root = slip
    for (
        let up = kitchen.recipes.find((one) => one.id === root.parentId), steps = 0;
        up !== undefined && steps < 100;
        up = kitchen.recipes.find((one) => one.id === root.parentId), steps++
    )
        root = up
    for (const other of familyOf(root)) if (other.promoted && other.id !== slip.id) await change(other, { promoted: false })
    await change(slip, { promoted: !slip.promoted })
}

/** What a copy takes over: how it is made, and nothing of what became of it. */
const COPIED = [
    'text',
    'steps',
    'cut',
    'texture',
    'portions',
    'parts',
    'without',
    'source',
    'prepMinutes',
    'bakeMinutes',
    'tags',
    'notes',
    'confirmed',
    'bound',
    'yield',
] as const satisfies readonly (keyof RecipeFields)[]

async function again(slip: Slip): Promise<void> {
    try {
        const recipe = await kitchen.recipe(slip.id)
        const title = `${recipe.title}, again`.slice(0, 200)
        await kitchen.all.recipes.keep(null, { title, ...Object.fromEntries(COPIED.map((field) => [field, recipe[field]])) })
        tell(`“${title}” stands on the shelf.`)
    } catch (error) {
        problem.value = wordsOf(error)
    }
}

async function photograph({ target }: Event): Promise<void> {
    const slip = photographed.value
    const input = target as HTMLInputElement
    const picked = input.files?.[0]
    // the same picture may be picked again
    input.value = ''
    if (slip === null || picked === undefined) return
    try {
        await change(slip, { photoId: await keepPhotograph(outbox, picked, slip.title) })
    } catch (error) {
        problem.value = error instanceof Error ? error.message : wordsOf(error)
    }
    photographed.value = null
}

async function takeOff(slip: Slip): Promise<void> {
    compared.value = compared.value.filter((one) => one.id !== slip.id)
    await takeAway(kitchen, outbox, 'recipes', slip.id, slip.title, 'off the shelf').catch((error: unknown) => {
        problem.value = wordsOf(error)
    })
    if (sheet.value.recipeId === slip.id) sheet.value.recipeId = null
}

function compare(slip: Slip): void {
    compared.value = compared.value.some((one) => one.id === slip.id)
        ? compared.value.filter((one) => one.id !== slip.id)
        : [...compared.value, slip].slice(-2)
}

function act(slip: Slip, what: SlipAct): void {
    if (what === 'compare') compare(slip)
    else if (what === 'again') void again(slip)
    else if (what === 'rename' || what === 'tags') editing.value = { slip, what }
    else if (what === 'unphotograph') void change(slip, { photoId: null })
    else if (what === 'print') void router.push(`/card/${slip.id}`)
    else if (what === 'promote') void promote(slip)
    else if (what === 'take-off') void takeOff(slip)
    else {
        photographed.value = slip
        file.value?.click()
    }
}

async function keepEdited(fields: RecipeFields): Promise<void> {
    const asked = editing.value
    if (asked === null) return
    editing.value = null
    await change(asked.slip, fields)
}
</script>

<template>
    <div ref="ground" class="place place--wide shelf">
        <header class="place__head">
            <h1>The shelf</h1>
            <v-btn variant="tonal" @click="begin">A new sheet</v-btn>
        </header>
        <search v-if="kitchen.recipes.length > 0" class="shelf__find">
            <v-text-field
                v-model="wanted.words"
                class="shelf__words"
                label="Find"
                placeholder="a name, a food, a tag, or a dog it is cleared for"
                clearable
                autocomplete="off"
                type="search"
                @click:clear="wanted.words = ''"
            />
            <v-select v-model="wanted.dogs" class="shelf__dogs" label="Cleared for" :items="kitchen.dogs" multiple chips clearable />
            <TogglePill :on="wanted.favourites" @click="wanted.favourites = !wanted.favourites">Favourites</TogglePill>
            <div v-if="tags.length > 0" class="shelf__tags" role="group" aria-label="Tags">
                <TogglePill
                    v-for="tag in tags"
                    :key="tag"
                    size="small"
                    :on="wanted.tags.includes(tag)"
                    @click="wanted.tags = wanted.tags.includes(tag) ? wanted.tags.filter((one) => one !== tag) : [...wanted.tags, tag]"
                    >{{ tag }}</TogglePill
                >
            </div>
        </search>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <p class="hint" role="status">
            <template v-if="isLookedFor"
                >{{ shown.length }} of {{ kitchen.recipes.length
                }}<template v-if="unjudged > 0">; {{ unjudged }} not checked yet for the dogs as they are today</template></template
            >
            <template v-else-if="compared.length === 1">Choose a second recipe to compare with {{ compared[0]?.title }}.</template>
        </p>
        <EmptyPlace v-if="kitchen.kitchen !== null && kitchen.recipes.length === 0" title="Nothing on the shelf yet"
            >Write or paste a recipe on the bench and keep it: its card stands here then, with the dogs it is cleared for.<template #acts
                ><v-btn variant="flat" color="primary" @click="begin">Write the first sheet</v-btn></template
            ></EmptyPlace
        >
        <CompareVersions
            v-if="compared.length === 2"
            :key="`${compared[0]!.id} ${compared[1]!.id}`"
            :one="compared[0]!"
            :two="compared[1]!"
            @close="compared = []"
        />
        <div v-if="kitchen.kitchen === null && kitchen.trouble === null" class="shelf__board" aria-hidden="true">
            <v-skeleton-loader v-for="n in 6" :key="n" type="list-item-avatar-three-line" />
        </div>
        <v-virtual-scroll v-if="rows.length > 0" :items="rows" renderless :item-height="190">
            <template #default="{ item, itemRef }">
                <div :ref="itemRef" class="shelf__board" :style="{ gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }">
                    <SlipCard
                        v-for="slip in item"
                        :key="slip.id"
                        :slip="slip"
                        :versions="familyOf(slip).length - 1"
                        :open="opened === slip.id"
                        :in-hand="inHand?.slip.id === slip.id"
                        @take="take(slip)"
                        @favourite="change(slip, { favourite: !slip.favourite })"
                        @more="more(slip, $event)"
                        @tag="wanted.tags = [$event]"
                        @family="opened = opened === slip.id ? null : slip.id"
                        @unjudged="verdicts.want(slip.id)"
                    >
                        <FamilyTree v-if="opened === slip.id" :root="slip" :family="familyOf(slip)" @take="take" @act="act" />
                    </SlipCard>
                </div>
            </template>
        </v-virtual-scroll>
        <SlipMenu
            v-if="inHand !== null"
            :key="inHand.slip.id"
            :slip="inHand.slip"
            :button="inHand.button"
            :compared="compared.some((one) => one.id === inHand?.slip.id)"
            :versions="familyOf(inHand.slip).length - 1"
            @act="act(inHand.slip, $event)"
            @close="inHand = null"
        />
        <input ref="file" type="file" accept="image/*" hidden @change="photograph" />
        <v-dialog :model-value="editing !== null" max-width="520" aria-labelledby="edit-title" @update:model-value="editing = null">
            <EditSlip v-if="editing !== null" :slip="editing.slip" :what="editing.what" :known="tags" @keep="keepEdited" @close="editing = null" />
        </v-dialog>
    </div>
</template>
