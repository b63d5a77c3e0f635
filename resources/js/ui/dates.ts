export type DateOrder = 'dmy' | 'mdy' | 'ymd'

const PATTERN: Record<DateOrder, string> = { dmy: 'day/month/year', mdy: 'month/day/year', ymd: 'year-month-day' }

/** How a date is written in an order, for whoever types one. */
export function patternOf(order: DateOrder): string {
    return PATTERN[order]
}

/** An ISO date as it is written in an order. */
export function writtenDate(iso: string | null, order: DateOrder): string {
    const [year, month, day] = (iso ?? '').split('-')
    if (year === undefined || month === undefined || day === undefined) return ''

    return order === 'ymd'
        ? `${year}-${month}-${day}`
        : order === 'mdy'
          ? `${Number(month)}/${Number(day)}/${year}`
          : `${Number(day)}/${Number(month)}/${year}`
}

/** The ISO date that was meant; null where none can be. A year of four figures that stands first is never mistaken. */
export function readDate(text: string, order: DateOrder): string | null {
    const numbers = text.trim().match(/^(\d{1,4})[./\-\s]+(\d{1,2})[./\-\s]+(\d{1,4})$/)
    if (numbers === null) return null
    const [first, second, third] = [numbers[1] ?? '', numbers[2] ?? '', numbers[3] ?? '']
    const [year, month, day] =
        first.length === 4
            ? [first, second, third]
            : order === 'mdy'
              ? [third, first, second]
              : order === 'ymd'
                ? [first, second, third]
                : [third, second, first]
    if (day.length > 2 || month.length > 2) return null
    const whole = year.length <= 2 ? 2000 + Number(year) : Number(year)
    const date = new Date(Date.UTC(whole, Number(month) - 1, Number(day)))
    if (date.getUTCFullYear() !== whole || date.getUTCMonth() !== Number(month) - 1 || date.getUTCDate() !== Number(day)) return null

    return date.toISOString().slice(0, 10)
}
