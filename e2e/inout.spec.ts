import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Locator, Page } from '@playwright/test'
import ICAL from 'ical.js'
import jsonld from 'jsonld'
import { choose, expect, expectAccessible, freshKitchen, test } from './support'

freshKitchen()

const folder = mkdtempSync(join(tmpdir(), 'mildbowl-'))

/** A photograph of a made-up label. */
function label(language: string, way: string): string {
    execFileSync('php', ['bench/labels/pictures.php', folder, language, way])

    return join(folder, `${language}-${way}.jpg`)
}

const reader = (page: Page): Locator => page.locator('.label-reader')
const verdict = (page: Page): Locator => page.locator('.label-reader__verdict')

async function photograph(page: Page, file: string): Promise<void> {
    await page.getByLabel('A picture of the label').setInputFiles(file)
    await expect(page.getByRole('img', { name: 'The photograph of the label' })).toBeVisible()
}

test('a label is photographed, cut, read, kept with its picture, and shows later what changed', async ({ page }) => {
    await page.goto('/cupboard/labels')
    await photograph(page, label('en', 'curved'))
    // a corner by keys: what stands above the list is cut away
    await page.getByRole('button', { name: 'Upper left corner of what is read' }).focus()
    await page.keyboard.press('ArrowDown')
    await expectAccessible(page)
    await page.getByRole('button', { name: 'Read it' }).click()
    await expect(verdict(page)).toContainText('Never')
    await expect(reader(page).getByRole('textbox', { name: /Its list/ })).toHaveValue(/birch sugar \(xylitol\)/)
    await expect(reader(page).getByRole('listitem').filter({ hasText: 'xylitol' }).first()).toContainText('poisonous')
    // words that are not sure are settled before it is kept
    const right = reader(page).getByRole('button', { name: 'It is right' })
    while ((await right.count()) > 0) await right.first().click()
    await reader(page).getByRole('textbox', { name: 'Name of the product' }).fill('Quayside spread')
    await reader(page).getByRole('button', { name: 'Keep as a product' }).click()
    const jar = page.locator('.products li').filter({ hasText: 'Quayside spread' })
    await expect(jar.getByRole('img', { name: /photographed/ })).toBeVisible()
    await jar.getByRole('button', { name: 'Read again' }).click()
    const list = reader(page).getByRole('textbox', { name: /Its list/ })
    await list.fill((await list.inputValue()).replace('birch sugar (xylitol)', 'honey'))
    await reader(page).getByRole('button', { name: 'Keep this wording' }).click()
    await expect(jar).toContainText('The recipe changed')
    await expect(jar.locator('del')).toContainText('xylitol')
})

test('a poor picture is called one: nothing looks found free until every word was looked at', async ({ page }) => {
    await page.goto('/cupboard/labels')
    await photograph(page, label('fr', 'small'))
    await page.getByRole('button', { name: 'Read it' }).click()
    await expect(reader(page).getByRole('alert').first()).toContainText('A poor picture')
    await expect(verdict(page)).toContainText('still to be looked at')
    await expect(reader(page).getByRole('button', { name: 'Keep as a product' })).toBeDisabled()
    await expectAccessible(page)
    // a word is mended where it stands, and the list with it
    const first = reader(page)
        .getByRole('region', { name: /to look at/ })
        .getByRole('listitem')
        .first()
    await first.getByRole('textbox').fill('Chocolat:')
    await first.getByRole('button', { name: 'So it is' }).click()
    await expect(reader(page).getByRole('textbox', { name: /Its list/ })).toHaveValue(/^Chocolat:/)
    await expect(verdict(page)).toContainText('Never')
    await reader(page).getByRole('button', { name: 'I have compared them all' }).click()
    await expect(reader(page).getByRole('region', { name: /to look at/ })).toHaveCount(0)
    // what is no picture is refused, and what stands there stays
    const pdf = join(folder, 'letter.pdf')
    writeFileSync(pdf, '%PDF-1.7 /OpenAction << /S /JavaScript /JS (app.alert(1)) >>')
    await page.getByLabel('A picture of the label').setInputFiles(pdf)
    await expect(reader(page).getByRole('alert').filter({ hasText: 'holds no picture' })).toBeVisible()
    await expect(reader(page).getByRole('textbox', { name: /Its list/ })).toHaveValue(/^Chocolat:/)
})

