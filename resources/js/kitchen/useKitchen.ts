import { computed, reactive, ref, shallowRef, watch, type InjectionKey } from 'vue'
import {
    api,
    KitchenProblem,
    refusal,
    UNREACHABLE,
    type DogFields,
    type KitchenFields,
    type NameFields,
    type PlaceFields,
    type ProductFields,
    type RecipeFields,
    type PlannedFields,
    type StockFields,
    type TrialFields,
    type ConfirmationFields,
} from '../api/client'
import { Outbox } from '../api/outbox'
import type {
    AcceptedFactor,
    ActDone,
    Bag,
    BatchSlip,
    Changes,
    Choices,
    ConfirmationRecord,
    Dog,
    KeptFood,
    KeptName,
    KeptPrice,
    KeptSwap,
    Kitchen,
    KitchenDay,
    Occasion,
    OccasionFields,
    OwnFood,
    OwnSwap,
    Place,
    Price,
    Product,
    Recipe,
    Slip,
    PlannedBake,
    StockItem,
    Trial,
    Vocabulary,
} from '../api/types.generated'
import { dogWith, kitchenWith, occasionWith, productWith, slipOf, slipWith, trialWith } from './written'
import { openingOf } from './opening'
import { wordsOf } from './wordsOf'
import { useCollection, type Collection } from './useCollection'
import { given } from '../ui/given'

const collator = new Intl.Collator(undefined, { sensitivity: 'base' })
const by =
    <T>(said: (one: T) => string) =>
    (one: T, two: T): number =>
        collator.compare(said(one), said(two))

