import { nextTick, watch, type Ref } from 'vue'

/** Where the hand was when something opened over the page, there it is again when that closes. */
export function useReturn(open: Readonly<Ref<boolean>>): void {
    let from: Element | null = null
    watch(
        open,
        async (is) => {
            if (is) {
                from = document.activeElement
                return
            }
            await nextTick()
            // what closes lets go of the focus last
            setTimeout(() => {
                const isLost =
                    document.activeElement === null ||
                    document.activeElement === document.body ||
                    document.activeElement.closest('.v-overlay') !== null
                if (isLost && from instanceof HTMLElement && from.isConnected) from.focus()
            })
        },
        { flush: 'sync' },
    )
}
