import type { Locator, Page } from '@playwright/test'
import { expect, expectAccessible, freshKitchen, test } from './support'

/** The shelves and the day: put away, given, thrown away, thawed, found again; by hand, by key, away from the kitchen. */
freshKitchen()

interface KeptBag {
    id: string
    number: number
    title: string
    pieces: number
    bestBefore: string | null
    frozen: boolean
    state: string
}

const shelf = (page: Page, name: string): Locator => page.getByRole('region', { name, exact: true })
const inHand = (page: Page): Locator => page.getByRole('complementary', { name: 'In the hand' })
const bags = async (page: Page): Promise<KeptBag[]> => (await (await page.request.get('/api/bags')).json()) as KeptBag[]
const door = (page: Page, dog: string): Locator =>
    page
        .getByRole('list', { name: 'The dogs' })
        .getByRole('listitem')
        .filter({ has: page.getByRole('link', { name: dog }) })

test('what was put away does not come back for a moment while the news of it is on its way', async ({ page }) => {
    await page.goto('/jars')
    const loose = page.getByRole('list', { name: 'To put away' })
    await expect(loose).toContainText('12 stand about')
    // what other pages would be told is late: what this page did, it knows
    await page.route('**/api/changes*', () => undefined)
    const done = page.waitForResponse((one) => one.url().includes('/api/jar-acts'))
    await loose.getByRole('button', { name: 'All 12 of Lentil and celery crisps: The blue jar' }).click()
    await done
    await page.waitForTimeout(500)
    await expect(loose).toBeHidden()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(loose).toContainText('12 stand about')
    await expect(shelf(page, 'The blue jar').getByRole('link', { name: /Lentil and celery crisps, 12 left/ })).toHaveCount(0)
})

test('a piece that was given is out of its bag, and stays out of it, before any news of it', async ({ page }) => {
    await page.goto('/today')
    const lentil = page.getByRole('button', { name: /^In the hand: Lentil/ })
    await lentil.click()
    const there = Number(/, (\d+) left/.exec((await lentil.getAttribute('aria-label')) ?? '')?.[1])
    const left = (count: number): Locator => page.getByRole('button', { name: new RegExp(`^In the hand: Lentil and celery crisps, ${count} left`) })
    await page.route('**/api/changes*', () => undefined)
    const done = page.waitForResponse((one) => one.url().endsWith('/api/given'))
    await door(page, 'Bosun').getByRole('button', { name: 'Give Bosun one' }).click()
    await done
    await page.waitForTimeout(500)
    await expect(left(there - 1)).toBeVisible()
    await page
        .getByRole('region', { name: 'Given today' })
        .getByRole('button', { name: /^Take back: Lentil and celery crisps, Bosun/ })
        .click()
    await expect(left(there)).toBeVisible()
})

test('a batch that stands about is put away in one tap, and taken back', async ({ page }) => {
    await page.goto('/jars')
    const loose = page.getByRole('list', { name: 'To put away' })
    await expect(loose).toContainText('Lentil and celery crisps: 12 stand about')
    await loose.getByRole('button', { name: 'All 12 of Lentil and celery crisps: The blue jar' }).click()
    await expect(loose).toBeHidden()
    await expect(shelf(page, 'The blue jar').getByRole('link', { name: /Lentil and celery crisps, 12 left/ })).toBeVisible()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(loose).toContainText('12 stand about')
    await loose.getByRole('button', { name: 'Divide' }).click()
    const divide = page.getByRole('group', { name: 'Divide Lentil and celery crisps' })
    await divide.getByLabel('Pieces').fill('10')
    await divide.getByLabel('in so many bags').fill('2')
    await divide.getByRole('button', { name: 'Freezer drawer' }).click()
    await expect(loose).toContainText('2 stand about')
    await expect(shelf(page, 'Freezer drawer').getByRole('link', { name: /Lentil and celery crisps, 5 left.*frozen/ })).toHaveCount(2)
    await expectAccessible(page)
})

