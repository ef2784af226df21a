import { Button } from '@mantine/core'
import { Link } from 'react-router'
import { api, ask, type View } from '../../api/client'
import { useChange } from '../../api/queries'
import { clock, day } from '../../text/time'
import { t } from '../../text/words'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'

type Session = View['SessionView']

/** The session is started and ended here; what follows stands beside the button before it is pressed. */
export function Holding({
    id,
    session,
    students,
    zone,
}: {
    id: string
    session: Session
    students: readonly { name: string; looked: boolean; state: string }[]
    zone: string
}) {
    const path = { params: { path: { class: id, session: session.id } } }
    const start = useChange('bench', () =>
        ask(api.POST('/api/classes/{class}/bench/start', { params: { path: { class: id } }, body: { version: session.bench_version } })),
    )
    const end = useChange('bench', () => ask(api.PUT('/api/classes/{class}/sessions/{session}/end', path)))
    const goOn = useChange('bench', () => ask(api.DELETE('/api/classes/{class}/sessions/{session}/end', path)))
    const notBegun = useChange('bench', () => ask(api.DELETE('/api/classes/{class}/sessions/{session}/begin', path)))
    const missing = students.filter((s) => !s.looked && s.state === 'here')
    const { beginning } = session
    const busy = start.isPending || end.isPending || goOn.isPending || notBegun.isPending
    return (
        <div className={cx('holding')}>
            {beginning !== null && (
                <>
                    <Button variant={session.state === 'before' ? 'filled' : 'default'} disabled={busy} onClick={() => start.mutate(undefined)}>
                        {t('common.startTheSession')}
                    </Button>
                    <span role="status">{whatFollows(session, zone)}</span>
                </>
            )}
            {beginning === null && session.state === 'running' && (
                <>
                    <Button variant="default" disabled={busy} onClick={() => end.mutate(undefined)}>
                        {t('today.endTheSession')}
                    </Button>
                    <span role="status">
                        {missing.length === 0
                            ? t('today.everybodyWasLookedAt')
                            : t('today.notLookedAtYet', { n: missing.length, names: missing.map((s) => s.name).join(', ') })}
                    </span>
                    {session.begun_at !== null && students.every((s) => !s.looked) && (
                        <Button variant="subtle" disabled={busy} onClick={() => notBegun.mutate(undefined)}>
                            {t('today.itHasNotBegun')}
                        </Button>
                    )}
                </>
            )}
            {session.state === 'after' && (
                <>
                    <span role="status">
                        {session.ended
                            ? t('today.endedAt', { time: clock(session.ends_at, zone) })
                            : t('today.overByItsHour', { time: clock(session.ends_at, zone) })}{' '}
                        {t('today.whatWasSewnInIt', { n: session.number })}
                    </span>
                    <Button component={Link} variant="subtle" to={`/catch-up/${id}?session=${session.id}`}>
                        {t('catchUp.catchUpFromPaper')}
                    </Button>
                    {session.number === session.of && (
                        <Button component={Link} variant="subtle" to={`/class/${id}/end`}>
                            {t('class.theEndOfTheCourse')}
                        </Button>
                    )}
                    {session.ended && (
                        <Button variant="subtle" disabled={busy} onClick={() => goOn.mutate(undefined)}>
                            {t('today.itGoesOn')}
                        </Button>
                    )}
                </>
            )}
            <Trouble error={start.error ?? end.error ?? goOn.error ?? notBegun.error} />
        </div>
    )
}

/** What starting now brings with it: which minutes are lost or won, what no longer fits, when it ends. */
export function whatFollows(session: Session, zone: string): string {
    const { beginning } = session
    if (beginning === null) return ''
    const with_ = {
        n: beginning.by,
        end: clock(beginning.ends_at, zone),
        left: beginning.left,
        date: day(session.starts_at, zone),
        time: clock(session.starts_at, zone),
    }
    const said = {
        early: t('today.startsEarly', with_),
        'on-time': t('today.startsOnTime', with_),
        late: t('today.startsLate', with_),
        moved: t('today.startsMoved', with_),
    }[beginning.kind]
    return beginning.lost.length === 0 ? said : `${said} ${t('today.nothingOf', { lessons: beginning.lost.join(', ') })}`
}
