import { history, historyField, invertedEffects } from '@codemirror/commands'
import { EditorState, StateEffect, type Extension, type StateField } from '@codemirror/state'

/** What is said of a sheet beside its words (cut, texture, parts, title …), as JSON before and after: its changes stand in the same history as the words. */
export interface SaidChange {
    before: string
    after: string
}

export const saidChanged = StateEffect.define<SaidChange>()

/** How many steps back a sheet remembers over a reload. */
const REMEMBERED = 120

export const sheetHistory: Extension = [
    history({ minDepth: 300, newGroupDelay: 600 }),
    invertedEffects.of((transaction) =>
        transaction.effects.flatMap((effect) =>
            effect.is(saidChanged) ? [saidChanged.of({ before: effect.value.after, after: effect.value.before })] : [],
        ),
    ),
]

/** A sheet with its history, as it is put away in the browser. */
export interface KeptPaper {
    state: unknown
    said: { done: SaidChange[][]; undone: SaidChange[][] }
}

interface Branches {
    done: { effects: StateEffect<unknown>[] }[]
    undone: { effects: StateEffect<unknown>[] }[]
}

const FIELDS = { history: historyField as StateField<unknown> }

/** The history field writes its changes of text as JSON, but no effects: those of it that are ours go beside it. */
export function keptOf(state: EditorState): KeptPaper {
    const json = state.toJSON(FIELDS) as { history: { done: unknown[]; undone: unknown[] } }
    const { done, undone } = state.field(historyField) as Branches
    const last = <T>(events: T[]): T[] => events.slice(-REMEMBERED)
    const said = (events: Branches['done']): SaidChange[][] =>
        last(events).map((event) => event.effects.flatMap((effect) => (effect.is(saidChanged) ? [effect.value] : [])))

    return {
        state: { ...json, history: { done: last(json.history.done), undone: last(json.history.undone) } },
        said: { done: said(done), undone: said(undone) },
    }
}

/** A sheet as it was put away; without a past where what was kept of it cannot be read. */
export function stateFrom(kept: KeptPaper | null, document: string, extensions: Extension): EditorState {
    const fresh = (): EditorState => EditorState.create({ doc: document, extensions })
    if (kept === null) return fresh()
    try {
        const state = EditorState.fromJSON(kept.state, { extensions }, FIELDS)
        const branches = state.field(historyField) as Branches
        for (const side of ['done', 'undone'] as const) {
            for (const [number, event] of branches[side].entries())
                event.effects = (kept.said[side][number] ?? []).map((change) => saidChanged.of(change))
        }

        return state.doc.toString() === document ? state : fresh()
    } catch {
        return fresh()
    }
}
