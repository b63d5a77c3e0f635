import { describe, expect, it } from 'vitest'
import { readAge, writtenAge } from './age'
import { readDate, writtenDate, type DateOrder } from './dates'

describe('dates in the order of the kitchen', () => {
    it.each<[string, DateOrder, string | null]>([
        ['27/11/2026', 'dmy', '2026-11-27'],
        ['27.11.26', 'dmy', '2026-11-27'],
        ['11/27/2026', 'mdy', '2026-11-27'],
        ['2026-11-27', 'dmy', '2026-11-27'],
        ['2026-11-27', 'mdy', '2026-11-27'],
        ['2026-1-2', 'ymd', '2026-01-02'],
        ['11/27/2026', 'dmy', null],
        ['31/2/2026', 'dmy', null],
        ['29/2/2024', 'dmy', '2024-02-29'],
        ['29/2/2026', 'dmy', null],
        ['0/1/2026', 'dmy', null],
        ['soon', 'dmy', null],
        ['27/11', 'dmy', null],
        ['', 'dmy', null],
    ])('reads %s by %s', (text, order, iso) => {
        expect(readDate(text, order)).toBe(iso)
    })

    it('reads what it writes, in every order', () => {
        for (const order of ['dmy', 'mdy', 'ymd'] as const)
            for (const iso of ['2026-11-27', '2024-02-29', '2000-01-01']) expect(readDate(writtenDate(iso, order), order)).toBe(iso)
        expect(writtenDate(null, 'dmy')).toBe('')
    })
})

describe('an age', () => {
    it.each<[string, number | null]>([
        ['5 months', 5],
        ['12', 144],
        ['12 years', 144],
        ['1½ years', 18],
        ['3 years 2 months', 38],
        ['3y 2m', 38],
        ['3 yrs, 2 mos', 38],
        ['10 weeks', 2.3],
        ['about 4 years', 48],
        ['2,5 years', 30],
        ['', null],
    ])('reads %s', (text, months) => {
        expect(readAge(text, 'dmy')).toEqual({ ageMonths: months, bornOn: null, problem: null })
    })

    it('reads a day of birth, and refuses what is neither', () => {
        expect(readAge('14/5/2023', 'dmy').bornOn).toBe('2023-05-14')
        expect(readAge('born on 5/14/2023', 'mdy').bornOn).toBe('2023-05-14')
        for (const wrong of ['old', '5 moons', '12 years old-ish', '3 years and'])
            expect(readAge(wrong, 'dmy').problem, wrong).toContain('is no age here')
        expect(readAge('60 years', 'dmy').problem).toContain('No dog is so old')
    })

    it('reads what it writes', () => {
        for (const months of [1, 5, 11, 12, 13, 24, 38, 146]) expect(readAge(writtenAge(months), 'dmy').ageMonths).toBe(months)
    })
})
