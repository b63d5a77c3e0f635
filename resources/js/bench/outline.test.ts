import { describe, expect, it } from 'vitest'
import type { Cut, Shape } from '../api/types.generated'
import { handlesOf, outlineOf, shapeOf, thicknessKey } from './outline'

const size = (key: string, label: string) => ({ key, label, unit: 'mm', start: 10 })
const FINGER: Shape = {
    id: 'rectangle',
    name: 'finger',
    lies: 'InRows',
    sizes: [size('widthMm', 'wide'), size('lengthMm', 'long'), size('thicknessMm', 'thick')],
    drawing: { path: 'M0 0 h1 v1 h-1z', across: ['lengthMm'], down: ['widthMm'], thick: 'thicknessMm' },
}
const ROUND: Shape = {
    id: 'round',
    name: 'round',
    lies: 'Staggered',
    sizes: [size('diameterMm', 'across')],
    drawing: { path: 'M0z', across: ['diameterMm'], down: ['diameterMm'], thick: 'thicknessMm' },
}
const GRID: Shape = {
    id: 'grid',
    name: 'tray',
    lies: 'AsSheet',
    sizes: [],
    drawing: { path: 'M0z', across: ['sheetWidthMm', 'columns'], down: ['sheetLengthMm', 'rows'], thick: 'depthMm' },
}
const COUNT: Shape = { id: 'pieces', name: 'count', lies: 'Uncounted', sizes: [size('count', 'pieces')], drawing: null }

describe('the outline of a piece', () => {
    it('is as large as its sizes say, along its longer side', () => {
        const cut: Cut = { shape: 'rectangle', widthMm: 12, lengthMm: 40, thicknessMm: 7 }
        expect(outlineOf(cut, FINGER)).toEqual({ width: 40, height: 12, path: 'M0 0 h1 v1 h-1z' })
    })

    it('is a part of the tray where the tray is cut in columns and rows', () => {
        expect(outlineOf({ shape: 'grid', sheetWidthMm: 180, sheetLengthMm: 240, depthMm: 15, columns: 9, rows: 12 }, GRID)).toMatchObject({
            width: 20,
            height: 20,
        })
    })

    it('is not drawn where a cut is only a count, or the shapes are not known yet', () => {
        expect(outlineOf({ shape: 'pieces', count: 24 }, COUNT)).toBeNull()
        expect(outlineOf({ shape: 'pieces', count: 24 }, undefined)).toBeNull()
    })

    it('is that of the shape of the cut', () => {
        expect(shapeOf({ shape: 'round' }, [FINGER, ROUND])).toBe(ROUND)
        expect(shapeOf({ shape: 'star' }, [FINGER, ROUND])).toBeUndefined()
    })
})

describe('what can be dragged', () => {
    it('is one edge of a round piece and two of a finger, none of a tray or a count', () => {
        expect(handlesOf(ROUND)).toEqual([{ key: 'diameterMm', axis: 'across', label: 'across' }])
        expect(handlesOf(FINGER).map((one) => [one.key, one.axis, one.label])).toEqual([
            ['lengthMm', 'across', 'long'],
            ['widthMm', 'down', 'wide'],
        ])
        expect(handlesOf(GRID)).toEqual([])
        expect(handlesOf(COUNT)).toEqual([])
        expect(handlesOf(undefined)).toEqual([])
    })

    it('is the thickness beside it, where there is one', () => {
        expect(thicknessKey(FINGER)).toBe('thicknessMm')
        expect(thicknessKey(COUNT)).toBeNull()
    })
})
