import type { DiaryEntry, Season, SeasonDay, SignChoice, SuspectsOfKind } from '../api/types.generated'
import { daysBetween } from '../keeping/shelves'

/** Everything of one day of a dog. */
export interface DogDay {
    on: string
    /** of what was given; null where nothing was */
    given: SeasonDay | null
    /** that stand, in the order in which they were written */
    entries: DiaryEntry[]
    /** the worst score of each kind of sign that was seen */
    scores: Partial<Record<SignKind, number>>
    /** somebody said that nothing was the matter */
    isWell: boolean
}

/** Whether a day was a bad one for a sign, by the bound that suspects go by. */
export function isBad(day: DogDay, sign: Pick<SignChoice, 'kind' | 'badFrom'>): boolean {
    const score = day.scores[sign.kind] ?? 0

    return score > 0 && score >= sign.badFrom
}

export type SignKind = SignChoice['kind']

export function dayAfter(iso: string, days: number): string {
    return new Date(Date.parse(`${iso}T12:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10)
}

/** All days from the first to the last, also those of which nobody wrote down anything. */
export function daysOf(season: Pick<Season, 'from' | 'to' | 'days' | 'entries'>): DogDay[] {
    const given = new Map(season.days.map((one) => [one.on, one]))
    const entries = new Map<string, DiaryEntry[]>()
    for (const one of season.entries) if (!one.undone) entries.set(one.on, [...(entries.get(one.on) ?? []), one])

    return Array.from({ length: daysBetween(season.from, season.to) + 1 }, (_, n) => {
        const on = dayAfter(season.from, n)
        const seen = entries.get(on) ?? []
        const scores: DogDay['scores'] = {}
        for (const one of seen)
            if (one.kind === 'sign' && one.said.sign !== undefined) scores[one.said.sign] = Math.max(scores[one.said.sign] ?? 0, one.said.score ?? 0)

        return { on, given: given.get(on) ?? null, entries: seen, scores, isWell: seen.some((one) => one.kind === 'well') }
    })
}

/** A sign of which there were bad days, with what is said of the foods. */
export interface LookedAt {
    sign: SignChoice
    of: SuspectsOfKind
    bad: number
}

/** The signs that are worth a look: that with the most bad days in front. */
export function lookedAt(season: Pick<Season, 'suspects'> | null, days: readonly DogDay[], signs: readonly SignChoice[]): LookedAt[] {
    return (season?.suspects.kinds ?? [])
        .flatMap((of) => {
            const sign = signs.find((one) => one.kind === of.kind)

            return sign === undefined ? [] : [{ sign, of, bad: days.filter((day) => isBad(day, sign)).length }]
        })
        .filter((one) => one.bad > 0)
        .toSorted((one, two) => two.bad - one.bad)
}

/** A day as it is read out. */
export function dayInWords(iso: string, form: 'long' | 'short' = 'long'): string {
    return new Intl.DateTimeFormat('en-GB', {
        weekday: form,
        day: 'numeric',
        month: form === 'long' ? 'long' : 'short',
        timeZone: 'UTC',
    }).format(new Date(`${iso}T12:00:00Z`))
}

/** What somebody wrote down, in a few words. */
export function entryInWords(entry: DiaryEntry, signs: readonly SignChoice[], hows: readonly { id: string; name: string }[]): string {
    const { said } = entry
    if (entry.kind === 'well') return 'all well'
    if (entry.kind === 'note') return said.text ?? ''
    if (entry.kind === 'taken') return `${hows.find((one) => one.id === said.how)?.name ?? ''}${said.words === undefined ? '' : `: ${said.words}`}`
    const sign = signs.find((one) => one.kind === said.sign)
    const step = sign?.steps.find((one) => one.step === said.step)

    return `${sign?.name ?? said.sign ?? ''}: ${step?.name ?? `${said.score ?? 0} of 10`}${said.note === undefined ? '' : `, ${said.note}`}`
}
