import react from '@vitejs/plugin-react'
import { defineConfig } from 'vitest/config'

export default defineConfig({
    plugins: [react()],
    test: { environment: 'jsdom', include: ['tests/Front/**/*.test.{ts,tsx}'], setupFiles: ['tests/Front/setup.ts'], css: false },
})
