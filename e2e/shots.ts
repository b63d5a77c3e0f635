import { test, type Page } from '@playwright/test'

/** Takes the pictures of docs/screenshots from the demo kitchen. bin/shots runs it, never bin/test. */
const folder = process.env['MILDBOWL_SHOTS'] ?? 'docs/screenshots'
const wide = { width: 1280, height: 800 }
const phone = { width: 390, height: 844 }

async function openRecipe(page: Page, title: string): Promise<void> {
    await page.goto('/shelf')
    await page.getByRole('button', { name: new RegExp(title) }).first().click()
    await page.waitForURL('**/bench')
    await page.getByText(/^Checked \d+ lines/).waitFor()
    await page.waitForTimeout(300)
}

interface Shot {
    size: { width: number, height: number }
    dark?: boolean
    take: (page: Page) => Promise<void>
}

const shots: Record<string, Shot> = {
    'bench': { size: wide, take: (page) => openRecipe(page, 'Beetroot and barley') },
    'bench-poison': { size: wide, take: (page) => openRecipe(page, 'Clipped winter loaf') },
    'bench-dark': { size: wide, dark: true, take: (page) => openRecipe(page, 'Venison and parsnip') },
    'bench-phone': { size: phone, take: (page) => openRecipe(page, 'Beetroot and barley') },
    'dogs': { size: wide, take: async (page) => { await page.goto('/dogs'); await page.getByText('Tuppence').first().waitFor() } },
    'dog': { size: wide, take: async (page) => { await page.goto('/dogs'); await page.getByRole('link', { name: /Quill/ }).click(); await page.getByLabel('Name').waitFor() } },
    'shelf': { size: wide, take: async (page) => { await page.goto('/shelf'); await page.getByText('Clipped winter loaf').waitFor() } },
    'house-rules': { size: wide, take: async (page) => { await page.goto('/settings'); await page.getByRole('heading', { name: 'House rules' }).waitFor() } },
}

for (const [name, shot] of Object.entries(shots)) {
    test(name, async ({ browser }) => {
        const context = await browser.newContext({ viewport: shot.size, colorScheme: shot.dark === true ? 'dark' : 'light', reducedMotion: 'reduce' })
        const page = await context.newPage()
        await shot.take(page)
        await page.screenshot({ path: `${folder}/${name}.png` })
        await context.close()
    })
}
