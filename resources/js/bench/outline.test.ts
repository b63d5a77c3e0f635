import { describe, expect, it } from 'vitest'
import type { Cut } from '../api/types.generated'
import { handlesOf, outlineOf, thicknessKey } from './outline'

const CUTS: Cut[] = [
    { shape: 'round', diameterMm: 20, thicknessMm: 6 },
    { shape: 'square', sideMm: 20, thicknessMm: 6 },
    { shape: 'rectangle', widthMm: 12, lengthMm: 40, thicknessMm: 7 },
    { shape: 'bone', widthMm: 20, lengthMm: 50, thicknessMm: 8 },
    { shape: 'heart', widthMm: 30, lengthMm: 28, thicknessMm: 6 },
    { shape: 'star', widthMm: 30, lengthMm: 30, thicknessMm: 6 },
    { shape: 'strip', widthMm: 15, lengthMm: 80, thicknessMm: 5 },
    { shape: 'log', diameterMm: 28, sliceMm: 7 },
    { shape: 'ball', diameterMm: 20 },
    { shape: 'grid', sheetWidthMm: 180, sheetLengthMm: 240, depthMm: 15, columns: 9, rows: 12 },
]

/** The numbers of a path that stand alone, to see that none is lost. */
function isFinitePath(path: string): boolean {
    return !/NaN|undefined|Infinity/.test(path) && path.startsWith('M') && path.endsWith('z')
}

describe('the outline of a piece', () => {
    it.each(CUTS.map((cut) => [cut.shape, cut] as const))('%s is drawn at its own size', (_, cut) => {
        const outline = outlineOf(cut)
        expect(outline).not.toBeNull()
        expect(outline !== null && isFinitePath(outline.path)).toBe(true)
        expect(outline?.width).toBeGreaterThan(0)
        expect(outline?.height).toBeGreaterThan(0)
    })

    it('lies along its longer side', () => {
        expect(outlineOf({ shape: 'rectangle', widthMm: 12, lengthMm: 40, thicknessMm: 7 })).toMatchObject({ width: 40, height: 12 })
        expect(outlineOf({ shape: 'grid', sheetWidthMm: 180, sheetLengthMm: 240, depthMm: 15, columns: 9, rows: 12 })).toMatchObject({ width: 20, height: 20 })
    })

    it('is not drawn where a cut is only a count', () => {
        expect(outlineOf({ shape: 'pieces', count: 24 })).toBeNull()
        expect(outlineOf({ shape: 'slices', count: 8 })).toBeNull()
        expect(outlineOf({ shape: 'scoop', ml: 15 })).toBeNull()
    })
})

describe('what can be dragged', () => {
    it.each(CUTS.map((cut) => [cut.shape, cut] as const))('%s names only sizes it has', (_, cut) => {
        for (const handle of handlesOf(cut)) expect(Object.keys(cut)).toContain(handle.key)
        const thick = thicknessKey(cut)
        if (thick !== null) expect(Object.keys(cut)).toContain(thick)
    })

    it('has one edge for a round piece and two for a finger', () => {
        expect(handlesOf({ shape: 'round', diameterMm: 20, thicknessMm: 6 })).toHaveLength(1)
        expect(handlesOf({ shape: 'rectangle', widthMm: 12, lengthMm: 40, thicknessMm: 7 }).map((one) => one.axis)).toEqual(['across', 'down'])
        expect(handlesOf({ shape: 'pieces', count: 24 })).toEqual([])
    })
})
