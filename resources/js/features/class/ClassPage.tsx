import { Drawer } from '@mantine/core'
import { useState, type SubmitEvent } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import { api, ask, type View } from '../../api/client'
import { useChange, useClass, useEvidence, useMe } from '../../api/queries'
import { t } from '../../app/text'
import { clock, day } from '../../app/time'
import { LEVEL_WORDS, ThreadLine, type Level } from '../../ui/ThreadLine'
import { Trouble, Waiting } from '../../ui/Trouble'
import { KeptPhotos } from '../look/Photos'
import { VerdictLine } from '../look/VerdictLine'

/** Students × skills in thread lines; touch one for everything behind it. */
export default function ClassPage() {
    const id = useParams().classId ?? ''
    const read = useClass(id)
    const [search] = useSearchParams()
    const [whole, setWhole] = useState(false)
    const [open, setOpen] = useState<{ student: string; skill: string } | null>(null)
    if (read.data === undefined) return read.error === null ? <Waiting what={t('Laying out the threads')} /> : <Trouble error={read.error} />
    const { skills, students } = read.data
    const columns = skills.map((skill, at) => ({ skill, at })).filter(({ skill }) => whole || skill.taught)
    const wanted = search.get('student')
    return (
        <div className="class">
            <div className="class-head">
                <h1>{read.data.class.title}</h1>
                <ul className="legend" aria-label={t('What the thread lines say')}>
                    {(Object.keys(LEVEL_WORDS) as Level[]).map((level) => <li key={level}><ThreadLine level={level} width={54} label="" /> {t(LEVEL_WORDS[level])}</li>)}
                </ul>
                <button type="button" className="quiet-act" onClick={() => setWhole(!whole)}>{whole ? t('Only this course') : t('All {n} skills', { n: skills.length })}</button>
            </div>
            <div className="matrix" tabIndex={0} role="region" aria-label={t('Students and skills')}>
                <table style={{ width: 196 + 68 * columns.length }}>
                    <thead>
                        <tr>
                            <th scope="col">{t('student, and what is next')}</th>
                            {columns.map(({ skill }) => <th key={skill.id} scope="col" title={skill.shows}><span>{skill.title}</span></th>)}
                        </tr>
                    </thead>
                    <tbody>
                        {students.map((s) => (
                            <tr key={s.student} className={s.student === wanted ? 'wanted' : ''}>
                                <th scope="row"><span className="seat small">{s.seat}</span> <Link to={`/look/${id}/${s.student}`}>{s.name}</Link><small>{s.next_title === '' ? t('the course is done') : s.next_title}</small></th>
                                {columns.map(({ skill, at }) => {
                                    const level = s.levels[at] ?? 'not-tried'
                                    return (
                                        <td key={skill.id}>
                                            <button type="button" onClick={() => setOpen({ student: s.student, skill: skill.id })} aria-label={`${s.name}, ${skill.title}: ${t(LEVEL_WORDS[level])}`}>
                                                <ThreadLine level={level} width={46} label="" />
                                            </button>
                                        </td>
                                    )
                                })}
                            </tr>
                        ))}
                    </tbody>
                </table>
            </div>
            {read.data.overruled > 0 && <p className="quiet">{t('You overruled {n} of {all} verdicts; each stands with its reason in what a level rests on.', { n: read.data.overruled, all: read.data.verdicts })}</p>}
            <AddStudents id={id} empty={students.length === 0} />
            <Drawer opened={open !== null} onClose={() => setOpen(null)} position="right" size="lg" title={t('What it rests on')}>
                {open !== null && <Evidence id={id} student={open.student} skill={open.skill} />}
            </Drawer>
        </div>
    )
}

function Evidence({ id, student, skill }: { id: string; student: string; skill: string }) {
    const read = useEvidence(id, student, skill)
    const zone = useMe().data?.timezone ?? 'UTC'
    if (read.data === undefined) return read.error === null ? <Waiting what={t('Looking')} /> : <Trouble error={read.error} />
    const e = read.data
    return (
        <div className="evidence">
            <h2>{e.student}: {e.skill.title}</h2>
            <p>{e.skill.shows}</p>
            <p className="evidence-level">
                <ThreadLine level={e.level} width={120} />
                <strong>{t(LEVEL_WORDS[e.level])}</strong>
                {e.showings.length > 0 && <span>{t('{n} % likely known after the last sample', { n: Math.round(e.known * 100) })}</span>}
            </p>
            {e.needs.length > 0 && <p className="quiet">{t('Stands on: {what}', { what: e.needs.map((n) => n.title).join(', ') })}</p>}
            {e.showings.length === 0 && <p>{t('No sample has shown it yet.')}</p>}
            <ol>
                {e.showings.map((s) => <Showing key={s.sample} s={s} zone={zone} />)}
            </ol>
        </div>
    )
}

function Showing({ s, zone }: { s: View['ShowingView']; zone: string }) {
    return (
        <li>
            <div className="showing-head"><strong>{s.title}</strong><span>{day(s.kept_at, zone)}, {clock(s.kept_at, zone)} · {t('then {n} %', { n: Math.round(s.known_after * 100) })}</span></div>
            {s.checks.map((c) => <VerdictLine key={c.key} rule={{ key: c.key, title: c.title, reading: '', allows: '', source: '' }} check={c} named />)}
            {s.faults.map((f) => <p key={f} className="verdict not-yet">{t('Seen: {fault}', { fault: f })}</p>)}
            {s.photos.length > 0 && <div className="row-tools"><KeptPhotos photos={s.photos} /></div>}
            {s.settings.length > 0 && <p className="quiet">{t('Sewn with')} {s.settings.map((x) => `${x.name} ${x.value}`).join(' · ')}</p>}
        </li>
    )
}

function AddStudents({ id, empty }: { id: string; empty: boolean }) {
    const [name, setName] = useState('')
    const add = useChange(async () => {
        await ask(api.POST('/api/classes/{class}/students', { params: { path: { class: id } }, body: { students: name.split(/[,;]+/).map((n) => n.trim()).filter((n) => n !== '') } }))
        setName('')
    })
    const submit = (event: SubmitEvent) => {
        event.preventDefault()
        if (name.trim() !== '') add.mutate(undefined)
    }
    return (
        <form className="add-students" onSubmit={submit}>
            <label>{empty ? t('Who comes? Names, with commas between') : t('Add students')}<input value={name} maxLength={400} onChange={(e) => setName(e.currentTarget.value)} /></label>
            <button type="submit" className="quiet-act" disabled={add.isPending || name.trim() === ''}>{t('Add')}</button>
            <Trouble error={add.error} />
        </form>
    )
}
