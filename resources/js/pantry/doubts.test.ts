import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { around, mended, moved, type Doubt } from './doubts'

const doubt = (from: number, to: number, list: string): Doubt => ({ span: [from, to], text: [...list].slice(from, to).join(''), box: null })
const LIST = 'oats, ralsins, honey, xylito1'

describe('moved', () => {
    it('moves what stands behind a change, and lets go of what was changed', () => {
        const doubts = [doubt(6, 13, LIST), doubt(22, 29, LIST)]
        expect(moved(doubts, LIST, LIST.replace('oats', 'rolled oats'))).toEqual([
            { ...doubts[0], span: [13, 20] },
            { ...doubts[1], span: [29, 36] },
        ])
        expect(moved(doubts, LIST, LIST.replace('ralsins', 'raisins'))).toEqual([doubts[1]])
        expect(moved(doubts, LIST, '')).toEqual([])
        expect(moved(doubts, LIST, LIST + ', salt')).toEqual(doubts)
    })
    it('whatever is changed, each doubt that is left stands on its own word', () => {
        const word = fc.string({ unit: 'grapheme', minLength: 1, maxLength: 5 })
        fc.assert(
            fc.property(fc.array(word, { minLength: 1, maxLength: 8 }), fc.nat(), fc.nat(), word, (words, at, much, put) => {
                const list = words.join(' ')
                let from = 0
                const doubts = words.map((one) => {
                    const span: [number, number] = [from, from + [...one].length]
                    from = span[1] + 1
                    return { span, text: one, box: null }
                })
                const signs = [...list]
                const begin = at % (signs.length + 1)
                const cut = Math.min(much % 6, signs.length - begin)
                const after = [...signs.slice(0, begin), ...put, ...signs.slice(begin + cut)].join('')
                for (const one of moved(doubts, list, after)) expect([...after].slice(...one.span).join('')).toBe(one.text)
            }),
        )
    })
})

describe('mended', () => {
    it('puts a word in the place of one, also behind signs that take two places', () => {
        expect(mended('🥜 nut, ralsin.', [7, 13], 'raisin')).toBe('🥜 nut, raisin.')
        expect(around(LIST, [6, 13], 4)).toEqual({ before: 'ts, ', after: ', ho' })
    })
})
