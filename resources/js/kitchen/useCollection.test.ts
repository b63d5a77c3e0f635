import { afterEach, describe, expect, it, vi } from 'vitest'
import { KitchenProblem } from '../api/client'
import { useCollection } from './useCollection'

interface Thing { id: string, title: string }

/** A kitchen that answers what it is told to, and remembers what it was asked. */
function kitchenThat(answers: (method: string, path: string, body: unknown) => { status: number, json?: unknown }): string[] {
    const asked: string[] = []
    vi.stubGlobal('fetch', (path: string, init: { method: string, body?: string }) => {
        asked.push(`${init.method} ${path}`)
        const { status, json } = answers(init.method, path, init.body === undefined ? undefined : JSON.parse(init.body))

        return Promise.resolve(new Response(status === 204 ? null : JSON.stringify(json), { status }))
    })

    return asked
}

afterEach(() => { vi.unstubAllGlobals() })

describe('things the kitchen keeps', () => {
    it('are as the kitchen acknowledged them, in their order', async () => {
        const asked = kitchenThat((method, path, body) => method === 'DELETE' ? { status: 204 } : method === 'GET' && path.endsWith('/things') ? { status: 200, json: [{ id: '2', title: 'c' }] }
            : { status: method === 'POST' ? 201 : 200, json: { id: method === 'POST' ? '1' : path.slice(-1), title: 'b', ...body as object } })
        const things = useCollection<Thing>('things', (one, two) => one.title.localeCompare(two.title))
        await things.load()
        expect(await things.keep(null, { title: 'd' })).toEqual({ id: '1', title: 'd' })
        expect(things.items.map((one) => one.title)).toEqual(['c', 'd'])
        await things.keep('1', { title: 'a' })
        expect(things.items.map((one) => one.title)).toEqual(['a', 'c'])
        await things.refresh('2')
        expect(things.items.map((one) => one.title)).toEqual(['a', 'b'])
        await things.remove('1')
        expect(things.items.map((one) => one.id)).toEqual(['2'])
        expect(asked).toEqual(['GET /api/things', 'POST /api/things', 'PATCH /api/things/1', 'GET /api/things/2', 'DELETE /api/things/1'])
    })

    it('stay as they were when the kitchen refuses or does not answer', async () => {
        kitchenThat(() => ({ status: 422, json: { status: 422, code: 'missing', message: 'A name is missing.', path: '/title' } }))
        const things = useCollection<Thing>('things')
        things.lay([{ id: '1', title: 'a' }])
        await expect(things.keep('1', { title: '' })).rejects.toThrow('A name is missing.')
        await expect(things.remove('1')).rejects.toBeInstanceOf(KitchenProblem)
        vi.stubGlobal('fetch', () => Promise.reject(new TypeError('down')))
        await expect(things.keep(null, { title: 'b' })).rejects.toThrow('The kitchen does not answer')
        expect(things.items).toEqual([{ id: '1', title: 'a' }])
    })
})
