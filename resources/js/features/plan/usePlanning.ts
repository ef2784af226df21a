import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { ulid } from 'ulid'
import { api, ask, type Problem, type View } from '../../api/client'
import { useChange } from '../../api/queries'

export type Plan = View['PlanView']
export type Wishes = View['PlanWishesView']

interface Step {
    sessions: string[][]
    home: string[][]
    wishes: Wishes | null
}

/** Everything that changes a plan, each with its way back. */
export function usePlanning(id: string, plan: Plan | undefined) {
    const [undo, setUndo] = useState<Step[]>([])
    const [job, setJob] = useState<string | null>(null)
    const [moved, setMoved] = useState<{ lessons: View['NamedView'][]; fewest: boolean } | null>(null)
    const [tried, setTried] = useState<{ plan: Plan; wishes: Wishes } | null>(null)
    const path = { class: id }
    const put = (body: View['PlanBody']) => ask(api.PUT('/api/classes/{class}/plan', { params: { path }, body }))
    const remember = (wishes: Wishes | null) => {
        if (plan === undefined) return
        const step = { sessions: plan.sessions.map((s) => s.lessons), home: plan.sessions.map((s) => s.home), wishes }
        setUndo((steps) => [...steps.slice(-19), step])
    }
    const named = async <T>(act: (job: string) => Promise<T>): Promise<T> => {
        const name = ulid().toLowerCase()
        setJob(name)
        try {
            return await act(name)
        } finally {
            setJob(null)
        }
    }
    const store = useChange('plan', async (change: { sessions: string[][]; home?: string[][]; pins?: Record<string, number> }) => {
        if (plan === undefined) return
        await put({ ...change, version: plan.version })
        remember(null)
    })
    const layOut = useChange('plan', async (wishes: Wishes) => {
        if (plan === undefined) return
        await named((name) => ask(api.POST('/api/classes/{class}/plan/lay-out', { params: { path }, body: { ...wishes, version: plan.version, job: name } })))
        remember(plan.wishes)
        setTried(null)
    })
    // Nothing is kept by trying, so nothing has to be read again.
    const tryOut = useMutation<unknown, Problem, Wishes>({
        mutationFn: async (wishes) => {
            if (plan === undefined) return
            setTried({
                wishes,
                plan: await named((name) =>
                    ask(api.POST('/api/classes/{class}/plan/try', { params: { path }, body: { ...wishes, version: plan.version, job: name } })),
                ),
            })
        },
    })
    const mend = useChange('plan', async () => {
        if (plan === undefined) return
        const answer = await ask(api.POST('/api/classes/{class}/plan/mend', { params: { path }, body: { version: plan.version } }))
        setMoved({ lessons: answer.moved, fewest: answer.fewest })
        remember(null)
    })
    const back = useChange('plan', async () => {
        const step = undo.at(-1)
        if (plan === undefined || step === undefined) return
        let version = plan.version
        if (step.wishes !== null)
            version = (await ask(api.POST('/api/classes/{class}/plan/lay-out', { params: { path }, body: { ...step.wishes, version } }))).version
        await put({ sessions: step.sessions, home: step.home, version })
        setUndo((steps) => steps.slice(0, -1))
        setMoved(null)
    })
    return {
        store,
        layOut,
        tryOut,
        mend,
        back,
        job,
        moved,
        tried,
        canUndo: undo.length > 0,
        forget: () => setMoved(null),
        drop: () => setTried(null),
        busy: layOut.isPending || tryOut.isPending || mend.isPending || back.isPending,
        error: store.error ?? layOut.error ?? tryOut.error ?? mend.error ?? back.error,
    }
}
