import { computed, ref } from 'vue'
import { kitchenTime, type PlaceFields } from '../api/client'
import type { Bag, BatchSlip, Gift, JarAct, Place } from '../api/types.generated'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { useOutbox } from '../kitchen/useOutbox'
import { useToday } from '../kitchen/useToday'
import { usePerson } from '../making/usePerson'
import { piecesOf } from '../feeding/gifts'
import { withWaiting, type Deed, type Said } from './shelves'

const NAMES: Partial<Record<Deed, string>> = {
    take: 'pieces taken',
    move: 'a bag that was moved',
    put: 'what was put away',
    undo: 'a slip at the jars',
    open: 'something opened',
}

/** days after which nobody is asked any more where a batch went */
const ASKED_FOR_DAYS = 14

/** The jars on this page: places, bags with what is on its way laid over them, and what is done with them. */
export function useJars() {
    const kitchen = useKitchen()
    const outbox = useOutbox()
    const person = usePerson()
    const refused = ref<string | null>(null)
    const places = computed<Place[]>(() => kitchen.all.places.items)
    const today = useToday()
    const gifts = computed(() =>
        outbox.entries
            .filter((one) => one.kind === 'given' && one.state === 'waits' && one.path === 'given')
            .map((one) => one.body as unknown as Gift)
            .filter((one) => one.bag !== undefined)
            .map((one): JarAct => ({ id: one.id, at: one.at, by: one.by, do: 'take', said: { bag: one.bag, pieces: piecesOf(one) } })),
    )
    const waiting = computed(() =>
        outbox.entries.filter((one) => one.kind === 'jar-acts' && one.state === 'waits').map((one) => one.body as unknown as JarAct),
    )
    const bags = computed<Bag[]>(() => withWaiting(kitchen.all.bags.items, [...waiting.value, ...gifts.value], places.value))
    const here = computed(() => bags.value.filter((one) => one.state === 'here'))

    /** Batches of which something was put nowhere yet, lot by lot. */
    const loose = computed(() =>
        kitchen.all.batches.items
            .filter(
                (one) =>
                    one.state === 'finished' && one.finishedAt !== null && Date.parse(one.finishedAt) > kitchenTime() - ASKED_FOR_DAYS * 86_400_000,
            )
            .flatMap((batch) =>
                batch.lots.map((lot) => ({ batch, lot: lot.lot, count: lot.count ?? Math.floor(lot.computedCount ?? 0), left: left(batch, lot) })),
            )
            .filter((one) => one.left >= 1),
    )

    function left(batch: BatchSlip, lot: BatchSlip['lots'][number]): number {
        const onTheWay = waiting.value
            .filter(
                (act) =>
                    act.do === 'put' &&
                    (act.said as Said | undefined)?.['batch'] === batch.id &&
                    ((act.said as Said)['lot'] ?? null) === lot.lot &&
                    (act.said as Said)['as'] !== 'dough',
            )
            .flatMap((act) => (act.said as { split: { pieces: number }[] }).split)
            .reduce((sum, one) => sum + one.pieces, 0)

        return (lot.count ?? Math.floor(lot.computedCount ?? 0)) - lot.put - onTheWay
    }

    /** Does it: shown at once, sent by itself. What cannot be is said in words. */
    async function act(deed: Deed, said: Said, corrects: string | null = null): Promise<JarAct | null> {
        const one: JarAct = {
            id: crypto.randomUUID(),
            at: new Date(kitchenTime()).toISOString(),
            by: person.name.value,
            do: deed,
            said,
            ...(corrects === null ? {} : { corrects }),
        }
        refused.value = null
        try {
            await outbox.put({
                method: 'POST',
                path: 'jar-acts',
                kind: 'jar-acts',
                id: one.id,
                key: one.id,
                name: NAMES[deed] ?? 'something at the jars',
                body: one as unknown as Record<string, unknown>,
                base: null,
                apart: true,
            })

            return one
        } catch (error) {
            refused.value = wordsOf(error)

            return null
        }
    }

    async function addPlace(fields: PlaceFields): Promise<void> {
        refused.value = null
        try {
            await kitchen.all.places.keep(null, fields)
        } catch (error) {
            refused.value = wordsOf(error)
        }
    }

    return { kitchen, outbox, places, bags, here, loose, today, refused, act, addPlace }
}

export type Jars = ReturnType<typeof useJars>
