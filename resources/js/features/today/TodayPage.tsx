import { Button, NativeSelect } from '@mantine/core'
import { useDebouncedCallback, useHotkeys } from '@mantine/hooks'
import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { api, ask, type View } from '../../api/client'
import { useChange, useLessons, useMe, usePulse, useToday } from '../../api/queries'
import { MiniDrawing } from '../../drawing/MiniDrawing'
import { keepAct, useSpool, useWaitingActs } from '../../keeping/spool'
import type { Waiting as Kept, WaitingAct } from '../../keeping/store'
import { clock, clocks, day, minutesBetween, zoneNote } from '../../text/time'
import { t } from '../../text/words'
import { Empty } from '../../ui/Empty'
import { Tape } from '../../ui/Tape'
import { ThreadLine } from '../../ui/ThreadLine'
import { Trouble, Waiting } from '../../ui/Trouble'
import { ChooseLesson } from '../look/ChooseLesson'
import { SamplePanel } from '../sample/SamplePanel'
import { STATES, STATE_WORDS } from '../session/states'
import { cx } from './dress'
import { Holding } from './Holding'

/** The session in hand: its tape, and a row for each student with the one thing to do. */
export default function TodayPage() {
    const id = useParams().classId ?? ''
    const today = useToday(id)
    usePulse(id)
    const [waiting, acts] = [useSpool([id]), useWaitingActs([id])]
    const me = useMe()
    const zone = me.data?.timezone ?? 'UTC'
    const teaches = me.data?.role !== 'helper'
    // What waits on this device is kept as well as what the server has.
    const students = today.data?.students.map((s) => ({ ...s, ...saidHere(s, waiting, acts) })) ?? []
    const first = today.data?.session?.state === 'running' ? students.find((s) => !s.looked && s.state === 'here')?.student : undefined
    const navigate = useNavigate()
    // Where nothing has the focus, Enter is the work.
    useHotkeys([
        ['Enter', () => first !== undefined && ['BODY', 'MAIN'].includes(document.activeElement?.tagName ?? 'BODY') && void navigate(`/look/${id}/${first}`)],
    ])
    if (today.data === undefined) return today.error === null ? <Waiting what={t('today.layingOutTheEvening')} /> : <Trouble error={today.error} />
    const { session, now } = today.data
    return (
        <div className={cx('today')}>
            <div className={cx('today-head')}>
                <h1>{today.data.class.title}</h1>
                {teaches && students.length > 0 && session !== null && (
                    <Button component={Link} variant="default" to={`/session/${id}`}>
                        {session.state === 'running' ? t('today.whoSitsWhere') : t('common.nextSession')}
                    </Button>
                )}
                {students.length > 0 && (
                    <Button component={Link} variant="default" to={`/round/${id}`}>
                        {t('today.walkARound')}
                    </Button>
                )}
                {session !== null && (
                    <Button component={Link} variant="default" to={`/front/${id}`}>
                        {t('front.atTheFront')}
                    </Button>
                )}
                {session !== null && (
                    <p>
                        {t('today.sessionOf', { n: session.number, of: session.of })} · {day(session.starts_at, zone)},{' '}
                        {clocks(session.starts_at, session.ends_at, zone)}
                        {zoneNote(session.ends_at, zone)}
                        {session.state !== 'running' && <strong> · {session.state === 'before' ? t('today.notBegunYet') : t('today.over')}</strong>}
                    </p>
                )}
                {teaches && session !== null && session.state === 'running' && session.begun && (
                    <RePlan id={id} version={session.bench_version} away={students.filter((s) => s.state !== 'here').length} />
                )}
                {teaches && session !== null && students.length > 0 && <Holding id={id} session={session} students={students} zone={zone} />}
            </div>
            {session === null ? (
                <Empty>
                    {t('today.noSessionsYet')} <Link to={`/plan/${id}`}>{t('common.layTheCourseIntoSessions')}</Link>
                </Empty>
            ) : (
                <Tape session={session} now={now} zone={zone} />
            )}
            {students.length === 0 && (
                <Empty>
                    {t('common.nobodyIsInThisClass')} <Link to={`/class/${id}`}>{t('common.addStudents')}</Link>
                </Empty>
            )}
            {students.length > 0 && (
                <table className={cx('rows')}>
                    <thead>
                        <tr>
                            <th>{t('today.seat')}</th>
                            <th>{t('today.student')}</th>
                            <th>{t('today.sewingNow')}</th>
                            <th>{t('today.lastSample')}</th>
                            <th>{t('today.nextAndWhy')}</th>
                            <th>
                                <span className={cx('hidden')}>{t('today.action')}</span>
                            </th>
                        </tr>
                    </thead>
                    <tbody>
                        {students.map((s) => (
                            <StudentRow
                                key={s.student}
                                id={id}
                                s={s}
                                now={now}
                                zone={zone}
                                next={s.student === first}
                                noted={teaches && session !== null}
                                teaches={teaches}
                            />
                        ))}
                    </tbody>
                </table>
            )}
        </div>
    )
}

