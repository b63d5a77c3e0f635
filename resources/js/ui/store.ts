/** Where a page keeps what is not to be lost: the browser's own store, or one that a test brings. */
export interface Store extends Pick<Storage, 'getItem' | 'setItem' | 'removeItem'> {
    keys: () => string[]
}

const PROBE = 'mildbowl.probe'

/** The browser's own store; where it lets none be used, one that lasts as long as the page. */
export function ownStore(): Store {
    try {
        localStorage.getItem(PROBE)

        return { getItem: (name) => localStorage.getItem(name), setItem: (name, value) => { localStorage.setItem(name, value) }, removeItem: (name) => { localStorage.removeItem(name) }, keys: () => Object.keys(localStorage) }
    } catch {
        return heldStore()
    }
}

export function heldStore(held = new Map<string, string>()): Store {
    return { getItem: (name) => held.get(name) ?? null, setItem: (name, value) => { held.set(name, value) }, removeItem: (name) => { held.delete(name) }, keys: () => [...held.keys()] }
}
