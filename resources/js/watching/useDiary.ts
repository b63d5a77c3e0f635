import { computed } from 'vue'
import { kitchenTime } from '../api/client'
import type { DiaryEntry, DiarySaid, ToDiary } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import { useOutbox } from '../kitchen/useOutbox'
import { usePerson } from '../making/usePerson'

/** What is seen of the dogs, written down from here: shown at once, sent by itself, never changed, taken back where it was a slip. */
export function useDiary() {
    const kitchen = useKitchen()
    const outbox = useOutbox()
    const person = usePerson()

    const waiting = computed(() => outbox.entries.filter((one) => one.kind === 'diary' && one.state === 'waits'))

    /** What was told with what is on its way laid in. */
    function withWaiting(entries: readonly DiaryEntry[], dog: string): DiaryEntry[] {
        const back = new Set(waiting.value.filter((one) => one.path.endsWith('/back')).map((one) => one.id))
        const known = new Set(entries.map((one) => one.id))
        const coming = waiting.value
            .filter((one) => one.path === 'diary')
            .map((one) => one.body as unknown as ToDiary)
            .filter((one) => one.dog === dog && !known.has(one.id))
            .map((one): DiaryEntry => ({ ...one, said: one.said ?? {}, photo: one.photo ?? null, undone: false }))

        return [...entries.map((one) => (back.has(one.id) ? { ...one, undone: true } : one)), ...coming]
    }

    /**
     * @returns the id of what was written
     * @throws KitchenProblem with what the kitchen refused
     */
    async function write(dog: string, on: string, kind: ToDiary['kind'], said: DiarySaid = {}, photo: string | null = null): Promise<string> {
        const entry: ToDiary = {
            id: crypto.randomUUID(),
            at: new Date(kitchenTime()).toISOString(),
            by: person.name.value,
            dog,
            on,
            kind,
            said,
            photo,
        }
        await outbox.put({
            method: 'POST',
            path: 'diary',
            kind: 'diary',
            id: entry.id,
            key: entry.id,
            name: `what was seen of ${kitchen.dogs.find((one) => one.id === dog)?.name ?? 'a dog'}`,
            body: entry as unknown as Record<string, unknown>,
            base: null,
            apart: true,
        })

        return entry.id
    }

    /** @throws KitchenProblem with what the kitchen refused */
    async function takeBack(id: string): Promise<void> {
        const unsent = outbox.entries.find((one) => one.key === id && one.state === 'waits' && !one.tried)
        if (unsent !== undefined) {
            outbox.drop(unsent.key)

            return
        }
        const key = crypto.randomUUID()
        await outbox.put({
            method: 'POST',
            path: `diary/${id}/back`,
            kind: 'diary',
            id,
            key,
            name: 'a slip in the diary',
            body: { id: key, at: new Date(kitchenTime()).toISOString(), by: person.name.value },
            base: null,
            apart: true,
        })
    }

    return { waiting, withWaiting, write, takeBack }
}
