import { useElementSize } from '@mantine/hooks'
import { useState, type KeyboardEvent, type PointerEvent } from 'react'
import type { View } from '../../../api/client'
import { useUnit } from '../../../api/queries'
import { SheetParts } from '../../../drawing/SheetParts'
import { linePath, stitchPath } from '../../../drawing/stitches'
import { bare, length } from '../../../text/lengths'
import { t } from '../../../text/words'
import { cx } from '../dress'
import { handles, moveRow, withRow, type DraftLesson, type DraftRow } from './lesson'

interface Props {
    lesson: DraftLesson
    drawing: View['DrawingView']
    problems: View['DraftProblemView'][]
    chosen: string
    onChoose: (row: string) => void
    onChange: (what: string, by: (lesson: DraftLesson) => DraftLesson) => void
}

type Mover = (row: DraftRow, dx: number, dy: number) => DraftRow

interface Drag {
    row: DraftRow
    x: number
    y: number
    move: Mover
    /** The whole row goes along under the finger until the core has drawn it anew. */
    whole: boolean
    points: number[][]
    dx: number
    dy: number
}

const MARGIN = 26
const SNAP_MM = 0.5

/** The sampler to scale; rows, their ends and corners are dragged, or moved with the arrow keys. */
export function DraftDrawing({ lesson, drawing, problems, chosen, onChoose, onChange }: Props) {
    const unit = useUnit()
    const { ref, width, height } = useElementSize()
    const scale = Math.max(0.4, Math.min((width - 2 * MARGIN) / drawing.width, (height - 2 * MARGIN - 26) / drawing.height))
    const [drag, setDrag] = useState<Drag | null>(null)
    // A row that does not fit is not drawn by the core: it stays where it last did.
    const [last, setLast] = useState({ drawing, points: drawn(drawing) })
    if (last.drawing !== drawing) setLast({ drawing, points: new Map([...last.points, ...drawn(drawing)]) })
    const stops = new Set(problems.filter((p) => p.stops).map((p) => p.row))
    const piece = (row: DraftRow) => drawing.pieces.find((p) => p.id === row.piece)
    const snap = (mm: number, fine: boolean) => Math.round(mm / (fine ? 0.1 : SNAP_MM)) * (fine ? 0.1 : SNAP_MM)
    const start = (e: PointerEvent<SVGElement>, row: DraftRow, move: Mover, whole: boolean) => {
        e.preventDefault()
        onChoose(row.id)
        e.currentTarget.ownerSVGElement?.setPointerCapture(e.pointerId)
        setDrag({ row, x: e.clientX, y: e.clientY, move, whole, points: last.points.get(row.id) ?? [], dx: 0, dy: 0 })
    }
    const go = (e: PointerEvent<SVGElement>) => {
        if (drag === null) return
        const [dx, dy] = [snap((e.clientX - drag.x) / scale, e.shiftKey), snap((e.clientY - drag.y) / scale, e.shiftKey)]
        if (dx === drag.dx && dy === drag.dy) return
        setDrag({ ...drag, dx, dy })
        onChange(`drag ${drag.row.id}`, (l) => withRow(l, drag.row.id, () => drag.move(drag.row, dx, dy)))
    }
    const keys = (e: KeyboardEvent, row: DraftRow, move: Mover) => {
        const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key]
        if (by === undefined) {
            if (e.key === 'Enter' || e.key === ' ') onChoose(row.id)
            return
        }
        e.preventDefault()
        const step = e.shiftKey ? 5 : SNAP_MM
        onChange(`keys ${row.id}`, (l) => withRow(l, row.id, (r) => move(r, (by[0] ?? 0) * step, (by[1] ?? 0) * step)))
    }
    const left = Math.max(MARGIN, (width - drawing.width * scale) / 2)
    return (
        <div ref={ref} className={cx('sampler-box drafting')}>
            {width > 0 && (
                <svg
                    width={width}
                    height={height}
                    role="group"
                    aria-label={t('samplers.theSamplerToScale')}
                    onPointerMove={go}
                    onPointerUp={() => setDrag(null)}
                    onPointerCancel={() => setDrag(null)}>
                    <g transform={`translate(${left} ${MARGIN})`}>
                        {drawing.pieces.map((p) => (
                            <g key={p.id}>
                                <rect
                                    x={p.x * scale}
                                    y={p.y * scale}
                                    width={p.width * scale}
                                    height={p.height * scale}
                                    className={cx(p.material === 'paper' ? 'paper' : 'cloth')}
                                />
                                <Grid x={p.x} y={p.y} width={p.width} height={p.height} scale={scale} />
                                <text x={(p.x + p.width) * scale} y={p.height * scale + 17} textAnchor="end" className="draw-label">
                                    {bare(p.width, unit)} × {length(p.height, unit)}
                                </text>
                            </g>
                        ))}
                        <SheetParts drawing={drawing} scale={scale} below={10} />
                        {lesson.sampler.rows.map((row) => {
                            const live = drag?.whole === true && drag.row.id === row.id ? drag.points : last.points.get(row.id)
                            if (live === undefined || row.path === undefined) return null
                            const on = row.id === chosen
                            const name = on ? 'stitches' : 'stitches-planned'
                            return (
                                <g
                                    key={row.id}
                                    transform={drag?.whole === true && drag.row.id === row.id ? `translate(${drag.dx * scale} ${drag.dy * scale})` : undefined}
                                    className={cx(stops.has(row.id) ? 'row-off' : '')}>
                                    <path d={stitchPath(live, scale)} className={cx(name)} />
                                    <path
                                        d={linePath(live, scale)}
                                        className={cx('row-grip')}
                                        tabIndex={0}
                                        role="button"
                                        aria-label={t('samplers.dragItOrMoveIt', { row: row.title })}
                                        aria-pressed={on}
                                        onPointerDown={(e) => start(e, row, moveRow, true)}
                                        onKeyDown={(e) => keys(e, row, moveRow)}
                                        onFocus={() => onChoose(row.id)}
                                    />
                                </g>
                            )
                        })}
                        {drawing.marks
                            .filter((m) => m.row === chosen && drag === null)
                            .map((m) => (
                                <line
                                    key={`${m.reading}${m.mark}`}
                                    x1={(m.from[0] ?? 0) * scale}
                                    y1={(m.from[1] ?? 0) * scale}
                                    x2={(m.to[0] ?? 0) * scale}
                                    y2={(m.to[1] ?? 0) * scale}
                                    className={cx('read-here')}
                                />
                            ))}
                        {lesson.sampler.rows
                            .filter((r) => r.id === chosen)
                            .flatMap((row) => {
                                const on = piece(row)
                                return on === undefined
                                    ? []
                                    : handles(row, on.width).map((h) => (
                                          <circle
                                              key={h.name}
                                              cx={(on.x + h.at[0]) * scale}
                                              cy={(on.y + h.at[1]) * scale}
                                              r={9}
                                              className={cx('row-handle')}
                                              tabIndex={0}
                                              role="button"
                                              aria-label={t('samplers.anEndOfDragIt', { row: row.title })}
                                              onPointerDown={(e) => start(e, row, h.move, false)}
                                              onKeyDown={(e) => keys(e, row, h.move)}
                                          />
                                      ))
                            })}
                    </g>
                </svg>
            )}
        </div>
    )
}

const drawn = (drawing: View['DrawingView']) => new Map(drawing.rows.map((row) => [row.id, row.points]))

/** Ten-millimetre squares, as on the cutting table. */
function Grid({ x, y, width, height, scale }: { x: number; y: number; width: number; height: number; scale: number }) {
    const across = Array.from({ length: Math.max(0, Math.ceil(width / 10) - 1) }, (_, i) => `M${(x + (i + 1) * 10) * scale} ${y * scale}v${height * scale}`)
    const down = Array.from({ length: Math.max(0, Math.ceil(height / 10) - 1) }, (_, i) => `M${x * scale} ${(y + (i + 1) * 10) * scale}h${width * scale}`)
    return <path d={[...across, ...down].join('')} className={cx('grid-10')} />
}
