import { describe, expect, it } from 'vitest'
import type { Bag, BatchSlip, Dog, KitchenDay, Slip } from '../api/types.generated'
import { bakeNext, lacking, refuses } from './bakeNext'

const dog = (id: string, dislikes: string[] = []): Dog => ({ id, name: id, dislikes }) as unknown as Dog
const slip = (id: string, foods: string[], clearedFor: string[] = ['a', 'b']): Slip =>
    ({ id, title: id, foods, judged: { clearedFor } }) as unknown as Slip
const bag = (id: string, more: Partial<Bag>): Bag =>
    ({ id, number: 1, state: 'here', content: 'food', frozen: false, pieces: 1, batch: null, bestBefore: '2026-05-16', ...more }) as Bag
const batch = (id: string, recipeId: string, begunAt: string): BatchSlip => ({ id, recipeId, begunAt }) as unknown as BatchSlip
const kitchen = (more: Partial<Parameters<typeof bakeNext>[1]> = {}): Parameters<typeof bakeNext>[1] => ({
    dogs: [dog('a'), dog('b')],
    bags: [],
    batches: [],
    day: null,
    today: '2026-05-14',
    ...more,
})
const titles = (slips: Slip[], more: Partial<Parameters<typeof bakeNext>[1]>): string[] => bakeNext(slips, kitchen(more)).map((one) => one.slip.id)

describe('what to bake next', () => {
    it('uses what is open, that which goes off first in front', () => {
        const bags = [
            bag('x', { ingredient: 'pumpkin-puree', bestBefore: '2026-05-17' }),
            bag('y', { ingredient: 'lentil-cooked', bestBefore: '2026-05-15' }),
        ]
        const slips = [slip('plain', ['oat flour']), slip('pumpkin', ['pumpkin puree']), slip('lentil', ['lentil cooked'])]
        expect(titles(slips, { bags })).toEqual(['lentil', 'pumpkin', 'plain'])
        expect(bakeNext(slips, kitchen({ bags }))[0]?.uses.map((one) => one.id)).toEqual(['y'])
    })

    it('counts on nothing that is frozen, past its day or no longer there', () => {
        const slips = [slip('pumpkin', ['pumpkin puree']), slip('apple', ['apple'])]
        for (const more of [{ frozen: true }, { bestBefore: '2026-05-13' }, { state: 'gone' }] as Partial<Bag>[]) {
            expect(titles(slips, { bags: [bag('x', { ingredient: 'pumpkin-puree', ...more })] })).toEqual(['apple', 'pumpkin'])
        }
        expect(titles(slips, { bags: [bag('x', { ingredient: 'pumpkin-puree', bestBefore: '2026-05-14' })] })).toEqual(['pumpkin', 'apple'])
    })

    it('prefers whom nothing is there for, then what is not in the jars, then the most dogs, then the longest ago', () => {
        const may = (id: string, cleared: boolean) => ({ dogId: id, may: [{ batch: 'b0', heldBy: cleared ? 'budget' : 'not-cleared' }] })
        const day = { dogs: [may('a', true), may('b', false)] } as unknown as KitchenDay
        expect(lacking(day, [dog('a'), dog('b')]).map((one) => one.id)).toEqual(['b'])
        expect(titles([slip('for a', ['rice'], ['a']), slip('for b', ['rice'], ['b'])], { day })).toEqual(['for b', 'for a'])
        const batches = [batch('1', 'there', '2026-05-10'), batch('2', 'old', '2026-04-01'), batch('3', 'new', '2026-05-12')]
        const bags = [bag('x', { content: 'treats', batch: '1', pieces: 12 })]
        expect(
            titles([slip('there', ['rice']), slip('new', ['rice']), slip('old', ['rice']), slip('few', ['rice'], ['a'])], { batches, bags }),
        ).toEqual(['old', 'new', 'few', 'there'])
    })

    it('offers nothing to a dog that may not have it or that refuses it', () => {
        const slips = [slip('pear', ['pear']), slip('nobody', ['rice'], [])]
        expect(bakeNext(slips, kitchen({ dogs: [dog('a', ['pear']), dog('b')] }))[0]).toMatchObject({
            dogs: [{ id: 'b' }],
            refuse: [{ food: 'pear' }],
        })
        expect(titles(slips, { dogs: [dog('a', ['pear'])] })).toEqual([])
        expect(refuses(dog('a', ['raw pear']), ['pear'])).toBeNull()
        expect(refuses(dog('a', ['mushy pear']), ['pear'])).toBe('mushy pear')
        expect(refuses(dog('a', ['pear']), ['prickly pear'])).toBeNull()
    })
})
