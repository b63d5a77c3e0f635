import { describe, expect, it } from 'vitest'
import { hourOf, leftOf, minuteOf } from './clockwork'

describe('the time that is left', () => {
    it('is over when its last second is, and tells what is over', () => {
        expect([0, 1, 1000, 1001, 59_999, 60_000, 3_600_000, 3_661_000].map(leftOf)).toEqual([
            '0:00',
            '0:01',
            '0:01',
            '0:02',
            '1:00',
            '1:00',
            '1:00:00',
            '1:01:01',
        ])
        expect([-1, -999, -1000, -61_500].map(leftOf)).toEqual(['+0:00', '+0:00', '+0:01', '+1:01'])
    })
})

describe('the clock of the kitchen', () => {
    it('is that of its own zone', () => {
        expect(minuteOf(Date.parse('2026-05-14T23:30:00Z'), 'Pacific/Auckland')).toBe('2026-05-15T11:30')
        expect(minuteOf(Date.parse('2026-05-14T00:05:00Z'), 'UTC')).toBe('2026-05-14T00:05')
        expect(hourOf('2026-05-14T23:30:00Z', 'UTC')).toBe('23:30')
    })
})
