import type { ConfirmationRecord, Dog } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import { useToday } from '../kitchen/useToday'
import { writtenDate } from '../ui/dates'

const SOON_DAYS = 30
const MS_A_DAY = 86_400_000

/** What vets said of the dogs: until when it holds, and whether it still does. The kitchen decides what is taken; this tells of it. */
export function useVetsWords() {
    const kitchen = useKitchen()

    function of(dog: Pick<Dog, 'id'>): ConfirmationRecord[] {
        return kitchen.words.filter((word) => word.level === 'ask-vet' && word.dogId === dog.id)
    }

    const today = useToday()
    const written = (iso: string | null): string => writtenDate(iso, kitchen.kitchen?.datesAs ?? 'dmy')

    /** What the dog has that the vet did not know of. */
    function unknownTo(word: ConfirmationRecord, dog: Dog): string[] {
        const names = [...(kitchen.choices?.conditions ?? []), ...(kitchen.choices?.medicines ?? [])]

        return kitchen.all.words.waits(word.id)
            ? []
            : [...dog.conditions, ...dog.medicines]
                  .filter((one) => !word.known.includes(one))
                  .map((id) => names.find((one) => one.id === id)?.name ?? id)
    }

    function state(word: ConfirmationRecord, dog: Dog): { holds: boolean; says: string } {
        const since = unknownTo(word, dog)
        if (word.holdsUntil !== null && word.holdsUntil < today.value)
            return { holds: false, says: `ran out on ${written(word.holdsUntil)}: ask again` }
        if (since.length > 0) return { holds: false, says: `was said before ${since.join(', ')}: ask again` }

        return { holds: true, says: word.holdsUntil === null ? 'holds' : `holds until ${written(word.holdsUntil)}` }
    }

    /** Words that ran out or soon will: nothing expires silently. */
    function runningOut(dog: Dog): string[] {
        const soon = new Date(Date.parse(`${today.value}T00:00:00Z`) + SOON_DAYS * MS_A_DAY).toISOString().slice(0, 10)

        return of(dog)
            .map((word) => ({ word, now: state(word, dog) }))
            .filter(({ word, now }) => !now.holds || (word.holdsUntil !== null && word.holdsUntil <= soon))
            .map(({ now }) => `The vet's word ${now.says}`)
    }

    return { of, state, runningOut, written }
}
