// "PASSED FAILED" of a Playwright report. A test that needed a second try is told as flaky and counts as failed;
// so does a file that could not be read.
import { readFileSync } from 'node:fs'

const report = JSON.parse(readFileSync(process.argv[2], 'utf8'))
const specs = (suite) => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(specs)]
for (const spec of report.suites.flatMap(specs)) {
    if (spec.tests.some((test) => test.status === 'flaky')) {
        process.stderr.write(`flaky: ${spec.file}:${spec.line} ${spec.title}\n`)
    }
}
const { expected, unexpected, flaky } = report.stats
process.stdout.write(`${expected} ${unexpected + flaky + (report.errors?.length ?? 0)}\n`)
