import { cx } from './dress'

/** The white that belongs around it, in its own cells. */
const MARGIN = 4

/** An address as a square to point a camera at. */
export function Square({ rows, name }: { rows: string[]; name: string }) {
    const side = rows.length + 2 * MARGIN
    const path = rows.flatMap((row, y) => row.split('').map((c, x) => (c === '1' ? `M${x + MARGIN} ${y + MARGIN}h1v1h-1z` : ''))).join('')
    return (
        <svg className={cx('qr')} viewBox={`0 0 ${side} ${side}`} role="img" aria-label={name} shapeRendering="crispEdges">
            <rect className={cx('qr-light')} width={side} height={side} />
            <path className={cx('qr-dark')} d={path} />
        </svg>
    )
}
