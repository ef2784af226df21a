import { t } from '../text/words'
import { cx } from './dress'

/** What is typed saves itself: said while it is under way, and once it is done. */
export function Saved({ saving, saved }: { saving: boolean; saved: boolean }) {
    return (
        <p className={cx('quiet')} role="status">
            {saving ? t('common.saving') : saved ? t('common.saved') : ''}
        </p>
    )
}
