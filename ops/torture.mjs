// Two browsers, each with a recipe of its own on the bench and one dog for both, and faults by chance. Every word that was typed must be
// in the kitchen in the end. Run by bin/torture.
import { execFileSync } from 'node:child_process'
import { rmSync } from 'node:fs'
import { chromium } from '@playwright/test'

const option = (name, otherwise) => Number((process.argv.find((one) => one.startsWith(`--${name}=`)) ?? `=${otherwise}`).split('=')[1])
const FAULTS = option('faults', 60)
const SEED = option('seed', Date.now() % 100000)
/** Each fault as it befalls, to find by which a word was lost. */
const trace = process.argv.includes('--trace')
    ? (...what) => {
          console.log('   ', ...what)
      }
    : () => undefined
const url = process.env['MILDBOWL_URL']
const root = process.env['ROOT'] ?? process.cwd()
/** A browser that is killed keeps on its disk what it wrote so long before. */
const ON_DISK_MS = 700

let state = SEED
const chance = () => {
    state = (state * 1103515245 + 12345) % 2147483648
    return state / 2147483648
}
const among = (list) => list[Math.floor(chance() * list.length)]
const pause = (ms) =>
    new Promise((resolve) => {
        setTimeout(resolve, ms)
    })
const server = (...what) => {
    try {
        execFileSync(`${root}/ops/torture-server.sh`, what, { stdio: 'pipe' })
    } catch (error) {
        throw new Error(`The kitchen did not come up again: ${error.stderr}`)
    }
}

console.log(`seed ${SEED}, ${FAULTS} faults`)
let words = 0
const excused = []

class Hand {
    typed = []

    constructor(number, recipe) {
        this.number = number
        this.recipe = recipe
        this.profile = `${root}/var/torture-browser/${number}`
        rmSync(this.profile, { recursive: true, force: true })
    }

    async open() {
        this.context = await chromium.launchPersistentContext(this.profile, {
            executablePath: '/usr/bin/chromium-headless-shell',
            viewport: { width: 1280, height: 800 },
            reducedMotion: 'reduce',
            baseURL: url,
            args: ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking', '--hide-crash-restore-bubble'],
        })
        this.page = this.context.pages()[0] ?? (await this.context.newPage())
        await this.toBench()
    }

    async toBench() {
        for (let tries = 0; tries < 60; tries++) {
            try {
                await this.page.goto(`/bench/${this.recipe.id}`, { timeout: 8000 })
                await this.page.locator('.cm-content').waitFor({ timeout: 8000 })
                // it lies on the bench once its words stand there; what was typed before stands there too
                await this.page.waitForFunction(() => (document.querySelector('.cm-content')?.textContent ?? '').includes('oat flour'), undefined, {
                    timeout: 8000,
                })
                return
            } catch {
                await pause(500)
            }
        }
        throw new Error(`Hand ${this.number} never came to its bench.`)
    }

    /** A word at the end of the sheet, as a person types it. */
    async write() {
        const word = `w${this.number}x${++words}x`
        const content = this.page.locator('.cm-content')
        await content.focus()
        await this.page.keyboard.press('Control+End')
        await this.page.keyboard.press('Enter')
        await this.page.keyboard.type(`1 tsp ${word}`, { delay: 4 })
        // only what stood on the sheet was typed
        if ((await content.textContent())?.includes(word)) this.typed.push({ word, at: Date.now() })
    }

    /** What the dog that both look after leaves in the bowl: a list that both add to. */
    async tell(dog) {
        const word = `d${this.number}x${++words}x`
        await this.page.goto(`/dogs/${dog}`, { timeout: 8000 })
        await this.page.getByRole('button', { name: /^Eating/ }).click()
        await this.page.getByRole('combobox', { name: 'Leaves in the bowl' }).fill(word)
        await this.page.keyboard.press('Enter')
        await this.page.getByRole('button', { name: 'Keep', exact: true }).click()
        await this.page.waitForURL('**/dogs', { timeout: 8000 })
        this.typed.push({ word, at: Date.now(), ofDog: true })
    }

    /** The whole browser at once, as when the battery is empty. What it had not written to its disk is excused, and counted. */
    async die() {
        const now = Date.now()
        execFileSync('pkill', ['-KILL', '-f', this.profile], { stdio: 'ignore' })
        await this.context.close().catch(() => undefined)
        const known = await kept(this.recipe.id)
        for (const one of this.typed.filter((it) => now - it.at < ON_DISK_MS && !known.includes(it.word))) excused.push(one)
        await this.open()
    }
}

