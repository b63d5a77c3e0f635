import type { BrowserContext, Page } from '@playwright/test'
import { caret, expect, freshKitchen, openBench, part, pick, ration, row, seat, test, words, write } from './support'

/** Nothing lost, nothing stale: two devices, a kitchen that is away, a page that is left in the middle of a word. */
freshKitchen()

interface Named {
    id: string
    name: string
    title: string
    text: string
    allergies: string[]
    version: number
    breed: string | null
}

async function kept(page: Page, list: string, name: string): Promise<Named | undefined> {
    return ((await (await page.request.get(`/api/${list}`)).json()) as Named[]).find((one) => one.name === name || one.title === name)
}

/** The kitchen does not answer this browser. */
async function away(context: BrowserContext): Promise<void> {
    await context.route('**/api/**', (route) => route.abort())
}

async function back(context: BrowserContext): Promise<void> {
    await context.unroute('**/api/**')
}

async function onShelf(page: Page, title: string, text: string): Promise<void> {
    await page.getByRole('button', { name: 'New sheet' }).click()
    await page.getByLabel('Title of the recipe').fill(title)
    await write(page, text)
    await page.getByRole('button', { name: 'Keep on the shelf' }).click()
    await expect(page.getByText('on the shelf', { exact: true })).toBeVisible()
}

test('while the kitchen is away, writing, seating and forms go on and wait; figures say they are not checked; all of it arrives', async ({
    page,
    context,
}) => {
    await openBench(page)
    await onShelf(page, 'Away rounds', '2 cups oat flour')
    await expect(ration(page, 'Bosun')).toContainText('a day')
    await away(context)
    await caret(page, 1)
    await page.keyboard.press('Enter')
    await page.keyboard.insertText('1/4 cup raisins')
    // the verdict of the sheet without raisins stands nowhere
    await expect(page.getByText('Not checked yet.')).toBeVisible()
    await expect(page.getByText(/Nothing found that stops/)).toBeHidden()
    await expect(page.getByRole('button', { name: /kitchen away/ })).toBeVisible()
    await seat(page, 'Tuppence').click()
    await expect(seat(page, 'Tuppence')).toHaveAttribute('aria-pressed', 'true')
    // every place that was loaded can be reached, and its forms work
    await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Dogs' }).click()
    await page.getByRole('link', { name: 'Bosun' }).click()
    await page.getByLabel('Weight', { exact: true }).fill('20')
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    await expect(page.getByRole('link', { name: 'Bosun' })).toContainText('waits for the kitchen')
    await page.getByRole('button', { name: /kitchen away, 3 wait/ }).click()
    await expect(page.getByRole('dialog')).toContainText('change Away rounds: text')
    await expect(page.getByRole('dialog')).toContainText('change Bosun: weight')
    await page.keyboard.press('Escape')
    await back(context)
    await expect(page.getByRole('button', { name: /kitchen away/ })).toBeHidden({ timeout: 20_000 })
    await expect.poll(async () => (await kept(page, 'recipes', 'Away rounds'))?.text).toBe('2 cups oat flour\n1/4 cup raisins')
    const dog = async (name: string) =>
        ((await (await page.request.get('/api/dogs')).json()) as { name: string; weightKg: number; atTable: boolean }[]).find(
            (one) => one.name === name,
        )
    await expect.poll(async () => (await dog('Bosun'))?.weightKg).toBe(20)
    expect((await dog('Tuppence'))?.atTable).toBe(true)
    await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Bench' }).click()
    await expect(row(page, 2)).toContainText('Never: grape')
})

test('what waits outlives the page, and is sent once by the next', async ({ page, context }) => {
    await openBench(page)
    await away(context)
    await page.getByRole('link', { name: 'Add a dog' }).click()
    await page.getByLabel('Name', { exact: true }).fill('Kelso')
    await page.getByLabel('Weight', { exact: true }).fill('11')
    await page.getByRole('button', { name: 'Add to the kitchen' }).click()
    await expect(page.getByRole('button', { name: /1 waits/ })).toBeVisible()
    await page.close()
    await back(context)
    const next = await context.newPage()
    await next.goto('/dogs')
    await expect(next.getByRole('link', { name: 'Kelso' })).toContainText('11 kg')
    const all = async (): Promise<Named[]> => ((await (await next.request.get('/api/dogs')).json()) as Named[]).filter((one) => one.name === 'Kelso')
    await expect.poll(async () => (await all()).length).toBe(1)
    await expect(next.getByRole('button', { name: /waits/ })).toBeHidden()
    expect(await all()).toHaveLength(1)
})

