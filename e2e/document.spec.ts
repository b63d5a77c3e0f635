import { block, caret, choose, expect, expectAccessible, freshKitchen, key, openBench, ration, row, sheet, test, words, write } from './support'

/** The sheet as a document: what anyone expects of something to write on, by keys and by hand. */
freshKitchen()

const RECIPE = '2 cups oat flour\n1 egg\n1/4 cup water\nMethod\nMix and bake at 180 °C for 20 minutes.'

test('lines are selected across, copied whole, and put elsewhere', async ({ page, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write'])
    await openBench(page)
    await write(page, RECIPE)
    await expect(row(page, 1)).toContainText('192 g')
    await page.keyboard.press('Control+A')
    await page.keyboard.press('Control+C')
    await expect.poll(() => page.evaluate(() => navigator.clipboard.readText())).toBe(RECIPE)
    await page.keyboard.press('Control+Home')
    await page.keyboard.press('Shift+ArrowDown')
    await page.keyboard.press('Shift+ArrowDown')
    await page.keyboard.press('Control+X')
    await expect(page.locator('.row__text').first()).toHaveText('1/4 cup water')
    await page.keyboard.press('End')
    await page.keyboard.press('Enter')
    await page.keyboard.press('Control+V')
    await expect(page.locator('.row__text')).toHaveText([
        '1/4 cup water',
        '2 cups oat flour',
        '1 egg',
        'Method',
        'Mix and bake at 180 °C for 20 minutes.',
    ])
    await expect(row(page, 2)).toContainText('192 g')
})

test('typing is taken back by stretches, step by step, through words and sayings alike', async ({ page }) => {
    await openBench(page)
    await sheet(page).focus()
    await page.keyboard.type('2 cups oat flour')
    await page.waitForTimeout(700)
    await page.keyboard.type(', sifted')
    await page.waitForTimeout(700)
    await page.getByLabel('across, mm').fill('40')
    await page.waitForTimeout(700)
    await page.getByLabel('Title of the recipe').fill('Rounds')
    await page.waitForTimeout(700)
    const undo = page.getByRole('button', { name: 'Undo', exact: true })
    await undo.click()
    await expect(page.getByLabel('Title of the recipe')).toHaveValue('')
    await undo.click()
    await expect(page.getByLabel('across, mm')).toHaveValue('25')
    // a pause always ends a stretch; a machine that is busy may make one of its own between two keys
    let steps = 2
    const back = async (until: string): Promise<void> => {
        for (let before = '2 cups oat flour, sifted'; before !== until;) {
            await undo.click()
            steps++
            const now =
                (await words(page, 1)
                    .textContent({ timeout: 2_000 })
                    .catch(() => '')) ?? ''
            expect(before.startsWith(now) && now.startsWith(until), `“${now}” on the way from “${before}” to “${until}”`).toBe(true)
            before = now
        }
    }
    await back('2 cups oat flour')
    while (await undo.isEnabled()) {
        await undo.click()
        steps++
    }
    await expect(sheet(page).locator('.row__text')).toHaveCount(0)
    await expect(undo).toBeDisabled()
    for (let step = 0; step < steps; step++) await page.getByRole('button', { name: 'Redo' }).click()
    await expect(words(page, 1)).toHaveText('2 cups oat flour, sifted')
    await expect(page.getByLabel('Title of the recipe')).toHaveValue('Rounds')
    await expect(page.getByLabel('across, mm')).toHaveValue('40')
})

test('each sheet has its own history, which survives a reload; none touches another', async ({ page }) => {
    await openBench(page)
    await page.getByLabel('Title of the recipe').fill('First')
    await write(page, '1 egg')
    await page.waitForTimeout(700)
    await page.keyboard.press('Enter')
    await page.keyboard.insertText('2 cups oat flour')
    await page.getByRole('button', { name: 'New sheet' }).click()
    await page.getByLabel('Title of the recipe').fill('Second')
    await write(page, '1 cup rice flour')
    await page.waitForTimeout(700)
    await page.reload()
    await expect(page.getByLabel('Title of the recipe')).toHaveValue('Second')
    const undo = page.getByRole('button', { name: 'Undo', exact: true })
    // after a reload the sheet is there a moment before its history
    await expect(undo).toBeEnabled()
    while (await undo.isEnabled()) await undo.click()
    await expect(sheet(page).locator('.row__text')).toHaveCount(0)
    const papers = page.getByRole('navigation', { name: 'Sheets on the bench' })
    await papers.getByRole('button', { name: 'First', exact: true }).click()
    await expect(page.locator('.row__text')).toHaveText(['1 egg', '2 cups oat flour'])
    await expect(row(page, 2)).toContainText('192 g')
    await undo.click()
    await expect(page.locator('.row__text')).toHaveText(['1 egg'])
    await page.reload()
    await page.getByRole('button', { name: 'Redo' }).click()
    await expect(page.locator('.row__text')).toHaveText(['1 egg', '2 cups oat flour'])
})

test('a sheet that is put away is brought back, with everything on it', async ({ page }) => {
    await openBench(page)
    await page.getByLabel('Title of the recipe').fill('Kept in hand')
    await write(page, '1 egg')
    await page.getByRole('button', { name: 'New sheet' }).click()
    await write(page, '1 cup rice flour')
    const papers = page.getByRole('navigation', { name: 'Sheets on the bench' })
    await papers.getByRole('button', { name: 'Put “Kept in hand” away' }).click()
    await expect(papers.getByRole('button', { name: 'Kept in hand', exact: true })).toHaveCount(0)
    await papers.getByRole('button', { name: 'Bring it back' }).click()
    await expect(page.getByLabel('Title of the recipe')).toHaveValue('Kept in hand')
    await expect(words(page, 1)).toHaveText('1 egg')
})

test('an answer that comes late neither moves the caret nor loses a letter, and stays on its rows', async ({ page }) => {
    await openBench(page)
    await write(page, '1/4 cup raisins\n2 cups oat flour')
    await expect(row(page, 1)).toContainText('Never: grape')
    await page.route('**/api/ask/formulate', async (route) => {
        await new Promise((resolve) => setTimeout(resolve, 500))
        await route.continue().catch(() => undefined)
    })
    await page.keyboard.press('Control+Home')
    await page.keyboard.insertText('1 egg')
    await page.keyboard.press('Enter')
    // while the answer is on its way the finding stands on its own words
    await expect(row(page, 2)).toContainText('Never: grape')
    await expect(row(page, 1)).not.toContainText('Never')
    for (const letter of '1 cup water, ') {
        await page.keyboard.type(letter)
        await page.waitForTimeout(45)
    }
    await expect(words(page, 2)).toHaveText('1 cup water, 1/4 cup raisins')
    await expect(page.getByText('Not checked yet.')).toBeVisible()
    await expect(row(page, 3)).toContainText('192 g')
    await expect(page.getByText('Not checked yet.')).toBeHidden()
    await page.keyboard.type('x')
    await expect(words(page, 2)).toHaveText('1 cup water, x1/4 cup raisins')
    await expect(sheet(page)).toBeFocused()
})

test('what is composed by an input method is left alone until it is done', async ({ page }) => {
    await openBench(page)
    await write(page, '2 cups oat flour\n1 ')
    const input = await page.context().newCDPSession(page)
    for (const text of ['e', 'eg', 'egg']) {
        await input.send('Input.imeSetComposition', { text, selectionStart: text.length, selectionEnd: text.length })
        await page.waitForTimeout(120)
    }
    await input.send('Input.insertText', { text: 'egg' })
    await expect(words(page, 2)).toHaveText('1 egg')
    await expect(row(page, 2)).toContainText('50 g')
})

test('a finding is marked on its words, not by colour alone, and only one block is open', async ({ page }) => {
    await openBench(page)
    await write(page, 'Mix 1½ cups raisins with 2 cups oat flour and one egg until smooth.\n3 tbsp flurbl\n2 tbsp peanut butter')
    await expect(page.locator('.found--never')).toHaveText(['raisins'])
    await expect(page.locator('.found--unknown')).toHaveText(['flurbl'])
    await expect(page.locator('.found--check-label')).toHaveText(['peanut butter'])
    const styles = await page
        .locator('.found--never, .found--unknown, .found--check-label')
        .evaluateAll((all) => all.map((one) => `${getComputedStyle(one).textDecorationStyle} ${getComputedStyle(one).textDecorationThickness}`))
    expect(new Set(styles).size).toBe(3)
    await page.locator('.row__found').first().click()
    await expect(block(page)).toContainText('no dose is known to be safe')
    await row(page, 2)
        .getByRole('button', { name: /Not read/ })
        .click()
    await expect(block(page)).toHaveCount(1)
    await expect(block(page)).toContainText('This line was not recognised')
    await expectAccessible(page)
})

test('a number that can be meant in two ways is asked about, and answered in a tap', async ({ page }) => {
    await openBench(page)
    await write(page, '11/2 cups oat flour\n1 egg')
    await expect(row(page, 1)).toContainText('528 g')
    await row(page, 1)
        .getByRole('button', { name: /5\.5 or 1 1\/2/ })
        .click()
    await expect(block(page)).toContainText('as it is read now')
    await block(page).getByRole('button', { name: '1 1/2', exact: true }).click()
    await expect(words(page, 1)).toHaveText('1 1/2 cups oat flour')
    await expect(row(page, 1)).toContainText('144 g')
    await expect(page.locator('.found--unsure')).toHaveCount(0)
    await page.keyboard.press('Control+Z')
    await expect(words(page, 1)).toHaveText('11/2 cups oat flour')
})

test("a word nobody knows leads on: a search through all foods, a food of one's own, out with it", async ({ page }) => {
    await openBench(page)
    await write(page, '2 cups oat flour\n3 tbsp flurbl\n1 egg')
    await row(page, 2)
        .getByRole('button', { name: /Not read/ })
        .click()
    await block(page).getByRole('combobox', { name: 'Look through all foods' }).fill('carob')
    await page.getByRole('option', { name: /carob/ }).first().click()
    await expect(row(page, 2)).not.toContainText('Not read')
    await caret(page, 2)
    await page.keyboard.press('End')
    await page.keyboard.press('Enter')
    await page.keyboard.insertText('3 tbsp wumble')
    await row(page, 3)
        .getByRole('button', { name: /Not read/ })
        .click()
    await block(page).getByRole('button', { name: 'Leave it out' }).click()
    await expect(page.locator('.row__text')).toHaveText(['2 cups oat flour', '3 tbsp flurbl', '1 egg'])
    await page.keyboard.press('Control+Z')
    await row(page, 3)
        .getByRole('button', { name: /Not read/ })
        .click()
    await block(page).getByRole('button', { name: 'Make it our own food' }).click()
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('wumble')
})

test('a page that is pasted goes the way of "Bring in"; a list that was copied from one stays words', async ({ page }) => {
    await openBench(page)
    const paste = (html: string, plain: string): Promise<void> =>
        sheet(page).evaluate(
            (element, { html, plain }) => {
                const data = new DataTransfer()
                data.setData('text/html', html)
                data.setData('text/plain', plain)
                element.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))
            },
            { html, plain },
        )
    await sheet(page).focus()
    await paste('<ul><li>2 cups oat flour</li><li>1 egg</li></ul>', '2 cups oat flour\n1 egg')
    await expect(page.locator('.row__text')).toHaveText(['2 cups oat flour', '1 egg'])
    await paste(
        '<html><body><nav>Home Shop</nav><h1>Harbour bites</h1><h2>Ingredients</h2><ul><li>1 cup rice flour</li><li>1 egg</li></ul><h2>Method</h2><p>Mix.</p><footer>Buy our bags</footer></body></html>',
        'Home Shop\nHarbour bites\nIngredients\n1 cup rice flour\n1 egg\nMethod\nMix.\nBuy our bags',
    )
    const dialog = page.getByRole('dialog')
    await expect(dialog).toContainText('One recipe was found.')
    await dialog.getByRole('button', { name: 'Lay it on the bench' }).click()
    await expect(page.getByLabel('Title of the recipe')).toHaveValue('Harbour bites')
    await expect(page.locator('.row__text').first()).toHaveText('1 cup rice flour')
    await page.getByRole('navigation', { name: 'Sheets on the bench' }).getByRole('button', { name: 'Untitled sheet', exact: true }).click()
    await expect(page.locator('.row__text')).toHaveText(['2 cups oat flour', '1 egg'])
})

