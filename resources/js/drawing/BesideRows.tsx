import type { View } from '../api/client'
import { t } from '../text/words'
import { DrawingFrame } from './DrawingFrame'
import { cx } from './dress'
import { linePath, stitchPath } from './stitches'

type Points = View['MeasuredRowView']['points']

interface Props {
    planned: Points
    before: Points
    now: Points
    title: string
}

/** Room round a row, mm. */
const ROUND_MM = 1.5

/** The same row of the sample before and of this one, row beside row: both to the same scale, the line it should follow under each. */
export function BesideRows({ planned, before, now, title }: Props) {
    const all = [...planned, ...before, ...now]
    const range = (axis: number) => {
        const values = all.map((p) => p[axis] ?? 0)
        return [Math.min(...values) - ROUND_MM, Math.max(...values) + ROUND_MM] as const
    }
    const [[left, right], [top, bottom]] = [range(0), range(1)]
    // A row that runs down the cloth lies on its side here: there is more room across.
    const down = bottom - top > 2 * (right - left)
    const turned = (points: Points): [number, number][] => points.map(([x = 0, y = 0]) => (down ? [y - top, right - x] : [x - left, y - top]))
    const [wide, high] = down ? [bottom - top, right - left] : [right - left, bottom - top]
    const strips = high < wide / 2
    return (
        <figure className={cx(strips ? 'beside strips' : 'beside')}>
            <figcaption>{title}</figcaption>
            {(
                [
                    [before, t('drawn.before'), 'stitches-before'],
                    [now, t('common.now'), 'stitches'],
                ] as const
            ).map(([points, word, name]) => (
                <div key={word}>
                    <small>{word}</small>
                    <DrawingFrame viewBox={`0 0 ${wide} ${high}`} name={`${title}: ${word}`}>
                        <path d={linePath(turned(planned), 1)} className={cx('guide-line')} vectorEffect="non-scaling-stroke" />
                        <path d={stitchPath(turned(points), 1)} className={cx(name)} vectorEffect="non-scaling-stroke" />
                    </DrawingFrame>
                </div>
            ))}
        </figure>
    )
}
