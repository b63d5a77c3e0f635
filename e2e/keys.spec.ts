import { block, caret, expect, freshKitchen, openBench, row, seat, sheet, test, words, write } from './support'

/** Every key of the list that ? opens, one by one. */
freshKitchen()

test('Alt + arrows move the line, with Shift they write it twice', { tag: ['@key-move', '@key-double'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '1 egg\n2 cups oat flour\n1/4 cup water')
    await page.keyboard.press('Alt+ArrowUp')
    await expect(words(page, 2)).toHaveText('1/4 cup water')
    await page.keyboard.press('Alt+ArrowDown')
    await expect(words(page, 3)).toHaveText('1/4 cup water')
    await page.keyboard.press('Alt+Shift+ArrowDown')
    await expect(page.locator('.row__text')).toHaveText(['1 egg', '2 cups oat flour', '1/4 cup water', '1/4 cup water'])
    await page.keyboard.press('Control+Z')
    await page.keyboard.press('Control+A')
    await page.keyboard.press('Alt+Shift+ArrowDown')
    await expect(page.locator('.row__text')).toHaveCount(6)
})

test('Ctrl + Z takes back the last change, Ctrl + Shift + Z makes it again', { tag: ['@key-undo', '@key-redo'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '1 egg\n2 cups oat flour')
    await page.keyboard.press('Alt+ArrowUp')
    await expect(words(page, 1)).toHaveText('2 cups oat flour')
    await page.keyboard.press('Control+Z')
    await expect(words(page, 1)).toHaveText('1 egg')
    await page.keyboard.press('Control+Shift+Z')
    await expect(words(page, 1)).toHaveText('2 cups oat flour')
    // also with the hand elsewhere on the bench
    await page.locator('h2').first().click()
    await page.keyboard.press('Control+Z')
    await expect(words(page, 1)).toHaveText('1 egg')
})

test('Alt + O opens and closes what stands behind a line, Esc closes it', { tag: ['@key-open', '@key-leave'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '1/4 cup raisins')
    await expect(row(page, 1)).toContainText('Never: grape')
    await expect(block(page)).toBeHidden()
    await page.keyboard.press('Alt+O')
    await expect(block(page).getByRole('alert')).toContainText('no dose is known to be safe')
    await page.keyboard.press('Alt+O')
    await expect(block(page)).toBeHidden()
    await page.keyboard.press('Alt+O')
    await page.keyboard.press('Escape')
    await expect(block(page)).toBeHidden()
    await expect(sheet(page)).toBeFocused()
})

test('Alt + N and Alt + P go from finding to finding, round the sheet', { tag: ['@key-next', '@key-previous'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '1/4 cup raisins\n2 cups oat flour\n3 tbsp flurbl\n2 tbsp peanut butter')
    await expect(row(page, 4)).toContainText('Read the label')
    const behind = (words: string): Promise<void> => expect(page.getByRole('region', { name: `Behind “${words}”` })).toBeVisible()
    await page.keyboard.press('Control+Home')
    await page.keyboard.press('Alt+N')
    await behind('1/4 cup raisins')
    await page.keyboard.press('Alt+N')
    await behind('3 tbsp flurbl')
    await expect(page.locator('.row__more')).toHaveCount(1)
    await page.keyboard.press('Alt+N')
    await behind('2 tbsp peanut butter')
    await page.keyboard.press('Alt+N')
    await behind('1/4 cup raisins')
    await page.keyboard.press('Alt+P')
    await behind('2 tbsp peanut butter')
    await page.keyboard.press('Alt+P')
    await behind('3 tbsp flurbl')
})

test('Alt + M goes into the margin; the arrows walk there, Esc leaves it', { tag: ['@key-margin'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '2 cups oat flour\n1/4 cup raisins')
    await expect(row(page, 2)).toContainText('Never: grape')
    await page.keyboard.press('Alt+M')
    await expect(row(page, 2).getByRole('button', { name: /^How 38 g/ })).toBeFocused()
    await page.keyboard.press('ArrowRight')
    await expect(row(page, 2).getByRole('button', { name: /Never/ })).toBeFocused()
    await page.keyboard.press('Enter')
    await expect(block(page).getByRole('alert')).toContainText('no dose is known to be safe')
    await page.keyboard.press('ArrowUp')
    await expect(row(page, 1).getByRole('button', { name: /^How 192 g/ })).toBeFocused()
    await page.keyboard.press('Escape')
    await expect(sheet(page)).toBeFocused()
    await page.keyboard.type('!')
    await expect(words(page, 1)).toHaveText('2 cups oat flour!')
})

