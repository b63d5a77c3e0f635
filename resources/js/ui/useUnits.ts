import type { Dog } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'

const SIXTEENTHS = ['', '1/16', '⅛', '3/16', '¼', '5/16', '⅜', '7/16', '½', '9/16', '⅝', '11/16', '¾', '13/16', '⅞', '15/16']

function rounded(value: number, digits: number): string {
    return String(Number(value.toFixed(digits)))
}

/** Figures in the units that this kitchen reads, chosen once in the rail. */
export function useUnits() {
    const kitchen = useKitchen()
    /** As core has them; without them nothing is turned. */
    const kgAPound = (): number => kitchen.choices?.measures.kgAPound ?? 1
    const mmAnInch = (): number | null => kitchen.choices?.measures.mmAnInch ?? null
    const isPounds = (): boolean => kitchen.kitchen?.weightsAs === 'lb' && kitchen.choices !== null
    /** The length of an inch where this kitchen reads inches. */
    const inch = (): number | null => (kitchen.kitchen?.sizesAs === 'in' ? mmAnInch() : null)
    const isInches = (): boolean => inch() !== null

    function kg(value: number): string {
        return isPounds() ? `${rounded(value / kgAPound(), 1)} lb` : `${rounded(value, 2)} kg`
    }

    /** Millimetres, or inches to the sixteenth as a ruler has them. */
    function mm(value: number, round: (sixteenths: number) => number = Math.round): string {
        const long = inch()
        if (long === null) return `${rounded(value, 1)} mm`
        const sixteenths = Math.max(1, round((value / long) * 16))
        const whole = Math.floor(sixteenths / 16)
        const part = SIXTEENTHS[sixteenths % 16] ?? ''

        return `${[whole === 0 ? '' : String(whole), part].filter((one) => one !== '').join(part.includes('/') ? ' ' : '')} in`
    }

    /** A size that nothing may be over: never told as more than it is. */
    const mmAtMost = (value: number): string => mm(value, (sixteenths) => Math.floor(sixteenths + 1e-6))

    /** The temperature of an oven or of a core, with the figures that core gave for it. */
    function heat({ celsius, fahrenheit, gasMark }: { celsius: number; fahrenheit: number; gasMark?: string | number | null | undefined }): string {
        const as = kitchen.kitchen?.temperature ?? 'C'
        if (as === 'gas' && gasMark !== null && gasMark !== undefined) return `gas ${gasMark}`

        return as === 'F' ? `${fahrenheit} °F` : `${celsius} °C`
    }

    /** A figure for a field that is typed in; a hair of an inch is as fine as anybody cuts. */
    function inUnit(length: number): number {
        const long = inch()

        return long === null ? length : Number((length / long).toFixed(3))
    }

    function inMm(length: number): number {
        const long = inch()

        return long === null ? length : Number((length * long).toFixed(1))
    }

    return {
        kg,
        mm,
        mmAtMost,
        heat,
        kgAPound,
        mmAnInch,
        isPounds,
        isInches,
        inUnit,
        inMm,
        weight: (dog: Pick<Dog, 'weightKg' | 'weightSaid'>): string =>
            dog.weightKg === null ? (dog.weightSaid ?? 'no weight yet') : kg(dog.weightKg),
    }
}
