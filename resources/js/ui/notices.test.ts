import { afterEach, describe, expect, it, vi } from 'vitest'
import { letGo, notices, tell } from './notices'

const shown = (): string | undefined => notices.at(-1)?.text

describe('notices', () => {
    afterEach(() => {
        notices.splice(0)
        vi.restoreAllMocks()
    })

    it('show the newest, and the way back behind it once that is gone', () => {
        tell('one given', 'Undo', () => null)
        tell('another given', 'Undo', () => null)
        expect(shown()).toBe('another given')
        letGo(notices.at(-1)?.id ?? 0)
        expect(shown()).toBe('one given')
        tell('over its budget')
        expect(shown()).toBe('over its budget')
        tell('a third given', 'Undo', () => null)
        // what was only told does not come up again
        expect(notices.map((one) => one.text)).toEqual(['one given', 'a third given'])
    })

    it('let a way back go that nobody looks for any more', () => {
        const clock = vi.spyOn(performance, 'now').mockReturnValue(0)
        tell('long ago', 'Undo', () => null)
        clock.mockReturnValue(30_000)
        tell('just now', 'Undo', () => null)
        letGo(notices.at(-1)?.id ?? 0)
        expect(notices).toEqual([])
    })
})
