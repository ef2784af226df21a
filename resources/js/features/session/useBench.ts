import { useMutation, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, ask, Problem, type View } from '../../api/client'
import { readAgain, useChange } from '../../api/queries'
import { keepAct } from '../../keeping/spool'
import { t } from '../../text/words'
import { STATE_WORDS } from './states'

type Bench = View['BenchView']
export type Held = View['BenchBody']['held']

/** What the teacher says of the bench: kept, or only tried to see what it would cost. */
export interface Wish {
    held: Held
    most: number
}

const path = (id: string) => ({ params: { path: { class: id } } })

/** What holds now, as the server shows it. */
function wishOf(bench: Bench): Wish {
    const held: Held = {}
    for (const s of bench.students) {
        if (s.held === null) continue
        held[s.student] = {
            ...(s.held !== 'lesson' && s.machine !== null ? { machine: s.machine } : {}),
            ...(s.held !== 'machine' && s.lesson !== null ? { lesson: s.lesson } : {}),
        }
    }
    return { held, most: bench.most_lessons }
}

const awayOf = (bench: Bench) =>
    Object.fromEntries(bench.students.filter((s) => s.state !== 'here').map((s) => [s.student, s.state as 'late' | 'absent' | 'left']))

/** The bench of the session in hand; a change is tried first and kept when the teacher says so. */
export function useBench(id: string) {
    const shown = useQuery({ queryKey: ['bench', id], queryFn: () => ask(api.GET('/api/classes/{class}/bench', path(id))) })
    const [tried, setTried] = useState<{ bench: Bench; wish: Wish; what: string } | null>(null)
    const body = (bench: Bench, wish: Wish, trying: boolean): View['BenchBody'] => ({
        version: bench.version,
        most_lessons: wish.most,
        held: wish.held,
        away: awayOf(bench),
        try: trying,
    })
    // A look changes nothing: nothing is read again for it.
    const attempt = useMutation<null, Problem, { change: (wish: Wish) => Wish; what: string }>({
        mutationFn: async ({ change, what }) => {
            if (shown.data === undefined) return null
            const wish = change(tried?.wish ?? wishOf(shown.data))
            setTried({ bench: await ask(api.PUT('/api/classes/{class}/bench', { ...path(id), body: body(shown.data, wish, true) })), wish, what })
            return null
        },
    })
    const keep = useChange('bench', async (wish: Wish) => {
        if (shown.data === undefined) return
        await ask(api.PUT('/api/classes/{class}/bench', { ...path(id), body: body(shown.data, wish, false) }))
        setTried(null)
    })
    const note = useChange('bench', ({ student, state }: View['StateBody']) => {
        const name = shown.data?.students.find((s) => s.student === student)?.name ?? ''
        return keepAct({ kind: 'state', class: id, student, state }, name, t(STATE_WORDS[state]))
    })
    const start = useChange('bench', async () => {
        if (shown.data !== undefined) await ask(api.POST('/api/classes/{class}/bench/start', { ...path(id), body: { version: shown.data.version } }))
    })
    const error = attempt.error ?? keep.error ?? note.error ?? start.error
    return {
        shown,
        tried,
        attempt,
        keep,
        note,
        start,
        error,
        bench: tried?.bench ?? shown.data,
        putBack: () => setTried(null),
        again: () => {
            attempt.reset()
            keep.reset()
            note.reset()
            start.reset()
            setTried(null)
            void readAgain('bench')
        },
    }
}
