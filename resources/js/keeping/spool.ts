import { useEffect, useSyncExternalStore } from 'react'
import { ulid } from 'ulid'
import { api, ask, noLine, Problem, type View } from '../api/client'
import { readAgain } from '../api/queries'
import { sendPhoto } from './photos'
import { draftKey, keeping, type Act, type Waiting, type WaitingAct } from './store'

/** How often it is tried again while something waits. */
const AGAIN_MS = 5_000

/** What waited for longer is dated to when it was looked at; until then it is sent as it happens. */
const LATE_MS = 30_000

/** The line or the server is down, or the sign-in is gone: it waits. Anything else is an answer. */
function waits(problem: unknown): boolean {
    return noLine(problem) || (problem instanceof Problem && [401, 419, 429].includes(problem.status))
}

/** What this tab is just sending by itself. */
const underWay = new Set<string>()

const post = (body: View['SampleBody']) => ask(api.POST('/api/samples', { body }))

/** Of the time it was looked at, where that is a while ago. */
const dated = ({ body, at }: Waiting): View['SampleBody'] =>
    body.session === undefined && Date.now() - Date.parse(at) > LATE_MS ? { ...body, sewn_at: at } : body

/** Whatever was sent before, sent again it is the same: by its id, or because it says how things stand. */
async function say(act: Act): Promise<void> {
    switch (act.kind) {
        case 'state': {
            const { student, state } = act
            await ask(api.PUT('/api/classes/{class}/bench/state', { params: { path: { class: act.class } }, body: { student, state } }))
            return
        }
        case 'choice':
            await ask(
                api.POST('/api/classes/{class}/students/{student}/next', { params: { path: { class: act.class, student: act.student } }, body: act.choice }),
            )
            return
        case 'note':
            await ask(api.POST('/api/samples/{sample}/notes', { params: { path: { sample: act.sample } }, body: { id: act.note, text: act.text } }))
            return
        case 'withdraw':
            await ask(api.POST('/api/samples/{sample}/withdraw', { params: { path: { sample: act.sample } }, body: { because: act.because } }))
            return
        case 'bring-back':
            await ask(api.DELETE('/api/samples/{sample}/withdraw', { params: { path: { sample: act.sample } } }))
    }
}

/** Samples of this one that wait here: the server does not know them yet. */
export const waitingOf = (student: string, lesson: string) =>
    keeping.all().filter((w) => w.body.student === student && w.body.lesson === lesson && w.body.replaces == null).length

/**
 * Keeps a sample: first here, so that nothing can lose it, then on the server.
 * Null: it waits here and is sent when the line is back.
 */
export async function keepSample(item: Omit<Waiting, 'asks' | 'at'>): Promise<View['KeptView'] | null> {
    underWay.add(item.body.id)
    await keeping.put({ ...item, at: new Date().toISOString(), asks: null })
    // From here on it is a sample. Were its draft found again, by a tab that was closed meanwhile, it would take the place of this one.
    const { class: id, student, lesson, replaces } = item.body
    const draft = await keeping.endDraft(draftKey(id, student, lesson, replaces ?? null), item.body.id)
    try {
        const kept = await post(item.body)
        // The sample is safe there; what does not get through of its photos waits in the spool.
        if ((item.photos ?? []).length === 0) await keeping.drop(item.body.id)
        else void Promise.resolve().then(() => sendAll([item.body.class]))
        return kept
    } catch (problem) {
        if (waits(problem)) return null
        // Refused: it is still on the form, where it is put right.
        await draft?.takeBack()
        await keeping.drop(item.body.id)
        throw problem
    } finally {
        underWay.delete(item.body.id)
    }
}

/** Says something else at once, or keeps it here until the line is back. False: it waits. */
export async function keepAct(act: Act, name: string, title: string): Promise<boolean> {
    // How somebody is said to be now takes the place of what was said before and not sent.
    const before = keeping
        .acts()
        .find((w) => w.act.kind === 'state' && act.kind === 'state' && w.act.class === act.class && w.act.student === act.student && !underWay.has(w.id))
    const item: WaitingAct = { id: before?.id ?? ulid().toLowerCase(), act, name, title, at: new Date().toISOString(), asks: null }
    underWay.add(item.id)
    await keeping.putAct(item)
    try {
        await say(act)
        await keeping.dropAct(item.id)
        return true
    } catch (problem) {
        if (waits(problem)) return false
        await keeping.dropAct(item.id)
        throw problem
    } finally {
        underWay.delete(item.id)
    }
}

/** After so many that the server could not take, one after the other, it is the server and not the sample. */
const MOST_FAILED = 3

/** It is this one that did not go through: another one may. */
const stuck = (problem: unknown) => problem instanceof Problem && problem.status >= 500

