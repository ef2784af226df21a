import { Button, FileButton, Modal, UnstyledButton } from '@mantine/core'
import { useCallback, useRef, useState } from 'react'
import { api, ask, type View } from '../../api/client'
import { useChange, useMe } from '../../api/queries'
import { MOST_PHOTOS, takePhoto, type Photo } from '../../keeping/photos'
import { day } from '../../text/time'
import { t } from '../../text/words'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'

/** Shows a picture that lies on this device; its address is given back when it is no longer shown. */
function useImage(image: Blob) {
    return useCallback(
        (shown: HTMLImageElement | null) => {
            if (shown === null) return
            const made = URL.createObjectURL(image)
            shown.src = made
            return () => URL.revokeObjectURL(made)
        },
        [image],
    )
}

/** A photo that is not sent yet. */
function Taken({ photo, onDrop }: { photo: Photo; onDrop: () => void }) {
    return (
        <span className={cx('photo taken')}>
            <img ref={useImage(photo.image)} alt={t('look.photoNow')} />
            <small>{t('common.now')}</small>
            <UnstyledButton aria-label={t('look.takeThePhotoAway')} onClick={onDrop}>
                ×
            </UnstyledButton>
        </span>
    )
}

/** Photos that are kept: touched they are seen large. */
export function KeptPhotos({ photos }: { photos: View['PhotoView'][] }) {
    const [open, setOpen] = useState<View['PhotoView'] | null>(null)
    const [sure, setSure] = useState(false)
    const zone = useMe().data?.timezone ?? 'UTC'
    const close = () => {
        setOpen(null)
        setSure(false)
    }
    const drop = useChange('sample', async (photo: string) => {
        await ask(api.DELETE('/api/photos/{photo}', { params: { path: { photo } } }))
        close()
    })
    return (
        <>
            {photos.map((p) => (
                <UnstyledButton
                    key={p.id}
                    className={cx('photo')}
                    onClick={() => setOpen(p)}
                    aria-label={t('look.photoOfLarger', { day: day(p.kept_at, zone) })}>
                    <img src={`/api/photos/${p.id}`} width={p.width} height={p.height} alt="" loading="lazy" />
                    <small>{day(p.kept_at, zone)}</small>
                </UnstyledButton>
            ))}
            <Modal opened={open !== null} onClose={close} size="xl" title={open === null ? '' : t('look.photoOf', { day: day(open.kept_at, zone) })}>
                {open !== null && (
                    <>
                        <img className={cx('photo-large')} src={`/api/photos/${open.id}`} alt={t('look.theSampleAsItWas')} />
                        <Trouble error={drop.error} />
                        {sure ? (
                            <p>
                                {t('look.thePhotoGoesForGood')}{' '}
                                <Button variant="default" disabled={drop.isPending} onClick={() => drop.mutate(open.id)}>
                                    {t('look.removeIt')}
                                </Button>
                            </p>
                        ) : (
                            <Button variant="subtle" onClick={() => setSure(true)}>
                                {t('look.removeThisPhoto')}
                            </Button>
                        )}
                    </>
                )}
            </Modal>
        </>
    )
}

interface Props {
    row: View['RowView']
    taken: Photo[]
    kept: View['PhotoView'][]
    onTake: (photo: Photo) => void
    onDrop: (id: string) => void
    /** No more of this sample can be kept. */
    full: boolean
}

/** Photos pinned to a row: those of now and those of the samples before. */
export function RowPhotos({ row, taken, kept, onTake, onDrop, full }: Props) {
    const [error, setError] = useState<Error | null>(null)
    // The same picture can be taken twice.
    const again = useRef<(() => void) | null>(null)
    const take = (file: File | undefined) => {
        setError(null)
        if (file !== undefined)
            takePhoto(file, row.id)
                .then(onTake)
                .catch((e: unknown) => setError(e instanceof Error ? e : new Error(String(e))))
    }
    return (
        <>
            {!full && (
                <FileButton
                    accept="image/*"
                    resetRef={again}
                    onChange={(file) => {
                        take(file ?? undefined)
                        again.current?.()
                    }}
                    inputProps={{ 'aria-label': t('look.pinAPhotoTo', { row: row.title }) }}>
                    {(props) => (
                        <Button variant="default" {...props}>
                            {t('look.pinAPhoto')}
                        </Button>
                    )}
                </FileButton>
            )}
            {full && <small className={cx('quiet')}>{t('look.photosAreEnough', { n: MOST_PHOTOS })}</small>}
            {taken.map((p) => (
                <Taken key={p.id} photo={p} onDrop={() => onDrop(p.id)} />
            ))}
            <KeptPhotos photos={kept} />
            <Trouble error={error} />
        </>
    )
}
