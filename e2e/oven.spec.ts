import type { Locator, Page } from '@playwright/test'
import { expect, expectAccessible, freshKitchen, test } from './support'

/** At the oven: a whole bake of two lots, by keyboard alone; timers, other devices, a kitchen that is away. */
freshKitchen()

const TEXT = '300 g oat flour\n1 large egg\n120 g pumpkin puree'
const STEPS = 'Mix everything.\nRoll out and stamp.'

/** A recipe in two lots, kept as if it had been laid out in the studio: soft ones for Quill, hard ones for the rest. */
async function kept(page: Page, title: string): Promise<string> {
    const { dogs } = (await (await page.request.get('/api/kitchen')).json()) as { dogs: { id: string; name: string }[] }
    // two trays go in at once: both lots bake together
    await page.request.patch('/api/kitchen', { data: { traysAtOnce: 2 } })
    const quill = dogs.find((dog) => dog.name === 'Quill')?.id
    const made = await page.request.post('/api/recipes', {
        data: {
            title,
            text: TEXT,
            steps: STEPS,
            cut: { shape: 'round', diameterMm: 30, thicknessMm: 6 },
            texture: 'hard',
            portions: [{ id: 'soft', name: 'soft ones', dogs: [quill], share: 0.4, bake: { texture: 'soft' } }],
        },
    })
    expect(made.status()).toBe(201)

    return ((await made.json()) as { id: string }).id
}

/** A batch as it is begun from a sheet, without the way there. */
async function begun(page: Page, asked: Record<string, unknown>, title = 'Test rounds'): Promise<string> {
    const made = await page.request.post('/api/batches', {
        data: { asked, title, at: new Date().toISOString(), startAt: '2026-06-20T13:00', by: 'Ines Marlow' },
    })
    expect(made.status()).toBe(201)

    return ((await made.json()) as { id: string }).id
}

/** Somebody else writes something down. */
async function told(page: Page, batch: string, kind: string, said: Record<string, unknown>, at = Date.now(), by = 'Tom'): Promise<void> {
    const answer = await page.request.post(`/api/batches/${batch}/entries`, {
        data: { id: crypto.randomUUID(), at: new Date(at).toISOString(), by, kind, said },
    })
    expect(answer.status(), await answer.text()).toBe(201)
}

const stage = (page: Page): Locator => page.getByRole('region', { name: /^The step now|^The batch/ })
const main = (page: Page): Locator => stage(page).locator('.stage__main')

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
    await page.keyboard.press('Enter')
    await expect(stage(page)).toContainText('Weigh out everything')
    await expect(main(page)).toBeFocused()

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
    await expect(page.getByRole('alert').filter({ hasText: /^Not cleared for .*: bake it only for dogs that may have it/ })).toBeVisible()
    await page.getByRole('button', { name: 'Bake it all the same' }).click()
    await expect(page.getByText(/Begun while not cleared for/)).toBeVisible()
    // poison stops the eye at the oven as well
    await expect(page.getByRole('alert', { name: 'This stops the batch' })).toContainText('Every dog: 1/2 cup raisins.')
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

test('a weight comes from the scale to the line that waits for it, and a probe ends the core step', async ({ page }) => {
    const id = await begun(page, {
        recipe: { text: '300 g minced beef\n60 g oats' },
        cut: { shape: 'ball', diameterMm: 20 },
        bake: { texture: 'soft' },
        dogs: [],
    })
    await page.goto(`/oven/${id}`)
    await page.getByRole('button', { name: 'What went in' }).click()
    const went = page.getByRole('region', { name: 'What went in' })
    await went.getByRole('button', { name: '60 g oats' }).click()
    await went.getByRole('button', { name: 'From the scale' }).click()
    const scale = page.getByRole('region', { name: 'The scale' })
    await expect(scale).toContainText('no scale is connected')
    await scale.getByLabel('Lay on it, to try').fill('6000')
    await scale.getByLabel('Lay on it, to try').press('Enter')
    await expect(scale).toContainText('Too much for it')
    await expect(scale.getByRole('button', { name: 'Take it' })).toBeDisabled()
    await scale.getByLabel('Lay on it, to try').fill('72')
    await scale.getByLabel('Lay on it, to try').press('Enter')
    await expect(scale).toContainText('steady', { timeout: 10_000 })
    await scale.getByRole('button', { name: 'Take it' }).click()
    await expect(went.getByRole('button', { name: /60 g oats weighed 7[123]/ })).toBeVisible()
    const { plan } = (await (await page.request.get(`/api/batches/${id}`)).json()) as { plan: { steps: { id: string; kind: string }[] } }
    const core = plan.steps.findIndex((step) => step.kind === 'core')
    for (const step of plan.steps.slice(0, core)) if (!['look', 'turn', 'stir'].includes(step.kind)) await told(page, id, 'done', { step: step.id })
    await expect(stage(page)).toContainText('71 °C at the core')
    await page.getByRole('button', { name: 'Follow the probe' }).click()
    await expect(page.getByRole('group', { name: 'Core temperature' })).toContainText('stand-in probe')
    // it ends by itself when it is hot enough
    await expect(stage(page)).not.toContainText('71 °C at the core', { timeout: 30_000 })
    await page.getByRole('button', { name: 'Log', exact: true }).click()
    await expect(page.getByRole('region', { name: 'The log' })).toContainText(/Core: 7[1-9]/)
})

