import { api } from '../api/client'
import type { Outbox } from '../api/outbox'
import { tell } from '../ui/notices'
import { wordsOf, type KitchenOnPage } from './useKitchen'

type Kind =
    | 'dogs'
    | 'recipes'
    | 'products'
    | 'names'
    | 'foods'
    | 'swaps'
    | 'prices'
    | 'batches'
    | 'accepted'
    | 'places'
    | 'stock'
    | 'planned'
    | 'trials'
    | 'occasions'

/**
 * Takes something away, with the way back in sight: what has not left the page yet is simply not sent, the rest comes out of the trash.
 *
 * @throws KitchenProblem where the kitchen refuses it
 */
export async function takeAway(kitchen: KitchenOnPage, outbox: Outbox, kind: Kind, id: string, name: string, whence = 'out'): Promise<void> {
    await kitchen.all[kind].remove(id)
    tell(`“${name}” was taken ${whence}. It lies in the trash for thirty days.`, 'Undo', () => {
        void bringBack(kitchen, outbox, kind, id)
    })
}

export async function bringBack(kitchen: KitchenOnPage, outbox: Outbox, kind: string, id: string): Promise<void> {
    const unsent = outbox.of(kind, id).find((one) => one.method === 'DELETE')
    if (unsent !== undefined && !unsent.tried) {
        outbox.drop(unsent.key)
        return
    }
    try {
        await api.bringBack(kind, id)
        const news = kitchen.number === null ? null : await api.changes(kitchen.number)
        if (news?.anew === true) await kitchen.open()
        else if (news !== null) kitchen.took(news)
    } catch (error) {
        tell(`It could not be brought back: ${wordsOf(error)} It waits in the trash, in the Cupboard.`)
    }
}
