import type { Locator, Page } from '@playwright/test'
import { begun, told } from './oven-support'
import { expect, expectAccessible, freshKitchen, test } from './support'

/** What a batch leaves over, what is planned, what is at hand, labels and the calendar; a tap before the kitchen has answered. */
freshKitchen()

const door = (page: Page, dog: string): Locator =>
    page
        .getByRole('list', { name: 'The dogs' })
        .getByRole('listitem')
        .filter({ has: page.getByRole('link', { name: dog }) })
const due = (page: Page): Locator => page.getByRole('region', { name: 'What is due' })

test('half a tin, the ends of the dough and the scraps are asked after when a batch ends', async ({ page }) => {
    const batch = await begun(
        page,
        {
            recipe: { text: '300 g oat flour\n120 g plain pumpkin puree\n1 apple, cored and grated' },
            cut: { shape: 'round', diameterMm: 40, thicknessMm: 8 },
        },
        'Apple rounds',
    )
    await told(page, batch, 'count', { pieces: 30 })
    await told(page, batch, 'finished', {})
    await page.goto('/today')
    await expect(due(page)).toContainText('Left over of Apple rounds: plain pumpkin purée, dough?')
    await due(page).getByRole('listitem').filter({ hasText: 'Left over' }).getByRole('link', { name: 'Apple rounds' }).click()
    const left = page.getByRole('region', { name: 'Left over' })
    await expect(left).toContainText("Out of every dog's reach")
    await expect(left).toContainText('core and seeds (apple): The seeds hold a little cyanide')
    await expectAccessible(page)
    await left.getByRole('button', { name: 'plain pumpkin purée: The fridge' }).click()
    await expect(left.getByRole('listitem').filter({ hasText: 'plain pumpkin purée' }).first()).toContainText('put by')
    await left.getByRole('button', { name: 'Nothing is left of the dough' }).click()
    await expect(left.getByRole('listitem').filter({ hasText: 'became no piece' })).toContainText('nothing left')
    // the way back of what was done before may still stand in front
    await page.getByRole('status').filter({ hasText: 'dough' }).getByRole('button', { name: 'Undo' }).click()
    await left.getByRole('button', { name: 'dough: Freezer drawer' }).click()
    await page.getByRole('link', { name: 'Jars', exact: true }).click()
    await expect(page.getByRole('region', { name: 'Freezer drawer', exact: true }).getByRole('link', { name: /Apple rounds, dough/ })).toBeVisible()
    await page
        .getByRole('region', { name: 'The fridge', exact: true })
        .getByRole('link', { name: /plain pumpkin purée, opened/ })
        .click()
    await expect(page.getByRole('list', { name: 'Bake from it' })).toContainText('Mussel and millet fingers takes it')
    await page.getByRole('link', { name: 'Today', exact: true }).click()
    await expect(due(page)).toContainText('uses up')
    await expect(due(page)).not.toContainText('Left over of Apple rounds')
})

test('a bake is planned in a tap, stands on Today and in the calendar, and is let go', async ({ page }) => {
    await page.goto('/today')
    await due(page).getByRole('button', { name: 'Plan to bake Mussel and millet fingers' }).click()
    await page.getByRole('group', { name: 'When to bake Mussel and millet fingers' }).getByRole('button', { name: 'tomorrow' }).click()
    await expect(due(page).getByRole('listitem').filter({ hasText: 'Bake tomorrow' })).toContainText('Mussel and millet fingers')
    // another day moves the plan, and makes no second
    await due(page).getByRole('button', { name: 'Plan to bake Mussel and millet fingers' }).click()
    await page.getByRole('group', { name: 'When to bake Mussel and millet fingers' }).getByRole('button', { name: 'today' }).click()
    await expect(due(page).getByRole('listitem').filter({ hasText: 'Bake today' })).toContainText('Mussel and millet fingers')
    await expect(due(page).getByRole('listitem').filter({ hasText: 'Bake tomorrow' })).toHaveCount(0)
    await expect.poll(async () => ((await (await page.request.get('/api/planned')).json()) as unknown[]).length).toBe(1)
    await expect.poll(async () => (await page.request.get('/api/calendar')).text()).toContain('Bake: Mussel and millet fingers')
    await due(page).getByRole('link', { name: 'Mussel and millet fingers' }).first().click()
    await expect(page.getByText('Planned for today.')).toBeVisible()
    await page.getByRole('button', { name: 'Do not bake Mussel and millet fingers then' }).click()
    await expect(page.getByText('Planned for today.')).toBeHidden()
    await page.getByRole('link', { name: 'Today', exact: true }).click()
    await expect(due(page)).not.toContainText('Bake today')
})

test('a tap that comes before the kitchen has answered is carried out once', async ({ page }) => {
    await page.route('**/api/day*', async (route) => {
        await new Promise((resolve) => setTimeout(resolve, 1500))
        await route.continue()
    })
    await page.goto('/today')
    await page.getByRole('button', { name: /^In the hand: Venison/ }).click()
    await expect(door(page, 'Bosun')).toContainText('not known yet')
    await door(page, 'Bosun').getByRole('button', { name: 'Give Bosun one' }).click()
    await expect(door(page, 'Bosun')).toContainText('had 1 Venison and parsnip coins')
    await page.waitForTimeout(600)
    await expect(door(page, 'Bosun')).toContainText('had 1 Venison and parsnip coins')
    await expect.poll(async () => ((await (await page.request.get('/api/day')).json()) as { given: unknown[] }).given.length).toBe(1)
})

