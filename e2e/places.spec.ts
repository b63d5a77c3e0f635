import type { Locator, Page } from '@playwright/test'
import { choose, expect, expectAccessible, freshKitchen, key, openBench, part, pick, ration, row, seat, test, write } from './support'

freshKitchen()

/** Every place that can be reached, by its address. */
const PLACES = [
    '/bench',
    '/studio',
    '/shelf',
    '/chart',
    '/today',
    '/jars',
    '/labels/print',
    '/dogs',
    '/dogs/new',
    '/cupboard/labels',
    '/cupboard/foods',
    '/cupboard/swaps',
    '/cupboard/at-hand',
    '/cupboard/prices',
    '/cupboard/rules',
    '/cupboard/confirmed',
    '/cupboard/house',
    '/occasions',
    '/cupboard/shopping',
    '/cupboard/in-and-out',
    '/cupboard/backup',
    '/cupboard/trash',
    '/nowhere/at/all',
]

test('a dog is added in four fields, by forty keys, and eats at once', async ({ page }) => {
    await openBench(page)
    await page.getByRole('link', { name: 'Add a dog' }).click()
    let keys = 0
    const type = async (text: string): Promise<void> => {
        for (const letter of text) await page.keyboard.press(letter === ' ' ? 'Space' : letter)
        keys += text.length
    }
    const press = async (...names: string[]): Promise<void> => {
        for (const name of names) await page.keyboard.press(name)
        keys += names.length
    }
    await expect(page.getByLabel('Name', { exact: true })).toBeFocused()
    await type('Fig')
    await press('Enter')
    await type('14 lb')
    // the unit is said: over it to the age
    await press('Enter')
    await expect(page.getByLabel('Age, or born on')).toBeFocused()
    await type('3 years')
    await press('Enter')
    await type('beef')
    await expect(page.getByRole('option').first()).toContainText('reacts to beef')
    await press('Enter', 'Escape', 'Enter')
    await expect(page.getByRole('button', { name: 'Add to the kitchen' })).toBeFocused()
    await press('Enter')
    await expect(seat(page, 'Fig')).toContainText('6.35 kg')
    expect(keys).toBeLessThanOrEqual(40)
    await write(page, '100 g cooked minced beef')
    await expect(ration(page, 'Fig')).toContainText('none yet')
})

test('an impossible dog is refused beside its field, and the form keeps what was typed', async ({ page }) => {
    await page.goto('/dogs/new')
    await page.getByLabel('Name', { exact: true }).fill('Mote')
    await page.getByLabel('Weight', { exact: true }).fill('0')
    await page.getByRole('button', { name: 'Add to the kitchen' }).click()
    await expect(page.getByText('A dog weighs from 0.3 to 120 kg.').first()).toBeVisible()
    await expect(page.getByLabel('Weight', { exact: true })).toBeFocused()
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Mote')
    await page.getByLabel('Name', { exact: true }).fill('quill')
    await page.getByLabel('Weight', { exact: true }).fill('9')
    await page.getByRole('button', { name: 'Add to the kitchen' }).click()
    await expect(page.getByText('There is a dog of that name already').first()).toBeVisible()
    await page.getByLabel('Age, or born on').fill('soon')
    await page.getByRole('button', { name: 'Add to the kitchen' }).click()
    await expect(page.getByText('“soon” is no age here')).toBeVisible()
})

test('a dog is changed, taken out, and brought back with all that was its own', async ({ page }) => {
    await page.goto('/dogs')
    await page.getByRole('link', { name: 'Odette' }).click()
    await page.getByLabel('Weight', { exact: true }).fill('25')
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    await expect(page.getByRole('link', { name: 'Odette' })).toContainText('25 kg')
    await page.getByRole('link', { name: 'Bosun' }).click()
    await page.getByRole('button', { name: 'Take out of the kitchen' }).click()
    await expect(page.getByRole('link', { name: 'Bosun' })).toBeHidden()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('link', { name: 'Bosun' })).toBeVisible()
    await expect(page.getByRole('link', { name: 'Bosun' })).toContainText('gulps')
})

test('a house rule changes the answer', async ({ page }) => {
    await page.goto('/cupboard/house')
    const kept = page.waitForResponse((response) => response.url().endsWith('/api/kitchen') && response.request().method() === 'PATCH')
    await page.getByRole('radio', { name: /Research formula/ }).check()
    await kept
    await openBench(page)
    await write(page, '2 cups oat flour\n1 egg')
    await ration(page, 'Biscay').getByRole('button').first().click()
    await expect(ration(page, 'Biscay')).toContainText('research school')
})

