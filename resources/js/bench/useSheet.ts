import { useDebounceFn, useLocalStorage } from '@vueuse/core'
import { computed, effectScope, ref, watch } from 'vue'
import { api, KitchenProblem } from '../api/client'
import type { AskedRecipe } from '../api/asked'
import type { AskedPart, AskedPortion, Clipping, Cut, FormulateAnswer, GoesWithout, Recipe } from '../api/types.generated'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'

export interface Confirmation {
    code: string
    line: string | null
    /** the dog's id */
    dog: string | null
    /** the record kept of it, once the kitchen has written it down */
    record?: string
}

/** What was shown when a person confirmed, for the record. */
export interface Saying extends Confirmation {
    level: 'ask-vet' | 'check-label'
    words: string
    /** as it was shown */
    dogName: string | null
}

/** A line of the sheet bound to a product whose label was read. */
export interface Binding {
    line: string
    productId: string
}

/** What lies on the bench. It lives in the browser until the kitchen has acknowledged it. */
export interface Sheet {
    recipeId: string | null
    title: string
    text: string
    steps: string
    cut: Cut
    texture: NonNullable<Recipe['texture']>
    /** shares of the dough with their own cut and texture */
    portions: Portion[]
    /** what was said of its parts; the rest is guessed by the headings */
    parts: AskedPart[]
    without: GoesWithout[]
    /** what the oven is set to, in the unit this kitchen reads */
    ovenAt: number | null
    /** weighed and counted after cooling; overrules the estimate */
    measured: Measured
    confirmed: Confirmation[]
    bound: Binding[]
    parentId: string | null
    source: string | null
    yield: string | null
    prepMinutes: number | null
    bakeMinutes: number | null
}

export interface Measured { count: number | null, bakedGrams: number | null, wasteGrams: number | null }

export const UNMEASURED: Measured = { count: null, bakedGrams: null, wasteGrams: null }

/** A portion whose cut and texture are chosen, for dogs by their ids. */
export type Portion = AskedPortion & { name: string, dogs: string[], share: number | null, cut: Cut, bake: { texture: Sheet['texture'] }, measured?: Measured | null }

export type Keeping = 'blank' | 'browser' | 'keeping' | 'kept' | 'failed'

const BLANK: Sheet = {
    recipeId: null, title: '', text: '', steps: '', confirmed: [], bound: [], portions: [], parts: [], without: [], parentId: null, source: null, yield: null, prepMinutes: null, bakeMinutes: null, ovenAt: null, measured: { ...UNMEASURED },
    cut: { shape: 'round', diameterMm: 25, thicknessMm: 6 }, texture: 'biscuit',
}

/** How the sheet is divided, as it is kept: nothing said is nothing kept. */
function divided(): Pick<Recipe, 'portions' | 'parts' | 'without'> {
    const { portions, parts, without } = sheet.value

    return { portions: portions.length === 0 ? null : portions, parts: parts.length === 0 ? null : parts, without: without.length === 0 ? null : without }
}

/** Waiting for more keys: long enough for a pasted heap, far too short to notice. */
const ANSWER_AFTER_MS = 12
const KEEP_AFTER_MS = 900

const sheet = useLocalStorage<Sheet>('mildbowl.sheet', { ...BLANK }, { mergeDefaults: true, deep: true })
const answer = ref<FormulateAnswer | null>(null)
/** The text that the answer is about. */
const answered = ref({ text: '', steps: '' })
const refusal = ref<{ message: string, path: string } | null>(null)
const silent = ref<string | null>(null)
const keeping = ref<Keeping>('blank')
const answeredIn = ref<number | null>(null)
let running: AbortController | null = null
let turn = 0
let started = false
let onShelf = ''

/** Swaps and rescues taken, so that each can be undone in one step. */
const taken = ref<{ before: Sheet, says: string }[]>([])
// The sheet outlives the page it is shown on: a baker who looks up a dog comes back to a bench that still answers.
const lasting = effectScope(true)

/** What of a sheet is kept on the shelf, in one string to compare by. */
function written(): string {
    const { title, text, steps, cut, texture, portions, parts, without } = sheet.value

    return JSON.stringify([title, text, steps, cut, texture, portions, parts, without])
}

