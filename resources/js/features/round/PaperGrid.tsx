import { Button, TextInput } from '@mantine/core'
import { useMutation } from '@tanstack/react-query'
import { useRef, useState, type KeyboardEvent } from 'react'
import { ulid } from 'ulid'
import { Problem, type View } from '../../api/client'
import { lookAt, queries, readAgain, type Lesson } from '../../api/queries'
import { keepSample, useSpool } from '../../keeping/spool'
import { keeping, type RoundLook } from '../../keeping/store'
import { clock } from '../../text/time'
import { t } from '../../text/words'
import { SamplePanel } from '../sample/SamplePanel'
import { cx } from './dress'
import { columnsOf, faultsOf, isAnswer, sent, wants, type Column } from './paper'
import { WORDS } from './words'

interface Props {
    id: string
    session: string
    lesson: Lesson
    students: View['CaughtUpView'][]
    unit: 'mm' | 'in'
    zone: string
}

/** The faults stand behind the readings, in a column of their own. */
const FAULTS = 'faults'

const without = <T,>(of: Record<string, T>, key: string): Record<string, T> => Object.fromEntries(Object.entries(of).filter(([k]) => k !== key))

/** Students down, readings across. Arrows and Enter go through it, Enter at the end of a row keeps that row. */
export function PaperGrid({ id, session, lesson, students, unit, zone }: Props) {
    const key = `paper:${id}:${session}:${lesson.id}`
    const columns = columnsOf(lesson)
    const width = columns.length + (lesson.faults.length > 0 ? 1 : 0)
    const [looks, setLooks] = useState<Record<string, RoundLook>>(() => keeping.round(key)?.looks ?? {})
    const [said, setSaid] = useState<Record<string, { text: string; wrong: boolean; field: string }>>({})
    const [panel, setPanel] = useState<string | null>(null)
    // One stop for Tab; within the grid the arrows go.
    const [at, setAt] = useState<[number, number]>([0, 0])
    const grid = useRef<HTMLTableElement>(null)
    const waiting = useSpool([id])
    const put = (next: Record<string, RoundLook>) => {
        setLooks(next)
        return keeping.putRound(key, next)
    }
    const lookOf = (student: string): RoundLook => looks[student] ?? { id: ulid().toLowerCase(), readings: {} }
    const type = (student: string, name: string, index: number, size: number, typed: string) => {
        const look = lookOf(student)
        const values = Array.from({ length: size }, (_, k) => (k === index ? typed : (look.readings[name]?.[k] ?? '')))
        void put({ ...looks, [student]: { ...look, readings: { ...look.readings, [name]: values } } })
        setSaid((was) => without(was, student))
    }
    const valueOf = (student: string, name: string, index: number) => looks[student]?.readings[name]?.[index] ?? ''
    const filled = (student: string) => Object.values(looks[student]?.readings ?? {}).some((v) => v.some((x) => x.trim() !== ''))
    const keep = useMutation<unknown, Problem, string>({
        mutationFn: async (student) => {
            const who = students.find((s) => s.student === student)
            const look = looks[student]
            if (who === undefined || look === undefined || !filled(student)) return
            const faults = faultsOf(lesson.faults, look.readings[FAULTS]?.[0] ?? '')
            const say = (text: string, wrong: boolean, field = '') => setSaid((was) => ({ ...was, [student]: { text, wrong, field } }))
            if (faults === null) {
                say(t('catchUp.faultsByNumber', { most: lesson.faults.length }), true, FAULTS)
                return
            }
            const readings = Object.fromEntries(
                lesson.rows
                    .flatMap((r) => r.fields.map((f): [string, string[]] => [f.key, (look.readings[f.key] ?? []).map((v) => sent(f, v))]))
                    .filter(([, v]) => v.some((x) => x !== '')),
            )
            // At their own machine it may be sewn another way; without a line the class's has to do.
            const theirs = await queries.query({ ...lookAt(id, student, { lesson: lesson.id }), retry: false }).catch(() => undefined)
            try {
                const kept = await keepSample({
                    body: {
                        id: look.id,
                        class: id,
                        student,
                        lesson: lesson.id,
                        version: lesson.version,
                        way: theirs?.lesson.way ?? lesson.way,
                        readings,
                        faults,
                        settings: {},
                        drill: null,
                        replaces: null,
                        known: null,
                        session,
                    },
                    name: who.name,
                    title: lesson.title,
                })
                say(t(WORDS[kept === null ? 'waits' : (kept.judged.verdict ?? '')] ?? 'catchUp.kept'), false)
                setLooks((was) => {
                    const rest = without(was, student)
                    void keeping.putRound(key, rest)
                    return rest
                })
                void readAgain('sample')
            } catch (problem) {
                if (!(problem instanceof Problem)) throw problem
                say(problem.message, true, problem.field)
            }
        },
    })
    const keepAll = async () => {
        for (const s of students.filter((one) => filled(one.student))) await keep.mutateAsync(s.student)
    }
    const go = (row: number, column: number) => {
        const to: [number, number] = [Math.min(students.length - 1, Math.max(0, row)), Math.min(width - 1, Math.max(0, column))]
        setAt(to)
        const field = grid.current?.querySelector<HTMLInputElement>(`[data-at="${to[0]}.${to[1]}"]`)
        field?.focus()
        field?.select()
    }
    const onKey = (event: KeyboardEvent<HTMLInputElement>, row: number, column: number, student: string) => {
        const field = event.currentTarget
        const start = field.selectionStart === 0 && (field.selectionEnd === 0 || field.selectionEnd === field.value.length)
        const end = field.selectionEnd === field.value.length
        const move: Record<string, () => void> = {
            ArrowUp: () => go(row - 1, column),
            ArrowDown: () => go(row + 1, column),
            Home: () => go(event.ctrlKey ? 0 : row, 0),
            End: () => go(event.ctrlKey ? students.length - 1 : row, width - 1),
            ...(start ? { ArrowLeft: () => go(row, column - 1) } : {}),
            ...(end ? { ArrowRight: () => go(row, column + 1) } : {}),
            Enter: () => {
                if (event.ctrlKey || event.metaKey) void keepAll()
                else if (column < width - 1) go(row, column + 1)
                else {
                    keep.mutate(student)
                    go(row + 1, 0)
                }
            },
        }
        const to = move[event.key]
        if (to === undefined) return
        event.preventDefault()
        to()
    }
    const cell = (s: View['CaughtUpView'], row: number, column: number, name: string, of: Column | null) => {
        const index = of?.index ?? 0
        const label = of === null ? t('catchUp.seenOnIt') : of.field.size > 1 ? `${of.field.label} ${index + 1}` : of.field.label
        const note = said[s.student]
        return (
            <td key={column}>
                <TextInput
                    data-at={`${row}.${column}`}
                    variant="unstyled"
                    classNames={{ input: cx('paper-cell') }}
                    aria-label={`${s.name}, ${label}`}
                    error={note?.wrong === true && [name, `readings.${name}`, `readings.${name}[${index}]`].includes(note.field)}
                    tabIndex={at[0] === row && at[1] === column ? 0 : -1}
                    inputMode={of === null || of.field.kind === 'yes-no' || (unit === 'in' && of.field.values[index]?.length === true) ? 'text' : 'decimal'}
                    maxLength={of === null ? 40 : 12}
                    autoComplete="off"
                    value={valueOf(s.student, name, index)}
                    onFocus={(e) => {
                        setAt([row, column])
                        e.currentTarget.select()
                    }}
                    onChange={(e) => {
                        const typed = e.currentTarget.value
                        type(s.student, name, index, of?.field.size ?? 1, typed)
                        if (of !== null && isAnswer(of.field, typed)) go(row, column + 1)
                    }}
                    onKeyDown={(e) => onKey(e, row, column, s.student)}
                />
            </td>
        )
    }
    const count = students.filter((s) => filled(s.student)).length
    return (
        <>
            <p className={cx('quiet')}>{t('catchUp.howTo')}</p>
            <div className={cx('paper')} role="region" aria-label={t('catchUp.studentsAndReadings')}>
                <table ref={grid}>
                    <thead>
                        <tr>
                            <th scope="col" rowSpan={2}>
                                {t('today.student')}
                            </th>
                            {lesson.rows
                                .flatMap((r) => r.fields)
                                .map((f) => (
                                    <th key={f.key} scope="colgroup" colSpan={f.size} title={f.hint}>
                                        {f.label}
                                    </th>
                                ))}
                            {lesson.faults.length > 0 && <th scope="col">{t('catchUp.seenOnIt')}</th>}
                        </tr>
                        <tr>
                            {columns.map((c) => (
                                <th key={`${c.field.key}${c.index}`} scope="col">
                                    <small>
                                        {c.field.size > 1 && `${c.index + 1} `}
                                        {c.field.kind === 'stitches' && c.index === 0 ? t('look.stitches') : wants(c, unit)}
                                    </small>
                                </th>
                            ))}
                            {lesson.faults.length > 0 && (
                                <th scope="col">
                                    <small>{t('catchUp.byNumber')}</small>
                                </th>
                            )}
                        </tr>
                    </thead>
                    <tbody>
                        {students.map((s, row) => {
                            const before = s.samples.filter((k) => k.lesson === lesson.id)
                            const waits = waiting.some((w) => w.body.student === s.student && w.body.session === session && w.body.lesson === lesson.id)
                            const note = said[s.student]
                            return (
                                <tr key={s.student}>
                                    <th scope="row">
                                        <span className={cx('seat small')}>{s.seat}</span> {s.name}
                                        {s.state === 'absent' && <small> · {t('common.absent')}</small>}
                                        <span className={cx(note?.wrong === true ? 'paper-said lacking' : 'paper-said')} role="status">
                                            {note?.text ??
                                                (waits
                                                    ? t('common.waitsForTheLine')
                                                    : before.map((k) => (
                                                          <Button key={k.sample} variant="subtle" onClick={() => setPanel(k.sample)}>
                                                              {t(WORDS[k.verdict ?? ''] ?? 'catchUp.kept')} {clock(k.kept_at, zone)}
                                                          </Button>
                                                      )))}
                                        </span>
                                    </th>
                                    {columns.map((c, i) => cell(s, row, i, c.field.key, c))}
                                    {lesson.faults.length > 0 && cell(s, row, columns.length, FAULTS, null)}
                                </tr>
                            )
                        })}
                    </tbody>
                </table>
            </div>
            <div className={cx('acts')}>
                <Button size="lg" disabled={count === 0 || keep.isPending} onClick={() => void keepAll()}>
                    {t('catchUp.keepRows', { n: count })} <kbd>{t('look.ctrlEnter')}</kbd>
                </Button>
                <span className={cx('quiet')}>{t('catchUp.staysHere')}</span>
            </div>
            {lesson.faults.length > 0 && (
                <ol className={cx('paper-faults')}>
                    {lesson.faults.map((f) => (
                        <li key={f.id}>{f.seen}</li>
                    ))}
                </ol>
            )}
            <SamplePanel sample={panel} onClose={() => setPanel(null)} />
        </>
    )
}
