import type { View } from '../../api/client'
import { t } from '../../text/words'
import { cx } from './dress'
import { cannotSay } from './picture'

/** The picture, with what was found drawn over it. */
export function Found({ shot, found }: { shot: { width: number; height: number; url: string }; found: View['ScannedSamplerView'] | undefined }) {
    const points = (of: number[][]) => of.map((p) => p.join(',')).join(' ')
    const wide = shot.width / 260
    return (
        <svg className={cx('photograph-found')} viewBox={`0 0 ${shot.width} ${shot.height}`} role="img" aria-label={t('picture.thePictureWithWhatWasFound')}>
            <image href={shot.url} width={shot.width} height={shot.height} />
            {found !== undefined && found.outline.length > 0 && <polygon className={cx('found-edge')} points={points(found.outline)} strokeWidth={wide} />}
            {found?.rows.map((row) => (
                <g key={row.row}>
                    {row.seen.map((line, i) => (
                        <polyline key={i} className={cx('found-row')} points={points(line)} strokeWidth={wide} />
                    ))}
                    {row.seen.flat().map(([x, y], i) => (
                        <circle key={i} className={cx('found-mark')} cx={x} cy={y} r={2.4 * wide} strokeWidth={wide} />
                    ))}
                    {row.skipped.map(([x, y], i) => (
                        <circle key={`skipped ${i}`} className={cx('found-skipped')} cx={x} cy={y} r={4.5 * wide} strokeWidth={1.4 * wide} />
                    ))}
                </g>
            ))}
        </svg>
    )
}

/** A length without how sure it is, which stands with its field; what is seen or not in words. */
function said(field: View['FieldView'] | undefined, value: string): string {
    if (field?.kind === 'yes-no') return value === '1' ? t('look.yes') : t('look.no')
    if (field?.kind === 'choice') return field.options[Number(value)] ?? value
    return value.replace(/ ?±.*/, '').replace('-', '−')
}

/** Stitches that differ by more than that, of their length, are named uneven. */
const UNEVEN = 0.1

/** Row by row: what it says, or why it cannot be told. */
export function FoundRows({ lesson, found, brief = false }: { lesson: View['LessonView']; found: View['ScannedSamplerView']; brief?: boolean }) {
    if (found.cannot !== null) return <p className={cx('refused mild')}>{cannotSay(found.cannot)}</p>
    const fields = new Map(lesson.rows.flatMap((r) => r.fields.map((f) => [f.key, f] as const)))
    return (
        <dl className={cx('photograph-rows')}>
            {found.rows.map((row) => (
                <div key={row.row}>
                    <dt>{row.title}</dt>
                    {row.cannot !== null && <dd className={cx('refused mild')}>{cannotSay(row.cannot)}</dd>}
                    {row.skipped.length > 0 && <dd className={cx('refused mild')}>{t('picture.looksSkipped', { n: row.skipped.length })}</dd>}
                    {(row.uneven ?? 0) > UNEVEN && (
                        <dd className={cx('refused mild')}>{t('picture.looksUneven', { n: Math.round(100 * (row.uneven ?? 0)) })}</dd>
                    )}
                    {Object.entries(row.readings).map(([key, values]) => (
                        <dd key={key}>
                            <small>{fields.get(key)?.label}</small>
                            <strong>{values.map((v) => (v === '' ? '–' : said(fields.get(key), v))).join(' · ')}</strong>
                        </dd>
                    ))}
                </div>
            ))}
            {found.rows.length > 0 && !brief && <p className={cx('quiet')}>{t('picture.eachWithItsOwn')}</p>}
        </dl>
    )
}
