import { caret, expect, freshKitchen, key, openBench, ration, row, seat, sheet, test, words, write } from './support'
import type { Locator, Page } from '@playwright/test'

/** What findings/page.md has under Access and habit: keys, focus, what is announced, sizes under a finger, print. */
freshKitchen()

/** How often Tab is pressed until something has the focus. */
async function tabsTo(page: Page, there: Locator, most: number): Promise<number> {
    for (let n = 1; n <= most; n++) {
        await page.keyboard.press('Tab')
        if (await there.evaluate((it) => it === document.activeElement || it.contains(document.activeElement))) return n
    }

    return Infinity
}

test('the first line is within eight stops of Tab, or two by the way over', async ({ page }) => {
    await openBench(page)
    expect(await tabsTo(page, sheet(page), 8)).toBeLessThanOrEqual(8)
    await page.goto('/bench')
    await expect(seat(page, 'Biscay')).toBeVisible()
    await page.keyboard.press('Tab')
    await expect(page.getByRole('link', { name: 'Skip to the sheet' })).toBeFocused()
    await page.keyboard.press('Enter')
    await expect(sheet(page)).toBeFocused()
})

test('a row of doors is one stop, and the arrows go along it', async ({ page }) => {
    await openBench(page)
    await seat(page, 'Biscay').focus()
    await page.keyboard.press('ArrowRight')
    await expect(seat(page, 'Quill')).toBeFocused()
    await page.keyboard.press('End')
    await expect(page.getByRole('link', { name: 'Add a dog' })).toBeFocused()
    await page.keyboard.press('ArrowRight')
    await expect(seat(page, 'Biscay')).toBeFocused()
    await page.keyboard.press('ArrowRight')
    await page.keyboard.press('Tab')
    await page.keyboard.press('Shift+Tab')
    await expect(seat(page, 'Quill')).toBeFocused()
    const places = page.getByRole('navigation', { name: 'Places' })
    await places.getByRole('link', { name: 'Bench' }).focus()
    await page.keyboard.press('ArrowRight')
    await expect(places.getByRole('link', { name: 'Oven' })).toBeFocused()
    await page.keyboard.press('ArrowRight')
    await expect(places.getByRole('link', { name: 'Jars' })).toBeFocused()
    await page.keyboard.press('ArrowRight')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('heading', { name: 'The dogs' })).toBeVisible()
})

test('the dog form is gone through in few stops, and Enter in a field goes on without sending', async ({ page }) => {
    await page.goto('/dogs/new')
    const add = page.getByRole('button', { name: 'Add to the kitchen' })
    await page.getByLabel('Name', { exact: true }).focus()
    expect(await tabsTo(page, add, 20)).toBeLessThanOrEqual(14)
    await page.getByLabel('Name', { exact: true }).fill('Enter')
    await page.keyboard.press('Enter')
    await expect(page.getByLabel('Weight', { exact: true })).toBeFocused()
    await expect(page).toHaveURL(/\/dogs\/new$/)
})

test('the main acts by keys alone: a dog, a recipe, a finding, a cut, the shelf, its card', async ({ page }) => {
    await openBench(page)
    const keys = page.keyboard
    await key(page, 'd')
    await expect(page.getByRole('heading', { name: 'The dogs' })).toBeVisible()
    await page.getByRole('link', { name: 'Add a dog' }).focus()
    await keys.press('Enter')
    await expect(page.getByLabel('Name', { exact: true })).toBeVisible()
    await page.getByLabel('Name', { exact: true }).focus()
    await keys.type('Keyes')
    await keys.press('Enter')
    await keys.type('12')
    await keys.press('Enter')
    for (let n = 0; n < 3 && !(await page.getByLabel(/Age, or born/).evaluate((it) => it === document.activeElement)); n++) await keys.press('Tab')
    await keys.type('3 years')
    await keys.press('Enter')
    await page.getByRole('button', { name: 'Add to the kitchen' }).focus()
    await keys.press('Enter')
    await expect(seat(page, 'Keyes')).toHaveAttribute('aria-pressed', 'true')
    await page.keyboard.press('Tab')
    await page.getByRole('link', { name: 'Skip to the sheet' }).focus()
    await keys.press('Enter')
    await keys.type('200 g oat flour')
    await keys.press('Enter')
    await keys.type('1/4 cup raisins')
    await keys.press('Enter')
    await keys.type('100 g water')
    await expect(row(page, 2)).toContainText('Never')
    // the answer to the last row may still be on its way, and takes the place of the one that was stepped through
    await expect(async () => {
        await key(page, 'n')
        await expect(page.getByRole('alert').filter({ hasText: 'no dose is known to be safe' })).toBeVisible({ timeout: 1_500 })
    }).toPass()
    await keys.press('Escape')
    await key(page, 'w')
    await expect(page.locator('.swap__take').first()).toBeFocused()
    await keys.press('Enter')
    await expect(row(page, 2)).not.toContainText('Never')
    await key(page, 'c')
    await expect(page.locator('#cut-shape')).toBeFocused()
    await page.getByRole('slider', { name: 'Drag: across' }).focus()
    await keys.press('ArrowRight')
    await expect(page.getByLabel('across, mm')).toHaveValue('26')
    await key(page, 't')
    await keys.press('ArrowRight')
    await keys.press('Space')
    await key(page, 'e')
    await expect(page.locator('.sheet__kept')).toContainText('on the shelf', { timeout: 10_000 })
    await key(page, 's')
    await expect(page.getByRole('heading', { name: 'The shelf' })).toBeVisible()
})

