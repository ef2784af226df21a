import react from '@vitejs/plugin-react'
import laravel from 'laravel-vite-plugin'
import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'
import { scopedName } from './vite.names.ts'

/** The page that holds the application: another one with every change of its parts, or of itself. */
const page = (parts: { url: string; revision: string | null }[]) => ({
    url: '/shell',
    revision: createHash('sha256')
        .update(JSON.stringify(parts) + readFileSync('resources/views/app.blade.php', 'utf8'))
        .digest('hex')
        .slice(0, 16),
})

export default defineConfig({
    plugins: [
        laravel({ input: ['resources/js/main.tsx'], refresh: false }),
        react(),
        VitePWA({
            strategies: 'injectManifest',
            srcDir: 'resources/js/worker',
            filename: 'sw.ts',
            outDir: 'public',
            base: '/',
            scope: '/',
            injectRegister: false,
            // It stands beside the page (public/manifest.webmanifest).
            manifest: false,
            injectManifest: {
                globDirectory: 'public',
                globPatterns: ['build/assets/**/*.{js,css,woff2}'],
                // The names carry what is in them.
                dontCacheBustURLsMatching: /^build\/assets\//,
                maximumFileSizeToCacheInBytes: 4_000_000,
                manifestTransforms: [(parts) => ({ manifest: [...parts, { ...page(parts), size: 0 }], warnings: [] })],
            },
        }),
    ],
    css: { modules: { generateScopedName: scopedName } },
    build: { sourcemap: false, reportCompressedSize: true },
})
