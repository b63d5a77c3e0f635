import { describe, expect, it } from 'vitest'
import { isPage, isTale, wellFormed } from './intake'

describe('what comes from outside', () => {
    it('is a page where it has the marks of one, and words otherwise', () => {
        const rows = 'Home\nHarbour bites\n1 egg\nBuy'
        expect(isPage('<nav>Home</nav><h1>Harbour bites</h1>', rows)).toBe(true)
        expect(isPage('<div itemprop="recipeIngredient">1 egg</div>', rows)).toBe(true)
        expect(isPage('', '<!DOCTYPE html><html><body>1 egg</body></html>')).toBe(true)
        expect(isPage('', '{"@context":"https://schema.org","@type":"Recipe"}')).toBe(true)
        expect(isPage('<ul><li>1 egg</li><li>2 cups flour</li><li>water</li></ul>', '1 egg\n2 cups flour\nwater')).toBe(false)
        expect(isPage('<p>1 egg</p>', '1 egg')).toBe(false)
        expect(isPage('<h2>Foods</h2>', 'Foods')).toBe(false)
        expect(isPage('', '2 cups <b>flour</b>')).toBe(false)
    })

    it('is a talk where it runs on, or a whole recipe where it names its list and its method', () => {
        const talk = 'So today we take two cups of oats and one egg and we mix it all up until it holds together in the bowl. '.repeat(4)
        expect(isTale(talk)).toBe(true)
        expect(isTale('[0:10] '.concat(talk))).toBe(true)
        expect(isTale('Ingredients\n2 cups oats\nMethod\nMix.')).toBe(true)
        expect(isTale(Array.from({ length: 30 }, (_, n) => `${n + 1} cups of oat flour and water`).join('\n'))).toBe(false)
        expect(isTale('Mix 2 cups oats with 1 egg.')).toBe(false)
    })

    it('keeps every letter that is one, and replaces halves of letters', () => {
        expect(wellFormed('1 🥕 carrot')).toBe('1 🥕 carrot')
        expect(wellFormed('1 \ud83d carrot \udd55')).toBe('1 \ufffd carrot \ufffd')
        expect(wellFormed('2 cups\0 oats')).toBe('2 cups\ufffd oats')
    })
})
