import { useDebounceFn, useEventListener } from '@vueuse/core'
import { computed, ref, watch, type InjectionKey } from 'vue'
import { KitchenProblem } from '../api/client'
import { wordsOf, type KitchenOnPage } from '../kitchen/useKitchen'
import { divided, written, type Sheet } from './sheets'
import type { SheetOnBench } from './useSheet'
import { given } from '../ui/given'

export type Keeping = 'blank' | 'browser' | 'keeping' | 'kept' | 'waiting' | 'refused'

const KEEP_AFTER_MS = 900
const AGAIN_AFTER_MS = [2_000, 5_000, 15_000, 30_000]

/** What of the sheets is on the shelf, what waits to be sent there, and sending it: also what was left lying when the kitchen did not answer. */
export function createShelving(bench: SheetOnBench, kitchen: KitchenOnPage) {
    const { sheet, id, drafts, shelved } = bench
    const busy = ref(false)
    const failed = ref<'waiting' | 'refused' | null>(null)
    const problem = ref<string | null>(null)
    let tries = 0
    let again: ReturnType<typeof setTimeout> | undefined

    const keeping = computed<Keeping>(() => {
        if (sheet.value.recipeId !== null && written(sheet.value) === shelved.value) return 'kept'
        if (busy.value) return 'keeping'
        if (failed.value !== null) return failed.value

        return sheet.value.text === '' && sheet.value.steps === '' ? 'blank' : 'browser'
    })

    function fieldsOf(one: Sheet) {
        return { title: one.title.trim() === '' ? 'Untitled' : one.title, text: one.text, steps: one.steps, cut: one.cut, texture: one.texture, ...divided(one) }
    }

    /** Sends what differs from the shelf: the sheet on the bench first, then whatever else lies there. What is refused keeps nobody else waiting. */
    async function keep(): Promise<void> {
        if (busy.value) return
        clearTimeout(again)
        busy.value = true
        const here = id.value
        const others = drafts.list().filter((entry) => entry.id !== here && entry.recipeId !== null).map((entry) => entry.id)
        const ended = [await send(here, sheet.value, shelved.value)]
        for (const draft of ended[0] === 'waiting' ? [] : others) {
            const found = draft === id.value ? null : drafts.read(draft)
            // one that was never acknowledged is new to this browser, and not ahead of the shelf
            if (found !== null && found.shelved !== null) ended.push(await send(draft, found.sheet, found.shelved))
        }
        busy.value = false
        if (ended.includes('waiting')) again = setTimeout(() => void keep(), AGAIN_AFTER_MS[Math.min(tries++, AGAIN_AFTER_MS.length - 1)])
        else tries = 0
        if (ended[0] === 'sent' && id.value === here && written(sheet.value) !== shelved.value) void keepSoon()
    }

    async function send(draft: string, one: Sheet, known: string | null): Promise<'sent' | 'same' | 'waiting' | 'refused'> {
        const sent = written(one)
        if (one.recipeId === null || sent === known) return 'same'
        try {
            await kitchen.all.recipes.keep(one.recipeId, fieldsOf(one))
            acknowledge(draft, sent)
            tell(draft, null, null)

            return 'sent'
        } catch (error) {
            const status = error instanceof KitchenProblem ? error.problem.status : 0
            if (status === 404) {
                // it was taken off the shelf elsewhere: what is written here is nowhere else now
                unbind(draft)
                tell(draft, 'refused', 'It was taken off the shelf meanwhile. Keep it again, if it is to stay there.')

                return 'refused'
            }
            const ended = status >= 400 && status < 500 && status !== 408 && status !== 429 ? 'refused' : 'waiting'
            tell(draft, ended, wordsOf(error))

            return ended
        }
    }

    /** Only of the sheet that is shown. */
    function tell(draft: string, as: 'waiting' | 'refused' | null, words: string | null): void {
        if (draft !== id.value) return
        failed.value = as
        problem.value = words
    }

    function unbind(draft: string): void {
        if (draft === id.value) {
            bench.quietly({ recipeId: null })
            shelved.value = null
            bench.save()
            return
        }
        const found = drafts.read(draft)
        if (found !== null) drafts.write(draft, { ...found, sheet: { ...found.sheet, recipeId: null }, shelved: null })
    }

    function acknowledge(draft: string, sent: string): void {
        if (draft === id.value) {
            shelved.value = sent
            bench.save()
            return
        }
        const found = drafts.read(draft)
        if (found !== null) drafts.write(draft, { ...found, shelved: sent })
    }

    /** Puts a sheet on the shelf that was never there. A title that is typed meanwhile stays. */
    async function keepAsNew(): Promise<void> {
        if (busy.value || sheet.value.recipeId !== null) return
        busy.value = true
        const here = id.value
        const { source, prepMinutes, bakeMinutes, parentId, title } = sheet.value
        const sent = { ...fieldsOf(sheet.value), parentId, source, yield: sheet.value.yield, prepMinutes, bakeMinutes }
        const was = JSON.parse(JSON.stringify(sheet.value)) as Sheet
        try {
            const kept = await kitchen.all.recipes.keep(null, sent)
            const named = title.trim() === '' ? kept.title : title
            if (id.value === here) {
                bench.quietly({ recipeId: kept.id, ...(sheet.value.title === title ? { title: named } : {}) })
                shelved.value = written({ ...was, title: named })
                bench.save()
            } else {
                const draft = drafts.read(here)
                const called = draft?.sheet.title === title ? named : draft?.sheet.title ?? named
                if (draft !== null) drafts.write(here, { ...draft, sheet: { ...draft.sheet, recipeId: kept.id, title: called }, shelved: written({ ...was, title: named }) })
            }
            failed.value = null
            problem.value = null
        } catch (error) {
            failed.value = 'refused'
            problem.value = wordsOf(error)
        }
        busy.value = false
        if (sheet.value.recipeId !== null && written(sheet.value) !== shelved.value) void keepSoon()
    }

    const keepSoon = useDebounceFn(keep, KEEP_AFTER_MS)
    watch(() => [id.value, written(sheet.value)], ([now], [before]) => {
        if (now !== before) {
            failed.value = null
            problem.value = null
            void keep()
        } else {
            if (failed.value === 'refused') failed.value = null
            if (sheet.value.recipeId !== null) void keepSoon()
        }
    })
    useEventListener(window, 'online', () => void keep())
    void keep()

    return { keeping, problem, keepAsNew, keep }
}

export type Shelving = ReturnType<typeof createShelving>

export const SHELVING: InjectionKey<Shelving> = Symbol('shelving')

/** What is saved of the sheets and what waits; made in the root. */
export function useShelving(): Shelving {
    return given(SHELVING)
}
