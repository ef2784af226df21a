import type { CSSProperties } from 'react'
import type { View } from '../api/client'
import { DrawingFrame } from './DrawingFrame'
import { cx } from './dress'

/** Strokes are so many hundredths of the picture: the same picture is read at 60 mm and at two metres. */
const UNITS = 100

/** A picture as the core drew it; named where nothing beside it says what is drawn. */
export function Drawn({ picture, name }: { picture: View['PictureView']; name?: string }) {
    const { left, top, width, height } = picture.box
    const style = { '--u': Math.max(width, height * 1.5) / UNITS } as CSSProperties
    return (
        <DrawingFrame viewBox={`${left} ${top} ${width} ${height}`} className={cx('drawn')} style={style} name={name}>
            {picture.shapes.map((s, i) => (
                // Shapes have no names; their order is the picture.
                <path key={i} d={s.d} className={cx(`pic-${s.role}`)} />
            ))}
            {picture.labels.map((l, i) => (
                <text key={i} x={l.x} y={l.y} fontSize={picture.word} textAnchor={l.anchor}>
                    {l.text}
                </text>
            ))}
        </DrawingFrame>
    )
}
