import { Button, FileInput, UnstyledButton } from '@mantine/core'
import { useEffect, useState } from 'react'
import { ask, type View } from '../../api/client'
import { useCompute } from '../../api/compute'
import { useChange } from '../../api/queries'
import { mm, toNumber } from '../../text/numbers'
import { t } from '../../text/words'
import { Empty } from '../../ui/Empty'
import { NumberField } from '../../ui/NumberField'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'
import { PictureStage, type Spot, type What } from './PictureStage'
import { sendScan, shades } from './scan'
import { TakeOver, type Measured } from './TakeOver'

const EMPTY: Record<What, Spot[]> = { scale: [], corners: [], needle: [], edge: [] }
const MOST: Record<What, number> = { scale: 2, corners: 4, needle: 400, edge: 40 }

/** Lengths and distances on a scan or a photograph: by clicking, or read by itself from a flat scan. Nothing of it is kept. */
export function PictureTool() {
    const [url, setUrl] = useState<string | null>(null)
    const [broken, setBroken] = useState(false)
    const [size, setSize] = useState<Spot>([1, 1])
    const [spots, setSpots] = useState(EMPTY)
    const [what, setWhat] = useState<What>('scale')
    const [ruler, setRuler] = useState('100')
    const [box, setBox] = useState({ wide: '100', high: '100' })
    const [dpi, setDpi] = useState('300')
    const [shown, setShown] = useState<HTMLImageElement | null>(null)
    useEffect(
        () => () => {
            if (url?.startsWith('blob:') === true) URL.revokeObjectURL(url)
        },
        [url],
    )
    const read = useChange('nothing', async () => (shown === null ? null : ask<View['ScanView']>(sendScan(shades(shown), Number(dpi)))))
    const open = (address: string) => {
        setUrl(address)
        setBroken(false)
        setSpots(EMPTY)
        setWhat('scale')
        read.reset()
    }
    const rulerMm = toNumber(ruler)
    const [wide, high] = [toNumber(box.wide), toNumber(box.high)]
    const [from, to] = spots.scale
    const frame =
        spots.corners.length === 4 && wide !== null && high !== null && wide > 0 && high > 0
            ? { corners: { points: spots.corners, wide_mm: wide, high_mm: high } }
            : from !== undefined && to !== undefined && rulerMm !== null && rulerMm > 0
              ? { scale: { from, to, mm: rulerMm } }
              : null
    const measured = useCompute(
        '/api/compute/measure-picture',
        frame === null || spots.needle.length < 2 ? null : { ...frame, needle: spots.needle, edge: spots.edge },
    )
    const back = () => setSpots({ ...spots, [what]: spots[what].slice(0, -1) })
    const steps: [What, string][] = [
        ['scale', t('workshop.twoPointsOnARuler')],
        ['corners', t('workshop.orFourCornersOfA')],
        ['needle', t('workshop.needlePointsInOrder')],
        ['edge', t('workshop.theClothEdgeTwoPoints')],
    ]
    const found = measured.error === null ? measured.data : undefined
    const taken: Measured | null =
        found?.length != null
            ? {
                  marks: found.marks.map((m) => [m.at_mm, m.allowance_mm]),
                  stitch_mm: found.length.mm,
                  row_mm: found.lengths_mm.reduce((a, b) => a + b, 0),
                  stitch_u_mm: found.length.u_mm,
                  edge_u_mm: found.allowance?.u_mm ?? null,
              }
            : read.data?.length_mm != null
              ? {
                    marks: read.data.marks,
                    stitch_mm: read.data.length_mm,
                    row_mm: along(read.data.marks),
                    stitch_u_mm: half(read.data.length_u_mm),
                    edge_u_mm: half(read.data.allowance_u_mm),
                }
              : null
    return (
        <div className={cx('picture-tool')}>
            <div>
                {url === null ? (
                    <Empty>{t('workshop.loadAScanOrA')}</Empty>
                ) : (
                    <PictureStage
                        url={url}
                        spots={spots}
                        size={size}
                        image={shown}
                        onImage={setShown}
                        onSize={setSize}
                        onBroken={() => {
                            setUrl(null)
                            setBroken(true)
                        }}
                        onBack={back}
                        onSet={(spot) => setSpots({ ...spots, [what]: [...spots[what].slice(0, MOST[what] - 1), spot] })}
                    />
                )}
            </div>
            <div className={cx('picture-acts')}>
                <FileInput
                    label={t('workshop.picture')}
                    placeholder={t('workshop.chooseAPicture')}
                    accept="image/*"
                    onChange={(file) => {
                        if (file !== null) open(URL.createObjectURL(file))
                    }}
                />
                {broken && (
                    <p className={cx('refused mild')} role="status">
                        {t('workshop.thisIsNoPicture')}
                    </p>
                )}
                <Button variant="default" onClick={() => open(`/api/scans/simulated?seed=${Math.floor(Math.random() * 1000)}&drift_mm=1.5`)}>
                    {t('workshop.aDrawnScanToTry')}
                </Button>
                {url !== null && (
                    <>
                        <NumberField label={t('workshop.scannedAt')} unit="dpi" value={dpi} min={72} max={1200} step={100} slider={false} onChange={setDpi} />
                        <Button disabled={read.isPending || shown === null} onClick={() => read.mutate(undefined)}>
                            {read.isPending ? t('workshop.reading') : t('workshop.readItByItself')}
                        </Button>
                        <Trouble error={read.error} />
                        {read.data !== undefined && read.data !== null && <Read read={read.data} />}
                        <div className={cx('steps-of')} role="group" aria-label={t('workshop.whatIsClicked')}>
                            {steps.map(([id, title]) => (
                                <UnstyledButton key={id} aria-pressed={what === id} onClick={() => setWhat(id)}>
                                    {title} {spots[id].length > 0 && <b>· {spots[id].length}</b>}
                                </UnstyledButton>
                            ))}
                        </div>
                        {what === 'scale' && (
                            <NumberField
                                label={t('workshop.betweenTheTwoPoints')}
                                value={ruler}
                                min={1}
                                max={1000}
                                step={10}
                                slider={false}
                                onChange={setRuler}
                            />
                        )}
                        {what === 'corners' && (
                            <>
                                <NumberField
                                    label={t('workshop.firstCornerToSecond')}
                                    value={box.wide}
                                    min={1}
                                    max={1000}
                                    step={10}
                                    slider={false}
                                    onChange={(v) => setBox({ ...box, wide: v })}
                                />
                                <NumberField
                                    label={t('workshop.secondToThird')}
                                    value={box.high}
                                    min={1}
                                    max={1000}
                                    step={10}
                                    slider={false}
                                    onChange={(v) => setBox({ ...box, high: v })}
                                />
                            </>
                        )}
                        <Button variant="default" disabled={spots[what].length === 0} onClick={back}>
                            {t('workshop.takeTheLastPointBack')}
                        </Button>
                        <Trouble error={measured.error} />
                        {found?.length != null && (
                            <p className={cx('picture-found')} aria-live="polite">
                                <strong>{mm(found.length.mm)} mm</strong> ± {mm(2 * found.length.u_mm)}{' '}
                                {t('workshop.aStitchOver', { n: found.lengths_mm.length })}
                                {found.allowance !== null && (
                                    <>
                                        <br />
                                        <strong>{mm(found.allowance.mm)} mm</strong> ± {mm(2 * found.allowance.u_mm)} {t('workshop.toTheEdge')}
                                    </>
                                )}
                            </p>
                        )}
                    </>
                )}
                <TakeOver found={taken} />
                <p className={cx('quiet')}>{t('workshop.thePictureStaysOnThis')}</p>
            </div>
        </div>
    )
}

