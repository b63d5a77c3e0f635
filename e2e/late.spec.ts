import type { Page } from '@playwright/test'
import { expect, expectAccessible, freshKitchen, ration, row, seat, sheet, test, write } from './support'

/** What is asked before the kitchen is open, and replies that overtake one another: nothing is judged without its dogs. */
freshKitchen()

/** Holds back what the page asks for, by path (the first few times, or always; or only what it says), until it is let go. */
async function held(page: Page, paths: RegExp, times?: number, says = ''): Promise<() => void> {
    let letGo = (): void => undefined
    const gone = new Promise<void>((done) => {
        letGo = done
    })
    await page.route(
        (url) => paths.test(url.pathname),
        async (route) => {
            if ((route.request().postData() ?? '').includes(says)) await gone
            await route.fallback().catch(() => undefined)
        },
        times === undefined ? {} : { times },
    )

    return letGo
}

test('one thing is checked for the dogs of the kitchen, however late they are known', async ({ page }) => {
    const letGo = await held(page, /\/api\/(kitchen|choices)$/)
    await page.goto('/cupboard/rules')
    await page.getByLabel('Any food, as you would write it').fill('chicken livers')
    await page.waitForTimeout(600)
    await expect(page.getByText('Nothing found that concerns every dog.')).toBeHidden()
    letGo()
    await expect(page.locator('.single__dogs').getByRole('listitem').filter({ hasText: 'Tuppence' })).toContainText('reacts to chicken')
})

test('of two checks the later counts, though the earlier is answered after it', async ({ page }) => {
    await page.goto('/cupboard/rules')
    const field = page.getByLabel('Any food, as you would write it')
    await field.fill('carrot')
    await expect(page.locator('.single__answer')).toContainText('carrot')
    const first = await held(page, /\/api\/ask\/formulate$/, undefined, 'raisins')
    await field.fill('raisins')
    await page.waitForTimeout(400)
    // what stands there was said of carrots
    await expect(page.locator('.single__answer')).toContainText('Not checked yet.')
    await field.fill('xylitol')
    await expect(page.locator('.single__answer')).toContainText('xylitol')
    first()
    await page.waitForTimeout(400)
    await expect(page.locator('.single__answer')).toContainText('xylitol')
    await expect(page.locator('.single__answer')).not.toContainText('Not checked yet.')
})

test('a label is read for the dogs of the kitchen, and says so when it is not read yet', async ({ page }) => {
    const letGo = await held(page, /\/api\/(kitchen|choices)$/)
    await page.goto('/cupboard/labels')
    const list = page.getByLabel('Its list of ingredients, as printed')
    await list.fill('dried chicken, rice')
    await page.waitForTimeout(600)
    await expect(page.getByText('Nothing found in this list.')).toBeHidden()
    letGo()
    await expect(page.locator('.label-reader__verdict')).toContainText('Reacts')
    await list.fill('rice')
    await expect(page.getByText('Nothing found in this list.')).toBeVisible()
    await held(page, /\/api\/ask\/label$/)
    await list.fill('rice, raisins')
    await expect(page.locator('.label-reader__verdict')).toHaveText('Not checked yet.')
    await expectAccessible(page)
})

test('a price and a swap are kept though the names of foods come late', async ({ page }) => {
    const letGo = await held(page, /\/api\/(kitchen|choices)$/)
    await page.goto('/cupboard/prices')
    await page.getByLabel('Food', { exact: true }).fill('oat flour')
    await page.getByLabel('pack, g').fill('1000')
    await page.getByLabel('price', { exact: true }).fill('4')
    await page.getByRole('button', { name: 'Keep this price' }).click()
    await page.waitForTimeout(300)
    await expect(page.getByText('The catalogue holds no')).toBeHidden()
    letGo()
    await expect(page.getByText('oat flour: 4.00 for 1000 g')).toBeVisible()
    await page.getByLabel('Food', { exact: true }).fill('oat flower')
    await page.getByLabel('pack, g').fill('500')
    await page.getByLabel('price', { exact: true }).fill('4')
    await page.getByRole('button', { name: 'Keep this price' }).click()
    await expect(page.getByText('The catalogue holds no "oat flower"')).toBeVisible()
})

