import type { Extension } from '@codemirror/state'
import { EditorView } from '@codemirror/view'

/** What may come from outside by clipboard or by hand: words go on the sheet, a page goes the way of "Bring in", a picture is told of. */
export interface Intake {
    bringIn: (content: string) => void
    tell: (words: string) => void
}

/** Marks of a whole page, not of a list that was copied from one. */
const PAGE = /<(?:h[1-4]|nav|header|footer|article|main|form|iframe|script|title)\b|itemprop=|recipeIngredient/i
const SOURCE = /^\s*(?:<!doctype html|<html\b|<head\b|<body\b|<script\b|[{[]\s*"@(?:context|type|graph)")/i

export const NO_PICTURE = 'A picture cannot be read here: type what stands on it, or paste its words.'

export function isPage(html: string, plain: string): boolean {
    return SOURCE.test(plain) || (PAGE.test(html) && plain.trim().split('\n').length > 2)
}

/** A talk, or a whole page of words: it goes the way of "Bring in", as a list does not. */
export function isTale(plain: string): boolean {
    const rows = plain
        .split('\n')
        .map((row) => row.trim())
        .filter((row) => row !== '')
    const words = plain.trim().split(/\s+/).length
    const listed = rows.filter(
        (row) => row.length < 60 && /^(?:[-*•·–▢☐✓]|\d{1,2}[.)]\s|\d|[½¼¾⅓⅔⅛])/.test(row) && !/^[[(]?\d{1,2}:\d{2}/.test(row),
    ).length
    const isWhole = /^\W*(?:the\s+)?ingredients?\W*$/im.test(plain) && /^\W*(?:the\s+)?(?:method|instructions?|directions?|steps)\W*$/im.test(plain)

    return isWhole || (words >= 60 && words / rows.length >= 6.5 && listed < rows.length / 4)
}

/** Signs that are no letter are replaced, each by one, so that what is on the sheet can be sent and kept whole. */
export function wellFormed(text: string): string {
    return text.replace(/\0|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g, '\ufffd')
}

function taken(data: DataTransfer | null, { bringIn, tell }: Intake): boolean {
    if (data === null) return false
    const html = data.getData('text/html')
    const plain = data.getData('text/plain')
    const file = data.files[0]
    if (plain === '' && file !== undefined) {
        if (file.type.startsWith('image/')) tell(NO_PICTURE)
        else if (/^text\/|json|xml/.test(file.type) || /\.(?:html?|json|jsonld|md|markdown|txt)$/i.test(file.name))
            void file.text().then(bringIn, () => {
                tell(`${file.name} could not be read.`)
            })
        else tell(`${file.name} holds no text: bring a saved page, JSON-LD, Markdown or plain text.`)

        return true
    }
    if (!isPage(html, plain)) {
        if (!isTale(plain)) return false
        bringIn(plain)

        return true
    }
    bringIn(SOURCE.test(plain) ? plain : html)

    return true
}

export function intake(how: Intake): Extension {
    return [
        EditorView.clipboardInputFilter.of((text) => wellFormed(text).replace(/\n+$/, '')),
        EditorView.domEventHandlers({
            paste: (event) => taken(event.clipboardData, how),
            drop: (event) => taken(event.dataTransfer, how),
        }),
    ]
}
