import type { Choices, Dog, FormulateAnswer, FormulateRequest, Kitchen, OpenKitchen, Problem, Recipe } from './types.generated'

/** What the kitchen answered when it could not do what was asked. */
export class KitchenProblem extends Error {
    constructor(readonly problem: Problem) {
        super(problem.message)
    }
}

const UNREACHABLE: Problem = {
    type: 'about:blank', title: 'No answer', status: 0, code: 'unreachable', path: '',
    message: 'The kitchen does not answer. What you typed is kept in this browser.',
}

async function ask<T>(method: string, path: string, body?: unknown, signal?: AbortSignal): Promise<T> {
    let response: Response
    try {
        response = await fetch(`/api/${path}`, {
            method,
            headers: body === undefined ? {} : { 'Content-Type': 'application/json' },
            body: body === undefined ? undefined : JSON.stringify(body),
            signal,
        })
    } catch (error) {
        if (signal?.aborted) throw error
        throw new KitchenProblem(UNREACHABLE)
    }
    if (response.status === 204) return undefined as T
    const text = await response.text()
    let json: unknown = null
    try {
        json = JSON.parse(text)
    } catch {
        throw new KitchenProblem({ ...UNREACHABLE, status: response.status })
    }
    if (!response.ok) throw new KitchenProblem(json as Problem)

    return json as T
}

export type DogFields = Partial<Omit<Dog, 'id'>>
export type RecipeFields = Partial<Omit<Recipe, 'id' | 'updatedAt'>>
export type KitchenFields = Partial<Kitchen['policy'] & Pick<Kitchen, 'name' | 'amountsAs' | 'temperature'>>

export const api = {
    kitchen: () => ask<OpenKitchen>('GET', 'kitchen'),
    changeKitchen: (fields: KitchenFields) => ask<Kitchen>('PATCH', 'kitchen', fields),
    choices: () => ask<Choices>('GET', 'choices'),
    setTable: (dogs: string[]) => ask<Dog[]>('PUT', 'table', { dogs }),
    addDog: (fields: DogFields) => ask<Dog>('POST', 'dogs', fields),
    changeDog: (id: string, fields: DogFields) => ask<Dog>('PATCH', `dogs/${id}`, fields),
    removeDog: (id: string) => ask<undefined>('DELETE', `dogs/${id}`),
    addRecipe: (fields: RecipeFields) => ask<Recipe>('POST', 'recipes', fields),
    changeRecipe: (id: string, fields: RecipeFields) => ask<Recipe>('PATCH', `recipes/${id}`, fields),
    removeRecipe: (id: string) => ask<undefined>('DELETE', `recipes/${id}`),
    formulate: (request: FormulateRequest, signal: AbortSignal) => ask<FormulateAnswer>('POST', 'formulate', request, signal),
}
