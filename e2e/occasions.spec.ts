import { readFileSync } from 'node:fs'
import type { Locator, Page } from '@playwright/test'
import ICAL from 'ical.js'
import { choose, expect, expectAccessible, freshKitchen, test } from './support'

freshKitchen()

const plate = (page: Page, dog: string): Locator =>
    page.locator('.party-plate').filter({ has: page.locator('strong', { hasText: new RegExp(`^${dog}$`) }) })
const answer = (page: Page): Locator => page.getByRole('region', { name: 'What it comes to' })

/** The demo's birthday. */
async function birthday(page: Page): Promise<void> {
    await page.goto('/occasions')
    await page.getByRole('link', { name: /Quill is twelve/ }).click()
    await expect(page.getByRole('heading', { name: 'Quill is twelve' })).toBeVisible()
    await expect(plate(page, 'Biscay')).toBeVisible()
}

test('an occasion is named, its guests come, and each plate answers', async ({ page }) => {
    await page.goto('/today')
    await page.getByRole('link', { name: 'Occasions' }).click()
    await page.getByRole('button', { name: 'Plan it' }).click()
    await expect(page.getByRole('alert')).toContainText('Give it a name')
    await page.getByRole('textbox', { name: 'What is it' }).fill('Tuppence is five')
    await page.getByRole('button', { name: 'Plan it' }).click()
    await expect(page.getByRole('alert')).toContainText('on which day')
    await page.getByRole('textbox', { name: 'On which day' }).fill('1/7/2027')
    await page.getByRole('button', { name: 'Plan it' }).click()
    await expect(page.getByRole('heading', { name: 'Tuppence is five' })).toBeVisible()
    await expect(answer(page)).toContainText('Say what is served')
    await page.getByRole('button', { name: 'A guest comes too' }).click()
    const form = page.getByRole('form', { name: 'A new guest' })
    await form.getByRole('textbox', { name: "Guest's name" }).fill('Bramble')
    await form.getByRole('textbox', { name: 'Weight' }).fill('14')
    await expectAccessible(page)
    await form.getByRole('button', { name: 'It comes' }).click()
    await choose(page, 'Recipes', 'Beetroot and barley rounds')
    await page.keyboard.press('Escape')
    await expect(plate(page, 'Bramble')).toContainText('ask first')
    await expect(plate(page, 'Bramble')).toContainText('Nobody asked: what it must not eat, illness and medicine, its age')
    // its people were asked: it eats anything but egg
    await page
        .getByRole('button', { name: /Bramble/ })
        .first()
        .click()
    const known = page.getByRole('form', { name: 'Bramble' })
    await known.getByRole('textbox', { name: 'Age in years' }).fill('3')
    await known.getByRole('button', { name: /asked about illness/ }).click()
    await known.getByRole('button', { name: /what it must not eat/ }).click()
    await known.getByRole('button', { name: 'Keep it' }).click()
    await expect(plate(page, 'Bramble')).toContainText('1 of the Beetroot and barley rounds')
    await expect(plate(page, 'Bramble')).not.toContainText('ask first')
    await plate(page, 'Bramble').getByRole('button', { name: 'More for Bramble' }).click()
    await expect(plate(page, 'Bramble')).toContainText('2 of the Beetroot')
    await page.getByRole('button', { name: 'More for all' }).click()
    await expect(plate(page, 'Bramble')).toContainText('3 of the Beetroot')
    await expect(plate(page, 'Bosun')).toContainText('2 of the Beetroot')
    await page.reload()
    await expect(plate(page, 'Bramble')).toContainText('3 of the Beetroot')
    await page.getByRole('button', { name: 'Take it out' }).click()
    await expect(page).toHaveURL(/\/occasions$/)
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('link', { name: /Tuppence is five/ })).toBeVisible()
})

test('a time of day is read as people write it, and what is none stays where it was typed', async ({ page }) => {
    await birthday(page)
    const at = page.getByRole('textbox', { name: 'They eat at' })
    await at.fill('half past')
    await at.press('Tab')
    await expect(page.getByText('is no time of day')).toBeVisible()
    await expect(at).toHaveValue('half past')
    await at.fill('4.30 pm')
    await at.press('Tab')
    await expect(at).toHaveValue('16:30')
    await expect(answer(page)).toContainText('16:15')
})

