import type { Locator, Page } from '@playwright/test'
import { Days } from './clock'
import { expect, freshKitchen, test } from './support'

/** A month of a kitchen's life, lived day by day in the page, against a reckoning that is written apart, here. */
freshKitchen()

const TITLE = 'Month coins'

interface KeptBag {
    id: string
    number: number
    title: string
    pieces: number
    putPieces: number
    bestBefore: string | null
    frozen: boolean
    thawedOn: string | null
    state: string
    place: string
}

/** A bag by hand: its time is a share of what it keeps where it stands (jar 10, fridge 21, freezer 120 days), and freezing stops it. */
class Reckoned {
    private used = 0
    private since = 0
    private thawed = false

    constructor(
        public pieces: number,
        public place: 'jar' | 'fridge' | 'freezer',
    ) {}

    private life(): number {
        return this.place === 'jar' ? 10 : 21
    }

    spend(day: number): void {
        if (this.place !== 'freezer') this.used = Math.min(1, this.used + (day - this.since) / this.life())
        this.since = day
    }

    move(day: number, to: 'jar' | 'fridge' | 'freezer'): void {
        this.spend(day)
        if (this.place === 'freezer' && to !== 'freezer') this.thawed = true
        this.place = to
    }

    stood(day: number): void {
        this.spend(day)
        this.used = Math.min(1, this.used + 1 / 10)
    }

    until(): number {
        if (this.place === 'freezer') return this.since + 120
        const left = Math.floor((1 - this.used) * this.life() + 1e-9)

        return this.since + (this.thawed ? Math.max(1, left) : left)
    }

    taken(day: number, pieces: number): Reckoned {
        const part = new Reckoned(pieces, this.place)
        this.pieces -= pieces
        Object.assign(part, { used: this.used, since: this.since, thawed: this.thawed })
        void day

        return part
    }
}

const shelf = (page: Page, name: string): Locator => page.getByRole('region', { name, exact: true })
const hand = (page: Page): Locator => page.getByRole('complementary', { name: 'In the hand' })
const spoken = (pieces: number): string => String(pieces)

