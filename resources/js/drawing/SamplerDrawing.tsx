import { useElementSize } from '@mantine/hooks'
import type { View } from '../api/client'
import { DrawingFrame } from './DrawingFrame'
import { cx } from './dress'
import { SheetParts } from './SheetParts'
import { linePath, stitchPath } from './stitches'

interface Props {
    drawing: View['DrawingView']
    measured?: View['MeasuredRowView'][]
    /** "row.reading" and which of its values the eye is on. */
    active?: { key: string; index: number } | null
    title: string
}

const MARGIN = { left: 30, right: 40, top: 30, bottom: 44 }

/** A sampler to scale, as the core laid it out, with the row as it was measured drawn over it. */
export function SamplerDrawing({ drawing, measured = [], active = null, title }: Props) {
    const { ref, width, height } = useElementSize()
    const fit = (top: number) => Math.max(0.5, Math.min((width - MARGIN.left - MARGIN.right) / drawing.width, (height - top - MARGIN.bottom) / drawing.height))
    const leaning = isCrowded(drawing.rows, fit(MARGIN.top))
    // Names that lean over their rows need as much room above as they are long.
    const top = leaning ? Math.max(MARGIN.top, ...drawing.rows.map((r) => 16 + r.guide.length * LETTER_PX * Math.sin(LEAN))) : MARGIN.top
    const scale = fit(top)
    const sewn = new Set(measured.map((row) => row.row))
    return (
        <div ref={ref} className={cx('sampler-box')}>
            {width > 0 && (
                <DrawingFrame width={width} height={height} name={title}>
                    <defs>
                        <pattern id="weave" width="4" height="4" patternUnits="userSpaceOnUse">
                            <path d="M0 1h4M1 0v4" className={cx('weave')} />
                        </pattern>
                    </defs>
                    <g transform={`translate(${Math.max(MARGIN.left, (width - drawing.width * scale - 20) / 2)} ${top})`}>
                        {drawing.pieces.map((p) => (
                            <g key={p.id}>
                                <rect
                                    x={p.x * scale}
                                    y={p.y * scale}
                                    width={p.width * scale}
                                    height={p.height * scale}
                                    className={cx(p.material === 'paper' ? 'paper' : 'cloth')}
                                />
                                {p.material !== 'paper' && (
                                    <rect x={p.x * scale} y={p.y * scale} width={p.width * scale} height={p.height * scale} fill="url(#weave)" />
                                )}
                                <text x={(p.x + p.width) * scale} y={p.height * scale + 18} textAnchor="end" className="draw-label">
                                    {p.label}
                                </text>
                            </g>
                        ))}
                        <SheetParts drawing={drawing} scale={scale} below={22} />
                        {drawing.rows.map((row) => {
                            const [x = 0, y = 0] = row.points[0] ?? []
                            return (
                                <g key={row.id}>
                                    <path d={linePath(row.points, scale)} className={cx('guide-line')} />
                                    <path d={stitchPath(row.points, scale)} className={cx(sewn.has(row.id) ? 'stitches-ghost' : 'stitches-planned')} />
                                    {row.back.map((back, i) => (
                                        <path
                                            key={i}
                                            d={stitchPath(back, scale)}
                                            transform="translate(-2.6 0)"
                                            className={cx(sewn.has(row.id) ? 'stitches-ghost' : 'stitches-planned')}
                                        />
                                    ))}
                                    {row.guide !== '' && (
                                        <GuideName
                                            text={row.guide}
                                            x={x * scale}
                                            y={y * scale}
                                            inside={y > BELOW_MM}
                                            leaning={leaning}
                                            width={drawing.width * scale}
                                        />
                                    )}
                                </g>
                            )
                        })}
                        {measured.map((row) => (
                            <path key={row.row} d={stitchPath(row.points, scale)} className={cx('stitches')} />
                        ))}
                        <Marks marks={drawing.marks} scale={scale} active={active} />
                    </g>
                </DrawingFrame>
            )}
        </div>
    )
}

/** Rows that begin further down than this, mm, have their name beside them. */
const BELOW_MM = 20

/** A letter of this size is about so wide, px. */
const LETTER_PX = 8

const LEAN = (55 * Math.PI) / 180

/** Two names above the cloth would lie over each other. */
function isCrowded(rows: View['DrawingView']['rows'], scale: number): boolean {
    const above = rows
        .filter((r) => r.guide !== '' && (r.points[0]?.[1] ?? 0) <= BELOW_MM)
        .map((r) => ({ x: (r.points[0]?.[0] ?? 0) * scale, half: (r.guide.length * LETTER_PX) / 2 }))
        .sort((a, b) => a.x - b.x)
    return above.some((r, i) => i > 0 && r.x - r.half < (above[i - 1]?.x ?? 0) + (above[i - 1]?.half ?? 0))
}

