import { CloseButton } from '@mantine/core'
import type { ReactNode } from 'react'
import { t } from '../text/words'
import { cx } from './dress'

/** Said once something was done: what, and how to take it back; it goes when it is closed. */
export function Notice({ children, onClose }: { children: ReactNode; onClose?: () => void }) {
    return (
        <div className={cx('kept-note')} role="status">
            {children}
            {onClose !== undefined && <CloseButton aria-label={t('common.close')} onClick={onClose} size="lg" />}
        </div>
    )
}
