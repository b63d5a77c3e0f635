import { describe, expect, it } from 'vitest'
import type { Clipping } from '../api/types.generated'
import { answered, askedOf, rowsOf, stretches, withAmount } from './talk'

const TALK = '🐾 Take a cup, no, two cups of oats. Never raisins. Some honey.'
const SHEET: Clipping = {
    title: 'Oats',
    text: '2 cups oats\nhoney',
    steps: '',
    yield: null,
    times: { prepMinutes: null, bakeMinutes: null },
    source: null,
    lines: [
        { text: '2 cups oats', said: 'Take a cup, no, two cups of oats', span: [2, 34], spans: [[2, 34]], sure: false },
        { text: 'honey', said: 'Some honey.', span: [51, 62], spans: [[51, 62]], sure: false },
    ],
    questions: [
        { about: 'oats', options: ['2 cups', '1 cup'], said: [], question: 'Is it 2 cups of oats?' },
        { about: 'honey', options: [], said: [], question: 'How much honey?' },
    ],
    warnings: [{ ingredient: 'raisin', name: 'raisins', said: 'Never raisins.', span: [36, 50] }],
}

describe('a talk beside its sheet', () => {
    it('marks the words of each line and of each warning, and loses no letter', () => {
        const found = stretches(TALK, [SHEET])
        expect(found.map((one) => one.text).join('')).toBe(TALK)
        expect(found.find((one) => one.line?.line === 0)?.text).toBe('Take a cup, no, two cups of oats')
        expect(found.find((one) => one.warning !== null)?.text).toBe('Never raisins.')
    })

    it('cuts marks that overlap', () => {
        const found = stretches('one egg', [
            {
                ...SHEET,
                warnings: [],
                lines: [
                    {
                        text: 'a',
                        said: '',
                        span: [0, 5],
                        spans: [
                            [0, 5],
                            [3, 7],
                        ],
                        sure: true,
                    },
                ],
            },
        ])
        expect(found.map((one) => one.text)).toEqual(['one e', 'gg'])
    })

    it('changes an amount and gives one that was not said', () => {
        const rows = rowsOf(SHEET)
        const [oats, honey] = rows as [(typeof rows)[0], (typeof rows)[0]]
        expect(withAmount(oats, '1 cup', ['2 cups', '1 cup'])).toBe('1 cup oats')
        expect(withAmount(honey, '2 tbsp', [])).toBe('2 tbsp honey')
        expect(askedOf(SHEET, honey)?.options).toEqual([])
        expect(
            answered(SHEET, [
                { ...oats, text: '1 cup oats' },
                { ...honey, text: ' ' },
            ]).text,
        ).toBe('1 cup oats')
    })
})
