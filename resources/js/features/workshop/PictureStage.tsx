import { useState, type KeyboardEvent, type MouseEvent } from 'react'
import { t } from '../../text/words'
import { cx } from './dress'

export type Spot = [number, number]
export type What = 'scale' | 'corners' | 'needle' | 'edge'

interface Props {
    url: string
    spots: Record<What, Spot[]>
    size: Spot
    image: HTMLImageElement | null
    onImage: (image: HTMLImageElement | null) => void
    onSize: (size: Spot) => void
    /** What was loaded is no picture. */
    onBroken: () => void
    onSet: (spot: Spot) => void
    onBack: () => void
}

/** Screen pixels that the cross moves by; with Shift a pixel of the picture. */
const STEP = 8

const ARROWS: Record<string, Spot> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }

/** The picture: points are set on it by pointer, or with a cross that the arrows move. */
export function PictureStage({ url, spots, size, image, onImage, onSize, onBroken, onSet, onBack }: Props) {
    const [cross, setCross] = useState<Spot | null>(null)
    const unit = size[0] / Math.max(1, image?.clientWidth ?? size[0])
    const click = (event: MouseEvent<HTMLImageElement>) => {
        const at = event.currentTarget.getBoundingClientRect()
        onSet([((event.clientX - at.left) * size[0]) / at.width, ((event.clientY - at.top) * size[1]) / at.height])
    }
    const key = (event: KeyboardEvent<HTMLDivElement>) => {
        const [x, y] = cross ?? [size[0] / 2, size[1] / 2]
        const to = ARROWS[event.key]
        if (to !== undefined) {
            const step = event.shiftKey ? 1 : STEP * unit
            const next: Spot = [Math.min(size[0], Math.max(0, x + to[0] * step)), Math.min(size[1], Math.max(0, y + to[1] * step))]
            setCross(next)
            // What is wider or higher than its window follows the cross.
            const box = event.currentTarget
            box.scrollTo({ left: next[0] / unit - box.clientWidth / 2, top: next[1] / unit - box.clientHeight / 2 })
        } else if (event.key === 'Enter' || event.key === ' ') onSet([x, y])
        else if (event.key === 'Backspace') onBack()
        else return
        event.preventDefault()
    }
    return (
        <div
            className={cx('picture-stage')}
            tabIndex={0}
            role="application"
            onKeyDown={key}
            onFocus={() => setCross((c) => c ?? [size[0] / 2, size[1] / 2])}
            aria-label={t('workshop.thePictureArrowsMoveThe')}>
            <img
                src={url}
                alt={t('workshop.thePictureThatIsMeasured')}
                ref={onImage}
                onClick={click}
                onError={onBroken}
                onLoad={(e) => onSize([e.currentTarget.naturalWidth, e.currentTarget.naturalHeight])}
            />
            <Marks spots={spots} size={size} image={image} cross={cross} unit={unit} />
        </div>
    )
}

/** What was set, over the picture. */
function Marks({
    spots,
    size,
    image,
    cross,
    unit,
}: {
    spots: Record<What, Spot[]>
    size: Spot
    image: HTMLImageElement | null
    cross: Spot | null
    unit: number
}) {
    const line = (of: Spot[]) => of.map((p, i) => `${i === 0 ? 'M' : 'L'}${p[0]} ${p[1]}`).join('')
    const arm = 16 * unit
    return (
        <svg width={image?.clientWidth ?? 0} height={image?.clientHeight ?? 0} viewBox={`0 0 ${size[0]} ${size[1]}`} aria-hidden="true">
            <path d={line(spots.scale)} className={cx('scale-line')} vectorEffect="non-scaling-stroke" />
            <path
                d={spots.corners.length === 4 ? `${line(spots.corners)}Z` : line(spots.corners)}
                className={cx('scale-line')}
                vectorEffect="non-scaling-stroke"
            />
            <path d={line(spots.needle)} className={cx('needle-line')} vectorEffect="non-scaling-stroke" />
            <path d={line(spots.edge)} className={cx('edge-line')} vectorEffect="non-scaling-stroke" />
            {Object.values(spots)
                .flat()
                .map((p, i) => (
                    <circle key={i} cx={p[0]} cy={p[1]} r={5 * unit} className={cx('dot')} vectorEffect="non-scaling-stroke" />
                ))}
            {cross !== null && (
                <path
                    d={`M${cross[0] - arm} ${cross[1]}h${2 * arm}M${cross[0]} ${cross[1] - arm}v${2 * arm}`}
                    className={cx('cross')}
                    vectorEffect="non-scaling-stroke"
                />
            )}
        </svg>
    )
}
