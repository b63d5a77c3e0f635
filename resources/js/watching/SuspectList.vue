<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Suspect, SuspectsOfKind } from '../api/types.generated'
import { dayInWords } from './days'

/** What the days say of each food, the likeliest first: every day a square, those with it in the upper row and those without in the lower. */
const props = defineProps<{ of: SuspectsOfKind; signs: string; nameOf: (id: string) => string; says: string; from: string; busy: boolean }>()
const emit = defineEmits<{ leaveOut: [foods: string[], days: number] }>()
const STRENGTH = { strong: 'strong', some: 'some', weak: 'weak', none: 'not told from chance' } as const
const MOST = 6
const all = ref(false)
const shown = computed(() => (all.value ? props.of.suspects : props.of.suspects.slice(0, MOST)))
const isSaid = computed(() => props.of.suspects.some((one) => one.strength !== 'none'))
const COLUMNS = 40

const SIDE = 8

interface Row {
    says: string
    high: number
    squares: { n: number; bad: boolean; x: number; y: number }[]
}

/** Bad days first: a row whose dark part is long is one to look at. */
function row(says: string, bad: number, good: number): Row {
    const squares = Array.from({ length: bad + good }, (_, n) => ({
        n,
        bad: n < bad,
        x: (n % COLUMNS) * SIDE,
        y: Math.floor(n / COLUMNS) * SIDE,
    }))

    return { says, high: Math.max(1, Math.ceil(squares.length / COLUMNS)) * SIDE, squares }
}
const rowsOf = (one: Suspect): Row[] => [row('with', one.a, one.b), row('without', one.c, one.d)]
</script>

<template>
    <section class="suspects" :aria-label="`What goes with ${signs}`">
        <h2>What goes with {{ signs }}</h2>
        <p class="hint">Counted since {{ dayInWords(from) }}.</p>
        <p v-if="of.suspects.length === 0" class="hint">
            No food was given on at least three days and left out on at least three: nothing can be said yet.
        </p>
        <p v-else-if="!isSaid">Nothing stands out from chance in these days. More of them tell more: it clears no food.</p>
        <div v-if="of.nextTest !== null" class="suspects__next">
            <p>
                <b
                    >Next: leave out {{ of.nextTest.leaveOut.map(nameOf).join(', ') }} for {{ of.nextTest.days }} days<template
                        v-if="of.nextTest.keep.length > 0"
                        >, and go on with {{ of.nextTest.keep.map(nameOf).join(', ') }}</template
                    >.</b
                >
                {{ of.nextTest.why }}
            </p>
            <v-btn variant="tonal" :disabled="busy" @click="emit('leaveOut', of.nextTest.leaveOut, of.nextTest.days)">Begin leaving it out</v-btn>
        </div>
        <ol class="suspects__list">
            <li v-for="one in shown" :key="one.food" class="suspect" :class="`suspect--${one.strength}`">
                <p class="suspect__name">
                    <b>{{ nameOf(one.food) }}</b> <span class="suspect__word">{{ STRENGTH[one.strength] }}</span>
                </p>
                <div class="suspect__days" aria-hidden="true">
                    <template v-for="line in rowsOf(one)" :key="line.says">
                        <span>{{ line.says }}</span>
                        <svg :viewBox="`0 0 ${COLUMNS * SIDE} ${line.high}`" :width="COLUMNS * SIDE" :height="line.high">
                            <rect
                                v-for="it in line.squares"
                                :key="it.n"
                                :x="it.x"
                                :y="it.y"
                                width="6.4"
                                height="6.4"
                                :class="it.bad ? 'suspect__bad' : 'suspect__good'"
                            />
                        </svg>
                    </template>
                </div>
                <p class="suspect__says">{{ one.says }}</p>
                <details>
                    <summary>How it was counted</summary>
                    <p class="hint">
                        {{ one.a }} bad and {{ one.b }} good days with it, {{ one.c }} bad and {{ one.d }} good without. Were there nothing in it, so
                        many would fall on its days once in {{ one.p >= 0.5 ? 'two times or oftener' : `${Math.round(1 / one.p)} times` }} (Fisher's
                        exact test, one-sided, p {{ one.p.toPrecision(2) }}); with all foods that were looked at counted (Holm):
                        {{ one.adjusted.toPrecision(2) }}.
                    </p>
                </details>
            </li>
        </ol>
        <v-btn v-if="of.suspects.length > MOST" variant="text" @click="all = !all">{{
            all ? 'Only the first' : `All ${of.suspects.length} that can be told apart`
        }}</v-btn>
        <p class="suspects__says">{{ says }}</p>
    </section>
</template>
