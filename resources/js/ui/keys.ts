import { reactive } from 'vue'

/**
 * Every key that does something, in one place: whoever handles one asks for it here by its id, the list that ? opens is this table, and
 * a test wants a browser test for each that names its id.
 *
 * Alt with a letter, Alt with a digit and Ctrl with a letter belong to browsers, to their menus or, on some keyboards, type letters;
 * letters alone belong to whoever types and to screen readers. So there is one key of our own, Ctrl and a comma, and a letter after it.
 */
export interface Key {
    id: string
    /** as it stands in the list */
    shown: string
    does: string
    /** the letter after the key of our own */
    then?: string
    hit?: (event: KeyboardEvent) => boolean
}

const plain =
    (...keys: string[]) =>
    (event: KeyboardEvent): boolean =>
        keys.includes(event.key) && !event.altKey && !event.ctrlKey && !event.metaKey
const alt =
    (...keys: string[]) =>
    (event: KeyboardEvent): boolean =>
        event.altKey && !event.ctrlKey && keys.includes(event.key)
const altOnly =
    (...keys: string[]) =>
    (event: KeyboardEvent): boolean =>
        !event.shiftKey && alt(...keys)(event)
const ctrl =
    (shift: boolean, key: string) =>
    (event: KeyboardEvent): boolean =>
        (event.ctrlKey || event.metaKey) && !event.altKey && event.shiftKey === shift && event.key.toLowerCase() === key

/** The key of our own, as it is said. */
export const LEADER = 'Ctrl + ,'

const after = (letter: string): Pick<Key, 'shown' | 'then'> => ({ shown: `${LEADER}  ${letter}`, then: letter.toLowerCase() })

export const KEYS = [
    { id: 'today', ...after('A'), does: 'today' },
    { id: 'bench', ...after('B'), does: 'the bench' },
    { id: 'oven', ...after('V'), does: 'the oven' },
    { id: 'jars', ...after('J'), does: 'the jars' },
    { id: 'dogs', ...after('D'), does: 'the dogs' },
    { id: 'cupboard', ...after('K'), does: 'the cupboard' },
    { id: 'shelf', ...after('S'), does: 'the shelf of recipes' },
    { id: 'studio', ...after('U'), does: 'the cut studio' },
    { id: 'raid', ...after('X'), does: 'a dog ate something: the raid sheet' },
    { id: 'open', ...after('O'), does: 'opens what stands behind this line, and closes it' },
    { id: 'leave', shown: 'Esc', does: 'closes it, and goes back to the words', hit: plain('Escape') },
    { id: 'next', ...after('N'), does: 'to the next finding' },
    { id: 'previous', ...after('P'), does: 'to the finding before' },
    { id: 'margin', ...after('M'), does: 'into the margin of this line; the arrows walk there' },
    {
        id: 'offers',
        shown: 'Ctrl + Space',
        does: 'takes up the words that are offered; ↑ ↓ walk, Enter takes',
        hit: (event) => event.ctrlKey && !event.altKey && !event.shiftKey && event.key === ' ',
    },
    { id: 'move', shown: 'Alt + ↑ ↓', does: 'moves the line, or all lines that are selected', hit: altOnly('ArrowUp', 'ArrowDown') },
    {
        id: 'double',
        shown: 'Alt + Shift + ↑ ↓',
        does: 'writes the line a second time',
        hit: (event) => event.shiftKey && alt('ArrowUp', 'ArrowDown')(event),
    },
    { id: 'swap', ...after('W'), does: 'what may stand in for this line; ↑ ↓ walk, Enter takes, Esc leaves' },
    { id: 'rescue', ...after('R'), does: 'rescues the whole recipe' },
    { id: 'table', ...after('T'), does: 'to the dogs at the table' },
    { id: 'cut', ...after('C'), does: 'to the cut' },
    { id: 'keep', ...after('E'), does: 'keeps the sheet on the shelf' },
    { id: 'undo', shown: 'Ctrl + Z', does: 'takes back the last change of this sheet', hit: ctrl(false, 'z') },
    { id: 'redo', shown: 'Ctrl + Shift + Z', does: 'makes it again', hit: (event) => ctrl(true, 'z')(event) || ctrl(false, 'y')(event) },
    { id: 'find', ...after('F'), does: 'finds words on the sheet' },
    { id: 'list', shown: '?', does: 'this list, when you are not typing', hit: (event) => event.key === '?' },
] as const satisfies readonly Key[]

export type KeyId = (typeof KEYS)[number]['id']

/** Whether the key of our own was pressed, and a letter is waited for. */
export const leading = reactive({ is: false })

/** What the letter after it means, for whoever sees the event. */
const meant = new WeakMap<Event, KeyId>()

const MODIFIERS = ['Control', 'Shift', 'Alt', 'Meta', 'AltGraph', 'CapsLock']

/** Sees every key before anybody else: the key of our own, and the letter after it. */
export function lead(event: KeyboardEvent): void {
    if (event.isComposing || MODIFIERS.includes(event.key)) return
    if (leading.is) {
        leading.is = false
        const key = (KEYS as readonly Key[]).find((one) => one.then === event.key.toLowerCase() && !event.altKey && !event.metaKey)
        if (key !== undefined) meant.set(event, key.id as KeyId)
        if (event.key === 'Escape') event.stopPropagation()
        return
    }
    if (event.key !== ',' || !event.ctrlKey || event.altKey || event.metaKey || event.shiftKey) return
    leading.is = true
    event.preventDefault()
    event.stopPropagation()
}

/** After everybody has seen it: a letter that was meant as a key is not typed. */
export function led(event: KeyboardEvent): void {
    if (meant.has(event)) event.preventDefault()
}

/** Which of some keys was pressed; null when none. */
export function pressed<T extends KeyId>(event: KeyboardEvent, ...ids: T[]): T | null {
    const said = meant.get(event)
    if (said !== undefined) return (ids as string[]).includes(said) ? (said as T) : null
    for (const key of KEYS as readonly Key[]) {
        if ((ids as string[]).includes(key.id) && key.hit?.(event) === true) return key.id as T
    }

    return null
}
