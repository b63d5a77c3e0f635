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
        onError(error, retry, _fail, attempts) {
            const lost = CSS.exec(error.message)?.[1]
            setTimeout(
                () => {
                    // a style that was asked for once is not asked for again by itself
                    if (lost !== undefined) {
                        const link = document.createElement('link')
                        link.rel = 'stylesheet'
                        link.href = lost
                        document.head.append(link)
                    }
                    retry()
                },
                Math.min(MOST_MS, AGAIN_AFTER_MS * attempts),
            )
        },
    })
}
