import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { effectScope, ref } from 'vue'
import { TWICE_MS, useSettles } from './useSettles'

beforeEach(() => vi.useFakeTimers())
afterEach(() => vi.useRealTimers())

test('what came under the hand is not meant for a moment, and every change begins that moment anew', () => {
    const scope = effectScope()
    const step = ref('s1')
    const settles = scope.run(() => useSettles(step))
    // what stood there all the time may be tapped at once
    expect(settles?.value).toBe(false)
    step.value = 's2'
    expect(settles?.value).toBe(true)
    vi.advanceTimersByTime(TWICE_MS - 1)
    expect(settles?.value).toBe(true)
    step.value = 's3'
    vi.advanceTimersByTime(TWICE_MS - 1)
    expect(settles?.value).toBe(true)
    vi.advanceTimersByTime(1)
    expect(settles?.value).toBe(false)
    scope.stop()
})
