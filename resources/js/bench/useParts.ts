import type { AskedPart, Part } from '../api/types.generated'
import { headingKey } from './paper/reading'
import { useQuestion } from './useQuestion'
import { useSheet } from './useSheet'

/** What is said of the parts of the sheet; the rest is guessed by their headings. */
export function useParts() {
    const { sheet } = useSheet()
    const { answer, refusal } = useQuestion()

    const of =
        (part: Part) =>
        (one: { section?: string | null }): boolean =>
            headingKey(one.section) === headingKey(part.section)

    /** What was said of a part, made on the first change; what is null is guessed again. */
    function say(part: Part, change: Partial<AskedPart>): void {
        const parts: AskedPart[] = sheet.value.parts.map((one) => (change.role === 'body' && one.role === 'body' ? { ...one, role: null } : one))
        const at = parts.findIndex(of(part))
        const next = { ...(parts[at] ?? { section: part.section }), ...change }
        sheet.value.parts = at === -1 ? [...parts, next] : parts.map((one, number) => (number === at ? next : one))
    }

    function keep(part: Part, change: Partial<Part['keeps']>): void {
        say(part, { keeps: { ...part.keeps, ...change } })
    }

    function forget(part: Part): void {
        sheet.value.parts = sheet.value.parts.filter((one) => !of(part)(one))
    }

    function said(part: Part): AskedPart | undefined {
        return sheet.value.parts.find(of(part))
    }

    function goesWithout(dog: string, part: Part): boolean {
        return sheet.value.without.some((one) => one.dog === dog && one.sections.some((section) => headingKey(section) === headingKey(part.section)))
    }

    function toggleWithout(dog: string, part: Part): void {
        if (part.section === null) return
        const others = (sheet.value.without.find((one) => one.dog === dog)?.sections ?? []).filter(
            (section) => headingKey(section) !== headingKey(part.section),
        )
        const sections = goesWithout(dog, part) ? others : [...others, part.section]
        sheet.value.without = [...sheet.value.without.filter((one) => one.dog !== dog), ...(sections.length === 0 ? [] : [{ dog, sections }])]
    }

    /** A refusal of what was said of a part, beside that part. */
    function problem(part: Part): string | null {
        const found = refusal.value === null ? null : /^\/recipe\/parts\/(\d+)/.exec(refusal.value.path)
        if (found === null) return null
        // what was said of a heading that is gone waits, and is not counted
        const asked = sheet.value.parts.filter((one) =>
            (answer.value?.parts ?? []).some((other) =>
                [other.section, ...other.sections].some((section) => headingKey(one.section) === headingKey(section)),
            ),
        )

        return Number(found[1]) === asked.findIndex(of(part)) ? (refusal.value?.message ?? null) : null
    }

    return { say, keep, forget, said, goesWithout, toggleWithout, problem }
}

/** "the frosting" of "For the frosting". */
export function plainly(part: Part): string {
    return part.section === null
        ? part.role === 'body'
            ? 'the dough'
            : 'the lines under no heading'
        : part.section.replace(/^for /i, '').replace(/^The /, 'the ')
}
