import { describe, expect, it } from 'vitest'
import { READ, touched, TOUCHES } from '../../resources/js/api/places'

const sources = import.meta.glob<string>('../../resources/js/**/*.{ts,tsx}', { query: '?raw', import: 'default', eager: true })

describe('what is read, by place', () => {
    const listed = Object.values(READ).flat() as string[]

    it('has every query in one place, and no place a query that nobody asks', () => {
        const asked = new Set(Object.values(sources).flatMap((code) => [...code.matchAll(/queryKey: \['([a-z-]+)'/g)].map((m) => m[1] ?? '')))
        expect(asked.size).toBeGreaterThan(30)
        expect([...asked].sort()).toEqual([...new Set(listed)].sort())
        expect(listed.length).toBe(new Set(listed).size)
    })

    it('is read again where a change touches it, and only there', () => {
        expect(touched(TOUCHES.sample, ['today', 'c'])).toBe(true)
        expect(touched(TOUCHES.sample, ['forecast', 'c'])).toBe(true)
        expect(touched(TOUCHES.sample, ['lesson-text', 'first-seam'])).toBe(false)
        expect(touched(TOUCHES.nothing, ['today', 'c'])).toBe(false)
        expect(touched(TOUCHES.everything, ['me'])).toBe(true)
    })

    it('no change goes past them: the whole cache is read again nowhere', () => {
        expect(Object.entries(sources).filter(([file, code]) => code.includes('invalidateQueries') && !file.endsWith('api/queries.ts'))).toEqual([])
    })
})
