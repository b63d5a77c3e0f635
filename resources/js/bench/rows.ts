/**
 * Which row of the text as it was asked each row of the text as it stands now was: while an answer is on its way, what was found stays on
 * its row though rows above it came or went. null for a row that is new.
 */
export function rowsThen(now: string[], then: string[]): (number | null)[] {
    let head = 0
    while (head < now.length && head < then.length && now[head] === then[head]) head++
    let tail = 0
    while (tail < now.length - head && tail < then.length - head && now[now.length - 1 - tail] === then[then.length - 1 - tail]) tail++
    const edited = then.length - tail

    return now.map((_, index) => {
        if (index < head) return index
        if (index >= now.length - tail) return index - now.length + then.length

        // what is being written keeps what was found on it until the answer comes
        return index < edited ? index : null
    })
}
