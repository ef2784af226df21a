import { Button, Checkbox, Drawer, NativeSelect, Textarea, UnstyledButton } from '@mantine/core'
import { useState } from 'react'
import { api, ask, type View } from '../../api/client'
import { useChange, useLessons, useMe } from '../../api/queries'
import { useTyped } from '../../keeping/useTyped'
import { day } from '../../text/time'
import { t } from '../../text/words'
import { Choice } from '../../ui/Choice'
import { copyText } from '../../ui/copyText'
import { Saved } from '../../ui/Saved'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'
import { HomeMachine } from './HomeMachine'

/** The teacher's note, what the student wants to come to, a machine at home; and the page the student sees. */
export function AboutStudent({ id, s }: { id: string; s: View['StudentView'] }) {
    const lessons = useLessons(id).data ?? []
    const [note, setNote, forget] = useTyped(`about:${id}:${s.student}`, s.note)
    const [wish, setWish] = useState('')
    const [home, setHome] = useState(false)
    const path = { params: { path: { class: id, student: s.student } } }
    const keep = useChange('people', (but: Partial<View['StudentBody']>) =>
        ask(
            api.PUT('/api/classes/{class}/students/{student}', {
                ...path,
                body: { note, wishes: s.wishes.map((w) => w.id), own_machine: s.own_machine, ...but },
            }),
        ),
    )
    const open = useChange('people', () => ask(api.POST('/api/classes/{class}/students/{student}/page', path)))
    const close = useChange('people', () => ask(api.DELETE('/api/classes/{class}/students/{student}/page', path)))
    // The link is told once: only its digest is kept.
    const address = open.data === undefined ? '' : `${window.location.origin}/my/${open.data.page}`
    const zone = useMe().data?.timezone ?? 'UTC'
    return (
        <section className="about-student">
            <h3>{t('student.noteOnlyTeachersSeeIt')}</h3>
            <Textarea
                aria-label={t('common.note')}
                value={note}
                maxLength={1000}
                rows={2}
                onChange={(e) => setNote(e.currentTarget.value)}
                onBlur={() => (note === s.note ? forget() : keep.mutate({ note }, { onSuccess: forget }))}
            />
            <h3>{t('student.wantsToComeTo')}</h3>
            <p className={cx('wish-list')}>
                {s.wishes.map((w) => (
                    <UnstyledButton
                        key={w.id}
                        className={cx('wish')}
                        onClick={() => keep.mutate({ wishes: s.wishes.filter((x) => x.id !== w.id).map((x) => x.id) })}
                        aria-label={t('student.noLonger', { lesson: w.title })}>
                        {w.title} ×
                    </UnstyledButton>
                ))}
                <NativeSelect aria-label={t('student.aWish')} value={wish} onChange={(e) => setWish(e.currentTarget.value)}>
                    <option value="">{t('student.addALesson')}</option>
                    {lessons
                        .filter((l) => !s.wishes.some((w) => w.id === l.id))
                        .map((l) => (
                            <option key={l.id} value={l.id}>
                                {l.title}
                            </option>
                        ))}
                </NativeSelect>
                <Button
                    variant="default"
                    disabled={wish === '' || keep.isPending}
                    onClick={() => {
                        keep.mutate({ wishes: [...s.wishes.map((w) => w.id), wish] })
                        setWish('')
                    }}>
                    {t('common.add')}
                </Button>
            </p>
            <Checkbox
                label={t('student.hasAMachineAtHome')}
                className={cx('tick-box')}
                checked={s.own_machine}
                onChange={(e) => keep.mutate({ own_machine: e.currentTarget.checked })}
            />
            {s.own_machine && (
                <p>
                    {s.home === null ? t('student.nothingIsKnownOfIt') : <strong>{s.home}</strong>}{' '}
                    <Button variant="subtle" onClick={() => setHome(true)}>
                        {s.home === null ? t('student.sayWhatItIs') : t('student.changeTheMachine')}
                    </Button>
                </p>
            )}
            <Drawer opened={home} onClose={() => setHome(false)} position="right" size="lg" title={t('student.machineAtHomeOf', { name: s.name })}>
                {home && <HomeMachine of={{ class: id, student: s.student }} onDone={() => setHome(false)} />}
            </Drawer>
            <Choice
                label={t('student.sewsWith')}
                value={s.hand}
                options={[
                    { id: '' as const, title: t('student.handNotSaid') },
                    { id: 'right' as const, title: t('student.handRight') },
                    { id: 'left' as const, title: t('student.handLeft') },
                ]}
                onChange={(hand) => keep.mutate({ hand: hand === '' ? null : hand })}
            />
            <Saved saving={keep.isPending} saved={keep.isSuccess} />
            <h3>{t('student.thePageSees', { name: s.name })}</h3>
            {s.page_until === null ? (
                <p>
                    {t('student.aPrivateLinkNoSign')}{' '}
                    <Button variant="default" disabled={open.isPending} onClick={() => open.mutate(undefined)}>
                        {t('student.makeTheLink')}
                    </Button>
                </p>
            ) : (
                <>
                    {address === '' ? (
                        <p>{t('student.thereIsALinkUntil', { day: day(s.page_until, zone) })}</p>
                    ) : (
                        <p>
                            <a href={address} target="_blank" rel="noreferrer" className={cx('own-link')}>
                                {address}
                            </a>{' '}
                            <small>{t('student.untilItIsNotShown', { day: day(s.page_until, zone) })}</small>
                        </p>
                    )}
                    {address === '' ? (
                        <Button variant="default" disabled={open.isPending} onClick={() => open.mutate(undefined)}>
                            {t('student.makeANewLink')}
                        </Button>
                    ) : (
                        <Button variant="default" onClick={() => void copyText(address)}>
                            {t('common.copy')}
                        </Button>
                    )}{' '}
                    <Button variant="default" disabled={close.isPending} onClick={() => close.mutate(undefined)}>
                        {t('student.takeTheLinkBack')}
                    </Button>
                </>
            )}
            <Trouble error={keep.error ?? open.error ?? close.error} />
        </section>
    )
}
