import { copyLineDown, copyLineUp, deleteLine, historyKeymap, insertBlankLine, moveLineDown, moveLineUp, standardKeymap } from '@codemirror/commands'
import { Prec, type Extension } from '@codemirror/state'
import { EditorView, keymap } from '@codemirror/view'
import { pressed } from '../../ui/keys'
import { blockOpened, openField, rowsAt, shownField } from './fields'
import { toggle, toMargin } from './margin'

/** What the keys of the sheet do. Tab writes nothing: it stays the page's. */
export interface Asks {
    /** a swap for the row that holds a place */
    swap: (at: number) => void
    find: () => void
    /** what Esc closes besides the open block; whether there was anything */
    leave: () => boolean
}

/** Goes to the next row with something found or asked on it, round the sheet, and opens it. */
export function toFinding(view: EditorView, by: 1 | -1): boolean {
    const { state } = view
    const rows: number[] = []
    state.field(shownField).rows.between(0, state.doc.length, (from, _to, { row }) => {
        if (row.told.some((one) => one.finding.confirmed !== true) || row.unsure.length > 0 || row.doubts.length > 0)
            rows.push(state.doc.lineAt(from).from)
    })
    if (rows.length === 0) return false
    const here = state.field(openField)?.at ?? state.selection.main.head
    const line = state.doc.lineAt(Math.min(here, state.doc.length)).from
    const opened = state.field(openField) !== null
    const next =
        by === 1
            ? (rows.find((at) => at > line || (!opened && at === line)) ?? rows[0])
            : ([...rows].reverse().find((at) => at < line) ?? rows[rows.length - 1])
    if (next === undefined) return false
    view.dispatch({
        selection: { anchor: state.doc.lineAt(next).to },
        effects: [blockOpened.of(next), EditorView.scrollIntoView(next, { y: 'center' })],
    })
    view.focus()

    return true
}

/** From the words, Tab goes into the block that is open under them, which comes next on the sheet. */
function intoBlock(view: EditorView): boolean {
    const first = view.state.field(openField)?.host.querySelector<HTMLElement>('button, select, input, a[href]')
    first?.focus()

    return first !== null && first !== undefined
}

export function commands(asks: Asks): Extension {
    const own = EditorView.domEventHandlers({
        keydown(event, view) {
            if (event.key === 'Tab' && !event.shiftKey && intoBlock(view)) {
                event.preventDefault()

                return true
            }
            const here = view.state.selection.main.head
            const up = event.key === 'ArrowUp'
            switch (pressed(event, 'open', 'leave', 'next', 'previous', 'margin', 'move', 'double', 'swap', 'find')) {
                case 'open':
                    toggle(view, here)
                    break
                case 'leave':
                    if (view.state.field(openField) !== null) view.dispatch({ effects: blockOpened.of(null) })
                    else if (!asks.leave()) return false
                    break
                case 'next':
                    toFinding(view, 1)
                    break
                case 'previous':
                    toFinding(view, -1)
                    break
                case 'margin':
                    toMargin(view)
                    break
                case 'double':
                    ;(up ? copyLineUp : copyLineDown)(view)
                    break
                case 'move':
                    ;(up ? moveLineUp : moveLineDown)(view)
                    break
                case 'swap':
                    if (rowsAt(view.state, here).some((row) => row.lines.length > 0)) asks.swap(here)
                    break
                case 'find':
                    asks.find()
                    break
                case null:
                    return false
            }
            event.preventDefault()
            event.stopPropagation()

            return true
        },
    })

    return [
        Prec.high(own),
        keymap.of([...historyKeymap, { key: 'Shift-Mod-k', run: deleteLine }, { key: 'Mod-Enter', run: insertBlankLine }, ...standardKeymap]),
    ]
}
