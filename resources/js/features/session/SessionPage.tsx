import { Button, UnstyledButton } from '@mantine/core'
import { useMediaQuery } from '@mantine/hooks'
import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { useMe } from '../../api/queries'
import { clock, clocks, day, zoneNote } from '../../text/time'
import { t } from '../../text/words'
import { Empty } from '../../ui/Empty'
import { Tape } from '../../ui/Tape'
import { Trouble, Waiting } from '../../ui/Trouble'
import { BenchRoom } from './BenchRoom'
import { cx } from './dress'
import { SeatPanel } from './SeatPanel'
import { STATE_WORDS } from './states'
import { useBench } from './useBench'

/** The next session: who sits where with what, rounds on the tape, feet to hand out. */
export default function SessionPage() {
    const id = useParams().classId ?? ''
    const b = useBench(id)
    const zone = useMe().data?.timezone ?? 'UTC'
    const navigate = useNavigate()
    const [picked, setPicked] = useState<string | null>(null)
    const narrow = useMediaQuery('(max-width: 900px)')
    const { bench } = b
    if (bench === undefined)
        return b.shown.error === null ? (
            <Waiting what={t('session.handingOutTheSeats')} />
        ) : (
            <Empty>
                {t('session.thereIsNoSessionTo')} <Link to={`/plan/${id}`}>{t('common.layTheCourseIntoSessions')}</Link>
            </Empty>
        )
    const busy = b.attempt.isPending || b.keep.isPending || b.note.isPending || b.start.isPending
    const seat = bench.students.find((s) => s.student === picked)
    const name = (student: string) => bench.students.find((s) => s.student === student)?.name ?? ''
    const move = (student: string, machine: string) => {
        setPicked(student)
        b.attempt.mutate({
            what: t('session.at', { name: name(student), machine: bench.machines.find((m) => m.id === machine)?.title ?? '' }),
            change: (w) => ({ ...w, held: { ...w.held, [student]: { ...w.held[student], machine } } }),
        })
    }
    const running = bench.state === 'running'
    const seated: (typeof seat)[] = bench.students.filter((s) => s.round > 0)
    const end = new Date(Date.parse(bench.starts_at) + bench.minutes * 60_000).toISOString()
    const panel =
        seat === undefined ? null : (
            <SeatPanel
                seat={seat}
                busy={busy}
                onState={(state) => b.note.mutate({ student: seat.student, state })}
                onLesson={(lesson) =>
                    b.attempt.mutate({
                        what: t('session.sews', { name: seat.name, lesson: seat.choices.find((c) => c.id === lesson)?.title ?? lesson }),
                        change: (w) => ({ ...w, held: { ...w.held, [seat.student]: { ...w.held[seat.student], lesson } } }),
                    })
                }
                onFree={() =>
                    b.attempt.mutate({
                        what: t('session.isFreeAgain', { name: seat.name }),
                        change: (w) => ({ ...w, held: Object.fromEntries(Object.entries(w.held).filter(([s]) => s !== seat.student)) }),
                    })
                }
            />
        )
    return (
        <div className={cx('session-page')}>
            <div className={cx('today-head')}>
                <h1>{t('common.nextSession')}</h1>
                <p>
                    {t('common.session', { n: bench.number })} · {day(bench.starts_at, zone)}, {clocks(bench.starts_at, end, zone)}
                    {zoneNote(end, zone)}
                    {bench.started_at !== null && <strong> · {t('session.begun', { time: clock(bench.started_at, zone) })}</strong>}
                </p>
                <span className={cx('most-lessons')} role="group" aria-label={t('session.differentLessonsAtOnce')}>
                    {t('session.lessonsAtOnce')}
                    <UnstyledButton
                        disabled={busy || bench.most_lessons <= 1}
                        aria-label={t('session.oneFewer')}
                        onClick={() =>
                            b.attempt.mutate({ what: t('session.lessonsAtOnce2', { n: bench.most_lessons - 1 }), change: (w) => ({ ...w, most: w.most - 1 }) })
                        }>
                        −
                    </UnstyledButton>
                    <b>{bench.most_lessons}</b>
                    <UnstyledButton
                        disabled={busy || bench.most_lessons >= 20}
                        aria-label={t('session.oneMore')}
                        onClick={() =>
                            b.attempt.mutate({ what: t('session.lessonsAtOnce2', { n: bench.most_lessons + 1 }), change: (w) => ({ ...w, most: w.most + 1 }) })
                        }>
                        +
                    </UnstyledButton>
                </span>
                <Button component="a" variant="default" href={`/api/classes/${id}/print?what=bench`} target="_blank" rel="noreferrer">
                    {t('session.printSeatCards')}
                </Button>
                <Button
                    disabled={busy || b.tried !== null || seated.length === 0}
                    onClick={() => b.start.mutate(undefined, { onSuccess: () => void navigate(`/today/${id}`) })}>
                    {bench.started_at !== null ? t('session.goOnLikeThis') : t('common.startTheSession')}
                </Button>
            </div>
            {b.error !== null && (
                <div>
                    <Trouble error={b.error} />
                    {b.error.status === 409 && (
                        <Button variant="default" onClick={b.again}>
                            {t('session.lookAtTheNewOne')}
                        </Button>
                    )}
                </div>
            )}
            {b.tried !== null && (
                <div className={cx('tried')} role="status">
                    <span>
                        <strong>{b.tried.what}:</strong> {bench.cost > 0 ? t('session.allTogetherLoseOfA', { n: bench.cost }) : t('session.itCostsNothing')}
                    </span>
                    <Button disabled={busy} onClick={() => b.tried !== null && b.keep.mutate(b.tried.wish)}>
                        {t('common.keepIt')}
                    </Button>
                    <Button variant="default" disabled={busy} onClick={b.putBack}>
                        {t('session.putItBack')}
                    </Button>
                </div>
            )}
            {bench.students.length === 0 ? (
                <Empty>
                    {t('common.nobodyIsInThisClass')} <Link to={`/class/${id}`}>{t('common.addStudents')}</Link>
                </Empty>
            ) : (
                <>
                    <Tape
                        session={{
                            id: bench.session,
                            number: bench.number,
                            of: bench.number,
                            starts_at: bench.starts_at,
                            ends_at: end,
                            minutes: bench.minutes,
                            state: bench.state,
                            tape: bench.tape,
                            begun: bench.started_at !== null,
                            bench_version: bench.version,
                            beginning: null,
                            begun_at: bench.started_at,
                            ended: false,
                        }}
                        now={running ? new Date().toISOString() : ''}
                        zone={zone}
                    />
                    <div className={cx('bench-grid')}>
                        <BenchRoom bench={bench} picked={picked} panel={narrow ? panel : null} onPick={setPicked} onMove={move} />
                        <aside>
                            {(!narrow || !seated.includes(seat)) && panel}
                            {seat === undefined && <p className={cx('quiet')}>{t('session.touchAStudentToSee')}</p>}
                            <Aside bench={bench} onPick={setPicked} />
                        </aside>
                    </div>
                </>
            )}
        </div>
    )
}

