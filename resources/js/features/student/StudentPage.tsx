import { Button, Drawer } from '@mantine/core'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import type { View } from '../../api/client'
import { useMe, usePulse, useStudent } from '../../api/queries'
import { day } from '../../text/time'
import { t } from '../../text/words'
import { Empty } from '../../ui/Empty'
import { Trouble, Waiting } from '../../ui/Trouble'
import { Evidence } from '../class/Evidence'
import { SamplePanel } from '../sample/SamplePanel'
import { AboutStudent } from './AboutStudent'
import { cx } from './dress'
import { LongSeam } from './LongSeam'
import { NextStep } from './NextStep'
import { OwnLooks } from './OwnLook'
import { StudentData } from './StudentData'
import { Threads } from './Threads'

/** One student: the long seam of samples, what is next and why, how far it will go, what worked. */
export default function StudentPage() {
    const { classId = '', studentId = '' } = useParams()
    const read = useStudent(classId, studentId)
    const zone = useMe().data?.timezone ?? 'UTC'
    usePulse(classId)
    const [skill, setSkill] = useState<string | null>(null)
    const [sample, setSample] = useState<string | null>(null)
    const s = read.data
    if (s === undefined) return read.error === null ? <Waiting what={t('student.fetchingTheSamples')} /> : <Trouble error={read.error} />
    return (
        <div className={cx('student-page')}>
            <div className={cx('today-head')}>
                <h1>{s.name}</h1>
                <p>
                    {t('common.seat', { n: s.seat })}
                    {s.machine !== null && ` · ${s.machine}`} · {t('student.ofLessonsSewnWell', { n: s.forecast.done, of: s.lessons })} · <Expected s={s} />
                </p>
                <Button component="a" variant="default" href={`/api/classes/${classId}/students/${studentId}/print`} target="_blank" rel="noreferrer">
                    {t('student.printAProgressCard')}
                </Button>
                <StudentData key={s.name} id={classId} s={s} />
                <Button component={Link} to={`/look/${classId}/${studentId}`}>
                    {t('common.lookAtTheSample')}
                </Button>
            </div>
            {s.way_in !== null && (
                <p className={cx('way-in')}>
                    <strong>{t('student.joinedIn', { n: s.way_in.from })}</strong>{' '}
                    {s.way_in.lessons.length === 0
                        ? t('student.caughtUp')
                        : t('student.theirWayIn', { n: s.way_in.lessons.length, lessons: s.way_in.lessons.map((l) => l.title).join(', ') })}
                </p>
            )}
            {s.seam.length === 0 ? (
                <Empty>{t('student.noSampleYetTheFirst')}</Empty>
            ) : (
                <LongSeam id={classId} student={studentId} seam={s.seam} zone={zone} onOpen={setSample} />
            )}
            {s.struck.length > 0 && (
                <p className={cx('struck-list')}>
                    {t('student.withdrawn')}{' '}
                    {s.struck.map((x) => (
                        <Button key={x.id} variant="subtle" onClick={() => setSample(x.id)}>
                            {x.title}, {day(x.kept_at, zone)}
                        </Button>
                    ))}
                </p>
            )}
            <SamplePanel sample={sample} onClose={() => setSample(null)} />
            <div className={cx('student-grid')}>
                <NextStep id={classId} s={s} />
                <div>
                    <h2>{t('student.skills')}</h2>
                    <Threads skills={s.skills} onOpen={setSkill} />
                    {s.blocked.length > 0 && (
                        <>
                            <h3>{t('student.waitsFor')}</h3>
                            <ul className={cx('plain')}>
                                {s.blocked.slice(0, 6).map((b) => (
                                    <li key={b.id}>
                                        {b.id}: <b>{b.title}</b>
                                    </li>
                                ))}
                            </ul>
                        </>
                    )}
                </div>
                <div>
                    {s.own_looks.length > 0 && (
                        <section>
                            <h3>{t('student.whatTheyReadThemselves')}</h3>
                            <OwnLooks looks={s.own_looks} agreed={s.agreed} zone={zone} />
                        </section>
                    )}
                    <AboutStudent key={s.student} id={classId} s={s} />
                    {s.settings.length > 0 && (
                        <>
                            <h3>{t('student.settingsThatWorked')}</h3>
                            <ul className={cx('plain')}>
                                {s.settings.slice(0, 6).map((x) => (
                                    <li key={`${x.lesson}${x.last_at}`}>
                                        <b>{x.title}</b>: {worked(x)}
                                    </li>
                                ))}
                            </ul>
                        </>
                    )}
                    {s.given.some((g) => g.instead_of !== null) && (
                        <>
                            <h3>{t('student.whereYouChoseOtherwise')}</h3>
                            <ul className={cx('plain')}>
                                {s.given
                                    .filter((g) => g.instead_of !== null)
                                    .slice(0, 5)
                                    .map((g) => (
                                        <li key={g.at}>
                                            {day(g.at, zone)}: <b>{g.title}</b> {t('student.insteadOf', { lesson: g.instead_of ?? '' })}
                                            {g.because !== '' && ` · ${g.because}`}
                                        </li>
                                    ))}
                            </ul>
                        </>
                    )}
                </div>
            </div>
            <Drawer opened={skill !== null} onClose={() => setSkill(null)} position="right" size="lg" title={t('common.whatItRestsOn')}>
                {skill !== null && <Evidence id={classId} student={studentId} skill={skill} />}
            </Drawer>
        </div>
    )
}

function Expected({ s }: { s: View['StudentView'] }) {
    if (s.forecast.left === 0) return <>{t('student.done')}</>
    return <>{t('student.likelyToFinishInTime', { n: Math.round(100 * s.forecast.chance), m: Math.round(s.forecast.samples) })}</>
}

const worked = (x: View['SettingsLogView']) => [x.machine, x.cloth, x.foot, x.needle, x.length, x.width, x.tension, x.note].filter((v) => v !== '').join(' · ')
