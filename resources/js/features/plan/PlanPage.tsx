import { useState, type DragEvent } from 'react'
import { Link, useParams } from 'react-router'
import { api, ask, type View } from '../../api/client'
import { useChange, useMe, usePlan } from '../../api/queries'
import { t } from '../../app/text'
import { clock, day } from '../../app/time'
import { Trouble, Waiting } from '../../ui/Trouble'
import { Forecast } from './Forecast'

/** The course laid along its sessions as lengths of tape; a lesson moves by hand or by key, and what breaks is said at once. */
export default function PlanPage() {
    const id = useParams().classId ?? ''
    const plan = usePlan(id)
    const me = useMe()
    const zone = me.data?.timezone ?? 'UTC'
    const [touched, setTouched] = useState<string | null>(null)
    const [undo, setUndo] = useState<string[][] | null>(null)
    const store = useChange(async (change: { sessions: string[][]; version: number; pins?: Record<string, number> }) => {
        await ask(api.PUT('/api/classes/{class}/plan', { params: { path: { class: id } }, body: change }))
    })
    const layOut = useChange(async ({ plan: p, closed }: { plan: View['PlanView']; closed: string[] }) => {
        const first = p.sessions[0]
        if (first === undefined) return
        const local = new Intl.DateTimeFormat('sv-SE', { timeZone: zone, dateStyle: 'short', timeStyle: 'short' }).format(new Date(first.starts_at)).split(' ')
        await ask(api.POST('/api/classes/{class}/plan/lay-out', {
            params: { path: { class: id } },
            body: { version: p.version, starts_on: local[0] ?? '', time: local[1] ?? '', sessions: p.sessions.length, minutes: first.minutes, closed },
        }))
    })
    const [moved, setMoved] = useState<View['NamedView'][] | null>(null)
    const mend = useChange(async (version: number) => {
        setMoved((await ask(api.POST('/api/classes/{class}/plan/mend', { params: { path: { class: id } }, body: { version } }))).moved)
    })
    if (plan.data === undefined) return plan.error === null ? <Waiting what={t('Unrolling the plan')} /> : <Trouble error={plan.error} />
    const p = plan.data
    const laid = p.sessions.map((s) => s.lessons)
    const needs = p.lessons.find((l) => l.id === touched)?.needs ?? []
    const move = (lesson: string, to: number, before: string | null) => {
        const next = laid.map((ids) => ids.filter((x) => x !== lesson))
        const into = next[to]
        if (into === undefined) return
        const place = before === null ? -1 : into.indexOf(before)
        if (place < 0) into.push(lesson)
        else into.splice(place, 0, lesson)
        setUndo(laid)
        store.mutate({ sessions: next, version: p.version })
    }
    const pins = Object.fromEntries(p.pins.map((x) => [x.lesson, x.session]))
    const longest = Math.max(...p.sessions.map((s) => Math.max(s.usable, s.used)), 1)
    const used = p.sessions.reduce((n, s) => n + s.used, 0)
    return (
        <div className="plan">
            <div className="plan-head">
                <div>
                    <h1>{p.class.title} <small>{p.course}</small></h1>
                    <p>{t('{students} students, {machines} machines, {helpers} helpers · {lessons} lessons, {used} min in {sessions} sessions', { students: p.students, machines: p.machines, helpers: p.helpers, lessons: p.lessons.length, used: Math.round(used), sessions: p.sessions.length })}</p>
                </div>
                <div className="plan-acts">
                    {undo !== null && <button type="button" className="quiet-act" onClick={() => { store.mutate({ sessions: undo, version: p.version }); setUndo(null) }}>{t('Undo')}</button>}
                    <button type="button" className="quiet-act" disabled={mend.isPending} onClick={() => { setUndo(laid); mend.mutate(p.version) }}>{t('Mend it')}</button>
                    <button type="button" className="quiet-act" disabled={layOut.isPending} onClick={() => { setUndo(laid); layOut.mutate({ plan: p, closed: p.closed }) }}>{layOut.isPending ? t('Laying it out …') : t('Lay it out for me')}</button>
                    <Link className="quiet-act" to={`/materials/${id}`}>{t('Materials')}</Link>
                    <Link className="act" to={`/today/${id}`}>{t('Go to Today')}</Link>
                </div>
            </div>
            <Trouble error={store.error ?? layOut.error ?? mend.error} />
            {moved !== null && <p className="kept-note" role="status">{moved.length === 0 ? t('Nothing had to move.') : t('Moved: {lessons}.', { lessons: moved.map((m) => m.title).join(', ') })} <button type="button" className="link" onClick={() => setMoved(null)}>{t('close')}</button></p>}
            <div className="problems" aria-live="polite">
                {p.problems.length === 0 && p.left.length === 0
                    ? <p className="fine">{t('Everything is laid, in an order that holds.')}</p>
                    : <ul>{p.problems.map((x) => <li key={x.text}>{x.text}</li>)}</ul>}
                {p.proof !== null && <p className="fine proof">{p.proof.text}{touched !== null && p.proof.reasons[touched] !== undefined && <> <strong>{p.lessons.find((l) => l.id === touched)?.title}:</strong> {p.proof.reasons[touched]}</>}</p>}
                {p.left.length > 0 && (
                    <div className="left-over">
                        <span>{t('No room yet for:')}</span>
                        {p.left.map((l) => <LessonTape key={l} p={p} id={l} share={18} problem={false} state="" onTouch={setTouched} sessions={p.sessions.length} at={-1} onMove={(to) => move(l, to, null)} />)}
                    </div>
                )}
            </div>
            <ol className="sessions">
                {p.sessions.map((s, i) => (
                    <li
                        key={s.id} className={s.used > s.usable ? 'session over' : 'session'}
                        onDragOver={(e: DragEvent) => e.preventDefault()}
                        onDrop={(e: DragEvent) => { e.preventDefault(); move(e.dataTransfer.getData('text/plain'), i, null) }}
                    >
                        <div className="session-day"><strong>{i + 1}</strong><span>{day(s.starts_at, zone)}<small>{clock(s.starts_at, zone)} · {t('{n} min', { n: s.minutes })}</small></span></div>
                        <div className="session-tape">
                            <div className="session-usable" style={{ width: `${(100 * s.usable) / longest}%` }} />
                            {s.lessons.map((l) => (
                                <LessonTape
                                    key={l} p={p} id={l} share={(100 * (p.lessons.find((x) => x.id === l)?.minutes ?? 0)) / longest}
                                    problem={p.problems.some((x) => x.lesson === l)}
                                    state={touched === l ? 'touched' : needs.includes(l) ? 'needed' : ''}
                                    onTouch={setTouched} sessions={p.sessions.length} at={i} onMove={(to, before) => move(l, to, before)}
                                    onDropBefore={(dragged) => move(dragged, i, l)}
                                    pinned={pins[l] !== undefined}
                                    onPin={() => store.mutate({ sessions: laid, version: p.version, pins: pins[l] === undefined ? { ...pins, [l]: i + 1 } : Object.fromEntries(Object.entries(pins).filter(([x]) => x !== l)) })}
                                />
                            ))}
                        </div>
                        <div className="session-sum">{t('{used} of {usable} min', { used: Math.round(s.used), usable: Math.round(s.usable) })}{s.used > s.usable && <strong>{t('{n} over', { n: Math.round(s.used - s.usable) })}</strong>}{s.lessons.length > 0 && <Link className="bring" to={`/materials/${id}?session=${i + 1}`}>{t('what to bring')}</Link>}</div>
                    </li>
                ))}
            </ol>
            <Forecast id={id} zone={zone} />
            <Closed plan={p} busy={layOut.isPending} onChange={(closed) => layOut.mutate({ plan: p, closed })} />
            <p className="print-acts">
                <a className="quiet-act" href={`/api/classes/${id}/print?what=handout`} target="_blank" rel="noreferrer">{t('Print it for the students')}</a>
                <a className="quiet-act" href={`/api/classes/${id}/plan/export?as=calendar`}>{t('Into a calendar')}</a>
                <a className="quiet-act" href={`/api/classes/${id}/plan/export?as=table`}>{t('As a table')}</a>
                <a className="quiet-act" href={`/api/classes/${id}/plan/export?as=bundle`}>{t('As a course bundle')}</a>
            </p>
            <p className="quiet">{t('Drag a lesson, or touch it and use the arrows. {settle}', { settle: t('Each session keeps 15 min for settling in and clearing up.') })}</p>
        </div>
    )
}

