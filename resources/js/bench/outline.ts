import type { Cut } from '../api/types.generated'

export interface Outline { width: number, height: number, path: string }

/** A size that can be dragged: its key and the axis it grows along. */
export interface Handle { key: string, axis: 'across' | 'down', label: string }

function circle(d: number): string {
    return `M0 ${d / 2} a${d / 2} ${d / 2} 0 1 0 ${d} 0 a${d / 2} ${d / 2} 0 1 0 ${-d} 0z`
}

function box(width: number, height: number): string {
    return `M0 0 h${width} v${height} h${-width}z`
}

function star(w: number, h: number): string {
    return Array.from({ length: 10 }, (_, i) => {
        const r = i % 2 === 0 ? 0.5 : 0.2
        const angle = Math.PI * (i / 5 - 0.5)

        return `${i === 0 ? 'M' : 'L'}${w / 2 + Math.cos(angle) * r * w} ${h / 2 + Math.sin(angle) * r * h}`
    }).join(' ') + 'z'
}

/** The outline of a piece in millimetres, seen from above; null where a cut is only a count. */
export function outlineOf(cut: Cut): Outline | null {
    const s = cut as unknown as Record<string, number>
    const [w, h] = [s['widthMm'] ?? 0, s['lengthMm'] ?? 0]
    const d = s['diameterMm'] ?? 0
    switch (cut.shape) {
        case 'round': case 'log': case 'ball': return { width: d, height: d, path: circle(d) }
        case 'square': return { width: s['sideMm'] ?? 0, height: s['sideMm'] ?? 0, path: box(s['sideMm'] ?? 0, s['sideMm'] ?? 0) }
        case 'rectangle': case 'strip': return { width: h, height: w, path: box(h, w) }
        case 'bone': return { width: h, height: w, path: `M${h * 0.2} ${w * 0.3} H${h * 0.8} a${h * 0.1} ${w * 0.25} 0 1 1 ${h * 0.1} ${w * 0.2} a${h * 0.1} ${w * 0.25} 0 1 1 ${-h * 0.1} ${w * 0.2} H${h * 0.2} a${h * 0.1} ${w * 0.25} 0 1 1 ${-h * 0.1} ${-w * 0.2} a${h * 0.1} ${w * 0.25} 0 1 1 ${h * 0.1} ${-w * 0.2}z` }
        case 'heart': return { width: w, height: h, path: `M${w / 2} ${h} C${-w * 0.35} ${h * 0.45} ${w * 0.15} ${-h * 0.25} ${w / 2} ${h * 0.22} C${w * 0.85} ${-h * 0.25} ${w * 1.35} ${h * 0.45} ${w / 2} ${h}z` }
        case 'star': return { width: w, height: h, path: star(w, h) }
        case 'grid': {
            const [across, down] = [(s['sheetWidthMm'] ?? 0) / (s['columns'] ?? 1), (s['sheetLengthMm'] ?? 0) / (s['rows'] ?? 1)]

            return { width: across, height: down, path: box(across, down) }
        }
        default: return null
    }
}

/** The sizes of a shape that can be dragged on the ruler. */
export function handlesOf(cut: Cut): Handle[] {
    switch (cut.shape) {
        case 'round': case 'log': case 'ball': return [{ key: 'diameterMm', axis: 'across', label: 'across' }]
        case 'square': return [{ key: 'sideMm', axis: 'across', label: 'side' }]
        case 'rectangle': case 'strip': case 'bone': return [{ key: 'lengthMm', axis: 'across', label: 'long' }, { key: 'widthMm', axis: 'down', label: 'wide' }]
        case 'heart': case 'star': return [{ key: 'widthMm', axis: 'across', label: 'wide' }, { key: 'lengthMm', axis: 'down', label: 'long' }]
        default: return []
    }
}

/** How thick the piece lies: the size of the side view. */
export function thicknessKey(cut: Cut): string | null {
    return 'thicknessMm' in cut ? 'thicknessMm' : 'sliceMm' in cut ? 'sliceMm' : 'depthMm' in cut ? 'depthMm' : null
}
