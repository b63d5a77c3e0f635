import type { Locator, Page } from '@playwright/test'
import { expect, expectAccessible, freshKitchen, test } from './support'

freshKitchen()

async function idOf(page: Page, name: string): Promise<string> {
    const { dogs } = (await (await page.request.get('/api/kitchen')).json()) as { dogs: { id: string; name: string }[] }

    return dogs.find((one) => one.name === name)?.id ?? ''
}
const panel = (page: Page, name: string): Locator => page.getByRole('complementary', { name: new RegExp(`^${name}, `) })
const asks = (page: Page): Locator => page.getByRole('region', { name: 'How they were' })

test('a picture of days: a sign is looked at, a day opened by a tap and by keys, and every number stands behind it', async ({ page }) => {
    const id = await idOf(page, 'Bosun')
    await page.goto(`/dogs/${id}/days`)
    const board = page.getByRole('slider', { name: 'The days of Bosun' })
    await expect(board).toHaveAttribute('aria-valuemax', '70')
    await expect(page.getByRole('region', { name: 'What goes with itch' })).toContainText('mussels, cooked strong')
    await expect(page.getByText('This is no diagnosis: take it to your vet.')).toBeVisible()
    await board.focus()
    await page.keyboard.press('Home')
    await expect(board).toHaveAttribute('aria-valuenow', '1')
    await page.keyboard.press('PageUp')
    await page.keyboard.press('ArrowRight')
    await expect(board).toHaveAttribute('aria-valuenow', '9')
    await expect(panel(page, 'Bosun')).toBeVisible()
    // Back goes where the person was, and the day has an address
    await expect(page).toHaveURL(/on=20/)
    const box = await board.boundingBox()
    await board.click({ position: { x: (box?.width ?? 0) - 12, y: 60 } })
    await expect(board).toHaveAttribute('aria-valuenow', '70')
    await page.getByRole('region', { name: 'What goes with itch' }).getByText('How it was counted').first().click()
    await expect(page.getByText(/Fisher's exact test, one-sided/).first()).toBeVisible()
    for (const long of ['Week', 'Year']) {
        await page.getByRole('button', { name: long, exact: true }).click()
        await expect(board).toHaveAttribute('aria-valuemax', long === 'Week' ? '7' : '365')
    }
    await expectAccessible(page)
})

test('next morning few are asked after: two taps write it down, one waves it away, and Undo takes it back', async ({ page }) => {
    await page.goto('/today')
    await expect(asks(page).getByRole('listitem')).toHaveCount(3)
    await expect(asks(page)).toContainText('day 2 with carrot')
    await asks(page).getByRole('button', { name: 'Do not ask about Odette today' }).click()
    await expect(asks(page).getByRole('listitem')).toHaveCount(2)
    await asks(page).getByRole('button', { name: 'Biscay: all well yesterday' }).click()
    await expect(asks(page).getByRole('listitem')).toHaveCount(1)
    await expect(page.getByText('Written down of Biscay.')).toBeVisible()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(asks(page).getByRole('listitem')).toHaveCount(2)
    await asks(page).getByRole('button', { name: 'Bosun: tell more' }).click()
    await expectAccessible(page)
    await asks(page).getByRole('button', { name: 'Lentil and celery crisps: took it first' }).click()
    await expect(asks(page).getByRole('group', { name: 'stool: which of these' }).getByRole('button')).toHaveCount(7)
    await asks(page)
        .getByRole('button', { name: /^stool: water/ })
        .click()
    await expect(page.getByText('Bosun: water. Ring your vet today.')).toBeVisible()
    await expect(asks(page).getByRole('listitem')).toHaveCount(1)
    // waved away on this device, it is not asked again
    await page.reload()
    await expect(asks(page).getByRole('listitem')).toHaveCount(1)
    await expect(asks(page)).not.toContainText('Odette')
})

test('what is written down while the kitchen is away stands there at once and arrives by itself', async ({ page, context }) => {
    const id = await idOf(page, 'Quill')
    await page.goto(`/dogs/${id}/days`)
    await expect(panel(page, 'Quill')).toBeVisible()
    await context.route('**/api/**', (route) => route.abort())
    await panel(page, 'Quill').getByRole('button', { name: 'itch', exact: true }).click()
    await panel(page, 'Quill')
        .getByRole('button', { name: /^itch: 7 of 10/ })
        .click()
    await expect(panel(page, 'Quill').getByRole('list', { name: 'Seen' })).toContainText('itch: 7 of 10')
    await context.unroute('**/api/**')
    const seen = async (): Promise<number> =>
        ((await (await page.request.get(`/api/dogs/${id}/season`)).json()) as { entries: { undone: boolean }[] }).entries.filter((one) => !one.undone)
            .length
    await expect.poll(seen, { timeout: 20_000 }).toBe(1)
    await panel(page, 'Quill').getByRole('button', { name: 'Take back: itch: 7 of 10' }).click()
    await expect(panel(page, 'Quill').getByRole('list', { name: 'Seen' })).toBeHidden()
    await expect.poll(seen).toBe(0)
})

test('a trial is begun, held by the calendar on the bench, refused where it would tell nothing, and ended with a word', async ({ page }) => {
    const id = await idOf(page, 'Tuppence')
    await page.goto(`/dogs/${id}/trials`)
    const form = page.getByRole('form', { name: 'Begin a trial' })
    const begin = async (food: string): Promise<void> => {
        await form.getByLabel('Which food').fill(food)
        await page.getByRole('option', { name: food, exact: true }).first().click()
        await page.keyboard.press('Escape')
        await form.getByRole('button', { name: 'Begin', exact: true }).click()
    }
    await begin('pear')
    const trial = page.getByRole('article', { name: 'A new food: pear' })
    await expect(trial).toContainText('day 1 of 14: a quarter of it, watch stool and skin')
    await begin('millet flour')
    await expect(form.getByText('One at a time: Tuppence is in a trial already (pear, since')).toBeVisible()
    // nothing that was typed is lost
    await expect(form).toContainText('millet flour')
    await expectAccessible(page)
    await page.goto('/today')
    await expect(page.getByRole('region', { name: 'What is due' })).toContainText('Watch Tuppence, pear: day 1 of 14')
    await page.goto(`/dogs/${id}/trials`)
    await trial.getByRole('button', { name: 'It went badly' }).click()
    await trial.getByLabel('What was seen').fill('its ears were hot')
    await trial.getByRole('button', { name: 'It did not bear it' }).click()
    await expect(page.getByRole('region', { name: 'Trials that are over' })).toContainText('It did not bear it: its ears were hot.')
    const asked = { recipe: { text: '200 g rice flour\n90 g pear' }, dogs: [id] }
    const judged = (await (await page.request.post('/api/ask/formulate', { data: asked })).json()) as { verdict: { dogs: { worst: string }[] } }
    expect(judged.verdict.dogs[0]?.worst).toBe('ask-vet')
    await page.getByRole('button', { name: 'Go on with pear' }).click()
    await expect(trial).toContainText('day 1 of 14')
})

test('what is suspected is left out with a tap, and its days are counted', async ({ page }) => {
    const id = await idOf(page, 'Bosun')
    await page.goto(`/dogs/${id}/days`)
    await page.getByRole('button', { name: 'Begin leaving it out' }).click()
    await expect(page.getByText(/left out for 14 days from today/)).toBeVisible()
    await page.getByRole('link', { name: 'Trials' }).click()
    await expect(page.getByRole('article', { name: /^Left out: / })).toContainText('day 1 of 14: left out')
})

test('what a dog likes is counted, and the page for the vet is one page to print', async ({ page }) => {
    const id = await idOf(page, 'Tuppence')
    await page.goto(`/dogs/${id}/likes`)
    await expect(page.getByRole('list', { name: 'By food' })).toContainText('minced venison, raw7 of 7, came back 2×: takes it')
    await expect(page.getByRole('list', { name: 'By texture' })).toContainText('soft')
    await expect(page.getByRole('region', { name: 'Variety' })).toContainText('different foods')
    await expectAccessible(page)
    await page.goto(`/dogs/${await idOf(page, 'Bosun')}/vet`)
    const sheet = page.getByRole('article', { name: 'The page' })
    await expect(sheet).toContainText('Eaten in the last two days')
    await expect(sheet).toContainText('itch, mussels, cooked (strong)')
    await expectAccessible(page)
    await page.emulateMedia({ media: 'print' })
    await expect(page.getByRole('button', { name: 'Print' })).toBeHidden()
    await expect(sheet).toBeVisible()
})

test('a dog got at a bag: how many are missing, what they hold, and they are out of the bag', async ({ page }) => {
    // as many as the demo's days have left in it: at midnight they are more than in the evening
    const open = async (): Promise<number> => {
        const bags = (await (await page.request.get('/api/bags')).json()) as { title: string; pieces: number; frozen: boolean; state: string }[]
        return bags.find((one) => one.title === 'Lentil and celery crisps' && !one.frozen && one.state === 'here')?.pieces ?? 0
    }
    const there = await open()
    expect(there).toBeGreaterThan(1)
    await page.goto('/jars')
    await page.getByRole('button', { name: 'It ate something' }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByRole('button', { name: /^Bosun/ }).click()
    await dialog.getByRole('button', { name: 'out of a bag' }).click()
    await dialog.getByLabel('Which bag').click()
    await page.getByRole('option', { name: new RegExp(`Lentil and celery crisps, ${there} in it`) }).click()
    await dialog.getByLabel('How many are left in it now').fill(String(there))
    await dialog.getByRole('button', { name: 'Count it' }).click()
    await expect(dialog.getByRole('alert').last()).toContainText('None is missing then')
    await dialog.getByLabel('How many are left in it now').fill('1')
    await expect(dialog).toContainText(`${there - 1} are missing of ${there}.`)
    await dialog.getByRole('button', { name: 'Count it' }).click()
    await expect(dialog.getByRole('region', { name: 'To read out to the vet' })).toContainText('15 g cooked carrot')
    await dialog.getByRole('button', { name: 'Write it down: out of the bag' }).click()
    await expect(dialog).toContainText('Written down, and out of the bag.')
    await expectAccessible(page)
    expect(await open()).toBe(1)
})

test('a photograph of sixty million points is refused in words, and the note stays', async ({ page }) => {
    await page.goto(`/dogs/${await idOf(page, 'Odette')}/days`)
    await panel(page, 'Odette').getByLabel('A note').fill('a red patch')
    const head = Buffer.alloc(33)
    head.set([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13, 0x49, 0x48, 0x44, 0x52])
    head.writeUInt32BE(9000, 16)
    head.writeUInt32BE(6667, 20)
    await panel(page, 'Odette').getByLabel('Add a photograph').setInputFiles({ name: 'patch.png', mimeType: 'image/png', buffer: head })
    await expect(panel(page, 'Odette').getByRole('alert')).toContainText('patch.png has 60 million points, 9000 × 6667')
    await expect(panel(page, 'Odette').getByLabel('A note')).toHaveValue('a red patch')
})

test('under a thumb: the board, the day and the question of the morning', async ({ browser, baseURL, page }) => {
    const id = await idOf(page, 'Bosun')
    const context = await browser.newContext({ baseURL: baseURL ?? '', viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
    const phone = await context.newPage()
    for (const path of [`/dogs/${id}/days`, `/dogs/${id}/trials`, `/dogs/${id}/likes`, `/dogs/${id}/vet`, '/today']) {
        await phone.goto(path)
        await expect(phone.getByRole('heading', { level: 1 })).toBeVisible()
        await phone.waitForLoadState('networkidle')
        expect(await phone.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(390)
        await expectAccessible(phone)
    }
    await context.close()
})
