import { describe, expect, it } from 'vitest'
import { heldStore } from '../ui/store'
import { KitchenProblem, refusal, UNREACHABLE } from './client'
import { conflictsOf, Outbox, type NewEntry } from './outbox'

interface Asked {
    method: string
    path: string
    body: unknown
    headers: Record<string, string>
}

const alone = { take: (work: () => Promise<void>) => work() }
const patch = (id: string, body: Record<string, unknown>, base = 1): NewEntry => ({
    method: 'PATCH',
    path: `dogs/${id}`,
    kind: 'dogs',
    id,
    name: id,
    body,
    base,
})
const add = (key: string, body: Record<string, unknown>): NewEntry => ({
    method: 'POST',
    path: 'dogs',
    kind: 'dogs',
    id: key,
    key,
    name: key,
    body,
    base: null,
})
const refused = (status: number, more: object = {}): KitchenProblem => new KitchenProblem({ ...refusal('out-of-range', '', 'No.'), status, ...more })

/** A kitchen that can be away, and an outbox over what a browser holds of it. */
function world(held = new Map<string, string>()) {
    const asked: Asked[] = []
    const kitchen = {
        away: false,
        answer: (one: Asked): unknown => ({ id: one.path.split('/')[1] ?? one.headers['Idempotency-Key'], version: 2 }),
        gate: null as Promise<void> | null,
    }
    const post = (async (method: string, path: string, body?: unknown, more?: { headers?: Record<string, string> }) => {
        const one = { method, path, body: JSON.parse(JSON.stringify(body ?? null)) as unknown, headers: more?.headers ?? {} }
        await Promise.resolve()
        if (kitchen.gate !== null) await kitchen.gate
        if (kitchen.away) throw new KitchenProblem(UNREACHABLE)
        asked.push(one)

        return kitchen.answer(one)
    }) as never
    let time = 0
    const open = (): Outbox => new Outbox(heldStore(held), () => ++time, alone, post)

    return { asked, kitchen, held, open }
}

