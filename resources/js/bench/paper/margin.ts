import { StateEffect, StateField, type Extension, type Range } from '@codemirror/state'
import { Decoration, Direction, EditorView, ViewPlugin, WidgetType, type DecorationSet, type ViewUpdate } from '@codemirror/view'
import type { AnswerLine } from '../../api/types.generated'
import { figure, grams as inGrams } from '../../ui/format'
import { inShort, LEVELS } from '../../ui/levels'
import { blockMoved, blockOpened, openField, rowsAt, shownField } from './fields'
import { worstOf, type RowReading } from './reading'

/** The margin of a row: what was understood, what was found. It belongs to the row, wraps with it, and is read out with it. */

const RTL = /^[^\p{L}]*[\u0590-\u08ff\ufb1d-\ufdff\ufe70-\ufeff]/u

/** A row that is being dragged by its grip, and where it would fall. */
export const dragging = StateEffect.define<{ from: number; before: number } | null>()

export const dragField = StateField.define<{ from: number; before: number } | null>({
    create: () => null,
    update(value, transaction) {
        let next = transaction.docChanged ? null : value
        for (const effect of transaction.effects) if (effect.is(dragging)) next = effect.value

        return next
    },
})

/** One figure or one finding of the margin, as it is written there. */
interface Entry {
    kind: 'amount' | 'found' | 'ask'
    label: string | null
    parts: Part[]
}

interface Part {
    class: string
    text: string
    level?: keyof typeof LEVELS
}

function amount(line: AnswerLine, as: 'grams' | 'cups'): string {
    if (line.grams === null) return '? g'

    return as === 'cups' && line.explain?.measure ? line.explain.measure : inGrams(line.grams.best)
}

function entriesOf(rows: RowReading[], as: 'grams' | 'cups'): Entry[] {
    const entries: Entry[] = []
    for (const row of rows) {
        for (const line of row.lines) {
            const shown = amount(line, as)
            entries.push({
                kind: 'amount',
                label: `How ${shown} and its calories were made`,
                parts: [
                    { class: 'row__grams', text: shown },
                    { class: 'row__kcal', text: line.kcal === null ? '–' : `${figure(line.kcal.best)} kcal` },
                ],
            })
        }
        if (row.turned.length > 0)
            entries.push({
                kind: 'amount',
                label: `In this kitchen's units: ${row.turned.join(', ')}`,
                parts: [{ class: 'row__grams', text: row.turned.join(', ') }],
            })
        if (row.told.length > 0)
            entries.push({
                kind: 'found',
                label: null,
                parts: row.told.map((one) => ({
                    class: `chip chip--${one.finding.level}${one.finding.confirmed === true ? ' chip--settled' : ''}`,
                    level: one.finding.level,
                    text: [one.finding.confirmed === true ? 'Settled' : inShort(one.finding), one.dogs.join(', ')]
                        .filter((part) => part !== '')
                        .join('\u2002'),
                })),
            })
        if (row.unsure.length > 0 || row.doubts.length > 0)
            entries.push({ kind: 'ask', label: null, parts: [{ class: 'chip chip--asked', text: row.unsure[0]?.question ?? 'Is this meant?' }] })
    }

    return entries
}

function svgOf(level: keyof typeof LEVELS): SVGSVGElement {
    const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg')
    svg.setAttribute('class', `mark mark--${level}${LEVELS[level].filled ? ' mark--filled' : ''}`)
    svg.setAttribute('viewBox', '0 0 24 24')
    svg.setAttribute('aria-hidden', 'true')
    svg.appendChild(document.createElementNS('http://www.w3.org/2000/svg', 'path')).setAttribute('d', LEVELS[level].path)

    return svg
}

function button(entry: Entry): HTMLButtonElement {
    const made = document.createElement('button')
    made.type = 'button'
    made.tabIndex = -1
    made.className = `row__${entry.kind}`
    if (entry.label !== null) made.setAttribute('aria-label', entry.label)
    for (const part of entry.parts) {
        const span = made.appendChild(document.createElement('span'))
        span.className = part.class
        if (part.level !== undefined) span.appendChild(svgOf(part.level))
        const words = span.appendChild(document.createElement('span'))
        words.className = 'chip__word'
        words.textContent = part.text
    }

    return made
}

class Margin extends WidgetType {
    private readonly shown: string

    constructor(
        private readonly entries: Entry[],
        private readonly isOpen: boolean,
        private readonly words: string,
    ) {
        super()
        this.shown = JSON.stringify([entries, isOpen])
    }

    override eq(other: Margin): boolean {
        return other.shown === this.shown && other.words === this.words
    }

