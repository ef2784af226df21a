import { Button, PasswordInput, TextInput } from '@mantine/core'
import { useMutation, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { api, ask, type Problem } from '../../api/client'
import { enteredAs } from '../../keeping/seen'
import { PRODUCT, t } from '../../text/words'
import { Trouble, Waiting } from '../../ui/Trouble'
import { Frame } from './Frame'

export const ROLE_WORDS = { owner: t('signin.anOwner'), teacher: t('signin.aTeacher'), helper: t('signin.aHelper') } as const

/** Takes up an invitation into a studio. */
export function JoinPage() {
    const { token = '' } = useParams()
    const navigate = useNavigate()
    const read = useQuery({ queryKey: ['join', token], queryFn: () => ask(api.GET('/api/join/{token}', { params: { path: { token } } })), retry: false })
    const [form, setForm] = useState<{ name: string; email: string | null; password: string }>({ name: '', email: null, password: '' })
    const email = form.email ?? read.data?.email ?? ''
    const join = useMutation<unknown, Problem>({
        mutationFn: async () => {
            await ask(api.POST('/api/join/{token}', { params: { path: { token } }, body: { name: form.name, email, password: form.password } }))
            // The link is used up: it is not asked again.
            await navigate('/', { replace: true })
            await enteredAs(null)
        },
    })
    if (read.data === undefined) {
        return read.error === null ? (
            <Waiting what={t('common.opening')} />
        ) : (
            <Frame title={PRODUCT} onSubmit={() => undefined}>
                <p>{t('signin.thisLinkDoesNotWork')}</p>
                <Link to="/">{t('signin.toSignIn')}</Link>
            </Frame>
        )
    }
    return (
        <Frame title={read.data.studio} onSubmit={() => join.mutate()}>
            <p>{t('signin.youAreInvitedAs', { role: ROLE_WORDS[read.data.role] })}</p>
            <TextInput
                label={t('common.yourName')}
                autoComplete="name"
                required
                withAsterisk={false}
                value={form.name}
                error={join.error?.all.name}
                onChange={(e) => setForm({ ...form, name: e.currentTarget.value })}
            />
            <TextInput
                label={t('signin.eMail')}
                type="email"
                autoComplete="username"
                required
                withAsterisk={false}
                value={email}
                error={join.error?.all.email}
                onChange={(e) => setForm({ ...form, email: e.currentTarget.value })}
            />
            <PasswordInput
                label={t('common.password')}
                description={t('common.n10CharactersOrMoreThree')}
                autoComplete="new-password"
                required
                withAsterisk={false}
                value={form.password}
                error={join.error?.all.password}
                onChange={(e) => setForm({ ...form, password: e.currentTarget.value })}
            />
            <Trouble error={join.error} />
            <Button type="submit" loading={join.isPending}>
                {t('signin.join')}
            </Button>
        </Frame>
    )
}