test('a bag is thawed, eaten from, split, and never frozen again', async ({ page }) => {
    await page.goto('/jars')
    const drawer = shelf(page, 'Freezer drawer')
    await drawer.getByRole('link', { name: /Beetroot and barley rounds, doubled, 24 left/ }).click()
    const hand = inHand(page)
    await hand.getByRole('button', { name: 'Thaw or move' }).click()
    await hand.getByRole('button', { name: 'Thaw: The fridge' }).click()
    await expect(hand).toContainText('never to be frozen again')
    await expect(shelf(page, 'The fridge').getByRole('link', { name: /doubled, 24 left.*thawed/ })).toBeVisible()
    await hand.getByRole('button', { name: 'Move', exact: true }).click()
    await expect(hand.getByRole('group', { name: 'Where to' }).getByRole('button', { name: /Freeze/ })).toHaveCount(0)
    await hand.getByRole('button', { name: 'One eaten' }).click()
    await hand.getByRole('button', { name: 'Half a one' }).click()
    await expect(hand).toContainText('22½ of 24 left')
    await hand.getByRole('button', { name: 'Split' }).click()
    await hand.getByRole('group', { name: 'Split' }).getByLabel('Pieces to take out').fill('10')
    await hand.getByRole('button', { name: 'into a bag: The biscuit tin' }).click()
    await expect(shelf(page, 'The biscuit tin').getByRole('link', { name: /doubled, 10 left/ })).toBeVisible()
    await expect(hand).toContainText('12½ of 24 left')
    await hand.getByRole('button', { name: 'Why this date, and what was done' }).click()
    await expect(hand.getByRole('listitem').filter({ hasText: 'split: 10 taken out' })).toBeVisible()
    await hand.getByRole('button', { name: 'Take back: split: 10 taken out' }).click()
    await expect(hand).toContainText('22½ of 24 left')
    expect((await bags(page)).filter((one) => one.title.includes('doubled') && !one.frozen).reduce((sum, one) => sum + one.pieces, 0)).toBe(22.5)
})

test('what is a day over is told first and thrown away, with its reason', async ({ page }) => {
    await page.goto('/jars')
    await expect(page.getByRole('heading', { name: /^Jars/ })).toContainText('1 past its day')
    await page.getByRole('link', { name: /a day over/ }).click()
    const hand = inHand(page)
    await expect(hand).toContainText('When in doubt, throw it away')
    await hand.getByRole('button', { name: 'Throw it away' }).click()
    await expect(page.getByRole('link', { name: /a day over/ })).toHaveCount(0)
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('link', { name: /a day over/ })).toBeVisible()
})

test('one tap gives a piece; over a budget is said before, and a slip is taken back', async ({ page }) => {
    await page.goto('/')
    await expect(page).toHaveURL(/\/today$/)
    const lentil = page.getByRole('button', { name: /^In the hand: Lentil/ })
    await lentil.click()
    // as many as the demo's days have left in it: at midnight they are more than in the evening
    const there = Number(/, (\d+) left/.exec((await lentil.getAttribute('aria-label')) ?? '')?.[1])
    const bosun = door(page, 'Bosun')
    await expect(bosun).toContainText('191 kcal left of 191')
    await bosun.getByRole('button', { name: 'Give Bosun one' }).click()
    await expect(bosun).toContainText('had 1 Lentil and celery crisps')
    await expect(bosun).not.toContainText('191 kcal left')
    await expect(page.getByRole('button', { name: new RegExp(`^In the hand: Lentil and celery crisps, ${there - 1} left`) })).toBeVisible()
    // one that is not cleared: asked first, written down then
    const quill = door(page, 'Quill')
    await expect(quill).toContainText('Not: Quill has heart disease')
    await quill.getByRole('button', { name: 'Give Quill one' }).click()
    await expect(quill).toContainText('nothing yet')
    await page.waitForTimeout(500)
    await quill.getByRole('button', { name: /Give Quill one all the same/ }).click()
    await expect(quill).toContainText('had 1 Lentil')
    const ledger = page.getByRole('region', { name: 'Given today' })
    await ledger.getByRole('button', { name: /^Take back: Lentil and celery crisps, Quill/ }).click()
    await expect(quill).toContainText('nothing yet')
    await expect(ledger).toContainText('(taken back)')
    await expect(page.getByRole('button', { name: new RegExp(`^In the hand: Lentil and celery crisps, ${there - 1} left`) })).toBeVisible()
    await expectAccessible(page)
})

