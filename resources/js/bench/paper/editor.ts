import type { Extension } from '@codemirror/state'
import { EditorState } from '@codemirror/state'
import { dropCursor, EditorView, highlightActiveLine, highlightSpecialChars, placeholder } from '@codemirror/view'
import { nonce } from '../../ui/nonce'
import { commands, type Asks } from './commands'
import { shownFields } from './fields'
import { sheetHistory } from './history'
import { intake, type Intake } from './intake'
import { margin } from './margin'
import { offers, type Words } from './offers'
import { typing } from './typing'

/** What the sheet asks of the page that holds it. */
export interface Hooks extends Asks, Intake {
    words: () => Words
}

export const PLACEHOLDER = 'Type or paste a recipe here, a food on each line. Write “Method” on a line of its own, and the steps below it.'

export function editor(hooks: Hooks): Extension {
    return [
        sheetHistory,
        shownFields,
        margin,
        typing,
        offers(() => hooks.words()),
        commands({
            swap: (at) => {
                hooks.swap(at)
            },
            find: () => {
                hooks.find()
            },
            leave: () => hooks.leave(),
        }),
        intake({
            bringIn: (content) => {
                hooks.bringIn(content)
            },
            tell: (words) => {
                hooks.tell(words)
            },
        }),
        ...(nonce === undefined ? [] : [EditorView.cspNonce.of(nonce)]),
        EditorView.lineWrapping,
        EditorView.perLineTextDirection.of(true),
        EditorView.contentAttributes.of({ 'aria-label': 'The recipe', spellcheck: 'false', autocapitalize: 'off', autocorrect: 'off' }),
        EditorState.tabSize.of(4),
        highlightSpecialChars(),
        highlightActiveLine(),
        dropCursor(),
        placeholder(PLACEHOLDER),
    ]
}
