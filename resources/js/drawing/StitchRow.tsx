import { DrawingFrame } from './DrawingFrame'
import { cx } from './dress'
import type { Point } from './stitches'

interface Props {
    points: readonly Point[]
    /** px for each mm */
    scale: number
    rowMm: number
    /** Half of what is shown across, mm. */
    halfMm: number
    /** How the thread lies: "even", or "dots" or "loops" of the other thread. */
    shows?: string
    thread?: 'top' | 'bobbin'
    label: string
}

const MARGIN = 6

/** A row of stitches on one face of the cloth, from the core's needle points, to scale. */
export function StitchRow({ points, scale, rowMm, halfMm, shows = 'even', thread = 'top', label }: Props) {
    const at = (p: Point): [number, number] => [MARGIN + (p[0] ?? 0) * scale, MARGIN + (halfMm + (p[1] ?? 0)) * scale]
    const d = points
        .map((p, i) => {
            const [x, y] = at(p)
            return `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`
        })
        .join('')
    const few = points.length < 400
    return (
        <DrawingFrame width={rowMm * scale + 2 * MARGIN} height={2 * halfMm * scale + 2 * MARGIN} name={label} className={cx('stitch-row')}>
            <rect x={0} y={0} width="100%" height="100%" className={cx('cloth')} />
            <path d={d} className={cx(`thread-run ${thread}`)} strokeWidth={Math.max(1.2, 0.3 * scale)} />
            {few &&
                points.map((p, i) => {
                    const [x, y] = at(p)
                    return <circle key={i} cx={x} cy={y} r={Math.max(1, 0.22 * scale)} className={cx('hole')} />
                })}
            {few &&
                shows !== 'even' &&
                points.map((p, i) => {
                    const [x, y] = at(p)
                    return shows === 'dots' ? (
                        <circle
                            key={`o${i}`}
                            cx={x}
                            cy={y}
                            r={Math.max(1.6, 0.4 * scale)}
                            className={cx(`thread-spot ${thread === 'top' ? 'bobbin' : 'top'}`)}
                        />
                    ) : (
                        <ellipse
                            key={`o${i}`}
                            cx={x}
                            cy={y + 0.9 * scale}
                            rx={0.4 * scale}
                            ry={0.9 * scale}
                            className={cx(`thread-loop ${thread === 'top' ? 'bobbin' : 'top'}`)}
                        />
                    )
                })}
        </DrawingFrame>
    )
}
