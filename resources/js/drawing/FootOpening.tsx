import { useUnit } from '../api/queries'
import { bar } from '../text/lengths'
import { DrawingFrame, ScaleLine } from './DrawingFrame'
import { cx } from './dress'

interface Props {
    /** Walls of the opening from the centre needle, mm. */
    left: number
    right: number
    /** Middle and width of the swing, mm. */
    position: number
    width: number
    /** Diameter of the needle, mm. */
    needle: number
    verdict: string
    scale: number
    height: number
    /** How far to each side is drawn, mm. */
    reach: number
    length?: number
    label?: string
}

/** The needle's path in the opening of a foot, seen from above, to scale. */
export function FootOpening({ left, right, position, width, needle, verdict, scale, height, reach, length = 2, label }: Props) {
    const x = (mm: number) => (reach + mm) * scale
    const from = position - width / 2
    const to = position + width / 2
    const dot = Math.max(1.4, (needle / 2) * scale)
    const top = dot + 2
    const step = Math.max(5, length * scale)
    // The row goes on below what is shown.
    const rows = Math.max(1, Math.ceil((height - top) / step))
    const points = Array.from(
        { length: rows + 1 },
        (_, i) => `${i === 0 ? 'M' : 'L'}${x(width === 0 ? position : i % 2 === 0 ? from : to).toFixed(1)} ${(top + i * step).toFixed(1)}`,
    )
    return (
        <DrawingFrame width={2 * reach * scale} height={height} className={cx(`opening ${verdict}`)} name={label}>
            <rect x={0} y={0} width={Math.max(0, x(-left))} height={height} className={cx('foot-wall')} />
            <rect x={x(right)} y={0} width={Math.max(0, (reach - right) * scale)} height={height} className={cx('foot-wall')} />
            <path d={points.join('')} className={cx('needle-path')} />
            {[from, to].map((at, i) => (
                <circle key={i} cx={x(at)} cy={top + i * step} r={dot} className={cx('needle-dot')} />
            ))}
        </DrawingFrame>
    )
}

/** A bar of so many mm to read a drawing's scale by. */
export function ScaleBar({ mm, scale }: { mm: number; scale: number }) {
    return (
        <DrawingFrame width={mm * scale + 60} height={16} name={bar(mm, useUnit()).label}>
            <ScaleLine mm={mm} scale={scale} x={1} y={3} />
        </DrawingFrame>
    )
}
