import { computed, shallowRef, watch, type ComputedRef } from 'vue'
import { api, kitchenTime } from '../api/client'
import type { BatchSlip, LeftOver } from '../api/types.generated'
import type { Jars } from './useJars'

/** h after which nobody remembers what was left in the tin. */
const ASKED_FOR_HOURS = 36

/** Whether it is still worth asking; later, what stands in the fridge is older than anybody would say. */
export function isFresh(batch: BatchSlip): boolean {
    return batch.finishedAt === null || Date.parse(batch.finishedAt) > kitchenTime() - ASKED_FOR_HOURS * 3_600_000
}

/** What of these is not answered yet, in words. */
export function unanswered(left: LeftOver): string[] {
    return [
        ...left.kept.filter((one) => one.answered === null).map((one) => one.name),
        ...(left.dough !== null && left.dough.answered === null ? ['dough'] : []),
    ]
}

/** Batches of these days of which nobody said yet what is left over. */
export function useLeftOvers(jars: Jars): ComputedRef<{ id: string; title: string; names: string[] }[]> {
    const known = shallowRef(new Map<string, LeftOver>())
    const fresh = computed(() => jars.kitchen.all.batches.items.filter((one) => one.state === 'finished' && isFresh(one)))
    watch(
        [() => jars.kitchen.number, () => fresh.value.map((one) => one.id).join(' ')],
        async () => {
            try {
                const told = await Promise.all(fresh.value.map(async ({ id }) => [id, await api.leftOver(id)] as const))
                known.value = new Map(told)
            } catch {
                // it is asked again with the next news
            }
        },
        { immediate: true },
    )

    return computed(() =>
        fresh.value.flatMap((one) => {
            const left = known.value.get(one.id)
            const names = left === undefined ? [] : unanswered(left)

            return names.length === 0 ? [] : [{ id: one.id, title: one.title, names }]
        }),
    )
}
