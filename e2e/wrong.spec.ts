import { expect, freshKitchen, key, openBench, ration, row, seat, test, words, write } from './support'
import type { Page } from '@playwright/test'

/** What findings/page.md has under Shown wrong, where no other file has it: verdicts of other words, numbers and units. */
freshKitchen()

const verdict = (page: Page) => page.locator('.verdict')

test('nothing found is never said beside a line it was not said of: cut off, late, too long, without a dog', async ({ page, context }) => {
    await openBench(page)
    await write(page, '200 g oat flour\n100 g water')
    await expect(row(page, 1)).toContainText('200 g')
    await page.waitForTimeout(400)
    await context.setOffline(true)
    await page.keyboard.press('Enter')
    await page.keyboard.insertText('1/4 cup raisins')
    await expect(verdict(page)).toContainText('Not checked yet')
    await expect(verdict(page)).not.toContainText('Nothing found')
    await context.setOffline(false)
    await expect(row(page, 3)).toContainText('Never', { timeout: 10_000 })
    await page.route('**/api/ask/formulate', async (route) => {
        await new Promise((resolve) => {
            setTimeout(resolve, 1500)
        })
        await route.fallback().catch(() => undefined)
    })
    await page.keyboard.press('Enter')
    await page.keyboard.insertText('1 tsp xylitol')
    await expect(verdict(page)).toContainText('Not checked yet', { timeout: 1400 })
    await expect(row(page, 4)).toContainText('Never', { timeout: 10_000 })
    await page.unroute('**/api/ask/formulate')
    await page.keyboard.press('Enter')
    await page.keyboard.insertText(Array.from({ length: 210 }, (_, n) => `${n + 1} g oats`).join('\n'))
    await expect(page.getByRole('alert').filter({ hasText: /200/ })).toBeVisible()
    await expect(verdict(page)).toContainText('Not checked yet')
})

test('in the studio and on the chart figures step back with the sheet they were made for', async ({ page }) => {
    await openBench(page)
    await page.getByRole('button', { name: 'New sheet' }).click()
    await write(page, '200 g oat flour\n100 g water')
    await expect(ration(page, 'Bosun')).toBeVisible()
    await page.getByRole('link', { name: /^Cut studio/ }).click()
    await expect(page.locator('.studio__figures')).toBeVisible()
    await page.route('**/api/ask/**', (route) => route.abort())
    await page.getByLabel('across, mm').fill('40')
    await page.keyboard.press('Enter')
    await expect(page.getByText('What stands below was said of the sheet as it was before.')).toBeVisible()
    await page.unroute('**/api/ask/**')
    await expect(page.getByText('What stands below was said of the sheet as it was before.')).toBeHidden()
    await page.goto('/chart')
    await expect(page.getByRole('table').first()).toBeVisible()
    await page.route('**/api/ask/**', (route) => route.abort())
    await page.getByRole('textbox', { name: 'from' }).fill('1/1/2030')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('table')).toHaveCount(0)
    await expect(page.getByRole('alert')).toContainText('does not answer')
    await page.unroute('**/api/ask/**')
    await expect(page.getByRole('table').first()).toBeVisible({ timeout: 10_000 })
})

test('a size of 6,5 is six and a half; what is no number is refused in words, in every field, and stays there', async ({ page }) => {
    await openBench(page)
    await page.getByRole('button', { name: 'New sheet' }).click()
    await write(page, '200 g oat flour\n100 g water')
    await expect(ration(page, 'Bosun')).toBeVisible()
    await page.getByLabel('thick, mm').fill('6,5')
    await page.keyboard.press('Enter')
    await expect(page.getByLabel('thick, mm')).toHaveValue('6.5')
    await page.getByLabel('across, mm').fill('half a palm')
    await page.keyboard.press('Enter')
    await expect(page.getByLabel('across, mm')).toHaveValue('half a palm')
    await expect(page.getByText(/half a palm.*(number|size)/)).toBeVisible()
    await page.getByLabel('across, mm').fill('1/2')
    await page.keyboard.press('Enter')
    await expect(page.getByLabel('across, mm')).toHaveValue('0.5')
    await page.goto('/studio')
    for (const label of ['across, mm', 'days', 'trays at once', 'set to, °C', 'tray wide, mm']) {
        const field = page.getByLabel(label, { exact: true })
        await field.fill('plenty')
        await page.keyboard.press('Enter')
        await expect(field, label).toHaveValue('plenty')
        await expect(page.locator('.v-input--error', { has: field }), label).toContainText('plenty')
    }
})

test('five to six pieces in the raid sheet are at most six, not the whole batch', async ({ page }) => {
    await openBench(page)
    await key(page, 'x')
    const dialog = page.getByRole('dialog')
    await dialog.getByRole('button', { name: /Quill/ }).click()
    await dialog.getByRole('button', { name: 'treats of mine' }).click()
    await dialog.getByRole('combobox', { name: 'Which treats' }).fill('Beetroot')
    await page.getByRole('option', { name: 'Beetroot and barley rounds' }).click()
    await dialog.getByLabel('How many pieces').fill('5-6')
    await dialog.getByRole('button', { name: 'Count it' }).click()
    await expect(dialog).toContainText('6 pieces of')
})

