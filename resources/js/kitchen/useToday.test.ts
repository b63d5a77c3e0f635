import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, type ComputedRef } from 'vue'
import { useToday } from './useToday'

vi.mock('./useKitchen', () => ({ useKitchen: () => ({ kitchen: { timezone: 'Europe/Lisbon' }, number: 7 }) }))

describe("the kitchen's day", () => {
    beforeEach(() => {
        vi.useFakeTimers()
    })
    afterEach(() => {
        vi.useRealTimers()
    })

    it("turns at the kitchen's own midnight while a page stands open", () => {
        // an hour ahead of UTC in summer
        vi.setSystemTime('2026-06-20T22:59:40Z')
        const scope = effectScope()
        const today = scope.run(() => useToday()) as ComputedRef<string>
        expect(today.value).toBe('2026-06-20')
        vi.advanceTimersByTime(19_000)
        expect(today.value).toBe('2026-06-20')
        vi.advanceTimersByTime(21_000)
        expect(today.value).toBe('2026-06-21')
        scope.stop()
    })
})
