import { useDebounceFn, useLocalStorage } from '@vueuse/core'
import { computed, effectScope, ref, watch } from 'vue'
import { api, KitchenProblem } from '../api/client'
import type { Cut, FormulateAnswer, FormulateRequest, Recipe } from '../api/types.generated'
import { asTableDog, useKitchen, wordsOf } from '../kitchen/useKitchen'

export interface Confirmation {
    code: string
    line: string | null
    dog: string | null
}

/** What lies on the bench. It lives in the browser until the kitchen has acknowledged it. */
export interface Sheet {
    recipeId: string | null
    title: string
    text: string
    steps: string
    cut: Cut
    texture: NonNullable<Recipe['texture']>
    confirmed: Confirmation[]
}

export type Keeping = 'blank' | 'browser' | 'keeping' | 'kept' | 'failed'

const BLANK: Sheet = {
    recipeId: null, title: '', text: '', steps: '', confirmed: [],
    cut: { shape: 'round', diameterMm: 25, thicknessMm: 6 }, texture: 'biscuit',
}

/** Waiting for more keys: long enough to skip the middle of a word, too short to notice. */
const ANSWER_AFTER_MS = 40
const KEEP_AFTER_MS = 900

const sheet = useLocalStorage<Sheet>('mildbowl.sheet', { ...BLANK }, { mergeDefaults: true, deep: true })
const answer = ref<FormulateAnswer | null>(null)
const refusal = ref<{ message: string, path: string } | null>(null)
const silent = ref<string | null>(null)
const keeping = ref<Keeping>('blank')
const answeredIn = ref<number | null>(null)
let running: AbortController | null = null
let turn = 0
let started = false
let onShelf = ''
// The sheet outlives the page it is shown on: a baker who looks up a dog comes back to a bench that still answers.
const lasting = effectScope(true)

/** What of a sheet is kept on the shelf, in one string to compare by. */
function written(): string {
    const { title, text, steps, cut, texture } = sheet.value

    return JSON.stringify([title, text, steps, cut, texture])
}

export function useSheet() {
    const kitchen = useKitchen()

    const request = lasting.run(() => computed<FormulateRequest | null>(() => sheet.value.text.trim() === '' ? null : {
        version: 1,
        recipe: { title: sheet.value.title, text: sheet.value.text, steps: sheet.value.steps },
        cut: sheet.value.cut,
        bake: { texture: sheet.value.texture },
        dogs: kitchen.atTable.map(asTableDog),
        policy: kitchen.kitchen?.policy ?? {},
        confirmed: sheet.value.confirmed,
        explain: true,
    }))

    async function ask(): Promise<void> {
        running?.abort()
        const asked = request?.value ?? null
        const mine = ++turn
        if (asked === null) {
            answer.value = null
            refusal.value = null
            return
        }
        running = new AbortController()
        const since = performance.now()
        try {
            const given = await api.formulate(asked, running.signal)
            if (mine !== turn) return
            answer.value = given
            refusal.value = null
            silent.value = null
            answeredIn.value = performance.now() - since
        } catch (error) {
            if (mine !== turn || (error instanceof DOMException && error.name === 'AbortError')) return
            if (error instanceof KitchenProblem && error.problem.path !== '') {
                refusal.value = { message: error.problem.message, path: error.problem.path }
            } else {
                silent.value = wordsOf(error)
            }
        }
    }

    async function keep(): Promise<void> {
        if (sheet.value.recipeId === null) return
        const { recipeId, title, text, steps, cut, texture } = sheet.value
        const sent = written()
        keeping.value = 'keeping'
        try {
            await kitchen.keepRecipe(recipeId, { title: title.trim() === '' ? 'Untitled' : title, text, steps, cut, texture })
            if (sheet.value.recipeId !== recipeId) return
            onShelf = sent
            keeping.value = written() === sent ? 'kept' : 'browser'
        } catch {
            keeping.value = 'failed'
        }
    }

    const askSoon = useDebounceFn(ask, ANSWER_AFTER_MS)
    const keepSoon = useDebounceFn(keep, KEEP_AFTER_MS)

    function start(): void {
        if (started) return
        started = true
        lasting.run(() => {
            if (request !== undefined) watch(request, () => void askSoon(), { immediate: true, deep: true })
            watch(written, () => {
                if (sheet.value.recipeId !== null && written() === onShelf) {
                    keeping.value = 'kept'
                    return
                }
                keeping.value = 'browser'
                if (sheet.value.recipeId !== null) void keepSoon()
            })
        })
        keeping.value = sheet.value.text === '' ? 'blank' : 'browser'
    }

    async function keepAsNew(): Promise<void> {
        keeping.value = 'keeping'
        const { title, text, steps, cut, texture } = sheet.value
        try {
            const kept = await kitchen.keepRecipe(null, { title: title.trim() === '' ? 'Untitled' : title, text, steps, cut, texture })
            sheet.value.recipeId = kept.id
            sheet.value.title = kept.title
            keeping.value = 'kept'
        } catch (error) {
            keeping.value = 'failed'
            silent.value = wordsOf(error)
        }
    }

    function openRecipe(recipe: Recipe): void {
        sheet.value = {
            recipeId: recipe.id, title: recipe.title, text: recipe.text, steps: recipe.steps, confirmed: [],
            cut: recipe.cut ?? { ...BLANK.cut }, texture: recipe.texture ?? BLANK.texture,
        }
        onShelf = written()
        keeping.value = 'kept'
    }

    function blank(): void {
        sheet.value = { ...BLANK, confirmed: [] }
        answer.value = null
    }

    function confirm(one: Confirmation): void {
        sheet.value.confirmed.push(one)
    }

    function takeBack(one: Confirmation): void {
        sheet.value.confirmed = sheet.value.confirmed.filter((other) => !(other.code === one.code && other.line === one.line && other.dog === one.dog))
    }

    return { sheet, answer, refusal, silent, keeping, answeredIn, start, ask, keepAsNew, openRecipe, blank, confirm, takeBack }
}
