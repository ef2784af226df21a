import { Radio } from '@mantine/core'
import { t } from '../../app/text'
import type { Wishes } from './usePlanning'

/** Schools of teaching differ in what comes first; where needs leave a choice, this decides. */
export function OrderWish({ value, onChange }: { value: Wishes['order']; onChange: (order: Wishes['order']) => void }) {
    const orders: [Wishes['order'], string, string][] = [
        ['course', t('As the course has it'), t('in the course’s own order')],
        ['stitches-first', t('Stitches first'), t('strand by strand')],
        ['feet-first', t('Feet first'), t('all under one foot, then the next')],
        ['one-day', t('One day'), t('what the first session holds')],
    ]
    return (
        <fieldset className="order-wish">
            <legend>{t('What comes first')}</legend>
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
