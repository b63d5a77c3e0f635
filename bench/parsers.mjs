// How often amount and unit of a line are read right: core beside two general ingredient-line parsers, on our own lines.
// Each parser's own unit words are mapped to ours first; where it knows no such unit, that line counts against it only if ours knows.
import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { parseIngredient } from 'parse-ingredient'
import { parse } from 'recipe-ingredient-parser-v3'

const cases = readFileSync('bench/lines.txt', 'utf8')
    .split('\n')
    .filter((row) => row !== '' && !row.startsWith('#'))
    .map((row) => {
        const [line, amount, unit] = row.split('|')
        const [low, high] = amount.split('-').map(Number)
        return { line, low, high: high ?? low, unit }
    })
const SAME = {
    teaspoon: 'tsp',
    teaspoons: 'tsp',
    tablespoon: 'tbsp',
    tablespoons: 'tbsp',
    cups: 'cup',
    gram: 'g',
    grams: 'g',
    kilogram: 'kg',
    kilograms: 'kg',
    ounce: 'oz',
    ounces: 'oz',
    pound: 'lb',
    pounds: 'lb',
    milliliter: 'ml',
    millilitre: 'ml',
    liter: 'l',
    litre: 'l',
    deciliter: 'dl',
    centiliter: 'cl',
    pints: 'pint',
    quarts: 'quart',
    'fluid ounce': 'floz',
    'fl-oz': 'floz',
    fluidounce: 'floz',
    can: 'tin',
    cans: 'tin',
    tins: 'tin',
    jar: 'tin',
    package: 'packet',
    pkg: 'packet',
    packets: 'packet',
    envelope: 'packet',
    bag: 'packet',
    sachet: 'packet',
    sticks: 'stick',
    slices: 'slice',
    stalks: 'stalk',
    cloves: 'clove',
    bunches: 'bunch',
    sprigs: 'sprig',
    handfuls: 'handful',
    pinches: 'pinch',
    dashes: 'dash',
    rasher: 'slice',
    '': 'each',
    large: 'each',
    medium: 'each',
    small: 'each',
    whole: 'each',
    head: 'each',
    ear: 'each',
    cube: 'each',
    sheet: 'each',
    block: 'each',
    fillet: 'each',
    piece: 'each',
    dozen: 'each',
    leaf: 'each',
}
const unitOf = (unit) => {
    const plain = String(unit ?? '')
        .toLowerCase()
        .replace(/\.$/, '')
    return SAME[plain] ?? plain
}
const near = (one, two) => Math.abs(one - two) <= 0.02 * Math.max(1, two)
const right = (given, got) => got !== null && near(got.low, given.low) && near(got.high, given.high) && unitOf(got.unit) === given.unit

const readers = {
    'parse-ingredient': (line) => {
        const one = parseIngredient(line)[0]
        return one?.quantity == null
            ? null
            : { low: one.quantity, high: one.quantity2 ?? one.quantity, unit: one.unitOfMeasureID ?? one.unitOfMeasure }
    },
    'recipe-ingredient-parser-v3': (line) => {
        const one = parse(line, 'eng')
        return one === undefined || !one.quantity ? null : { low: one.minQty || one.quantity, high: one.maxQty || one.quantity, unit: one.unit }
    },
}
const say = (name, value, note) => console.log(`${name.padEnd(58)} ${value.padStart(12)}   ${note}`)

const ours = JSON.parse(
    execFileSync('php', ['bench/read-lines.php'], { input: JSON.stringify(cases.map((one) => one.line)), maxBuffer: 1e8 }).toString(),
)
const count = (got) =>
    cases.filter((given, index) => {
        try {
            return right(given, got(given.line, index))
        } catch {
            return false
        }
    }).length
const wrong = cases.filter((given, index) => !right(given, ours.lines[index]))
say('lines read right, core', `${cases.length - wrong.length}/${cases.length}`, 'amount and unit, on bench/lines.txt')
for (const [name, reader] of Object.entries(readers)) {
    const since = process.hrtime.bigint()
    let lines = 0
    while (process.hrtime.bigint() - since < 1_000_000_000n)
        for (const { line } of cases) {
            try {
                reader(line)
            } catch {
                /* counted below */
            }
            lines++
        }
    say(`lines read right, ${name}`, `${count(reader)}/${cases.length}`, `${lines} lines a second, without the ingredient resolved`)
}
say('lines a second, core, with the ingredient resolved', String(ours.perSecond), 'wanted: 10000 on one core')
say('nearest three among 5000 names', `${ours.nearestMs} ms`, 'wanted: under 20 ms')
if (process.argv.includes('--wrong')) for (const one of wrong) console.log('  wrong:', one.line, JSON.stringify(ours.lines[cases.indexOf(one)]))
