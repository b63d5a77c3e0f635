import { inject, type InjectionKey } from 'vue'
import { StandInScale, type KitchenScale } from './scale'

export const SCALE: InjectionKey<KitchenScale> = Symbol('scale')

let shipped: StandInScale | null = null

/** The kitchen's scale: one that is connected, else the stand-in, on which a person lays something by hand. */
export function useScale(): KitchenScale & { lay?: (grams: number) => void } {
    return inject(SCALE, null) ?? (shipped ??= new StandInScale())
}
