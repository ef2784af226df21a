import { Button, Drawer, UnstyledButton } from '@mantine/core'
import { useState, type ReactNode } from 'react'
import { useNavigate } from 'react-router'
import type { View } from '../api/client'
import { clock } from '../text/time'
import { t } from '../text/words'
import { cx } from './dress'
import { pictures, usePictures } from './pictures'
import { keepBoth, sendAll, takeBack, useSending, useSpool, useWaitingActs } from './spool'
import { keeping } from './store'

/** A small spool with how much waits on this device; nothing is shown while nothing does. */
export function Spool({ me }: { me: View['MeView'] }) {
    const [open, setOpen] = useState(false)
    const classes = me.classes.map((c) => c.id)
    const [waiting, acts] = [useSpool(classes), useWaitingActs(classes)]
    const navigate = useNavigate()
    useSending(classes)
    const taken = usePictures(classes)
    const all = [...waiting, ...acts]
    if (all.length + taken.length === 0) return null
    const asking = all.filter((w) => w.asks !== null).length
    return (
        <>
            <UnstyledButton className={cx(asking > 0 ? 'spool asks' : 'spool')} onClick={() => setOpen(true)}>
                <svg width="22" height="26" viewBox="0 0 22 26" aria-hidden="true">
                    <path d="M2 2h18v4H2zM2 20h18v4H2z" className={cx('spool-ends')} />
                    <path d="M5 7h12v12H5zM5 9.5h12M5 12h12M5 14.5h12M5 17h12" className={cx('spool-thread')} />
                </svg>
                <span role="status">
                    {asking > 0
                        ? t('kept.askSomething', { n: asking })
                        : all.length === 0
                          ? t('kept.picturesWait', { n: taken.length })
                          : all.length === 1
                            ? t('kept.n1WaitsToBeSent')
                            : t('kept.waitToBeSent', { n: all.length })}
                </span>
            </UnstyledButton>
            <Drawer opened={open} onClose={() => setOpen(false)} position="right" size="lg" title={t('kept.keptOnThisDevice')}>
                {all.length > 0 && <p>{t('kept.theseSamplesAreSafeHere')}</p>}
                <ul className={cx('spool-list')}>
                    {waiting.map((w) => (
                        <Line key={w.body.id} what={`${w.name}: ${w.title}`} at={clock(w.at, me.timezone)} asks={w.asks?.message ?? null}>
                            {w.asks?.field === 'known' && (
                                <Button variant="default" onClick={() => void keepBoth(w)}>
                                    {t('common.keepBoth')}
                                </Button>
                            )}
                            <Button
                                variant="default"
                                onClick={() =>
                                    void takeBack(w).then((address) => {
                                        setOpen(false)
                                        return navigate(address)
                                    })
                                }>
                                {t('common.correctIt')}
                            </Button>
                            <Button variant="default" onClick={() => void keeping.drop(w.body.id)}>
                                {t('kept.dropThisOne')}
                            </Button>
                        </Line>
                    ))}
                    {acts.map((w) => (
                        <Line key={w.id} what={`${w.name}: ${w.title}`} at={clock(w.at, me.timezone)} asks={w.asks?.message ?? null}>
                            <Button variant="default" onClick={() => void keeping.dropAct(w.id)}>
                                {t('kept.dropThisOne')}
                            </Button>
                        </Line>
                    ))}
                </ul>
                {all.length > 0 && (
                    <Button variant="default" onClick={() => void sendAll(classes)}>
                        {t('kept.sendNow')}
                    </Button>
                )}
                {taken.length > 0 && <p>{t('kept.thesePicturesAreReadHere')}</p>}
                <ul className={cx('spool-list')}>
                    {taken.map((p) => (
                        <li key={p.id}>
                            <strong>{[p.name, p.title].filter((part) => part !== '').join(': ')}</strong> <small>{clock(p.at, me.timezone)}</small>
                            <div>
                                <Button
                                    variant="default"
                                    onClick={() => {
                                        setOpen(false)
                                        void navigate(
                                            p.round
                                                ? `/round/${p.class}?lesson=${p.lesson}&by=pictures`
                                                : `/look/${p.class}/${p.student ?? ''}?lesson=${p.lesson}`,
                                        )
                                    }}>
                                    {t('kept.lookAtThePicture')}
                                </Button>
                                <Button variant="default" onClick={() => void pictures.drop([p.id])}>
                                    {t('kept.dropThisOne')}
                                </Button>
                            </div>
                        </li>
                    ))}
                </ul>
            </Drawer>
        </>
    )
}

/** One that waits: for the line, or for an answer. */
function Line({ what, at, asks, children }: { what: string; at: string; asks: string | null; children: ReactNode }) {
    return (
        <li>
            <strong>{what}</strong> <small>{at}</small>
            <p className={cx(asks === null ? 'quiet' : 'trouble')}>{asks ?? t('common.waitsForTheLine')}</p>
            {children}
        </li>
    )
}
