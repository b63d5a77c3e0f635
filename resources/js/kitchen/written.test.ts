import { describe, expect, it } from 'vitest'
import type { Dog, Kitchen, Product, Recipe, Slip } from '../api/types.generated'
import { dogWith, kitchenWith, productWith, slipOf, slipWith } from './written'

const recipe = {
    id: '1',
    version: 3,
    title: 'Beetroot rounds',
    text: '2 cups barley flour\n1 beetroot',
    steps: 'Bake.',
    cut: { shape: 'round' },
    texture: 'biscuit',
    tags: ['boats'],
    favourite: true,
    photoId: null,
    promoted: false,
    parentId: null,
    notes: 'Crisp.',
    updatedAt: '2026-05-14T10:00:00Z',
    judged: { cleared: true, clearedFor: ['quill'] },
} as unknown as Recipe

describe('what was written and the kitchen has not taken yet', () => {
    it('makes the slip that the kitchen will make of it, but for what the kitchen alone can say', () => {
        const written = slipWith(recipe, null)
        const taken = slipOf(recipe)
        for (const key of Object.keys(taken) as (keyof Slip)[])
            if (!['id', 'version', 'updatedAt', 'judged'].includes(key)) expect([key, written[key]]).toEqual([key, taken[key]])
        expect(written.judged).toBeNull()
    })

    it('keeps a verdict only where nothing was written that it rests on', () => {
        const slip = slipOf(recipe, ['barley flour', 'beetroot'])
        for (const fields of [{ text: '1 cup raisins' }, { steps: 'Fry.' }, { texture: 'cake' as const }, { cut: null }])
            expect({ ...slip, ...slipWith(fields, slip) }.judged).toBeNull()
        for (const fields of [{ title: 'Rounds' }, { favourite: false }, { tags: [] }, { notes: '' }, { photoId: '7' }])
            expect({ ...slip, ...slipWith(fields, slip) }).toEqual({ ...slip, ...fields })
    })

    it('has no verdict on a list of ingredients nobody has read', () => {
        const jar = { name: 'Nut butter', ingredients: 'peanuts', worst: 'caution' } as unknown as Product
        expect(productWith({ ingredients: 'peanuts, xylitol' }, jar).worst).toBe('unknown')
        expect(productWith({ name: 'Butter of nuts' }, jar)).toEqual({ name: 'Butter of nuts' })
    })

    it('leaves a weight in words to the kitchen, and all of a dog that was not written as it was', () => {
        const quill = { id: '2', version: 1, name: 'Quill', weightKg: 12.5, allergies: ['chicken'] } as unknown as Dog
        expect({ ...quill, ...dogWith({ weight: 'about 28 lb', expectedAdultWeight: '13' }, quill) }).toEqual({ ...quill, weightSaid: 'about 28 lb' })
        expect(dogWith({ name: 'Moss' }, null)).toMatchObject({ name: 'Moss', weightKg: null, conditions: [], ageMonths: null })
    })

    it('changes one house rule and no other', () => {
        const house = {
            name: 'Lock Cottage',
            policy: { garlic: 'never', budgetPercent: 10 },
            tray: { widthMm: 300, lengthMm: 400, gapMm: 10, atOnce: 2 },
        } as unknown as Kitchen
        expect(kitchenWith({ trayGapMm: 12 }, house)).toEqual({ ...house, tray: { ...house.tray, gapMm: 12 } })
        expect(kitchenWith({ budgetPercent: 8 }, house)).toEqual({ ...house, policy: { ...house.policy, budgetPercent: 8 } })
        expect(kitchenWith({ name: 'Lock House' }, house)).toEqual({ ...house, name: 'Lock House' })
    })
})