/** How a row stands with what waits on this device: a sample that is kept here, somebody who is said to be away. */
function saidHere(
    s: View['TodayRowView'],
    samples: readonly Kept[],
    acts: readonly WaitingAct[],
): { looked: boolean; state: View['TodayRowView']['state']; here: Kept | undefined } {
    const here = samples.filter((w) => w.body.student === s.student).at(-1)
    const said = acts.filter((w) => w.act.kind === 'state' && w.act.student === s.student).at(-1)?.act
    return { here, looked: s.looked || here !== undefined, state: said?.kind === 'state' ? said.state : s.state }
}

/** Seats, machines and lessons for the rest of the evening as things stand now, in one touch. */
function RePlan({ id, version, away }: { id: string; version: number; away: number }) {
    const start = useChange('bench', () => ask(api.POST('/api/classes/{class}/bench/start', { params: { path: { class: id } }, body: { version } })))
    return (
        <p className={cx('re-plan')}>
            <Button variant="default" disabled={start.isPending} onClick={() => start.mutate(undefined)}>
                {start.isPending ? t('today.seatingAnew') : t('today.planTheRestOfThe')}
            </Button>
            <span role="status">{start.isSuccess ? t('today.doneSeatsAndLessonsAre') : away > 0 ? t('today.away', { n: away }) : ''}</span>
            <Trouble error={start.error} />
        </p>
    )
}

/** Late, absent, left early: noted where the name stands. */
function StateChoice({ id, s }: { id: string; s: View['TodayRowView'] }) {
    const note = useChange('bench', (state: View['StateBody']['state']) =>
        keepAct({ kind: 'state', class: id, student: s.student, state }, s.name, t(STATE_WORDS[state])),
    )
    const [chosen, setChosen] = useState<View['StateBody']['state'] | null>(null)
    // Letters typed to find a state pass over others on the way: only where they come to rest is noted.
    const settle = useDebouncedCallback((state: View['StateBody']['state']) => note.mutate(state, { onSettled: () => setChosen(null) }), 350)
    return (
        <NativeSelect
            variant="unstyled"
            className={cx('state-choice')}
            aria-label={t('common.isThere', { name: s.name })}
            value={chosen ?? s.state}
            onChange={(e) => {
                const state = e.currentTarget.value as View['StateBody']['state']
                setChosen(state)
                settle(state)
            }}>
            {STATES.map((state) => (
                <option key={state} value={state}>
                    {t(STATE_WORDS[state])}
                </option>
            ))}
        </NativeSelect>
    )
}

/** What a student asks from their own page. Whoever looks at a sample has answered it. */
function Asks({ id, student, name, asked }: { id: string; student: string; name: string; asked: View['AskedView'] }) {
    const seen = useChange('others', () => ask(api.DELETE('/api/classes/{class}/students/{student}/ask', { params: { path: { class: id, student } } })))
    return (
        <span className={cx('asks')}>
            {asked.text === '' ? t('today.pleaseLook') : `“${asked.text}”`}{' '}
            <Button variant="subtle" disabled={seen.isPending} aria-label={t('today.seenOf', { name })} onClick={() => seen.mutate(undefined)}>
                {t('today.seen')}
            </Button>
        </span>
    )
}