/** The open kitchen: its house rules, and everything it keeps, each kind in a collection. */
export function createKitchen(outbox: Outbox = new Outbox()) {
    const known = ref<Kitchen | null>(null)
    const choices = ref<Choices | null>(null)
    // a thousand words that never change: nobody need watch them
    const vocabulary = shallowRef<Vocabulary | null>(null)
    const trouble = ref<string | null>(null)
    /** the kitchen's own count of changes, as far as this page knows them */
    const number = ref<number | null>(null)
    const all = {
        dogs: useCollection<Dog, DogFields>(outbox, 'dogs', { over: dogWith, called: (one) => one.name ?? 'a dog' }),
        recipes: useCollection<Slip, RecipeFields>(outbox, 'recipes', {
            partly: true,
            inOrder: by((one) => one.title),
            over: slipWith,
            taken: (answer, before) => slipOf(answer as Recipe, before?.foods),
            called: (one) => one.title ?? 'a recipe',
        }),
        products: useCollection<Product, ProductFields>(outbox, 'products', {
            inOrder: by((one) => one.name),
            over: productWith,
            called: (one) => one.name ?? 'a jar',
        }),
        names: useCollection<KeptName, NameFields>(outbox, 'names', { called: (one) => one.words ?? 'a word' }),
        foods: useCollection<KeptFood, OwnFood>(outbox, 'foods', {
            over: (fields, one) => ({ ingredient: one?.ingredient ?? '', food: fields }),
            called: (one) => one.food?.name ?? one.name ?? 'a food',
        }),
        swaps: useCollection<KeptSwap, OwnSwap>(outbox, 'swaps', {
            path: 'own-swaps',
            over: (swap) => ({ swap }),
            called: () => 'a swap of your own',
        }),
        prices: useCollection<KeptPrice, Price>(outbox, 'prices', {
            over: (price) => ({ price }),
            called: (one) => `the price of ${nameOf(one.price?.ingredient ?? one.ingredient ?? '')}`,
        }),
        batches: useCollection<BatchSlip>(outbox, 'batches', {
            inOrder: (one, two) => (one.begunAt < two.begunAt ? 1 : -1),
            called: (one) => one.title ?? 'a batch',
        }),
        places: useCollection<Place, PlaceFields>(outbox, 'places', {
            inOrder: (one, two) => one.position - two.position || (one.name < two.name ? -1 : 1),
            over: (fields) => ({ celsius: null, position: 999, ...fields }),
            called: (one) => one.name ?? 'a place',
        }),
        planned: useCollection<PlannedBake, PlannedFields>(outbox, 'planned', {
            inOrder: (one, two) => (one.on < two.on ? -1 : 1),
            over: (fields, one) => ({ batchId: one?.batchId ?? null, ...fields }),
            called: () => 'a planned bake',
        }),
        occasions: useCollection<Occasion, OccasionFields>(outbox, 'occasions', {
            inOrder: (one, two) => (one.on === two.on ? (one.name < two.name ? -1 : 1) : one.on < two.on ? -1 : 1),
            over: occasionWith,
            called: (one) => one.name ?? 'an occasion',
        }),
        trials: useCollection<Trial, TrialFields>(outbox, 'trials', {
            inOrder: (one, two) => (one.from < two.from ? -1 : 1),
            over: trialWith,
            called: () => 'a trial',
        }),
        stock: useCollection<StockItem, StockFields>(outbox, 'stock', { called: (one) => nameOf(one.ingredient ?? '') }),
        bags: useCollection<Bag>(outbox, 'bags', { called: (one) => `bag ${one.number ?? ''}` }),
        accepted: useCollection<AcceptedFactor>(outbox, 'accepted', { called: (one) => one.says ?? 'a lesson' }),
        words: useCollection<ConfirmationRecord, ConfirmationFields>(outbox, 'confirmations', {
            over: (fields) => ({
                saidAt: '',
                saidBy: '',
                dataVersion: '',
                takenBackAt: null,
                productId: null,
                holdsUntil: null,
                known: [],
                ...fields,
            }),
            called: (one) => (one.dog === null || one.dog === undefined ? 'a label that was read' : `the vet's word for ${one.dog}`),
        }),
    }
    const dogs = computed(() => all.dogs.items)
    const recipes = computed(() => all.recipes.items)
    const atTable = computed(() => dogs.value.filter((dog) => dog.atTable))
    const ownWords = computed(() => [...all.foods.items.map((one) => one.food.name), ...all.names.items.map((one) => one.words)])
    const writtenRecipes = computed(() => recipes.value.slice(0, 200).map((one) => one.begins))

    /** The house rules, with those laid over that are on their way. */
    const kitchen = computed<Kitchen | null>(() =>
        known.value === null
            ? null
            : outbox.entries
                  .filter((one) => one.kind === 'kitchen' && one.state === 'waits')
                  .reduce((one, { body }) => kitchenWith(body as KitchenFields, one), known.value),
    )

    /** Changes whenever something is kept that an answer may rest on: whoever asked asks again. */
    const version = ref(0)
    watch(
        [
            dogs,
            () => JSON.stringify(kitchen.value),
            ...(['products', 'names', 'foods', 'swaps', 'prices', 'words', 'accepted', 'trials'] as const).map((kind) => () => all[kind].items),
        ],
        () => {
            version.value++
        },
        { flush: 'sync' },
    )

    /** Whole recipes that were read, by their ids; one is read anew when its slip has another version. */
    const read = new Map<string, Recipe>()

    async function recipe(id: string): Promise<Recipe> {
        const held = read.get(id)
        const slip = all.recipes.of(id)
        if (held !== undefined && (slip === undefined || slip.version <= held.version)) return withWaiting(held)
        try {
            const one = await api.recipe(id)
            read.set(id, one)

            return withWaiting(one)
        } catch (error) {
            // one that was read before can be gone on with while the kitchen is away
            if (held !== undefined && error instanceof KitchenProblem && error.problem.status === 0) return withWaiting(held)
            throw error
        }
    }

    /** What is on its way stands in it already. */
    function withWaiting(one: Recipe): Recipe {
        return Object.assign(
            { ...one },
            ...outbox
                .of('recipes', one.id)
                .filter((entry) => entry.state === 'waits' && entry.method === 'PATCH')
                .map((entry) => entry.body ?? {}),
        ) as Recipe
    }

    const { open, opened, fill, isWhole } = openingOf(all, { kitchen: known, number, choices, vocabulary, trouble })

    /** Takes what another page or person changed. */
    function took(changes: Changes): void {
        number.value = changes.number
        const { kitchen: houseRules, confirmations, ...kinds } = changes.kinds
        const newest = houseRules?.[0]
        if (newest !== undefined && newest.version > (known.value?.version ?? 0)) known.value = newest
        const gone = (kind: string): string[] => changes.gone.filter((one) => one.kind === kind).map((one) => one.id)
        for (const kind of [
            'dogs',
            'recipes',
            'products',
            'names',
            'foods',
            'swaps',
            'prices',
            'batches',
            'accepted',
            'places',
            'bags',
            'stock',
            'planned',
            'trials',
            'occasions',
        ] as const)
            (all[kind] as unknown as Collection<{ id: string; version: number }, unknown>).took(kinds[kind] ?? [], gone(kind))
        all.words.took(
            (confirmations ?? []).filter(lasts),
            (confirmations ?? []).filter((one) => !lasts(one)).map((one) => one.id),
        )
        for (const one of kinds.weighings ?? []) weighed.value = { dog: one.dogId, times: weighed.value.times + 1 }
        if (gone('weighings').length > 0) weighed.value = { dog: null, times: weighed.value.times + 1 }
    }

    /** Of which dog a weight was written down or taken out elsewhere; null: nobody knows which. */
    const weighed = ref<{ dog: string | null; times: number }>({ dog: null, times: 0 })

    outbox.follow((entry, answer) => {
        if (entry.kind === 'jar-acts') {
            // both at once: a batch stands about and in a jar never, or nowhere
            const done = answer as ActDone
            all.bags.took(done.bags)
            all.batches.took(done.batches)
        }
        if (entry.kind === 'given') all.bags.took((answer as KitchenDay).bags ?? [])
        if (entry.kind === 'kitchen') known.value = answer as Kitchen
        if (entry.kind === 'recipes' && entry.method !== 'DELETE') {
            const one = answer as Recipe
            read.set(one.id, one)
        }
    })

    /** Every food that can be named: of the catalogue, and of this kitchen. */
    const foodsByName = computed(() => [
        ...(choices.value?.foods ?? []),
        ...all.foods.items.map((one) => ({ id: one.ingredient, name: one.food.name })),
    ])

    /**
     * What core calls the food of a name.
     *
     * @throws KitchenProblem where there is no such food, or the kitchen cannot say
     */
    async function foodCalled(name: string): Promise<string> {
        if (choices.value === null) await opened()
        const wanted = name.trim().toLowerCase()
        const found = foodsByName.value.find((one) => one.name.toLowerCase() === wanted || one.id === wanted)
        if (found !== undefined) return found.id
        if (choices.value === null) throw new KitchenProblem(UNREACHABLE)
        throw new KitchenProblem(refusal('unknown-food', 'No such food', `The catalogue holds no "${name}": choose one of the names it offers.`))
    }

    function nameOf(ingredient: string): string {
        return foodsByName.value.find((one) => one.id === ingredient)?.name ?? ingredient.replaceAll('-', ' ')
    }

    /** Seats a dog or lets it go: shown at once, and as it was where the kitchen refuses it. */
    async function seat(dog: Dog): Promise<void> {
        try {
            await all.dogs.keep(dog.id, { atTable: !dog.atTable })
            trouble.value = null
        } catch (error) {
            trouble.value = wordsOf(error)
        }
    }

    /** @throws KitchenProblem */
    async function change(fields: KitchenFields): Promise<void> {
        await outbox.put({
            method: 'PATCH',
            path: 'kitchen',
            kind: 'kitchen',
            id: null,
            name: 'the house rules',
            body: fields,
            base: known.value?.version ?? null,
        })
    }

    return reactive({
        kitchen,
        choices,
        vocabulary,
        trouble,
        number,
        all,
        version,
        weighed,
        atTable,
        ownWords,
        writtenRecipes,
        foodsByName,
        foodCalled,
        nameOf,
        open,
        opened,
        fill,
        isWhole,
        took,
        recipe,
        seat,
        change,
        dogs,
        recipes,
        products: computed(() => all.products.items),
        names: computed(() => all.names.items),
        foods: computed(() => all.foods.items),
        swaps: computed(() => all.swaps.items),
        prices: computed(() => all.prices.items),
        words: computed(() => all.words.items.filter(lasts)),
    })
}

function lasts(word: ConfirmationRecord): boolean {
    return word.takenBackAt === null && (word.dogId !== null || word.productId !== null)
}

export type KitchenOnPage = ReturnType<typeof createKitchen>

export const KITCHEN: InjectionKey<KitchenOnPage> = Symbol('kitchen')

/** The kitchen of this page; made in its root. */
export function useKitchen(): KitchenOnPage {
    return given(KITCHEN)
}

export { wordsOf }
