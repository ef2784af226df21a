import type { View } from '../api/client'
import { ScaleLine } from './DrawingFrame'
import { cx } from './dress'

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
                    className={cx(`mark-${l.kind}`)}
                />
            ))}
            <ScaleLine mm={bar} scale={scale} y={drawing.height * scale + below} />
        </>
    )
}
