import { beforeEach, describe, expect, it, vi } from 'vitest'
import { reactive, ref, shallowRef } from 'vue'
import { KitchenProblem, UNREACHABLE } from '../api/client'
import { openingOf } from './opening'

const KINDS = ['dogs', 'products', 'names', 'foods', 'swaps', 'prices', 'words', 'recipes', 'batches', 'accepted', 'places', 'planned']
    .concat(['occasions', 'trials', 'stock', 'bags'])
    .map(String)

const answers = vi.hoisted(() => ({ kitchen: vi.fn(), choices: vi.fn(), shelf: vi.fn(), vocabulary: vi.fn() }))
vi.mock('../api/client', async (original) => ({ ...(await original<object>()), api: answers }))

function kitchen() {
    const asked: string[] = []
    const failing = new Set<string>()
    const all = Object.fromEntries(
        KINDS.map((kind) => {
            const one = reactive({
                isLaid: false,
                asks: () => undefined,
                lay: () => {
                    one.isLaid = true
                },
                load: async () => {
                    asked.push(kind)
                    await Promise.resolve()
                    if (failing.has(kind)) throw new KitchenProblem(UNREACHABLE)
                    one.isLaid = true
                },
            })

            return [kind, one]
        }),
    )
    const trouble = ref<string | null>(null)
    const known = { kitchen: ref(null), number: ref<number | null>(null), choices: ref(null), vocabulary: shallowRef(null), trouble }

    return { asked, failing, known, ...openingOf(all as Parameters<typeof openingOf>[0], known) }
}
const settled = (): Promise<void> => new Promise((done) => setTimeout(done, 5))

beforeEach(() => {
    for (const one of Object.values(answers)) one.mockReset()
    answers.kitchen.mockResolvedValue({
        kitchen: { version: 1 },
        number: 7,
        dogs: [],
        products: [],
        names: [],
        foods: [],
        swaps: [],
        prices: [],
        words: [],
    })
    answers.choices.mockResolvedValue({})
    answers.shelf.mockResolvedValue([])
    answers.vocabulary.mockResolvedValue({})
})

describe('how a page comes to know its kitchen', () => {
    it('asks once, whoever comes while it is asked', async () => {
        const one = kitchen()
        await Promise.all([one.open(), one.open(), one.opened()])
        await settled()
        expect(answers.kitchen).toHaveBeenCalledTimes(1)
        expect(one.asked.toSorted()).toEqual(['accepted', 'bags', 'batches', 'occasions', 'places', 'planned', 'stock', 'trials'])
        expect([one.known.number.value, one.known.trouble.value, one.isWhole.value]).toEqual([7, null, true])
        await one.open()
        expect(answers.kitchen).toHaveBeenCalledTimes(2)
    })

    it('asks a kitchen that was away one question, and for the lists when it answers', async () => {
        const one = kitchen()
        answers.kitchen.mockRejectedValue(new KitchenProblem(UNREACHABLE))
        await one.open()
        await settled()
        const before = one.asked.length
        await one.open()
        await settled()
        expect(one.asked).toHaveLength(before)
        expect([one.known.number.value, one.known.trouble.value === null]).toEqual([null, false])
        answers.kitchen.mockResolvedValue({
            kitchen: { version: 1 },
            number: 9,
            dogs: [],
            products: [],
            names: [],
            foods: [],
            swaps: [],
            prices: [],
            words: [],
        })
        await one.open()
        await settled()
        expect([one.known.number.value, one.known.trouble.value, one.isWhole.value]).toEqual([9, null, true])
    })

    it('is not whole while a list is not here, and asks for that list alone', async () => {
        const one = kitchen()
        one.failing.add('bags')
        await one.open()
        await settled()
        expect([one.isWhole.value, one.known.trouble.value]).toEqual([false, null])
        one.asked.length = 0
        one.fill()
        one.fill()
        await settled()
        expect(one.asked).toEqual(['bags'])
        one.failing.clear()
        one.fill()
        await settled()
        one.fill()
        expect(one.asked).toEqual(['bags', 'bags'])
    })

    it('is not whole without its shelf', async () => {
        const one = kitchen()
        answers.shelf.mockRejectedValueOnce(new KitchenProblem(UNREACHABLE))
        await one.open()
        await settled()
        expect([one.isWhole.value, one.known.trouble.value === null]).toEqual([false, false])
        await one.open()
        await settled()
        expect([one.isWhole.value, one.known.trouble.value]).toEqual([true, null])
    })
})
