<script setup lang="ts">
import { mdiUndo, mdiVolumeHigh, mdiVolumeOff } from '@mdi/js'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api } from '../api/client'
import type { WorkStep } from '../api/types.generated'
import { useSheet } from '../bench/useSheet'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { useOutbox } from '../kitchen/useOutbox'
import { figure, unbroken } from '../ui/format'
import IconButton from '../ui/IconButton.vue'
import SwitchRow from '../ui/SwitchRow.vue'
import BatchFigures from './BatchFigures.vue'
import BatchTroubles from './BatchTroubles.vue'
import CoreStep from './CoreStep.vue'
import CountAndFinish from './CountAndFinish.vue'
import { hourOf } from './clockwork'
import { heatOf, isWithin, nowOf, runsByItself } from './log'
import LogList from './LogList.vue'
import { lotsOf, type LotSign } from './lots'
import LeftOver from '../keeping/LeftOver.vue'
import StepStage from './StepStage.vue'
import TimerCard from './TimerCard.vue'
import { useAlarm, useAwake, useVoice } from './useAlarm'
import { useBatch } from './useBatch'
import WhatWentIn from './WhatWentIn.vue'
import WhoBakes from './WhoBakes.vue'

/** At the oven: one step large, the timers beside it, everything that is done written down by doing it. */
const route = useRoute()
const router = useRouter()
const kitchen = useKitchen()
const outbox = useOutbox()
const { layClipping, sheet } = useSheet()
const id = computed(() => String(route.params['id'] ?? ''))
const page = useBatch(id)
const { batch, state, problem, refused } = page
const { now, ringing, running, isQuiet, canNotify, permissionGranted, ensurePermissions } = useAlarm(
    computed(() => (state.value.isClosed ? [] : state.value.timers)),
)
const steps = computed<WorkStep[]>(() => batch.value?.plan.steps ?? [])
const lots = computed(() => lotsOf(steps.value))
const plan = computed(() => nowOf(steps.value, state.value, now.value))
const current = computed(() => plan.value.step)
const ringsNow = computed(() => current.value !== null && ringing.value.some((one) => one.step === current.value?.id))
const isMaking = computed(() => batch.value !== null && !state.value.isClosed)
const { canStayAwake } = useAwake(isMaking)
const spoken = computed(() => (current.value === null ? '' : [current.value.text, current.value.hazard].filter(Boolean).join(' ')))
const { canSpeak, speaks, say } = useVoice(spoken)
const side = ref<'timers' | 'went' | 'finish' | 'log'>('timers')
const timezone = computed(() => kitchen.kitchen?.timezone)

const lotOf = (name: string | null): LotSign | null => lots.value.find((one) => one.name === name) ?? null
const standing = (kind: string, step: string): boolean => state.value.standing.some((one) => one.kind === kind && one.said?.step === step)

/** A step that goes on by itself is begun: it rings when it is to be looked at, turned, and when it is done. */
async function begin(step: WorkStep): Promise<void> {
    if (!(await page.tell('begun', { step: step.id }))) return
    const named = { name: nameOf(step), ...(step.lot === null ? {} : { lot: step.lot }) }
    void page.tell('timer', { timer: step.id, step: step.id, seconds: Math.max(1, Math.round(60 * step.minutes.best)), ...named })
    for (const within of steps.value) {
        if (!isWithin(within, steps.value) || heatOf(within, steps.value)?.id !== step.id || within.kind === 'heat' || within.kind === 'dry') continue
        const after = within.startsAfterMinutes - step.startsAfterMinutes
        void page.tell('timer', {
            timer: within.id,
            step: within.id,
            seconds: Math.max(1, Math.round(60 * after)),
            name: WITHIN[within.kind] ?? 'look',
            ...(step.lot === null ? {} : { lot: step.lot }),
        })
    }
}

const WITHIN: Record<string, string> = { look: 'look', turn: 'turn', stir: 'stir', shape: 'in the heat' }
const RUNS: Record<string, string> = {
    preheat: 'the oven',
    heat: 'in the heat',
    dry: 'drying',
    cool: 'cooling',
    chill: 'chilling',
    freeze: 'freezing',
    set: 'setting',
    rest: 'resting',
    soak: 'soaking',
}

