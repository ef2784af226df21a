import { Button, Drawer, UnstyledButton } from '@mantine/core'
import { useState, type ReactNode } from 'react'
import { useNavigate } from 'react-router'
import type { View } from '../api/client'
import { clock } from '../text/time'
import { t } from '../text/words'
import { cx } from './dress'
import { keepBoth, sendAll, takeBack, useSending, useSpool, useWaitingActs } from './spool'
import { keeping } from './store'

/** A small spool with how much waits on this device; nothing is shown while nothing does. */
export function Spool({ me }: { me: View['MeView'] }) {
    const [open, setOpen] = useState(false)
    const classes = me.classes.map((c) => c.id)
    const [waiting, acts] = [useSpool(classes), useWaitingActs(classes)]
    const navigate = useNavigate()
    useSending(classes)
    const all = [...waiting, ...acts]
    if (all.length === 0) return null
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
                        : all.length === 1
                          ? t('kept.n1WaitsToBeSent')
                          : t('kept.waitToBeSent', { n: all.length })}
                </span>
            </UnstyledButton>
            <Drawer opened={open} onClose={() => setOpen(false)} position="right" size="lg" title={t('kept.keptOnThisDevice')}>
                <p>{t('kept.theseSamplesAreSafeHere')}</p>
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
                <Button variant="default" onClick={() => void sendAll(classes)}>
                    {t('kept.sendNow')}
                </Button>
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