test('one each, not sure who, and what came from no bag', async ({ page }) => {
    await page.goto('/today')
    await page.getByRole('button', { name: /^In the hand: Venison/ }).click()
    await page.getByRole('button', { name: 'a half', exact: true }).click()
    await page.getByRole('button', { name: 'A half each: 4' }).click()
    for (const dog of ['Biscay', 'Tuppence', 'Odette']) await expect(door(page, dog)).toContainText('½ Venison and parsnip coins')
    await page.getByRole('button', { name: 'Not sure who' }).click()
    await page.getByRole('button', { name: 'Give Tuppence a half' }).click()
    await page.getByRole('button', { name: 'Give Odette a half' }).click()
    await page.getByRole('button', { name: 'Share among 2' }).click()
    await expect(page.getByRole('region', { name: 'Given today' })).toContainText('½ Venison and parsnip coins: one of Tuppence, Odette')
    await page.getByRole('button', { name: 'Something else' }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByLabel('What, and how much').fill('3 raisins')
    await dialog.getByLabel('To which dog').click()
    await page.getByRole('option', { name: 'Odette' }).click()
    await page.keyboard.press('Escape')
    await dialog.getByRole('button', { name: 'Write it down' }).click()
    await expect(page.getByRole('alert').filter({ hasText: 'Odette:' }).first()).toContainText('Call a vet or an animal poison line now')
    // nothing more is offered to it, and it is no longer among those that get one each
    await expect(door(page, 'Odette')).toContainText('Nothing more before a vet says so.')
    await expect(page.getByRole('button', { name: 'A half each: 3' })).toBeVisible()
})

test('a tap while the kitchen is away is kept, shown, and sent by itself', async ({ page }) => {
    await page.goto('/today')
    await page.getByRole('button', { name: /^In the hand: Lentil/ }).click()
    await expect(door(page, 'Bosun')).toContainText('kcal left')
    await page.route('**/api/**', (route) => route.abort())
    await door(page, 'Bosun').getByRole('button', { name: 'Give Bosun one' }).click()
    await expect(door(page, 'Bosun')).toContainText('not reckoned yet')
    await expect(page.getByRole('region', { name: 'Given today' })).toContainText('waits to be sent')
    await page.unroute('**/api/**')
    await expect(page.getByRole('region', { name: 'Given today' })).not.toContainText('waits to be sent', { timeout: 30_000 })
    await expect(door(page, 'Bosun')).toContainText('kcal left')
})

test('two people give at once: neither overruns a budget unseen', async ({ page, context }) => {
    const other = await context.newPage()
    for (const one of [page, other]) {
        await one.goto('/today')
        await one.getByRole('button', { name: /^In the hand: Venison/ }).click()
        await expect(door(one, 'Tuppence')).toContainText('kcal left')
    }
    // each gives what it shows that may still be had; the second is told at once
    const { dogs } = (await (await page.request.get('/api/kitchen')).json()) as { dogs: { id: string; name: string }[] }
    const tuppence = dogs.find((one) => one.name === 'Tuppence')?.id
    const given = await page.request.post('/api/given', {
        data: { id: crypto.randomUUID(), at: new Date().toISOString(), by: 'Tom', text: '40 g cooked beef', dogs: [{ dog: tuppence }] },
    })
    expect(given.status()).toBe(201)
    await expect(door(page, 'Tuppence')).toContainText(/over by|No more today|0 kcal left/)
    await expect(door(other, 'Tuppence')).toContainText(/over by|No more today|0 kcal left/)
})

test('at the width of a phone, by one thumb', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 })
    await page.goto('/today')
    await expect(door(page, 'Biscay')).toBeVisible()
    await page.getByRole('button', { name: /^In the hand: Lentil/ }).click()
    await door(page, 'Biscay').getByRole('button', { name: 'Give Biscay one' }).click()
    await expect(door(page, 'Biscay')).toContainText(/had .*1 Lentil/)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    await expectAccessible(page)
    await page.getByRole('link', { name: 'Jars', exact: true }).click()
    await expect(shelf(page, 'The fridge')).toBeVisible()
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
})

test('a power cut is asked, felt and answered', async ({ page }) => {
    await page.goto('/jars')
    await page.getByRole('button', { name: 'Power cut' }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByLabel('For about how long').fill('30')
    await expect(dialog.getByRole('button', { name: /^Feel \d+ first$/ })).toBeDisabled()
    const looks = dialog.locator('.cut__bag--look')
    for (let many = await looks.count(); many > 0; many--) {
        await looks.first().getByRole('button', { name: 'hard' }).click()
        await expect(looks).toHaveCount(many - 1)
    }
    await expectAccessible(page)
    await dialog.getByRole('button', { name: 'Write it down' }).click()
    await expect(dialog).toBeHidden()
    // what must be cold and was in the fridge is gone
    await expect(shelf(page, 'The fridge').getByRole('link', { name: /pumpkin purée/ })).toHaveCount(0)
})