test('a picture, control characters, one row of 20,000 letters and 201 lines are told of and kept', async ({ page }) => {
    await openBench(page)
    await sheet(page).focus()
    await sheet(page).evaluate((element) => {
        const data = new DataTransfer()
        data.items.add(new File([new Uint8Array([137, 80, 78, 71])], 'card.png', { type: 'image/png' }))
        element.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))
    })
    await expect(page.getByText('A picture cannot be read here')).toBeVisible()
    await write(page, '2 cups\u0007 oat flour')
    await expect(row(page, 1)).toContainText('192 g')
    await page.keyboard.press('Control+A')
    await page.keyboard.insertText('x'.repeat(20_000))
    await expect(page.getByText('At most 20000 characters.')).toBeHidden()
    await page.keyboard.insertText('y')
    await expect(page.getByText('At most 20000 characters.')).toBeVisible()
    await page.keyboard.press('Control+A')
    await page.keyboard.insertText(Array.from({ length: 201 }, (_, n) => `${n + 1} g oat flour`).join('\n'))
    await expect(page.getByText(/200 lines/)).toBeVisible()
    await page.keyboard.press('Control+End')
    await expect(page.locator('.row__text').last()).toHaveText('201 g oat flour')
    await page.reload()
    await expect(page.getByText(/200 lines/)).toBeVisible()
    await page.getByRole('button', { name: 'Undo', exact: true }).click()
    await expect(page.locator('.row__text')).toHaveCount(1)
})

