import type { BatchEntry } from '../api/types.generated'
import { figure, grams } from '../ui/format'

/** An entry of a log, as a person would say it. */
export function wordsOfEntry({ kind, said = {} }: BatchEntry, steps: ReadonlyMap<string, string>): string {
    const step = steps.get(said.step ?? '') ?? said.name ?? ''
    const lot = said.lot === undefined ? '' : `, ${said.lot}`
    switch (kind) {
        case 'begun':
            return `Begun: ${step}`
        case 'done':
            return `Done: ${step}`
        case 'skipped':
            return `Left out: ${step}`
        case 'timer':
            return `A timer of ${figure((said.seconds ?? 0) / 60)} min: ${said.name ?? ''}`
        case 'more':
            return `${figure((said.seconds ?? 0) / 60)} min more`
        case 'stopped':
            return 'A timer was stopped'
        case 'made':
            return said.says ?? 'Something went in otherwise'
        case 'felt':
            return `It feels: ${said.feel ?? ''}`
        case 'tasted':
            return `${said.name ?? ''}: ${said.what ?? ''}, ${said.took === true ? 'took it' : 'would not'}`
        case 'core':
            return `Core: ${figure(said.celsius ?? 0)} °C${lot}`
        case 'count':
            return `${said.pieces ?? 0} pieces${lot}`
        case 'weight':
            return `${grams(said.grams ?? 0)}${lot}`
        case 'waste':
            return `Wasted: ${said.pieces !== undefined ? `${said.pieces} pieces` : grams(said.grams ?? 0)}, ${said.why ?? ''}${lot}`
        case 'note':
            return said.text ?? ''
        case 'photo':
            return 'A photograph'
        case 'bag':
            return `${said.pieces ?? 0} in the ${said.place ?? ''}${lot}`
        case 'finished':
            return 'Finished'
        case 'given-up':
            return `Given up${said.why === undefined || said.why === '' ? '' : `: ${said.why}`}`
        case 'undone':
            return 'That was a slip'
        default:
            return kind
    }
}