test('the day of each dog is drawn as a dish, and what is to be minded stands by it', async ({ page }) => {
    await page.goto('/dogs')
    const quill = page.getByRole('link', { name: 'Quill' })
    await expect(quill).toContainText(/\d+ kcal of treats a day/)
    await expect(quill).toContainText('heart disease')
    await expect(quill).toContainText(/cleared: \d of 8 recipes on the shelf/)
    await quill.click()
    await expect(page.getByRole('complementary')).toContainText('no piece over 25 mm')
    await part(page, /Health/)
    await pick(page, 'Takes or faces', 'furosemide or another diuretic')
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    await expect(quill).toContainText('diuretic')
})

test('each thing has an address of its own, and Back goes where the person was', async ({ page }) => {
    await page.goto('/shelf')
    await page.getByRole('button', { name: 'Pear and sorghum squares', exact: true }).click()
    await expect(page.getByLabel('Title of the recipe')).toHaveValue('Pear and sorghum squares')
    await expect(page).toHaveURL(/\/bench\/[0-9a-f-]{36}$/)
    const pear = page.url()
    await page.getByRole('link', { name: 'Shelf', exact: true }).click()
    await page.getByRole('button', { name: 'Lentil and celery crisps', exact: true }).click()
    await expect(page.getByLabel('Title of the recipe')).toHaveValue('Lentil and celery crisps')
    await expect(page).not.toHaveURL(pear)
    await page.goBack()
    await expect(page.getByRole('heading', { name: 'The shelf' })).toBeVisible()
    await page.goBack()
    await expect(page.getByLabel('Title of the recipe')).toHaveValue('Pear and sorghum squares')
    await expect(page).toHaveURL(pear)
    // the address alone brings it back, also in another browser
    await page.goto('/dogs')
    await page.evaluate(() => {
        localStorage.clear()
        sessionStorage.clear()
        indexedDB.deleteDatabase('mildbowl')
    })
    await page.goto(pear)
    await expect(page.getByLabel('Title of the recipe')).toHaveValue('Pear and sorghum squares')
    await page.goto('/bench/0192f0c8-7d1b-7e52-9c1e-6f4c2f3b8a11')
    await expect(page.getByRole('alert')).toContainText('No recipe has this address')
})

test('units are chosen once and hold everywhere', async ({ page }) => {
    await openBench(page)
    await page.getByRole('button', { name: 'Units' }).click()
    const units = page.getByRole('group', { name: 'Units' })
    await units.getByRole('button', { name: 'lb' }).click()
    await units.getByRole('button', { name: 'inches' }).click()
    await units.getByRole('button', { name: '12/31' }).click()
    await page.keyboard.press('Escape')
    await expect(seat(page, 'Quill')).toContainText('27.6 lb')
    await write(page, '200 g oat flour\n100 g water\nMethod\nRoll to 6 mm.')
    await expect(row(page, 4)).toContainText('¼ in')
    await expect(page.getByLabel('across, in')).toHaveValue('0.984')
    await page.getByLabel('thick, in').fill('1/4')
    await expect(page.getByText('Safe bite:')).toContainText('15/16 in for')
    await page.getByRole('link', { name: 'Dogs', exact: true }).click()
    await page.getByRole('link', { name: 'Quill' }).click()
    await expect(page.getByRole('complementary')).toContainText('no piece over 15/16 in')
    await expect(page.getByLabel('Weight', { exact: true })).toHaveValue('27.6')
    // nothing was changed by looking at it in another unit
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    const dogs = (await (await page.request.get('/api/dogs')).json()) as { name: string; weightKg: number }[]
    expect(dogs.find((one) => one.name === 'Quill')?.weightKg).toBe(12.5)
    await page.reload()
    await expect(page.getByRole('link', { name: 'Quill' })).toContainText('27.6 lb')
    await page.getByRole('button', { name: 'Units' }).click()
    await units.getByRole('button', { name: 'kg' }).click()
    await units.getByRole('button', { name: 'mm' }).click()
    await expect(page.getByRole('link', { name: 'Quill' })).toContainText('12.5 kg')
})

test('what was taken away lies in the trash and comes back', async ({ page }) => {
    await page.goto('/cupboard/prices')
    await page.getByRole('combobox', { name: 'Food' }).fill('oat flour')
    await page.getByLabel('pack, g').fill('500')
    await page.getByLabel('price', { exact: true }).fill('2')
    await page.getByRole('button', { name: 'Keep this price' }).click()
    // the demo has a price of it: what is told again takes its place
    const price = page.getByRole('listitem').filter({ hasText: 'oat flour: 2.00 for 500 g' })
    await price.getByRole('button', { name: 'Forget it' }).click()
    await expect(price).toBeHidden()
    await page.getByRole('link', { name: 'Trash' }).click()
    await page.getByRole('button', { name: 'Bring oat flour back' }).click()
    await expect(page.getByRole('button', { name: 'Bring oat flour back' })).toBeHidden()
    await page.getByRole('link', { name: 'Prices' }).click()
    await expect(page.getByText('oat flour: 2.00 for 500 g')).toBeVisible()
})

