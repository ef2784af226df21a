import type { SVGProps } from 'react'
import { t } from '../text/words'
import { cx } from './dress'

interface Props extends Omit<SVGProps<SVGSVGElement>, 'name' | 'role'> {
    /** What is drawn, for those who do not see it; without one it only adorns what is said beside it. */
    name?: string | undefined
}

/** The frame of every drawing that is looked at: named, or hidden from those who listen. */
export function DrawingFrame({ name, children, ...svg }: Props) {
    return (
        <svg {...svg} {...(name === undefined ? { 'aria-hidden': true } : { role: 'img', 'aria-label': name })}>
            {children}
        </svg>
    )
}

/** So many mm of a drawing, to read its scale by; within its frame. */
export function ScaleLine({ mm, scale, x = 0, y = 0, label }: { mm: number; scale: number; x?: number; y?: number; label?: string }) {
    return (
        <g transform={`translate(${x} ${y})`} className={cx('scale-bar')}>
            <path d={`M0 0v8M0 4h${mm * scale}M${mm * scale} 0v8`} />
            <text x={mm * scale + 8} y={9}>
                {label ?? t('common.mm', { n: mm })}
            </text>
        </g>
    )
}
