import { expect, expectAccessible, freshKitchen, openBench, ration, seat, test, write } from './support'

freshKitchen()

test('a dog is added in words a person uses, and eats at once', async ({ page }) => {
    await openBench(page)
    await page.getByRole('link', { name: 'Add a dog' }).click()
    await page.getByLabel('Name').fill('Fig')
    await page.getByLabel('Weight', { exact: true }).fill('14')
    await page.getByLabel('Unit of weight').selectOption('lb')
    await page.getByLabel('Age, years').fill('3')
    await page.getByRole('button', { name: 'beef', exact: true }).click()
    await page.getByRole('button', { name: 'Add to the kitchen' }).click()
    await expect(seat(page, 'Fig')).toContainText('6.35 kg')
    await write(page, '100 g cooked minced beef')
    await expect(ration(page, 'Fig')).toContainText('none yet')
})

test('an impossible dog is refused beside its field, and the form keeps what was typed', async ({ page }) => {
    await page.goto('/dogs/new')
    await page.getByLabel('Name').fill('Mote')
    await page.getByLabel('Weight', { exact: true }).fill('0')
    await page.getByRole('button', { name: 'Add to the kitchen' }).click()
    await expect(page.getByText('A dog weighs from 0.3 to 120 kg.').first()).toBeVisible()
    await expect(page.getByLabel('Name')).toHaveValue('Mote')
    await page.getByLabel('Name').fill('Quill')
    await page.getByLabel('Weight', { exact: true }).fill('9')
    await page.getByRole('button', { name: 'Add to the kitchen' }).click()
    await expect(page.getByText('There is a dog of that name already').first()).toBeVisible()
})

test('a dog is changed and taken out', async ({ page }) => {
    await page.goto('/dogs')
    await page.getByRole('link', { name: /Odette/ }).click()
    await page.getByLabel('Weight', { exact: true }).fill('25')
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    await expect(seat(page, 'Odette')).toContainText('25 kg')
    await page.goto('/dogs')
    await page.getByRole('link', { name: /Bosun/ }).click()
    await page.getByRole('button', { name: 'Take out of the kitchen' }).click()
    await page.getByRole('button', { name: 'Take out', exact: true }).click()
    await expect(page.getByRole('link', { name: /Bosun/ })).toBeHidden()
})

test('a house rule changes the answer', async ({ page }) => {
    await page.goto('/settings')
    const kept = page.waitForResponse((response) => response.url().endsWith('/api/kitchen') && response.request().method() === 'PATCH')
    await page.getByLabel(/research/i).first().check()
    await kept
    await openBench(page)
    await write(page, '2 cups oat flour\n1 egg')
    await ration(page, 'Biscay').getByRole('button').first().click()
    await expect(ration(page, 'Biscay')).toContainText('research school')
})

test('the list of keys opens with ? and places open by key', async ({ page }) => {
    await openBench(page)
    await page.locator('h2').first().click()
    await page.keyboard.press('?')
    await expect(page.getByRole('dialog')).toContainText('Keys on the bench')
    await page.keyboard.press('Escape')
    await page.keyboard.press('Alt+2')
    await expect(page.getByRole('heading', { name: 'The dogs' })).toBeVisible()
})

for (const scheme of ['light', 'dark'] as const) {
    for (const place of ['/bench', '/dogs', '/dogs/new', '/shelf', '/settings', '/studio', '/chart', '/pantry', '/rules']) {
        test(`${place} is accessible by ${scheme}`, async ({ browser, baseURL }) => {
            const context = await browser.newContext({ colorScheme: scheme, viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce', baseURL })
            const page = await context.newPage()
            await openBench(page)
            if (place === '/bench') {
                await write(page, '2 cups rye flour\n1 egg\n1/4 cup raisins\n2 tbsp peanut butter\n3 flurbl')
                await expect(page.getByText(/^Checked 5 lines/)).toBeVisible()
            } else {
                await page.goto(place)
                await page.waitForTimeout(400)
            }
            await expectAccessible(page)
            await context.close()
        })
    }
}

test('the bench, the studio and the chart work at phone width without sideways scrolling', async ({ browser, baseURL }) => {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, reducedMotion: 'reduce', baseURL })
    const page = await context.newPage()
    await openBench(page)
    await write(page, '2 cups oat flour\n1 large egg, beaten well and strained through the finest sieve in the house\n1/4 cup raisins')
    await expect(page.getByText(/^Checked 3 lines/)).toBeVisible()
    const overflow = (): Promise<number> => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)
    expect(await overflow()).toBeLessThanOrEqual(0)
    for (const place of ['/studio', '/chart', '/dogs', '/settings']) {
        await page.goto(place)
        await page.waitForTimeout(500)
        expect(await overflow(), place).toBeLessThanOrEqual(0)
    }
    await context.close()
})
