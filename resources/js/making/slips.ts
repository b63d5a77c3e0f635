import type { BatchSlip, Kitchen } from '../api/types.generated'
import { writtenDate } from '../ui/dates'
import { dayIn, figure } from '../ui/format'

/** The day a batch was begun, as this kitchen writes it. */
export function dayOfBatch(one: BatchSlip, kitchen: Kitchen | null): string {
    return writtenDate(dayIn(kitchen?.timezone ?? 'UTC', new Date(one.begunAt)), kitchen?.datesAs ?? 'dmy')
}

/** "24 min for 20": what it took in the heat, for what was planned; empty where nobody wrote it down. */
export function minutesOfBatch(one: BatchSlip): string {
    const [lot] = one.lots.filter((other) => other.minutes !== null)

    return lot === undefined
        ? ''
        : `${figure(Math.round(lot.minutes ?? 0))} min${lot.plannedMinutes === null ? '' : ` for ${figure(Math.round(lot.plannedMinutes))}`}`
}
