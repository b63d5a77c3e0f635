import { reactive } from 'vue'
import { ownStore, type Store } from '../ui/store'
import { KitchenProblem, refusal, send, UNREACHABLE } from './client'
import type { Problem } from './types.generated'

/**
 * Every change on its way to the kitchen: kept in the browser until the kitchen has acknowledged it, sent in the order in which it was
 * made, once, however often it has to be sent. What is refused stays until somebody has seen to it.
 */
export interface Entry {
    /** made by the page: the kitchen does a change of one key once. The id of what it adds. */
    key: string
    at: number
    /** the page that made it: its own earlier changes are known to it */
    page: string
    method: 'POST' | 'PATCH' | 'DELETE'
    path: string
    /** what is changed: a kind and an id; an id of null is the one row of its kind */
    kind: string
    id: string | null
    /** as it is called in the list of what waits */
    name: string
    body: Record<string, unknown> | null
    /** the version it was made on; null for what is new */
    base: number | null
    state: 'waits' | 'refused'
    problem: Problem | null
    /** whether it was on its way before: the kitchen may have it already */
    tried: boolean
    /** what was done later does not rest on it: it goes though this was refused */
    apart?: boolean
}

export type NewEntry = Pick<Entry, 'method' | 'path' | 'kind' | 'id' | 'name' | 'body' | 'base' | 'apart'> & { key?: string }

/** What became of a change: the kitchen did it, or does not answer and it waits. A refusal is thrown. */
export type Sent = { done: true; answer: unknown } | { done: false }

type Taken = (entry: Entry, answer: unknown) => void

const PREFIX = 'mildbowl.outbox.'
const AGAIN_AFTER_MS = [1_000, 2_000, 5_000, 15_000, 30_000]
const MOST_BROKEN = 5
const TURN = 'mildbowl.outbox'

/** One tab of a browser sends at a time; where there are no locks, each sends what it finds. */
export interface Turns {
    take: (work: () => Promise<void>) => Promise<void>
}

const ownTurns: Turns = {
    take: (work) => (typeof navigator !== 'undefined' && 'locks' in navigator ? navigator.locks.request(TURN, work).then(() => undefined) : work()),
}

export class Outbox {
    /** in the order in which they go */
    readonly entries: Entry[] = reactive([])
    /** the kitchen was asked and did not answer */
    readonly state = reactive({ away: false })
    readonly page = crypto.randomUUID()
    private readonly told = new Map<string, { done: (sent: Sent) => void; failed: (error: unknown) => void }>()
    private readonly takers = new Set<Taken>()
    private working: Promise<void> | null = null
    private wanted = false
    private again: ReturnType<typeof setTimeout> | undefined
    private tries = 0

    constructor(
        private readonly store: Store = ownStore(),
        private readonly clock: () => number = Date.now,
        private readonly turns: Turns = ownTurns,
        private readonly post: typeof send = send,
    ) {
        this.read()
    }

    /** Follows what the kitchen has acknowledged. */
    follow(taken: Taken): () => void {
        this.takers.add(taken)

        return () => {
            this.takers.delete(taken)
        }
    }

    /**
     * Takes a change up, for good, before anything is sent.
     *
     * @throws KitchenProblem where the kitchen refuses it at once: whoever made it still has it in hand, and it does not stay here
     */
    async put(change: NewEntry): Promise<Sent> {
        const entry = this.joined(change) ?? this.added(change)
        const sent = new Promise<Sent>((done, failed) => {
            const before = this.told.get(entry.key)
            this.told.set(entry.key, {
                done: (one) => {
                    before?.done(one)
                    done(one)
                },
                failed: (error) => {
                    before?.failed(error)
                    failed(error)
                },
            })
        })
        void this.work()

        return sent
    }

    /** Of a row that waits already, and was never on its way, the later words go with the earlier. */
    private joined(change: NewEntry): Entry | null {
        if (change.method !== 'PATCH' || change.body === null) return null
        const last = [...this.entries].reverse().find((one) => one.kind === change.kind && one.id === change.id)
        if (last === undefined || last.tried || last.state !== 'waits' || last.method === 'DELETE' || last.page !== this.page) return null
        last.body = { ...last.body, ...change.body }
        last.name = change.name
        this.write(last)

        return last
    }

    private added(change: NewEntry): Entry {
        const after = this.entries[this.entries.length - 1]?.at ?? 0
        const key = change.key ?? crypto.randomUUID()
        const entry: Entry = {
            ...change,
            key,
            id: change.method === 'POST' ? (change.id ?? key) : change.id,
            at: Math.max(this.clock(), after + 1),
            page: this.knowing(change),
            state: 'waits',
            problem: null,
            tried: false,
        }
        this.write(entry)
        this.entries.push(entry)

        // as the list holds it, so that what is written into it is seen
        return this.entries[this.entries.length - 1] ?? entry
    }

    /** Whose changes this one was written over: a sheet knows what an earlier page of this browser gave of it and what is still on its way. */
    private knowing(change: NewEntry): string {
        return (change.kind === 'recipes' ? this.of(change.kind, change.id).findLast((one) => one.state === 'waits')?.page : undefined) ?? this.page
    }

    of(kind: string, id: string | null): Entry[] {
        return this.entries.filter((one) => one.kind === kind && one.id === id)
    }

    get waiting(): number {
        return this.entries.filter((one) => one.state === 'waits').length
    }

    /** What was refused is sent again: with another body, on another version, or as it is. */
    retry(key: string, change: Partial<Pick<Entry, 'body' | 'base'>> = {}): void {
        const entry = this.entries.find((one) => one.key === key)
        if (entry === undefined) return
        Object.assign(entry, change, { state: 'waits', problem: null })
        this.write(entry)
        void this.work()
    }

