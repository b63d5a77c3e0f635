import { ownStore, type Store } from '../ui/store'
import type { KeptPaper } from './paper/history'
import { blankSheet, isBlank, written, type Sheet } from './sheets'

/** The sheets that lie on the bench, each in a place of its own in the browser, with its history. */
export interface Draft {
    sheet: Sheet
    paper: KeptPaper | null
    /** what the shelf is known to hold of it, or was given to hold (see `written`); null where it is on no shelf */
    shelved: string | null
    /** the version of the recipe that the sheet was written on */
    version: number | null
}

export interface DraftEntry {
    id: string
    title: string
    recipeId: string | null
    at: number
}

const INDEX = 'mildbowl.sheets'
const OLD = 'mildbowl.sheet'
const MOST = 12

export class Drafts {
    constructor(
        private readonly store: Store = ownStore(),
        private readonly clock: () => number = Date.now,
    ) {
        this.takeOver()
    }

    /** Newest first. */
    list(): DraftEntry[] {
        const list = this.json<DraftEntry[]>(INDEX)

        return Array.isArray(list) ? [...list].sort((one, two) => two.at - one.at) : []
    }

    read(id: string): Draft | null {
        const draft = this.json<Draft>(key(id))
        if (draft === null || typeof draft !== 'object' || typeof draft.sheet !== 'object') return null

        const sheet = { ...blankSheet(), ...draft.sheet }
        // kept in another form before: what the shelf holds of it is asked anew
        const isOld = typeof draft.shelved === 'string' && draft.shelved.startsWith('[')

        return { ...draft, sheet, shelved: isOld ? null : draft.shelved, version: draft.version ?? null }
    }

    /** @throws when the browser has no room, even without the history */
    write(id: string, draft: Draft): void {
        try {
            this.store.setItem(key(id), JSON.stringify(draft))
        } catch {
            this.store.setItem(key(id), JSON.stringify({ ...draft, paper: null }))
        }
        const { title, recipeId } = draft.sheet
        const others = this.list().filter((one) => one.id !== id)
        this.index([{ id, title, recipeId, at: this.clock() }, ...others])
    }

    remove(id: string): void {
        this.store.removeItem(key(id))
        this.index(this.list().filter((one) => one.id !== id))
    }

    of(recipeId: string): string | null {
        return this.list().find((one) => one.recipeId === recipeId)?.id ?? null
    }

    /** What is safe on the shelf, or blank, makes room first; what is nowhere else is never cleared away. */
    private index(list: DraftEntry[]): void {
        let kept = list
        for (const one of [...list].sort((a, b) => a.at - b.at)) {
            if (kept.length <= MOST || one === list[0]) break
            const draft = this.read(one.id)
            if (
                draft === null ||
                isBlank(draft.sheet) ||
                (draft.sheet.recipeId !== null && draft.shelved !== null && draft.shelved === written(draft.sheet))
            ) {
                this.store.removeItem(key(one.id))
                kept = kept.filter((other) => other !== one)
            }
        }
        this.store.setItem(INDEX, JSON.stringify(kept))
    }

    /** The one sheet that earlier versions kept becomes the first of many. */
    private takeOver(): void {
        const old = this.json<Sheet>(OLD)
        if (old === null || typeof old.text !== 'string') return
        this.write(crypto.randomUUID(), { sheet: { ...blankSheet(), ...old }, paper: null, shelved: null, version: null })
        this.store.removeItem(OLD)
    }

    private json<T>(name: string): T | null {
        try {
            return JSON.parse(this.store.getItem(name) ?? 'null') as T | null
        } catch {
            return null
        }
    }
}

export function key(id: string): string {
    return `mildbowl.sheet.${id}`
}
