import { useEffect, useSyncExternalStore } from 'react'
import { api, ask, Problem, type View } from '../api/client'
import { readAgain } from '../api/queries'
import { sendPhoto } from './photos'
import { keeping, type Waiting } from './store'

/** How often it is tried again while something waits. */
const AGAIN_MS = 5_000

/** The line or the server is down, or the sign-in is gone: it waits. Anything else is an answer. */
function waits(problem: unknown): boolean {
    return (
        problem instanceof Problem &&
        (problem.status === 0 || problem.status === 401 || problem.status === 419 || problem.status === 429 || problem.status >= 500)
    )
}

const post = (body: View['SampleBody']) => ask(api.POST('/api/samples', { body }))

/**
 * Keeps a sample: first here, so that nothing can lose it, then on the server.
 * Null: it waits here and is sent when the line is back.
 */
export async function keepSample(item: Omit<Waiting, 'asks' | 'at'>): Promise<View['KeptView'] | null> {
    await keeping.put({ ...item, at: new Date().toISOString(), asks: null })
    try {
        const kept = await post(item.body)
        // The sample is safe there; what does not get through of its photos waits in the spool.
        if ((item.photos ?? []).length === 0) await keeping.drop(item.body.id)
        else void sendAll()
        return kept
    } catch (problem) {
        if (waits(problem)) return null
        // Refused: it is still on the form, where it is put right.
        await keeping.drop(item.body.id)
        throw problem
    }
}

/** After so many that the server could not take, one after the other, it is the server and not the sample. */
const MOST_FAILED = 3

/** It is this one sample that did not go through: another one may. */
const stuck = (problem: unknown) => problem instanceof Problem && problem.status >= 500

/** Sends what waits, oldest first, until the line fails. One tab at a time; the same sample twice is one sample. */
export async function sendAll(): Promise<void> {
    await navigator.locks.request('open-seam-spool', { ifAvailable: true }, async (lock) => {
        if (lock === null) return
        let [sent, failed] = [0, 0]
        for (const item of keeping.all().filter((w) => w.asks === null)) {
            try {
                await post(item.body)
                for (const photo of item.photos ?? []) await sendPhoto(item.body.id, photo)
                await keeping.drop(item.body.id)
                sent++
                failed = 0
            } catch (problem) {
                // One that never goes through does not keep the others from it.
                if (stuck(problem) && ++failed < MOST_FAILED) continue
                if (waits(problem) || !(problem instanceof Problem)) break
                await keeping.put({ ...item, asks: { field: problem.field, message: problem.message } })
            }
        }
        if (sent > 0) await readAgain('sample')
    })
}

/** Keeps it as well as the other one. */
export async function keepBoth(item: Waiting): Promise<void> {
    await keeping.put({ ...item, body: { ...item.body, sure: true }, asks: null })
    await sendAll()
}

/** What waits in the classes of this studio; sent by itself when the line is back. */
export function useSpool(classes: string[]): Waiting[] {
    const all = useSyncExternalStore(keeping.subscribe, keeping.all)
    const mine = all.filter((w) => classes.includes(w.body.class))
    const open = mine.some((w) => w.asks === null)
    useEffect(() => {
        if (!open) return
        const send = () => void sendAll()
        send()
        const timer = setInterval(send, AGAIN_MS)
        window.addEventListener('online', send)
        return () => {
            clearInterval(timer)
            window.removeEventListener('online', send)
        }
    }, [open])
    return mine
}
