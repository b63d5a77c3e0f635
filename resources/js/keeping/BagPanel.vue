<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { api } from '../api/client'
import type { Bag, BagWithActs, JarAct } from '../api/types.generated'
import { useNextBakes } from '../feeding/useNextBakes'
import { wordsOf } from '../kitchen/useKitchen'
import { writtenDate } from '../ui/dates'
import { dayIn, grams, pieces } from '../ui/format'
import { tell } from '../ui/notices'
import DateField from '../ui/DateField.vue'
import FoldPart from '../ui/FoldPart.vue'
import NumberField from '../ui/NumberField.vue'
import PickMany from '../ui/PickMany.vue'
import { due, pressing } from './shelves'
import type { Jars } from './useJars'

/** One bag in the hand: what it is, until when, and everything that can be done with it. */
const props = defineProps<{ jars: Jars; bag: Bag }>()
const emit = defineEmits<{ gone: [] }>()
const WHY = ['past its day', 'mould', 'smell', 'damp', 'fell down', 'not liked', 'other'] as const
const DID: Record<JarAct['do'], string> = {
    put: 'put away',
    found: 'found',
    open: 'opened',
    gone: 'nothing left',
    move: 'moved',
    split: 'split',
    merge: 'poured together',
    take: 'taken',
    count: 'counted',
    date: 'best before set',
    for: 'for whom',
    cut: 'power cut',
    undo: 'taken back',
}
const history = shallowRef<BagWithActs | null>(null)
const trouble = ref<string | null>(null)
const opened = ref<'move' | 'split' | 'pour' | 'throw' | null>(null)
const share = ref<number | null>(null)
const order = computed(() => props.jars.kitchen.kitchen?.datesAs ?? 'dmy')
const place = computed(() => props.jars.places.value.find((one) => one.id === props.bag.place))
const date = (iso: string | null): string => (iso === null ? 'not known yet' : writtenDate(iso, order.value))
const isOver = computed(() => pressing(props.bag, props.jars.today.value) === 'over')
/** Where it may go: what was thawed never goes back into a freezer. */
const targets = computed(() =>
    props.jars.places.value.filter(
        (one) => one.id !== props.bag.place && !(one.kind === 'freezer' && !props.bag.frozen && (props.bag.thawedOn !== null || isOver.value)),
    ),
)
const alike = computed(() =>
    props.jars.here.value.filter(
        (one) =>
            one.id !== props.bag.id &&
            one.number > 0 &&
            one.batch === props.bag.batch &&
            one.lot === props.bag.lot &&
            one.title === props.bag.title &&
            one.frozen === props.bag.frozen &&
            one.content === props.bag.content,
    ),
)
/** Recipes that take what was opened, for whom they are cleared. */
const MOST_BAKES = 4
const nexts = useNextBakes([() => props.bag.id, () => props.jars.kitchen.number, isOver], () =>
    props.bag.content !== 'food' || isOver.value || props.bag.number === 0 ? null : { bag: props.bag.id },
)
const bakes = computed(() => nexts.value.filter((one) => one.uses.includes(props.bag.id)).slice(0, MOST_BAKES))
const nameOf = (id: string): string => props.jars.kitchen.dogs.find((one) => one.id === id)?.name ?? 'another dog'
const undone = computed(() => new Set((history.value?.acts ?? []).map((one) => one.corrects).filter((one) => one != null)))

watch(
    () => [props.bag.id, props.bag.version] as const,
    async ([id], before) => {
        if (before?.[0] !== id) {
            history.value = null
            opened.value = null
        }
        if (props.bag.number === 0) return
        try {
            const one = await api.bag(id)
            if (id === props.bag.id) history.value = one
            trouble.value = null
        } catch (error) {
            trouble.value = wordsOf(error)
        }
    },
    { immediate: true },
)

async function take(amount: number | null, why: 'eaten' | 'thrown' | 'given-away' | 'lost' = 'eaten', because: string | null = null): Promise<void> {
    const all = amount === null || amount >= props.bag.pieces - 1e-6
    const done = await props.jars.act('take', {
        bag: props.bag.id,
        ...(amount === null ? {} : { pieces: amount }),
        why,
        ...(because === null ? {} : { because }),
    })
    if (done === null) return
    const what = all ? `What was left in bag ${props.bag.number}` : `${pieces(amount)} of bag ${props.bag.number}`
    tell(`${what}: ${why === 'thrown' ? 'thrown away' : why === 'eaten' ? 'eaten' : why === 'lost' ? 'lost' : 'given away'}.`, 'Undo', () => {
        void props.jars.act('undo', {}, done.id)
    })
    if (all) emit('gone')
}

async function move(to: string): Promise<void> {
    if ((await props.jars.act('move', { bag: props.bag.id, place: to })) !== null) opened.value = null
}

