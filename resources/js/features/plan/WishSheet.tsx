import { Button } from '@mantine/core'
import { useState } from 'react'
import { isoDay } from '../../text/time'
import { t } from '../../text/words'
import { DateWishes } from './DateWishes'
import { cx } from './dress'
import { FrameWishes } from './FrameWishes'
import { LessonWishes } from './LessonWishes'
import { OrderWish } from './OrderWish'
import { SureWish } from './SureWish'
import type { Plan, Wishes } from './usePlanning'

/** Everything a teacher may want of the plan; it is laid out with these, or tried beside the plan as it is. */
export function WishSheet({
    p,
    zone,
    busy,
    wrong,
    onLay,
    onTry,
}: {
    p: Plan
    zone: string
    busy: boolean
    wrong: Record<string, string>
    onLay: (wishes: Wishes) => void
    onTry: (wishes: Wishes) => void
}) {
    const [wishes, setWishes] = useState(p.wishes)
    const set = (change: Partial<Wishes>) => setWishes({ ...wishes, ...change })
    return (
        <section className={cx('wishes')} aria-label={t('plan.wishesAndDates')}>
            <div className={cx('wishes-cols')}>
                <div>
                    <h2>{t('plan.dates')}</h2>
                    <DateWishes wishes={wishes} wrong={wrong} onChange={set} days={p.sessions.map((s) => isoDay(s.starts_at, zone))} />
                </div>
                <div>
                    <h2>{t('plan.orderAndTime')}</h2>
                    <OrderWish value={wishes.order} onChange={(order) => set({ order })} />
                    <SureWish value={wishes.sure} onChange={(sure) => set({ sure })} />
                    <FrameWishes wishes={wishes} wrong={wrong} onChange={set} />
                </div>
            </div>
            <details
                className={cx('wishes-lessons')}
                open={Object.keys({ ...wishes.not_before, ...wishes.not_after }).length + wishes.together.length + wishes.home.length > 0}>
                <summary>{t('plan.lessonByLessonNotBefore')}</summary>
                <LessonWishes p={p} wishes={wishes} onChange={set} />
            </details>
            <p className={cx('wishes-acts')}>
                <Button disabled={busy} onClick={() => onLay(wishes)}>
                    {t('plan.layItOutWithThese')}
                </Button>
                <Button variant="default" disabled={busy} onClick={() => onTry(wishes)}>
                    {t('plan.showItBesideThePlan')}
                </Button>
                <Button variant="subtle" onClick={() => setWishes(p.wishes)}>
                    {t('plan.asTheyWere')}
                </Button>
            </p>
        </section>
    )
}
