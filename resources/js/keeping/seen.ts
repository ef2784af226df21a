import type { QueryClient } from '@tanstack/react-query'
import { clear, createStore, delMany, entries, setMany } from 'idb-keyval'
import type { View } from '../api/client'
import { READ } from '../api/places'
import { queries } from '../api/queries'
import { keeping } from './store'

/** What was read of the server, as it was last seen on this device. */
interface Seen {
    key: readonly unknown[]
    data: unknown
    at: number
}

/** Nothing is shown that is older than two weeks. */
const LONGEST_MS = 14 * 86_400_000
/** Writes are gathered for so long. */
const GATHER_MS = 400
/** Of calculations only the last ones are kept: there is no end of what may be asked. */
const MOST_CALCULATIONS = 300

/** Answers to what is typed at this moment, and what is of a person alone or of another day. */
const PASSING: readonly unknown[] = ['judged', 'estimate', 'names', 'job', 'pulse', 'devices', 'registration', 'join', 'goes', 'draft', 'print']
const ALL: readonly unknown[] = Object.values(READ).flat()
const lasts = (key: readonly unknown[]) => ALL.includes(key[0]) && !PASSING.includes(key[0])

/** Keeps what was read in the browser's database, so that every place opens without a line as it was last seen. */
export class SeenStore {
    private readonly store = createStore('open-seam-seen', 'answers')
    private readonly gathered = new Map<string, Seen>()
    private timer: ReturnType<typeof setTimeout> | undefined

    constructor(private readonly queries: QueryClient) {}

    /** What lies here is in hand from then on; what is read is written down. */
    async open(): Promise<void> {
        const kept = await entries<string, Seen>(this.store)
        const old = kept.filter(([, seen]) => Date.now() - seen.at > LONGEST_MS)
        const calculations = kept.filter(([, seen]) => seen.key[0] === 'compute').sort(([, a], [, b]) => b.at - a.at)
        const gone = new Set([...old, ...calculations.slice(MOST_CALCULATIONS)].map(([hash]) => hash))
        for (const [hash, seen] of kept) {
            if (gone.has(hash)) continue
            this.queries.setQueryData(seen.key, seen.data, { updatedAt: seen.at })
            // Shown at once, and read anew as soon as it is looked at.
            this.queries.getQueryCache().get(hash)?.invalidate()
        }
        if (gone.size > 0) await delMany([...gone], this.store)
        this.queries.getQueryCache().subscribe((event) => {
            if (event.type !== 'updated' || event.action.type !== 'success') return
            const query: { queryKey: readonly unknown[]; queryHash: string; state: { data: unknown; dataUpdatedAt: number } } = event.query
            if (!lasts(query.queryKey) || query.state.data === undefined) return
            this.gathered.set(query.queryHash, { key: query.queryKey, data: query.state.data, at: query.state.dataUpdatedAt })
            this.timer ??= setTimeout(() => void this.write(), GATHER_MS)
        })
        window.addEventListener('pagehide', () => void this.write())
    }

    /** Nothing of it stays on the device. */
    async forget(): Promise<void> {
        clearTimeout(this.timer)
        this.timer = undefined
        this.gathered.clear()
        await clear(this.store)
    }

    private async write(): Promise<void> {
        clearTimeout(this.timer)
        this.timer = undefined
        const all = [...this.gathered]
        this.gathered.clear()
        // Where the browser has no room, what is shown is not the worse for it.
        if (all.length > 0) await setMany(all, this.store).catch(() => undefined)
    }
}

export const seen = new SeenStore(queries)

/** What was read is gone from hand; what a page still shows is asked for anew. */
async function forgetRead(): Promise<void> {
    queries.removeQueries({ type: 'inactive' })
    // A link that has been used up is not asked again.
    await queries.resetQueries({ predicate: (query) => query.queryKey[0] !== 'join' })
}

/** Nothing of a studio stays on the device: neither what was typed nor what was seen. */
export async function forgetStudio(): Promise<void> {
    // What is still on its way is not written down any more.
    await queries.cancelQueries()
    await Promise.all([keeping.forgetAll(), seen.forget()])
    localStorage.clear()
    sessionStorage.clear()
    await forgetRead()
}

/** Somebody has come in: what lies here of another one is not shown to them; what waits to be sent is theirs who kept it. */
export async function enteredAs(email: string | null): Promise<void> {
    const before = queries.getQueryData<View['MeView']>(['me'])?.email
    if (before !== undefined && before.toLowerCase() === email?.trim().toLowerCase()) return
    await queries.cancelQueries()
    await seen.forget()
    await forgetRead()
}
