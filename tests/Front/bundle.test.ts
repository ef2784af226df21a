import { describe, expect, it } from 'vitest'
import { Problem } from '../../resources/js/api/client'
import { readBundle } from '../../resources/js/features/samplers/readBundle'

const at = (of: { name: string; size: number; text: () => Promise<string> }) => of as unknown as File
const file = (text: string) => at({ name: 'mend.json', size: text.length, text: () => Promise.resolve(text) })
const said = async (of: File) => {
    const problem: unknown = await readBundle(of).catch((error: unknown) => error)
    expect(problem).toBeInstanceOf(Problem)
    return (problem as Problem).message
}

describe('a file that is brought to the shelf', () => {
    it('is taken as the object it holds', async () => {
        expect(await readBundle(file('{"title": "Mending", "lessons": []}'))).toEqual({ title: 'Mending', lessons: [] })
    })

    it.each(['not json', '[1, 2]', 'null', '"text"', ''])('is no bundle where it holds %j', async (text) => {
        expect(await said(file(text))).toContain('is no course bundle')
    })

    it('is not read at all where it is larger than a bundle can be', async () => {
        const large = at({ name: 'film.json', size: 3_000_000, text: () => Promise.reject(new Error('it was read')) })
        expect(await said(large)).toContain('2 MB at most')
    })

    it('that went away before it was read is not called a wrong one', async () => {
        const gone = at({ name: 'mend.json', size: 100, text: () => Promise.reject(new DOMException('gone', 'NotReadableError')) })
        expect(await said(gone)).toMatch(/“mend.json” could not be read.*Choose it again/)
    })
})
