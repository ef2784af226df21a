import { Button, Drawer, Group, Textarea } from '@mantine/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { ulid } from 'ulid'
import type { View } from '../../api/client'
import { useChange, useKeptSample, useMe } from '../../api/queries'
import { keepAct, useWaitingActs } from '../../keeping/spool'
import { useTyped } from '../../keeping/useTyped'
import { clock, day } from '../../text/time'
import { t } from '../../text/words'
import { Trouble, Waiting } from '../../ui/Trouble'
import { VerdictLine } from '../look/VerdictLine'
import { cx } from './dress'

/** One kept sample, whenever it was: what it said, what was corrected, and a way to put it right. */
export function SamplePanel({ sample, onClose }: { sample: string | null; onClose: () => void }) {
    return (
        <Drawer opened={sample !== null} onClose={onClose} position="right" size="lg" title={t('sample.theSample')}>
            {sample !== null && <Sample key={sample} id={sample} />}
        </Drawer>
    )
}

function Sample({ id }: { id: string }) {
    const read = useKeptSample(id)
    const zone = useMe().data?.timezone ?? 'UTC'
    const s = read.data
    if (s === undefined) return read.error === null ? <Waiting what={t('sample.fetchingTheSample')} /> : <Trouble error={read.error} />
    const when = (at: string) => `${day(at, zone)}, ${clock(at, zone)}`
    return (
        <div className={cx('sample-panel')}>
            <h2>
                {s.name}: {s.title}
            </h2>
            {s.withdrawn && <p className={cx('refused mild')}>{t('sample.withdrawnItDoesNotCount')}</p>}
            {s.may && <Acts s={s} />}
            <Waits s={s} />
            {s.notes.length > 0 && (
                <ul className={cx('plain sample-notes')}>
                    {s.notes.map((n) => (
                        <li key={n.at + n.kind}>
                            <b>{NOTE_WORDS[n.kind]}</b>
                            {n.text !== '' && <> {n.text}</>}{' '}
                            <small>
                                {n.by ?? t('sample.somebodyWhoHasLeft')} · {when(n.at)}
                            </small>
                        </li>
                    ))}
                </ul>
            )}
            <ol className={cx('sample-versions')}>
                {s.versions.map((v, i) => (
                    <li key={v.id} className={cx(v.struck ? 'struck' : '')}>
                        <h3>
                            {i === s.versions.length - 1 ? t('sample.lookedAt') : t('sample.corrected')}{' '}
                            <small>
                                {when(v.kept_at)} · {v.by ?? t('sample.somebodyWhoHasLeft')}
                                {v.struck && ` · ${t('sample.doesNotCount')}`}
                            </small>
                        </h3>
                        <p className={cx('said')}>{v.said.text}</p>
                        {v.checks.map((c) => (
                            <VerdictLine key={c.key} rule={{ key: c.key, title: c.title, reading: '', allows: '', source: '' }} check={c} named />
                        ))}
                        {v.faults.map((f) => (
                            <p key={f} className={cx('verdict not-yet')}>
                                {t('common.seen', { fault: f })}
                            </p>
                        ))}
                        {v.said.open > 0 && <p className={cx('quiet')}>{t('sample.checksWereNotLookedAt', { n: v.said.open })}</p>}
                    </li>
                ))}
            </ol>
        </div>
    )
}

/** What was said of it on this device and waits for the line. */
function Waits({ s }: { s: View['SampleView'] }) {
    const acts = useWaitingActs([s.class]).filter((w) => 'sample' in w.act && w.act.sample === s.id)
    return acts.map((w) => (
        <p key={w.id} className={cx('quiet')} role="status">
            {w.title}
            {w.act.kind === 'note' && ` ${w.act.text}`} · {t('common.waitsForTheLine')}
        </p>
    ))
}

const NOTE_WORDS = { note: t('sample.note'), withdrawn: t('sample.withdrawn'), 'brought-back': t('sample.broughtBack') } as const

type Writing = 'note' | 'withdraw' | null

/** Correct, note, withdraw, bring back: whatever was kept can be put right, and nothing is rubbed out. */
function Acts({ s }: { s: View['SampleView'] }) {
    const [text, setText, forget] = useTyped(`note:${s.id}`, '')
    const [writing, setWriting] = useState<Writing>(text === '' ? null : 'note')
    const of = { class: s.class, sample: s.id }
    const done = () => {
        setWriting(null)
        forget()
    }
    const note = useChange('sample', async () => {
        await keepAct({ kind: 'note', ...of, note: ulid().toLowerCase(), text }, s.name, t('sample.note'))
        done()
    })
    const withdraw = useChange('sample', async () => {
        await keepAct({ kind: 'withdraw', ...of, because: text }, s.name, t('sample.withdrawn'))
        done()
    })
    const back = useChange('sample', () => keepAct({ kind: 'bring-back', ...of }, s.name, t('sample.broughtBack')))
    return (
        <div className={cx('sample-acts')}>
            <Group gap="sm">
                {s.withdrawn ? (
                    <Button variant="default" loading={back.isPending} onClick={() => back.mutate(undefined)}>
                        {t('common.bringItBack')}
                    </Button>
                ) : (
                    <Button component={Link} to={`/look/${s.class}/${s.student}?replaces=${s.id}`} variant="default">
                        {t('common.correctIt')}
                    </Button>
                )}
                <Button variant="default" aria-expanded={writing === 'note'} onClick={() => setWriting(writing === 'note' ? null : 'note')}>
                    {t('sample.addANote')}
                </Button>
                {!s.withdrawn && (
                    <Button variant="default" aria-expanded={writing === 'withdraw'} onClick={() => setWriting(writing === 'withdraw' ? null : 'withdraw')}>
                        {t('sample.withdrawIt')}
                    </Button>
                )}
            </Group>
            {writing === 'note' && (
                <>
                    <Textarea
                        label={t('sample.noteOnThisSample')}
                        value={text}
                        maxLength={1000}
                        autosize
                        minRows={2}
                        data-autofocus
                        onChange={(e) => setText(e.currentTarget.value)}
                    />
                    <Button loading={note.isPending} disabled={text.trim() === ''} onClick={() => note.mutate(undefined)}>
                        {t('sample.keepTheNote')}
                    </Button>
                </>
            )}
            {writing === 'withdraw' && (
                <>
                    <p>{t('sample.itStaysHereStruckThrough')}</p>
                    <Textarea
                        label={t('common.whyIfYouLike')}
                        value={text}
                        maxLength={1000}
                        autosize
                        minRows={2}
                        onChange={(e) => setText(e.currentTarget.value)}
                    />
                    <Button loading={withdraw.isPending} onClick={() => withdraw.mutate(undefined)}>
                        {t('sample.yesItDoesNotCount')}
                    </Button>
                </>
            )}
            <Trouble error={note.error ?? withdraw.error ?? back.error} />
        </div>
    )
}
