import { EditorState, type ChangeSpec } from '@codemirror/state'
import { describe, expect, it } from 'vitest'
import type { AnswerLine, Finding, FormulateAnswer, Part } from '../../api/types.generated'
import { answerCame, rowsAt, shownField } from './fields'
import { headingKey, readingOf, worstOf, type SheetReading } from './reading'

function finding(level: Finding['level'], code: string = level): Finding {
    return { dog: null, level, code, message: code, advice: '', figure: null, emergency: false, source: '' }
}

function line(
    row: number,
    text: string,
    more: Partial<AnswerLine> = {},
    words: [string, 'amount' | 'ingredient' | 'form' | 'unread', number][] = [],
): AnswerLine {
    return {
        text,
        row,
        in: 'text',
        span: [0, text.length],
        section: null,
        quantity: null,
        unit: null,
        ingredient: 'x',
        form: null,
        grams: null,
        kcal: null,
        findings: [],
        explain: {
            name: null,
            measure: null,
            made: [],
            unread: [],
            nearest: [],
            poison: [],
            jobs: [],
            unsure: [],
            words: words.map(([word, role, from]) => ({ text: word, role, span: [from, from + word.length] })),
        },
        ...more,
    }
}

function answer(lines: AnswerLine[], more: Partial<FormulateAnswer> = {}): FormulateAnswer {
    return { lines, steps: [], parts: [], ...more } as unknown as FormulateAnswer
}

const marked = (document: string, reading: SheetReading): [string, string][] =>
    reading.marks.map((one) => [document.slice(one.from, one.to), one.level])

describe('an answer laid on the sheet', () => {
    it('marks what is found on the words of the food, and what was not read on its own words', () => {
        const document = '1/4 cup dried raisins and flurbl\n2 tbsp peanut butter'
        const reading = readingOf(
            document,
            answer([
                line(0, '1/4 cup dried raisins and flurbl', { findings: [finding('never'), finding('unknown')] }, [
                    ['dried', 'ingredient', 8],
                    ['raisins', 'ingredient', 14],
                    ['flurbl', 'unread', 26],
                ]),
                line(1, '2 tbsp peanut butter', { findings: [finding('check-label')] }, [
                    ['peanut', 'ingredient', 7],
                    ['butter', 'ingredient', 14],
                ]),
            ]),
        )
        expect(marked(document, reading)).toEqual([
            ['dried raisins', 'never'],
            ['flurbl', 'unknown'],
            ['peanut butter', 'check-label'],
        ])
    })

    it('marks the whole line where no word is known, and nothing that is settled', () => {
        const document = '3 tbsp flurbl\n2 tbsp peanut butter'
        const reading = readingOf(
            document,
            answer([
                line(0, '3 tbsp flurbl', { findings: [finding('unknown')], ingredient: null }),
                line(1, '2 tbsp peanut butter', { findings: [{ ...finding('check-label'), confirmed: true }] }, [['peanut', 'ingredient', 7]]),
            ]),
        )
        expect(marked(document, reading)).toEqual([['3 tbsp flurbl', 'unknown']])
        expect(reading.rows.map(worstOf)).toEqual(['unknown', null])
    })

    it('keeps lines of one row together, each with its number, and finds steps below the method', () => {
        const document = 'Mix 1 cup raisins with one egg.\nMethod\nDust with cocoa.'
        const reading = readingOf(
            document,
            answer(
                [
                    line(0, '1 cup raisins', { span: [4, 17], findings: [finding('never')] }, [['raisins', 'ingredient', 10]]),
                    line(0, 'one egg', { span: [23, 30] }),
                ],
                {
                    steps: [
                        { text: 'Dust with cocoa.', row: 0, in: 'steps', span: [0, 16], findings: [finding('never')] },
                    ] as unknown as FormulateAnswer['steps'],
                },
            ),
        )
        expect(reading.rows.map((row) => [row.kind, row.numbers])).toEqual([
            ['line', [0, 1]],
            ['method', []],
            ['step', []],
        ])
        expect(marked(document, reading)).toEqual([
            ['raisins', 'never'],
            ['Dust with cocoa.', 'never'],
        ])
    })

    it('knows the parts by their headings, and where each begins', () => {
        const part = (section: string | null, role: Part['role'], sections: string[] = []): Part => ({ section, role, sections }) as unknown as Part
        const parts = [part(null, 'body', ['Dry']), part('For the frosting', 'frosting')]
        const document = '1 egg\n**Dry:**\n2 cups flour\n- For the frosting:\n100 g cream cheese\nFor nobody:\n'
        const reading = readingOf(
            document,
            answer([line(0, '1 egg'), line(2, '2 cups flour', { section: 'Dry' }), line(4, '100 g cream cheese', { section: 'For the frosting' })], {
                parts,
            }),
        )
        expect(reading.heads.map((head) => [head.part.role, document.slice(head.at, head.at + 5), head.onHeading])).toEqual([
            ['body', '1 egg', false],
            ['frosting', '- For', true],
        ])
        expect(reading.rows.map((row) => [row.kind, row.part?.role])).toEqual([
            ['line', 'body'],
            ['heading', 'body'],
            ['line', 'body'],
            ['heading', 'frosting'],
            ['line', 'frosting'],
            ['heading', 'frosting'],
        ])
        expect(headingKey(' *For the Frosting:* ')).toBe('for the frosting')
    })
})

