import { Button, PasswordInput, TextInput } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { api, ask } from '../../api/client'
import { useChange } from '../../api/queries'
import { t } from '../../app/text'
import { Trouble } from '../../ui/Trouble'
import { Frame } from './Frame'

const EMPTY = { studio: '', name: '', email: '', password: '' }

/** Sign in, or open a studio of one's own: by the link one was given, or freely where that is so set. */
export function SignInPage({ opening = false }: { opening?: boolean }) {
    const { link } = useParams()
    const [form, setForm] = useState(EMPTY)
    const navigate = useNavigate()
    const registration = useQuery({ queryKey: ['registration'], queryFn: () => ask(api.GET('/api/registration')), staleTime: 60_000 })
    const enter = useChange(async () => {
        await ask(
            opening
                ? api.POST('/api/studios', { body: { ...form, timezone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC', link: link ?? null } })
                : api.POST('/api/sign-in', { body: { email: form.email, password: form.password } }),
        )
        await navigate('/', { replace: true })
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
        <Frame title="Open Seam" onSubmit={() => enter.mutate(undefined)}>
            <p>
                {opening
                    ? t('A studio of your own: your classes, students and samples, seen by nobody else.')
                    : t('Look at the sample, lay the ruler on, know what comes next.')}
            </p>
            {closed ? (
                <p className="refused mild">{t('A studio is opened here with a link from whoever runs this Open Seam. Ask them for one.')}</p>
            ) : (
                <>
                    {opening && <TextInput label={t('Name of the studio')} autoComplete="organization" {...field('studio')} />}
                    {opening && <TextInput label={t('Your name')} autoComplete="name" {...field('name')} />}
                    <TextInput label={t('E-mail')} type="email" autoComplete="username" {...field('email')} />
                    <PasswordInput
                        label={t('Password')}
                        description={opening ? t('10 characters or more; three words are good') : undefined}
                        autoComplete={opening ? 'new-password' : 'current-password'}
                        {...field('password')}
                    />
                    <Trouble error={enter.error} />
                    <Button type="submit" loading={enter.isPending}>
                        {opening ? t('Open the studio') : t('Sign in')}
                    </Button>
                </>
            )}
            {!opening && <Link to="/forgot-password">{t('I forgot my password')}</Link>}
            {opening ? (
                <Link to="/">{t('I have an account')}</Link>
            ) : (
                registration.data?.open === true && <Link to="/open-a-studio">{t('Open a studio of your own')}</Link>
            )}
        </Frame>
    )
}
