import { useRef, type KeyboardEvent, type PointerEvent } from 'react'
import type { View } from '../../../api/client'
import { DrawingFrame } from '../../../drawing/DrawingFrame'
import { bare, type Unit } from '../../../text/lengths'
import { t } from '../../../text/words'
import { cx } from '../dress'

interface Props {
    positions: readonly number[]
    plan: View['ButtonholePlanView']
    /** [mm] The button. */
    across: number
    /** [mm] Edge to edge; null: as wide as the button needs. */
    band: number | null
    anchor: number | null
    unit: Unit
    /** The whole row goes so many mm along the band. */
    onShift: (by: number) => void
}

/** A piece of band that still looks like one. */
const SHORTEST_MM = 160
const WIDE = 560
const TOP = 22

/** The band to scale, with its edges, centre line, every hole and the button over it; moved by dragging or by the arrows. */
export function Band({ positions, plan, across, band, anchor, unit, onShift }: Props) {
    const held = useRef<{ x: number; moved: number } | null>(null)
    const [first, last] = [positions[0] ?? 0, positions.at(-1) ?? 0]
    const [low, high] = [Math.min(first, anchor ?? first) - across, Math.max(last, anchor ?? last) + across]
    // One alone lies on a piece of band, not on nothing else.
    const more = Math.max(0, (SHORTEST_MM - (high - low)) / 2)
    const from = low - more
    const scale = (WIDE - 20) / (high + more - from)
    const x = (at: number) => 10 + (at - from) * scale
    const wide = (band ?? Math.max(24, across + 6)) * scale
    // The button may hang over both edges.
    const over = Math.max(0, (across * scale - wide) / 2)
    const middle = TOP + over + wide / 2
    const high_ = middle + wide / 2 + over + 34
    const [half, cut] = [(plan.finished_mm / 2) * scale, (plan.opening_mm / 2) * scale]
    const beyond = (plan.strip?.beyond_mm ?? 0) * scale
    const drag = (event: PointerEvent<SVGSVGElement>) => {
        if (held.current === null) return
        const perPx = WIDE / event.currentTarget.getBoundingClientRect().width / scale
        // By whole and half millimetres, as a ruler has them.
        const mm = Math.round((event.clientX - held.current.x) * perPx * 2) / 2
        if (mm !== held.current.moved) onShift(mm - held.current.moved)
        held.current.moved = mm
    }
    const key = (event: KeyboardEvent) => {
        const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0
        if (by === 0) return
        event.preventDefault()
        onShift(by * (event.shiftKey ? 10 : 1))
    }
    return (
        <DrawingFrame
            viewBox={`0 0 ${WIDE} ${high_}`}
            className={cx('band-drawing')}
            name={t('workshop.theBandWithItsHoles')}
            tabIndex={0}
            onKeyDown={key}
            onPointerDown={(event) => {
                held.current = { x: event.clientX, moved: 0 }
                event.currentTarget.setPointerCapture(event.pointerId)
            }}
            onPointerMove={drag}
            onPointerUp={() => {
                held.current = null
            }}>
            <rect x={10} y={middle - wide / 2} width={WIDE - 20} height={wide} className={cx('cloth')} />
            <line x1={10} x2={WIDE - 10} y1={middle} y2={middle} className={cx('guide-line')} />
            {positions.map((p, i) => (
                <g key={p}>
                    <circle cx={x(p)} cy={middle} r={Math.max(4, (across / 2) * scale)} className={cx('button-over')} />
                    {plan.direction === 'vertical' ? (
                        <path
                            d={`M${x(p) - half} ${middle - 4}v8M${x(p) + half} ${middle - 4}v8M${x(p) - cut} ${middle}H${x(p) + cut}`}
                            className={cx('hole-cut')}
                        />
                    ) : (
                        <path
                            d={`M${x(p) - 4} ${middle + beyond + half - cut}h8M${x(p) - 4} ${middle + beyond + half - cut - 2 * half}h8M${x(p)} ${middle + beyond}v${-2 * cut}`}
                            className={cx('hole-cut')}
                        />
                    )}
                    {(i === 0 || i === positions.length - 1) && (
                        <text x={x(p)} y={high_ - 10} textAnchor="middle">
                            {bare(p, unit)}
                        </text>
                    )}
                </g>
            ))}
            {anchor !== null && <path d={`M${x(anchor)} 4V${high_ - 28}`} className={cx('edge-line')} />}
        </DrawingFrame>
    )
}
