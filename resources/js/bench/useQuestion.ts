import { computed, ref, shallowRef, watch, type InjectionKey } from 'vue'
import type { AskedRecipe } from '../api/asked'
import { api, KitchenProblem } from '../api/client'
import type { FormulateAnswer } from '../api/types.generated'
import { wordsOf, type KitchenOnPage } from '../kitchen/useKitchen'
import { answerCame } from './paper/fields'
import { readingOf } from './paper/reading'
import type { SheetOnBench } from './useSheet'
import { given } from '../ui/given'
import { mayPass, useAgain } from '../ui/useAgain'
import { LATE_AFTER_MS } from '../ui/useAsked'

/** A page that is not shown paints no frame. */
const NO_FRAME_MS = 60

/**
 * fresh: the answer is of what stands on the sheet. asking: another is on its way. late: it takes too long, or cannot be had: whatever is
 * shown belongs to what stood there before. none: there is nothing to ask about.
 */
export type Freshness = 'none' | 'fresh' | 'asking' | 'late'

/** What is asked about the sheet, and how fresh the answer is. */
export function createQuestion({ sheet, paper, id }: SheetOnBench, kitchen: KitchenOnPage) {
    const answer = shallowRef<FormulateAnswer | null>(null)
    const refusal = ref<{ message: string; path: string } | null>(null)
    const silent = ref<string | null>(null)
    const freshness = ref<Freshness>('none')
    const answeredIn = ref<number | null>(null)
    let running: AbortController | null = null
    let turn = 0
    let late: ReturnType<typeof setTimeout> | undefined
    const again = useAgain(() => {
        void ask()
    })

    /** The question as it was last put together, in words: what it holds is changed in place. */
    let words: string | undefined
    /** The same question stays the same object, whatever it was put together from has been told anew. */
    const request = computed<AskedRecipe | null>((before) => {
        const now = put()
        const said = JSON.stringify(now)
        if (before !== undefined && said === words) return before
        words = said

        return now
    })

    function put(): AskedRecipe | null {
        const { title, text, steps, parts, without, cut, texture, portions, confirmed, measured, bound, ovenC } = sheet.value
        if (text.trim() === '') return null

        return {
            recipe: { title, text, steps, parts },
            without,
            // before the kitchen is open only the kitchen knows who sits at the table
            ...(kitchen.kitchen === null ? {} : { dogs: kitchen.atTable.map((dog) => dog.id) }),
            cut,
            bake: { texture },
            portions,
            confirmed: [...confirmed.map(({ code, line, dog }) => ({ code, line, dog })), ...saidOnTheWay()],
            measured,
            bound: bound.map(({ line, productId }) => ({ line, product: productId })),
            ...(ovenC === null ? {} : { oven: { celsius: ovenC } }),
            explain: true,
        }
    }

    /** What a vet said and the kitchen has not yet written down: once it has, it adds it by itself. */
    function saidOnTheWay(): { code: string; line: null; dog: string | null }[] {
        return kitchen.words
            .filter((word) => word.level === 'ask-vet' && kitchen.all.words.waits(word.id))
            .map((word) => ({ code: word.code, line: null, dog: word.dogId }))
    }

    function forget(): void {
        answer.value = null
        paper.dispatch({ effects: answerCame.of(null) })
    }

    async function ask(): Promise<void> {
        running?.abort()
        again.stop()
        const asked = request.value
        const mine = ++turn
        const { document } = paper
        if (asked === null) {
            forget()
            refusal.value = null
            settled('none')
            return
        }
        running = new AbortController()
        paper.asked(mine)
        const since = performance.now()
        try {
            const given = await api.formulate(asked, running.signal)
            await composed()
            if (mine !== turn) return
            show(given, document, mine)
            answeredIn.value = performance.now() - since
            again.done()
            settled(request.value === asked ? 'fresh' : 'asking')
        } catch (error) {
            if (mine !== turn || (error instanceof DOMException && error.name === 'AbortError')) return
            if (error instanceof KitchenProblem && error.problem.path !== '') {
                refusal.value = { message: error.problem.message, path: error.problem.path }
            } else {
                silent.value = wordsOf(error)
                if (mayPass(error)) again.later()
            }
            settled('late')
        }
    }

    function show(given: FormulateAnswer, document: string, mine: number): void {
        const changes = paper.since(mine)
        answer.value = given
        refusal.value = null
        silent.value = null
        if (changes !== null) paper.dispatch({ effects: answerCame.of({ reading: readingOf(document, given), since: changes }) })
    }

    /** Nothing is put around letters that are still being composed. */
    async function composed(): Promise<void> {
        while (paper.shownIn?.composing === true)
            await new Promise((resolve) => {
                setTimeout(resolve, 40)
            })
    }

    function settled(as: Freshness): void {
        clearTimeout(late)
        late = undefined
        freshness.value = as
    }

    let soon: { frame: number; timer: ReturnType<typeof setTimeout> } | null = null

    /** The letter first: the question goes out once the frame that shows it is painted. */
    function askSoon(): void {
        if (soon !== null) return
        const now = (): void => {
            if (soon === null) return
            cancelAnimationFrame(soon.frame)
            clearTimeout(soon.timer)
            soon = null
            void ask()
        }
        soon = {
            frame: requestAnimationFrame(() => {
                setTimeout(now)
            }),
            timer: setTimeout(now, NO_FRAME_MS),
        }
    }

    function changed(): void {
        if (request.value !== null && freshness.value !== 'late') {
            freshness.value = 'asking'
            late ??= setTimeout(() => {
                freshness.value = 'late'
            }, LATE_AFTER_MS)
        }
        askSoon()
    }

    watch(
        id,
        () => {
            // another sheet: nothing of the one before may stand beside it
            turn++
            running?.abort()
            forget()
            refusal.value = null
            settled('none')
        },
        { flush: 'sync' },
    )
    watch([request, () => kitchen.version], changed, { immediate: true })

    /** The question as the sheet stands, for whoever asks something else about it. */
    function question(): AskedRecipe | null {
        return request.value
    }

    return { answer, refusal, silent, freshness, answeredIn, ask, question }
}

export type QuestionOnBench = ReturnType<typeof createQuestion>

export const QUESTION: InjectionKey<QuestionOnBench> = Symbol('question')

/** The question that the sheet puts to the kitchen; made in the root. */
export function useQuestion(): QuestionOnBench {
    return given(QUESTION)
}
