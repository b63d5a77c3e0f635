import { cleanupOutdatedCaches, matchPrecache, precacheAndRoute } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'
import { NetworkOnly } from 'workbox-strategies'

/**
 * Opens the page where the kitchen does not answer: in the shop, on a cut line, while it is closed. Only the page itself is kept here and
 * nothing that a kitchen said: what is known then is what the page wrote down, and no old answer can pass for a new one.
 */
interface Installing extends Event {
    addRoutes?: (routes: { condition: { urlPattern: string }; source: 'network' }[]) => Promise<void>
    waitUntil: (until: Promise<unknown>) => void
}
interface Scope {
    addEventListener: (event: 'install' | 'activate', heard: (event: Installing) => void) => void
    skipWaiting: () => Promise<void>
    clients: { claim: () => Promise<void> }
}
/** every file of the page with its address; the build writes it in */
declare const FILES: { url: string; revision: string | null }[]
/** the address of the page itself, as it stands in FILES */
declare const SHELL: string
/** A kitchen that has not answered by then is away, as far as whoever stands in the shop is concerned. */
const PATIENCE_S = 8

const scope = self as unknown as Scope
scope.addEventListener('install', (event) => {
    // questions to the kitchen never pass through here: they are not to wait for a worker that wakes up
    if (event.addRoutes !== undefined) event.waitUntil(event.addRoutes([{ condition: { urlPattern: '/api/*' }, source: 'network' }]))
    void scope.skipWaiting()
})
scope.addEventListener('activate', (event) => {
    event.waitUntil(scope.clients.claim())
})
cleanupOutdatedCaches()
precacheAndRoute(FILES)
registerRoute(
    new NavigationRoute(new NetworkOnly({ networkTimeoutSeconds: PATIENCE_S, plugins: [{ handlerDidError: () => matchPrecache(SHELL) }] }), {
        denylist: [/^\/(api|build)\//],
    }),
)
