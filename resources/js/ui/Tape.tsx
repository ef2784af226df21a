import { useElementSize } from '@mantine/hooks'
import { useState } from 'react'
import type { View } from '../api/client'
import { dial } from '../text/time'
import { t } from '../text/words'
import { cx } from './dress'
import { measure, tapeWords } from './tapeWords'

/** The session as a tape measure in minutes; looking that overlaps sewing lies in the lower lane. */
export function Tape({ session, now, zone }: { session: View['SessionView']; now: string; zone: string }) {
    const long = Math.max(session.minutes, ...session.tape.map((p) => p.to))
    const share = (minute: number) => `${(100 * minute) / long}%`
    const at = (Date.parse(now) - Date.parse(session.starts_at)) / 60_000
    const { ref, width } = useElementSize<HTMLDivElement>()
    const [wide] = useState(measure)
    const words = tapeWords(session.tape, long, width, wide)
    const below = session.tape.flatMap((p, i) => (words[i] === null ? [] : [{ ...p, n: words[i] }]))
    const clock = (minute: number) => dial(new Date(Date.parse(session.starts_at) + minute * 60_000).toISOString(), zone)
    const lane = (p: View['TapePieceView']) => (p.kind === 'look' ? 'low' : 'high')
    return (
        <>
            <div
                className={cx('tape')}
                role="group"
                tabIndex={0}
                aria-label={t('today.theSessionInMinutes', {
                    what: session.tape.map((p) => `${p.title} ${Math.round(p.from)}–${Math.round(p.to)}`).join(', '),
                })}>
                <div className={cx('tape-end')} />
                <div ref={ref} className={cx('tape-band')}>
                    {Array.from({ length: Math.floor(long) + 1 }, (_, m) => (
                        <i key={m} className={cx(m % 15 === 0 ? 'tick hour' : m % 5 === 0 ? 'tick five' : 'tick')} style={{ left: share(m) }} />
                    ))}
                    {Array.from({ length: Math.floor((long - 6) / 15) + 1 }, (_, i) => (
                        <span key={i} className={cx('tape-time')} style={{ left: share(i * 15) }}>
                            {clock(i * 15)}
                        </span>
                    ))}
                    {session.tape.map((p, i) => (
                        <div
                            key={`${p.kind}${p.from}${p.round}`}
                            className={cx(`tape-piece ${p.kind} ${lane(p)}${words[i] === null ? '' : ' numbered'}`)}
                            style={{ left: share(p.from), width: share(p.to - p.from) }}
                            title={p.title}>
                            {words[i] ?? p.title}
                        </div>
                    ))}
                    {at >= 0 && at <= long && (
                        <div className={cx('tape-now')} style={{ left: share(at) }}>
                            <span>{dial(now, zone)}</span>
                        </div>
                    )}
                </div>
            </div>
            {below.length > 0 && (
                <ol className={cx('tape-below')} aria-hidden>
                    {below.map((p) => (
                        <li key={p.n} className={cx(p.kind)}>
                            <b>{p.n}</b> {clock(p.from)} {p.title}
                        </li>
                    ))}
                </ol>
            )}
        </>
    )
}
