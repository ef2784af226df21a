import i18next, { type ParseKeys } from 'i18next'
import en from './en.json'

/** The catalogue's languages: another one is a file beside en.json, of the same keys. */
const resources = { en: { translation: en } } as const

/** The program's name, the same in every language. */
export const PRODUCT = 'Open Seam'

/** A sentence of the catalogue, by its key: the compiler knows them all. */
export type Key = ParseKeys

// The words stand in the program itself: nothing to wait for, and they are there without a line.
void i18next.init({
    lng: 'en',
    fallbackLng: 'en',
    resources,
    initAsync: false,
    // "{name} has sewn it": escaping is React's.
    interpolation: { prefix: '{', suffix: '}', escapeValue: false },
})

/**
 * The sentence of a key with what belongs into it. `n` is the number a sentence counts by: where the catalogue has forms for it
 * (`…_one`, `…_other`), the language's own rule chooses.
 */
export function t(key: Key, fill: Record<string, string | number> = {}): string {
    // A number that is written already ("2.5") counts as well; what is none ("2–3") is more than one.
    const count = fill.n === undefined ? {} : { count: Number.isFinite(Number(fill.n)) ? Number(fill.n) : 2 }
    return i18next.t(key, { ...fill, ...count })
}
