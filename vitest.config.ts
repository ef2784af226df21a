import react from '@vitejs/plugin-react'
import { defineConfig } from 'vitest/config'
import { scopedName } from './vite.names.ts'

export default defineConfig({
    plugins: [react()],
    css: { modules: { generateScopedName: scopedName } },
    test: {
        environment: 'jsdom',
        include: ['tests/Front/**/*.test.{ts,tsx}'],
        setupFiles: ['tests/Front/setup.ts'],
        css: { include: /\.module\.css/, modules: { classNameStrategy: 'scoped' } },
    },
})
