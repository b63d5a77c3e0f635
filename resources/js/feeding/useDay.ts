import { computed, ref, shallowRef, watch } from 'vue'
import { api, kitchenTime, KitchenProblem } from '../api/client'
import type { DayDog, DayMay, Gift, KitchenDay, LedgerEntry } from '../api/types.generated'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { useOutbox } from '../kitchen/useOutbox'
import { useToday } from '../kitchen/useToday'
import { usePerson } from '../making/usePerson'
import { figure } from '../ui/format'
import { tell } from '../ui/notices'
import { ownStore } from '../ui/store'
import { dayWith, entriesOf } from './gifts'

const CELL = 'mildbowl.day'

/** The kitchen's day on this page: what each dog had and may have, with what is on its way; and what is given from here. */
export function useDay() {
    const kitchen = useKitchen()
    const outbox = useOutbox()
    const person = usePerson()
    const store = ownStore()
    const day = shallowRef<KitchenDay | null>(read())
    const problem = ref<string | null>(null)
    const refused = ref<string | null>(null)
    const today = useToday()
    /** what is shown is of an earlier day, or the kitchen could not be asked */
    const isOld = computed(() => day.value !== null && (day.value.date !== today.value || problem.value !== null))

    function read(): KitchenDay | null {
        try {
            return JSON.parse(store.getItem(CELL) ?? 'null') as KitchenDay | null
        } catch {
            return null
        }
    }

    function took(told: KitchenDay): void {
        day.value = told
        try {
            store.setItem(CELL, JSON.stringify(told))
        } catch {
            // it is asked for again
        }
    }

    let asked = 0
    async function load(): Promise<void> {
        const mine = ++asked
        try {
            const told = await api.day()
            if (mine === asked) {
                took(told)
                problem.value = null
            }
        } catch (error) {
            if (mine === asked) problem.value = wordsOf(error)
        }
    }
    // whatever changes in the kitchen may change what a dog may still have
    watch([() => kitchen.number, today], () => void load(), { immediate: true })

    const waiting = computed(() => outbox.entries.filter((one) => one.kind === 'given' && one.state === 'waits'))
    const names = new Map<string, string>()
    /** today's ledger with what is on its way laid in */
    const given = computed<(LedgerEntry & { waits?: true })[]>(() => {
        const back = new Set(waiting.value.filter((one) => one.path.endsWith('/back')).map((one) => one.id))
        const known = (day.value?.date === today.value ? day.value.given : []).map((one) => (back.has(one.gift) ? { ...one, undone: true } : one))
        const ids = new Set(known.map((one) => one.gift))

        return [
            ...known,
            ...waiting.value
                .filter((one) => one.path === 'given' && !ids.has(one.id ?? ''))
                .flatMap((one) =>
                    entriesOf(one.body as unknown as Gift, names.get(one.id ?? '') ?? 'a treat', today.value).map((entry) => ({
                        ...entry,
                        waits: true as const,
                    })),
                ),
        ]
    })
    /** of these dogs the figures are not those of what they had */
    const unreckoned = computed(
        () =>
            new Set(
                waiting.value.flatMap((one) =>
                    one.path === 'given'
                        ? (one.body as unknown as Gift).dogs.map((of) => of.dog)
                        : given.value.filter((of) => of.gift === one.id).map((of) => of.dog),
                ),
            ),
    )

    const dogOf = (id: string): DayDog | null => (day.value?.date === today.value ? (day.value.dogs.find((one) => one.dogId === id) ?? null) : null)

    function mayOf(dog: string, batch: string | null, lot: string | null): DayMay | null {
        const treat = day.value?.batches.find((one) => one.batch === batch && one.lot === lot)

        return treat === undefined ? null : (dogOf(dog)?.may.find((one) => one.batch === treat.id) ?? null)
    }

    const nameOf = (id: string): string => kitchen.dogs.find((one) => one.id === id)?.name ?? 'another dog'

    /** What a dog had today that is poison to it: nothing more before a vet says so. */
    const poisonOf = (id: string): DayDog['findings'][number] | null => dogOf(id)?.findings.find((one) => one.level === 'never') ?? null

    outbox.follow((entry, answer) => {
        if (entry.kind !== 'given') return
        const told = answer as KitchenDay
        if (day.value !== null) took(dayWith(day.value, told))
        if (entry.path !== 'given') return
        if (told.says != null) tell(told.says)
        const gift = entry.body as unknown as Gift
        for (const dog of told.dogs.filter((one) => gift.dogs.some((of) => of.dog === one.dogId))) {
            const grave = dog.findings.find((one) => one.level === 'never' || one.level === 'allergen')
            const others = [...new Set(told.given.filter((one) => one.dog === dog.dogId && !one.undone && one.by !== gift.by).map((one) => one.by))]
            if (grave !== undefined) tell(`${dog.dog}: ${grave.message}${grave.emergency ? ' Call a vet or an animal poison line now.' : ''}`)
            else if (dog.over)
                tell(
                    `${dog.dog} is over its treats of today by ${figure(-(dog.leftKcal ?? 0))} kcal${others.length > 0 ? `: ${others.join(' and ')} gave some too` : ''}.`,
                )
        }
    })

    /**
     * Writes down what was given: shown at once, sent by itself.
     *
     * @param id under which the kitchen knows it, where another device may write the same down
     */
    async function give(what: Omit<Gift, 'id' | 'at' | 'by'>, words: string, id: string = crypto.randomUUID()): Promise<string | null> {
        const gift: Gift = { id, at: new Date(kitchenTime()).toISOString(), by: person.name.value, ...what }
        refused.value = null
        names.set(gift.id, words)
        try {
            await outbox.put({
                method: 'POST',
                path: 'given',
                kind: 'given',
                id: gift.id,
                key: gift.id,
                name: `${words} that was given`,
                body: gift as unknown as Record<string, unknown>,
                base: null,
                apart: true,
            })

            return gift.id
        } catch (error) {
            refused.value = wordsOf(error)

            return null
        }
    }

    /**
     * It was an occasion: what a dog had too much of is taken from the days after.
     *
     * @param ifOver whether a dog that turns out not to be over borrows nothing
     */
    async function borrow(dog: string, ifOver = false): Promise<string | null> {
        refused.value = null
        const id = crypto.randomUUID()
        try {
            await outbox.put({
                method: 'POST',
                path: 'borrowed',
                kind: 'given',
                id,
                key: id,
                name: 'what an occasion borrows',
                body: { id, at: new Date(kitchenTime()).toISOString(), by: person.name.value, dog, on: today.value, ...(ifOver ? { ifOver } : {}) },
                base: null,
                apart: true,
            })

            return id
        } catch (error) {
            refused.value = wordsOf(error)

            return null
        }
    }

    /** Whether it is written down here and the kitchen has not heard of it. */
    const isWaiting = (id: string): boolean => outbox.entries.some((one) => one.key === id && one.state === 'waits')

    /**
     * A slip: it stays written down as one, and the pieces are in their bag again.
     *
     * @returns whether the kitchen had not heard of it: then nothing stands anywhere
     */
    async function takeBack(gift: string): Promise<boolean> {
        refused.value = null
        const unsent = outbox.entries.find((one) => one.key === gift && one.state === 'waits' && !one.tried)
        if (unsent !== undefined) {
            outbox.drop(unsent.key)

            return true
        }
        const id = crypto.randomUUID()
        try {
            await outbox.put({
                method: 'POST',
                path: `given/${gift}/back`,
                kind: 'given',
                id: gift,
                key: id,
                name: 'a slip in the ledger',
                body: { id, at: new Date(kitchenTime()).toISOString(), by: person.name.value },
                base: null,
                apart: true,
            })
        } catch (error) {
            refused.value = error instanceof KitchenProblem ? wordsOf(error) : String(error)
        }

        return false
    }

    /** whom the page asks after, of the day that is shown */
    const asksAfter = computed(() => (day.value?.date === today.value ? day.value.watch : []))

    return {
        day,
        today,
        given,
        asksAfter,
        problem,
        refused,
        isOld,
        unreckoned,
        dogOf,
        mayOf,
        nameOf,
        poisonOf,
        give,
        borrow,
        isWaiting,
        takeBack,
        load,
    }
}

export type DayOnPage = ReturnType<typeof useDay>
