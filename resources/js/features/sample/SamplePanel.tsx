import { Button, Drawer, Group, Textarea } from '@mantine/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { api, ask, type View } from '../../api/client'
import { useChange, useKeptSample, useMe } from '../../api/queries'
import { t } from '../../app/text'
import { clock, day } from '../../app/time'
import { Trouble, Waiting } from '../../ui/Trouble'
import { VerdictLine } from '../look/VerdictLine'

/** One kept sample, whenever it was: what it said, what was corrected, and a way to put it right. */
export function SamplePanel({ sample, onClose }: { sample: string | null; onClose: () => void }) {
    return (
        <Drawer opened={sample !== null} onClose={onClose} position="right" size="lg" title={t('The sample')}>
            {sample !== null && <Sample key={sample} id={sample} />}
        </Drawer>
    )
}

function Sample({ id }: { id: string }) {
    const read = useKeptSample(id)
    const zone = useMe().data?.timezone ?? 'UTC'
    const s = read.data
    if (s === undefined) return read.error === null ? <Waiting what={t('Fetching the sample')} /> : <Trouble error={read.error} />
    const when = (at: string) => `${day(at, zone)}, ${clock(at, zone)}`
    return (
        <div className="sample-panel">
            <h2>
                {s.name}: {s.title}
            </h2>
            {s.withdrawn && <p className="refused mild">{t('Withdrawn: it does not count.')}</p>}
            {s.may && <Acts s={s} />}
            {s.notes.length > 0 && (
                <ul className="plain sample-notes">
                    {s.notes.map((n) => (
                        <li key={n.at + n.kind}>
                            <b>{NOTE_WORDS[n.kind]}</b>
                            {n.text !== '' && <> {n.text}</>}{' '}
                            <small>
                                {n.by ?? t('somebody who has left')} · {when(n.at)}
                            </small>
                        </li>
                    ))}
                </ul>
            )}
            <ol className="sample-versions">
                {s.versions.map((v, i) => (
                    <li key={v.id} className={v.struck ? 'struck' : ''}>
                        <h3>
                            {i === s.versions.length - 1 ? t('Looked at') : t('Corrected')}{' '}
                            <small>
                                {when(v.kept_at)} · {v.by ?? t('somebody who has left')}
                                {v.struck && ` · ${t('does not count')}`}
                            </small>
                        </h3>
                        <p className="said">{v.said.text}</p>
                        {v.checks.map((c) => (
                            <VerdictLine key={c.key} rule={{ key: c.key, title: c.title, reading: '', allows: '', source: '' }} check={c} named />
                        ))}
                        {v.faults.map((f) => (
                            <p key={f} className="verdict not-yet">
                                {t('Seen: {fault}', { fault: f })}
                            </p>
                        ))}
                        {v.said.open > 0 && (
                            <p className="quiet">
                                {v.said.open === 1 ? t('1 check was not looked at.') : t('{n} checks were not looked at.', { n: v.said.open })}
                            </p>
                        )}
                    </li>
                ))}
            </ol>
        </div>
    )
}

const NOTE_WORDS = { note: t('Note:'), withdrawn: t('Withdrawn.'), 'brought-back': t('Brought back.') } as const

type Writing = 'note' | 'withdraw' | null

/** Correct, note, withdraw, bring back: whatever was kept can be put right, and nothing is rubbed out. */
function Acts({ s }: { s: View['SampleView'] }) {
    const [writing, setWriting] = useState<Writing>(null)
    const [text, setText] = useState('')
    const path = { params: { path: { sample: s.id } } }
    const done = () => {
        setWriting(null)
        setText('')
    }
    const note = useChange(async () => {
        await ask(api.POST('/api/samples/{sample}/notes', { ...path, body: { text } }))
        done()
    })
    const withdraw = useChange(async () => {
        await ask(api.POST('/api/samples/{sample}/withdraw', { ...path, body: { because: text } }))
        done()
    })
    const back = useChange(() => ask(api.DELETE('/api/samples/{sample}/withdraw', path)))
    return (
        <div className="sample-acts">
            <Group gap="sm">
                {s.withdrawn ? (
                    <Button variant="default" loading={back.isPending} onClick={() => back.mutate(undefined)}>
                        {t('Bring it back')}
                    </Button>
                ) : (
                    <Button component={Link} to={`/look/${s.class}/${s.student}?replaces=${s.id}`} variant="default">
                        {t('Correct it')}
                    </Button>
                )}
                <Button variant="default" aria-expanded={writing === 'note'} onClick={() => setWriting(writing === 'note' ? null : 'note')}>
                    {t('Add a note')}
                </Button>
                {!s.withdrawn && (
                    <Button variant="default" aria-expanded={writing === 'withdraw'} onClick={() => setWriting(writing === 'withdraw' ? null : 'withdraw')}>
                        {t('Withdraw it')}
                    </Button>
                )}
            </Group>
            {writing === 'note' && (
                <>
                    <Textarea
                        label={t('Note on this sample')}
                        value={text}
                        maxLength={1000}
                        autosize
                        minRows={2}
                        data-autofocus
                        onChange={(e) => setText(e.currentTarget.value)}
                    />
                    <Button loading={note.isPending} disabled={text.trim() === ''} onClick={() => note.mutate(undefined)}>
                        {t('Keep the note')}
                    </Button>
                </>
            )}
            {writing === 'withdraw' && (
                <>
                    <p>{t('It stays here, struck through, and does not count for any level or for the next lesson. It can be brought back.')}</p>
                    <Textarea
                        label={t('Why (if you like)')}
                        value={text}
                        maxLength={1000}
                        autosize
                        minRows={2}
                        onChange={(e) => setText(e.currentTarget.value)}
                    />
                    <Button loading={withdraw.isPending} onClick={() => withdraw.mutate(undefined)}>
                        {t('Yes, it does not count')}
                    </Button>
                </>
            )}
            <Trouble error={note.error ?? withdraw.error ?? back.error} />
        </div>
    )
}
