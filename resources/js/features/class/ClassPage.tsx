import { Button, Drawer, UnstyledButton } from '@mantine/core'
import { useState } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import type { View } from '../../api/client'
import { useClass, usePulse } from '../../api/queries'
import { t, type Key } from '../../text/words'
import { LEVEL_WORDS, ThreadLine, type Level } from '../../ui/ThreadLine'
import { Trouble, Waiting } from '../../ui/Trouble'
import { useGridKeys } from '../../ui/useGridKeys'
import { Word } from '../../ui/Word'
import { AddStudents } from './AddStudents'
import { ClassData } from './ClassData'
import { cx } from './dress'
import { Evidence } from './Evidence'
import { Tables } from './Tables'

/** Students × skills in thread lines; touch one for everything behind it. */
export default function ClassPage() {
    const id = useParams().classId ?? ''
    const read = useClass(id)
    usePulse(id)
    const [search] = useSearchParams()
    const [whole, setWhole] = useState(false)
    const [by, setBy] = useState<By>('strand')
    const [open, setOpen] = useState<{ student: string; skill: string } | null>(null)
    const grid = useGridKeys()
    if (read.data === undefined) return read.error === null ? <Waiting what={t('class.layingOutTheThreads')} /> : <Trouble error={read.error} />
    const { skills, students } = read.data
    const columns = sorted(
        skills.map((skill, at) => ({ skill, at })).filter(({ skill }) => whole || skill.taught),
        by,
    )
    const wanted = search.get('student')
    return (
        <div className="class">
            <div className={cx('class-head')}>
                <h1>{read.data.class.title}</h1>
                <ul className={cx('legend')} aria-label={t('class.whatTheThreadLinesSay')}>
                    {(Object.keys(LEVEL_WORDS) as Level[]).map((level) => (
                        <li key={level}>
                            <ThreadLine level={level} width={54} label="" /> {t(LEVEL_WORDS[level])}
                        </li>
                    ))}
                </ul>
                <Word of="begun" />
                <span className={cx('state-keys')} role="group" aria-label={t('class.orderOfTheSkills')}>
                    {(Object.keys(ORDERS) as By[]).map((o) => (
                        <UnstyledButton key={o} aria-pressed={by === o} onClick={() => setBy(o)}>
                            {t(ORDERS[o])}
                        </UnstyledButton>
                    ))}
                </span>
                <Button variant="default" onClick={() => setWhole(!whole)}>
                    {whole ? t('class.onlyThisCourse') : t('class.allSkills', { n: skills.length })}
                </Button>
                <ClassData key={read.data.class.title} id={id} name={read.data.class.title} />
            </div>
            <div className={cx('matrix')} tabIndex={0} role="region" aria-label={t('class.studentsAndSkills')}>
                <table style={{ width: 196 + 68 * columns.length }} {...grid.table(students.length, columns.length)}>
                    <thead>
                        <tr>
                            <th scope="col">{t('class.studentAndWhatIsNext')}</th>
                            {columns.map(({ skill }) => (
                                <th key={skill.id} scope="col" title={skill.shows}>
                                    <span>{skill.title}</span>
                                    {by !== 'strand' && (
                                        <small>{by === 'gap' ? t('class.open', { n: skill.open }) : t('class.ready', { n: skill.ready })}</small>
                                    )}
                                </th>
                            ))}
                        </tr>
                    </thead>
                    <tbody>
                        {students.map((s, row) => (
                            <tr key={s.student} className={cx(s.student === wanted ? 'wanted' : '')}>
                                <th scope="row">
                                    <span className={cx('seat small')}>{s.seat}</span> <Link to={`/class/${id}/student/${s.student}`}>{s.name}</Link>
                                    <small>{s.next_title === '' ? t('common.theCourseIsDone') : s.next_title}</small>
                                </th>
                                {columns.map(({ skill, at }, column) => {
                                    const level = s.levels[at] ?? 'not-tried'
                                    return (
                                        <td key={skill.id}>
                                            <UnstyledButton
                                                {...grid.cell(row, column)}
                                                onClick={() => setOpen({ student: s.student, skill: skill.id })}
                                                aria-label={`${s.name}, ${skill.title}: ${t(LEVEL_WORDS[level])}`}>
                                                <ThreadLine level={level} width={46} label="" />
                                            </UnstyledButton>
                                        </td>
                                    )
                                })}
                            </tr>
                        ))}
                    </tbody>
                </table>
            </div>
            <Gaps gaps={read.data.gaps} pairs={read.data.pairs} />
            <p>
                <Link to={`/class/${id}/soundness`}>{t('class.howFarCanTheVerdicts')}</Link>
            </p>
            <AddStudents id={id} empty={students.length === 0} />
            <Tables id={id} />
            <Drawer opened={open !== null} onClose={() => setOpen(null)} position="right" size="lg" title={t('common.whatItRestsOn')}>
                {open !== null && <Evidence id={id} student={open.student} skill={open.skill} />}
            </Drawer>
        </div>
    )
}

type By = 'strand' | 'gap' | 'ready'

const ORDERS: Record<By, Key> = { strand: 'class.byStrand', gap: 'class.byGap', ready: 'class.byReady' }

/** Skills in the order of the course, or those first that most have open, or that most are ready for. */
function sorted<T extends { skill: View['SkillView'] }>(columns: T[], by: By): T[] {
    if (by === 'strand') return columns
    const key = by === 'gap' ? 'open' : 'ready'
    return [...columns].sort((a, b) => b.skill[key] - a.skill[key])
}

/** What several are missing, and who could sit next to whom. */
function Gaps({ gaps, pairs }: { gaps: View['GapView'][]; pairs: View['PairView'][] }) {
    if (gaps.length === 0 && pairs.length === 0) return null
    return (
        <div className={cx('class-gaps')}>
            {gaps.length > 0 && (
                <section>
                    <h2>{t('class.whatTheClassIsMissing')}</h2>
                    <ul className={cx('plain')}>
                        {gaps.slice(0, 5).map((g) => (
                            <li key={g.skill}>
                                <b>{g.title}</b>: {t('class.openForOf', { n: g.open.length, of: g.tried })} ({g.open.join(', ')})
                                {g.again && <strong> · {t('class.showItToAllAgain')}</strong>}
                            </li>
                        ))}
                    </ul>
                </section>
            )}
            {pairs.length > 0 && (
                <section>
                    <h2>{t('class.whoNextToWhom')}</h2>
                    <ul className={cx('plain')}>
                        {pairs.map((p) => (
                            <li key={p.learner}>
                                <b>{p.learner}</b> {t('class.beside')} <b>{p.helper}</b>: {p.skill}
                            </li>
                        ))}
                    </ul>
                </section>
            )}
        </div>
    )
}
