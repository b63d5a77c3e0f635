import {
    acceptCompletion,
    autocompletion,
    closeCompletion,
    completionStatus,
    moveCompletionSelection,
    selectedCompletionIndex,
    startCompletion,
    type Completion,
    type CompletionContext,
    type CompletionResult,
} from '@codemirror/autocomplete'
import { Prec, type Extension } from '@codemirror/state'
import { EditorView, keymap } from '@codemirror/view'
import type { Vocabulary } from '../../api/types.generated'

/** Words that may be meant while one is being typed: foods, units and forms. They wait beside the word and never take a key that was not meant for them. */
export interface Words {
    vocabulary: Vocabulary | null
    /** settled once the vocabulary is there, or cannot be had; null when there is nothing to wait for */
    coming: Promise<unknown> | null
    /** this kitchen's own foods and words */
    own: string[]
    /** everything that was written in this kitchen's recipes, to know what is baked with here */
    written: string[]
}

const MOST = 7
const MOST_WORDS = 4
const LETTERS = /[\p{L}][\p{L}\p{M}'’-]*(?: [\p{L}][\p{L}\p{M}'’-]*){0,3}$/u

/** How often each run of one to four words stands in some texts. */
export function countsOf(texts: string[]): Map<string, number> {
    const counts = new Map<string, number>()
    for (const row of texts.flatMap((text) => text.toLowerCase().split('\n'))) {
        const words = row.match(/[\p{L}\p{M}'’-]+/gu) ?? []
        for (let from = 0; from < words.length; from++) {
            for (let length = 1; length <= MOST_WORDS && from + length <= words.length; length++) {
                const run = words.slice(from, from + length).join(' ')
                counts.set(run, (counts.get(run) ?? 0) + 1)
            }
        }
    }

    return counts
}

export interface Offered {
    name: string
    kind: 'food' | 'own' | 'unit' | 'form'
    used: number
}

interface Known {
    name: string
    plain: string
    kind: Offered['kind']
    of: string
}

/** The words of a kitchen made ready to be looked through at every key. */
export class Offering {
    private readonly known: Known[]
    private readonly names: Set<string>

    constructor(
        { vocabulary, own }: Words,
        private readonly counts: Map<string, number>,
    ) {
        const known = (name: string, kind: Offered['kind'], of: string): Known => ({ name, plain: name.toLowerCase(), kind, of })
        this.known = [
            ...own.map((name) => known(name, 'own', name)),
            ...(vocabulary?.foods ?? []).map((food) => known(food.name, 'food', food.ingredient)),
            ...(vocabulary?.units ?? []).map((unit) => known(unit, 'unit', `unit ${unit}`)),
            ...(vocabulary?.forms ?? []).map((form) => known(form, 'form', `form ${form}`)),
        ]
        this.names = new Set(this.known.filter((one) => one.kind === 'own' || one.kind === 'food').map((one) => one.plain))
    }

    /** Whether these words are the whole name of a food. */
    isName(typed: string): boolean {
        return this.names.has(typed.toLowerCase())
    }

    /** The words that go on as this one begins: what was baked with here first, then the shorter. Of several names of one food the best is enough. */
    of(typed: string, afterNumber: boolean): Offered[] {
        const begun = typed.toLowerCase()
        const rank = (plain: string): number => (plain.startsWith(begun) ? 0 : 100) + plain.length
        const found = new Map<string, Known & { used: number; rank: number }>()
        for (const one of this.known) {
            const { plain } = one
            if (plain === begun || (one.kind === 'unit' && !afterNumber) || (!plain.startsWith(begun) && !plain.includes(` ${begun}`))) continue
            const next = { ...one, used: this.counts.get(plain) ?? 0, rank: rank(plain) }
            const old = found.get(one.of)
            if (old === undefined || next.used > old.used || (next.used === old.used && next.rank < old.rank)) found.set(one.of, next)
        }

        const best = [...found.values()].sort((one, two) => two.used - one.used || one.rank - two.rank || one.name.localeCompare(two.name))

        return best.slice(0, MOST).map(({ name, kind, used }) => ({ name, kind, used }))
    }
}

const KINDS = { food: '', own: 'our own', unit: 'unit', form: 'form' }

export function offers(words: () => Words): Extension {
    let ready: { of: Words; offering: Offering } | null = null
    const offering = (): Offering => {
        const now = words()
        const of = ready?.of
        if (ready !== null && of?.vocabulary === now.vocabulary && of.own === now.own && of.written === now.written) return ready.offering
        ready = { of: now, offering: new Offering(now, countsOf(now.written)) }

        return ready.offering
    }

    function source(context: CompletionContext): CompletionResult | Promise<CompletionResult | null> | null {
        const { coming } = words()

        return coming === null ? found(context) : coming.then(() => (context.aborted ? null : found(context)))
    }

    function found(context: CompletionContext): CompletionResult | null {
        const line = context.state.doc.lineAt(context.pos)
        const before = line.text.slice(0, context.pos - line.from)
        const run = LETTERS.exec(before)?.[0] ?? ''
        // the longest run of words that something goes on from
        const starts = [0, ...[...run.matchAll(/ /g)].map((found) => found.index + 1)]
        for (const start of starts) {
            const typed = run.slice(start)
            if (typed.length < (context.explicit ? 1 : 2)) continue
            // a whole name is no word that is still being written
            if (!context.explicit && offering().isName(typed)) return null
            const from = context.pos - typed.length
            const afterNumber = /[\d½¼¾⅓⅔]\s*$/.test(before.slice(0, from - line.from))
            const options = offering()
                .of(typed, afterNumber)
                .map((one): Completion => ({
                    label: one.name,
                    detail: one.used > 0 ? 'baked with here' : KINDS[one.kind],
                    apply: one.name,
                }))
            if (options.length > 0) return { from, options, filter: false }
        }

        return null
    }

    const active = (view: EditorView): boolean => completionStatus(view.state) === 'active'
    const taken = (view: EditorView): boolean => active(view) && (selectedCompletionIndex(view.state) ?? -1) >= 0
    const walk =
        (forward: boolean) =>
        (view: EditorView): boolean => {
            if (taken(view)) return moveCompletionSelection(forward)(view)
            if (active(view)) closeCompletion(view)

            return false
        }

    return [
        autocompletion({
            override: [source],
            selectOnOpen: false,
            defaultKeymap: false,
            icons: false,
            activateOnTypingDelay: 90,
            maxRenderedOptions: MOST,
            aboveCursor: false,
            tooltipClass: () => 'offered',
            interactionDelay: 0,
        }),
        Prec.highest(
            keymap.of([
                { key: 'Ctrl-Space', run: (view) => (active(view) ? moveCompletionSelection(true)(view) : startCompletion(view)) },
                { key: 'ArrowDown', run: walk(true) },
                { key: 'ArrowUp', run: walk(false) },
                { key: 'Enter', run: (view) => taken(view) && acceptCompletion(view) },
                { key: 'Escape', run: (view) => active(view) && closeCompletion(view) },
            ]),
        ),
    ]
}