test('a month: baked, put away, thawed, fed, wasted, a power cut, and every date and count is right', async ({ page, context }, info) => {
    test.setTimeout(240_000)
    const { date } = (await (await page.request.get('/api/day')).json()) as { date: string }
    const days = Days.of(info.parallelIndex, date)
    await days.begin(context)
    const ours = async (): Promise<KeptBag[]> =>
        ((await (await page.request.get('/api/bags')).json()) as KeptBag[]).filter((one) => one.title === TITLE)
    const agrees = async (...bags: Reckoned[]): Promise<void> => {
        const wanted = bags.filter((one) => one.pieces > 0).map((one) => `${one.pieces} until ${days.iso(one.until())}`)
        await expect.poll(async () => (await ours()).map((one) => `${one.pieces} until ${one.bestBefore ?? ''}`).sort()).toEqual(wanted.sort())
    }
    const open = async (place: string, bag: Reckoned): Promise<void> => {
        await page.goto('/jars')
        await shelf(page, place)
            .getByRole('link', { name: new RegExp(`${TITLE}, ${spoken(bag.pieces)} left`) })
            .first()
            .click()
        await expect(hand(page).getByRole('heading', { name: TITLE })).toBeVisible()
    }

    // day 0: baked, counted, and put away in four
    const begun = await page.request.post('/api/batches', {
        data: {
            asked: { recipe: { text: '200 g oat flour\n80 g water' }, cut: { shape: 'pieces', count: 60 }, bake: { texture: 'biscuit' } },
            title: TITLE,
            at: new Date().toISOString(),
            startAt: '2026-06-20T09:00',
            by: 'Ines Marlow',
        },
    })
    const { id } = (await begun.json()) as { id: string }
    for (const [kind, said] of [
        ['count', { pieces: 60 }],
        ['finished', {}],
    ] as const) {
        const answer = await page.request.post(`/api/batches/${id}/entries`, {
            data: { id: crypto.randomUUID(), at: new Date().toISOString(), by: 'Ines', kind, said },
        })
        expect(answer.status(), await answer.text()).toBe(201)
    }
    await page.goto('/jars')
    const loose = page.getByRole('list', { name: 'To put away' }).getByRole('listitem').filter({ hasText: TITLE })
    await expect(loose).toContainText('60 stand about')
    await loose.getByRole('button', { name: 'Divide' }).click()
    const divide = page.getByRole('group', { name: `Divide ${TITLE}` })
    const put = async (pieces: number, bags: number, place: string): Promise<void> => {
        await divide.getByLabel('Pieces').fill(String(pieces))
        await divide.getByLabel('in so many bags').fill(String(bags))
        await divide.getByRole('button', { name: place }).click()
        await expect(shelf(page, place).getByRole('link', { name: new RegExp(`${TITLE}, ${pieces / bags} left`) })).toHaveCount(bags)
    }
    await put(12, 1, 'The blue jar')
    await put(24, 2, 'Freezer drawer')
    await put(24, 1, 'The fridge')
    await expect(loose).toBeHidden()
    const jar = new Reckoned(12, 'jar')
    const fridge = new Reckoned(24, 'fridge')
    const [cold, colder] = [new Reckoned(12, 'freezer'), new Reckoned(12, 'freezer')]
    await agrees(jar, fridge, cold, colder)

    // days 1 to 6: two a day at the door, out of the jar, by one tap each
    let eaten = 0
    for (let day = 1; day <= 6; day++) {
        days.set(day)
        await page.goto('/today')
        await page.getByRole('button', { name: new RegExp(`^In the hand: ${TITLE}, ${spoken(jar.pieces)} left`) }).click()
        for (const dog of ['Bosun', 'Odette']) {
            const door = page
                .getByRole('list', { name: 'The dogs' })
                .getByRole('listitem')
                .filter({ has: page.getByRole('link', { name: dog }) })
            // a new day is an empty dish
            await expect(door).toContainText('nothing yet')
            await expect(door).toContainText('kcal left')
            await door.getByRole('button', { name: `Give ${dog} one` }).click()
            await expect(door).toContainText(`had 1 ${TITLE}`)
            await expect(door).not.toContainText('not reckoned yet')
            jar.pieces--
            eaten++
        }
        await agrees(jar, fridge, cold, colder)
    }
    expect(jar.pieces).toBe(0)

    // day 8: the power was gone for six hours; the biscuits in the fridge stood for a day
    days.set(8)
    await page.goto('/jars')
    await page.getByRole('button', { name: 'Power cut' }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByLabel('For about how long').fill('6')
    await expect(dialog.getByText(new RegExp(`stood warm.*${TITLE}`))).toBeVisible()
    await dialog.getByRole('button', { name: 'Write it down' }).click()
    await expect(dialog).toBeHidden()
    fridge.stood(8)
    await agrees(fridge, cold, colder)

    // day 9: six of them into the freezer
    days.set(9)
    await open('The fridge', fridge)
    await hand(page).getByRole('button', { name: 'Split' }).click()
    await hand(page).getByRole('group', { name: 'Split' }).getByLabel('Pieces to take out').fill('6')
    await hand(page).getByRole('button', { name: 'into a bag: Freezer drawer' }).click()
    await expect(hand(page)).toContainText('18 of 24 left')
    const saved = fridge.taken(9, 6)
    saved.move(9, 'freezer')
    await agrees(fridge, cold, colder, saved)

    // day 12: five and a half are eaten out of the fridge, as the panel has it
    days.set(12)
    await open('The fridge', fridge)
    for (let n = 0; n < 5; n++) {
        await hand(page).getByRole('button', { name: 'One eaten' }).click()
        await expect(hand(page)).toContainText(`${17 - n} of 24 left`)
    }
    await hand(page).getByRole('button', { name: 'Half a one' }).click()
    await expect(hand(page)).toContainText('12½ of 24 left')
    fridge.pieces -= 5.5
    eaten += 5.5
    await agrees(fridge, cold, colder, saved)

    // a day after its last: told first, and thrown away
    days.set(fridge.until() + 1)
    await page.goto('/jars')
    await shelf(page, 'The fridge')
        .getByRole('link', { name: new RegExp(`${TITLE}, 12½ left, a day over`) })
        .click()
    await hand(page).getByRole('button', { name: 'Throw it away' }).click()
    const wasted = fridge.pieces
    fridge.pieces = 0
    await agrees(cold, colder, saved)

    // day 20: what was saved is thawed; no more is left of its time than when it went in
    days.set(20)
    await open('Freezer drawer', saved)
    await hand(page).getByRole('button', { name: 'Thaw or move' }).click()
    await hand(page).getByRole('button', { name: 'Thaw: The fridge' }).click()
    await expect(hand(page)).toContainText('never to be frozen again')
    saved.move(20, 'fridge')
    await agrees(cold, colder, saved)

    // day 25: a bag that was frozen at once has all of its time
    days.set(25)
    await open('Freezer drawer', cold)
    await hand(page).getByRole('button', { name: 'Thaw or move' }).click()
    await hand(page).getByRole('button', { name: 'Thaw: The fridge' }).click()
    cold.move(25, 'fridge')
    await agrees(cold, colder, saved)

    // day 30: nothing was lost, and the ledger knows who had what
    days.set(30)
    await agrees(cold, colder, saved)
    expect(eaten + wasted + cold.pieces + colder.pieces + saved.pieces).toBe(60)
    for (let day = 1; day <= 6; day++) {
        const { given } = (await (await page.request.get(`/api/day?on=${days.iso(day)}`)).json()) as {
            given: { words: string; pieces: number | null; undone: boolean }[]
        }
        expect(given.filter((one) => one.words === TITLE && !one.undone).map((one) => one.pieces)).toEqual([1, 1])
    }
    const history = (await (await page.request.get(`/api/bags?batch=${id}`)).json()) as KeptBag[]
    expect(history).toHaveLength(5)
    days.set(0)
})
