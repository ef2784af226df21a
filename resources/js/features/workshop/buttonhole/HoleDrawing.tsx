import type { View } from '../../../api/client'
import { DrawingFrame } from '../../../drawing/DrawingFrame'
import { linePath } from '../../../drawing/stitches'
import { t } from '../../../text/words'
import { cx } from '../dress'
import { sewn } from './words'

interface Props {
    plan: View['ButtonholePlanView']
    /** So many needle points are sewn; the last one is where the needle is. */
    upTo: number
    /** The foot over it. */
    foot?: boolean
    high?: number
    /** As it is seen from the wrong side. */
    beneath?: boolean
    name: string
}

/** A buttonhole from above as it grows, front nearest to who sews: needle, foot, and what is still to come in a paler line. */
export function HoleDrawing({ plan, upTo, foot = true, high = 520, beneath = false, name }: Props) {
    const { points } = sewn(plan)
    const long = plan.finished_mm
    const scale = Math.min(26, (high - 70) / (long + 6))
    const wide = Math.max(260, (plan.width_mm + 14) * scale)
    // Along the hole upwards: its beginning is the front, which lies nearest.
    const face = beneath ? -1 : 1
    const at = (p: readonly number[]) => [wide / 2 + face * (p[1] ?? 0) * scale, high - 35 - 3 * scale - (p[0] ?? 0) * scale]
    const drawn = points.map(at)
    const done = drawn.slice(0, Math.max(0, upTo))
    const [nx, ny] = done[done.length - 1] ?? drawn[0] ?? [wide / 2, high / 2]
    return (
        <DrawingFrame viewBox={`0 0 ${wide} ${high}`} className={cx('hole-drawing')} name={name}>
            <rect x={0} y={0} width={wide} height={high} className={cx('cloth')} />
            <line x1={wide / 2} x2={wide / 2} y1={28} y2={high - 28} className={cx('guide-line')} />
            {plan.cord.length > 0 && <path d={linePath(plan.cord.map(at), 1)} className={cx('cord-line')} />}
            <path d={linePath(drawn, 1)} className={cx('to-come')} />
            <path d={linePath(done, 1)} className={cx(beneath ? 'sewn-line beneath' : 'sewn-line')} />
            {foot && (
                <g className={cx('hole-foot')}>
                    <rect x={wide / 2 - 7 * scale} y={(ny ?? 0) - 5 * scale} width={3.4 * scale} height={10 * scale} rx={scale} />
                    <rect x={wide / 2 + 3.6 * scale} y={(ny ?? 0) - 5 * scale} width={3.4 * scale} height={10 * scale} rx={scale} />
                </g>
            )}
            <circle cx={nx} cy={ny} r={Math.max(4, 0.35 * scale)} className={cx('needle-now')} />
            <text x={wide / 2} y={20} textAnchor="middle">
                {t('workshop.backEnd')}
            </text>
            <text x={wide / 2} y={high - 10} textAnchor="middle">
                {t('workshop.frontEnd')}
            </text>
        </DrawingFrame>
    )
}
