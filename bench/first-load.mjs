// Compressed size of all scripts the first page loads, from Vite's manifest.
import { readFileSync } from 'node:fs'
import { gzipSync } from 'node:zlib'

const manifest = JSON.parse(readFileSync('public/build/manifest.json', 'utf8'))
const seen = new Set()
const walk = (name) => {
    if (seen.has(name)) return
    seen.add(name)
    for (const next of manifest[name].imports ?? []) walk(next)
}
walk('resources/js/main.ts')
const bytes = [...seen].reduce((sum, name) => sum + gzipSync(readFileSync(`public/build/${manifest[name].file}`), { level: 6 }).length, 0)
console.log((bytes / 1000).toFixed(0))
