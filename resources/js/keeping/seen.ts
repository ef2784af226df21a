import { hashKey, type QueryClient } from '@tanstack/react-query'
import { clear, createStore, delMany, entries, setMany } from 'idb-keyval'
import { noLine, type View } from '../api/client'
import { READ } from '../api/places'
import { queries } from '../api/queries'
import { pictures } from './pictures'
import { keeping } from './store'

/** What was read of the server, as it was last seen on this device. */
interface Seen {
    key: readonly unknown[]
    data: unknown
    at: number
}

/** A query of the library, as far as it is needed here. */
interface Read {
    queryKey: readonly unknown[]
    queryHash: string
    state: { data: unknown; dataUpdatedAt: number }
    setState: (state: { data: unknown; dataUpdatedAt: number; isInvalidated: boolean }) => void
}

/** Nothing is shown that is older than two weeks. */
const LONGEST_MS = 14 * 86_400_000
/** Writes are gathered for so long. */
const GATHER_MS = 400
/** Of calculations only the last ones are kept: there is no end of what may be asked. */
const MOST_CALCULATIONS = 300

/** Answers to what is typed at this moment, and what is of a person alone or of another day. */
const PASSING: readonly unknown[] = [
    'judged',
    'estimate',
    'names',
    'job',
    'pulse',
    'devices',
    'registration',
    'join',
    'goes',
    'draft',
    'print',
    'picture',
    'lens',
    'lens-there',
]
const ALL: readonly unknown[] = Object.values(READ).flat()
const lasts = (key: readonly unknown[]) => ALL.includes(key[0]) && !PASSING.includes(key[0])

/**
 * Keeps what was read in the browser's database. While there is a line nothing of it is shown; what cannot be read
 * without one is as it was last seen, with its time.
 */
export class SeenStore {
    private readonly store = createStore('open-seam-seen', 'answers')
    private readonly last = new Map<string, Seen>()
    private readonly gathered = new Map<string, Seen>()
    private timer: ReturnType<typeof setTimeout> | undefined

    constructor(private readonly queries: QueryClient) {}

    /** What lies here is at hand from then on; what is read is written down. */
    async open(): Promise<void> {
        const kept = await entries<string, Seen>(this.store)
        const old = kept.filter(([, seen]) => Date.now() - seen.at > LONGEST_MS)
        const calculations = kept.filter(([, seen]) => seen.key[0] === 'compute').sort(([, a], [, b]) => b.at - a.at)
        const gone = new Set([...old, ...calculations.slice(MOST_CALCULATIONS)].map(([hash]) => hash))
        for (const [hash, seen] of kept) if (!gone.has(hash)) this.last.set(hash, seen)
        if (gone.size > 0) await delMany([...gone], this.store)
        this.queries.getQueryCache().subscribe((event) => {
            if (event.type !== 'updated') return
            const query: Read = event.query
            if (!lasts(query.queryKey)) return
            if (event.action.type === 'success' && query.state.data !== undefined) this.note(query)
            else if (event.action.type === 'error' && query.state.data === undefined && noLine(event.action.error)) this.show(query)
        })
        window.addEventListener('pagehide', () => void this.write())
    }

    /** As it was last read or seen; undefined: never, on this device. */
    of(key: readonly unknown[]): unknown {
        return this.queries.getQueryData(key) ?? this.last.get(hashKey(key))?.data
    }

    /** When it was last read; 0: never. */
    at(key: readonly unknown[]): number {
        return Math.max(this.queries.getQueryState(key)?.dataUpdatedAt ?? 0, this.last.get(hashKey(key))?.at ?? 0)
    }

    private note({ queryKey, queryHash, state }: Read): void {
        const seen = { key: queryKey, data: state.data, at: state.dataUpdatedAt }
        this.last.set(queryHash, seen)
        this.gathered.set(queryHash, seen)
        this.timer ??= setTimeout(() => void this.write(), GATHER_MS)
    }

    private show(query: Read): void {
        const seen = this.last.get(query.queryHash)
        // The trouble stays said: it is shown as seen, and read anew with the next chance.
        if (seen !== undefined) query.setState({ data: seen.data, dataUpdatedAt: seen.at, isInvalidated: true })
    }

    /** Nothing of it stays on the device. */
    async forget(): Promise<void> {
        clearTimeout(this.timer)
        this.timer = undefined
        this.gathered.clear()
        this.last.clear()
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
    await Promise.all([keeping.forgetAll(), pictures.forgetAll(), seen.forget()])
    localStorage.clear()
    sessionStorage.clear()
    await forgetRead()
}

/** Somebody has come in: what lies here of another one is not shown to them; what waits to be sent is theirs who kept it. */
export async function enteredAs(email: string | null): Promise<void> {
    const before = (seen.of(['me']) as View['MeView'] | undefined)?.email
    if (before !== undefined && before.toLowerCase() === email?.trim().toLowerCase()) return
    await queries.cancelQueries()
    await seen.forget()
    await forgetRead()
}