function nameOf(step: WorkStep): string {
    return step.lot ?? RUNS[step.kind] ?? step.kind
}

async function done(step: WorkStep): Promise<void> {
    if (!(await page.tell('done', { step: step.id }))) return
    stopTimersOf(step.id)
    // what was to be looked at in it is out
    for (const within of steps.value) if (heatOf(within, steps.value)?.id === step.id && isWithin(within, steps.value)) stopTimersOf(within.id)
}

function stopTimersOf(step: string): void {
    for (const timer of state.value.timers) if (timer.step === step && !timer.isStopped) void page.tell('stopped', { timer: timer.id })
}

function again(step: WorkStep, seconds: number): void {
    const timer = state.value.timers.find((one) => one.step === step.id)
    if (timer === undefined) void page.tell('timer', { timer: crypto.randomUUID(), step: step.id, name: nameOf(step), seconds })
    else void page.tell('more', { timer: timer.id, seconds })
}

/** The last thing that was written down was a slip. */
const last = computed(
    () =>
        state.value.standing
            .filter((one) => one.kind === 'done' || one.kind === 'begun' || one.kind === 'skipped' || one.kind === 'finished')
            .at(-1) ?? null,
)

async function undo(): Promise<void> {
    const slip = last.value
    if (slip === null) return
    if (!(await page.tell('undone', {}, slip.id))) return
    // its timers go with it
    if (slip.kind === 'begun')
        for (const one of state.value.standing) {
            const of = steps.value.find((step) => step.id === one.said?.step)
            if (one.kind === 'timer' && (one.said?.step === slip.said?.step || (of !== undefined && heatOf(of, steps.value)?.id === slip.said?.step)))
                void page.tell('undone', {}, one.id)
        }
}

const FINISH = 'Count, weigh and put away, and the batch is finished.'
/** What goes on until the next timer rings, or what is to be done then. */
const announced = computed(() => {
    const timer = running.value[0]
    if (timer === undefined) return FINISH
    const step = steps.value.find((one) => one.id === timer.step)
    const hour = hourOf(timer.endsAt, timezone.value)

    return step !== undefined && runsByItself(step) ? `Until ${hour}: ${step.text}` : `At ${hour}: ${step?.text ?? `${timer.name}.`}`
})

const ownMinutes = ref(10)
function ownTimer(minutes: number): void {
    void page.tell('timer', { timer: crypto.randomUUID(), name: `${minutes} min`, seconds: 60 * minutes })
}

const isWaiting = computed(() => outbox.entries.some((one) => one.kind === 'entries' && one.id === id.value && one.state === 'waits'))

/** The minutes it really took become the recipe's, as long as its method is the one that was followed. */
const recipe = computed(() => (batch.value?.recipeId === null ? undefined : kitchen.all.recipes.of(batch.value?.recipeId ?? '')))
const taught = ref<string | null>(null)

async function teach(): Promise<void> {
    const { corrected, question, recipeId } = batch.value ?? {}
    if (corrected === undefined || corrected === null || recipeId === undefined || recipeId === null) return
    try {
        const now = await kitchen.recipe(recipeId)
        if (now.steps !== (question?.recipe.steps ?? '')) {
            taught.value = 'The method of the recipe was changed since this batch: write the minutes there yourself.'
            return
        }
        await kitchen.all.recipes.keep(recipeId, { steps: corrected.steps })
        taught.value = `The recipe says ${corrected.minutes} minutes now.`
    } catch (error) {
        taught.value = wordsOf(error)
    }
}

/** A new sheet with what was really made, written out. */
async function makeAgain(): Promise<void> {
    if (batch.value === null) return
    const { question, title } = batch.value
    let given: string
    try {
        given = (await api.batchWrittenOut(id.value)).explain?.writtenOut ?? question.recipe.text
    } catch (error) {
        refused.value = wordsOf(error)
        return
    }
    layClipping({
        title: `${title}, as made`,
        text: given,
        steps: question.recipe.steps ?? '',
        source: null,
        yield: null,
        times: { prepMinutes: null, bakeMinutes: null },
    })
    if (question.cut) sheet.value.cut = question.cut
    if (question.bake?.texture) sheet.value.texture = question.bake.texture
    void router.push('/bench')
}
</script>

