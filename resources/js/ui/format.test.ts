import { describe, expect, it } from 'vitest'
import { dayIn, age, figure, grams, pieces, spread, unbroken } from './format'

describe('figures without false precision', () => {
    it.each([
        [0, '0'],
        [0.04, '0.04'],
        [0.26, '0.3'],
        [1, '1'],
        [1.25, '1.3'],
        [2.04, '2'],
        [12.37, '12.4'],
        [19.96, '20'],
        [20.4, '20'],
        [1172.3, '1172'],
    ])('%d is shown as %s', (value, shown) => {
        expect(figure(value)).toBe(shown)
    })

    it('shows grams with a tenth under ten only', () => {
        expect(grams(7.46)).toBe('7.5 g')
        expect(grams(82.4)).toBe('82 g')
        expect(grams(10)).toBe('10 g')
    })

    it('shows a range only where it says more than its middle', () => {
        expect(spread({ low: 8, best: 9, high: 11 })).toBe('9 (8–11)')
        expect(spread({ low: 9.01, best: 9.02, high: 9.04 })).toBe('9')
    })
})

describe('pieces in quarters', () => {
    it.each([
        [0, 'none'],
        [0.25, '¼'],
        [0.5, '½'],
        [3, '3'],
        [3.5, '3½'],
        [67.25, '67¼'],
        [1.75, '1¾'],
    ])('%d is %s', (count, shown) => {
        expect(pieces(count)).toBe(shown)
    })
})

describe('an age', () => {
    it.each([
        [null, 'age not known'],
        [5, '5 months'],
        [23.4, '23 months'],
        [24, '2 years'],
        [146, '12 years'],
    ])('%s is %s', (months, shown) => {
        expect(age(months)).toBe(shown)
    })
})

describe('the day of a kitchen', () => {
    it('is its own, not that of Greenwich', () => {
        const at = new Date('2026-05-14T23:30:00Z')
        expect([dayIn('UTC', at), dayIn('Pacific/Auckland', at), dayIn('America/New_York', at)]).toEqual(['2026-05-14', '2026-05-15', '2026-05-14'])
    })
})

describe('words that stand large', () => {
    it('keep a figure and its unit in one row, and break everywhere else', () => {
        expect(unbroken('Bake at 170 °C for 25 minutes, 6 mm thick, 300 g oat flour, 2 hours')).toBe(
            'Bake at 170\u00a0°C for 25\u00a0minutes, 6\u00a0mm thick, 300\u00a0g oat flour, 2\u00a0hours',
        )
        expect(unbroken('1 medium beetroot, 2 gently beaten eggs, 3 mincers')).toBe('1 medium beetroot, 2 gently beaten eggs, 3 mincers')
    })
})
