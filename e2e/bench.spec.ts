import { block, caret, choose, expect, freshKitchen, openBench, ration, readLabel, rewrite, row, seat, sheet, test, words, write } from './support'

freshKitchen()

test('a recipe is read line by line while it is typed', async ({ page }) => {
    await openBench(page)
    await write(page, '2 cups oat flour\n1 large egg\n3 tbsp flurbl\n1/4 cup raisins')

    await expect(row(page, 1)).toContainText('192 g')
    await expect(row(page, 2)).toContainText('50 g')
    await expect(row(page, 3)).toContainText('Not read')
    await expect(row(page, 4)).toContainText('Never: grape')
    await expect(page.getByText('1 line must be swapped or taken out')).toBeVisible()
    await expect(page.getByText(/^Not cleared for Biscay/)).toBeVisible()
})

test('a finding opens to its reason, advice, emergency words and source', async ({ page }) => {
    await openBench(page)
    await write(page, '1/4 cup raisins')
    await row(page, 1).getByRole('button', { name: /Never/ }).click()

    const card = block(page).getByRole('alert')
    await expect(card).toContainText('no dose is known to be safe')
    await expect(card).toContainText('Use blueberries')
    await expect(card).toContainText('call a vet or an animal poison line at once')
    await expect(card).toContainText('Known from')
})

test('a dog is seated by a tap, and the answer follows', async ({ page }) => {
    await openBench(page)
    await write(page, '2 cups rye flour\n1 egg')
    await expect(ration(page, 'Bosun')).toContainText('a day')
    await seat(page, 'Tuppence').click()
    await expect(row(page, 1)).toContainText('Reacts')
    await expect(ration(page, 'Tuppence')).toContainText('none yet')
    await seat(page, 'Tuppence').click()
    await expect(row(page, 1)).not.toContainText('Reacts')
    await page.reload()
    await expect(seat(page, 'Tuppence')).toHaveAttribute('aria-pressed', 'false')
})

test('cut and texture change count, ration and findings', async ({ page }) => {
    await openBench(page)
    await choose(page, 'Shape', 'ball')
    await page.getByLabel('across, mm').fill('20')
    await write(page, '2 cups oat flour\n1 egg\n1/4 cup water')
    await expect(page.getByText(/^Checked 3 lines/)).toBeVisible()
    const pieces = async (): Promise<number> => Number(await page.locator('.piece strong').nth(1).textContent())
    await expect.poll(pieces).toBeGreaterThan(30)
    const small = await pieces()
    await page.getByLabel('across, mm').fill('40')
    await expect.poll(pieces).toBeLessThan(small / 6)
    await expect(ration(page, 'Quill')).toContainText('Mind')
    await choose(page, 'Leaves the oven', 'hard')
    await ration(page, 'Quill').getByRole('button').first().click()
    await expect(ration(page, 'Quill')).toContainText('few teeth')
})

test('an impossible cut is refused in place and nothing is lost', async ({ page }) => {
    await openBench(page)
    await write(page, '2 cups oat flour')
    await page.getByLabel('across, mm').fill('0')
    await expect(page.getByText('This must be more than 0 mm.')).toBeVisible()
    await expect(words(page, 1)).toHaveText('2 cups oat flour')
    await page.getByLabel('across, mm').fill('30')
    await expect(page.getByText('This must be more than 0 mm.')).toBeHidden()
})

test('a reload loses nothing that was typed', async ({ page }) => {
    await openBench(page)
    await page.getByLabel('Title of the recipe').fill('Half a thought')
    await write(page, '2 cups oat flour\n1 egg')
    await page.reload()
    await expect(page.getByLabel('Title of the recipe')).toHaveValue('Half a thought')
    await expect(words(page, 2)).toHaveText('1 egg')
    await expect(row(page, 2)).toContainText('g')
})

