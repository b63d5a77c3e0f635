/**
 * The sheet is one document: the list, then (where there is one) a row that says "Method", then the method. The kitchen keeps the two apart
 * and answers by rows of each; here one is made of the other. A row ends where core ends it; letters are counted in code points there and
 * in UTF-16 units here.
 */
export interface Written {
    text: string
    steps: string
}

/** Where something of an answer stands. */
export interface Place {
    row: number
    in: 'text' | 'steps'
    span: number[]
}

export interface Stretch {
    from: number
    to: number
}

export const METHOD_ROW = 'Method'

const BOUNDARY = /^[ \t]*method[ \t]*:?[ \t]*$/gim
const ROW_ENDS = /\n|\u2028|\u2029|\u0085|\v|\f/g

export function joined({ text, steps }: Written): string {
    return steps.trim() === '' ? text : `${text}\n${METHOD_ROW}\n${steps}`
}

/** The row that parts list and method; null when nothing is said of a method. The last one counts, so that whatever was joined comes apart as it was. */
export function boundaryOf(document: string): Stretch | null {
    let last: Stretch | null = null
    for (const found of document.matchAll(BOUNDARY)) last = { from: found.index, to: found.index + found[0].length }

    return last
}

export function parted(document: string): Written {
    const boundary = boundaryOf(document)
    if (boundary === null) return { text: document, steps: '' }

    return { text: document.slice(0, Math.max(0, boundary.from - 1)), steps: document.slice(boundary.to + 1) }
}

/** Where the rows of the list and of the method begin in the document. */
export class Rows {
    readonly boundary: Stretch | null
    private readonly begins: Record<Place['in'], number[]>

    constructor(private readonly document: string) {
        this.boundary = boundaryOf(document)
        const { text, steps } = parted(document)
        this.begins = {
            text: beginsOf(text, 0),
            steps: this.boundary === null ? [] : beginsOf(steps, Math.min(document.length, this.boundary.to + 1)),
        }
    }

    /** null for a row that is not there. */
    stretch({ row, in: part, span }: Place): Stretch | null {
        const begin = this.begins[part][row]
        if (begin === undefined) return null
        const from = this.after(begin, span[0] ?? 0)

        return { from, to: this.after(from, Math.max(0, (span[1] ?? 0) - (span[0] ?? 0))) }
    }

    beginOf(part: Place['in'], row: number): number | null {
        return this.begins[part][row] ?? null
    }

    /** The row that holds a place of the document; null on the row that parts list and method. */
    rowAt(at: number): { in: Place['in']; row: number } | null {
        const boundary = this.boundary
        if (boundary !== null && at >= boundary.from && at <= boundary.to) return null
        const part: Place['in'] = boundary !== null && at > boundary.to ? 'steps' : 'text'
        const begins = this.begins[part]
        let row = begins.length - 1
        while (row > 0 && (begins[row] ?? 0) > at) row--

        return { in: part, row: Math.max(0, row) }
    }

    private after(from: number, points: number): number {
        let at = from
        for (let n = 0; n < points && at < this.document.length; n++) at += (this.document.codePointAt(at) ?? 0) > 0xffff ? 2 : 1

        return at
    }
}

function beginsOf(text: string, from: number): number[] {
    return [from, ...[...text.matchAll(ROW_ENDS)].map((found) => from + found.index + found[0].length)]
}

export interface Change {
    from: number
    to: number
    insert: string
}

/**
 * What has to change to turn one text into another, row by row, so that the caret and what stands on untouched rows stay where they are.
 * Places are of the old text; the changes are in order and apart.
 */
export function changesBetween(before: string, after: string): Change[] {
    // with a break after the last row, too, all rows are alike
    const [was, is] = [rowsWithEnds(before), rowsWithEnds(after)]
    const changes: Change[] = []
    let [at, row, next] = [0, 0, 0]
    for (const [a, b] of [...commonRows(was, is), [was.length, is.length] as const]) {
        // rows that stand for each other one by one; then those that only went, or only came
        for (; row < a && next < b; row++, next++) {
            const taken = was[row] ?? ''
            changes.push(within(before, { from: at, to: at + taken.length, insert: is[next] ?? '' }))
            at += taken.length
        }
        const from = at
        while (row < a) at += (was[row++] ?? '').length
        const insert = is.slice(next, b).join('')
        if (from < at || insert !== '') changes.push(within(before, { from, to: at, insert }))
        at += was[a]?.length ?? 0
        row = a + 1
        next = b + 1
    }

    return changes.map((one) => narrowed(before, one))
}

function rowsWithEnds(text: string): string[] {
    return text.split('\n').map((row) => `${row}\n`)
}

/** Pairs of rows that both texts hold, in order: as many as there can be. */
function commonRows(was: string[], is: string[]): (readonly [number, number])[] {
    const most = was.map(() => new Array<number>(is.length + 1).fill(0))
    most.push(new Array<number>(is.length + 1).fill(0))
    const of = (a: number, b: number): number => most[a]?.[b] ?? 0
    for (let a = was.length - 1; a >= 0; a--) {
        for (let b = is.length - 1; b >= 0; b--) {
            const here = most[a]
            if (here !== undefined) here[b] = was[a] === is[b] ? 1 + of(a + 1, b + 1) : Math.max(of(a + 1, b), of(a, b + 1))
        }
    }
    const pairs: (readonly [number, number])[] = []
    for (let a = 0, b = 0; a < was.length && b < is.length;) {
        if (was[a] === is[b]) pairs.push([a++, b++])
        else if (of(a + 1, b) >= of(a, b + 1)) a++
        else b++
    }

    return pairs
}

/** A change that reaches past the text, to the break that is not there. */
function within(before: string, change: Change): Change {
    const end = before.length
    if (change.to <= end) return change
    if (change.from > end) return { from: end, to: end, insert: `\n${change.insert.slice(0, -1)}` }
    if (change.insert === '') return { from: Math.max(0, change.from - 1), to: end, insert: '' }

    return { from: change.from, to: end, insert: change.insert.slice(0, -1) }
}

/** Letters that stay the same at both ends of a changed stretch are left alone. */
function narrowed(before: string, { from, to, insert }: Change): Change {
    const taken = before.slice(from, to)
    let head = 0
    while (head < taken.length && head < insert.length && taken[head] === insert[head]) head++
    let tail = 0
    while (tail < taken.length - head && tail < insert.length - head && taken[taken.length - 1 - tail] === insert[insert.length - 1 - tail]) tail++

    return { from: from + head, to: to - tail, insert: insert.slice(head, insert.length - tail) }
}