test('a food of our own has a price and stands in for another', async ({ page }) => {
    await page.goto('/cupboard/foods')
    await page.getByLabel('Name', { exact: true }).fill("Lock's Best Meal")
    await page.getByLabel('kcal', { exact: false }).first().fill('340')
    await page.getByRole('button', { name: 'Keep this food' }).click()
    await expect(page.getByText("Lock's Best Meal").first()).toBeVisible()
    await page.getByRole('link', { name: 'Prices', exact: true }).click()
    await page.getByLabel('Food', { exact: true }).fill("lock's best meal")
    await page.getByLabel('pack, g').fill('500')
    await page.getByLabel('price', { exact: true }).fill('3')
    await page.getByRole('button', { name: 'Keep this price' }).click()
    await expect(page.getByText("Lock's Best Meal: 3.00 for 500 g")).toBeVisible()
    await page.getByRole('link', { name: 'Swaps', exact: true }).click()
    await page.getByLabel('In place of').fill('oat flour')
    await page.getByLabel('take', { exact: true }).fill("Lock's Best Meal")
    await page.getByRole('button', { name: 'Keep this swap' }).click()
    await expect(page.getByText("Lock's Best Meal for oat flour")).toBeVisible()
})

test('the bench knows who sits at the table before the page does', async ({ page }) => {
    const letGo = await held(page, /\/api\/(kitchen|choices)$/)
    await page.goto('/bench')
    await sheet(page).waitFor()
    await write(page, '200 g oat flour\n100 g water')
    await expect(row(page, 1)).toContainText('200 g')
    await expect(page.getByText('No dog is at the table yet.')).toBeHidden()
    await expect(ration(page, 'Quill')).toBeVisible()
    letGo()
    await expect(seat(page, 'Quill')).toBeVisible()
    await expect(ration(page, 'Quill')).toBeVisible()
})

test('what was said of the sheet as it was before can still be read, and looks so', async ({ page }) => {
    await page.goto('/bench')
    await expect(seat(page, 'Quill')).toBeVisible()
    await page.getByRole('button', { name: 'New sheet' }).click()
    await write(page, '200 g oat flour\n30 g raisins')
    await expect(row(page, 2)).toContainText('Never: grape')
    await held(page, /\/api\/ask\/formulate$/)
    await write(page, '1')
    await expect(page.getByText('Not checked yet.')).toBeVisible()
    await expect(row(page, 2).locator('.row__margin')).toHaveCSS('filter', 'grayscale(1)')
    await expect(row(page, 2)).toHaveCSS('background-color', 'rgba(0, 0, 0, 0)')
    await expectAccessible(page)
})

test('words are offered though the names come while one is being typed', async ({ page }) => {
    const letGo = await held(page, /\/api\/vocabulary$/)
    await page.goto('/bench')
    await sheet(page).focus()
    await page.keyboard.type('1 cup oat br')
    await page.waitForTimeout(400)
    letGo()
    const first = page.getByRole('listbox').getByRole('option').first()
    // at the latest with the next letter, where the page had too much to do to wait for the names
    await first.waitFor({ timeout: 3_000 }).catch(() => page.keyboard.type('a'))
    await expect(first).toContainText('oat bran')
})

test('a raid that was given up is not shown for the next dog', async ({ page }) => {
    await page.goto('/bench')
    await expect(seat(page, 'Quill')).toBeVisible()
    const letGo = await held(page, /\/api\/ask\/raid$/)
    await page.getByRole('button', { name: 'It ate something' }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByRole('button', { name: /Ferris/ }).click()
    await page.getByLabel('What and how much, one a line').fill('100 g dark chocolate')
    await page.getByRole('button', { name: 'Count it' }).click()
    await page.getByRole('button', { name: 'Another dog' }).click()
    await dialog.getByRole('button', { name: /Quill/ }).click()
    letGo()
    await page.waitForTimeout(500)
    await expect(page.getByText('To read out to the vet')).toBeHidden()
    await expect(page.getByRole('button', { name: 'Count it' })).toBeVisible()
})

test('a style or a place that cannot be fetched is no fault of the page: it comes when it can, or that is said', async ({ page }) => {
    const html = await (await page.request.get('/bench')).text()
    const first = [...html.matchAll(/href="([^"]+\.css)"/g)].map(([, name]) => new URL(name ?? '', 'http://page').pathname)
    let isAway = true
    await page.route('**/build/assets/*.css', (route) =>
        isAway && !first.includes(new URL(route.request().url()).pathname) ? route.abort() : route.fallback(),
    )
    await page.route(/\/build\/assets\/JarsPlace-.*\.js$/, (route) => (isAway ? route.abort() : route.fallback()))
    await page.goto('/bench')
    await expect(sheet(page)).toBeVisible()
    await write(page, 'zorblat flakes')
    const styles = (): Promise<number> => page.evaluate(() => document.styleSheets.length)
    await expect(row(page, 1)).toContainText('?')
    const before = await styles()
    await page.getByRole('link', { name: 'Jars' }).click()
    await expect(page.getByText('Jars cannot be opened just now.')).toBeVisible()
    await expect(sheet(page)).toBeVisible()
    isAway = false
    await expect.poll(styles, { timeout: 15_000 }).toBeGreaterThan(before)
    await page.getByRole('link', { name: 'Jars' }).click()
    await expect(page).toHaveURL(/\/jars/)
})
