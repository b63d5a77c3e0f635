// Generated from schemas/ by ops/generate-types.mjs. Do not edit.

export type MadeEntry = Addition | UsedShare | UsedGrams
/**
 * the line's span, where its row holds several
 *
 * @minItems 2
 * @maxItems 2
 */

export type MadeSpan = number[]

export type Cut =
    | {
          shape: 'round'
          diameterMm: number
          thicknessMm: number
      }
    | {
          shape: 'square'
          sideMm: number
          thicknessMm: number
      }
    | {
          shape: 'rectangle'
          widthMm: number
          lengthMm: number
          thicknessMm: number
      }
    | {
          shape: 'bone'
          widthMm: number
          lengthMm: number
          thicknessMm: number
      }
    | {
          shape: 'heart'
          widthMm: number
          lengthMm: number
          thicknessMm: number
      }
    | {
          shape: 'star'
          widthMm: number
          lengthMm: number
          thicknessMm: number
      }
    | {
          shape: 'area'
          areaMm2: number
          thicknessMm: number
      }
    | {
          shape: 'strip'
          widthMm: number
          lengthMm: number
          thicknessMm: number
      }
    | {
          shape: 'log'
          diameterMm: number
          sliceMm: number
      }
    | {
          shape: 'ball'
          diameterMm: number
      }
    | {
          shape: 'scoop'
          ml: number
      }
    | {
          shape: 'mould'
          cavityMl: number
          cavities: number
      }
    | {
          shape: 'grid'
          sheetWidthMm: number
          sheetLengthMm: number
          depthMm: number
          columns: number
          rows: number
      }
    | {
          shape: 'slices'
          count: number
      }
    | {
          shape: 'pieces'
          count: number
      }
/**
 * what trials and meals told of it until today
 */

export type WatchedDog = {
    /**
     * @maxItems 200
     */
    broughtIn?: BroughtIn[]
    /**
     * @maxItems 200
     */
    leftOut?: FoodLeftOut[]
    /**
     * @maxItems 200
     */
    wentBadly?: WentBadly[]
    /**
     * @maxItems 2000
     */
    tastes?: Taste[]
    /**
     * foods or groups of which a trial went well: they are new no more, whatever wider group is
     *
     * @maxItems 200
     */
    bears?: string[]
} | null

export interface FormulateRequest {
    version: 1
    recipe: {
        title?: string | null
        text: string
        steps?: string | null
        /**
         * what was said of parts of the recipe; what is left out is guessed and told
         *
         * @maxItems 20
         */
        parts?: AskedPart[] | null
        /**
         * what was really done, in order; of one line the later word counts; a line that is not named was used in full
         *
         * @maxItems 200
         */
        asMade?: MadeEntry[] | null
    }
    cut?: Cut | null
    bake?: {
        texture?: 'cake' | 'tray' | 'soft' | 'chewy' | 'biscuit' | 'hard' | 'jerky' | 'frozen' | 'none' | null
    } | null
    /**
     * @maxItems 50
     */
    dogs?: TableDog[] | null
    policy?: Policy | null
    /**
     * @maxItems 100
     */
    labels?:
        | {
              name: string
              ingredients: string
              /**
               * opaque; told beside the name
               */
              id?: string | null
          }[]
        | null
    /**
     * @maxItems 500
     */
    confirmed?:
        | {
              code: string
              line?: string | null
              dog?: string | null
          }[]
        | null
    measured?: {
        count?: number | null
        bakedGrams?: number | null
        wasteGrams?: number | null
    } | null
    today?: string | null
    explain?: boolean | null
    /**
     * @maxItems 500
     */
    names?: OwnName[] | null
    /**
     * @maxItems 300
     */
    pantry?: OwnFood[] | null
    /**
     * @maxItems 10
     */
    portions?: AskedPortion[] | null
    tray?: Tray | null
    oven?: Oven | null
    /**
     * @maxItems 1000
     */
    prices?: Price[] | null
    /**
     * @maxItems 500
     */
    swaps?: OwnSwap[] | null
    /**
     * what this kitchen accepted from learn
     *
     * @maxItems 100
     */
    learned?: LearnedFactor[] | null
}

export interface AskedPart {
    /**
     * the heading its lines stand under; null: the lines under none
     */
    section?: string | null
    role?: 'body' | 'filling' | 'topping' | 'frosting' | 'coating' | 'liquid' | 'dusting' | null
    process?: 'oven' | 'hob' | 'griddle' | 'microwave' | 'dried' | 'frozen' | 'set' | 'none' | null
    /**
     * whether it is there when the body is heated
     */
    joins?: 'before' | 'after' | null
    keeps?: {
        grams?: number | null
        strained?: boolean | null
        drained?: boolean | null
    } | null
    /**
     * null: shared evenly over the pieces
     */
    gramsPerPiece?: number | null
    texture?: 'cake' | 'tray' | 'soft' | 'chewy' | 'biscuit' | 'hard' | 'jerky' | 'frozen' | 'none' | null
}

export interface Addition {
    /**
     * added, as a line would say it
     */
    text: string
    section?: string | null
}

export interface UsedShare {
    /**
     * of the text as sent
     */
    row: number
    span?: MadeSpan | null
    /**
     * of what is written
     */
    share: number
}

export interface UsedGrams {
    row: number
    span?: MadeSpan | null
    /**
     * as weighed; 0: left out
     */
    grams: number
}
/**
 * A dog at the table. What is left out is unknown and taken at the end that protects the dog.
 */

export interface TableDog {
    name: string
    weightKg?: number | null
    ageMonths?: number | null
    sex?: 'female' | 'male' | null
    neutered?: boolean | null
    bodyCondition?: number | null
    activity?: 'inactive' | 'normal' | 'active' | 'working-light' | 'working-moderate' | 'working-heavy' | null
    breed?: string | null
    expectedAdultWeightKg?: number | null
    stage?: 'puppy' | 'adult' | 'senior' | null
    teeth?: 'full' | 'few' | 'none' | null
    eating?: 'normal' | 'gulps' | null
    /**
     * @maxItems 200
     */
    allergies?: string[] | null
    /**
     * @maxItems 200
     */
    allowList?: string[] | null
    /**
     * @maxItems 50
     */
    conditions?:
        | (
              | 'pancreatitis'
              | 'hyperlipidaemia'
              | 'diabetes'
              | 'kidney'
              | 'heart'
              | 'heart-advanced'
              | 'liver'
              | 'shunt'
              | 'gallbladder-mucocele'
              | 'copper-storage'
              | 'oxalate-stones'
              | 'urate-stones'
              | 'xanthine-stones'
              | 'struvite-stones'
              | 'cystine-stones'
              | 'silica-stones'
              | 'urinary'
              | 'epilepsy-bromide'
              | 'epilepsy'
              | 'addisons'
              | 'cushings'
              | 'hypothyroid'
              | 'hypercalcaemia'
              | 'sensitive-stomach'
              | 'enteropathy'
              | 'gut-protein-loss'
              | 'epi'
              | 'megaoesophagus'
              | 'dental'
              | 'arthritis'
              | 'atopy'
              | 'anaemia'
              | 'immunocompromised'
              | 'pregnant'
              | 'nursing'
              | 'weight-loss'
              | 'weight-gain'
              | 'other'
          )[]
        | null
    /**
     * @maxItems 50
     */
    medicines?:
        | (
              | 'anticoagulant'
              | 'chemotherapy'
              | 'surgery-planned'
              | 'selegiline'
              | 'bromide'
              | 'phenobarbital'
              | 'prednisolone'
              | 'nsaid'
              | 'diuretic'
              | 'ace-inhibitor'
              | 'levothyroxine'
              | 'insulin'
              | 'tetracycline'
              | 'quinolone'
              | 'ciclosporin'
              | 'allopurinol'
              | 'other'
          )[]
        | null
    foodKcalPer100g?: number | null
    alreadyToday?: {
        kcal?: number | null
        sodiumMg?: number | null
        fatG?: number | null
        addedSugarG?: number | null
        retinolUg?: number | null
        vitaminAUg?: number | null
        vitaminDUg?: number | null
        coumarinMg?: number | null
        garlicG?: number | null
        calciumMg?: number | null
        newFibreG?: number | null
        kelpG?: number | null
        rootSpiceG?: number | null
    } | null
    /**
     * @maxItems 200
     */
    newIngredients?: string[] | null
    /**
     * @maxItems 200
     */
    dislikes?: string[] | null
    budgetPercent?: number | null
    /**
     * opaque; it may stand for the name wherever a dog is named
     */
    id?: string | null
    /**
     * sections of the recipe it goes without
     *
     * @maxItems 20
     */
    without?: string[] | null
    watched?: WatchedDog
}

export interface BroughtIn {
    food: string
    /**
     * of the trial, the first is 1: a quarter of the ration on days 1 and 2, half on 3 and 4
     */
    day: number
}

export interface FoodLeftOut {
    food: string
    /**
     * the last day without it
     */
    until: string
}

export interface WentBadly {
    food: string
    saw: string
}

export interface Taste {
    food: string
    took: number
    of: number
}

export interface Policy {
    energySchool?: 'clinic' | 'nrc' | null
    calorieConvention?: '4-9-4' | 'modified' | null
    garlic?: 'avoid' | 'measured' | null
    units?: 'us' | 'metric' | 'imperial' | 'australian' | null
    pseudoGrains?: 'not-grain' | 'grain' | null
    budgetPercent?: number | null
}

export interface OwnName {
    words: string
    ingredient: string
}

export interface OwnFood {
    name: string
    /**
     * @maxItems 20
     */
    names?: string[] | null
    /**
     * @maxItems 30
     */
    groups?: string[] | null
    per100g?: {
        kcal?: number | null
        proteinG?: number | null
        fatG?: number | null
        carbohydrateG?: number | null
        fibreG?: number | null
        sugarsG?: number | null
        sodiumMg?: number | null
        calciumMg?: number | null
        phosphorusMg?: number | null
        potassiumMg?: number | null
        copperMg?: number | null
        vitaminAUg?: number | null
        vitaminDUg?: number | null
        magnesiumMg?: number | null
        zincMg?: number | null
        ironMg?: number | null
    } | null
    gramsPerCup?: number | null
    gramsEach?: number | null
    ingredients?: string | null
}

export interface AskedPortion {
    name?: string | null
    /**
     * @maxItems 50
     */
    dogs?: string[] | null
    share?: number | null
    cut?: Cut | null
    bake?: {
        texture?: 'cake' | 'tray' | 'soft' | 'chewy' | 'biscuit' | 'hard' | 'jerky' | 'frozen' | 'none' | null
    } | null
    measured?: {
        count?: number | null
        bakedGrams?: number | null
        wasteGrams?: number | null
    } | null
    /**
     * opaque; told beside the name
     */
    id?: string | null
}

export interface Tray {
    widthMm: number
    lengthMm: number
    gapMm?: number | null
    atOnce?: number | null
}

export interface Oven {
    celsius?: number | null
    fan?: boolean | null
    fahrenheit?: number | null
}

export interface Price {
    ingredient: string
    grams: number
    price: number
}

export interface OwnSwap {
    out: string
    in: string
    ratio?: number | null
    rating?: 'good' | 'bad' | null
    note?: string | null
}

export interface LearnedFactor {
    of: 'minutes' | 'mass' | 'count' | 'wetness'
    /**
     * the texture it is baked to
     */
    class: string
    factor: number
}

export interface FormulateAnswer {
    version: 1
    dataVersion: string
    lines: AnswerLine[]
    steps: {
        text: string
        findings: Finding[]
        /**
         * row of the text as sent, from 0
         */
        row: number
        in: 'text' | 'steps'
        /**
         * first code point of the row, and the one after the last
         *
         * @minItems 2
         * @maxItems 2
         */
        span: number[]
        /**
         * its own words in the units that the kitchen reads, where those are others; only of a question asked in a kitchen
         */
        shown?: string
    }[]
    verdict: {
        cleared: boolean
        dogs: {
            name: string
            cleared: boolean
            worst: 'never' | 'unknown' | 'allergen' | 'limit' | 'ask-vet' | 'check-label' | 'caution' | 'clear'
            findings: Finding[]
            id?: string
        }[]
    }
    /**
     * @minItems 1
     */
    parts: Part[]
    batch: {
        doughGrams: Range
        bakedGrams: Range
        kcal: Range
        wetness: number | null
        feel: string | null
        explain?: {
            sign: string | null
            made: string[]
            panel: Panel
        }
        cost?: Cost | null
        /**
         * dough that fills no whole piece
         */
        leftGrams: number
    }
    piece: {
        count: Range
        doughGrams: Range
        bakedGrams: Range
        kcal: Range
        nutrients: {
            [k: string]: number
        }
        explain?: {
            made: string[]
        }
    }
    rations: Ration[]
    assumptions: {
        code: string
        message: string
    }[]
    explain?: AnswerExplain
    portions?: PortionOfBatch[]
}

