import { effectScope, nextTick, ref } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { KitchenProblem, UNREACHABLE } from '../api/client'
import { useAsked, type Asked } from './useAsked'

interface Reply {
    signal: AbortSignal
    give: (answer: string) => void
    fail: (error: unknown) => void
}

/** A question about some words, and the replies that are still on their way. */
function asking(words: string) {
    const thing = ref(words)
    const replies: Reply[] = []
    const scope = effectScope()
    const asked = scope.run(() =>
        useAsked<string>({
            of: [thing],
            ask: (signal) =>
                thing.value === ''
                    ? null
                    : new Promise((give, fail) => {
                          replies.push({ signal, give, fail })
                      }),
            immediate: true,
        }),
    ) as Asked<string>
    const change = async (to: string): Promise<void> => {
        thing.value = to
        await nextTick()
    }
    const wait = async (): Promise<void> => {
        await vi.advanceTimersByTimeAsync(200)
    }

    return {
        ...asked,
        replies,
        change,
        wait,
        stop: () => {
            scope.stop()
        },
    }
}

describe('what is asked of the kitchen', () => {
    beforeEach(() => {
        vi.useFakeTimers()
    })
    afterEach(() => {
        vi.useRealTimers()
    })

    it('is answered by the newest question alone, in whatever order the replies come', async () => {
        const one = asking('raisin')
        await one.wait()
        await one.change('pear')
        await one.wait()
        one.replies[1]?.give('pear is fine')
        one.replies[0]?.give('raisin is poison')
        await one.wait()
        expect(one.answer.value).toBe('pear is fine')
        expect(one.stale.value).toBe(false)
        expect(one.replies[0]?.signal.aborted).toBe(true)
    })

    it('is out of date from the first change until that change is answered', async () => {
        const one = asking('pear')
        expect(one.stale.value).toBe(true)
        await one.wait()
        one.replies[0]?.give('pear is fine')
        await one.wait()
        expect(one.stale.value).toBe(false)
        await one.change('raisin')
        expect(one.answer.value).toBe('pear is fine')
        expect(one.stale.value).toBe(true)
        await one.wait()
        expect(one.stale.value).toBe(true)
        one.replies[1]?.give('raisin is poison')
        await one.wait()
        expect(one.answer.value).toBe('raisin is poison')
        expect(one.stale.value).toBe(false)
    })

    it('stays out of date when a reply comes after one more change', async () => {
        const one = asking('pear')
        await one.wait()
        await one.change('raisin')
        one.replies[0]?.give('pear is fine')
        await vi.advanceTimersByTimeAsync(0)
        expect(one.stale.value).toBe(true)
    })

    it('says what went wrong and keeps no older answer beside it', async () => {
        const one = asking('pear')
        await one.wait()
        one.replies[0]?.give('pear is fine')
        await one.change('raisin')
        await one.wait()
        one.replies[1]?.fail(new KitchenProblem(UNREACHABLE))
        await one.wait()
        expect(one.problem.value).toBe(UNREACHABLE.message)
        expect(one.answer.value).toBeNull()
    })

    it('has no answer where there is nothing to ask', async () => {
        const one = asking('pear')
        await one.wait()
        one.replies[0]?.give('pear is fine')
        await one.change('')
        await one.wait()
        expect(one.answer.value).toBeNull()
        expect(one.stale.value).toBe(false)
        expect(one.replies).toHaveLength(1)
    })

    it('is not answered any more once nobody looks', async () => {
        const one = asking('pear')
        await one.wait()
        one.stop()
        expect(one.replies[0]?.signal.aborted).toBe(true)
        one.replies[0]?.give('pear is fine')
        await one.wait()
        expect(one.answer.value).toBeNull()
    })
})
