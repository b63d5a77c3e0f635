import type { Range } from '../api/types.generated'

/** Figures as people read them: no false precision. Nothing is computed here, only written. */
export function figure(value: number): string {
    if (value >= 20) return String(Math.round(value))
    if (value >= 2) return trimmed(value.toFixed(1))

    return trimmed(value.toFixed(value >= 0.1 ? 1 : 2))
}

export function grams(value: number): string {
    return `${value < 10 ? trimmed(value.toFixed(1)) : Math.round(value)} g`
}

/** "9" or "8–11": the best value alone when the range says no more. */
export function spread(range: Range): string {
    const [low, best, high] = [figure(range.low), figure(range.best), figure(range.high)]

    return low === high ? best : `${best} (${low}–${high})`
}

const QUARTERS = ['', '¼', '½', '¾']

/** Pieces in whole and quarter pieces: "3½", "¼", "none". */
export function pieces(count: number): string {
    const whole = Math.floor(count)
    const part = QUARTERS[Math.round((count - whole) * 4) % 4] ?? ''

    return whole === 0 && part === '' ? 'none' : `${whole === 0 ? '' : whole}${part}`
}

function trimmed(text: string): string {
    return text.includes('.') ? text.replace(/\.?0+$/, '') : text
}

export function age(months: number | null): string {
    if (months === null) return 'age not known'
    if (months < 24) return `${Math.round(months)} months`

    return `${Math.floor(months / 12)} years`
}

/** Made once: to make one takes a browser a millisecond. */
const CALENDARS = new Map<string, Intl.DateTimeFormat>()
/** Days begin with a minute, and a page asks sixty times in one. */
let lastDay = { timezone: '', minute: 0, day: '' }

/** The day it is in a time zone, as an ISO date. */
export function dayIn(timezone: string, at: Date = new Date()): string {
    const minute = Math.floor(at.getTime() / 60_000)
    if (lastDay.timezone === timezone && lastDay.minute === minute) return lastDay.day
    const calendar =
        CALENDARS.get(timezone) ?? new Intl.DateTimeFormat('en-GB', { timeZone: timezone, year: 'numeric', month: '2-digit', day: '2-digit' })
    CALENDARS.set(timezone, calendar)
    const parts = Object.fromEntries(calendar.formatToParts(at).map((one) => [one.type, one.value]))
    const day = `${parts['year'] ?? ''}-${parts['month'] ?? ''}-${parts['day'] ?? ''}`
    lastDay = { timezone, minute, day }

    return day
}

/** A figure and its unit stay in one row, however large they are written. */
export function unbroken(words: string): string {
    return words.replace(/(\d) (?=(?:°[CF]|mm|cm|g|kg|ml|min|h|minutes?|hours?|kcal)(?![a-z]))/g, '$1\u00a0')
}

/** How large a file is. */
export function bytes(many: number): string {
    return many < 1_000_000 ? `${Math.max(1, Math.round(many / 1000))} kB` : `${(many / 1_000_000).toFixed(1)} MB`
}