/** What guides a row: above the cloth over its start, kept inside the picture; beside a start further down. */
function GuideName({ text, x, y, inside, leaning, width }: { text: string; x: number; y: number; inside: boolean; leaning: boolean; width: number }) {
    if (leaning && !inside)
        return (
            <text transform={`translate(${x + 4} -6) rotate(${(-LEAN * 180) / Math.PI})`} className={cx('draw-guide')}>
                {text}
            </text>
        )
    if (inside)
        return (
            <text x={x + 12} y={y + 16} className={cx('draw-guide')}>
                {text}
            </text>
        )
    const half = (text.length * LETTER_PX) / 2
    if (x - half < -MARGIN.left)
        return (
            <text x={-MARGIN.left} y={-8} className={cx('draw-guide')}>
                {text}
            </text>
        )
    if (x + half > width + MARGIN.right)
        return (
            <text x={width + MARGIN.right} y={-8} textAnchor="end" className={cx('draw-guide')}>
                {text}
            </text>
        )
    return (
        <text x={x} y={-8} textAnchor="middle" className={cx('draw-guide')}>
            {text}
        </text>
    )
}

function Marks({ marks, scale, active: eye }: { marks: View['MarkView'][]; scale: number; active: Props['active'] }) {
    // Where the eye is on a question without marks, all of them stand.
    const active = marks.some((mark) => eye?.key === `${mark.row}.${mark.reading}`) ? (eye ?? null) : null
    // A mark that is alone needs no number.
    const several = new Set(marks.filter((mark) => mark.mark > 0).map((mark) => `${mark.row}.${mark.reading}`))
    return marks.map((mark) => {
        const on = active !== null && active.key === `${mark.row}.${mark.reading}` && (active.index === mark.mark || mark.from[0] === mark.to[0])
        const sameRow = active?.key === `${mark.row}.${mark.reading}`
        const [ax, ay, bx, by] = [mark.from[0], mark.from[1], mark.to[0], mark.to[1]].map((v) => (v ?? 0) * scale) as [number, number, number, number]
        // Numbers stand at the end of the mark, outside the row; those of another row would only lie over the ones in use.
        const away = bx >= ax ? 13 : -13
        const flat = Math.abs(by - ay) < 0.01
        return (
            <g key={`${mark.row}.${mark.reading}.${mark.mark}`} className={cx(on ? 'mark on' : 'mark')} opacity={active === null || sameRow ? 1 : 0.35}>
                <line x1={ax} y1={ay} x2={bx} y2={by} />
                {on && <Ruler ax={ax} ay={ay} bx={bx} by={by} scale={scale} />}
                {(active === null || sameRow) && several.has(`${mark.row}.${mark.reading}`) && (
                    <>
                        <circle cx={flat ? bx + away : bx + 13} cy={by} r={10.5} />
                        <text x={flat ? bx + away : bx + 13} y={by + 5} textAnchor="middle">
                            {mark.mark + 1}
                        </text>
                    </>
                )}
            </g>
        )
    })
}

/** A ruler laid along a mark, zero at its far end: the cloth edge. */
function Ruler({ ax, ay, bx, by, scale }: { ax: number; ay: number; bx: number; by: number; scale: number }) {
    const long = Math.max(25, Math.ceil(Math.hypot(bx - ax, by - ay) / scale / 10) * 10 + (ay === by ? 10 : 0))
    const angle = (Math.atan2(ay - by, ax - bx) * 180) / Math.PI
    const flip = Math.abs(angle) > 90
    return (
        <g transform={`translate(${bx} ${by}) rotate(${angle})`} className={cx('ruler')}>
            <rect x={0} y={flip ? -27 : 1} width={long * scale} height={26} />
            {Array.from({ length: long + 1 }, (_, mm) => (
                <line key={mm} x1={mm * scale} x2={mm * scale} y1={flip ? -1 : 1} y2={(flip ? -1 : 1) * (mm % 10 === 0 ? 12 : mm % 5 === 0 ? 8 : 5)} />
            ))}
            {Array.from({ length: Math.ceil(long / 10) - 1 }, (_, i) => (
                <text
                    key={i}
                    transform={`translate(${(i + 1) * 10 * scale} ${flip ? -15 : 23}) rotate(${flip ? 180 : 0})`}
                    dy={flip ? -2 : 0}
                    textAnchor="middle">
                    {(i + 1) * 10}
                </text>
            ))}
        </g>
    )
}
