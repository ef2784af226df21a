import { Anchor, Button, FileButton, Modal, SegmentedControl, Select } from '@mantine/core'
import { useEffect, useRef, useState } from 'react'
import { ask, type View } from '../../api/client'
import { useChange } from '../../api/queries'
import { t } from '../../text/words'
import { NumberField } from '../../ui/NumberField'
import { Trouble } from '../../ui/Trouble'
import { Camera, hasCamera } from './Camera'
import { CardLine } from './CardLine'
import { cx } from './dress'
import { cannotSay, sendShot, shrink, type Shot } from './picture'

interface Props {
    lesson: View['LessonView']
    unit: 'mm' | 'in'
    onTake: (readings: Record<string, string[]>) => void
    /** They are typed in, and the picture is out of the way. */
    onTaken: () => void
}

/** The camera as a ruler: the sample on its card, and what a picture of it says is typed into the fields. */
export function Photograph({ lesson, unit, onTake, onTaken }: Props) {
    const [open, setOpen] = useState(false)
    const taken = useRef(false)
    return (
        <>
            <Button variant="default" onClick={() => setOpen(true)}>
                {t('picture.photographIt')}
            </Button>
            <Modal
                opened={open}
                onClose={() => setOpen(false)}
                returnFocus={false}
                onExitTransitionEnd={() => {
                    if (taken.current) onTaken()
                    taken.current = false
                }}
                size="90%"
                title={t('picture.ofLesson', { lesson: lesson.title })}>
                <Taking
                    lesson={lesson}
                    unit={unit}
                    onTake={(readings) => {
                        onTake(readings)
                        taken.current = true
                        setOpen(false)
                    }}
                />
            </Modal>
        </>
    )
}

function Taking({ lesson, unit, onTake }: Omit<Props, 'onTaken'>) {
    const [piece, setPiece] = useState(lesson.pictured[0]?.id ?? '')
    const [how, setHow] = useState('card')
    const [dpi, setDpi] = useState('300')
    const [live, setLive] = useState(false)
    const [error, setError] = useState<Error | null>(null)
    const [shot, setShot] = useState<(Shot & { url: string }) | null>(null)
    const again = useRef<(() => void) | null>(null)
    useEffect(
        () => () => {
            if (shot !== null) URL.revokeObjectURL(shot.url)
        },
        [shot],
    )
    const read = useChange('nothing', async (of: Shot) =>
        ask<View['ScannedSamplerView']>(sendShot(of, { lesson, piece, dpi: how === 'card' ? null : Number(dpi) })),
    )
    const take = (taken: Promise<Shot>) => {
        setError(null)
        setLive(false)
        read.reset()
        taken
            .then((s) => {
                setShot({ ...s, url: URL.createObjectURL(s.image) })
                read.mutate(s)
            })
            .catch((e: unknown) => setError(e instanceof Error ? e : new Error(String(e))))
    }
    const found = read.data
    const readings = Object.assign({}, ...(found?.rows ?? []).map((r) => r.readings)) as Record<string, string[]>
    const some = Object.keys(readings).length > 0
    return (
        <div className={cx('photograph')}>
            <div className={cx('photograph-stage')}>
                {live ? (
                    <Camera onShot={(s) => take(Promise.resolve(s))} onError={setError} />
                ) : shot !== null ? (
                    <Found shot={shot} found={found} />
                ) : (
                    <Steps />
                )}
            </div>
            <div className={cx('photograph-side')}>
                {found !== undefined && (
                    <div role="status" aria-live="polite">
                        {found.cannot !== null ? <p className={cx('refused mild')}>{cannotSay(found.cannot)}</p> : <Rows lesson={lesson} found={found} />}
                    </div>
                )}
                {read.isPending && <p role="status">{t('picture.reading')}</p>}
                <Trouble error={error ?? read.error} />
                {some && (
                    <Button size="lg" data-autofocus autoFocus onClick={() => onTake(readings)}>
                        {t('picture.typeThemIn')}
                    </Button>
                )}
                <div className={cx('photograph-acts')}>
                    <FileButton
                        accept="image/*"
                        capture="environment"
                        resetRef={again}
                        onChange={(file) => {
                            if (file !== null) take(shrink(file))
                            again.current?.()
                        }}
                        inputProps={{ 'aria-label': t('picture.aPictureOfTheSample') }}>
                        {(props) => (
                            <Button variant={some ? 'default' : 'filled'} {...props}>
                                {shot === null ? t('picture.takeAPicture') : t('picture.anotherPicture')}
                            </Button>
                        )}
                    </FileButton>
                    {hasCamera() && !live && (
                        <Button
                            variant="default"
                            onClick={() => {
                                setError(null)
                                setLive(true)
                            }}>
                            {t('picture.throughThisCamera')}
                        </Button>
                    )}
                </div>
                {lesson.pictured.length > 1 && (
                    <Select
                        label={t('picture.whichPiece')}
                        data={lesson.pictured.map((p) => ({ value: p.id, label: p.title }))}
                        value={piece}
                        allowDeselect={false}
                        onChange={(value) => {
                            setPiece(value ?? piece)
                            read.reset()
                            setShot(null)
                        }}
                    />
                )}
                <SegmentedControl
                    aria-label={t('picture.howItLies')}
                    value={how}
                    onChange={setHow}
                    data={[
                        { value: 'card', label: t('picture.onTheCard') },
                        { value: 'scan', label: t('picture.aFlatScan') },
                    ]}
                />
                {how === 'scan' ? (
                    <NumberField label={t('workshop.scannedAt')} unit="dpi" value={dpi} min={72} max={1200} step={100} slider={false} onChange={setDpi} />
                ) : (
                    <>
                        <p className={cx('quiet')}>
                            {t('picture.printTheCard')}{' '}
                            {(['one', 'two'] as const).map((size) => (
                                <Anchor
                                    key={size}
                                    href={`/api/print/photo-card?size=${size}&format=${unit === 'in' ? 'Letter' : 'A4'}`}
                                    target="_blank"
                                    rel="noreferrer">
                                    {size === 'one' ? t('picture.oneSheet') : t('picture.twoSheets')}
                                </Anchor>
                            ))}
                            <Anchor href={`/api/print/photo-card?hand=left&format=${unit === 'in' ? 'Letter' : 'A4'}`} target="_blank" rel="noreferrer">
                                {t('picture.leftHanded')}
                            </Anchor>
                        </p>
                        <CardLine />
                    </>
                )}
                <p className={cx('quiet')}>{t('picture.nothingIsKept')}</p>
            </div>
        </div>
    )
}

