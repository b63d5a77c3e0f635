import { block, caret, expect, freshKitchen, key, openBench, row, seat, sheet, test, words, write } from './support'

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

test('Ctrl + , O opens and closes what stands behind a line, Esc closes it', { tag: ['@key-open', '@key-leave'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '1/4 cup raisins')
    await expect(row(page, 1)).toContainText('Never: grape')
    await expect(block(page)).toBeHidden()
    await key(page, 'o')
    await expect(block(page).getByRole('alert')).toContainText('no dose is known to be safe')
    await key(page, 'o')
    await expect(block(page)).toBeHidden()
    await key(page, 'o')
    await page.keyboard.press('Escape')
    await expect(block(page)).toBeHidden()
    await expect(sheet(page)).toBeFocused()
})

test('Ctrl + , N and P go from finding to finding, round the sheet', { tag: ['@key-next', '@key-previous'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '1/4 cup raisins\n2 cups oat flour\n3 tbsp flurbl\n2 tbsp peanut butter')
    await expect(row(page, 4)).toContainText('Read the label')
    const behind = (words: string): Promise<void> => expect(page.getByRole('region', { name: `Behind “${words}”` })).toBeVisible()
    await page.keyboard.press('Control+Home')
    await key(page, 'n')
    await behind('1/4 cup raisins')
    await key(page, 'n')
    await behind('3 tbsp flurbl')
    await expect(page.locator('.row__more')).toHaveCount(1)
    await key(page, 'n')
    await behind('2 tbsp peanut butter')
    await key(page, 'n')
    await behind('1/4 cup raisins')
    await key(page, 'p')
    await behind('2 tbsp peanut butter')
    await key(page, 'p')
    await behind('3 tbsp flurbl')
})

test('Ctrl + , M goes into the margin; the arrows walk there, Esc leaves it', { tag: ['@key-margin'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '2 cups oat flour\n1/4 cup raisins')
    await expect(row(page, 2)).toContainText('Never: grape')
    await key(page, 'm')
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

test('Ctrl + , F finds words on the sheet, and puts others in their place', { tag: ['@key-find'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '2 cups oat flour\n1 cup oat bran\n1 egg')
    await key(page, 'f')
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

test('Ctrl + , W offers what may stand in; the arrows walk, Enter takes, Escape leaves', { tag: ['@key-swap'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '2 cups whole wheat flour\n1/2 cup raisins\n1/2 cup water')
    await expect(row(page, 2)).toContainText('Never: grape')
    await caret(page, 2)
    await key(page, 'w')
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
    await key(page, 'w')
    await expect(offers.first()).toBeFocused()
    await page.keyboard.press('Enter')
    await expect(words(page, 2)).toHaveText(/blueberries/)
})

test('Ctrl + , R opens the rescue of the whole recipe', { tag: ['@key-rescue'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '2 cups whole wheat flour\n1/2 cup raisins\n1/2 cup water')
    await key(page, 'r')
    const panel = page.getByRole('region', { name: 'Keep the treat, lose the trouble' })
    await expect(panel).toContainText('blueberries')
    await page.keyboard.press('Escape')
    await expect(panel).toBeHidden()
    await expect(page.locator('.cm-content del')).toHaveCount(0)
})

test('Ctrl + , T goes to the dogs at the table, C to the cut; the letter is not typed', { tag: ['@key-table', '@key-cut'] }, async ({ page }) => {
    await openBench(page)
    await write(page, '1 egg')
    await key(page, 't')
    await expect(seat(page, 'Biscay')).toBeFocused()
    await key(page, 'c')
    await expect(page.getByRole('combobox', { name: 'Shape' })).toBeFocused()
    await expect(words(page, 1)).toHaveText('1 egg')
    // the key alone waits, says what there is, and lets go
    await sheet(page).focus()
    await page.keyboard.press('Control+,')
    await expect(page.getByText('the cut studio')).toBeVisible()
    await page.keyboard.press('Escape')
    await expect(page.getByText('the cut studio', { exact: true })).toBeHidden()
    await page.keyboard.press('End')
    await page.keyboard.type('t')
    await expect(words(page, 1)).toHaveText('1 eggt')
})

test('Ctrl + , E keeps the sheet on the shelf, once', { tag: ['@key-keep'] }, async ({ page }) => {
    await openBench(page)
    await page.getByRole('button', { name: 'New sheet' }).click()
    await page.getByLabel('Title of the recipe').fill('Kept by a key')
    await write(page, '2 cups oat flour')
    await key(page, 'e')
    await expect(page.getByText('on the shelf', { exact: true })).toBeVisible()
    await key(page, 'e')
    await page.waitForTimeout(300)
    const recipes = (await (await page.request.get('/api/recipes')).json()) as { title: string; text: string }[]
    expect(recipes.filter((one) => one.title === 'Kept by a key').map((one) => one.text)).toEqual(['2 cups oat flour'])
})

test(
    'Ctrl + , and a letter open the studio and every place',
    { tag: ['@key-studio', '@key-bench', '@key-dogs', '@key-cupboard', '@key-shelf', '@key-oven', '@key-jars', '@key-today'] },
    async ({ page }) => {
        await openBench(page)
        await key(page, 'u')
        await expect(page).toHaveURL(/\/studio/)
        for (const [letter, address] of [
            ['d', /\/dogs$/],
            ['s', /\/shelf$/],
            ['k', /\/cupboard\/labels$/],
            ['v', /\/oven$/],
            ['j', /\/jars$/],
            ['a', /\/today$/],
            ['b', /\/bench\/[0-9a-f-]{36}$/],
        ] as const) {
            await key(page, letter)
            await expect(page).toHaveURL(address)
        }
    },
)

test('Ctrl + , X opens the raid sheet from any place', { tag: ['@key-raid'] }, async ({ page }) => {
    for (const place of ['/bench', '/shelf', '/cupboard/rules']) {
        await page.goto(place)
        await expect(page.getByRole('button', { name: /It ate something/ })).toBeVisible()
        await key(page, 'x')
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
    await expect(dialog).toContainText('Keys that work here')
    // every key of the list has a test above
    await expect(dialog.locator('kbd')).toHaveText([
        ...['A', 'B', 'V', 'J', 'D', 'K', 'S', 'U', 'X', 'O'].map((letter) => `Ctrl + ,  ${letter}`),
        'Esc',
        ...['N', 'P', 'M'].map((letter) => `Ctrl + ,  ${letter}`),
        'Ctrl + Space',
        'Alt + ↑ ↓',
        'Alt + Shift + ↑ ↓',
        ...['W', 'R', 'T', 'C', 'E'].map((letter) => `Ctrl + ,  ${letter}`),
        'Ctrl + Z',
        'Ctrl + Shift + Z',
        'Ctrl + ,  F',
        '?',
    ])
    // a dialog that has not taken the focus yet is not open for keys either
    await expect.poll(() => dialog.evaluate((it) => it.contains(document.activeElement))).toBe(true)
    await page.keyboard.press('Escape')
    await expect(dialog).toBeHidden()
})
