<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { api } from '../api/client'
import type { Cut, FormulateAnswer, RescueAnswer } from '../api/types.generated'
import { joined } from '../bench/paper/document'
import { proposed } from '../bench/paper/fields'
import { useQuestion } from '../bench/useQuestion'
import { useSheet, type Sheet } from '../bench/useSheet'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import FoldPart from '../ui/FoldPart.vue'
import NumberField from '../ui/NumberField.vue'
import { figure, pieces } from '../ui/format'
import { mayPass, useAgain } from '../ui/useAgain'
import PieceDots from '../ui/PieceDots.vue'
import TogglePill from '../ui/TogglePill.vue'

/**
 * The whole recipe rescued: up to three ways to keep the treat and lose the trouble, and goals beyond. What each would change stands struck
 * through on the sheet itself until one is taken.
 */
const emit = defineEmits<{ close: [] }>()
const { paper, takeSwap } = useSheet()
const { answer, question } = useQuestion()

/** What people name first; the rest behind a fold. */
const PLAIN: [string, string][] = [
    ['gluten-free', 'gluten-free'],
    ['grain-free', 'grain-free'],
    ['egg-free', 'egg-free'],
    ['dairy-free', 'dairy-free'],
    ['low-fat', 'low in fat'],
    ['low-sodium', 'low in salt'],
    ['single-protein', 'one animal only'],
    ['meat-first', 'meat stays first'],
]
const MORE: [string, string][] = [
    ['smaller', 'smaller pieces'],
    ['softer', 'softer'],
    ['harder', 'harder'],
    ['no-added-sugar', 'without added sugar'],
    ['low-purine', 'low in purines'],
    ['low-oxalate', 'low in oxalate'],
    ['low-phosphorus', 'low in phosphorus'],
    ['novel-protein', 'a protein few dogs have met'],
    ['nut-free', 'without nuts'],
    ['soy-free', 'without soya'],
    ['vegetarian', 'without meat and fish'],
]
const kitchen = useKitchen()
const goals = ref<string[]>([])
const fewer = ref<number | null>(null)
const plan = ref<RescueAnswer | null>(null)
const at = ref(0)
const after = ref<FormulateAnswer | null>(null)
const problem = ref<string | null>(null)
const working = ref(false)
const title = ref<HTMLElement | null>(null)
const result = ref<HTMLElement | null>(null)
let turn = 0
const again = useAgain(() => {
    void work()
})

const asked = computed(() => [...goals.value, ...(fewer.value === null ? [] : [`fewer-calories:${fewer.value}`])])
const chosen = computed(() => plan.value?.rescues[at.value] ?? null)
const changes = computed(() => chosen.value !== null && (chosen.value.changes.length > 0 || chosen.value.cut !== null || chosen.value.bake !== null))

/** What the plan was made for has changed: it goes at once, and whoever was reading it is put back to its title. */
function anew(): void {
    if (plan.value !== null && result.value?.contains(document.activeElement) === true) title.value?.focus()
    plan.value = null
    void work()
}

async function work(): Promise<void> {
    const request = question()
    const mine = ++turn
    again.stop()
    if (request === null) {
        working.value = false
        problem.value = 'There is nothing on the sheet yet.'
        return
    }
    working.value = true
    problem.value = null
    try {
        const given = await api.rescue({ ...request, goals: asked.value })
        if (mine !== turn) return
        again.done()
        if (JSON.stringify(given) === JSON.stringify(plan.value)) void weigh()
        else {
            const way = given.rescues.findIndex((one) => one.recipeText === chosen.value?.recipeText)
            plan.value = given
            at.value = Math.max(0, way)
        }
    } catch (error) {
        if (mine === turn) {
            plan.value = null
            problem.value = wordsOf(error)
            if (mayPass(error)) again.later()
        }
    }
    if (mine === turn) working.value = false
}

/** What the chosen way would come to, for the dogs as the kitchen knows them now. */
async function weigh(): Promise<void> {
    const request = question()
    const way = chosen.value
    if (request === null || way === null) return
    try {
        const given = await api.formulate({
            ...request,
            recipe: { ...request.recipe, text: way.recipeText, steps: way.steps },
            ...(way.cut === null ? {} : { cut: way.cut as Cut }),
            ...(way.bake === null ? {} : { bake: way.bake as typeof request.bake }),
        })
        if (chosen.value === way) after.value = given
    } catch (error) {
        if (chosen.value !== way) return
        after.value = null
        problem.value = wordsOf(error)
    }
}

/** What the chosen way would change stands on the sheet; what it comes to stands here. */
watch(chosen, (way) => {
    after.value = null
    paper.dispatch({ effects: proposed.of(way === null ? null : joined({ text: way.recipeText, steps: way.steps })) })
    void weigh()
})

// for other dogs or another cut it is another rescue; what the kitchen came to know meanwhile mostly leaves it as it is
watch([asked, question], anew)
watch(
    () => kitchen.version,
    () => void work(),
)

onMounted(() => {
    title.value?.focus()
    void work()
})
onBeforeUnmount(() => {
    turn++
    paper.dispatch({ effects: proposed.of(null) })
})

function toggle(goal: string): void {
    goals.value = goals.value.includes(goal) ? goals.value.filter((one) => one !== goal) : [...goals.value, goal]
}

const all = (dogs: string[]): string => (dogs.length < 2 ? dogs.join('') : `${dogs.slice(0, -1).join(', ')} and ${dogs.at(-1)}`)
const served = computed(() =>
    chosen.value === null
        ? ''
        : [
              chosen.value.servedDogs.length > 0 ? `Cleared for ${all(chosen.value.servedDogs)}.` : '',
              chosen.value.afterLabels.length > 0 ? `For ${all(chosen.value.afterLabels)} once the labels it asks for were read.` : '',
          ]
              .filter(Boolean)
              .join(' '),
)

