import { useDebounceFn, useEventListener } from '@vueuse/core'
import { onScopeDispose, ref, watch, type Ref } from 'vue'
import { ownStore, type Store } from './store'

const PREFIX = 'mildbowl.form.'
const AFTER_MS = 200

/**
 * What is typed in a form lies in the browser until it is sent: it is there again after a reload, another place, a browser that was
 * closed. Only what differs from the form as it was opened is a draft.
 *
 * @param name which form it is; another name is another draft
 * @param form the form itself, as it is when it is opened; its draft is written into it
 * @param on the version of what the form is of; a draft keeps the one it was begun on
 * @param lastsMs what was typed longer ago is not taken up
 */
export function useDraft<T extends object>(
    name: string,
    form: T,
    on: number | null = null,
    store: Store = ownStore(),
    lastsMs = Infinity,
): {
    back: Ref<boolean>
    forget: () => void
    anew: () => void
    send: (work: (sent: T) => Promise<unknown>) => Promise<void>
    base: Ref<T>
    on: Ref<number | null>
} {
    const key = PREFIX + name
    const opened = copy(form)
    const base = ref(copy(form)) as Ref<T>
    const begunOn = ref(on)
    const back = ref(false)
    let isLeft = false

    const kept = read<{ form: Partial<T>; base: T; on: number | null; at?: number }>(store, key)
    if (kept !== null && Date.now() - (kept.at ?? 0) <= lastsMs && typeof kept.form === 'object' && typeof kept.base === 'object') {
        Object.assign(form, kept.form)
        // whoever changed what it is of meanwhile must not be undone by what this form never touched
        base.value = { ...opened, ...kept.base }
        begunOn.value = kept.on
        back.value = JSON.stringify(form) !== JSON.stringify(base.value)
    }

    function write(): void {
        if (isLeft) return
        try {
            if (JSON.stringify(form) === JSON.stringify(base.value)) store.removeItem(key)
            else store.setItem(key, JSON.stringify({ form, base: base.value, on: begunOn.value, at: Date.now() }))
        } catch {
            // there is no room: it lasts as long as the page
        }
    }

    /** It was sent, or given up. */
    function forget(): void {
        isLeft = true
        back.value = false
        store.removeItem(key)
    }

    /** The form as it was opened. */
    function anew(): void {
        Object.assign(form, copy(opened))
        base.value = copy(opened)
        begunOn.value = on
        back.value = false
        store.removeItem(key)
    }

    /** Empties the form at once and sends what it held: refused, that stands there again, unless something was typed since. */
    async function send(work: (sent: T) => Promise<unknown>): Promise<void> {
        const sent = copy(form)
        anew()
        const emptied = JSON.stringify(form)
        try {
            await work(sent)
        } catch (error) {
            if (JSON.stringify(form) === emptied) Object.assign(form, sent)
            throw error
        }
    }

    const soon = useDebounceFn(write, AFTER_MS, { maxWait: 2 * AFTER_MS })
    watch(
        form,
        () => {
            void soon()
        },
        { deep: true },
    )
    if (typeof window !== 'undefined') useEventListener(window, 'pagehide', write)
    onScopeDispose(write)

    return { back, forget, anew, send, base, on: begunOn }
}

function copy<T>(value: T): T {
    return JSON.parse(JSON.stringify(value)) as T
}

function read<T>(store: Store, key: string): T | null {
    try {
        return JSON.parse(store.getItem(key) ?? 'null') as T | null
    } catch {
        return null
    }
}