/** Who has no place, who is away, what to hand out. */
function Aside({ bench, onPick }: { bench: NonNullable<ReturnType<typeof useBench>['bench']>; onPick: (student: string) => void }) {
    const list = (title: string, of: typeof bench.students) =>
        of.length > 0 && (
            <>
                <h3>{title}</h3>
                <ul className={cx('plain')}>
                    {of.map((s) => (
                        <li key={s.student}>
                            <Button variant="subtle" onClick={() => onPick(s.student)}>
                                {s.name}
                            </Button>
                            {s.state !== 'here' ? ` · ${t(STATE_WORDS[s.state])}` : s.why !== null ? `: ${s.why}` : ''}
                        </li>
                    ))}
                </ul>
            </>
        )
    const other = bench.students.filter((s) => s.wanted !== null)
    return (
        <>
            {list(
                t('session.noPlaceNow'),
                bench.students.filter((s) => s.round === 0 && s.state === 'here'),
            )}
            {list(
                t('session.away'),
                bench.students.filter((s) => s.state !== 'here'),
            )}
            {other.length > 0 && (
                <>
                    <h3>{t('session.notTheirFirstChoice')}</h3>
                    <ul className={cx('plain')}>
                        {other.map((s) => (
                            <li key={s.student}>
                                <Button variant="subtle" onClick={() => onPick(s.student)}>
                                    {s.name}
                                </Button>
                                : {s.why ?? t('session.asYouHoldThem')}
                            </li>
                        ))}
                    </ul>
                </>
            )}
            {bench.feet.length > 0 && (
                <>
                    <h3>{t('session.feetToHandOut')}</h3>
                    <ul className={cx('plain')}>
                        {bench.feet.map((f) => (
                            <li key={f.title}>
                                {f.wanted} × {f.title} <small>{t('session.of', { n: f.have })}</small>
                            </li>
                        ))}
                    </ul>
                </>
            )}
            <p className={cx('quiet')}>{bench.proven ? t('session.noOtherSeatingIsWorth') : t('session.theBestSeatingFoundA')}</p>
        </>
    )
}
