import { Button } from '@mantine/core'
import { useRef, type DragEvent } from 'react'
import { Link } from 'react-router'
import { usePlanNeeds } from '../../api/queries'
import { clock, clocksChanged, day, zoneNote } from '../../text/time'
import { t } from '../../text/words'
import { cx } from './dress'
import { LessonTape } from './LessonTape'
import { PlanThreads } from './PlanThreads'
import type { Plan } from './usePlanning'

interface Props {
    p: Plan
    zone: string
    touched: string | null
    onTouch: (id: string | null) => void
    onMove: (lesson: string, to: number, before: string | null) => void
    onHome: (lesson: string, after: number) => void
    onPin: (lesson: string, session: number | null) => void
}

/** The sessions one under the other: what is laid in each, what goes home, what must stand ready. */
export function Sessions({ p, zone, touched, onTouch, onMove, onHome, onPin }: Props) {
    const list = useRef<HTMLOListElement | null>(null)
    const needs = p.lessons.find((l) => l.id === touched)?.needs ?? []
    // A thread for what it stands on itself; what that stands on in turn is marked without one.
    const direct = needs.filter((n) => !needs.some((m) => p.lessons.find((l) => l.id === m)?.needs.includes(n) === true))
    const pins = Object.fromEntries(p.pins.map((x) => [x.lesson, x.session]))
    const longest = Math.max(...p.sessions.map((s) => Math.max(s.usable, s.used)), 1)
    const title = (id: string) => p.lessons.find((l) => l.id === id)?.title ?? id
    return (
        <ol className={cx('sessions')} ref={list}>
            {p.sessions.map((s, i) => (
                <li
                    key={s.id}
                    className={cx(`session ${s.used > s.usable && !s.begun ? 'over' : ''} ${s.begun ? 'begun' : ''}`)}
                    onDragOver={(e: DragEvent) => e.preventDefault()}
                    onDrop={(e: DragEvent) => {
                        e.preventDefault()
                        onMove(e.dataTransfer.getData('text/plain'), i, null)
                    }}>
                    <div className={cx('session-day')}>
                        <strong>{i + 1}</strong>
                        <span>
                            {day(s.starts_at, zone)}
                            <small>
                                {clock(s.starts_at, zone)}
                                {zoneNote(s.starts_at, zone)}
                            </small>
                            <small>{t('common.min', { n: s.minutes })}</small>
                            {i > 0 && clocksChanged(p.sessions[i - 1]?.starts_at ?? s.starts_at, s.starts_at, zone) && <small>{t('plan.clocksChange')}</small>}
                        </span>
                    </div>
                    <div>
                        <div className={cx('session-tape')}>
                            <div className={cx('session-usable')} style={{ width: `${(100 * s.usable) / longest}%` }} />
                            {s.lessons.map((l) => (
                                <LessonTape
                                    key={l}
                                    p={p}
                                    id={l}
                                    share={(100 * (p.lessons.find((x) => x.id === l)?.minutes ?? 0)) / longest}
                                    problem={p.problems.some((x) => x.lesson === l)}
                                    state={touched === l ? 'touched' : needs.includes(l) ? 'needed' : ''}
                                    onTouch={onTouch}
                                    at={i}
                                    onMove={(to, before) => onMove(l, to, before)}
                                    onDropBefore={(dragged) => onMove(dragged, i, l)}
                                    pinned={pins[l] !== undefined}
                                    onPin={() => onPin(l, pins[l] === undefined ? i + 1 : null)}
                                    onHome={() => onHome(l, i)}
                                />
                            ))}
                        </div>
                        {s.home.map((l) => (
                            <p key={l} className={cx(`at-home ${needs.includes(l) ? 'needed' : ''}`)} data-lesson={l}>
                                <span>
                                    {t('plan.sewnAtHomeAfterIt')} <strong>{title(l)}</strong>
                                </span>
                                <Button variant="subtle" onClick={() => onMove(l, i, null)}>
                                    {t('plan.sewItInClass')}
                                </Button>
                            </p>
                        ))}
                        <Ready id={p.class.id} session={i + 1} />
                    </div>
                    <div className={cx('session-sum')}>
                        {t('plan.ofMin', { used: Math.round(s.used), usable: Math.round(s.usable) })}
                        {s.review > 0 && <span>{t('plan.minToLookBack', { n: Math.round(s.review) })}</span>}
                        {s.used > s.usable && !s.begun && <strong>{t('plan.over', { n: Math.round(s.used - s.usable) })}</strong>}
                        {s.lessons.length > 0 && (
                            <Link className={cx('bring')} to={`/materials/${p.class.id}?session=${i + 1}`}>
                                {t('plan.whatToBring')}
                            </Link>
                        )}
                    </div>
                </li>
            ))}
            <PlanThreads over={list} touched={touched} needs={direct} change={p} />
        </ol>
    )
}

/** Machines, feet and cloth for one day; what is short stands out. */
function Ready({ id, session }: { id: string; session: number }) {
    const needs = usePlanNeeds(id)
    const day = needs.data?.find((d) => d.session === session)
    // Its place is kept while it is worked out, so that no lesson moves from under the hand.
    if (needs.isPending)
        return (
            <p className={cx('ready')}>
                <span>{t('plan.countingWhatItNeeds')}</span>
            </p>
        )
    if (day === undefined || (day.machines === 0 && day.cloth.length === 0)) return null
    return (
        <p className={cx('ready')}>
            {day.machines > 0 && <span>{t('plan.machines', { n: day.machines })}</span>}
            {day.feet.map((f) =>
                f.have < f.wanted ? (
                    <strong key={f.title}>
                        {f.have === 0 ? t('plan.noFoot', { foot: f.title }) : t('plan.footForInRounds', { foot: f.title, have: f.have, wanted: f.wanted })}
                    </strong>
                ) : (
                    <span key={f.title}>{t('plan.foot', { n: f.wanted, foot: f.title })}</span>
                ),
            )}
            {day.cloth.map((c) => (
                <span key={c}>{c}</span>
            ))}
        </p>
    )
}
