import type { Browser, BrowserContext, Page } from '@playwright/test'
import { Days } from './clock'
import { expect, freshKitchen, test } from './support'

/** A household of three lives a week against one kitchen: each gives and writes down from a browser of its own, and the sums agree with a reckoning that is written apart, here. */
freshKitchen()

const TITLE = 'Week coins'
const PIECES = 60

interface Season {
    days: { on: string; kcal: number; foods: string[] }[]
    entries: { on: string; by: string; kind: string; undone: boolean }[]
    suspects: { kinds: { kind: string; suspects: { food: string; together: string[]; a: number; b: number; c: number; d: number; p: number }[] }[] }
    likes: { foods: { what: string; took: number; of: number }[] }
}

interface Person {
    context: BrowserContext
    page: Page
    /** out of sight of the house */
    away: boolean
}

async function person(browser: Browser, baseURL: string, days: Days, name: string, phone = false): Promise<Person> {
    const context = await browser.newContext({ baseURL, ...(phone ? { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true } : {}) })
    await context.addInitScript((who) => {
        localStorage.setItem('mildbowl.person', who)
    }, name)
    const one: Person = { context, page: await context.newPage(), away: false }
    await days.begin(context, () => one.away)

    return one
}

/** Gives one piece of the week's coins to a dog, at the door. */
async function give(page: Page, dog: string): Promise<void> {
    await page.goto('/today')
    const hand = page.getByRole('button', { name: new RegExp(`^In the hand: ${TITLE}`) })
    await hand.click()
    await expect(hand).toHaveAttribute('aria-pressed', 'true')
    await page.getByRole('button', { name: `Give ${dog} one`, exact: true }).click()
    await expect(page.getByRole('region', { name: 'Given today' })).toContainText(`${TITLE}: ${dog}`)
}

