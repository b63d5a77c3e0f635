import { reactive } from 'vue'

/** What the page tells in passing, with a way back where there is one. */
export interface Notice {
    id: number
    text: string
    act: string | null
    run: (() => unknown) | null
    /** ms of the page's own clock */
    since: number
}

export const notices: Notice[] = reactive([])

/** ms after which a way back that stood behind newer notices is no longer brought up */
const STALE_MS = 25_000

let count = 0

/** The newest stands in front; an older way back comes up again once it is gone. */
export function tell(text: string, act: string | null = null, run: (() => unknown) | null = null): void {
    // what was only told has been read, or is too late
    for (const one of notices.filter((other) => other.act === null)) drop(one.id)
    notices.push({ id: ++count, text, act, run, since: performance.now() })
}

export function letGo(id: number): void {
    drop(id)
    for (const one of notices.filter((other) => performance.now() - other.since > STALE_MS)) drop(one.id)
}

function drop(id: number): void {
    const at = notices.findIndex((one) => one.id === id)
    if (at !== -1) notices.splice(at, 1)
}
