import { describe, expect, it } from 'vitest'
import { KitchenProblem, refusal, UNREACHABLE } from '../api/client'
import { Outbox } from '../api/outbox'
import { heldStore } from '../ui/store'
import { useCollection } from './useCollection'

interface Thing {
    id: string
    version: number
    title: string
}
type Fields = Partial<Pick<Thing, 'title'>>

const alone = { take: (work: () => Promise<void>) => work() }
const settled = (): Promise<void> =>
    new Promise((resolve) => {
        setTimeout(resolve)
    })

/** A kitchen that answers what it is told to, and remembers what it was asked. */
function kitchenThat(answers: (method: string, path: string, body: Fields, base: string | undefined) => Thing | undefined) {
    const asked: string[] = []
    const outbox = new Outbox(heldStore(), Date.now, alone, (async (
        method: string,
        path: string,
        body?: unknown,
        more?: { headers?: Record<string, string> },
    ) => {
        await Promise.resolve()
        asked.push(`${method} ${path}`)

        return answers(method, path, body as Fields, more?.headers?.['If-Match'])
    }) as never)

    return { asked, things: useCollection<Thing, Fields>(outbox, 'things', { inOrder: (one, two) => one.title.localeCompare(two.title) }), outbox }
}

describe('things the kitchen keeps', () => {
    it('are as the kitchen acknowledged them, in their order, each change on the version that was known', async () => {
        const bases: (string | undefined)[] = []
        const { asked, things } = kitchenThat((method, path, body, base) => {
            bases.push(base)

            return method === 'DELETE'
                ? undefined
                : { id: method === 'POST' ? '1' : path.slice(-1), version: method === 'POST' ? 1 : 2, title: 'b', ...body }
        })
        things.lay([{ id: '2', version: 7, title: 'c' }])
        expect(await things.keep(null, { title: 'd' }, { id: '1' })).toEqual({ id: '1', version: 1, title: 'd' })
        expect(things.items.map((one) => one.title)).toEqual(['c', 'd'])
        await things.keep('1', { title: 'a' })
        expect(things.items.map((one) => one.title)).toEqual(['a', 'c'])
        await things.remove('1')
        expect(things.items.map((one) => one.id)).toEqual(['2'])
        expect(asked).toEqual(['POST things', 'PATCH things/1', 'DELETE things/1'])
        expect(bases).toEqual([undefined, '"1"', undefined])
    })

    it('stand as they did where the kitchen refuses', async () => {
        const { things, outbox } = kitchenThat(() => {
            throw new KitchenProblem({ ...refusal('missing', '', 'A name is missing.'), status: 422 })
        })
        things.lay([{ id: '1', version: 1, title: 'a' }])
        const sent = things.keep('1', { title: '' })
        expect(things.items[0]?.title).toBe('')
        await expect(sent).rejects.toThrow('A name is missing.')
        await expect(things.remove('1')).rejects.toBeInstanceOf(KitchenProblem)
        expect(things.items).toEqual([{ id: '1', version: 1, title: 'a' }])
        expect(outbox.entries).toEqual([])
    })

    it('show what waits while the kitchen is away, and say that it waits', async () => {
        const { things, outbox } = kitchenThat(() => {
            throw new KitchenProblem(UNREACHABLE)
        })
        things.lay([
            { id: '1', version: 1, title: 'a' },
            { id: '2', version: 1, title: 'b' },
        ])
        expect(await things.keep('1', { title: 'z' })).toMatchObject({ id: '1', title: 'z' })
        const added = await things.keep(null, { title: 'm' })
        await things.remove('2')
        expect(things.items.map((one) => one.title)).toEqual(['m', 'z'])
        expect([things.waits('1'), things.waits(added.id), things.waits('3')]).toEqual([true, true, false])
        expect(outbox.state.away).toBe(true)
        expect(outbox.waiting).toBe(3)
    })

    it('are nothing before their list came, but for what is added; and no list is older than what was acknowledged meanwhile', async () => {
        const { things } = kitchenThat((method, path, body) =>
            method === 'DELETE' ? undefined : { id: method === 'POST' ? '9' : path.slice(-1), version: 4, title: '', ...body },
        )
        const begun = things.keep('1', { title: 'z' })
        expect(things.items).toEqual([])
        await begun
        expect(things.items).toEqual([])
        await things.keep(null, { title: 'new' }, { id: '9' })
        await things.remove('2')
        things.lay([
            { id: '1', version: 3, title: 'a' },
            { id: '2', version: 1, title: 'b' },
        ])
        expect(things.items.map((one) => one.title)).toEqual(['new', 'z'])
        things.asks()
        things.lay([{ id: '1', version: 4, title: 'z' }])
        expect(things.items.map((one) => one.title)).toEqual(['z'])
    })

    it('take what others changed, and no older news over newer', async () => {
        const { things } = kitchenThat(() => undefined)
        things.lay([
            { id: '1', version: 3, title: 'a' },
            { id: '2', version: 1, title: 'b' },
        ])
        things.took(
            [
                { id: '1', version: 2, title: 'old' },
                { id: '3', version: 1, title: 'c' },
            ],
            ['2'],
        )
        await settled()
        expect(things.items.map((one) => one.title)).toEqual(['a', 'c'])
    })
})
