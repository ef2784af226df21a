import { UnstyledButton } from '@mantine/core'
import { usePlanCosts } from '../../api/queries'
import { t } from '../../text/words'
import { cx } from './dress'
import type { Plan, Wishes } from './usePlanning'

/** Two ways to plan, each with what it costs in sessions; the teacher chooses. */
export function PlanCosts({ p, busy, onLay }: { p: Plan; busy: boolean; onLay: (wishes: Wishes) => void }) {
    const costs = usePlanCosts(p.class.id, p.version)
    if (costs.data === undefined)
        return costs.error === null ? (
            <p className={cx('plan-costs')}>
                <span>{t('plan.reckoningWhatRepeatsTake')}</span>
            </p>
        ) : null
    return (
        <div className={cx('plan-costs')} role="radiogroup" aria-label={t('plan.timeToSewAgain')}>
            {costs.data.map((c) => {
                const more = c.sessions - p.sessions.length
                const on = p.wishes.sure === c.sure
                return (
                    <UnstyledButton
                        key={c.sure ?? 0}
                        role="radio"
                        aria-checked={on}
                        className={cx(on ? 'cost on' : 'cost')}
                        disabled={busy}
                        onClick={() => {
                            if (!on || more > 0) onLay({ ...p.wishes, sure: c.sure, sessions: Math.max(p.sessions.length, c.sessions) })
                        }}>
                        <strong>{c.sure === null ? t('plan.oneSampleEach') : t('plan.soThatOf10Are', { n: tenths(c.sure) })}</strong>
                        <span>
                            {t('plan.sessions3', { n: c.sessions })}
                            {c.samples !== null && ` · ${t('plan.moreSamplesAStudent', { n: c.samples })}`}
                        </span>
                        <small>
                            {more > 0
                                ? more === 1
                                    ? t('plan.laysItOutWith1')
                                    : t('plan.laysItOutWithDates', { n: more })
                                : on
                                  ? t('plan.thisIsThePlan')
                                  : t('plan.laysItOutSo')}
                        </small>
                    </UnstyledButton>
                )
            })}
        </div>
    )
}

/** 0.8 is 8 of 10; 0.95 is 9.5 of 10. */
export const tenths = (share: number): number => Math.round(share * 100) / 10
