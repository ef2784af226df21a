import { Button, FileButton } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { useParams } from 'react-router'
import { api, asBytes, ask, noLine, Problem } from '../../api/client'
import { t } from '../../text/words'
import { Trouble, Waiting } from '../../ui/Trouble'
import { Camera, hasCamera } from './Camera'
import { cx } from './dress'
import { shrink, type Shot } from './picture'

const AGAIN_MS = 2_500

/** What a phone shows that takes pictures for a screen: it needs no account, only the code it was opened by. */
export default function LensPage() {
    const token = useParams().token ?? ''
    const there = useQuery({
        queryKey: ['lens-there', token],
        queryFn: async () => {
            await ask(api.GET('/api/lens/{token}', { params: { path: { token } } }))
            return true
        },
        retry: false,
    })
    const [waiting, setWaiting] = useState<Shot[]>([])
    const [sent, setSent] = useState(0)
    const [error, setError] = useState<Error | null>(null)
    const [live, setLive] = useState(false)
    const again = useRef<(() => void) | null>(null)
    const first = waiting[0]
    const [tries, setTries] = useState(0)
    useEffect(() => {
        if (first === undefined) return
        let gone = false
        let timer: ReturnType<typeof setTimeout> | undefined
        ask(api.POST('/api/lens/{token}', { params: { path: { token } }, body: first.image as never, ...asBytes }))
            .then(() => {
                if (gone) return
                setSent((n) => n + 1)
                setError(null)
                setWaiting((all) => all.slice(1))
            })
            .catch((problem: unknown) => {
                if (gone) return
                setError(problem instanceof Error ? problem : new Error(String(problem)))
                // What was refused is not sent again; without a line it is.
                if (noLine(problem) || (problem instanceof Problem && problem.status === 429)) timer = setTimeout(() => setTries((n) => n + 1), AGAIN_MS)
                else setWaiting((all) => all.slice(1))
            })
        return () => {
            gone = true
            clearTimeout(timer)
        }
    }, [first, token, tries])
    const take = (shot: Shot) => {
        setError(null)
        setWaiting((all) => [...all, shot])
    }
    if (there.isPending) return <Waiting what={t('common.opening')} />
    if (there.error !== null || (error instanceof Problem && error.status === 404))
        return (
            <main className={cx('lens')}>
                <h1>{t('picture.forTheScreen')}</h1>
                <p>{noLine(there.error) ? t('picture.noLineToTheScreen') : t('picture.thisCodeIsOver')}</p>
            </main>
        )
    return (
        <main className={cx('lens')}>
            <h1>{t('picture.forTheScreen')}</h1>
            {live ? (
                <Camera onShot={take} onError={setError} />
            ) : (
                <>
                    <FileButton
                        accept="image/*"
                        capture="environment"
                        resetRef={again}
                        onChange={(file) => {
                            if (file !== null)
                                shrink(file)
                                    .then(take)
                                    .catch((e: unknown) => setError(e instanceof Error ? e : new Error(String(e))))
                            again.current?.()
                        }}
                        inputProps={{ 'aria-label': t('picture.aPictureOfTheSample') }}>
                        {(props) => (
                            <Button size="xl" fullWidth {...props}>
                                {t('picture.takeAPicture')}
                            </Button>
                        )}
                    </FileButton>
                    {hasCamera() && (
                        <Button variant="default" size="lg" fullWidth onClick={() => setLive(true)}>
                            {t('picture.throughThisCamera')}
                        </Button>
                    )}
                </>
            )}
            <p role="status" className={cx('lens-sent')}>
                {waiting.length > 0
                    ? t('picture.onTheirWay', { n: waiting.length })
                    : sent > 0
                      ? t('picture.sentToTheScreen', { n: sent })
                      : t('picture.nothingSentYet')}
            </p>
            <Trouble error={error} />
            <ol className={cx('photograph-steps')}>
                <li>{t('picture.layIt')}</li>
                <li>{t('picture.allFour')}</li>
                <li>{t('picture.light')}</li>
            </ol>
            <p className={cx('quiet')}>{t('picture.nothingStaysOnThisPhone')}</p>
        </main>
    )
}
