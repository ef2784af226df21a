import type { ReactNode } from 'react'
import { cx } from './dress'

/** Where nothing is yet: what goes here, and the first step to it. */
export function Empty({ children }: { children: ReactNode }) {
    return <p className={cx('empty')}>{children}</p>
}