describe('the outbox', () => {
    it('sends in the order in which it was written, each with its key, its page and the version it was made on', async () => {
        const { asked, open } = world()
        const outbox = open()
        await Promise.all([outbox.put(patch('a', { name: 'A' }, 3)), outbox.put(patch('b', { name: 'B' })), outbox.put(add('k', { name: 'C' }))])
        expect(asked.map((one) => `${one.method} ${one.path}`)).toEqual(['PATCH dogs/a', 'PATCH dogs/b', 'POST dogs'])
        expect(asked[0]?.headers).toMatchObject({ 'If-Match': '"3"', 'X-Page': outbox.page })
        expect(asked[2]?.headers).toMatchObject({ 'Idempotency-Key': 'k' })
        expect(asked[2]?.headers['If-Match']).toBeUndefined()
        expect(new Set(asked.map((one) => one.headers['Idempotency-Key'])).size).toBe(3)
        expect(outbox.entries).toEqual([])
    })

    it('keeps what waits over a closed browser, and sends it from the next page under the same key', async () => {
        const { asked, kitchen, held, open } = world()
        kitchen.away = true
        expect(await open().put(patch('a', { name: 'A' }))).toEqual({ done: false })
        expect(held.size).toBe(1)
        const key = (JSON.parse([...held.values()][0] ?? '') as { key: string }).key
        kitchen.away = false
        const next = open()
        expect(next.waiting).toBe(1)
        await next.work()
        expect(asked).toHaveLength(1)
        expect(asked[0]?.headers['Idempotency-Key']).toBe(key)
        expect(held.size).toBe(0)
    })

    it('puts later words of one row to the earlier, as long as those were never on their way', async () => {
        const { asked, kitchen, open } = world()
        kitchen.away = true
        const outbox = open()
        await outbox.put(patch('a', { name: 'A' }))
        // the kitchen may have had the first: what comes now goes by itself
        await outbox.put(patch('a', { name: 'AA', breed: 'x' }))
        kitchen.away = false
        await outbox.work()
        expect(asked.map((one) => one.body)).toEqual([{ name: 'A' }, { name: 'AA', breed: 'x' }])
        let open_ = (): void => undefined
        kitchen.gate = new Promise((resolve) => {
            open_ = resolve
        })
        const first = outbox.put(patch('b', { name: 'B' }))
        await Promise.resolve()
        const [second, third] = [outbox.put(patch('c', { name: 'C' })), outbox.put(patch('c', { breed: 'y' }))]
        open_()
        await Promise.all([first, second, third])
        expect(asked.slice(2).map((one) => one.body)).toEqual([{ name: 'B' }, { name: 'C', breed: 'y' }])
    })

    it('gives a refusal back to whoever wrote it, and keeps nobody else waiting', async () => {
        const { asked, kitchen, open } = world()
        kitchen.answer = (one) => {
            if (one.path === 'dogs/a') throw refused(422)
            return { id: 'b' }
        }
        const outbox = open()
        const bad = outbox.put(patch('a', { name: '' }))
        const good = outbox.put(patch('b', { name: 'B' }))
        await expect(bad).rejects.toThrow('No.')
        expect(await good).toEqual({ done: true, answer: { id: 'b' } })
        expect(asked).toHaveLength(2)
        expect(outbox.entries).toEqual([])
    })

    it('lets what stands by itself pass what was refused of the same row', async () => {
        const { asked, kitchen, open } = world()
        kitchen.away = true
        const first = open()
        for (const key of ['one', 'two', 'three'])
            await first.put({ ...add(key, { said: key }), path: 'batches/x/entries', kind: 'entries', id: 'x', apart: true })
        kitchen.away = false
        kitchen.answer = (one) => {
            if (JSON.stringify(one.body).includes('one')) throw refused(422)
            return {}
        }
        const next = open()
        await next.work()
        expect(asked.map((one) => one.body)).toEqual([{ said: 'one' }, { said: 'two' }, { said: 'three' }])
        expect(next.entries.map((one) => [one.key, one.state])).toEqual([['one', 'refused']])
        next.drop('one')
        expect(next.entries).toEqual([])
    })

    it('keeps what was refused when nobody looked, lets nothing pass it to the same row, and sends it again or lets it go', async () => {
        const { asked, kitchen, open } = world()
        kitchen.away = true
        const first = open()
        await first.put(patch('a', { weightKg: 500 }))
        await first.put(patch('a', { name: 'A' }))
        await first.put(patch('b', { name: 'B' }))
        kitchen.away = false
        kitchen.answer = (one) => {
            if (JSON.stringify(one.body).includes('500'))
                throw refused(409, { code: 'conflict', conflicts: [{ field: 'weightKg', before: 1, mine: 500, theirs: 2 }], version: 9 })
            return {}
        }
        const next = open()
        await next.work()
        expect(asked.map((one) => one.path)).toEqual(['dogs/a', 'dogs/b'])
        expect(next.entries.map((one) => one.state)).toEqual(['refused', 'waits'])
        const stopped = next.entries[0]
        expect(conflictsOf(stopped?.problem ?? null)).toHaveLength(1)
        next.retry(stopped?.key ?? '', { base: 9, body: { weightKg: 12 } })
        await next.work()
        expect(asked.slice(2).map((one) => [one.path, one.headers['If-Match'], one.body])).toEqual([
            ['dogs/a', '"9"', { weightKg: 12 }],
            ['dogs/a', '"1"', { name: 'A' }],
        ])
        expect(next.entries).toEqual([])
    })

    it('takes what is gone already for taken away, and follows what was added under another id', async () => {
        const { asked, kitchen, open } = world()
        kitchen.answer = (one) => {
            if (one.method === 'DELETE') throw refused(404)
            return one.method === 'POST' ? { id: 'known' } : { id: 'known', version: 3 }
        }
        const outbox = open()
        expect(await outbox.put({ method: 'DELETE', path: 'dogs/x', kind: 'dogs', id: 'x', name: 'x', body: null, base: null })).toMatchObject({
            done: true,
        })
        const added = outbox.put(add('mine', { words: 'crumb' }))
        await Promise.resolve()
        const changed = outbox.put(patch('mine', { note: 'later' }))
        await Promise.all([added, changed])
        expect(asked[2]?.path).toBe('dogs/known')
    })

    it('is patient with a kitchen that is away or busy, and not for ever with one that breaks', async () => {
        for (const status of [503, 408, 429]) {
            const { kitchen, open } = world()
            kitchen.answer = () => {
                throw refused(status)
            }
            const outbox = open()
            expect(await outbox.put(patch('a', { name: 'A' }))).toEqual({ done: false })
            expect(outbox.entries[0]?.state).toBe('waits')
        }
        const { kitchen, open } = world()
        kitchen.answer = (one) => {
            if (one.path === 'dogs/a') throw refused(500)
            return {}
        }
        const outbox = open()
        expect(await outbox.put(patch('a', { name: 'A' }))).toEqual({ done: false })
        for (let n = 0; n < 5; n++) await outbox.work()
        expect(outbox.entries[0]?.state).toBe('refused')
    })

    it('says of a sheet that it knows what an earlier page gave of it and was not answered, and of a form only what its own page did', async () => {
        const { asked, kitchen, open } = world()
        kitchen.away = true
        const first = open()
        const sheet = (text: string) => ({
            method: 'PATCH' as const,
            path: 'recipes/r',
            kind: 'recipes',
            id: 'r',
            name: 'r',
            body: { text },
            base: 3,
        })
        await first.put(sheet('one'))
        await first.put(patch('a', { name: 'A' }))
        // the browser was killed, and opened again
        const next = open()
        kitchen.away = false
        await Promise.all([next.put(sheet('one two')), next.put(patch('a', { note: 'B' }))])
        const pages = (path: string) => asked.filter((one) => one.path === path).map((one) => one.headers['X-Page'])
        expect(new Set(pages('recipes/r'))).toEqual(new Set([first.page]))
        expect(pages('dogs/a').at(-1)).toBe(next.page)
    })

    it('lasts as long as the page where the browser has no room', async () => {
        const { asked, kitchen } = world()
        const full = {
            ...heldStore(),
            setItem: () => {
                throw new Error('full')
            },
        }
        const outbox = new Outbox(full, Date.now, alone, (async () => {
            await Promise.resolve()
            if (kitchen.away) throw new KitchenProblem(UNREACHABLE)
            asked.push({ method: '', path: '', body: null, headers: {} })
            return {}
        }) as never)
        kitchen.away = true
        await outbox.put(patch('a', { name: 'A' }))
        expect(outbox.waiting).toBe(1)
        kitchen.away = false
        await outbox.work()
        expect(asked).toHaveLength(1)
        expect(outbox.waiting).toBe(0)
    })
})
