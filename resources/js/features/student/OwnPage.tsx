import { Button } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { api, ask, Problem } from '../../api/client'
import { OwnUnit } from '../../api/queries'
import { SamplerDrawing } from '../../drawing/SamplerDrawing'
import { clock, day, zoneNote } from '../../text/time'
import { t } from '../../text/words'
import { Waiting } from '../../ui/Trouble'
import { cx } from './dress'
import { Threads } from './Threads'

/** What a student sees on a phone, by a private link: what comes next and how far they are. Nothing of others. */
export default function OwnPage() {
    const token = useParams().token ?? ''
    const read = useQuery({
        queryKey: ['own', token],
        queryFn: () => ask(api.GET('/api/page/{token}', { params: { path: { token } } })),
        retry: (n, e) => !(e instanceof Problem && e.status >= 400) && n < 2,
    })
    const p = read.data
    if (p === undefined)
        return read.error === null ? (
            <Waiting what={t('common.opening')} />
        ) : (
            <main className={cx('own-page')}>
                <h1>{t('student.openSeam')}</h1>
                <p>{read.error instanceof Problem && read.error.status === 404 ? t('student.thisLinkDoesNotWork') : t('student.theLineIsDownTry')}</p>
            </main>
        )
    return (
        <OwnUnit value={p.unit}>
            <main className={cx('own-page')}>
                <p className={cx('quiet')}>
                    {p.class}
                    {p.starts_at !== null &&
                        ` · ${t('student.nextSession', { day: day(p.starts_at, p.timezone), time: clock(p.starts_at, p.timezone) + zoneNote(p.starts_at, p.timezone) })}`}
                </p>
                <h1>{t('student.youSewNext', { name: p.name })}</h1>
                <section className={cx('own-next')}>
                    <h2>{p.title === '' ? t('student.theCourseIsDoneWell') : p.title}</h2>
                    {p.change !== '' && <p className={cx('own-change')}>{p.change}</p>}
                    {p.why !== '' && <p>{p.why}</p>}
                    {p.drawing !== null && (
                        <div className={cx('own-drawing')}>
                            <SamplerDrawing drawing={p.drawing} title={t('common.drawnToScale', { lesson: p.title })} />
                        </div>
                    )}
                    {p.cautions.length > 0 && (
                        <div className={cx('caution')}>
                            {p.cautions.map((c) => (
                                <p key={c}>{c}</p>
                            ))}
                        </div>
                    )}
                    {p.steps.length > 0 && (
                        <details>
                            <summary>{t('student.stepByStep')}</summary>
                            <ol>
                                {p.steps.map((s) => (
                                    <li key={s}>{s}</li>
                                ))}
                            </ol>
                        </details>
                    )}
                    {p.sheet && (
                        <p>
                            <Button component="a" href={`/api/page/${token}/sheet`} target="_blank" rel="noreferrer">
                                {t('student.practiceSheetPdfTrueSize')}
                            </Button>
                        </p>
                    )}
                </section>
                {p.homework !== null && (
                    <section>
                        <h2>{t('student.atHomeUntilThen')}</h2>
                        <p>
                            {p.homework.text} <small>{t('student.aboutMin', { n: Math.round(p.homework.minutes) })}</small>
                        </p>
                    </section>
                )}
                <section>
                    <h2>{t('student.whatYouCanDo')}</h2>
                    <Threads skills={p.skills} />
                </section>
                <p className={cx('quiet')}>{t('student.theMachinesManualAndYour')}</p>
            </main>
        </OwnUnit>
    )
}
