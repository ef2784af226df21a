import { Problem } from '../api/client'
import { t } from '../text/words'
import { cx } from './dress'

/** What is wrong, what is allowed, what was kept; with the place where it is wrong in something that was not typed here. */
export function Trouble({ error, place = false }: { error: unknown; place?: boolean }) {
    if (error === null || error === undefined) return null
    const problem = error instanceof Problem ? error : null
    return (
        <div className={cx('trouble')} role="alert">
            {place && problem !== null && problem.status === 422 && <code>{problem.field}</code>}{' '}
            <strong>{problem?.message ?? t('common.somethingWentWrongLoadThe')}</strong>
            {problem !== null && problem.kept !== '' && <span> {problem.kept}</span>}
        </div>
    )
}

/** Shown while something is on its way for longer than a moment. */
export function Waiting({ what }: { what: string }) {
    return (
        <p className={cx('waiting')} role="status">
            {t('common.sign2', { what })}
        </p>
    )
}
