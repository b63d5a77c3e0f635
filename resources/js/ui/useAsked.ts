import { useDebounceFn } from '@vueuse/core'
import { onScopeDispose, ref, watch, type Ref, type WatchSource } from 'vue'
import { wordsOf } from '../kitchen/useKitchen'

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
    /** what is shown belongs to an earlier question: it is not said of what stands there, and cannot be taken */
    stale: Ref<boolean>
}

const AFTER_MS = 130

/** An answer that follows what it depends on: the newest question alone is answered, and what is out of date says so. */
export function useAsked<T>({ of, ask, immediate = false }: AskedOptions<T>): Asked<T> {
    const answer = ref(null) as Ref<T | null>
    const problem = ref<string | null>(null)
    const stale = ref(false)
    let running = new AbortController()
    /** How often it changed: an answer is fresh where nothing did since it was asked. */
    let changes = 0

    async function now(): Promise<void> {
        running.abort()
        const mine = running = new AbortController()
        const since = changes
        let given: T | null = null
        let trouble: string | null = null
        try {
            given = await ask(mine.signal)
        } catch (error) {
            trouble = wordsOf(error)
        }
        if (mine.signal.aborted) return
        answer.value = given
        problem.value = trouble
        if (since === changes) stale.value = false
    }

    const soon = useDebounceFn(now, AFTER_MS)
    watch(of, () => {
        changes++
        stale.value = true
        void soon()
    }, { deep: true, immediate })
    onScopeDispose(() => { running.abort() })

    return { answer, problem, stale }
}
