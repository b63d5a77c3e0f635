import { useDebounceFn } from '@vueuse/core'
import { onScopeDispose, ref, watch, type Ref, type WatchSource } from 'vue'
import { wordsOf } from '../kitchen/useKitchen'
import { mayPass, useAgain } from './useAgain'

export interface AskedOptions<T> {
    /** what the answer depends on */
    of: WatchSource[]
    /** asks the kitchen; null when there is nothing to ask yet */
    ask: (signal: AbortSignal) => Promise<T> | null
    immediate?: boolean
}

export interface Asked<T> {
    answer: Ref<T | null>
    problem: Ref<string | null>
    /** what is shown belongs to an earlier question, and cannot be taken */
    stale: Ref<boolean>
    /** it has been for so long that it is shown so: said of something else than what stands there */
    late: Ref<boolean>
}

const AFTER_MS = 130
/** From here on what is shown steps back: it may not be true of what stands there any more. */
export const LATE_AFTER_MS = 330

/** An answer that follows what it depends on: the newest question alone is answered, and what is out of date says so. */
export function useAsked<T>({ of, ask, immediate = false }: AskedOptions<T>): Asked<T> {
    const answer = ref(null) as Ref<T | null>
    const problem = ref<string | null>(null)
    const stale = ref(false)
    const late = ref(false)
    let running = new AbortController()
    /** How often it changed: an answer is fresh where nothing did since it was asked. */
    let changes = 0
    let timer: ReturnType<typeof setTimeout> | undefined

    function fresh(is: boolean): void {
        stale.value = !is
        if (is) {
            clearTimeout(timer)
            timer = undefined
            late.value = false
        } else {
            timer ??= setTimeout(() => {
                late.value = true
            }, LATE_AFTER_MS)
        }
    }

    const again = useAgain(() => {
        void now()
    })

    async function now(): Promise<void> {
        running.abort()
        again.stop()
        const mine = (running = new AbortController())
        const since = changes
        let given: T | null = null
        let trouble: string | null = null
        try {
            given = await ask(mine.signal)
        } catch (error) {
            trouble = wordsOf(error)
            if (!mine.signal.aborted && mayPass(error)) again.later()
        }
        if (mine.signal.aborted) return
        if (trouble === null) again.done()
        answer.value = given
        problem.value = trouble
        if (since === changes) fresh(true)
    }

    const soon = useDebounceFn(now, AFTER_MS)
    watch(
        of,
        () => {
            changes++
            fresh(false)
            void soon()
        },
        { deep: true },
    )
    // nobody is typing yet
    if (immediate) {
        changes++
        fresh(false)
        void now()
    }
    onScopeDispose(() => {
        running.abort()
        clearTimeout(timer)
    })

    return { answer, problem, stale, late }
}
