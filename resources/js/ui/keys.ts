/**
 * Every key that does something, in one place: whoever handles one asks for it here by its id, the list that ? opens is this table, and
 * a test wants a browser test for each that names its id.
 */
export interface Key {
    id: string
    /** as it stands in the list */
    shown: string
    does: string
    hit: (event: KeyboardEvent) => boolean
}

const plain = (...keys: string[]) => (event: KeyboardEvent): boolean => keys.includes(event.key) && !event.altKey && !event.ctrlKey && !event.metaKey
const alt = (...keys: string[]) => (event: KeyboardEvent): boolean => event.altKey && !event.ctrlKey && keys.includes(event.key.length === 1 ? event.key.toLowerCase() : event.key)

export const KEYS = [
    { id: 'split', shown: 'Enter', does: 'a new line below; splits the line where the cursor is', hit: (event) => event.key === 'Enter' && !event.isComposing },
    { id: 'join', shown: 'Backspace', does: 'at the start of a line: joins it to the one above', hit: plain('Backspace') },
    { id: 'walk', shown: '↑ ↓', does: 'to the line above or below', hit: plain('ArrowUp', 'ArrowDown') },
    { id: 'move', shown: 'Alt + ↑ ↓', does: 'moves the line', hit: alt('ArrowUp', 'ArrowDown') },
    { id: 'find', shown: 'Alt + F', does: 'opens what was found on this line', hit: alt('f') },
    { id: 'swap', shown: 'Alt + W', does: 'what may stand in for this line; ↑ ↓ walk, Enter takes, Esc leaves', hit: alt('w') },
    { id: 'rescue', shown: 'Alt + R', does: 'rescues the whole recipe', hit: alt('r') },
    { id: 'dogs', shown: 'Alt + D', does: 'to the dogs at the table', hit: alt('d') },
    { id: 'cut', shown: 'Alt + C', does: 'to the cut', hit: alt('c') },
    { id: 'keep', shown: 'Alt + S', does: 'keeps the sheet on the shelf', hit: alt('s') },
    { id: 'undo', shown: 'Ctrl + Z', does: 'takes back the last change of the sheet', hit: (event) => (event.ctrlKey || event.metaKey) && !event.shiftKey && event.key.toLowerCase() === 'z' },
    { id: 'studio', shown: 'Alt + U', does: 'the cut studio', hit: alt('u') },
    { id: 'places', shown: 'Alt + 1 … 7', does: 'Bench, Dogs, Shelf, Pantry, Rule book, House rules, Chart', hit: alt('1', '2', '3', '4', '5', '6', '7') },
    { id: 'raid', shown: 'Alt + X', does: 'a dog ate something: the raid sheet', hit: alt('x') },
    { id: 'list', shown: '?', does: 'this list, when you are not typing', hit: (event) => event.key === '?' },
] as const satisfies readonly Key[]

export type KeyId = typeof KEYS[number]['id']

/** Which of some keys was pressed; null when none. */
export function pressed<T extends KeyId>(event: KeyboardEvent, ...ids: T[]): T | null {
    for (const key of KEYS as readonly Key[]) {
        if ((ids as string[]).includes(key.id) && key.hit(event)) return key.id as T
    }

    return null
}
