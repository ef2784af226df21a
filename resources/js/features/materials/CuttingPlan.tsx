import type { View } from '../../api/client'
import { useUnit } from '../../api/queries'
import { DrawingFrame } from '../../drawing/DrawingFrame'
import { cloth, clothBy, wide } from '../../text/lengths'
import { mm } from '../../text/numbers'
import { t } from '../../text/words'
import { cx } from './dress'

const WIDE = 1080

/** The cloth lying along the table, selvedges above and below, pieces numbered by kind. */
export function CuttingPlan({ plan, title }: { plan: View['CuttingView']; title: string }) {
    // So long that the whole width is about as high as a hand; longer cloth is folded into rows.
    const scale = 190 / plan.cloth_width
    const perRow = WIDE / scale
    const unit = useUnit()
    const step = clothBy(unit).metres * 500
    const along = (at: number) => `${mm(at / 1000 / clothBy(unit).metres)} ${clothBy(unit).name}`
    const rows = Math.max(1, Math.ceil(plan.length / perRow))
    return (
        <section className={cx('cutting')} tabIndex={0} aria-label={title}>
            <h2>
                {t('materials.clothOf', { what: title, long: cloth(plan.length / 1000, unit), wide: wide(plan.cloth_width, unit) })}{' '}
                <small>
                    {t('materials.piecesWasteNoPlanIs', { n: plan.placed.length, waste: Math.round(plan.waste_share * 100), bound: along(plan.lower_bound) })}
                </small>
            </h2>
            {Array.from({ length: rows }, (_, r) => {
                const from = r * perRow
                const long = Math.min(perRow, plan.length - from)
                return (
                    <DrawingFrame
                        key={r}
                        width={long * scale + 2}
                        height={plan.cloth_width * scale + 22}
                        className={cx('cutting-row')}

                        name={t('materials.cuttingPlanFromToM', { a: along(from), b: along(from + long) })}>
                        <rect x={1} y={1} width={long * scale} height={plan.cloth_width * scale} className={cx('cloth')} />
                        {[plan.selvedge, plan.cloth_width - plan.selvedge].map((y) => (
                            <line key={y} x1={1} x2={long * scale} y1={y * scale + 1} y2={y * scale + 1} className={cx('selvedge')} />
                        ))}
                        <Boxes boxes={plan.placed} plan={plan} scale={scale} from={from} long={long} kind="piece" />
                        <Boxes boxes={plan.offcuts} plan={plan} scale={scale} from={from} long={long} kind="offcut" />
                        {Array.from({ length: Math.floor(long / step) + 1 }, (_, i) => (
                            <text key={i} x={Math.min(i * step * scale + 3, long * scale - 30)} y={plan.cloth_width * scale + 17}>
                                {along(from + i * step)}
                            </text>
                        ))}
                    </DrawingFrame>
                )
            })}
            <ol className={cx('cutting-names')}>
                {plan.names.map((n) => (
                    <li key={n}>{n}</li>
                ))}
            </ol>
            {plan.offcuts.length > 0 && (
                <p className={cx('quiet')}>
                    {t('materials.leftOver', { list: plan.offcuts.map((o) => `${wide(o.width, unit)} × ${wide(o.length, unit)}`).join(', ') })}
                </p>
            )}
        </section>
    )
}

interface BoxProps {
    boxes: View['PlacedView'][]
    plan: View['CuttingView']
    scale: number
    from: number
    long: number
    kind: 'piece' | 'offcut'
}

function Boxes({ boxes, plan, scale, from, long, kind }: BoxProps) {
    return boxes
        .filter((b) => b.y < from + long && b.y + b.length > from)
        .map((b, i) => {
            const x = Math.max(0, b.y - from) * scale + 1
            const w = (Math.min(from + long, b.y + b.length) - Math.max(from, b.y)) * scale
            const y = (b.x + plan.selvedge) * scale + 1
            const h = b.width * scale
            return (
                <g key={i} className={cx(kind)}>
                    <rect x={x} y={y} width={w} height={h} />
                    {w > 14 && h > 11 && (
                        <text x={x + w / 2} y={y + h / 2 + 4} textAnchor="middle">
                            {kind === 'piece' ? b.number : ''}
                        </text>
                    )}
                </g>
            )
        })
}
