import { Progress } from '@mantine/core'
import type { ReactNode } from 'react'
import { cx } from './dress'

interface Props {
    done: number
    /** Of so many; 0 while it is not known. */
    of: number
    /** What is under way, for those who do not see the bar. */
    what: string
    children?: ReactNode
    className?: string
}

/** How far something has got that takes more than a moment, with what can be done about it beside. */
export function HowFar({ done, of, what, children, className = '' }: Props) {
    return (
        <span className={cx(`progress ${className}`)} role="status">
            <Progress value={(100 * done) / Math.max(1, of)} w={160} color="var(--chalk)" aria-label={what} />
            {children}
        </span>
    )
}
