import type { View } from '../../../api/client'
import { DrawingFrame, ScaleLine } from '../../../drawing/DrawingFrame'
import { length, type Unit } from '../../../text/lengths'
import { t } from '../../../text/words'
import { cx } from '../dress'

interface Props {
    size: Pick<View['ButtonholePlanView'], 'finished_mm' | 'opening_mm' | 'half_wrap_mm'>
    across: number
    through: number
    shape: string
    unit: Unit
}

const WIDE = 560
const LEFT = 24
const SCALE_MM = 10

/** The chain to one scale: the button from the side with the strip round it, half of the strip laid out, the opening, and the hole with its bars. */
export function ChainDrawing({ size, across, through, shape, unit }: Props) {
    const bar = (size.finished_mm - size.opening_mm) / 2
    const scale = Math.min(9, (WIDE - 2 * LEFT - 130) / Math.max(size.finished_mm, size.half_wrap_mm + bar, across))
    const x = (at: number) => LEFT + at * scale
    const top = 14
    const high = through * scale
    const strip = top + high + 34
    const hole = strip + 34
    return (
        <DrawingFrame width={WIDE} height={hole + 92} className={cx('buttonhole-chain')} name={t('workshop.theButtonAndItsHole')}>
            <Side at={x(bar)} top={top} wide={across * scale} high={high} shape={shape} />
            <text x={x(bar + across) + 14} y={top + high / 2 + 5}>
                {t('workshop.fromTheSide')}
            </text>
            <path
                d={`M${x(bar)} ${strip - 5}v10M${x(bar)} ${strip}H${x(bar + size.half_wrap_mm)}M${x(bar + size.half_wrap_mm)} ${strip - 5}v10`}
                className={cx('wrap-strip')}
            />
            <text x={x(bar + size.half_wrap_mm) + 10} y={strip + 5}>
                {t('workshop.halfTheWayRound', { n: length(size.half_wrap_mm, unit) })}
            </text>
            <rect x={x(0)} y={hole} width={bar * scale} height={36} className={cx('hole-bar')} />
            <rect x={x(bar + size.opening_mm)} y={hole} width={bar * scale} height={36} className={cx('hole-bar')} />
            {[0, 23].map((y) => (
                <rect key={y} x={x(bar)} y={hole + y} width={size.opening_mm * scale} height={13} className={cx('hole-side')} />
            ))}
            <line x1={x(bar)} x2={x(bar + size.opening_mm)} y1={hole + 18} y2={hole + 18} className={cx('hole-cut')} />
            <text x={x(size.finished_mm) + 10} y={hole + 23}>
                {t('workshop.openingOf', { n: length(size.opening_mm, unit) })}
            </text>
            <path
                d={`M${x(0)} ${hole + 46}v10M${x(0)} ${hole + 51}H${x(size.finished_mm)}M${x(size.finished_mm)} ${hole + 46}v10`}
                className={cx('wrap-strip')}
            />
            <text x={x(size.finished_mm) + 10} y={hole + 56}>
                {t('workshop.finishedOf', { n: length(size.finished_mm, unit) })}
            </text>
            <ScaleLine mm={SCALE_MM} scale={scale} x={x(0)} y={hole + 72} />
        </DrawingFrame>
    )
}

/** A button as it is seen lying on the table, with the strip laid round it. */
function Side({ at, top, wide, high, shape }: { at: number; top: number; wide: number; high: number; shape: string }) {
    if (shape === 'ball') return <ellipse cx={at + wide / 2} cy={top + high / 2} rx={wide / 2} ry={high / 2} className={cx('button-side')} />
    if (shape === 'flat') return <rect x={at} y={top} width={wide} height={high} rx={Math.min(3, high / 2)} className={cx('button-side')} />
    const radius = (wide * wide) / 4 / (2 * high) + high / 2
    return <path d={`M${at} ${top + high}A${radius} ${radius} 0 0 1 ${at + wide} ${top + high}Z`} className={cx('button-side')} />
}
