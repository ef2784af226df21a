import type { Lesson } from '../api/queries'
import { DrawingFrame } from './DrawingFrame'
import { Drawn } from './Drawn'
import { cx } from './dress'
import { linePath } from './stitches'

type Drawable = Pick<Lesson, 'drawing'> & Partial<Pick<Lesson, 'picture'>>

/** A lesson's sampler at thumbnail size, from the same geometry; of one that sews nothing what it shows first; until it is known a hoop of thread. */
export function MiniDrawing({ lesson, size = 44 }: { lesson: Drawable | undefined; size?: number }) {
    const drawing = lesson?.drawing ?? null
    const picture = lesson?.picture ?? null
    if (drawing === null && picture !== null) {
        return (
            <div className={cx('mini-picture')} style={{ width: size, height: size }}>
                <Drawn picture={picture} />
            </div>
        )
    }
    if (drawing === null) {
        return (
            <DrawingFrame width={size} height={size} className={cx('mini')}>
                <circle cx={size / 2} cy={size / 2} r={size / 2 - 4} className={cx('hoop')} />
            </DrawingFrame>
        )
    }
    const scale = (size - 4) / Math.max(drawing.width, drawing.height)
    return (
        <DrawingFrame width={size} height={size} className={cx('mini')}>
            <g transform={`translate(${(size - drawing.width * scale) / 2} ${(size - drawing.height * scale) / 2})`}>
                {drawing.pieces.map((p) => (
                    <rect
                        key={p.id}
                        x={p.x * scale}
                        y={p.y * scale}
                        width={p.width * scale}
                        height={p.height * scale}
                        className={cx(p.material === 'paper' ? 'paper' : 'cloth')}
                    />
                ))}
                {drawing.rows.map((row) => (
                    <path key={row.id} d={linePath(row.points, scale)} className={cx('mini-row')} />
                ))}
            </g>
        </DrawingFrame>
    )
}