interface Sending {
    at: string
    send: () => Promise<void>
    asked: (asks: { field: string; message: string }) => Promise<void>
}

const sampleToSend = (item: Waiting): Sending => ({
    at: item.at,
    send: async () => {
        await post(dated(item))
        for (const photo of item.photos ?? []) await sendPhoto(item.body.id, photo)
        await keeping.drop(item.body.id)
    },
    asked: (asks) => keeping.put({ ...item, asks }),
})

const actToSend = (item: WaitingAct): Sending => ({
    at: item.at,
    send: async () => {
        await say(item.act)
        await keeping.dropAct(item.id)
    },
    asked: (asks) => keeping.putAct({ ...item, asks }),
})

let sending = false

/**
 * One tab at a time. In a workroom's network without HTTPS the browser has no locks between tabs: then this tab takes care
 * of itself, and the server counts each sample once.
 */
async function alone(work: () => Promise<void>): Promise<void> {
    const locks = (navigator as Partial<Navigator>).locks
    if (locks !== undefined) {
        await locks.request('open-seam-spool', { ifAvailable: true }, async (lock) => (lock === null ? undefined : work()))
        return
    }
    if (sending) return
    sending = true
    try {
        await work()
    } finally {
        sending = false
    }
}

/** Sends what waits in these classes, oldest first, until the line fails. One tab at a time; the same sample twice is one sample. */
export async function sendAll(classes: readonly string[]): Promise<void> {
    await alone(async () => {
        let [sent, failed] = [0, 0]
        const all = [
            ...keeping
                .all()
                .filter((w) => w.asks === null && classes.includes(w.body.class) && !underWay.has(w.body.id))
                .map(sampleToSend),
            ...keeping
                .acts()
                .filter((w) => w.asks === null && classes.includes(w.act.class) && !underWay.has(w.id))
                .map(actToSend),
        ].sort((a, b) => a.at.localeCompare(b.at))
        for (const item of all) {
            try {
                await item.send()
                sent++
                failed = 0
            } catch (problem) {
                // One that never goes through does not keep the others from it.
                if (stuck(problem) && ++failed < MOST_FAILED) continue
                if (waits(problem) || !(problem instanceof Problem)) break
                await item.asked({ field: problem.field, message: problem.message })
            }
        }
        if (sent > 0) await readAgain('sample')
    })
}

/** Takes one that waits back to its sheet, as it was typed; its address. */
export async function takeBack({ body, photos }: Waiting): Promise<string> {
    const replaces = body.replaces ?? null
    const typed = (value: unknown) => (typeof value === 'string' || typeof value === 'number' ? String(value) : '')
    const readings = Object.fromEntries(Object.entries(body.readings as Record<string, unknown[]>).map(([key, values]) => [key, values.map(typed)]))
    await keeping.putDraft(draftKey(body.class, body.student, body.lesson, replaces), {
        id: body.id,
        readings,
        faults: body.faults,
        settings: Object.fromEntries(Object.entries(body.settings ?? {}).map(([name, value]) => [name, value ?? ''])),
        overruled: body.overruled ?? {},
        ...(body.version == null ? {} : { version: body.version }),
        ...(body.session == null ? {} : { session: body.session }),
        ...(photos === undefined ? {} : { photos }),
    })
    await keeping.drop(body.id)
    return `/look/${body.class}/${body.student}?${new URLSearchParams({ lesson: body.lesson, ...(replaces === null ? {} : { replaces }) }).toString()}`
}

/** Keeps it as well as the other one. */
export async function keepBoth(item: Waiting): Promise<void> {
    await keeping.put({ ...item, body: { ...item.body, sure: true }, asks: null })
    await sendAll([item.body.class])
}

/** What was said of these classes and waits here. */
export function useWaitingActs(classes: readonly string[]): WaitingAct[] {
    return useSyncExternalStore(keeping.subscribe, keeping.acts).filter((w) => classes.includes(w.act.class))
}

/** Samples that wait in the classes of this studio. */
export function useSpool(classes: readonly string[]): Waiting[] {
    return useSyncExternalStore(keeping.subscribe, keeping.all).filter((w) => classes.includes(w.body.class))
}

/** Sends what waits by itself when the line is back. */
export function useSending(classes: readonly string[]): void {
    const [samples, acts] = [useSpool(classes), useWaitingActs(classes)]
    const open = [...samples, ...acts].some((w) => w.asks === null)
    const of = classes.join(',')
    useEffect(() => {
        if (!open) return
        const send = () => void sendAll(of.split(','))
        send()
        const timer = setInterval(send, AGAIN_MS)
        window.addEventListener('online', send)
        return () => {
            clearInterval(timer)
            window.removeEventListener('online', send)
        }
    }, [open, of])
}
