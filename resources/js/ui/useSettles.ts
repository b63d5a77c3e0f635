import { onScopeDispose, ref, watch, type Ref, type WatchSource } from 'vue'

/** A hand that taps twice means once: so long, what came under it in between is not meant. */
export const TWICE_MS = 350

/** True for a moment after something else has come under the hand that taps. */
export function useSettles(of: WatchSource): Readonly<Ref<boolean>> {
    const settles = ref(false)
    let until: ReturnType<typeof setTimeout> | undefined
    watch(
        of,
        () => {
            settles.value = true
            clearTimeout(until)
            until = setTimeout(() => {
                settles.value = false
            }, TWICE_MS)
        },
        { flush: 'sync' },
    )
    onScopeDispose(() => clearTimeout(until))

    return settles
}
