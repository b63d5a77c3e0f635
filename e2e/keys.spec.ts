import { expect, freshKitchen, openBench, row, test, write } from './support'

/** Every key of the list that ? opens, one by one. */
freshKitchen()

const line = (number: number): string => `Foods, line ${number}`

test('Enter splits a line where the cursor is, Backspace at its start joins it again', { tag: ['@key-split', '@key-join'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '2 cups oat flour and 1 egg')
    const first = page.getByLabel(line(1), { exact: true })
    await first.evaluate((input: HTMLTextAreaElement) => {
        input.setSelectionRange(16, 16)
    })
    await first.press('Enter')
    await expect(first).toHaveValue('2 cups oat flour')
    await expect(page.getByLabel(line(2), { exact: true })).toHaveValue(' and 1 egg')
    await expect(page.getByLabel(line(2), { exact: true })).toBeFocused()
    await page.keyboard.press('Backspace')
    await expect(first).toHaveValue('2 cups oat flour and 1 egg')
    await expect(first).toBeFocused()
    await expect(page.getByLabel(line(2), { exact: true })).toHaveCount(0)
    expect(await first.evaluate((input: HTMLTextAreaElement) => input.selectionStart)).toBe(16)
})

test('the arrows go from line to line, and with Alt take the line along', { tag: ['@key-walk', '@key-move'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '1 egg\n2 cups oat flour\n1/4 cup water')
    await page.keyboard.press('ArrowUp')
    await expect(page.getByLabel(line(2), { exact: true })).toBeFocused()
    await page.keyboard.press('ArrowDown')
    await expect(page.getByLabel(line(3), { exact: true })).toBeFocused()
    await page.keyboard.press('Alt+ArrowUp')
    await expect(page.getByLabel(line(2), { exact: true })).toHaveValue('1/4 cup water')
    await expect(page.getByLabel(line(2), { exact: true })).toBeFocused()
    await page.keyboard.press('Alt+ArrowDown')
    await expect(page.getByLabel(line(3), { exact: true })).toHaveValue('1/4 cup water')
    await expect(page.getByLabel(line(2), { exact: true })).toHaveValue('2 cups oat flour')
})

test('Ctrl + Z takes back the last change of the sheet', { tag: ['@key-undo'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '1 egg\n2 cups oat flour')
    await page.keyboard.press('Alt+ArrowUp')
    await expect(page.getByLabel(line(1), { exact: true })).toHaveValue('2 cups oat flour')
    await page.keyboard.press('Control+Z')
    await expect(page.getByLabel(line(1), { exact: true })).toHaveValue('1 egg')
    await expect(page.getByLabel(line(2), { exact: true })).toHaveValue('2 cups oat flour')
})

test('Alt + F opens and closes what was found on a line', { tag: ['@key-find'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '1/4 cup raisins')
    await expect(row(page, 1)).toContainText('Never: grape')
    await expect(row(page, 1).getByRole('alert')).toBeHidden()
    await page.keyboard.press('Alt+F')
    await expect(row(page, 1).getByRole('alert')).toContainText('no dose is known to be safe')
    await page.keyboard.press('Alt+F')
    await expect(row(page, 1).getByRole('alert')).toBeHidden()
    await page.keyboard.press('Alt+F')
    await page.keyboard.press('Escape')
    await expect(row(page, 1).getByRole('alert')).toBeHidden()
})

test('Alt + W offers what may stand in; the arrows walk, Enter takes, Escape leaves', { tag: ['@key-swap'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '2 cups whole wheat flour\n1/2 cup raisins\n1/2 cup water')
    const second = page.getByLabel(line(2), { exact: true })
    await second.focus()
    await expect(row(page, 2)).toContainText('Never: grape')
    await page.keyboard.press('Alt+W')
    const offers = page.locator('.swap__take')
    await expect(offers.first()).toBeFocused()
    await page.keyboard.press('ArrowDown')
    await expect(offers.nth(1)).toBeFocused()
    await page.keyboard.press('ArrowUp')
    await expect(offers.first()).toBeFocused()
    await page.keyboard.press('Escape')
    await expect(offers).toHaveCount(0)
    await expect(second).toHaveValue('1/2 cup raisins')
    await expect(second).toBeFocused()
    await page.keyboard.press('Alt+W')
    await expect(offers.first()).toBeFocused()
    await page.keyboard.press('Enter')
    await expect(page.getByLabel(line(2), { exact: true })).toHaveValue(/blueberries/)
})