test('an answer that is lost on its way makes no second of anything', async ({ page }) => {
    await page.goto('/cupboard/labels')
    let lost = 0
    await page.route('**/api/products', async (route) => {
        if (route.request().method() !== 'POST' || lost++ > 0) return route.fallback()
        // it arrives, and the answer does not
        await route.fetch()
        return route.abort()
    })
    await page.getByLabel('Name of the product').fill('Once tub')
    await page.getByLabel('Its list of ingredients, as printed').fill('oats')
    await page.getByRole('button', { name: 'Keep as a product' }).click()
    await expect.poll(() => lost, { timeout: 15_000 }).toBeGreaterThan(1)
    await expect(page.getByRole('button', { name: /kitchen away/ })).toBeHidden({ timeout: 15_000 })
    const all = (await (await page.request.get('/api/products')).json()) as Named[]
    expect(all.filter((one) => one.name === 'Once tub')).toHaveLength(1)
})

test('another device learns of a change within seconds, and its bench asks again', async ({ page, browser, baseURL }) => {
    await openBench(page)
    await page.getByRole('button', { name: 'New sheet' }).click()
    await write(page, '200 g oat flour\n100 g cooked minced beef')
    await expect(ration(page, 'Odette')).toContainText('a day')
    const other = await (await browser.newContext({ baseURL, reducedMotion: 'reduce' })).newPage()
    await other.goto('/dogs')
    await other.getByRole('link', { name: 'Odette' }).click()
    await part(other, /^Reacts to, may/)
    await pick(other, 'Reacts to', 'beef')
    await other.getByRole('button', { name: 'Keep', exact: true }).click()
    await expect(ration(page, 'Odette')).toContainText('none', { timeout: 7_000 })
    await expect(row(page, 2)).toContainText('Odette')
    await other.context().close()
})

test('a form that was opened before loses no allergy that was added elsewhere', async ({ page, browser, baseURL }) => {
    await page.goto('/dogs')
    await page.getByRole('link', { name: 'Quill' }).click()
    await page.getByLabel('Name', { exact: true }).waitFor()
    const other = await (await browser.newContext({ baseURL, reducedMotion: 'reduce' })).newPage()
    await other.goto('/dogs')
    await other.getByRole('link', { name: 'Quill' }).click()
    await part(other, /^Reacts to, may/)
    await pick(other, 'Reacts to', 'fish')
    await other.getByRole('button', { name: 'Keep', exact: true }).click()
    await expect(other.getByRole('link', { name: 'Quill' })).toContainText('reacts to fish')
    // the form of before: another breed, and an allergy of its own
    await part(page, /^Reacts to, may/)
    await pick(page, 'Reacts to', 'egg')
    await part(page, /More about it/)
    await page.getByLabel('Breed, as far as known').fill('hound')
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    await expect(page.getByRole('link', { name: 'Quill' })).toContainText('hound')
    const quill = await kept(page, 'dogs', 'Quill')
    expect([quill?.allergies.sort(), quill?.breed]).toEqual([['egg', 'fish'], 'hound'])
    await other.context().close()
})

