import type { ToldBake } from '../api/types.generated'
import { blankSheet, type Sheet } from './sheets'

/** The cut and the texture that a talk gave; what it did not give stays as a new sheet has it. */
export function cutAsTold(bake: ToldBake | undefined): Partial<Pick<Sheet, 'cut' | 'texture'>> {
    if (bake === undefined) return {}
    const told: Partial<Pick<Sheet, 'cut' | 'texture'>> = {}
    if (bake.texture !== null) told.texture = bake.texture
    const across = bake.sizeMm ?? 25
    const thick = bake.thicknessMm ?? 6
    if (bake.shape === 'ball' && bake.sizeMm !== null) told.cut = { shape: 'ball', diameterMm: across }
    else if (bake.shape === 'square' && (bake.sizeMm !== null || bake.thicknessMm !== null))
        told.cut = { shape: 'square', sideMm: across, thicknessMm: thick }
    else if (bake.sizeMm !== null || bake.thicknessMm !== null)
        told.cut = { ...blankSheet().cut, shape: 'round', diameterMm: across, thicknessMm: thick }

    return told
}