test('the shelf is looked through, and one recipe is changed until the dog with the egg allergy may have it', async ({ page }) => {
    await birthday(page)
    await expect(plate(page, 'Clove')).toContainText('nothing of it')
    await page.getByRole('button', { name: 'Look through the shelf' }).click()
    await expect(page.locator('.occasion__found')).toContainText('recipes looked through')
    await page.locator('.occasion__found').getByRole('button', { name: 'Leave it' }).click()
    await page.locator('.party-treat').filter({ hasText: 'Venison' }).getByRole('button', { name: 'Change it for all of them' }).click()
    const ways = page.locator('.party-rescue__ways > li')
    await expect(ways.first()).toContainText('Clove')
    await expect(ways.first().locator('s').filter({ hasText: '1 large egg' })).toBeVisible()
    await expectAccessible(page)
    await ways.first().getByRole('button', { name: 'Serve this one' }).click()
    await expect(plate(page, 'Clove')).not.toContainText('nothing of it')
    await expect(page.locator('.party-treat').filter({ hasText: 'Venison and parsnip coins, for Quill is twelve' })).toBeVisible()
    // the old one stays as it was
    await page.getByRole('link', { name: 'Venison and parsnip coins, for Quill is twelve' }).click()
    await expect(page.getByRole('heading', { name: 'Venison and parsnip coins, for Quill is twelve' })).toBeVisible()
    const shelf = (await (await page.request.get('/api/shelf')).json()) as { title: string }[]
    expect(shelf.map((one) => one.title)).toContain('Venison and parsnip coins')
})

test('its bakes are planned, bought for, invited to and labelled', async ({ page, browser, baseURL }) => {
    await birthday(page)
    await expect(answer(page).locator('.backward')).toContainText('Bake')
    await page.getByRole('button', { name: /Plan (this bake|these \d bakes)/ }).click()
    await expect(answer(page)).toContainText('stand on Today and in the calendar')
    const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Invitation for a calendar' }).click()])
    const event = new ICAL.Event(new ICAL.Component(ICAL.parse(readFileSync(await file.path(), 'utf8'))).getFirstSubcomponent('vevent') ?? undefined)
    expect(event.summary).toBe('Quill is twelve')
    expect(event.location).toBe('the lawn by the upper lock')
    expect(event.description).toContain('(an allergen)')
    await page.getByRole('link', { name: 'What to buy for it' }).click()
    await expect(page.locator('.shopping__choose')).toContainText('For Quill is twelve:')
    await expect(page.getByRole('heading', { name: 'Dairy and eggs' })).toBeVisible()
    await expect(page.locator('.shopping__list')).toContainText('egg')
    await page.getByRole('button', { name: 'What would a swap save?' }).click()
    await expect(page.locator('.shopping__savings, .shopping [role=status]').first()).toBeVisible()
    // opened anew in the shop it is the same list, and what lies in the basket stays ticked
    await page.locator('.shopping__list').getByRole('checkbox').first().check()
    await page.reload()
    await expect(page.locator('.shopping__choose')).toContainText('For Quill is twelve:')
    await expect(page.locator('.shopping__list').getByRole('checkbox', { checked: true })).toHaveCount(1)
    // whoever chose nothing yet finds what is planned
    const other = await browser.newPage({ baseURL })
    await other.goto('/cupboard/shopping')
    await expect(other.getByRole('region', { name: 'To buy' })).toContainText('egg')
    await other.close()
    await birthday(page)
    await page.getByRole('link', { name: 'Their labels' }).click()
    await expect(page.locator('.print-page').first()).toContainText('Made for Pim, 12 pieces in it')
    await expectAccessible(page)
})

test('a tin for each boat: doubled, and each with its label', async ({ page }) => {
    await page.goto('/occasions')
    await page.getByRole('link', { name: /Midwinter tins/ }).click()
    await expect(page.locator('.party-treat')).toContainText('two batches, or one doubled')
    await page.getByRole('button', { name: 'One more' }).click()
    const last = page.locator('.party-box').last()
    await last.getByRole('textbox', { name: 'For' }).fill('the boat Wren')
    await last.getByRole('textbox', { name: 'For' }).press('Tab')
    await last.getByRole('textbox', { name: 'Pieces in it' }).fill('150')
    await last.getByRole('textbox', { name: 'Pieces in it' }).press('Tab')
    await expect(page.locator('.party-treat')).toContainText('3 batches of')
    await page.reload()
    await expect(page.locator('.party-box')).toHaveCount(5)
    await page
        .locator('.party-box')
        .last()
        .getByRole('button', { name: /No tin for the boat Wren/ })
        .click()
    await expect(page.locator('.party-box')).toHaveCount(4)
    await page.getByRole('link', { name: 'Their labels' }).click()
    await expect(page.getByRole('button', { name: 'Print 4' })).toBeVisible()
})

interface Today {
    get: <T>(path: string) => Promise<T>
    /** of the occasion on this page */
    path: string
    /** the id of the dog that comes */
    dog: string | undefined
}

