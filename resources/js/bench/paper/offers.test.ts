import { describe, expect, it } from 'vitest'
import { countsOf, Offering, type Words } from './offers'

const vocabulary = {
    foods: [
        ['oat flour', 'oat-flour'],
        ['ground oats', 'oat-flour'],
        ['oat bran', 'oat-bran'],
        ['oats', 'rolled-oats'],
        ['buckwheat flour', 'buckwheat'],
        ['egg', 'egg'],
        ['egg white', 'egg-white'],
    ].map(([name, ingredient]) => ({ name: name ?? '', ingredient: ingredient ?? '' })),
    units: ['cup', 'clove'],
    forms: ['grated', 'ground'],
    dataVersion: '',
}
const words: Words = { vocabulary, coming: null, own: ['quay crunch'], written: [] }
const names = (typed: string, written: string[] = [], afterNumber = false): string[] =>
    new Offering(words, countsOf(written)).of(typed, afterNumber).map((one) => one.name)

describe('words that are offered', () => {
    it('go on as the word began, the shorter first, one name a food', () => {
        expect(names('oat')).toEqual(['oats', 'oat bran', 'oat flour'])
        expect(names('flo')).toEqual(['oat flour', 'buckwheat flour'])
        expect(names('gro')).toEqual(['ground', 'ground oats'])
        expect(names('xyz')).toEqual([])
    })

    it('begin with what was baked with here', () => {
        expect(names('oat', ['2 cups oat flour\n1 egg', '100 g oat flour'])[0]).toBe('oat flour')
        expect(names('egg', ['1 egg white'])).toEqual(['egg white'])
    })

    it("hold the kitchen's own, and units only where a number stands before", () => {
        expect(names('qu')).toEqual(['quay crunch'])
        expect(names('cu')).toEqual([])
        expect(names('cu', [], true)).toEqual(['cup'])
    })

    it('count every run of words of a row, and none across rows', () => {
        const counts = countsOf(['2 cups oat flour\nbran flakes'])
        expect(counts.get('oat flour')).toBe(1)
        expect(counts.get('flour bran')).toBeUndefined()
    })
})
