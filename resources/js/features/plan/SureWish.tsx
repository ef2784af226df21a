import { NativeSelect } from '@mantine/core'
import { t } from '../../text/words'
import { tenths } from './PlanCosts'
import type { Wishes } from './usePlanning'

const SHARES = [0.5, 0.6, 0.7, 0.8, 0.9, 0.95]

/** How much of the class is to have the course done: the time to sew again follows from it. */
export function SureWish({ value, onChange }: { value: Wishes['sure']; onChange: (sure: Wishes['sure']) => void }) {
    const known = value === null || SHARES.includes(value) ? SHARES : [...SHARES, value].sort()
    return (
        <NativeSelect
            label={t('plan.timeToSewAgain')}
            description={t('plan.whySure')}
            value={value === null ? '' : String(value)}
            onChange={(e) => onChange(e.currentTarget.value === '' ? null : Number(e.currentTarget.value))}
            data={[
                { value: '', label: t('plan.noneOneSampleOfEach') },
                ...known.map((s) => ({ value: String(s), label: t('plan.soThatOf10AreSure', { n: tenths(s) }) })),
            ]}
        />
    )
}
