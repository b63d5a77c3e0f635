import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { api, KitchenProblem, type DogFields, type KitchenFields, type ProductFields, type RecipeFields } from '../api/client'
import type { Choices, Dog, KeptFood, KeptName, KeptPrice, KeptSwap, Kitchen, OwnFood, OwnSwap, Price, Product, Recipe } from '../api/types.generated'

/** The open kitchen: its house rules, its dogs and its recipes. */
export const useKitchen = defineStore('kitchen', () => {
    const kitchen = ref<Kitchen | null>(null)
    const dogs = ref<Dog[]>([])
    const recipes = ref<Recipe[]>([])
    const products = ref<Product[]>([])
    const names = ref<KeptName[]>([])
    const foods = ref<KeptFood[]>([])
    const swaps = ref<KeptSwap[]>([])
    const prices = ref<KeptPrice[]>([])
    const choices = ref<Choices | null>(null)
    const trouble = ref<string | null>(null)

    const atTable = computed(() => dogs.value.filter((dog) => dog.atTable))

    /** Changes whenever something is kept that an answer may rest on: whoever asked asks again. */
    const version = ref(0)
    watch([dogs, kitchen, products, names, foods, swaps, prices], () => { version.value++ }, { deep: true, flush: 'sync' })

    async function open(): Promise<void> {
        try {
            const [opened, chosen] = await Promise.all([api.kitchen(), api.choices()])
            kitchen.value = opened.kitchen
            dogs.value = opened.dogs
            recipes.value = opened.recipes
            products.value = opened.products
            names.value = opened.names
            foods.value = opened.foods
            swaps.value = opened.swaps
            prices.value = opened.prices
            choices.value = chosen
            trouble.value = null
        } catch (error) {
            trouble.value = wordsOf(error)
        }
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

    async function keepDog(id: string | null, fields: DogFields): Promise<Dog> {
        const kept = id === null ? await api.addDog(fields) : await api.changeDog(id, fields)
        const index = dogs.value.findIndex((one) => one.id === kept.id)
        if (index === -1) dogs.value.push(kept)
        else dogs.value[index] = kept

        return kept
    }

    /** Takes a dog as the kitchen now knows it. */
    async function refreshDog(id: string): Promise<void> {
        const kept = await api.dog(id)
        dogs.value = dogs.value.map((one) => one.id === id ? kept : one)
    }

    async function removeDog(id: string): Promise<void> {
        await api.removeDog(id)
        dogs.value = dogs.value.filter((one) => one.id !== id)
    }

    async function keepRecipe(id: string | null, fields: RecipeFields): Promise<Recipe> {
        const kept = id === null ? await api.addRecipe(fields) : await api.changeRecipe(id, fields)
        const index = recipes.value.findIndex((one) => one.id === kept.id)
        if (index === -1) recipes.value.push(kept)
        else recipes.value[index] = kept
        recipes.value.sort((one, two) => one.title.localeCompare(two.title))

        return kept
    }

    async function removeRecipe(id: string): Promise<void> {
        await api.removeRecipe(id)
        recipes.value = recipes.value.filter((one) => one.id !== id)
    }

    async function keepProduct(id: string | null, fields: ProductFields): Promise<Product> {
        const kept = id === null ? await api.addProduct(fields) : await api.changeProduct(id, fields)
        products.value = [...products.value.filter((one) => one.id !== kept.id), kept].sort((one, two) => one.name.localeCompare(two.name))

        return kept
    }

    async function removeProduct(id: string): Promise<void> {
        await api.removeProduct(id)
        products.value = products.value.filter((one) => one.id !== id)
    }

    async function keepName(words: string, ingredient: string): Promise<void> {
        const kept = await api.addName(words, ingredient)
        names.value = [...names.value.filter((one) => one.id !== kept.id), kept]
    }

    async function removeName(id: string): Promise<void> {
        await api.removeName(id)
        names.value = names.value.filter((one) => one.id !== id)
    }

    async function keepFood(food: OwnFood): Promise<void> {
        const kept = await api.addFood(food)
        foods.value = [...foods.value.filter((one) => one.id !== kept.id), kept]
    }

    async function removeFood(id: string): Promise<void> {
        await api.removeFood(id)
        foods.value = foods.value.filter((one) => one.id !== id)
    }

    async function rateSwap(swap: OwnSwap): Promise<void> {
        const kept = await api.rateSwap(swap)
        swaps.value = [...swaps.value.filter((one) => one.id !== kept.id), kept]
    }

    async function removeSwap(id: string): Promise<void> {
        await api.removeSwap(id)
        swaps.value = swaps.value.filter((one) => one.id !== id)
    }

    async function keepPrice(price: Price): Promise<void> {
        const kept = await api.addPrice(price)
        prices.value = [...prices.value.filter((one) => one.id !== kept.id), kept]
    }

    async function removePrice(id: string): Promise<void> {
        await api.removePrice(id)
        prices.value = prices.value.filter((one) => one.id !== id)
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

    return {
        kitchen, dogs, recipes, products, names, foods, swaps, prices, choices, trouble, version, atTable, open, seat, keepDog, refreshDog, removeDog, keepRecipe, removeRecipe,
        keepProduct, removeProduct, keepName, removeName, keepFood, removeFood, rateSwap, removeSwap, keepPrice, removePrice, change,
    }
})

export function wordsOf(error: unknown): string {
    return error instanceof KitchenProblem ? error.message : 'Something went wrong in this page. What you typed is kept in this browser.'
}
