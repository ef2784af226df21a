import { Button } from '@mantine/core'
import { Link } from 'react-router'
import { t } from '../text/words'
import { cx } from './dress'
import { tellKept, useKept } from './kept'

/** Said at the foot of every place: what was kept last and who sews what next. */
export function KeptNotice({ classes }: { classes: string[] }) {
    const kept = useKept()
    if (kept === null || !classes.includes(kept.class)) return null
    return (
        <div className={cx('kept')} role="status">
            <span>{kept.waits ? t('kept.keptOnThisDeviceIt', { name: kept.name }) : t('kept.keptSewsNext', { name: kept.name, lesson: kept.next })}</span>
            {!kept.waits && (
                <Link to={`/look/${kept.class}/${kept.student}?replaces=${kept.sample}`} onClick={() => tellKept(null)}>
                    {t('common.correctIt')}
                </Link>
            )}
            <Button variant="subtle" onClick={() => tellKept(null)}>
                {t('common.close')}
            </Button>
        </div>
    )
}