test('choosing another unit of weight says the same weight, and an odd weight is turned once', async ({ page }) => {
    await page.goto('/dogs')
    await page.getByRole('link', { name: 'Quill' }).click()
    await expect(page.getByLabel('Weight', { exact: true })).toHaveValue('12.5')
    await page.locator('.v-input', { has: page.getByRole('combobox', { name: 'Unit of weight' }) }).click()
    await page.getByRole('option', { name: 'lb' }).click()
    await expect(page.getByLabel('Weight', { exact: true })).toHaveValue('27.6')
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    await expect(page.getByRole('link', { name: 'Quill' })).toContainText('12.5 kg')
    await page.getByRole('link', { name: 'Ferris' }).click()
    await page.getByLabel('Weight', { exact: true }).fill('66 lb')
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    await expect(page.getByRole('link', { name: 'Ferris' })).toContainText('29.94 kg')
    await page.getByRole('button', { name: 'Units' }).click()
    await page.getByRole('group', { name: 'Units' }).getByRole('button', { name: 'lb' }).click()
    await expect(page.getByRole('link', { name: 'Ferris' })).toContainText('66 lb')
    await page.getByRole('group', { name: 'Units' }).getByRole('button', { name: 'kg' }).click()
})

test('nothing counted is told in cups, and the oven is set in the unit of the dial', async ({ page }) => {
    await openBench(page)
    await page.getByRole('button', { name: 'New sheet' }).click()
    await write(page, '250 g oat flour\n2 large eggs\n125 g beaten egg')
    await page.getByRole('button', { name: 'cups', exact: true }).click()
    await expect(row(page, 1)).toContainText('cups')
    await expect(row(page, 2)).toContainText('100 g')
    await expect(row(page, 2)).not.toContainText('cup')
    await expect(row(page, 3)).not.toContainText('cup')
    await page.getByRole('button', { name: 'grams', exact: true }).click()
    await page.goto('/studio')
    const heat = page.getByRole('region', { name: 'Time and heat' })
    await heat.getByRole('button', { name: '°F' }).click()
    await heat.getByLabel('set to, °F').fill('350')
    await page.keyboard.press('Enter')
    await expect(heat).toContainText('350 °F')
    // the same heat, however it is read, here or chosen in the rail
    await page.getByRole('button', { name: 'Units' }).click()
    await page.getByRole('group', { name: 'Units' }).getByRole('button', { name: '°C' }).click()
    await page.keyboard.press('Escape')
    await expect(heat.getByLabel('set to, °C')).toHaveValue('177')
    await heat.getByRole('button', { name: 'gas' }).click()
    await expect(heat.locator('.v-select__selection')).toContainText('gas 4')
    await heat.getByRole('button', { name: '°C' }).click()
})

test('a seat and a house rule that were refused stand as they did', async ({ page }) => {
    await openBench(page)
    const refuse = (path: string) =>
        page.route(path, (route) =>
            route.request().method() === 'GET'
                ? route.fallback()
                : route.fulfill({
                      status: 422,
                      contentType: 'application/problem+json',
                      body: JSON.stringify({ status: 422, code: 'invalid', title: 'No', message: 'Not today.', path: '' }),
                  }),
        )
    await refuse('**/api/dogs/*')
    await expect(seat(page, 'Tuppence')).toHaveAttribute('aria-pressed', 'false')
    await seat(page, 'Tuppence').click()
    await expect(seat(page, 'Tuppence')).toHaveAttribute('aria-pressed', 'false')
    await expect(page.getByText('Not today.')).toBeVisible()
    await refuse('**/api/kitchen')
    await page.goto('/cupboard/house')
    await page.getByRole('radio', { name: /^Measured/ }).click()
    await expect(page.getByRole('alert')).toContainText('Not today.')
    await expect(page.getByRole('radio', { name: /^Never/ })).toBeChecked()
})

test('a page that is pasted as words keeps its shop out of the foods', async ({ page }) => {
    await openBench(page)
    await page.getByRole('button', { name: 'New sheet' }).click()
    await page.locator('.cm-content').focus()
    await page.evaluate(() => {
        const data = new DataTransfer()
        data.setData(
            'text/plain',
            'Home\nShop\nSubscribe to our newsletter\nHarbour bites\nBy Somebody\n4.8 from 120 reviews\nIngredients\n1 cup rice flour\n1 egg\nAdvertisement\nInstructions\n1. Mix and roll.\n2. Bake at 175 °C for 20 minutes.\nYou may also like\nBuy our bags today\nPrivacy policy',
        )
        document.querySelector('.cm-content')?.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))
    })
    const dialog = page.getByRole('dialog')
    await expect(dialog).toContainText('One recipe was found.')
    await dialog.getByRole('button', { name: 'Lay it on the bench' }).click()
    await expect(words(page, 1)).toHaveText('1 cup rice flour')
    await expect(page.locator('.cm-content')).not.toContainText('Advertisement')
    await expect(page.locator('.cm-content')).not.toContainText('bags')
})
