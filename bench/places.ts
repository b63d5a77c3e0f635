import { test, type Page, type Request } from '@playwright/test'

/** How long every place takes to open in a kitchen of 5,000 recipes and 60 dogs: from the tap on its door to what it is for. */
const at = (times: number[], share: number): string =>
    [...times].sort((one, two) => one - two)[Math.min(times.length - 1, Math.floor(share * times.length))]?.toFixed(0) ?? '?'

/** @param to what stands there once the place is open */
async function opens(page: Page, path: string, to: string): Promise<number> {
    return page.evaluate(
        ([path, to]) =>
            new Promise<number>((resolve, reject) => {
                const since = performance.now()
                const seen = (): boolean => document.querySelector(to) !== null
                const watcher = new MutationObserver(() => {
                    if (!seen()) return
                    watcher.disconnect()
                    // the frame after it is the first that shows it
                    requestAnimationFrame(() => {
                        setTimeout(() => {
                            resolve(performance.now() - since)
                        })
                    })
                })
                watcher.observe(document.body, { childList: true, subtree: true })
                setTimeout(() => {
                    reject(new Error(`${path} did not open`))
                }, 20_000)
                history.pushState({}, '', path)
                window.dispatchEvent(new PopStateEvent('popstate', { state: history.state }))
            }),
        [path, to] as const,
    )
}

/** What this machine needs just now for a page of 3,000 plain rows: machines are noisy, and a place is to be seen beside it. */
async function plainRows(page: Page): Promise<number> {
    return page.evaluate(
        () =>
            new Promise<number>((resolve) => {
                const since = performance.now()
                const list = document.createElement('ul')
                for (let n = 0; n < 3_000; n++) {
                    const row = document.createElement('li')
                    row.textContent = `row ${n} of a list that nobody reads`
                    list.append(row)
                }
                document.body.append(list)
                requestAnimationFrame(() => {
                    setTimeout(() => {
                        const took = performance.now() - since
                        list.remove()
                        resolve(took)
                    })
                })
            }),
    )
}

/** From the tap on a door until it shows what was given, before the kitchen has answered. */
async function tap(page: Page, nth: number): Promise<number> {
    return page.evaluate(
        (nth) =>
            new Promise<number>((resolve, reject) => {
                const button = document.querySelectorAll<HTMLButtonElement>('.door__give:not(.door__give--warns)')[nth]
                const had = button?.closest('.door')?.querySelector('.door__had')
                if (button === undefined || had == null) {
                    reject(new Error('no door to tap on'))
                    return
                }
                const before = had.textContent
                const since = performance.now()
                const watcher = new MutationObserver(() => {
                    if (had.textContent === before) return
                    watcher.disconnect()
                    requestAnimationFrame(() => {
                        setTimeout(() => {
                            resolve(performance.now() - since)
                        })
                    })
                })
                watcher.observe(had, { childList: true, characterData: true, subtree: true })
                button.click()
            }),
        nth,
    )
}

test('places of a full kitchen', async ({ page }) => {
    test.setTimeout(400_000)
    const working = new Set<Request>()
    let lastAt = Date.now()
    const asks = (request: Request): boolean => request.url().includes('/api/') && !request.url().includes('/api/changes')
    const over = (request: Request): void => {
        if (working.delete(request)) lastAt = Date.now()
    }
    page.on('request', (request) => {
        if (!asks(request)) return
        working.add(request)
        lastAt = Date.now()
    })
    page.on('requestfinished', over)
    page.on('requestfailed', over)
    /** What the place before has set going (verdicts of thousands of recipes) has come to rest. */
    const rest = async (): Promise<void> => {
        while (working.size > 0 || Date.now() - lastAt < 900) await page.waitForTimeout(100)
    }
    await page.goto('/bench')
    const dog = ((await (await page.request.get('/api/dogs')).json()) as { id: string }[])[0]?.id ?? ''
    const recipe = ((await (await page.request.get('/api/shelf')).json()) as { id: string }[])[7]?.id ?? ''
    const batch = ((await (await page.request.get('/api/batches')).json()) as { id: string }[])[9]?.id ?? ''
    const places: [string, string, string][] = [
        ['today, of 60 dogs', '/today', '.door__give'],
        ['today, of 60 dogs, with what each may still have', '/today', '.door__may'],
        ['jars, of 300 bags', '/jars', '.bag'],
        ['bench', '/bench', '.cm-content'],
        ['a recipe on the bench', `/bench/${recipe}`, '.cm-line .row__grams'],
        ['shelf', '/shelf', '.slip-card'],
        ['card', `/card/${recipe}`, '.recipe-card__head'],
        ['dogs', '/dogs', '.dogs > *'],
        ['oven, of 200 batches', '/oven', '.strip__one'],
        ['a batch of 40 entries', `/oven/${batch}`, '.stage__words'],
        ['a dog', `/dogs/${dog}`, '.profile__day'],
        ['studio', '/studio', '.studio__figures'],
        ['chart', '/chart', '.place__head'],
        ['cupboard', '/cupboard', '.cupboard__parts'],
        ['rule book', '/cupboard/rules', '.rule-list > *'],
        ['house rules', '/cupboard/house', '.cupboard h1'],
        ['trash', '/cupboard/trash', '.cupboard h1'],
    ]
    // MILDBOWL_PLACES names those to be measured alone
    const asked = new RegExp(process.env['MILDBOWL_PLACES'] ?? '')
    for (const [name, path, to] of places.filter(([name]) => asked.test(name))) {
        const times: number[] = []
        const plain: number[] = []
        for (let turn = 0; turn < 4; turn++) {
            // what a page that is left had asked is not always told as over
            working.clear()
            await page.goto(path === '/bench' || path.startsWith('/bench/') ? '/dogs' : '/bench')
            await page.locator('#place').waitFor()
            await rest()
            plain.push(await plainRows(page))
            await page.waitForTimeout(200)
            times.push(await opens(page, path, to))
        }
        console.log(`place ${at(times, 0.5)} ${at(times, 1)} ${name} (3,000 plain rows: ${at(plain, 0.5)})`)
    }

    if (asked.test('a tap')) {
        const taps: number[] = []
        await page.goto('/today')
        await page.locator('.door__may').first().waitFor()
        for (let turn = 0; turn < 12; turn++) {
            await rest()
            taps.push(await tap(page, turn))
        }
        console.log(`tap ${at(taps, 0.5)} ${at(taps, 1)}`)
    }
})