    override toDOM(view: EditorView): HTMLElement {
        const margin = document.createElement('span')
        margin.className = 'row__margin'
        margin.contentEditable = 'false'
        margin.addEventListener('mousedown', (event) => {
            event.preventDefault()
        })
        margin.addEventListener('click', (event) => {
            this.clicked(view, margin, event)
        })
        margin.addEventListener('pointerdown', (event) => {
            grabbed(view, margin, event)
        })
        margin.addEventListener('keydown', (event) => {
            walked(view, margin, event)
        })
        this.fill(margin)

        return margin
    }

    /** The same element and, where they still say the same, the same buttons: what has the focus keeps it. */
    override updateDOM(margin: HTMLElement): boolean {
        this.fill(margin)

        return true
    }

    private fill(margin: HTMLElement): void {
        margin.classList.toggle('row__margin--bare', this.entries.length === 0)
        const buttons = [...margin.querySelectorAll<HTMLButtonElement>('button:not(.row__grip)')]
        for (const [number, entry] of this.entries.entries()) {
            const old = buttons[number]
            const made = button(entry)
            if (old === undefined) margin.insertBefore(made, margin.querySelector('.row__grip'))
            else if (old.className === made.className) {
                if (old.innerHTML !== made.innerHTML) old.replaceChildren(...made.childNodes)
                if (entry.label !== null) old.setAttribute('aria-label', entry.label)
            } else old.replaceWith(made)
        }
        for (const old of buttons.slice(this.entries.length)) old.remove()
        for (const one of margin.querySelectorAll('button:not(.row__grip)')) one.setAttribute('aria-expanded', String(this.isOpen))
        let grip = margin.querySelector<HTMLButtonElement>('.row__grip')
        if (grip === null) {
            grip = margin.appendChild(document.createElement('button'))
            grip.type = 'button'
            grip.tabIndex = -1
            grip.className = 'row__grip'
        }
        grip.setAttribute('aria-label', `Move “${this.words}”: drag it, or open the line`)
    }

    private clicked(view: EditorView, margin: HTMLElement, event: Event): void {
        if (!(event.target instanceof Element) || event.target.closest('button') === null) return
        event.preventDefault()
        toggle(view, view.posAtDOM(margin))
    }

    override ignoreEvent(): boolean {
        return true
    }
}

/** Opens the block of a row, or closes it where it is open. */
export function toggle(view: EditorView, at: number): void {
    const line = view.state.doc.lineAt(at)
    const open = view.state.field(openField)
    view.dispatch({ effects: blockOpened.of(open !== null && open.at === line.from ? null : line.from) })
}

/** From the margin, arrows walk its buttons and Esc goes back to the words. */
function walked(view: EditorView, margin: HTMLElement, event: KeyboardEvent): void {
    const buttons = [...margin.querySelectorAll<HTMLButtonElement>('button')]
    const at = buttons.indexOf(document.activeElement as HTMLButtonElement)
    if (event.key === 'Escape') view.focus()
    else if (event.key === 'ArrowRight') buttons[Math.min(buttons.length - 1, at + 1)]?.focus()
    else if (event.key === 'ArrowLeft') buttons[Math.max(0, at - 1)]?.focus()
    else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
        const line = view.state.doc.lineAt(view.posAtDOM(margin))
        const next = line.number + (event.key === 'ArrowDown' ? 1 : -1)
        if (next < 1 || next > view.state.doc.lines) return
        view.dispatch({ selection: { anchor: view.state.doc.line(next).to }, scrollIntoView: true })
        if (!toMargin(view)) view.focus()
    } else return
    event.preventDefault()
    event.stopPropagation()
}

/** Puts the focus on the margin of the row with the caret. */
export function toMargin(view: EditorView): boolean {
    const line = view.state.doc.lineAt(view.state.selection.main.head)
    const { node } = view.domAtPos(line.from)
    const element = node instanceof Element ? node : node.parentElement
    const first = element?.closest('.cm-line')?.querySelector<HTMLButtonElement>('.row__margin button')
    first?.focus()

    return first !== null && first !== undefined
}

const FAR = 6

function grabbed(view: EditorView, margin: HTMLElement, event: PointerEvent): void {
    const grip = event.target instanceof Element ? event.target.closest('.row__grip') : null
    if (grip === null) return
    event.preventDefault()
    const line = view.state.doc.lineAt(view.posAtDOM(margin))
    const began = event.clientY
    let before = line.from
    const move = (to: PointerEvent): void => {
        if (Math.abs(to.clientY - began) < FAR && view.state.field(dragField) === null) return
        const target = view.lineBlockAtHeight(to.clientY - view.documentTop)
        const row = view.state.doc.lineAt(target.from)
        const half = view.documentTop + (target.top + target.bottom) / 2
        before = to.clientY < half ? row.from : Math.min(view.state.doc.length + 1, row.to + 1)
        view.dispatch({ effects: dragging.of({ from: line.from, before }) })
    }
    const end = (dropped: boolean): void => {
        window.removeEventListener('pointermove', move)
        window.removeEventListener('pointerup', drop)
        window.removeEventListener('pointercancel', leave)
        const dragged = view.state.field(dragField) !== null
        view.dispatch({ effects: dragging.of(null) })
        if (dropped && dragged) {
            moveRow(view, line.number, before)
            view.focus()
        }
    }
    const drop = (): void => {
        end(true)
    }
    const leave = (): void => {
        end(false)
    }
    window.addEventListener('pointermove', move)
    window.addEventListener('pointerup', drop)
    window.addEventListener('pointercancel', leave)
}

