import { Button } from '@mantine/core'
import { Fragment } from 'react'
import { day } from '../../text/time'
import { t } from '../../text/words'
import { cx } from './dress'
import type { Plan } from './usePlanning'

/** Two plans side by side: what each needs, and which lessons stand elsewhere. */
export function ComparePlans({
    now,
    then,
    zone,
    busy,
    onTake,
    onDrop,
}: {
    now: Plan
    then: Plan
    zone: string
    busy: boolean
    onTake: () => void
    onDrop: () => void
}) {
    const where = (p: Plan) => Object.fromEntries(p.sessions.flatMap((s, i) => [...s.lessons, ...s.home].map((l) => [l, i + 1])))
    const [old, fresh] = [where(now), where(then)]
    // Sessions that are free in both plans tell nothing.
    const last = Math.max(0, ...Object.values(old), ...Object.values(fresh))
    const moved = now.lessons.filter((l) => old[l.id] !== fresh[l.id]).length
    return (
        <section className={cx('compare')} aria-label={t('plan.twoPlansSideBySide')}>
            <div className={cx('compare-head')}>
                <h2>{t('plan.twoPlansSideBySide')}</h2>
                <p>{moved === 0 ? t('plan.everyLessonStandsInThe') : t('plan.lessonsStandInAnotherSession', { n: moved })}</p>
                <Button variant="default" onClick={onDrop}>
                    {t('common.leaveItAsItIs')}
                </Button>
                <Button disabled={busy} onClick={onTake}>
                    {t('plan.takeTheNewOne')}
                </Button>
            </div>
            <div className={cx('compare-cols')}>
                <One title={t('plan.asItIs')} p={now} zone={zone} elsewhere={fresh} last={last} mark={(n) => t('plan.to', { n })} />
                <One title={t('plan.withTheseWishes')} p={then} zone={zone} elsewhere={old} last={last} mark={(n) => t('plan.from', { n })} />
            </div>
        </section>
    )
}

function One({
    title,
    p,
    zone,
    elsewhere,
    last,
    mark,
}: {
    title: string
    p: Plan
    zone: string
    elsewhere: Record<string, number>
    last: number
    mark: (n: number) => string
}) {
    const name = (id: string) => p.lessons.find((l) => l.id === id)?.title ?? id
    return (
        <div>
            <h3>{title}</h3>
            <p className={cx('quiet')}>
                {t('plan.ofSessionsUsedTheFullest', { used: p.used_sessions, all: p.sessions.length, full: Math.round(p.fullest * 100) })}
                {p.left.length > 0 && <strong className={cx('short')}> {t('plan.lessonsWithoutRoom', { n: p.left.length })}</strong>}
                {p.problems.length > 0 && <strong className={cx('short')}> {t('plan.problems', { n: p.problems.length })}</strong>}
            </p>
            {p.proof !== null && <p className={cx('quiet')}>{p.proof.text}</p>}
            <ol>
                {p.sessions.slice(0, last).map((s, i) => (
                    <li key={s.id}>
                        <span className={cx('compare-day')}>
                            {i + 1}{' '}
                            <small>
                                {day(s.starts_at, zone)}, {t('plan.ofMin', { used: Math.round(s.used), usable: Math.round(s.usable) })}
                            </small>
                        </span>
                        <span>
                            {[...s.lessons.map((l) => ({ l, home: false })), ...s.home.map((l) => ({ l, home: true }))].map(({ l, home }, k) => (
                                <Fragment key={l}>
                                    {k > 0 && ', '}
                                    <span className={cx(elsewhere[l] === i + 1 ? '' : 'moved')}>
                                        {name(l)}
                                        {home && ` (${t('plan.atHome')})`}
                                        {elsewhere[l] !== undefined && elsewhere[l] !== i + 1 && <small> {mark(elsewhere[l])}</small>}
                                    </span>
                                </Fragment>
                            ))}
                            {s.lessons.length + s.home.length === 0 && <span className={cx('quiet')}>{t('common.free')}</span>}
                        </span>
                    </li>
                ))}
            </ol>
        </div>
    )
}
