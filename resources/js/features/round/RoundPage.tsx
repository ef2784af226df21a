import { Button, SegmentedControl, UnstyledButton } from '@mantine/core'
import { useMutation, useQuery } from '@tanstack/react-query'
import { useEffect, useRef, useState, type KeyboardEvent } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import { ulid } from 'ulid'
import type { Problem, View } from '../../api/client'
import { lookAt, readAgain, type Lesson, useLessons, useMe, usePulse, useToday } from '../../api/queries'
import { SamplerDrawing } from '../../drawing/SamplerDrawing'
import { keepSample, useSpool } from '../../keeping/spool'
import { keeping, type RoundLook } from '../../keeping/store'
import { clock, isoDay } from '../../text/time'
import { t } from '../../text/words'
import { ByEye } from '../../ui/ByEye'
import { Choice } from '../../ui/Choice'
import { ReadingField } from '../../ui/ReadingField'
import { Trouble, Waiting } from '../../ui/Trouble'
import { useGoingOn } from '../../ui/useGoingOn'
import { Word } from '../../ui/Word'
import { SamplePanel } from '../sample/SamplePanel'
import { cx } from './dress'
import { PictureRound } from './PictureRound'
import { WORDS } from './words'

/** Walk the tables: one row of one lesson, student by student, with big keys; each look is a sample of its own. */
export default function RoundPage() {
    const id = useParams().classId ?? ''
    const [search, setSearch] = useSearchParams()
    const today = useToday(id)
    usePulse(id)
    const lessons = useLessons(id)
    const me = useMe()
    if (today.data === undefined || lessons.data === undefined || me.data === undefined)
        return today.error === null ? <Waiting what={t('round.layingOutTheRound')} /> : <Trouble error={today.error} />
    const planned = today.data.session?.tape.map((p) => p.lesson) ?? []
    const lesson = lessons.data.find((l) => l.id === search.get('lesson')) ?? lessons.data.find((l) => planned.includes(l.id)) ?? lessons.data[0]
    if (lesson === undefined) return null
    const row = lesson.rows.find((r) => r.id === search.get('row')) ?? lesson.rows[0]
    if (row === undefined) return null
    const byPictures = search.get('by') === 'pictures' && lesson.pictured.length > 0
    const here = today.data.students.filter((s) => s.state === 'here')
    return (
        <div className={cx('round')}>
            <div className={cx('round-head')}>
                <h1>
                    {t('round.aRound')} <Word of="roundWalk" /> <small>{today.data.class.title}</small>
                </h1>
                <Choice
                    label={t('common.lesson')}
                    value={lesson.id}
                    options={lessons.data.map((l) => ({ id: l.id, title: l.title }))}
                    onChange={(l) => setSearch({ lesson: l, ...(byPictures ? { by: 'pictures' } : {}) })}
                />
                {lesson.pictured.length > 0 && (
                    <SegmentedControl
                        aria-label={t('round.readBy')}
                        value={byPictures ? 'pictures' : 'ruler'}
                        onChange={(by) => setSearch({ lesson: lesson.id, ...(by === 'pictures' ? { by } : { row: row.id }) })}
                        data={[
                            { value: 'ruler', label: t('round.byRuler') },
                            { value: 'pictures', label: t('round.byPictures') },
                        ]}
                    />
                )}
                {lesson.rows.length > 1 && !byPictures && (
                    <Choice
                        label={t('common.row')}
                        value={row.id}
                        options={lesson.rows.map((r) => ({ id: r.id, title: r.title }))}
                        onChange={(r) => setSearch({ lesson: lesson.id, row: r })}
                    />
                )}
                <Button component={Link} variant="default" to={`/today/${id}`}>
                    {t('round.backToToday')}
                </Button>
            </div>
            {byPictures ? (
                <PictureRound key={lesson.id} id={id} lesson={lesson} unit={me.data.unit} students={here} />
            ) : (
                <Walk
                    key={`${lesson.id}.${row.id}`}
                    id={id}
                    lesson={lesson}
                    row={row}
                    unit={me.data.unit}
                    zone={me.data.timezone}
                    students={here}
                    away={today.data.students.filter((s) => s.state !== 'here').map((s) => s.name)}
                    session={today.data.session?.id ?? isoDay(today.data.now, me.data.timezone)}
                />
            )}
        </div>
    )
}

interface WalkProps {
    id: string
    lesson: Lesson
    row: Lesson['rows'][number]
    students: View['TodayRowView'][]
    /** Who is not there. */
    away: string[]
    /** What is typed belongs to this session. */
    session: string
    unit: 'mm' | 'in'
    zone: string
}

