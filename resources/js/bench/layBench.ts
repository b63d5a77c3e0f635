import { effectScope, type App } from 'vue'
import { useKitchen } from '../kitchen/useKitchen'
import { createQuestion, QUESTION } from './useQuestion'
import { createShelving, SHELVING } from './useShelving'
import { createSheet, SHEET } from './useSheet'

/** Makes the state of the bench for one application, and hands it to all its places: a baker who looks up a dog comes back to a bench that still answers. */
export function layBench(app: App): void {
    app.runWithContext(() => effectScope(true).run(() => {
        const kitchen = useKitchen()
        const sheet = createSheet(kitchen)
        app.provide(SHEET, sheet)
        app.provide(QUESTION, createQuestion(sheet, kitchen))
        app.provide(SHELVING, createShelving(sheet, kitchen))
    }))
}
