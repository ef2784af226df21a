import { t } from '../text/words'

interface Props {
    /** Walls of the opening from the centre needle, mm. */
    left: number
    right: number
    /** Middle and width of the swing, mm. */
    position: number
    width: number
    /** Diameter of the needle, mm. */
    needle: number
    verdict: string
    scale: number
    height: number
    /** How far to each side is drawn, mm. */
    reach: number
    length?: number
    label?: string
}

/** The needle's path in the opening of a foot, seen from above, to scale. */
export function FootOpening({ left, right, position, width, needle, verdict, scale, height, reach, length = 2, label }: Props) {
    const x = (mm: number) => (reach + mm) * scale
    const from = position - width / 2
    const to = position + width / 2
    const dot = Math.max(1.4, (needle / 2) * scale)
    const top = dot + 2
    const step = Math.max(5, length * scale)
    // The row goes on below what is shown.
    const rows = Math.max(1, Math.ceil((height - top) / step))
    const points = Array.from(
        { length: rows + 1 },
        (_, i) => `${i === 0 ? 'M' : 'L'}${x(width === 0 ? position : i % 2 === 0 ? from : to).toFixed(1)} ${(top + i * step).toFixed(1)}`,
    )
    return (
        <svg
            width={2 * reach * scale}
            height={height}
            className={`opening ${verdict}`}
            {...(label === undefined ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label })}>
            <rect x={0} y={0} width={Math.max(0, x(-left))} height={height} className="foot-wall" />
            <rect x={x(right)} y={0} width={Math.max(0, (reach - right) * scale)} height={height} className="foot-wall" />
            <path d={points.join('')} className="needle-path" />
            {[from, to].map((at, i) => (
                <circle key={i} cx={x(at)} cy={top + i * step} r={dot} className="needle-dot" />
            ))}
        </svg>
    )
}

/** A bar of so many mm to read a drawing's scale by. */
export function ScaleBar({ mm, scale }: { mm: number; scale: number }) {
    return (
        <svg width={mm * scale + 60} height={16} className="scale-bar" role="img" aria-label={t('common.mm', { n: mm })}>
            <path d={`M1 2v10M1 7h${mm * scale}M${mm * scale + 1} 2v10`} />
            <text x={mm * scale + 8} y={12}>
                {t('common.mm', { n: mm })}
            </text>
        </svg>
    )
}