/** An occasion of today, with one dog and the coins that are in the jars. */
async function todayFor(page: Page, name: string, called: string): Promise<Today> {
    const get = async <T>(path: string): Promise<T> => (await (await page.request.get(`/api/${path}`)).json()) as T
    const coins = (await get<{ id: string; title: string }[]>('shelf')).find((one) => one.title === 'Venison and parsnip coins')
    const dog = (await get<{ id: string; name: string }[]>('dogs')).find((one) => one.name === name)?.id
    const { date } = await get<{ date: string }>('day')
    const made = await page.request.post('/api/occasions', {
        data: { name: called, on: date, dogs: [dog], treats: [{ recipeId: coins?.id, bakeOn: date }] },
    })

    return { get, dog, path: `/occasions/${((await made.json()) as { id: string }).id}` }
}

test('on the day what each got is written down in one tap, out of its bag', async ({ page }) => {
    const { path } = await todayFor(page, 'Bosun', 'A small thing')
    await page.goto(path)
    const now = page.getByRole('region', { name: 'It is today' })
    await now.getByRole('button', { name: /^Given, out of bag/ }).click()
    await expect(page.getByText('Written down: Bosun 1.')).toBeVisible()
    await expect(now).toContainText('in the ledger: Bosun 1, by')
    // whoever comes later sees it, and writes it down no second time
    await page.reload()
    await expect(now).toContainText('in the ledger: Bosun 1, by')
    await expect(now.getByRole('button', { name: /^Given/ })).toHaveCount(0)
    await page.goto('/today')
    await expect(page.getByLabel('Given today')).toContainText('Venison and parsnip coins: Bosun')
    await expect(page.locator('#due')).toContainText('A small thing')
})

test('two hands that write the same down at once write it once, and a slip is given anew', async ({ page, browser, baseURL }) => {
    const { get, path, dog } = await todayFor(page, 'Odette', 'A second thing')
    const context = await browser.newContext(baseURL === undefined ? {} : { baseURL })
    const other = await context.newPage()
    const given = async (): Promise<number> =>
        (await get<{ given: { dog: string; words: string; undone: boolean }[] }>('day')).given.filter((one) => one.dog === dog && !one.undone).length
    const before = await given()
    for (const one of [page, other]) {
        await one.goto(path)
        await expect(one.getByRole('button', { name: /^Given, out of bag/ })).toBeEnabled()
    }
    await Promise.all([page, other].map((one) => one.getByRole('button', { name: /^Given, out of bag/ }).click()))
    for (const one of [page, other]) await expect(one.getByRole('region', { name: 'It is today' })).toContainText('in the ledger: Odette 1')
    expect(await given()).toBe(before + 1)
    await page.getByRole('status').filter({ hasText: 'Written down' }).getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('button', { name: /^Given, out of bag/ })).toBeEnabled()
    expect(await given()).toBe(before)
    await page.getByRole('button', { name: /^Given, out of bag/ }).click()
    await expect(page.getByRole('region', { name: 'It is today' })).toContainText('in the ledger: Odette 1')
    expect(await given()).toBe(before + 1)
    await context.close()
})

test('what was given while the kitchen is away can be taken back at once, and given again', async ({ page, context }) => {
    const { get, path, dog } = await todayFor(page, 'Biscay', 'A third thing')
    await page.goto(path)
    const now = page.getByRole('region', { name: 'It is today' })
    const give = now.getByRole('button', { name: /^Given, out of bag/ })
    await expect(give).toBeEnabled()
    await context.route('**/api/given', (route) => route.abort())
    await give.click()
    await expect(now).toContainText('On its way to the ledger.')
    await context.unroute('**/api/given')
    await expect(now).toContainText('in the ledger: Biscay 1', { timeout: 20_000 })
    await page.getByRole('status').filter({ hasText: 'Written down' }).getByRole('button', { name: 'Undo' }).click()
    await expect(give).toBeEnabled()
    await give.click()
    await expect(now).toContainText('in the ledger: Biscay 1')
    const { given } = await get<{ given: { dog: string; undone: boolean }[] }>('day')
    expect(given.filter((one) => one.dog === dog && one.undone)).toHaveLength(1)
})

test('what is written while the kitchen is away is kept, and its answer never looks like one', async ({ page, context }) => {
    await birthday(page)
    await context.route('**/api/**', (route) => route.abort())
    await page.getByRole('group', { name: 'Dogs of this kitchen' }).getByRole('button', { name: 'Bosun' }).click()
    await expect(answer(page).getByRole('alert')).toContainText('does not answer')
    await expect(plate(page, 'Biscay')).toHaveCount(0)
    await page.reload().catch(() => undefined)
    await context.unroute('**/api/**')
    await page.goto('/occasions')
    await page.getByRole('link', { name: /Quill is twelve/ }).click()
    await expect(plate(page, 'Biscay')).toBeVisible()
    await expect(plate(page, 'Bosun')).toHaveCount(0)
})

test('on a phone nothing of it is wider than the screen', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 })
    await birthday(page)
    await page.getByRole('button', { name: 'A guest comes too' }).click()
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    await expectAccessible(page)
})
