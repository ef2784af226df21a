import type { Lesson } from '../api/queries'
import { linePath } from './stitches'

/** A lesson's sampler at thumbnail size, from the same geometry. Lessons without one get an empty hoop of thread. */
export function MiniDrawing({ lesson, size = 44 }: { lesson: Pick<Lesson, 'drawing'> | undefined; size?: number }) {
    const drawing = lesson?.drawing ?? null
    if (drawing === null) {
        return (
            <svg width={size} height={size} aria-hidden="true" className="mini">
                <circle cx={size / 2} cy={size / 2} r={size / 2 - 4} className="hoop" />
            </svg>
        )
    }
    const scale = (size - 4) / Math.max(drawing.width, drawing.height)
    return (
        <svg width={size} height={size} aria-hidden="true" className="mini">
            <g transform={`translate(${(size - drawing.width * scale) / 2} ${(size - drawing.height * scale) / 2})`}>
                {drawing.pieces.map((p) => (
                    <rect
                        key={p.id}
                        x={p.x * scale}
                        y={p.y * scale}
                        width={p.width * scale}
                        height={p.height * scale}
                        className={p.material === 'paper' ? 'paper' : 'cloth'}
                    />
                ))}
                {drawing.rows.map((row) => (
                    <path key={row.id} d={linePath(row.points, scale)} className="mini-row" />
                ))}
            </g>
        </svg>
    )
}