    /** What was refused is let go. */
    drop(key: string): void {
        this.remove(key)
    }

    /** Sends whatever waits, now. */
    work(): Promise<void> {
        clearTimeout(this.again)
        this.wanted = true
        this.working ??= this.turns
            .take(() => this.sendAll())
            .finally(() => {
                this.working = null
                // something was put here while the last of the others was being ended
                if (this.wanted) void this.work()
            })

        return this.working
    }

    private async sendAll(): Promise<void> {
        this.wanted = false
        this.read()
        for (let entry = this.next(); entry !== undefined; entry = this.next()) {
            if (!(await this.sendOne(entry))) {
                // who made them knows that they wait
                for (const one of this.entries) this.tell(one.key, { done: false })
                this.again = setTimeout(
                    () => {
                        void this.work()
                    },
                    AGAIN_AFTER_MS[Math.min(this.tries++, AGAIN_AFTER_MS.length - 1)],
                )
                return
            }
            this.tries = 0
            this.read()
        }
    }

    /** The first that may go: nothing goes before what was done earlier to the same row. */
    private next(): Entry | undefined {
        return this.entries.find(
            (one) =>
                one.state === 'waits' &&
                (one.apart === true ||
                    !this.entries.some((other) => other.at < one.at && other.state === 'refused' && other.kind === one.kind && other.id === one.id)),
        )
    }

    /** @returns whether the kitchen answered */
    private async sendOne(entry: Entry): Promise<boolean> {
        entry.tried = true
        this.write(entry)
        const headers: Record<string, string> = {
            'Idempotency-Key': entry.key,
            'X-Page': entry.page,
            ...(entry.base === null ? {} : { 'If-Match': `"${entry.base}"` }),
        }
        try {
            const answer = await this.post<unknown>(entry.method, entry.path, entry.body ?? undefined, { headers })
            this.state.away = false
            this.acknowledged(entry, answer)
        } catch (error) {
            const problem = error instanceof KitchenProblem ? error.problem : UNREACHABLE
            // one that the kitchen breaks on keeps nobody else waiting for ever
            const isRefused =
                (problem.status >= 400 && problem.status < 500 && problem.status !== 408 && problem.status !== 429) ||
                (problem.status === 500 && this.tries >= MOST_BROKEN)
            this.state.away = !isRefused && problem.status !== 429
            if (!isRefused) return false
            if (entry.method === 'DELETE' && problem.status === 404) this.acknowledged(entry, undefined)
            else this.refused(entry, problem)
        }

        return true
    }

    private acknowledged(entry: Entry, answer: unknown): void {
        this.remove(entry.key)
        const id = (answer as { id?: unknown } | undefined)?.id
        // what was added stands under another id where there was one of its name already
        if (entry.method === 'POST' && typeof id === 'string' && id !== entry.id) this.renamed(entry, id)
        for (const taken of this.takers) taken(entry, answer)
        this.tell(entry.key, { done: true, answer })
    }

    private renamed({ kind, id: from }: Entry, to: string): void {
        for (const one of this.entries) {
            if (one.kind !== kind || one.id !== from || from === null) continue
            one.path = one.path.replace(from, to)
            one.id = to
            this.write(one)
        }
    }

    private refused(entry: Entry, problem: Problem): void {
        entry.state = 'refused'
        entry.problem = problem
        const maker = this.told.get(entry.key)
        if (maker === undefined) {
            this.write(entry)
            return
        }
        this.told.delete(entry.key)
        this.remove(entry.key)
        maker.failed(new KitchenProblem(problem))
    }

    private tell(key: string, sent: Sent): void {
        this.told.get(key)?.done(sent)
        this.told.delete(key)
    }

    /** What other tabs put here or took away is taken over. */
    private read(): void {
        const held = new Map<string, Entry>()
        for (const name of this.store.keys()) {
            if (!name.startsWith(PREFIX)) continue
            try {
                const entry = JSON.parse(this.store.getItem(name) ?? 'null') as Entry | null
                if (entry !== null && typeof entry.key === 'string') held.set(entry.key, entry)
            } catch {
                // no entry, whoever wrote it
            }
        }
        for (let n = this.entries.length - 1; n >= 0; n--) {
            const entry = this.entries[n]
            if (entry === undefined) continue
            const other = held.get(entry.key)
            if (other === undefined && !this.unkept.has(entry.key)) this.entries.splice(n, 1)
            else if (other !== undefined) Object.assign(entry, other)
            held.delete(entry.key)
        }
        this.entries.push(...held.values())
        this.entries.sort((one, two) => one.at - two.at)
    }

    /** Another tab wrote or sent something. */
    look(): void {
        this.read()
        if (this.waiting > 0) void this.work()
    }

    /** Keys for which the browser has no room: they last as long as the page. */
    private readonly unkept = new Set<string>()

    private write(entry: Entry): void {
        try {
            this.store.setItem(PREFIX + entry.key, JSON.stringify(entry))
            this.unkept.delete(entry.key)
        } catch {
            this.unkept.add(entry.key)
        }
    }

    private remove(key: string): void {
        this.store.removeItem(PREFIX + key)
        this.unkept.delete(key)
        const at = this.entries.findIndex((one) => one.key === key)
        if (at !== -1) this.entries.splice(at, 1)
    }
}

/** What two people wrote in one field, as the kitchen tells it. */
export function conflictsOf(problem: Problem | null): NonNullable<Problem['conflicts']> {
    return problem?.code === 'conflict' ? (problem.conflicts ?? []) : []
}

export const GONE = refusal('not-found', 'Gone', 'It was taken away meanwhile. What you wrote is kept here until you have seen to it.')
