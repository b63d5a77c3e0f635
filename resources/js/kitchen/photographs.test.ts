import { describe, expect, it } from 'vitest'
import { sizeOf } from './photographs'

const bytes = (...those: (number | string)[]): Uint8Array =>
    Uint8Array.from(those.flatMap((one) => (typeof one === 'string' ? [...one].map((letter) => letter.charCodeAt(0)) : [one])))
const zeros = (many: number): number[] => Array.from({ length: many }, () => 0)

describe('the size of a picture', () => {
    it('is read from the first bytes of each kind', () => {
        expect(sizeOf(bytes(0x89, 'PNG\r\n', 0x1a, '\n', 0, 0, 0, 13, 'IHDR', 0, 0, 0x23, 0x28, 0, 0, 0x1a, 0x0b))).toEqual({
            width: 9000,
            height: 6667,
        })
        const jpeg = bytes(0xff, 0xd8, 0xff, 0xe0, 0, 4, 1, 2, 0xff, 0xc0, 0, 17, 8, 0x1a, 0x0b, 0x23, 0x28, 3, ...zeros(12))
        expect(sizeOf(jpeg)).toEqual({ width: 9000, height: 6667 })
        expect(sizeOf(bytes('RIFF', 0, 0, 0, 0, 'WEBPVP8X', 10, 0, 0, 0, 0, 0, 0, 0, 0x27, 0x23, 0, 0x0a, 0x1a, 0))).toEqual({
            width: 9000,
            height: 6667,
        })
        expect(sizeOf(bytes('RIFF', 0, 0, 0, 0, 'WEBPVP8 ', ...zeros(10), 0x40, 0x01, 0xf0, 0x00))).toEqual({ width: 320, height: 240 })
        const bits = 319 | (239 << 14)
        expect(
            sizeOf(
                bytes('RIFF', 0, 0, 0, 0, 'WEBPVP8L', 0, 0, 0, 0, 0x2f, bits & 255, (bits >> 8) & 255, (bits >> 16) & 255, bits >>> 24, ...zeros(6)),
            ),
        ).toEqual({ width: 320, height: 240 })
    })

    it('is not guessed where they do not say', () => {
        expect(sizeOf(bytes('GIF89a'))).toBeNull()
        expect(sizeOf(bytes(0xff, 0xd8, 0xff, 0xe0, 0, 4))).toBeNull()
        expect(sizeOf(bytes())).toBeNull()
    })
})
