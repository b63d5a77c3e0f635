/** "4:05", "1:02:09"; over time is told with a plus. */
export function leftOf(ms: number): string {
    // what is left is not over before its last second is
    const seconds = ms >= 0 ? Math.ceil(ms / 1000) : Math.floor(-ms / 1000)
    const [hours, minutes, rest] = [Math.floor(seconds / 3600), Math.floor((seconds % 3600) / 60), seconds % 60]
    const two = (one: number): string => String(one).padStart(2, '0')

    return `${ms < 0 ? '+' : ''}${hours > 0 ? `${hours}:${two(minutes)}` : minutes}:${two(rest)}`
}

/** The hour of a moment on the kitchen's own clock. */
export function hourOf(at: number | string, timezone: string | undefined): string {
    return new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', ...(timezone === undefined ? {} : { timeZone: timezone }) }).format(
        new Date(at),
    )
}

/** A minute of the kitchen's own clock, as `bake` takes it. */
export function minuteOf(at: number, timezone: string | undefined): string {
    const part = Object.fromEntries(
        new Intl.DateTimeFormat('en-GB', {
            year: 'numeric',
            month: '2-digit',
            day: '2-digit',
            hour: '2-digit',
            minute: '2-digit',
            hourCycle: 'h23',
            ...(timezone === undefined ? {} : { timeZone: timezone }),
        })
            .formatToParts(new Date(at))
            .map((one) => [one.type, one.value]),
    )

    return `${part['year'] ?? ''}-${part['month'] ?? ''}-${part['day'] ?? ''}T${part['hour'] ?? ''}:${part['minute'] ?? ''}`
}

/** A minute of the kitchen's own clock, so many minutes later (or earlier). */
export function minuteAfter(minute: string, minutes: number): string {
    return new Date(Date.parse(`${minute}:00Z`) + 60_000 * minutes).toISOString().slice(0, 16)
}
