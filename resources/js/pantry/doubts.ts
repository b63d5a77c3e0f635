/** A word of a list that was read from a photograph, and that somebody has to look at. */
export interface Doubt {
    /** where it stands in the list, in code points */
    span: [number, number]
    /** as it was read */
    text: string
    /** where it stands in the picture, in its points; null where the picture is gone */
    box: { left: number; top: number; width: number; height: number } | null
}

/**
 * The list was changed by hand: the doubts behind the change move along, and a word that was changed itself is a doubt no longer.
 *
 * @param before the list as it was
 * @param after as it is now
 */
export function moved(doubts: Doubt[], before: string, after: string): Doubt[] {
    const [was, is] = [[...before], [...after]]
    let same = 0
    while (same < was.length && same < is.length && was[same] === is[same]) same++
    let end = 0
    while (end < was.length - same && end < is.length - same && was[was.length - 1 - end] === is[is.length - 1 - end]) end++
    const by = is.length - was.length

    return doubts.flatMap((one) => {
        const [from, to] = one.span
        if (to <= same) return [one]
        if (from >= was.length - end) return [{ ...one, span: [from + by, to + by] as [number, number] }]

        return []
    })
}

/** The list with a word of it mended. */
export function mended(list: string, span: [number, number], word: string): string {
    const signs = [...list]

    return signs.slice(0, span[0]).join('') + word + signs.slice(span[1]).join('')
}

/** What stands in the list round a word, so that it can be found. */
export function around(list: string, span: [number, number], signs = 18): { before: string; after: string } {
    const those = [...list]

    return { before: those.slice(Math.max(0, span[0] - signs), span[0]).join(''), after: those.slice(span[1], span[1] + signs).join('') }
}
