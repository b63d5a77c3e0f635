import { reactive } from 'vue'

/** What the page tells in passing, with a way back where there is one. */
export interface Notice {
    id: number
    text: string
    act: string | null
    run: (() => unknown) | null
}

export const notices: Notice[] = reactive([])

let count = 0

export function tell(text: string, act: string | null = null, run: (() => unknown) | null = null): void {
    // a way back does not wait behind what is only told
    if (act !== null) for (const one of notices.filter((other) => other.act === null)) letGo(one.id)
    notices.push({ id: ++count, text, act, run })
}

export function letGo(id: number): void {
    const at = notices.findIndex((one) => one.id === id)
    if (at !== -1) notices.splice(at, 1)
}
