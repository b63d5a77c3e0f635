import { watchDebounced } from '@vueuse/core'
import { shallowRef, type WatchSource } from 'vue'
import { api } from '../api/client'
import type { NextBake } from '../api/types.generated'

const HELD_MS = 300

/** What to bake next, as the kitchen orders it: asked once the hand rests; what was told stays while the kitchen is away. */
export function useNextBakes(of: WatchSource[], ask: () => Parameters<typeof api.next>[0] | null) {
    const nexts = shallowRef<NextBake[]>([])
    let asked = 0
    watchDebounced(
        of,
        async () => {
            const question = ask()
            if (question === null) {
                nexts.value = []
                return
            }
            const mine = ++asked
            try {
                const told = await api.next(question)
                if (mine === asked) nexts.value = told
            } catch {
                // it is asked again with the next change
            }
        },
        { debounce: HELD_MS, immediate: true },
    )

    return nexts
}
