import { readFileSync } from 'node:fs'
import type { Locator, Page } from '@playwright/test'
import { choose, chosen, expect, freshKitchen, openBench, part, pick, test, words, write } from './support'

/** Every field of every form set to something unusual, kept, read back by the kitchen and by the form, changed, read again. */
freshKitchen()

type Kept = Record<string, unknown>

/** What the kitchen keeps, asked of it and not of the page. */
async function kept(page: Page, list: string, has: (one: Kept) => boolean): Promise<Kept> {
    let found: Kept | undefined
    await expect
        .poll(async () => {
            found = ((await (await page.request.get(`/api/${list}`)).json()) as Kept[]).find(has)

            return found !== undefined
        }, `${list} holds nothing of the kind`)
        .toBe(true)

    return found as Kept
}

interface DogFields {
    text: Record<string, string>
    select: Record<string, string>
    body: number
    many: Record<string, string[]>
    /** words of one's own, each ended by Enter */
    own: Record<string, string[]>
}

function field(page: Page, label: string): Locator {
    return page.locator('.v-input', { has: page.getByRole('combobox', { name: label, exact: true }) })
}

/** Every part of the form opened. */
async function openAll(page: Page): Promise<void> {
    for (const name of [/More about it/, /Body condition/, /^Eating/, /^Reacts to, may/, /^Health/]) await part(page, name)
    await expect(page.getByRole('combobox', { name: 'Takes or faces' })).toBeVisible()
}

async function fillDog(page: Page, dog: DogFields): Promise<void> {
    await openAll(page)
    for (const [label, value] of Object.entries(dog.text)) await page.getByLabel(label, { exact: true }).fill(value)
    for (const [label, value] of Object.entries(dog.select)) await choose(page, label, value)
    await page
        .locator('.body')
        .nth(dog.body - 1)
        .click()
    for (const [label, names] of [...Object.entries(dog.many), ...Object.entries(dog.own)]) {
        for (let left = await field(page, label).locator('.v-chip__close').count(); left > 0; left--)
            await field(page, label).locator('.v-chip__close').first().click()
        if (label in dog.many) await pick(page, label, ...names)
        else
            for (const name of names) {
                await page.getByRole('combobox', { name: label, exact: true }).fill(name)
                await page.keyboard.press('Enter')
            }
    }
}

async function expectDog(page: Page, dog: DogFields): Promise<void> {
    await openAll(page)
    for (const [label, value] of Object.entries(dog.text)) await expect(page.getByLabel(label, { exact: true }), label).toHaveValue(value)
    for (const [label, value] of Object.entries(dog.select)) await expect(chosen(page, label), label).toHaveText(value)
    await expect(
        page
            .locator('.body')
            .nth(dog.body - 1)
            .getByRole('radio'),
    ).toBeChecked()
    for (const [label, names] of [...Object.entries(dog.many), ...Object.entries(dog.own)])
        expect((await field(page, label).locator('.v-chip__content').allTextContents()).map((one) => one.trim()).sort(), label).toEqual(
            [...names].sort(),
        )
}

const ONE: DogFields = {
    text: {
        Name: "Zoë O'Hara",
        'Breed, as far as known': 'Kai ken cross',
        Weight: '7.35',
        'Age, or born on': '28/2/2021',
        'Grown weight': '9.25',
        'Its food, kcal per 100 g': '87.5',
        'Meals a day': '7',
        'Treats, % of the day': '2.75',
    },
    select: { Sex: 'male', Neutered: 'no', Activity: 'working, moderate', Teeth: 'none', Manner: 'gulps', 'Life stage': 'senior' },
    body: 3,
    many: {
        'Reacts to': ['storage mite', 'sesame'],
        'Conditions a vet has named': ['advanced heart disease', 'megaoesophagus', "Addison's disease"],
        'Takes or faces': ['selegiline', 'bromide'],
        'May have only these': ['rabbit', 'parsnip'],
        'New to it': ['quinoa', 'millet'],
    },
    own: { 'Leaves in the bowl': ['fennel', 'raw apple'] },
}

const TWO: DogFields = {
    text: {
        Name: 'Zoë',
        'Breed, as far as known': '',
        Weight: '41.2',
        'Age, or born on': '31/12/2019',
        'Grown weight': '',
        'Its food, kcal per 100 g': '',
        'Meals a day': '',
        'Treats, % of the day': '',
    },
    select: { Sex: 'not said', Neutered: 'not known', Activity: 'inactive', Teeth: 'few', Manner: 'chews', 'Life stage': 'by its age' },
    body: 8,
    many: {
        'Reacts to': ['gluten'],
        'Conditions a vet has named': ['kidney disease'],
        'Takes or faces': [],
        'May have only these': [],
        'New to it': [],
    },
    own: { 'Leaves in the bowl': [] },
}

