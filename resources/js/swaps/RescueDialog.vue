<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api } from '../api/client'
import type { FormulateAnswer, RescueAnswer } from '../api/types.generated'
import { useSheet } from '../bench/useSheet'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { figure, pieces } from '../ui/format'
import PieceDots from '../ui/PieceDots.vue'

/** The whole recipe before and after: three ways to keep the treat and lose the trouble, and goals beyond. */
const open = defineModel<boolean>({ required: true })
const { sheet, answer, question, takeSwap } = useSheet()

const PLAIN: [string, string][] = [['gluten-free', 'gluten-free'], ['grain-free', 'grain-free'], ['egg-free', 'egg-free'], ['dairy-free', 'dairy-free'], ['low-fat', 'low in fat'], ['low-sodium', 'low in salt'], ['single-protein', 'one animal only'], ['meat-first', 'meat stays first']]
const kitchen = useKitchen()
const goals = ref<string[]>([])
const fewer = ref('')
const plan = ref<RescueAnswer | null>(null)
const at = ref(0)
const after = ref<FormulateAnswer | null>(null)
const problem = ref<string | null>(null)
const working = ref(false)

watch(open, (is) => { if (is) void work() })

const asked = computed(() => [...goals.value, ...(Number(fewer.value) > 0 ? [`fewer-calories:${fewer.value}`] : [])])

async function work(): Promise<void> {
    const request = question()
    if (request === null) {
        problem.value = 'There is nothing on the sheet yet.'
        return
    }
    working.value = true
    problem.value = null
    try {
        plan.value = await api.rescue({ ...request, goals: asked.value })
        at.value = 0
        await show()
    } catch (error) {
        problem.value = wordsOf(error)
    }
    working.value = false
}

const chosen = computed(() => plan.value?.rescues[at.value] ?? null)

async function show(): Promise<void> {
    const request = question()
    const way = chosen.value
    after.value = null
    if (request === null || way === null) return
    try {
        after.value = await api.formulate({ ...request, recipe: { ...request.recipe, text: way.recipeText, steps: way.steps } })
    } catch (error) {
        problem.value = wordsOf(error)
    }
}
watch(at, () => void show())

function toggle(goal: string): void {
    goals.value = goals.value.includes(goal) ? goals.value.filter((one) => one !== goal) : [...goals.value, goal]
    void work()
}

/** Old and new beside each other: a changed line stands struck through, what takes its place beside it. */
const rows = computed(() => {
    const way = chosen.value
    if (way === null) return []
    const changes = new Map(way.changes.map((one) => [one.line, one]))
    const old = sheet.value.text.split('\n').filter((line) => line.trim() !== '')
    const fresh = way.changes.filter((one) => one.action === 'add')

    return [
        ...old.map((line) => {
            const change = [...changes.values()].find((one) => one.action !== 'add' && line.includes(one.line))

            return { before: line, after: change === undefined ? line : change.to, reason: change?.reason ?? '', changed: change !== undefined }
        }),
        ...fresh.map((one) => ({ before: null, after: one.to, reason: one.reason, changed: true })),
    ]
})

const rations = computed(() => (after.value?.rations ?? []).map((ration) => ({ dog: ration.dog, before: answer.value?.rations.find((one) => one.dog === ration.dog)?.ifCleared ?? 0, after: ration.ifCleared ?? 0, cleared: after.value?.verdict.dogs.find((one) => one.name === ration.dog)?.cleared ?? false })))

function take(): void {
    if (chosen.value === null) return
    takeSwap(chosen.value.recipeText, chosen.value.steps, chosen.value.says)
    open.value = false
}
</script>

