import { Button, PasswordInput, TextInput } from '@mantine/core'
import { useState } from 'react'
import { Link, useNavigate, useParams, useSearchParams } from 'react-router'
import { api, ask } from '../../api/client'
import { useChange } from '../../api/queries'
import { t } from '../../text/words'
import { Trouble } from '../../ui/Trouble'
import { Frame } from './Frame'

/** Asks for a link to choose a new password; says the same whoever asks. */
export function ForgotPage() {
    const [email, setEmail] = useState('')
    const send = useChange('account', () => ask(api.POST('/api/forgot-password', { body: { email } })))
    return (
        <Frame title={t('signin.aNewPassword')} onSubmit={() => send.mutate(undefined)}>
            {send.isSuccess ? (
                <p role="status">{t('signin.ifThereIsSuchAn')}</p>
            ) : (
                <>
                    <TextInput
                        label={t('signin.eMail')}
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
                        {t('signin.sendMeALink')}
                    </Button>
                </>
            )}
            <Link to="/">{t('signin.backToSignIn')}</Link>
        </Frame>
    )
}

/** Chooses a new password by the link that was sent. */
export function NewPasswordPage() {
    const { token = '' } = useParams()
    const [search] = useSearchParams()
    const [password, setPassword] = useState('')
    const navigate = useNavigate()
    const change = useChange('account', async () => {
        await ask(api.POST('/api/new-password', { body: { token, email: search.get('email') ?? '', password } }))
        await navigate('/', { replace: true })
    })
    return (
        <Frame title={t('signin.aNewPassword')} onSubmit={() => change.mutate(undefined)}>
            <p>{t('signin.forEverybodyWhoIsSigned', { email: search.get('email') ?? '' })}</p>
            <PasswordInput
                label={t('common.newPassword')}
                description={t('common.n10CharactersOrMoreThree')}
                autoComplete="new-password"
                required
                withAsterisk={false}
                value={password}
                error={change.error?.all.password}
                onChange={(e) => setPassword(e.currentTarget.value)}
            />
            <Trouble error={change.error} />
            <Button type="submit" loading={change.isPending}>
                {t('common.keepIt')}
            </Button>
            <Link to="/forgot-password">{t('signin.askForAnotherLink')}</Link>
        </Frame>
    )
}