function StudentRow({
    id,
    s,
    now,
    zone,
    next,
    noted,
    teaches,
}: {
    id: string
    s: View['TodayRowView'] & { here: Kept | undefined }
    now: string
    zone: string
    next: boolean
    noted: boolean
    teaches: boolean
}) {
    const lessons = useLessons(id)
    const [choosing, setChoosing] = useState(false)
    // The one that was opened: a newer sample does not take its place under the hand.
    const [panel, setPanel] = useState<string | null>(null)
    const lesson = lessons.data?.find((l) => l.id === s.in_hand.lesson)
    return (
        <tr className={cx(s.state !== 'here' ? 'away' : next ? 'next' : '')}>
            <td>
                <span className={cx('seat')} title={s.machine ?? ''}>
                    {s.seat}
                </span>
            </td>
            <td className={cx('who-sews')}>
                <span className={cx('who-name')}>
                    {teaches ? <Link to={`/class/${id}/student/${s.student}`}>{s.name}</Link> : s.name}
                    {noted && <StateChoice id={id} s={s} />}
                </span>
                <ThreadLine level={s.level} />
                {s.asked !== null && <Asks id={id} student={s.student} name={s.name} asked={s.asked} />}
                <small>
                    {s.here !== undefined
                        ? t('today.kept', { time: clock(s.here.at, zone) })
                        : s.looked && s.last !== null
                          ? t('today.kept', { time: clock(s.last.kept_at, zone) })
                          : s.sewing_since !== null
                            ? t('today.sewingMin', { n: minutesBetween(s.sewing_since, now) })
                            : ''}
                    {s.round > 1 && ` · ${t('common.round', { n: s.round })}`}
                </small>
            </td>
            <td>
                <div className={cx('in-hand')}>
                    <MiniDrawing lesson={lesson} />
                    <div>
                        <strong className={cx('one')} title={s.in_hand.title}>
                            {s.in_hand.title === '' ? t('common.theCourseIsDone') : s.in_hand.title}
                        </strong>
                        <small>{s.in_hand.kind === 'repeat' ? t('today.again', { what: s.in_hand.change }) : s.in_hand.change}</small>
                    </div>
                </div>
            </td>
            <td>
                {s.here !== undefined ? (
                    <>
                        <span className={cx('one')}>{s.here.title}</span>
                        <small>{t('kept.waitsHere')}</small>
                    </>
                ) : s.last === null ? (
                    <span className={cx('quiet')}>{t('today.noneYet')}</span>
                ) : (
                    <>
                        <Button
                            variant="subtle"
                            className={cx('kept-sample one')}
                            aria-label={t('today.theLastSampleOf', { name: s.name, lesson: s.last.title })}
                            onClick={() => setPanel(s.last?.id ?? null)}>
                            {s.last.title.replace(/:.*/, '')}
                        </Button>
                        <small>{s.last.text}</small>
                    </>
                )}
            </td>
            <td>
                <span className={cx('with-link')}>
                    <span className={cx('one')}>
                        {s.next_title === '' ? t('today.thenAllIsDone') : t('today.then', { lesson: s.next_title.replace(/:.*/, '') })}
                    </span>
                    {teaches && (
                        <Button variant="subtle" onClick={() => setChoosing(true)} aria-label={t('today.changeChooseAnotherLessonFor', { name: s.name })}>
                            {t('today.change')}
                        </Button>
                    )}
                </span>
                <small>{s.in_hand.overruled ? t('common.yourChoice') : (s.why[0] ?? '')}</small>
            </td>
            <td className={cx('act-cell')}>
                <Button
                    component={Link}
                    variant={next ? 'filled' : 'default'}
                    to={`/look/${id}/${s.student}`}
                    aria-label={t('today.lookAtTheSampleOf', { name: s.name })}>
                    {t('common.lookAtTheSample')} {next && <kbd aria-hidden="true">↵</kbd>}
                </Button>
                <SamplePanel sample={panel} onClose={() => setPanel(null)} />
                {choosing && <ChooseLesson id={id} student={s.student} name={s.name} onClose={() => setChoosing(false)} />}
            </td>
        </tr>
    )
}
