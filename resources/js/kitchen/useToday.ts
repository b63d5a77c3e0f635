import { useDocumentVisibility } from '@vueuse/core'
import { computed, onScopeDispose, ref, watch, type ComputedRef } from 'vue'
import { kitchenTime } from '../api/client'
import { dayIn } from '../ui/format'
import { useKitchen } from './useKitchen'

const LOOKS_EVERY_MS = 20_000

/** The kitchen's own day, and the next one once it has begun: a page may stand open on the dresser overnight. */
export function useToday(): ComputedRef<string> {
    const kitchen = useKitchen()
    const looked = ref(0)
    const look = (): void => {
        looked.value++
    }
    const looks = setInterval(look, LOOKS_EVERY_MS)
    onScopeDispose(() => clearInterval(looks))
    // a page that was hidden had its clock held back
    watch(useDocumentVisibility(), look)

    return computed(() => {
        // its answers set the clock right: looked at again with each
        void [looked.value, kitchen.number]

        return dayIn(kitchen.kitchen?.timezone ?? 'UTC', new Date(kitchenTime()))
    })
}
