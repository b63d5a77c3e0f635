import { redo, undo } from '@codemirror/commands'
import type { EditorState, TransactionSpec } from '@codemirror/state'
import { describe, expect, it } from 'vitest'
import { keptOf, saidChanged, sheetHistory, stateFrom, type SaidChange } from './history'

/** A sheet by itself: what is said of it is the last change that was made or taken back. */
class Desk {
    state: EditorState
    said = 'a'

    constructor(state: EditorState) {
        this.state = state
    }

    do(spec: TransactionSpec): void {
        this.follow(this.state.update(spec))
    }

    say(after: string): void {
        this.do({ effects: saidChanged.of({ before: this.said, after }) })
    }

    back(): boolean {
        return undo({
            state: this.state,
            dispatch: (transaction) => {
                this.follow(transaction)
            },
        })
    }

    again(): boolean {
        return redo({
            state: this.state,
            dispatch: (transaction) => {
                this.follow(transaction)
            },
        })
    }

    private follow(transaction: ReturnType<EditorState['update']>): void {
        this.state = transaction.state
        for (const effect of transaction.effects) if (effect.is(saidChanged)) this.said = (effect.value as SaidChange).after
    }

    get is(): string {
        return `${this.state.doc.toString()}|${this.said}`
    }

    /** As it is after a reload of the page. */
    reloaded(): Desk {
        const kept = JSON.parse(JSON.stringify(keptOf(this.state))) as ReturnType<typeof keptOf>
        const desk = new Desk(stateFrom(kept, this.state.doc.toString(), sheetHistory))
        desk.said = this.said

        return desk
    }
}

const apart = { userEvent: 'take' }

describe('the history of a sheet', () => {
    it('goes back through words and sayings in their order, also after a reload', () => {
        let desk = new Desk(stateFrom(null, 'one', sheetHistory))
        const was = [desk.is]
        const acts: ((desk: Desk) => void)[] = [
            (one) => {
                one.do({ changes: { from: 3, insert: '\ntwo' }, ...apart })
            },
            (one) => {
                one.say('b')
            },
            (one) => {
                one.do({ changes: { from: 0, to: 3, insert: 'ONE' }, ...apart })
            },
            (one) => {
                one.do({ changes: { from: 0, insert: 'x' }, effects: saidChanged.of({ before: one.said, after: 'c' }), ...apart })
            },
            (one) => {
                one.say('d')
            },
        ]
        for (const act of acts) {
            act(desk)
            was.push(desk.is)
            desk = desk.reloaded()
            expect(desk.is).toBe(was[was.length - 1])
        }
        for (const before of was.slice(0, -1).reverse()) {
            expect(desk.back()).toBe(true)
            expect(desk.is).toBe(before)
            desk = desk.reloaded()
        }
        expect(desk.back()).toBe(false)
        for (const after of was.slice(1)) {
            expect(desk.again()).toBe(true)
            expect(desk.is).toBe(after)
            desk = desk.reloaded()
        }
        expect(desk.again()).toBe(false)
    })

    it('takes typing back by stretches and not by letters', () => {
        const desk = new Desk(stateFrom(null, '', sheetHistory))
        for (const [at, letter] of [...'raisins'].entries()) desk.do({ changes: { from: at, insert: letter }, userEvent: 'input.type' })
        expect(desk.is).toBe('raisins|a')
        desk.back()
        expect(desk.is).toBe('|a')
    })

    it('begins without a past where what was kept cannot be read or is of another text', () => {
        expect(stateFrom({ state: { doc: 3 }, said: { done: [], undone: [] } } as never, 'one', sheetHistory).doc.toString()).toBe('one')
        const kept = keptOf(stateFrom(null, 'other', sheetHistory))
        expect(stateFrom(kept, 'one', sheetHistory).doc.toString()).toBe('one')
    })

    it('remembers a bounded number of steps', () => {
        const desk = new Desk(stateFrom(null, '', sheetHistory))
        for (let n = 0; n < 300; n++) desk.do({ changes: { from: 0, insert: `${n}\n` }, ...apart })
        const kept = keptOf(desk.state) as { said: { done: unknown[] }; state: { history: { done: unknown[] } } }
        expect(kept.state.history.done).toHaveLength(120)
        expect(kept.said.done).toHaveLength(120)
        const after = desk.reloaded()
        let steps = 0
        while (after.back()) steps++
        expect(steps).toBe(120)
        expect(after.state.doc.toString()).toBe(Array.from({ length: 180 }, (_, n) => `${179 - n}\n`).join(''))
    })
})
