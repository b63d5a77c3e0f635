import { reactive } from 'vue'
import { kept } from '../api/client'

/** Things of one kind that the kitchen keeps, as the page knows them: what the kitchen acknowledged, in order. */
export interface Collection<T extends { id: string }, F> {
    items: T[]
    /** Takes the whole list as the kitchen gave it. */
    lay: (items: T[]) => void
    /** Asks the kitchen for the whole list. */
    load: () => Promise<void>
    /** Adds one (null) or changes one; what the kitchen made of it stands in its place. */
    keep: (id: string | null, fields: F) => Promise<T>
    /** Takes one as the kitchen knows it now. */
    refresh: (id: string) => Promise<T>
    remove: (id: string) => Promise<void>
}

/**
 * @param path where the kitchen keeps them
 * @param inOrder how they stand; as they came where it is left out
 */
export function useCollection<T extends { id: string }, F = Partial<Omit<T, 'id'>>>(path: string, inOrder?: (one: T, two: T) => number): Collection<T, F> {
    const at = kept<T, F>(path)

    function put(one: T): T {
        const index = collection.items.findIndex((other) => other.id === one.id)
        const items = index === -1 ? [...collection.items, one] : collection.items.map((other) => other.id === one.id ? one : other)
        collection.items = inOrder === undefined ? items : items.sort(inOrder)

        return one
    }

    const collection: Collection<T, F> = reactive({
        items: [] as T[],
        lay(items: T[]): void {
            collection.items = items
        },
        async load(): Promise<void> {
            collection.items = await at.all()
        },
        async keep(id: string | null, fields: F): Promise<T> {
            return put(id === null ? await at.add(fields) : await at.change(id, fields))
        },
        async refresh(id: string): Promise<T> {
            return put(await at.one(id))
        },
        async remove(id: string): Promise<void> {
            await at.remove(id)
            collection.items = collection.items.filter((one) => one.id !== id)
        },
    }) as Collection<T, F>

    return collection
}
