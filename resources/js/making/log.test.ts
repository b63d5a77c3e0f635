import { describe, expect, it } from 'vitest'
import type { BatchEntry, WorkStep } from '../api/types.generated'
import { nowOf, standing, stateOf } from './log'

const entry = (id: string, kind: BatchEntry['kind'], said: BatchEntry['said'] = {}, at = '12:00:00', corrects: string | null = null): BatchEntry => ({
    id,
    kind,
    said,
    corrects,
    by: 'Ines',
    at: `2026-05-14T${at}.000Z`,
})

const step = (id: string, kind: WorkStep['kind'], needs: string[] = [], at = 0, best = 5, more: Partial<WorkStep> = {}): WorkStep => ({
    id,
    kind,
    needs,
    startsAfterMinutes: at,
    minutes: { low: best, best, high: best },
    hands: 'on',
    part: null,
    lot: null,
    text: `${kind}.`,
    oven: null,
    core: null,
    hazard: null,
    tip: null,
    ...more,
})

const PLAN: WorkStep[] = [
    step('s1', 'mix'),
    step('s2', 'preheat', [], 0, 15, { hands: 'off' }),
    step('s3', 'shape', ['s1'], 5),
    step('s4', 'heat', ['s3', 's2'], 15, 20, { hands: 'off' }),
    step('s5', 'heat', ['s4'], 15, 30, { hands: 'off' }),
    step('s6', 'look', ['s4'], 31, 1),
    step('s7', 'core', ['s4'], 35, 1),
    step('s8', 'cool', ['s7'], 36, 20, { hands: 'off' }),
    step('s9', 'bag', ['s8'], 56),
]

const at = (time: string): number => Date.parse(`2026-05-14T${time}.000Z`)

/** Pseudo-random numbers that are the same for the same seed. */
function chance(seed: number): (most: number) => number {
    let state = seed * 2654435761

    return (most) => {
        state = (state ^ (state << 13)) >>> 0
        state = (state ^ (state >>> 17)) >>> 0
        state = (state ^ (state << 5)) >>> 0

        return state % most
    }
}

describe('the log', () => {
    it('says the same in whatever order the entries came, and however often', () => {
        for (let seed = 1; seed < 120; seed++) {
            const any = chance(seed)
            const log = Array.from({ length: 2 + any(25) }, (_, n) => {
                const when = `1${any(4)}:${String(any(60)).padStart(2, '0')}:00`
                const corrects = n > 0 && any(4) === 0 ? `e${any(n)}` : null
                const kind =
                    (['timer', 'more', 'stopped', 'begun', 'done', 'count', corrects === null ? 'count' : 'undone'] as const)[any(7)] ?? 'count'

                return entry(`e${n}`, kind, { timer: `t${any(3)}`, seconds: 60 * any(30), step: `s${any(4)}`, pieces: any(50) }, when, corrects)
            })
            const turned = [...log].reverse()
            expect(stateOf(turned)).toEqual(stateOf(log))
            expect(stateOf([...log, ...turned])).toEqual(stateOf(log))
            const corrected = new Set(log.map((one) => one.corrects))
            for (const one of log)
                if (one.corrects === null && one.kind !== 'undone' && !corrected.has(one.id))
                    expect(standing(log).map((other) => other.id)).toContain(one.id)
        }
    })

    it('puts a correction in the place of what it corrects, and lets a slip be one', () => {
        const log = [
            entry('a', 'weight', { grams: 300 }),
            entry('b', 'count', { pieces: 4 }, '12:05:00'),
            entry('c', 'weight', { grams: 312 }, '12:10:00', 'a'),
            entry('d', 'undone', {}, '12:11:00', 'b'),
        ]
        expect(standing(log).map((one) => [one.id, one.at])).toEqual([['c', '2026-05-14T12:00:00.000Z']])
    })

    it('keeps timers as moments: prolonged, rung and prolonged from now on, stopped', () => {
        const timer = entry('a', 'timer', { timer: 't', seconds: 600, name: 'oven' })
        const ends = (...more: BatchEntry[]): number => stateOf([timer, ...more]).timers[0]?.endsAt ?? 0
        expect(ends()).toBe(at('12:10:00'))
        expect(ends(entry('b', 'more', { timer: 't', seconds: 300 }, '12:05:00'))).toBe(at('12:15:00'))
        expect(ends(entry('b', 'more', { timer: 't', seconds: 300 }, '12:12:00'))).toBe(at('12:17:00'))
        expect(stateOf([timer, entry('b', 'stopped', { timer: 't' }, '12:01:00')]).timers[0]?.isStopped).toBe(true)
    })
})

describe('what to do now', () => {
    const now = (log: BatchEntry[], time = '12:00:00') => {
        const found = nowOf(PLAN, stateOf(log), at(time))

        return [found.step?.id ?? null, found.next?.id ?? null]
    }
    const mixed = entry('a', 'done', { step: 's1' })
    const heated = entry('b', 'begun', { step: 's2' })
    const shaped = entry('c', 'done', { step: 's3' })
    const inside = [mixed, heated, shaped, entry('d', 'begun', { step: 's4' }), entry('e', 'timer', { timer: 's4', step: 's4', seconds: 1200 })]
    const both = [...inside, entry('f', 'begun', { step: 's5' }), entry('g', 'timer', { timer: 's6', step: 's6', seconds: 960 })]

    it('goes through the plan in its order, and waits for nothing that goes on by itself', () => {
        expect(now([])).toEqual(['s1', 's2'])
        expect(now([mixed])).toEqual(['s2', 's3'])
        expect(now([mixed, heated])).toEqual(['s3', 's4'])
        // an oven that was turned on is hot when it is wanted
        expect(now([mixed, heated, shaped])).toEqual(['s4', 's5'])
    })

    it('puts the harder lot in beside the softer one, and then has nothing to do', () => {
        expect(now(inside)).toEqual(['s5', 's6'])
        expect(now(both)[0]).toBeNull()
    })

    it('puts first what rings: the look, then what is done', () => {
        expect(now(both, '12:16:00')[0]).toBe('s6')
        const looked = [...both, entry('h', 'done', { step: 's6' }, '12:16:30'), entry('i', 'stopped', { timer: 's6' }, '12:16:30')]
        expect(now(looked, '12:17:00')[0]).toBeNull()
        expect(now(looked, '12:20:00')[0]).toBe('s4')
        const out = [...looked, entry('j', 'done', { step: 's4' }, '12:20:10'), entry('k', 'stopped', { timer: 's4' }, '12:20:10')]
        expect(now(out, '12:21:00')[0]).toBe('s7')
    })

    it('lets go of a look at what is out already', () => {
        expect(nowOf(PLAN, stateOf([...both, entry('j', 'done', { step: 's4' })]), at('12:30:00')).stage.get('s6')).toBe('done')
    })
})
