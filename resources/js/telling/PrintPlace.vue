<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { computed, onBeforeUnmount, reactive, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import bold from '@expo-google-fonts/nunito-sans/700Bold/NunitoSans_700Bold.ttf?url'
import regular from '@expo-google-fonts/nunito-sans/400Regular/NunitoSans_400Regular.ttf?url'
import { api } from '../api/client'
import type { Printed } from '../api/types.generated'
import { daysBetween } from '../keeping/shelves'
import { useJars } from '../keeping/useJars'
import FoldPart from '../ui/FoldPart.vue'
import NumberField from '../ui/NumberField.vue'
import SwitchRow from '../ui/SwitchRow.vue'
import TogglePill from '../ui/TogglePill.vue'
import { useAsked } from '../ui/useAsked'

/** The label printer: a stand-in that shows each sheet at its true size. Paper and PDF come out of the same pages. */
type What = 'bag' | 'gift' | 'card'
const jars = useJars()
const { kitchen } = jars
const route = useRoute()
const asked = (key: string): string | null => (typeof route.query[key] === 'string' ? route.query[key] : null)
const WHATS: Record<What, string> = { bag: 'Labels for bags', gift: 'Labels for gifts', card: 'A recipe card' }
const first: What = asked('what') === 'gift' || asked('what') === 'card' ? (asked('what') as What) : 'bag'
const form = reactive({
    what: first,
    sheet: '',
    recipe: asked('recipe'),
    bags: asked('bag') === null ? (null as string[] | null) : [asked('bag') ?? ''],
    of: (asked('occasion') !== null ? 'occasion' : asked('recipe') === null ? 'bags' : 'recipe') as 'bags' | 'recipe' | 'occasion',
    occasion: asked('occasion'),
    from: 1,
    copies: 1,
    madeFor: '',
    title: '',
    perKilo: false,
})
const all = computed(() => jars.here.value.filter((one) => one.number > 0).toSorted((one, two) => two.number - one.number))
const those = computed(() => (form.what === 'gift' ? all.value.filter((one) => one.content === 'treats') : all.value))
const NEW_DAYS = 1
/** Of what was put away lately, where nobody chose. */
watch(
    all,
    (bags) => {
        if (form.bags !== null || bags.length === 0) return
        const late = bags.filter((one) => daysBetween(one.made, jars.today.value) <= NEW_DAYS).map((one) => one.id)
        form.bags = late.length > 0 ? late : bags.slice(0, 6).map((one) => one.id)
    },
    { immediate: true },
)
const byBags = computed(() => form.what === 'bag' || (form.what === 'gift' && form.of === 'bags'))
const byOccasion = computed(() => form.what === 'gift' && form.of === 'occasion')
/** Occasions with something to fill. */
const occasions = computed(() => kitchen.all.occasions.items.filter((one) => one.boxes.length > 0))
const chosen = computed(() => (form.bags ?? []).filter((id) => those.value.some((one) => one.id === id)))
const sheets = computed(() => kitchen.choices?.sheets[form.what] ?? [])
/** The usual paper where another was never chosen, or does not do for it. */
watch(
    sheets,
    (papers) => {
        if (!papers.some((one) => one.id === form.sheet)) form.sheet = papers[0]?.id ?? ''
    },
    { immediate: true },
)

function choose(what: What): void {
    form.what = what
    if (what === 'card') form.of = 'recipe'
}
function toggle(id: string): void {
    form.bags = form.bags?.includes(id) === true ? form.bags.filter((one) => one !== id) : [...(form.bags ?? []), id]
}

const query = computed(() => {
    if (form.sheet === '') return null
    const said = new URLSearchParams({ what: form.what, sheet: form.sheet })
    if (byBags.value) {
        if (chosen.value.length === 0) return null
        said.set('bags', chosen.value.join(','))
    } else if (byOccasion.value) {
        if (form.occasion === null) return null
        said.set('occasion', form.occasion)
    } else if (form.recipe === null) return null
    else said.set('recipe', form.recipe)
    if (form.from > 1) said.set('from', String(form.from))
    if (form.copies > 1) said.set('copies', String(form.copies))
    if (form.what === 'gift' && !byOccasion.value && form.madeFor.trim() !== '') said.set('madeFor', form.madeFor.trim())
    if (form.what === 'gift' && !byOccasion.value && form.title.trim() !== '') said.set('title', form.title.trim())
    if (form.what === 'gift' && form.perKilo) said.set('perKilo', '1')

    return said.toString()
})
const asks = refDebounced(query, 200)
const { answer, problem, stale } = useAsked<Printed>({
    of: [asks, () => kitchen.version],
    ask: (signal) => (asks.value === null ? null : api.printed(asks.value, signal)),
    immediate: true,
})
const many = computed(() => (answer.value?.pages ?? []).reduce((sum, page) => sum + page.frames.length, 0))
const MM = 25.4 / 72
const path = (points: number[][]): string => points.map(([x, y], n) => `${n === 0 ? 'M' : 'L'}${x} ${y}`).join(' ') + 'Z'

/** The type that the PDF holds: every word is as wide here as there. */
const TYPE = 'Mild Bowl print'
const faces = [new FontFace(TYPE, `url(${regular})`, { weight: '400' }), new FontFace(TYPE, `url(${bold})`, { weight: '700' })]
for (const face of faces) {
    document.fonts.add(face)
    void face.load().catch(() => undefined)
}

/** The paper of the browser's own printing is the sheet. */
const paper = new CSSStyleSheet()
document.adoptedStyleSheets = [...document.adoptedStyleSheets, paper]
onBeforeUnmount(() => {
    document.adoptedStyleSheets = document.adoptedStyleSheets.filter((one) => one !== paper)
    for (const face of faces) document.fonts.delete(face)
})
watch(answer, (now) => {
    paper.replaceSync(now === null ? '' : `@page { size: ${now.sheet.width}mm ${now.sheet.height}mm; margin: 0 }`)
})
const print = (): void => {
    window.print()
}
const selling = ref(false)
</script>

<template>
    <div class="place place--wide print-place">
        <header class="place__head print-place__choose">
            <h1>Cards and labels</h1>
            <div class="jars__tools">
                <v-btn variant="flat" color="primary" :disabled="many === 0 || stale" @click="print">Print {{ many }}</v-btn>
                <v-btn v-if="query !== null" variant="outlined" :href="`/api/print/pdf?${query}`" target="_blank">As PDF</v-btn>
                <v-btn variant="text" to="/jars">To the jars</v-btn>
            </div>
        </header>
        <div class="print-place__halves">
            <form class="print-place__choose print-place__form" aria-label="What is printed" @submit.prevent>
                <p class="inout__ways" role="group" aria-label="What">
                    <TogglePill v-for="(name, what) in WHATS" :key="what" :on="form.what === what" @click="choose(what)">{{ name }}</TogglePill>
                </p>
                <p v-if="form.what === 'gift'" class="inout__ways" role="group" aria-label="Of what">
                    <TogglePill :on="form.of === 'bags'" @click="form.of = 'bags'">of bags, as made</TogglePill
                    ><TogglePill :on="form.of === 'recipe'" @click="form.of = 'recipe'">of a recipe, as written</TogglePill
                    ><TogglePill v-if="occasions.length > 0" :on="form.of === 'occasion'" @click="form.of = 'occasion'"
                        >boxes of an occasion</TogglePill
                    >
                </p>
                <p v-if="byBags" class="print-place__bags" role="group" aria-label="Which bags">
                    <TogglePill v-for="one in those" :key="one.id" :on="chosen.includes(one.id)" @click="toggle(one.id)"
                        >{{ one.number }} {{ one.title }}</TogglePill
                    >
                </p>
                <v-select
                    v-else-if="byOccasion"
                    v-model="form.occasion"
                    label="Which occasion"
                    :items="occasions"
                    item-title="name"
                    item-value="id"
                />
                <v-autocomplete
                    v-else
                    v-model="form.recipe"
                    label="Which recipe"
                    :items="kitchen.recipes.map((one) => ({ value: one.id, title: one.title }))"
                />
                <v-select v-model="form.sheet" label="On which paper" :items="sheets" item-title="name" item-value="id" />
                <div class="fields">
                    <NumberField label="Copies of each" whole :value="form.copies" :least="1" :most="60" @meant="form.copies = $event ?? 1" />
                    <NumberField
                        label="Begin at label"
                        whole
                        :value="form.from"
                        :least="1"
                        :most="answer?.sheet.onAPage ?? 30"
                        @meant="form.from = $event ?? 1"
                    />
                </div>
                <template v-if="form.what === 'gift'">
                    <v-text-field v-if="!byOccasion" v-model="form.madeFor" label="Made for" maxlength="80" autocomplete="off" />
                    <v-text-field v-if="!byOccasion" v-model="form.title" label="Title, where it is another" maxlength="120" autocomplete="off" />
                    <SwitchRow
                        v-model="form.perKilo"
                        label="Energy"
                        :items="[
                            { value: false, title: 'in 100 g' },
                            { value: true, title: 'a kg, as on pet food' },
                        ]"
                    />
                    <FoldPart v-model:open="selling" title="A gift is fine. Selling is another matter">
                        <p>
                            Food for animals that is sold falls under the law of the place, mostly with rules of these kinds: the kitchen is
                            registered as a feed business; the label has a guaranteed or declared analysis, the maker's address, a batch and a net
                            weight; additives and claims need approval; hygiene and records are inspected; food with parts of animals needs a permit
                            of its own.
                        </p>
                        <p>
                            Ask the office that watches over food and feed where you live, before the first one is sold: your town or county names it.
                        </p>
                        <p>No claim about health is ever printed here.</p>
                    </FoldPart>
                </template>
            </form>
            <div class="print-place__pages">
                <p class="hint print-place__choose">
                    The printer is a stand-in: it shows the sheet at its true size. Lay a ruler on the screen, or print it at 100 %.
                </p>
                <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
                <p v-if="query === null" class="hint">{{ byBags ? 'Choose a bag.' : 'Choose a recipe.' }}</p>
                <p v-if="answer !== null && answer.leftOut.length > 0" class="print-place__left print-place__choose">
                    Had no room, and is left out: {{ answer.leftOut.join('; ') }}. A larger label takes it.
                </p>
                <svg
                    v-for="(page, n) in answer?.pages ?? []"
                    :key="n"
                    class="print-page"
                    :class="{ 'said-before': stale }"
                    :width="`${answer?.sheet.width}mm`"
                    :height="`${answer?.sheet.height}mm`"
                    :viewBox="`0 0 ${answer?.sheet.width} ${answer?.sheet.height}`"
                    role="group"
                    :aria-label="`Sheet ${n + 1} of ${answer?.pages.length}`"
                >
                    <rect
                        v-for="(frame, m) in page.frames"
                        :key="`f${m}`"
                        class="print-page__frame"
                        :x="frame.x"
                        :y="frame.y"
                        :width="frame.width"
                        :height="frame.height"
                        rx="1.5"
                    />
                    <path v-for="(line, m) in page.lines" :key="`l${m}`" class="print-page__line" :d="path(line.points)" />
                    <text
                        v-for="(run, m) in page.runs"
                        :key="m"
                        :x="run.x"
                        :y="run.y + run.size * MM * (answer?.ascent ?? 1)"
                        :font-size="run.size * MM"
                        :font-weight="run.bold ? 700 : 400"
                    >
                        {{ run.text }}
                    </text>
                </svg>
            </div>
        </div>
    </div>
</template>
