import { Button } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import type { View } from '../../api/client'
import type { Pictures } from '../../api/pictures'
import { usePictures } from '../../api/queries'
import { Drawn } from '../../drawing/Drawn'
import { ended } from '../../drawing/ended'
import { SamplerDrawing } from '../../drawing/SamplerDrawing'
import { t } from '../../text/words'
import { cx } from './dress'
import { Minutes } from './Minutes'
import { Nothing } from './Nothing'
import { slidesOf, type Slide } from './slides'
import { useAwake } from './useAwake'
import { useFront } from './useFront'

/** For a large screen or a projector: one act at a time, read from the last row. Nobody's name stands here. */
export default function FrontPage() {
    const classId = useParams().classId ?? ''
    const front = useFront(classId)
    const pictures = usePictures(front.lesson?.id ?? '', classId)
    const [dark, setDark] = useState(false)
    useAwake()
    const next = () => (dark ? setDark(false) : front.go(1))
    const back = () => (dark ? setDark(false) : front.go(-1))
    // What clickers send: page up and down; a full stop or b makes the screen dark.
    useHotkeys(
        [
            ['ArrowRight', next],
            ['ArrowDown', next],
            ['PageDown', next],
            ['ArrowLeft', back],
            ['ArrowUp', back],
            ['PageUp', back],
            ['.', () => setDark(!dark)],
            ['b', () => setDark(!dark)],
        ],
        [],
    )
    // On a button these press it.
    useHotkeys(
        [
            ['Space', next],
            ['Enter', next],
            ['Backspace', back],
        ],
        ['BUTTON', 'A'],
    )
    const { lesson, now } = front
    if (!front.ready || lesson === undefined || now === null)
        return (
            <main className={cx('front')}>
                <Nothing front={front} classId={classId} />
            </main>
        )
    const slides = slidesOf(lesson, pictures)
    const slide = slides[Math.min(now.at, slides.length - 1)]
    if (dark) return <main className={cx('front dark')} aria-label={t('front.screenIsDark')} onClick={() => setDark(false)} />
    return (
        <main className={cx('front')}>
            <header className={cx('front-head')}>
                <h1>{lesson.title}</h1>
                {slide?.kind === 'act' && (
                    <span className={cx('front-count')}>
                        {slide.n} / {slide.of}
                    </span>
                )}
                <Minutes begun={now.begun_at} planned={lesson.demo} />
            </header>
            <div className={cx('front-body')} aria-live="polite" onClick={next}>
                {slide !== undefined && <Shows slide={slide} lesson={lesson} pictures={pictures} />}
            </div>
            <footer className={cx('front-foot')}>
                <div className={cx('front-cautions')}>
                    {lesson.cautions.map((c) => (
                        <p key={c}>{c}</p>
                    ))}
                </div>
                <nav aria-label={t('front.pages')}>
                    <Button variant="default" size="lg" component={Link} to={`/today/${classId}`}>
                        {t('common.closeIt')}
                    </Button>
                    <Button variant="default" size="lg" component={Link} to={`/front/${classId}/remote`}>
                        {t('front.remote')}
                    </Button>
                    <Button variant="default" size="lg" onClick={back} {...ended(!front.can(-1))}>
                        {t('common.back')}
                    </Button>
                    <Button size="lg" onClick={next} {...ended(!front.can(1))}>
                        {t('front.next')}
                    </Button>
                </nav>
            </footer>
        </main>
    )
}

function Shows({ slide, lesson, pictures }: { slide: Slide; lesson: View['LessonView']; pictures: Pictures | undefined }) {
    if (slide.kind === 'act')
        return (
            <div className={cx('front-act')}>
                <div className={cx('front-picture')}>{slide.picture !== undefined && <Drawn picture={slide.picture} name={slide.act.show} />}</div>
                <div className={cx('front-words')}>
                    <p className={cx('front-show')}>{slide.act.show}</p>
                    <p className={cx('front-say')}>“{slide.act.say}”</p>
                    <p className={cx('front-watch')}>{t('samplers.watch', { what: slide.act.watch })}</p>
                </div>
            </div>
        )
    if (slide.kind === 'steps')
        return (
            <ol className={cx('front-steps')}>
                {lesson.steps.map((s, i) => {
                    const picture = pictures?.steps[i]
                    return (
                        <li key={s}>
                            {picture !== undefined && <Drawn picture={picture} />}
                            <span>
                                <strong>{i + 1}</strong> {s}
                            </span>
                        </li>
                    )
                })}
            </ol>
        )
    return (
        <div className={cx('front-act')}>
            <div className={cx('front-picture')}>
                {lesson.drawing !== null ? (
                    <SamplerDrawing drawing={lesson.drawing} title={t('common.drawnToScale', { lesson: lesson.title })} />
                ) : (
                    pictures?.acts[0] !== undefined && <Drawn picture={pictures.acts[0]} />
                )}
            </div>
            <div className={cx('front-words')}>
                <p className={cx('front-show')}>{lesson.why}</p>
                {lesson.demo_setup !== null && <p className={cx('front-watch')}>{lesson.demo_setup}</p>}
            </div>
        </div>
    )
}