/** Days without a class: the sessions after one move on by a week. */
function Closed({ plan, busy, onChange }: { plan: View['PlanView']; busy: boolean; onChange: (closed: string[]) => void }) {
    const [day, setDay] = useState('')
    return (
        <div className="closed">
            <label>{t('No class on')}<input type="date" value={day} onChange={(e) => setDay(e.currentTarget.value)} /></label>
            <button type="button" className="quiet-act" disabled={busy || day === ''} onClick={() => { onChange([...new Set([...plan.closed, day])].sort()); setDay('') }}>{t('Move the sessions on')}</button>
            {plan.closed.map((d) => <span key={d} className="chip">{d} <button type="button" className="link" aria-label={t('There is a class on {day} after all', { day: d })} onClick={() => onChange(plan.closed.filter((x) => x !== d))}>×</button></span>)}
        </div>
    )
}

interface TapeProps {
    p: View['PlanView']
    id: string
    share: number
    problem: boolean
    state: string
    sessions: number
    at: number
    onTouch: (id: string | null) => void
    onMove: (to: number, before: string | null) => void
    onDropBefore?: (dragged: string) => void
    pinned?: boolean
    onPin?: () => void
}

function LessonTape({ p, id, share, problem, state, sessions, at, onTouch, onMove, onDropBefore, pinned = false, onPin }: TapeProps) {
    const lesson = p.lessons.find((l) => l.id === id)
    if (lesson === undefined) return null
    return (
        <div
            className={`lesson-tape ${state} ${problem ? 'problem' : ''}`} style={{ width: `${share}%` }} draggable
            onDragStart={(e) => e.dataTransfer.setData('text/plain', id)}
            onDragOver={(e) => e.preventDefault()}
            onDrop={(e) => {
                if (onDropBefore === undefined) return
                e.preventDefault()
                e.stopPropagation()
                onDropBefore(e.dataTransfer.getData('text/plain'))
            }}
        >
            <button
                type="button" className="lesson-name" onFocus={() => onTouch(id)} onClick={() => onTouch(id)}
                onKeyDown={(e) => {
                    const to = e.key === 'ArrowRight' || e.key === 'ArrowDown' ? at + 1 : e.key === 'ArrowLeft' || e.key === 'ArrowUp' ? at - 1 : null
                    if (to === null) return
                    e.preventDefault()
                    if (to >= 0 && to < sessions) onMove(to, null)
                }}
            >
                <strong>{lesson.title}</strong><span>{pinned && <b className="pin">{t('pinned')} · </b>}{t('{n} min', { n: Math.round(lesson.minutes) })}{lesson.rounds > 1 && ` · ${t('{n} rounds', { n: lesson.rounds })}`}</span>
                <span className="hidden">, {at < 0 ? t('not laid') : t('session {n}', { n: at + 1 })}. {t('Arrow keys move it.')}</span>
            </button>
            {state === 'touched' && (
                <span className="nudge">
                    {onPin !== undefined && <button type="button" aria-pressed={pinned} aria-label={pinned ? t('Let it move again') : t('Pin it to this session')} className="pin-act" onClick={onPin}>{pinned ? t('free') : t('pin')}</button>}
                    {at > 0 && <button type="button" aria-label={t('Move to session {n}', { n: at })} onClick={() => onMove(at - 1, null)}>↑</button>}
                    {at < sessions - 1 && <button type="button" aria-label={t('Move to session {n}', { n: at + 2 })} onClick={() => onMove(at + 1, null)}>↓</button>}
                </span>
            )}
        </div>
    )
}
