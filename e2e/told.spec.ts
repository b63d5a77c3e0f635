import { expect, expectAccessible, freshKitchen, openBench, row, sheet as document, test } from './support'

freshKitchen()

const TALK = `[00:02] Hello hello, it's Wren here, and this is Teasel under the table. It's been raining since Monday.
[00:11] So today it's oat and honey bites. You take two cups of rolled oats, no wait, sorry, one and a half cups of rolled oats.
[00:25] Then one egg, and a tablespoon of honey. Never put raisins in these, raisins are poison for a dog.
[00:36] And some milk, I never measure the milk. Stir in the milk until it holds together.
[00:48] Roll it six millimetres thick, cut it with a round cutter four centimetres across, and bake at 175 for twenty minutes.
[01:02] Teasel has eaten a sock, so that was our week. Bye!`

test('a talk is brought in: its sheet beside its words, what is not sure is asked, and it is laid on the bench', async ({ page }) => {
    await openBench(page)
    await page.getByRole('button', { name: 'Bring in' }).click()
    await page.getByLabel('The recipe as you have it').fill(TALK)
    await page.getByRole('button', { name: 'Read it' }).click()
    const sheet = page.getByRole('region', { name: 'The sheet it makes' })
    await expect(sheet.getByRole('heading', { name: 'Oat and honey bites' })).toBeVisible()
    await expect(sheet).toContainText('175 °C, 20 minutes, 6 mm thick')
    await expect(sheet).toContainText('Warned of, and left out: raisins.')
    await expectAccessible(page)

    // a tap on the line shows its words, and on the words the line
    await sheet.getByRole('button', { name: /1 1\/2 cups rolled oats not sure/ }).click()
    const talk = page.getByRole('region', { name: 'What was told' })
    await expect(talk.getByRole('button', { name: /no wait, sorry/ })).toHaveAttribute('aria-pressed', 'true')
    await expect(sheet.getByText('It was told more than once.')).toBeVisible()
    await sheet.getByRole('button', { name: '2 cups', exact: true }).click()
    await expect(sheet.getByRole('button', { name: '2 cups rolled oats' })).toBeVisible()
    await talk.getByRole('button', { name: /Then one egg/ }).click()
    await expect(sheet.getByRole('button', { name: '1 egg' })).toHaveAttribute('aria-pressed', 'true')

    // an amount that was not said is asked for
    await sheet.getByRole('button', { name: /milk not sure/ }).click()
    await sheet.getByLabel('How much').fill('3 tbsp')
    await sheet.getByRole('button', { name: 'Write it' }).click()
    await expect(sheet.getByRole('button', { name: '3 tbsp milk' })).toBeVisible()
    await page.getByText('Set aside').click()
    await expect(page.getByText('Teasel has eaten a sock')).toHaveCount(2)

    await sheet.getByRole('button', { name: 'Lay it on the bench' }).click()
    await expect(page.getByLabel('Title of the recipe')).toHaveValue('Oat and honey bites')
    await expect(row(page, 1)).toContainText('180 g')
    await expect(page.getByText('raisins')).toHaveCount(0)
})

test('a talk that is pasted on the sheet goes the same way, and several recipes stay apart', async ({ page }) => {
    await openBench(page)
    const talk =
        'Number one. Banana coins. Two ripe bananas, one cup of oat flour, that is all, mash it and roll it and bake it at 175 for fifteen minutes. ' +
        'Number two. Tuna squares. Two eggs and one cup of whole wheat flour and a tin of tuna in water. Bake it in a tray at 180 for half an hour and cut it in squares, and that is it for this week from all of us here on the boat.'
    await document(page).focus()
    await document(page).evaluate((element, words) => {
        const data = new DataTransfer()
        data.setData('text/plain', words)
        element.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))
    }, talk)
    await expect(page.getByText('2 recipes were found.')).toBeVisible()
    await page.getByRole('tab', { name: 'Tuna squares' }).click()
    await expect(page.getByRole('region', { name: 'The sheet it makes' }).getByRole('button', { name: '2 eggs' })).toBeVisible()
})
