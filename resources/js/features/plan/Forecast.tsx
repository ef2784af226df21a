import type { View } from '../../api/client'
import { useForecast } from '../../api/queries'
import { day } from '../../text/time'
import { t } from '../../text/words'
import { Empty } from '../../ui/Empty'
import { cx } from './dress'

const WIDE = 560
const HIGH = 210
const LEFT = 36
const BELOW = 26

/** How far the class will get: a fan over the sessions to come, and each student's chance to finish. */
export function Forecast({ id, zone }: { id: string; zone: string }) {
    const forecast = useForecast(id)
    if (forecast.data === undefined || forecast.data.students.length === 0) return null
    const f = forecast.data
    const students = [...f.students].sort((a, b) => a.chance - b.chance)
    return (
        <section className={cx('forecast')} aria-label={t('plan.forecast')}>
            <h2>{t('plan.whoWillFinish')}</h2>
            {f.stall !== null && <p>{f.stall}</p>}
            <div className={cx('forecast-cols')}>
                {f.sessions.length > 0 ? <Fan f={f} zone={zone} /> : <Empty>{t('plan.noSessionIsLeft')}</Empty>}
                <table className={cx('checks')}>
                    <tbody>
                        {students.map((s) => (
                            <tr key={s.student}>
                                <th scope="row">{s.name}</th>
                                <td>{t('plan.ofLessons', { done: s.done, all: s.done + s.left })}</td>
                                <td className={cx('chance')}>
                                    <span className={cx('chance-bar')} style={{ width: `${Math.round(s.chance * 50)}px` }} />
                                    {t('common.sign', { n: Math.round(s.chance * 100) })}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            </div>
            <p className={cx('quiet')}>{t('plan.lessonsDoneByEachSession')}</p>
        </section>
    )
}

function Fan({ f, zone }: { f: View['ForecastView']; zone: string }) {
    const now = f.students.reduce((n, s) => n + s.done, 0) / f.students.length
    const points = [{ low: now, middle: now, high: now }, ...f.sessions]
    const x = (i: number) => LEFT + (i * (WIDE - LEFT - 14)) / Math.max(1, points.length - 1)
    const y = (n: number) => HIGH - BELOW - (n * (HIGH - BELOW - 12)) / Math.max(1, f.lessons)
    const line = (of: 'low' | 'middle' | 'high') => points.map((p, i) => `${x(i).toFixed(1)} ${y(p[of]).toFixed(1)}`)
    const last = f.sessions.at(-1)
    return (
        <svg
            width={WIDE}
            height={HIGH}
            viewBox={`0 0 ${WIDE} ${HIGH}`}
            className={cx('fan')}
            role="img"
            aria-label={
                last === undefined
                    ? t('plan.forecast')
                    : t('plan.byTheLastSessionNine', { low: last.low, middle: last.middle, high: last.high, all: f.lessons })
            }>
            {[0, f.lessons].map((n) => (
                <g key={n}>
                    <path d={`M${LEFT} ${y(n)}H${WIDE - 10}`} className={cx('fan-grid')} />
                    <text x={LEFT - 6} y={y(n) + 5} textAnchor="end">
                        {n}
                    </text>
                </g>
            ))}
            <path d={`M${line('high').join('L')}L${line('low').reverse().join('L')}Z`} className={cx('fan-band')} />
            <path d={`M${line('middle').join('L')}`} className={cx('fan-middle')} />
            {points.map((p, i) => (
                <circle key={i} cx={x(i)} cy={y(p.middle)} r={4} className={cx('fan-dot')} />
            ))}
            {f.sessions.map((s, i) => (
                <text key={s.number} x={x(i + 1)} y={HIGH - 6} textAnchor={i === f.sessions.length - 1 ? 'end' : 'middle'}>
                    {day(s.starts_at, zone)}
                </text>
            ))}
            <text x={LEFT} y={HIGH - 6}>
                {t('common.now')}
            </text>
        </svg>
    )
}
