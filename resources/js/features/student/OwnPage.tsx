import { Button, Textarea } from '@mantine/core'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useParams } from 'react-router'
import { api, ask, Problem, type View } from '../../api/client'
import { whole } from '../../api/pictures'
import { OwnUnit, useChange } from '../../api/queries'
import { Drawn } from '../../drawing/Drawn'
import { FoldPicture } from '../../drawing/FoldPicture'
import { SamplerDrawing } from '../../drawing/SamplerDrawing'
import { useTyped } from '../../keeping/useTyped'
import { ALSO, WATCHED } from '../../text/machineParts'
import { usualPaper } from '../../text/paperSize'
import { clock, day, zoneNote } from '../../text/time'
import { t } from '../../text/words'
import { Trouble, Waiting } from '../../ui/Trouble'
import { cx } from './dress'
import { HomeMachine } from './HomeMachine'
import { OwnLook, WherePlace, type OwnPlace } from './OwnLook'
import { Threads } from './Threads'

/** What a student sees on a phone, by a private link: what comes next and how far they are. Nothing of others. */
export default function OwnPage() {
    const token = useParams().token ?? ''
    const [place, setPlace] = useState<OwnPlace>('class')
    const [asksHome, setAsksHome] = useState(false)
    const read = useQuery({
        queryKey: ['own', token, place],
        queryFn: () => ask(api.GET('/api/page/{token}', { params: { path: { token }, query: { at: place } } })),
        placeholderData: keepPreviousData,
        retry: (n, e) => !(e instanceof Problem && e.status >= 400) && n < 2,
    })
    const pictures = useQuery({
        queryKey: ['own-pictures', token, place],
        queryFn: () => ask(api.GET('/api/page/{token}/pictures', { params: { path: { token }, query: { at: place } } })),
        enabled: read.data !== undefined,
        staleTime: 600_000,
        select: whole,
    }).data
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
                    {p.home !== null && <WherePlace place={place} onPlace={setPlace} home={t('student.onMachine', { machine: p.home })} />}
                    {p.cannot !== null && (
                        <p className={cx('refused mild')} role="status">
                            {p.cannot}
                        </p>
                    )}
                    {p.cannot === null && p.dials.length > 0 && (
                        <p className={cx('own-dials')}>
                            <strong>{p.machine}</strong> {p.dials.join(' · ')}
                        </p>
                    )}
                    {p.drill === null && p.drawing !== null && (
                        <div className={cx('own-drawing')}>
                            <SamplerDrawing drawing={p.drawing} title={t('common.drawnToScale', { lesson: p.title })} />
                        </div>
                    )}
                    {p.cautions.length > 0 && (
                        <div className={cx('caution')}>
                            {p.cautions.map((c) => (
                                <p key={c}>{c}</p>
                            ))}
                            {p.lesson?.machine === true &&
                                p.also
                                    .filter((one) => WATCHED.includes(one))
                                    .map((one) => {
                                        const [part, watch] = ALSO[one as keyof typeof ALSO]
                                        return (
                                            <p key={one}>
                                                {part}: {watch}
                                            </p>
                                        )
                                    })}
                        </div>
                    )}
                    {p.drill !== null && (
                        <div className={cx('own-drill')}>
                            {p.drill.drawing !== null && (
                                <SamplerDrawing drawing={p.drill.drawing} title={t('common.drawnToScale', { lesson: p.drill.title })} />
                            )}
                            <p>
                                {p.drill.text} <small>{t('student.aboutMin', { n: Math.round(p.drill.minutes) })}</small>
                            </p>
                        </div>
                    )}
                    {p.drill === null && p.steps.length > 0 && (
                        <details>
                            <summary>{t('student.stepByStep')}</summary>
                            <ol className={cx('own-steps')}>
                                {p.steps.map((s, i) => {
                                    const picture = pictures?.steps[i]
                                    return (
                                        <li key={s}>
                                            {picture !== undefined && <Drawn picture={picture} />}
                                            {s}
                                        </li>
                                    )
                                })}
                            </ol>
                        </details>
                    )}
                    {[...(p.lesson?.folds ?? []), ...(pictures?.stories ?? [])].map((fold) => (
                        <FoldPicture key={fold.id} fold={fold} />
                    ))}
                    {p.sheet && (
                        <p>
                            <Button
                                component="a"
                                href={`/api/page/${token}/sheet?${new URLSearchParams({ at: place, format: usualPaper() }).toString()}`}
                                target="_blank"
                                rel="noreferrer">
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
                <OwnLook token={token} page={p} place={place} onPlace={setPlace} />
                <Asking token={token} asked={p.asked} />
                {p.earlier.length > 0 && (
                    <section>
                        <h2>{t('student.whatYouSewed')}</h2>
                        <ol className={cx('own-earlier')}>
                            {p.earlier.map((s) => (
                                <li key={s.id}>
                                    <strong>{s.title}</strong> <small>{day(s.kept_at, p.timezone)}</small>
                                    <br />
                                    {s.text}
                                </li>
                            ))}
                        </ol>
                    </section>
                )}
                <section>
                    <h2>{t('student.whatYouCanDo')}</h2>
                    <Threads skills={p.skills} />
                </section>
                <section>
                    <h2>{t('student.yourMachine')}</h2>
                    <details open={asksHome} onToggle={(e) => setAsksHome(e.currentTarget.open)}>
                        <summary>{p.home ?? t('student.haveOneAtHome')}</summary>
                        {asksHome && (
                            <HomeMachine
                                of={{ token }}
                                onDone={() => {
                                    setAsksHome(false)
                                    setPlace('home')
                                }}
                            />
                        )}
                    </details>
                </section>
                <p className={cx('quiet')}>{t('student.theMachinesManualAndYour')}</p>
            </main>
        </OwnUnit>
    )
}

/** "Please look", or a question: it stands at their row on Today until somebody has looked. */
function Asking({ token, asked }: { token: string; asked: View['AskedView'] | null }) {
    const [text, setText, forget] = useTyped(`ask:${token}`, '')
    const path = { params: { path: { token } } }
    const send = useChange('own', async () => {
        await ask(api.POST('/api/page/{token}/ask', { ...path, body: { text: text.trim() === '' ? null : text.trim() } }))
        forget()
    })
    const back = useChange('own', () => ask(api.DELETE('/api/page/{token}/ask', path)))
    return (
        <section>
            <h2>{t('student.askForALook')}</h2>
            {asked !== null ? (
                <p role="status">
                    {asked.text === '' ? t('student.youAskedForALook') : t('student.youAsked', { text: asked.text })}{' '}
                    <Button variant="subtle" disabled={back.isPending} onClick={() => back.mutate(undefined)}>
                        {t('student.takeItBack')}
                    </Button>
                </p>
            ) : (
                <>
                    <Textarea
                        label={t('student.aQuestionIfYouLike')}
                        value={text}
                        maxLength={300}
                        autosize
                        minRows={1}
                        maxRows={4}
                        onChange={(e) => setText(e.currentTarget.value)}
                    />
                    <p>
                        <Button variant="default" disabled={send.isPending} onClick={() => send.mutate(undefined)}>
                            {t('student.pleaseLook')}
                        </Button>
                    </p>
                </>
            )}
            <Trouble error={send.error ?? back.error} />
        </section>
    )
}
