import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { expect, expectAccessible, freshKitchen, test, write } from './support'

/** The page is opened where the kitchen does not answer: in the shop, on a cut line. A phone in the hand. */
freshKitchen()
test.use({ serviceWorkers: 'allow', viewport: { width: 390, height: 844 }, hasTouch: true })
test.slow()

/** The page can be opened without a connection from now on. */
async function isKept(page: Page): Promise<void> {
    await page.evaluate(async () => {
        await navigator.serviceWorker.ready
    })
}

test('the list of the shop is there after a reload without a connection, ticks stay, and the day opens by itself at home', async ({
    page,
    context,
}) => {
    await page.goto('/cupboard/shopping')
    const box = page.getByRole('combobox', { name: 'What is to be baked' })
    await box.click()
    await box.fill('Beetroot and barley rounds')
    await page.getByRole('option', { name: 'Beetroot and barley rounds' }).first().click()
    await page.keyboard.press('Escape')
    const list = page.getByRole('region', { name: 'To buy' })
    await expect(list.getByRole('checkbox', { name: /^barley flour/ })).toBeVisible()
    await isKept(page)
    await context.setOffline(true)
    await page.reload()
    await expect(list).toContainText('The list of')
    await list.getByRole('checkbox', { name: /^barley flour/ }).check()
    await expectAccessible(page)
    await page.reload()
    await expect(list.getByRole('checkbox', { name: /^barley flour/ })).toBeChecked()
    // the page stays open on the way home
    await page.goto('/today')
    await expect(page.getByRole('heading', { name: 'The kitchen is away' })).toBeVisible()
    await expectAccessible(page)
    await context.setOffline(false)
    await expect(page.getByRole('list', { name: 'The dogs' })).toContainText('Quill')
    await page.goto('/cupboard/shopping')
    await expect(list.getByRole('checkbox', { name: /^barley flour/ })).toBeChecked()
    await expect(list).not.toContainText('The list of')
})

test('where the kitchen never answered no place looks empty, and nothing looks screened', async ({ page, context }) => {
    await page.goto('/today')
    await expect(page.getByRole('list', { name: 'The dogs' })).toContainText('Quill')
    await isKept(page)
    await context.setOffline(true)
    for (const place of ['/today', '/oven', '/jars', '/dogs', '/shelf', '/occasions', '/cupboard/at-hand', '/cupboard/trash', '/jars/of/none']) {
        await page.goto(place)
        await expect(page.getByRole('heading', { name: 'The kitchen is away' }), place).toBeVisible()
        expect(await page.locator('main').innerText(), place).not.toMatch(/nothing (is|to|stands)|no dog|good morning|first dog/i)
    }
    await page.goto('/cupboard/shopping')
    await expect(page.getByText('No list was made in this browser')).toBeVisible()
    await page.goto('/bench')
    await write(page, '200 g oat flour\n50 g xylitol\n')
    await expect(page.getByText('Not checked yet.')).toBeVisible()
    await expect(page.getByText('Who sits here is known once the kitchen answers.')).toBeVisible()
    await expect(page.locator('main')).not.toContainText(/\bclear(ed)?\b|kcal/i)
    await page.getByRole('button', { name: 'It ate something' }).click()
    const raid = page.getByRole('dialog')
    await expect(raid).toContainText('Call a vet or an animal poison line at once')
    await expect(raid).toContainText('Nothing can be counted')
    await expectAccessible(page)
    await page.keyboard.press('Escape')
    // what was typed is screened at home without a hand
    await context.setOffline(false)
    await expect(page.getByText('Never: xylitol').first()).toBeVisible({ timeout: 15_000 })
})

test('the browser keeps every file of the page, and nothing that the kitchen said', async ({ page }) => {
    await page.goto('/today')
    await expect(page.getByRole('list', { name: 'The dogs' })).toContainText('Quill')
    await isKept(page)
    await page.goto('/dogs')
    await page.goto('/cupboard/shopping')
    const held = await page.evaluate(async () => {
        const caches_ = await Promise.all((await caches.keys()).map(async (name) => (await caches.open(name)).keys()))

        return caches_.flat().map((one) => new URL(one.url).pathname + new URL(one.url).search.replace(/[?&]__WB_REVISION__=\w+/, ''))
    })
    const made = JSON.parse(readFileSync('public/build/manifest.json', 'utf8')) as Record<string, { file: string; css?: string[] }>
    const files = [...new Set(Object.values(made).flatMap((one) => [one.file, ...(one.css ?? [])]))].filter((file) => /\.(js|css|woff2)$/.test(file))
    expect(files.length).toBeGreaterThan(100)
    for (const file of files) expect(held).toContain(`/build/${file}`)
    expect(held.filter((one) => !one.startsWith('/build/')).sort()).toEqual(['/?away=', '/bowl.svg'])
})
