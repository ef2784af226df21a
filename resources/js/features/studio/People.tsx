import { Button, NativeSelect, TextInput } from '@mantine/core'
import { useState } from 'react'
import { api, ask, type View } from '../../api/client'
import { useChange } from '../../api/queries'
import { t } from '../../text/words'
import { copyText } from '../../ui/copyText'
import { Sure } from '../../ui/Sure'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'

type Role = View['RoleBody']['role']

const ROLE_NAMES = { owner: 'studio.roleOwner', teacher: 'studio.roleTeacher', helper: 'studio.roleHelper' } as const
const ROLES: { value: Role; label: string }[] = [
    { value: 'owner', label: t('studio.ownerEverything') },
    { value: 'teacher', label: t('studio.teacherOwnAndSharedClasses') },
    { value: 'helper', label: t('studio.helperSamplesOfTheDay') },
]

/** Who is in the studio and what they do; who is asked in. */
export function People({ s }: { s: View['StudioView'] }) {
    const [gone, setGone] = useState<View['PersonView'] | null>(null)
    const role = useChange('people', (of: { id: string; role: Role }) =>
        ask(api.PUT('/api/studio/people/{person}', { params: { path: { person: of.id } }, body: { role: of.role } })),
    )
    const remove = useChange('people', async (id: string) => {
        await ask(api.DELETE('/api/studio/people/{person}', { params: { path: { person: id } } }))
        setGone(null)
    })
    const back = useChange('people', (id: string) => ask(api.DELETE('/api/studio/invitations/{invitation}', { params: { path: { invitation: id } } })))
    return (
        <section>
            <h2>{t('studio.people')}</h2>
            <ul className={cx('plain people')}>
                {s.people.map((p) => (
                    <li key={p.id}>
                        <span>
                            <b>{p.name}</b>
                            {p.me && <> · {t('studio.you')}</>}
                            <small>{p.email}</small>
                        </span>
                        <NativeSelect
                            aria-label={t('studio.whatDoes', { name: p.name })}
                            value={p.role}
                            data={ROLES}
                            onChange={(e) => role.mutate({ id: p.id, role: e.currentTarget.value as Role })}
                        />
                        {!p.me && (
                            <Button variant="subtle" onClick={() => setGone(p)}>
                                {t('studio.remove')}
                            </Button>
                        )}
                    </li>
                ))}
                {s.invitations.map((i) => (
                    <li key={i.id}>
                        <span>
                            {i.email === '' ? t('studio.invitedByLink') : i.email}
                            <small>{t('studio.invitedAsNotThereYet', { role: t(ROLE_NAMES[i.role]) })}</small>
                        </span>
                        <Button variant="subtle" onClick={() => back.mutate(i.id)}>
                            {t('studio.takeItBack')}
                        </Button>
                    </li>
                ))}
            </ul>
            <Trouble error={role.error ?? back.error} />
            <Invite mails={s.mails} />
            <Sure
                title={t('studio.remove3', { name: gone?.name ?? '' })}
                act={t('studio.remove2')}
                opened={gone !== null}
                error={remove.error}
                pending={remove.isPending}
                onClose={() => setGone(null)}
                onAct={() => gone !== null && remove.mutate(gone.id)}>
                <p>{t('studio.theyCannotSignInAny')}</p>
            </Sure>
        </section>
    )
}

function Invite({ mails }: { mails: boolean }) {
    const [email, setEmail] = useState('')
    const [role, setRole] = useState<Role>('teacher')
    const invite = useChange('people', (by: 'mail' | 'link') => ask(api.POST('/api/studio/invitations', { body: by === 'mail' ? { role, email } : { role } })))
    const made = invite.data
    return (
        <form
            onSubmit={(e) => {
                e.preventDefault()
                invite.mutate('mail')
            }}>
            <TextInput
                label={t('studio.inviteSomebody')}
                type="email"
                placeholder={t('studio.eMail')}
                value={email}
                error={invite.error?.all.email}
                onChange={(e) => setEmail(e.currentTarget.value)}
            />
            <NativeSelect aria-label={t('studio.as')} value={role} data={ROLES} onChange={(e) => setRole(e.currentTarget.value as Role)} />
            <p className={cx('settings-row')}>
                <Button type="submit" variant="default" disabled={email === ''} loading={invite.isPending}>
                    {t('studio.sendItByMail')}
                </Button>
                <Button variant="default" loading={invite.isPending} onClick={() => invite.mutate('link')}>
                    {t('studio.makeALink')}
                </Button>
            </p>
            {made !== undefined && (
                <p role="status">
                    {made.mailed && (mails ? t('studio.itIsOnItsWay') : t('studio.noMailGoesOutHere'))}
                    <span className={cx('own-link')}>{made.link}</span>{' '}
                    <Button variant="subtle" onClick={() => void copyText(made.link)}>
                        {t('studio.copy')}
                    </Button>{' '}
                    <small>{t('studio.itWorksOnceForTwo')}</small>
                </p>
            )}
            {invite.error !== null && invite.error.all.email === undefined && <Trouble error={invite.error} />}
        </form>
    )
}