test('a picture that is dropped or pasted is taken as well, and turned', async ({ page }) => {
    await page.goto('/cupboard/labels')
    const bytes = readFileSync(label('en', 'plain')).toString('base64')
    const data = await page.evaluateHandle((base64) => {
        const transfer = new DataTransfer()
        transfer.items.add(new File([Uint8Array.from(atob(base64), (one) => one.charCodeAt(0))], 'label.jpg', { type: 'image/jpeg' }))

        return transfer
    }, bytes)
    await page.getByRole('region', { name: 'From a photograph' }).dispatchEvent('drop', { dataTransfer: data })
    const seen = page.getByRole('img', { name: 'The photograph of the label' })
    await expect(seen).toBeVisible()
    const tall = await seen.evaluate((canvas: HTMLCanvasElement) => canvas.height > canvas.width)
    await page.getByRole('button', { name: 'Turn it to the right' }).click()
    await expect.poll(() => seen.evaluate((canvas: HTMLCanvasElement) => canvas.height > canvas.width)).toBe(!tall)
    await page.getByRole('button', { name: 'Turn it to the left' }).click()
    await page.getByRole('button', { name: 'Another picture' }).click()
    await page.evaluate((transfer) => {
        window.dispatchEvent(new ClipboardEvent('paste', { clipboardData: transfer }))
    }, data)
    await page.getByRole('button', { name: 'Read it' }).click()
    await expect(verdict(page)).toContainText('Never')
})

test('the kitchen is backed up, a dog goes, and the backup put back brings it again', async ({ page }) => {
    await page.goto('/cupboard/backup')
    await page.getByRole('button', { name: 'Back up now' }).click()
    await expect(page.getByText('The whole kitchen is in one file.')).toBeVisible()
    const list = page.getByRole('list', { name: 'Backups' })
    await expect(list.getByRole('listitem')).toHaveCount(1)
    await expect(list).toContainText('6 dogs, 8 recipes')
    await expectAccessible(page)
    const download = page.waitForEvent('download')
    await list.getByRole('link', { name: /^Save the backup/ }).click()
    const file = join(folder, 'kitchen.zip')
    await (await download).saveAs(file)
    const { dogs } = (await (await page.request.get('/api/kitchen')).json()) as { dogs: { id: string; name: string }[] }
    const quill = dogs.find((one) => one.name === 'Quill')?.id ?? ''
    await page.request.delete(`/api/dogs/${quill}`)
    // brought in as a file, as from a stick
    await page.getByLabel('A backup as a file').setInputFiles(file)
    const dialog = page.getByRole('dialog', { name: 'Put this backup back?' })
    await expect(dialog).toContainText('6 dogs')
    await expectAccessible(page)
    await dialog.getByRole('button', { name: 'Put it back' }).click()
    await expect(page.getByText('The kitchen holds what the backup held.')).toBeVisible()
    await expect(list.getByRole('listitem')).toHaveCount(3)
    await page.goto('/dogs')
    await expect(page.getByText('Quill').first()).toBeVisible()
    await page.goto('/cupboard/backup')
    const wrong = join(folder, 'wrong.zip')
    writeFileSync(wrong, 'no backup')
    await page.getByLabel('A backup as a file').setInputFiles(wrong)
    await expect(page.getByRole('alert')).toContainText('no backup of a kitchen')
    await list
        .getByRole('button', { name: /^Remove the backup/ })
        .first()
        .click()
    await page.getByRole('dialog', { name: 'Remove this backup?' }).getByRole('button', { name: 'Remove it' }).click()
    await expect(list.getByRole('listitem')).toHaveCount(2)
})