test('focus is where the hand was after a dialog, a menu, a block, and on the field that was refused', async ({ page }) => {
    await openBench(page)
    await write(page, '1/4 cup raisins')
    await expect(row(page, 1)).toContainText('Never')
    for (const name of ['It ate something', 'Keys that work here', 'Bring in', 'Units']) {
        const door = page.getByRole('button', { name, exact: true })
        await door.focus()
        await page.keyboard.press('Enter')
        await page.waitForTimeout(300)
        await page.keyboard.press('Escape')
        await expect(door, name).toBeFocused()
    }
    await caret(page, 1)
    await key(page, 'o')
    await page.keyboard.press('Escape')
    await expect(sheet(page)).toBeFocused()
    await page.goto('/dogs/new')
    await page.getByLabel('Name', { exact: true }).fill('Heavy')
    await page.getByLabel('Weight', { exact: true }).fill('900')
    await page.getByRole('button', { name: 'Add to the kitchen' }).click()
    await expect(page.getByLabel('Weight', { exact: true })).toBeFocused()
    // said once, in words of the kitchen
    const said = page.getByText('A dog weighs from 0.3 to 120 kg.')
    await expect(said).toHaveCount(1)
    await expect(page.getByRole('main')).not.toContainText(/required|invalid|must be a|field/i)
})

test('rations, the count and the doses of a raid are announced', async ({ page }) => {
    await openBench(page)
    await write(page, '200 g oat flour\n100 g water')
    await expect(ration(page, 'Bosun').locator('[aria-live=polite]')).toContainText(/a day/)
    const count = page.locator('.piece [aria-live=polite]').filter({ hasText: 'pieces' })
    const before = await count.textContent()
    await page.getByLabel('across, mm').fill('40')
    await page.keyboard.press('Enter')
    await expect(count).not.toHaveText(before ?? '')
    await key(page, 'x')
    const dialog = page.getByRole('dialog')
    await dialog.getByRole('button', { name: /Ferris/ }).click()
    const announced = dialog.getByRole('status')
    await expect(announced).toHaveText('')
    await dialog.getByLabel('What and how much, one a line').fill('100 g dark chocolate')
    await dialog.getByRole('button', { name: 'Count it' }).click()
    await expect(announced).toContainText('mg/kg')
})

test('what a finger takes hold of is large enough, and everything has a name on a phone', async ({ browser, baseURL }) => {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, reducedMotion: 'reduce', baseURL })
    const page = await context.newPage()
    await openBench(page)
    await write(page, '200 g oat flour\n100 g water')
    await expect(ration(page, 'Bosun')).toBeVisible()
    for (const slider of await page.locator('.ruler [role=slider]').all()) {
        const box = await slider.boundingBox()
        expect(Math.min(box?.width ?? 0, box?.height ?? 0)).toBeGreaterThanOrEqual(24)
    }
    const small = await page.locator('button:visible, a[href]:visible').evaluateAll((all) =>
        all
            .filter((it) => {
                const box = it.getBoundingClientRect()
                const name = (it.getAttribute('aria-label') ?? it.textContent ?? '').trim()

                return it.closest('p, .skip') === null && (Math.min(box.width, box.height) < 24 || name === '')
            })
            .map((it) => it.outerHTML.slice(0, 120)),
    )
    expect(small).toEqual([])
    await context.close()
})

test('forced colours leave every state to be told', async ({ browser, baseURL }) => {
    const context = await browser.newContext({ forcedColors: 'active', reducedMotion: 'reduce', baseURL })
    const page = await context.newPage()
    await openBench(page)
    const style = (name: string): Promise<string> => seat(page, name).evaluate((it) => getComputedStyle(it).borderStyle)
    expect(await style('Biscay')).not.toBe(await style('Tuppence'))
    await write(page, '200 g oat flour\n1/4 cup raisins')
    await expect(row(page, 2)).toContainText('Never')
    await expect(page.getByRole('button', { name: 'grams' })).toHaveCSS('forced-color-adjust', 'none')
    await context.close()
})

test('the raid sheet is printed alone, and the bench without its tools', async ({ page }) => {
    await openBench(page)
    await write(page, '200 g oat flour\n100 g water')
    await expect(ration(page, 'Bosun')).toBeVisible()
    await page.emulateMedia({ media: 'print' })
    for (const tool of ['Undo', 'Bring in', 'New sheet', 'It ate something', 'Units'])
        await expect(page.getByRole('button', { name: tool, exact: true })).toBeHidden()
    await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden()
    await expect(words(page, 1)).toBeVisible()
    await page.emulateMedia({ media: 'screen' })
    await key(page, 'x')
    const dialog = page.getByRole('dialog')
    await dialog.getByRole('button', { name: /Ferris/ }).click()
    await dialog.getByLabel('What and how much, one a line').fill('100 g dark chocolate')
    await dialog.getByRole('button', { name: 'Count it' }).click()
    await expect(dialog).toContainText('mg/kg')
    await page.emulateMedia({ media: 'print' })
    await expect(words(page, 1)).toBeHidden()
    await expect(dialog.getByRole('region', { name: 'To read out to the vet' })).toBeVisible()
    await page.emulateMedia({ media: null })
})

test("no key of ours is one of a browser's or types a letter", async ({ page }) => {
    await openBench(page)
    await write(page, 'oat')
    const url = page.url()
    for (const pressed of ['Alt+d', 'Alt+f', 'Alt+1', 'Alt+2']) await page.keyboard.press(pressed)
    expect(page.url()).toBe(url)
    await expect(page.getByRole('dialog')).toBeHidden()
    await page.keyboard.press('?')
    await expect(words(page, 1)).toHaveText('oat?')
})
