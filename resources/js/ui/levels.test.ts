import { describe, expect, it } from 'vitest'
import type { Finding } from '../api/types.generated'
import { inShort, LEVELS, told, worstFirst, type Level } from './levels'

function finding(level: Level, code: string, dog: string | null = null, message = code): Finding {
    return { dog, level, code, message, advice: '', figure: null, emergency: false, source: '' }
}

describe('findings in the margin', () => {
    it('stand with the worst first, and in their order where they are alike', () => {
        const given = [
            finding('caution', 'a'),
            finding('never', 'grape'),
            finding('check-label', 'b'),
            finding('unknown', 'c'),
            finding('allergen', 'd'),
            finding('limit', 'e'),
            finding('ask-vet', 'f'),
            finding('caution', 'g'),
        ]
        expect(worstFirst(given).map((one) => one.code)).toEqual(['grape', 'c', 'd', 'e', 'f', 'b', 'a', 'g'])
        expect(given[0]?.code).toBe('a')
    })

    it('name what may never go in, and nothing else', () => {
        expect(inShort(finding('never', 'whole-nut'))).toBe('Never: whole nut')
        expect(inShort(finding('caution', 'seed'))).toBe('Mind')
    })

    it('are told once for several dogs, with their names', () => {
        const once = told([
            finding('limit', 'fat', 'Ferris', 'Fat is 3 g'),
            finding('limit', 'fat', 'Quill', 'Fat is 4 g'),
            finding('never', 'grape'),
        ])
        expect(once.map((one) => [one.finding.code, one.dogs])).toEqual([
            ['grape', []],
            ['fat', ['Ferris', 'Quill']],
        ])
    })

    it('keep two sayings apart that concern every dog', () => {
        expect(told([finding('caution', 'raw-meat-core', null, 'Venison'), finding('caution', 'raw-meat-core', null, 'Egg')])).toHaveLength(2)
    })

    it('keep what was settled apart from what is open', () => {
        expect(told([finding('ask-vet', 'ask-vet', 'Quill'), { ...finding('ask-vet', 'ask-vet', 'Ferris'), confirmed: true }])).toHaveLength(2)
    })

    it('have a word and a mark of their own for every level', () => {
        const levels = Object.values(LEVELS)
        expect(new Set(levels.map((one) => one.word)).size).toBe(levels.length)
        expect(new Set(levels.map((one) => one.path)).size).toBe(levels.length)
    })
})
