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

/** A shelf may hold thousands: so many are looked at closely. */
const CLOSELY = 60

interface Candidate {
    slip: Slip
    uses: Bag[]
    lack: number
    there: number
    dogs: number
    last: string
}

const order = (one: Candidate, two: Candidate): number =>
    (one.uses[0]?.bestBefore ?? '9').localeCompare(two.uses[0]?.bestBefore ?? '9') ||
    two.uses.length - one.uses.length ||
    two.lack - one.lack ||
    Number(one.there > 0) - Number(two.there > 0) ||
    two.dogs - one.dogs ||
    one.last.localeCompare(two.last) ||
    one.slip.title.localeCompare(two.slip.title)

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
        .map((bag) => ({ bag, food: plain(bag.ingredient ?? '') }))
    const have = new Set(lacking(kitchen.day, kitchen.dogs).map((one) => one.id))
    const recipeOf = new Map(kitchen.batches.map((one) => [one.id, one.recipeId]))
    const there = new Map<string, number>()
    for (const one of here) {
        const recipe = one.content === 'treats' && one.batch !== null ? recipeOf.get(one.batch) : null
        if (recipe != null) there.set(recipe, (there.get(recipe) ?? 0) + one.pieces)
    }
    const last = new Map<string, string>()
    for (const one of kitchen.batches) {
        if (one.recipeId !== null && one.begunAt > (last.get(one.recipeId) ?? '')) last.set(one.recipeId, one.begunAt)
    }
    const candidates = slips
        .filter((slip) => slip.judged !== null && slip.judged.clearedFor.length > 0)
        .map((slip): Candidate => {
            const cleared = slip.judged?.clearedFor ?? []

            return {
                slip,
                uses: open.filter((one) => slip.foods.includes(one.food)).map((one) => one.bag),
                lack: have.size === 0 ? 0 : cleared.filter((id) => have.has(id)).length,
                there: there.get(slip.id) ?? 0,
                dogs: cleared.length,
                last: last.get(slip.id) ?? '',
            }
        })
        .toSorted(order)
        .slice(0, CLOSELY)

    return candidates
        .map((one) => {
            const may = kitchen.dogs.filter((dog) => one.slip.judged?.clearedFor.includes(dog.id) === true)
            const refuse = may.flatMap((dog) => {
                const food = refuses(dog, one.slip.foods)

                return food === null ? [] : [{ dog, food }]
            })
            const dogs = may.filter((dog) => !refuse.some((of) => of.dog.id === dog.id))
            const lack = dogs.filter((dog) => have.has(dog.id))

            return { candidate: { ...one, dogs: dogs.length, lack: lack.length }, dogs, refuse, lack }
        })
        .filter((one) => one.dogs.length > 0)
        .toSorted((one, two) => order(one.candidate, two.candidate))
        .map(({ candidate, dogs, refuse, lack }) => ({ slip: candidate.slip, uses: candidate.uses, dogs, refuse, lack, there: candidate.there }))
}