test('Ctrl + Space takes up the offered words; without it they stay out of the way', { tag: ['@key-offers'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '1 cup oat br')
    await page.keyboard.type('a')
    const offered = page.getByRole('listbox')
    await expect(offered.getByRole('option').first()).toContainText('oat bran')
    await page.keyboard.press('Enter')
    await expect(words(page, 1)).toHaveText('1 cup oat bra')
    await page.keyboard.press('Backspace')
    await page.keyboard.type('n')
    await page.keyboard.press('Backspace')
    await page.keyboard.press('Control+Space')
    await expect(offered).toBeVisible()
    await page.keyboard.press('Control+Space')
    await expect(offered.locator('[aria-selected]')).toContainText('oat bran')
    await page.keyboard.press('Enter')
    await expect(words(page, 1)).toHaveText('1 cup oat bran')
})

test('Ctrl + F finds words on the sheet, and puts others in their place', { tag: ['@key-find'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '2 cups oat flour\n1 cup oat bran\n1 egg')
    await page.keyboard.press('Control+F')
    const bar = page.getByRole('search', { name: 'Find on the sheet' })
    await bar.getByLabel('Find', { exact: true }).fill('oat')
    await expect(bar).toContainText('2 times')
    await bar.getByLabel('Put in its place').fill('rice')
    await bar.getByRole('button', { name: 'Replace all' }).click()
    await expect(words(page, 1)).toHaveText('2 cups rice flour')
    await expect(words(page, 2)).toHaveText('1 cup rice bran')
    await page.keyboard.press('Escape')
    await expect(bar).toBeHidden()
    await expect(sheet(page)).toBeFocused()
    await page.keyboard.press('Control+Z')
    await expect(words(page, 1)).toHaveText('2 cups oat flour')
})

test('Alt + W offers what may stand in; the arrows walk, Enter takes, Escape leaves', { tag: ['@key-swap'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '2 cups whole wheat flour\n1/2 cup raisins\n1/2 cup water')
    await expect(row(page, 2)).toContainText('Never: grape')
    await caret(page, 2)
    await page.keyboard.press('Alt+W')
    const offers = page.locator('.swap__take')
    await expect(offers.first()).toBeFocused()
    await page.keyboard.press('ArrowDown')
    await expect(offers.nth(1)).toBeFocused()
    await page.keyboard.press('ArrowUp')
    await expect(offers.first()).toBeFocused()
    await page.keyboard.press('Escape')
    await expect(offers).toHaveCount(0)
    await expect(words(page, 2)).toHaveText('1/2 cup raisins')
    await expect(sheet(page)).toBeFocused()
    await page.keyboard.press('Alt+W')
    await expect(offers.first()).toBeFocused()
    await page.keyboard.press('Enter')
    await expect(words(page, 2)).toHaveText(/blueberries/)
})

test('Alt + R opens the rescue of the whole recipe', { tag: ['@key-rescue'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '2 cups whole wheat flour\n1/2 cup raisins\n1/2 cup water')
    await page.keyboard.press('Alt+R')
    const panel = page.getByRole('region', { name: 'Keep the treat, lose the trouble' })
    await expect(panel).toContainText('blueberries')
    await page.keyboard.press('Escape')
    await expect(panel).toBeHidden()
    await expect(page.locator('.cm-content del')).toHaveCount(0)
})

test('Alt + D goes to the dogs at the table, Alt + C to the cut', { tag: ['@key-dogs', '@key-cut'] }, async ({ page }) => {
    await openBench(page)
    await sheet(page).focus()
    await page.keyboard.press('Alt+D')
    await expect(seat(page, 'Biscay')).toBeFocused()
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
    await sheet(page).focus()
    await page.keyboard.type('1 egg?')
    await expect(words(page, 1)).toHaveText('1 egg?')
    await expect(page.getByRole('dialog')).toBeHidden()
    await page.locator('h2').first().click()
    await page.keyboard.press('?')
    const dialog = page.getByRole('dialog')
    await expect(dialog).toContainText('Keys on the bench')
    // every key of the list has a test above
    await expect(dialog.locator('kbd')).toHaveText([
        'Alt + O',
        'Esc',
        'Alt + N',
        'Alt + P',
        'Alt + M',
        'Ctrl + Space',
        'Alt + ↑ ↓',
        'Alt + Shift + ↑ ↓',
        'Alt + W',
        'Alt + R',
        'Alt + D',
        'Alt + C',
        'Alt + S',
        'Ctrl + Z',
        'Ctrl + Shift + Z',
        'Ctrl + F',
        'Alt + U',
        'Alt + 1 … 7',
        'Alt + X',
        '?',
    ])
    // a dialog that has not taken the focus yet is not open for keys either
    await expect.poll(() => dialog.evaluate((it) => it.contains(document.activeElement))).toBe(true)
    await page.keyboard.press('Escape')
    await expect(dialog).toBeHidden()
})