export function useSheet() {
    const kitchen = useKitchen()

    const request = lasting.run(() => computed<AskedRecipe | null>(() => sheet.value.text.trim() === '' ? null : {
        recipe: { title: sheet.value.title, text: sheet.value.text, steps: sheet.value.steps, parts: sheet.value.parts },
        without: sheet.value.without,
        dogs: kitchen.atTable.map((dog) => dog.id),
        cut: sheet.value.cut,
        bake: { texture: sheet.value.texture },
        portions: sheet.value.portions,
        confirmed: sheet.value.confirmed.map(({ code, line, dog }) => ({ code, line, dog })),
        measured: sheet.value.measured,
        bound: sheet.value.bound.map(({ line, productId }) => ({ line, product: productId })),
        ...(sheet.value.ovenAt === null ? {} : { oven: kitchen.kitchen?.temperature === 'F' ? { fahrenheit: sheet.value.ovenAt } : { celsius: sheet.value.ovenAt } }),
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
            answered.value = { text: asked.recipe.text ?? '', steps: asked.recipe.steps ?? '' }
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
            await kitchen.keepRecipe(recipeId, { title: title.trim() === '' ? 'Untitled' : title, text, steps, cut, texture, ...divided() })
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
        sitById()
        lasting.run(() => {
            if (request !== undefined) watch([request, () => kitchen.version], () => void askSoon(), { immediate: true, deep: true })
            watch(written, () => {
                if (sheet.value.recipeId !== null && written() === onShelf) {
                    keeping.value = 'kept'
                    return
                }
                keeping.value = 'browser'
                if (sheet.value.recipeId !== null) void keepSoon()
            })
        })
        keeping.value = sheet.value.text === '' ? 'blank' : sheet.value.recipeId !== null && written() === onShelf ? 'kept' : 'browser'
    }

    /** A sheet from before dogs had ids in it names them: whoever still bears the name sits there. */
    function sitById(): void {
        const idOf = (dog: string): string => kitchen.dogs.find((one) => one.name === dog)?.id ?? dog
        for (const portion of sheet.value.portions) portion.dogs = portion.dogs.map(idOf)
        for (const one of sheet.value.confirmed) if (one.dog !== null) one.dog = idOf(one.dog)
    }

    async function keepAsNew(): Promise<void> {
        keeping.value = 'keeping'
        const { title, text, steps, cut, texture, source, prepMinutes, bakeMinutes, parentId } = sheet.value
        const given = { parentId, ...divided(), source, yield: sheet.value.yield, prepMinutes, bakeMinutes }
        try {
            const kept = await kitchen.keepRecipe(null, { title: title.trim() === '' ? 'Untitled' : title, text, steps, cut, texture, ...given })
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
            ovenAt: null, measured: { ...UNMEASURED }, recipeId: recipe.id, title: recipe.title, text: recipe.text, steps: recipe.steps, confirmed: [], bound: [], portions: (recipe.portions ?? []) as Portion[], parts: recipe.parts ?? [], without: recipe.without ?? [], parentId: recipe.parentId,
            source: recipe.source, yield: recipe.yield, prepMinutes: recipe.prepMinutes, bakeMinutes: recipe.bakeMinutes,
            cut: recipe.cut ?? { ...BLANK.cut }, texture: recipe.texture ?? BLANK.texture,
        }
        onShelf = written()
        keeping.value = 'kept'
    }

    function blank(): void {
        sheet.value = { ...BLANK, confirmed: [], bound: [], portions: [], parts: [], without: [], measured: { ...UNMEASURED } }
        answer.value = null
    }

    /** Settles a finding at once, and has it written down with who, when and the words shown. */
    function confirm({ level, words, dogName, ...one }: Saying): void {
        const said: Confirmation = { ...one }
        sheet.value.confirmed.push(said)
        const kept = sheet.value.confirmed[sheet.value.confirmed.length - 1]
        void api.confirm({ code: one.code, line: one.line, dog: dogName, dogId: one.dog, level, words, recipeTitle: sheet.value.title === '' ? null : sheet.value.title })
            .then((record) => { if (kept !== undefined) kept.record = record.id })
            .catch((error: unknown) => { silent.value = wordsOf(error) })
    }

    function takeBack(one: Confirmation): void {
        const same = (other: Confirmation): boolean => other.code === one.code && other.line === one.line && other.dog === one.dog
        for (const said of sheet.value.confirmed.filter(same)) {
            if (said.record !== undefined) void api.takeBack(said.record).catch((error: unknown) => { silent.value = wordsOf(error) })
        }
        sheet.value.confirmed = sheet.value.confirmed.filter((other) => !same(other))
    }

    /** The question as the sheet stands, for whoever asks something else about it. */
    function question(): AskedRecipe | null {
        return request?.value ?? null
    }

    /**
     * Takes a swap or a rescue: the sheet becomes a new version of what it was. A kept recipe stays on the shelf as its parent.
     */
    function takeSwap(text: string, steps: string, says: string): void {
        const before = JSON.parse(JSON.stringify(sheet.value)) as Sheet
        taken.value.push({ before, says })
        const isKept = before.recipeId !== null
        sheet.value = { ...before, text, steps, measured: { ...UNMEASURED }, recipeId: null, parentId: isKept ? before.recipeId : before.parentId, title: isKept && before.title !== '' ? `${before.title.replace(/, changed$/, '')}, changed` : before.title }
        keeping.value = 'browser'
    }

    /** What was said of a part in grams grows with the recipe. */
    function scaleParts(factor: number): void {
        sheet.value.parts = sheet.value.parts.map((one) => one.keeps?.grams == null ? one : { ...one, keeps: { ...one.keeps, grams: one.keeps.grams * factor } })
    }

    function undoSwap(): void {
        const last = taken.value.pop()
        if (last !== undefined) sheet.value = last.before
    }

    /** Binds a line to a product, or lets it go. */
    function bind(line: string, productId: string | null): void {
        sheet.value.bound = sheet.value.bound.filter((one) => one.line !== line)
        if (productId !== null) sheet.value.bound.push({ line, productId })
    }

    /** Lays a recipe from outside on the bench, with nothing kept yet. */
    function lay(clipping: Clipping): void {
        sheet.value = {
            ...BLANK, confirmed: [], bound: [], portions: [], parts: [], without: [], measured: { ...UNMEASURED }, title: clipping.title, text: clipping.text, steps: clipping.steps, source: clipping.source, yield: clipping.yield,
            prepMinutes: clipping.times.prepMinutes, bakeMinutes: clipping.times.bakeMinutes,
        }
    }

    return { sheet, answer, answered, refusal, silent, keeping, answeredIn, start, ask, keepAsNew, openRecipe, blank, confirm, takeBack, bind, lay, question, takeSwap, scaleParts, undoSwap, taken }
}