test('recipes go out as a file and come in from another kitchen, as chosen and with their source', async ({ page }) => {
    await page.goto('/cupboard/in-and-out')
    await expectAccessible(page)
    const download = page.waitForEvent('download')
    await page.getByRole('link', { name: 'Save the file' }).click()
    const file = join(folder, 'shelf.jsonld')
    await (await download).saveAs(file)
    const shelf = readFileSync(file, 'utf8')
        .replaceAll('Lock Cottage', 'Weir House')
        .replaceAll('Lentil and celery crisps', 'Lentil and celery thins')
    const theirs = join(folder, 'theirs.jsonld')
    writeFileSync(theirs, shelf)
    await page.getByLabel('A file of recipes').setInputFiles(theirs)
    const found = page.getByRole('region', { name: 'theirs.jsonld' })
    await expect(found).toContainText('From the kitchen “Weir House”')
    await expect(found.getByRole('checkbox', { checked: true })).toHaveCount(1)
    await expect(found.getByRole('listitem').filter({ hasText: 'Beetroot and barley rounds' }).first()).toContainText('here already, the same')
    await expectAccessible(page)
    await found.getByRole('button', { name: 'Take 1' }).click()
    await expect(page.getByText('One thing was taken. Nothing of yours was written over.')).toBeVisible()
    const recipes = (await (await page.request.get('/api/recipes')).json()) as { title: string; source: string | null }[]
    expect(recipes.find((one) => one.title === 'Lentil and celery thins')?.source).toContain('from Weir House')
    // a reader of JSON-LD that knows nothing of us finds the recipes in it, and fetches nothing
    const graph = (await jsonld.expand(JSON.parse(readFileSync(file, 'utf8')) as object)) as Record<string, unknown>[]
    const told = JSON.stringify(graph)
    expect(told.match(/"https:\/\/schema\.org\/Recipe"/g)?.length).toBe(8)
    expect(told).toContain('https://schema.org/recipeIngredient')
    expect(told).toContain('https://schema.org/NutritionInformation')
})

test('a table from a spreadsheet is looked through, and what is wrong is said by row and column', async ({ page }) => {
    await page.goto('/cupboard/in-and-out')
    const file = join(folder, 'weights.csv')
    writeFileSync(file, 'Dog;On;Kg\nQuill;2026-06-01;12,6\nNobody;2026-06-01;9\nQuill;1.6.2026;12\n')
    await page.getByRole('button', { name: 'Look into a table: What the dogs weighed' }).click()
    await page.getByLabel('A table as CSV').setInputFiles(file)
    const looked = page.getByRole('region', { name: 'weights.csv' })
    await expect(looked.getByRole('status')).toContainText('3 rows, 1 new')
    await expect(looked.getByRole('row').nth(1)).toContainText('There is no dog called "Nobody"')
    await expect(looked.getByRole('row').nth(2)).toContainText('Write a day as 2026-05-14')
    await expect(looked.getByRole('button', { name: /^Take \d/ })).toBeDisabled()
    await expectAccessible(page)
    writeFileSync(file, 'Dog;On;Kg\nQuill;2026-06-01;12,6\n')
    await page.getByLabel('A table as CSV').setInputFiles(file)
    await looked.getByRole('button', { name: 'Take 1 row' }).click()
    await expect(page.getByText('1 new, 0 changed, 0 were here already.')).toBeVisible()
    const csv = await (await page.request.get('/api/csv/weights')).text()
    expect(csv).toContain('Quill,2026-06-01,12.6,\r\n')
})

test('the list for two bakes is made by aisle, ticked in the shop where nobody answers, and put away at home', async ({ page, context }) => {
    await page.goto('/cupboard/shopping')
    const box = page.getByRole('combobox', { name: 'What is to be baked' })
    for (const title of ['Beetroot and barley rounds', 'Venison and parsnip coins']) {
        await box.click()
        await box.fill(title)
        await page.getByRole('option', { name: title }).click()
    }
    await page.keyboard.press('Escape')
    const list = page.getByRole('region', { name: 'To buy' })
    await expect(list.getByRole('heading', { name: 'Meat and fish' })).toBeVisible()
    await expect(list.getByRole('listitem').filter({ hasText: 'whole egg' })).toContainText(
        'for Beetroot and barley rounds, Venison and parsnip coins',
    )
    await expectAccessible(page)
    await list.getByRole('checkbox', { name: /^parsnip/ }).check()
    await context.route('**/api/**', (route) => route.abort())
    await list.getByRole('checkbox', { name: /^barley flour/ }).check()
    await expect(list).toContainText('Put 2 away')
    await page.reload()
    await expect(list.getByRole('checkbox', { checked: true })).toHaveCount(2)
    await context.unroute('**/api/**')
    await list.getByRole('button', { name: 'Put 2 away: at hand now' }).click()
    await expect(page.getByRole('region', { name: 'There already' })).toContainText('barley flour')
    await expect(list.getByRole('listitem').filter({ hasText: 'barley flour' })).toHaveCount(0)
})

