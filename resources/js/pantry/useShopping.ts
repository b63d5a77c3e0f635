import { computed, reactive, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { api, kitchenTime } from '../api/client'
import type { ShoppingAnswer } from '../api/types.generated'
import { fieldsOf } from '../feeding/useOccasion'
import { useKitchen } from '../kitchen/useKitchen'
import { dayIn } from '../ui/format'
import { ownStore } from '../ui/store'
import { useAsked } from '../ui/useAsked'
import { useDoing } from '../ui/useDoing'

const KEY = 'mildbowl.shopping'
/** A list is of a trip or two. */
const LASTS_MS = 14 * 86_400_000

/** What lies in the browser of it. */
interface Kept {
    /** batches of a recipe, where an occasion says how many */
    many?: Record<string, number>
    recipes: string[]
    byDays: boolean
    times: number
    days: number
    /** somebody chose the recipes; otherwise they are those that are planned */
    isChosen?: boolean
    /** the occasion it was made for */
    occasion?: string | undefined
    ticked: string[]
    list: ShoppingAnswer | null
    /** what the list is of, and when it was made; ticks may be younger */
    of?: string | undefined
    made?: number | undefined
    at: number
}

/** The shopping list of this browser: of what it is made, what is ticked, and the list that was made last where nobody answers. */
export function useShopping() {
    const kitchen = useKitchen()
    const { problem: failed, doing } = useDoing()
    const store = ownStore()
    const route = useRoute()
    /** It was opened for an occasion: its treats, each as often as the occasion takes. */
    const asked = computed(() => {
        const id = route.query['occasion']
        return typeof id === 'string' ? kitchen.all.occasions.of(id) : undefined
    })

    const kept = ((): Partial<Kept> => {
        try {
            const read = JSON.parse(store.getItem(KEY) ?? '{}') as Partial<Kept>
            return kitchenTime() - (read.at ?? 0) <= LASTS_MS ? read : {}
        } catch {
            return {}
        }
    })()
    const soon = computed(() => {
        const until = dayIn(kitchen.kitchen?.timezone ?? 'UTC', new Date(kitchenTime() + LASTS_MS))
        return kitchen.all.planned.items.filter((one) => one.batchId === null && one.on <= until).map((one) => one.recipeId)
    })
    const form = reactive({
        recipes: kept.recipes ?? [],
        byDays: kept.byDays ?? false,
        times: kept.times ?? 1,
        days: kept.days ?? 7,
        many: kept.many ?? {},
    })
    const ticked = ref(new Set(kept.ticked ?? []))
    /** The list that was made last, of what, and when. */
    const last = ref({ list: kept.list ?? null, of: kept.of, made: kept.made })
    const occasion = ref(kept.occasion)
    const isChosen = ref(kept.isChosen === true && (kept.recipes ?? []).length > 0)
    // what is planned stands there where nobody chose anything
    watch(
        () => (kitchen.all.planned.isLaid && !isChosen.value && asked.value === undefined ? [...new Set(soon.value)] : null),
        (planned) => {
            if (planned !== null && planned.join() !== form.recipes.join()) form.recipes = planned
        },
        { immediate: true },
    )
    watch(
        asked,
        async (one, before) => {
            if (one === undefined || one.id === before?.id) return
            await doing(async () => {
                const { plan } = await api.planOccasion(one.id, fieldsOf(one))
                const needed = plan.treats.filter((treat) => treat.times > 0)
                form.byDays = false
                form.many = Object.fromEntries(needed.map((treat) => [treat.id, treat.times]))
                form.recipes = needed.map((treat) => treat.id)
                isChosen.value = true
                // opened anew in the shop it is the same list, and what lies in the basket stays ticked
                if (occasion.value !== one.id) ticked.value = new Set()
                occasion.value = one.id
                keep()
            })
        },
        { immediate: true },
    )
    /** Whoever changes how much it is says so of all. */
    function batches(many: number): void {
        form.times = many
        form.many = {}
        keep()
    }
    const saves = ref(false)
    const { answer, problem, stale } = useAsked<ShoppingAnswer>({
        of: [
            () => kitchen.all.recipes.isLaid,
            () => form.recipes.join(),
            () => JSON.stringify(form.many),
            saves,
            () => form.byDays,
            () => form.times,
            () => form.days,
            () => kitchen.version,
            // what is at hand, and what lies open
            () => kitchen.all.stock.items.map((one) => `${one.ingredient} ${one.state}`).join(),
            () => kitchen.number,
        ],
        ask: (signal) =>
            form.recipes.length === 0 || !kitchen.all.recipes.isLaid
                ? null
                : api.shopping(
                      {
                          dogs: form.byDays || saves.value ? kitchen.atTable.map((dog) => dog.id) : [],
                          savings: saves.value,
                          treats: form.recipes.map((id) => ({
                              name: kitchen.all.recipes.of(id)?.title ?? 'a treat',
                              recipe: { id },
                              ...(form.byDays ? { days: form.days } : { times: form.many[id] ?? form.times }),
                          })),
                      },
                      signal,
                  ),
        immediate: true,
    })
    const wanted = computed(() => JSON.stringify([form.recipes, form.byDays, form.byDays ? form.days : form.times, form.many]))
    watch([answer, stale], ([one, isStale]) => {
        if (one === null || isStale) return
        last.value = { list: one, of: wanted.value, made: kitchenTime() }
        keep()
    })
    /** In the shop nobody answers: the list that was made at home of the same stands. */
    const list = computed(() => answer.value ?? (last.value.of === wanted.value ? last.value.list : null))
    const isKept = computed(() => answer.value === null && (problem.value ?? kitchen.trouble) !== null && list.value !== null)
    const madeOn = computed(() =>
        new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short', timeZone: kitchen.kitchen?.timezone }).format(last.value.made),
    )
    const buys = computed(() => (list.value?.aisles ?? []).flatMap((aisle) => aisle.items))

    function keep(): void {
        const all = {
            ...form,
            ...last.value,
            isChosen: isChosen.value,
            occasion: occasion.value,
            ticked: [...ticked.value],
            at: kitchenTime(),
        } satisfies Kept
        store.setItem(KEY, JSON.stringify(all))
    }
    function choose(): void {
        isChosen.value = true
        keep()
    }
    function tick(key: string): void {
        const now = new Set(ticked.value)
        if (!now.delete(key)) now.add(key)
        ticked.value = now
        keep()
    }
    const bought = computed(() => buys.value.filter((item) => ticked.value.has(item.ingredient)))
    async function putAway(): Promise<void> {
        const those = bought.value.map((item) => item.ingredient)
        const done = await doing(async () => {
            for (const ingredient of those) {
                const known = kitchen.all.stock.items.find((one) => one.ingredient === ingredient)
                await kitchen.all.stock.keep(known?.id ?? null, known === undefined ? { ingredient, state: 'at-hand' } : { state: 'at-hand' })
            }
        })
        if (done) {
            ticked.value = new Set()
            keep()
        }
    }

    return {
        kitchen,
        form,
        asked,
        list,
        buys,
        bought,
        ticked,
        saves,
        answer,
        problem,
        failed,
        stale,
        isKept,
        madeOn,
        keep,
        choose,
        batches,
        tick,
        putAway,
    }
}