async function kept(recipe) {
    for (let tries = 0; tries < 40; tries++) {
        try {
            const [text, dogs] = await Promise.all(
                [`recipes/${recipe}`, 'dogs'].map(async (path) => {
                    const response = await fetch(`${url}/api/${path}`)
                    if (!response.ok) throw new Error(String(response.status))
                    return response.text()
                }),
            )

            return text + dogs
        } catch {
            await pause(250)
        }
    }

    return ''
}

const post = async (path, body) =>
    (await fetch(`${url}/api/${path}`, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) })).json()
const dogs = await (await fetch(`${url}/api/dogs`)).json()
const hands = []
for (const number of [1, 2]) hands.push(new Hand(number, await post('recipes', { title: `Hand ${number}`, text: '200 g oat flour' })))
for (const hand of hands) await hand.open()

const SERVER = ['fpm', 'worker', 'nginx', 'postgres', 'all']
const befalls = {
    'the server is killed': async (hand) => {
        const part = among(SERVER)
        server('kill', part)
        await hand.write()
        await pause(200 + 900 * chance())
        server('start')
    },
    'the line is cut': async (hand) => {
        await hand.context.setOffline(true)
        await hand.write()
        await pause(900 * chance())
        await hand.write()
        await hand.context.setOffline(false)
    },
    'the page is reloaded': async (hand) => {
        await hand.page.reload({ timeout: 8000 }).catch(() => undefined)
        await hand.toBench()
    },
    'the page is closed in the middle of a word': async (hand) => {
        await hand.write()
        const next = await hand.context.newPage()
        await hand.page.close()
        hand.page = next
        await hand.toBench()
    },
    'the browser is killed': (hand) => hand.die(),
    'the browser is full': async (hand) => {
        await hand.page.evaluate(() => {
            let size = 1_000_000
            while (size > 100) {
                try {
                    localStorage.setItem(`junk${Math.random()}`, 'x'.repeat(size))
                } catch {
                    size = Math.floor(size / 4)
                }
            }
        })
        await hand.write()
        await pause(1500)
        await hand.page.evaluate(() => {
            for (const key of Object.keys(localStorage)) if (key.startsWith('junk')) localStorage.removeItem(key)
        })
        await hand.write()
    },
    'another sheet is opened': async (hand) => {
        await hand.write()
        await hand.page.getByRole('button', { name: 'New sheet' }).click()
        await hand.toBench()
    },
    'an answer is lost': async (hand) => {
        let once = true
        await hand.page.route('**/api/recipes/*', async (route) => {
            if (route.request().method() !== 'PATCH' || !once) return route.fallback()
            once = false
            await route.fetch().catch(() => undefined)
            return route.abort()
        })
        await hand.write()
        await pause(1300)
        await hand.page.unroute('**/api/recipes/*')
    },
    'both tell of the dog': async () => {
        for (const hand of hands) {
            await hand.tell(dogs[0].id).catch(() => undefined)
            await hand.toBench()
        }
    },
}

/** Only faults whose name has this in it, to look for one kind. */
const only = (process.argv.find((one) => one.startsWith('--only=')) ?? '--only=').slice(7).split('|')
const names = Object.keys(befalls).filter((name) => only.some((one) => name.includes(one)))
for (let fault = 1; fault <= FAULTS; fault++) {
    const hand = among(hands)
    const name = among(names)
    await hand.write()
    trace(`${fault}. hand ${hand.number}: ${name}, after ${hand.typed.at(-1)?.word}`)
    if (chance() < 0.5) await pause(1200 * chance())
    try {
        await befalls[name](hand)
    } catch (error) {
        console.log(`  ${fault}. ${name}: ${String(error).split('\n')[0]}`)
        server('start')
        await hand.toBench()
    }
    if (fault % 20 === 0) console.log(`  ${fault} faults, ${hands.reduce((sum, one) => sum + one.typed.length, 0)} edits`)
}

server('start')
for (const hand of hands) await hand.toBench()
let lost = []
for (let tries = 0; tries < 60; tries++) {
    lost = []
    for (const hand of hands) {
        const there = await kept(hand.recipe.id)
        lost.push(...hand.typed.filter((one) => !there.includes(one.word) && !excused.some((other) => other.word === one.word)))
    }
    if (lost.length === 0) break
    await pause(1000)
}
for (const hand of hands) await hand.context.close().catch(() => undefined)
for (const one of lost) console.log(`  lost: ${one.word}`)
const edits = hands.reduce((sum, one) => sum + one.typed.length, 0)
const gone = (await Promise.all(hands.map((one) => kept(one.recipe.id)))).join('')
console.log(
    `${excused.length} edits of the last ${ON_DISK_MS / 1000} seconds before a browser was killed, of which ${excused.filter((one) => !gone.includes(one.word)).length} were not on its disk`,
)
console.log(`${edits} edits, ${lost.length} lost`)
process.exitCode = lost.length === 0 ? 0 : 1
