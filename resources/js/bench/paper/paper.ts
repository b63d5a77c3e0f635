import { redo, redoDepth, undo, undoDepth } from '@codemirror/commands'
import { ChangeSet, EditorSelection, type ChangeDesc, type EditorState, type Transaction, type TransactionSpec } from '@codemirror/state'
import { EditorView } from '@codemirror/view'
import { changesBetween } from './document'

/**
 * The sheet that lies on the bench: its state lasts while no page shows it, and goes on in the view that does. Whoever wants to know
 * follows it.
 */
export class Paper {
    state: EditorState
    private view: EditorView | null = null
    private readonly followers = new Set<(transaction: Transaction) => void>()
    private trail: { turn: number; changes: ChangeSet } | null = null

    constructor(state: EditorState) {
        this.state = state
    }

    get document(): string {
        return this.state.doc.toString()
    }

    get shownIn(): EditorView | null {
        return this.view
    }

    /** @returns what stops it */
    follow(follower: (transaction: Transaction) => void): () => void {
        this.followers.add(follower)

        return () => {
            this.followers.delete(follower)
        }
    }

    dispatch(spec: TransactionSpec): void {
        if (this.view !== null) this.view.dispatch(spec)
        else this.took(this.state.update(spec))
    }

    /** Lays another sheet: a text and a history of its own. */
    lay(state: EditorState): void {
        this.trail = null
        this.state = state
        const before = this.view
        const parent = before?.dom.parentElement
        if (before === null || parent === null || parent === undefined) return
        // a new view, too: what the old one still had to measure is of the old sheet
        const hadFocus = before.hasFocus
        before.destroy()
        const view = this.show(parent)
        if (hadFocus) view.focus()
    }

    show(parent: HTMLElement): EditorView {
        this.view = new EditorView({
            state: this.state,
            parent,
            dispatchTransactions: (transactions, view) => {
                view.update(transactions)
                for (const transaction of transactions) this.took(transaction)
            },
        })

        return this.view
    }

    leave(): void {
        this.view?.destroy()
        this.view = null
    }

    private took(transaction: Transaction): void {
        this.state = transaction.state
        if (this.trail !== null && transaction.docChanged) this.trail.changes = this.trail.changes.compose(transaction.changes)
        for (const follower of this.followers) follower(transaction)
    }

    /** From here on it is known what was changed since this question was asked. */
    asked(turn: number): void {
        this.trail = { turn, changes: ChangeSet.empty(this.state.doc.length) }
    }

    since(turn: number): ChangeDesc | null {
        return this.trail?.turn === turn ? this.trail.changes.desc : null
    }

    /** Writes the sheet anew, changing only the rows that differ: one step of history, with what is said beside it. */
    write(document: string, more: TransactionSpec = {}): void {
        this.dispatch({ changes: changesBetween(this.document, document), userEvent: 'take', scrollIntoView: false, ...more })
    }

    /** Puts words in the place of some letters. */
    replace(from: number, to: number, insert: string): void {
        this.dispatch({ changes: { from, to, insert }, selection: EditorSelection.cursor(from + insert.length), userEvent: 'take' })
    }

    private get target(): { state: EditorState; dispatch: (transaction: Transaction) => void } {
        return {
            state: this.state,
            dispatch: (transaction) => {
                if (this.view !== null) this.view.dispatch(transaction)
                else this.took(transaction)
            },
        }
    }

    undo(): boolean {
        return undo(this.target)
    }

    redo(): boolean {
        return redo(this.target)
    }

    get depth(): { back: number; forth: number } {
        return { back: undoDepth(this.state), forth: redoDepth(this.state) }
    }
}
