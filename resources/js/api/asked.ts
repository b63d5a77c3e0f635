import type {
    AskedTreat,
    BakeRequest,
    Cut,
    DoughRequest,
    FormulateRequest,
    GoesWithout,
    LabelRequest,
    OccasionRequest,
    Oven,
    RaidRequest,
    RescueRequest,
    ScaleRequest,
    SizeRequest,
    SwapsRequest,
    WeekRequest,
} from './types.generated'

/**
 * Questions as the page asks them in its kitchen: a dog, a recipe and a product are named by their id, what is not kept yet is written out, and
 * the rest (table, house rules, foods, words, labels, prices, tray) is added where the kitchen is kept.
 */
export interface Kept {
    id: string
}

/** A line bound by hand to a product whose label was read. */
export interface Bound {
    line: string
    product: string
}

export interface AskedRecipe {
    recipe: Partial<Kept> & Partial<FormulateRequest['recipe']>
    without?: GoesWithout[]
    /** ids, or dogs as they are described; the dogs at the table where it is left out */
    dogs?: (string | NonNullable<FormulateRequest['dogs']>[number])[]
    cut?: Cut | null
    bake?: FormulateRequest['bake']
    portions?: FormulateRequest['portions']
    confirmed?: FormulateRequest['confirmed']
    measured?: FormulateRequest['measured']
    oven?: Pick<Oven, 'celsius' | 'fahrenheit'>
    bound?: Bound[]
    explain?: boolean
}

export type AskedRescue = AskedRecipe & Pick<RescueRequest, 'goals'>
export type AskedSwaps = AskedRecipe & Pick<SwapsRequest, 'line' | 'jobs'>
export type AskedDough = AskedRecipe & Pick<DoughRequest, 'feels' | 'wants'>
export type AskedScale = AskedRecipe & Pick<ScaleRequest, 'by'>
export type AskedBake = Omit<BakeRequest, 'version' | 'question'> & {
    question: AskedRecipe
    /** the oven by its name, whose own lessons it is reckoned with */
    inOven?: string
}
export type AskedOccasion = AskedRecipe & Pick<OccasionRequest, 'occasion'>
export type AskedSize = Omit<AskedRecipe, 'cut' | 'portions'> & Pick<SizeRequest, 'cut' | 'wishes' | 'days'>
export type AskedTreatOfKitchen = Omit<AskedRecipe, 'dogs' | 'explain'> & Pick<AskedTreat, 'share'> & { name?: string }

export interface AskedWeek {
    dogs?: string[]
    from?: WeekRequest['from']
    treats: AskedTreatOfKitchen[]
}

export interface AskedLabel extends Pick<LabelRequest, 'name' | 'ingredients'> {
    dogs?: string[]
}

/** Its meals and weighings are kept with it. */
export interface AskedProfile {
    dog: string
}

export interface AskedRaid extends Pick<RaidRequest, 'food' | 'when'> {
    dog: string
    bag?: Kept & { pieces: number | null }
    product?: Kept & { grams: number }
    recipe?: Partial<Kept> & Partial<NonNullable<RaidRequest['recipe']>>
}
