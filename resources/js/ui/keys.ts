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
const altOnly = (...keys: string[]) => (event: KeyboardEvent): boolean => !event.shiftKey && alt(...keys)(event)
const ctrl = (shift: boolean, key: string) => (event: KeyboardEvent): boolean => (event.ctrlKey || event.metaKey) && !event.altKey && event.shiftKey === shift && event.key.toLowerCase() === key

export const KEYS = [
    { id: 'open', shown: 'Alt + O', does: 'opens what stands behind this line, and closes it', hit: alt('o') },
    { id: 'leave', shown: 'Esc', does: 'closes it, and goes back to the words', hit: plain('Escape') },
    { id: 'next', shown: 'Alt + N', does: 'to the next finding', hit: alt('n') },
    { id: 'previous', shown: 'Alt + P', does: 'to the finding before', hit: alt('p') },
    { id: 'margin', shown: 'Alt + M', does: 'into the margin of this line; the arrows walk there', hit: alt('m') },
    { id: 'offers', shown: 'Ctrl + Space', does: 'takes up the words that are offered; ↑ ↓ walk, Enter takes', hit: (event) => event.ctrlKey && !event.altKey && !event.shiftKey && event.key === ' ' },
    { id: 'move', shown: 'Alt + ↑ ↓', does: 'moves the line, or all lines that are selected', hit: altOnly('ArrowUp', 'ArrowDown') },
    { id: 'double', shown: 'Alt + Shift + ↑ ↓', does: 'writes the line a second time', hit: (event) => event.shiftKey && alt('ArrowUp', 'ArrowDown')(event) },
    { id: 'swap', shown: 'Alt + W', does: 'what may stand in for this line; ↑ ↓ walk, Enter takes, Esc leaves', hit: alt('w') },
    { id: 'rescue', shown: 'Alt + R', does: 'rescues the whole recipe', hit: alt('r') },
    { id: 'dogs', shown: 'Alt + D', does: 'to the dogs at the table', hit: alt('d') },
    { id: 'cut', shown: 'Alt + C', does: 'to the cut', hit: alt('c') },
    { id: 'keep', shown: 'Alt + S', does: 'keeps the sheet on the shelf', hit: alt('s') },
    { id: 'undo', shown: 'Ctrl + Z', does: 'takes back the last change of this sheet', hit: ctrl(false, 'z') },
    { id: 'redo', shown: 'Ctrl + Shift + Z', does: 'makes it again', hit: (event) => ctrl(true, 'z')(event) || ctrl(false, 'y')(event) },
    { id: 'find', shown: 'Ctrl + F', does: 'finds words on the sheet', hit: ctrl(false, 'f') },
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