async function split(to: string): Promise<void> {
    if (share.value === null) return
    if ((await props.jars.act('split', { bag: props.bag.id, to: [{ bag: crypto.randomUUID(), pieces: share.value, place: to }] })) === null) return
    opened.value = null
    share.value = null
}

async function pour(into: Bag): Promise<void> {
    if ((await props.jars.act('merge', { bag: props.bag.id, into: into.id })) !== null) emit('gone')
}

const dogs = computed({
    get: () => props.bag.dogs,
    set: (chosen: string[]) => {
        void props.jars.act('for', { bag: props.bag.id, dogs: chosen })
    },
})

function saidOf(act: JarAct): string {
    const said = (act.said ?? {}) as {
        pieces?: number
        why?: string
        because?: string
        place?: string
        bestBefore?: string
        to?: { pieces: number }[]
    }
    const at = said.place === undefined ? '' : ` to ${props.jars.places.value.find((one) => one.id === said.place)?.name ?? 'a place that is gone'}`
    const much = said.pieces === undefined ? '' : ` ${pieces(said.pieces)}`

    return `${DID[act.do]}${act.do === 'take' ? `${much}, ${said.why ?? ''}${said.because === undefined ? '' : ` (${said.because})`}` : act.do === 'count' ? `: ${pieces(said.pieces ?? 0)}` : act.do === 'date' ? ` ${date(said.bestBefore ?? null)}` : act.do === 'split' ? `: ${(said.to ?? []).map((one) => pieces(one.pieces)).join(', ')} taken out` : at}`
}
const dayOf = (act: JarAct): string => date(dayIn(props.jars.kitchen.kitchen?.timezone ?? 'UTC', new Date(act.at)))
const toggle = (what: 'move' | 'split' | 'pour' | 'throw'): void => {
    opened.value = opened.value === what ? null : what
}
</script>

