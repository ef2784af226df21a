import type { View } from '../../api/client'
import { DrawingFrame } from '../../drawing/DrawingFrame'
import { t } from '../../text/words'
import { cx } from './dress'

const [WIDE, HIGH] = [232, 50]

/** One stitch from hole to hole; a little is hidden in the cloth at each end. */
function stitch([x1, y1]: [number, number], [x2, y2]: [number, number]): string {
    const long = Math.max(0.1, Math.hypot(x2 - x1, y2 - y1))
    const hidden = Math.min(0.3, 1.6 / long)
    const on = (share: number) => `${(x1 + (x2 - x1) * share).toFixed(1)} ${(y1 + (y2 - y1) * share).toFixed(1)}`
    return `M${on(hidden)}L${on(1 - hidden)}`
}

/** Both faces of a short row with a fault, from the core's points. Nothing where it cannot be shown on a row. */
export function FaultLook({ fault }: { fault: View['FaultLookView'] }) {
    if (fault.runs.length === 0) return null
    const scale = (WIDE - 16) / fault.row_mm
    const face = (y: number, shows: string, own: 'top' | 'bobbin') => {
        const at = (p: number[]): [number, number] => [10 + (p[0] ?? 0) * scale, y - (p[1] ?? 0) * scale * 0.55]
        return (
            <g>
                {fault.runs.map((run, i) => (
                    <path
                        key={i}
                        className={cx(`thread-run ${own}`)}
                        strokeWidth={2}
                        d={run
                            .slice(1)
                            .map((p, k) => stitch(at(run[k] ?? p), at(p)))
                            .join('')}
                    />
                ))}
                {own === 'bobbin' && fault.nest.length > 0 && (
                    <path
                        className={cx('thread-run top')}
                        strokeWidth={1.4}
                        d={fault.nest
                            .map(
                                (p, k) =>
                                    `${k === 0 ? 'M' : 'L'}${at([p[0] ?? 0, (p[1] ?? 0) * 1.8])
                                        .map((n) => n.toFixed(1))
                                        .join(' ')}`,
                            )
                            .join('')}
                    />
                )}
                {shows !== 'even' &&
                    fault.runs.flat().map((p, i) => {
                        const [x, yy] = at(p)
                        return shows === 'dots' ? (
                            <circle key={i} cx={x} cy={yy} r={2.2} className={cx('thread-spot bobbin')} />
                        ) : (
                            <ellipse key={i} cx={x} cy={yy + 4} rx={2.4} ry={4} className={cx('thread-loop top')} />
                        )
                    })}
            </g>
        )
    }
    return (
        <DrawingFrame viewBox={`0 0 ${WIDE} ${HIGH}`} name={t('workshop.rightSideAndUnderside', { seen: fault.seen })} className={cx('fault-look')}>
            <rect width={WIDE} height={HIGH} className={cx('cloth')} />
            <line x1={0} y1={HIGH / 2} x2={WIDE} y2={HIGH / 2} className={cx('layer')} />
            {face(13, fault.right_side, 'top')}
            {face(37, fault.underside, 'bobbin')}
        </DrawingFrame>
    )
}
