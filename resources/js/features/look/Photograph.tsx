import { Anchor, Button, Checkbox, FileButton, Modal, SegmentedControl, Select } from '@mantine/core'
import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react'
import { noLine, type View } from '../../api/client'
import { pictures, usePictures, type TakenPicture } from '../../keeping/pictures'
import { t } from '../../text/words'
import { NumberField } from '../../ui/NumberField'
import { Trouble } from '../../ui/Trouble'
import { Camera, hasCamera } from './Camera'
import { CardLine } from './CardLine'
import { cx } from './dress'
import { Found, FoundRows } from './Found'
import { Phone } from './Phone'
import { readingsOf, shrink, useShot, type Read, type SendShot, type Shot } from './picture'

interface Props {
    lesson: View['LessonView']
    unit: 'mm' | 'in'
    send: SendShot
    /** Where the card is printed. */
    card: (size: 'one' | 'two', hand: 'left' | null) => string
    /** Of a teacher's device: whose sample it is, so that a picture waits for the line; and how large the card is printed. */
    whose?: Pick<TakenPicture, 'class' | 'student' | 'name'>
    /** The picture may be kept with the sample. */
    onPin?: (image: Blob) => void
    /** The values are not shown: they are compared with what is read next. */
    blind?: boolean
    onTake: (readings: Record<string, string[]>) => void
    /** They are typed in, and the picture is out of the way. */
    onTaken?: () => void
}

/** The camera as a ruler: the sample on its card, and what a picture of it says is typed into the fields. */
export function Photograph(props: Props) {
    const [open, setOpen] = useState(false)
    const taken = useRef(false)
    return (
        <>
            <Button variant={props.blind === true ? 'filled' : 'default'} onClick={() => setOpen(true)}>
                {t('picture.photographIt')}
            </Button>
            <Modal
                opened={open}
                onClose={() => setOpen(false)}
                returnFocus={false}
                onExitTransitionEnd={() => {
                    if (taken.current) props.onTaken?.()
                    taken.current = false
                }}
                size="90%"
                title={t('picture.ofLesson', { lesson: props.lesson.title })}>
                <Taking
                    {...props}
                    onTake={(readings) => {
                        props.onTake(readings)
                        taken.current = true
                        setOpen(false)
                    }}
                />
            </Modal>
        </>
    )
}

/** One that waited for the line, of this sample; null: none does. */
function useWaiting({ lesson, whose }: Props): TakenPicture | null {
    const all = usePictures(whose === undefined ? [] : [whose.class])
    return all.filter((p) => !p.round && p.student === whose?.student && p.lesson === lesson.id).at(-1) ?? null
}

function Taking(props: Props) {
    const { lesson, unit, send, card, whose, onPin, blind, onTake } = props
    const waited = useWaiting(props)
    const [piece, setPiece] = useState(waited?.piece ?? lesson.pictured[0]?.id ?? '')
    const [how, setHow] = useState(waited?.dpi == null ? 'card' : 'scan')
    const [dpi, setDpi] = useState(String(waited?.dpi ?? 300))
    const [live, setLive] = useState(false)
    const [pin, setPin] = useState(false)
    const [error, setError] = useState<Error | null>(null)
    const [shot, setShot] = useState<Shot | null>(waited)
    const url = useMemo(() => (shot === null ? null : URL.createObjectURL(shot.image)), [shot])
    const again = useRef<(() => void) | null>(null)
    useEffect(
        () => () => {
            if (url !== null) URL.revokeObjectURL(url)
        },
        [url],
    )
    const read = useShot(shot, piece, how === 'card' ? null : Number(dpi), send)
    const down = noLine(read.failureReason)
    const found = read.data?.found
    const take = (taken: Promise<Shot>) => {
        setError(null)
        setLive(false)
        taken.then(setShot).catch((e: unknown) => setError(e instanceof Error ? e : new Error(String(e))))
    }
    // Without a line it lies on this device until there is one, whatever becomes of the tab.
    useEffect(() => {
        if (!down || shot === null || whose === undefined || pictures.all().some((p) => p.id === shot.id)) return
        const { id, version, way, title } = lesson
        const of = { lesson: id, version, way, title, piece, dpi: how === 'card' ? null : Number(dpi) }
        void pictures.put({ ...shot, ...whose, ...of, chosen: true, round: false, at: new Date().toISOString() })
    }, [down, shot, whose, lesson, piece, how, dpi])
    // One that was read is somebody's readings now, or was taken anew: it waits no more.
    const done = () => {
        if (shot !== null && pictures.all().some((p) => p.id === shot.id)) void pictures.drop([shot.id])
    }
    const readings = readingsOf(found)
    const some = Object.keys(readings).length > 0
    return (
        <div className={cx('photograph')}>
            <div className={cx('photograph-stage')}>
                {live ? (
                    <Camera onShot={(s) => take(Promise.resolve(s))} onError={setError} />
                ) : shot !== null && url !== null ? (
                    <Found shot={{ ...shot, url }} found={found} />
                ) : (
                    <Steps />
                )}
            </div>
            <div className={cx('photograph-side')}>
                {read.data !== undefined && (
                    <div role="status" aria-live="polite">
                        {whose !== undefined && <OtherSlip read={read.data} whose={whose} />}
                        {blind === true && some ? <p>{t('picture.itIsReadNowYou')}</p> : <FoundRows lesson={lesson} found={read.data.found} />}
                    </div>
                )}
                {shot !== null && read.isPending && !down && <p role="status">{t('picture.reading')}</p>}
                {down && <p role="status">{whose === undefined ? t('picture.itIsReadWithALine') : t('picture.itWaitsForTheLine')}</p>}
                <Trouble error={error ?? read.error} />
                {some && (
                    <Button
                        size="lg"
                        data-autofocus
                        autoFocus
                        onClick={() => {
                            if (pin && shot !== null) onPin?.(shot.image)
                            done()
                            onTake(readings)
                        }}>
                        {blind === true ? t('picture.nowTheRuler') : t('picture.typeThemIn')}
                    </Button>
                )}
                {some && onPin !== undefined && (
                    <Checkbox label={t('picture.keepItWithTheSample')} checked={pin} onChange={(e) => setPin(e.currentTarget.checked)} />
                )}
                <TakeIt
                    primary={!some}
                    another={shot !== null}
                    onFile={(file) => {
                        done()
                        take(shrink(file))
                    }}
                    onLive={
                        hasCamera() && !live
                            ? () => {
                                  setError(null)
                                  setLive(true)
                              }
                            : null
                    }
                    again={again}
                />
                {whose !== undefined && <Phone onShot={(s) => take(Promise.resolve(s))} />}
                <WhichPiece
                    lesson={lesson}
                    piece={piece}
                    onChange={(other) => {
                        setPiece(other)
                        setShot(null)
                    }}
                />
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
                    <PrintCard unit={unit} card={card}>
                        {whose !== undefined && <CardLine />}
                    </PrintCard>
                )}
                <p className={cx('quiet')}>{t('picture.nothingIsKept')}</p>
            </div>
        </div>
    )
}

