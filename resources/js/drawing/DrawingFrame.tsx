import type { SVGProps } from 'react'
import { useUnit } from '../api/queries'
import { bar } from '../text/lengths'
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

/** A bar of about so many mm to read a drawing's scale by, in the reader's unit; within its frame. */
export function ScaleLine({ mm, scale, x = 0, y = 0 }: { mm: number; scale: number; x?: number; y?: number }) {
    const shown = bar(mm, useUnit())
    return (
        <g transform={`translate(${x} ${y})`} className={cx('scale-bar')}>
            <path d={`M0 0v8M0 4h${shown.mm * scale}M${shown.mm * scale} 0v8`} />
            <text x={shown.mm * scale + 8} y={9}>
                {shown.label}
            </text>
        </g>
    )
}
