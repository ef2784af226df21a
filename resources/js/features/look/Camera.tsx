import { Button } from '@mantine/core'
import { useEffect, useRef, useState } from 'react'
import { t } from '../../text/words'
import { cx } from './dress'
import { still, type Shot } from './picture'

/** Browsers give a camera only to pages that come over a secured line, or from the same device. */
export const hasCamera = () => (navigator as Partial<Navigator>).mediaDevices !== undefined

/** What the camera sees, and a picture of it. It is let go as soon as nobody looks through it. */
export function Camera({ onShot, onError }: { onShot: (shot: Shot) => void; onError: (error: Error) => void }) {
    const video = useRef<HTMLVideoElement>(null)
    const [seen, setSeen] = useState(false)
    const failed = useRef(onError)
    useEffect(() => {
        failed.current = onError
    })
    useEffect(() => {
        let stream: MediaStream | null = null
        let gone = false
        navigator.mediaDevices
            .getUserMedia({ video: { facingMode: { ideal: 'environment' }, width: { ideal: 2560 }, height: { ideal: 1920 } } })
            .then((found) => {
                stream = found
                if (gone || video.current === null) {
                    found.getTracks().forEach((track) => track.stop())
                    return
                }
                video.current.srcObject = found
            })
            .catch(() => {
                if (!gone) failed.current(new Error(t('picture.noCamera')))
            })
        return () => {
            gone = true
            stream?.getTracks().forEach((track) => track.stop())
        }
    }, [])
    return (
        <div className={cx('camera')}>
            <video ref={video} autoPlay muted playsInline aria-label={t('picture.whatTheCameraSees')} onLoadedData={() => setSeen(true)} />
            <Button
                size="lg"
                disabled={!seen}
                data-autofocus
                onClick={() => {
                    if (video.current !== null)
                        still(video.current)
                            .then(onShot)
                            .catch((e: unknown) => onError(e instanceof Error ? e : new Error(String(e))))
                }}>
                {t('picture.takeIt')}
            </Button>
        </div>
    )
}
