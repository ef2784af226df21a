import { UnstyledButton } from '@mantine/core'
import { usePlanCosts } from '../../api/queries'
import { t } from '../../app/text'
import type { Plan, Wishes } from './usePlanning'

/** Two ways to plan, each with what it costs in sessions; the teacher chooses. */
export function PlanCosts({ p, busy, onLay }: { p: Plan; busy: boolean; onLay: (wishes: Wishes) => void }) {
    const costs = usePlanCosts(p.class.id, p.version)
    if (costs.data === undefined)
        return costs.error === null ? (
            <p className="plan-costs">
                <span>{t('reckoning what repeats take')}</span>
            </p>
        ) : null
    return (
        <div className="plan-costs" role="radiogroup" aria-label={t('Time to sew again')}>
            {costs.data.map((c) => {
                const more = c.sessions - p.sessions.length
                const on = p.wishes.sure === c.sure
                return (
                    <UnstyledButton
                        key={c.sure ?? 0}
                        role="radio"
                        aria-checked={on}
                        className={on ? 'cost on' : 'cost'}
                        disabled={busy}
                        onClick={() => {
                            if (!on || more > 0) onLay({ ...p.wishes, sure: c.sure, sessions: Math.max(p.sessions.length, c.sessions) })
                        }}>
                        <strong>{c.sure === null ? t('One sample each') : t('So that {n} of 10 are sure', { n: tenths(c.sure) })}</strong>
                        <span>
                            {c.sessions === 1 ? t('1 session') : t('{n} sessions', { n: c.sessions })}
                            {c.samples !== null && ` · ${t('{n} more samples a student', { n: c.samples })}`}
                        </span>
                        <small>
                            {more > 0
                                ? more === 1
                                    ? t('lays it out with 1 date more')
                                    : t('lays it out with {n} dates more', { n: more })
                                : on
                                  ? t('this is the plan')
                                  : t('lays it out so')}
                        </small>
                    </UnstyledButton>
                )
            })}
        </div>
    )
}

/** 0.8 is 8 of 10; 0.95 is 9.5 of 10. */
export const tenths = (share: number): number => Math.round(share * 100) / 10
