import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { StandInProbe, warmed } from './probe'
import { StandInScale, type ScaleReading } from './scale'

beforeEach(() => {
    vi.useFakeTimers()
})
afterEach(() => {
    vi.useRealTimers()
})

describe('the stand-in scale', () => {
    const read = (scale: StandInScale): { last: () => ScaleReading | null; all: (ScaleReading | null)[]; stop: () => void } => {
        const all: (ScaleReading | null)[] = []
        const stop = scale.follow((one) => all.push(one))

        return { last: () => all[all.length - 1] ?? null, all, stop }
    }

    it('tells five readings a second, settles on what lies on it, and says when it has', () => {
        const scale = new StandInScale()
        const seen = read(scale)
        scale.lay(312)
        vi.advanceTimersByTime(1000)
        expect(seen.all).toHaveLength(5)
        expect(seen.all[0]?.isSettled).toBe(false)
        expect(seen.all.map((one) => one?.grams ?? 0)).toEqual([...seen.all.map((one) => one?.grams ?? 0)].sort((one, two) => one - two))
        vi.advanceTimersByTime(2000)
        expect(seen.last()?.isSettled).toBe(true)
        expect(Math.abs((seen.last()?.grams ?? 0) - 312)).toBeLessThanOrEqual(0.5)
        seen.stop()
        vi.advanceTimersByTime(1000)
        expect(seen.all).toHaveLength(15)
    })

    it('is tared with the bowl on it, and drifts by less than a gram in two minutes', () => {
        const scale = new StandInScale()
        const seen = read(scale)
        scale.lay(420)
        vi.advanceTimersByTime(4000)
        scale.tare()
        scale.lay(420 + 95)
        vi.advanceTimersByTime(4000)
        expect(Math.abs((seen.last()?.grams ?? 0) - 95)).toBeLessThanOrEqual(0.5)
        vi.advanceTimersByTime(120_000)
        expect((seen.last()?.grams ?? 0) - 95).toBeGreaterThan(0)
        expect((seen.last()?.grams ?? 0) - 95).toBeLessThan(1.5)
    })

    it('says when it carries too much, and when it says nothing any more', () => {
        const scale = new StandInScale()
        const seen = read(scale)
        scale.lay(5001)
        vi.advanceTimersByTime(400)
        expect(seen.last()?.isOver).toBe(true)
        scale.fallSilent(true)
        vi.advanceTimersByTime(200)
        expect(seen.last()).toBeNull()
    })
})

describe('the stand-in probe', () => {
    it('warms with time and a hotter oven, slower the thicker and heavier it is, and never boils', () => {
        const piece = { grams: 30, thicknessMm: 20, ovenCelsius: 175 }
        expect(warmed(0, piece)).toBeCloseTo(18)
        for (let minutes = 0; minutes < 200; minutes++) expect(warmed(minutes + 1, piece)).toBeGreaterThanOrEqual(warmed(minutes, piece))
        expect(warmed(10, { ...piece, thicknessMm: 40 })).toBeLessThan(warmed(10, piece))
        expect(warmed(10, { ...piece, grams: 300 })).toBeLessThan(warmed(10, piece))
        expect(warmed(10, { ...piece, ovenCelsius: 90 })).toBeLessThan(warmed(10, piece))
        expect(warmed(1e6, { ...piece, ovenCelsius: 300 })).toBeLessThanOrEqual(98)
    })

    it('reaches 71 °C in the middle of a meatball in a quarter of an hour or so', () => {
        const at = Array.from({ length: 60 }, (_, minutes) => warmed(minutes, { grams: 18, thicknessMm: 25, ovenCelsius: 190 })).findIndex(
            (celsius) => celsius >= 71,
        )
        expect(at).toBeGreaterThan(10)
        expect(at).toBeLessThan(60)
    })

    it('tells it while somebody listens', () => {
        const all: (number | null)[] = []
        const stop = new StandInProbe({ grams: 18, thicknessMm: 25, ovenCelsius: 190 }).follow((one) => all.push(one))
        vi.advanceTimersByTime(2000)
        stop()
        vi.advanceTimersByTime(2000)
        expect(all).toHaveLength(5)
    })
})
