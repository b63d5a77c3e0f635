import { describe, expect, it } from 'vitest'
import { changesBetween, joined, parted, Rows } from './document'

function seeded(seed: number): (below: number) => number {
    let state = seed

    return (below) => {
        state = (state * 1103515245 + 12345) % 2147483648

        return Math.floor((state / 2147483648) * below)
    }
}

const ROWS = ['', '2 cups oat flour', '1 egg', '½ cup 🥕 carrots', 'For the frosting:', 'Method', ' Method: ', 'Mix.', 'a\u2028b', '1 egg']

describe('list and method in one document', () => {
    it('comes apart as it was joined', () => {
        const next = seeded(7)
        for (let round = 0; round < 500; round++) {
            const rows = (from: string[]): string => Array.from({ length: next(6) }, () => from[next(from.length)] ?? '').join('\n')
            const text = rows(ROWS)
            const steps = rows(ROWS.filter((row) => !/method/i.test(row)))
            const whole = joined({ text, steps })
            if (steps.trim() === '') expect(whole).toBe(text)
            else expect(parted(whole)).toEqual({ text, steps })
        }
    })

    it('has no method until a row says so', () => {
        expect(parted('1 egg\nmethods vary')).toEqual({ text: '1 egg\nmethods vary', steps: '' })
        expect(parted('1 egg\nMETHOD:\nMix.')).toEqual({ text: '1 egg', steps: 'Mix.' })
        expect(parted('Method\nMix.')).toEqual({ text: '', steps: 'Mix.' })
        expect(parted('1 egg\nMethod')).toEqual({ text: '1 egg', steps: '' })
    })

    it('finds a place by row and code points, whatever ends a row', () => {
        const text = '2 cups flour\n🥕🥕 1 carrot\u2028100 g egg'
        const whole = joined({ text, steps: 'Mix.\nBake 🥧 well.' })
        const rows = new Rows(whole)
        const at = (row: number, part: 'text' | 'steps', span: number[]): string => {
            const stretch = rows.stretch({ row, in: part, span })

            return stretch === null ? 'nowhere' : whole.slice(stretch.from, stretch.to)
        }
        expect(at(0, 'text', [2, 6])).toBe('cups')
        expect(at(1, 'text', [3, 11])).toBe('1 carrot')
        expect(at(1, 'text', [0, 1])).toBe('🥕')
        expect(at(2, 'text', [6, 9])).toBe('egg')
        expect(at(1, 'steps', [5, 6])).toBe('🥧')
        expect(at(9, 'steps', [0, 1])).toBe('nowhere')
        expect(rows.rowAt(whole.indexOf('100 g'))).toEqual({ in: 'text', row: 2 })
        expect(rows.rowAt(whole.indexOf('Bake'))).toEqual({ in: 'steps', row: 1 })
        expect(rows.rowAt(whole.indexOf('Method'))).toBeNull()
    })
})

describe('the changes between two texts', () => {
    it('make the one of the other, in order and apart', () => {
        const next = seeded(11)
        for (let round = 0; round < 3000; round++) {
            const some = (): string => Array.from({ length: next(7) }, () => ROWS[next(ROWS.length)] ?? '').join('\n')
            const [before, after] = [some(), some()]
            const changes = changesBetween(before, after)
            let made = ''
            let at = 0
            for (const { from, to, insert } of changes) {
                expect(from).toBeGreaterThanOrEqual(at)
                expect(to).toBeGreaterThanOrEqual(from)
                expect(to).toBeLessThanOrEqual(before.length)
                made += before.slice(at, from) + insert
                at = to
            }
            expect(made + before.slice(at)).toBe(after)
        }
    })

    it('leave alone what stays', () => {
        expect(changesBetween('2 cups oat flour\n1/4 cup raisins\n1 egg', '2 cups oat flour\n1/4 cup blueberries\n1 egg')).toEqual([
            { from: 25, to: 31, insert: 'blueberrie' },
        ])
        expect(changesBetween('a\nb\nc', 'a\nc')).toHaveLength(1)
        expect(changesBetween('a', 'a')).toEqual([])
    })
})
