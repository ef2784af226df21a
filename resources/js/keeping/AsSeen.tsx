import { useSyncExternalStore } from 'react'
import { noLine } from '../api/client'
import { queries } from '../api/queries'
import { clock, day } from '../text/time'
import { t } from '../text/words'
import { cx } from './dress'

/** When the oldest of what is shown was read, where it could not be read anew; 0: everything is as it is now. */
function oldestShown(): number {
    let oldest = 0
    for (const query of queries.getQueryCache().findAll({ type: 'active' })) {
        const { data, dataUpdatedAt, error } = query.state
        if (data === undefined || !noLine(error) || query.queryKey[0] === 'judged' || query.queryKey[0] === 'pulse') continue
        oldest = oldest === 0 ? dataUpdatedAt : Math.min(oldest, dataUpdatedAt)
    }
    return oldest
}

/** Said over a place that is shown as it was last seen, because the line is down. */
export function AsSeen({ zone }: { zone: string }) {
    const at = useSyncExternalStore((listener) => queries.getQueryCache().subscribe(listener), oldestShown)
    if (at === 0) return null
    const seen = new Date(at).toISOString()
    const today = day(seen, zone) === day(new Date().toISOString(), zone)
    return (
        <p className={cx('as-seen')} role="status" data-as-seen>
            {t('kept.asItWasSeen', { when: today ? clock(seen, zone) : `${day(seen, zone)}, ${clock(seen, zone)}` })}
        </p>
    )
}