/** A scan says its uncertainty expanded (k = 2). */
const half = (expanded: number | null) => (expanded === null ? null : expanded / 2)

/** From the first place along the row to the last. */
const along = (marks: number[][]) => (marks.at(-1)?.[0] ?? 0) - (marks[0]?.[0] ?? 0)

function Read({ read: r }: { read: View['ScanView'] }) {
    const cannot = { edge: t('workshop.itCannotBeToldThe'), row: t('workshop.itCannotBeToldNo'), stitches: t('workshop.itCannotBeToldTheRow') }
    if (r.cannot !== null || r.length_mm === null || r.allowance_mm === null)
        return (
            <p className={cx('refused mild')} role="status">
                {cannot[r.cannot ?? 'stitches']}
            </p>
        )
    return (
        <p className={cx('picture-found')} role="status">
            <strong>{mm(r.length_mm)} mm</strong> ± {mm(r.length_u_mm ?? 0)} {t('workshop.aStitch')}
            <br />
            <strong>{mm(r.allowance_mm)} mm</strong> ± {mm(r.allowance_u_mm ?? 0)} {t('workshop.toTheRightEdge')}
            <br />
            {t('workshop.driftMmOverTheRow', { n: mm(r.drift_mm ?? 0) })}
        </p>
    )
}
