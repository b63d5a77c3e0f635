import type { AnswerLine, Doubt, Finding, FormulateAnswer, Part } from '../../api/types.generated'
import { told, type Level, type Told } from '../../ui/levels'
import { Rows, type Stretch } from './document'

/** What an answer says of one row of the sheet. */
export interface RowReading {
    /** the first letter of the row in the text that was asked about */
    from: number
    to: number
    kind: 'line' | 'heading' | 'method' | 'step'
    lines: AnswerLine[]
    /** their numbers in the answer */
    numbers: number[]
    told: FoundOnLine[]
    doubts: Doubt[]
    /** numbers that can be meant in two ways, where they stand in the row */
    unsure: UnsureNumber[]
    /** temperatures and sizes of a step in the units of this kitchen, where it was written in others */
    turned: string[]
    part: Part | null
}

/** A finding with the words of the line it was found on. */
export interface FoundOnLine extends Told {
    line: string
}

export interface UnsureNumber extends Stretch {
    written: string
    question: string
    instead: string[]
}

/** Some letters of the sheet with something found on them, or a number that can be meant in two ways. */
export interface Marked extends Stretch {
    level: Level | 'unsure'
}

export interface SheetReading {
    rows: RowReading[]
    marks: Marked[]
    /** the first row of each part, in the order of the sheet; parts whose lines stand under no heading begin with their first line */
    heads: { part: Part; at: number; onHeading: boolean }[]
}

type Step = FormulateAnswer['steps'][number]

/** The answer laid on the document it was asked about. */
export function readingOf(document: string, answer: FormulateAnswer): SheetReading {
    const rows = new Rows(document)
    const found: SheetReading = { rows: [], marks: [], heads: [] }
    const lines = new Map<string, { line: AnswerLine; number: number }[]>()
    for (const [number, line] of answer.lines.entries()) put(lines, `${line.in} ${line.row}`, { line, number })
    const steps = new Map<string, Step[]>()
    for (const step of answer.steps) put(steps, `${step.in} ${step.row}`, step)
    const doubts = new Map<string, Doubt[]>()
    for (const doubt of answer.explain?.doubts ?? []) if (doubt.row !== null && doubt.in !== null) put(doubts, `${doubt.in} ${doubt.row}`, doubt)
    let part: Part | null = null
    for (const { at, from, to, plain } of rowsOf(document, rows)) {
        if (at === null) {
            found.rows.push({ from, to, kind: 'method', lines: [], numbers: [], told: [], doubts: [], unsure: [], turned: [], part: null })
            part = null
            continue
        }
        const ofRow = lines.get(at) ?? []
        const ofSteps = steps.get(at) ?? []
        const headed = ofRow.length === 0 && ofSteps.length === 0 ? partCalled(answer.parts, plain) : null
        if (headed !== null) part = headed
        else if (ofRow[0] !== undefined) part = partOf(answer.parts, ofRow[0].line) ?? part
        if (headed !== null || ofRow.length > 0) head(found, part, from, headed !== null)
        const isSaid = ofRow.length > 0 || ofSteps.length > 0
        const kind = headed !== null || (plain.endsWith(':') && !isSaid) ? 'heading' : ofRow.length === 0 && isSaid ? 'step' : 'line'
        const row: RowReading = {
            from,
            to,
            kind,
            lines: ofRow.map((one) => one.line),
            numbers: ofRow.map((one) => one.number),
            doubts: doubts.get(at) ?? [],
            unsure: ofRow.flatMap(({ line }) => unsureIn(document, rows, line, from)),
            turned: ofSteps.flatMap(turnedIn),
            part: at.startsWith('text') ? part : null,
            told: [...ofRow.map((one) => one.line), ...ofSteps].flatMap(({ text, findings }) =>
                told(findings).map((one) => ({ ...one, line: text })),
            ),
        }
        if (plain !== '' || row.lines.length > 0) found.rows.push(row)
        for (const { line } of ofRow) mark(found.marks, rows, line)
        for (const step of ofSteps) markWhole(found.marks, rows, step)
    }

    return found
}

const MEASURES = /\d+(?:[.,]\d+)? ?°[CF]|gas [\d¼½]+|(?:\d+ ?)?[\d/]*[¼½¾⅛⅜⅝⅞\d] in\b|\d+ mm/g

