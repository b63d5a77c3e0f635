import { describe, expect, it } from 'vitest'
import { rowsThen } from './rows'

describe('rows of a text that is being written', () => {
    it.each([
        ['nothing changed', ['a', 'b', 'c'], ['a', 'b', 'c'], [0, 1, 2]],
        ['a letter more', ['a', 'bx', 'c'], ['a', 'b', 'c'], [0, 1, 2]],
        ['a row put in', ['a', 'new', 'b', 'c'], ['a', 'b', 'c'], [0, null, 1, 2]],
        ['a row put in first', ['new', 'a', 'b'], ['a', 'b'], [null, 0, 1]],
        ['a row taken out', ['a', 'c'], ['a', 'b', 'c'], [0, 2]],
        ['a row split', ['a', 'b1', 'b2', 'c'], ['a', 'b1b2', 'c'], [0, 1, null, 2]],
        ['two rows joined', ['a', 'bc', 'd'], ['a', 'b', 'c', 'd'], [0, 1, 3]],
        ['all written anew', ['x'], ['a', 'b'], [0]],
        ['the same row twice', ['a', 'a', 'a'], ['a', 'a'], [0, 1, null]],
        ['nothing asked yet', ['a'], [], [null]],
    ] as [string, string[], string[], (number | null)[]][])('%s', (_, now, then, rows) => {
        expect(rowsThen(now, then)).toEqual(rows)
    })

    it('never puts what was found on two rows, and never out of order', () => {
        const words = ['a', 'b', 'c', 'a']
        for (let seed = 1; seed < 400; seed++) {
            const pick = (n: number, of: number): number => Math.floor(Math.abs(Math.sin(seed * 7919 + n * 104729) * 1e4)) % of
            const text = (from: number): string[] => Array.from({ length: pick(from, 6) }, (_, n) => words[pick(from + n, 4)] ?? '')
            const [now, then] = [text(1), text(50)]
            const rows = rowsThen(now, then).filter((one) => one !== null)
            expect(new Set(rows).size).toBe(rows.length)
            expect([...rows].sort((one, two) => one - two)).toEqual(rows)
            expect(rows.every((one) => one >= 0 && one < then.length)).toBe(true)
        }
    })
})
