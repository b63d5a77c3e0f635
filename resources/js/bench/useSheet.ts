import { isolateHistory } from '@codemirror/commands'
import { useDebounceFn, useEventListener } from '@vueuse/core'
import { markRaw, ref, shallowRef, watch, type InjectionKey, type Ref } from 'vue'
import type { Clipping, Recipe, Slip } from '../api/types.generated'
import { cutAsTold } from './cutAsTold'
import { wordsOf, type KitchenOnPage } from '../kitchen/useKitchen'
import { Drafts, key, type DraftEntry } from './drafts'
import { joined, parted } from './paper/document'
import { editor, type Hooks } from './paper/editor'
import { answerCame, blockOpened } from './paper/fields'
import { wellFormed } from './paper/intake'
import { keptOf, saidChanged, stateFrom, type KeptPaper } from './paper/history'
import { Paper } from './paper/paper'
import { blankSheet, differenceOf, isBlank, saidOf, sheetOf, written, type Confirmation, type Said, type Saying, type Sheet } from './sheets'
import { given } from '../ui/given'

export { UNMEASURED } from './sheets'
export type { Binding, Confirmation, Measured, Portion, Saying, Sheet } from './sheets'

/** A changed size is one step of history once the hand has rested so long. */
const SAID_AFTER_MS = 500
/** Between two keys nothing is written away, but never long after. */
const KEPT_AFTER_MS = 150
const KEPT_AT_LEAST_MS = 250
const HERE = 'mildbowl.here'

