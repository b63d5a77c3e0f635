import type { Locator, Page } from '@playwright/test'
import { expect, freshKitchen, test } from './support'
import { begun, kept, main, stage, TEXT, told } from './oven-support'

/** At the oven: a whole bake of two lots, by keyboard alone; timers, other devices, a kitchen that is away. */
freshKitchen()

/** Walks with Tab until the focus is there. */
async function tabTo(page: Page, there: Locator, most = 160): Promise<void> {
    for (let n = 0; n < most; n++) {
        if ((await there.count()) === 1 && (await there.evaluate((one) => one === document.activeElement))) return
        await page.keyboard.press('Tab')
    }
    throw new Error(`Tab never comes to ${there.toString()}`)
}

async function press(page: Page, there: Locator, most = 160): Promise<void> {
    await tabTo(page, there, most)
    await page.keyboard.press('Enter')
}

async function type(page: Page, field: Locator, text: string): Promise<void> {
    await tabTo(page, field)
    await page.keyboard.type(text)
    await page.keyboard.press('Enter')
}

test('two lots are baked with an addition, a correction, a tasting and a burnt tray, by keyboard alone', { tag: '@key-oven' }, async ({ page }) => {
    test.slow()
    const recipe = await kept(page, 'Two lots')
    await page.goto(`/bench/${recipe}`)
    await expect(page.getByRole('button', { name: 'Bake it' })).toBeEnabled({ timeout: 15_000 })
    await press(page, page.getByRole('button', { name: 'Bake it' }))
    // somebody at the table is not cleared yet: the same key once more
    await expect(page.getByRole('alert').filter({ hasText: 'bake it only for dogs that may have it' })).toBeVisible()
    await expect(page.getByRole('button', { name: 'Bake it all the same' })).toBeEnabled()
    await page.keyboard.press('Enter')
    await expect(stage(page)).toContainText('Weigh out everything')
    await expect(main(page)).toBeFocused()
    await expect(main(page)).toBeEnabled()

    // what really went in: two thirds of the purée, a spoon of flour; a slip is corrected
    await press(page, page.getByRole('button', { name: 'What went in' }))
    const went = page.getByRole('region', { name: 'What went in' })
    await press(page, went.getByRole('button', { name: '120 g pumpkin puree' }))
    await press(page, went.getByRole('button', { name: 'half', exact: true }))
    await expect(went.getByRole('button', { name: /120 g pumpkin puree half/ })).toBeVisible()
    await press(page, went.getByRole('button', { name: /120 g pumpkin puree half/ }))
    await press(page, went.getByRole('button', { name: 'two of three' }))
    await expect(went.getByRole('button', { name: /120 g pumpkin puree two of three/ })).toBeVisible()
    await press(page, went.getByRole('button', { name: '+ 1 tbsp oat flour' }))
    await expect(went.getByText('+ 1 tbsp oat flour', { exact: true }).first()).toBeVisible()
    // Bosun licked the spoon, and Odette would not
    await press(page, went.getByRole('button', { name: 'Bosun' }))
    await press(page, went.getByRole('button', { name: 'Write it down' }))
    await expect(went.getByRole('button', { name: 'Write it down' })).toBeHidden()
    // too sticky: an offer with its amount, booked by one key
    await press(page, went.getByRole('button', { name: 'too sticky' }))
    await press(page, went.getByRole('button', { name: /^Work in .* and write it down$/ }))
    await expect(went.locator('.went__added')).toHaveCount(2)

    // through the steps by one key: whatever is begun by itself is begun, both lots go in
    await press(page, page.getByRole('button', { name: 'Timers', exact: true }))
    await press(page, main(page), 220)
    const isNothing = async (): Promise<boolean> => (await page.getByText('Nothing to do').count()) > 0
    for (let n = 0; n < 12 && !(await isNothing()); n++) {
        await expect.poll(async () => (await isNothing()) || (await page.locator('.stage__main:focus').count()) === 1).toBe(true)
        if (await isNothing()) break
        const words = await stage(page).locator('.stage__words').textContent()
        await expect(main(page)).toBeEnabled()
        await page.keyboard.press('Enter')
        await expect(stage(page).locator('.stage__words')).not.toHaveText(words ?? '')
    }
    await expect(stage(page)).toContainText('Nothing to do')
    const timers = page.getByRole('list', { name: 'Timers' })
    await expect(timers.getByText('soft ones').first()).toBeVisible()
    await expect(timers.getByText(/^for Biscay/).first()).toBeVisible()

    // the soft ones are out before they ring; their core is typed: too cool, then enough
    const steps = page.getByRole('list', { name: 'All steps' })
    await press(page, steps.getByRole('button', { name: /^Done now: Bake soft ones/ }), 220)
    await expect(stage(page)).toContainText('71 °C')
    await type(page, page.getByLabel('What the probe shows'), '740')
    await expect(page.getByRole('alert').filter({ hasText: 'is 74 °C meant?' })).toBeVisible()
    await page.getByLabel('What the probe shows').fill('')
    await type(page, page.getByLabel('What the probe shows'), '66')
    await expect(page.getByText('66 °C is under 71 °C')).toBeVisible()
    await page.getByLabel('What the probe shows').fill('')
    await type(page, page.getByLabel('What the probe shows'), '74')
    await expect(steps.locator('li', { hasText: 'Probe the thickest piece' }).first()).toContainText('Ines Marlow')

    // counted: the hard tray burnt
    await press(page, page.getByRole('button', { name: 'Count', exact: true }))
    const soft = page.getByRole('group', { name: 'soft ones', exact: true })
    const hard = page.getByRole('group', { name: /^for Biscay/ })
    await type(page, soft.getByLabel('Pieces', { exact: true }), '30')
    await type(page, soft.getByLabel('Weight, cold'), '9999')
    await expect(page.getByRole('alert').filter({ hasText: 'are more than the' })).toBeVisible()
    await soft.getByLabel('Weight, cold').fill('')
    await type(page, soft.getByLabel('Weight, cold'), '150')
    await type(page, hard.getByLabel('Wasted pieces'), '12')
    await expect(hard).toContainText('Wasted: 12 burnt')
    await type(page, hard.getByLabel('Pieces', { exact: true }), '40')
    await type(page, soft.getByLabel(/^Put away/), '30')
    await expect(page.getByRole('list', { name: 'Put away' })).toContainText('30 in the jar')
    await type(page, page.getByLabel('What to do differently, or how it went'), 'turn the tray')
    await press(page, page.getByRole('button', { name: 'The batch is finished' }))
    await expect(stage(page)).toContainText('Finished')

    // the strip knows it; again as it was made
    await page.keyboard.press('Control+,')
    await page.keyboard.press('v')
    await expect(page.getByRole('region', { name: 'Batches so far' })).toContainText('turn the tray')
    await page.goBack()
    await press(page, page.getByRole('button', { name: 'Make this one again, as made' }))
    await expect(page).toHaveURL(/\/bench\//)
    await expect(page.locator('.cm-content')).toContainText('80 g pumpkin puree')
    await expect(page.locator('.cm-content')).toContainText('1 tbsp oat flour')
})

test('a sheet that is not cleared is begun with a second tap, and says so for as long as it is made', async ({ page }) => {
    await page.goto('/shelf')
    await page
        .getByRole('button', { name: /Clipped winter loaf/ })
        .first()
        .click()
    const bake = page.getByRole('button', { name: 'Bake it', exact: true })
    await expect(bake).toBeEnabled({ timeout: 15_000 })
    await bake.click()
    await expect(page.getByRole('alert').filter({ hasText: /1\/2 cup raisins.*: no dog may have any of this\./ })).toBeVisible()
    await page.getByRole('button', { name: 'Bake it all the same' }).click()
    await expect(page.getByText(/Begun while not cleared for/)).toBeVisible()
    // poison stops the eye at the oven as well
    await expect(page.getByRole('alert', { name: 'This stops the batch' })).toContainText('Every dog: 1/2 cup raisins.')
})

test('a hand that taps twice means once, on the sheet and at the oven', async ({ page }) => {
    await page.goto('/shelf')
    await page
        .getByRole('button', { name: /Clipped winter loaf/ })
        .first()
        .click()
    const bake = page.locator('.bake-it__go')
    await expect(bake).toBeEnabled({ timeout: 15_000 })
    await bake.dblclick()
    await expect(bake).toHaveText('Bake it all the same')
    await expect(page).toHaveURL(/\/bench\//)

    const id = await begun(page, { recipe: { text: TEXT, steps: 'Mix everything.\nRoll out and stamp.' }, dogs: [] })
    await page.goto(`/oven/${id}`)
    await expect(main(page)).toHaveText('Done')
    const words = page.locator('.stage__words')
    const first = await words.textContent()
    await main(page).dblclick()
    await expect(words).not.toHaveText(first ?? '')
    await expect(page.getByText(/^1 of \d+ steps/)).toBeVisible()
    // and the next tap is taken
    await expect(main(page)).toBeEnabled()
    const second = await words.textContent()
    await main(page).click()
    await expect(words).not.toHaveText(second ?? '')
})

test('a timer is a moment: it rings after a reload, on another device, and and five minutes more', async ({ page, context }) => {
    const id = await begun(page, { recipe: { text: TEXT }, dogs: [] })
    await page.goto(`/oven/${id}`)
    const timers = page.getByRole('list', { name: 'Timers' })
    await page.getByRole('button', { name: 'A timer of 5 minutes' }).click()
    await expect(timers).toContainText(/4:5\d/)
    const before = await timers.locator('.timer__when').textContent()
    await page.reload()
    await expect(timers.locator('.timer__when')).toHaveText(before ?? '')
    await expect(timers).toContainText(/4:[45]\d/)
    const other = await context.newPage()
    await other.goto(`/oven/${id}`)
    await expect(other.getByRole('list', { name: 'Timers' }).locator('.timer__when')).toHaveText(before ?? '')
    await other.close()
    // one that is over rings: seen, and told
    await told(page, id, 'timer', { timer: 'short', name: 'the second oven', seconds: 1 })
    await expect(page.locator('.timer--rings')).toContainText('the second oven')
    await expect(page.locator('.oven--rings')).toBeVisible()
    await page.getByRole('button', { name: 'Five more minutes: the second oven' }).click()
    await expect(page.locator('.timer--rings')).toHaveCount(0)
    await page.getByRole('button', { name: 'Stop: the second oven' }).click()
    await expect(timers.locator('.timer')).toHaveCount(1)
})

test('a clock of the device that is an hour wrong changes nothing: the kitchen tells the time', async ({ page }) => {
    const id = await begun(page, { recipe: { text: TEXT }, dogs: [] })
    await told(page, id, 'timer', { timer: 'long', name: 'the oven', seconds: 300 })
    await page.clock.install({ time: Date.now() + 3_600_000 })
    await page.goto(`/oven/${id}`)
    const timers = page.getByRole('list', { name: 'Timers' })
    await expect(timers).toContainText(/4:[0-5]\d/)
    // what is written down here has the kitchen's time
    await page.getByRole('button', { name: 'A timer of 5 minutes' }).click()
    await expect(timers.locator('.timer')).toHaveCount(2)
    const entries = (await (await page.request.get(`/api/batches/${id}/entries`)).json()) as { at: string }[]
    for (const one of entries) expect(Math.abs(Date.parse(one.at) - Date.now())).toBeLessThan(30_000)
})

test('two people at one oven lose nothing, and a step is done once', async ({ page, context }) => {
    const id = await begun(page, { recipe: { text: TEXT }, dogs: [] })
    const other = await context.newPage()
    await page.goto(`/oven/${id}`)
    await other.goto(`/oven/${id}`)
    await expect(main(page)).toHaveText('Done')
    await expect(main(other)).toHaveText('Done')
    await other.getByLabel('Who is baking').fill('Tom')
    await other.getByLabel('Who is baking').press('Tab')
    await other.getByRole('button', { name: 'What went in' }).click()
    await Promise.all([main(page).click(), other.getByRole('button', { name: '+ 1 tsp water' }).click()])
    // each sees what the other wrote
    await page.getByRole('button', { name: 'Log', exact: true }).click()
    await expect(page.getByRole('region', { name: 'The log' })).toContainText('+ 1 tsp water')
    await expect(page.getByRole('region', { name: 'The log' })).toContainText('Tom')
    await expect(other.getByRole('list', { name: 'All steps' }).locator('li').first()).toContainText('Ines Marlow')
    await other.close()
})

test('a name that is being typed when the kitchen arrives stands', async ({ page }) => {
    const id = await begun(page, { recipe: { text: TEXT }, dogs: [] })
    let arrive: (value?: unknown) => void = () => undefined
    const held = new Promise((resolve) => (arrive = resolve))
    await page.route('**/api/kitchen', async (route) => {
        await held
        await route.continue()
    })
    await page.goto(`/oven/${id}`)
    const who = page.getByLabel('Who is baking')
    await who.fill('Tom')
    arrive()
    await expect(page.getByRole('button', { name: 'What went in' })).toBeVisible()
    await expect(who).toHaveValue('Tom')
    await who.press('Tab')
    await expect(main(page)).toHaveText('Done')
    await main(page).click()
    await page.getByRole('button', { name: 'Log', exact: true }).click()
    await expect(page.getByRole('region', { name: 'The log' })).toContainText('Tom')
})

test('what another hand wrote just before is read, though no news of it come', async ({ page }) => {
    const id = await begun(page, { recipe: { text: TEXT }, dogs: [] })
    await page.goto(`/oven/${id}`)
    await expect(main(page)).toHaveText('Done')
    await page.route('**/api/changes**', () => undefined)
    const said = { about: 'other', text: 'the lower shelf' }
    const note = { id: crypto.randomUUID(), at: new Date().toISOString(), by: 'Tom', kind: 'note', said }
    expect((await page.request.post(`/api/batches/${id}/entries`, { data: note })).status()).toBe(201)
    await page.getByRole('button', { name: 'A timer of 10 minutes' }).click()
    await page.getByRole('button', { name: 'Log', exact: true }).click()
    await expect(page.getByRole('region', { name: 'The log' })).toContainText('the lower shelf')
})

test('the oven goes on while the kitchen is away, and sends what was done when it is back', async ({ page, context }) => {
    const id = await begun(page, { recipe: { text: TEXT }, dogs: [] })
    await page.goto(`/oven/${id}`)
    await expect(main(page)).toHaveText('Done')
    await context.route('**/api/**', (route) => route.abort())
    const first = await stage(page).locator('.stage__words').textContent()
    await main(page).click()
    await expect(stage(page).locator('.stage__words')).not.toHaveText(first ?? '')
    await page.getByRole('button', { name: 'A timer of 10 minutes' }).click()
    await expect(page.getByRole('list', { name: 'Timers' })).toContainText(/9:5\d/)
    await expect(page.getByText('waits for the kitchen; kept in this browser')).toBeVisible()
    await context.unroute('**/api/**')
    await expect(page.getByText('waits for the kitchen; kept in this browser')).toBeHidden({ timeout: 20_000 })
    const entries = (await (await page.request.get(`/api/batches/${id}/entries`)).json()) as { kind: string }[]
    expect(entries.map((one) => one.kind).sort()).toEqual(['done', 'timer'])
})

test('what two did while one was away: the later is told, and what she did besides is written down', async ({ page, browser, baseURL }) => {
    const id = await begun(page, { recipe: { text: TEXT, steps: 'Mix.\nRoll out and stamp.' }, dogs: [] })
    await page.goto(`/oven/${id}`)
    await expect(main(page)).toHaveText('Done')
    await page.context().route('**/api/**', (route) => route.abort())
    const first = await stage(page).locator('.stage__words').textContent()
    await main(page).click()
    await expect(stage(page).locator('.stage__words')).not.toHaveText(first ?? '')
    await page.getByRole('button', { name: 'A timer of 10 minutes' }).click()
    // meanwhile another device does the same step
    const elsewhere = await browser.newContext({ baseURL: baseURL ?? '' })
    await told(await elsewhere.newPage(), id, 'done', { step: 's1' })
    await elsewhere.close()
    await page.context().unroute('**/api/**')
    const trouble = page.getByRole('alert').filter({ hasText: 'Not written down: Done: Weigh out everything' })
    await expect(trouble).toContainText('That step is done already, by Tom.', { timeout: 20_000 })
    await expect(page.getByText('waits for the kitchen; kept in this browser')).toBeHidden()
    const entries = (await (await page.request.get(`/api/batches/${id}/entries`)).json()) as { kind: string; by: string }[]
    expect(entries.map((one) => `${one.kind} ${one.by}`).sort()).toEqual(['done Tom', 'timer Ines Marlow'])
    await trouble.getByRole('button', { name: 'I see' }).click()
    await expect(trouble).toBeHidden()
})

test('something added that a dog at the table may not have stops the eye, until it is undone', async ({ page }) => {
    const { dogs } = (await (await page.request.get('/api/kitchen')).json()) as { dogs: { id: string; name: string }[] }
    const id = await begun(page, {
        recipe: { text: '300 g rice flour\n100 g water' },
        dogs: dogs.filter((dog) => dog.name === 'Tuppence').map((dog) => dog.id),
    })
    await page.goto(`/oven/${id}`)
    await page.getByRole('button', { name: 'What went in' }).click()
    const went = page.getByRole('region', { name: 'What went in' })
    await went.getByLabel('Something else that went in').fill('2 tbsp wheat flour')
    await went.getByRole('button', { name: 'Add', exact: true }).click()
    const stop = page.getByRole('alert', { name: 'This stops the batch' })
    await expect(stop).toContainText('Tuppence: 2 tbsp wheat flour.')
    await went.getByLabel('Something else that went in').fill('a handful of raisins')
    await went.getByRole('button', { name: 'Add', exact: true }).click()
    await expect(stop).toContainText('Every dog: a handful of raisins.')
    await went.getByRole('button', { name: 'Undo + a handful of raisins' }).click()
    await went.getByRole('button', { name: 'Undo + 2 tbsp wheat flour' }).click()
    await expect(stop).toBeHidden()
})
