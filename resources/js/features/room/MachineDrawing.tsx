import type { View } from '../../api/client'
import { DrawingFrame } from '../../drawing/DrawingFrame'
import { t } from '../../text/words'
import { cx } from './dress'

/** The plate from above: slot, needle positions, guide lines, to scale. */
export function MachineDrawing({ facts }: { facts: View['MachineFacts'] }) {
    const lines = facts.plate_lines_mm.filter((l) => Number.isFinite(l))
    const right = Math.max(24, ...lines) + 6
    const left = 12
    const scale = 560 / (left + right)
    const x = (at: number) => (left + at) * scale
    const slot = Number.isFinite(facts.slot_mm) ? facts.slot_mm : 0
    const swing = Number.isFinite(facts.widest_swing_mm) ? facts.widest_swing_mm : 0
    return (
        <DrawingFrame width={562} height={120} className={cx('plate-drawing')} name={t('room.thePlateFromAboveTo')}>
            <rect x={1} y={1} width={560} height={118} rx={6} className={cx('plate')} />
            <rect x={x(-slot / 2)} y={44} width={slot * scale} height={Math.max(8, 2.2 * scale)} rx={5} className={cx(swing > slot ? 'slot strike' : 'slot')} />
            {swing > 0 && <path d={`M${x(-swing / 2)} 80H${x(swing / 2)}M${x(-swing / 2)} 75v10M${x(swing / 2)} 75v10`} className={cx('swing')} />}
            {facts.needle_positions_mm
                .filter((p) => Number.isFinite(p))
                .map((p, i) => (
                    <circle key={i} cx={x(p)} cy={44 + Math.max(8, 2.2 * scale) / 2} r={Math.max(2, 0.4 * scale)} className={cx('needle-dot')} />
                ))}
            {lines.map((l, i) => (
                <g key={i}>
                    <line x1={x(l)} y1={14} x2={x(l)} y2={100} className={cx('plate-line')} />
                    <text x={x(l)} y={114} textAnchor="middle">
                        {l}
                    </text>
                </g>
            ))}
            {swing > 0 && (
                <text x={x(swing / 2) + 6} y={85}>
                    {t('room.mmSwing', { n: swing })}
                </text>
            )}
        </DrawingFrame>
    )
}