const rations = computed(() =>
    (after.value?.rations ?? []).map((ration) => ({
        dog: ration.dog,
        before: answer.value?.rations.find((one) => one.dog === ration.dog)?.ifCleared ?? 0,
        after: ration.ifCleared ?? 0,
        cleared: after.value?.verdict.dogs.find((one) => one.name === ration.dog)?.cleared ?? false,
    })),
)

function take(): void {
    if (chosen.value === null) return
    const { recipeText, steps, cut, bake } = chosen.value
    turn++
    takeSwap(recipeText, steps, {
        ...(cut === null ? {} : { cut: cut as Cut }),
        ...(bake === null ? {} : { texture: bake.texture as Sheet['texture'] }),
    })
    emit('close')
    paper.shownIn?.focus()
}

function leave(): void {
    emit('close')
    paper.shownIn?.focus()
}
</script>

<template>
    <section class="rescue" aria-labelledby="rescue-title" @keydown.esc.stop="leave">
        <h2 id="rescue-title" ref="title" tabindex="-1">Keep the treat, lose the trouble</h2>
        <p class="hint">What would change stands struck through on the sheet. Nothing changes until you take it.</p>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <div v-if="working && plan === null" role="status">
            <p>Working it out…</p>
            <v-progress-linear indeterminate color="secondary" aria-hidden="true" />
        </div>
        <p v-if="plan !== null && plan.why !== null" class="problem" role="status">{{ plan.why }}</p>
        <div v-if="plan !== null && chosen !== null" ref="result" class="rescue__result">
            <div class="rescue__ways" role="group" aria-label="Ways to do it">
                <TogglePill v-for="(one, number) in plan.rescues" :key="one.recipeText" class="way" :on="at === number" @click="at = number">{{
                    one.says
                }}</TogglePill>
            </div>
            <p class="paper__ends">
                <v-btn @click="leave">Leave it as it is</v-btn
                ><v-btn v-if="changes" variant="flat" color="primary" @click="take">Take these changes</v-btn>
            </p>
            <p v-if="served !== ''">{{ served }}</p>
            <ol v-if="chosen.changes.length > 0" class="rescue__changes" aria-label="What changes, and why">
                <li v-for="one in chosen.changes" :key="one.line + (one.to ?? '')">
                    <del v-if="one.action !== 'add'">{{ one.line }}</del> <ins>{{ one.to ?? 'left out' }}</ins><small>{{ one.reason }}</small>
                </li>
            </ol>
            <p v-if="after !== null && changes">
                <strong>{{ figure(answer?.piece.kcal.best ?? 0) }} → {{ figure(after.piece.kcal.best) }}</strong> kcal a piece; fat
                {{ figure(answer?.piece.nutrients['fatG'] ?? 0) }} → {{ figure(after.piece.nutrients['fatG'] ?? 0) }} g;
                <template v-if="answer?.batch.feel !== after.batch.feel">{{ answer?.batch.feel ?? '–' }} → </template>{{ after.batch.feel ?? '–' }}
            </p>
            <ul v-if="changes" class="rescue__rations">
                <li v-for="one in rations" :key="one.dog">
                    <strong>{{ one.dog }}</strong> {{ pieces(one.before) }} → {{ pieces(one.after) }} a day<template v-if="!one.cleared">
                        (not cleared yet)</template
                    ><span class="rescue__dots"
                        ><PieceDots :count="one.before" ghost :most="12" /><span aria-hidden="true">→</span
                        ><PieceDots :count="one.after" :ghost="!one.cleared" :most="12"
                    /></span>
                </li>
            </ul>
            <ul v-if="chosen.leftOut.length > 0" class="doubts" aria-label="Left out">
                <li v-for="one in chosen.leftOut" :key="one.dog">
                    <strong>{{ one.dog }}</strong>: {{ one.reason }}
                </li>
            </ul>
            <p v-if="plan.tables.length > 1">
                Or bake {{ plan.tables.length }} batches: {{ plan.tables.map((table) => table.join(', ')).join(' / ') }}.
            </p>
            <p v-if="changes" class="hint">
                {{ chosen.optimal ? 'No set of changes known here costs less.' : 'The best that was found in the time.' }}
            </p>
        </div>
        <div class="rescue__goals" role="group" aria-label="And make it">
            <span class="hint">And make it</span>
            <TogglePill v-for="[id, name] in PLAIN" :key="id" :on="goals.includes(id)" @click="toggle(id)">{{ name }}</TogglePill>
            <TogglePill
                v-for="dog in kitchen.atTable.filter((one) => one.newIngredients.length > 0)"
                :key="dog.id"
                :on="goals.includes(`nothing-new:${dog.id}`)"
                @click="toggle(`nothing-new:${dog.id}`)"
                >nothing new for {{ dog.name }}</TogglePill
            >
            <TogglePill v-if="kitchen.atTable.some((one) => one.allowList !== null)" :on="goals.includes('allow-list')" @click="toggle('allow-list')"
                >from the allow-list only</TogglePill
            >
            <FoldPart title="more wishes" class="rescue__more">
                <div class="rescue__goals">
                    <TogglePill v-for="[id, name] in MORE" :key="id" :on="goals.includes(id)" @click="toggle(id)">{{ name }}</TogglePill>
                </div>
            </FoldPart>
            <NumberField label="% fewer kcal a piece" :value="fewer" :above="0" :most="90" @meant="fewer = $event" />
        </div>
        <p v-if="chosen === null" class="paper__ends"><v-btn @click="leave">Close</v-btn></p>
    </section>
</template>
