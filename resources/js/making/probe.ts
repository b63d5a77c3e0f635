/** A thermometer in the middle of a piece: °C, or null while it says nothing. */
export interface CoreProbe {
    name: string
    isStandIn: boolean
    follow: (read: (celsius: number | null) => void) => () => void
}

/** What the middle of a piece is like: how heavy and thick, and how hot it is around it. */
export interface Piece {
    grams: number
    thicknessMm: number
    ovenCelsius: number
}

const EVERY_MS = 500
const BEGINS_CELSIUS = 18
/** water leaves and holds the middle back: it does not get hotter than boiling */
const MOST_CELSIUS = 98
/** min for the middle of 10 mm to go two thirds of the way */
const MINUTES_OF_10_MM = 6

/** Share of the way from cold to hot that the middle of a piece has gone after some minutes: with the square of its thickness, and a little with its mass. */
export function warmed(minutes: number, { grams, thicknessMm, ovenCelsius }: Piece): number {
    const slow = MINUTES_OF_10_MM * (Math.max(2, thicknessMm) / 10) ** 2 * (Math.max(5, grams) / 50) ** 0.15
    const towards = Math.min(MOST_CELSIUS, BEGINS_CELSIUS + 0.62 * (ovenCelsius - BEGINS_CELSIUS))

    return BEGINS_CELSIUS + (towards - BEGINS_CELSIUS) * (1 - Math.exp(-minutes / slow))
}

/** The probe that ships with it: warms as a piece of that mass and shape does in that oven, quicker than a real one so that it can be tried. It says that it is none. */
export class StandInProbe implements CoreProbe {
    readonly name = 'stand-in probe'
    readonly isStandIn = true

    constructor(
        private readonly piece: Piece,
        private readonly quicker = 60,
        private readonly clock: () => number = Date.now,
    ) {}

    follow(read: (celsius: number | null) => void): () => void {
        const since = this.clock()
        const tell = (): void => {
            read(Math.round(10 * warmed(((this.clock() - since) / 60_000) * this.quicker, this.piece)) / 10)
        }
        tell()
        const timer = setInterval(tell, EVERY_MS)

        return () => {
            clearInterval(timer)
        }
    }
}
