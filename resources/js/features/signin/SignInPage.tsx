import { Button, PasswordInput, TextInput } from '@mantine/core'
import { useState, type SubmitEvent } from 'react'
import { Link, useNavigate } from 'react-router'
import { api, ask } from '../../api/client'
import { useChange } from '../../api/queries'
import { t } from '../../app/text'
import { Trouble } from '../../ui/Trouble'

const EMPTY = { studio: '', name: '', email: '', password: '' }

/** Sign in, or open a studio of one's own. */
export function SignInPage({ opening = false }: { opening?: boolean }) {
    const [form, setForm] = useState(EMPTY)
    const navigate = useNavigate()
    const enter = useChange(async () => {
        await ask(opening
            ? api.POST('/api/studios', { body: { ...form, timezone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC' } })
            : api.POST('/api/sign-in', { body: { email: form.email, password: form.password } }))
        await navigate('/')
    })
    const field = (name: keyof typeof EMPTY) => ({
        value: form[name],
        required: true,
        withAsterisk: false,
        error: enter.error?.all[name],
        onChange: (e: { currentTarget: { value: string } }) => setForm({ ...form, [name]: e.currentTarget.value }),
    })
    const submit = (event: SubmitEvent) => {
        event.preventDefault()
        enter.mutate(undefined)
    }
    return (
        <main className="sign-in">
            <form onSubmit={submit}>
                <svg viewBox="0 0 340 60" aria-hidden="true" className="sign-in-seam">
                    <path d="M0 14h340M0 46h340" className="edge" />
                    <path d="M4 30h332" className="seam" />
                </svg>
                <h1>Open Seam</h1>
                <p>{opening ? t('A studio of your own: your classes, students and samples, seen by nobody else.') : t('Look at the sample, lay the ruler on, know what comes next.')}</p>
                {opening && <TextInput label={t('Name of the studio')} autoComplete="organization" {...field('studio')} />}
                {opening && <TextInput label={t('Your name')} autoComplete="name" {...field('name')} />}
                <TextInput label={t('E-mail')} type="email" autoComplete="username" {...field('email')} />
                <PasswordInput label={t('Password')} description={opening ? t('10 characters or more') : undefined} autoComplete={opening ? 'new-password' : 'current-password'} {...field('password')} />
                <Trouble error={enter.error} />
                <Button type="submit" loading={enter.isPending}>{opening ? t('Open the studio') : t('Sign in')}</Button>
                {opening ? <Link to="/">{t('I have an account')}</Link> : <Link to="/open-a-studio">{t('Open a studio of your own')}</Link>}
            </form>
        </main>
    )
}
