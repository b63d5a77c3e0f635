import { computed, onScopeDispose, ref, shallowRef, watch, type Ref } from 'vue'
import { api } from '../api/client'
import type { DiaryEntry, Season } from '../api/types.generated'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { useOutbox } from '../kitchen/useOutbox'
import { useDiary } from './useDiary'

/** A dog's days beside each other, asked anew whenever something changes in the kitchen; what is on its way stands in it already. */
export function useSeason(dog: Ref<string>, from: Ref<string>, to: Ref<string>) {
    const kitchen = useKitchen()
    const outbox = useOutbox()
    const diary = useDiary()
    const told = shallowRef<Season | null>(null)
    const problem = ref<string | null>(null)
    const late = ref(false)
    let asked = 0

    async function load(): Promise<void> {
        const mine = ++asked
        late.value = true
        try {
            const season = await api.season(dog.value, from.value, to.value)
            if (mine !== asked) return
            told.value = season
            problem.value = null
        } catch (error) {
            if (mine === asked) problem.value = wordsOf(error)
        }
        if (mine === asked) late.value = false
    }
    watch(
        [dog, from, to, () => kitchen.number],
        ([is], [was]) => {
            if (was !== undefined && is !== was) told.value = null
            void load()
        },
        { immediate: true },
    )

    const settle = outbox.follow((entry, answer) => {
        const one = answer as DiaryEntry
        if (entry.kind !== 'diary' || told.value === null || one.dog !== dog.value || one.on < told.value.from || one.on > told.value.to) return
        told.value = { ...told.value, entries: [...told.value.entries.filter((of) => of.id !== one.id), one] }
    })
    onScopeDispose(settle)

    const season = computed<Season | null>(() =>
        told.value === null ? null : { ...told.value, entries: diary.withWaiting(told.value.entries, dog.value) },
    )
    const nameOf = (id: string): string => season.value?.names[id] ?? kitchen.nameOf(id)

    return { season, problem, late, load, nameOf, diary }
}

export type SeasonOnPage = ReturnType<typeof useSeason>