test('an occasion borrows from the days after, and is given back', async ({ page }) => {
    const { dogs } = (await (await page.request.get('/api/kitchen')).json()) as { dogs: { id: string; name: string }[] }
    const given = await page.request.post('/api/given', {
        data: {
            id: crypto.randomUUID(),
            at: new Date().toISOString(),
            by: 'Tom',
            label: { name: 'Birthday slice', kcal: 90 },
            dogs: [{ dog: dogs.find((one) => one.name === 'Tuppence')?.id, pieces: 1 }],
        },
    })
    expect(given.status()).toBe(201)
    await page.goto('/today')
    await expect(door(page, 'Tuppence')).toContainText(/over by \d+ kcal/)
    await door(page, 'Tuppence').getByRole('button', { name: 'An occasion: Tuppence borrows from the days after' }).click()
    await expect(door(page, 'Tuppence')).toContainText(/An occasion: (the day after gives|\d days after give) it up/)
    await expect(door(page, 'Tuppence')).not.toContainText('over by')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(door(page, 'Tuppence')).toContainText(/over by \d+ kcal/)
})

test('labels are chosen and print what a bag is; raw dough is put by from the oven', async ({ page }) => {
    await page.goto('/labels/print')
    const sheet = page.getByRole('group', { name: 'Sheet 1 of 1' })
    const print = page.getByRole('button', { name: /^Print \d+$/ })
    await expect(print).toBeEnabled()
    await page
        .getByRole('group', { name: 'Which bags' })
        .getByRole('button', { name: /Venison and parsnip coins/ })
        .first()
        .click()
    await expect(sheet).toContainText('Venison and parsnip coins')
    await expect.poll(async () => `Print ${await sheet.locator('.print-page__frame').count()}`).toBe(await print.innerText())
    const { lots } = (
        (await (await page.request.get('/api/batches')).json()) as { id: string; state: string; title: string; lots: unknown[] }[]
    ).find((one) => one.state === 'making') ?? { lots: [] }
    expect(lots.length).toBeGreaterThan(0)
    const making = ((await (await page.request.get('/api/batches')).json()) as { id: string; state: string }[]).find((one) => one.state === 'making')
    await page.goto(`/jars?dough=${making?.id ?? ''}`)
    const dough = page.getByRole('list', { name: 'Dough to put by' })
    await dough.getByLabel('Pieces').fill('20')
    await dough.getByRole('button', { name: 'Freezer drawer' }).click()
    await expect(
        page.getByRole('region', { name: 'Freezer drawer', exact: true }).getByRole('link', { name: /Mussel and millet fingers, dough/ }),
    ).toBeVisible()
})

test('what is at hand is one word for each food, and the calendar has an address of its own', async ({ page }) => {
    await page.goto('/cupboard/at-hand')
    const hand = page.getByRole('region', { name: 'At hand' })
    await hand.getByLabel('Food', { exact: true }).fill('oat flour')
    await page.keyboard.press('Enter')
    await hand.getByRole('button', { name: 'It is at hand' }).click()
    const row = hand.getByRole('list', { name: 'In the pantry' }).getByRole('listitem').filter({ hasText: 'oat flour' })
    await row
        .getByRole('button', { name: 'out' })
        .or(row.getByRole('radio', { name: 'out' }))
        .first()
        .click()
    await expect(hand).toContainText('To buy: oat flour')
    await expectAccessible(page)
    await page.goto('/jars')
    await page.getByRole('button', { name: 'Calendar' }).click()
    const paper = page.getByRole('dialog')
    await expect(paper).toContainText('bakes that are planned, whom to weigh')
    await paper.getByRole('button', { name: /address/ }).click()
    const address = await paper.getByLabel('Address to subscribe to').inputValue()
    expect((await page.request.get(new URL(address).pathname)).headers()['content-type']).toContain('text/calendar')
    await expectAccessible(page)
})

test('a bag that is meant for one dog is not offered to the others', async ({ page }) => {
    const { dogs } = (await (await page.request.get('/api/kitchen')).json()) as { dogs: { id: string; name: string }[] }
    const bags = (await (await page.request.get('/api/bags')).json()) as { id: string; title: string; frozen: boolean }[]
    const lentil = bags.find((one) => one.title.startsWith('Lentil') && !one.frozen)
    const meant = await page.request.post('/api/jar-acts', {
        data: {
            id: crypto.randomUUID(),
            at: new Date().toISOString(),
            by: 'Tom',
            do: 'for',
            said: { bag: lentil?.id, dogs: [dogs.find((one) => one.name === 'Odette')?.id] },
        },
    })
    expect(meant.status()).toBe(201)
    await page.goto('/today')
    await page.getByRole('button', { name: /^In the hand: Lentil/ }).click()
    await expect(door(page, 'Biscay')).toContainText('This bag is for Odette.')
    await page.getByRole('button', { name: 'One each: 1' }).click()
    await expect(door(page, 'Odette')).toContainText('had 1 Lentil and celery crisps')
    await expect(door(page, 'Biscay')).toContainText('nothing yet')
})
