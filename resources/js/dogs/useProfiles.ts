import { computed, type ComputedRef } from 'vue'
import { api } from '../api/client'
import type { ProfileInShort } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import { useAsked } from '../ui/useAsked'

/** What follows for every dog from what is known of it, by its id; out of date as soon as anything it rests on has changed. */
export function useProfiles(): {
    of: ComputedRef<Map<string, ProfileInShort>>
    late: ReturnType<typeof useAsked>['late']
    problem: ReturnType<typeof useAsked>['problem']
} {
    const kitchen = useKitchen()
    const { answer, late, problem } = useAsked<ProfileInShort[]>({
        of: [() => kitchen.version],
        ask: () => (kitchen.kitchen === null ? null : api.profiles()),
        immediate: true,
    })

    return { of: computed(() => new Map((answer.value ?? []).map((one) => [one.dog, one]))), late, problem }
}
