import { defineAsyncComponent, type AsyncComponentLoader, type Component } from 'vue'

const AGAIN_AFTER_MS = 500
const MOST_MS = 5_000
const CSS = /Unable to preload CSS for (\S+)/

/**
 * A part of the page that is fetched when it is wanted first. What cannot be fetched just then (the network is gone for a moment) is tried
 * again until it comes: it is no fault of the page, and the rest of it stands.
 */
export function later<T extends Component>(loader: AsyncComponentLoader<T>): T {
    return defineAsyncComponent<T>({
        loader,
        onError(_error, retry, _fail, attempts) {
            setTimeout(retry, Math.min(MOST_MS, AGAIN_AFTER_MS * attempts))
        },
    })
}

/** A style that was asked for once is not asked for again by itself, whoever asked: it is tried until it comes. */
export function stylesComeLate(): void {
    window.addEventListener('vite:preloadError', (event) => {
        const lost = CSS.exec(event.payload.message)?.[1]
        if (lost === undefined) return
        event.preventDefault()
        bring(lost, 1)
    })
}

function bring(style: string, attempts: number): void {
    const link = document.createElement('link')
    link.rel = 'stylesheet'
    link.href = style
    link.onerror = () => {
        link.remove()
        setTimeout(
            () => {
                bring(style, attempts + 1)
            },
            Math.min(MOST_MS, AGAIN_AFTER_MS * attempts),
        )
    }
    document.head.append(link)
}
