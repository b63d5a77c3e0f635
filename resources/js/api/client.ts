import type {
    AskedBake,
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
    BagWithActs,
    BakeAnswer,
    Backup,
    Backups,
    Batch,
    BatchEntry,
    BatchSlip,
    Changes,
    Choices,
    CsvTaken,
    ConfirmationRecord,
    Dog,
    DoughAnswer,
    DoughRequest,
    FormulateAnswer,
    GiveAwayAnswer,
    Kitchen,
    KitchenDay,
    DogGiven,
    LeftOver,
    NextBake,
    PlannedBake,
    StockItem,
    ThawPlan,
    LabelAnswer,
    LabelPhoto,
    LabelShelf,
    OccasionAnswer,
    OccasionDue,
    OccasionFields,
    OccasionFound,
    OccasionPlan,
    Offer,
    OpenKitchen,
    OvenLesson,
    Place,
    PowerCutAnswer,
    PowerCutQuestion,
    Problem,
    ProfileAnswer,
    ProfileInShort,
    RaidAnswer,
    ReadAnswer,
    Recipe,
    RescueAnswer,
    RuleBook,
    ScaleAnswer,
    SizeAnswer,
    Season,
    ShoppingAnswer,
    Slip,
    SwapsAnswer,
    Trashed,
    Offers,
    Printed,
    Restored,
    Taken,
    Trial,
    Vocabulary,
    WeekAnswer,
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

/** So far may a device and its kitchen differ before the kitchen's time is taken: its answers tell it to the second. */
const CLOCKS_AGREE_MS = 2_500

let behind = 0

function heard(date: string | null): void {
    const told = date === null ? NaN : Date.parse(date)
    if (Number.isNaN(told)) return
    const off = told + 500 - Date.now()
    // an answer tells the second only: what is right within that stays as it is, or moments would jump to and fro
    if (Math.abs(off) <= CLOCKS_AGREE_MS) behind = 0
    else if (Math.abs(off - behind) > CLOCKS_AGREE_MS) behind = off
}

/** The kitchen's time: that of this device, set right where it was told otherwise. Timers are moments in it. */
export function kitchenTime(): number {
    return Date.now() + behind
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
    heard(response.headers.get('Date'))
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
export interface PlaceFields {
    name?: string
    kind?: Place['kind']
    celsius?: number | null
    position?: number
}
export type StockFields = Partial<Pick<StockItem, 'ingredient' | 'state'>>
export type PlannedFields = Partial<Pick<PlannedBake, 'recipeId' | 'on'>>
export type TrialFields = Partial<Pick<Trial, 'dogId' | 'kind' | 'foods' | 'from' | 'days' | 'vetSaid' | 'outcome' | 'saw'>> & {
    endedOn?: string | null
}
export interface ProductFields {
    name?: string
    number?: string | null
    ingredients?: string
    /** that the list was read from */
    photoId?: string
    listLater?: boolean
}
export type ConfirmationFields = Pick<ConfirmationRecord, 'code' | 'level' | 'line' | 'dog' | 'dogId' | 'recipeTitle' | 'words'> &
    Partial<Pick<ConfirmationRecord, 'productId' | 'holdsUntil'>>
export type KitchenFields = Partial<
    Kitchen['policy'] &
        Pick<
            Kitchen,
            | 'name'
            | 'baker'
            | 'amountsAs'
            | 'weightsAs'
            | 'sizesAs'
            | 'datesAs'
            | 'temperature'
            | 'ovenFan'
            | 'timezone'
            | 'backupsKept'
            | 'labelLanguages'
        > & {
            trayWidthMm: number
            trayLengthMm: number
            trayGapMm: number
            traysAtOnce: number
        }
>

/** A sheet that is to be made, as the kitchen begins a batch of it. */
export interface BegunBatch {
    asked: AskedRecipe
    title: string
    /** a moment in UTC */
    at: string
    /** a minute of the kitchen's own clock */
    startAt: string
    by: string
    oven?: string
    /** that are hot at once */
    ovens?: number
}

export interface NameFields {
    words: string
    ingredient: string
}

/** What is to be baked: so many batches of each, or as many as dogs eat in so many days. */
export interface AskedShopping {
    dogs: string[]
    treats: { name: string; recipe: { id: string }; times?: number; days?: number }[]
    savings?: boolean
}

/** Things of one kind, where the kitchen keeps them. */
export function kept<T>(path: string) {
    return { all: () => ask<T[]>('GET', path), one: (id: string) => ask<T>('GET', `${path}/${id}`) }
}

/** @throws KitchenProblem with what the kitchen said of the file, or that it does not answer */
export async function sendFile<T>(path: string, file: Blob, type: string): Promise<T> {
    let response: Response
    try {
        response = await fetch(`/api/${path}`, { method: 'POST', headers: { 'Content-Type': type }, body: file })
    } catch {
        throw new KitchenProblem(UNREACHABLE)
    }
    const json = (await response.json().catch(() => ({ ...UNREACHABLE, status: response.status }))) as unknown
    if (!response.ok) throw new KitchenProblem(json as Problem)

    return json as T
}

export const api = {
    printed: (query: string, signal?: AbortSignal) => ask<Printed>('GET', `print?${query}`, undefined, signal),
    lookIntoFile: (content: string) => ask<Offers>('POST', 'exchange/look', { content }),
    takeFromFile: (content: string, take: number[]) => ask<Taken>('POST', 'exchange/take', { content, take }),
    lookIntoCsv: (table: string, content: string) => ask<CsvTaken>('POST', `csv/${table}/look`, { content }),
    takeCsv: (table: string, content: string) => ask<CsvTaken>('POST', `csv/${table}`, { content }),
    backups: () => ask<Backups>('GET', 'backups'),
    backUp: () => ask<Backup>('POST', 'backups', {}),
    bringBackupIn: (file: Blob) => sendFile<Backup>('backups/file', file, 'application/zip'),
    restoreBackup: (id: string) => ask<Restored>('POST', `backups/${encodeURIComponent(id)}/restore`, {}),
    removeBackup: (id: string) => ask<undefined>('DELETE', `backups/${encodeURIComponent(id)}`),
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
    labelPhoto: (image: string, languages: LabelPhoto['languages']) => ask<LabelPhoto>('POST', 'ask/label-photo', { image, languages }),
    label: (question: AskedLabel, signal?: AbortSignal) => ask<LabelAnswer>('POST', 'ask/label', question, signal),
    raid: (question: AskedRaid) => ask<RaidAnswer>('POST', 'ask/raid', question),
    rescue: (question: AskedRescue) => ask<RescueAnswer>('POST', 'ask/rescue', question),
    swaps: (question: AskedSwaps) => ask<SwapsAnswer>('POST', 'ask/swaps', question),
    bake: (question: AskedBake, signal?: AbortSignal) => ask<BakeAnswer>('POST', 'ask/bake', question, signal),
    dough: (question: AskedDough, signal?: AbortSignal) => ask<DoughAnswer>('POST', 'ask/dough', question, signal),
    size: (question: AskedSize, signal?: AbortSignal) => ask<SizeAnswer>('POST', 'ask/size', question, signal),
    scale: (question: AskedScale, signal?: AbortSignal) => ask<ScaleAnswer>('POST', 'ask/scale', question, signal),
    occasion: (question: AskedOccasion) => ask<OccasionAnswer>('POST', 'ask/occasion', question),
    planOccasion: (id: string, fields: OccasionFields, signal?: AbortSignal) =>
        ask<OccasionPlan>('POST', `ask/occasion-plan?occasion=${id}`, fields, signal),
    findForOccasion: (fields: OccasionFields) => ask<OccasionFound>('POST', 'ask/occasion-find', fields),
    occasionsDue: (days: number, signal?: AbortSignal) => ask<OccasionDue[]>('GET', `occasions/due?days=${days}`, undefined, signal),
    shopping: (question: AskedShopping, signal?: AbortSignal) => ask<ShoppingAnswer>('POST', 'ask/shopping', question, signal),
    week: (question: AskedWeek, signal?: AbortSignal) => ask<WeekAnswer>('POST', 'ask/week', question, signal),
    giveAway: (question: AskedRecipe, signal?: AbortSignal) => ask<GiveAwayAnswer>('POST', 'ask/give-away', question, signal),
    profile: (question: AskedProfile, signal?: AbortSignal) => ask<ProfileAnswer>('POST', 'ask/profile', question, signal),
    rules: () => ask<RuleBook>('GET', 'rules'),
    search: (words: string) => ask<Offer[]>('GET', `search?${new URLSearchParams({ words }).toString()}`),
    batch: (id: string) => ask<Batch>('GET', `batches/${id}`),
    batchEntries: (id: string) => ask<BatchEntry[]>('GET', `batches/${id}/entries`),
    batchFigures: (id: string) => ask<FormulateAnswer>('GET', `batches/${id}/figures`),
    /** with what was made written out as a recipe */
    batchWrittenOut: (id: string) => ask<FormulateAnswer>('GET', `batches/${id}/figures?explain=1`),
    batchesOf: (recipe: string) => ask<BatchSlip[]>('GET', `batches?${new URLSearchParams({ recipe }).toString()}`),
    beginBatch: (begun: BegunBatch, key: string) => send<Batch>('POST', 'batches', begun, { headers: { 'Idempotency-Key': key } }),
    /** of a question as it was, whatever the kitchen keeps by now */
    coreDough: (question: Omit<DoughRequest, 'version'> & { version: 1 }) => ask<DoughAnswer>('POST', 'dough', question),
    day: (on?: string) => ask<KitchenDay>('GET', on === undefined ? 'day' : `day?on=${on}`),
    next: (of: { lacking?: string; bag?: string }) => ask<NextBake[]>('GET', `next?${new URLSearchParams(of).toString()}`),
    season: (dog: string, from: string, to: string) => ask<Season>('GET', `dogs/${dog}/season?from=${from}&to=${to}`),
    dogGiven: (dog: string, from: string, to: string) => ask<DogGiven>('GET', `dogs/${dog}/given?from=${from}&to=${to}`),
    calendarAddress: () => ask<{ address: string | null }>('GET', 'calendar/address'),
    renewCalendar: () => ask<{ address: string | null }>('POST', 'calendar/address', {}),
    leftOver: (batch: string) => ask<LeftOver>('GET', `batches/${batch}/left-over`),
    thawPlan: (days = 21) => ask<ThawPlan>('GET', `thaw-plan?days=${days}`),
    bag: (id: string) => ask<BagWithActs>('GET', `bags/${id}`),
    powerCut: (asked: PowerCutQuestion) => ask<PowerCutAnswer>('POST', 'ask/power-cut', asked),
    lessons: () => ask<OvenLesson[]>('GET', 'lessons'),
    formulate: (question: AskedRecipe, signal?: AbortSignal) => ask<FormulateAnswer>('POST', 'ask/formulate', question, signal),
}
