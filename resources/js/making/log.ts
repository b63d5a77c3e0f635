import type { BatchEntry, WorkStep } from '../api/types.generated'

/** What stands in a log, and what follows from it for whoever stands at the oven: as core reads it, so that it holds while the kitchen is away. */
export interface LogState {
    /** in the order it happened, corrections in the place of what they correct */
    standing: BatchEntry[]
    begun: Map<string, BatchEntry>
    /** done or left out */
    done: Map<string, BatchEntry>
    timers: Timer[]
    isClosed: boolean
}

export interface Timer {
    id: string
    name: string
    step: string | null
    lot: string | null
    /** moments, in ms since 1970 */
    from: number
    endsAt: number
    isStopped: boolean
}

type ByTime = Pick<BatchEntry, 'at' | 'id'>
const byTime = (one: ByTime, two: ByTime): number => (one.at < two.at ? -1 : one.at > two.at ? 1 : one.id < two.id ? -1 : one.id > two.id ? 1 : 0)

/** Of the same entries in any order, and however often each came, the same stand. */
export function standing(entries: readonly BatchEntry[]): BatchEntry[] {
    const sorted = [...new Map(entries.map((one) => [one.id, one])).values()].sort(byTime)
    const by = new Map(sorted.map((one) => [one.id, one]))
    const gone = new Set<string>()
    const inPlace = new Map<string, string[]>()
    const moved = new Map<string, BatchEntry>()
    for (const entry of sorted) {
        const corrected = by.get(entry.corrects ?? '')
        if (corrected === undefined) continue
        const first = firstOf(entry, by)
        for (const earlier of inPlace.get(first.id) ?? []) gone.add(earlier)
        gone.add(corrected.id)
        gone.add(first.id)
        inPlace.set(first.id, [...(inPlace.get(first.id) ?? []), entry.id])
        moved.set(entry.id, { ...entry, at: first.at })
    }

    return sorted
        .filter((one) => !gone.has(one.id) && one.kind !== 'undone')
        .map((one) => moved.get(one.id) ?? one)
        .sort(byTime)
}

function firstOf(entry: BatchEntry, by: Map<string, BatchEntry>): BatchEntry {
    let first = entry
    for (let times = 0; times < by.size; times++) {
        const before = by.get(first.corrects ?? '')
        if (before === undefined) break
        first = before
    }

    return first
}

export function stateOf(entries: readonly BatchEntry[]): LogState {
    const all = standing(entries)
    const begun = new Map<string, BatchEntry>()
    const done = new Map<string, BatchEntry>()
    const timers = new Map<string, Timer>()
    for (const one of all) {
        const { step, timer } = one.said ?? {}
        if (one.kind === 'begun' && step !== undefined) begun.set(step, one)
        if ((one.kind === 'done' || one.kind === 'skipped') && step !== undefined) done.set(step, one)
        if (timer !== undefined) turn(timers, one, timer)
    }

    return {
        standing: all,
        begun,
        done,
        timers: [...timers.values()],
        isClosed: all.some((one) => one.kind === 'finished' || one.kind === 'given-up'),
    }
}

function turn(timers: Map<string, Timer>, { kind, at, said }: BatchEntry, id: string): void {
    const now = Date.parse(at)
    const ms = 1000 * (said?.seconds ?? 0)
    const timer = timers.get(id)
    if (kind === 'timer')
        timers.set(id, {
            id,
            name: said?.name ?? '',
            step: said?.step ?? null,
            lot: said?.lot ?? null,
            from: now,
            endsAt: now + ms,
            isStopped: false,
        })
    else if (timer !== undefined && kind === 'more') {
        // five more minutes are from now on, when it has rung already
        timer.endsAt = Math.max(timer.endsAt, now) + ms
        timer.isStopped = false
    } else if (timer !== undefined && kind === 'stopped') timer.isStopped = true
}

/** What happens in the middle of the heat: it waits for its own moment, and not for the end of what it needs. */
export function isWithin(step: WorkStep, steps: readonly WorkStep[]): boolean {
    const heat = heatOf(step, steps)

    return heat !== null && step.startsAfterMinutes < heat.startsAfterMinutes + heat.minutes.best - 0.05
}

/** What is in the heat while a step is done. */
export function heatOf(step: WorkStep, steps: readonly WorkStep[]): WorkStep | null {
    return steps.find((one) => step.needs.includes(one.id) && (one.kind === 'heat' || one.kind === 'dry')) ?? null
}

/** Whether hands are free while it goes on by itself. */
export function runsByItself(step: WorkStep): boolean {
    return step.hands === 'off'
}

export interface Now {
    /** what to do now; null: nothing, something goes on by itself */
    step: WorkStep | null
    /** what comes after it */
    next: WorkStep | null
    /** how far it is: 0 waits, 1 may be begun, 2 goes on by itself, 3 is done */
    stage: Map<string, 'waits' | 'may' | 'runs' | 'done'>
}

/** What to do now: what rings, then what may be begun, in the order of the plan. */
export function nowOf(steps: readonly WorkStep[], state: LogState, now: number): Now {
    const rings = new Set(state.timers.filter((one) => !one.isStopped && one.endsAt <= now && one.step !== null).map((one) => one.step))
    const stage: Now['stage'] = new Map()
    for (const step of steps) {
        const heat = isWithin(step, steps) ? heatOf(step, steps) : null
        if (state.done.has(step.id) || (heat !== null && step.kind !== 'heat' && step.kind !== 'dry' && state.done.has(heat.id)))
            stage.set(step.id, 'done')
        else if (state.begun.has(step.id)) stage.set(step.id, 'runs')
        else {
            const isReady =
                heat === null
                    ? step.needs.every((id) => state.done.has(id) || (state.begun.has(id) && isHot(id, steps)))
                    : heat.kind === step.kind
                      ? state.begun.has(heat.id)
                      : rings.has(step.id)
            stage.set(step.id, isReady ? 'may' : 'waits')
        }
    }
    const rung = steps.find((one) => stage.get(one.id) !== 'done' && rings.has(one.id))
    const may = steps.filter((one) => stage.get(one.id) === 'may')
    const step = rung ?? may[0] ?? null
    const at = step === null ? -1 : steps.indexOf(step)
    const later = (one: WorkStep, n: number): boolean => n !== at && stage.get(one.id) !== 'done' && stage.get(one.id) !== 'runs'

    return { step, next: steps.find((one, n) => n > at && later(one, n)) ?? null, stage }
}

/** An oven that was set to its heat is not waited for by hand: it says itself that it is hot. */
function isHot(id: string, steps: readonly WorkStep[]): boolean {
    return steps.find((one) => one.id === id)?.kind === 'preheat'
}
