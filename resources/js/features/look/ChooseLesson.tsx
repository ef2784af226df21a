import { Modal, TextInput, UnstyledButton } from '@mantine/core'
import { useState } from 'react'
import { api, ask, type View } from '../../api/client'
import { useChange, useNext } from '../../api/queries'
import { t } from '../../app/text'
import { Trouble, Waiting } from '../../ui/Trouble'

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
    const choose = useChange(async (choice: View['ChoiceBody']) => {
        await ask(api.POST('/api/classes/{class}/students/{student}/next', { params: { path: { class: id, student } }, body: choice }))
        onClose()
    })
    const list = advice ?? asked.data
    return (
        <Modal opened onClose={onClose} title={t('What does {name} sew next?', { name })} size="lg">
            <TextInput
                label={t('Why (if you like)')}
                className="because"
                value={because}
                maxLength={200}
                onChange={(e) => setBecause(e.currentTarget.value)}
                placeholder={t('wants to hem a skirt on Sunday')}
            />
            <Trouble error={choose.error ?? asked.error} />
            {list === undefined ? (
                <Waiting what={t('Looking')} />
            ) : (
                <ul className="choices">
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
                                    {t('{n} min', { n: Math.round(c.minutes) })}
                                    {i === 0 ? ` · ${t('proposed')}` : c.ready ? '' : ` · ${t('stands on something not sure yet')}`}
                                    {c.cannot !== null && (
                                        <em className="cannot">{t('Cannot be sewn in this room: {why} Say why first.', { why: c.cannot })}</em>
                                    )}
                                </span>
                            </UnstyledButton>
                        </li>
                    ))}
                </ul>
            )}
        </Modal>
    )
}
