import MiniSearch from 'minisearch'
import type { View } from '../api/client'

export interface Findable {
    kind: View['FoundView']['kind'] | 'tool' | 'place' | 'action' | 'setting'
    title: string
    detail: string
    address: string
}

const KEY = 'open-seam-found'
const MOST_RECENT = 8
const MOST_SHOWN = 10
/** From the end of a word too: what is typed may stand inside it. */
const SHORTEST_END = 3

const split = (text: string) =>
    text
        .toLowerCase()
        .normalize('NFD')
        .replace(/\p{M}/gu, '')
        .split(/[^\p{L}\p{N}]+/u)
        .filter((word) => word !== '')

/** Words, each of their ends, and neighbours written as one: "zig zag" is "zigzag", and "hole" stands in "buttonhole". */
function terms(text: string): string[] {
    const words = split(text)
    const joined = words.slice(1).map((word, i) => (words[i] ?? '') + word)
    const ends = [...words, ...joined].flatMap((word) => Array.from({ length: Math.max(0, word.length - SHORTEST_END) }, (_, i) => word.slice(i + 1)))
    return [...new Set([...words, ...joined, ...ends])]
}

/** One letter in four may be another one, or stand elsewhere; short words are typed as they are. */
const slips = (term: string) => (term.length < 4 ? false : term.length < 6 ? 1 : 2)

/** The last ones that were found, the latest first. */
export function recent(): string[] {
    try {
        const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]')
        return Array.isArray(kept) ? kept.filter((one) => typeof one === 'string') : []
    } catch {
        return []
    }
}

export function remember(address: string): void {
    localStorage.setItem(KEY, JSON.stringify([address, ...recent().filter((a) => a !== address)].slice(0, MOST_RECENT)))
}

/** Finds among these whatever is typed: typos, any order, joined or split words, inside words; what was found lately first. */
export function finderOf(all: readonly Findable[]): (typed: string) => Findable[] {
    const index = new MiniSearch<{ id: number; title: string; detail: string }>({
        fields: ['title', 'detail'],
        tokenize: terms,
        processTerm: (term) => term,
        searchOptions: { tokenize: split, processTerm: (term) => term },
    })
    index.addAll(all.map(({ title, detail }, id) => ({ id, title, detail })))
    return (typed) => {
        const lately = recent()
        const search = (more: object) =>
            index.search(typed, {
                combineWith: 'AND',
                prefix: true,
                boost: { title: 4 },
                boostDocument: (id) => {
                    const at = lately.indexOf(all[id as number]?.address ?? '')
                    return at < 0 ? 1 : 1.6 - at / 20
                },
                ...more,
            })
        const exact = search({})
        // What is there as it is typed comes before what may be meant.
        const found = exact.length > 0 ? exact : search({ fuzzy: slips })
        return found.slice(0, MOST_SHOWN).flatMap(({ id }) => all[id as number] ?? [])
    }
}
