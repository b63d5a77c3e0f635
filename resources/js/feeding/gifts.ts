import type { Gift, KitchenDay, LedgerEntry } from '../api/types.generated'

/** Pieces that leave the bag. */
export function piecesOf(gift: Gift): number {
    return gift.unsure?.pieces ?? gift.dogs.reduce((sum, one) => sum + (one.pieces ?? 0), 0)
}

/** What is on its way, as the ledger will tell it. */
export function entriesOf(gift: Gift, words: string, on: string): LedgerEntry[] {
    return gift.dogs.map((one) => ({
        id: `${gift.id} ${one.dog}`,
        gift: gift.id,
        dog: one.dog,
        on,
        at: gift.at,
        by: gift.by,
        kind: gift.text !== undefined ? 'text' : gift.label === undefined || gift.label === null ? 'pieces' : 'label',
        batch: gift.batch ?? null,
        bag: gift.bag ?? null,
        pieces: gift.unsure == null ? (one.pieces ?? null) : gift.unsure.pieces / gift.dogs.length,
        words: gift.text ?? gift.label?.name ?? words,
        unsure: gift.unsure != null,
        undone: false,
    }))
}

/** A day with what the kitchen told of some of its dogs laid in. */
export function dayWith(day: KitchenDay, told: KitchenDay): KitchenDay {
    if (told.date !== day.date) return day
    const ids = new Set(told.dogs.map((one) => one.dogId))
    // what a dog may have of a batch is told by the batch: the numbers of another answer are others
    const idOf = (id: string): string | undefined => {
        const of = told.batches.find((one) => one.id === id)

        return day.batches.find((one) => one.batch === of?.batch && one.lot === of.lot)?.id
    }
    const dogs = told.dogs.map((dog) => ({
        ...dog,
        may: dog.may.flatMap((may) => (idOf(may.batch) === undefined ? [] : [{ ...may, batch: idOf(may.batch) ?? '' }])),
    }))

    return {
        ...day,
        dogs: day.dogs.map((dog) => dogs.find((one) => one.dogId === dog.dogId) ?? dog),
        loans: [...day.loans.filter((one) => !ids.has(one.dog)), ...told.loans],
        lacking: [...day.lacking.filter((one) => !ids.has(one)), ...told.lacking],
        given: [...day.given.filter((one) => !ids.has(one.dog)), ...told.given].toSorted((one, two) => one.at.localeCompare(two.at)),
    }
}

/** Why a dog may not, without its name: the page says it beside the name. */
export function reason(why: string | null): string {
    return (why ?? '').replace(/^.*? is not cleared: /, '')
}
