import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { api, ask, type View } from '../../../api/client'

export type Job = View['ButtonholeBody']['job']
export type Seen = View['ButtonholeView']
export interface Draft {
    class: string | null
    student: string | null
    machine: string | null
    foot: string | null
    job: Job
}

/** While somebody types nothing is sent. */
const WAIT_MS = 350
/** A line that is down is tried again. */
const AGAIN_MS = 4_000

/** What most begin with. */
export const USUAL: Job = {
    shape: 'flat',
    diameter_mm: 15,
    thickness_mm: 3,
    count: 1,
    part: 'front',
    weight: 'medium',
    stretch: 'none',
    layers: 2,
    interfacing: 2,
    beginner: true,
}

export function useKeptButtonhole(id: string | null) {
    return useQuery({
        queryKey: ['buttonhole', id],
        queryFn: () => ask(api.GET('/api/buttonholes/{buttonhole}', { params: { path: { buttonhole: id ?? '' } } })),
        enabled: id !== null,
    })
}

/** The last jobs. */
export function useButtonholes(wanted = true) {
    return useQuery({ queryKey: ['buttonholes'], queryFn: () => ask(api.GET('/api/buttonholes')), enabled: wanted })
}

export const draftOf = ({ class: of, student, machine, foot, job }: Seen): Draft => ({ class: of, student, machine, foot, job })

interface Props {
    id: string
    /** As it was kept, or as a new one begins. */
    start: Draft
    kept: Seen | undefined
    /** It has an address now. */
    onKept: () => void
    onOpen: (job: string) => void
    onBegin: () => void
}

/** A buttonhole job in hand: kept as it is typed, with what follows from it. */
export function useButtonhole({ id, start, kept, onKept, onOpen, onBegin }: Props) {
    const [draft, setDraft] = useState(start)
    const [seen, setSeen] = useState(kept)
    const [trouble, setTrouble] = useState<Error | null>(null)
    const [saved, setSaved] = useState(kept !== undefined)
    const client = useQueryClient()
    const now = useRef(start)
    const turn = useRef(0)
    /** Something typed is not kept yet. */
    const owed = useRef(false)
    const gone = useRef(false)
    const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
    const take = (answer: Seen) => {
        client.setQueryData(['buttonhole', id], answer)
        setSeen(answer)
    }
    const send = async (mine: number) => {
        try {
            const answer = await ask(api.PUT('/api/buttonholes/{buttonhole}', { params: { path: { buttonhole: id } }, body: now.current }))
            // What was typed meanwhile is on its way.
            if (mine !== turn.current) return
            owed.current = false
            take(answer)
            if (gone.current) return
            setTrouble(null)
            setSaved(true)
            if (kept === undefined) onKept()
        } catch (error) {
            if (mine !== turn.current || gone.current) return
            setTrouble(error as Error)
            timer.current = setTimeout(() => void send(mine), AGAIN_MS)
        }
    }
    const soon = (after: number) => {
        clearTimeout(timer.current)
        owed.current = true
        const mine = ++turn.current
        timer.current = setTimeout(() => void send(mine), after)
    }
    /** Whoever leaves while typing loses nothing, and is not called back. */
    const leave = () => {
        gone.current = true
        clearTimeout(timer.current)
        if (owed.current) void send(turn.current)
    }
    const begun = useRef(kept !== undefined)
    useEffect(() => {
        gone.current = false
        // A new one is kept from its first look on: what follows from it is worked out where it is kept.
        if (!begun.current) soon(0)
        begun.current = true
        return leave
        // eslint-disable-next-line react-hooks/exhaustive-deps -- once, as it is taken in hand
    }, [])
    const change = (what: Partial<Draft>) => {
        now.current = { ...now.current, ...what }
        setDraft(now.current)
        setSaved(false)
        soon(WAIT_MS)
    }
    const set = (job: Partial<Job>) => change({ job: { ...now.current.job, ...job } })
    return { id, draft, seen, trouble, saved, change, set, take, begin: onBegin, open: onOpen }
}

export type Buttonhole = ReturnType<typeof useButtonhole>
