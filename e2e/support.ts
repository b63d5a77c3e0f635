import { execFileSync } from 'node:child_process'
import { test as base, expect, type BrowserContext, type Locator, type Page } from '@playwright/test'
import AxeBuilder from '@axe-core/playwright'

/** With MILDBOWL_LATE=600, every answer of the kitchen is up to so many milliseconds late: what rests on the order of answers shows itself. */
const LATE = Number(process.env['MILDBOWL_LATE'] ?? 0)

/** Each worker has a kitchen of its own: its address, and the instance that is made new for it. */
const ADDRESSES = (process.env['MILDBOWL_URLS'] ?? process.env['MILDBOWL_URL'] ?? '').split(' ')
const INSTANCES = (process.env['MILDBOWL_INSTANCES'] ?? 'test 8680').split(',')

/** How long a test that asks the kitchen itself waits for what the page has still to send: a kitchen that is away gets it later. */
const SENDS_MS = 3_000

/** What these pages have put down and the kitchen has not acknowledged: a page shows it as done before. */
async function waiting(context: BrowserContext): Promise<number> {
    const counts = context
        .pages()
        .map((page) =>
            page
                .evaluate(
                    () =>
                        Object.entries(localStorage).filter(([key, value]) => key.startsWith('mildbowl.outbox.') && value.includes('"state":"waits"'))
                            .length,
                )
                .catch(() => 0),
        )

    return (await Promise.all(counts)).reduce((sum, one) => sum + one, 0)
}

/** Fails on any request that leaves loopback, and on any error the page reports. */
export const test = base.extend<{ watched: undefined }>({
    baseURL: async ({}, use, { parallelIndex }) => {
        await use(ADDRESSES[parallelIndex % ADDRESSES.length] ?? '')
    },
    // whoever asks the kitchen past the page asks after what the page has said
    page: async ({ page, context }, use) => {
        const request = context.request
        for (const method of ['get', 'post', 'put', 'patch', 'delete'] as const) {
            const ask = request[method].bind(request)
            request[method] = async (url, options) => {
                const end = Date.now() + SENDS_MS
                while ((await waiting(context)) > 0 && Date.now() < end) await new Promise((resolve) => setTimeout(resolve, 20))

                return ask(url, options)
            }
        }
        await use(page)
    },
    watched: [
        async ({ context }, use) => {
            const wrong: string[] = []
            context.on('request', (request) => {
                const { protocol, hostname } = new URL(request.url())
                if (!['data:', 'blob:'].includes(protocol) && !['127.0.0.1', 'localhost'].includes(hostname))
                    wrong.push(`left loopback: ${request.url()}`)
            })
            context.on('weberror', (error) => wrong.push(`page error: ${error.error().message}`))
            context.on('console', (message) => {
                if (message.type() === 'error' && !/Failed to load resource/.test(message.text())) wrong.push(`console: ${message.text()}`)
            })
            if (LATE > 0) {
                await context.route('**/api/**', async (route) => {
                    await new Promise((resolve) => setTimeout(resolve, Math.random() * LATE))
                    await route.fallback().catch(() => undefined)
                })
            }
            await use(undefined)
            expect(wrong).toEqual([])
        },
        { auto: true },
    ],
})

export { expect }

/** The demo kitchen as new, once a file. */
export function freshKitchen(): void {
    test.beforeAll(({}, { parallelIndex }) => {
        const reset = process.env['MILDBOWL_RESET']
        if (reset === undefined) throw new Error('MILDBOWL_RESET names no script: run bin/test browser.')
        execFileSync(reset, { stdio: 'pipe', env: { ...process.env, MILDBOWL_INSTANCE: INSTANCES[parallelIndex % INSTANCES.length] ?? '' } })
    })
}

export async function openBench(page: Page): Promise<void> {
    await page.goto('/bench')
    await expect(seat(page, 'Biscay')).toBeVisible()
}

/** The seat of a dog; its ration, which comes with the answer, is a button that begins with its name too. */
export function seat(page: Page, dog: string): Locator {
    return page.getByRole('region', { name: 'At the table' }).getByRole('button', { name: new RegExp(`^${dog}\\b`) })
}

