import type { Cut, Shape } from '../api/types.generated'

/** A piece seen from above: its size in millimetres, and its outline in a square of 1 × 1 to be stretched over it. */
export interface Outline {
    width: number
    height: number
    path: string
}

/** A size that can be dragged: its key and the axis it grows along. */
export interface Handle {
    key: string
    axis: 'across' | 'down'
    label: string
}

/** The shape of a cut among those the kitchen offers; undefined while they are not known yet. */
export function shapeOf(cut: { shape: string }, shapes: Shape[]): Shape | undefined {
    return shapes.find((one) => one.id === cut.shape)
}

function side(cut: Cut, [size, over]: string[]): number {
    const sizes = cut as unknown as Record<string, number>

    return (sizes[size ?? ''] ?? 0) / (over === undefined ? 1 : (sizes[over] ?? 1))
}

/** null where a cut is only a count, or has no outline that is known. */
export function outlineOf(cut: Cut, shape: Shape | undefined): Outline | null {
    const drawing = shape?.drawing

    return drawing === undefined || drawing === null
        ? null
        : { width: side(cut, drawing.across), height: side(cut, drawing.down), path: drawing.path }
}

/** The sizes of a shape that can be dragged on the ruler: those that are a side by themselves, each once. */
export function handlesOf(shape: Shape | undefined): Handle[] {
    const drawing = shape?.drawing
    if (drawing === undefined || drawing === null) return []
    const handles: Handle[] = []
    for (const [axis, sides] of [
        ['across', drawing.across],
        ['down', drawing.down],
    ] as const) {
        const key = sides[0]
        if (sides.length === 1 && key !== undefined && !handles.some((one) => one.key === key)) {
            handles.push({ key, axis, label: shape?.sizes.find((one) => one.key === key)?.label ?? key })
        }
    }

    return handles
}

/** How thick the piece lies: the size of the side view. */
export function thicknessKey(shape: Shape | undefined): string | null {
    return shape?.drawing?.thick ?? null
}
