import { MapMode, RangeSet, RangeSetBuilder, RangeValue, StateEffect, StateField } from '@codemirror/state'
import type { ChangeDesc, EditorState, Extension, Line, Range, Text } from '@codemirror/state'
import { Decoration, EditorView, WidgetType, type DecorationSet } from '@codemirror/view'
import type { Part } from '../../api/types.generated'
import { changesBetween } from './document'
import type { Marked, RowReading, SheetReading } from './reading'

/** What the sheet shows besides its words: what was read of each row, which block is open, what a swap would change. None of it is text. */

/** An answer, with what was changed since it was asked for. null: nothing is known of this text. */
export const answerCame = StateEffect.define<{ reading: SheetReading; since: ChangeDesc } | null>()

/** Opens the block of the row that holds a place; null closes it. */
export const blockOpened = StateEffect.define<number | null>()

/** The open block goes along with its row. */
export const blockMoved = StateEffect.define<number>()

/** What the sheet would say after a swap or a rescue; null takes the proposal away. */
export const proposed = StateEffect.define<string | null>()

/** Whether amounts are shown as grams or as cups. */
export const amountsAs = StateEffect.define<'grams' | 'cups'>()

class RowValue extends RangeValue {
    // what is put in front of a row moves it, what is written at its end is not in it yet
    override startSide = 1
    override endSide = -1
    override mapMode = MapMode.TrackDel

    constructor(readonly row: RowReading) {
        super()
    }
}

export interface PartHead {
    part: Part
    at: number
    onHeading: boolean
    host: HTMLElement
}

export interface Shown {
    rows: RangeSet<RowValue>
    marks: DecorationSet
    heads: PartHead[]
    amountsAs: 'grams' | 'cups'
}

const NOTHING: Omit<Shown, 'amountsAs'> = { rows: RangeSet.empty, marks: Decoration.none, heads: [] }

export const shownField = StateField.define<Shown>({
    create: () => ({ ...NOTHING, amountsAs: 'grams' }),
    update(value, transaction) {
        let next = value
        if (transaction.docChanged) {
            const { changes, newDoc } = transaction
            const heads = newDoc.length === 0 ? [] : value.heads.map((head) => ({ ...head, at: changes.mapPos(head.at, 1) }))
            next = { ...value, rows: value.rows.map(changes), marks: value.marks.map(changes), heads }
        }
        for (const effect of transaction.effects) {
            if (effect.is(answerCame)) {
                const came = effect.value
                next = { ...next, ...(came === null ? NOTHING : shownOf(came.reading, came.since, next.heads, transaction.newDoc)) }
            }
            if (effect.is(amountsAs)) next = { ...next, amountsAs: effect.value }
        }

        return next
    },
    provide: (field) => EditorView.decorations.from(field, (value) => value.marks),
})

function shownOf(reading: SheetReading, since: ChangeDesc, before: PartHead[], document: Text): Omit<Shown, 'amountsAs'> {
    const rows = new RangeSetBuilder<RowValue>()
    for (const row of reading.rows) if (row.from < row.to && row.to <= since.length) rows.add(row.from, row.to, new RowValue(row))
    const marks = Decoration.set(
        reading.marks.filter((one) => one.to <= since.length).map((one) => MARKS[one.level].range(one.from, one.to)),
        true,
    )
    const mapped = marks.map(since)
    // a head keeps its place on the page while figures change: what is open in it stays open
    const heads = reading.heads
        .filter((head) => head.at <= since.length)
        .map((head, number) => {
            const same = before.find((one) => one.part.section === head.part.section) ?? before[number]

            return { ...head, at: Math.min(since.mapPos(head.at, 1), document.length), host: same?.host ?? hostOf('part') }
        })

    return { rows: rows.finish().map(since), marks: mapped, heads: unlike(heads) }
}

/** No two heads in one place of the page. */
function unlike(heads: PartHead[]): PartHead[] {
    const taken = new Set<HTMLElement>()

    return heads.map((head) => {
        const host = taken.has(head.host) ? hostOf('part') : head.host
        taken.add(host)

        return { ...head, host }
    })
}

const mark = (level: Marked['level']): Decoration => Decoration.mark({ class: `found found--${level}` })

const MARKS: Record<Marked['level'], Decoration> = {
    never: mark('never'),
    unknown: mark('unknown'),
    allergen: mark('allergen'),
    limit: mark('limit'),
    'ask-vet': mark('ask-vet'),
    'check-label': mark('check-label'),
    caution: mark('caution'),
    unsure: mark('unsure'),
}

/** What was read of the row that holds a place; several where two rows were just joined. */
export function rowsAt(state: EditorState, at: number): RowReading[] {
    const line = state.doc.lineAt(at)
    const rows: RowReading[] = []
    state.field(shownField).rows.between(line.from, line.to, (from, _to, value) => {
        if (from >= line.from && from <= line.to) rows.push(value.row)
    })

    return rows
}