describe('what was read while somebody writes on', () => {
    const document = '1/4 cup raisins\n2 cups oat flour\n1 egg'
    const reading = readingOf(
        document,
        answer([
            line(0, '1/4 cup raisins', { findings: [finding('never')] }, [['raisins', 'ingredient', 8]]),
            line(1, '2 cups oat flour'),
            line(2, '1 egg'),
        ]),
    )

    /** The words of the lines that were read on each row, after some changes came in. */
    function after(changes: ChangeSpec[], late: boolean): string[] {
        let state = EditorState.create({ doc: document, extensions: [shownField] })
        let since = state.changes().desc
        if (!late) state = state.update({ effects: answerCame.of({ reading, since }) }).state
        for (const change of changes) {
            const transaction = state.update({ changes: change })
            since = since.composeDesc(transaction.changes.desc)
            state = transaction.state
        }
        if (late) state = state.update({ effects: answerCame.of({ reading, since }) }).state

        return Array.from({ length: state.doc.lines }, (_, n) =>
            rowsAt(state, state.doc.line(n + 1).from)
                .flatMap((row) => row.lines.map((one) => one.text))
                .join(' + '),
        )
    }

    it.each([
        ['a letter at the end', [{ from: 15, insert: 's' }], ['1/4 cup raisins', '2 cups oat flour', '1 egg']],
        ['a row above', [{ from: 0, insert: '1 cup rice\n' }], ['', '1/4 cup raisins', '2 cups oat flour', '1 egg']],
        ['a row below', [{ from: 15, insert: '\n' }], ['1/4 cup raisins', '', '2 cups oat flour', '1 egg']],
        ['a row taken out', [{ from: 16, to: 33 }], ['1/4 cup raisins', '1 egg']],
        ['two rows joined', [{ from: 15, to: 16 }], ['1/4 cup raisins + 2 cups oat flour', '1 egg']],
        ['everything taken out', [{ from: 0, to: document.length }], ['']],
        [
            'one after the other',
            [
                { from: 0, insert: '\n' },
                { from: 0, insert: 'x' },
                { from: 17, insert: ', washed' },
            ],
            ['', '1/4 cup raisins', '2 cups oat flour', '1 egg'],
        ],
    ] as [string, ChangeSpec[], string[]][])('stays on its rows: %s, whether the answer came before or after', (_, changes, rows) => {
        expect(after(changes, false)).toEqual(rows)
        expect(after(changes, true)).toEqual(rows)
    })

    it('is forgotten when nothing is known', () => {
        let state = EditorState.create({ doc: document, extensions: [shownField] })
        state = state.update({ effects: answerCame.of({ reading, since: state.changes().desc }) }).state
        expect(state.field(shownField).rows.size).toBe(3)
        expect(state.update({ effects: answerCame.of(null) }).state.field(shownField).rows.size).toBe(0)
    })
})