/** Moves a row to stand before a place: one past the text for the end. One step of history. */
export function moveRow(view: EditorView, number: number, before: number): void {
    const { doc } = view.state
    const line = doc.line(number)
    if (before >= line.from && before <= line.to + 1) return
    const isLast = line.to === doc.length
    const out = { from: isLast ? Math.max(0, line.from - 1) : line.from, to: isLast ? line.to : line.to + 1 }
    const set = view.state.changes([
        out,
        before > doc.length ? { from: doc.length, insert: `\n${line.text}` } : { from: before, insert: `${line.text}\n` },
    ])
    const at = before > doc.length ? set.newLength - line.length : before < line.from ? before : before - line.length - 1
    const isOpen = view.state.field(openField)?.at === line.from
    const effects = isOpen ? [blockMoved.of(at)] : []
    view.dispatch({ changes: set, selection: { anchor: at + line.length }, effects, userEvent: 'move.row', scrollIntoView: true })
}

const words = Decoration.mark({ class: 'row__text', inclusive: true })
const rtlWords = Decoration.mark({ class: 'row__text', inclusive: true, attributes: { dir: 'rtl' }, bidiIsolate: Direction.RTL })

function rowsOf(view: EditorView): DecorationSet {
    const { state } = view
    const ranges: Range<Decoration>[] = []
    const open = state.field(openField)
    const shown = state.field(shownField)
    const drag = state.field(dragField)
    for (const { from, to } of view.visibleRanges) {
        for (let at = from; at <= to;) {
            const line = state.doc.lineAt(at)
            at = line.to + 1
            const rows = rowsAt(state, line.from)
            const isOpen = open !== null && open.at === line.from
            const classes = classesOf(rows, line.length === 0, isOpen, drag, line.from, line.to === state.doc.length ? state.doc.length + 1 : null)
            ranges.push(Decoration.line({ class: classes }).range(line.from))
            if (line.length > 0) {
                ranges.push((RTL.test(line.text) ? rtlWords : words).range(line.from, line.to))
                ranges.push(
                    Decoration.widget({ widget: new Margin(entriesOf(rows, shown.amountsAs), isOpen, line.text.trim().slice(0, 60)), side: 1 }).range(
                        line.to,
                    ),
                )
            }
        }
    }

    return Decoration.set(ranges, true)
}

interface Drag {
    from: number
    before: number
}

function classesOf(rows: RowReading[], isEmpty: boolean, isOpen: boolean, drag: Drag | null, from: number, end: number | null): string {
    const classes = isEmpty ? ['row', 'row--empty'] : ['row']
    for (const row of rows) {
        classes.push(`row--${row.kind}`)
        if (worstOf(row) === 'never') classes.push('row--stop')
        if (row.part !== null) classes.push('row--part', `row--${row.part.role}`)
    }
    if (isOpen) classes.push('row--open')
    if (drag?.from === from) classes.push('row--dragged')
    if (drag?.before === from) classes.push('row--before')
    if (drag !== null && end !== null && drag.before >= end) classes.push('row--after')

    return [...new Set(classes)].join(' ')
}

function changed(update: ViewUpdate, field: StateField<unknown>): boolean {
    return update.startState.field(field) !== update.state.field(field)
}

const rowsPlugin = ViewPlugin.fromClass(
    class {
        decorations: DecorationSet

        constructor(view: EditorView) {
            this.decorations = rowsOf(view)
        }

        update(update: ViewUpdate): void {
            // while letters are being composed nothing around them may change
            if (update.view.composing && update.docChanged) this.decorations = this.decorations.map(update.changes)
            else if (update.docChanged || update.viewportChanged || [shownField, openField, dragField].some((field) => changed(update, field)))
                this.decorations = rowsOf(update.view)
        }
    },
    {
        decorations: (plugin) => plugin.decorations,
        provide: (plugin) => EditorView.bidiIsolatedRanges.of((view) => view.plugin(plugin)?.decorations ?? Decoration.none),
    },
)

export const margin: Extension = [dragField, rowsPlugin]
