import { openDB, type IDBPDatabase } from 'idb'

/** Where a page keeps what is not to be lost: the browser's own store, or one that a test brings. */
export interface Store extends Pick<Storage, 'getItem' | 'setItem' | 'removeItem'> {
    keys: () => string[]
}

/** The quick half: what every tab sees at once. A browser lets it reach the disk only after seconds, and gives it little room. */
type Quick = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'> & { keys: () => string[] }

/** A value and the moment it was written, by which the two halves are told apart; null is what was taken away. */
interface Stamped {
    at: number
    value: string | null
}

const OURS = 'mildbowl.'
const TABLE = 'kept'
/** What was taken away is remembered so long, since either half may be the one that did not hear of it. */
const GONE_MS = 60 * 60 * 1000
const PATIENCE_MS = 1_500
const STAMP = /^@(\d+):/

/**
 * Every word in two places: one that is read and shared between tabs at once, and a database whose transactions are on the disk when
 * they are done. After a browser was killed, or had no room in the first, the second still knows.
 */
export class KeptStore implements Store {
    /** what the quick half has no room for */
    private readonly over = new Map<string, Stamped>()
    private readonly pending = new Map<string, Stamped>()
    private database: IDBPDatabase | null = null
    private writing: Promise<void> | null = null
    private isFull = false
    private last = 0

    constructor(
        private readonly quick: Quick,
        private readonly clock: () => number = Date.now,
    ) {}

    /** Takes over what only the database knows. Where a browser has none, or does not open it, the quick half goes on alone. */
    async open(name = 'mildbowl'): Promise<void> {
        let isLate = false
        const opening = openDB(name, 1, {
            upgrade: (database) => {
                database.createObjectStore(TABLE)
            },
            blocking: () => {
                this.database?.close()
                this.database = null
            },
        })
            .then(async (database) => {
                this.database = database
                if (!isLate) await this.takeOver(database)
            })
            .catch(() => undefined)
        await Promise.race([
            opening,
            new Promise<void>((resolve) => {
                setTimeout(() => {
                    isLate = true
                    resolve()
                }, PATIENCE_MS)
            }),
        ])
    }

    getItem(name: string): string | null {
        return this.held(name)?.value ?? null
    }

    /** @throws where there is room in neither half */
    setItem(name: string, value: string): void {
        this.put(name, { at: this.now(), value })
    }

    removeItem(name: string): void {
        if (this.held(name)?.value == null) return
        try {
            this.put(name, { at: this.now(), value: null })
        } catch {
            this.over.delete(name)
            this.quick.removeItem(name)
        }
    }

    keys(): string[] {
        return [...new Set([...this.quick.keys(), ...this.over.keys()])].filter((name) => this.getItem(name) !== null)
    }

    /** All that was written is on the disk. */
    async settled(): Promise<void> {
        while (this.writing !== null) await this.writing
    }

    private now(): number {
        return (this.last = Math.max(this.clock(), this.last + 1))
    }

    private held(name: string): Stamped | null {
        const quick = stamped(this.quick.getItem(name))
        const over = this.over.get(name) ?? null

        return over !== null && (quick === null || quick.at < over.at) ? over : quick
    }

    private put(name: string, one: Stamped): void {
        try {
            this.quick.setItem(name, `@${one.at}:${one.value ?? ''}`)
            this.over.delete(name)
        } catch (error) {
            if (this.database === null || this.isFull) throw error
            this.over.set(name, one)
        }
        this.writeSoon(name, one)
    }

    private writeSoon(name: string, one: Stamped): void {
        if (this.database === null) return
        this.pending.set(name, one)
        this.writing ??= this.writeAll().finally(() => {
            this.writing = null
        })
    }

    private async writeAll(): Promise<void> {
        while (this.pending.size > 0 && this.database !== null) {
            const batch = [...this.pending]
            this.pending.clear()
            try {
                const transaction = this.database.transaction(TABLE, 'readwrite', { durability: 'strict' })
                await Promise.all([...batch.map(([name, one]) => transaction.store.put(one, name)), transaction.done])
                this.isFull = false
            } catch {
                // whoever writes next what the quick half does not take is told
                this.isFull = true
            }
        }
    }

    private async takeOver(database: IDBPDatabase): Promise<void> {
        const old = this.clock() - GONE_MS
        const [names, values] = await Promise.all([database.getAllKeys(TABLE), database.getAll(TABLE) as Promise<Stamped[]>])
        const known = new Map<string, Stamped>()
        names.forEach((name, n) => {
            const one = values[n]
            if (typeof name === 'string' && one !== undefined) known.set(name, one)
        })
        for (const [name, one] of known) {
            const held = stamped(this.quick.getItem(name))
            if (held !== null && held.at >= one.at) continue
            if (one.value === null && one.at < old) continue
            try {
                this.quick.setItem(name, `@${one.at}:${one.value ?? ''}`)
            } catch {
                this.over.set(name, one)
            }
        }
        for (const name of this.quick.keys()) {
            const one = stamped(this.quick.getItem(name))
            if (one === null) continue
            if (one.value === null && one.at < old) this.quick.removeItem(name)
            else if ((known.get(name)?.at ?? -1) < one.at) this.writeSoon(name, one)
        }
        for (const [name, one] of known) if (one.value === null && one.at < old) await database.delete(TABLE, name)
    }
}

/** What was kept before there were stamps is older than anything. */
function stamped(written: string | null): Stamped | null {
    if (written === null) return null
    const match = STAMP.exec(written)
    if (match === null) return { at: 0, value: written }
    const value = written.slice(match[0].length)

    return { at: Number(match[1]), value: value === '' ? null : value }
}

function quickHalf(): Quick {
    try {
        localStorage.getItem(OURS)

        return {
            getItem: (name) => localStorage.getItem(name),
            setItem: (name, value) => {
                localStorage.setItem(name, value)
            },
            removeItem: (name) => {
                localStorage.removeItem(name)
            },
            keys: () => Object.keys(localStorage).filter((name) => name.startsWith(OURS)),
        }
    } catch {
        return heldStore()
    }
}

let own: KeptStore | null = null

/** The browser's own; where it lets nothing be kept, one that lasts as long as the page. */
export function ownStore(): KeptStore {
    return (own ??= new KeptStore(quickHalf()))
}

export function heldStore(held = new Map<string, string>()): Store {
    return {
        getItem: (name) => held.get(name) ?? null,
        setItem: (name, value) => {
            held.set(name, value)
        },
        removeItem: (name) => {
            held.delete(name)
        },
        keys: () => [...held.keys()],
    }
}
