import { readDate, type DateOrder } from './dates'
import { readNumber } from './number'

export interface AgeRead {
    ageMonths: number | null
    bornOn: string | null
    problem: string | null
}

const UNITS: [RegExp, number][] = [
    [/^(?:y|yr|yrs|year|years)\b\.?/i, 12],
    [/^(?:m|mo|mos|month|months)\b\.?/i, 1],
    [/^(?:w|wk|wks|week|weeks)\b\.?/i, 7 / 30.4375],
]
const NUMBER = /^[\d.,½¼¾⅓⅔]+(?:\s+\d+\/\d+)?/

/** An age as people say it ("5 months", "12", "3 years 2 months", "10 weeks"), or the day of birth. A bare number is years. */
export function readAge(text: string, order: DateOrder): AgeRead {
    const none = { ageMonths: null, bornOn: null, problem: null }
    let rest = text
        .trim()
        .replace(/^(?:about|around|roughly|~)\s*/i, '')
        .replace(/^born(?: on)?\s*/i, '')
    if (rest === '') return none
    const day = readDate(rest, order)
    if (day !== null) return { ...none, bornOn: day }
    let months = 0
    while (rest !== '') {
        const number = NUMBER.exec(rest)?.[0]
        const { value, problem } = number === undefined ? { value: null, problem: null } : readNumber(number)
        if (number === undefined || value === null || problem !== null)
            return { ...none, problem: `“${text.trim()}” is no age here: write it like 5 months, 12 years, or as a date.` }
        rest = rest.slice(number.length).trim()
        const unit = UNITS.find(([pattern]) => pattern.test(rest))
        months += value * (unit?.[1] ?? 12)
        rest =
            unit === undefined
                ? rest
                : rest
                      .replace(unit[0], '')
                      .replace(/^\s*(?:,|and|old)?\s*/i, '')
                      .trim()
        if (unit !== undefined && rest === '' && /(?:,|\band)\s*$/i.test(text.trim()))
            return { ...none, problem: `“${text.trim()}” is no age here: write it like 5 months, 12 years, or as a date.` }
        if (unit === undefined && rest !== '')
            return { ...none, problem: `“${text.trim()}” is no age here: write it like 5 months, 12 years, or as a date.` }
    }
    if (months > 400) return { ...none, problem: 'No dog is so old: is it in months?' }

    return { ...none, ageMonths: Math.round(months * 100) / 100 }
}

/** An age as it is written back: "5 months", "12 years", "3 years 2 months". */
export function writtenAge(months: number | null): string {
    if (months === null) return ''
    const whole = Math.floor(months + 0.02)
    const [years, rest] = [Math.floor(whole / 12), whole % 12]

    return years === 0
        ? `${whole} month${whole === 1 ? '' : 's'}`
        : `${years} year${years === 1 ? '' : 's'}${rest === 0 ? '' : ` ${rest} month${rest === 1 ? '' : 's'}`}`
}