test('where two wrote in one field both are shown side by side, and the person chooses', async ({ page, browser, baseURL }) => {
    await page.goto('/dogs')
    await page.getByRole('link', { name: 'Ferris' }).click()
    await page.getByLabel('Weight', { exact: true }).fill('35')
    const ferris = await kept(page, 'dogs', 'Ferris')
    await page.request.patch(`/api/dogs/${ferris?.id ?? ''}`, { data: { weightKg: 34 } })
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    const clash = page.getByRole('region', { name: /Ferris was changed elsewhere too/ })
    await expect(clash).toContainText('35')
    await expect(clash).toContainText('34')
    await expect(clash.getByRole('button', { name: 'Let it stand so' })).toBeDisabled()
    await clash.getByRole('button', { name: 'Take yours' }).click()
    await clash.getByRole('button', { name: 'Let it stand so' }).click()
    await expect(page.getByRole('link', { name: 'Ferris' })).toContainText('35 kg')

    await openBench(page)
    await onShelf(page, 'Two hands', '2 cups oat flour\n1 egg')
    const recipe = await kept(page, 'recipes', 'Two hands')
    const other = await (await browser.newContext({ baseURL, reducedMotion: 'reduce' })).newPage()
    await other.goto(`/bench/${recipe?.id ?? ''}`)
    await expect(words(other, 2)).toHaveText('1 egg')
    await other.context().route('**/api/changes*', (route) => route.abort())
    await caret(page, 2)
    await page.keyboard.insertText(', beaten')
    await expect.poll(async () => (await kept(page, 'recipes', 'Two hands'))?.text).toContain('beaten')
    await caret(other, 1)
    await other.keyboard.insertText(', sifted')
    const asked = other.getByRole('region', { name: /Two hands was changed elsewhere too/ })
    await expect(asked).toContainText('sifted')
    await expect(asked).toContainText('beaten')
    await asked.getByRole('button', { name: "Take the other's" }).click()
    await asked.getByRole('button', { name: 'Let it stand so' }).click()
    await expect(words(other, 2)).toHaveText('1 egg, beaten')
    // what was let go can be had back
    await other.keyboard.press('Control+Z')
    await expect(words(other, 1)).toHaveText('2 cups oat flour, sifted')
    await other.context().close()
})

test('two hands on one recipe in different fields are put together on both benches', async ({ page, browser, baseURL }) => {
    await openBench(page)
    await onShelf(page, 'Together', '2 cups oat flour\n1 egg')
    const recipe = await kept(page, 'recipes', 'Together')
    const other = await (await browser.newContext({ baseURL, reducedMotion: 'reduce' })).newPage()
    await other.goto(`/bench/${recipe?.id ?? ''}`)
    await expect(words(other, 2)).toHaveText('1 egg')
    await page.getByLabel('Title of the recipe').fill('Together again')
    await caret(other, 2)
    await other.keyboard.press('Enter')
    await other.keyboard.insertText('1/4 cup water')
    await expect(words(page, 3)).toHaveText('1/4 cup water', { timeout: 10_000 })
    await expect(other.getByLabel('Title of the recipe')).toHaveValue('Together again', { timeout: 10_000 })
    await expect.poll(async () => (await kept(page, 'recipes', 'Together again'))?.text).toBe('2 cups oat flour\n1 egg\n1/4 cup water')
    await other.context().close()
})

test('a form that was left in the middle of a word is there again, over what others wrote meanwhile', async ({ page }) => {
    await page.goto('/dogs/new')
    await page.getByLabel('Name', { exact: true }).fill('Half a n')
    await page.getByLabel('Weight', { exact: true }).fill('9')
    await page.reload()
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Half a n')
    await expect(page.getByText('What you wrote here before is back.')).toBeVisible()
    await page.getByRole('button', { name: 'Begin anew' }).click()
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('')
    await page.goto('/cupboard/labels')
    await page.getByLabel('Its list of ingredients, as printed').fill('oats, peas, half a li')
    await page.getByRole('link', { name: 'Prices' }).click()
    await page.getByLabel('pack, g').fill('125')
    await page.getByRole('link', { name: 'Labels' }).click()
    await expect(page.getByLabel('Its list of ingredients, as printed')).toHaveValue('oats, peas, half a li')
    await page.reload()
    await page.getByRole('link', { name: 'Prices' }).click()
    await expect(page.getByLabel('pack, g')).toHaveValue('125')
})

