import type { Outbox } from '../api/outbox'

const LONGEST = 1400
const QUALITY = 0.82

/**
 * A picture as it is kept: made smaller here, so that little has to be sent, and without what a camera writes beside it.
 *
 * @throws Error in words, where the file holds no picture this browser can read
 */
async function smallPicture(file: File): Promise<string> {
    let picture: ImageBitmap
    try {
        picture = await createImageBitmap(file)
    } catch {
        throw new Error(`${file.name} holds no picture that this browser can read: take a JPEG, PNG or WebP.`)
    }
    const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height))
    const canvas = document.createElement('canvas')
    canvas.width = Math.max(1, Math.round(picture.width * scale))
    canvas.height = Math.max(1, Math.round(picture.height * scale))
    canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height)
    picture.close()

    return canvas.toDataURL('image/jpeg', QUALITY).replace(/^data:[^,]*,/, '')
}

/**
 * A photograph goes to the kitchen as every change does: before whatever is said of it, and by itself once the kitchen answers again.
 *
 * @param of what is to be seen on it
 * @returns its id
 * @throws KitchenProblem where the kitchen refuses it
 * @throws Error in words, where the file holds no picture this browser can read
 */
export async function keepPhotograph(outbox: Outbox, file: File, of: string): Promise<string> {
    const id = crypto.randomUUID()
    const body = { image: await smallPicture(file) }
    await outbox.put({ method: 'POST', path: 'photos', kind: 'photos', id, key: id, name: `the photograph of ${of}`, body, base: null })

    return id
}

/** Where a photograph is shown from: out of what waits here as long as the kitchen does not have it. */
export function addressOf(outbox: Outbox, id: string): string {
    const image = outbox.of('photos', id).find((entry) => entry.state === 'waits')?.body?.['image']

    return typeof image === 'string' ? `data:image/jpeg;base64,${image}` : `/api/photos/${id}`
}
