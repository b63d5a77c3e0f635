import type { Directive } from 'vue'

const DOORS = 'a[href], button:not([disabled])'
const ALONG: Record<string, number> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }

/** A row of doors is one stop for Tab, at the door where the hand was last; the arrows, Home and End go along it. */
export const vRoving: Directive<HTMLElement> = {
    mounted(row) {
        let at: HTMLElement | null = null
        /** Until a hand was here, the first door, or the one of where one is. */
        let isTouched = false

        function doors(): HTMLElement[] {
            return [...row.querySelectorAll<HTMLElement>(DOORS)].filter((one) => one.closest('[data-own-stop]') === null)
        }

        function settle(): void {
            const all = doors()
            const isInSight = (one: HTMLElement): boolean => one.checkVisibility()
            if (!isTouched || at === null || !all.includes(at) || !isInSight(at))
                at = all.find((one) => one.getAttribute('aria-current') === 'page' && isInSight(one)) ?? all.find(isInSight) ?? null
            for (const one of all) if (one.tabIndex !== (one === at ? 0 : -1)) one.tabIndex = one === at ? 0 : -1
        }

        row.addEventListener('focusin', (event) => {
            const door = event.target instanceof Element ? event.target.closest<HTMLElement>(DOORS) : null
            if (door === null || !doors().includes(door)) return
            at = door
            isTouched = true
            settle()
        })
        row.addEventListener('keydown', (event) => {
            if (event.ctrlKey || event.altKey || event.metaKey || event.shiftKey) return
            const all = doors().filter((one) => one.checkVisibility())
            const now = all.findIndex((one) => one === document.activeElement)
            if (now === -1) return
            const step = ALONG[event.key]
            const next =
                event.key === 'Home' ? 0 : event.key === 'End' ? all.length - 1 : step === undefined ? null : (now + step + all.length) % all.length
            if (next === null) return
            event.preventDefault()
            all[next]?.focus()
        })
        let frame = 0
        const watcher = new MutationObserver(() => {
            cancelAnimationFrame(frame)
            frame = requestAnimationFrame(settle)
        })
        watcher.observe(row, { childList: true, subtree: true, attributes: true, attributeFilter: ['disabled', 'href', 'aria-current'] })
        watchers.set(row, watcher)
        settle()
    },
    unmounted(row) {
        watchers.get(row)?.disconnect()
        watchers.delete(row)
    },
}

const watchers = new WeakMap<HTMLElement, MutationObserver>()
