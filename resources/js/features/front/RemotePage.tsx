import { Button } from '@mantine/core'
import { Link, useParams } from 'react-router'
import { usePictures } from '../../api/queries'
import { Drawn } from '../../drawing/Drawn'
import { ended } from '../../drawing/ended'
import { t } from '../../text/words'
import { cx } from './dress'
import { Minutes } from './Minutes'
import { Nothing } from './Nothing'
import { slidesOf, type Slide } from './slides'
import { useAwake } from './useAwake'
import { useFront } from './useFront'

/** The teacher's own phone: what the screen shows now, what to say, what comes next, and two large buttons. */
export default function RemotePage() {
    const classId = useParams().classId ?? ''
    const front = useFront(classId, true)
    const pictures = usePictures(front.lesson?.id ?? '', classId)
    useAwake()
    const { lesson, now } = front
    if (!front.ready || lesson === undefined || now === null)
        return (
            <main className={cx('remote')}>
                <Nothing front={front} classId={classId} />
            </main>
        )
    const slides = slidesOf(lesson, pictures)
    const slide = slides[Math.min(now.at, slides.length - 1)]
    const after = slides[now.at + 1]
    return (
        <main className={cx('remote')}>
            <header>
                <h1>{lesson.title}</h1>
                <Minutes begun={now.begun_at} planned={lesson.demo} />
            </header>
            <section aria-live="polite">
                {slide?.kind === 'act' && slide.picture !== undefined && <Drawn picture={slide.picture} />}
                <p className={cx('remote-show')}>{slide === undefined ? '' : titleOf(slide, lesson.title)}</p>
                {slide?.kind === 'act' && (
                    <>
                        <p>“{slide.act.say}”</p>
                        <p>{t('samplers.watch', { what: slide.act.watch })}</p>
                    </>
                )}
                {slide?.kind === 'lesson' && <p>{lesson.demo_setup}</p>}
            </section>
            {after !== undefined && <p className={cx('remote-after')}>{t('front.thenComes', { what: titleOf(after, lesson.title) })}</p>}
            <div className={cx('caution')}>
                {lesson.cautions.map((c) => (
                    <p key={c}>{c}</p>
                ))}
            </div>
            <nav aria-label={t('front.pages')}>
                <Button variant="default" size="xl" onClick={() => front.go(-1)} {...ended(!front.can(-1))}>
                    {t('common.back')}
                </Button>
                <Button size="xl" onClick={() => front.go(1)} {...ended(!front.can(1))}>
                    {t('front.next')}
                </Button>
            </nav>
            <Link to={`/today/${classId}`}>{t('front.toToday')}</Link>
        </main>
    )
}

function titleOf(slide: Slide, lesson: string): string {
    if (slide.kind === 'act') return slide.act.show
    return slide.kind === 'steps' ? t('front.nowYou') : lesson
}
