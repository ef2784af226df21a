import { Modal, TextInput, UnstyledButton } from '@mantine/core'
import { useState } from 'react'
import { api, ask, type View } from '../../api/client'
import { useChange, useNext } from '../../api/queries'
import { t } from '../../text/words'
import { Trouble, Waiting } from '../../ui/Trouble'
import { cx } from './dress'

interface Props {
    id: string
    student: string
    name: string
    onClose: () => void
    /** Where the advice is at hand already, and the choice is kept with the sample. */
    advice?: View['AdviceView']
    onChoose?: (choice: View['ChoiceBody'], title: string) => void
}

/** Another lesson than the proposed one, in one touch; why can be said. */
export function ChooseLesson({ id, student, name, onClose, advice, onChoose }: Props) {
    const [because, setBecause] = useState('')
    const asked = useNext(id, student, advice === undefined)
    const choose = useChange('sample', async (choice: View['ChoiceBody']) => {
        await ask(api.POST('/api/classes/{class}/students/{student}/next', { params: { path: { class: id, student } }, body: choice }))
        onClose()
    })
    const list = advice ?? asked.data
    return (
        <Modal opened onClose={onClose} title={t('look.whatDoesSewNext', { name })} size="lg">
            <TextInput
                label={t('common.whyIfYouLike')}
                className={cx('because')}
                value={because}
                maxLength={200}
                onChange={(e) => setBecause(e.currentTarget.value)}
                placeholder={t('look.wantsToHemASkirt')}
            />
            <Trouble error={choose.error ?? asked.error} />
            {list === undefined ? (
                <Waiting what={t('common.looking')} />
            ) : (
                <ul className={cx('choices')}>
                    {list.candidates.map((c, i) => (
                        <li key={`${c.lesson}${c.drill ?? ''}`}>
                            <UnstyledButton
                                disabled={c.cannot !== null && because.trim() === ''}
                                onClick={() => {
                                    const choice = { lesson: c.lesson, drill: c.drill, because }
                                    if (onChoose === undefined) choose.mutate(choice)
                                    else onChoose(choice, c.title)
                                }}>
                                <strong>{c.title}</strong>
                                <span>
                                    {t('common.min', { n: Math.round(c.minutes) })}
                                    {i === 0 ? ` · ${t('look.proposed')}` : c.ready ? '' : ` · ${t('common.standsOnSomethingNotSure')}`}
                                    {c.cannot !== null && <em className={cx('cannot')}>{t('look.cannotBeSewnInThis', { why: c.cannot })}</em>}
                                </span>
                            </UnstyledButton>
                        </li>
                    ))}
                </ul>
            )}
        </Modal>
    )
}
