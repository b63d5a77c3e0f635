import { useDebounceFn, useEventListener } from '@vueuse/core'
import { computed, ref, watch, type InjectionKey } from 'vue'
import { KitchenProblem } from '../api/client'
import { conflictsOf, type Outbox } from '../api/outbox'
import type { Problem, Recipe } from '../api/types.generated'
import { wordsOf, type KitchenOnPage } from '../kitchen/useKitchen'
import { given } from '../ui/given'
import { asSheet, changedSince, onShelf, shelvedOf, UNTITLED, written, type OnShelf, type Sheet } from './sheets'
import type { SheetOnBench } from './useSheet'

/** blank: nothing to keep. browser: on no shelf. keeping: on its way. waiting: the kitchen does not answer, and it is sent by itself. */
export type Keeping = 'blank' | 'browser' | 'keeping' | 'kept' | 'waiting' | 'refused'

/** Where two wrote in one field of a recipe: what the other wrote, and what stands on this sheet. */
export interface Clash {
    draft: string
    recipeId: string
    version: number
    fields: NonNullable<Problem['conflicts']>
}

const KEEP_AFTER_MS = 900

/** Brings what is written on the sheets to the shelf, by way of the outbox, and what others wrote on the shelf to the sheets. */
export function createShelving(bench: SheetOnBench, kitchen: KitchenOnPage, outbox: Outbox) {
    const { sheet, id, drafts, shelved, version } = bench
    const problem = ref<string | null>(null)
    const clash = ref<Clash | null>(null)

    const onItsWay = computed(() => (sheet.value.recipeId === null ? [] : outbox.of('recipes', sheet.value.recipeId)))
    const keeping = computed<Keeping>(() => {
        if (problem.value !== null) return 'refused'
        if (onItsWay.value.some((one) => one.state === 'waits')) return outbox.state.away ? 'waiting' : 'keeping'
        if (sheet.value.recipeId !== null && written(sheet.value) === shelved.value) return 'kept'
        if (sheet.value.recipeId !== null) return 'keeping'

        return sheet.value.text === '' && sheet.value.steps === '' ? 'blank' : 'browser'
    })

    /** Gives the outbox what of the sheet differs from the shelf. */
    function keep(): void {
        if (sheet.value.recipeId === null || clash.value?.draft === id.value) return
        give(id.value, sheet.value, shelved.value, version.value)
    }

    function give(draft: string, one: Sheet, known: string | null, on: number | null): void {
        const fields = changedSince(known, one)
        if (one.recipeId === null || Object.keys(fields).length === 0) return
        const recipeId = one.recipeId
        // from here on the outbox holds it
        note(draft, { shelved: written(one) })
        kitchen.all.recipes.keep(recipeId, fields, on === null ? {} : { base: on }).then(
            () => {
                if (draft === id.value) problem.value = null
            },
            (error: unknown) => {
                refused(draft, recipeId, known, error)
            },
        )
    }

    function refused(draft: string, recipeId: string, known: string | null, error: unknown): void {
        const told = error instanceof KitchenProblem ? error.problem : null
        const conflicts = conflictsOf(told)
        if (conflicts.length > 0) {
            note(draft, { shelved: known })
            clash.value = { draft, recipeId, version: told?.version ?? 0, fields: conflicts }
            return
        }
        if (told?.status === 404) {
            // it was taken off the shelf elsewhere: what is written here is nowhere else now
            if (draft === id.value) bench.quietly({ recipeId: null })
            note(draft, { shelved: null, version: null }, { recipeId: null })
            if (draft === id.value) problem.value = 'It was taken off the shelf meanwhile. Keep it again, if it is to stay there.'
            return
        }
        note(draft, { shelved: known })
        if (draft === id.value) problem.value = wordsOf(error)
    }

    /** Writes down with a sheet what is known of the shelf. */
    function note(draft: string, change: { shelved?: string | null; version?: number | null }, more: Partial<Sheet> = {}): void {
        if (draft === id.value) {
            if (change.shelved !== undefined) shelved.value = change.shelved
            if (change.version !== undefined) version.value = change.version
            bench.save()
            return
        }
        const found = drafts.read(draft)
        if (found !== null) drafts.write(draft, { ...found, ...change, sheet: { ...found.sheet, ...more } })
    }

    /**
     * What the kitchen made of it: the version it has now, and what others wrote in between where this sheet says nothing else. Where both
     * wrote, the sheet stays on the version it was written on: the kitchen then sees it, and asks.
     *
     * @param sent what of it this browser sent itself
     */
    function took(recipe: Recipe, sent: Record<string, unknown> = {}): void {
        for (const entry of drafts.list().filter((one) => one.recipeId === recipe.id)) {
            const isHere = entry.id === id.value
            const found = isHere ? { sheet: sheet.value, shelved: shelved.value, version: version.value } : drafts.read(entry.id)
            if (found === null || (found.version !== null && found.version > recipe.version)) continue
            const was = found.shelved === null ? null : (JSON.parse(found.shelved) as OnShelf)
            const now = onShelf(found.sheet)
            const theirs = shelvedOf(recipe)
            const pending = new Set(outbox.of('recipes', recipe.id).flatMap((one) => Object.keys(one.body ?? {})))
            const isSame = (one: unknown, two: unknown): boolean => JSON.stringify(one) === JSON.stringify(two)
            const known = { ...theirs } as Record<string, unknown>
            const change: Record<string, unknown> = {}
            let isBehind = false
            for (const key of Object.keys(theirs) as (keyof OnShelf)[]) {
                if (was === null || isSame(theirs[key], was[key])) continue
                if (!pending.has(key) && isSame(now[key], was[key])) {
                    change[key] = theirs[key]
                    continue
                }
                // more was written here since, or is on its way
                known[key] = was[key]
                if (!isSame(sent[key], theirs[key])) isBehind = true
            }
            if (Object.keys(change).length > 0) {
                if (isHere) bench.takeIn(asSheet(change as Partial<OnShelf>))
                else note(entry.id, {}, asSheet(change as Partial<OnShelf>))
            }
            note(entry.id, { shelved: JSON.stringify(known), ...(isBehind ? {} : { version: recipe.version }) })
        }
    }

    outbox.follow((entry, answer) => {
        if (entry.kind === 'recipes' && entry.method !== 'DELETE') took(answer as Recipe, entry.body ?? {})
    })

    // the recipe on the bench was changed on another page
    watch(
        () => (sheet.value.recipeId === null ? null : (kitchen.all.recipes.of(sheet.value.recipeId)?.version ?? null)),
        (now) => {
            const { recipeId } = sheet.value
            if (recipeId === null || now === null || version.value === null || now <= version.value || onItsWay.value.length > 0) return
            void kitchen
                .recipe(recipeId)
                .then((recipe) => {
                    if (sheet.value.recipeId === recipeId) took(recipe)
                })
                .catch(() => undefined)
        },
    )

    /** Puts a sheet on the shelf that was never there: once, however often it is asked for. */
    function keepAsNew(): void {
        if (sheet.value.recipeId !== null) return
        const here = id.value
        const recipeId = crypto.randomUUID()
        const { source, prepMinutes, bakeMinutes, parentId } = sheet.value
        const fields = { ...onShelf(sheet.value), parentId, source, yield: sheet.value.yield, prepMinutes, bakeMinutes }
        problem.value = null
        bench.quietly({ recipeId, ...(sheet.value.title.trim() === '' ? { title: UNTITLED } : {}) })
        note(here, { shelved: written(sheet.value), version: null })
        kitchen.all.recipes.keep(null, fields, { id: recipeId }).catch((error: unknown) => {
            if (id.value === here) {
                bench.quietly({ recipeId: null })
                problem.value = wordsOf(error)
            }
            note(here, { shelved: null, version: null }, { recipeId: null })
        })
    }

    /** What was asked side by side is settled: what was chosen of the other's goes on the sheet, the rest goes to the shelf over theirs. */
    function settle(takesTheirs: string[]): void {
        const asked = clash.value
        if (asked === null) return
        clash.value = null
        const theirs = Object.fromEntries(asked.fields.map((one) => [one.field, one.theirs]))
        const change = asSheet(Object.fromEntries(Object.entries(theirs).filter(([field]) => takesTheirs.includes(field))) as Partial<OnShelf>)
        if (asked.draft === id.value) {
            if (Object.keys(change).length > 0) bench.takeIn(change)
        } else note(asked.draft, {}, change)
        const found = asked.draft === id.value ? { sheet: sheet.value, shelved: shelved.value } : drafts.read(asked.draft)
        if (found === null) return
        const known = JSON.stringify({ ...(found.shelved === null ? {} : (JSON.parse(found.shelved) as object)), ...theirs })
        note(asked.draft, { version: asked.version, shelved: known })
        give(asked.draft, found.sheet, known, asked.version)
    }

    const keepSoon = useDebounceFn(keep, KEEP_AFTER_MS)
    watch(
        () => [id.value, written(sheet.value)],
        ([now], [before]) => {
            if (now !== before) problem.value = null
            else if (sheet.value.recipeId !== null) {
                problem.value = null
                void keepSoon()
            }
        },
    )
    // another sheet is laid, or the page left: what is not yet given goes along
    watch(id, (_now, before) => {
        const found = drafts.read(before)
        if (found !== null) give(before, found.sheet, found.shelved, found.version)
    })
    useEventListener(window, 'pagehide', keep)
    for (const entry of drafts.list()) {
        const found = drafts.read(entry.id)
        // one that was never acknowledged is new to this browser, and not ahead of the shelf
        if (found !== null && found.shelved !== null) give(entry.id, found.sheet, found.shelved, found.version)
    }

    return { keeping, problem, clash, keepAsNew, keep, settle }
}

export type Shelving = ReturnType<typeof createShelving>

export const SHELVING: InjectionKey<Shelving> = Symbol('shelving')

/** What is saved of the sheets and what waits; made in the root. */
export function useShelving(): Shelving {
    return given(SHELVING)
}
