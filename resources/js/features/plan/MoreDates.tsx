import { Button } from '@mantine/core'
import { usePlanCosts } from '../../api/queries'
import { t } from '../../text/words'
import { cx } from './dress'
import type { Plan, Wishes } from './usePlanning'

/** The dates are used up and lessons are left: says so, and offers as many dates as they take. */
export function MoreDates({ p, busy, onLay }: { p: Plan; busy: boolean; onLay: (wishes: Wishes) => void }) {
    const needed = usePlanCosts(p.class.id, p.version).data?.find((c) => c.sure === p.wishes.sure)?.sessions
    const more = Math.max(1, (needed ?? p.sessions.length + 1) - p.sessions.length)
    return (
        <span className={cx('more-dates')}>
            {t('plan.theDatesAreUsedUpLessons', { n: p.left.length })}
            {needed !== undefined && (
                <Button variant="default" disabled={busy} onClick={() => onLay({ ...p.wishes, sessions: p.sessions.length + more })}>
                    {t('plan.addDates', { n: more })}
                </Button>
            )}
        </span>
    )
}
