import type { Finding } from '../api/types.generated'

export type Level = Finding['level']

/** Every level has a word and a mark of its own, so that colour is never needed to tell them apart. */
export const LEVELS: Record<Level, { word: string; meaning: string; path: string; filled: boolean }> = {
    never: { word: 'Never', meaning: 'no amount is acceptable', filled: true, path: 'M3 3h18v18H3z M8 8l8 8 M16 8l-8 8' },
    unknown: { word: 'Not read', meaning: 'not recognised, or its amount is missing', filled: false, path: 'M4 20L12 4l8 16z M12 10v4 M12 17v.01' },
    allergen: {
        word: 'Reacts',
        meaning: 'this dog reacts to it or must not have it',
        filled: true,
        path: 'M12 2.5L21.5 12 12 21.5 2.5 12z M8.5 12h7',
    },
    limit: { word: 'Fewer', meaning: 'fine in a smaller ration', filled: false, path: 'M4 17a8 8 0 1 1 16 0 M12 17l4-6' },
    'ask-vet': { word: 'Ask the vet', meaning: 'a vet decides', filled: false, path: 'M9.5 3h5v6.5h6.5v5h-6.5V21h-5v-6.5H3v-5h6.5z' },
    'check-label': {
        word: 'Read the label',
        meaning: 'its composition stands on a label',
        filled: false,
        path: 'M3 12L12 3h9v9l-9 9z M16.5 7.5v.01',
    },
    caution: { word: 'Mind', meaning: 'a matter of form or portion', filled: false, path: 'M12 6a6 6 0 1 1 0 12a6 6 0 1 1 0-12z' },
}

const ORDER: Level[] = ['never', 'unknown', 'allergen', 'limit', 'ask-vet', 'check-label', 'caution']

export function worstFirst(findings: Finding[]): Finding[] {
    return [...findings].sort((one, two) => ORDER.indexOf(one.level) - ORDER.indexOf(two.level))
}

/** The word of a finding for the margin; what may never go in is named. */
export function inShort(finding: Finding): string {
    const word = LEVELS[finding.level].word

    return finding.level === 'never' ? `${word}: ${finding.code.replaceAll('-', ' ')}` : word
}

/** The same thing said for several dogs stands once, with their names. */
export interface Told {
    finding: Finding
    dogs: string[]
    /** their ids, in the same order */
    ids: string[]
}

export function told(findings: Finding[]): Told[] {
    const groups = new Map<string, Told>()
    for (const finding of worstFirst(findings)) {
        const key = `${finding.level}|${finding.code}|${finding.dog === null ? finding.message : ''}|${String(finding.confirmed ?? false)}`
        const known = groups.get(key)
        if (known === undefined)
            groups.set(key, {
                finding,
                dogs: finding.dog === null ? [] : [finding.dog],
                ids: finding.dog === null ? [] : [finding.dogId ?? finding.dog],
            })
        else if (finding.dog !== null) {
            known.dogs.push(finding.dog)
            known.ids.push(finding.dogId ?? finding.dog)
        }
    }

    return [...groups.values()]
}