test('the shelf is found by what one types, with tags, favourites, another copy, another name and a card to print', async ({ page }) => {
    await page.goto('/shelf')
    const card = (title: string) => page.getByRole('article', { name: title, exact: true })
    await expect(card('Crisp hake-skin twists')).toContainText('cleared for')
    await page.getByLabel('Find', { exact: true }).fill('hake')
    await expect(page.getByRole('article')).toHaveCount(1)
    await page.getByLabel('Find', { exact: true }).fill('sorghum')
    await expect(page.getByRole('article')).toHaveCount(2)
    await page.getByLabel('Find', { exact: true }).fill('')
    await card('Crisp hake-skin twists')
        .getByRole('button', { name: /favourite/ })
        .click()
    await expect(page.getByRole('article').first()).toContainText('Crisp hake-skin twists')
    await card('Crisp hake-skin twists')
        .getByRole('button', { name: /More for/ })
        .click()
    await page.getByText('Tags', { exact: true }).click()
    await page.getByRole('combobox', { name: 'Tags' }).fill('Thursday')
    await page.keyboard.press('Enter')
    await page.getByRole('dialog').getByRole('button', { name: 'Keep' }).click()
    await page.getByRole('group', { name: 'Tags' }).getByRole('button', { name: 'Thursday' }).click()
    await expect(page.getByRole('article')).toHaveCount(1)
    await page.getByRole('group', { name: 'Tags' }).getByRole('button', { name: 'Thursday' }).click()
    await card('Crisp hake-skin twists')
        .getByRole('button', { name: /More for/ })
        .click()
    await page.getByText('Write it again under another name').click()
    await expect(card('Crisp hake-skin twists, again')).toBeVisible()
    await card('Crisp hake-skin twists, again')
        .getByRole('button', { name: /More for/ })
        .click()
    await page.getByText('Name and notes').click()
    await page.getByRole('dialog').getByLabel('Name').fill('Twists of cod')
    await page.getByRole('dialog').getByRole('button', { name: 'Keep' }).click()
    await expect(card('Twists of cod')).toBeVisible()
    await card('Twists of cod')
        .getByRole('button', { name: /More for/ })
        .click()
    await page.getByText('Take off the shelf').click()
    await expect(card('Twists of cod')).toBeHidden()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(card('Twists of cod')).toBeVisible()
    await choose(page, 'Cleared for', 'Tuppence')
    await page.keyboard.press('Escape')
    await expect(card('Beetroot and barley rounds')).toBeHidden()
    await expect(card('Twists of cod')).toBeVisible()
    await card('Twists of cod')
        .getByRole('button', { name: /More for/ })
        .click()
    await page.getByText('Print it as a card').click()
    await expect(page).toHaveURL(/\/card\//)
    await expect(page.getByRole('article', { name: 'Twists of cod' })).toContainText('250 g hake skin')
    await expect(page.getByRole('button', { name: 'Print' })).toBeVisible()
})

test('the menu of a card stands still while the cards move under it, and its button has the hand again', async ({ page }) => {
    await page.goto('/shelf')
    const more = page.getByRole('button', { name: 'More for Crisp hake-skin twists' })
    await more.click()
    const name = page.getByText('Name and notes', { exact: true })
    const stood = await name.boundingBox()
    const was = (await more.boundingBox())?.y ?? Infinity
    await page.evaluate(() => {
        const first = document.querySelector<HTMLElement>('.shelf__board')
        if (first !== null) first.style.paddingBlockStart = '9rem'
    })
    await expect.poll(async () => (await more.boundingBox())?.y).toBeGreaterThan(was + 100)
    // the card itself goes: its row is taken out of the page as if it had left the window
    await page.evaluate(() => {
        for (const row of document.querySelectorAll<HTMLElement>('.shelf__board')) row.style.display = 'none'
    })
    expect(await name.boundingBox()).toEqual(stood)
    await page.evaluate(() => {
        for (const row of document.querySelectorAll<HTMLElement>('.shelf__board')) row.removeAttribute('style')
    })
    await name.click()
    await expect(page.getByRole('dialog').getByLabel('Name')).toHaveValue('Crisp hake-skin twists')
    await page.keyboard.press('Escape')
    await expect(more).toBeFocused()
    await page.keyboard.press('Enter')
    await expect(more).toHaveAttribute('aria-expanded', 'true')
    await page.keyboard.press('ArrowDown')
    await page.keyboard.press('ArrowDown')
    await expect(page.getByText('Print it as a card')).toBeVisible()
    await page.keyboard.press('Escape')
    await expect(more).toBeFocused()
    await expect(more).toHaveAttribute('aria-expanded', 'false')
})

/** A picture of ten by ten dots is chosen for a recipe. */
async function photograph(page: Page, title: string): Promise<Locator> {
    const card = page.getByRole('article', { name: title, exact: true })
    const png = Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAoAAAAKCAYAAACNMs+9AAAAFUlEQVR42mNk+M9Qz0AEYBxVSF+FAAhKDveksOjmAAAAAElFTkSuQmCC', 'base64')
    const chooser = page.waitForEvent('filechooser')
    await card.getByRole('button', { name: /More for/ }).click()
    await page.getByText('Photograph', { exact: true }).click()
    await (await chooser).setFiles({ name: 'ten.png', mimeType: 'image/png', buffer: png })
    const picture = card.getByRole('img', { name: `${title}, photographed` })
    await expect.poll(() => picture.evaluate((it) => (it as HTMLImageElement).naturalWidth)).toBe(10)

    return picture
}

test('a photograph is made smaller, kept, and shown on its card', async ({ page }) => {
    await page.goto('/shelf')
    const picture = await photograph(page, 'Pear and sorghum squares')
    await page.reload()
    await expect(picture).toBeVisible()
    await expect(picture).toHaveAttribute('src', /^.api.photos/)
})

test('a photograph taken while the kitchen is away is shown from this browser, and arrives when it is back', async ({ page, context }) => {
    await page.goto('/shelf')
    await expect(page.getByRole('article', { name: 'Venison and parsnip coins', exact: true })).toBeVisible()
    await context.route('**/api/**', (route) => route.abort())
    const picture = await photograph(page, 'Venison and parsnip coins')
    await expect(picture).toHaveAttribute('src', /^data:image.jpeg/)
    await page.getByRole('button', { name: /kitchen away, 2 wait/ }).click()
    await expect(page.getByRole('dialog')).toContainText('add the photograph of Venison and parsnip coins')
    await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click()
    await context.unroute('**/api/**')
    await page.reload()
    await expect(picture).toHaveAttribute('src', /^.api.photos/)
    await expect.poll(() => picture.evaluate((it) => (it as HTMLImageElement).naturalWidth)).toBe(10)
})

test('places open by key, and from the rail', async ({ page }) => {
    await openBench(page)
    await key(page, 'd')
    await expect(page.getByRole('heading', { name: 'The dogs' })).toBeVisible()
    await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Cupboard' }).click()
    await expect(page.getByRole('heading', { name: 'Labels', exact: true })).toBeVisible()
    await expect(page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Cupboard' })).toHaveAttribute('aria-current', 'page')
})

for (const scheme of ['light', 'dark'] as const) {
    test(`every place is accessible by ${scheme}`, async ({ browser, baseURL }) => {
        test.setTimeout(240_000)
        const context = await browser.newContext({ colorScheme: scheme, viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce', baseURL })
        const page = await context.newPage()
        await openBench(page)
        await write(page, '2 cups rye flour\n1 egg\n1/4 cup raisins\n2 tbsp peanut butter\n3 flurbl')
        await expect(page.getByText(/^Checked 5 lines/)).toBeVisible()
        // by night only the colours are others
        const rules = scheme === 'dark' ? ['color-contrast', 'link-in-text-block'] : []
        await expectAccessible(page, rules)
        for (const place of PLACES.slice(1)) {
            await test.step(place, async () => {
                await page.goto(place)
                await page.waitForTimeout(400)
                await expectAccessible(page, rules)
            })
        }
        await context.close()
    })
}

test("every place works at a phone's width and at 320 pixels without sideways scrolling, its doors under the thumb", async ({ browser, baseURL }) => {
    test.setTimeout(240_000)
    for (const width of [390, 320]) {
        const context = await browser.newContext({ viewport: { width, height: 844 }, reducedMotion: 'reduce', hasTouch: true, baseURL })
        const page = await context.newPage()
        await openBench(page)
        await write(page, '2 cups oat flour\n1 large egg, beaten well and strained through the finest sieve in the house\n1/4 cup raisins')
        await expect(page.getByText(/^Checked 3 lines/)).toBeVisible()
        const overflow = (): Promise<number> => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)
        expect(await overflow()).toBeLessThanOrEqual(0)
        for (const place of PLACES.slice(1)) {
            await page.goto(place)
            await page.waitForTimeout(400)
            expect(await overflow(), `${place} at ${width}`).toBeLessThanOrEqual(0)
            if (width === 390) await expectAccessible(page)
        }
        const bar = await page.getByRole('navigation', { name: 'Places' }).boundingBox()
        expect((bar?.y ?? 0) + (bar?.height ?? 0)).toBe(844)
        await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Dogs' }).tap()
        await expect(page.getByRole('heading', { name: 'The dogs' })).toBeVisible()
        await expect(page.getByRole('button', { name: 'It ate something' })).toBeVisible()
        await context.close()
    }
})
