import type { Locator, Page } from '@playwright/test'
import { expect } from './support'

export const TEXT = '300 g oat flour\n1 large egg\n120 g pumpkin puree'
export const STEPS = 'Mix everything.\nRoll out and stamp.'

/** A recipe in two lots, kept as if it had been laid out in the studio: soft ones for Quill, hard ones for the rest. */
export async function kept(page: Page, title: string): Promise<string> {
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
export async function begun(page: Page, asked: Record<string, unknown>, title = 'Test rounds'): Promise<string> {
    const made = await page.request.post('/api/batches', {
        data: { asked, title, at: new Date().toISOString(), startAt: '2026-06-20T13:00', by: 'Ines Marlow' },
    })
    expect(made.status()).toBe(201)

    return ((await made.json()) as { id: string }).id
}

/** Somebody else writes something down. */
export async function told(page: Page, batch: string, kind: string, said: Record<string, unknown>, at = Date.now(), by = 'Tom'): Promise<void> {
    const answer = await page.request.post(`/api/batches/${batch}/entries`, {
        data: { id: crypto.randomUUID(), at: new Date(at).toISOString(), by, kind, said },
    })
    expect(answer.status(), await answer.text()).toBe(201)
}

export const stage = (page: Page): Locator => page.getByRole('region', { name: /^The step now|^The batch/ })
export const main = (page: Page): Locator => stage(page).locator('.stage__main')
