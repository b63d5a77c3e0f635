import { test, type Page } from '@playwright/test'

/**
 * What the hand waits for on the sheet, in this machine's milliseconds: the last key to the answer in the margin, a key to its letter on the
 * screen, 200 lines pasted to their answer, and the longest frame while a sheet of 200 lines is scrolled. Each with the processor as it is
 * and slowed four times.
 */
const LINES = [
    '2 cups oat flour',
    '1/2 cup brown rice flour',
    '1 large egg',
    '2 medium carrots, grated',
    '1/2 cup plain pumpkin purée',
    '1 tbsp coconut oil',
    '1 tsp cinnamon',
    '2 tbsp parsley',
    '1 tbsp ground flaxseed',
    '1/2 cup blueberries',
    '2 tbsp water',
    '100 g cooked turkey',
]

const at = (times: number[], share: number): string =>
    [...times].sort((one, two) => one - two)[Math.min(times.length - 1, Math.floor(share * times.length))]?.toFixed(0) ?? '?'

async function open(page: Page, slowed: number): Promise<void> {
    await page.goto('/bench')
    await page
        .getByRole('region', { name: 'At the table' })
        .getByRole('button', { name: /^Biscay/ })
        .waitFor()
    await page.getByRole('textbox', { name: 'The recipe', exact: true }).focus()
    await page.keyboard.insertText(LINES.join('\n'))
    await page.getByText('Checked 12 lines').waitFor()
    await page.waitForTimeout(500)
    await (await page.context().newCDPSession(page)).send('Emulation.setCPUThrottlingRate', { rate: slowed })
}

for (const slowed of [1, 4]) {
    test(`keys, slowed ${slowed} times`, async ({ page }) => {
        test.setTimeout(180_000)
        await open(page, slowed)
        const answers: number[] = []
        const letters: number[] = []
        for (let turn = 0; turn < 40; turn++) {
            const grams = 100 + turn
            await page.keyboard.press('Control+End')
            await page.keyboard.press('Home')
            for (let n = 0; n < 3; n++) await page.keyboard.press('Delete')
            await page.keyboard.insertText(String(grams).slice(0, 2))
            await page.waitForTimeout(slowed * 90)
            const took = page.evaluate(
                (wanted) =>
                    new Promise<{ answer: number; letter: number }>((resolve) => {
                        let since = 0
                        let letter = 0
                        const content = document.querySelector('.cm-content')
                        content?.addEventListener(
                            'keydown',
                            () => {
                                since = performance.now()
                                // the frame after the one the letter was put in shows it
                                requestAnimationFrame(() => {
                                    setTimeout(() => {
                                        letter = performance.now() - since
                                    })
                                })
                            },
                            { once: true, capture: true },
                        )
                        const watcher = new MutationObserver(() => {
                            if (
                                since === 0 ||
                                [...document.querySelectorAll('.cm-line')][11]?.querySelector('.row__grams')?.textContent !== `${wanted} g`
                            )
                                return
                            watcher.disconnect()
                            const answer = performance.now() - since
                            setTimeout(() => {
                                resolve({ answer, letter })
                            }, 20)
                        })
                        watcher.observe(document.body, { childList: true, characterData: true, subtree: true })
                        document.body.dataset['listens'] = String(wanted)
                    }),
                grams,
            )
            // a slowed page may take its time to begin listening
            await page.waitForFunction((wanted) => document.body.dataset['listens'] === String(wanted), grams)
            await page.keyboard.press(String(grams).slice(2))
            const one = await took
            answers.push(one.answer)
            letters.push(one.letter)
        }
        console.log(`keys ${slowed} ${at(answers, 0.5)} ${at(answers, 0.95)} ${at(letters, 0.5)} ${at(letters, 0.95)}`)
    })

    test(`200 lines, slowed ${slowed} times`, async ({ page }) => {
        await open(page, slowed)
        const pasted = Array.from({ length: 200 }, (_, n) => LINES[n % LINES.length]).join('\n')
        const times: number[] = []
        for (let turn = 0; turn < 5; turn++) {
            await page.keyboard.press('Control+A')
            await page.keyboard.press('Delete')
            await page.waitForTimeout(slowed * 250)
            times.push(
                await page.evaluate(
                    (text) =>
                        new Promise<number>((resolve) => {
                            const data = new DataTransfer()
                            data.setData('text/plain', text)
                            const watcher = new MutationObserver(() => {
                                if (!(document.querySelector('.verdict__checked')?.textContent ?? '').includes('Checked 200 lines')) return
                                watcher.disconnect()
                                resolve(performance.now() - since)
                            })
                            watcher.observe(document.body, { childList: true, characterData: true, subtree: true })
                            const since = performance.now()
                            document
                                .querySelector('.cm-content')
                                ?.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))
                        }),
                    pasted,
                ),
            )
        }
        const frames = await page.evaluate(
            () =>
                new Promise<number[]>((resolve) => {
                    const took: number[] = []
                    let last = performance.now()
                    let step = 0
                    const frame = (now: number): void => {
                        took.push(now - last)
                        last = now
                        window.scrollBy(0, 90)
                        if (++step < 100) requestAnimationFrame(frame)
                        else resolve(took.slice(2))
                    }
                    window.scrollTo(0, 0)
                    requestAnimationFrame(frame)
                }),
        )
        console.log(`lines ${slowed} ${at(times, 0.5)} ${at(times, 1)} ${at(frames, 0.5)} ${at(frames, 1)}`)
    })
}
