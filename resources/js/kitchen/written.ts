import type { DogFields, KitchenFields, ProductFields, RecipeFields, TrialFields } from '../api/client'
import type { Dog, Kitchen, Occasion, OccasionFields, Product, Recipe, Slip, Trial } from '../api/types.generated'

/** How things look with fields that were written and that the kitchen has not taken yet: what follows from them is not known, and says so. */

const NEW_TRIAL: Pick<Trial, 'days' | 'lastDay' | 'vetSaid' | 'endedOn' | 'outcome' | 'saw' | 'dates'> = {
    days: 14,
    lastDay: '',
    vetSaid: false,
    endedOn: null,
    outcome: null,
    saw: null,
    dates: [],
}

const NEW_DOG: Omit<Dog, 'id' | 'version' | 'name'> = {
    weightKg: null,
    ageMonths: null,
    bornOn: null,
    sex: null,
    neutered: null,
    bodyCondition: null,
    activity: 'normal',
    breed: null,
    expectedAdultWeightKg: null,
    stage: null,
    teeth: 'full',
    eating: 'normal',
    allergies: [],
    allowList: null,
    conditions: [],
    medicines: [],
    newIngredients: [],
    dislikes: [],
    foodKcalPer100g: null,
    budgetPercent: null,
    atTable: true,
    meals: null,
    weightSaid: null,
}

/** A dog as it will be once the kitchen has these fields. A weight in words is read there, and not before. */
export function dogWith({ weight, ...written }: DogFields, one: Dog | null): Partial<Dog> {
    const fields = { ...written }
    // only the kitchen reads a weight
    delete fields.expectedAdultWeight

    return {
        ...(one === null ? NEW_DOG : {}),
        ...fields,
        ...(weight === undefined ? {} : { weightSaid: weight }),
    }
}

/** A trial; what it means today the kitchen says. */
export function trialWith(fields: TrialFields, one: Trial | null): Partial<Trial> {
    const isOpen = fields.outcome === undefined ? (one?.isOpen ?? true) : fields.outcome === null

    return {
        ...(one === null ? NEW_TRIAL : {}),
        ...fields,
        isOpen,
        isDue: isOpen && (one?.isDue ?? false),
        says: isOpen ? (one?.says ?? 'waits for the kitchen') : 'ended',
    }
}

/** A recipe's slip; nobody has judged it as it is written now. */
export function slipWith(fields: RecipeFields, one: Slip | null): Partial<Slip> {
    const { title, text, steps, tags, favourite, photoId, promoted, parentId, notes, texture, cut } = fields
    const said = {
        title,
        tags,
        favourite,
        photoId,
        promoted,
        parentId,
        notes,
        texture,
        ...(text === undefined ? {} : { begins: text.slice(0, 240) }),
        ...(steps === undefined ? {} : { hasMethod: steps !== '' }),
        ...(cut === undefined ? {} : { shape: cut?.shape ?? null }),
    }
    const isAsked = text !== undefined || steps !== undefined || texture !== undefined || cut !== undefined

    return {
        ...(one === null
            ? {
                  title: '',
                  begins: '',
                  hasMethod: false,
                  texture: null,
                  shape: null,
                  tags: [],
                  favourite: false,
                  photoId: null,
                  promoted: false,
                  parentId: null,
                  notes: '',
                  foods: [],
                  updatedAt: new Date().toISOString(),
              }
            : {}),
        ...Object.fromEntries(Object.entries(said).filter(([, value]) => value !== undefined)),
        ...(isAsked || one === null ? { judged: null } : {}),
    }
}

/**
 * A recipe as its slip. The kitchen tells its foods with the news.
 *
 * @param foods those that are known of it until then
 */
export function slipOf(recipe: Recipe, foods: string[] = []): Slip {
    const { id, version, title, texture, tags, favourite, photoId, promoted, parentId, notes, updatedAt } = recipe

    return {
        id,
        version,
        title,
        texture,
        tags,
        favourite,
        photoId,
        promoted,
        parentId,
        notes,
        updatedAt,
        begins: recipe.text.slice(0, 240),
        hasMethod: recipe.steps !== '',
        shape: recipe.cut?.shape ?? null,
        foods,
        judged: recipe.judged,
    }
}

export function productWith(fields: ProductFields, one: Product | null): Partial<Product> {
    const { name, number, ingredients, photoId } = fields

    return {
        ...(one === null
            ? {
                  name: '',
                  number: null,
                  ingredients: '',
                  readOn: null,
                  worst: 'unknown',
                  dataVersion: '',
                  readings: [],
                  difference: null,
                  photoId: null,
              }
            : {}),
        ...(name === undefined ? {} : { name }),
        ...(number === undefined ? {} : { number }),
        ...(ingredients === undefined ? {} : { ingredients, worst: 'unknown' as const }),
        ...(photoId === undefined ? {} : { photoId }),
    }
}

export function occasionWith(fields: OccasionFields, one: Occasion | null): Partial<Occasion> {
    const bare = { name: '', on: '', at: null, place: '', transportMinutes: null, words: '', dogs: [], guests: [], treats: [], shares: [], boxes: [] }

    return { ...(one === null ? bare : {}), ...fields }
}

export function kitchenWith(fields: KitchenFields, one: Kitchen): Kitchen {
    const {
        energySchool,
        calorieConvention,
        garlic,
        units,
        pseudoGrains,
        budgetPercent,
        trayWidthMm,
        trayLengthMm,
        trayGapMm,
        traysAtOnce,
        ...plain
    } = fields
    const said = <T extends object>(some: T): Partial<T> =>
        Object.fromEntries(Object.entries(some).filter(([, value]) => value !== undefined)) as Partial<T>

    return {
        ...one,
        ...said(plain),
        policy: { ...one.policy, ...said({ energySchool, calorieConvention, garlic, units, pseudoGrains, budgetPercent }) },
        tray: { ...one.tray, ...said({ widthMm: trayWidthMm, lengthMm: trayLengthMm, gapMm: trayGapMm, atOnce: traysAtOnce }) },
    } as Kitchen
}