test('a row is dragged by its grip, and to another part', async ({ page }) => {
    await openBench(page)
    await write(page, 'For the cake:\n250 g oat flour\n2 eggs\nFor the frosting:\n200 g cream cheese')
    await expect(page.getByRole('region', { name: 'How the frosting is made' })).toBeVisible()
    const grip = await row(page, 3).locator('.row__grip').boundingBox()
    const target = await row(page, 5).boundingBox()
    if (grip === null || target === null) throw new Error('Nothing to drag.')
    await page.mouse.move(grip.x + 8, grip.y + 20)
    await page.mouse.down()
    await page.mouse.move(grip.x + 8, grip.y + 60, { steps: 3 })
    await page.mouse.move(target.x + 200, target.y + target.height - 4, { steps: 6 })
    await page.mouse.up()
    await expect(page.locator('.row__text')).toHaveText(['For the cake:', '250 g oat flour', 'For the frosting:', '200 g cream cheese', '2 eggs'])
    await page.keyboard.press('Control+Z')
    await row(page, 3)
        .getByRole('button', { name: /^How 100 g/ })
        .click()
    await choose(page, 'Move to', 'For the frosting')
    await expect(page.locator('.row__text')).toHaveText(['For the cake:', '250 g oat flour', 'For the frosting:', '200 g cream cheese', '2 eggs'])
})

