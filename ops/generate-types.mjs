// Makes the TypeScript types of everything the page exchanges with the kitchen from the published schemas.
// With --check: fails when the committed file differs.
import { readFileSync, writeFileSync } from 'node:fs'
import { compile } from 'json-schema-to-typescript'

const target = 'resources/js/api/types.generated.ts'
const names = [
    'formulate-request',
    'formulate-answer',
    'error',
    'kitchen',
    'choices',
    'vocabulary',
    'problem',
    'read-request',
    'read-answer',
    'label-request',
    'label-answer',
    'raid-request',
    'raid-answer',
    'rule-book',
    'label-shelf',
    'rescue-request',
    'rescue-answer',
    'swaps-request',
    'swaps-answer',
    'dough-request',
    'dough-answer',
    'size-request',
    'size-answer',
    'scale-request',
    'scale-answer',
    'occasion-request',
    'occasion-answer',
    'week-request',
    'week-answer',
    'give-away-request',
    'give-away-answer',
    'profile-request',
    'profile-answer',
    'bake-request',
    'bake-answer',
    'learn-answer',
    'keep-answer',
    'thaw-answer',
    'day-answer',
    'suspects-answer',
    'likes-answer',
    'party-answer',
    'shopping-answer',
]

const load = (name) => JSON.parse(readFileSync(`schemas/${name}.json`, 'utf8'))

let output = '// Generated from schemas/ by ops/generate-types.mjs. Do not edit.\n'
const seen = new Set()
for (const name of names) {
    const schema = load(name)
    // the generator works on one document: a reference into another file is inlined
    const inline = (node) => {
        if (Array.isArray(node)) return node.map((one) => inline(one))
        if (node === null || typeof node !== 'object') return node
        if (typeof node.$ref === 'string' && node.$ref.includes('.json')) {
            const [file, pointer = ''] = node.$ref.split('#')
            const other = load(file.replace('.json', ''))
            delete other.$id
            delete other.$schema
            // what the referred part refers to in its own file is meant there
            const home = (part) =>
                Array.isArray(part)
                    ? part.map(home)
                    : part === null || typeof part !== 'object'
                      ? part
                      : Object.fromEntries(
                            Object.entries(part).map(([key, value]) => [
                                key,
                                key === '$ref' && String(value).startsWith('#') ? `${file}${value}` : home(value),
                            ]),
                        )
            return inline(
                home(
                    pointer
                        .slice(1)
                        .split('/')
                        .filter((key) => key !== '')
                        .reduce((part, key) => part[key], other),
                ),
            )
        }
        return Object.fromEntries(Object.entries(node).map(([key, value]) => [key, inline(value)]))
    }
    const { $id, $schema, ...plain } = inline(schema)
    void $id
    void $schema
    const types = await compile(plain, schema.title, {
        additionalProperties: false,
        bannerComment: '',
        ignoreMinAndMaxItems: true,
        style: { semi: false, singleQuote: true, tabWidth: 4 },
    })
    for (const block of types.split(/\n(?=export )/)) {
        const declared = /export (?:interface|type) (\w+)/.exec(block)?.[1] ?? block
        if (!seen.has(declared)) {
            seen.add(declared)
            output += `\n${block.trim()}\n`
        }
    }
}

if (process.argv.includes('--check')) {
    if (readFileSync(target, 'utf8') !== output) {
        console.error(`${target} differs from schemas/: run 'npm run types' and commit it.`)
        process.exit(1)
    }
} else {
    writeFileSync(target, output)
}
