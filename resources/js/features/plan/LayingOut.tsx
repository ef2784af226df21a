import { Button } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { api, ask } from '../../api/client'
import { t } from '../../text/words'
import { HowFar } from '../../ui/HowFar'
import { cx } from './dress'

/** Nothing is said of what is done in a blink. */
const PATIENCE_MS = 400

/** How far the laying out is, and a stop that keeps the best plan found so far. */
export function LayingOut({ job }: { job: string | null }) {
    const [shown, setShown] = useState<string | null>(null)
    useEffect(() => {
        if (job === null) return
        const timer = setTimeout(() => setShown(job), PATIENCE_MS)
        return () => clearTimeout(timer)
    }, [job])
    const waits = job !== null && shown === job
    const at = useQuery({
        queryKey: ['job', job],
        queryFn: () => ask(api.GET('/api/jobs/{job}', { params: { path: { job: job ?? '' } } })),
        enabled: waits,
        refetchInterval: 300,
        gcTime: 0,
    })
    const stop = () => {
        if (job !== null) void api.DELETE('/api/jobs/{job}', { params: { path: { job } } })
    }
    if (!waits) return null
    const found = at.data?.found ?? null
    return (
        <HowFar className={cx('laying')} done={at.data?.done ?? 0} of={at.data?.of ?? 0} what={t('plan.layingItOut')}>
            {found === null ? t('plan.layingItOut') : t('plan.sessionsCanDoLookingWhether', { n: found, fewer: found - 1 })}
            <Button variant="default" onClick={stop}>
                {t('plan.stopAndTakeWhatThere')}
            </Button>
        </HowFar>
    )
}