test('a pasted recipe becomes rows; lines move, join and come back', async ({ page, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write'])
    await openBench(page)
    await page.evaluate(() => navigator.clipboard.writeText('For the dough:\n2 cups oat flour\n1 egg\nBake at 180 °C for 20 minutes'))
    await caret(page, 1)
    await page.keyboard.press('Control+V')
    await expect(words(page, 4)).toHaveText('Bake at 180 °C for 20 minutes')
    await expect(row(page, 2)).toContainText('192 g')
    await caret(page, 2)
    await page.keyboard.press('Alt+ArrowDown')
    await expect(words(page, 3)).toHaveText('2 cups oat flour')
    await page.keyboard.press('Control+Z')
    await expect(words(page, 2)).toHaveText('2 cups oat flour')
    await caret(page, 3)
    await page.keyboard.press('Home')
    await page.keyboard.press('Backspace')
    await expect(words(page, 2)).toHaveText('2 cups oat flour1 egg')
    await expect(words(page, 3)).toHaveText('Bake at 180 °C for 20 minutes')
    await page.keyboard.press('Control+Z')
    await expect(words(page, 3)).toHaveText('1 egg')
})

test('a recipe is kept on the shelf and opened again', async ({ page }) => {
    await openBench(page)
    await page.getByLabel('Title of the recipe').fill('Harbour rounds')
    await write(page, '2 cups oat flour\n1 egg')
    await page.getByRole('button', { name: 'Keep on the shelf' }).click()
    await expect(page.getByText('on the shelf', { exact: true })).toBeVisible()
    await caret(page, 2)
    await page.keyboard.press('Enter')
    await page.keyboard.insertText('1/4 cup water')
    await expect(page.getByText('on the shelf', { exact: true })).toBeVisible()
    await page.getByRole('button', { name: 'New sheet' }).click()
    await expect(sheet(page)).toHaveText(/^Type or paste/)
    await page.getByRole('link', { name: 'Shelf', exact: true }).click()
    await page
        .getByRole('button', { name: /Harbour rounds/ })
        .first()
        .click()
    await expect(words(page, 3)).toHaveText('1/4 cup water')
})

test('a number opens to how it was made', async ({ page }) => {
    await openBench(page)
    await write(page, '2 cups oat flour\n1 egg')
    await row(page, 1)
        .getByRole('button', { name: /How 192 g/ })
        .click()
    await expect(block(page)).toContainText('kcal per 100 g')
    await ration(page, 'Biscay').getByRole('button').first().click()
    await expect(ration(page, 'Biscay')).toContainText('70 × 17 kg to the power 0.75')
    await expect(ration(page, 'Biscay')).toContainText('Rounded down to a quarter')
})

test('a label is confirmed and taken back', async ({ page }) => {
    await openBench(page)
    await write(page, '2 cups barley flour\n2 tbsp peanut butter\n1/2 cup water')
    await readLabel(page, 2)
    await expect(row(page, 2)).toContainText('Settled')
    await expect(ration(page, 'Bosun')).toContainText('a day')
    await row(page, 2)
        .getByRole('button', { name: /Settled/ })
        .click()
    await block(page).getByRole('button', { name: 'Take that back' }).click()
    await expect(ration(page, 'Bosun')).toContainText('none yet')
})

test('amounts switch between grams and cups', async ({ page }) => {
    await openBench(page)
    await write(page, '192 g oat flour')
    await page.getByRole('button', { name: 'cups', exact: true }).click()
    await expect(row(page, 1)).toContainText('2 cups')
    const kept = page.waitForResponse(
        (response) =>
            response.url().endsWith('/api/kitchen') &&
            response.request().method() === 'PATCH' &&
            (response.request().postData() ?? '').includes('grams') &&
            response.ok(),
    )
    await page.getByRole('button', { name: 'grams', exact: true }).click()
    await expect(row(page, 1)).toContainText('192 g')
    await kept
})

test('the newest answer stays when an older one comes late', async ({ page }) => {
    await openBench(page)
    let first = true
    await page.route('**/api/ask/formulate', async (route) => {
        if (first) {
            first = false
            await new Promise((resolve) => setTimeout(resolve, 800))
        }
        await route.continue().catch(() => undefined)
    })
    await write(page, '1/4 cup raisins')
    await page.waitForTimeout(150)
    await rewrite(page, 1, '1/4 cup blueberries')
    await expect(row(page, 1)).toContainText('kcal')
    await page.waitForTimeout(1000)
    await expect(row(page, 1)).not.toContainText('Never')
})

test('a kitchen that does not answer says so and keeps the sheet', async ({ page }) => {
    await openBench(page)
    await page.route('**/api/ask/formulate', (route) => route.abort())
    await write(page, '2 cups oat flour')
    await expect(page.getByText('The kitchen does not answer. What you typed is kept in this browser.')).toBeVisible()
    await page.getByRole('button', { name: 'Ask again' }).click()
    await page.unroute('**/api/ask/formulate')
    // it is asked again by itself
    await expect(row(page, 1)).toContainText('192 g')
})

test('a text that is too long is refused plainly', async ({ page }) => {
    await openBench(page)
    await rewrite(page, 1, 'x'.repeat(20001))
    await expect(page.getByText('At most 20000 characters.')).toBeVisible()
})