<template>
    <section class="hand" :aria-label="`Bag ${bag.number}`">
        <header>
            <p class="hand__no">{{ bag.number > 0 ? `Bag ${bag.number}` : 'on its way to the kitchen' }}</p>
            <h2>{{ bag.title }}</h2>
            <p class="hand__due" :class="`hand__due--${pressing(bag, jars.today.value)}`">
                Best before {{ date(bag.bestBefore) }}: <strong>{{ due(bag.bestBefore, jars.today.value) }}</strong>
            </p>
            <p v-if="isOver" class="hand__over" role="note">
                Past its day. If it smells, is damp, slimy or mouldy, throw it away; a dog's stomach is no bin. When in doubt, throw it away.
            </p>
            <p class="hint">
                <template v-if="bag.content === 'treats'">{{ pieces(bag.pieces) }} of {{ pieces(bag.putPieces) }} left, </template
                ><template v-else-if="bag.grams !== null">{{ grams(bag.grams) }}, </template>{{ place?.name ?? '' }}, made {{ date(bag.made)
                }}<template v-if="bag.lot !== null">, {{ bag.lot }}</template
                ><template v-if="bag.frozen"
                    >; frozen, good for {{ bag.thawedDays === 1 ? 'a day' : `${bag.thawedDays} days` }} once it is thawed</template
                ><template v-else-if="bag.thawedOn !== null">; thawed on {{ date(bag.thawedOn) }}, never to be frozen again</template>.
            </p>
            <p v-if="bag.note !== null" class="hand__note">“{{ bag.note }}”</p>
        </header>
        <p v-if="jars.refused.value !== null" class="problem" role="alert">{{ jars.refused.value }}</p>
        <div v-if="isOver" class="hand__take" role="group" aria-label="Past its day">
            <v-btn variant="flat" color="primary" :height="56" @click="take(null, 'thrown', 'past its day')">Throw it away</v-btn>
            <v-btn variant="outlined" :height="56" @click="take(null)">It was eaten</v-btn>
        </div>
        <div v-else-if="bag.content === 'treats'" class="hand__take" role="group" aria-label="Eaten">
            <v-btn variant="flat" color="primary" :height="56" :disabled="bag.pieces < 1" @click="take(1)">One eaten</v-btn>
            <v-btn variant="tonal" :height="56" :disabled="bag.pieces < 0.5" @click="take(0.5)">Half a one</v-btn>
            <v-btn variant="outlined" :height="56" @click="take(null)">All of it</v-btn>
        </div>
        <div v-else class="hand__take" role="group" aria-label="Used">
            <v-btn variant="flat" color="primary" :height="56" @click="take(null)">{{
                bag.content === 'dough' ? 'It is baked' : 'It is used up'
            }}</v-btn>
        </div>
        <ul v-if="bakes.length > 0" class="hand__bakes" aria-label="Bake from it">
            <li v-for="one in bakes" :key="one.recipe">
                <router-link :to="`/card/${one.recipe}`">{{ one.title }}</router-link> takes it, for
                {{ one.dogs.map(nameOf).join(', ') }}
            </li>
        </ul>
        <div class="hand__acts" role="group" aria-label="What to do with it">
            <v-btn variant="outlined" :aria-expanded="opened === 'move'" @click="toggle('move')">{{
                bag.frozen ? 'Thaw or move' : bag.thawedOn !== null || isOver ? 'Move' : 'Move or freeze'
            }}</v-btn>
            <v-btn v-if="bag.content === 'treats'" variant="outlined" :aria-expanded="opened === 'split'" @click="toggle('split')">Split</v-btn>
            <v-btn v-if="alike.length > 0" variant="outlined" :aria-expanded="opened === 'pour'" @click="toggle('pour')">Pour into</v-btn>
            <v-btn variant="outlined" :aria-expanded="opened === 'throw'" @click="toggle('throw')">Throw away</v-btn>
            <v-btn
                v-if="bag.number > 0"
                variant="text"
                :to="{ path: '/labels/print', query: { what: bag.content === 'treats' ? 'gift' : 'bag', bag: bag.id } }"
                >{{ bag.content === 'treats' ? 'Give it away' : 'Label' }}</v-btn
            >
        </div>
        <div v-if="opened === 'move'" class="hand__choices" role="group" aria-label="Where to">
            <v-btn v-for="one in targets" :key="one.id" variant="tonal" @click="move(one.id)">{{
                one.kind === 'freezer' && !bag.frozen ? `Freeze: ${one.name}` : bag.frozen && one.kind !== 'freezer' ? `Thaw: ${one.name}` : one.name
            }}</v-btn>
            <p v-if="bag.thawedOn !== null" class="hint">It was thawed once: it is never frozen again.</p>
        </div>
        <div v-if="opened === 'split'" class="hand__choices" role="group" aria-label="Split">
            <NumberField label="Pieces to take out" :value="share" :least="0.25" :most="bag.pieces" live @meant="(value) => (share = value)" />
            <v-btn
                v-for="one in [...(place === undefined ? [] : [place]), ...targets]"
                :key="one.id"
                variant="tonal"
                :disabled="share === null"
                @click="split(one.id)"
                >into a bag: {{ one.name }}</v-btn
            >
        </div>
        <div v-if="opened === 'pour'" class="hand__choices" role="group" aria-label="Pour into">
            <v-btn v-for="one in alike" :key="one.id" variant="tonal" @click="pour(one)">bag {{ one.number }}, {{ pieces(one.pieces) }} left</v-btn>
        </div>
        <div v-if="opened === 'throw'" class="hand__choices" role="group" aria-label="Throw it away, because">
            <v-btn v-for="one in WHY" :key="one" variant="tonal" @click="take(null, 'thrown', one)">{{ one }}</v-btn>
        </div>
        <FoldPart :key="bag.id" title="Count, date, for whom">
            <div class="hand__fields">
                <NumberField
                    v-if="bag.content === 'treats'"
                    label="Counted"
                    unit="pieces"
                    :value="bag.pieces"
                    :least="0"
                    :most="10000"
                    @meant="(value) => value !== null && value !== bag.pieces && jars.act('count', { bag: bag.id, pieces: value })"
                />
                <DateField
                    label="Best before"
                    :value="bag.bestBefore"
                    :most="bag.bestBeforeAtMost ?? undefined"
                    @meant="(day) => day !== null && jars.act('date', { bag: bag.id, bestBefore: day })"
                />
                <PickMany v-model="dogs" label="For whom" hint="nobody named: for all who may" :items="jars.kitchen.dogs" />
            </div>
        </FoldPart>
        <FoldPart :key="`why ${bag.id}`" title="Why this date, and what was done">
            <p>{{ bag.because }}</p>
            <p v-if="bag.bestBeforeAtMost !== null" class="hint">
                At most until {{ date(bag.bestBeforeAtMost) }} where it stands now, by the table of keeping.
            </p>
            <p v-if="trouble !== null" class="problem">{{ trouble }}</p>
            <ol class="hand__acts-done">
                <li
                    v-for="one in (history?.acts ?? []).filter((act) => act.do !== 'undo')"
                    :key="one.id"
                    :class="{ 'is-undone': undone.has(one.id) }"
                >
                    <span>{{ dayOf(one) }}, {{ one.by }}: {{ saidOf(one) }}<template v-if="undone.has(one.id)"> (taken back)</template></span>
                    <v-btn
                        v-if="!undone.has(one.id) && one.do !== 'for'"
                        size="small"
                        variant="text"
                        :aria-label="`Take back: ${saidOf(one)}`"
                        @click="jars.act('undo', {}, one.id)"
                        >Take back</v-btn
                    >
                </li>
            </ol>
        </FoldPart>
    </section>
</template>
