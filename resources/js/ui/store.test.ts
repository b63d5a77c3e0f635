import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it } from 'vitest'
import { heldStore, KeptStore } from './store'

let number = 0
let name = ''
beforeEach(() => {
    name = `kept${number++}`
})

/** A browser's quick half that has room for so many letters. */
function small(held: Map<string, string>, room: number): ReturnType<typeof heldStore> {
    const store = heldStore(held)

    return {
        ...store,
        setItem: (key, value) => {
            if ([...held].reduce((sum, [other, one]) => sum + (other === key ? 0 : one.length), value.length) > room) throw new Error('no room')
            held.set(key, value)
        },
    }
}

async function opened(held: Map<string, string>, clock = Date.now, room = Infinity): Promise<KeptStore> {
    const store = new KeptStore(small(held, room), clock)
    await store.open(name)

    return store
}

describe('what is kept in two places', () => {
    it('is there when the quick half never reached the disk', async () => {
        const store = await opened(new Map())
        store.setItem('mildbowl.a', 'one')
        store.setItem('mildbowl.a', 'two')
        store.setItem('mildbowl.b', 'three')
        store.removeItem('mildbowl.b')
        await store.settled()

        const later = await opened(new Map())
        expect(later.getItem('mildbowl.a')).toBe('two')
        expect(later.keys()).toEqual(['mildbowl.a'])
    })

    it('is the later of the two, whichever half has it', async () => {
        const held = new Map<string, string>()
        const store = await opened(held)
        store.setItem('mildbowl.a', 'one')
        store.setItem('mildbowl.gone', 'was')
        await store.settled()
        const before = new Map(held)
        store.setItem('mildbowl.a', 'two')
        store.removeItem('mildbowl.gone')
        await store.settled()
        // the disk of the quick half is behind
        const behind = await opened(new Map(before))
        expect(behind.getItem('mildbowl.a')).toBe('two')
        expect(behind.getItem('mildbowl.gone')).toBeNull()

        // the page was left before the database had heard
        held.set('mildbowl.a', `@${Date.now() + 60_000}:three`)
        const ahead = await opened(held)
        expect(ahead.getItem('mildbowl.a')).toBe('three')
        await ahead.settled()
        expect((await opened(new Map())).getItem('mildbowl.a')).toBe('three')
    })

    it('has room in the second for what the first does not take, and says so when neither has', async () => {
        const held = new Map<string, string>()
        const store = await opened(held, Date.now, 40)
        store.setItem('mildbowl.a', 'x'.repeat(100))
        expect(store.getItem('mildbowl.a')).toHaveLength(100)
        expect(store.keys()).toEqual(['mildbowl.a'])
        await store.settled()
        expect(held.size).toBe(0)
        const later = await opened(held, Date.now, 40)
        expect(later.getItem('mildbowl.a')).toHaveLength(100)
        later.setItem('mildbowl.a', 'short')
        await later.settled()
        expect((await opened(new Map())).getItem('mildbowl.a')).toBe('short')

        const alone = new KeptStore(small(new Map(), 40))
        expect(() => {
            alone.setItem('mildbowl.a', 'x'.repeat(100))
        }).toThrow('no room')
    })

    it('takes over what an earlier version kept, and forgets in time what was taken away', async () => {
        let now = 1_000_000_000_000
        const held = new Map([['mildbowl.old', '{"a":1}']])
        const store = await opened(held, () => now)
        expect(store.getItem('mildbowl.old')).toBe('{"a":1}')
        store.removeItem('mildbowl.old')
        await store.settled()
        expect(held.size).toBe(1)
        now += 2 * 60 * 60 * 1000
        const later = await opened(held, () => now)
        expect(held.size).toBe(0)
        expect(later.keys()).toEqual([])
    })

    it('loses nothing, whatever each half has heard of it when the browser ends', async () => {
        let state = 11
        const chance = (): number => (state = (state * 1103515245 + 12345) % 2147483648) / 2147483648
        let held = new Map<string, string>()
        const truth = new Map<string, string>()
        let now = 1_000
        let store = await opened(held, () => now)
        for (let step = 0; step < 300; step++) {
            now += Math.floor(50 * chance())
            const key = `mildbowl.${Math.floor(5 * chance())}`
            if (chance() < 0.3) {
                store.removeItem(key)
                truth.delete(key)
            } else {
                store.setItem(key, `v${step}`)
                truth.set(key, `v${step}`)
            }
            if (chance() > 0.15) continue
            await store.settled()
            // the quick half goes back to some earlier moment of its own, or stays
            const fewer = new Map([...held].filter(() => chance() < 0.7))
            held = chance() < 0.5 ? fewer : held
            store = await opened(held, () => now)
            expect(new Map(store.keys().map((one) => [one, store.getItem(one)]))).toEqual(truth)
        }
    })
})
