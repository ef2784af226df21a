import { useDebouncedValue } from '@mantine/hooks'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { api, ask } from '../../../api/client'
import type { DraftLesson } from './lesson'

interface Kept {
    version: number
    lesson: DraftLesson
}

interface History {
    past: DraftLesson[]
    now: DraftLesson
    future: DraftLesson[]
    /** Of the last change: changes of one thing in one go are undone in one go. */
    what: string
    at: number
}

const MOST_STEPS = 200
const ONE_GO_MS = 1500

function kept(key: string): Kept | null {
    try {
        const found = localStorage.getItem(key)
        return found === null ? null : (JSON.parse(found) as Kept)
    } catch {
        return null
    }
}

/** A lesson being changed: kept on this device as it is typed, read by the core as it changes, undone step by step. */
export function useDraft(studio: string, lesson: DraftLesson, version: number) {
    // Two studios may share a device, never a draft.
    const key = `drafting:${studio}:${lesson.id}`
    const [begun] = useState(() => kept(key))
    const [from, setFrom] = useState(begun?.version ?? version)
    const [history, setHistory] = useState<History>(() => ({ past: [], now: begun?.lesson ?? lesson, future: [], what: '', at: 0 }))
    const draft = history.now
    const changed = draft !== lesson
    useEffect(() => {
        if (changed) localStorage.setItem(key, JSON.stringify({ version: from, lesson: draft } satisfies Kept))
    }, [key, changed, draft, from])
    const [settled] = useDebouncedValue(draft, 50)
    const read = useQuery({
        queryKey: ['draft', settled],
        queryFn: ({ signal }) => ask(api.POST('/api/drafts/read', { body: { lesson: settled }, signal })),
        placeholderData: keepPreviousData,
        staleTime: Infinity,
        gcTime: 30_000,
        retry: false,
    })
    return {
        draft,
        read,
        changed,
        /** The version it was begun from. */
        from,
        canUndo: history.past.length > 0,
        canRedo: history.future.length > 0,
        change: (what: string, by: (lesson: DraftLesson) => DraftLesson) => {
            const at = Date.now()
            setHistory((h) => {
                const now = by(h.now)
                const same = what === h.what && at - h.at < ONE_GO_MS
                return { past: same ? h.past : [...h.past.slice(1 - MOST_STEPS), h.now], now, future: [], what, at }
            })
        },
        undo: () => {
            setHistory((h) => {
                const last = h.past.at(-1)
                return last === undefined ? h : { past: h.past.slice(0, -1), now: last, future: [h.now, ...h.future], what: '', at: 0 }
            })
        },
        redo: () => {
            setHistory((h) => {
                const [next, ...rest] = h.future
                return next === undefined ? h : { past: [...h.past, h.now], now: next, future: rest, what: '', at: 0 }
            })
        },
        /** Begins again from what is on the shelf. */
        drop: () => {
            localStorage.removeItem(key)
            setFrom(version)
            setHistory({ past: [], now: lesson, future: [], what: '', at: 0 })
        },
        forget: () => {
            localStorage.removeItem(key)
        },
    }
}

export type Draft = ReturnType<typeof useDraft>
