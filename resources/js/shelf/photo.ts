const LONGEST = 1400
const QUALITY = 0.82

/**
 * A picture as it is kept: made smaller here, so that little has to be sent, and without what a camera writes beside it.
 *
 * @throws Error in words, where the file holds no picture this browser can read
 */
export async function smallPicture(file: File): Promise<string> {
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
