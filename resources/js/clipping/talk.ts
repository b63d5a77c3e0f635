import type { Clipping, ToldLine } from '../api/types.generated'

/** A stretch of a talk: of a line of one of its sheets, of a warning, or of neither. */
export interface Stretch {
    text: string
    /** number of the sheet and of its line */
    line: { sheet: number; line: number } | null
    warning: string | null
}

/** A line of a sheet as it is answered before it is laid down. */
export interface ToldRow {
    text: string
    told: ToldLine
    /** whether a person looked at it, or nothing about it was unsure */
    sure: boolean
}

/** Where the words of lines and warnings stand, cut so that no two overlap; the earlier mark holds. */
export function stretches(content: string, sheets: Clipping[]): Stretch[] {
    const letters = Array.from(content)
    const marks = sheets
        .flatMap((sheet, n) => [
            ...(sheet.lines ?? []).flatMap((line, k) =>
                line.spans.map((span) => ({ from: span[0] ?? 0, to: span[1] ?? 0, line: { sheet: n, line: k }, warning: null as string | null })),
            ),
            ...(sheet.warnings ?? []).map((one) => ({ from: one.span[0] ?? 0, to: one.span[1] ?? 0, line: null, warning: one.name })),
        ])
        .sort((one, two) => one.from - two.from || Number(one.line === null) - Number(two.line === null))
    const found: Stretch[] = []
    let at = 0
    for (const mark of marks) {
        const from = Math.max(at, mark.from)
        if (mark.to <= from) continue
        if (from > at) found.push({ text: letters.slice(at, from).join(''), line: null, warning: null })
        found.push({ text: letters.slice(from, mark.to).join(''), line: mark.line, warning: mark.warning })
        at = mark.to
    }
    if (at < letters.length) found.push({ text: letters.slice(at).join(''), line: null, warning: null })

    return found
}

export function rowsOf(sheet: Clipping): ToldRow[] {
    return (sheet.lines ?? []).map((told) => ({ text: told.text, told, sure: told.sure }))
}

/** The sheet with its lines as they were answered. */
export function answered(sheet: Clipping, rows: ToldRow[]): Clipping {
    return {
        ...sheet,
        text: rows
            .map((one) => one.text.trim())
            .filter((text) => text !== '')
            .join('\n'),
    }
}

/** What was asked of a line: the other amounts, or how much at all. */
export function askedOf(sheet: Clipping, row: ToldRow): { question: string; options: string[] } | null {
    const asked = (sheet.questions ?? []).find((one) => one.about !== 'minutes' && row.told.text.toLowerCase().includes(one.about.toLowerCase()))

    return asked === undefined ? null : { question: asked.question, options: asked.options }
}

/** A line with another amount: "1/2 cup" for "1/4 cup", or the first amount there is. */
export function withAmount(row: ToldRow, amount: string, options: string[]): string {
    const now = options.find((one) => row.text.startsWith(`${one} `))

    return now === undefined ? `${amount} ${row.told.text}` : `${amount}${row.text.slice(now.length)}`
}
