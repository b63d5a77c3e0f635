import { computed, type ComputedRef, type Ref } from 'vue'
import { api } from '../api/client'
import type {
    Occasion,
    OccasionBox,
    OccasionFields,
    OccasionGuest,
    OccasionPlan,
    OccasionShare,
    OccasionTreat,
    OccasionWritten,
    PartyAnswer,
    PartyDog,
    PartyServed,
} from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import { useToday } from '../kitchen/useToday'
import { useAsked } from '../ui/useAsked'
import { useDoing } from '../ui/useDoing'

/** What a host can have forgotten to ask of a guest. */
export const ASKS: Record<PartyDog['ask'][number], string> = {
    allergies: 'what it must not eat',
    conditions: 'illness and medicine',
    age: 'its age',
    weight: 'its weight',
}

/** An occasion as it is written, without what the kitchen counts. */
export function fieldsOf(one: Occasion): OccasionFields {
    const { name, on, at, place, transportMinutes, words, dogs, guests, treats, shares, boxes } = one

    return { name, on, at, place, transportMinutes, words, dogs, guests, treats, shares, boxes }
}

/** Somebody who comes: a dog of the kitchen, or a guest with the few facts that are known of it. */
export interface Coming {
    id: string
    name: string
    guest: OccasionGuest | null
}

export interface OccasionOnPage {
    occasion: ComputedRef<Occasion | undefined>
    coming: ComputedRef<Coming[]>
    /** those of its treats that are still on the shelf */
    treats: ComputedRef<(OccasionTreat & { title: string })[]>
    plan: ComputedRef<PartyAnswer | null>
    /** what the ledger holds of a treat of it */
    writtenOf: (recipe: string) => OccasionWritten | undefined
    stale: Ref<boolean>
    late: Ref<boolean>
    /** why nothing is planned */
    problem: Ref<string | null>
    /** what was refused of what was written */
    refused: Ref<string | null>
    dogOf: (id: string) => PartyDog | undefined
    servedOf: (recipe: string) => PartyServed | undefined
    keep: (fields: OccasionFields) => Promise<boolean>
    share: (dog: string, said: Partial<Omit<OccasionShare, 'dog'>>) => Promise<boolean>
    box: (id: string, said: Partial<OccasionBox> | null) => Promise<boolean>
    /** what is asked about it: as it stands, kept or on its way */
    fields: () => OccasionFields
}

/** An occasion as it is kept, what was changed and is on its way laid over it, and what it comes to. */
export function useOccasion(id: () => string): OccasionOnPage {
    const kitchen = useKitchen()
    const today = useToday()
    const { problem: refused, doing } = useDoing()
    const occasion = computed(() => kitchen.all.occasions.of(id()))
    const treats = computed(() =>
        (occasion.value?.treats ?? []).flatMap((one) => {
            const slip = kitchen.all.recipes.of(one.recipeId)
            return slip === undefined ? [] : [{ ...one, title: slip.title }]
        }),
    )
    const coming = computed<Coming[]>(() => [
        ...(occasion.value?.dogs ?? []).flatMap((one) => {
            const dog = kitchen.all.dogs.of(one)
            return dog === undefined ? [] : [{ id: dog.id, name: dog.name, guest: null }]
        }),
        ...(occasion.value?.guests ?? []).map((guest) => ({ id: guest.id, name: guest.name, guest })),
    ])

    const fields = (): OccasionFields => (occasion.value === undefined ? {} : fieldsOf(occasion.value))

    /** what was given counts on its day */
    const ledger = (): number | null => ((occasion.value?.on ?? '9') <= today.value ? kitchen.number : 0)
    /** another occasion takes from the same days */
    const others = (): string =>
        kitchen.all.occasions.items
            .filter((one) => one.id !== id())
            .map((one) => `${one.id} ${one.version}`)
            .join()
    const { answer, problem, stale, late } = useAsked<OccasionPlan>({
        of: [() => JSON.stringify(fields()), () => treats.value.length, () => kitchen.version, ledger, others],
        ask: (signal) => (occasion.value === undefined || treats.value.length === 0 ? null : api.planOccasion(id(), fields(), signal)),
        immediate: true,
    })
    const plan = computed(() => answer.value?.plan ?? null)

    const keep = (said: OccasionFields): Promise<boolean> => doing(() => kitchen.all.occasions.keep(id(), said))

    function share(dog: string, said: Partial<Omit<OccasionShare, 'dog'>>): Promise<boolean> {
        const shares = occasion.value?.shares ?? []
        const now = { dog, recipeId: null, pieces: null, ...shares.find((one) => one.dog === dog), ...said }
        const others = shares.filter((one) => one.dog !== dog)

        return keep({ shares: now.recipeId === null && now.pieces === null ? others : [...others, now] })
    }

    function box(which: string, said: Partial<OccasionBox> | null): Promise<boolean> {
        const boxes = occasion.value?.boxes ?? []

        return keep({
            boxes: said === null ? boxes.filter((one) => one.id !== which) : boxes.map((one) => (one.id === which ? { ...one, ...said } : one)),
        })
    }

    return {
        occasion,
        coming,
        treats,
        plan,
        writtenOf: (recipe) => answer.value?.written.find((one) => one.recipeId === recipe),
        stale,
        late,
        problem,
        refused,
        dogOf: (dog) => plan.value?.guests.find((one) => one.dogId === dog),
        servedOf: (recipe) => plan.value?.treats.find((one) => one.id === recipe),
        keep,
        share,
        box,
        fields,
    }
}
