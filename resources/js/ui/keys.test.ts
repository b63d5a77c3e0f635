import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { KEYS, lead, leading, pressed, type Key, type KeyId } from './keys'

const press = (key: string, more: Partial<KeyboardEvent> = {}): KeyboardEvent =>
    ({
        key,
        altKey: false,
        ctrlKey: false,
        metaKey: false,
        shiftKey: false,
        isComposing: false,
        preventDefault: () => undefined,
        stopPropagation: () => undefined,
        ...more,
    }) as unknown as KeyboardEvent
const ids = KEYS.map((key) => key.id)
const all = KEYS as readonly Key[]

/** The key of our own, and a letter after it. */
function led(letter: string, more: Partial<KeyboardEvent> = {}): KeyboardEvent {
    lead(press(',', { ctrlKey: true }))
    const event = press(letter, more)
    lead(event)

    return event
}

describe('the keys', () => {
    it('are told apart: what one does no other does', () => {
        const tried = ['Enter', 'Escape', 'Backspace', ' ', 'ArrowUp', 'ArrowDown', '?', '1', '7', ...'abcdefghijklmnopqrstuvwxyz'].flatMap((key) =>
            [false, true].flatMap((shiftKey) => [
                press(key, { shiftKey }),
                press(key, { altKey: true, shiftKey }),
                press(key, { ctrlKey: true, shiftKey }),
                press(key, { altKey: true, ctrlKey: true, shiftKey }),
            ]),
        )
        for (const event of tried) expect(all.filter((key) => key.hit?.(event) === true).length, JSON.stringify(event)).toBeLessThan(2)
        for (const key of all) expect(key.then !== undefined || tried.some((event) => key.hit?.(event) === true), key.id).toBe(true)
        const letters = all.map((key) => key.then).filter((letter) => letter !== undefined)
        expect(new Set(letters).size).toBe(letters.length)
        expect(new Set(ids).size).toBe(ids.length)
    })

    it('leave Alt and Ctrl with a letter or a digit to the browser, but for what every page does alike', () => {
        for (const key of [...'abcdefghijklmnopqrstuvwxyz0123456789']) {
            for (const more of [
                { altKey: true },
                { altKey: true, shiftKey: true },
                { ctrlKey: true },
                { ctrlKey: true, shiftKey: true },
                { metaKey: true },
                {},
            ]) {
                const hit = all.filter((one) => one.hit?.(press(key, more)) === true).map((one) => one.id)
                expect(
                    hit.every((id) => id === 'undo' || id === 'redo'),
                    `${JSON.stringify(more)} ${key}`,
                ).toBe(true)
            }
        }
    })

    it('are led by one key: the letter after it is meant, and the next is typed again', () => {
        expect(pressed(led('o'), 'open', 'swap')).toBe('open')
        expect(pressed(led('O', { shiftKey: true }), 'open')).toBe('open')
        expect(pressed(led('o'), 'swap')).toBeNull()
        expect(pressed(led('o', { altKey: true }), 'open')).toBeNull()
        expect(pressed(led('7'), ...(ids as KeyId[]))).toBeNull()
        lead(press(',', { ctrlKey: true }))
        expect(leading.is).toBe(true)
        for (const modifier of ['Control', 'Shift', 'Alt']) lead(press(modifier))
        expect(leading.is).toBe(true)
        lead(press('Escape'))
        expect(leading.is).toBe(false)
        const after = press('o')
        lead(after)
        expect(pressed(after, 'open')).toBeNull()
        for (const more of [{ ctrlKey: true, shiftKey: true }, { ctrlKey: true, altKey: true }, {}, { ctrlKey: true, isComposing: true }]) {
            lead(press(',', more))
            expect(leading.is, JSON.stringify(more)).toBe(false)
        }
    })

    it('take only those that are asked for', () => {
        expect(pressed(press('z', { ctrlKey: true, shiftKey: true }), 'undo', 'redo')).toBe('redo')
        expect(pressed(press('ArrowUp', { altKey: true, shiftKey: true }), 'move', 'double')).toBe('double')
        expect(pressed(press('z', { ctrlKey: true }), 'redo')).toBeNull()
    })

    it('each have a test in the browser that names them', () => {
        const tests = readFileSync('e2e/keys.spec.ts', 'utf8')
        const tagged = [...tests.matchAll(/'@key-([a-z]+)'/g)].map((found) => found[1])
        expect([...new Set(tagged)].sort()).toEqual([...ids].sort())
    })
})