/** Before the first picture: what makes a good one. */
function Steps() {
    return (
        <ol className={cx('photograph-steps')}>
            <li>{t('picture.layIt')}</li>
            <li>{t('picture.allFour')}</li>
            <li>{t('picture.light')}</li>
        </ol>
    )
}

/** The picture, with what was found drawn over it. */
function Found({ shot, found }: { shot: Shot & { url: string }; found: View['ScannedSamplerView'] | undefined }) {
    const points = (of: number[][]) => of.map((p) => p.join(',')).join(' ')
    const wide = shot.width / 260
    return (
        <svg className={cx('photograph-found')} viewBox={`0 0 ${shot.width} ${shot.height}`} role="img" aria-label={t('picture.thePictureWithWhatWasFound')}>
            <image href={shot.url} width={shot.width} height={shot.height} />
            {found !== undefined && found.outline.length > 0 && <polygon className={cx('found-edge')} points={points(found.outline)} strokeWidth={wide} />}
            {found?.rows.map((row) => (
                <g key={row.row}>
                    <polyline className={cx('found-row')} points={points(row.seen)} strokeWidth={wide} />
                    {row.seen.map(([x, y], i) => (
                        <circle key={i} className={cx('found-mark')} cx={x} cy={y} r={2.4 * wide} strokeWidth={wide} />
                    ))}
                </g>
            ))}
        </svg>
    )
}

/** Row by row: what it says, or why it cannot be told. */
function Rows({ lesson, found }: { lesson: View['LessonView']; found: View['ScannedSamplerView'] }) {
    const labels = new Map(lesson.rows.flatMap((r) => r.fields.map((f) => [f.key, f.label] as const)))
    return (
        <dl className={cx('photograph-rows')}>
            {found.rows.map((row) => (
                <div key={row.row}>
                    <dt>{row.title}</dt>
                    {row.cannot !== null && <dd className={cx('refused mild')}>{cannotSay(row.cannot)}</dd>}
                    {Object.entries(row.readings).map(([key, values]) => (
                        <dd key={key}>
                            <small>{labels.get(key)}</small>
                            <strong>{values.map((v) => (v === '' ? '–' : v.replace(/ ?±.*/, ''))).join(' · ')}</strong>
                        </dd>
                    ))}
                </div>
            ))}
            {found.rows.length > 0 && <p className={cx('quiet')}>{t('picture.eachWithItsOwn')}</p>}
        </dl>
    )
}
