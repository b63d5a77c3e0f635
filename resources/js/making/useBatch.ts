import { computed, onScopeDispose, ref, shallowRef, watch, type Ref } from 'vue'
import { api, kitchenTime, KitchenProblem } from '../api/client'
import type { Batch, BatchEntry, BatchSlip, EntrySaid, FormulateAnswer } from '../api/types.generated'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { useOutbox } from '../kitchen/useOutbox'
import { LATE_AFTER_MS } from '../ui/useAsked'
import { ownStore } from '../ui/store'
import { stateOf } from './log'
import { usePerson } from './usePerson'

type Kind = BatchEntry['kind']

/** Kinds after which the figures are others. */
const WEIGHS: Kind[] = ['made', 'count', 'weight', 'waste', 'tasted', 'undone']

/** after the last tap that was taken, the log is read whole */
const LOOKS_AFTER_MS = 400

const NAMES: Partial<Record<Kind, string>> = {
    done: 'a step that is done',
    begun: 'a step that was begun',
    timer: 'a timer',
    made: 'what went in',
    undone: 'a slip',
}

/** One batch on this page: what it was begun with, its log with what is on its way, and the figures of what was made. */
export function useBatch(id: Ref<string>) {
    const kitchen = useKitchen()
    const outbox = useOutbox()
    const { name } = usePerson()
    const store = ownStore()
    const batch = shallowRef<Batch | null>(null)
    const figures = shallowRef<FormulateAnswer | null>(null)
    const isLate = ref(false)
    const problem = ref<string | null>(null)
    /** what the kitchen said of the last tap that could not be */
    const refused = ref<string | null>(null)
    let late: ReturnType<typeof setTimeout> | undefined
    let asked = 0
    let lookedFor: ReturnType<typeof setTimeout> | undefined

    let toldAt = 0
    const cell = (of: string): string => `mildbowl.batch.${of}`

    async function load(): Promise<void> {
        const of = id.value
        const before = store.getItem(cell(of))
        // what was read before stands here at once, also while the kitchen is away
        if (batch.value?.id !== of) batch.value = before === null ? null : (JSON.parse(before) as Batch)
        try {
            const one = await api.batch(of)
            if (of !== id.value) return
            batch.value = one
            problem.value = null
            keep()
            await reckon()
        } catch (error) {
            if (batch.value === null)
                problem.value =
                    error instanceof KitchenProblem && error.problem.status === 404
                        ? 'No batch has this address. If it was taken away, it lies in the trash, in the Cupboard.'
                        : wordsOf(error)
        }
    }

    function keep(): void {
        if (batch.value === null) return
        try {
            store.setItem(cell(batch.value.id), JSON.stringify(batch.value))
        } catch {
            // it is read from the kitchen again
        }
    }

    const waiting = computed(() =>
        outbox.entries
            .filter((one) => one.kind === 'entries' && one.id === id.value && one.state === 'waits')
            .map((one) => one.body as unknown as BatchEntry),
    )
    /** what waited while the kitchen was away, and could not be when it came back */
    const refusedSince = computed(() => outbox.entries.filter((one) => one.kind === 'entries' && one.id === id.value && one.state === 'refused'))
    const entries = computed<BatchEntry[]>(() => {
        const known = batch.value?.entries ?? []
        const ids = new Set(known.map((one) => one.id))

        return [...known, ...waiting.value.filter((one) => !ids.has(one.id))]
    })
    const state = computed(() => stateOf(entries.value))
    /** figures belong to what stood in the log before */
    const isStale = computed(() => waiting.value.some((one) => WEIGHS.includes(one.kind)))

    async function reckon(): Promise<void> {
        const mine = ++asked
        late ??= setTimeout(() => {
            isLate.value = true
        }, LATE_AFTER_MS)
        try {
            const given = await api.batchFigures(id.value)
            if (mine !== asked) return
            figures.value = given
            clearTimeout(late)
            late = undefined
            isLate.value = false
        } catch {
            // they step back, and are asked again with the next news
        }
    }

    watch(isStale, (is) => {
        if (is)
            late ??= setTimeout(() => {
                isLate.value = true
            }, LATE_AFTER_MS)
    })

    /** Writes down what was done: it is shown at once, and sent by itself. What cannot be is said in words, and the step stays where it was. */
    async function tell(kind: Kind, said: EntrySaid = {}, corrects: string | null = null, at: number = kitchenTime()): Promise<boolean> {
        // what this hand does later is later, whatever its clock is told meanwhile
        toldAt = Math.max(at, toldAt + 1)
        const entry: BatchEntry = {
            id: crypto.randomUUID(),
            at: new Date(toldAt).toISOString(),
            by: name.value,
            kind,
            said,
            ...(corrects === null ? {} : { corrects }),
        }
        refused.value = null
        try {
            await outbox.put({
                method: 'POST',
                path: `batches/${id.value}/entries`,
                kind: 'entries',
                id: id.value,
                key: entry.id,
                name: `${NAMES[kind] ?? 'an entry'} of “${batch.value?.title ?? 'a batch'}”`,
                body: entry as unknown as Record<string, unknown>,
                base: null,
                // each entry of a log stands by itself
                apart: true,
            })

            return true
        } catch (error) {
            refused.value = wordsOf(error)

            return false
        }
    }

    const leave = outbox.follow((entry, answer) => {
        if (entry.kind !== 'entries' || entry.id !== id.value || batch.value === null) return
        const { entry: one, batch: slip } = answer as { entry: BatchEntry; batch: BatchSlip }
        if (!batch.value.entries.some((other) => other.id === one.id))
            batch.value = { ...batch.value, ...slip, entries: [...batch.value.entries, one] }
        kitchen.all.batches.took([slip])
        keep()
        // another hand may have written something down in between, and its news bear no later version than this
        clearTimeout(lookedFor)
        lookedFor = setTimeout(() => void readLog(), LOOKS_AFTER_MS)
        if (WEIGHS.includes(one.kind)) void reckon()
        // what follows from the whole log is worked out where it is kept
        if (one.kind === 'finished') void load()
    })
    onScopeDispose(() => {
        leave()
        clearTimeout(late)
        clearTimeout(lookedFor)
    })

    /** The whole log, as the kitchen has it. */
    async function readLog(): Promise<void> {
        const of = id.value
        try {
            const all = await api.batchEntries(of)
            if (of !== id.value || batch.value === null) return
            const known = new Set(batch.value.entries.map((one) => one.id))
            const isNews = all.some((one) => !known.has(one.id))
            // what was acknowledged while it was read stays
            const read = new Set(all.map((one) => one.id))
            const since = batch.value.entries.filter((one) => !read.has(one.id))
            batch.value = { ...batch.value, ...(kitchen.all.batches.of(of) ?? {}), entries: [...all, ...since] }
            keep()
            if (isNews) void reckon()
        } catch {
            // it comes with the next news
        }
    }

    // another hand wrote something down
    watch(
        () => kitchen.all.batches.of(id.value)?.version,
        (version) => {
            if (version !== undefined && batch.value !== null && version > batch.value.version) void readLog()
        },
    )
    watch(
        () => outbox.state.away,
        (away) => {
            if (!away && (batch.value === null || figures.value === null)) void load()
        },
    )
    watch(id, load, { immediate: true })

    return { batch, entries, state, figures, isLate, isStale, problem, refused, refusedSince, tell, load }
}

export type BatchOnPage = ReturnType<typeof useBatch>
