import { Radio } from '@mantine/core'
import { t } from '../../text/words'
import { Word } from '../../ui/Word'
import { cx } from './dress'
import type { Wishes } from './usePlanning'

/** Schools of teaching differ in what comes first; where needs leave a choice, this decides. */
export function OrderWish({ value, onChange }: { value: Wishes['order']; onChange: (order: Wishes['order']) => void }) {
    const orders: [Wishes['order'], string, string][] = [
        ['course', t('plan.asTheCourseHasIt'), t('plan.inTheCoursesOwnOrder')],
        ['stitches-first', t('plan.stitchesFirst'), t('plan.strandByStrand')],
        ['feet-first', t('plan.feetFirst'), t('plan.allUnderOneFootThen')],
        ['one-day', t('plan.oneDay'), t('plan.whatTheFirstSessionHolds')],
    ]
    return (
        <fieldset className={cx('order-wish')}>
            <legend>
                {t('plan.whatComesFirst')} <Word of="strand" />
            </legend>
            {orders.map(([id, title, how]) => (
                <Radio
                    label={
                        <>
                            <span>
                                {title}
                                <small>{how}</small>
                            </span>
                        </>
                    }
                    key={id}
                    name="order"
                    checked={value === id}
                    onChange={() => onChange(id)}
                />
            ))}
        </fieldset>
    )
}
