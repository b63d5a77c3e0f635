// "PASSED FAILED" of a Playwright report; a file that could not be read counts as failed. A test that needed a second try is neither: its
// place is written to the file that is named last, for whoever tries it alone.
import { readFileSync, writeFileSync } from 'node:fs'

const report = JSON.parse(readFileSync(process.argv[2], 'utf8'))
const specs = (suite) => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(specs)]
const flaky = report.suites.flatMap(specs).filter((spec) => spec.tests.some((test) => test.status === 'flaky'))
for (const spec of flaky) process.stderr.write(`flaky: ${spec.file}:${spec.line} ${spec.title}\n`)
writeFileSync(process.argv[3], flaky.map((spec) => `${spec.file}:${spec.line}\n`).join(''))
const { expected, unexpected } = report.stats
process.stdout.write(`${expected} ${unexpected + (report.errors?.length ?? 0)}\n`)
