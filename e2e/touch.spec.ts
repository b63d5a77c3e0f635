import { devices } from '@playwright/test'
import { block, expect, expectAccessible, freshKitchen, openBench, row, sheet, test, words, write } from './support'

/** The sheet under a thumb: a phone, and no key but those of its own writing. */
freshKitchen()
test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, userAgent: devices['Pixel 7'].userAgent })

test('a recipe is written, opened, confirmed, moved, swapped and taken back by touch', async ({ page }) => {
    await openBench(page)
    await sheet(page).tap()
    await write(page, '2 cups barley flour\n1/2 cup raisins\n2 tbsp peanut butter\n1/2 cup water')
    await expect(row(page, 2)).toContainText('Never: grape')
    const [line, margin] = [await words(page, 2).boundingBox(), await row(page, 2).locator('.row__margin').boundingBox()]
    expect(margin?.y ?? 0).toBeGreaterThanOrEqual((line?.y ?? 0) + (line?.height ?? 0) - 1)
    await row(page, 3)
        .getByRole('button', { name: /Read the label/ })
        .tap()
    await block(page)
        .getByRole('button', { name: /I read the label/ })
        .tap()
    await expect(row(page, 3)).toContainText('Settled')
    await block(page).getByRole('button', { name: 'Move up' }).tap()
    await expect(words(page, 2)).toHaveText('2 tbsp peanut butter')
    await expect(page.getByRole('region', { name: 'Behind “2 tbsp peanut butter”' })).toBeVisible()
    await block(page).getByRole('button', { name: 'Close' }).tap()
    await page.getByRole('button', { name: 'Undo', exact: true }).tap()
    await expect(words(page, 2)).toHaveText('1/2 cup raisins')
    await row(page, 2)
        .getByRole('button', { name: /Never: grape/ })
        .tap()
    await block(page).getByRole('button', { name: 'Swap this line' }).tap()
    await block(page)
        .getByRole('button', { name: /½ cup blueberries/ })
        .tap()
    await expect(words(page, 2)).toContainText('blueberries')
    await page.getByRole('button', { name: 'Undo', exact: true }).tap()
    await expect(words(page, 2)).toHaveText('1/2 cup raisins')
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    await expectAccessible(page)
})

test('the whole recipe is copied, rescued and its words offered by touch', async ({ page, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write'])
    await openBench(page)
    await page.getByLabel('Title of the recipe').fill('Thumb rounds')
    await sheet(page).tap()
    await write(page, '2 cups barley flour\n1/2 cup raisins\n1/2 cup water\n1 tbsp carob po')
    await page.keyboard.type('w')
    await page.getByRole('option', { name: /carob powder/ }).tap()
    await expect(words(page, 4)).toHaveText('1 tbsp carob powder')
    await page.getByRole('button', { name: 'Copy the recipe' }).tap()
    await expect(page.getByText('The recipe is copied.')).toBeVisible()
    await expect
        .poll(() => page.evaluate(() => navigator.clipboard.readText()))
        .toBe('Thumb rounds\n\n2 cups barley flour\n1/2 cup raisins\n1/2 cup water\n1 tbsp carob powder')
    await page.getByRole('button', { name: 'Rescue this recipe' }).tap()
    await expect(page.locator('.cm-content ins').first()).toContainText('blueberries')
    await page.getByRole('button', { name: 'Take these changes' }).tap()
    await expect(page.locator('.found--never')).toHaveCount(0)
    await expect(page.locator('.cm-content del')).toHaveCount(0)
})

test('a row is dragged by its grip under a finger, and the page does not scroll away', async ({ page }) => {
    await openBench(page)
    await sheet(page).tap()
    await write(page, '1 egg\n2 cups oat flour\n1/4 cup water')
    await expect(row(page, 2)).toContainText('192 g')
    const grip = await row(page, 1).locator('.row__grip').boundingBox()
    const target = await row(page, 3).boundingBox()
    if (grip === null || target === null) throw new Error('Nothing to drag.')
    const touch = await page.context().newCDPSession(page)
    const at = (x: number, y: number): { touchPoints: { x: number; y: number }[] } => ({ touchPoints: [{ x, y }] })
    const [x, y] = [grip.x + grip.width / 2, grip.y + grip.height / 2]
    await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', ...at(x, y) })
    for (let step = 1; step <= 8; step++)
        await touch.send('Input.dispatchTouchEvent', { type: 'touchMove', ...at(x, y + ((target.y + target.height - 4 - y) * step) / 8) })
    await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
    await expect(page.locator('.row__text')).toHaveText(['2 cups oat flour', '1/4 cup water', '1 egg'])
})

test("words that the browser's own handles select are the selection of the sheet: copied, and written over", async ({ page, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write'])
    await openBench(page)
    await sheet(page).tap()
    await write(page, '2 cups oat flour\n1 egg\n1/4 cup water')
    await expect(row(page, 1)).toContainText('192 g')
    await expect(row(page, 3)).toContainText('59 g')
    // a long press and its handles belong to the browser; what they do is this
    await page.evaluate(() => {
        const [first, second] = [...document.querySelectorAll('.row__text')].map((one) => one.firstChild ?? one)
        if (first === undefined || second === undefined) throw new Error('No rows.')
        getSelection()?.setBaseAndExtent(first.nodeType === Node.TEXT_NODE ? first : (first.firstChild ?? first), 7, second, 5)
    })
    await page.getByRole('button', { name: 'Copy the recipe' }).tap()
    await expect(page.getByText('What is selected is copied.')).toBeVisible()
    await expect.poll(() => page.evaluate(() => navigator.clipboard.readText())).toBe('oat flour\n1 egg')
    await sheet(page).focus()
    await page.keyboard.insertText('rice flour')
    await expect(page.locator('.row__text')).toHaveText(['2 cups rice flour', '1/4 cup water'])
})

test('no row and no letter is lost that is typed while answers arrive', async ({ page }) => {
    await openBench(page)
    const rows = [
        '2 cups barley flour',
        '1/2 cup raisins',
        '2 tbsp peanut butter',
        '1/2 cup water',
        '1 egg',
        'For the frosting:',
        '100 g cream cheese',
    ]
    for (let round = 0; round < 3; round++) {
        await sheet(page).tap()
        for (const [number, line] of rows.entries()) {
            if (number > 0) await page.keyboard.press('Enter')
            await page.waitForTimeout((round * 17 + number * 11) % 60)
            if (round === 1) await page.keyboard.type(line)
            else await page.keyboard.insertText(line)
        }
        await expect(page.locator('.row__text')).toHaveText(rows)
        await page.getByRole('button', { name: 'New sheet' }).tap()
    }
})
