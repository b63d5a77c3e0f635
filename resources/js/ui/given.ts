import { inject, type InjectionKey } from 'vue'

/**
 * What the root of the page made and handed down.
 *
 * @throws where nothing was made: a component outside the page
 */
export function given<T>(key: InjectionKey<T>): T {
    const made = inject(key)
    if (made === undefined) throw new Error(`The root of the page made no ${key.description ?? 'such thing'}.`)

    return made
}