<template>
    <div class="oven" :class="{ 'oven--rings': ringing.length > 0 }">
        <h1 class="unseen">{{ batch?.title ?? 'A batch' }}, at the oven</h1>
        <p v-if="problem !== null" class="trouble" role="alert">{{ problem }} <v-btn to="/oven" variant="outlined">To the oven</v-btn></p>
        <template v-if="batch !== null">
            <header class="oven__head">
                <p class="oven__title">
                    <strong>{{ batch.title }}</strong>
                    <span
                        >{{ state.done.size }} of {{ steps.length }} steps<template v-if="batch.plan.readyAt !== null && isMaking"
                            >; planned to be ready at {{ batch.plan.readyAt.slice(11) }}</template
                        ></span
                    >
                    <span v-if="isWaiting" role="status">waits for the kitchen; kept in this browser</span>
                </p>
                <WhoBakes />
                <IconButton v-if="last !== null" label="The last step was a slip: take it back" :icon="mdiUndo" @click="undo" />
                <v-btn v-if="canSpeak" variant="outlined" :aria-pressed="speaks" @click="speaks = !speaks">{{
                    speaks ? 'It reads aloud' : 'Read aloud'
                }}</v-btn>
                <v-btn v-if="canSpeak && speaks" @click="say()">Say it again</v-btn>
                <IconButton
                    :label="isQuiet ? 'Let timers sound' : 'Keep timers quiet'"
                    :icon="isQuiet ? mdiVolumeOff : mdiVolumeHigh"
                    @click="isQuiet = !isQuiet"
                />
                <v-btn v-if="canNotify && !permissionGranted" @click="ensurePermissions">Ring elsewhere too</v-btn>
            </header>
            <BatchTroubles :page="page" />
            <div class="oven__halves">
                <div class="oven__now">
                    <StepStage
                        v-if="isMaking && current !== null"
                        :step="current"
                        :next="plan.next"
                        :stage="plan.stage.get(current.id) ?? 'may'"
                        :rings="ringsNow"
                        :lot="lotOf(current.lot)"
                        :number="steps.indexOf(current) + 1"
                        :of="steps.length"
                        @begin="begin(current)"
                        @done="done(current)"
                        @skip="page.tell('skipped', { step: current.id })"
                        @again="(seconds) => current !== null && again(current, seconds)"
                    >
                        <CoreStep
                            v-if="current.kind === 'core' && current.core !== null"
                            :key="current.id"
                            :core="current.core"
                            :step="current"
                            :page="page"
                            @reached="done(current)"
                        />
                    </StepStage>
                    <section v-else-if="isMaking" class="stage" aria-label="The step now">
                        <p class="stage__kind">
                            <span>{{ running.length > 0 ? 'Nothing to do' : 'All steps are done' }}</span>
                        </p>
                        <p class="stage__words">{{ unbroken(announced) }}</p>
                        <p v-if="running.length === 0" class="stage__acts">
                            <v-btn class="stage__main" color="primary" variant="flat" :height="76" @click="side = 'finish'">Count and finish</v-btn>
                        </p>
                    </section>
                    <section v-else class="stage" aria-label="The batch">
                        <p class="stage__kind">
                            <span>{{ batch.state === 'given-up' ? 'Given up' : 'Finished' }}</span>
                        </p>
                        <p class="stage__words">
                            {{ batch.count ?? 'Nobody counted the' }} pieces<template v-if="batch.bakedGrams !== null"
                                >, {{ figure(batch.bakedGrams) }} g</template
                            >.
                        </p>
                        <p class="stage__acts">
                            <v-btn class="stage__main" color="primary" variant="flat" :height="76" @click="makeAgain"
                                >Make this one again, as made</v-btn
                            >
                            <v-btn class="stage__skip" :height="76" to="/oven">To the oven</v-btn>
                        </p>
                        <p v-if="taught !== null" class="hint" role="status">{{ taught }}</p>
                        <p v-else-if="recipe !== undefined && batch.corrected !== null" class="stage__acts">
                            <v-btn variant="tonal" :height="64" @click="teach">Write {{ batch.corrected.minutes }} minutes into the recipe</v-btn>
                        </p>
                    </section>
                    <LeftOver v-if="batch.state === 'finished'" :batch="batch" />
                    <ol class="oven__steps" aria-label="All steps">
                        <li
                            v-for="(step, n) in steps"
                            :key="step.id"
                            :class="[`oven__step--${plan.stage.get(step.id)}`, { 'oven__step--now': step.id === current?.id }]"
                            :aria-current="step.id === current?.id ? 'step' : undefined"
                        >
                            <span aria-hidden="true">{{ plan.stage.get(step.id) === 'done' ? '✓' : n + 1 }}</span>
                            <em>{{ step.text }}</em>
                            <small v-if="standing('skipped', step.id)">left out</small>
                            <small v-else-if="state.done.has(step.id)"
                                >{{ state.done.get(step.id)?.by }}, {{ hourOf(state.done.get(step.id)?.at ?? '', timezone) }}</small
                            >
                            <v-btn
                                v-else-if="plan.stage.get(step.id) === 'runs'"
                                variant="outlined"
                                :aria-label="`Done now: ${step.text}`"
                                @click="done(step)"
                                >Done now</v-btn
                            >
                            <small v-else>{{ runsByItself(step) ? `${figure(step.minutes.best)} min` : '' }}</small>
                        </li>
                    </ol>
                </div>
                <aside class="oven__side" aria-label="Beside the step">
                    <SwitchRow
                        v-model="side"
                        label="Beside the step"
                        :items="[
                            { value: 'timers', title: 'Timers' },
                            { value: 'went', title: 'What went in' },
                            { value: 'finish', title: 'Count' },
                            { value: 'log', title: 'Log' },
                        ]"
                    />
                    <template v-if="side === 'timers'">
                        <ul class="timers" aria-label="Timers">
                            <TimerCard
                                v-for="timer in [...ringing, ...running]"
                                :key="timer.id"
                                :timer="timer"
                                :now="now"
                                :lot="lotOf(timer.lot)"
                                :timezone="timezone"
                                @more="(seconds) => page.tell('more', { timer: timer.id, seconds })"
                                @stop="page.tell('stopped', { timer: timer.id })"
                            />
                        </ul>
                        <p v-if="ringing.length + running.length === 0" class="hint">No timer runs.</p>
                        <div v-if="isMaking" class="timers__own" role="group" aria-label="A timer of your own">
                            <v-btn
                                v-for="minutes in [5, 10, 20]"
                                :key="minutes"
                                variant="outlined"
                                :height="64"
                                :aria-label="`A timer of ${minutes} minutes`"
                                @click="ownTimer(minutes)"
                                >{{ minutes }} min</v-btn
                            >
                            <label class="timers__minutes"
                                ><span class="unseen">Minutes of your own timer</span
                                ><input v-model.number="ownMinutes" type="number" min="1" max="960"
                            /></label>
                            <v-btn variant="tonal" :height="64" @click="ownTimer(ownMinutes)">Set</v-btn>
                        </div>
                        <BatchFigures :page="page" />
                        <p v-if="!canStayAwake && isMaking" class="hint">This browser cannot keep the screen awake: timers ring all the same.</p>
                        <ul v-if="batch.plan.warnings.length > 0" class="oven__warnings" aria-label="About the plan">
                            <li v-for="one in batch.plan.warnings" :key="one">{{ one }}</li>
                        </ul>
                    </template>
                    <WhatWentIn v-else-if="side === 'went'" :page="page" />
                    <CountAndFinish v-else-if="side === 'finish'" :page="page" :lots="lots" />
                    <LogList v-else :page="page" :timezone="timezone" />
                </aside>
            </div>
        </template>
    </div>
</template>
