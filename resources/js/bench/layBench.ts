import { effectScope, type App } from 'vue'
import { Outbox } from '../api/outbox'
import { createKitchen, KITCHEN } from '../kitchen/useKitchen'
import { useNews } from '../kitchen/useNews'
import { OUTBOX } from '../kitchen/useOutbox'
import { createQuestion, QUESTION } from './useQuestion'
import { createShelving, SHELVING } from './useShelving'
import { createSheet, SHEET } from './useSheet'

/** Makes the state of the page for one application, and hands it to all its places: a baker who looks up a dog comes back to a bench that still answers. */
export function layBench(app: App): void {
    app.runWithContext(() =>
        effectScope(true).run(() => {
            const outbox = new Outbox()
            const kitchen = createKitchen(outbox)
            const sheet = createSheet(kitchen)
            app.provide(OUTBOX, outbox)
            app.provide(KITCHEN, kitchen)
            app.provide(SHEET, sheet)
            app.provide(QUESTION, createQuestion(sheet, kitchen))
            app.provide(SHELVING, createShelving(sheet, kitchen, outbox))
            useNews(kitchen, outbox)
        }),
    )
}
