import { Button } from '@mantine/core'
import type { View } from '../../api/client'
import { t } from '../../app/text'

/** The next lesson with its one change and its reasons, as the readings come in. */
export function Next({ judged, choice, onUndo }: { judged: View['JudgedView'] | undefined; choice: string | null; onUndo: () => void }) {
    if (judged?.verdict == null)
        return (
            <div className="next-lesson" aria-live="polite">
                <small>{t('next lesson')}</small>
                <p className="quiet">{t('Type what the ruler says; the next lesson appears here.')}</p>
            </div>
        )
    const { advice } = judged
    return (
        <div className="next-lesson" aria-live="polite">
            <small>
                {choice === null ? t('next lesson') : t('your choice')}
                {!judged.complete && ` · ${t('so far')}`}
            </small>
            <h2>
                {choice ??
                    (advice.lesson === null
                        ? t('The course is done')
                        : `${advice.title}${advice.kind === 'repeat' ? t(', again') : advice.kind === 'refresh' ? t(', to refresh') : ''}`)}
            </h2>
            {choice !== null ? (
                <p>
                    {t('Instead of {lesson}.', { lesson: advice.title })}{' '}
                    <Button variant="subtle" onClick={onUndo}>
                        {t('Take the proposal after all')}
                    </Button>
                </p>
            ) : (
                <p>{advice.change.text}</p>
            )}
            {choice === null && <p className="why">{advice.reasons.map((r) => r.text).join(' ')}</p>}
            {choice === null && advice.cannot !== null && <p className="refused mild">{t('It cannot be sewn in this room: {why}', { why: advice.cannot })}</p>}
            {choice === null && advice.warm_up !== null && <p>{t('Warm-up: {what}', { what: advice.warm_up.text })}</p>}
        </div>
    )
}
