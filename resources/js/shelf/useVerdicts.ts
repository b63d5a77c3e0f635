import { useDebounceFn } from '@vueuse/core'
import { api } from '../api/client'
import { useKitchen } from '../kitchen/useKitchen'

const AT_ONCE = 24
const AFTER_MS = 120

/** Asks for the verdicts that are out of date, as their cards come into sight, a handful at a time. */
export function useVerdicts(): { want: (id: string) => void } {
    const kitchen = useKitchen()
    const wanted = new Set<string>()
    const asked = new Set<string>()
    let working = false

    async function work(): Promise<void> {
        if (working) return
        working = true
        while (wanted.size > 0) {
            const some = [...wanted].slice(0, AT_ONCE)
            for (const id of some) {
                wanted.delete(id)
                asked.add(id)
            }
            try {
                kitchen.all.recipes.took(await api.judge(some))
            } catch {
                // they stay without a verdict, and say so; a change of the kitchen asks again
                wanted.clear()
            }
            for (const id of some) asked.delete(id)
        }
        working = false
    }

    const soon = useDebounceFn(work, AFTER_MS)

    return {
        want(id) {
            if (asked.has(id)) return
            wanted.add(id)
            void soon()
        },
    }
}
