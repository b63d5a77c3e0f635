import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { KEYS, pressed } from './keys'

const press = (key: string, more: Partial<KeyboardEvent> = {}): KeyboardEvent => ({ key, altKey: false, ctrlKey: false, metaKey: false, shiftKey: false, isComposing: false, ...more }) as KeyboardEvent
const ids = KEYS.map((key) => key.id)

describe('the keys', () => {
    it('are told apart: what one does no other does', () => {
        const tried = ['Enter', 'Escape', 'Backspace', ' ', 'ArrowUp', 'ArrowDown', '?', '1', '7', ...'abcdefghijklmnopqrstuvwxyz'].flatMap((key) => [false, true].flatMap((shiftKey) => [press(key, { shiftKey }), press(key, { altKey: true, shiftKey }), press(key, { ctrlKey: true, shiftKey }), press(key, { altKey: true, ctrlKey: true, shiftKey })]))
        for (const event of tried) expect(KEYS.filter((key) => key.hit(event)).length, JSON.stringify(event)).toBeLessThan(2)
        for (const key of KEYS) expect(tried.some((event) => key.hit(event)), key.id).toBe(true)
        expect(new Set(ids).size).toBe(ids.length)
    })

    it('take a capital for its letter, and only those that are asked for', () => {
        expect(pressed(press('O', { altKey: true }), 'open', 'swap')).toBe('open')
        expect(pressed(press('o', { altKey: true }), 'swap')).toBeNull()
        expect(pressed(press('o'), 'open')).toBeNull()
        expect(pressed(press('z', { ctrlKey: true, shiftKey: true }), 'undo', 'redo')).toBe('redo')
        expect(pressed(press('ArrowUp', { altKey: true, shiftKey: true }), 'move', 'double')).toBe('double')
        expect(pressed(press('o', { altKey: true, ctrlKey: true }), 'open')).toBeNull()
    })

    it('each have a test in the browser that names them', () => {
        const tests = readFileSync('e2e/keys.spec.ts', 'utf8')
        const tagged = [...tests.matchAll(/'@key-([a-z]+)'/g)].map((found) => found[1])
        expect([...new Set(tagged)].sort()).toEqual([...ids].sort())
    })
})