test('what the oven learned is reckoned with when it is accepted, and taken back the same way', async ({ page }) => {
    await page.goto('/oven')
    const lessons = page.getByRole('region', { name: 'What your oven says' })
    await expect(lessons).toContainText('your last 5 biscuit bakes: 15 % longer')
    await lessons.getByRole('button', { name: 'from 5 bakes' }).first().click()
    await expect(lessons.locator('.lesson__bakes').first().getByRole('link')).toHaveCount(5)
    await lessons.getByRole('button', { name: 'Reckon with it: your last 5 biscuit bakes: 15 % longer' }).click()
    await expect(lessons).toContainText('Plans reckon with')
    const planned = async (): Promise<number> => {
        const id = await begun(page, {
            recipe: { text: TEXT },
            cut: { shape: 'round', diameterMm: 20, thicknessMm: 6 },
            bake: { texture: 'biscuit' },
            dogs: [],
        })
        const { plan } = (await (await page.request.get(`/api/batches/${id}`)).json()) as {
            plan: { steps: { kind: string; minutes: { best: number } }[] }
        }

        return plan.steps.find((step) => step.kind === 'heat')?.minutes.best ?? 0
    }
    expect(await planned()).toBeGreaterThan(22)
    await lessons.getByRole('button', { name: 'Take it back: your last 5 biscuit bakes: 15 % longer' }).click()
    await expect(lessons).not.toContainText('Plans reckon with')
    expect(await planned()).toBe(20)
})

test('a recipe told without amounts is weighed by what came of it, dusting by its jar, and the minutes it took become its own', async ({ page }) => {
    const made = await page.request.post('/api/recipes', {
        data: {
            title: 'Told by hand',
            text: 'oat flour\nmashed banana',
            steps: 'Mix.\nBake for 10 minutes.',
            cut: { shape: 'pieces', count: 17 },
            texture: 'biscuit',
        },
    })
    const { id: recipe } = (await made.json()) as { id: string }
    await page.goto(`/bench/${recipe}`)
    await page.getByRole('button', { name: 'Bake it', exact: true }).click({ timeout: 15_000 })
    await page.getByRole('button', { name: 'Bake it all the same' }).click()
    await page.getByRole('button', { name: 'What went in' }).click()
    const went = page.getByRole('region', { name: 'What went in' })
    await went.getByLabel('Pieces that came of it').fill('17')
    await went.getByLabel('Pieces that came of it').press('Enter')
    await went.getByLabel('Each, raw').fill('12')
    await went.getByLabel('Each, raw').press('Enter')
    await went.getByRole('button', { name: 'About half and half' }).click()
    await expect(went.getByRole('button', { name: /^oat flour 102 g/ })).toBeVisible()
    await expect(went.getByRole('button', { name: /^mashed banana 102 g/ })).toBeVisible()
    await went.getByRole('button', { name: 'Dusting flour, weighed before and after' }).click()
    await went.getByLabel('Jar before').fill('400')
    await went.getByLabel('Jar before').press('Enter')
    await went.getByLabel('Jar after').fill('382')
    await went.getByLabel('Jar after').press('Enter')
    await went.locator('.v-expansion-panel, .fold').getByRole('button', { name: 'Write it down' }).click()
    await expect(went).toContainText('dusted with 18 g')
    // it took 14 minutes instead of 10
    const batch = page.url().split('/').at(-1) ?? ''
    const { plan } = (await (await page.request.get(`/api/batches/${batch}`)).json()) as { plan: { steps: { id: string; kind: string }[] } }
    const heat = plan.steps.find((step) => step.kind === 'heat')?.id
    await told(page, batch, 'begun', { step: heat }, Date.now() - 14 * 60_000)
    await told(page, batch, 'done', { step: heat })
    await page.getByRole('button', { name: 'Count', exact: true }).click()
    await page.getByRole('button', { name: 'The batch is finished' }).click()
    await page.getByRole('button', { name: 'Write 14 minutes into the recipe' }).click()
    await expect(page.getByText('The recipe says 14 minutes now.')).toBeVisible()
    expect(((await (await page.request.get(`/api/recipes/${recipe}`)).json()) as { steps: string }).steps).toBe('Mix.\nBake for 14 minutes.')
    // the recipe keeps its batches
    await page.goto(`/bench/${recipe}`)
    await page.getByRole('button', { name: 'Batches of it (1)' }).click()
    await expect(page.locator('.bake-it .strip')).toContainText('17 pieces')
})