export interface Opened {
    at: number
    host: HTMLElement
}

export const openField = StateField.define<Opened | null>({
    create: () => null,
    update(value, transaction) {
        let next = value === null ? null : { ...value, at: transaction.changes.mapPos(value.at, 1) }
        for (const effect of transaction.effects) {
            if (effect.is(blockMoved) && next !== null) next = { at: effect.value, host: next.host }
            if (effect.is(blockOpened))
                next = effect.value === null ? null : { at: lineNear(transaction.newDoc, effect.value).from, host: hostOf('line') }
        }

        return next === null || value === null || next.at !== value.at || next.host !== value.host ? next : value
    },
})

/** The line of a place, or of the end where the text has become shorter. */
function lineNear(document: Text, at: number): Line {
    return document.lineAt(Math.min(at, document.length))
}

function hostOf(kind: 'line' | 'part'): HTMLElement {
    const host = document.createElement('div')
    host.className = `paper-host paper-host--${kind}`
    host.contentEditable = 'false'

    return host
}

/** A piece of the page under a row. What stands in it is the page's own matter. */
class HostWidget extends WidgetType {
    constructor(readonly host: HTMLElement) {
        super()
    }

    override eq(other: HostWidget): boolean {
        return other.host === this.host
    }

    override toDOM(): HTMLElement {
        return this.host
    }

    override ignoreEvent(): boolean {
        return true
    }
}

const blocks = EditorView.decorations.compute([shownField, openField, 'doc'], (state) => {
    const ranges: Range<Decoration>[] = []
    const under = (host: HTMLElement, side: number): Decoration => Decoration.widget({ widget: new HostWidget(host), block: true, side })
    const open = state.field(openField)
    if (open !== null) ranges.push(under(open.host, 2).range(lineNear(state.doc, open.at).to))
    for (const head of state.field(shownField).heads) {
        const line = lineNear(state.doc, head.at)
        ranges.push(head.onHeading ? under(head.host, 1).range(line.to) : under(head.host, -1).range(line.from))
    }

    return Decoration.set(ranges, true)
})

class InsteadWidget extends WidgetType {
    constructor(readonly words: string) {
        super()
    }

    override eq(other: InsteadWidget): boolean {
        return other.words === this.words
    }

    override toDOM(): HTMLElement {
        const words = document.createElement('ins')
        words.className = 'instead'
        words.textContent = this.words

        return words
    }
}

class InsteadRows extends InsteadWidget {
    override toDOM(): HTMLElement {
        const rows = document.createElement('div')
        rows.className = 'instead-rows'
        for (const row of this.words.split('\n').filter((one) => one.trim() !== '')) {
            const words = rows.appendChild(document.createElement('ins'))
            words.className = 'instead'
            words.textContent = row
        }

        return rows
    }
}

/** What would be taken out is struck through, what would come stands beside it; both go when the text is written on. */
export const proposalField = StateField.define<DecorationSet>({
    create: () => Decoration.none,
    update(value, transaction) {
        let next = transaction.docChanged ? Decoration.none : value
        for (const effect of transaction.effects) {
            if (effect.is(proposed)) next = effect.value === null ? Decoration.none : proposalOf(transaction.newDoc, effect.value)
        }

        return next
    },
    provide: (field) => EditorView.decorations.from(field),
})

function proposalOf(document: Text, after: string): DecorationSet {
    const ranges: Range<Decoration>[] = []
    for (const { from, to, insert } of changesBetween(document.toString(), after)) {
        const [first, last] = [document.lineAt(from), document.lineAt(to)]
        const isRow = insert.includes('\n') || document.sliceString(from, to).includes('\n')
        const begin = isRow ? from : first.from
        const end = isRow ? to : last.to
        const words = isRow ? insert : document.sliceString(begin, from) + insert + document.sliceString(to, end)
        for (let at = begin; at <= end;) {
            const line = document.lineAt(at)
            const stop = Math.min(line.to, end)
            if (at < stop) ranges.push(STRUCK.range(at, stop))
            at = line.to + 1
        }
        if (words.trim() === '') continue
        const place = lineNear(document, Math.max(begin, end))
        ranges.push(
            words.trim().includes('\n')
                ? Decoration.widget({ widget: new InsteadRows(words), block: true, side: 3 }).range(place.to)
                : Decoration.widget({ widget: new InsteadWidget(words.trim()), side: 1 }).range(Math.min(end, place.to)),
        )
    }

    return Decoration.set(ranges, true)
}

const STRUCK = Decoration.mark({ tagName: 'del', class: 'struck' })

export const shownFields: Extension = [shownField, openField, proposalField, blocks]
