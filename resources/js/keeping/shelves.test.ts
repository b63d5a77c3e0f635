import { describe, expect, it } from 'vitest'
import type { Bag, JarAct, Place } from '../api/types.generated'
import { daysBetween, due, fullness, isMeantFor, pressing, standing, withWaiting } from './shelves'

const place = (id: string, kind: Place['kind'] = 'fridge'): Place => ({ id, version: 1, name: id, kind, celsius: null, position: 0 })
const bag = (id: string, more: Partial<Bag> = {}): Bag => ({
    id,
    version: 1,
    number: Number(id.replace(/\D/g, '')),
    title: 'Coins',
    content: 'treats',
    batch: 'b',
    lot: null,
    made: '2026-05-14',
    class: 'biscuit',
    because: '',
    dogs: [],
    note: null,
    ingredient: null,
    grams: null,
    place: 'fridge',
    pieces: 12,
    putPieces: 12,
    bestBefore: '2026-06-04',
    bestBeforeAtMost: '2026-06-04',
    frozen: false,
    thawedOn: null,
    thawedDays: 21,
    state: 'here',
    endedAt: null,
    ...more,
})
const act = (deed: JarAct['do'], said: Record<string, unknown>): JarAct => ({ id: 'x', at: '', by: 'Ines', do: deed, said })

describe('due', () => {
    it.each([
        ['2026-05-14', 'best today'],
        ['2026-05-15', 'until tomorrow'],
        ['2026-05-16', '2 days'],
        ['2026-05-28', '14 days'],
        ['2026-05-29', '2 weeks'],
        ['2026-09-14', '4 months'],
        ['2026-05-13', 'a day over'],
        ['2026-05-01', '13 days over'],
        [null, 'date to come'],
    ])('says of %s: %s', (day, says) => {
        expect(due(day, '2026-05-14')).toBe(says)
    })

    it('counts days over the turn of a clock and of a year', () => {
        expect(daysBetween('2026-03-28', '2026-03-30')).toBe(2)
        expect(daysBetween('2026-12-31', '2027-01-01')).toBe(1)
    })

    it('presses from two days on', () => {
        const of = (bestBefore: string): string => pressing(bag('1', { bestBefore }), '2026-05-14')
        expect([of('2026-05-13'), of('2026-05-14'), of('2026-05-16'), of('2026-05-17')]).toEqual(['over', 'soon', 'soon', 'calm'])
    })
})

describe('standing', () => {
    it('has in front what goes off first, and nothing that is gone or elsewhere', () => {
        const all = [
            bag('1', { bestBefore: '2026-06-09' }),
            bag('2'),
            bag('3', { place: 'tin' }),
            bag('4', { state: 'empty' }),
            bag('5', { bestBefore: null }),
        ]
        expect(standing(all, place('fridge')).map((one) => one.id)).toEqual(['2', '1', '5'])
    })

    it('is as full as pieces are left', () => {
        expect([fullness(bag('1', { pieces: 6 })), fullness(bag('1', { pieces: 20 })), fullness(bag('1', { putPieces: 0 }))]).toEqual([0.5, 1, 0])
    })
    it('is meant for the dogs it was put by for, or for every dog', () => {
        expect([isMeantFor({ dogs: [] }, 'a'), isMeantFor({ dogs: ['b', 'a'] }, 'a'), isMeantFor({ dogs: ['b'] }, 'a')]).toEqual([true, true, false])
    })
})

describe('what is on its way', () => {
    const places = [place('fridge'), place('cold', 'freezer')]
    const after = (...acts: JarAct[]): Bag[] => withWaiting([bag('1'), bag('2', { pieces: 5 })], acts, places)
    const total = (bags: Bag[]): number => bags.reduce((sum, one) => sum + one.pieces, 0)

    it('is seen at once: pieces, places, and no date that nobody knows', () => {
        expect(after(act('take', { bag: '1', pieces: 2.5, why: 'eaten' }))[0]?.pieces).toBe(9.5)
        expect(after(act('take', { bag: '1', why: 'thrown' }))[0]?.state).toBe('empty')
        expect(after(act('count', { bag: '1', pieces: 3 }))[0]?.pieces).toBe(3)
        const moved = after(act('move', { bag: '1', place: 'cold' }))[0]
        expect([moved?.place, moved?.frozen, moved?.bestBefore]).toEqual(['cold', true, null])
        expect(after(act('date', { bag: '1', bestBefore: '2026-05-20' }))[0]?.bestBefore).toBe('2026-05-20')
        expect(after(act('for', { bag: '1', dogs: ['d'] }))[0]?.dogs).toEqual(['d'])
    })

    it('loses no piece when a bag is split or poured', () => {
        expect(total(after(act('split', { bag: '1', to: [{ bag: '9', pieces: 4, place: 'cold' }] })))).toBe(17)
        const poured = after(act('merge', { bag: '2', into: '1' }))
        expect([total(poured), poured[0]?.pieces, poured[1]?.state]).toEqual([17, 17, 'empty'])
        expect(total(after(act('put', { batch: 'c', split: [{ bag: '9', pieces: 4, place: 'cold' }] })))).toBe(21)
        expect(after(act('open', { bag: '9', title: 'purée', food: 'tin', place: 'fridge' }))[2]?.content).toBe('food')
    })

    it('touches nothing it does not know', () => {
        expect(after(act('undo', {}), act('take', { bag: 'nowhere', pieces: 3 }))).toEqual([bag('1'), bag('2', { pieces: 5 })])
    })
})
