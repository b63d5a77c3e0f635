import type { Bag, JarAct, Place } from '../api/types.generated'

/** What somebody does at the jars, as it is sent. */
export type Said = Record<string, unknown>
export type Deed = JarAct['do']

/** Days from one ISO day to another. */
export function daysBetween(from: string, to: string): number {
    return Math.round((Date.parse(`${to}T12:00:00Z`) - Date.parse(`${from}T12:00:00Z`)) / 86_400_000)
}

/** "today", "tomorrow", "in 3 days", "a day over": when a bag is best before, said from a day. */
export function due(bestBefore: string | null, today: string): string {
    if (bestBefore === null) return 'date to come'
    const days = daysBetween(today, bestBefore)
    if (days === 0) return 'best today'
    if (days === 1) return 'until tomorrow'
    if (days === -1) return 'a day over'
    if (days < 0) return `${-days} days over`

    return days < 15 ? `${days} days` : days < 60 ? `${Math.round(days / 7)} weeks` : `${Math.round(days / 30)} months`
}

export type Pressing = 'over' | 'soon' | 'calm'

export function pressing(bag: Bag, today: string): Pressing {
    if (bag.bestBefore === null) return 'calm'
    const days = daysBetween(today, bag.bestBefore)

    return days < 0 ? 'over' : days <= 2 ? 'soon' : 'calm'
}

/** A bag may be meant for some dogs only. */
export function isMeantFor(bag: Pick<Bag, 'dogs'>, dog: string): boolean {
    return bag.dogs.length === 0 || bag.dogs.includes(dog)
}

/** What stands in a place: what goes off first in front. */
export function standing(bags: Bag[], place: Place): Bag[] {
    return bags
        .filter((one) => one.state === 'here' && one.place === place.id)
        .toSorted((one, two) => (one.bestBefore ?? '9').localeCompare(two.bestBefore ?? '9') || one.number - two.number)
}

/** How full a bag is drawn: of what was put into it. */
export function fullness(bag: Bag): number {
    return bag.putPieces > 0 ? Math.min(1, Math.max(0, bag.pieces / bag.putPieces)) : 0
}

const num = (value: unknown): number => (typeof value === 'number' ? value : 0)
const list = (value: unknown): Said[] => (Array.isArray(value) ? (value as Said[]) : [])

/**
 * The bags with what is on its way laid over them, so that a tap is seen at once: pieces and places. A date that the kitchen has not worked
 * out yet is none.
 */
export function withWaiting(bags: Bag[], acts: JarAct[], places: Place[]): Bag[] {
    let shown = bags
    const change = (id: unknown, by: (bag: Bag) => Bag): void => {
        shown = shown.map((one) => (one.id === id ? by(one) : one))
    }
    const left = (bag: Bag, pieces: number): Bag => ({ ...bag, pieces, state: pieces > 1e-6 ? 'here' : 'empty' })
    const frozenAt = (place: unknown): boolean => places.find((one) => one.id === place)?.kind === 'freezer'
    for (const act of acts) {
        const said = (act.said ?? {}) as Said
        switch (act.do) {
            case 'take':
                change(said['bag'], (bag) => left(bag, Math.max(0, bag.pieces - (said['pieces'] === undefined ? bag.pieces : num(said['pieces'])))))
                break
            case 'count':
                change(said['bag'], (bag) => left(bag, num(said['pieces'])))
                break
            case 'move':
                change(said['bag'], (bag) => ({ ...bag, place: said['place'] as string, bestBefore: null, frozen: frozenAt(said['place']) }))
                break
            case 'date':
                change(said['bag'], (bag) => ({ ...bag, bestBefore: said['bestBefore'] as string }))
                break
            case 'for':
                change(said['bag'], (bag) => ({ ...bag, dogs: said['dogs'] as string[] }))
                break
            case 'merge': {
                const from = shown.find((one) => one.id === said['bag'])
                change(said['into'], (bag) => left(bag, bag.pieces + (from?.pieces ?? 0)))
                change(said['bag'], (bag) => left(bag, 0))
                break
            }
            case 'split': {
                const from = shown.find((one) => one.id === said['bag'])
                if (from === undefined) break
                for (const to of list(said['to'])) {
                    change(from.id, (bag) => left(bag, Math.max(0, bag.pieces - num(to['pieces']))))
                    shown = [
                        ...shown,
                        {
                            ...from,
                            id: to['bag'] as string,
                            number: 0,
                            pieces: num(to['pieces']),
                            putPieces: num(to['pieces']),
                            place: (to['place'] as string | undefined) ?? from.place,
                        },
                    ]
                }
                break
            }
            case 'found':
            case 'open':
                shown = [
                    ...shown,
                    blank({
                        id: said['bag'] as string,
                        title: said['title'] as string,
                        place: said['place'] as string,
                        pieces: num(said['pieces'] ?? 1),
                        content: act.do === 'open' ? 'food' : 'treats',
                    }),
                ]
                break
            case 'put':
                for (const to of list(said['split']))
                    shown = [
                        ...shown,
                        blank({
                            id: to['bag'] as string,
                            title: 'put away just now',
                            place: to['place'] as string,
                            pieces: num(to['pieces']),
                            batch: said['batch'] as string,
                            frozen: frozenAt(to['place']),
                        }),
                    ]
                break
            default:
        }
    }

    return shown
}

function blank(of: Partial<Bag> & Pick<Bag, 'id' | 'title' | 'place' | 'pieces'>): Bag {
    return {
        version: 0,
        number: 0,
        content: 'treats',
        batch: null,
        lot: null,
        made: '',
        class: '',
        because: '',
        dogs: [],
        note: null,
        ingredient: null,
        grams: null,
        putPieces: of.pieces,
        bestBefore: null,
        bestBeforeAtMost: null,
        frozen: false,
        thawedOn: null,
        thawedDays: 1,
        state: 'here',
        endedAt: null,
        ...of,
    }
}
