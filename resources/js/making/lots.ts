import type { WorkStep } from '../api/types.generated'

/** How the lots of a batch are told apart across a room: by a shape, a place in the palette, and always their name. */
export interface LotSign {
    name: string
    /** 0 to 3, of the palette in look/oven.css */
    colour: number
    path: string
}

const PATHS = ['M12 3a9 9 0 1 0 0 18a9 9 0 0 0 0-18z', 'M12 2.5 22 20.5H2z', 'M4 4h16v16H4z', 'M12 1.5 22.5 12 12 22.5 1.5 12z']

export function lotsOf(steps: readonly WorkStep[]): LotSign[] {
    const names = [...new Set(steps.map((one) => one.lot).filter((one) => one !== null))]

    return names.map((name, n) => ({ name, colour: n % PATHS.length, path: PATHS[n % PATHS.length] ?? '' }))
}
