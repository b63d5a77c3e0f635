import { describe, expect, it } from 'vitest'
import type { DayDog, Gift, KitchenDay, LedgerEntry } from '../api/types.generated'
import { dayWith, entriesOf, piecesOf, reason } from './gifts'

const gift = (more: Partial<Gift>): Gift => ({ id: 'g', at: '2026-05-14T07:00:00.000Z', by: 'Ines', dogs: [], ...more })
const dog = (id: string, left: number, may: DayDog['may']): DayDog => ({ dog: id, dogId: id, leftKcal: left, may }) as unknown as DayDog
const entry = (id: string, of: string, at: string): LedgerEntry => ({ id, dog: of, at, gift: id }) as unknown as LedgerEntry

describe('a gift', () => {
    it('takes from its bag what all of them had', () => {
        expect(
            piecesOf(
                gift({
                    dogs: [
                        { dog: 'a', pieces: 1 },
                        { dog: 'b', pieces: 0.5 },
                    ],
                    bag: 'x',
                }),
            ),
        ).toBe(1.5)
        expect(piecesOf(gift({ dogs: [{ dog: 'a' }, { dog: 'b' }], unsure: { pieces: 1 }, bag: 'x' }))).toBe(1)
        expect(piecesOf(gift({ dogs: [{ dog: 'a' }], text: '3 g carrot' }))).toBe(0)
    })

    it('stands in the ledger of each dog before the kitchen has answered', () => {
        const shared = entriesOf(gift({ dogs: [{ dog: 'a' }, { dog: 'b' }], unsure: { pieces: 1 }, bag: 'x' }), 'Coins', '2026-05-14')
        expect(shared.map((one) => [one.dog, one.pieces, one.unsure, one.words, one.kind])).toEqual([
            ['a', 0.5, true, 'Coins', 'pieces'],
            ['b', 0.5, true, 'Coins', 'pieces'],
        ])
        expect(entriesOf(gift({ dogs: [{ dog: 'a' }], text: '3 g carrot' }), '', '2026-05-14')[0]).toMatchObject({
            kind: 'text',
            words: '3 g carrot',
            pieces: null,
        })
        expect(entriesOf(gift({ dogs: [{ dog: 'a', pieces: 2 }], label: { name: 'Chew' } }), '', '2026-05-14')[0]).toMatchObject({
            kind: 'label',
            words: 'Chew',
            pieces: 2,
        })
    })
})

describe('a day', () => {
    const day: KitchenDay = {
        date: '2026-05-14',
        dogs: [dog('a', 50, [{ batch: 'b0', pieces: 3, heldBy: 'budget', why: null }]), dog('b', 40, [])],
        batches: [
            { id: 'b0', batch: 'coins', lot: null, title: 'Coins' },
            { id: 'b1', batch: 'crisps', lot: null, title: 'Crisps' },
        ],
        given: [entry('old', 'b', '1')],
        loans: [],
        weigh: [],
        watch: [],
        lacking: [],
    }

    it('takes the dogs that were told of, by the batches and not by their numbers', () => {
        const told: KitchenDay = {
            date: '2026-05-14',
            dogs: [
                dog('a', 30, [
                    { batch: 'b0', pieces: 7, heldBy: 'budget', why: null },
                    { batch: 'b1', pieces: 2, heldBy: 'fat', why: null },
                ]),
            ],
            batches: [
                { id: 'b0', batch: 'crisps', lot: null, title: 'Crisps' },
                { id: 'b1', batch: 'coins', lot: null, title: 'Coins' },
            ],
            given: [entry('new', 'a', '2')],
            loans: [],
            weigh: [],
            watch: [],
            lacking: [],
        }
        const now = dayWith(day, told)
        expect(now.dogs[0]?.leftKcal).toBe(30)
        expect(now.dogs[0]?.may.map((one) => [one.batch, one.pieces])).toEqual([
            ['b1', 7],
            ['b0', 2],
        ])
        expect(now.dogs[1]).toBe(day.dogs[1])
        expect(now.given.map((one) => one.id)).toEqual(['old', 'new'])
    })

    it('does not mix days', () => {
        expect(dayWith(day, { ...day, date: '2026-05-15', dogs: [] })).toBe(day)
    })
})

it('says why without the name that stands above', () => {
    expect(reason('Quill is not cleared: Quill has heart disease.')).toBe('Quill has heart disease.')
    expect(reason(null)).toBe('')
})
