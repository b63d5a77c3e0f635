import { computed, reactive, ref, shallowRef, watch, type InjectionKey } from 'vue'
import { api, KitchenProblem, refusal, UNREACHABLE, type DogFields, type KitchenFields, type NameFields, type ProductFields, type RecipeFields } from '../api/client'
import type { Choices, Dog, KeptFood, KeptName, KeptPrice, KeptSwap, Kitchen, OwnFood, OwnSwap, Price, Product, Recipe, Vocabulary } from '../api/types.generated'
import { useCollection } from './useCollection'
import { given } from '../ui/given'

/** The open kitchen: its house rules, and everything it keeps, each kind in a collection. */
export function createKitchen() {
    const kitchen = ref<Kitchen | null>(null)
    const choices = ref<Choices | null>(null)
    // a thousand words that never change: nobody need watch them
    const vocabulary = shallowRef<Vocabulary | null>(null)
    const trouble = ref<string | null>(null)
    const all = {
        dogs: useCollection<Dog, DogFields>('dogs'),
        recipes: useCollection<Recipe, RecipeFields>('recipes', (one, two) => one.title.localeCompare(two.title)),
        products: useCollection<Product, ProductFields>('products', (one, two) => one.name.localeCompare(two.name)),
        names: useCollection<KeptName, NameFields>('names'),
        foods: useCollection<KeptFood, OwnFood>('foods'),
        swaps: useCollection<KeptSwap, OwnSwap>('own-swaps'),
        prices: useCollection<KeptPrice, Price>('prices'),
    }
    const dogs = computed(() => all.dogs.items)
    const recipes = computed(() => all.recipes.items)
    const atTable = computed(() => dogs.value.filter((dog) => dog.atTable))
    const ownWords = computed(() => [...all.foods.items.map((one) => one.food.name), ...all.names.items.map((one) => one.words)])
    const writtenRecipes = computed(() => recipes.value.map((one) => one.text))

    /** Changes whenever something is kept that an answer may rest on: whoever asked asks again. */
    const version = ref(0)
    watch([dogs, kitchen, ...(['products', 'names', 'foods', 'swaps', 'prices'] as const).map((kind) => () => all[kind].items)], () => { version.value++ }, { deep: true, flush: 'sync' })

    let opening: Promise<void> | null = null

    function open(): Promise<void> {
        opening = openNow()

        return opening
    }

    /** Settled once everything the kitchen holds is here, or it did not answer. */
    function opened(): Promise<void> {
        return opening ?? open()
    }

    async function openNow(): Promise<void> {
        try {
            const [opened, chosen] = await Promise.all([api.kitchen(), api.choices()])
            kitchen.value = opened.kitchen
            all.dogs.lay(opened.dogs)
            all.recipes.lay(opened.recipes)
            all.products.lay(opened.products)
            all.names.lay(opened.names)
            all.foods.lay(opened.foods)
            all.swaps.lay(opened.swaps)
            all.prices.lay(opened.prices)
            choices.value = chosen
            trouble.value = null
            // words to offer can come when they come
            vocabulary.value ??= await api.vocabulary().catch(() => null)
        } catch (error) {
            trouble.value = wordsOf(error)
        }
    }

    /** Every food that can be named: of the catalogue, and of this kitchen. */
    const foodsByName = computed(() => [...choices.value?.foods ?? [], ...all.foods.items.map((one) => ({ id: one.ingredient, name: one.food.name }))])

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

    async function seat(dog: Dog): Promise<void> {
        dog.atTable = !dog.atTable
        try {
            await api.setTable(atTable.value.map((one) => one.id))
            trouble.value = null
        } catch (error) {
            trouble.value = wordsOf(error)
        }
    }

    /** Changes go one after the other: of two quick ones the later must win. */
    let changing: Promise<unknown> = Promise.resolve()

    function change(fields: KitchenFields): Promise<void> {
        const mine = changing.then(async () => {
            kitchen.value = await api.changeKitchen(fields)
        })
        changing = mine.catch(() => undefined)

        return mine
    }

    return reactive({
        kitchen, choices, vocabulary, trouble, all, version, atTable, ownWords, writtenRecipes, foodsByName, foodCalled, nameOf, open, opened, seat, change, dogs, recipes,
        products: computed(() => all.products.items), names: computed(() => all.names.items), foods: computed(() => all.foods.items),
        swaps: computed(() => all.swaps.items), prices: computed(() => all.prices.items),
    })
}

export type KitchenOnPage = ReturnType<typeof createKitchen>

export const KITCHEN: InjectionKey<KitchenOnPage> = Symbol('kitchen')

/** The kitchen of this page; made in its root. */
export function useKitchen(): KitchenOnPage {
    return given(KITCHEN)
}

export function wordsOf(error: unknown): string {
    return error instanceof KitchenProblem ? error.message : 'Something went wrong in this page. What you typed is kept in this browser.'
}
