import { useDocumentVisibility, useEventListener, useTimeoutFn } from '@vueuse/core'
import { watch } from 'vue'
import { api, KitchenProblem } from '../api/client'
import type { Outbox } from '../api/outbox'
import type { KitchenOnPage } from './useKitchen'

/** So often a page that is looked at asks what is new; one that is not, when it is looked at again. */
const EVERY_MS = 2_000
const HIDDEN_EVERY_MS = 20_000

/** What other tabs, people and devices changed comes to this page within seconds; and whether the kitchen answers at all. */
export function useNews(kitchen: KitchenOnPage, outbox: Outbox): void {
    const seen = useDocumentVisibility()
    const { start } = useTimeoutFn(
        () => {
            void look()
        },
        () => (seen.value === 'hidden' ? HIDDEN_EVERY_MS : EVERY_MS),
        { immediate: false },
    )
    let looking = false

    async function look(): Promise<void> {
        if (looking) return
        looking = true
        const wasAway = outbox.state.away
        try {
            if (kitchen.number === null || !kitchen.all.recipes.isLaid) await kitchen.open()
            else {
                const news = await api.changes(kitchen.number)
                if (news.anew) await kitchen.open()
                else if (news.number !== kitchen.number) kitchen.took(news)
                kitchen.fill()
            }
            outbox.state.away = kitchen.number === null
        } catch (error) {
            outbox.state.away = !(error instanceof KitchenProblem) || error.problem.status === 0 || error.problem.status >= 500
        }
        looking = false
        if (wasAway && !outbox.state.away) void outbox.work()
        start()
    }

    watch(seen, (now) => {
        if (now === 'visible') void look()
    })
    useEventListener(window, 'online', () => {
        void look()
    })
    useEventListener(window, 'offline', () => {
        outbox.state.away = true
    })
    useEventListener(window, 'storage', (event) => {
        if (event.key?.startsWith('mildbowl.outbox.') === true) outbox.look()
    })
    void outbox.work()
    start()
}