test('Alt + R opens the rescue of the whole recipe', { tag: ['@key-rescue'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '2 cups whole wheat flour\n1/2 cup raisins\n1/2 cup water')
    await page.keyboard.press('Alt+R')
    await expect(page.getByRole('dialog')).toContainText('Keep the treat, lose the trouble')
    await expect(page.getByRole('dialog')).toContainText('blueberries')
})

test('Alt + D goes to the dogs at the table, Alt + C to the cut', { tag: ['@key-dogs', '@key-cut'] }, async ({ page }) => {
    await openBench(page)
    await page.getByLabel(line(1), { exact: true }).focus()
    await page.keyboard.press('Alt+D')
    await expect(page.getByRole('button', { name: /^Biscay/ })).toBeFocused()
    await page.keyboard.press('Alt+C')
    await expect(page.getByLabel('Shape')).toBeFocused()
})

test('Alt + S keeps the sheet on the shelf, once', { tag: ['@key-keep'] }, async ({ page }) => {
    await openBench(page)
    await page.getByRole('button', { name: 'New sheet' }).click()
    await page.getByLabel('Title of the recipe').fill('Kept by a key')
    await write(page, '2 cups oat flour')
    await page.keyboard.press('Alt+S')
    await expect(page.getByText('on the shelf', { exact: true })).toBeVisible()
    await page.keyboard.press('Alt+S')
    await page.waitForTimeout(300)
    const recipes = (await (await page.request.get('/api/recipes')).json()) as { title: string; text: string }[]
    expect(recipes.filter((one) => one.title === 'Kept by a key').map((one) => one.text)).toEqual(['2 cups oat flour'])
})

test('Alt + U opens the studio, Alt + 1 to 7 the places', { tag: ['@key-studio', '@key-places'] }, async ({ page }) => {
    await openBench(page)
    await page.keyboard.press('Alt+U')
    await expect(page).toHaveURL(/\/studio/)
    for (const [key, address] of [
        ['2', /\/dogs$/],
        ['3', /\/shelf$/],
        ['4', /\/pantry$/],
        ['5', /\/rules$/],
        ['6', /\/settings$/],
        ['7', /\/chart$/],
        ['1', /\/bench$/],
    ] as const) {
        await page.keyboard.press(`Alt+${key}`)
        await expect(page).toHaveURL(address)
    }
})

test('Alt + X opens the raid sheet from any place', { tag: ['@key-raid'] }, async ({ page }) => {
    for (const place of ['/bench', '/shelf', '/rules']) {
        await page.goto(place)
        await expect(page.getByRole('button', { name: /It ate something/ })).toBeVisible()
        await page.keyboard.press('Alt+X')
        await expect(page.getByRole('dialog')).toContainText('Which dog?')
    }
})

test('? opens the list of keys, but not while somebody types it', { tag: ['@key-list'] }, async ({ page }) => {
    await openBench(page)
    const first = page.getByLabel(line(1), { exact: true })
    await first.focus()
    await page.keyboard.type('1 egg?')
    await expect(first).toHaveValue('1 egg?')
    await expect(page.getByRole('dialog')).toBeHidden()
    await page.locator('h2').first().click()
    await page.keyboard.press('?')
    const dialog = page.getByRole('dialog')
    await expect(dialog).toContainText('Keys on the bench')
    // every key of the list has a test above
    await expect(dialog.locator('kbd')).toHaveText([
        'Enter',
        'Backspace',
        '↑ ↓',
        'Alt + ↑ ↓',
        'Alt + F',
        'Alt + W',
        'Alt + R',
        'Alt + D',
        'Alt + C',
        'Alt + S',
        'Ctrl + Z',
        'Alt + U',
        'Alt + 1 … 7',
        'Alt + X',
        '?',
    ])
    await page.keyboard.press('Escape')
    await expect(dialog).toBeHidden()
})