test('a whole act by keys alone: write, read the finding, swap, rescue, confirm, undo', async ({ page }) => {
    await openBench(page)
    await sheet(page).focus()
    await page.keyboard.type('2 cups barley flour\n1/2 cup raisins\n2 tbsp peanut butter\n1/2 cup water')
    await expect(row(page, 2)).toContainText('Never: grape')
    await page.keyboard.press('Control+Home')
    await key(page, 'n')
    await expect(block(page)).toContainText('no dose is known to be safe')
    await key(page, 'w')
    await expect(block(page).locator('.swap__take').first()).toBeFocused()
    await page.keyboard.press('Enter')
    await expect(words(page, 2)).toContainText('blueberries')
    await expect(sheet(page)).toBeFocused()
    await key(page, 'n')
    await expect(page.getByRole('region', { name: 'Behind “2 tbsp peanut butter”' })).toBeVisible()
    await page.keyboard.press('Tab')
    await expect(block(page).getByRole('button', { name: /I read the label/ })).toBeFocused()
    await page.keyboard.press('Enter')
    await expect(row(page, 3)).toContainText('Settled')
    await expect(block(page).getByRole('button', { name: 'Take that back' })).toBeFocused()
    await page.keyboard.press('Escape')
    await expect(sheet(page)).toBeFocused()
    await expect(ration(page, 'Bosun')).toContainText('a day')
    await page.keyboard.press('Control+Z')
    await expect(words(page, 2)).toHaveText('1/2 cup raisins')
    await key(page, 'r')
    const panel = page.getByRole('region', { name: 'Keep the treat, lose the trouble' })
    await expect(panel.getByRole('button', { name: 'Take these changes' })).toBeVisible()
    for (
        let presses = 0;
        presses < 12 && !(await panel.getByRole('button', { name: 'Take these changes' }).evaluate((one) => one === document.activeElement));
        presses++
    )
        await page.keyboard.press('Tab')
    await page.keyboard.press('Enter')
    await expect(page.locator('.found--never')).toHaveCount(0)
    await page.keyboard.press('Control+Z')
    await expect(words(page, 2)).toHaveText('1/2 cup raisins')
})

