import { Button, TextInput, UnstyledButton } from '@mantine/core'
import { useState } from 'react'
import { api, ask, type View } from '../../api/client'
import { readAgain, useChange } from '../../api/queries'
import { t } from '../../text/words'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'

const FIRST = 4

/** What is next and why; another in one touch, with or without a reason. */
export function NextStep({ id, s }: { id: string; s: View['StudentView'] }) {
    const [because, setBecause] = useState('')
    const [all, setAll] = useState(false)
    const choose = useChange('sample', async (c: { lesson: string; drill: string | null }) => {
        await ask(
            api.POST('/api/classes/{class}/students/{student}/next', {
                params: { path: { class: id, student: s.student } },
                body: { ...c, because, given: s.assigned },
            }),
        )
        setBecause('')
    })
    const { advice } = s
    const other = advice.candidates.filter((c) => c.lesson !== s.in_hand.lesson || c.drill !== s.in_hand.drill)
    // First what is ready, then what stands on something open; what is there already comes last: it is hardly ever sewn again.
    const rank = (c: View['CandidateView']) => (c.passed ? 2 : c.ready ? 0 : 1)
    const others = [...other].sort((a, b) => rank(a) - rank(b))
    return (
        <section className={cx('next-step')}>
            <small>{s.in_hand.overruled ? t('common.yourChoice') : t('common.nextLesson')}</small>
            <h2>{s.in_hand.title === '' ? t('common.theCourseIsDone2') : s.in_hand.title}</h2>
            <p>
                {s.in_hand.change}
                {s.then !== '' && (
                    <>
                        {' '}
                        <span className={cx('quiet')}>{t('student.then', { lesson: s.then })}</span>
                    </>
                )}
            </p>
            {s.in_hand.overruled && advice.lesson !== null && (
                <p>
                    {t('student.proposedIs', { lesson: advice.title })}{' '}
                    <Button
                        variant="default"
                        disabled={choose.isPending}
                        onClick={() => advice.lesson !== null && choose.mutate({ lesson: advice.lesson, drill: advice.drill })}>
                        {t('student.takeTheProposal')}
                    </Button>
                </p>
            )}
            <ul className={cx('why-list')}>
                {advice.reasons.map((r) => (
                    <li key={r.text}>{r.text}</li>
                ))}
            </ul>
            {advice.cannot !== null && <p className={cx('refused mild')}>{t('common.itCannotBeSewnIn', { why: advice.cannot })}</p>}
            {s.homework !== null && (
                <p>
                    <strong>{t('student.atHomeUntilThen2')}</strong> {s.homework.text}
                </p>
            )}
            <Trouble error={choose.error} />
            {choose.error?.status === 409 && (
                <Button
                    variant="default"
                    onClick={() => {
                        choose.reset()
                        void readAgain('sample')
                    }}>
                    {t('student.lookAtThat')}
                </Button>
            )}
            <h3>{t('student.orInstead')}</h3>
            <TextInput
                label={t('common.whyIfYouLike')}
                className={cx('because')}
                value={because}
                maxLength={200}
                onChange={(e) => setBecause(e.currentTarget.value)}
            />
            <ul className={cx('choices')}>
                {others.slice(0, all ? undefined : FIRST).map((c) => (
                    <li key={`${c.lesson}${c.drill ?? ''}`}>
                        <UnstyledButton
                            disabled={choose.isPending || (c.cannot !== null && because.trim() === '')}
                            onClick={() => choose.mutate({ lesson: c.lesson, drill: c.drill })}>
                            <strong>{c.title}</strong>
                            <span>
                                {t('common.min', { n: Math.round(c.minutes) })}
                                {!c.ready && ` · ${t('common.standsOnSomethingNotSure')}`}
                                {c.cannot !== null && ` · ${t('student.notInThisRoomSay')}`}
                            </span>
                        </UnstyledButton>
                    </li>
                ))}
            </ul>
            {others.length > FIRST && (
                <Button variant="subtle" onClick={() => setAll(!all)}>
                    {all ? t('student.fewer') : t('student.all', { n: others.length })}
                </Button>
            )}
        </section>
    )
}
