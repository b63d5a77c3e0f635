import type { DogFields } from '../api/client'
import type { Dog } from '../api/types.generated'
import { readAge, writtenAge } from '../ui/age'
import { writtenDate, type DateOrder } from '../ui/dates'

/** A dog as it is filled in. */
export interface DogForm {
    name: string
    weight: string
    weightUnit: 'kg' | 'lb'
    /** as it is said: "5 months", or the day of birth */
    age: string
    grown: string
    breed: string | null
    sex: Dog['sex']
    neutered: 'yes' | 'no' | 'unknown'
    bodyCondition: number | null
    activity: Dog['activity']
    stage: Dog['stage']
    teeth: Dog['teeth']
    eating: Dog['eating']
    food: number | null
    meals: number | null
    budget: number | null
    allergies: string[]
    only: string[]
    newTo: string[]
    dislikes: string[]
    conditions: Dog['conditions']
    medicines: Dog['medicines']
}

/** A weight as its field shows it. */
function weightIn(kg: number | null, unit: 'kg' | 'lb', kgAPound: number): string {
    return kg === null ? '' : String(Number((unit === 'lb' ? kg / kgAPound : kg).toFixed(unit === 'lb' ? 1 : 2)))
}

export function formOf(dog: Dog | null, unit: 'kg' | 'lb', order: DateOrder, kgAPound: number): DogForm {
    return {
        name: dog?.name ?? '',
        weight: dog?.weightSaid ?? weightIn(dog?.weightKg ?? null, unit, kgAPound),
        weightUnit: unit,
        age: dog?.bornOn != null ? writtenDate(dog.bornOn, order) : writtenAge(dog?.ageMonths ?? null),
        grown: weightIn(dog?.expectedAdultWeightKg ?? null, unit, kgAPound),
        breed: dog?.breed ?? null,
        sex: dog?.sex ?? null,
        neutered: dog?.neutered == null ? 'unknown' : dog.neutered ? 'yes' : 'no',
        bodyCondition: dog?.bodyCondition ?? null,
        activity: dog?.activity ?? 'normal',
        stage: dog?.stage ?? null,
        teeth: dog?.teeth ?? 'full',
        eating: dog?.eating ?? 'normal',
        food: dog?.foodKcalPer100g ?? null,
        meals: dog?.meals ?? null,
        budget: dog?.budgetPercent ?? null,
        allergies: [...(dog?.allergies ?? [])],
        only: [...(dog?.allowList ?? [])],
        newTo: [...(dog?.newIngredients ?? [])],
        dislikes: [...(dog?.dislikes ?? [])],
        conditions: [...(dog?.conditions ?? [])],
        medicines: [...(dog?.medicines ?? [])],
    }
}

/** A bare number is in the unit beside it; words carry their own. */
function said(weight: string, unit: 'kg' | 'lb'): string | null {
    const plain = weight.trim()
    if (plain === '') return null

    return /^[\d.,½¼¾\s/–-]+$/.test(plain) || /^[\d.,]+ to [\d.,]+$/.test(plain) ? `${plain} ${unit}` : plain
}

/** Another unit says the same weight: what nobody wrote anything else over is turned. */
export function turn(form: DogForm, dog: Dog | null, from: 'kg' | 'lb', to: 'kg' | 'lb', kgAPound: number): void {
    for (const [field, kg] of [
        ['weight', dog?.weightKg ?? null],
        ['grown', dog?.expectedAdultWeightKg ?? null],
    ] as const) {
        if (kg !== null && form[field] === weightIn(kg, from, kgAPound)) form[field] = weightIn(kg, to, kgAPound)
    }
}

/**
 * What of a form differs from how it was opened, as the kitchen takes it; with what cannot be meant.
 *
 * @param dog as the kitchen knows it: a weight that is its own, in whichever unit, was not changed
 */
export function fieldsOf(
    form: DogForm,
    base: DogForm,
    order: DateOrder,
    dog: Dog | null,
    kgAPound: number,
): { fields: DogFields; problems: Record<string, string> } {
    const changed = (key: keyof DogForm): boolean => JSON.stringify(form[key]) !== JSON.stringify(base[key])
    const fields: DogFields = {}
    const problems: Record<string, string> = {}
    if (changed('name')) fields.name = form.name.trim()
    const isOwn = (text: string, kg: number | null | undefined): boolean => kg != null && text === weightIn(kg, form.weightUnit, kgAPound)
    if ((changed('weight') || (changed('weightUnit') && form.weight !== '')) && !isOwn(form.weight, dog?.weightKg))
        fields.weight = said(form.weight, form.weightUnit)
    if ((changed('grown') || (changed('weightUnit') && form.grown !== '')) && !isOwn(form.grown, dog?.expectedAdultWeightKg))
        fields.expectedAdultWeight = said(form.grown, form.weightUnit)
    if (changed('age')) {
        const { ageMonths, bornOn, problem } = readAge(form.age, order)
        if (problem !== null) problems['age'] = problem
        else if (bornOn !== null) fields.bornOn = bornOn
        else fields.ageMonths = ageMonths
    }
    if (changed('breed')) fields.breed = form.breed === null || form.breed.trim() === '' ? null : form.breed.trim()
    if (changed('neutered')) fields.neutered = form.neutered === 'unknown' ? null : form.neutered === 'yes'
    if (changed('food')) fields.foodKcalPer100g = form.food
    if (changed('budget')) fields.budgetPercent = form.budget
    if (changed('only')) fields.allowList = form.only.length === 0 ? null : form.only
    if (changed('newTo')) fields.newIngredients = form.newTo
    for (const key of [
        'sex',
        'bodyCondition',
        'activity',
        'stage',
        'teeth',
        'eating',
        'meals',
        'allergies',
        'dislikes',
        'conditions',
        'medicines',
    ] as const)
        if (changed(key)) Object.assign(fields, { [key]: form[key] })

    return { fields, problems }
}
