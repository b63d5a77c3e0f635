import type { Bag, BatchSlip, Dog, KitchenDay, Slip } from '../api/types.generated'

/** A recipe that may be baked next, and why it. */
export interface Next {
    slip: Slip
    /** what stands open and goes into it, that which goes off first in front */
    uses: Bag[]
    /** who may have it and is not known to refuse what is in it */
    dogs: Dog[]
    /** who may have it and is known to refuse something of it */
    refuse: { dog: Dog; food: string }[]
    /** those of them for whom nothing stands in the jars */
    lack: Dog[]
    /** pieces of it that still stand on the shelves */
    there: number
    /** when it was baked last; null: never here */
    last: string | null
}

const plain = (food: string): string => food.toLowerCase().replaceAll('-', ' ').trim()

/** What of these foods a dog is known to refuse, as it was told ("big crumbly apple" is told of apple); what it refuses raw it may like baked. */
export function refuses(dog: Dog, foods: readonly string[]): string | null {
    const words = foods.map(plain)

    return (
        dog.dislikes.find((one) => {
            const said = plain(one)

            return words.includes(said) || (!/^raw\b/.test(said) && words.some((food) => said.split(/\s+/).includes(food)))
        }) ?? null
    )
}

/** Dogs for whom nothing of what stands in the jars is cleared. */
export function lacking(day: KitchenDay | null, dogs: readonly Dog[]): Dog[] {
    if (day === null) return []

    return dogs.filter((dog) => {
        const its = day.dogs.find((one) => one.dogId === dog.id)

        return its !== undefined && !its.may.some((one) => one.heldBy !== 'not-cleared')
    })
}

/**
 * What to bake next: what uses what is open and goes off first, then what the most dogs want that have nothing, then what is not in the
 * jars, then what the most may have, then what was not baked for the longest.
 */
export function bakeNext(
    slips: readonly Slip[],
    kitchen: { dogs: readonly Dog[]; bags: readonly Bag[]; batches: readonly BatchSlip[]; day: KitchenDay | null; today: string },
): Next[] {
    const here = kitchen.bags.filter((one) => one.state === 'here')
    const open = here
        .filter(
            (one) => one.content === 'food' && one.ingredient !== null && !one.frozen && (one.bestBefore === null || one.bestBefore >= kitchen.today),
        )
        .toSorted((one, two) => (one.bestBefore ?? '9').localeCompare(two.bestBefore ?? '9') || one.number - two.number)
    const have = lacking(kitchen.day, kitchen.dogs)
    const recipeOf = new Map(kitchen.batches.map((one) => [one.id, one.recipeId]))
    const all = slips
        .filter((slip) => slip.judged !== null && slip.judged.clearedFor.length > 0)
        .map((slip): Next => {
            const foods = slip.foods.map(plain)
            const may = kitchen.dogs.filter((dog) => slip.judged?.clearedFor.includes(dog.id) === true)
            const refuse = may.flatMap((dog) => {
                const food = refuses(dog, foods)

                return food === null ? [] : [{ dog, food }]
            })
            const dogs = may.filter((dog) => !refuse.some((one) => one.dog.id === dog.id))

            return {
                slip,
                uses: open.filter((one) => foods.includes(plain(one.ingredient ?? ''))),
                dogs,
                refuse,
                lack: dogs.filter((dog) => have.includes(dog)),
                there: here
                    .filter((one) => one.content === 'treats' && one.batch !== null && recipeOf.get(one.batch) === slip.id)
                    .reduce((sum, one) => sum + one.pieces, 0),
                last:
                    kitchen.batches
                        .filter((one) => one.recipeId === slip.id)
                        .map((one) => one.begunAt)
                        .toSorted()
                        .at(-1) ?? null,
            }
        })
        .filter((one) => one.dogs.length > 0)
    const first = (one: Next): string => one.uses[0]?.bestBefore ?? '9'

    return all.toSorted(
        (one, two) =>
            first(one).localeCompare(first(two)) ||
            two.uses.length - one.uses.length ||
            two.lack.length - one.lack.length ||
            Number(one.there > 0) - Number(two.there > 0) ||
            two.dogs.length - one.dogs.length ||
            (one.last ?? '').localeCompare(two.last ?? '') ||
            one.slip.title.localeCompare(two.slip.title),
    )
}
