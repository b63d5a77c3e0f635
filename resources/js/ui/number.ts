/**
 * A number as people write it in a field: 6,5 and 6.5, 1½ and 1 1/2, "about 4", "5-6". What cannot be meant is refused in words and never
 * guessed at.
 */
export interface NumberRules {
    /** more than this */
    above?: number
    least?: number
    most?: number
    whole?: boolean
    /** which end of "5 to 6" is taken; the middle where nothing is said */
    of?: 'low' | 'middle' | 'high'
}

export interface NumberRead {
    value: number | null
    problem: string | null
}

const VULGAR: Record<string, number> = {
    '½': 1 / 2,
    '⅓': 1 / 3,
    '⅔': 2 / 3,
    '¼': 1 / 4,
    '¾': 3 / 4,
    '⅕': 1 / 5,
    '⅖': 2 / 5,
    '⅗': 3 / 5,
    '⅘': 4 / 5,
    '⅙': 1 / 6,
    '⅚': 5 / 6,
    '⅛': 1 / 8,
    '⅜': 3 / 8,
    '⅝': 5 / 8,
    '⅞': 7 / 8,
}
const ABOUT = /^(?:about|around|roughly|circa|ca\.?|approx\.?|approximately|~|≈)\s*/i
const FRACTION = /^(?:(\d+)[\s-]+)?(\d+)\s*[/⁄]\s*(\d+)$/
const WITH_SIGN = /^(\d+)?\s*([½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞])$/
const DECIMAL = /^\d+(?:[.,]\d+)?$|^[.,]\d+$/

function one(text: string): number | null {
    const plain = text.trim()
    const fraction = FRACTION.exec(plain)
    if (fraction !== null) return Number(fraction[3]) === 0 ? null : Number(fraction[1] ?? 0) + Number(fraction[2]) / Number(fraction[3])
    const sign = WITH_SIGN.exec(plain)
    if (sign !== null) return Number(sign[1] ?? 0) + (VULGAR[sign[2] ?? ''] ?? 0)

    return DECIMAL.test(plain) ? Number(plain.replace(',', '.')) : null
}

/** "5-6", "5 – 6", "5 to 6"; but "1-1/2" is one and a half. */
function ends(text: string): [string, string] | null {
    const found = /^(.+?)\s*(?:-|–|—|\bto\b|\bor\b)\s*(.+)$/i.exec(text)
    if (found === null || FRACTION.test(text)) return null

    return [found[1] ?? '', found[2] ?? '']
}

export function readNumber(text: string, { above, least, most, whole = false, of = 'middle' }: NumberRules = {}): NumberRead {
    const plain = text.trim().replace(ABOUT, '').trim()
    if (text.trim() === '') return { value: null, problem: null }
    if (/^[1-9]\d{0,2}[.,]\d{3}$/.test(plain)) {
        return {
            value: null,
            problem: `“${plain}” can be meant in two ways: write ${plain.replace(/[.,]/, '')}, or ${Number(plain.replace(',', '.'))}.`,
        }
    }
    if (/^-\s*[\d.,½¼¾]/.test(plain)) return { value: null, problem: `“${plain}” is below zero: write a number from 0 on.` }
    const both = ends(plain)
    const [low, high] = both === null ? [one(plain), one(plain)] : [one(both[0]), one(both[1])]
    if (low === null || high === null) return { value: null, problem: `“${text.trim()}” is no number here: write it like 6.5, 6,5, 1½ or 5–6.` }
    const value = of === 'low' ? Math.min(low, high) : of === 'high' ? Math.max(low, high) : (low + high) / 2
    const written = Math.round(value * 1e6) / 1e6
    if (above !== undefined && written <= above) return { value: null, problem: `This must be more than ${above}.` }
    if (least !== undefined && written < least) return { value: null, problem: `This must be at least ${least}.` }
    if (most !== undefined && written > most) return { value: null, problem: `This can be at most ${most}.` }
    if (whole && !Number.isInteger(written)) return { value: null, problem: 'This is counted in whole ones.' }

    return { value: written, problem: null }
}
