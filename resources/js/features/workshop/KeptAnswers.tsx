import { Button } from '@mantine/core'
import { api, ask, type View } from '../../api/client'
import { useAnswers, useChange } from '../../api/queries'
import { t } from '../../text/words'
import { cx } from './dress'

/** Workshop answers kept beside a lesson and, where a student is in hand, with the student. */
export function KeptAnswers({ lesson, student, open = false }: { lesson: string; student?: string; open?: boolean }) {
    const beside = useAnswers({ lesson })
    const own = useAnswers(student === undefined ? { lesson } : { student })
    const drop = useChange('workshop', (id: string) => ask(api.DELETE('/api/answers/{answer}', { params: { path: { answer: id } } })))
    const all: View['KeptAnswerView'][] = [...(student === undefined ? [] : (own.data ?? [])), ...(beside.data ?? [])]
    if (all.length === 0) return null
    return (
        <details className={cx('kept-fold')} open={open}>
            <summary>{t('workshop.settingsKeptForThis', { n: all.length })}</summary>
            <ul className={cx('kept-answers')}>
                {all.map((a) => (
                    <li key={a.id}>
                        <span>{a.text}</span>
                        <Button variant="subtle" aria-label={t('workshop.drop2', { text: a.text.slice(0, 40) })} onClick={() => drop.mutate(a.id)}>
                            {t('workshop.drop')}
                        </Button>
                    </li>
                ))}
            </ul>
        </details>
    )
}
