import type { RecipeFields } from '../api/client'
import type { AskedPart, AskedPortion, Cut, GoesWithout, Recipe } from '../api/types.generated'

/** What lies on the bench, and how it is kept and compared. */

/** A label that was read for a line of this sheet. What a vet said is the dog's, and stands with it. */
export interface Confirmation {
    code: string
    line: string | null
    /** the dog's id */
    dog: string | null
    /** the record kept of it, once the kitchen has written it down */
    record?: string
}

/** What was shown when a person confirmed, for the record. */
export interface Saying extends Confirmation {
    level: 'ask-vet' | 'check-label'
    words: string
    /** as it was shown */
    dogName: string | null
    /** the jar that was read, where it was named: its word holds for every recipe */
    productId?: string | null
    /** the last day on which a vet's word holds; a year from today where nobody said */
    holdsUntil?: string | null
}

/** A line of the sheet bound to a product whose label was read. */
export interface Binding {
    line: string
    productId: string
}

export interface Measured {
    count: number | null
    bakedGrams: number | null
    wasteGrams: number | null
}

export const UNMEASURED: Measured = { count: null, bakedGrams: null, wasteGrams: null }

/** A portion whose cut and texture are chosen, for dogs by their ids. */
export type Portion = AskedPortion & {
    name: string
    dogs: string[]
    share: number | null
    cut: Cut
    bake: { texture: Sheet['texture'] }
    measured?: Measured | null
}

/** It lives in the browser until the kitchen has acknowledged it. */
export interface Sheet {
    recipeId: string | null
    title: string
    text: string
    steps: string
    cut: Cut
    texture: NonNullable<Recipe['texture']>
    /** shares of the dough with their own cut and texture */
    portions: Portion[]
    /** what was said of its parts; the rest is guessed by the headings */
    parts: AskedPart[]
    without: GoesWithout[]
    /** what the oven is set to, °C whatever the kitchen reads */
    ovenC: number | null
    /** weighed and counted after cooling; overrules the estimate */
    measured: Measured
    confirmed: Confirmation[]
    bound: Binding[]
    parentId: string | null
    source: string | null
    yield: string | null
    prepMinutes: number | null
    bakeMinutes: number | null
}

export function blankSheet(): Sheet {
    return {
        recipeId: null,
        title: '',
        text: '',
        steps: '',
        confirmed: [],
        bound: [],
        portions: [],
        parts: [],
        without: [],
        parentId: null,
        source: null,
        yield: null,
        prepMinutes: null,
        bakeMinutes: null,
        ovenC: null,
        measured: { ...UNMEASURED },
        cut: { shape: 'round', diameterMm: 25, thicknessMm: 6 },
        texture: 'biscuit',
    }
}

export function sheetOf(recipe: Recipe): Sheet {
    const blank = blankSheet()
    const { id, title, text, steps, parentId, source, prepMinutes, bakeMinutes } = recipe

    return {
        ...blank,
        recipeId: id,
        title,
        text,
        steps,
        parentId,
        source,
        yield: recipe.yield,
        prepMinutes,
        bakeMinutes,
        portions: (recipe.portions ?? []) as Portion[],
        parts: recipe.parts ?? [],
        without: recipe.without ?? [],
        cut: recipe.cut ?? blank.cut,
        texture: recipe.texture ?? blank.texture,
        confirmed: recipe.confirmed,
        bound: recipe.bound,
    }
}

/** How the sheet is divided, as it is kept: nothing said is nothing kept. */
export function divided({ portions, parts, without }: Sheet): Pick<Recipe, 'portions' | 'parts' | 'without'> {
    return {
        portions: portions.length === 0 ? null : portions,
        parts: parts.length === 0 ? null : parts,
        without: without.length === 0 ? null : without,
    }
}

export const UNTITLED = 'Untitled'

/** What of a sheet is kept on the shelf. */
export type OnShelf = Required<
    Pick<RecipeFields, 'title' | 'text' | 'steps' | 'cut' | 'texture' | 'portions' | 'parts' | 'without' | 'confirmed' | 'bound'>
>

export function onShelf(sheet: Sheet): OnShelf {
    const { title, text, steps, cut, texture, confirmed, bound } = sheet

    return {
        title: title.trim() === '' ? UNTITLED : title,
        text,
        steps,
        cut,
        texture,
        ...divided(sheet),
        confirmed: confirmed.map(({ code, line, dog }) => ({ code, line, dog })),
        bound: bound.map(({ line, productId }) => ({ line, productId })),
    }
}

/** The same of a recipe as the shelf holds it, with what a sheet has where nothing was said. */
export function shelvedOf(recipe: Recipe): OnShelf {
    return onShelf(sheetOf(recipe))
}

/** In one string to compare by, and to be kept. */
export function written(sheet: Sheet): string {
    return JSON.stringify(onShelf(sheet))
}

/** What of a sheet differs from what the shelf is known to hold. */
export function changedSince(shelved: string | null, sheet: Sheet): Partial<OnShelf> {
    const now = onShelf(sheet)
    const was = shelved === null ? null : (JSON.parse(shelved) as Partial<OnShelf>)

    return Object.fromEntries(
        Object.entries(now).filter(([key, value]) => was === null || JSON.stringify(was[key as keyof OnShelf]) !== JSON.stringify(value)),
    )
}

/** A change of what is on the shelf, as a sheet takes it. */
export function asSheet(change: Partial<OnShelf>): Partial<Sheet> {
    const { portions, parts, without, cut, texture, ...same } = change
    const blank = blankSheet()

    return {
        ...same,
        ...(portions === undefined ? {} : { portions: (portions ?? []) as Portion[] }),
        ...(parts === undefined ? {} : { parts: parts ?? [] }),
        ...(without === undefined ? {} : { without: without ?? [] }),
        ...(cut === undefined ? {} : { cut: cut ?? blank.cut }),
        ...(texture === undefined ? {} : { texture: texture ?? blank.texture }),
    }
}

export function isBlank(sheet: Sheet): boolean {
    return sheet.recipeId === null && sheet.text.trim() === '' && sheet.steps.trim() === '' && sheet.title.trim() === ''
}

/** What is said of a sheet beside its words, and goes back with them. A confirmation does not: it stands in the record, and is taken back there. */
export const SAID = [
    'recipeId',
    'parentId',
    'title',
    'cut',
    'texture',
    'portions',
    'parts',
    'without',
    'ovenC',
    'measured',
    'bound',
    'source',
    'yield',
    'prepMinutes',
    'bakeMinutes',
] as const

export type Said = Pick<Sheet, (typeof SAID)[number]>

export function saidOf(sheet: Sheet): Said {
    return JSON.parse(JSON.stringify(Object.fromEntries(SAID.map((key) => [key, sheet[key]])))) as Said
}

/** What differs between two, as a change that can be made and taken back; null when nothing does. */
export function differenceOf(before: Partial<Said>, after: Partial<Said>): { before: string; after: string } | null {
    const keys = SAID.filter((key) => key in after && JSON.stringify(before[key]) !== JSON.stringify(after[key]))
    const of = (said: Partial<Said>): string => JSON.stringify(Object.fromEntries(keys.map((key) => [key, said[key]])))

    return keys.length === 0 ? null : { before: of(before), after: of(after) }
}