/** The slip on the card is somebody else's: nothing is typed into the wrong sheet unseen. */
function OtherSlip({ read, whose }: { read: Read; whose: NonNullable<Props['whose']> }) {
    if (read.slip === null || read.slip.student === whose.student) return null
    return (
        <p className={cx('refused mild')} role="alert">
            {t('picture.theSlipIsOfSomebodyElse', { name: whose.name })}
        </p>
    )
}

interface TakeProps {
    primary: boolean
    another: boolean
    onFile: (file: File) => void
    /** Null: there is no camera, or one looks through it already. */
    onLive: (() => void) | null
    again: { current: (() => void) | null }
}

/** Of a sampler of several pieces the one that is photographed. */
export function WhichPiece({ lesson, piece, onChange }: { lesson: Pick<View['LessonView'], 'pictured'>; piece: string; onChange: (piece: string) => void }) {
    if (lesson.pictured.length < 2) return null
    return (
        <Select
            label={t('picture.whichPiece')}
            data={lesson.pictured.map((p) => ({ value: p.id, label: p.title }))}
            value={piece}
            allowDeselect={false}
            onChange={(value) => onChange(value ?? piece)}
        />
    )
}

/** By the camera of a tablet or phone, from a file, or through the camera of this computer. */
export function TakeIt({ primary, another, onFile, onLive, again }: TakeProps) {
    return (
        <div className={cx('photograph-acts')}>
            <FileButton
                accept="image/*"
                capture="environment"
                resetRef={again}
                onChange={(file) => {
                    if (file !== null) onFile(file)
                    again.current?.()
                }}
                inputProps={{ 'aria-label': t('picture.aPictureOfTheSample') }}>
                {(props) => (
                    <Button variant={primary ? 'filled' : 'default'} {...props}>
                        {another ? t('picture.anotherPicture') : t('picture.takeAPicture')}
                    </Button>
                )}
            </FileButton>
            {onLive !== null && (
                <Button variant="default" onClick={onLive}>
                    {t('picture.throughThisCamera')}
                </Button>
            )}
        </div>
    )
}

/** The card to print, and how large the printer makes it. */
export function PrintCard({ unit, card, children }: { unit: 'mm' | 'in'; card: (size: 'one' | 'two', hand: 'left' | null) => string; children?: ReactNode }) {
    const format = unit === 'in' ? 'Letter' : 'A4'
    const link = (size: 'one' | 'two', hand: 'left' | null, label: string) => (
        <Anchor href={`${card(size, hand)}&format=${format}`} target="_blank" rel="noreferrer">
            {label}
        </Anchor>
    )
    return (
        <>
            <p className={cx('print-card')}>
                {t('picture.printTheCard')} {link('one', null, t('picture.oneSheet'))}
                {link('two', null, t('picture.twoSheets'))}
                {link('one', 'left', t('picture.leftHanded'))}
            </p>
            {children}
        </>
    )
}

/** A teacher's card. */
export const ownCard = (size: 'one' | 'two', hand: 'left' | null) => `/api/print/photo-card?size=${size}${hand === null ? '' : '&hand=left'}`

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
