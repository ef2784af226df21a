import { Button } from '@mantine/core'
import { usePlanCosts } from '../../api/queries'
import { t } from '../../app/text'
import type { Plan, Wishes } from './usePlanning'

/** The dates are used up and lessons are left: says so, and offers as many dates as they take. */
export function MoreDates({ p, busy, onLay }: { p: Plan; busy: boolean; onLay: (wishes: Wishes) => void }) {
    const needed = usePlanCosts(p.class.id, p.version).data?.find((c) => c.sure === p.wishes.sure)?.sessions
    const more = Math.max(1, (needed ?? p.sessions.length + 1) - p.sessions.length)
    return (
        <span className="more-dates">
            {p.left.length === 1 ? t('The dates are used up: 1 lesson has none.') : t('The dates are used up: {n} lessons have none.', { n: p.left.length })}
            {needed !== undefined && (
                <Button variant="default" disabled={busy} onClick={() => onLay({ ...p.wishes, sessions: p.sessions.length + more })}>
                    {more === 1 ? t('Add 1 date') : t('Add {n} dates', { n: more })}
                </Button>
            )}
        </span>
    )
}
