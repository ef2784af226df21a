import { clear, createStore, del, entries, set } from 'idb-keyval'
import { busyWith } from '../api/busy'
import type { View } from '../api/client'
import type { Photo } from './photos'

export interface Own {
    verdict: 'met' | 'near' | 'not-yet'
    because: string
}

/** A sample as far as it is typed. */
export interface Draft {
    id: string
    readings: Record<string, string[]>
    faults: string[]
    settings: Record<string, string>
    /** The teacher's own verdicts, by check. */
    overruled?: Record<string, Own>
    /** Of the lesson it was begun with; a sample stays with the version that was sewn. */
    version?: number
    /** It was sewn on, by id; where the student sits when it is not said. */
    machine?: string
    /** It was sewn by, ids with commas; as the class is taught when it is not said. */
    schools?: string
    photos?: Photo[]
    /** It was sewn in this session, by id; in the one in hand where it is not said. */
    session?: string
}

/** Where what is typed of a sample lies: of this student, this lesson, and the sample it corrects. */
export const draftKey = (id: string, student: string, lesson: string, replaces: string | null) => `draft:${id}:${student}:${lesson}:${replaces ?? ''}`

/** A sample that was kept here and waits to be sent. */
export interface Waiting {
    body: View['SampleBody']
    name: string
    title: string
    at: string
    /** Sent after the sample they belong to. */
    photos?: Photo[]
    /** What the server wants to know before it takes it; null: it only waits for the line. */
    asks: { field: string; message: string } | null
}

/** Something else that was said here and waits to be sent: who is there, what somebody sews next, a note, what counts. */
export type Act =
    | { kind: 'state'; class: string; student: string; state: View['StateBody']['state'] }
    | { kind: 'choice'; class: string; student: string; choice: View['ChoiceBody'] }
    | { kind: 'note'; class: string; sample: string; note: string; text: string }
    | { kind: 'withdraw'; class: string; sample: string; because: string }
    | { kind: 'bring-back'; class: string; sample: string }

export interface WaitingAct {
    id: string
    act: Act
    /** Of whom, and what, in words. */
    name: string
    title: string
    at: string
    asks: { field: string; message: string } | null
}

/** What is typed of one student in a round, with the id its sample will have: sent twice it is still one sample. */
export interface RoundLook {
    id: string
    readings: Record<string, string[]>
}

/** A round as far as it is typed, by student. */
export interface Round {
    at: string
    looks: Record<string, RoundLook>
}

const PREFIX = 'draft:'
const ROUND = 'round:'

/** A round that nobody went on with is forgotten after two weeks. */
const ROUND_MS = 14 * 86_400_000

/** What is typed and what waits lies in the browser's database; a copy in hand answers at once. */
class Keeping {
    private readonly drafts = createStore('open-seam-drafts', 'drafts')
    private readonly spool = createStore('open-seam-spool', 'samples')
    private readonly channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('open-seam-spool')
    private readonly begun = new Map<string, Draft>()
    private readonly rounds = new Map<string, Round>()
    private readonly said = createStore('open-seam-acts', 'acts')
    private waiting: readonly Waiting[] = []
    private waitingActs: readonly WaitingAct[] = []
    private readonly listeners = new Set<() => void>()
    /** Nothing is shown before what lies here is known. */
    readonly ready: Promise<void>

    constructor() {
        this.ready = this.load()
        this.channel?.addEventListener('message', () => void this.readSpool())
    }

    draft(key: string): Draft | undefined {
        return this.begun.get(key)
    }

    async putDraft(key: string, draft: Draft): Promise<void> {
        this.begun.set(key, draft)
        await busyWith(set(key, draft, this.drafts))
    }

    async dropDraft(key: string): Promise<void> {
        this.begun.delete(key)
        await del(key, this.drafts)
    }

