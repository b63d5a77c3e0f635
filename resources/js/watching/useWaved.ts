import { ref } from 'vue'
import { ownStore } from '../ui/store'

const CELL = 'mildbowl.waved'
const MOST = 40

const waved = ref<string[]>(read())

function read(): string[] {
    try {
        const kept: unknown = JSON.parse(ownStore().getItem(CELL) ?? '[]')

        return Array.isArray(kept) ? kept.filter((one): one is string => typeof one === 'string') : []
    } catch {
        return []
    }
}

/** Questions that were waved away on this device: of a dog and a day, not asked again. */
export function useWaved() {
    function wave(dog: string, on: string): void {
        waved.value = [...waved.value, `${dog} ${on}`].slice(-MOST)
        try {
            ownStore().setItem(CELL, JSON.stringify(waved.value))
        } catch {
            // it lasts as long as the page
        }
    }

    return { has: (dog: string, on: string): boolean => waved.value.includes(`${dog} ${on}`), wave }
}
