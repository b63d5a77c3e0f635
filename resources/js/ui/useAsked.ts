import { useDebounceFn } from '@vueuse/core'
import { ref, watch, type Ref, type WatchSource } from 'vue'
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
    /** what is shown belongs to an earlier question: it cannot be taken */
    stale: Ref<boolean>
}

const AFTER_MS = 130

/** An answer that follows what it depends on: a newer question aborts the older, and what is out of date says so. */
export function useAsked<T>({ of, ask, immediate = false }: AskedOptions<T>): Asked<T> {
    const answer = ref(null) as Ref<T | null>
    const problem = ref<string | null>(null)
    const stale = ref(false)
    let running: AbortController | null = null

    async function now(): Promise<void> {
        running?.abort()
        running = new AbortController()
        const asked = ask(running.signal)
        if (asked === null) {
            answer.value = null
            problem.value = null
            return
        }
        try {
            answer.value = await asked
            problem.value = null
            stale.value = false
        } catch (error) {
            if (error instanceof DOMException && error.name === 'AbortError') return
            problem.value = wordsOf(error)
            answer.value = null
        }
    }

    const soon = useDebounceFn(now, AFTER_MS)
    watch(of, () => {
        stale.value = true
        void soon()
    }, { deep: true, immediate })

    return { answer, problem, stale }
}