test('two batches are compared, and one that was a slip is taken back step by step', async ({ page }) => {
    await page.goto('/oven')
    const batches = page.getByRole('region', { name: 'Batches so far' })
    await batches
        .getByRole('button', { name: /^Compare Beetroot and barley rounds of/ })
        .first()
        .click()
    await batches
        .getByRole('button', { name: /^Compare Lentil and celery crisps of/ })
        .last()
        .click()
    const compared = page.getByRole('region', { name: 'Two batches compared' })
    await expect(compared.getByRole('row', { name: /^Wasted/ })).toContainText('14 pieces')
    await compared.getByRole('button', { name: 'Close' }).click()
    await expect(compared).toBeHidden()
    await page
        .getByRole('region', { name: 'In the making' })
        .getByRole('link', { name: /Mussel and millet fingers/ })
        .click()
    await expect(page.getByRole('list', { name: 'Timers' }).locator('.timer')).toHaveCount(1)
    await page.getByRole('button', { name: 'The last step was a slip: take it back' }).click()
    await expect(page.getByRole('list', { name: 'Timers' }).locator('.timer')).toHaveCount(0)
})

test('it reads aloud with a voice, and shows everything without one', async ({ page }) => {
    await page.addInitScript(() => {
        const spoken: string[] = []
        Object.assign(window, { spoken })
        class Utterance extends EventTarget {
            lang = ''
            rate = 1
            voice = null
            pitch = 1
            volume = 1
            constructor(readonly text: string) {
                super()
            }
        }
        Object.assign(window, { SpeechSynthesisUtterance: Utterance })
        Object.defineProperty(window, 'speechSynthesis', {
            value: {
                speak: (one: Utterance) => spoken.push(one.text),
                cancel: () => undefined,
                pause: () => undefined,
                resume: () => undefined,
                getVoices: () => [],
            },
        })
    })
    const id = await begun(page, { recipe: { text: TEXT }, dogs: [] })
    await page.goto(`/oven/${id}`)
    await page.getByRole('button', { name: 'Read aloud' }).click()
    const spoken = (): Promise<string[]> => page.evaluate(() => (window as unknown as { spoken: string[] }).spoken)
    await expect.poll(spoken).toContainEqual(expect.stringContaining('Weigh out everything'))
    await main(page).click()
    await expect.poll(async () => (await spoken()).at(-1)).toContain('Heat the oven')
    await page.getByRole('button', { name: 'It reads aloud' }).click()
})

test('the oven is accessible, and large enough for two metres', async ({ page }) => {
    await page.goto('/oven')
    await expect(page.getByRole('region', { name: 'Batches so far' })).toContainText('Beetroot')
    await expectAccessible(page)
    const id = await begun(page, { recipe: { text: TEXT }, dogs: [] })
    await page.goto(`/oven/${id}`)
    await expect(main(page)).toHaveText('Done')
    await told(page, id, 'timer', { timer: 'short', name: 'the second oven', seconds: 1 })
    await expect(page.locator('.timer--rings')).toBeVisible()
    await expectAccessible(page)
    // letters of the step, and of what is left, are read at a third of their size
    for (const [one, least] of [
        ['.stage__words', 28],
        ['.timer__time', 44],
    ] as const)
        expect(
            await page
                .locator(one)
                .first()
                .evaluate((it) => parseFloat(getComputedStyle(it).fontSize)),
        ).toBeGreaterThanOrEqual(least)
    for (const side of ['What went in', 'Count', 'Log']) {
        await page.getByRole('button', { name: side, exact: true }).click()
        await expectAccessible(page)
    }
    const small = await page.evaluate(() =>
        [...document.querySelectorAll<HTMLElement>('.stage .v-btn, .timer .v-btn')]
            .filter((one) => one.getBoundingClientRect().height < 64)
            .map((one) => one.textContent),
    )
    expect(small).toEqual([])
})
