import { Button, PasswordInput, TextInput } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { api, ask } from '../../api/client'
import { useChange } from '../../api/queries'
import { enteredAs } from '../../keeping/seen'
import { PRODUCT, t } from '../../text/words'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'
import { Frame } from './Frame'

const EMPTY = { studio: '', name: '', email: '', password: '' }

/** Sign in, or open a studio of one's own: by the link one was given, or freely where that is so set. */
export function SignInPage({ opening = false }: { opening?: boolean }) {
    const { link } = useParams()
    const [form, setForm] = useState(EMPTY)
    const navigate = useNavigate()
    const registration = useQuery({ queryKey: ['registration'], queryFn: () => ask(api.GET('/api/registration')), staleTime: 60_000 })
    const enter = useChange('everything', async () => {
        await ask(
            opening
                ? api.POST('/api/studios', { body: { ...form, timezone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC', link: link ?? null } })
                : api.POST('/api/sign-in', { body: { email: form.email, password: form.password } }),
        )
        // Whoever signs in is where they wanted to be; a new studio begins at its beginning.
        if (opening) await navigate('/', { replace: true })
        await enteredAs(form.email)
    })
    const field = (name: keyof typeof EMPTY) => ({
        value: form[name],
        required: true,
        withAsterisk: false,
        error: enter.error?.all[name],
        onChange: (e: { currentTarget: { value: string } }) => setForm({ ...form, [name]: e.currentTarget.value }),
    })
    const closed = opening && link === undefined && registration.data?.open === false
    return (
        <Frame title={PRODUCT} onSubmit={() => enter.mutate(undefined)}>
            <p>{opening ? t('signin.aStudioOfYourOwn') : t('signin.lookAtTheSampleLay')}</p>
            {closed ? (
                <p className={cx('refused mild')}>{t('signin.aStudioIsOpenedHere')}</p>
            ) : (
                <>
                    {opening && <TextInput label={t('common.nameOfTheStudio')} autoComplete="organization" {...field('studio')} />}
                    {opening && <TextInput label={t('common.yourName')} autoComplete="name" {...field('name')} />}
                    <TextInput label={t('signin.eMail')} type="email" autoComplete="username" {...field('email')} />
                    <PasswordInput
                        label={t('common.password')}
                        description={opening ? t('common.n10CharactersOrMoreThree') : undefined}
                        autoComplete={opening ? 'new-password' : 'current-password'}
                        {...field('password')}
                    />
                    <Trouble error={enter.error} />
                    <Button type="submit" loading={enter.isPending}>
                        {opening ? t('signin.openTheStudio') : t('signin.signIn')}
                    </Button>
                </>
            )}
            {!opening && <Link to="/forgot-password">{t('signin.iForgotMyPassword')}</Link>}
            {opening ? (
                <Link to="/">{t('signin.iHaveAnAccount')}</Link>
            ) : (
                registration.data?.open === true && <Link to="/open-a-studio">{t('signin.openAStudioOfYour')}</Link>
            )}
        </Frame>
    )
}