/** The sheet on the bench: its document, what is said of it, and the history of both. Each open sheet has its own; none touches another. */
export function createSheet(kitchen: KitchenOnPage, drafts: Drafts = new Drafts()) {
    const sheet = ref<Sheet>(blankSheet()) as Ref<Sheet>
    const id = ref('')
    const open = ref<DraftEntry[]>([])
    const depth = ref({ back: 0, forth: 0 })
    const trouble = ref<string | null>(null)
    /** what the shelf is known to hold of this sheet */
    const shelved = ref<string | null>(null)
    /** the version of the recipe it was written on */
    const version = ref<number | null>(null)
    const putAway = shallowRef<{ id: string; draft: NonNullable<ReturnType<Drafts['read']>> } | null>(null)
    const hooks: Hooks = {
        swap: nothing,
        find: nothing,
        leave: () => false,
        bringIn: nothing,
        tell: (words) => {
            trouble.value = words
        },
        words: () => ({
            vocabulary: kitchen.vocabulary,
            coming: kitchen.vocabulary === null ? kitchen.opened() : null,
            own: kitchen.ownWords,
            written: kitchen.writtenRecipes,
        }),
    }
    const extensions = editor(hooks)
    const paper = markRaw(new Paper(stateFrom(null, '', extensions)))
    let said: Said = saidOf(sheet.value)

    paper.follow((transaction) => {
        if (transaction.docChanged) Object.assign(sheet.value, parted(wellFormed(paper.document)))
        for (const effect of transaction.effects) {
            if (!effect.is(saidChanged)) continue
            const after = JSON.parse(effect.value.after) as Partial<Said>
            Object.assign(sheet.value, after)
            said = { ...said, ...(JSON.parse(effect.value.after) as Partial<Said>) }
        }
        const now = paper.depth
        if (now.back !== depth.value.back || now.forth !== depth.value.forth) depth.value = now
    })

    /** What was said since becomes a step of history. */
    function settle(): void {
        const difference = differenceOf(said, saidOf(sheet.value))
        if (difference !== null) paper.dispatch({ effects: saidChanged.of(difference), userEvent: 'said' })
    }

    /** Changes what is said without a step of history: what the kitchen did, not the person. */
    function quietly(change: Partial<Sheet>): void {
        settle()
        Object.assign(sheet.value, change)
        said = saidOf(sheet.value)
    }

    /** What lies in the browser of this sheet, written here or in another tab. */
    let synced = ''
    const state = (): string => JSON.stringify([id.value, sheet.value, shelved.value, version.value])

    /** Only what was changed here: a tab that gives back what it was just told would put it over what is being typed in the other. */
    function save(): void {
        if (id.value === '' || state() === synced) return
        try {
            drafts.write(id.value, {
                sheet: JSON.parse(JSON.stringify(sheet.value)) as Sheet,
                paper: keptOf(paper.state),
                shelved: shelved.value,
                version: version.value,
            })
            synced = state()
            rememberHere(id.value)
        } catch {
            trouble.value =
                'This browser has no room left: what is on the sheet is kept only while this page is open. Keep it on the shelf, or clear old sheets away.'
        }
        open.value = drafts.list()
    }

    const settleSoon = useDebounceFn(settle, SAID_AFTER_MS)
    const saveSoon = useDebounceFn(save, KEPT_AFTER_MS, { maxWait: KEPT_AT_LEAST_MS })
    watch(
        sheet,
        () => {
            void settleSoon()
            void saveSoon()
        },
        { deep: true, flush: 'sync' },
    )
    useEventListener(window, 'pagehide', () => {
        settle()
        save()
    })
    useEventListener(document, 'visibilitychange', () => {
        if (document.visibilityState === 'hidden') save()
    })
    // the same sheet in another tab: what is written there stands here, too
    useEventListener(window, 'storage', (event) => {
        if (event.key !== key(id.value) || event.newValue === null) return
        const other = drafts.read(id.value)
        if (other === null) return
        paper.write(joined(other.sheet))
        const difference = differenceOf(said, saidOf(other.sheet))
        if (difference !== null) paper.dispatch({ effects: saidChanged.of(difference) })
        sheet.value.confirmed = other.sheet.confirmed
        shelved.value = other.shelved
        version.value = other.version
        synced = state()
    })

    function lay(draft: string, next: Sheet, past: KeptPaper | null, known: string | null, on: number | null = null): void {
        id.value = draft
        shelved.value = known
        version.value = on
        sheet.value = next
        said = saidOf(next)
        paper.lay(stateFrom(past, joined(next), extensions))
        paper.dispatch({ effects: [answerCame.of(null), blockOpened.of(null)] })
        depth.value = paper.depth
        sheet.value = { ...next, ...parted(wellFormed(paper.document)) }
        trouble.value = null
        sitById()
        save()
    }

    /** A sheet from before dogs had ids in it names them: whoever still bears the name sits there. */
    function sitById(): void {
        const idOf = (dog: string): string => kitchen.dogs.find((one) => one.name === dog)?.id ?? dog
        for (const portion of sheet.value.portions) portion.dogs = portion.dogs.map(idOf)
        for (const one of sheet.value.confirmed) if (one.dog !== null) one.dog = idOf(one.dog)
        said = saidOf(sheet.value)
    }

    /** Leaves the sheet that lies there as it is, and lays another. A blank one is not worth keeping. */
    function leave(): void {
        if (id.value === '') return
        settle()
        if (isBlank(sheet.value)) drafts.remove(id.value)
        else save()
    }

    function resume(draft: string): boolean {
        const found = drafts.read(draft)
        if (found === null) return false
        lay(draft, found.sheet, found.paper, found.shelved, found.version)

        return true
    }

    /** Lays a sheet that lies on the bench; whether there is one of this name. */
    function go(draft: string): boolean {
        if (draft === id.value) return true
        if (drafts.read(draft) === null) return false
        leave()

        return resume(draft)
    }

    /** Opens a recipe of the shelf: as it lies on the bench already, where something was written on it there; else as the shelf has it. */
    function openRecipe(recipe: Recipe): void {
        const fresh = sheetOf(recipe)
        const known = drafts.of(recipe.id)
        const draft =
            known === null
                ? null
                : known === id.value
                  ? { sheet: sheet.value, paper: keptOf(paper.state), shelved: shelved.value, version: version.value }
                  : drafts.read(known)
        leave()
        const isShelved = draft !== null && written(draft.sheet) === draft.shelved
        if (known === null || draft === null) lay(crypto.randomUUID(), fresh, null, written(fresh), recipe.version)
        else if (isShelved && written(fresh) !== draft.shelved) lay(known, fresh, null, written(fresh), recipe.version)
        else lay(known, JSON.parse(JSON.stringify(draft.sheet)) as Sheet, draft.paper, draft.shelved, draft.version)
    }

    /**
     * Opens a recipe by its slip. What lies on the bench of it already is there at once, also while the kitchen is away.
     *
     * @throws KitchenProblem where it can be had neither here nor there
     */
    async function openSlip(slip: Pick<Slip, 'id'>): Promise<void> {
        const known = drafts.of(slip.id)
        const draft = known === null ? null : drafts.read(known)
        if (known !== null && draft !== null && known !== id.value && written(draft.sheet) !== draft.shelved) {
            go(known)
            return
        }
        try {
            openRecipe(await kitchen.recipe(slip.id))
        } catch (error) {
            if (known === null || draft === null) throw error
            go(known)
        }
    }

    function blank(): void {
        if (id.value !== '' && isBlank(sheet.value) && depth.value.back === 0) {
            lay(id.value, blankSheet(), null, null)
            return
        }
        leave()
        lay(crypto.randomUUID(), blankSheet(), null, null)
    }

    /** Lays a recipe from outside on the bench, with nothing kept yet. */
    function layClipping({ title, text, steps, source, times, ...more }: Clipping): void {
        leave()
        lay(
            crypto.randomUUID(),
            {
                ...blankSheet(),
                ...cutAsTold(more.bake),
                title,
                text,
                steps,
                source,
                yield: more.yield,
                prepMinutes: times.prepMinutes,
                bakeMinutes: times.bakeMinutes,
            },
            null,
            null,
        )
    }

    /** Puts a sheet away from the bench; what is on the shelf stays there. It can be brought back. */
    function clear(draft: string): void {
        if (draft === id.value) {
            settle()
            save()
        }
        const found = drafts.read(draft)
        if (found === null) return
        putAway.value = { id: draft, draft: found }
        drafts.remove(draft)
        open.value = drafts.list()
        if (draft !== id.value) return
        id.value = ''
        const next = open.value[0]
        if (next === undefined || !resume(next.id)) blank()
    }

    function bringBack(): void {
        const last = putAway.value
        if (last === null) return
        putAway.value = null
        drafts.write(last.id, last.draft)
        go(last.id)
    }

    /** Settles a finding at once, and has it written down with who, when and the words shown. */
    function confirm({ level, words, dogName, productId, holdsUntil, ...one }: Saying): void {
        const record = crypto.randomUUID()
        const fields = {
            code: one.code,
            line: one.line,
            dog: dogName,
            dogId: one.dog,
            level,
            words,
            recipeTitle: sheet.value.title === '' ? null : sheet.value.title,
            productId: productId ?? null,
            ...(holdsUntil === undefined ? {} : { holdsUntil }),
        }
        void kitchen.all.words.keep(null, fields, { id: record }).catch((error: unknown) => {
            // it was not written down, and settles nothing
            sheet.value.confirmed = sheet.value.confirmed.filter((other) => other.record !== record)
            trouble.value = wordsOf(error)
        })
        if (level === 'ask-vet') return
        sheet.value.confirmed.push({ code: one.code, line: one.line, dog: one.dog, record })
        if (productId !== undefined && productId !== null && one.line !== null) bind(one.line.trim(), productId)
    }

    function takeBack(one: Confirmation): void {
        const same = (other: Confirmation): boolean => other.code === one.code && other.line === one.line && other.dog === one.dog
        const jars =
            one.line === null
                ? []
                : [
                      ...sheet.value.bound.filter((other) => other.line === one.line?.trim()).map((other) => other.productId),
                      ...kitchen.products.filter((jar) => one.line?.toLowerCase().includes(jar.name.toLowerCase()) === true).map((jar) => jar.id),
                  ]
        const records = [
            ...sheet.value.confirmed.filter(same).map((other) => other.record),
            ...kitchen.words
                .filter(
                    (word) =>
                        word.code === one.code &&
                        (word.level === 'ask-vet'
                            ? one.dog !== null && word.dogId === one.dog
                            : word.productId !== null && jars.includes(word.productId)),
                )
                .map((word) => word.id),
        ]
        for (const record of new Set(records))
            if (record !== undefined)
                void kitchen.all.words.remove(record).catch((error: unknown) => {
                    trouble.value = wordsOf(error)
                })
        sheet.value.confirmed = sheet.value.confirmed.filter((other) => !same(other))
    }

    /** Takes what was worked out for the sheet, words and sayings together, as one step of history. */
    function take(words: { text: string; steps: string }, change: Partial<Said> = {}): void {
        settle()
        const difference = differenceOf(said, change)
        paper.write(joined(words), { effects: difference === null ? [] : [saidChanged.of(difference)], annotations: isolateHistory.of('full') })
    }

    /** Takes a swap or a rescue: the sheet becomes a new version of what it was. A kept recipe stays on the shelf as its parent. */
    function takeSwap(text: string, steps: string, change: Partial<Said> = {}): void {
        settle()
        const { recipeId, parentId, title } = sheet.value
        take(
            { text, steps },
            {
                measured: { count: null, bakedGrams: null, wasteGrams: null },
                ...change,
                ...(recipeId === null
                    ? {}
                    : { recipeId: null, parentId: recipeId, title: title === '' ? title : `${title.replace(/, changed$/, '')}, changed` }),
                ...(recipeId === null ? { parentId } : {}),
            },
        )
    }

    /** Takes what was changed elsewhere: one step of history, so that it can be looked at and taken back. */
    function takeIn(change: Partial<Sheet>): void {
        settle()
        const { text, steps, confirmed, ...said_ } = change
        take({ text: text ?? sheet.value.text, steps: steps ?? sheet.value.steps }, said_ as Partial<Said>)
        if (confirmed !== undefined) sheet.value.confirmed = confirmed
    }

    /** What was said of a part in grams grows with the recipe. */
    function scaledParts(factor: number): Sheet['parts'] {
        return sheet.value.parts.map((one) => (one.keeps?.grams == null ? one : { ...one, keeps: { ...one.keeps, grams: one.keeps.grams * factor } }))
    }

    /** Binds a line to a product, or lets it go. */
    function bind(line: string, productId: string | null): void {
        sheet.value.bound = [...sheet.value.bound.filter((one) => one.line !== line), ...(productId === null ? [] : [{ line, productId }])]
    }

    function undo(): void {
        settle()
        paper.undo()
    }

    function redo(): void {
        settle()
        paper.redo()
    }

    function begin(): void {
        const here = hereBefore()
        const first = here !== null && drafts.read(here) !== null ? here : drafts.list()[0]?.id
        if (first === undefined || !resume(first)) blank()
    }
    begin()

    return {
        sheet,
        id,
        open,
        depth,
        trouble,
        shelved,
        version,
        putAway,
        hooks,
        paper,
        drafts,
        openRecipe,
        openSlip,
        blank,
        takeIn,
        go,
        clear,
        bringBack,
        layClipping,
        confirm,
        takeBack,
        bind,
        take,
        takeSwap,
        scaledParts,
        quietly,
        save,
        undo,
        redo,
    }
}

/** Which sheet this tab shows, over a reload. */
function rememberHere(id: string): void {
    try {
        sessionStorage.setItem(HERE, id)
    } catch {
        // the newest sheet is shown then
    }
}

function hereBefore(): string | null {
    try {
        return sessionStorage.getItem(HERE)
    } catch {
        return null
    }
}

function nothing(): void {
    // until a page shows the sheet there is nobody to ask
}

export type SheetOnBench = ReturnType<typeof createSheet>

export const SHEET: InjectionKey<SheetOnBench> = Symbol('sheet')

/** The sheet of this page; made in its root. */
export function useSheet(): SheetOnBench {
    return given(SHEET)
}
