import { deleteCharBackward, deleteCharForward, insertNewline } from '@codemirror/commands'
import type { Extension } from '@codemirror/state'
import { EditorView } from '@codemirror/view'

/**
 * Rows that are split and joined, and letters that are put in the place of a selection. A browser that does it by itself walks through the
 * margins between the rows and loses letters there, so it is done here, before the browser begins. Keyboards on glass have no keys: they
 * say only what they mean to do.
 */
function replaced(view: EditorView, text: string, userEvent: string): void {
    view.dispatch(view.state.replaceSelection(text), { userEvent, scrollIntoView: true })
}

/** Whether what the browser means to do was done. */
function meant(view: EditorView, type: string, data: string | null): boolean {
    const { main } = view.state.selection
    const line = view.state.doc.lineAt(main.head)
    if (type === 'insertParagraph' || type === 'insertLineBreak') return insertNewline(view)
    if (main.empty) {
        if (type === 'deleteContentBackward' && main.head === line.from) return deleteCharBackward(view)
        if (type === 'deleteContentForward' && main.head === line.to) return deleteCharForward(view)

        return false
    }
    if (type === 'insertText' && data !== null) replaced(view, data, 'input.type')
    else if (type.startsWith('delete')) replaced(view, '', 'delete.selection')
    else return false

    return true
}

export const typing: Extension = EditorView.domEventHandlers({
    beforeinput(event, view) {
        // between what is composed and the page nobody steps
        if (view.composing || !(event.target instanceof Node) || event.target !== view.contentDOM) return false
        if (!meant(view, event.inputType, event.data)) return false
        event.preventDefault()

        return true
    },
    // what is composed begins in an empty place
    compositionstart(_event, view) {
        if (!view.state.selection.main.empty) replaced(view, '', 'input.type.compose.start')

        return false
    },
})
