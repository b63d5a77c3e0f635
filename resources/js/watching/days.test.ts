import { describe, expect, it } from 'vitest'
import type { DiaryEntry, SignChoice, SuspectsAnswer } from '../api/types.generated'
import { dayAfter, daysOf, entryInWords, isBad, lookedAt } from './days'

const entry = (on: string, kind: DiaryEntry['kind'], said: DiaryEntry['said'] = {}, undone = false): DiaryEntry => ({
    id: `${on} ${kind} ${JSON.stringify(said)}`,
    at: `${on}T08:00:00.000Z`,
    by: 'Ines',
    dog: 'd',
    on,
    kind,
    said,
    photo: null,
    undone,
})
const SIGNS: SignChoice[] = [
    { kind: 'gut', name: 'stool', windowDays: 1, badFrom: 4, steps: [{ step: 5, score: 5, name: 'soft heap', meaning: '', urgent: false }] },
    { kind: 'skin', name: 'itch', windowDays: 3, badFrom: 4, steps: [] },
    { kind: 'vomiting', name: 'vomiting', windowDays: 1, badFrom: 0, steps: [] },
]
const HOWS = [{ id: 'first' as const, name: 'took it first' }]

describe('the days of a dog', () => {
    const season = {
        from: '2026-02-27',
        to: '2026-03-02',
        days: [{ on: '2026-02-28', kcal: 20, budgetKcal: 60, over: false, foods: ['pear'] }],
        entries: [
            entry('2026-03-01', 'sign', { sign: 'skin', score: 3 }),
            entry('2026-03-01', 'sign', { sign: 'skin', score: 7 }),
            entry('2026-03-01', 'sign', { sign: 'gut', step: 5, score: 5 }, true),
            entry('2026-03-02', 'well'),
        ],
    }

    it('are all there, also those of which nobody wrote down anything, and a slip is none', () => {
        const days = daysOf(season)
        expect(days.map((one) => one.on)).toEqual(['2026-02-27', '2026-02-28', '2026-03-01', '2026-03-02'])
        expect(days[1]?.given?.foods).toEqual(['pear'])
        expect(days[2]?.scores).toEqual({ skin: 7 })
        expect(days[2]?.entries).toHaveLength(2)
        expect(days.map((one) => one.isWell)).toEqual([false, false, false, true])
        expect(dayAfter('2026-02-28', 1)).toBe('2026-03-01')
    })

    it('are bad from the bound of the sign on, and of none where there was none', () => {
        const [, , third] = daysOf(season)
        if (third === undefined) throw new Error('no such day')
        expect(SIGNS.map((one) => isBad(third, one))).toEqual([false, true, false])
        expect(isBad({ ...third, scores: { vomiting: 0 } }, { kind: 'vomiting', badFrom: 0 })).toBe(false)
        expect(isBad({ ...third, scores: { vomiting: 1 } }, { kind: 'vomiting', badFrom: 0 })).toBe(true)
    })

    it('are looked at by the sign with the most bad days; one without a bad day is not', () => {
        const kinds = (['gut', 'skin', 'vomiting'] as const).map((kind) => ({ kind, suspects: [], nextTest: null }))
        const days = daysOf({
            ...season,
            entries: [
                ...season.entries,
                entry('2026-02-27', 'sign', { sign: 'vomiting', score: 1 }),
                entry('2026-02-28', 'sign', { sign: 'skin', score: 4 }),
            ],
        })
        const suspects: SuspectsAnswer = { version: 1, kinds, says: '' }
        expect(lookedAt({ suspects }, days, SIGNS).map((one) => [one.sign.kind, one.bad])).toEqual([
            ['skin', 2],
            ['vomiting', 1],
        ])
        expect(lookedAt(null, days, SIGNS)).toEqual([])
    })
})

it('what was written down is said in a few words', () => {
    const said = (kind: DiaryEntry['kind'], of: DiaryEntry['said'] = {}): string => entryInWords(entry('2026-03-01', kind, of), SIGNS, HOWS)
    expect(said('well')).toBe('all well')
    expect(said('note', { text: 'swam' })).toBe('swam')
    expect(said('taken', { how: 'first', words: 'Coins' })).toBe('took it first: Coins')
    expect(said('sign', { sign: 'gut', step: 5, score: 5 })).toBe('stool: soft heap')
    expect(said('sign', { sign: 'skin', score: 7, note: 'at night' })).toBe('itch: 7 of 10, at night')
})
