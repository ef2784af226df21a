import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useParams } from 'react-router'
import { api, ask } from '../../../api/client'
import { t } from '../../../text/words'
import { Trouble, Waiting } from '../../../ui/Trouble'
import { cx } from '../dress'
import { Run } from './Run'

/** What the code on a seat card opens on a phone: the buttonhole of this machine, act by act, without a name. */
export default function RunPage() {
    const { machine = '', ends = '', signature = '' } = useParams()
    const [done, setDone] = useState(false)
    const run = useQuery({
        queryKey: ['run', machine, ends],
        queryFn: () => ask(api.GET('/api/runs/{machine}/{ends}/{signature}', { params: { path: { machine, ends, signature } } })),
    })
    if (run.data === undefined) return run.error === null ? <Waiting what={t('common.opening')} /> : <Trouble error={run.error} />
    if (done)
        return (
            <main className={cx('run-done')}>
                <h1>{t('workshop.sewnNowLook')}</h1>
                <p>{t('workshop.showYourTeacher')}</p>
            </main>
        )
    return <Run plan={run.data.plan} machine={{ id: machine, name: run.data.machine }} alone onClose={() => setDone(true)} />
}