function turnedIn({ text, shown }: Step): string[] {
    return shown === undefined || shown === text ? [] : (shown.match(MEASURES) ?? []).filter((one) => !text.includes(one))
}

function put<T>(map: Map<string, T[]>, key: string, value: T): void {
    const list = map.get(key)
    if (list === undefined) map.set(key, [value])
    else list.push(value)
}

function* rowsOf(document: string, rows: Rows): Generator<{ at: string | null; from: number; to: number; plain: string }> {
    let from = 0
    for (const row of document.split(/\n|\u2028|\u2029|\u0085|\v|\f/)) {
        const place = rows.rowAt(from)
        yield { at: place === null ? null : `${place.in} ${place.row}`, from, to: from + row.length, plain: row.trim() }
        from += row.length + 1
    }
}

/** A heading as core tells it: without its signs at the ends. */
export function headingKey(text: string | null | undefined): string {
    return (text ?? '')
        .trim()
        .replace(/^[-*•·–—\s]+/, '')
        .replace(/^[*#_ \t]+|[*#_ \t]+$/g, '')
        .replace(/[:. ]+$/, '')
        .toLowerCase()
}

function partCalled(parts: Part[], row: string): Part | null {
    const key = headingKey(row)

    return key === ''
        ? null
        : (parts.find((part) => [part.section, ...part.sections].some((section) => section !== null && headingKey(section) === key)) ?? null)
}

function partOf(parts: Part[], line: AnswerLine): Part | null {
    const key = headingKey(line.section)

    return parts.find((part) => headingKey(part.section) === key || part.sections.some((section) => headingKey(section) === key)) ?? null
}

function head(found: SheetReading, part: Part | null, at: number, onHeading: boolean): void {
    if (part !== null && !found.heads.some((one) => one.part === part)) found.heads.push({ part, at, onHeading })
}

/** What was not understood stands on its own words; everything else on the words of the foods; where there are none, on the line. */
function mark(marks: Marked[], rows: Rows, line: AnswerLine): void {
    const words = line.explain?.words ?? []
    for (const level of new Set(line.findings.filter((one) => one.confirmed !== true).map((one) => one.level))) {
        const unread = words.filter((word) => word.role === 'unread')
        const about = level === 'unknown' && unread.length > 0 ? unread : words.filter((word) => word.role === 'ingredient')
        const spans = about.length > 0 ? together(about.map((word) => word.span)) : [line.span]
        for (const span of spans) add(marks, rows, line, span, level)
    }
    for (const one of line.explain?.unsure ?? []) add(marks, rows, line, one.span, 'unsure')
}

function markWhole(marks: Marked[], rows: Rows, step: Step): void {
    const worst = told(step.findings).find((one) => one.finding.confirmed !== true)
    if (worst !== undefined) add(marks, rows, step, step.span, worst.finding.level)
}

/** What was added while it was made stands nowhere on the sheet. */
interface Standing {
    row: number | null
    in: 'text' | 'steps' | null
}

function stretchOf(rows: Rows, { row, in: part }: Standing, span: number[] | null): Stretch | null {
    return row === null || part === null || span === null ? null : rows.stretch({ row, in: part, span })
}

function add(marks: Marked[], rows: Rows, place: Standing, span: number[] | null, level: Marked['level']): void {
    const stretch = stretchOf(rows, place, span)
    if (stretch !== null && stretch.from < stretch.to) marks.push({ ...stretch, level })
}

/** Words that follow each other with one sign between them are marked in one stretch. */
function together(spans: number[][]): number[][] {
    const stretches: number[][] = []
    for (const [from, to] of spans as [number, number][]) {
        const last = stretches[stretches.length - 1]
        if (last !== undefined && from - (last[1] ?? 0) <= 1) last[1] = to
        else stretches.push([from, to])
    }

    return stretches
}

/** The worst that is said on a row and is not settled. */
export function worstOf(row: RowReading): Finding['level'] | null {
    return row.told.find((one) => one.finding.confirmed !== true)?.finding.level ?? null
}

function unsureIn(document: string, rows: Rows, line: AnswerLine, begin: number): UnsureNumber[] {
    return (line.explain?.unsure ?? []).flatMap(({ span, question, instead }) => {
        const stretch = stretchOf(rows, line, span)

        return stretch === null
            ? []
            : [{ from: stretch.from - begin, to: stretch.to - begin, written: document.slice(stretch.from, stretch.to), question, instead }]
    })
}
