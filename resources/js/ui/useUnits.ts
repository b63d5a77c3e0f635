import type { Dog } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'

const KG_A_POUND = 0.45359237
const MM_AN_INCH = 25.4

const SIXTEENTHS = ['', '1/16', '⅛', '3/16', '¼', '5/16', '⅜', '7/16', '½', '9/16', '⅝', '11/16', '¾', '13/16', '⅞', '15/16']

function rounded(value: number, digits: number): string {
    return String(Number(value.toFixed(digits)))
}

/** Figures in the units that this kitchen reads, chosen once in the rail. */
export function useUnits() {
    const kitchen = useKitchen()
    const isPounds = (): boolean => kitchen.kitchen?.weightsAs === 'lb'
    const isInches = (): boolean => kitchen.kitchen?.sizesAs === 'in'

    function kg(value: number): string {
        return isPounds() ? `${rounded(value / KG_A_POUND, value < 4.5 ? 1 : value / KG_A_POUND % 1 < 0.05 || value / KG_A_POUND % 1 > 0.95 ? 0 : 1)} lb` : `${rounded(value, 2)} kg`
    }

    /** Millimetres, or inches to the sixteenth as a ruler has them. */
    function mm(value: number): string {
        if (!isInches()) return `${rounded(value, 1)} mm`
        const sixteenths = Math.max(1, Math.round(value / MM_AN_INCH * 16))
        const whole = Math.floor(sixteenths / 16)
        const part = SIXTEENTHS[sixteenths % 16] ?? ''

        return `${[whole === 0 ? '' : String(whole), part].filter((one) => one !== '').join(part.includes('/') ? ' ' : '')} in`
    }

    /** The temperature of an oven or of a core, with the figures that core gave for it. */
    function heat({ celsius, fahrenheit, gasMark }: { celsius: number, fahrenheit: number, gasMark?: string | number | null | undefined }): string {
        const as = kitchen.kitchen?.temperature ?? 'C'
        if (as === 'gas' && gasMark !== null && gasMark !== undefined) return `gas ${gasMark}`

        return as === 'F' ? `${fahrenheit} °F` : `${celsius} °C`
    }

    return {
        kg, mm, heat, isPounds, isInches,
        weight: (dog: Pick<Dog, 'weightKg' | 'weightSaid'>): string => dog.weightKg === null ? dog.weightSaid ?? 'no weight yet' : kg(dog.weightKg),
    }
}
