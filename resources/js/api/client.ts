import type {
    AskedDough,
    AskedLabel,
    AskedOccasion,
    AskedProfile,
    AskedRaid,
    AskedRecipe,
    AskedRescue,
    AskedScale,
    AskedSize,
    AskedSwaps,
    AskedWeek,
} from './asked'
import type {
    Changes,
    Choices,
    ConfirmationRecord,
    Dog,
    FormulateAnswer,
    Kitchen,
    LabelAnswer,
    LabelShelf,
    Offer,
    OpenKitchen,
    Problem,
    RaidAnswer,
    ReadAnswer,
    DoughAnswer,
    GiveAwayAnswer,
    OccasionAnswer,
    ProfileAnswer,
    ProfileInShort,
    ScaleAnswer,
    SizeAnswer,
    WeekAnswer,
    Recipe,
    RescueAnswer,
    RuleBook,
    Slip,
    SwapsAnswer,
    Trashed,
    Vocabulary,
} from './types.generated'

/** What the kitchen answered when it could not do what was asked. */
export class KitchenProblem extends Error {
    constructor(readonly problem: Problem) {
        super(problem.message)
    }
}

/** What the page itself has to refuse, in the form in which the kitchen does. */
export function refusal(code: string, title: string, message: string): Problem {
    return { type: 'about:blank', title, status: 0, code, path: '', message }
}

export const UNREACHABLE = refusal('unreachable', 'No answer', 'The kitchen does not answer. What you typed is kept in this browser.')

function ask<T>(method: string, path: string, body?: unknown, signal?: AbortSignal): Promise<T> {
    return send<T>(method, path, body, { signal })
}

/** @throws KitchenProblem with what the kitchen said, or that it does not answer */
export async function send<T>(
    method: string,
    path: string,
    body?: unknown,
    { headers = {}, signal }: { headers?: Record<string, string>; signal?: AbortSignal | undefined } = {},
): Promise<T> {
    let response: Response
    const sent = body === undefined ? undefined : JSON.stringify(body)
    try {
        response = await fetch(`/api/${path}`, {
            method,
            headers: body === undefined ? headers : { ...headers, 'Content-Type': 'application/json' },
            body: sent,
            ...(signal === undefined ? {} : { signal }),
            // what was changed is kept even when the page is left at once; a browser takes 64 kB so
            keepalive: method !== 'GET' && signal === undefined && (sent?.length ?? 0) < 20_000,
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

export type DogFields = Partial<Omit<Dog, 'id' | 'version' | 'weightSaid'>> & { weight?: string | null; expectedAdultWeight?: string | null }
export type RecipeFields = Partial<Omit<Recipe, 'id' | 'version' | 'updatedAt' | 'judged'>>
export interface ProductFields {
    name?: string
    number?: string | null
    ingredients?: string
    listLater?: boolean
}
export type ConfirmationFields = Pick<ConfirmationRecord, 'code' | 'level' | 'line' | 'dog' | 'dogId' | 'recipeTitle' | 'words'> &
    Partial<Pick<ConfirmationRecord, 'productId' | 'holdsUntil'>>
export type KitchenFields = Partial<
    Kitchen['policy'] &
        Pick<Kitchen, 'name' | 'baker' | 'amountsAs' | 'weightsAs' | 'sizesAs' | 'datesAs' | 'temperature' | 'ovenFan' | 'timezone'> & {
            trayWidthMm: number
            trayLengthMm: number
            trayGapMm: number
            traysAtOnce: number
        }
>

export interface NameFields {
    words: string
    ingredient: string
}

/** Things of one kind, where the kitchen keeps them. */
export function kept<T>(path: string) {
    return { all: () => ask<T[]>('GET', path), one: (id: string) => ask<T>('GET', `${path}/${id}`) }
}

export const api = {
    kitchen: () => ask<OpenKitchen>('GET', 'kitchen'),
    changes: (after: number) => ask<Changes>('GET', `changes?after=${after}`),
    shelf: () => ask<Slip[]>('GET', 'shelf'),
    judge: (recipes: string[]) => ask<Slip[]>('POST', 'shelf/judge', { recipes }),
    recipe: (id: string) => ask<Recipe>('GET', `recipes/${id}`),
    profiles: () => ask<ProfileInShort[]>('GET', 'profiles'),
    trash: () => ask<Trashed[]>('GET', 'trash'),
    bringBack: (kind: string, id: string) => ask<unknown>('POST', `trash/${kind}/${id}`, {}),
    confirmations: () => ask<ConfirmationRecord[]>('GET', 'confirmations'),
    choices: () => ask<Choices>('GET', 'choices'),
    vocabulary: () => ask<Vocabulary>('GET', 'vocabulary'),
    labelShelf: (query: { number?: string; name?: string }) => ask<LabelShelf>('GET', `label-shelf?${new URLSearchParams(query).toString()}`),
    read: (content: string) => ask<ReadAnswer>('POST', 'read', { version: 1, content, explain: true }),
    label: (question: AskedLabel, signal?: AbortSignal) => ask<LabelAnswer>('POST', 'ask/label', question, signal),
    raid: (question: AskedRaid) => ask<RaidAnswer>('POST', 'ask/raid', question),
    rescue: (question: AskedRescue) => ask<RescueAnswer>('POST', 'ask/rescue', question),
    swaps: (question: AskedSwaps) => ask<SwapsAnswer>('POST', 'ask/swaps', question),
    dough: (question: AskedDough, signal?: AbortSignal) => ask<DoughAnswer>('POST', 'ask/dough', question, signal),
    size: (question: AskedSize, signal?: AbortSignal) => ask<SizeAnswer>('POST', 'ask/size', question, signal),
    scale: (question: AskedScale, signal?: AbortSignal) => ask<ScaleAnswer>('POST', 'ask/scale', question, signal),
    occasion: (question: AskedOccasion) => ask<OccasionAnswer>('POST', 'ask/occasion', question),
    week: (question: AskedWeek, signal?: AbortSignal) => ask<WeekAnswer>('POST', 'ask/week', question, signal),
    giveAway: (question: AskedRecipe, signal?: AbortSignal) => ask<GiveAwayAnswer>('POST', 'ask/give-away', question, signal),
    profile: (question: AskedProfile, signal?: AbortSignal) => ask<ProfileAnswer>('POST', 'ask/profile', question, signal),
    rules: () => ask<RuleBook>('GET', 'rules'),
    search: (words: string) => ask<Offer[]>('GET', `search?${new URLSearchParams({ words }).toString()}`),
    formulate: (question: AskedRecipe, signal?: AbortSignal) => ask<FormulateAnswer>('POST', 'ask/formulate', question, signal),
}