/** The document one writes on. */
export function sheet(page: Page): Locator {
    return page.getByRole('textbox', { name: 'The recipe', exact: true })
}

/** Writes a recipe on an empty sheet, row by row, as a person types. */
export async function write(page: Page, text: string): Promise<void> {
    await sheet(page).focus()
    for (const [number, line] of text.split('\n').entries()) {
        if (number > 0) await page.keyboard.press('Enter')
        await page.keyboard.insertText(line)
    }
}

/** A row of the sheet with its margin. */
export function row(page: Page, number: number): Locator {
    return page.locator('.cm-content > .cm-line').nth(number - 1)
}

/** The words of a row, without its margin. */
export function words(page: Page, number: number): Locator {
    return row(page, number).locator('.row__text')
}

/** What is open behind a row. */
export function block(page: Page): Locator {
    return page.locator('.row__more')
}

/** Puts the caret at the end of a row. */
export async function caret(page: Page, number: number): Promise<void> {
    const here = words(page, number)
    if ((await here.count()) > 0) await here.click({ position: { x: 4, y: 14 } })
    else await row(page, number).click()
    await page.keyboard.press('End')
}

/** Writes other words over those of a row. */
export async function rewrite(page: Page, number: number, text: string): Promise<void> {
    if ((await sheet(page).locator('.row__text').count()) === 0) await sheet(page).focus()
    else await caret(page, number)
    await page.keyboard.press('Home')
    await page.keyboard.press('Shift+End')
    await page.keyboard.insertText(text)
}

/** Opens what a line asks about its label, says that the label was read, and closes it again. */
export async function readLabel(page: Page, number: number): Promise<void> {
    await row(page, number)
        .getByRole('button', { name: /Read the label/ })
        .click()
    await block(page)
        .getByRole('button', { name: /I read the label/ })
        .click()
    await block(page).getByRole('button', { name: 'Close' }).click()
}

export function ration(page: Page, dog: string): Locator {
    return page
        .getByRole('list', { name: 'Rations' })
        .locator('> li')
        .filter({ has: page.locator('.ration__dog', { hasText: new RegExp(`^${dog}`) }) })
}

/** Lesser faults that stand, by axe's names, each with its reason. */
const LESSER: Record<string, string> = {}

/** Layers of the library that lie over their own words, a breath of colour at most: behind them axe gives up on contrast. */
const VEILS = [
    'btn__overlay',
    'btn__underlay',
    'field__overlay',
    'field__outline',
    'chip__overlay',
    'chip__underlay',
    'list-item__overlay',
    'expansion-panel-title__overlay',
    'expansion-panel__shadow',
]

/** A mark before the words does not hide them. The types of axe know nothing of options for one check; axe does. */
const CONTRAST = { checks: { 'color-contrast': { options: { ignorePseudo: true } } } } as Parameters<AxeBuilder['options']>[0]

async function unveil(page: Page): Promise<void> {
    await page.evaluate(
        (rule) => {
            const veils = new CSSStyleSheet()
            veils.replaceSync(rule)
            document.adoptedStyleSheets = [...document.adoptedStyleSheets, veils]
        },
        `${VEILS.map((one) => `.v-${one}`).join(', ')} { display: none !important }`,
    )
}

async function veil(page: Page): Promise<void> {
    await page.evaluate(() => {
        document.adoptedStyleSheets = document.adoptedStyleSheets.slice(0, -1)
    })
}

/** Of these, where a dialog is open, those that stand in it: what lies behind it nobody reads. */
async function inFront(page: Page, names: string[]): Promise<string[]> {
    return page.evaluate((all) => {
        const dialog = document.querySelector('.v-dialog.v-overlay--active')

        return dialog === null ? all : all.filter((name) => dialog.querySelector(name) !== null)
    }, names)
}

