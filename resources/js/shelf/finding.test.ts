import { describe, expect, it } from 'vitest'
import type { Dog, Slip } from '../api/types.generated'
import { Finder, isUnjudged, type Wanted } from './finding'

const slip = (id: string, more: Partial<Slip> = {}): Slip => ({
    id,
    version: 1,
    title: id,
    begins: '1 egg',
    hasMethod: false,
    texture: null,
    shape: null,
    tags: [],
    favourite: false,
    photoId: null,
    promoted: false,
    parentId: null,
    notes: '',
    foods: [],
    updatedAt: '',
    judged: null,
    ...more,
})
const judged = (...clearedFor: string[]): Slip['judged'] => ({
    dataVersion: 'x',
    on: '2026-11-27',
    clearedFor,
    clearedForAll: false,
    kcalPerPiece: 5,
    pieces: 10,
    feel: null,
})
const finder = new Finder([
    { id: 'q', name: 'Quill' },
    { id: 'b', name: 'Bosun' },
] as Dog[])
const nothing: Wanted = { words: '', tags: [], dogs: [], favourites: false }
const slips = [
    slip('Pear squares', { foods: ['pear', 'sorghum flour'], tags: ['Thursday'], judged: judged('q'), favourite: true }),
    slip('Purée coins', { begins: '200 g crème', judged: judged('b', 'q') }),
    slip('Twists', { foods: ['hake skin'], notes: 'crisp' }),
]
const names = (more: Partial<Wanted>): string[] => finder.among(slips, { ...nothing, ...more }).map((one) => one.title)

describe('the shelf', () => {
    it('is found by name, food, tag, note and dog, however it is written', () => {
        expect(names({})).toHaveLength(3)
        expect(names({ words: 'PEAR' })).toEqual(['Pear squares'])
        expect(names({ words: 'sorghum squ' })).toEqual(['Pear squares'])
        expect(names({ words: 'puree' })).toEqual(['Purée coins'])
        expect(names({ words: 'creme' })).toEqual(['Purée coins'])
        expect(names({ words: 'thurs' })).toEqual(['Pear squares'])
        expect(names({ words: 'crisp' })).toEqual(['Twists'])
        expect(names({ words: 'bosun' })).toEqual(['Purée coins'])
        expect(names({ words: 'quill pear' })).toEqual(['Pear squares'])
        expect(names({ words: 'quill hake' })).toEqual([])
    })

    it('takes every wish together', () => {
        expect(names({ dogs: ['q'] })).toEqual(['Pear squares', 'Purée coins'])
        expect(names({ dogs: ['q', 'b'] })).toEqual(['Purée coins'])
        expect(names({ favourites: true })).toEqual(['Pear squares'])
        expect(names({ tags: ['Thursday'], dogs: ['b'] })).toEqual([])
    })

    it('knows when what is found rests on verdicts, and which are missing', () => {
        expect(finder.restsOnVerdicts({ ...nothing, words: 'quill' })).toBe(true)
        expect(finder.restsOnVerdicts({ ...nothing, dogs: ['q'] })).toBe(true)
        expect(finder.restsOnVerdicts({ ...nothing, words: 'pear' })).toBe(false)
        expect(slips.filter(isUnjudged).map((one) => one.title)).toEqual(['Twists'])
        expect(isUnjudged(slip('Empty', { begins: ' ' }))).toBe(false)
    })
})
