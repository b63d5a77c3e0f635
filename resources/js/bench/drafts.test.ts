import { beforeEach, describe, expect, it } from 'vitest'
import type { Recipe } from '../api/types.generated'
import type { Store } from '../ui/store'
import { Drafts, key, type Draft } from './drafts'
import { asSheet, blankSheet, changedSince, differenceOf, onShelf, saidOf, shelvedOf, written, type Sheet } from './sheets'

class Memory implements Store {
    readonly held = new Map<string, string>()
    room = Infinity

    getItem(name: string): string | null {
        return this.held.get(name) ?? null
    }

    setItem(name: string, value: string): void {
        if (value.length > this.room) throw new Error('full')
        this.held.set(name, value)
    }

    removeItem(name: string): void {
        this.held.delete(name)
    }

    keys(): string[] {
        return [...this.held.keys()]
    }
}

const sheet = (more: Partial<Sheet>): Sheet => ({ ...blankSheet(), ...more })
const draft = (more: Partial<Sheet>, shelved: string | null = null): Draft => ({ sheet: sheet(more), paper: null, shelved, version: null })

let memory: Memory
let time: number
let drafts: Drafts

beforeEach(() => {
    memory = new Memory()
    time = 0
    drafts = new Drafts(memory, () => ++time)
})

describe('sheets in the browser', () => {
    it('are found again, newest first, each with its own', () => {
        drafts.write('a', draft({ text: '1 egg' }))
        drafts.write('b', draft({ text: '2 eggs', recipeId: 'r' }))
        drafts.write('a', draft({ text: '3 eggs' }))
        expect(drafts.list().map((one) => one.id)).toEqual(['a', 'b'])
        expect(drafts.read('a')?.sheet.text).toBe('3 eggs')
        expect(drafts.of('r')).toBe('b')
        drafts.remove('a')
        expect(drafts.list().map((one) => one.id)).toEqual(['b'])
        expect(drafts.read('a')).toBeNull()
    })

    it('make room by what is safe on the shelf, and never by what is nowhere else', () => {
        const kept = sheet({ text: 'kept', recipeId: 'r0' })
        drafts.write('kept', { sheet: kept, paper: null, shelved: written(kept), version: 1 })
        drafts.write('changed', { sheet: sheet({ text: 'changed', recipeId: 'r1' }), paper: null, shelved: written(kept), version: 1 })
        for (let n = 0; n < 14; n++) drafts.write(`only ${n}`, draft({ text: `only ${n}` }))
        expect(drafts.read('kept')).toBeNull()
        expect(drafts.read('changed')).not.toBeNull()
        for (let n = 0; n < 14; n++) expect(drafts.read(`only ${n}`)).not.toBeNull()
    })

    it('are kept without their history where there is no room for it, and refused aloud where there is none at all', () => {
        memory.room = 900
        drafts.write('a', {
            sheet: sheet({ text: '1 egg' }),
            paper: { state: 'x'.repeat(900), said: { done: [], undone: [] } },
            shelved: null,
            version: null,
        })
        expect(drafts.read('a')?.paper).toBeNull()
        memory.room = 10
        expect(() => {
            drafts.write('b', draft({ text: '1 egg' }))
        }).toThrow()
    })

    it('take over the one sheet of before, and leave aside what cannot be read', () => {
        memory.setItem('mildbowl.sheet', JSON.stringify({ title: 'Old', text: '1 egg' }))
        memory.setItem(key('broken'), '{')
        const next = new Drafts(memory, () => ++time)
        const [old] = next.list()
        expect(old?.title).toBe('Old')
        expect(next.read(old?.id ?? '')?.sheet).toMatchObject({ text: '1 egg', parts: [] })
        expect(next.read('broken')).toBeNull()
        expect(memory.getItem('mildbowl.sheet')).toBeNull()
    })
})

describe('what is said of a sheet', () => {
    it('differs by the keys that differ, and goes back by them alone', () => {
        const before = saidOf(sheet({ title: 'a', recipeId: null }))
        const after = saidOf(sheet({ title: 'b', recipeId: null }))
        expect(differenceOf(before, after)).toEqual({ before: '{"title":"a"}', after: '{"title":"b"}' })
        expect(differenceOf(before, before)).toBeNull()
        expect(differenceOf(before, { cut: before.cut })).toBeNull()
        expect(Object.keys(before)).not.toContain('confirmed')
    })
})

describe('what of a sheet is on the shelf', () => {
    it('differs field by field, and what was said elsewhere can be taken as it stands', () => {
        const one = sheet({ recipeId: 'r', title: 'Rounds', text: '1 egg' })
        const known = written(one)
        expect(changedSince(known, one)).toEqual({})
        expect(changedSince(known, { ...one, text: '2 eggs', confirmed: [{ code: 'x', line: '2 eggs', dog: null, record: 'y' }] })).toEqual({
            text: '2 eggs',
            confirmed: [{ code: 'x', line: '2 eggs', dog: null }],
        })
        expect(Object.keys(changedSince(null, one))).toEqual(Object.keys(onShelf(one)))
        expect(asSheet({ portions: null, cut: null, text: 'a' })).toEqual({ portions: [], cut: blankSheet().cut, text: 'a' })
    })

    it('is the same for a recipe and the sheet that it lies on', () => {
        const recipe = {
            id: 'r',
            version: 4,
            title: 'Rounds',
            text: '1 egg',
            steps: '',
            cut: null,
            texture: null,
            portions: null,
            parts: null,
            without: null,
            confirmed: [],
            bound: [],
            parentId: null,
            source: null,
            yield: null,
            prepMinutes: null,
            bakeMinutes: null,
        } as unknown as Recipe
        expect(JSON.stringify(shelvedOf(recipe))).toBe(written(sheet({ recipeId: 'r', title: 'Rounds', text: '1 egg' })))
        expect(onShelf(sheet({ title: ' ' })).title).toBe('Untitled')
    })
})
