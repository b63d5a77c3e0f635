import { test } from '@playwright/test'

/** Dragging a cut: from the pointer's move to the piece redrawn, and to the rations that follow it. */
test('drag to redraw', async ({ page }) => {
    await page.goto('/bench')
    await page
        .getByRole('region', { name: 'At the table' })
        .getByRole('button', { name: /^Biscay/ })
        .waitFor()
    await page.getByRole('textbox', { name: 'The recipe', exact: true }).focus()
    await page.keyboard.insertText('3 cups oat flour')
    await page.getByText('Checked 1 line').waitFor()
    await page.goto('/studio')
    const handle = page.getByRole('slider', { name: 'Drag: across' })
    await handle.waitFor()
    const box = await handle.boundingBox()
    if (box === null) throw new Error('There is no handle.')
    await page.mouse.move(box.x + 3, box.y + 10)
    await page.mouse.down()
    const drawn: number[] = []
    const answered: number[] = []
    for (let i = 0; i < 40; i++) {
        const took = page.evaluate(
            () =>
                new Promise<{ drawn: number; answered: number }>((resolve) => {
                    const path = document.querySelector('.ruler__piece')
                    const figures = document.querySelector('.studio__figures')
                    if (path === null || figures === null) throw new Error('Nothing is drawn.')
                    const [wasDrawn, wasAnswered] = [path.getAttribute('d'), figures.textContent]
                    let since = 0
                    let when = 0
                    document.addEventListener(
                        'pointermove',
                        () => {
                            since = performance.now()
                        },
                        { once: true, capture: true },
                    )
                    const timer = setInterval(() => {
                        if (since === 0) return
                        if (when === 0 && path.getAttribute('d') !== wasDrawn) when = performance.now() - since
                        if (figures.textContent !== wasAnswered) {
                            clearInterval(timer)
                            resolve({ drawn: when, answered: performance.now() - since })
                        }
                    }, 1)
                }),
        )
        await page.mouse.move(box.x + 3 + (i % 2 === 0 ? 20 : 0), box.y + 10)
        const one = await took
        drawn.push(one.drawn)
        answered.push(one.answered)
    }
    await page.mouse.up()
    for (const all of [drawn, answered]) all.sort((one, two) => one - two)
    console.log(`drag ${drawn[20]?.toFixed(0)} ${drawn[38]?.toFixed(0)} ${answered[20]?.toFixed(0)} ${answered[38]?.toFixed(0)}`)
})