/**
 * No fault of accessibility, by WCAG 2.2 AA and by axe's own advice; and few words whose contrast could not be judged because axe takes
 * something to lie over them: a check that gives up finds nothing.
 *
 * @param only some of axe's rules, where nothing else differs from what was looked at before
 */
export async function expectAccessible(page: Page, only: string[] = []): Promise<void> {
    const axe = new AxeBuilder({ page }).options(CONTRAST)
    await unveil(page)
    const { violations, incomplete, passes } = await (only.length === 0 ? axe : axe.withRules(only)).analyze()
    await veil(page)
    const wrong: string[] = []
    for (const one of violations.filter(({ impact, id }) => impact === 'serious' || impact === 'critical' || !(id in LESSER))) {
        const names = one.nodes.map((node) => node.target.join(' '))
        // the colours of what lies behind a dialog are those of its veil
        const seen = one.id === 'color-contrast' ? await inFront(page, names) : names
        if (seen.length > 0) wrong.push(`${one.id}: ${seen.join(', ')}`)
    }
    expect(wrong).toEqual([])
    const colours = (results: typeof passes): (typeof passes)[number]['nodes'] =>
        results.filter((one) => one.id === 'color-contrast').flatMap((one) => one.nodes)
    const unjudged = colours(incomplete).filter(
        (node) =>
            !node.html.startsWith('<text') && node.any.some((check) => (check.data as { messageKey?: string } | null)?.messageKey === 'bgOverlap'),
    )
    const names = await inFront(
        page,
        unjudged.map((node) => node.target.join(' ')),
    )
    expect(names.length, `no contrast could be judged of ${names.join(', ')}`).toBeLessThanOrEqual(Math.max(3, 0.1 * colours(passes).length))
}

/** The key of our own, and a letter after it. */
export async function key(page: Page, letter: string): Promise<void> {
    await page.keyboard.press('Control+,')
    await page.keyboard.press(letter)
}

/** Chooses one out of a list that opens. A long list holds what is in sight only, and moves under the hand while it opens. */
export async function choose(page: Page, label: string | RegExp, option: string | RegExp, within: Page | Locator = page): Promise<void> {
    const field = within
        .locator('.v-input', { has: page.getByRole('combobox', { name: label, exact: typeof label === 'string' }) })
        .locator('.v-field')
        .first()
    const wanted = page.getByRole('option', { name: option, exact: typeof option === 'string' })
    const list = page.locator('.v-overlay--active .v-list').last()
    await field.click()
    await list.waitFor()
    await page.waitForTimeout(250)
    await list.evaluate((it) => {
        it.scrollTop = 0
    })
    for (let tries = 0; tries < 20 && (await wanted.count()) === 0; tries++) {
        await list.evaluate((it) => {
            it.scrollTop += 120
        })
        await page.waitForTimeout(60)
    }
    await wanted.click()
}

/** Takes some of a list into a field, each found by its first letters. While the list still shortens under the hand it may slip away: then again. */
export async function pick(page: Page, label: string, ...names: string[]): Promise<void> {
    const field = page.getByRole('combobox', { name: label, exact: true })
    for (const name of names) {
        const chip = page.locator('.v-input', { has: field }).locator('.v-chip').filter({ hasText: name }).first()
        await expect(async () => {
            await field.fill(name)
            await page.getByRole('option', { name, exact: true }).click({ timeout: 2_000 })
            await expect(chip).toBeVisible({ timeout: 1_500 })
        }, `${label}: ${name}`).toPass()
    }
    await page.keyboard.press('Escape')
}

/** Opens a part of the dog's form. */
export async function part(page: Page, name: RegExp): Promise<void> {
    const head = page.getByRole('button', { name })
    if ((await head.getAttribute('aria-expanded')) !== 'true') await head.click()
}

/** What stands chosen in a list. */
export function chosen(page: Page | Locator, label: string): Locator {
    const top = 'page' in page ? page.page() : page

    return page
        .locator('.v-input', { has: top.getByRole('combobox', { name: label, exact: true }) })
        .locator('.v-select__selection, .v-autocomplete__selection, .v-combobox__selection')
}
