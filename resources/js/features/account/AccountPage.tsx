import { Button, PasswordInput, SegmentedControl, TextInput } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, ask, type View } from '../../api/client'
import { useChange, useMe } from '../../api/queries'
import { clock, day } from '../../text/time'
import { t } from '../../text/words'
import { cx } from '../../ui/dress'
import { Saved } from '../../ui/Saved'
import { Trouble, Waiting } from '../../ui/Trouble'

/** What one sets for oneself: name, unit, hand; the password; where one is signed in. */
export default function AccountPage() {
    const me = useMe()
    if (me.data === undefined) return <Waiting what={t('common.opening')} />
    return (
        <div className={cx('settings-page')}>
            <h1>
                {t('account.you')} <small>{me.data.email}</small>
            </h1>
            <Profile key={me.data.name} me={me.data} />
            <Password />
            <Devices zone={me.data.timezone} />
        </div>
    )
}

function Profile({ me }: { me: View['MeView'] }) {
    const [name, setName] = useState(me.name)
    const set = useChange('account', (body: View['MeBody']) => ask(api.PATCH('/api/me', { body })))
    return (
        <section>
            <TextInput
                label={t('common.yourName')}
                value={name}
                maxLength={80}
                onChange={(e) => setName(e.currentTarget.value)}
                onBlur={() => name.trim() !== '' && name !== me.name && set.mutate({ name })}
            />
            <div className={cx('settings-row')}>
                <span id="unit">{t('account.lengthsIn')}</span>
                <SegmentedControl
                    aria-labelledby="unit"
                    value={me.unit}
                    onChange={(unit) => set.mutate({ unit })}
                    data={[
                        { value: 'mm', label: t('account.millimetres') },
                        { value: 'in', label: t('account.inches') },
                    ]}
                />
                <small>{t('account.stitchesStayInMm')}</small>
            </div>
            <div className={cx('settings-row')}>
                <span id="hand">{t('account.sheetsForThe')}</span>
                <SegmentedControl
                    aria-labelledby="hand"
                    value={me.hand}
                    onChange={(hand) => set.mutate({ hand })}
                    data={[
                        { value: 'right', label: t('account.rightHand') },
                        { value: 'left', label: t('account.leftHand') },
                    ]}
                />
            </div>
            <Saved saving={set.isPending} saved={set.isSuccess} />
            <Trouble error={set.error} />
        </section>
    )
}

function Password() {
    const [current, setCurrent] = useState('')
    const [password, setPassword] = useState('')
    const change = useChange('account', async () => {
        await ask(api.PUT('/api/me/password', { body: { current, password } }))
        setCurrent('')
        setPassword('')
    })
    return (
        <section>
            <h2>{t('common.password')}</h2>
            <form
                onSubmit={(e) => {
                    e.preventDefault()
                    change.mutate(undefined)
                }}>
                <PasswordInput
                    label={t('account.presentPassword')}
                    autoComplete="current-password"
                    value={current}
                    error={change.error?.field === 'current' ? change.error.message : null}
                    onChange={(e) => setCurrent(e.currentTarget.value)}
                />
                <PasswordInput
                    label={t('common.newPassword')}
                    description={t('common.n10CharactersOrMoreThree')}
                    autoComplete="new-password"
                    value={password}
                    error={change.error?.all.password}
                    onChange={(e) => setPassword(e.currentTarget.value)}
                />
                <Button type="submit" variant="default" disabled={current === '' || password === ''} loading={change.isPending}>
                    {t('common.changeIt')}
                </Button>
                <p className={cx('quiet')} role="status">
                    {change.isSuccess ? t('account.changedEverywhereElseYouAre') : ''}
                </p>
                {change.error !== null && change.error.status !== 422 && <Trouble error={change.error} />}
            </form>
        </section>
    )
}

function Devices({ zone }: { zone: string }) {
    const read = useQuery({ queryKey: ['devices'], queryFn: () => ask(api.GET('/api/me/devices')) })
    const end = useChange('account', () => ask(api.DELETE('/api/me/devices')))
    return (
        <section>
            <h2>{t('account.whereYouAreSignedIn')}</h2>
            <ul className={cx('plain')}>
                {(read.data ?? []).map((d) => (
                    <li key={d.id}>
                        <b>{d.what === '' ? t('account.aBrowser') : d.what}</b>
                        {d.here && <> · {t('account.thisOne')}</>}{' '}
                        <small>{t('account.lastUsed', { when: `${day(d.last_at, zone)}, ${clock(d.last_at, zone)}` })}</small>
                    </li>
                ))}
            </ul>
            <Button variant="default" loading={end.isPending} onClick={() => end.mutate(undefined)}>
                {t('account.signOutEverywhereElse')}
            </Button>
            <Trouble error={read.error ?? end.error} />
        </section>
    )
}
