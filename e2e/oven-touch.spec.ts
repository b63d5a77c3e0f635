import { devices, type Locator, type Page } from '@playwright/test'
import { expect, freshKitchen, test } from './support'

/** The same bake by a thumb alone, on a screen of 390 × 844. */
freshKitchen()

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, userAgent: devices['Pixel 7'].userAgent })

const stage = (page: Page): Locator => page.getByRole('region', { name: /^The step now|^The batch/ })

test('two lots are baked with an addition, a correction, a tasting and a burnt tray, by touch alone', async ({ page }) => {
    test.slow()
    const { dogs } = (await (await page.request.get('/api/kitchen')).json()) as { dogs: { id: string; name: string }[] }
    await page.request.patch('/api/kitchen', { data: { traysAtOnce: 2 } })
    const made = await page.request.post('/api/recipes', {
        data: {
            title: 'Two lots',
            text: '300 g oat flour\n1 large egg\n120 g pumpkin puree',
            steps: 'Mix everything.\nRoll out and stamp.',
            cut: { shape: 'round', diameterMm: 30, thicknessMm: 6 },
            texture: 'hard',
            portions: [
                { id: 'soft', name: 'soft ones', dogs: [dogs.find((dog) => dog.name === 'Quill')?.id], share: 0.4, bake: { texture: 'soft' } },
            ],
        },
    })
    await page.goto(`/bench/${((await made.json()) as { id: string }).id}`)
    const bake = page.getByRole('button', { name: /^Bake it/ })
    await expect(bake).toBeEnabled({ timeout: 15_000 })
    await bake.tap()
    await expect(page.getByRole('button', { name: 'Bake it all the same' })).toBeVisible()
    await bake.tap()
    await expect(stage(page)).toContainText('Weigh out everything')

    const side = (name: string): Promise<void> => page.getByRole('button', { name, exact: true }).tap()
    await side('What went in')
    const went = page.getByRole('region', { name: 'What went in' })
    await went.getByRole('button', { name: '120 g pumpkin puree' }).tap()
    await went.getByRole('button', { name: 'half', exact: true }).tap()
    await went.getByRole('button', { name: /120 g pumpkin puree half/ }).tap()
    await went.getByRole('button', { name: 'two of three' }).tap()
    await expect(went.getByRole('button', { name: /120 g pumpkin puree two of three/ })).toBeVisible()
    await went.getByRole('button', { name: '+ 1 tbsp oat flour' }).tap()
    await went.getByRole('button', { name: 'Odette' }).tap()
    await went.getByLabel('What Odette was offered').fill('a raw apple slice')
    await went.getByRole('button', { name: 'took it' }).tap()
    await went.getByRole('button', { name: 'of this dough' }).tap()
    await went.getByRole('button', { name: 'Write it down' }).tap()
    await expect(went.getByRole('button', { name: 'Write it down' })).toBeHidden()
    // a lick that nobody weighed has no figure
    await went.getByRole('button', { name: 'Bosun' }).tap()
    await went.getByRole('button', { name: 'Write it down' }).tap()
    await expect(went.getByRole('button', { name: 'Write it down' })).toBeHidden()
    const batch = page.url().split('/').pop() ?? ''
    const tastes = async (): Promise<unknown[]> =>
        ((await (await page.request.get(`/api/batches/${batch}/entries`)).json()) as { kind: string; said: Record<string, unknown> }[])
            .filter((one) => one.kind === 'tasted')
            .map(({ said }) => [said['name'], said['took'], said['ofBatch'], said['grams'] ?? null])
    await expect.poll(tastes).toEqual([
        ['Odette', false, false, null],
        ['Bosun', true, true, null],
    ])
    await expect(went.locator('.went__added')).toHaveCount(1)

    await side('Timers')
    const words = stage(page).locator('.stage__words')
    const isNothing = async (): Promise<boolean> => (await page.getByText('Nothing to do').count()) > 0
    for (let n = 0; n < 12 && !(await isNothing()); n++) {
        await expect.poll(async () => (await isNothing()) || (await stage(page).locator('.stage__main').count()) === 1).toBe(true)
        if (await isNothing()) break
        const before = await words.textContent()
        await stage(page).locator('.stage__main').tap()
        await expect(words).not.toHaveText(before ?? '')
    }
    await expect(page.getByRole('list', { name: 'Timers' }).locator('.lot-mark').first()).toBeVisible()
    const steps = page.getByRole('list', { name: 'All steps' })
    await steps.getByRole('button', { name: /^Done now: Bake soft ones/ }).tap()
    await page.getByLabel('What the probe shows').fill('75')
    await page.getByLabel('What the probe shows').press('Enter')
    await expect(steps.locator('li', { hasText: 'Probe the thickest piece' }).first()).toContainText('Ines Marlow')

    await side('Count')
    const hard = page.getByRole('group', { name: /^for Biscay/ })
    await hard.getByLabel('Wasted pieces').fill('12')
    await hard.getByLabel('Wasted pieces').press('Enter')
    await expect(hard).toContainText('Wasted: 12 burnt')
    const soft = page.getByRole('group', { name: 'soft ones', exact: true })
    await soft.getByLabel('Pieces', { exact: true }).fill('30')
    await soft.getByLabel('Pieces', { exact: true }).press('Enter')
    await page.getByRole('button', { name: 'The batch is finished' }).tap()
    await expect(stage(page)).toContainText('Finished')
    // what is left over is asked with the answer, above the row that is tapped next
    await expect(page.getByRole('region', { name: 'Left over' })).toBeVisible()
    await side('Log')
    const log = page.getByRole('region', { name: 'The log' })
    await expect(log).toContainText('Odette: a raw apple slice, would not')
    await expect(log).toContainText('Wasted: 12 pieces, burnt')
    // nothing runs out of the screen
    for (const name of ['Timers', 'What went in', 'Count', 'Log']) {
        await side(name)
        const out = await page.evaluate(() =>
            [...document.querySelectorAll('main *')]
                .filter((one) => one.getBoundingClientRect().right > 391)
                .map((one) => `${one.tagName} ${String(one.getAttribute('class'))}`),
        )
        expect(out, name).toEqual([])
        expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    }
})
