import { Modal, TextInput, UnstyledButton } from '@mantine/core'
import type { View } from '../../api/client'
import { useChange, useLessons, useNext } from '../../api/queries'
import { keepAct } from '../../keeping/spool'
import { useTyped } from '../../keeping/useTyped'
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
    const [because, setBecause, forget] = useTyped(`because:${id}:${student}`, '')
    const asked = useNext(id, student, advice === undefined)
    const lessons = useLessons(id)
    const choose = useChange('sample', async (choice: View['ChoiceBody']) => {
        await keepAct({ kind: 'choice', class: id, student, choice }, name, lessons.data?.find((l) => l.id === choice.lesson)?.title ?? choice.lesson)
        forget()
        onClose()
    })
    // Without a line nobody can say what suits: the whole shelf, in its order.
    const shelf =
        asked.error === null ? undefined : lessons.data?.map((l) => ({ lesson: l.id, drill: null, title: l.title, minutes: l.sew, ready: true, cannot: null }))
    const list = advice ?? asked.data ?? (shelf === undefined ? undefined : { candidates: shelf })
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
            <Trouble error={choose.error ?? (list === undefined ? asked.error : null)} />
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
                                    else {
                                        onChoose(choice, c.title)
                                        forget()
                                    }
                                }}>
                                <strong>{c.title}</strong>
                                <span>
                                    {t('common.min', { n: Math.round(c.minutes) })}
                                    {i === 0 && shelf === undefined ? ` · ${t('look.proposed')}` : c.ready ? '' : ` · ${t('common.standsOnSomethingNotSure')}`}
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
