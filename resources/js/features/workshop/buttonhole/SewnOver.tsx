import type { View } from '../../../api/client'
import { DrawingFrame } from '../../../drawing/DrawingFrame'
import { t } from '../../../text/words'
import { cx } from '../dress'

interface Props {
    test: View['ButtonholeTestView']
    plan: View['ButtonholePlanView']
}

const WIDE = 200
const HIGH = 260

/** What was read of the hole, drawn over what was planned: both sides, both bars, its place between the marks, its lean, its opening. */
export function SewnOver({ test, plan }: Props) {
    const read = test.read as Record<string, number | undefined>
    const planned = test.planned_mm
    const front = read.front_from_mark_mm ?? 0
    const left = read.left_mm ?? test.finished_mm ?? planned
    const right = read.right_mm ?? test.finished_mm ?? planned
    const most = Math.max(planned, left + Math.max(0, -front), right + Math.max(0, -front), planned + front) + 4
    const scale = Math.min(14, (HIGH - 30) / most)
    // The front lies nearest, at the bottom.
    const y = (mm: number) => HIGH - 15 - 2 * scale - mm * scale
    const lean = ((read.edge_back_mm ?? 0) - (read.edge_front_mm ?? 0)) * scale
    const half = (plan.width_mm / 2) * scale
    const gap = ((read.gap_mm ?? plan.gap_mm) / 2) * scale
    const [barFront, barBack] = [read.bar_front_mm ?? plan.bar_mm, read.bar_back_mm ?? plan.bar_mm]
    const begins = -front
    const side = (from: number, to: number, long: number) => `M${from} ${y(begins)}L${from + lean} ${y(begins + long)}H${to + lean}L${to} ${y(begins)}Z`
    const middle = WIDE / 2
    const longest = Math.max(left, right)
    const opening = read.opening_mm
    return (
        <DrawingFrame viewBox={`0 0 ${WIDE} ${HIGH}`} className={cx('sewn-over')} name={t('workshop.drawnOverThePlan')}>
            <path d={side(middle - half, middle - gap, left)} className={cx('sewn-side')} />
            <path d={side(middle + gap, middle + half, right)} className={cx('sewn-side')} />
            <rect x={middle - half} y={y(begins + barFront)} width={2 * half} height={barFront * scale} className={cx('sewn-bar')} />
            <rect x={middle - half + lean} y={y(begins + longest)} width={2 * half} height={barBack * scale} className={cx('sewn-bar')} />
            {opening !== undefined && (
                <line
                    x1={middle}
                    x2={middle + lean}
                    y1={y(begins + (longest - opening) / 2)}
                    y2={y(begins + (longest + opening) / 2)}
                    className={cx('hole-cut')}
                />
            )}
            <rect x={middle - half} y={y(planned)} width={2 * half} height={planned * scale} className={cx('compare-planned')} />
            <path d={`M${middle - half - 14} ${y(0)}h10M${middle - half - 14} ${y(planned)}h10`} className={cx('edge-line')} />
        </DrawingFrame>
    )
}
