/** What a kitchen scale tells: grams, whether they stand still, and whether it carries more than it can. */
export interface ScaleReading {
    grams: number
    isSettled: boolean
    isOver: boolean
}

/** A kitchen scale, whatever it is: a real one takes the place of the stand-in behind this, and nothing else changes. */
export interface KitchenScale {
    /** as the page calls it */
    name: string
    isStandIn: boolean
    /** Hands on every reading until it is told to stop. */
    follow: (read: (reading: ScaleReading | null) => void) => () => void
    tare: () => void
}

const EVERY_MS = 200
const MOST_GRAMS = 5_000
/** share of the way to what lies on it that the needle goes in one reading */
const SETTLES = 0.45
const STILL_GRAMS = 0.6
const DRIFT_GRAMS_A_MINUTE = 0.4

/** The scale that ships with it: what is laid on it settles in a second, drifts a little, and is too much beyond five kilograms. It says that it is none. */
export class StandInScale implements KitchenScale {
    readonly name = 'stand-in scale'
    readonly isStandIn = true
    private on = 0
    private needle = 0
    private zero = 0
    private drift = 0
    private isSilent = false
    private readonly followers = new Set<(reading: ScaleReading | null) => void>()
    private timer: ReturnType<typeof setInterval> | undefined

    /** Lays so much on it, bowl and all. */
    lay(grams: number): void {
        this.on = grams
    }

    /** As if its battery were empty. */
    fallSilent(is: boolean): void {
        this.isSilent = is
    }

    tare(): void {
        this.zero = this.needle + this.drift
    }

    follow(read: (reading: ScaleReading | null) => void): () => void {
        this.followers.add(read)
        this.timer ??= setInterval(() => {
            this.tick()
        }, EVERY_MS)

        return () => {
            this.followers.delete(read)
            if (this.followers.size === 0) {
                clearInterval(this.timer)
                this.timer = undefined
            }
        }
    }

    private tick(): void {
        this.drift += (DRIFT_GRAMS_A_MINUTE * EVERY_MS) / 60_000
        this.needle += SETTLES * (this.on - this.needle)
        const reading = this.isSilent
            ? null
            : {
                  grams: Math.round(2 * (this.needle + this.drift - this.zero)) / 2,
                  isSettled: Math.abs(this.on - this.needle) < STILL_GRAMS,
                  isOver: this.on > MOST_GRAMS,
              }
        for (const read of this.followers) read(reading)
    }
}