async function scrap(page: Page, text: string, dog: string): Promise<void> {
    await page.goto('/today')
    await page.getByRole('button', { name: 'Something else' }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByLabel('What, and how much').fill(text)
    await dialog.getByLabel('To which dog').fill(dog)
    await page.getByRole('option', { name: dog }).click()
    await page.keyboard.press('Escape')
    await dialog.getByRole('button', { name: 'Write it down' }).click()
    await expect(page.getByRole('region', { name: 'Given today' })).toContainText(`${text}: ${dog}`)
}

const choose = (n: number, k: number): number =>
    k < 0 || k > n ? 0 : Array.from({ length: k }, (_, i) => (n - i) / (i + 1)).reduce((x, y) => x * y, 1)

/** Fisher's exact test, counted out: all ways to deal the bad days that put at least so many on days with the food. */
function chance(a: number, b: number, c: number, d: number): number {
    let ways = 0
    for (let k = a; k <= Math.min(a + b, a + c); k++) ways += choose(a + b, k) * choose(c + d, a + c - k)

    return ways / choose(a + b + c + d, a + c)
}

test('three browsers, one kitchen, a week: what was given, what was seen, and what goes with what', async ({ page, browser, baseURL }, info) => {
    test.setTimeout(240_000)
    const { date } = (await (await page.request.get('/api/day')).json()) as { date: string }
    const days = Days.of(info.parallelIndex, date)
    const ines = await person(browser, baseURL ?? '', days, 'Ines')
    const tom = await person(browser, baseURL ?? '', days, 'Tom', true)
    const wren = await person(browser, baseURL ?? '', days, 'Mrs Wren')
    const kitchen = (await (await page.request.get('/api/kitchen')).json()) as { dogs: { id: string; name: string }[] }
    const idOf = (name: string): string => kitchen.dogs.find((one) => one.name === name)?.id ?? ''
    const season = async (dog: string): Promise<Season> =>
        (await (await page.request.get(`/api/dogs/${idOf(dog)}/season?from=${days.iso(1)}&to=${days.iso(7)}`)).json()) as Season
    const left = async (): Promise<number> =>
        ((await (await page.request.get('/api/bags')).json()) as { title: string; pieces: number }[]).find((one) => one.title === TITLE)?.pieces ?? -1

    // day 0: baked, counted, in the jar
    const begun = await page.request.post('/api/batches', {
        data: {
            asked: { recipe: { text: '200 g oat flour\n80 g water' }, cut: { shape: 'pieces', count: PIECES }, bake: { texture: 'biscuit' } },
            title: TITLE,
            at: new Date().toISOString(),
            startAt: `${days.iso(0)}T09:00`,
            by: 'Ines',
        },
    })
    const { id } = (await begun.json()) as { id: string }
    const done = { id: crypto.randomUUID(), at: new Date().toISOString(), by: 'Ines', kind: 'count', said: { pieces: PIECES } }
    expect((await page.request.post(`/api/batches/${id}/entries`, { data: done })).status()).toBe(201)
    const places = (await (await page.request.get('/api/places')).json()) as { id: string; name: string }[]
    const jar = places.find((one) => one.name === 'The blue jar')?.id ?? ''
    const put = {
        id: crypto.randomUUID(),
        at: new Date().toISOString(),
        by: 'Ines',
        do: 'put',
        said: { batch: id, split: [{ bag: crypto.randomUUID(), place: jar, pieces: PIECES }] },
    }
    expect((await page.request.post('/api/jar-acts', { data: put })).status()).toBe(201)

    // the reckoning apart: pieces by day, who gave them, on which days there were mussels, which days were bad
    const coins: number[] = []
    const mussels = [2, 5]
    const bad = [3, 6]

    for (let day = 1; day <= 7; day++) {
        days.set(day)
        // in the morning somebody says how it was yesterday
        await wren.page.goto(`/dogs/${idOf('Bosun')}/days`)
        const panel = wren.page.getByRole('complementary', { name: /^Bosun, / })
        if (day > 1) {
            await panel.getByRole('button', { name: 'The day before' }).click()
            if (bad.includes(day - 1)) {
                await panel.getByRole('button', { name: 'stool', exact: true }).click()
                await panel.getByRole('button', { name: /^stool: like porridge/ }).click()
                await expect(panel.getByRole('list', { name: 'Seen' })).toContainText('stool: like porridge')
            } else {
                await panel.getByRole('button', { name: 'All well' }).click()
                await expect(panel.getByRole('list', { name: 'Seen' })).toContainText('all well')
            }
        }
        await give(ines.page, 'Bosun')
        if (day === 5) {
            // back in sight of the house: it arrives by itself, on its own day
            tom.away = false
        }
        if (day === 4) {
            // the boathouse has no network: what Tom gives is kept on his phone
            await tom.page.goto('/today')
            await expect(tom.page.getByRole('button', { name: 'Give Bosun one', exact: true })).toBeVisible()
            tom.away = true
            await tom.page.getByRole('button', { name: new RegExp(`^In the hand: ${TITLE}`) }).click()
            await tom.page.getByRole('button', { name: 'Give Bosun one', exact: true }).click()
            await expect(tom.page.getByRole('region', { name: 'Given today' })).toContainText('waits to be sent')
        } else {
            await give(tom.page, 'Bosun')
        }
        coins[day] = 2
        if (mussels.includes(day)) await scrap(ines.page, '20 g cooked mussels', 'Bosun')
    }
    // the last day is told on the evening of it
    await wren.page.goto(`/dogs/${idOf('Bosun')}/days`)
    const panel = wren.page.getByRole('complementary', { name: /^Bosun, / })
    await panel.getByRole('button', { name: 'All well' }).click()
    await expect(panel.getByRole('list', { name: 'Seen' })).toContainText('all well')
    await panel
        .getByRole('group', { name: `How it took ${TITLE}` })
        .getByRole('button', { name: `${TITLE}: took it first` })
        .click()
    await expect(panel.getByRole('list', { name: 'Seen' })).toContainText(`took it first: ${TITLE}`)

    const total = coins.reduce((sum, one) => sum + one, 0)
    await expect.poll(left, { timeout: 20_000 }).toBe(PIECES - total)
    const told = await season('Bosun')
    // each day had its two pieces, and the scraps of two of them came on top
    const plain = told.days.filter((one) => !mussels.includes(days1(one.on)))
    expect(told.days.map((one) => days1(one.on))).toEqual([1, 2, 3, 4, 5, 6, 7])
    function days1(iso: string): number {
        return [1, 2, 3, 4, 5, 6, 7].find((n) => days.iso(n) === iso) ?? 0
    }
    for (const one of plain) expect(one.kcal).toBeCloseTo(plain[0]?.kcal ?? 0, 9)
    const mussel = told.days.filter((one) => mussels.includes(days1(one.on))).map((one) => one.kcal - (plain[0]?.kcal ?? 0))
    expect(mussel[0]).toBeGreaterThan(0)
    expect(mussel[0]).toBeCloseTo(mussel[1] ?? 0, 9)
    expect(told.days.filter((one) => one.foods.includes('mussel')).map((one) => days1(one.on))).toEqual(mussels)
    // who gave and who wrote stands by each
    const given = (await (await page.request.get(`/api/dogs/${idOf('Bosun')}/given?from=${days.iso(1)}&to=${days.iso(7)}`)).json()) as {
        given: { by: string; words: string; on: string }[]
    }
    expect(
        given.given
            .filter((one) => one.by === 'Tom' && one.words === TITLE)
            .map((one) => days1(one.on))
            .sort(),
    ).toEqual([1, 2, 3, 4, 5, 6, 7])
    expect(new Set(told.entries.map((one) => one.by))).toEqual(new Set(['Mrs Wren']))
    // mussels stand on the day they were eaten and the day after; the bad days fall on two of the four
    const exposed = [1, 2, 3, 4, 5, 6, 7].filter((n) => mussels.includes(n) || mussels.includes(n - 1))
    const a = exposed.filter((n) => bad.includes(n)).length
    const table = { a, b: exposed.length - a, c: bad.length - a, d: 7 - exposed.length - (bad.length - a) }
    const suspect = told.suspects.kinds.find((one) => one.kind === 'gut')?.suspects.find((one) => one.food === 'mussel')
    expect(suspect).toMatchObject(table)
    expect(suspect?.p).toBeCloseTo(chance(table.a, table.b, table.c, table.d), 9)
    expect(told.likes.foods).toContainEqual(expect.objectContaining({ what: 'oat-flour', took: 1, of: 1 }))
    // and the same is drawn
    await ines.page.goto(`/dogs/${idOf('Bosun')}/days`)
    await ines.page.getByRole('button', { name: 'Week', exact: true }).click()
    await ines.page.getByRole('slider', { name: 'The days of Bosun' }).press('Home')
    await expect(ines.page.getByRole('complementary', { name: /^Bosun, / }).getByRole('list', { name: 'Given' })).toContainText(TITLE)
    for (const one of [ines, tom, wren]) await one.context.close()
    days.set(0)
})