test('Keep is kept once, a title typed meanwhile stays, and a refused seat falls back', async ({ page }) => {
    await openBench(page)
    await page.getByRole('button', { name: 'New sheet' }).click()
    await page.getByLabel('Title of the recipe').fill('Slow')
    await write(page, '2 cups oat flour')
    let letGo = (): void => undefined
    const held = new Promise<void>((resolve) => {
        letGo = resolve
    })
    await page.route('**/api/recipes', async (route) => {
        if (route.request().method() === 'POST') await held
        await route.fallback()
    })
    await page.getByRole('button', { name: 'Keep on the shelf' }).click()
    await expect(page.getByRole('button', { name: 'Keep on the shelf' })).toBeHidden()
    await page.getByLabel('Title of the recipe').fill('Slow rounds')
    letGo()
    await expect.poll(async () => (await kept(page, 'recipes', 'Slow rounds'))?.text).toBe('2 cups oat flour')
    expect(await kept(page, 'recipes', 'Slow')).toBeUndefined()
    await page.route('**/api/dogs/*', (route) =>
        route.request().method() === 'PATCH'
            ? route.fulfill({
                  status: 422,
                  contentType: 'application/problem+json',
                  body: JSON.stringify({ type: 'about:blank', title: '', status: 422, code: 'out-of-range', message: 'No seat.', path: '/atTable' }),
              })
            : route.fallback(),
    )
    const was = await seat(page, 'Ferris').getAttribute('aria-pressed')
    await seat(page, 'Ferris').click()
    await expect(page.getByRole('alert')).toContainText('No seat.')
    await expect(seat(page, 'Ferris')).toHaveAttribute('aria-pressed', was ?? '')
})

test("a vet's word is the dog's: it holds on every sheet, says until when, and is taken back where it is shown", async ({ page }) => {
    await openBench(page)
    await page.getByRole('button', { name: 'New sheet' }).click()
    await write(page, '200 g rice flour\n100 g water')
    await expect(ration(page, 'Quill')).toContainText('none yet')
    await ration(page, 'Quill').getByRole('button').first().click()
    await ration(page, 'Quill')
        .getByRole('button', { name: /I have asked the vet/ })
        .click()
    await expect(ration(page, 'Quill')).toContainText('a day')
    await expect(ration(page, 'Quill')).toContainText(/Ines Marlow.*holds until/)
    await page.getByRole('button', { name: 'New sheet' }).click()
    await write(page, '300 g millet flour\n100 g water')
    await expect(ration(page, 'Quill')).toContainText('a day')
    await page.goto('/dogs')
    await page.getByRole('link', { name: 'Quill' }).click()
    const said = page.getByRole('region', { name: 'What vets said of Quill' })
    await expect(said).toContainText('holds until')
    // with something the vet did not know of, it has to be asked again
    await part(page, /^Health/)
    await pick(page, 'Conditions a vet has named', 'kidney disease')
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    await expect(page.getByRole('link', { name: 'Quill' })).toContainText('was said before kidney disease: ask again')
    await page.getByRole('link', { name: 'Quill' }).click()
    await said
        .getByRole('button', { name: /Take back/ })
        .first()
        .click()
    await expect(said).toContainText('Nothing yet')
})

test('a label that was read for a jar is asked for in no other recipe', async ({ page }) => {
    await openBench(page)
    await page.getByRole('button', { name: 'New sheet' }).click()
    await write(page, '2 cups oat flour\n2 tbsp peanut butter')
    await row(page, 2)
        .getByRole('button', { name: /Read the label/ })
        .click()
    await page.getByRole('combobox', { name: 'Which jar' }).fill('Quay smooth')
    await page.getByRole('button', { name: /I read the label/ }).click()
    await expect(row(page, 2)).toContainText('Settled')
    await page.getByRole('button', { name: 'New sheet' }).click()
    await write(page, '2 cups oat flour\n3 tbsp Quay smooth peanut butter')
    await expect(row(page, 2)).toContainText('Settled')
    await page.goto('/cupboard/labels')
    await expect(page.getByText('Read and found free of it')).toBeVisible()
    await page.getByRole('button', { name: 'Take that back' }).click()
    await expect(page.getByText('Read and found free of it')).toBeHidden()
    await page.goto('/bench')
    await expect(row(page, 2)).toContainText('Read the label')
})