    /** What was typed has become this sample; null where nothing was typed of it here. It can be typed on again. */
    async endDraft(key: string, sample: string): Promise<{ takeBack: () => Promise<void> } | null> {
        const draft = this.begun.get(key)
        if (draft?.id !== sample) return null
        await busyWith(this.dropDraft(key))
        return { takeBack: () => this.putDraft(key, draft) }
    }

    round(key: string): Round | undefined {
        return this.rounds.get(ROUND + key)
    }

    async putRound(key: string, looks: Record<string, RoundLook>): Promise<void> {
        const round = { at: new Date().toISOString(), looks }
        this.rounds.set(ROUND + key, round)
        await busyWith(set(ROUND + key, round, this.drafts))
    }

    /** Oldest first; the same list until something changes. */
    all = (): readonly Waiting[] => this.waiting

    /** Oldest first; the same list until something changes. */
    acts = (): readonly WaitingAct[] => this.waitingActs

    async putAct(item: WaitingAct): Promise<void> {
        await busyWith(set(item.id, item, this.said))
        this.tellActs([...this.waitingActs.filter((w) => w.id !== item.id), item])
    }

    async dropAct(id: string): Promise<void> {
        await busyWith(del(id, this.said))
        this.tellActs(this.waitingActs.filter((w) => w.id !== id))
    }

    subscribe = (listener: () => void): (() => void) => {
        this.listeners.add(listener)
        return () => this.listeners.delete(listener)
    }

    /** Done when it lies in the database: from then on it is not lost. */
    async put(item: Waiting): Promise<void> {
        await busyWith(set(item.body.id, item, this.spool))
        this.tell([...this.waiting.filter((w) => w.body.id !== item.body.id), item])
    }

    async drop(id: string): Promise<void> {
        await busyWith(del(id, this.spool))
        this.tell(this.waiting.filter((w) => w.body.id !== id))
    }

    /** At sign-out nothing of the studio stays on the device. */
    async forgetAll(): Promise<void> {
        this.begun.clear()
        this.rounds.clear()
        await Promise.all([clear(this.drafts), clear(this.spool), clear(this.said)])
        this.tell([])
        this.tellActs([])
    }

    private async load(): Promise<void> {
        // What an earlier version left in the small store moves over.
        const old = Object.keys(localStorage).filter((k) => k.startsWith(PREFIX))
        for (const key of old) {
            try {
                await set(key, JSON.parse(localStorage.getItem(key) ?? ''), this.drafts)
            } catch {
                // It was no draft.
            }
            localStorage.removeItem(key)
        }
        for (const [key, kept] of await entries<string, Draft | Round>(this.drafts)) {
            if (!('looks' in kept)) this.begun.set(key, kept)
            else if (Date.now() - Date.parse(kept.at) < ROUND_MS) this.rounds.set(key, kept)
            else await del(key, this.drafts)
        }
        await this.readSpool()
        // Kept, and closed before what was typed could be forgotten: it is a sample already.
        const kept = new Set(this.waiting.map((w) => w.body.id))
        for (const [key, draft] of this.begun) if (kept.has(draft.id)) await this.dropDraft(key)
    }

    private async readSpool(): Promise<void> {
        this.waitingActs = (await entries<string, WaitingAct>(this.said)).map(([, item]) => item).sort((a, b) => a.at.localeCompare(b.at))
        this.waiting = (await entries<string, Waiting>(this.spool)).map(([, item]) => item).sort((a, b) => a.at.localeCompare(b.at))
        this.listeners.forEach((listener) => listener())
    }

    private tellActs(now: readonly WaitingAct[]): void {
        this.waitingActs = [...now].sort((a, b) => a.at.localeCompare(b.at))
        this.listeners.forEach((listener) => listener())
        this.channel?.postMessage('changed')
    }

    private tell(now: readonly Waiting[]): void {
        this.waiting = [...now].sort((a, b) => a.at.localeCompare(b.at))
        this.listeners.forEach((listener) => listener())
        this.channel?.postMessage('changed')
    }
}

export const keeping = new Keeping()
