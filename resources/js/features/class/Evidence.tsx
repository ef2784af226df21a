import { Button } from '@mantine/core'
import { useState } from 'react'
import type { View } from '../../api/client'
import { useEvidence, useMe } from '../../api/queries'
import { clock, day } from '../../text/time'
import { t } from '../../text/words'
import { LEVEL_WORDS, ThreadLine } from '../../ui/ThreadLine'
import { Trouble, Waiting } from '../../ui/Trouble'
import { KeptPhotos } from '../look/Photos'
import { VerdictLine } from '../look/VerdictLine'
import { SamplePanel } from '../sample/SamplePanel'
import { cx } from './dress'

/** Every sample that counts for a skill: what it weighs, and what the level was before and after. */
export function Evidence({ id, student, skill }: { id: string; student: string; skill: string }) {
    const read = useEvidence(id, student, skill)
    const zone = useMe().data?.timezone ?? 'UTC'
    const [sample, setSample] = useState<string | null>(null)
    if (read.data === undefined) return read.error === null ? <Waiting what={t('common.looking')} /> : <Trouble error={read.error} />
    const e = read.data
    return (
        <div className={cx('evidence')}>
            <h2>
                {e.student}: {e.skill.title}
            </h2>
            <p>{e.skill.shows}</p>
            <p className={cx('evidence-level')}>
                <ThreadLine level={e.level} width={120} />
                <strong>{t(LEVEL_WORDS[e.level])}</strong>
                {e.showings.length > 0 && <span>{t('class.likelyKnownAfterTheLast', { n: Math.round(e.known * 100) })}</span>}
            </p>
            {e.mixed && <p className={cx('habit')}>{t('class.theLastSamplesSayBoth')}</p>}
            {e.needs.length > 0 && <p className={cx('quiet')}>{t('class.standsOn', { what: e.needs.map((n) => n.title).join(', ') })}</p>}
            {e.showings.length === 0 && <p>{t('class.noSampleHasShownIt')}</p>}
            <ol>
                {e.showings.map((s) => (
                    <Showing key={s.sample} s={s} zone={zone} onOpen={setSample} />
                ))}
            </ol>
            <SamplePanel sample={sample} onClose={() => setSample(null)} />
        </div>
    )
}

function Showing({ s, zone, onOpen }: { s: View['ShowingView']; zone: string; onOpen: (sample: string) => void }) {
    return (
        <li>
            <div className={cx('showing-head')}>
                <Button variant="subtle" onClick={() => onOpen(s.sample)}>
                    {s.title}
                </Button>
                <span>
                    {day(s.kept_at, zone)}, {clock(s.kept_at, zone)} ·{' '}
                    {t('class.weighs', { w: s.weight.toFixed(2), a: Math.round(s.known_before * 100), n: Math.round(s.known_after * 100) })}
                </span>
            </div>
            {s.checks.map((c) => (
                <VerdictLine key={c.key} rule={{ key: c.key, title: c.title, reading: '', allows: '', source: '' }} check={c} named />
            ))}
            {s.faults.map((f) => (
                <p key={f} className={cx('verdict not-yet')}>
                    {t('common.seen', { fault: f })}
                </p>
            ))}
            {s.photos.length > 0 && (
                <div className={cx('row-tools')}>
                    <KeptPhotos photos={s.photos} />
                </div>
            )}
            {s.settings.length > 0 && (
                <p className={cx('quiet')}>
                    {t('common.sewnWith')} {s.settings.map((x) => `${x.name} ${x.value}`).join(' · ')}
                </p>
            )}
        </li>
    )
}
