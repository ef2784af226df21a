import { Button } from '@mantine/core'
import type { View } from '../../api/client'
import { t } from '../../text/words'
import { cx } from './dress'

interface Props {
    judged: View['JudgedView'] | undefined
    /** What is typed is not judged yet: what is shown is of what was typed before. */
    pending: boolean
    choice: string | null
    onUndo: () => void
}

/** The next lesson with its one change and its reasons, as the readings come in. */
export function Next({ judged, pending, choice, onUndo }: Props) {
    if (judged?.verdict == null)
        return (
            <div className={cx('next-lesson')} aria-live="polite">
                <small>{t('common.nextLesson')}</small>
                <p className={cx('quiet')}>{t(pending ? 'look.judging' : 'look.typeWhatTheRulerSays')}</p>
            </div>
        )
    const { advice } = judged
    return (
        <div className={cx(pending ? 'next-lesson pending' : 'next-lesson')} aria-live="polite" aria-busy={pending}>
            <small>
                {choice === null ? t('common.nextLesson') : t('common.yourChoice')}
                {!judged.complete && ` · ${t('look.soFar')}`}
                {pending && ` · ${t('look.judging')}`}
            </small>
            <h2>
                {choice ??
                    (advice.lesson === null
                        ? t('common.theCourseIsDone2')
                        : `${advice.title}${advice.kind === 'repeat' ? t('look.again') : advice.kind === 'refresh' ? t('look.toRefresh') : ''}`)}
            </h2>
            {choice !== null ? (
                <p>
                    {t('look.insteadOf', { lesson: advice.title })}{' '}
                    <Button variant="subtle" onClick={onUndo}>
                        {t('look.takeTheProposalAfterAll')}
                    </Button>
                </p>
            ) : (
                <p>{advice.change.text}</p>
            )}
            {choice === null && <p className={cx('why')}>{advice.reasons.map((r) => r.text).join(' ')}</p>}
            {choice === null && advice.cannot !== null && <p className={cx('refused mild')}>{t('common.itCannotBeSewnIn', { why: advice.cannot })}</p>}
            {choice === null && advice.warm_up !== null && <p>{t('look.warmUp', { what: advice.warm_up.text })}</p>}
        </div>
    )
}
