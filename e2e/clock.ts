import { execFileSync } from 'node:child_process'
import type { BrowserContext } from '@playwright/test'

export const MS_A_DAY = 86_400_000

/** The clock of a kitchen and of the browsers that look at it, so many days on. */
export class Days {
    now = 0

    constructor(
        private readonly instance: string,
        readonly first: number,
    ) {}

    /** @param parallelIndex of the worker, whose kitchen it is */
    static of(parallelIndex: number, first: string): Days {
        const instances = (process.env['MILDBOWL_INSTANCES'] ?? 'test 8680').split(',')

        return new Days(instances[parallelIndex % instances.length] ?? '', Date.parse(`${first}T12:00:00Z`))
    }

    /** @param isAway whether the kitchen is out of reach of this browser just now */
    async begin(context: BrowserContext, isAway: () => boolean = () => false): Promise<void> {
        // a page takes the time from its kitchen's answers
        await context.route('**/api/**', async (route) => {
            if (isAway()) return route.abort().catch(() => undefined)
            const response = await route.fetch().catch(() => null)
            if (response === null) await route.abort().catch(() => undefined)
            else
                await route
                    .fulfill({ response, headers: { ...response.headers(), date: new Date(Date.now() + this.now * MS_A_DAY).toUTCString() } })
                    .catch(() => undefined)
        })
    }

    set(day: number): void {
        this.now = day
        execFileSync('ops/set-test-clock.sh', [String(day * 86_400)], { stdio: 'pipe', env: { ...process.env, MILDBOWL_INSTANCE: this.instance } })
    }

    iso(day: number): string {
        return new Date(this.first + day * MS_A_DAY).toISOString().slice(0, 10)
    }
}