test('every field of the dog form is kept, shown again, changed and kept', async ({ page }) => {
    await page.goto('/dogs/new')
    await fillDog(page, ONE)
    await page.getByRole('button', { name: 'Add to the kitchen' }).click()
    await expect(page).toHaveURL(/bench/)
    const first = await kept(page, 'dogs', (one) => one['name'] === "Zoë O'Hara")
    const expected: Kept = {
        name: "Zoë O'Hara",
        weightKg: 7.35,
        bornOn: '2021-02-28',
        sex: 'male',
        neutered: false,
        bodyCondition: 3,
        activity: 'working-moderate',
        breed: 'Kai ken cross',
        expectedAdultWeightKg: 9.25,
        stage: 'senior',
        teeth: 'none',
        eating: 'gulps',
        allergies: ['storage-mite', 'sesame'],
        allowList: ['rabbit', 'parsnip'],
        conditions: ['heart-advanced', 'megaoesophagus', 'addisons'],
        medicines: ['selegiline', 'bromide'],
        newIngredients: ['quinoa', 'millet'],
        dislikes: ['fennel', 'raw apple'],
        foodKcalPer100g: 87.5,
        budgetPercent: 2.75,
        meals: 7,
    }
    for (const [key, value] of Object.entries(expected)) {
        const own = first[key]
        expect(Array.isArray(own) ? [...(own as string[])].sort() : own, key).toEqual(Array.isArray(value) ? [...(value as string[])].sort() : value)
    }
    // a field of a dog that this form does not set is one that the page makes itself
    const published = (JSON.parse(readFileSync('schemas/kitchen.json', 'utf8')) as { $defs: { dog: { properties: object } } }).$defs.dog.properties
    expect(
        Object.keys(published)
            .filter((key) => !(key in expected))
            .sort(),
    ).toEqual(['ageMonths', 'atTable', 'id', 'version', 'weightSaid'])

    await page.goto(`/dogs/${String(first['id'])}`)
    await expectDog(page, ONE)
    // kept without a change: nothing moves
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    await expect(page).toHaveURL(/dogs$/)
    expect(await kept(page, 'dogs', (one) => one['id'] === first['id'])).toEqual(first)

    await page.goto(`/dogs/${String(first['id'])}`)
    await expectDog(page, ONE)
    await fillDog(page, TWO)
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    await expect(page).toHaveURL(/dogs$/)
    expect(await kept(page, 'dogs', (one) => one['id'] === first['id'])).toMatchObject({
        name: 'Zoë',
        weightKg: 41.2,
        bornOn: '2019-12-31',
        sex: null,
        neutered: null,
        bodyCondition: 8,
        activity: 'inactive',
        breed: null,
        expectedAdultWeightKg: null,
        stage: null,
        teeth: 'few',
        eating: 'normal',
        allergies: ['gluten'],
        allowList: null,
        conditions: ['kidney'],
        medicines: [],
        newIngredients: [],
        dislikes: [],
        foodKcalPer100g: null,
        budgetPercent: null,
        meals: null,
    })
    await page.goto(`/dogs/${String(first['id'])}`)
    await expectDog(page, TWO)
})

test('an age is read as it is said, and words make a weight', async ({ page }) => {
    await page.goto('/dogs/new')
    await page.getByLabel('Name', { exact: true }).fill('Fig')
    await page.getByLabel('Weight', { exact: true }).fill('50 to 60')
    await choose(page, 'Unit of weight', 'lb')
    await page.getByLabel('Age, or born on').fill('2 years 7 months')
    await page.getByRole('button', { name: 'Add to the kitchen' }).click()
    await expect(page).toHaveURL(/bench/)
    const fig = await kept(page, 'dogs', (one) => one['name'] === 'Fig')
    expect(Math.round(fig['ageMonths'] as number)).toBe(31)
    expect(fig['weightKg']).toBe(22.68)
    expect(fig['weightSaid']).toBe('50 to 60 lb')
    await page.goto(`/dogs/${String(fig['id'])}`)
    await expect(page.getByLabel('Age, or born on')).toHaveValue(/^\d{1,2}\/\d{1,2}\/20\d\d$/)
    await expect(page.getByLabel('Weight', { exact: true })).toHaveValue('50 to 60 lb')
    await page.getByLabel('Age, or born on').fill('25 months')
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    await expect(page).toHaveURL(/dogs$/)
    const changed = await kept(page, 'dogs', (one) => one['name'] === 'Fig')
    expect(Math.round(changed['ageMonths'] as number)).toBe(25)
    expect(changed['weightKg']).toBe(22.68)
})

