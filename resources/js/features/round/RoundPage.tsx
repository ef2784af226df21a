import { useMutation } from '@tanstack/react-query'
import { useEffect, useRef, useState, type KeyboardEvent } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import { ulid } from 'ulid'
import type { Problem } from '../../api/client'
import { queries, useLessons, useMe, useToday, type Lesson } from '../../api/queries'
import { t } from '../../app/text'
import { keepSample } from '../../keeping/spool'
import { Trouble, Waiting } from '../../ui/Trouble'
import { ReadingField } from '../look/ReadingField'
import { Choice } from '../workshop/fields'

interface Looked {
    id: string
    verdict: string
}

const WORDS: Record<string, string> = { met: 'met', near: 'near', 'not-yet': 'not yet', unsure: 'too close to call', waits: 'waits for the line' }

/** Walk the tables: one row of one lesson, student by student, with big keys; each look is a sample of its own. */
export default function RoundPage() {
    const id = useParams().classId ?? ''
    const [search, setSearch] = useSearchParams()
    const today = useToday(id)
    const lessons = useLessons()
    const me = useMe()
    if (today.data === undefined || lessons.data === undefined || me.data === undefined) return today.error === null ? <Waiting what={t('Laying out the round')} /> : <Trouble error={today.error} />
    const planned = today.data.session?.tape.map((p) => p.lesson) ?? []
    const lesson = lessons.data.find((l) => l.id === search.get('lesson')) ?? lessons.data.find((l) => planned.includes(l.id)) ?? lessons.data[0]
    if (lesson === undefined) return null
    const row = lesson.rows.find((r) => r.id === search.get('row')) ?? lesson.rows[0]
    if (row === undefined) return null
    return (
        <div className="round">
            <div className="round-head">
                <h1>{t('A round')} <small>{today.data.class.title}</small></h1>
                <Choice label={t('Lesson')} value={lesson.id} options={lessons.data.map((l) => ({ id: l.id, title: l.title }))} onChange={(l) => setSearch({ lesson: l })} />
                {lesson.rows.length > 1 && <Choice label={t('Row')} value={row.id} options={lesson.rows.map((r) => ({ id: r.id, title: r.title }))} onChange={(r) => setSearch({ lesson: lesson.id, row: r })} />}
                <Link className="quiet-act" to={`/today/${id}`}>{t('Back to Today')}</Link>
            </div>
            <Walk key={`${lesson.id}.${row.id}`} id={id} lesson={lesson} row={row} students={today.data.students} unit={me.data.unit} />
        </div>
    )
}

interface WalkProps {
    id: string
    lesson: Lesson
    row: Lesson['rows'][number]
    students: { student: string; name: string; seat: number }[]
    unit: 'mm' | 'in'
}

function Walk({ id, lesson, row, students, unit }: WalkProps) {
    const [at, setAt] = useState(0)
    const [values, setValues] = useState<Record<string, Record<string, string[]>>>({})
    const [looked, setLooked] = useState<Record<string, Looked>>({})
    const form = useRef<HTMLFormElement>(null)
    const who = students[at]
    useEffect(() => {
        form.current?.querySelector<HTMLElement>('[data-reading]')?.focus()
    }, [at])
    // The next student does not wait until everything has been read again.
    const keep = useMutation<unknown, Problem>({ mutationFn: async () => {
        if (who === undefined) return
        const sample = ulid().toLowerCase()
        // Looked at again in the same round, it takes the place of the first look.
        const replaces = looked[who.student] !== undefined && looked[who.student]?.verdict !== 'waits' ? (looked[who.student]?.id ?? null) : null
        const kept = await keepSample({
            body: { id: sample, class: id, student: who.student, lesson: lesson.id, version: lesson.version, readings: values[who.student] ?? {}, faults: [], settings: {}, drill: null, replaces, known: null },
            name: who.name, title: `${lesson.title}: ${row.title}`,
        })
        setLooked({ ...looked, [who.student]: { id: sample, verdict: kept === null ? 'waits' : (kept.judged.verdict ?? '') } })
        setAt(at + 1)
        void queries.invalidateQueries({ queryKey: ['today', id] })
    } })
    const read = who === undefined ? {} : (values[who.student] ?? {})
    const touched = Object.values(read).some((v) => v.some((x) => x !== ''))
    const onKey = (event: KeyboardEvent<HTMLFormElement>) => {
        const target = event.target as HTMLElement
        if (event.key !== 'Enter' || !target.hasAttribute('data-reading')) return
        event.preventDefault()
        const fields = [...(form.current?.querySelectorAll<HTMLElement>('[data-reading]') ?? [])]
        const next = fields[fields.indexOf(target) + 1]
        if (next !== undefined) next.focus()
        else if (touched && !keep.isPending) keep.mutate()
    }
    return (
        <div className="round-cols">
            <ol className="round-list">
                {students.map((s, i) => (
                    <li key={s.student} aria-current={i === at ? 'step' : undefined}>
                        <button type="button" onClick={() => setAt(i)}><span className="seat small">{s.seat}</span> {s.name}<small>{looked[s.student] === undefined ? '' : t(WORDS[looked[s.student]?.verdict ?? ''] ?? '')}</small></button>
                    </li>
                ))}
            </ol>
            {who === undefined ? (
                <section className="round-end" role="status">
                    <h2>{t('Round done: {n} of {all} looked at.', { n: Object.keys(looked).length, all: students.length })}</h2>
                    <p>{t('Each look is kept as a sample of its own and counts for the next lesson.')}</p>
                    <Link className="act big" to={`/today/${id}`}>{t('Back to Today')}</Link>
                </section>
            ) : (
                <form className="round-form" ref={form} onKeyDown={onKey} onSubmit={(e) => e.preventDefault()}>
                    <h2><span className="seat">{who.seat}</span> {who.name}</h2>
                    <p className="quiet">{lesson.title}: {row.title}</p>
                    {row.fields.map((field) => (
                        <ReadingField
                            key={`${who.student}.${field.key}`} field={field} unit={unit} values={read[field.key] ?? []} problem={keep.error?.field.startsWith(`readings.${field.key}`) === true ? keep.error.message : null} problemAt={null}
                            onChange={(i, v) => setValues({ ...values, [who.student]: { ...read, [field.key]: Array.from({ length: field.size }, (_, k) => (k === i ? v : (read[field.key]?.[k] ?? ''))) } })} onEye={() => undefined}
                        />
                    ))}
                    <Trouble error={keep.error} />
                    <div className="acts">
                        <button type="button" className="act big" disabled={!touched || keep.isPending} onClick={() => keep.mutate()}>{t('Keep, and on')} <kbd>↵</kbd></button>
                        <button type="button" className="quiet-act big" onClick={() => setAt(at + 1)}>{t('Skip')}</button>
                        {at > 0 && <button type="button" className="quiet-act big" onClick={() => setAt(at - 1)}>{t('Back')}</button>}
                    </div>
                </form>
            )}
        </div>
    )
}
