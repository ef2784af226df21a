import { Button } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { api, ask, Problem } from '../../api/client'
import { t } from '../../app/text'
import { clock, day } from '../../app/time'
import { SamplerDrawing } from '../../drawing/SamplerDrawing'
import { Waiting } from '../../ui/Trouble'
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
            <Waiting what={t('Opening')} />
        ) : (
            <main className="own-page">
                <h1>{t('Open Seam')}</h1>
                <p>
                    {read.error instanceof Problem && read.error.status === 404
                        ? t('This link does not work any more. Ask your teacher for a new one.')
                        : t('The line is down. Try again in a moment.')}
                </p>
            </main>
        )
    return (
        <main className="own-page">
            <p className="quiet">
                {p.class}
                {p.starts_at !== null && ` · ${t('next session {day}, {time}', { day: day(p.starts_at, p.timezone), time: clock(p.starts_at, p.timezone) })}`}
            </p>
            <h1>{t('{name}, you sew next:', { name: p.name })}</h1>
            <section className="own-next">
                <h2>{p.title === '' ? t('The course is done. Well sewn!') : p.title}</h2>
                {p.change !== '' && <p className="own-change">{p.change}</p>}
                {p.why !== '' && <p>{p.why}</p>}
                {p.drawing !== null && (
                    <div className="own-drawing">
                        <SamplerDrawing drawing={p.drawing} title={t('{lesson}, drawn to scale', { lesson: p.title })} />
                    </div>
                )}
                {p.cautions.length > 0 && (
                    <div className="caution">
                        {p.cautions.map((c) => (
                            <p key={c}>{c}</p>
                        ))}
                    </div>
                )}
                {p.steps.length > 0 && (
                    <details>
                        <summary>{t('Step by step')}</summary>
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
                            {t('Practice sheet (PDF, true size)')}
                        </Button>
                    </p>
                )}
            </section>
            {p.homework !== null && (
                <section>
                    <h2>{t('At home until then')}</h2>
                    <p>
                        {p.homework.text} <small>{t('about {n} min', { n: Math.round(p.homework.minutes) })}</small>
                    </p>
                </section>
            )}
            <section>
                <h2>{t('What you can do')}</h2>
                <Threads skills={p.skills} />
            </section>
            <p className="quiet">{t('The machine’s manual and your teacher have the last word. This page is yours alone: do not pass the link on.')}</p>
        </main>
    )
}
