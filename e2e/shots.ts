import { execFileSync } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { test, type Page } from '@playwright/test'
import { choose } from './support'

/** Takes the pictures of docs/screenshots from the demo kitchen. bin/shots runs it, never bin/test. */
const folder = process.env['MILDBOWL_SHOTS'] ?? 'docs/screenshots'
const wide = { width: 1280, height: 800 }
const phone = { width: 390, height: 844 }

async function openRecipe(page: Page, title: string): Promise<void> {
    await page.goto('/shelf')
    await page
        .getByRole('button', { name: new RegExp(title) })
        .first()
        .click()
    await page.waitForURL('**/bench/**')
    await page.getByText(/^Checked \d+ lines/).waitFor()
    await page.waitForTimeout(300)
}

interface Shot {
    size: { width: number; height: number }
    take: (page: Page) => Promise<void>
}

const shots: Record<string, Shot> = {
    bench: { size: wide, take: (page) => openRecipe(page, 'Beetroot and barley') },
    'bench-poison': { size: wide, take: (page) => openRecipe(page, 'Clipped winter loaf') },
    print: {
        size: wide,
        take: async (page) => {
            await page.goto('/labels/print?what=gift')
            const bags = page.getByRole('group', { name: 'Which bags' })
            await bags.getByRole('button').first().waitFor()
            for (const on of await bags.getByRole('button', { pressed: true }).all()) await on.click()
            await bags
                .getByRole('button', { name: /Venison and parsnip coins/ })
                .first()
                .click()
            await page.getByLabel('Made for').fill('Mabel next door')
            await page.getByText('Made for Mabel').waitFor()
        },
    },
    'bench-phone': { size: phone, take: (page) => openRecipe(page, 'Beetroot and barley') },
    oven: {
        size: wide,
        take: async (page) => {
            await page.goto('/oven')
            await page
                .getByText(/your last 5 biscuit bakes/)
                .first()
                .waitFor()
            await page.waitForTimeout(400)
        },
    },
    batch: {
        size: wide,
        take: async (page) => {
            await page.goto('/oven')
            await page
                .getByRole('link', { name: /Mussel and millet fingers/ })
                .first()
                .click()
            await page.getByRole('timer').first().waitFor()
            await page.waitForTimeout(500)
        },
    },
    dogs: {
        size: wide,
        take: async (page) => {
            await page.goto('/dogs')
            await page
                .getByText(/recipes on the shelf/)
                .first()
                .waitFor()
            await page.waitForTimeout(300)
        },
    },
    today: {
        size: wide,
        take: async (page) => {
            await page.goto('/today')
            await page
                .getByText(/kcal left of/)
                .first()
                .waitFor()
            await page.getByText(/Thaw tomorrow/).waitFor()
            await page.getByRole('button', { name: /^In the hand: Lentil/ }).click()
            await page.getByRole('button', { name: 'Give Bosun one' }).click()
            await page.getByText('had 1 Lentil and celery crisps').waitFor()
            await page.waitForTimeout(900)
        },
    },
    jars: {
        size: wide,
        take: async (page) => {
            await page.goto('/jars')
            await page.getByRole('link', { name: /a day over/ }).click()
            await page.waitForTimeout(700)
        },
    },
    dog: {
        size: wide,
        take: async (page) => {
            await page.goto('/dogs')
            await page.getByRole('link', { name: /Biscay/ }).click()
            await page.getByRole('img', { name: /^Weights of/ }).waitFor()
        },
    },
    studio: {
        size: wide,
        take: async (page) => {
            await openRecipe(page, 'Beetroot and barley')
            await page.getByRole('link', { name: /^Cut studio/ }).click()
            await page.getByRole('button', { name: 'Another portion' }).click()
            await page.getByLabel('Called').fill('small and soft')
            await page.getByRole('group', { name: 'Dogs that eat from it' }).getByRole('button', { name: 'Quill' }).click()
            await page.getByLabel('across, mm').fill('14')
            await choose(page, 'Leaves the oven', 'soft')
            await page.getByRole('slider', { name: 'Drag: across' }).waitFor()
            await page.evaluate(() => {
                window.scrollTo(0, 0)
            })
            await page.waitForTimeout(600)
        },
    },
    chart: {
        size: wide,
        take: async (page) => {
            await page.goto('/chart')
            await page.getByRole('button', { name: 'Lentil and celery crisps' }).click()
            await page.getByRole('row', { name: /^Bosun/ }).waitFor()
            await page.waitForTimeout(400)
        },
    },
    shelf: {
        size: wide,
        take: async (page) => {
            await openRecipe(page, 'Clipped winter loaf')
            await page.getByRole('button', { name: 'Rescue this recipe' }).click()
            await page.getByRole('button', { name: 'Take these changes' }).click()
            await page.getByRole('button', { name: 'Keep on the shelf' }).click()
            await page.getByText('on the shelf', { exact: true }).waitFor()
            await page.getByRole('link', { name: 'Shelf', exact: true }).click()
            await page.getByRole('button', { name: '1 version of it' }).click()
            await page.getByRole('list', { name: /Versions of/ }).waitFor()
            await page
                .getByText(/^cleared for Biscay/)
                .first()
                .waitFor()
            await page.waitForTimeout(400)
        },
    },
    days: {
        size: wide,
        take: async (page) => {
            await page.goto('/dogs')
            await page.getByRole('link', { name: 'Bosun' }).first().click()
            await page.getByRole('link', { name: 'Its days' }).click()
            await page.getByRole('region', { name: /^What goes with/ }).waitFor()
            await page.waitForTimeout(400)
        },
    },
    labels: {
        size: wide,
        take: async (page) => {
            const folder = mkdtempSync(join(tmpdir(), 'mildbowl-'))
            execFileSync('php', ['bench/labels/pictures.php', folder, 'en', 'curved'])
            await page.goto('/cupboard/labels')
            await page.getByLabel('A picture of the label').setInputFiles(join(folder, 'en-curved.jpg'))
            await page.getByRole('button', { name: 'Read it' }).click()
            await page
                .getByText(/^Never/)
                .first()
                .waitFor()
        },
    },
    'rule-book': {
        size: wide,
        take: async (page) => {
            await page.goto('/cupboard/rules')
            await page.getByLabel('Any food, as you would write it').fill('2 tbsp peanut butter')
            await page.getByText('Tuppence').first().waitFor()
            await page.waitForTimeout(400)
        },
    },
    occasion: {
        size: wide,
        take: async (page) => {
            await page.goto('/occasions')
            await page.getByRole('link', { name: /Quill is twelve/ }).click()
            await page.locator('.party-plate').first().waitFor()
            await page.waitForTimeout(300)
        },
    },
    rescue: {
        size: wide,
        take: async (page) => {
            await openRecipe(page, 'Clipped winter loaf')
            await page.getByRole('button', { name: 'Rescue this recipe' }).click()
            await page.locator('.cm-content ins').first().waitFor()
            await page.waitForTimeout(500)
        },
    },
    raid: {
        size: wide,
        take: async (page) => {
            await page.goto('/bench')
            await page.getByRole('button', { name: /It ate something/ }).click()
            await page
                .getByRole('dialog')
                .getByRole('button', { name: /^Tuppence/ })
                .last()
                .click()
            await page.getByLabel('What and how much, one a line').fill('100 g dark chocolate')
            await page.getByLabel('When').fill('half an hour ago')
            await page.getByRole('button', { name: 'Count it' }).click()
            await page.getByText('To read out to the vet').waitFor()
        },
    },
}

for (const [name, shot] of Object.entries(shots)) {
    test(name, async ({ browser }) => {
        const context = await browser.newContext({ viewport: shot.size, reducedMotion: 'reduce' })
        const page = await context.newPage()
        await shot.take(page)
        await page.screenshot({ path: `${folder}/${name}.png` })
        await context.close()
    })
}
