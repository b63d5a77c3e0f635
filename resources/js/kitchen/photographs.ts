import type { Outbox } from '../api/outbox'

const LONGEST = 1400
const QUALITY = 0.82
/** More than a telephone's camera makes; decoded it would fill the memory of one. */
const MOST_PIXELS = 50_000_000
/** So much of a file holds its size. */
const HEAD = 512 * 1024

/** How large a picture is, by its first bytes, before anything is decoded; null where they do not say. */
export function sizeOf(bytes: Uint8Array): { width: number; height: number } | null {
    const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
    const has = (at: number, ...those: number[]): boolean => those.every((one, n) => bytes[at + n] === one)
    if (has(0, 0x89, 0x50, 0x4e, 0x47) && bytes.length >= 24) return { width: view.getUint32(16), height: view.getUint32(20) }
    if (has(0, 0x52, 0x49, 0x46, 0x46) && has(8, 0x57, 0x45, 0x42, 0x50) && bytes.length >= 30) {
        if (has(12, 0x56, 0x50, 0x38, 0x58)) return { width: 1 + (view.getUint32(24, true) & 0xffffff), height: 1 + (view.getUint32(26, true) >>> 8) }
        if (has(12, 0x56, 0x50, 0x38, 0x4c)) {
            const bits = view.getUint32(21, true)

            return { width: 1 + (bits & 0x3fff), height: 1 + ((bits >>> 14) & 0x3fff) }
        }

        return { width: view.getUint16(26, true) & 0x3fff, height: view.getUint16(28, true) & 0x3fff }
    }
    if (!has(0, 0xff, 0xd8)) return null
    for (let at = 2; at + 9 < bytes.length;) {
        const mark = bytes[at + 1] ?? 0
        if (bytes[at] !== 0xff) return null
        if (mark >= 0xc0 && mark <= 0xcf && mark !== 0xc4 && mark !== 0xc8 && mark !== 0xcc)
            return { width: view.getUint16(at + 7), height: view.getUint16(at + 5) }
        at += 2 + view.getUint16(at + 2)
    }

    return null
}

/**
 * A picture as it is kept: made smaller here, so that little has to be sent, and without what a camera writes beside it.
 *
 * @throws Error in words, where the file holds no picture this browser can read
 */
async function smallPicture(file: File): Promise<string> {
    const size = sizeOf(new Uint8Array(await file.slice(0, HEAD).arrayBuffer()))
    if (size !== null && size.width * size.height > MOST_PIXELS)
        throw new Error(
            `${file.name} has ${Math.round((size.width * size.height) / 1e6)} million points, ${size.width} × ${size.height}: more than this browser should open. Make it smaller first, to ${MOST_PIXELS / 1e6} million at most.`,
        )
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
