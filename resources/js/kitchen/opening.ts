import { computed, markRaw, type ComputedRef, type Ref, type ShallowRef } from 'vue'
import { api } from '../api/client'
import type { Choices, Kitchen, Vocabulary } from '../api/types.generated'
import type { Collection } from './useCollection'
import { wordsOf } from './wordsOf'

/** How a page comes to know its kitchen: what is asked for when it opens, and again when the kitchen was away. */
const FIRST = ['places', 'planned', 'occasions', 'trials', 'stock', 'bags'] as const
const THEN = ['batches', 'accepted'] as const
const WITH_IT = ['dogs', 'products', 'names', 'foods', 'swaps', 'prices', 'words'] as const
type Kind = (typeof FIRST)[number] | (typeof THEN)[number] | (typeof WITH_IT)[number] | 'recipes'
type Listed = Pick<Collection<{ id: string; version: number }, unknown>, 'asks' | 'lay' | 'load' | 'isLaid'>

interface Known {
    kitchen: Ref<Kitchen | null>
    /** the kitchen's own count of changes */
    number: Ref<number | null>
    choices: Ref<Choices | null>
    vocabulary: ShallowRef<Vocabulary | null>
    trouble: Ref<string | null>
}

export interface Opening {
    /** Asks for everything; who comes while it is being asked waits for the same answer. */
    open: () => Promise<void>
    /** Settled once everything the kitchen holds is here, or it did not answer. */
    opened: () => Promise<void>
    /** The kitchen answers: the lists that did not come when it was opened are asked for again. */
    fill: () => void
    /** Every list is here: only then is one that is empty nothing. */
    isWhole: ComputedRef<boolean>
}

export function openingOf(all: Record<Kind, unknown>, known: Known): Opening {
    const kinds = all as Record<Kind, Listed>
    const listing = new Set<Kind>()
    let opening: Promise<void> | null = null
    let isOpening = false

    function list(kind: Kind): void {
        listing.add(kind)
        void kinds[kind]
            .load()
            .catch(() => undefined)
            .finally(() => listing.delete(kind))
    }

    function open(): Promise<void> {
        if (opening === null || !isOpening) {
            isOpening = true
            opening = openNow().finally(() => {
                isOpening = false
            })
        }

        return opening
    }

    async function openNow(): Promise<void> {
        for (const kind of Object.values(kinds)) kind.asks()
        // what a first page may show is asked for at once, beside the rest; of a kitchen that was away one question is enough
        const wasAway = known.trouble.value !== null
        if (!wasAway) FIRST.forEach(list)
        try {
            const [opened, chosen] = await Promise.all([api.kitchen(), known.choices.value ?? api.choices()])
            known.kitchen.value = opened.kitchen
            known.number.value = opened.number
            if (wasAway) FIRST.forEach(list)
            for (const kind of WITH_IT) kinds[kind].lay(opened[kind])
            known.choices.value = markRaw(chosen)
            known.trouble.value = null
            kinds.recipes.lay(await api.shelf())
            THEN.forEach(list)
            // words to offer can come when they come
            known.vocabulary.value ??= await api.vocabulary().catch(() => null)
        } catch (error) {
            known.trouble.value = wordsOf(error)
        }
    }

    return {
        open,
        opened: () => opening ?? open(),
        fill() {
            for (const kind of [...FIRST, ...THEN]) if (!kinds[kind].isLaid && !listing.has(kind)) list(kind)
        },
        isWhole: computed(() => Object.values(kinds).every((kind) => kind.isLaid)),
    }
}
