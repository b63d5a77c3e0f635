import { describe, expect, it } from 'vitest'
import type { Dog } from '../api/types.generated'
import { fieldsOf, formOf, turn } from './form'

const POUND = 0.45359237
const quill = {
    id: 'q',
    version: 3,
    name: 'Quill',
    weightKg: 12.5,
    expectedAdultWeightKg: 14,
    ageMonths: 60,
    bornOn: null,
    allergies: ['gluten'],
    conditions: [],
    medicines: [],
} as unknown as Dog

describe('a weight in the dog form', () => {
    it('is the same weight in another unit, there and back, and is not sent', () => {
        const form = formOf(quill, 'kg', 'dmy', POUND)
        const base = formOf(quill, 'kg', 'dmy', POUND)
        form.weightUnit = 'lb'
        turn(form, quill, 'kg', 'lb', POUND)
        expect([form.weight, form.grown]).toEqual(['27.6', '30.9'])
        expect(fieldsOf(form, base, 'dmy', quill, POUND).fields).toEqual({})
        form.weightUnit = 'kg'
        turn(form, quill, 'lb', 'kg', POUND)
        expect([form.weight, form.grown]).toEqual(['12.5', '14'])
        expect(fieldsOf(form, base, 'dmy', quill, POUND).fields).toEqual({})
    })

    it('that was typed is left as it was typed, and is in the unit beside it', () => {
        const form = { ...formOf(quill, 'kg', 'dmy', POUND), weight: '30' }
        form.weightUnit = 'lb'
        turn(form, quill, 'kg', 'lb', POUND)
        expect(form.weight).toBe('30')
        expect(fieldsOf(form, formOf(quill, 'kg', 'dmy', POUND), 'dmy', quill, POUND).fields).toEqual({ weight: '30 lb' })
    })

    it('of a new dog is what was typed; words carry their own unit', () => {
        const empty = formOf(null, 'lb', 'mdy', POUND)
        for (const [typed, sent] of [
            ['12', '12 lb'],
            ['6½', '6½ lb'],
            ['50 to 60', '50 to 60 lb'],
            ['9 kg', '9 kg'],
            ['about a stone', 'about a stone'],
        ] as const)
            expect(fieldsOf({ ...empty, weight: typed }, empty, 'mdy', null, POUND).fields).toEqual({ weight: sent })
        expect(fieldsOf(empty, empty, 'mdy', null, POUND).fields).toEqual({})
    })

    it('sends of the rest only what differs', () => {
        const base = formOf(quill, 'kg', 'dmy', POUND)
        expect(fieldsOf({ ...base, allergies: ['gluten', 'egg'], name: ' Quilla ' }, base, 'dmy', quill, POUND).fields).toEqual({
            name: 'Quilla',
            allergies: ['gluten', 'egg'],
        })
        expect(fieldsOf({ ...base, age: 'the day before' }, base, 'dmy', quill, POUND).problems['age']).toBeDefined()
    })
})
