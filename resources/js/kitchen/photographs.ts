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
 * The picture in a file, upright as it was held.
 *
 * @throws Error in words, where the file holds no picture this browser can read, or one that is too large to open
 */
export async function openPicture(file: File): Promise<ImageBitmap> {
    const size = sizeOf(new Uint8Array(await file.slice(0, HEAD).arrayBuffer()))
    if (size !== null && size.width * size.height > MOST_PIXELS)
        throw new Error(
            `${file.name} has ${Math.round((size.width * size.height) / 1e6)} million points, ${size.width} × ${size.height}: more than this browser should open. Make it smaller first, to ${MOST_PIXELS / 1e6} million at most.`,
        )
    try {
        return await createImageBitmap(file)
    } catch {
        throw new Error(`${file.name} holds no picture that this browser can read: take a JPEG, PNG or WebP.`)
    }
}

/** A picture, or a part of it, as a canvas no longer than so many points; never made larger. */
export function drawn(
    picture: ImageBitmap | HTMLCanvasElement,
    longest: number,
    part: { left: number; top: number; width: number; height: number } = { left: 0, top: 0, width: picture.width, height: picture.height },
): HTMLCanvasElement {
    const scale = Math.min(1, longest / Math.max(part.width, part.height))
    const canvas = document.createElement('canvas')
    canvas.width = Math.max(1, Math.round(part.width * scale))
    canvas.height = Math.max(1, Math.round(part.height * scale))
    canvas.getContext('2d')?.drawImage(picture, part.left, part.top, part.width, part.height, 0, 0, canvas.width, canvas.height)

    return canvas
}

/** A JPEG in base64, without what a camera writes beside it. */
export function asJpeg(canvas: HTMLCanvasElement, quality: number = QUALITY): string {
    return canvas.toDataURL('image/jpeg', quality).replace(/^data:[^,]*,/, '')
}

/** @throws Error in words, where the file holds no picture this browser can read */
async function smallPicture(file: File): Promise<string> {
    const picture = await openPicture(file)
    const image = asJpeg(drawn(picture, LONGEST))
    picture.close()

    return image
}

/**
 * A photograph goes to the kitchen as every change does: before whatever is said of it, and by itself once the kitchen answers again.
 *
 * @param of what is to be seen on it
 * @returns its id
 * @throws KitchenProblem where the kitchen refuses it
 * @throws Error in words, where the file holds no picture this browser can read
 */
export async function keepPhotograph(outbox: Outbox, file: File | HTMLCanvasElement, of: string): Promise<string> {
    const id = crypto.randomUUID()
    const body = { image: file instanceof HTMLCanvasElement ? asJpeg(drawn(file, LONGEST)) : await smallPicture(file) }
    await outbox.put({ method: 'POST', path: 'photos', kind: 'photos', id, key: id, name: `the photograph of ${of}`, body, base: null })

    return id
}

/** Where a photograph is shown from: out of what waits here as long as the kitchen does not have it. */
export function addressOf(outbox: Outbox, id: string): string {
    const image = outbox.of('photos', id).find((entry) => entry.state === 'waits')?.body?.['image']

    return typeof image === 'string' ? `data:image/jpeg;base64,${image}` : `/api/photos/${id}`
}
