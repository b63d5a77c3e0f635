import type { Dog, Slip } from '../api/types.generated'

/** What is looked for on the shelf: words of a name, a food, a tag, or a dog that it is cleared for. */
export interface Wanted {
    words: string
    tags: string[]
    dogs: string[]
    favourites: boolean
}

/** Letters as they are looked for: without accents, without capitals. */
export function plainly(text: string): string {
    return text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()
}

/** Whether nobody has said yet, for the dogs as they are today, whom a recipe is cleared for. */
export function isUnjudged(slip: Slip): boolean {
    return slip.judged === null && slip.begins.trim() !== ''
}

export class Finder {
    private readonly found = new WeakMap<Slip, string>()

    constructor(private readonly dogs: readonly Dog[]) {}

    /** Those that fit, in the order in which they came; favourites first where nothing is looked for by name. */
    among(slips: readonly Slip[], { words, tags, dogs, favourites }: Wanted): Slip[] {
        const asked = plainly(words)
            .split(/\s+/)
            .filter((word) => word !== '')
        const named = asked.map((word) => ({ word, dogs: this.dogs.filter((dog) => plainly(dog.name).startsWith(word)).map((dog) => dog.id) }))

        return slips.filter(
            (slip) =>
                (!favourites || slip.favourite) &&
                tags.every((tag) => slip.tags.includes(tag)) &&
                dogs.every((dog) => slip.judged?.clearedFor.includes(dog) === true) &&
                named.every((one) => this.textOf(slip).includes(one.word) || one.dogs.some((dog) => slip.judged?.clearedFor.includes(dog) === true)),
        )
    }

    /** Whether what is found rests on verdicts: those that are missing may be missing from it. */
    restsOnVerdicts({ words, dogs }: Wanted): boolean {
        return (
            dogs.length > 0 ||
            plainly(words)
                .split(/\s+/)
                .some((word) => word.length > 1 && this.dogs.some((dog) => plainly(dog.name).startsWith(word)))
        )
    }

    private textOf(slip: Slip): string {
        const known = this.found.get(slip)
        if (known !== undefined) return known
        const text = plainly([slip.title, ...slip.foods, ...slip.tags.map((tag) => `#${tag} ${tag}`), slip.begins, slip.notes].join('\n'))
        this.found.set(slip, text)

        return text
    }
}
