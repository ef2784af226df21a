import { Button } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { ulid } from 'ulid'
import { api, ask, Problem } from '../../api/client'
import { t } from '../../text/words'
import { HowFar } from '../../ui/HowFar'
import { Trouble } from '../../ui/Trouble'

type State = { is: 'idle' } | { is: 'making'; job: string } | { is: 'ready'; url: string } | { is: 'trouble'; error: Problem }

/** The whole pack of a class as one PDF: how far it is, a way to stop it, and the file when it is made. */
export function ClassPack({ id }: { id: string }) {
    const [state, setState] = useState<State>({ is: 'idle' })
    const stopped = useRef<AbortController | null>(null)
    const job = state.is === 'making' ? state.job : null
    const at = useQuery({
        queryKey: ['print', job],
        queryFn: () => ask(api.GET('/api/jobs/{job}', { params: { path: { job: job ?? '' } } })),
        enabled: job !== null,
        refetchInterval: 250,
        gcTime: 0,
    })
    useEffect(
        () => () => {
            if (state.is === 'ready') URL.revokeObjectURL(state.url)
        },
        [state],
    )
    const make = async () => {
        const name = ulid().toLowerCase()
        const abort = new AbortController()
        stopped.current = abort
        setState({ is: 'making', job: name })
        try {
            const answer = await fetch(`/api/classes/${id}/print?what=pack&job=${name}`, { headers: { Accept: 'application/json' }, signal: abort.signal })
            if (!answer.ok) {
                const said = (await answer.json()) as { error?: { message?: string; kept?: string } }
                throw new Problem(answer.status, '(print)', said.error?.message ?? t('materials.itCouldNotBeMade'), said.error?.kept ?? '')
            }
            setState({ is: 'ready', url: URL.createObjectURL(await answer.blob()) })
        } catch (error) {
            if (abort.signal.aborted) setState({ is: 'idle' })
            else setState({ is: 'trouble', error: error instanceof Problem ? error : new Problem(0, '(line)', t('materials.theLineToOpenSeam'), '') })
        }
    }
    const stop = () => {
        if (job !== null) void api.DELETE('/api/jobs/{job}', { params: { path: { job } } })
        stopped.current?.abort()
    }
    switch (state.is) {
        case 'making':
            return (
                <HowFar done={at.data?.done ?? 0} of={at.data?.of ?? 0} what={t('materials.makingThePack')}>
                    {at.data === undefined || at.data.of === 0
                        ? t('materials.makingThePack')
                        : t('materials.ofLessons', { done: Math.min(at.data.done, at.data.of), of: at.data.of })}
                    <Button variant="default" onClick={stop}>
                        {t('materials.stop')}
                    </Button>
                </HowFar>
            )
        case 'ready':
            return (
                <Button component="a" href={state.url} target="_blank" rel="noreferrer">
                    {t('materials.openTheClassPack')}
                </Button>
            )
        default:
            return (
                <>
                    <Button variant="default" onClick={() => void make()}>
                        {t('materials.makeTheClassPack')}
                    </Button>
                    {state.is === 'trouble' && <Trouble error={state.error} />}
                </>
            )
    }
}
