import { inject, type InjectionKey } from 'vue'
import { StandInProbe, type CoreProbe, type Piece } from './probe'
import { StandInScale, type KitchenScale } from './scale'

/** Where a device that is connected takes the place of its stand-in: it is provided under its key, and nothing else changes. */
export const SCALE: InjectionKey<KitchenScale> = Symbol('scale')
export const PROBE: InjectionKey<(piece: Piece) => CoreProbe> = Symbol('probe')

let shipped: StandInScale | null = null

/** The kitchen's scale: one that is connected, else the stand-in, on which a person lays something by hand. */
export function useScale(): KitchenScale & { lay?: (grams: number) => void } {
    return inject(SCALE, null) ?? (shipped ??= new StandInScale())
}

/** The probe for a piece: one that is connected, else the stand-in, which warms as such a piece does. */
export function useProbe(): (piece: Piece) => CoreProbe {
    return inject(PROBE, null) ?? ((piece) => new StandInProbe(piece))
}
