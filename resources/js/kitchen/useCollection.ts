import { computed, markRaw, reactive, shallowRef, toRaw } from 'vue'
import { kept } from '../api/client'
import type { Outbox } from '../api/outbox'

/** Things of one kind that the kitchen keeps, as the page knows them: what the kitchen told, with what is on its way laid over it. */
export interface Collection<T extends { id: string; version: number }, F> {
    items: T[]
    /** the kitchen has told of them: an empty list is one */
    isLaid: boolean
    /** The whole list is asked for: what the kitchen acknowledges from now on is newer than what it will give. */
    asks: () => void
    /** Takes the whole list as the kitchen gave it. */
    lay: (items: T[]) => void
    /** Takes what the kitchen told of some of them; gone are those that were taken away. */
    took: (items: T[], gone?: string[]) => void
    /** Asks the kitchen for the whole list. */
    load: () => Promise<void>
    of: (id: string) => T | undefined
    /** Whether something of it is on its way and not acknowledged. */
    waits: (id: string) => boolean
    /**
     * Adds one (null) or changes one. Settled once the kitchen has it, or is known not to answer: then it waits, and is sent by itself.
     *
     * @throws KitchenProblem with what the kitchen refused; then all stands as it did
     */
    keep: (id: string | null, fields: F, options?: KeepOptions) => Promise<T>
    /** It lies in the trash for thirty days then. */
    remove: (id: string) => Promise<void>
}

export interface KeepOptions {
    /** the version the fields were written on; the one that is known where it is left out */
    base?: number
    /** the id of what is added, where the page made it before */
    id?: string
}

export interface CollectionOptions<T, F> {
    /** the kitchen tells more of one than a change answers: what is told of the same version is taken too */
    partly?: boolean

    /** where the kitchen keeps them; the kind where it is left out */
    path?: string
    /** how they stand; as they came where it is left out */
    inOrder?: (one: T, two: T) => number
    /** what one looks like with these fields, before the kitchen has said so; of a new one the rest is not known */
    over?: (fields: F, one: T | null) => Partial<T>
    /** one of them, out of what the kitchen answered to a change; the answer itself where it is left out */
    taken?: (answer: unknown, before: T | undefined) => T
    called?: (one: Partial<T> & Partial<F>) => string
}

/** @param kind as the kitchen tells of them */
export function useCollection<T extends { id: string; version: number }, F = Partial<Omit<T, 'id' | 'version'>>>(
    outbox: Outbox,
    kind: string,
    {
        partly = false,
        path = kind,
        inOrder,
        over = (fields) => fields as unknown as Partial<T>,
        taken = (answer) => answer as T,
        called = () => kind,
    }: CollectionOptions<T, F> = {},
): Collection<T, F> {
    const at = kept<T>(path)
    const known = shallowRef<T[]>([])
    // one that was acknowledged before the list came is no list
    const isLaid = shallowRef(false)
    /** acknowledged since the list was asked for: newer than it; null: taken away */
    const meanwhile = new Map<string, T | null>()
    const sorted = (items: T[]): T[] => (inOrder === undefined ? items : [...items].sort(inOrder))

    const mine = computed(() =>
        outbox.entries.filter((one) => one.kind === kind && one.state === 'waits' && (one.path === path || one.path.startsWith(`${path}/`))),
    )
    // thousands of them are read and none is written into: the list changes, and nobody watches its inside
    const shown = computed(() => {
        let items = isLaid.value ? known.value : []
        for (const entry of mine.value) {
            const one = items.find((other) => other.id === entry.id) ?? null
            if (entry.method === 'DELETE') items = items.filter((other) => other.id !== entry.id)
            else if (one !== null || entry.method === 'POST') {
                const next = { ...(one ?? { id: entry.id, version: 0 }), ...over(entry.body as F, one) } as T
                items = one === null ? [...items, next] : items.map((other) => (other === one ? next : other))
            }
        }

        return markRaw(mine.value.length === 0 ? items : sorted(items))
    })

    function put(one: T): T {
        const old = known.value.find((other) => other.id === one.id)
        if (old !== undefined && old.version > one.version) return old
        known.value = sorted(old === undefined ? [...known.value, one] : known.value.map((other) => (other === old ? one : other)))

        return one
    }

    const collection: Collection<T, F> = {
        get isLaid() {
            return isLaid.value
        },
        get items() {
            return shown.value
        },
        asks() {
            meanwhile.clear()
        },
        lay(items) {
            isLaid.value = true
            known.value = items.filter((one) => meanwhile.get(one.id) !== null)
            for (const one of meanwhile.values())
                if (one !== null && one.version > (items.find((other) => other.id === one.id)?.version ?? 0)) put(one)
            meanwhile.clear()
        },
        took(items, gone = []) {
            for (const one of items) {
                const old = known.value.find((other) => other.id === one.id)
                if (old === undefined || old.version < one.version || (partly && old.version === one.version)) put(one)
            }
            if (gone.length > 0 && known.value.some((one) => gone.includes(one.id))) known.value = known.value.filter((one) => !gone.includes(one.id))
        },
        async load() {
            collection.asks()
            collection.lay(await at.all())
        },
        of: (id) => shown.value.find((one) => one.id === id),
        waits: (id) => mine.value.some((one) => one.id === id),
        async keep(id, fields, { base, id: made } = {}) {
            const before = id === null ? undefined : known.value.find((one) => one.id === id)
            const body = toRaw(fields) as unknown as Record<string, unknown>
            const name = called({ ...(before ?? {}), ...(body as object) } as Partial<T> & Partial<F>)
            const key = made ?? crypto.randomUUID()
            const sent = await outbox.put(
                id === null
                    ? { method: 'POST', path, kind, id: key, key, name, body, base: null }
                    : { method: 'PATCH', path: `${path}/${id}`, kind, id, name, body, base: base ?? before?.version ?? null },
            )

            return sent.done ? (sent.answer as T) : (collection.of(id ?? key) ?? ({ ...(before ?? {}), ...(body as object) } as T))
        },
        async remove(id) {
            const one = shown.value.find((other) => other.id === id)
            await outbox.put({
                method: 'DELETE',
                path: `${path}/${id}`,
                kind,
                id,
                name: one === undefined ? kind : called(one as unknown as Partial<T> & Partial<F>),
                body: null,
                base: null,
            })
        },
    }
    outbox.follow((entry, answer) => {
        if (entry.kind !== kind || (entry.path !== path && !entry.path.startsWith(`${path}/`))) return
        if (entry.method === 'DELETE') {
            known.value = known.value.filter((one) => one.id !== entry.id)
            if (entry.id !== null) meanwhile.set(entry.id, null)
        } else {
            const one = taken(
                answer,
                known.value.find((other) => other.id === (answer as T).id),
            )
            put(one)
            meanwhile.set(one.id, one)
        }
    })

    return reactive(collection) as unknown as Collection<T, F>
}
