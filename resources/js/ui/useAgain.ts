import { useEventListener } from '@vueuse/core'
import { onScopeDispose } from 'vue'
import { KitchenProblem } from '../api/client'

const AFTER_MS = [1_000, 2_000, 5_000, 15_000]

/** Whether asking the same again may be answered: nobody answered, the kitchen is closed for a moment, or has too much to do. */
export function mayPass(error: unknown): boolean {
    return error instanceof KitchenProblem && (error.problem.status === 0 || error.problem.status === 429 || error.problem.status >= 500)
}

/** What got no answer is asked again by itself: soon, then less often, and at once when the connection is back. */
export function useAgain(run: () => void): { later: () => void; done: () => void; stop: () => void } {
    let tries = 0
    let timer: ReturnType<typeof setTimeout> | undefined

    function stop(): void {
        clearTimeout(timer)
        timer = undefined
    }

    function now(): void {
        if (timer === undefined) return
        stop()
        run()
    }

    if (typeof window !== 'undefined') useEventListener(window, 'online', now)
    onScopeDispose(stop)

    return {
        stop,
        later: () => {
            stop()
            timer = setTimeout(now, AFTER_MS[Math.min(tries++, AFTER_MS.length - 1)])
        },
        done: () => {
            stop()
            tries = 0
        },
    }
}
