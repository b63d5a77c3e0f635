import { describe, expect, it } from 'vitest'
import { readNumber } from './number'

describe('a number in a field', () => {
    it.each([
        ['6.5', 6.5],
        ['6,5', 6.5],
        ['65', 65],
        ['.5', 0.5],
        [',5', 0.5],
        ['1½', 1.5],
        ['1 ½', 1.5],
        ['½', 0.5],
        ['1 1/2', 1.5],
        ['1-1/2', 1.5],
        ['3/4', 0.75],
        ['1⁄4', 0.25],
        ['about 4', 4],
        ['~4', 4],
        ['ca. 4', 4],
        ['5-6', 5.5],
        ['5–6', 5.5],
        ['5 to 6', 5.5],
        ['5 or 6', 5.5],
        ['1/2 - 3/4', 0.625],
        ['½–1', 0.75],
        ['about 5-6', 5.5],
        [' 7 ', 7],
        ['0', 0],
    ])('reads %s', (text, value) => {
        expect(readNumber(text)).toEqual({ value, problem: null })
    })

    it('takes the end of a range that is asked for, whichever way round it is written', () => {
        for (const text of ['5-6', '6-5', '5 to 6']) {
            expect(readNumber(text, { of: 'low' }).value).toBe(5)
            expect(readNumber(text, { of: 'high' }).value).toBe(6)
        }
    })

    it.each([
        ['six', 'is no number'],
        ['6 5', 'is no number'],
        ['6..5', 'is no number'],
        ['1/0', 'is no number'],
        ['--', 'is no number'],
        ['-3', 'below zero'],
        ['1.500', 'two ways: write 1500, or 1.5'],
        ['1,500', 'two ways: write 1500, or 1.5'],
        ['6.5.2', 'is no number'],
        ['1e3', 'is no number'],
        ['Infinity', 'is no number'],
        ['5-6-7', 'is no number'],
    ])('refuses %s in words', (text, words) => {
        expect(readNumber(text).value).toBeNull()
        expect(readNumber(text).problem).toContain(words)
    })

    it('knows bounds, and that nothing is no number and no fault', () => {
        expect(readNumber('')).toEqual({ value: null, problem: null })
        expect(readNumber('0', { above: 0 }).problem).toBe('This must be more than 0.')
        expect(readNumber('0.1', { above: 0 }).value).toBe(0.1)
        expect(readNumber('4', { least: 5 }).problem).toContain('at least 5')
        expect(readNumber('5', { least: 5, most: 5 }).value).toBe(5)
        expect(readNumber('6', { most: 5 }).problem).toContain('at most 5')
        expect(readNumber('2.5', { whole: true }).problem).toContain('whole')
    })

    it('never changes a number that it wrote itself', () => {
        for (let n = 0; n < 4000; n++) {
            const value = Math.round(n * 37.77) / 100
            if (!/^[1-9]\d{0,2}\.\d{3}$/.test(String(value))) expect(readNumber(String(value)).value).toBe(value)
        }
    })
})