/** What was kept of this row in this session: here, on another device, or waiting on this one. */
interface Done {
    sample: string
    verdict: string
    at: string
    /** Nothing else was read of it: looked at again, the second look takes its place. */
    alone: boolean
}

function useDone({ id, lesson, row, students }: WalkProps): Map<string, Done> {
    const waiting = useSpool([id])
    const done = new Map<string, Done>()
    for (const s of students) {
        for (const k of s.kept)
            if (k.lesson === lesson.id && k.rows.includes(row.id))
                done.set(s.student, { sample: k.sample, verdict: k.verdict ?? '', at: k.kept_at, alone: k.rows.length === 1 })
        for (const w of waiting) {
            const rows = Object.keys(w.body.readings).map((key) => key.split('.')[0])
            if (w.body.student === s.student && w.body.lesson === lesson.id && rows.includes(row.id))
                done.set(s.student, { sample: w.body.id, verdict: 'waits', at: w.at, alone: rows.every((r) => r === row.id) })
        }
    }
    return done
}

function Walk(props: WalkProps) {
    const { id, lesson, row, students, away, session, unit, zone } = props
    const key = `${id}:${session}:${lesson.id}:${row.id}`
    const done = useDone(props)
    const [looks, setLooks] = useState<Record<string, RoundLook>>(() => keeping.round(key)?.looks ?? {})
    const [said, setSaid] = useState<Record<string, string>>({})
    const [chosen, setChosen] = useState<string | null>(() => students.find((s) => !done.has(s.student))?.student ?? null)
    const [panel, setPanel] = useState<string | null>(null)
    // Where the ruler is laid.
    const [eye, setEye] = useState<{ key: string; index: number } | null>(null)
    const form = useRef<HTMLFormElement>(null)
    const going = useGoingOn(form)
    // Kept a moment ago: known here before the list has been read again.
    const finished = useRef(new Set<string>())
    const at = students.findIndex((s) => s.student === chosen)
    const who = students[at]
    useEffect(() => {
        form.current?.querySelector<HTMLElement>('[data-reading]')?.focus()
    }, [chosen])
    const put = (next: Record<string, RoundLook>) => {
        setLooks(next)
        return keeping.putRound(key, next)
    }
    const kept = who === undefined ? undefined : done.get(who.student)
    // At this student's machine it may be sewn another way; without a line the class's own has to do.
    const theirs = useQuery({ ...lookAt(id, chosen ?? '', { lesson: lesson.id }), enabled: chosen !== null }).data
    const sheet = theirs?.lesson ?? lesson
    const before = theirs?.earlier[0]?.text
    const here = sheet.rows.find((r) => r.id === row.id)
    // What was typed went through before the page was loaded anew: it is not typed any more.
    const look = who === undefined || looks[who.student]?.id === kept?.sample ? undefined : looks[who.student]
    const read = look?.readings ?? {}
    const touched = Object.values(read).some((v) => v.some((x) => x !== ''))
    const typeAll = (key: string, values: string[]) => {
        if (who === undefined) return
        void put({ ...looks, [who.student]: { id: look?.id ?? ulid().toLowerCase(), readings: { ...read, [key]: values } } })
    }
    const type = (field: View['FieldView'], i: number, v: string) =>
        typeAll(
            field.key,
            Array.from({ length: field.size }, (_, k) => (k === i ? v : (read[field.key]?.[k] ?? ''))),
        )
    const onward = (from: string) => {
        const i = students.findIndex((s) => s.student === from)
        finished.current.add(from)
        const next = [...students.slice(i + 1), ...students.slice(0, i)].find((s) => !done.has(s.student) && !finished.current.has(s.student))
        setChosen(next?.student ?? null)
    }
    // The next student does not wait until everything has been read again.
    const keep = useMutation<unknown, Problem>({
        mutationFn: async () => {
            if (who === undefined || look === undefined) return
            const answer = await keepSample({
                body: {
                    id: look.id,
                    class: id,
                    student: who.student,
                    lesson: lesson.id,
                    version: lesson.version,
                    way: sheet.way,
                    readings: look.readings,
                    faults: [],
                    settings: {},
                    drill: null,
                    replaces: kept?.alone === true ? kept.sample : null,
                    known: null,
                },
                name: who.name,
                title: `${lesson.title}: ${row.title}`,
            })
            setSaid((was) => ({ ...was, [who.student]: answer === null ? 'waits' : (answer.judged.verdict ?? '') }))
            await put(Object.fromEntries(Object.entries(looks).filter(([s]) => s !== who.student)))
            onward(who.student)
            void readAgain('sample')
        },
    })
    const onKey = (event: KeyboardEvent<HTMLFormElement>) => {
        const target = event.target as HTMLElement
        going.onKey(event.key)
        if (event.key !== 'Enter' || !target.hasAttribute('data-reading')) return
        event.preventDefault()
        if (going.belongsToAnswer()) return
        // After the last one Enter keeps.
        if (!going.goOn(target) && touched && !keep.isPending) keep.mutate()
    }
    const word = (student: string) => {
        const key = WORDS[done.get(student)?.verdict ?? said[student] ?? '']
        return key === undefined ? '' : t(key)
    }
    return (
        <div className={cx('round-cols')}>
            <div>
                <ol className={cx('round-list')}>
                    {students.map((s) => (
                        <li key={s.student} aria-current={s.student === chosen ? 'step' : undefined}>
                            <UnstyledButton onClick={() => setChosen(s.student)}>
                                <span className={cx('seat small')}>{s.seat}</span> {s.name}
                                <small>{word(s.student)}</small>
                            </UnstyledButton>
                        </li>
                    ))}
                </ol>
                {away.length > 0 && <p className={cx('quiet')}>{t('round.notHere', { names: away.join(', ') })}</p>}
            </div>
            {who === undefined ? (
                <section className="round-end" role="status">
                    <h2>{t('round.roundDoneOfLookedAt', { n: students.filter((s) => word(s.student) !== '').length, all: students.length })}</h2>
                    <p>{t('round.eachLookIsKeptAs')}</p>
                    <Button component={Link} size="lg" to={`/today/${id}`}>
                        {t('round.backToToday')}
                    </Button>
                </section>
            ) : (
                <form className={cx('round-form')} ref={form} onKeyDown={onKey} onSubmit={(e) => e.preventDefault()}>
                    <h2>
                        <span className={cx('seat')}>{who.seat}</span> {who.name}
                    </h2>
                    <p className={cx('quiet')}>
                        {lesson.title}: {row.title}
                        {before !== undefined && ` · ${t('look.before', { text: before })}`}
                    </p>
                    {kept !== undefined && (
                        <p className="round-done" role="status">
                            {t('round.lookedAt', { time: clock(kept.at, zone), verdict: word(who.student) })}{' '}
                            {kept.alone ? t('round.aSecondLookTakesIts') : t('round.theWholeSamplerWasKept')}{' '}
                            {kept.verdict !== 'waits' && (
                                <Button variant="subtle" onClick={() => setPanel(kept.sample)}>
                                    {t('round.openIt')}
                                </Button>
                            )}
                        </p>
                    )}
                    {here === undefined && (
                        <p className={cx('refused mild')}>
                            {t('round.atThisMachineTheLesson')}{' '}
                            <Link to={`/look/${id}/${who.student}?lesson=${lesson.id}`}>{t('round.lookAtTheWholeSample')}</Link>
                        </p>
                    )}
                    {here?.fields.map((field) => (
                        <ReadingField
                            key={`${who.student}.${field.key}`}
                            field={field}
                            unit={unit}
                            values={read[field.key] ?? []}
                            problem={keep.error?.field.startsWith(`readings.${field.key}`) === true ? keep.error.message : null}
                            problemAt={null}
                            onChange={(i, v) => type(field, i, v)}
                            onEye={(i) => setEye({ key: field.key, index: i })}
                            onAnswered={going.onAnswered}
                        />
                    ))}
                    {here !== undefined && <ByEye lesson={lesson.id} classId={id} row={here} onTake={typeAll} />}
                    <Trouble error={keep.error} />
                    <div className={cx('acts')}>
                        <Button size="lg" disabled={!touched || keep.isPending} onClick={() => keep.mutate()}>
                            {t('round.keepAndOn')} <kbd>↵</kbd>
                        </Button>
                        <Button variant="default" size="lg" onClick={() => setChosen(students[at + 1]?.student ?? null)}>
                            {t('round.skip')}
                        </Button>
                        {at > 0 && (
                            <Button variant="default" size="lg" onClick={() => setChosen(students[at - 1]?.student ?? null)}>
                                {t('common.back')}
                            </Button>
                        )}
                    </div>
                </form>
            )}
            {who !== undefined && sheet.drawing !== null && (
                <aside className={cx('round-drawing')}>
                    <SamplerDrawing drawing={sheet.drawing} measured={[]} active={eye} title={t('common.drawnToScale', { lesson: lesson.title })} />
                </aside>
            )}
            <SamplePanel sample={panel} onClose={() => setPanel(null)} />
        </div>
    )
}
