import { test } from '@playwright/test'

/** Last key to answer on the bench: from the keystroke to the margin showing the new grams. */
test('last key to answer', async ({ page }) => {
    await page.goto('/bench')
    await page.getByRole('button', { name: /^Biscay/ }).waitFor()
    const lines = ['2 cups oat flour', '1/2 cup brown rice flour', '1 large egg', '2 medium carrots, grated', '1/2 cup plain pumpkin purée', '1 tbsp coconut oil', '1 tsp cinnamon', '2 tbsp parsley', '1 tbsp ground flaxseed', '1/2 cup blueberries', '2 tbsp water', '100 g cooked turkey']
    await page.getByLabel('Foods, line 1', { exact: true }).fill(lines[0] ?? '')
    for (const line of lines.slice(1)) {
        await page.keyboard.press('Enter')
        await page.keyboard.insertText(line)
    }
    await page.getByText('Checked 12 lines').waitFor()
    const times: number[] = []
    for (let i = 0; i < 60; i++) {
        const grams = 100 + i
        const took = page.evaluate(async (wanted) => {
            const margin = document.querySelectorAll('.row__grams')
            const field = document.querySelectorAll<HTMLTextAreaElement>('.row__text')[11]
            if (field === undefined) throw new Error('no row')
            return new Promise<number>((resolve) => {
                let since = 0
                field.addEventListener('input', () => { since = performance.now() }, { once: true, capture: true })
                const timer = setInterval(() => {
                    if (since > 0 && document.querySelectorAll('.row__grams')[11]?.textContent === `${wanted} g`) {
                        clearInterval(timer)
                        resolve(performance.now() - since)
                    }
                }, 1)
                void margin
            })
        }, grams)
        await page.getByLabel('Foods, line 12', { exact: true }).fill(`${grams} g cooked turkey`)
        times.push(await took)
    }
    times.sort((one, two) => one - two)
    console.log(`keys ${times[30]?.toFixed(0)} ${times[57]?.toFixed(0)}`)
})
