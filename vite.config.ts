import react from '@vitejs/plugin-react'
import laravel from 'laravel-vite-plugin'
import { defineConfig } from 'vite'
import { scopedName } from './vite.names.ts'

export default defineConfig({
    plugins: [laravel({ input: ['resources/js/main.tsx'], refresh: false }), react()],
    css: { modules: { generateScopedName: scopedName } },
    build: { sourcemap: false, reportCompressedSize: true },
})
