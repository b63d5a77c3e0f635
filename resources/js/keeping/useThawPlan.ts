import { shallowRef, watch, type ShallowRef } from 'vue'
import { api } from '../api/client'
import type { ThawPlan } from '../api/types.generated'
import type { Jars } from './useJars'

/** The plan of thawing, asked again with every news of the kitchen; null until it is known. */
export function useThawPlan(jars: Jars, days: number): ShallowRef<ThawPlan | null> {
    const plan = shallowRef<ThawPlan | null>(null)
    watch(
        [() => jars.kitchen.number, jars.today],
        async () => {
            try {
                plan.value = await api.thawPlan(days)
            } catch {
                // what stands there is of before; it is asked again with the next news
            }
        },
        { immediate: true },
    )

    return plan
}
