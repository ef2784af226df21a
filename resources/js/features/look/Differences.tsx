import type { View } from '../../api/client'
import { fine } from '../../text/lengths'
import { t } from '../../text/words'
import { cx } from './dress'

const [WIDE, HIGH, LEFT, FOOT] = [640, 220, 74, 30]

/** Room beyond the furthest difference, as a part of it. */
const ROOM = 1.15

/** Nothing finer than that is drawn large, mm. */
const LEAST_MM = 0.1

/** How much more the camera says than the ruler, value by value, by how large it is. */
export function Differences({ kind, unit }: { kind: View['CameraKindView']; unit: 'mm' | 'in' }) {
    const off = kind.pairs.map((p) => p.camera_mm - p.ruler_mm)
    const far = ROOM * Math.max(LEAST_MM, 2 * kind.said_mm, ...off.map(Math.abs))
    const values = kind.pairs.map((p) => p.ruler_mm)
    const [least, most] = [Math.min(...values), Math.max(...values)]
    const span = Math.max(1, most - least)
    const x = (v: number) => LEFT + 20 + ((v - least + (span - (most - least)) / 2) / span) * (WIDE - LEFT - 40)
    const y = (d: number) => (HIGH - FOOT) / 2 - (d / far) * ((HIGH - FOOT) / 2 - 6)
    return (
        <svg
            className={cx('differences')}
            viewBox={`0 0 ${WIDE} ${HIGH}`}
            role="img"
            aria-label={t('camera.differencesOf', { n: kind.values, samples: kind.samples })}>
            <rect className={cx('said-band')} x={LEFT} width={WIDE - LEFT} y={y(2 * kind.said_mm)} height={y(-2 * kind.said_mm) - y(2 * kind.said_mm)} />
            <line className={cx('zero')} x1={LEFT} x2={WIDE} y1={y(0)} y2={y(0)} />
            <line className={cx('bias')} x1={LEFT} x2={WIDE} y1={y(kind.bias_mm)} y2={y(kind.bias_mm)} />
            {kind.pairs.map((p, i) => (
                <circle key={i} className={cx('difference')} cx={x(p.ruler_mm)} cy={y(p.camera_mm - p.ruler_mm)} r={4.5} />
            ))}
            {[2 * kind.said_mm, 0, -2 * kind.said_mm].map((d, i) => (
                <text key={i} x={LEFT - 8} y={y(d) + 5} textAnchor="end">
                    {d > 0 ? '+' : ''}
                    {fine(d, unit)}
                </text>
            ))}
            <text x={x(least)} y={HIGH - 8} textAnchor="middle">
                {fine(least, unit)}
            </text>
            {most - least > 0.2 && (
                <text x={x(most)} y={HIGH - 8} textAnchor="middle">
                    {fine(most, unit)}
                </text>
            )}
            <text x={(LEFT + WIDE) / 2} y={HIGH - 8} textAnchor="middle">
                {t('camera.byRuler')}
            </text>
        </svg>
    )
}
