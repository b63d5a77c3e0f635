import { effectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { KitchenProblem, refusal, UNREACHABLE } from '../api/client'
import { mayPass, useAgain } from './useAgain'

describe('what got no answer', () => {
    beforeEach(() => {
        vi.useFakeTimers()
    })
    afterEach(() => {
        vi.useRealTimers()
    })

    it('is asked again soon, then less often, and begins anew once it was answered', async () => {
        const at: number[] = []
        const since = Date.now()
        const scope = effectScope()
        const again = scope.run(() =>
            useAgain(() => {
                at.push(Date.now() - since)
                again?.later()
            }),
        )
        again?.later()
        await vi.advanceTimersByTimeAsync(40_000)
        expect(at).toEqual([1_000, 3_000, 8_000, 23_000, 38_000])
        again?.done()
        await vi.advanceTimersByTimeAsync(60_000)
        expect(at).toHaveLength(5)
        again?.later()
        await vi.advanceTimersByTimeAsync(1_000)
        expect(at).toHaveLength(6)
        scope.stop()
        await vi.advanceTimersByTimeAsync(60_000)
        expect(at).toHaveLength(6)
    })

    it('is what nobody answered or had no time for, not what was refused', () => {
        const of = (status: number): boolean => mayPass(new KitchenProblem({ ...refusal('x', 'x', 'x'), status }))
        expect([0, 429, 500, 502, 503, 504].map(of)).toEqual([true, true, true, true, true, true])
        expect([400, 404, 409, 413, 415, 422].map(of)).toEqual([false, false, false, false, false, false])
        expect(mayPass(new KitchenProblem(UNREACHABLE))).toBe(true)
        expect(mayPass(new Error('of our own'))).toBe(false)
    })
})