function rule(page: Page, name: string): Locator {
    return page.getByRole('radio', { name: new RegExp(`^${name} —`) })
}

test('every house rule is kept and shown again', async ({ page }) => {
    await page.goto('/cupboard/house')
    const chosen: [string, string, string][] = [
        ['energySchool', 'nrc', 'Research formula'],
        ['calorieConvention', 'modified', '3.5-8.5-3.5'],
        ['garlic', 'measured', 'Measured'],
        ['units', 'australian', 'Australian'],
        ['pseudoGrains', 'grain', 'Yes'],
    ]
    for (const [, , name] of chosen) {
        const answered = page.waitForResponse((response) => response.url().endsWith('/api/kitchen') && response.request().method() === 'PATCH')
        await rule(page, name).check()
        await answered
    }
    const answered = page.waitForResponse((response) => response.url().endsWith('/api/kitchen') && response.request().method() === 'PATCH')
    await page.getByLabel(/percent, up to 10/).fill('6,5')
    await page.getByLabel(/percent, up to 10/).press('Enter')
    await answered
    const { kitchen } = (await (await page.request.get('/api/kitchen')).json()) as { kitchen: { policy: Kept } }
    expect(kitchen.policy).toEqual({ ...Object.fromEntries(chosen.map(([key, value]) => [key, value])), budgetPercent: 6.5 })
    await page.reload()
    for (const [, , name] of chosen) await expect(rule(page, name)).toBeChecked()
    await expect(page.getByLabel(/percent, up to 10/)).toHaveValue('6.5')
    for (const name of ['Clinic factors', '4-9-4', 'Never', 'American', 'No']) {
        const back = page.waitForResponse((response) => response.url().endsWith('/api/kitchen') && response.request().method() === 'PATCH')
        await rule(page, name).check()
        await back
    }
    const back = page.waitForResponse((response) => response.url().endsWith('/api/kitchen') && response.request().method() === 'PATCH')
    await page.getByLabel(/percent, up to 10/).fill('')
    await page.getByLabel(/percent, up to 10/).press('Enter')
    await back
    const again = (await (await page.request.get('/api/kitchen')).json()) as { kitchen: { policy: Kept } }
    expect(again.kitchen.policy).toEqual({
        energySchool: 'clinic',
        calorieConvention: '4-9-4',
        garlic: 'avoid',
        units: 'us',
        pseudoGrains: 'not-grain',
        budgetPercent: null,
    })
})

test("a food, a word, a swap and a price of one's own are kept in every field", async ({ page }) => {
    await page.goto('/cupboard/foods')
    const figures: Record<string, [string, number]> = {
        kcal: ['351,5', 351.5],
        'protein, g': ['12.25', 12.25],
        'fat, g': ['3.5', 3.5],
        'carbohydrate, g': ['60', 60],
        'fibre, g': ['9.5', 9.5],
        'sugars, g': ['1.25', 1.25],
        'sodium, mg': ['33', 33],
        'calcium, mg': ['51', 51],
    }
    await page.getByLabel('Name', { exact: true }).fill('basin meal')
    await page.getByLabel('Other names, with commas between').fill('meal of the basin, lock meal')
    for (const [label, [text]] of Object.entries(figures)) await page.getByLabel(label, { exact: true }).fill(text)
    await page.getByLabel('g in a cup').fill('111.5')
    await page.getByLabel('g each').fill('7')
    await page.getByLabel('Its list of ingredients, as printed').fill('oats, peas')
    await pick(page, 'Belongs to, for dogs that react', 'oats', 'legumes')
    await page.getByRole('button', { name: 'Keep this food' }).click()
    await expect(page.getByText('351.5 kcal per 100 g')).toBeVisible()
    const { food } = (await kept(page, 'foods', (one) => (one['food'] as Kept)['name'] === 'basin meal')) as { food: Kept }
    expect(food).toMatchObject({
        names: ['meal of the basin', 'lock meal'],
        groups: ['oat', 'legume'],
        gramsPerCup: 111.5,
        gramsEach: 7,
        ingredients: 'oats, peas',
    })
    expect(Object.values(food['per100g'] as Record<string, number>).sort()).toEqual(
        Object.values(figures)
            .map(([, value]) => value)
            .sort(),
    )

    await page.getByLabel('Your word').fill('lock dust')
    await page.getByLabel('means').fill('sorghum flour')
    await page.getByRole('button', { name: 'Look', exact: true }).click()
    await page.getByRole('button', { name: 'sorghum flour', exact: true }).click()
    await expect(page.getByText('“lock dust” is sorghum flour')).toBeVisible()
    expect(await kept(page, 'names', (one) => one['words'] === 'lock dust')).toMatchObject({ ingredient: 'sorghum-flour' })

    await page.goto('/cupboard/swaps')
    await page.getByLabel('In place of').fill('raisin')
    await page.getByLabel('take', { exact: true }).fill('pear')
    await page.getByLabel('g for a gram').fill('1,35')
    await page.getByLabel('Note').fill('too wet in May')
    await page.getByRole('button', { name: 'Keep this swap' }).click()
    await expect(page.getByText(/too wet in May/)).toBeVisible()
    expect((await kept(page, 'own-swaps', (one) => (one['swap'] as Kept)['in'] === 'pear'))['swap']).toMatchObject({
        out: 'raisin',
        in: 'pear',
        ratio: 1.35,
        note: 'too wet in May',
    })

    await page.getByRole('link', { name: 'Prices', exact: true }).click()
    await page.getByLabel('Food', { exact: true }).fill('oat flour')
    await page.getByLabel('pack, g').fill('1250,5')
    await page.getByLabel('price', { exact: true }).fill('3.45')
    await page.getByRole('button', { name: 'Keep this price' }).click()
    await expect(page.getByText('oat flour: 3.45 for 1250.5 g')).toBeVisible()
    expect((await kept(page, 'prices', (one) => (one['price'] as Kept)['ingredient'] === 'oat-flour'))['price']).toEqual({
        ingredient: 'oat-flour',
        grams: 1250.5,
        price: 3.45,
    })
})