export interface AnswerLine {
    text: string
    section: string | null
    quantity: Range | null
    unit: string | null
    ingredient: string | null
    form: string | null
    grams: Range | null
    kcal: Range | null
    findings: Finding[]
    alternatives?: string[]
    condition?: string
    explain?: {
        name: string | null
        measure: string | null
        made: string[]
        unread: string[]
        words: {
            text: string
            role: 'amount' | 'ingredient' | 'form' | 'unread'
            /**
             * first code point of the row, and the one after the last
             *
             * @minItems 2
             * @maxItems 2
             */
            span: number[]
        }[]
        nearest: Offer[]
        poison: string[]
        jobs: string[]
        /**
         * numbers that can be meant in two ways; the first meaning is taken
         */
        unsure: Unsure[]
    }
    /**
     * row of the text as sent, from 0
     */
    row: number | null
    in: 'text' | 'steps' | null
    /**
     * first code point of the row, and the one after the last
     *
     * @minItems 2
     * @maxItems 2
     */
    span: number[] | null
    labels?: {
        id: string
        name: string
    }[]
    /**
     * grams that really went in; only where asMade was asked. grams stay what is written, kcal are of what was made
     */
    madeGrams?: Range | null
    /**
     * it stands nowhere and was added while it was made
     */
    added?: true
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range {
    low: number
    best: number
    high: number
}

export interface Finding {
    dog: string | null
    level: 'never' | 'unknown' | 'allergen' | 'limit' | 'ask-vet' | 'check-label' | 'caution'
    code: string
    message: string
    advice: string
    figure: string | null
    emergency: boolean
    source: string
    confirmed?: true
    dogId?: string
}

export interface Offer {
    ingredient: string
    name: string
    reason: string
}

export interface Unsure {
    /**
     * first code point of the row, and the one after the last
     *
     * @minItems 2
     * @maxItems 2
     */
    span: number[]
    question: string
    /**
     * what may be written for it, as it is taken now first
     *
     * @minItems 2
     */
    instead: string[]
}

export interface Part {
    section: string | null
    sections: string[]
    role: 'body' | 'filling' | 'topping' | 'frosting' | 'coating' | 'liquid' | 'dusting'
    process: 'oven' | 'hob' | 'griddle' | 'microwave' | 'dried' | 'frozen' | 'set' | 'none'
    joins: 'before' | 'after'
    keeps: {
        grams: number | null
        strained: boolean
        drained: boolean
    }
    texture: string | null
    /**
     * headings of the parts it is made for; empty: it goes on the pieces
     */
    into: string[]
    guessed: ('role' | 'process' | 'joins' | 'keeps' | 'gramsPerPiece' | 'texture')[]
    doughGrams: Range
    keptGrams: Range
    kcal: Range
    wetness: number | null
    feel: string | null
    gramsPerPiece: Range
    kcalPerPiece: Range
}

export interface Panel {
    moisture: number
    kcalPer100g: number
    kcalModified: number | null
    kcalModifiedPer100g: number | null
    class: string
    rows: PanelRow[]
}

export interface PanelRow {
    name: string
    unit: string
    piece: number
    batch: number
    per100g: number | null
    dryMatterPer100g: number | null
    per1000kcal: number | null
}

export interface Cost {
    known: number
    share: number
}

export interface Ration {
    dog: string
    stage: 'puppy' | 'adult' | 'senior'
    restingKcal: number | null
    dailyKcal: Range | null
    treatBudgetKcal: number | null
    piecesPerDay: number | null
    ifCleared: number | null
    heldBy:
        | 'budget'
        | 'unknown-energy'
        | 'sodium'
        | 'fat'
        | 'added-sugar'
        | 'coumarin'
        | 'vitamin-a'
        | 'vitamin-d'
        | 'calcium'
        | 'fibre'
        | 'kelp'
        | 'garlic'
        | 'root-spice'
        | 'new-ingredient'
        | 'age'
        | 'not-cleared'
        | null
    holdBackGrams: number | null
    idealWeightKg: number | null
    limits: {
        code:
            | 'budget'
            | 'unknown-energy'
            | 'sodium'
            | 'fat'
            | 'added-sugar'
            | 'coumarin'
            | 'vitamin-a'
            | 'vitamin-d'
            | 'calcium'
            | 'fibre'
            | 'kelp'
            | 'garlic'
            | 'root-spice'
            | 'new-ingredient'
            | 'age'
        piecesPerDay: number
    }[]
    explain?: {
        heldByIfCleared: string | null
        safeBiteMm: number | null
        shows: string
        made: string[]
        portion: string | null
        limits: {
            code: string
            shows: string
            made: string
        }[]
        ramp: {
            days: string
            pieces: number
        }[]
        breakInto: {
            along: number
            across: number
        } | null
        wouldFit: AnyCut | null
    }
    dogId?: string
}

export interface AnyCut {
    shape: string
    [k: string]: number | string
}

export interface AnswerExplain {
    doubts: Doubt[]
    /**
     * the recipe as it was made, written out; only where asMade was asked
     */
    writtenOut?: string
}

export interface Doubt {
    text: string
    question: string
    /**
     * row of the text as it stands, from 0; null when it is about several rows
     */
    row: number | null
    in: 'text' | 'steps' | null
}

export interface PortionOfBatch {
    name: string | null
    dogs: string[]
    share: number
    doughGrams: Range
    bakedGrams: Range
    kcal: Range
    cut: AnyCut
    texture: string
    piece: {
        count: Range
        doughGrams: Range
        bakedGrams: Range
        kcal: Range
    }
    daysItLasts: number | null
    heat: Heat
    sheet: SheetPlan | null
    oddity: string | null
    id?: string
    dogIds?: (string | null)[]
}

export interface Heat {
    stages: HeatStage[]
    cores: {
        celsius: number
        foods: string[]
        what: string
        fahrenheit: number
    }[]
    coreStep: string | null
    fan: boolean
}

export interface HeatStage {
    does: string
    minutesLow: number
    minutesHigh: number
    firstLookMinutes: number
    celsius: number | null
    fahrenheit: number | null
    gasMark: string | null
    sign: string
    /**
     * turning or stirring; null where none is needed
     */
    turn: string | null
}

export interface SheetPlan {
    perSheet: number
    sheets: number
    lastSheet: number
    rounds: number
    staggered: boolean
    pieceMm: number[]
    at: number[][]
    edgesMm: number[]
    says: string | null
}

export interface RefusedRequest {
    error: {
        code:
            | 'invalid-json'
            | 'unsupported-version'
            | 'missing'
            | 'unknown-key'
            | 'wrong-type'
            | 'out-of-range'
            | 'too-long'
        message: string
        path: string
    }
}

export type Cut1 =
    | {
          shape: 'round'
          diameterMm: number
          thicknessMm: number
      }
    | {
          shape: 'square'
          sideMm: number
          thicknessMm: number
      }
    | {
          shape: 'rectangle'
          widthMm: number
          lengthMm: number
          thicknessMm: number
      }
    | {
          shape: 'bone'
          widthMm: number
          lengthMm: number
          thicknessMm: number
      }
    | {
          shape: 'heart'
          widthMm: number
          lengthMm: number
          thicknessMm: number
      }
    | {
          shape: 'star'
          widthMm: number
          lengthMm: number
          thicknessMm: number
      }
    | {
          shape: 'area'
          areaMm2: number
          thicknessMm: number
      }
    | {
          shape: 'strip'
          widthMm: number
          lengthMm: number
          thicknessMm: number
      }
    | {
          shape: 'log'
          diameterMm: number
          sliceMm: number
      }
    | {
          shape: 'ball'
          diameterMm: number
      }
    | {
          shape: 'scoop'
          ml: number
      }
    | {
          shape: 'mould'
          cavityMl: number
          cavities: number
      }
    | {
          shape: 'grid'
          sheetWidthMm: number
          sheetLengthMm: number
          depthMm: number
          columns: number
          rows: number
      }
    | {
          shape: 'slices'
          count: number
      }
    | {
          shape: 'pieces'
          count: number
      }

export type Cut2 =
    | {
          shape: 'round'
          diameterMm: number
          thicknessMm: number
      }
    | {
          shape: 'square'
          sideMm: number
          thicknessMm: number
      }
    | {
          shape: 'rectangle'
          widthMm: number
          lengthMm: number
          thicknessMm: number
      }
    | {
          shape: 'bone'
          widthMm: number
          lengthMm: number
          thicknessMm: number
      }
    | {
          shape: 'heart'
          widthMm: number
          lengthMm: number
          thicknessMm: number
      }
    | {
          shape: 'star'
          widthMm: number
          lengthMm: number
          thicknessMm: number
      }
    | {
          shape: 'area'
          areaMm2: number
          thicknessMm: number
      }
    | {
          shape: 'strip'
          widthMm: number
          lengthMm: number
          thicknessMm: number
      }
    | {
          shape: 'log'
          diameterMm: number
          sliceMm: number
      }
    | {
          shape: 'ball'
          diameterMm: number
      }
    | {
          shape: 'scoop'
          ml: number
      }
    | {
          shape: 'mould'
          cavityMl: number
          cavities: number
      }
    | {
          shape: 'grid'
          sheetWidthMm: number
          sheetLengthMm: number
          depthMm: number
          columns: number
          rows: number
      }
    | {
          shape: 'slices'
          count: number
      }
    | {
          shape: 'pieces'
          count: number
      }
/**
 * what trials and meals told of it until today
 */

export type Cut3 =
    | {
          shape: 'round'
          diameterMm: number
          thicknessMm: number
      }
    | {
          shape: 'square'
          sideMm: number
          thicknessMm: number
      }
    | {
          shape: 'rectangle'
          widthMm: number
          lengthMm: number
          thicknessMm: number
      }
    | {
          shape: 'bone'
          widthMm: number
          lengthMm: number
          thicknessMm: number
      }
    | {
          shape: 'heart'
          widthMm: number
          lengthMm: number
          thicknessMm: number
      }
    | {
          shape: 'star'
          widthMm: number
          lengthMm: number
          thicknessMm: number
      }
    | {
          shape: 'area'
          areaMm2: number
          thicknessMm: number
      }
    | {
          shape: 'strip'
          widthMm: number
          lengthMm: number
          thicknessMm: number
      }
    | {
          shape: 'log'
          diameterMm: number
          sliceMm: number
      }
    | {
          shape: 'ball'
          diameterMm: number
      }
    | {
          shape: 'scoop'
          ml: number
      }
    | {
          shape: 'mould'
          cavityMl: number
          cavities: number
      }
    | {
          shape: 'grid'
          sheetWidthMm: number
          sheetLengthMm: number
          depthMm: number
          columns: number
          rows: number
      }
    | {
          shape: 'slices'
          count: number
      }
    | {
          shape: 'pieces'
          count: number
      }

export type MadeEntry1 = Addition1 | UsedShare1 | UsedGrams1

export interface OpenKitchen {
    kitchen: Kitchen
    dogs: Dog[]
    products: Product[]
    names: KeptName[]
    foods: KeptFood[]
    record?: ConfirmationRecord[]
    swaps: KeptSwap[]
    weighing?: Weighing[]
    prices: KeptPrice[]
    words: ConfirmationRecord[]
    /**
     * of the kitchen's count of changes
     */
    number: number
    slip?: Slip[]
    recipe?: Recipe[]
    changes?: Changes
    trashed?: Trashed[]
    photo?: KeptPhoto
    profiles?: ProfileInShort[]
    batch?: Batch
    lesson?: OvenLesson[]
    bagWithActs?: BagWithActs
    actDone?: ActDone
    powerCutAnswer?: PowerCutAnswer
    powerCutQuestion?: PowerCutQuestion
    kitchenDay?: KitchenDay
    gift?: Gift
    thawPlan?: ThawPlan
    leftOver?: LeftOver
    season?: Season
    dogGiven?: DogGiven
    toDiary?: ToDiary
    nextBake?: NextBake
    backups?: Backups
    restored?: Restored
    labelPhoto?: LabelPhoto
    offers?: Offers
    taken?: Taken
    csvTaken?: CsvTaken
    printed?: Printed
    occasions?: Occasion
    occasionFields?: OccasionFields
    occasionDue?: OccasionDue
    occasionFound?: OccasionFound
    occasionPlan?: OccasionPlan
}

export interface Kitchen {
    name: string
    baker: string
    policy: {
        energySchool: 'clinic' | 'nrc'
        calorieConvention: '4-9-4' | 'modified'
        garlic: 'avoid' | 'measured'
        units: 'us' | 'metric' | 'imperial' | 'australian'
        pseudoGrains: 'not-grain' | 'grain'
        budgetPercent: number | null
    }
    amountsAs: 'grams' | 'cups'
    temperature: 'C' | 'F' | 'gas'
    tray: KitchenTray
    ovenFan: boolean
    /**
     * a name such as Europe/London: today is the kitchen's day
     */
    timezone: string
    /**
     * counts up with every change; a write names the one it was made on
     */
    version: number
    weightsAs: 'kg' | 'lb'
    sizesAs: 'mm' | 'in'
    /**
     * the order in which a date is written
     */
    datesAs: 'dmy' | 'mdy' | 'ymd'
    backupsKept: number
    labelLanguages: ('en' | 'de' | 'fr' | 'es' | 'it')[]
}

export interface KitchenTray {
    widthMm: number
    lengthMm: number
    gapMm: number
    atOnce: number
}

export interface Dog {
    id: string
    name: string
    weightKg: number | null
    ageMonths: number | null
    bornOn: string | null
    sex: 'female' | 'male' | null
    neutered: boolean | null
    bodyCondition: number | null
    activity: 'inactive' | 'normal' | 'active' | 'working-light' | 'working-moderate' | 'working-heavy'
    breed: string | null
    expectedAdultWeightKg: number | null
    stage: 'puppy' | 'adult' | 'senior' | null
    teeth: 'full' | 'few' | 'none'
    eating: 'normal' | 'gulps'
    allergies: string[]
    allowList: string[] | null
    conditions: (
        | 'pancreatitis'
        | 'hyperlipidaemia'
        | 'diabetes'
        | 'kidney'
        | 'heart'
        | 'heart-advanced'
        | 'liver'
        | 'shunt'
        | 'gallbladder-mucocele'
        | 'copper-storage'
        | 'oxalate-stones'
        | 'urate-stones'
        | 'xanthine-stones'
        | 'struvite-stones'
        | 'cystine-stones'
        | 'silica-stones'
        | 'urinary'
        | 'epilepsy-bromide'
        | 'epilepsy'
        | 'addisons'
        | 'cushings'
        | 'hypothyroid'
        | 'hypercalcaemia'
        | 'sensitive-stomach'
        | 'enteropathy'
        | 'gut-protein-loss'
        | 'epi'
        | 'megaoesophagus'
        | 'dental'
        | 'arthritis'
        | 'atopy'
        | 'anaemia'
        | 'immunocompromised'
        | 'pregnant'
        | 'nursing'
        | 'weight-loss'
        | 'weight-gain'
        | 'other'
    )[]
    medicines: (
        | 'anticoagulant'
        | 'chemotherapy'
        | 'surgery-planned'
        | 'selegiline'
        | 'bromide'
        | 'phenobarbital'
        | 'prednisolone'
        | 'nsaid'
        | 'diuretic'
        | 'ace-inhibitor'
        | 'levothyroxine'
        | 'insulin'
        | 'tetracycline'
        | 'quinolone'
        | 'ciclosporin'
        | 'allopurinol'
        | 'other'
    )[]
    newIngredients: string[]
    dislikes: string[]
    foodKcalPer100g: number | null
    budgetPercent: number | null
    atTable: boolean
    meals: number | null
    weightSaid: string | null
    /**
     * counts up with every change; a write names the one it was made on
     */
    version: number
}

export interface Product {
    id: string
    name: string
    number: string | null
    ingredients: string
    readOn: string | null
    worst: 'never' | 'unknown' | 'allergen' | 'limit' | 'ask-vet' | 'check-label' | 'caution' | 'clear'
    dataVersion: string
    readings: Reading[]
    difference: LabelDifference | null
    /**
     * counts up with every change; a write names the one it was made on
     */
    version: number
    /**
     * the photograph the newest wording was read from
     */
    photoId: string | null
}

export interface Reading {
    ingredients: string
    readOn: string
    worst: 'never' | 'unknown' | 'allergen' | 'limit' | 'ask-vet' | 'check-label' | 'caution' | 'clear'
    photoId: string | null
}

export interface LabelDifference {
    added: string[]
    gone: string[]
}

export interface KeptName {
    id: string
    words: string
    ingredient: string
    /**
     * counts up with every change; a write names the one it was made on
     */
    version: number
}

export interface KeptFood {
    id: string
    /**
     * what core calls it, in a price, a swap or a word
     */
    ingredient: string
    food: OwnFood
    /**
     * counts up with every change; a write names the one it was made on
     */
    version: number
}

export interface ConfirmationRecord {
    id: string
    code: string
    level: 'ask-vet' | 'check-label'
    line: string | null
    dog: string | null
    /**
     * the dog's id; stays when the dog is called something else
     */
    dogId: string | null
    recipeTitle: string | null
    words: string
    saidBy: string
    dataVersion: string
    saidAt: string
    takenBackAt: string | null
    /**
     * counts up with every change; a write names the one it was made on
     */
    version: number
    /**
     * the jar that was read: it holds wherever that jar is used
     */
    productId: string | null
    /**
     * the last day on which a vet's word holds
     */
    holdsUntil: string | null
    /**
     * conditions and medicines the vet knew of: with another one the word holds no more
     */
    known: string[]
}

export interface KeptSwap {
    id: string
    swap: OwnSwap
    /**
     * counts up with every change; a write names the one it was made on
     */
    version: number
}

export interface Weighing {
    id: string
    on: string
    kg: number
    ageMonths: number | null
    /**
     * counts up with every change; a write names the one it was made on
     */
    version: number
    dogId: string
    bodyCondition: number | null
}

export interface KeptPrice {
    id: string
    price: Price
    /**
     * counts up with every change; a write names the one it was made on
     */
    version: number
}

export interface Slip {
    id: string
    /**
     * counts up with every change; a write names the one it was made on
     */
    version: number
    title: string
    /**
     * the first lines of its text
     */
    begins: string
    hasMethod: boolean
    texture: 'cake' | 'tray' | 'soft' | 'chewy' | 'biscuit' | 'hard' | 'jerky' | 'frozen' | 'none' | null
    shape: string | null
    tags: string[]
    favourite: boolean
    photoId: string | null
    promoted: boolean
    parentId: string | null
    notes: string
    /**
     * what it is made of, to be found by
     */
    foods: string[]
    judged: JudgedToday | null
    updatedAt: string
}

export interface JudgedToday {
    dataVersion: string
    on: string
    /**
     * ids of the dogs of the kitchen it is cleared for
     */
    clearedFor: string[]
    clearedForAll: boolean
    kcalPerPiece: number | null
    pieces: number | null
    feel: string | null
}

export interface Recipe {
    id: string
    title: string
    text: string
    steps: string
    cut: Cut | null
    texture: 'cake' | 'tray' | 'soft' | 'chewy' | 'biscuit' | 'hard' | 'jerky' | 'frozen' | 'none' | null
    updatedAt: string
    source: string | null
    yield: string | null
    prepMinutes: number | null
    bakeMinutes: number | null
    judged: Judged | null
    parentId: string | null
    notes: string
    promoted: boolean
    portions: AskedPortion[] | null
    parts: AskedPart[] | null
    without: GoesWithout[] | null
    /**
     * counts up with every change; a write names the one it was made on
     */
    version: number
    tags: string[]
    favourite: boolean
    photoId: string | null
    /**
     * what was read for its own lines
     */
    confirmed: ReadLabelOfLine[]
    bound: BoundLine[]
}

export interface Judged {
    dataVersion: string
    cleared: boolean
    on: string
    /**
     * ids of the dogs of the kitchen it is cleared for
     */
    clearedFor: string[]
    clearedForAll: boolean
    kcalPerPiece: number | null
    pieces: number | null
    feel: string | null
}

export interface GoesWithout {
    /**
     * its id
     */
    dog: string
    sections: string[]
}

export interface ReadLabelOfLine {
    code: string
    line: string | null
    dog: string | null
}

export interface BoundLine {
    line: string
    productId: string
}
/**
 * what is new since a number of the kitchen's count
 */

export interface Changes {
    number: number
    /**
     * too much has changed to tell: load the kitchen anew
     */
    anew: boolean
    kinds: ChangedKinds
    gone: Gone[]
}

export interface ChangedKinds {
    kitchen?: Kitchen[]
    dogs?: Dog[]
    recipes?: Slip[]
    products?: Product[]
    names?: KeptName[]
    foods?: KeptFood[]
    swaps?: KeptSwap[]
    prices?: KeptPrice[]
    weighings?: Weighing[]
    confirmations?: ConfirmationRecord[]
    batches?: BatchSlip[]
    accepted?: AcceptedFactor[]
    places?: Place[]
    bags?: Bag[]
    stock?: StockItem[]
    planned?: PlannedBake[]
    trials?: Trial[]
    occasions?: Occasion[]
}
/**
 * a batch in short
 */

export interface BatchSlip {
    id: string
    /**
     * counts up with every change; a write names the one it was made on
     */
    version: number
    recipeId: string | null
    title: string
    oven: string
    /**
     * a moment in UTC with milliseconds
     */
    begunAt: string
    begunBy: string
    state: 'making' | 'finished' | 'given-up'
    finishedAt: string | null
    steps: number
    done: number
    /**
     * times something went in otherwise than written
     */
    made: number
    count: number | null
    bakedGrams: number | null
    wastePieces: number
    wasteGrams: number
    felt: string | null
    wetness: number | null
    next: string | null
    photoId: string | null
    timers: RunningTimer[]
    lots: LotInShort[]
}

export interface RunningTimer {
    id: string
    name: string
    lot: string | null
    /**
     * a moment in UTC with milliseconds
     */
    endsAt: string
}

export interface LotInShort {
    lot: string | null
    class: string
    plannedMinutes: number | null
    minutes: number | null
    computedGrams: number | null
    bakedGrams: number | null
    computedCount: number | null
    count: number | null
    /**
     * pieces that were put away
     */
    put: number
}
/**
 * what was learned of one oven and accepted
 */

export interface AcceptedFactor {
    id: string
    /**
     * counts up with every change; a write names the one it was made on
     */
    version: number
    oven: string
    class: string
    of: 'minutes' | 'mass' | 'count' | 'wetness'
    factor: number
    says: string
    by: string
}
/**
 * a place of the kitchen's own where treats are kept
 */

export interface Place {
    id: string
    /**
     * counts up with every change; a write names the one it was made on
     */
    version: number
    name: string
    kind: 'jar' | 'fridge' | 'freezer'
    /**
     * of the room a jar stands in
     */
    celsius: number | null
    position: number
}
/**
 * a bag, a jar or a tub as it stands
 */

export interface Bag {
    id: string
    /**
     * counts up with every change; a write names the one it was made on
     */
    version: number
    /**
     * as it is written on the bag
     */
    number: number
    title: string
    content: 'treats' | 'dough' | 'food'
    batch: string | null
    lot: string | null
    made: string
    /**
     * of the table of keeping, or what was opened
     */
    class: string
    because: string
    /**
     * for whom; empty for all
     */
    dogs: string[]
    note: string | null
    ingredient: string | null
    grams: number | null
    place: string | null
    /**
     * left in it
     */
    pieces: number
    putPieces: number
    bestBefore: string | null
    /**
     * the latest that people may set
     */
    bestBeforeAtMost: string | null
    frozen: boolean
    thawedOn: string | null
    /**
     * it is good for once it is taken out
     */
    thawedDays: number
    state: 'here' | 'empty' | 'undone'
    endedAt: string | null
}
/**
 * whether a food is at hand
 */

export interface StockItem {
    id: string
    /**
     * counts up with every change; a write names the one it was made on
     */
    version: number
    ingredient: string
    state: 'at-hand' | 'low' | 'out'
}
/**
 * a recipe that is to be baked on a day
 */

export interface PlannedBake {
    id: string
    /**
     * counts up with every change; a write names the one it was made on
     */
    version: number
    recipeId: string
    on: string
    /**
     * the batch that answered it
     */
    batchId: string | null
}

export interface Trial {
    id: string
    /**
     * counts up with every change; a write names the one it was made on
     */
    version: number
    dogId: string
    kind: 'new-food' | 'leave-out' | 'elimination' | 'challenge'
    /**
     * ids of foods or groups: the one that is tried or left out, or all that may be eaten
     */
    foods: string[]
    from: string
    days: number
    lastDay: string
    vetSaid: boolean
    endedOn: string | null
    outcome: 'well' | 'badly' | 'open' | null
    saw: string | null
    isOpen: boolean
    /**
     * its days are over and nobody has said how it went
     */
    isDue: boolean
    says: string
    /**
     * what is to be done when
     */
    dates: TrialDate[]
}

export interface TrialDate {
    on: string
    says: string
}
/**
 * who comes, when, what is served, and what goes into which box
 */

export interface Occasion {
    id: string
    /**
     * counts up with every change; a write names the one it was made on
     */
    version: number
    name: string
    on: string
    /**
     * by the kitchen's clock
     */
    at: string | null
    place: string
    transportMinutes: number | null
    words: string
    dogs: string[]
    guests: OccasionGuest[]
    treats: OccasionTreat[]
    shares: OccasionShare[]
    boxes: OccasionBox[]
}
/**
 * a dog of other people, with the few facts that are known; null: nobody asked
 */

export interface OccasionGuest {
    id: string
    name: string
    weightKg: number | null
    ageMonths: number | null
    allergies: string[] | null
    conditions:
        | (
              | 'pancreatitis'
              | 'hyperlipidaemia'
              | 'diabetes'
              | 'kidney'
              | 'heart'
              | 'heart-advanced'
              | 'liver'
              | 'shunt'
              | 'gallbladder-mucocele'
              | 'copper-storage'
              | 'oxalate-stones'
              | 'urate-stones'
              | 'xanthine-stones'
              | 'struvite-stones'
              | 'cystine-stones'
              | 'silica-stones'
              | 'urinary'
              | 'epilepsy-bromide'
              | 'epilepsy'
              | 'addisons'
              | 'cushings'
              | 'hypothyroid'
              | 'hypercalcaemia'
              | 'sensitive-stomach'
              | 'enteropathy'
              | 'gut-protein-loss'
              | 'epi'
              | 'megaoesophagus'
              | 'dental'
              | 'arthritis'
              | 'atopy'
              | 'anaemia'
              | 'immunocompromised'
              | 'pregnant'
              | 'nursing'
              | 'weight-loss'
              | 'weight-gain'
              | 'other'
          )[]
        | null
    medicines: (
        | 'anticoagulant'
        | 'chemotherapy'
        | 'surgery-planned'
        | 'selegiline'
        | 'bromide'
        | 'phenobarbital'
        | 'prednisolone'
        | 'nsaid'
        | 'diuretic'
        | 'ace-inhibitor'
        | 'levothyroxine'
        | 'insulin'
        | 'tetracycline'
        | 'quinolone'
        | 'ciclosporin'
        | 'allopurinol'
        | 'other'
    )[]
}

export interface OccasionTreat {
    recipeId: string
    /**
     * the day somebody chose; null: the day before, where it keeps so long
     */
    bakeOn: string | null
}

export interface OccasionShare {
    /**
     * a dog of the kitchen or a guest
     */
    dog: string
    recipeId: string | null
    /**
     * how many, or words for it; null: one, or as much of one as it may have
     */
    pieces: number | string | null
}

export interface OccasionBox {
    id: string
    for: string
    dog: string | null
    recipeId: string
    pieces: number
    in: 'box' | 'tin' | 'bag'
}

export interface Gone {
    kind: string
    id: string
}

export interface Trashed {
    kind: string
    id: string
    name: string
    takenAt: string
    goneOn: string
}

export interface KeptPhoto {
    id: string
}

export interface ProfileInShort {
    /**
     * its id
     */
    dog: string
    stage: 'puppy' | 'adult' | 'senior'
    /**
     * by the school this kitchen chose
     */
    dailyKcal: Range | null
    budget: BudgetInShort | null
    safeBiteMm: number | null
    questions: string[]
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface BudgetInShort {
    kcal: number
    percent: number
    reason: string
}
/**
 * a batch with what it was begun with, what was planned, and its log
 */

export interface Batch {
    id: string
    /**
     * counts up with every change; a write names the one it was made on
     */
    version: number
    recipeId: string | null
    title: string
    oven: string
    /**
     * a moment in UTC with milliseconds
     */
    begunAt: string
    begunBy: string
    state: 'making' | 'finished' | 'given-up'
    finishedAt: string | null
    steps: number
    done: number
    /**
     * times something went in otherwise than written
     */
    made: number
    count: number | null
    bakedGrams: number | null
    wastePieces: number
    wasteGrams: number
    felt: string | null
    wetness: number | null
    next: string | null
    photoId: string | null
    timers: RunningTimer1[]
    lots: LotInShort1[]
    dataVersion: string
    question: FormulateRequest
    answer: FormulateAnswer
    plan: BakeAnswer
    entries: BatchEntry[]
    corrected: CorrectedMethod | null
}

export interface RunningTimer1 {
    id: string
    name: string
    lot: string | null
    /**
     * a moment in UTC with milliseconds
     */
    endsAt: string
}

export interface LotInShort1 {
    lot: string | null
    class: string
    plannedMinutes: number | null
    minutes: number | null
    computedGrams: number | null
    bakedGrams: number | null
    computedCount: number | null
    count: number | null
    /**
     * pieces that were put away
     */
    put: number
}

export interface AskedPart1 {
    /**
     * the heading its lines stand under; null: the lines under none
     */
    section?: string | null
    role?: 'body' | 'filling' | 'topping' | 'frosting' | 'coating' | 'liquid' | 'dusting' | null
    process?: 'oven' | 'hob' | 'griddle' | 'microwave' | 'dried' | 'frozen' | 'set' | 'none' | null
    /**
     * whether it is there when the body is heated
     */
    joins?: 'before' | 'after' | null
    keeps?: {
        grams?: number | null
        strained?: boolean | null
        drained?: boolean | null
    } | null
    /**
     * null: shared evenly over the pieces
     */
    gramsPerPiece?: number | null
    texture?: 'cake' | 'tray' | 'soft' | 'chewy' | 'biscuit' | 'hard' | 'jerky' | 'frozen' | 'none' | null
}

export interface OwnFood1 {
    name: string
    /**
     * @maxItems 20
     */
    names?: string[] | null
    /**
     * @maxItems 30
     */
    groups?: string[] | null
    per100g?: {
        kcal?: number | null
        proteinG?: number | null
        fatG?: number | null
        carbohydrateG?: number | null
        fibreG?: number | null
        sugarsG?: number | null
        sodiumMg?: number | null
        calciumMg?: number | null
        phosphorusMg?: number | null
        potassiumMg?: number | null
        copperMg?: number | null
        vitaminAUg?: number | null
        vitaminDUg?: number | null
        magnesiumMg?: number | null
        zincMg?: number | null
        ironMg?: number | null
    } | null
    gramsPerCup?: number | null
    gramsEach?: number | null
    ingredients?: string | null
}

export interface AskedPortion1 {
    name?: string | null
    /**
     * @maxItems 50
     */
    dogs?: string[] | null
    share?: number | null
    cut?: Cut3 | null
    bake?: {
        texture?: 'cake' | 'tray' | 'soft' | 'chewy' | 'biscuit' | 'hard' | 'jerky' | 'frozen' | 'none' | null
    } | null
    measured?: {
        count?: number | null
        bakedGrams?: number | null
        wasteGrams?: number | null
    } | null
    /**
     * opaque; told beside the name
     */
    id?: string | null
}

export interface Price1 {
    ingredient: string
    grams: number
    price: number
}

export interface OwnSwap1 {
    out: string
    in: string
    ratio?: number | null
    rating?: 'good' | 'bad' | null
    note?: string | null
}

export interface Range1 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range2 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range3 {
    low: number
    best: number
    high: number
}

export interface Range4 {
    low: number
    best: number
    high: number
}

export interface Finding1 {
    dog: string | null
    level: 'never' | 'unknown' | 'allergen' | 'limit' | 'ask-vet' | 'check-label' | 'caution'
    code: string
    message: string
    advice: string
    figure: string | null
    emergency: boolean
    source: string
    confirmed?: true
    dogId?: string
}

export interface Finding2 {
    dog: string | null
    level: 'never' | 'unknown' | 'allergen' | 'limit' | 'ask-vet' | 'check-label' | 'caution'
    code: string
    message: string
    advice: string
    figure: string | null
    emergency: boolean
    source: string
    confirmed?: true
    dogId?: string
}

export interface Range5 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range6 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range7 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range8 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range9 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range10 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range11 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range12 {
    low: number
    best: number
    high: number
}

export interface Range13 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range14 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range15 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range16 {
    low: number
    best: number
    high: number
}

export interface Range17 {
    low: number
    best: number
    high: number
}

export interface Range18 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range19 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range20 {
    low: number
    best: number
    high: number
}

export interface AnyCut1 {
    shape: string
    [k: string]: number | string
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range21 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range22 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range23 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range24 {
    low: number
    best: number
    high: number
}

export interface BakeAnswer {
    version: 1
    steps: WorkStep[]
    handsOnMinutes: number
    elapsedMinutes: number
    readyAt: string | null
    warnings: string[]
}

export interface WorkStep {
    id: string
    part: string | null
    /**
     * null where there is one lot only
     */
    lot: string | null
    kind:
        | 'prepare'
        | 'soak'
        | 'mix'
        | 'rest'
        | 'chill'
        | 'shape'
        | 'preheat'
        | 'heat'
        | 'look'
        | 'turn'
        | 'stir'
        | 'core'
        | 'cool'
        | 'set'
        | 'freeze'
        | 'dry'
        | 'bag'
    text: string
    /**
     * steps before it; of a look, a turn and a stir the heat it happens in
     */
    needs: string[]
    minutes: Range25
    startsAfterMinutes: number
    hands: 'on' | 'off'
    oven: OvenHeat | null
    core: CoreTarget | null
    hazard: string | null
    tip: string | null
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range25 {
    low: number
    best: number
    high: number
}

export interface OvenHeat {
    celsius: number
    fahrenheit: number
    fanCelsius: number
    gas: string | null
}

export interface CoreTarget {
    celsius: number
    holdMinutes: number
}
/**
 * an entry of the log of a batch: never changed, corrected by a later one
 */

export interface BatchEntry {
    id: string
    /**
     * a moment in UTC with milliseconds
     */
    at: string
    by: string
    kind:
        | 'begun'
        | 'done'
        | 'skipped'
        | 'timer'
        | 'more'
        | 'stopped'
        | 'made'
        | 'felt'
        | 'tasted'
        | 'core'
        | 'count'
        | 'weight'
        | 'waste'
        | 'mould'
        | 'note'
        | 'photo'
        | 'bag'
        | 'finished'
        | 'given-up'
        | 'undone'
    said?: EntrySaid
    corrects?: string | null
}
/**
 * what is said of each kind
 */

export interface EntrySaid {
    step?: string
    timer?: string
    name?: string
    seconds?: number
    lot?: string
    entry?: MadeEntry1
    says?: string
    feel?: string
    dog?: string
    what?: string
    took?: boolean
    ofBatch?: boolean
    grams?: number
    pieces?: number
    celsius?: number
    percent?: number
    why?: string
    about?: 'oven' | 'dough' | 'next' | 'other'
    text?: string
    photo?: string
    place?: 'jar' | 'fridge' | 'freezer'
    bags?: number
}

export interface Addition1 {
    /**
     * added, as a line would say it
     */
    text: string
    section?: string | null
}

export interface UsedShare1 {
    /**
     * of the text as sent
     */
    row: number
    span?: number[] | null
    /**
     * of what is written
     */
    share: number
}

export interface UsedGrams1 {
    row: number
    span?: number[] | null
    /**
     * as weighed; 0: left out
     */
    grams: number
}
/**
 * the method with the minutes it really took in the heat
 */

export interface CorrectedMethod {
    minutes: number
    steps: string
}
/**
 * what the finished batches say of one oven
 */

export interface OvenLesson {
    oven: string
    batches: string[]
    class: string
    of: 'minutes' | 'mass' | 'count' | 'wetness'
    /**
     * the middle of the newest five at most; null under two
     */
    factor: number | null
    /**
     * bakes that were used
     */
    from: number
    low: number
    high: number
    says: string
}
/**
 * a bag with everything that was done with it
 */

export interface BagWithActs {
    id: string
    /**
     * counts up with every change; a write names the one it was made on
     */
    version: number
    /**
     * as it is written on the bag
     */
    number: number
    title: string
    content: 'treats' | 'dough' | 'food'
    batch: string | null
    lot: string | null
    made: string
    /**
     * of the table of keeping, or what was opened
     */
    class: string
    because: string
    /**
     * for whom; empty for all
     */
    dogs: string[]
    note: string | null
    ingredient: string | null
    grams: number | null
    place: string | null
    /**
     * left in it
     */
    pieces: number
    putPieces: number
    bestBefore: string | null
    /**
     * the latest that people may set
     */
    bestBeforeAtMost: string | null
    frozen: boolean
    thawedOn: string | null
    /**
     * it is good for once it is taken out
     */
    thawedDays: number
    state: 'here' | 'empty' | 'undone'
    endedAt: string | null
    acts: JarAct[]
}
/**
 * something done at the jars; never changed
 */

export interface JarAct {
    id: string
    at: string
    by: string
    do:
        | 'put'
        | 'found'
        | 'open'
        | 'gone'
        | 'move'
        | 'split'
        | 'merge'
        | 'take'
        | 'count'
        | 'date'
        | 'for'
        | 'cut'
        | 'undo'
    said?: {}
    /**
     * the act that is taken back
     */
    corrects?: string | null
}

export interface ActDone {
    act: JarAct
    bags: Bag[]
    /**
     * Batches of which more or less stands about than before
     */
    batches: BatchSlip[]
}

export interface PowerCutAnswer {
    bags: AfterCut[]
}

export interface AfterCut {
    bag: string
    outcome: 'kept' | 'look' | 'thawed' | 'stood' | 'throw'
    says: string
}

export interface PowerCutQuestion {
    hours: number
    full?: boolean
    feels?: FeltBag[]
    /**
     * that it reached; all that need power where it is left out
     */
    places?: string[]
}

export interface FeltBag {
    bag: string
    feels: 'hard' | 'icy' | 'soft'
}
/**
 * what every dog was given on a day, and may still have
 */

export interface KitchenDay {
    date: string
    dogs: DayDog[]
    batches: DayTreat[]
    given: LedgerEntry[]
    /**
     * what occasions take from the days around this one
     */
    loans: Loan[]
    /**
     * dogs that should stand on the scale; told of all dogs only
     */
    weigh: WeighDue[]
    /**
     * of the bag that something was given from; only in the answer to that
     */
    says?: string | null
    /**
     * that something was given from, as they stand then; only in the answer to that
     */
    bags?: Bag[]
    /**
     * whom the page asks after: of few, and of none of whom it was said
     */
    watch: AskAfter[]
    /**
     * dogs for whom nothing of what stands in the jars is cleared
     */
    lacking: string[]
}

export interface DayDog {
    dog: string
    dogId?: string
    budgetKcal: number | null
    given: DayGiven
    /**
     * negative when over
     */
    leftKcal: number | null
    may: DayMay[]
    holdBackGrams: number | null
    over: boolean
    findings: Finding3[]
    /**
     * for the rules of the days after
     */
    hadPredatorFish: boolean
    /**
     * every food of what it was given, by id; what nobody knows as it was written
     */
    ate: string[]
}

export interface DayGiven {
    kcal: Range26
    sodiumMg: Range27
    fatG: Range28
    addedSugarG: Range29
    retinolUg: Range30
    vitaminDUg: Range31
    coumarinMg: Range32
    garlicG: Range33
    calciumMg: Range34
    newFibreG: Range35
    kelpG: Range36
    rootSpiceG: Range37
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range26 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range27 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range28 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range29 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range30 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range31 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range32 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range33 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range34 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range35 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range36 {
    low: number
    best: number
    high: number
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Range37 {
    low: number
    best: number
    high: number
}

export interface DayMay {
    batch: string
    pieces: number | null
    heldBy:
        | 'budget'
        | 'unknown-energy'
        | 'sodium'
        | 'fat'
        | 'added-sugar'
        | 'coumarin'
        | 'vitamin-a'
        | 'vitamin-d'
        | 'calcium'
        | 'fibre'
        | 'kelp'
        | 'garlic'
        | 'root-spice'
        | 'new-ingredient'
        | 'age'
        | 'predator-fish'
        | 'not-cleared'
        | null
    /**
     * why it is not cleared
     */
    why: string | null
}

export interface Finding3 {
    dog: string | null
    level: 'never' | 'unknown' | 'allergen' | 'limit' | 'ask-vet' | 'check-label' | 'caution'
    code: string
    message: string
    advice: string
    figure: string | null
    emergency: boolean
    source: string
    confirmed?: true
    dogId?: string
}

export interface DayTreat {
    id: string
    batch: string
    lot: string | null
    title: string
}

export interface LedgerEntry {
    id: string
    /**
     * binds what was given to several at once
     */
    gift: string
    dog: string
    on: string
    at: string
    by: string
    kind: 'pieces' | 'text' | 'label' | 'taste'
    batch: string | null
    bag: string | null
    pieces: number | null
    words: string
    /**
     * one of several dogs had it, nobody knows which
     */
    unsure: boolean
    undone: boolean
}

export interface Loan {
    id: string
    dog: string
    on: string
    kcal: number
    by: string
    days: LoanDay[]
}

export interface LoanDay {
    on: string
    kcal: number
}

export interface WeighDue {
    dog: string
    lastOn: string | null
    dueOn: string | null
}

export interface AskAfter {
    dog: string
    on: string
    because: string[]
    gifts: AskAfterGift[]
    /**
     * gifts of which it was said how it took them
     */
    taken: string[]
}

export interface AskAfterGift {
    gift: string
    words: string
}
/**
 * something given at one moment: one of bag, batch, text or label
 */

export interface Gift {
    id: string
    at: string
    by: string
    /**
     * @minItems 1
     * @maxItems 50
     */
    dogs: GiftDog[]
    unsure?: GiftUnsure | null
    bag?: string
    batch?: string
    text?: string
    label?: BoughtTreat | null
    /**
     * it helped itself: more than a hand gives
     */
    raid?: boolean
}

export interface GiftDog {
    dog: string
    /**
     * at most 100 by hand, 1000 in a raid
     */
    pieces?: number | null
}

export interface GiftUnsure {
    /**
     * in all
     */
    pieces: number
}
/**
 * by its label, a piece; what the label does not say is a range that holds the ration
 */

export interface BoughtTreat {
    name: string
    /**
     * in a piece; null where the label does not say
     */
    kcal?: number | null
    /**
     * that a piece weighs
     */
    grams?: number | null
    /**
     * its list, screened
     */
    ingredients?: string | null
    sodiumMg?: number | null
    fatG?: number | null
    addedSugarG?: number | null
    retinolUg?: number | null
    vitaminDUg?: number | null
    coumarinMg?: number | null
    garlicG?: number | null
    calciumMg?: number | null
    newFibreG?: number | null
    kelpG?: number | null
    rootSpiceG?: number | null
}

export interface ThawPlan {
    from: string
    days: number
    eaters: PlannedEater[]
    /**
     * what was given lately, or what they may have
     */
    reckonedBy: 'ledger' | 'rations'
    takeOut: TakeOut[]
    waste: ThawWaste[]
    /**
     * the last day that is covered in full
     */
    lastsUntil: string | null
    /**
     * null where all days are
     */
    shortOn: string | null
}

export interface PlannedEater {
    dog: string
    piecesPerDay: number
}

export interface TakeOut {
    on: string
    bag: string
}

export interface ThawWaste {
    bag: string
    pieces: number
    /**
     * its last good day
     */
    on: string
}
/**
 * what a batch leaves over
 */

export interface LeftOver {
    kept: {
        ingredient: string
        name: string
        /**
         * the food of the recipe
         */
        of: string
        /**
         * a kind of opened.csv
         */
        food: string
        /**
         * in the fridge
         */
        days: number
        /**
         * what was said of it; null: nothing yet
         */
        answered: 'kept' | 'gone' | null
    }[]
    /**
     * what filled no whole piece
     */
    dough: null | {
        grams: number
        pieces: number
        /**
         * what was said of it; null: nothing yet
         */
        answered: 'kept' | 'gone' | null
    }
    scraps: {
        scrap: string
        of: string[]
        /**
         * else it goes into the bowl
         */
        outOfReach: boolean
        says: string
    }[]
}
/**
 * a dog's days beside each other
 */

export interface Season {
    dog: string
    from: string
    to: string
    /**
     * of which something was given
     */
    days: SeasonDay[]
    entries: DiaryEntry[]
    weighings: SeasonWeight[]
    trials: Trial[]
    suspects: SuspectsAnswer
    likes: LikesAnswer
    /**
     * of every food and group that is named by its id
     */
    names: {
        [k: string]: string
    }
    /**
     * the first day that suspects counts: of which anything was written down
     */
    countedFrom: string
}

export interface SeasonDay {
    on: string
    kcal: number
    budgetKcal: number | null
    over: boolean
    foods: string[]
}
/**
 * what somebody wrote down of a dog on a day; never changed, taken back by a later word
 */

export interface DiaryEntry {
    id: string
    at: string
    by: string
    dog: string
    on: string
    kind: 'taken' | 'sign' | 'well' | 'note'
    said: DiarySaid
    photo: string | null
    undone: boolean
}
/**
 * of what was taken: how, and of which gift, batch or foods; of a sign: which, and its step or its score; of a note: its text; of a day that was well: nothing
 */

export interface DiarySaid {
    how?: 'first' | 'again' | 'left' | 'refused'
    gift?: string
    batch?: string
    words?: string
    /**
     * @maxItems 100
     */
    foods?: string[]
    texture?: 'cake' | 'tray' | 'soft' | 'chewy' | 'biscuit' | 'hard' | 'jerky' | 'frozen' | 'none'
    shape?:
        | 'round'
        | 'square'
        | 'rectangle'
        | 'bone'
        | 'heart'
        | 'star'
        | 'area'
        | 'strip'
        | 'log'
        | 'ball'
        | 'scoop'
        | 'mould'
        | 'grid'
        | 'slices'
        | 'pieces'
    sign?: 'gut' | 'skin' | 'ears' | 'vomiting' | 'energy'
    step?: number
    score?: number
    note?: string
    text?: string
}

export interface SeasonWeight {
    on: string
    kg: number
    bodyCondition: number | null
}

export interface SuspectsAnswer {
    version: 1
    kinds: SuspectsOfKind[]
    says: string
}

export interface SuspectsOfKind {
    kind: 'gut' | 'skin' | 'ears' | 'vomiting' | 'energy'
    suspects: Suspect[]
    nextTest: null | NextTest
}

export interface Suspect {
    food: string
    /**
     * foods and groups of exactly the same days
     */
    together: string[]
    /**
     * bad days with it
     */
    a: number
    /**
     * good days with it
     */
    b: number
    /**
     * bad days without it
     */
    c: number
    /**
     * good days without it
     */
    d: number
    /**
     * Fisher's exact test, one-sided
     */
    p: number
    /**
     * after Holm, over all entries of the kind
     */
    adjusted: number
    strength: 'none' | 'weak' | 'some' | 'strong'
    says: string
}

export interface NextTest {
    leaveOut: string[]
    keep: string[]
    days: number
    why: string
}

export interface LikesAnswer {
    version: 1
    foods: Acceptance[]
    textures: Acceptance1[]
    shapes: Acceptance2[]
    says: string
}

export interface Acceptance {
    /**
     * a food, a texture or a shape by its id
     */
    what: string
    /**
     * times it took it first or came back for more
     */
    took: number
    /**
     * times it was offered
     */
    of: number
    /**
     * times it came back for more
     */
    again: number
    liking: 'unknown' | 'refused' | 'mixed' | 'liked'
    lastOn: string
}

export interface Acceptance1 {
    /**
     * a food, a texture or a shape by its id
     */
    what: string
    /**
     * times it took it first or came back for more
     */
    took: number
    /**
     * times it was offered
     */
    of: number
    /**
     * times it came back for more
     */
    again: number
    liking: 'unknown' | 'refused' | 'mixed' | 'liked'
    lastOn: string
}

export interface Acceptance2 {
    /**
     * a food, a texture or a shape by its id
     */
    what: string
    /**
     * times it took it first or came back for more
     */
    took: number
    /**
     * times it was offered
     */
    of: number
    /**
     * times it came back for more
     */
    again: number
    liking: 'unknown' | 'refused' | 'mixed' | 'liked'
    lastOn: string
}
/**
 * all that a dog was given, the latest first
 */

export interface DogGiven {
    dog: string
    from: string
    to: string
    given: LedgerEntry[]
    days: SeasonDay1[]
    names: {
        [k: string]: string
    }
}

export interface SeasonDay1 {
    on: string
    kcal: number
    budgetKcal: number | null
    over: boolean
    foods: string[]
}
/**
 * something that was seen
 */

export interface ToDiary {
    id: string
    at: string
    by: string
    dog: string
    on: string
    kind: 'taken' | 'sign' | 'well' | 'note'
    said?: DiarySaid
    photo?: string | null
}
/**
 * a recipe that may be baked next
 */

export interface NextBake {
    recipe: string
    title: string
    /**
     * bags of open food that go into it, what goes off first in front
     */
    uses: string[]
    /**
     * who may have it and is not known to refuse what is in it
     */
    dogs: string[]
    refuse: Refuses[]
    /**
     * for whom nothing stands in the jars
     */
    lack: string[]
    /**
     * who is known to take something of it
     */
    like: string[]
    /**
     * pieces of it that still stand on the shelves
     */
    there: number
}

export interface Refuses {
    dog: string
    food: string
}

export interface Backups {
    /**
     * how many nightly ones
     */
    kept: number
    backups: Backup[]
}

export interface Backup {
    id: string
    made: string
    reason: 'by-hand' | 'nightly' | 'before-upgrade' | 'before-fresh' | 'before-restore' | 'brought-in'
    /**
     * what the kitchen was called
     */
    kitchen: string | null
    bytes: number
    /**
     * how many of what, by table
     */
    rows: {
        [k: string]: number
    }
    /**
     * false: it cannot be read
     */
    usable: boolean
}

export interface Restored {
    /**
     * the backup of what was there
     */
    before: string | null
}

export interface LabelPhoto {
    /**
     * what stands above the list
     */
    name: string
    list: string
    /**
     * what is printed beside the list
     */
    rest: string
    doubts: DoubtfulWord[]
    /**
     * what no dog may have, beside the list
     */
    besides: {
        text: string
        message: string
    }[]
    /**
     * why this is a poor picture, in words
     */
    poor: string | null
    letterHigh: number | null
    languages: ('en' | 'de' | 'fr' | 'es' | 'it')[]
    barcode: ReadBarcode | null
}

export interface DoubtfulWord {
    /**
     * where it stands in the list, in code points
     *
     * @minItems 2
     * @maxItems 2
     */
    span: number[]
    text: string
    sure: number
    box: WordBox
}
/**
 * where it stands in the picture, in its points
 */

export interface WordBox {
    left: number
    top: number
    width: number
    height: number
}

export interface ReadBarcode {
    number: string
    product: {
        id: string
        name: string
    } | null
    shelf: {
        number: string
        name: string
        ingredients: string
    } | null
}

export interface Offers {
    from: string | null
    made: string | null
    items: OfferedItem[]
}

export interface OfferedItem {
    number: number
    kind: 'recipes' | 'products' | 'foods' | 'words' | 'swaps'
    name: string
    /**
     * whether this kitchen has it: not yet, exactly so, another of that name
     */
    state: 'new' | 'same' | 'other'
    /**
     * why it cannot be taken
     */
    problem: string | null
    text: string
    hasPicture: boolean
}

export interface Taken {
    taken: number
}

export interface CsvTaken {
    rows: number
    new: number
    same: number
    changed: number
    unknownColumns: string[]
    problems: CsvProblem[]
    taken: boolean
}

export interface CsvProblem {
    /**
     * in the file, the head being the first
     */
    row: number
    column: string
    said: string
    message: string
}

export interface Printed {
    sheet: {
        id: string
        says: string
        width: number
        height: number
        onAPage: number
    }
    pages: PrintedPage[]
    leftOut: string[]
    ascent: number
}

export interface PrintedPage {
    runs: {
        x: number
        y: number
        /**
         * pt
         */
        size: number
        bold: boolean
        text: string
    }[]
    lines: {
        points: number[][]
    }[]
    frames: {
        x: number
        y: number
        width: number
        height: number
    }[]
}
/**
 * an occasion as it is written; a change names only what changed
 */

export interface OccasionFields {
    name?: string
    on?: string
    /**
     * by the kitchen's clock
     */
    at?: string | null
    place?: string
    transportMinutes?: number | null
    words?: string
    dogs?: string[]
    guests?: OccasionGuest[]
    treats?: OccasionTreat[]
    shares?: OccasionShare[]
    boxes?: OccasionBox[]
}

export interface OccasionDue {
    occasion: string
    name: string
    recipeId: string | null
    title: string | null
    kind: 'occasion' | 'bake' | 'thaw' | 'leave'
    on: string
    at: string | null
    text: string
}
/**
 * the fewest recipes of the shelf that serve everybody who comes
 */

export interface OccasionFound {
    fewest: FoundTreat[]
    /**
     * each of which serves all
     */
    forAll: {
        recipeId: string
        title: string
        serves: string[]
    }[]
    notServed: NotServed[]
    looked: number
    of: number
}

export interface FoundTreat {
    recipeId: string
    title: string
    serves: string[]
}

export interface NotServed {
    dog: string
    why: string
}
/**
 * what an occasion comes to, and what of it the ledger holds
 */

export interface OccasionPlan {
    plan: PartyAnswer
    written: OccasionWritten[]
}

export interface PartyAnswer {
    version: 1
    treats: PartyServed[]
    /**
     * ids of the fewest treats that serve everybody who can be served
     */
    fewest: string[]
    allServed: boolean
    guests: PartyDog[]
    boxes: PartyBoxed[]
}

export interface PartyServed {
    id: string
    name: string
    serves: PartyServes[]
    lacks: PartyLacks[]
    /**
     * eaten there and boxed
     */
    pieces: number
    /**
     * pieces that one batch makes
     */
    aBatch: number
    /**
     * whole batches
     */
    times: number
    left: number
    slices: {
        number: number
        parts: {
            dog: string
            dogId: string | null
            share: number
            without: string[]
        }[]
    }[]
    plan: BackwardPlan | null
}

export interface PartyServes {
    dog: string
    dogId?: string | null
}

export interface PartyLacks {
    dog: string
    dogId?: string | null
    why: string
    /**
     * whether a label or a vet could settle it
     */
    confirmable: boolean
}

export interface BackwardPlan {
    steps: PlanStep[]
    bakeOn: string
    /**
     * where it waits; null where it is baked on the day
     */
    place: 'jar' | 'fridge' | 'freezer' | null
    earliestOn: string
    keepsUntil: string | null
    problem: string | null
    elapsedMinutes: number
    coolMinutes: number | null
}

export interface PlanStep {
    kind: 'bake' | 'cool' | 'freeze' | 'keep' | 'thaw' | 'leave' | 'serve'
    on: string
    at: string | null
    text: string
}

export interface PartyDog {
    dog: string
    dogId?: string | null
    /**
     * ask-first: it is baked for, and its people are asked before it gets any
     */
    state: 'may' | 'ask-first' | 'none'
    treat: string | null
    pieces: number
    ask: ('allergies' | 'conditions' | 'age' | 'weight')[]
    without: string[]
    possible: boolean
    why: string | null
    mostPieces: number
    kcal: number | null
    budgetKcal: number | null
    daysWithout: number | null
    holdBackGrams: number | null
    says: string
    /**
     * what the days after give up for it, by day
     */
    borrows: Borrowed[]
    /**
     * of the budget of its day, after what it had and what other occasions take
     */
    leftKcal: number | null
    /**
     * names of other occasions that take from these days
     */
    countedWith: string[]
    /**
     * of its share, each substance that has a limit and is in it
     */
    holds: PartyHolds[]
}

export interface Borrowed {
    daysAfter: number
    /**
     * 0 where only its fat is spread over that day
     */
    kcal: number
}

export interface PartyHolds {
    substance:
        | 'sodiumMg'
        | 'fatG'
        | 'addedSugarG'
        | 'retinolUg'
        | 'vitaminDUg'
        | 'coumarinMg'
        | 'garlicG'
        | 'calciumMg'
        | 'newFibreG'
        | 'kelpG'
        | 'rootSpiceG'
    amount: number
}

export interface PartyBoxed {
    dog: string | null
    dogId: string | null
    for: string
    treat: string
    pieces: number
    /**
     * why it must not be given; then none is baked for it
     */
    stops: string | null
    piecesPerDay: number | null
    /**
     * the first day on which the dog may have of it
     */
    from: string | null
    days: number | null
    keepsUntil: string | null
    says: string | null
    /**
     * what nobody asked the people of the dog yet
     */
    ask: ('allergies' | 'conditions' | 'age' | 'weight')[]
}

export interface OccasionWritten {
    recipeId: string
    /**
     * the id under which the next giving of it is written down: two hands that write the same down write it once
     */
    next: string
    given: OccasionGiven[]
}

export interface OccasionGiven {
    gift: string
    dog: string
    pieces: number | null
    at: string
    by: string
}

export interface Choices {
    sexes: string[]
    activities: string[]
    stages: string[]
    teeth: string[]
    eating: string[]
    allergens: {
        id: string
        name: string
    }[]
    conditions: {
        id: string
        name: string
    }[]
    medicines: {
        id: string
        name: string
    }[]
    breeds: string[]
    foods: {
        id: string
        name: string
    }[]
    shapes: Shape[]
    textures: {
        id: string
        name: string
    }[]
    roles: {
        id: string
        name: string
    }[]
    processes: {
        id: string
        name: string
    }[]
    cups: {
        units: string
        cupMl: number
        tablespoonMl: number
    }[]
    policies: {
        [k: string]: string[]
    }
    standingWords: string
    dataVersion: string
    feels: Feel[]
    /**
     * of a dough whose body is meat or fish, the loosest first
     */
    feelsOfMeat: Feel[]
    measures: HouseMeasures
    signs: SignChoice[]
    hows: HowChoice[]
    /**
     * how a new food is brought in: from which day of a trial on which share of the ration
     */
    ramp: RampStep[]
    /**
     * paper that labels and cards are printed on, the usual first
     */
    sheets: {
        bag: PaperSheet[]
        gift: {
            id: string
            name: string
        }[]
        card: {
            id: string
            name: string
        }[]
    }
}

export interface Shape {
    id: string
    name: string
    lies: 'InRows' | 'Staggered' | 'InMoulds' | 'AsSheet' | 'Uncounted'
    sizes: {
        key: string
        label: string
        unit: string
        start: number
    }[]
    drawing: null | Drawing
}

export interface Drawing {
    /**
     * outline in a square of 1 × 1
     */
    path: string
    /**
     * the size, and the one it is divided by
     *
     * @minItems 1
     * @maxItems 2
     */
    across: string[]
    /**
     * the size, and the one it is divided by
     *
     * @minItems 1
     * @maxItems 2
     */
    down: string[]
    thick: string | null
}

export interface Feel {
    feel: string
    word: string
    below: number
}

export interface HouseMeasures {
    kgAPound: number
    mmAnInch: number
    gasMarks: GasMark[]
}

export interface GasMark {
    mark: string
    celsius: number
}
/**
 * what is watched in a dog; one without steps is told by a number from 0 to 10
 */

export interface SignChoice {
    kind: 'gut' | 'skin' | 'ears' | 'vomiting' | 'energy'
    name: string
    steps: SignStep[]
    /**
     * days after a food on which such a sign may still come of it
     */
    windowDays: number
    /**
     * the score from which on a day is a bad one; 0 is none even where any sign makes it one
     */
    badFrom: number
}

export interface SignStep {
    step: number
    score: number
    name: string
    meaning: string
    /**
     * a vet should hear of it today
     */
    urgent: boolean
}

export interface HowChoice {
    id: 'first' | 'again' | 'left' | 'refused'
    name: string
}

export interface RampStep {
    day: number
    share: number
}

export interface PaperSheet {
    id: string
    name: string
}

/**
 * words to be offered while a recipe is written
 */

export interface Vocabulary {
    foods: FoodName[]
    units: string[]
    forms: string[]
    dataVersion: string
}

export interface FoodName {
    name: string
    ingredient: string
}

export interface Problem {
    type: string
    title: string
    status: number
    code: string
    message: string
    path: string
    errors?: {
        path: string
        message: string
    }[]
    /**
     * fields that another person changed meanwhile
     */
    conflicts?: FieldConflict[]
    /**
     * of the row as it stands now
     */
    version?: number
}

export interface FieldConflict {
    field: string
    /**
     * a value of the field, as the kitchen tells it
     */
    before: {
        [k: string]: unknown
    }
    /**
     * a value of the field, as the kitchen tells it
     */
    mine: {
        [k: string]: unknown
    }
    /**
     * a value of the field, as the kitchen tells it
     */
    theirs: {
        [k: string]: unknown
    }
}

export interface ReadRequest {
    version: 1
    content: string
    kind?: 'auto' | 'text' | 'html' | 'json-ld' | 'markdown' | null
    explain?: boolean | null
}

export interface ReadAnswer {
    version: 1
    recipes: Clipping[]
    notUnderstood: string[]
    /**
     * talk that is no recipe, kept
     */
    setAside?: SetAside[]
}

export interface Clipping {
    title: string
    text: string
    steps: string
    yield: string | null
    times: {
        prepMinutes: number | null
        bakeMinutes: number | null
    }
    source: string | null
    doubts?: Doubt[]
    /**
     * only of a talk: each line of the list with the words it came from
     */
    lines?: ToldLine[]
    questions?: ToldQuestion[]
    warnings?: ToldWarning[]
    bake?: ToldBake
}

export interface ToldLine {
    text: string
    said: string
    /**
     * first code point of the content as sent, and the one after the last
     *
     * @minItems 2
     * @maxItems 2
     */
    span: number[]
    /**
     * every place it was spoken of
     */
    spans: number[][]
    /**
     * false for what was corrected, guessed or said without an amount
     */
    sure: boolean
}

export interface ToldQuestion {
    /**
     * a food, or minutes
     */
    about: string
    /**
     * what holds now comes first; empty where no amount was said
     */
    options: string[]
    said: string[]
    question: string
}

export interface ToldWarning {
    ingredient: string
    name: string
    said: string
    /**
     * first code point of the content as sent, and the one after the last
     *
     * @minItems 2
     * @maxItems 2
     */
    span: number[]
}

export interface ToldBake {
    celsius: number | null
    fahrenheit: number | null
    gasMark: string | null
    minutes: null | ToldMinutes
    texture: 'jerky' | 'frozen' | 'none' | null
    thicknessMm: number | null
    sizeMm: number | null
    shape: 'round' | 'square' | 'ball' | null
}

export interface ToldMinutes {
    low: number
    best: number
    high: number
}

export interface SetAside {
    said: string
    /**
     * first code point of the content as sent, and the one after the last
     *
     * @minItems 2
     * @maxItems 2
     */
    span: number[]
}

/**
 * what trials and meals told of it until today
 */

export interface LabelRequest {
    version: 1
    name?: string | null
    ingredients: string
    /**
     * @maxItems 50
     */
    dogs?: TableDog[] | null
    policy?: Policy | null
    /**
     * @maxItems 500
     */
    names?: OwnName[] | null
    /**
     * @maxItems 300
     */
    pantry?: OwnFood[] | null
}
/**
 * A dog at the table. What is left out is unknown and taken at the end that protects the dog.
 */

export interface LabelAnswer {
    version: 1
    dataVersion: string
    parts: LabelPart[]
    worst: 'never' | 'unknown' | 'allergen' | 'limit' | 'ask-vet' | 'check-label' | 'caution' | 'clear'
}

export interface LabelPart {
    text: string
    percent: number | null
    depth: number
    ingredient: string | null
    trace: boolean
    findings: Finding[]
}

export interface RaidRequest {
    version: 1
    dog: TableDog
    food?: string | null
    recipe?: {
        title?: string | null
        text: string
        cut?: Cut | null
        pieces?: number | null
    } | null
    product?: {
        name: string
        ingredients: string
        grams: number
    } | null
    when?: string | null
    policy?: Policy | null
    /**
     * @maxItems 500
     */
    names?: OwnName[] | null
    /**
     * @maxItems 300
     */
    pantry?: OwnFood[] | null
}
/**
 * A dog at the table. What is left out is unknown and taken at the end that protects the dog.
 */

export interface RaidAnswer {
    version: 1
    dataVersion: string
    dog: string
    what: string
    when: string | null
    emergency: boolean
    words: string
    kcal: Range | null
    shareOfDayPercent: number | null
    never: Poison[]
    doses: RaidDose[]
    unread: string[]
    sheet: string[]
    dogId?: string
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Poison {
    food: string
    message: string
    figure: string | null
    emergency: boolean
}

export interface RaidDose {
    substance: string
    name: string
    unit: string
    amount: Range1
    perKg: Range2 | null
    thresholds: {
        at: number
        sign: string
    }[]
    reached: string | null
    remark: string
    source: string
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface RuleBook {
    version: string
    rules: Rule[]
}

export interface Rule {
    id: string
    kind: 'food' | 'dose' | 'condition' | 'allergy' | 'dog' | 'reading' | 'label'
    code: string
    level: 'never' | 'unknown' | 'allergen' | 'limit' | 'ask-vet' | 'check-label' | 'caution'
    emergency: boolean
    trigger: string
    threshold: string | null
    message: string
    advice: string
    source: string
    example: string | null
}

export interface LabelShelf {
    standIn: boolean
    products: ShelfProduct[]
}

export interface ShelfProduct {
    number: string
    name: string
    ingredients: string
}

export interface RescueRequest {
    version: 1
    recipe: {
        title?: string | null
        text: string
        steps?: string | null
        /**
         * what was said of parts of the recipe; what is left out is guessed and told
         *
         * @maxItems 20
         */
        parts?: AskedPart[] | null
        /**
         * what was really done, in order; of one line the later word counts; a line that is not named was used in full
         *
         * @maxItems 200
         */
        asMade?: MadeEntry[] | null
    }
    cut?: Cut | null
    bake?: {
        texture?: 'cake' | 'tray' | 'soft' | 'chewy' | 'biscuit' | 'hard' | 'jerky' | 'frozen' | 'none' | null
    } | null
    /**
     * @maxItems 50
     */
    dogs?: TableDog[] | null
    policy?: Policy | null
    /**
     * @maxItems 100
     */
    labels?:
        | {
              name: string
              ingredients: string
          }[]
        | null
    /**
     * @maxItems 500
     */
    confirmed?:
        | {
              code: string
              line?: string | null
              dog?: string | null
          }[]
        | null
    measured?: {
        count?: number | null
        bakedGrams?: number | null
        wasteGrams?: number | null
    } | null
    today?: string | null
    explain?: boolean | null
    /**
     * @maxItems 500
     */
    names?: OwnName[] | null
    /**
     * @maxItems 300
     */
    pantry?: OwnFood[] | null
    /**
     * @maxItems 20
     */
    goals?: string[] | null
    dislikes?: {
        [k: string]: string[]
    } | null
    /**
     * @maxItems 500
     */
    atHand?: string[] | null
    /**
     * @maxItems 500
     */
    swaps?: OwnSwap[] | null
    /**
     * @maxItems 10
     */
    portions?: AskedPortion[] | null
    tray?: Tray | null
    oven?: Oven | null
    /**
     * what this kitchen accepted from learn
     *
     * @maxItems 100
     */
    learned?: LearnedFactor[] | null
    /**
     * @maxItems 1000
     */
    prices?: Price[] | null
}

export interface RescueAnswer {
    version: 1
    dataVersion: string
    /**
     * @maxItems 3
     */
    rescues: RescuePlan[]
    tables: string[][]
    why: string | null
}

export interface RescuePlan {
    recipeText: string
    steps: string
    says: string
    changes: Change[]
    servedDogs: string[]
    leftOut: LeftOut[]
    wetness: {
        before: number | null
        after: number | null
    }
    cost: number
    optimal: boolean
    servedDogIds?: (string | null)[]
    /**
     * dogs that it serves once the labels it asks for were read
     */
    afterLabels: string[]
    afterLabelIds?: (string | null)[]
    /**
     * cut it so instead; null: as it was
     */
    cut: AnyCut | null
    bake: {
        texture: string
    } | null
    /**
     * what it adds to the batch or takes from it, as a share
     */
    batchChange: number
}

export interface Change {
    line: string
    action: 'swap' | 'remove' | 'adjust' | 'add'
    to: string | null
    reason: string
    row: number | null
    in: 'text' | 'steps' | null
    /**
     * @minItems 2
     * @maxItems 2
     */
    span: number[] | null
}

export interface LeftOut {
    dog: string
    line: string | null
    reason: string
    dogId?: string
}

export interface SwapsRequest {
    version: 1
    recipe: {
        title?: string | null
        text: string
        steps?: string | null
        /**
         * what was said of parts of the recipe; what is left out is guessed and told
         *
         * @maxItems 20
         */
        parts?: AskedPart[] | null
        /**
         * what was really done, in order; of one line the later word counts; a line that is not named was used in full
         *
         * @maxItems 200
         */
        asMade?: MadeEntry[] | null
    }
    cut?: Cut | null
    bake?: {
        texture?: 'cake' | 'tray' | 'soft' | 'chewy' | 'biscuit' | 'hard' | 'jerky' | 'frozen' | 'none' | null
    } | null
    /**
     * @maxItems 50
     */
    dogs?: TableDog[] | null
    policy?: Policy | null
    /**
     * @maxItems 100
     */
    labels?:
        | {
              name: string
              ingredients: string
          }[]
        | null
    /**
     * @maxItems 500
     */
    confirmed?:
        | {
              code: string
              line?: string | null
              dog?: string | null
          }[]
        | null
    measured?: {
        count?: number | null
        bakedGrams?: number | null
        wasteGrams?: number | null
    } | null
    today?: string | null
    explain?: boolean | null
    /**
     * @maxItems 500
     */
    names?: OwnName[] | null
    /**
     * @maxItems 300
     */
    pantry?: OwnFood[] | null
    dislikes?: {
        [k: string]: string[]
    } | null
    /**
     * @maxItems 500
     */
    atHand?: string[] | null
    /**
     * @maxItems 500
     */
    swaps?: OwnSwap[] | null
    line: number
    /**
     * @maxItems 12
     */
    jobs?: string[] | null
    /**
     * @maxItems 10
     */
    portions?: AskedPortion[] | null
    tray?: Tray | null
    oven?: Oven | null
    /**
     * what this kitchen accepted from learn
     *
     * @maxItems 100
     */
    learned?: LearnedFactor[] | null
    /**
     * @maxItems 1000
     */
    prices?: Price[] | null
}

export interface SwapsAnswer {
    version: 1
    dataVersion: string
    line: string
    jobs: string[]
    before: SwapFigures
    candidates: Candidate[]
    /**
     * row of the text as sent, from 0
     */
    row: number
    in: 'text' | 'steps'
    /**
     * first code point of the row, and the one after the last
     *
     * @minItems 2
     * @maxItems 2
     */
    span: number[]
}

export interface SwapFigures {
    kcalPerPiece: number
    fatPerPiece: number
    wetness: number | null
    feel: string | null
    rations: {
        dog: string
        pieces: number | null
        dogId?: string
    }[]
    made: string | null
    cost: Cost | null
}

export interface Candidate {
    action: 'swap' | 'adjust' | 'remove'
    texts: string[]
    reason: string
    serves: string[]
    notFor: string[]
    labels: string[]
    newTo: string[]
    mending: string | null
    recipeText: string
    steps: string
    cost: number
    after: SwapFigures
    swap: {
        out: string
        in: string
    } | null
    servesIds?: (string | null)[]
    notForIds?: (string | null)[]
    newToIds?: (string | null)[]
}

export interface DoughRequest {
    version: 1
    recipe: {
        title?: string | null
        text: string
        steps?: string | null
        /**
         * what was said of parts of the recipe; what is left out is guessed and told
         *
         * @maxItems 20
         */
        parts?: AskedPart[] | null
        /**
         * what was really done, in order; of one line the later word counts; a line that is not named was used in full
         *
         * @maxItems 200
         */
        asMade?: MadeEntry[] | null
    }
    cut?: Cut | null
    bake?: {
        texture?: 'cake' | 'tray' | 'soft' | 'chewy' | 'biscuit' | 'hard' | 'jerky' | 'frozen' | 'none' | null
    } | null
    /**
     * @maxItems 50
     */
    dogs?: TableDog[] | null
    policy?: Policy | null
    /**
     * @maxItems 100
     */
    labels?:
        | {
              name: string
              ingredients: string
          }[]
        | null
    /**
     * @maxItems 500
     */
    confirmed?:
        | {
              code: string
              line?: string | null
              dog?: string | null
          }[]
        | null
    measured?: {
        count?: number | null
        bakedGrams?: number | null
        wasteGrams?: number | null
    } | null
    today?: string | null
    explain?: boolean | null
    /**
     * @maxItems 500
     */
    names?: OwnName[] | null
    /**
     * @maxItems 300
     */
    pantry?: OwnFood[] | null
    feels?: string | null
    wants?: string | null
    /**
     * @maxItems 10
     */
    portions?: AskedPortion[] | null
    tray?: Tray | null
    oven?: Oven | null
    /**
     * what this kitchen accepted from learn
     *
     * @maxItems 100
     */
    learned?: LearnedFactor[] | null
    /**
     * @maxItems 1000
     */
    prices?: Price[] | null
    /**
     * @maxItems 500
     */
    swaps?: OwnSwap[] | null
}

export interface DoughAnswer {
    version: 1
    wetness: number | null
    feels: string | null
    wants: string | null
    fits: boolean | null
    add: DoughAdd | null
    says: string
    balance: DoughBalance | null
}

export interface DoughAdd {
    ingredient: string
    grams: number
    text: string
}

export interface DoughBalance {
    meatRow: number
    flourRow: number
    points: BalancePoint[]
    now: number
    stops: number | null
    says: string
}

export interface BalancePoint {
    meatGrams: number
    flourGrams: number
    meatText: string
    flourText: string
    feel: string | null
    holds: boolean
}

export interface SizeRequest {
    version: 1
    recipe: {
        title?: string | null
        text: string
        steps?: string | null
        /**
         * what was said of parts of the recipe; what is left out is guessed and told
         *
         * @maxItems 20
         */
        parts?: AskedPart[] | null
        /**
         * what was really done, in order; of one line the later word counts; a line that is not named was used in full
         *
         * @maxItems 200
         */
        asMade?: MadeEntry[] | null
    }
    bake?: {
        texture?: 'cake' | 'tray' | 'soft' | 'chewy' | 'biscuit' | 'hard' | 'jerky' | 'frozen' | 'none' | null
    } | null
    /**
     * @maxItems 50
     */
    dogs?: TableDog[] | null
    policy?: Policy | null
    /**
     * @maxItems 100
     */
    labels?:
        | {
              name: string
              ingredients: string
              /**
               * opaque; told beside the name
               */
              id?: string | null
          }[]
        | null
    /**
     * @maxItems 500
     */
    confirmed?:
        | {
              code: string
              line?: string | null
              dog?: string | null
          }[]
        | null
    measured?: {
        count?: number | null
        bakedGrams?: number | null
        wasteGrams?: number | null
    } | null
    today?: string | null
    explain?: boolean | null
    /**
     * @maxItems 500
     */
    names?: OwnName[] | null
    /**
     * @maxItems 300
     */
    pantry?: OwnFood[] | null
    tray?: Tray | null
    oven?: Oven | null
    /**
     * what this kitchen accepted from learn
     *
     * @maxItems 100
     */
    learned?: LearnedFactor[] | null
    cut?: OpenCut | null
    /**
     * @minItems 1
     * @maxItems 50
     */
    wishes: Wish[]
    days?: number | null
    /**
     * @maxItems 1000
     */
    prices?: Price[] | null
    /**
     * @maxItems 500
     */
    swaps?: OwnSwap[] | null
}

export interface OpenCut {
    shape:
        | 'round'
        | 'square'
        | 'rectangle'
        | 'bone'
        | 'heart'
        | 'star'
        | 'area'
        | 'strip'
        | 'log'
        | 'ball'
        | 'scoop'
        | 'mould'
        | 'grid'
        | 'slices'
        | 'pieces'
    areaMm2?: number | null
    cavities?: number | null
    cavityMl?: number | null
    columns?: number | null
    count?: number | null
    depthMm?: number | null
    diameterMm?: number | null
    lengthMm?: number | null
    ml?: number | null
    rows?: number | null
    sheetLengthMm?: number | null
    sheetWidthMm?: number | null
    sideMm?: number | null
    sliceMm?: number | null
    thicknessMm?: number | null
    widthMm?: number | null
}

export interface Wish {
    dog: string
    piecesPerDay: number
}

export interface SizeAnswer {
    version: 1
    possible: boolean
    why: string | null
    remedy: string | null
    batchFactor: number | null
    sizes: SolvedSize[]
    ifCleared: SizesIfCleared | null
}

export interface SolvedSize {
    dogs: string[]
    cut: AnyCut
    pieces: number
    kcalPerPiece: number
    doughGrams: number
    commonCutterMm: number | null
    sheet: SheetPlan | null
    dogIds?: (string | null)[]
}

export interface SizesIfCleared {
    version: 1
    possible: boolean
    why: string | null
    remedy: string | null
    batchFactor: number | null
    sizes: SolvedSize1[]
}

export interface SolvedSize1 {
    dogs: string[]
    cut: AnyCut1
    pieces: number
    kcalPerPiece: number
    doughGrams: number
    commonCutterMm: number | null
    sheet: SheetPlan1 | null
    dogIds?: (string | null)[]
}

export interface SheetPlan1 {
    perSheet: number
    sheets: number
    lastSheet: number
    rounds: number
    staggered: boolean
    pieceMm: number[]
    at: number[][]
    edgesMm: number[]
    says: string | null
}

export interface ScaleRequest {
    version: 1
    recipe: {
        title?: string | null
        text: string
        steps?: string | null
        /**
         * what was said of parts of the recipe; what is left out is guessed and told
         *
         * @maxItems 20
         */
        parts?: AskedPart[] | null
        /**
         * what was really done, in order; of one line the later word counts; a line that is not named was used in full
         *
         * @maxItems 200
         */
        asMade?: MadeEntry[] | null
    }
    cut?: Cut | null
    bake?: {
        texture?: 'cake' | 'tray' | 'soft' | 'chewy' | 'biscuit' | 'hard' | 'jerky' | 'frozen' | 'none' | null
    } | null
    /**
     * @maxItems 50
     */
    dogs?: TableDog[] | null
    policy?: Policy | null
    /**
     * @maxItems 100
     */
    labels?:
        | {
              name: string
              ingredients: string
              /**
               * opaque; told beside the name
               */
              id?: string | null
          }[]
        | null
    /**
     * @maxItems 500
     */
    confirmed?:
        | {
              code: string
              line?: string | null
              dog?: string | null
          }[]
        | null
    measured?: {
        count?: number | null
        bakedGrams?: number | null
        wasteGrams?: number | null
    } | null
    today?: string | null
    explain?: boolean | null
    /**
     * @maxItems 500
     */
    names?: OwnName[] | null
    /**
     * @maxItems 300
     */
    pantry?: OwnFood[] | null
    /**
     * @maxItems 10
     */
    portions?: AskedPortion[] | null
    tray?: Tray | null
    oven?: Oven | null
    /**
     * what this kitchen accepted from learn
     *
     * @maxItems 100
     */
    learned?: LearnedFactor[] | null
    by: ScaleBy
    /**
     * @maxItems 1000
     */
    prices?: Price[] | null
    /**
     * @maxItems 500
     */
    swaps?: OwnSwap[] | null
}

export interface ScaleBy {
    factor?: number | null
    pieces?: number | null
    days?: number | null
    tin?: {
        widthMm?: number | null
        lengthMm?: number | null
        diameterMm?: number | null
        depthMm: number
    } | null
    atHand?: {
        line: number
        grams: number
    } | null
}

export interface ScaleAnswer {
    version: 1
    factor: number
    recipeText: string
    lines: {
        line: string
        to: string
        note: string | null
    }[]
    warnings: string[]
    wholeEggs: {
        factor: number
        recipeText: string
        says: string
    } | null
}

export interface OccasionRequest {
    version: 1
    recipe: {
        title?: string | null
        text: string
        steps?: string | null
        /**
         * what was said of parts of the recipe; what is left out is guessed and told
         *
         * @maxItems 20
         */
        parts?: AskedPart[] | null
        /**
         * what was really done, in order; of one line the later word counts; a line that is not named was used in full
         *
         * @maxItems 200
         */
        asMade?: MadeEntry[] | null
    }
    cut?: Cut | null
    bake?: {
        texture?: 'cake' | 'tray' | 'soft' | 'chewy' | 'biscuit' | 'hard' | 'jerky' | 'frozen' | 'none' | null
    } | null
    /**
     * @maxItems 50
     */
    dogs?: TableDog[] | null
    policy?: Policy | null
    /**
     * @maxItems 100
     */
    labels?:
        | {
              name: string
              ingredients: string
              /**
               * opaque; told beside the name
               */
              id?: string | null
          }[]
        | null
    /**
     * @maxItems 500
     */
    confirmed?:
        | {
              code: string
              line?: string | null
              dog?: string | null
          }[]
        | null
    measured?: {
        count?: number | null
        bakedGrams?: number | null
        wasteGrams?: number | null
    } | null
    today?: string | null
    explain?: boolean | null
    /**
     * @maxItems 500
     */
    names?: OwnName[] | null
    /**
     * @maxItems 300
     */
    pantry?: OwnFood[] | null
    /**
     * @maxItems 10
     */
    portions?: AskedPortion[] | null
    tray?: Tray | null
    oven?: Oven | null
    /**
     * what this kitchen accepted from learn
     *
     * @maxItems 100
     */
    learned?: LearnedFactor[] | null
    /**
     * one dog with its pieces, or all dogs of a party; a dog of a party without pieces gets one, or what it may have of it
     */
    occasion: {
        dog?: string
        /**
         * how many, or words for it: "half a slice", "one of six slices", "a sixth"
         */
        pieces?: number | string
        /**
         * @maxItems 50
         */
        dogs?: {
            dog: string
            pieces?: number | string | null
        }[]
    }
    /**
     * @maxItems 1000
     */
    prices?: Price[] | null
    /**
     * @maxItems 500
     */
    swaps?: OwnSwap[] | null
}

export interface OccasionAnswer {
    version: 1
    possible: boolean
    why: string | null
    mostPieces: number
    kcal: number | null
    budgetKcal: number | null
    daysWithout: number | null
    holdBackGrams: number | null
    says: string
    party: PartyGuest[]
    /**
     * the cut plan: who gets which part of which slice
     */
    slices: PartySlice[]
    /**
     * of the whole
     */
    pieces: number
    leftPieces: number
    /**
     * what the days after give up for it, by day
     */
    borrows: Borrowed1[]
    /**
     * of the budget of its day, after what it had and what other occasions take
     */
    leftKcal: number | null
    /**
     * names of other occasions that take from these days
     */
    countedWith: string[]
}

export interface PartyGuest {
    dog: string
    dogId?: string | null
    pieces: number
    without: string[]
    possible: boolean
    why: string | null
    mostPieces: number
    kcal: number | null
    budgetKcal: number | null
    daysWithout: number | null
    holdBackGrams: number | null
    says: string
    /**
     * what the days after give up for it, by day
     */
    borrows: Borrowed[]
    /**
     * of the budget of its day, after what it had and what other occasions take
     */
    leftKcal: number | null
    /**
     * names of other occasions that take from these days
     */
    countedWith: string[]
}

export interface PartySlice {
    number: number
    parts: {
        dog: string
        dogId: string | null
        share: number
        without: string[]
    }[]
}

export interface Borrowed1 {
    daysAfter: number
    /**
     * 0 where only its fat is spread over that day
     */
    kcal: number
}

export interface WeekRequest {
    version: 1
    /**
     * @maxItems 50
     */
    dogs?: TableDog[] | null
    policy?: Policy | null
    /**
     * @maxItems 500
     */
    names?: OwnName[] | null
    /**
     * @maxItems 300
     */
    pantry?: OwnFood[] | null
    from?: string | null
    /**
     * @minItems 1
     * @maxItems 8
     */
    treats: AskedTreat[]
}
/**
 * A dog at the table. What is left out is unknown and taken at the end that protects the dog.
 */

export interface AskedTreat {
    name: string
    share?: number | null
    recipe: {
        title?: string | null
        text: string
        steps?: string | null
        /**
         * what was said of parts of the recipe; what is left out is guessed and told
         *
         * @maxItems 20
         */
        parts?: AskedPart[] | null
        /**
         * what was really done, in order; of one line the later word counts; a line that is not named was used in full
         *
         * @maxItems 200
         */
        asMade?: MadeEntry[] | null
    }
    cut?: Cut | null
    bake?: {
        texture?: 'cake' | 'tray' | 'soft' | 'chewy' | 'biscuit' | 'hard' | 'jerky' | 'frozen' | 'none' | null
    } | null
    /**
     * @maxItems 100
     */
    labels?:
        | {
              name: string
              ingredients: string
              /**
               * opaque; told beside the name
               */
              id?: string | null
          }[]
        | null
    /**
     * @maxItems 500
     */
    confirmed?:
        | {
              code: string
              line?: string | null
              dog?: string | null
          }[]
        | null
    measured?: {
        count?: number | null
        bakedGrams?: number | null
        wasteGrams?: number | null
    } | null
    /**
     * @maxItems 10
     */
    portions?: AskedPortion[] | null
}

export interface WeekAnswer {
    version: 1
    from: string | null
    dogs: DogOfWeek[]
    treats: TreatOfWeek[]
}

export interface DogOfWeek {
    dog: string
    budgetKcal: number | null
    kcal: number
    holdBackGrams: number | null
    heldBy: string | null
    treats: TreatOfDog[]
    dogId?: string
    cares: string[]
}

export interface TreatOfDog {
    treat: string
    piecesPerDay: number
    kcal: number
    why: string | null
    ramp: {
        days: string
        pieces: number
    }[]
}

export interface TreatOfWeek {
    treat: string
    pieces: number
    piecesPerDay: number
    kcalPerPiece: number
    daysItLasts: number | null
    until: string | null
    /**
     * days unfrozen
     */
    keepsDays: number
    says: string | null
}

export interface GiveAwayRequest {
    version: 1
    recipe: {
        title?: string | null
        text: string
        steps?: string | null
        /**
         * what was said of parts of the recipe; what is left out is guessed and told
         *
         * @maxItems 20
         */
        parts?: AskedPart[] | null
        /**
         * what was really done, in order; of one line the later word counts; a line that is not named was used in full
         *
         * @maxItems 200
         */
        asMade?: MadeEntry[] | null
    }
    cut?: Cut | null
    bake?: {
        texture?: 'cake' | 'tray' | 'soft' | 'chewy' | 'biscuit' | 'hard' | 'jerky' | 'frozen' | 'none' | null
    } | null
    /**
     * @maxItems 50
     */
    dogs?: TableDog[] | null
    policy?: Policy | null
    /**
     * @maxItems 100
     */
    labels?:
        | {
              name: string
              ingredients: string
              /**
               * opaque; told beside the name
               */
              id?: string | null
          }[]
        | null
    /**
     * @maxItems 500
     */
    confirmed?:
        | {
              code: string
              line?: string | null
              dog?: string | null
          }[]
        | null
    measured?: {
        count?: number | null
        bakedGrams?: number | null
        wasteGrams?: number | null
    } | null
    today?: string | null
    explain?: boolean | null
    /**
     * @maxItems 500
     */
    names?: OwnName[] | null
    /**
     * @maxItems 300
     */
    pantry?: OwnFood[] | null
    /**
     * @maxItems 10
     */
    portions?: AskedPortion[] | null
    tray?: Tray | null
    oven?: Oven | null
    /**
     * what this kitchen accepted from learn
     *
     * @maxItems 100
     */
    learned?: LearnedFactor[] | null
    /**
     * @maxItems 1000
     */
    prices?: Price[] | null
    /**
     * @maxItems 500
     */
    swaps?: OwnSwap[] | null
}

export interface GiveAwayAnswer {
    version: 1
    rows: GiveAwayRow[]
    stops: string | null
    assumes: string
    /**
     * in the jar or the fridge, whichever is longer
     */
    keepsDays: number
    /**
     * heaviest first; every food of every row
     */
    foods: GiftFood[]
    /**
     * days
     */
    keeps: {
        jar: number
        fridge: number
        freezer: number
    }
    pieceKcal: number | null
    pieceGrams: number | null
    /**
     * kcal by the convention of pet-food labels to kcal by this kitchen's own
     */
    petFoodRatio: number | null
}

export interface GiveAwayRow {
    kg: number
    lb: number
    piecesPerDay: number | null
    kcal: number
    shows: string
    breakFirst: boolean
    /**
     * the whole batch, for one such dog, no longer than it keeps
     */
    daysItLasts: number | null
}

export interface GiftFood {
    name: string
    grams: number | null
    isAllergen: boolean
}

export interface ProfileRequest {
    version: 1
    dog: TableDog
    policy?: Policy | null
    meals?: number | null
    /**
     * @maxItems 500
     */
    weighings?:
        | {
              ageMonths?: number | null
              kg: number
          }[]
        | null
    /**
     * @maxItems 500
     */
    names?: OwnName[] | null
    /**
     * @maxItems 300
     */
    pantry?: OwnFood[] | null
}
/**
 * A dog at the table. What is left out is unknown and taken at the end that protects the dog.
 */

export interface ProfileAnswer {
    version: 1
    stage: 'puppy' | 'adult' | 'senior'
    stageWhy: string
    idealWeightKg: number | null
    idealSays: string | null
    restingKcal: number | null
    schools: School[]
    difference: string | null
    budget: {
        kcal: number
        percent: number
        reason: string
    } | null
    safeBiteMm: number | null
    breedNote: string | null
    meals: {
        foodGrams: number
        treatShareGrams: number
        perMealGrams: number | null
    } | null
    assumed: string[]
    questions: string[]
    growth: Growth | null
    /**
     * what its body asks of every treat
     */
    cares: string[]
}

export interface School {
    school: string
    name: string
    chosen: boolean
    dailyKcal: Range | null
    made: string | null
    note: string | null
}
/**
 * Known within bounds: low ≤ best ≤ high.
 */

export interface Growth {
    expectedKg: number | null
    adultFromMonths: number
    weighings: {
        ageMonths: number | null
        kg: number
    }[]
    curve: {
        kg: number
        kcal: number
    }[]
    source: string
}

export interface BakeRequest {
    version: 1
    question: FormulateRequest
    /**
     * a minute of the kitchen's own clock
     */
    startAt?: string | null
    /**
     * that can be hot at one time; one where nobody said
     */
    ovens?: number | null
    /**
     * that go into one oven at one time; as the question's tray says, else one
     */
    trays?: number | null
}

export interface LearnAnswer {
    version: 1
    learned: Lesson[]
}

export interface Lesson {
    class: string
    of: 'minutes' | 'mass' | 'count' | 'wetness'
    /**
     * the middle of the newest five at most; null under two
     */
    factor: number | null
    /**
     * bakes that were used
     */
    from: number
    low: number
    high: number
    says: string
}

export interface KeepAnswer {
    version: 1
    class:
        | 'hard-biscuit'
        | 'biscuit'
        | 'chewy'
        | 'dry-with-meat'
        | 'plant-chews'
        | 'roasted-seeds'
        | 'dough'
        | 'dough-with-meat'
        | 'soft'
        | 'moist'
        | 'jerky'
        | 'no-bake'
        | 'frozen'
    because: string
    places: KeepPlace[]
    thawedDays: number
    split: KeepBag[]
    /**
     * pieces that were put nowhere
     */
    left: number
}

export interface KeepPlace {
    place: 'jar' | 'fridge' | 'freezer'
    days: number
    /**
     * that people may lengthen it to
     */
    atMost: number
    /**
     * null where it does not keep there
     */
    bestBefore: string | null
}

export interface KeepBag {
    place: 'jar' | 'fridge' | 'freezer'
    pieces: number
    bags: number
    /**
     * null where it does not keep there
     */
    bestBefore: string | null
}

export interface ThawAnswer {
    version: 1
    takeOut: TakeOut[]
    waste: ThawWaste[]
    /**
     * the last day that is covered in full
     */
    lastsUntil: string | null
    /**
     * null where all days are
     */
    shortOn: string | null
}

export interface DayAnswer {
    version: 1
    dogs: DayDog[]
}

export interface ShoppingAnswer {
    version: 1
    aisles: ShoppingAisle[]
    atHand: ShoppingItem[]
    unread: {
        for: string
        text: string
    }[]
    costs: ShoppingCost[]
    price: number | null
    withoutPrice: string[]
}

export interface ShoppingAisle {
    aisle: string
    label: string
    items: ShoppingItem[]
}

export interface ShoppingItem {
    ingredient: string
    name: string
    aisle: string
    grams: {
        low: number
        best: number
        high: number
    } | null
    state: 'at-hand' | 'low' | 'out' | null
    haveGrams: number
    buyGrams: number | null
    packGrams: number | null
    packs: number | null
    price: number | null
    for: string[]
    /**
     * of what is bought by the piece
     */
    pieces: number | null
}

export interface ShoppingCost {
    name: string
    times: number
    /**
     * of a batch, of the foods whose price is known; null where none is
     */
    known: number | null
    unknown: string[]
    pieces: number | null
    aPiece: number | null
    dogs: {
        dog: string
        piecesPerDay: number
        aWeek: number | null
    }[]
    /**
     * swaps that would make a batch cheaper and take it from nobody, where that was asked
     */
    savings: ShoppingSaving[]
}

export interface ShoppingSaving {
    line: string
    to: string
    saves: number
    recipeText: string
    steps: string
}