test('another calendar reads ours', async ({ page }) => {
    const text = await (await page.request.get('/api/calendar')).text()
    const calendar = new ICAL.Component(ICAL.parse(text) as unknown[])
    const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one))
    expect(events.length).toBeGreaterThan(10)
    expect(new Set(events.map((one) => one.uid)).size).toBe(events.length)
    expect(events.some((one) => one.summary.startsWith('Best before: bag'))).toBe(true)
    // an occasion is a moment, what is done in the kitchen is a day
    for (const one of events) expect(one.startDate.isDate, one.summary).toBe(one.summary !== 'Quill is twelve')
    expect(events.find((one) => one.summary === 'Quill is twelve')?.location).toBe('the lawn by the upper lock')
})

test('a gift is labelled: as made, at true size, the same on paper; a card shows the cut as large as it is', async ({ page }) => {
    await page.goto('/labels/print')
    await page.getByRole('group', { name: 'What', exact: true }).getByRole('button', { name: 'Labels for gifts' }).click()
    const bags = page.getByRole('group', { name: 'Which bags' })
    for (const on of await bags.getByRole('button', { pressed: true }).all()) await on.click()
    await bags
        .getByRole('button', { name: /Venison and parsnip coins/ })
        .first()
        .click()
    await page.getByLabel('Made for').fill('Mabel')
    const sheet = page.getByRole('group', { name: 'Sheet 1 of 1' })
    await expect(sheet).toContainText('Made for Mabel')
    await expect(sheet).toContainText('not a complete food')
    await expectAccessible(page)
    // 210 mm of paper are 210 mm on the screen
    const box = await sheet.boundingBox()
    expect(box?.width ?? 0).toBeCloseTo((210 * 96) / 25.4, 0)
    // no run of words reaches into the next one
    const runs = await sheet.locator('text').evaluateAll((all) =>
        (all as SVGTextElement[]).map((one) => ({
            x: Number(one.getAttribute('x')),
            y: Number(one.getAttribute('y')),
            wide: one.getComputedTextLength(),
        })),
    )
    for (const one of runs)
        for (const next of runs) if (next.y === one.y && next.x > one.x) expect(one.x + one.wide).toBeLessThanOrEqual(next.x + 0.15)
    await page.getByLabel('Title, where it is another').fill('Calming coins')
    await expect(page.getByRole('alert')).toContainText('never printed')
    await page.getByLabel('Title, where it is another').fill('')
    const pdf = page.getByRole('link', { name: 'As PDF' })
    const file = await page.request.get((await pdf.getAttribute('href')) ?? '')
    expect(file.headers()['content-type']).toBe('application/pdf')
    await page.getByRole('button', { name: 'A gift is fine. Selling is another matter' }).click()
    await expect(page.getByText('Ask the office that watches over food and feed')).toBeVisible()
    await page.getByRole('group', { name: 'What', exact: true }).getByRole('button', { name: 'A recipe card' }).click()
    await choose(page, 'Which recipe', 'Beetroot and barley rounds')
    await expect(sheet).toContainText('at its true size')
    // a unit of the drawing is a millimetre of the paper
    expect(await sheet.locator('.print-page__line').evaluate((line: SVGPathElement) => line.getBBox().width)).toBeCloseTo(25, 1)
})

test('everything of it works by thumb on a phone', async ({ browser, baseURL }) => {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, baseURL: baseURL ?? '' })
    const page = await context.newPage()
    for (const place of ['/labels/print', '/cupboard/shopping', '/cupboard/backup', '/cupboard/in-and-out', '/cupboard/labels']) {
        await page.goto(place)
        await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
        await expect
            .poll(() => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth))
            .toBeLessThanOrEqual(0)
    }
    await photograph(page, label('en', 'pressed'))
    await page.getByRole('button', { name: 'Read it' }).tap()
    await expect(verdict(page)).toContainText('Never')
    await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBeLessThanOrEqual(0)
    await context.close()
})
