import { effectScope, nextTick, reactive } from 'vue'
import { describe, expect, it } from 'vitest'
import { heldStore } from './store'
import { useDraft } from './useDraft'

const pause = (): Promise<void> =>
    new Promise((resolve) => {
        setTimeout(resolve, 260)
    })

describe('what is typed in a form', () => {
    it('is there again, with what it was typed over and the version of that', async () => {
        const held = new Map<string, string>()
        const first = effectScope()
        first.run(() => {
            const form = reactive({ name: 'Quill', allergies: [] as string[] })
            useDraft('dog.1', form, 3, heldStore(held))
            form.name = 'Quilla'
        })
        await nextTick()
        await pause()
        first.stop()
        // meanwhile somebody added an allergy: the form opens with it, the draft does not know it and must not take it away
        effectScope().run(() => {
            const form = reactive({ name: 'Quill', allergies: ['chicken'] })
            const draft = useDraft('dog.1', form, 4, heldStore(held))
            expect(draft.back.value).toBe(true)
            expect(form.name).toBe('Quilla')
            expect(draft.on.value).toBe(3)
            expect(JSON.stringify(form.allergies)).toBe(JSON.stringify(draft.base.value.allergies))
            draft.anew()
            expect(form).toEqual({ name: 'Quill', allergies: ['chicken'] })
            expect(draft.on.value).toBe(4)
        })
        expect(held.size).toBe(0)
    })

    it('leaves the form at once when it is sent, and stands there again when it is refused and nothing was typed since', async () => {
        const form = reactive({ food: '', grams: null as number | null })
        const draft = effectScope().run(() => useDraft('price', form, null, heldStore()))
        const refused = async (typed: string): Promise<unknown> => {
            Object.assign(form, { food: 'oats', grams: 500 })
            const answer = draft?.send((sent) => {
                expect([sent, { ...form }]).toEqual([
                    { food: 'oats', grams: 500 },
                    { food: '', grams: null },
                ])
                form.food = typed

                return Promise.reject(new Error('no'))
            })
            await expect(answer).rejects.toThrow('no')

            return { ...form }
        }
        expect(await refused('')).toEqual({ food: 'oats', grams: 500 })
        expect(await refused('rice')).toEqual({ food: 'rice', grams: null })
        form.food = 'beet'
        await draft?.send(() => Promise.resolve())
        expect(form.food).toBe('')
    })

    it('is no draft where nothing differs, and none once it was sent', async () => {
        const held = new Map<string, string>()
        const scope = effectScope()
        await scope.run(async () => {
            const form = reactive({ name: '' })
            const { back, forget } = useDraft('dog.new', form, null, heldStore(held))
            expect(back.value).toBe(false)
            form.name = 'x'
            await pause()
            expect(held.size).toBe(1)
            form.name = ''
            await pause()
            expect(held.size).toBe(0)
            form.name = 'y'
            await pause()
            forget()
            form.name = 'z'
            await pause()
        })
        scope.stop()
        expect(held.size).toBe(0)
    })

    it('leaves aside what it cannot read', () => {
        const held = new Map([
            ['mildbowl.form.a', '{'],
            ['mildbowl.form.b', '"x"'],
        ])
        for (const name of ['a', 'b'])
            effectScope().run(() => {
                expect(useDraft(name, reactive({ n: 1 }), null, heldStore(held)).back.value).toBe(false)
            })
    })
})