test('a product is kept as typed and opened as kept', async ({ page }) => {
    await page.goto('/cupboard/labels')
    await page.getByLabel('Name of the product').fill('Quay paste "extra"')
    await page.getByLabel('Its list of ingredients, as printed').fill('peanuts (97 %), salt\nmay contain milk')
    await page.getByRole('button', { name: 'Keep as a product' }).click()
    await expect(page.getByText("is kept with today's date.")).toBeVisible()
    expect(await kept(page, 'products', (one) => one['name'] === 'Quay paste "extra"')).toMatchObject({
        ingredients: 'peanuts (97 %), salt\nmay contain milk',
        number: null,
    })
})

test('a recipe is kept with its title, list, method, cut and texture, and opened as kept', async ({ page }) => {
    await openBench(page)
    await page.getByRole('button', { name: 'New sheet' }).click()
    await page.getByLabel('Title of the recipe').fill('Tide "table" & coins')
    await write(page, '½ cup oat flour\n1 egg — beaten\nMethod\nMix it well by hand.')
    await choose(page, 'Shape', 'star')
    await page.getByLabel('wide, mm').fill('21')
    await page.getByLabel('long, mm').fill('33')
    await page.getByLabel('thick, mm').fill('4')
    await choose(page, 'Leaves the oven', 'chewy')
    await page.getByRole('button', { name: 'Keep on the shelf' }).click()
    await expect(page.getByText('on the shelf', { exact: true })).toBeVisible()
    const recipe = {
        title: 'Tide "table" & coins',
        text: '½ cup oat flour\n1 egg — beaten',
        steps: 'Mix it well by hand.',
        cut: { shape: 'star', widthMm: 21, lengthMm: 33, thicknessMm: 4 },
        texture: 'chewy',
    }
    expect(await kept(page, 'recipes', (one) => one['title'] === recipe.title)).toMatchObject(recipe)
    await page.getByRole('button', { name: 'New sheet' }).click()
    await choose(page, 'Shape', 'ball')
    await page.goto('/shelf')
    await page
        .getByRole('button', { name: /Tide "table"/ })
        .first()
        .click()
    await expect(page.getByLabel('Title of the recipe')).toHaveValue(recipe.title)
    await expect(words(page, 2)).toHaveText('1 egg — beaten')
    await expect(words(page, 4)).toHaveText('Mix it well by hand.')
    await expect(chosen(page, 'Shape')).toHaveText('star')
    await expect(page.getByLabel('long, mm')).toHaveValue('33')
    await expect(chosen(page, 'Leaves the oven')).toHaveText('chewy')
    // what is changed on the sheet is kept by itself
    const answered = page.waitForResponse(
        (response) =>
            response.url().includes('/api/recipes/') &&
            response.request().method() === 'PATCH' &&
            (response.request().postData() ?? '').includes('"hard"') &&
            response.ok(),
    )
    await choose(page, 'Leaves the oven', 'hard')
    await answered
    expect(await kept(page, 'recipes', (one) => one['title'] === recipe.title)).toMatchObject({ ...recipe, texture: 'hard' })
})
