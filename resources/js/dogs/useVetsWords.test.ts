import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import type { ConfirmationRecord, Dog } from '../api/types.generated'
import { useVetsWords } from './useVetsWords'

const word = { id: 'w', level: 'ask-vet', dogId: 'd', known: [], holdsUntil: '2026-06-21' } as unknown as ConfirmationRecord
const dog = { id: 'd', conditions: [], medicines: [] } as unknown as Dog

vi.mock('../kitchen/useKitchen', () => ({
    useKitchen: () => ({
        words: [word],
        all: { words: { waits: () => false } },
        choices: null,
        kitchen: { timezone: 'UTC', datesAs: 'dmy' },
        number: 1,
    }),
}))
vi.mock('../api/client', () => ({ kitchenTime: () => Date.parse('2026-06-20T12:00:00Z') }))

describe("a vet's word", () => {
    beforeEach(() => {
        vi.useFakeTimers()
        // the clock of this device is a year ahead
        vi.setSystemTime('2027-06-20T12:00:00Z')
    })
    afterEach(() => {
        vi.useRealTimers()
    })

    it("runs out on the kitchen's day, whatever the clock of the device says", () => {
        const scope = effectScope()
        const words = scope.run(() => useVetsWords()) as ReturnType<typeof useVetsWords>
        expect(words.state(word, dog).holds).toBe(true)
        expect(words.runningOut(dog)).toHaveLength(1)
        expect(words.state({ ...word, holdsUntil: '2026-06-19' }, dog)).toMatchObject({ holds: false })
        expect(words.state({ ...word, holdsUntil: '2026-06-20' }, dog).holds).toBe(true)
        scope.stop()
    })
})