<template>
    <v-dialog v-model="open" max-width="1080" scrollable aria-labelledby="rescue-title">
        <div class="paper rescue">
            <h2 id="rescue-title">Keep the treat, lose the trouble</h2>
            <div class="rescue__goals" role="group" aria-label="And make it">
                <span class="hint">And make it</span>
                <button v-for="[id, name] in PLAIN" :key="id" type="button" class="job" :aria-pressed="goals.includes(id)" @click="toggle(id)">{{ name }}</button>
                <button v-for="dog in kitchen.atTable.filter((one) => one.newIngredients.length > 0)" :key="dog.id" type="button" class="job" :aria-pressed="goals.includes(`nothing-new:${dog.id}`)" @click="toggle(`nothing-new:${dog.id}`)">nothing new for {{ dog.name }}</button>
                <button v-if="kitchen.atTable.some((one) => one.allowList !== null)" type="button" class="job" :aria-pressed="goals.includes('allow-list')" @click="toggle('allow-list')">from the allow-list only</button>
                <label class="plain plain--short"><span>% fewer kcal</span><input v-model="fewer" inputmode="numeric" @change="work" /></label>
            </div>
            <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
            <p v-if="working" role="status">Working it out…</p>
            <p v-if="plan !== null && plan.why !== null" class="problem" role="status">{{ plan.why }}</p>
            <template v-if="plan !== null && chosen !== null">
                <div class="rescue__ways" role="group" aria-label="Ways to do it"><button v-for="(one, number) in plan.rescues" :key="one.recipeText" type="button" class="way" :aria-pressed="at === number" @click="at = number">{{ one.says }}</button></div>
                <div class="rescue__halves">
                    <table class="rescue__lines">
                        <caption class="hint">Before and after, line by line</caption>
                        <thead><tr><th scope="col">as it was</th><th scope="col">as it would be</th></tr></thead>
                        <tbody>
                            <tr v-for="(line, number) in rows" :key="number" :class="{ 'rescue__line--changed': line.changed }">
                                <td><component :is="line.changed ? 'del' : 'span'">{{ line.before ?? '' }}</component></td>
                                <td><template v-if="line.changed"><ins>{{ line.after ?? 'left out' }}</ins><small>{{ line.reason }}</small></template><template v-else>{{ line.after }}</template></td>
                            </tr>
                        </tbody>
                    </table>
                    <div>
                        <p v-if="after !== null"><strong>{{ figure(answer?.piece.kcal.best ?? 0) }} → {{ figure(after.piece.kcal.best) }}</strong> kcal a piece; fat {{ figure(answer?.piece.nutrients['fatG'] ?? 0) }} → {{ figure(after.piece.nutrients['fatG'] ?? 0) }} g; {{ answer?.batch.feel ?? '–' }} → {{ after.batch.feel ?? '–' }}</p>
                        <ul class="rescue__rations"><li v-for="one in rations" :key="one.dog"><strong>{{ one.dog }}</strong> {{ pieces(one.before) }} → {{ pieces(one.after) }} a day<template v-if="!one.cleared"> (not cleared yet)</template><span class="rescue__dots"><PieceDots :count="one.before" ghost :most="12" /><span aria-hidden="true">→</span><PieceDots :count="one.after" :ghost="!one.cleared" :most="12" /></span></li></ul>
                        <ul v-if="chosen.leftOut.length > 0" class="doubts" aria-label="Left out"><li v-for="one in chosen.leftOut" :key="one.dog"><strong>{{ one.dog }}</strong>: {{ one.reason }}</li></ul>
                        <p v-if="plan.tables.length > 1">Or bake {{ plan.tables.length }} batches: {{ plan.tables.map((table) => table.join(', ')).join(' / ') }}.</p>
                        <p class="hint">{{ chosen.optimal ? 'No set of changes known here costs less.' : 'The best that was found in the time.' }}</p>
                    </div>
                </div>
                <p class="paper__ends"><v-btn @click="open = false">Leave it as it is</v-btn><v-btn variant="flat" color="primary" @click="take">Take these changes</v-btn></p>
            </template>
            <p v-else class="paper__ends"><v-btn @click="open = false">Close</v-btn></p>
        </div>
    </v-dialog>
</template>