test('letters put in the place of a selection across rows are all there, and the caret behind them', async ({ page }) => {
    await openBench(page)
    for (const [keys, left] of [
        [
            ['Control+Home', 'ArrowRight', 'ArrowRight', 'Shift+ArrowDown', 'Shift+End'],
            ['2 xy', '1/4 cup water'],
        ],
        [['Control+Home', 'End', 'Shift+ArrowDown', 'Shift+ArrowDown', 'Shift+ArrowLeft'], ['2 cups oat flourxyr']],
        [
            ['Control+Home', 'Shift+ArrowDown'],
            ['xy1 egg', '1/4 cup water'],
        ],
        [['Control+A'], ['xy']],
    ] as const) {
        await page.keyboard.press('Control+A')
        await page.keyboard.press('Delete')
        await write(page, '2 cups oat flour\n1 egg\n1/4 cup water')
        await expect(row(page, 1)).toContainText('192 g')
        for (const key of keys) await page.keyboard.press(key)
        await page.keyboard.type('xy')
        await expect(page.locator('.row__text')).toHaveText([...left])
    }
})

test('random keys do to the sheet what they do to any text, while answers arrive', async ({ page }) => {
    await openBench(page)
    await page.evaluate(() => {
        const plain = document.createElement('textarea')
        plain.id = 'plain'
        plain.style.cssText = 'position:fixed;bottom:0;left:0;width:1000px;height:40px;white-space:pre;font-size:6px'
        document.body.append(plain)
        // Home and End go by what is seen as a line: neither may wrap
        const style = new CSSStyleSheet()
        style.replaceSync('.cm-lineWrapping, .row__text { white-space: pre !important; }')
        document.adoptedStyleSheets = [...document.adoptedStyleSheets, style]
    })
    let state = 20261126
    const next = (below: number): number => {
        state = (state * 1103515245 + 12345) % 2147483648

        return Math.floor((state / 2147483648) * below)
    }
    const KEYS = [
        'Enter',
        'Enter',
        'Backspace',
        'Backspace',
        'Delete',
        'ArrowLeft',
        'ArrowRight',
        'Home',
        'End',
        'Shift+ArrowLeft',
        'Shift+ArrowRight',
        'Shift+Home',
        'Shift+End',
        'Control+Home',
        'Control+End',
    ]
    const LINES = ['2 cups oats', '9 raisins', 'x', '½ 🥕 carrot', 'For it:', '3 g flurbl']
    for (let round = 0; round < 5; round++) {
        const acts = Array.from({ length: 45 }, (): { key: string } | { text: string } =>
            next(3) === 0 ? { text: LINES[next(LINES.length)] ?? '' } : { key: KEYS[next(KEYS.length)] ?? '' },
        )
        const does = async (): Promise<void> => {
            await page.keyboard.press('Control+A')
            await page.keyboard.press('Delete')
            for (const act of acts) {
                if ('key' in act) await page.keyboard.press(act.key)
                else await page.keyboard.insertText(act.text)
                if (next(4) === 0) await page.waitForTimeout(next(60))
            }
        }
        await page.locator('#plain').focus()
        await does()
        const wanted = await page.locator('#plain').inputValue()
        await sheet(page).focus()
        await does()
        const lines = await page
            .locator('.cm-content > .cm-line')
            .evaluateAll((all) => all.map((one) => one.querySelector('.row__text')?.textContent ?? ''))
        expect(lines.join('\n'), JSON.stringify(acts)).toBe(wanted)
    }
})

test('a row that is written from right to left runs so, and its margin stays in the column', async ({ page }) => {
    await openBench(page)
    await write(page, '2 cups oat flour\n2 כוסות קמח\n1 egg')
    await expect(row(page, 1)).toContainText('192 g')
    await expect(words(page, 2)).toHaveAttribute('dir', 'rtl')
    const [plain, turned] = [await row(page, 1).locator('.row__margin').boundingBox(), await row(page, 2).locator('.row__margin').boundingBox()]
    expect(Math.round(turned?.x ?? 0)).toBe(Math.round(plain?.x ?? 1))
    await caret(page, 3)
    await page.keyboard.press('ArrowUp')
    await page.keyboard.press('Home')
    await page.keyboard.insertText('x')
    await expect(words(page, 2)).toHaveText('x2 כוסות קמח')
})

test('a swap that was worked out for other words is not taken over these', async ({ page }) => {
    await openBench(page)
    await write(page, '2 cups barley flour\n1/2 cup raisins')
    await expect(row(page, 2)).toContainText('Never: grape')
    await key(page, 'w')
    await expect(page.locator('.swap__take').first()).toBeVisible()
    await expect(page.locator('.cm-content del')).toHaveCount(1)
    await caret(page, 1)
    await page.keyboard.insertText(', sifted')
    await expect(page.locator('.swap__take')).toHaveCount(0)
    await expect(page.locator('.cm-content del')).toHaveCount(0)
    await expect(words(page, 1)).toHaveText('2 cups barley flour, sifted')
})
