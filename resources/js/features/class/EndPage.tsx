import { Button } from '@mantine/core'
import { Link, useParams } from 'react-router'
import { useClass, useMe, usePlan } from '../../api/queries'
import { day } from '../../text/time'
import { t } from '../../text/words'
import { Trouble, Waiting } from '../../ui/Trouble'
import { cx } from './dress'

/** The end of a course: what each has shown, what is open and goes along, certificates, and the course after this one. */
export default function EndPage() {
    const id = useParams().classId ?? ''
    const read = useClass(id)
    const plan = usePlan(id)
    const me = useMe().data
    if (read.data === undefined || plan.data === undefined || me === undefined)
        return read.error === null ? <Waiting what={t('class.layingOutTheThreads')} /> : <Trouble error={read.error} />
    const { skills, students } = read.data
    const last = plan.data.sessions.at(-1)
    const over = last !== undefined && Date.parse(last.starts_at) + last.minutes * 60_000 < Date.parse(me.now)
    const taught = skills.filter((skill) => skill.taught)
    return (
        <div className={cx('end-page')}>
            <div className={cx('class-head')}>
                <h1>
                    {t('class.theEndOfTheCourse')} <small>{read.data.class.title}</small>
                </h1>
            </div>
            {last !== undefined && (
                <p className={cx('quiet')}>
                    {over
                        ? t('class.lastSessionWas', { day: day(last.starts_at, me.timezone) })
                        : t('class.lastSessionIs', { day: day(last.starts_at, me.timezone) })}
                </p>
            )}
            <p className={cx('acts')}>
                <Button component="a" href={`/api/classes/${id}/print?what=certificates`} target="_blank" rel="noreferrer">
                    {t('class.printCertificates')}
                </Button>
                <Button component={Link} variant="default" to={`/start?from=${id}`}>
                    {t('class.anotherCourse')}
                </Button>
                <Button component={Link} variant="default" to={`/class/${id}`}>
                    {t('class.backToTheClass')}
                </Button>
            </p>
            <p className={cx('quiet')}>{t('class.certificatesSay')}</p>
            <div className={cx('wide-table')} tabIndex={0} role="region" aria-label={t('class.whatEachHasShown')}>
                <table className={cx('rows')}>
                    <thead>
                        <tr>
                            <th>{t('today.student')}</th>
                            <th>{t('class.shown')}</th>
                            <th>{t('class.openGoesAlong')}</th>
                        </tr>
                    </thead>
                    <tbody>
                        {students.map((s) => {
                            const among = (ids: string[]) => taught.filter((skill) => ids.includes(skill.id)).map((skill) => skill.title)
                            const [shown, open] = [among(s.shown), among(s.open)]
                            const never = taught.length - shown.length - open.length
                            return (
                                <tr key={s.student}>
                                    <th scope="row">
                                        <span className={cx('seat small')}>{s.seat}</span> <Link to={`/class/${id}/student/${s.student}`}>{s.name}</Link>
                                    </th>
                                    <td>
                                        <strong>{t('class.soManyOf', { n: shown.length, of: taught.length })}</strong> <small>{shown.join(', ')}</small>
                                    </td>
                                    <td>
                                        {open.length === 0 ? t('class.nothingOpen') : open.join(', ')}
                                        {never > 0 && <small> · {t('class.neverTried', { n: never })}</small>}
                                    </td>
                                </tr>
                            )
                        })}
                    </tbody>
                </table>
            </div>
        </div>
    )
}
