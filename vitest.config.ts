import { defineConfig } from 'vitest/config'

/** What can be tested of the page without a browser. Whatever a person does is tested by Playwright. */
export default defineConfig({ test: { include: ['resources/js/**/*.test.ts'], environment: 'node' } })
