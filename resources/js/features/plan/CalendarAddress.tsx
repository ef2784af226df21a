import { Button, CopyButton, TextInput } from '@mantine/core'
import { useState } from 'react'
import { api, ask } from '../../api/client'
import { useChange } from '../../api/queries'
import { t } from '../../text/words'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'

/** A private address that a calendar reads again and again: it follows the plan. */
export function CalendarAddress({ id }: { id: string }) {
    const [address, setAddress] = useState<string | null>(null)
    const path = { params: { path: { class: id } } }
    const open = useChange('nothing', async () => {
        const { calendar } = await ask(api.POST('/api/classes/{class}/calendar', path))
        setAddress(`${window.location.origin}/api/calendar/${calendar}`)
    })
    const close = useChange('nothing', async () => {
        await ask(api.DELETE('/api/classes/{class}/calendar', path))
        setAddress(null)
    })
    return (
        <details className={cx('calendar-address')}>
            <summary>{t('plan.calendarAddress')}</summary>
            <p className={cx('quiet')}>{t('plan.calendarFollows')}</p>
            {address !== null && (
                <div className={cx('with-copy')}>
                    <TextInput label={t('plan.theAddress')} readOnly value={address} onFocus={(e) => e.currentTarget.select()} />
                    <CopyButton value={address}>
                        {({ copied, copy }) => (
                            <Button variant="default" onClick={copy}>
                                {copied ? t('plan.copied') : t('plan.copyIt')}
                            </Button>
                        )}
                    </CopyButton>
                </div>
            )}
            <div className={cx('acts')}>
                <Button variant="default" disabled={open.isPending} onClick={() => open.mutate(undefined)}>
                    {address === null ? t('plan.makeAnAddress') : t('plan.makeAnotherAddress')}
                </Button>
                <Button variant="subtle" disabled={close.isPending} onClick={() => close.mutate(undefined)}>
                    {t('plan.takeTheAddressBack')}
                </Button>
                {close.isSuccess && address === null && <span role="status">{t('plan.addressLeadsNowhere')}</span>}
            </div>
            <Trouble error={open.error ?? close.error} />
        </details>
    )
}
