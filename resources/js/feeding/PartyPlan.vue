<script setup lang="ts">
import { computed, ref } from 'vue'
import { api } from '../api/client'
import type { OccasionAnswer } from '../api/types.generated'
import { useQuestion } from '../bench/useQuestion'
import FoldPart from '../ui/FoldPart.vue'
import { pieces } from '../ui/format'
import { useAsked } from '../ui/useAsked'

/** A party: the cake from above with its slices, who gets which, and what each dog's days after it give up. */
const { question, answer: sheetAnswer } = useQuestion()
const opened = ref(false)
const { answer, problem, stale } = useAsked<OccasionAnswer>({
    of: [opened, sheetAnswer],
    ask: () => {
        const asked = question()
        const dogs = (sheetAnswer.value?.rations ?? []).map((one) => ({ dog: one.dogId ?? one.dog }))

        return asked === null || !opened.value || dogs.length === 0 ? null : api.occasion({ ...asked, occasion: { dogs } })
    },
})

/** More than so many pieces are not drawn as a cake. */
const MOST_DRAWN = 24
const [MIDDLE, RADIUS] = [110, 100]

const point = (turn: number, far: number): string => `${MIDDLE + far * Math.sin(2 * Math.PI * turn)} ${MIDDLE - far * Math.cos(2 * Math.PI * turn)}`
const wedge = (from: number, to: number): string =>
    `M${MIDDLE} ${MIDDLE} L${point(from, RADIUS)} A${RADIUS} ${RADIUS} 0 ${to - from > 0.5 ? 1 : 0} 1 ${point(to, RADIUS)}z`

const whole = computed(() => Math.max(1, Math.round(answer.value?.pieces ?? 1)))
const wedges = computed(() =>
    (answer.value?.slices ?? []).flatMap((slice) => {
        let from = (slice.number - 1) / whole.value
        return slice.parts.map((part) => {
            const to = from + part.share / whole.value
            const one = {
                key: `${slice.number} ${part.dog}`,
                path: wedge(from, to),
                at: point((from + to) / 2, RADIUS * 0.82),
                name: part.dog,
                number: slice.number,
            }
            from = to
            return one
        })
    }),
)
const isDrawn = computed(() => whole.value <= MOST_DRAWN)
const PARTS = new Map([
    [0.25, 'a quarter'],
    [0.5, 'half'],
    [0.75, 'three quarters'],
])
const oneWhole = computed(() => (isDrawn.value ? 'a whole slice' : 'a whole piece'))
const share = (of: number): string => (of >= 1 ? oneWhole.value : (PARTS.get(of) ?? `${Math.round(100 * of)} %`))
const without = (parts: string[]): string => parts.map((one) => one.replace(/^for the /i, 'the ').replace(/:$/, '')).join(' and ')
</script>

<template>
    <FoldPart v-model:open="opened" class="party" title="A party: who gets what of it">
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <template v-if="answer !== null && !stale">
            <svg v-if="isDrawn" viewBox="0 0 220 220" class="party__cake" role="img" :aria-label="`The cake in ${whole} slices`">
                <circle cx="110" cy="110" r="100" class="party__left" />
                <path v-for="number in whole" :key="number" :d="`M110 110 L${point(number / whole, RADIUS)}`" class="party__cut" />
                <g v-for="one in wedges" :key="one.key">
                    <path :d="one.path" class="party__slice" />
                    <text :x="one.at.split(' ')[0]" :y="one.at.split(' ')[1]" text-anchor="middle" dominant-baseline="middle">{{ one.number }}</text>
                </g>
            </svg>
            <ol class="party__plan" aria-label="Who gets which slice">
                <li v-for="slice in answer.slices" :key="slice.number">
                    {{ slice.number }}.
                    <template v-for="(part, n) in slice.parts" :key="part.dog"
                        >{{ n > 0 ? '; ' : '' }}<strong>{{ part.dog }}</strong> {{ share(part.share)
                        }}<template v-if="part.without.length > 0"> without {{ without(part.without) }}</template></template
                    >
                </li>
            </ol>
            <ul class="party__dogs">
                <li v-for="one in answer.party" :key="one.dog">
                    <template v-if="one.possible">{{ one.says }}</template><template v-else
                        ><strong>{{ one.dog }}</strong
                        >: none. {{ one.says.replace(`${one.dog} is not cleared: `, '') }}</template
                    >
                </li>
            </ul>
            <p class="hint">
                {{ pieces(Math.floor(answer.leftPieces * 4 + 1e-6) / 4) }} left over. Doses are never borrowed against; a healthy dog's fat is spread
                over the days without. With guests, boxes and a plan of the days before it is an <router-link to="/occasions">occasion</router-link>.
            </p>
        </template>
    </FoldPart>
</template>
