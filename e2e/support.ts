import { execFileSync } from 'node:child_process'
import { test as base, expect, type Locator, type Page } from '@playwright/test'
import AxeBuilder from '@axe-core/playwright'

/** Fails on any request that leaves loopback, and on any error the page reports. */
export const test = base.extend<{ watched: undefined }>({
    watched: [async ({ context }, use) => {
        const wrong: string[] = []
        context.on('request', (request) => {
            const { protocol, hostname } = new URL(request.url())
            if (!['data:', 'blob:'].includes(protocol) && !['127.0.0.1', 'localhost'].includes(hostname)) wrong.push(`left loopback: ${request.url()}`)
        })
        context.on('weberror', (error) => wrong.push(`page error: ${error.error().message}`))
        context.on('console', (message) => {
            if (message.type() === 'error' && !/Failed to load resource/.test(message.text())) wrong.push(`console: ${message.text()}`)
        })
        await use(undefined)
        expect(wrong).toEqual([])
    }, { auto: true }],
})

export { expect }

/** The demo kitchen as new, once a file. */
export function freshKitchen(): void {
    test.beforeAll(() => {
        const reset = process.env['MILDBOWL_RESET']
        if (reset === undefined) throw new Error('MILDBOWL_RESET names no script: run bin/test browser.')
        execFileSync(reset, { stdio: 'pipe' })
    })
}

export async function openBench(page: Page): Promise<void> {
    await page.goto('/bench')
    await expect(page.getByRole('button', { name: /^Biscay/ })).toBeVisible()
}

/** Writes a recipe on an empty sheet, row by row, as a person types. */
export async function write(page: Page, text: string): Promise<void> {
    const first = page.getByLabel('Foods, line 1', { exact: true })
    await first.fill(text.split('\n')[0] ?? '')
    await first.press('End')
    for (const line of text.split('\n').slice(1)) {
        await page.keyboard.press('Enter')
        await page.keyboard.insertText(line)
    }
}

export function row(page: Page, number: number): Locator {
    return page.getByRole('list', { name: 'Foods' }).getByRole('listitem').nth(number - 1)
}

/** Opens what a line asks about its label, and says that the label was read. */
export async function readLabel(page: Page, number: number): Promise<void> {
    await row(page, number).getByRole('button', { name: /Read the label/ }).click()
    await row(page, number).getByRole('button', { name: /I read the label/ }).click()
}

export function ration(page: Page, dog: string): Locator {
    return page.getByRole('list', { name: 'Rations' }).locator('> li').filter({ has: page.locator('.ration__dog', { hasText: new RegExp(`^${dog}`) }) })
}

/** No serious fault of accessibility, by WCAG 2.2 AA. */
export async function expectAccessible(page: Page): Promise<void> {
    const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze()
    expect(violations.filter((one) => one.impact === 'serious' || one.impact === 'critical').map((one) => `${one.id}: ${one.nodes.map((node) => node.target.join(' ')).join(', ')}`)).toEqual([])
}
