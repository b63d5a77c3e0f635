import type { InjectionKey } from 'vue'
import type { Outbox } from '../api/outbox'
import { given } from '../ui/given'

export const OUTBOX: InjectionKey<Outbox> = Symbol('outbox')

/** What is on its way to the kitchen; made in the root of the page. */
export function useOutbox(): Outbox {
    return given(OUTBOX)
}
