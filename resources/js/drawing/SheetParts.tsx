import type { View } from '../api/client'
import { t } from '../text/words'

/** Folds, cuts and chalk marks, and a bar to read the scale by; the same on every drawing of a sampler. */
export function SheetParts({ drawing, scale, below }: { drawing: View['DrawingView']; scale: number; below: number }) {
    const bar = drawing.width > 160 ? 50 : 20
    return (
        <>
            {drawing.lines.map((l, i) => (
                <line
                    key={i}
                    x1={(l.from[0] ?? 0) * scale}
                    y1={(l.from[1] ?? 0) * scale}
                    x2={(l.to[0] ?? 0) * scale}
                    y2={(l.to[1] ?? 0) * scale}
                    className={`mark-${l.kind}`}
                />
            ))}
            <g transform={`translate(0 ${drawing.height * scale + below})`} className="scale-bar">
                <path d={`M0 0v8M0 4h${bar * scale}M${bar * scale} 0v8`} />
                <text x={bar * scale + 8} y={9}>
                    {t('common.mm', { n: bar })}
                </text>
            </g>
        </>
    )
}
