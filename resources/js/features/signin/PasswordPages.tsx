import { Button, PasswordInput, TextInput } from '@mantine/core'
import { useState } from 'react'
import { Link, useNavigate, useParams, useSearchParams } from 'react-router'
import { api, ask } from '../../api/client'
import { useChange } from '../../api/queries'
import { t } from '../../app/text'
import { Trouble } from '../../ui/Trouble'
import { Frame } from './Frame'

/** Asks for a link to choose a new password; says the same whoever asks. */
export function ForgotPage() {
    const [email, setEmail] = useState('')
    const send = useChange(() => ask(api.POST('/api/forgot-password', { body: { email } })))
    return (
        <Frame title={t('A new password')} onSubmit={() => send.mutate(undefined)}>
            {send.isSuccess ? (
                <p role="status">
                    {t(
                        'If there is such an account, a link is on its way to it. Where this Open Seam sends no mail, whoever runs it finds the link with ./seam mail.',
                    )}
                </p>
            ) : (
                <>
                    <TextInput
                        label={t('E-mail')}
                        type="email"
                        autoComplete="username"
                        required
                        withAsterisk={false}
                        value={email}
                        error={send.error?.all.email}
                        onChange={(e) => setEmail(e.currentTarget.value)}
                    />
                    <Trouble error={send.error} />
                    <Button type="submit" loading={send.isPending}>
                        {t('Send me a link')}
                    </Button>
                </>
            )}
            <Link to="/">{t('Back to sign in')}</Link>
        </Frame>
    )
}

/** Chooses a new password by the link that was sent. */
export function NewPasswordPage() {
    const { token = '' } = useParams()
    const [search] = useSearchParams()
    const [password, setPassword] = useState('')
    const navigate = useNavigate()
    const change = useChange(async () => {
        await ask(api.POST('/api/new-password', { body: { token, email: search.get('email') ?? '', password } }))
        await navigate('/', { replace: true })
    })
    return (
        <Frame title={t('A new password')} onSubmit={() => change.mutate(undefined)}>
            <p>{t('For {email}. Everybody who is signed in with the old one is out.', { email: search.get('email') ?? '' })}</p>
            <PasswordInput
                label={t('New password')}
                description={t('10 characters or more; three words are good')}
                autoComplete="new-password"
                required
                withAsterisk={false}
                value={password}
                error={change.error?.all.password}
                onChange={(e) => setPassword(e.currentTarget.value)}
            />
            <Trouble error={change.error} />
            <Button type="submit" loading={change.isPending}>
                {t('Keep it')}
            </Button>
            <Link to="/forgot-password">{t('Ask for another link')}</Link>
        </Frame>
    )
}
