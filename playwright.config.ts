import { defineConfig } from '@playwright/test'

const shots = process.env['MILDBOWL_SHOTS'] !== undefined
const isCI = process.env['CI'] !== undefined
const bench = process.env['MILDBOWL_BENCH'] !== undefined

/** Drives the served application in Debian's Chromium. bin/test starts the instance and names its address. */
export default defineConfig({
    testDir: bench ? 'bench' : 'e2e',
    testMatch: process.env['MILDBOWL_BENCH'] === 'full' ? 'places.ts' : bench ? ['keys.ts', 'drag.ts'] : shots ? 'shots.ts' : '*.spec.ts',
    // each has a kitchen of its own
    workers: bench || shots ? 1 : (process.env['MILDBOWL_URLS'] ?? '').split(' ').length,
    fullyParallel: false,
    // a second try tells what is flaky from what is broken; bin/test tries the flaky alone
    retries: bench || shots || !isCI ? 0 : 1,
    // a button that is not there fails soon; two browsers on two cores can keep a page waiting
    timeout: isCI ? 150_000 : 60_000,
    expect: { timeout: isCI ? 12_000 : 8_000 },
    outputDir: 'var/playwright',
    reporter: [['list'], ['json', { outputFile: 'var/playwright.json' }]],
    use: {
        baseURL: process.env['MILDBOWL_URL'],
        viewport: { width: 1280, height: 800 },
        reducedMotion: 'reduce',
        // what a test routes must reach it, and each opens a new browser; e2e/away.spec.ts lets it in
        serviceWorkers: bench ? 'allow' : 'block',
        trace: 'off',
        actionTimeout: isCI ? 12_000 : 5_000,
        launchOptions: {
            executablePath: '/usr/bin/chromium-headless-shell',
            args: [
                '--no-sandbox',
                '--headless',
                '--disable-gpu',
                '--disable-quic',
                '--no-first-run',
                '--disable-background-networking',
                '--disable-component-update',
                '--disable-sync',
            ],
        },
    },
})
