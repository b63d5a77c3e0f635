import { expect, expectAccessible, freshKitchen, test } from './support'
import { begun, main, stage, TEXT, told } from './oven-support'

/** A kitchen that learns: its devices, what came of a batch, what the oven says of itself, how it is shown and spoken. */
freshKitchen()

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

test('before it is begun the sheet says when it is ready, and when to begin to be ready by an hour; two ovens are sooner', async ({ page }) => {
    // nine trays, one at a time
    const made = await page.request.post('/api/recipes', {
        data: {
            title: 'A great many',
            text: '2 kg oat flour\n1 kg pumpkin puree',
            cut: { shape: 'round', diameterMm: 60, thicknessMm: 6 },
            texture: 'biscuit',
        },
    })
    const { id } = (await made.json()) as { id: string }
    await page.goto(`/bench/${id}`)
    await page.getByRole('button', { name: 'The oven, and when it is ready' }).click()
    const ready = page.getByRole('region', { name: 'When it is ready' })
    const inAll = async (): Promise<number> => {
        const [, hours, minutes] = /(?:(\d+) h ?)?(?:(\d+) min)? in all/.exec((await ready.textContent()) ?? '') ?? []

        return 60 * Number(hours ?? 0) + Number(minutes ?? 0)
    }
    await expect(ready).toContainText('in all')
    const one = await inAll()
    await ready.getByLabel('To be ready by').fill('23:30')
    await ready.getByRole('button', { name: 'tomorrow' }).click()
    const begins = (minutes: number): string => new Date(Date.UTC(2026, 5, 21, 23, 30) - 60_000 * minutes).toISOString().slice(11, 16)
    await expect(ready).toContainText(`Begin at ${begins(one)} on `)
    await expect(ready.getByRole('list', { name: 'What is done when' }).locator('li').first()).toContainText(begins(one))
    await ready.getByRole('button', { name: 'today' }).click()
    await ready.getByLabel('To be ready by').fill('00:05')
    await expect(ready).toContainText('That is too soon')
    await page.getByRole('button', { name: 'two at once' }).click()
    await expect.poll(inAll).toBeLessThan(one)
    // begun so, it is of both, and what it teaches of neither
    await page.getByRole('button', { name: /^Bake it/ }).click()
    await page.getByRole('button', { name: 'Bake it all the same' }).or(page.locator('.stage__main')).first().waitFor()
    if (page.url().includes('bench')) await page.locator('.bake-it__go').click()
    await expect(page).toHaveURL(/\/oven\//)
    const batch = (await (await page.request.get(`/api/batches/${page.url().split('/').pop() ?? ''}`)).json()) as { oven: string }
    expect(batch.oven).toBe('two ovens at once')
    // the card keeps the strip
    await page.goto(`/card/${id}`)
    await expect(page.getByRole('region', { name: 'Batches of it' }).getByRole('link')).toContainText('in the making')
})

test('of what is written from so much to so much, the less and the more are one tap each', async ({ page }) => {
    const id = await begun(page, { recipe: { text: '300 g oat flour\n1/4 to 1/2 cup water' }, dogs: [] })
    await page.goto(`/oven/${id}`)
    await page.getByRole('button', { name: 'What went in' }).click()
    const went = page.getByRole('region', { name: 'What went in' })
    await went.getByRole('button', { name: '300 g oat flour' }).click()
    await expect(went.getByRole('button', { name: /^the less of it/ })).toHaveCount(0)
    await went.getByRole('button', { name: '1/4 to 1/2 cup water' }).click()
    await expect(went.getByRole('button', { name: 'the less of it, 59 g' })).toBeVisible()
    await went.getByRole('button', { name: 'all of it, 120 g' }).click()
    await expect(went.getByRole('button', { name: /1\/4 to 1\/2 cup water all of it, 120 g/ })).toBeVisible()
    await expect
        .poll(async () => {
            const entries = (await (await page.request.get(`/api/batches/${id}/entries`)).json()) as { said: { entry: unknown } }[]

            return entries[0]?.said.entry
        })
        .toEqual({ row: 1, grams: 120 })
})
