import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import vue from '@vitejs/plugin-vue'
import laravel from 'laravel-vite-plugin'
import { build, defineConfig, type Plugin } from 'vite'
import vuetify from 'vite-plugin-vuetify'

const TARGET = 'es2022'
/** No page of the application has this address: online nobody is given what is kept under it. */
const SHELL = '/?away'

/** Makes the worker that opens the page without a connection; last, since it names every file of the page. */
function worker(): Plugin {
    let files: string[] = []

    return {
        name: 'mildbowl-worker',
        apply: 'build',
        generateBundle(_, bundle) {
            files = Object.keys(bundle).filter((name) => /\.(js|css|woff2)$/.test(name))
        },
        async closeBundle() {
            const shell = createHash('sha256')
                .update(files.toSorted().join())
                .update(readFileSync('resources/views/shell.blade.php'))
                .update(readFileSync('public/bowl.svg'))
                .digest('hex')
            await build({
                configFile: false,
                publicDir: false,
                logLevel: 'warn',
                define: {
                    'process.env.NODE_ENV': '"production"',
                    SHELL: JSON.stringify(SHELL),
                    FILES: JSON.stringify([
                        // their names change with what they hold
                        ...files.map((name) => ({ url: `/build/${name}`, revision: null })),
                        ...[SHELL, '/bowl.svg'].map((url) => ({ url, revision: shell })),
                    ]),
                },
                build: {
                    target: TARGET,
                    outDir: 'public',
                    emptyOutDir: false,
                    lib: { entry: 'resources/js/worker.ts', formats: ['iife'], name: 'worker', fileName: () => 'sw.js' },
                },
            })
        },
    }
}

export default defineConfig({
    plugins: [laravel({ input: 'resources/js/main.ts', refresh: false }), vue(), vuetify({ autoImport: true }), worker()],
    build: { target: TARGET, sourcemap: false, chunkSizeWarningLimit: 700 },
})
