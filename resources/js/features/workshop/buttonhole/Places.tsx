import { Button } from '@mantine/core'
import { useEffect, useState } from 'react'
import type { View } from '../../../api/client'
import { useCompute } from '../../../api/compute'
import { bare, length, readLength, type Unit } from '../../../text/lengths'
import { stepNumber, toNumber } from '../../../text/numbers'
import { t } from '../../../text/words'
import { LengthField } from '../../../ui/LengthField'
import { StepField } from '../../../ui/StepField'
import { Trouble } from '../../../ui/Trouble'
import { cx } from '../dress'
import { Band } from './Band'
import type { Buttonhole } from './useButtonhole'

const LENGTHS = [
    ['first', 'workshop.first'],
    ['last', 'workshop.lastOne'],
    ['slack', 'workshop.eachMayMove'],
    ['anchor', 'workshop.oneMustLieAt'],
] as const
const COUNTS = [
    ['least', 'workshop.fewest'],
    ['most', 'workshop.most'],
] as const

/** A row of them on a band: how many, and where each, measured from one end; the row that is shown is the job's. */
export function Places({ hole, plan, unit }: { hole: Buttonhole; plan: View['ButtonholePlanView']; unit: Unit }) {
    const { job } = hole.draft
    const across = job.diameter_mm ?? 10
    const count = job.count ?? 1
    const typed = (mm: number | null | undefined) => (mm === null || mm === undefined ? '' : bare(mm, unit))
    const [f, setF] = useState({
        first: typed(job.first_mm ?? 20),
        last: typed(job.last_mm ?? 20 + 80 * Math.max(1, count - 1)),
        slack: typed(job.slack_mm ?? 10),
        least: String(count),
        most: String(count),
        anchor: typed(job.anchor_mm),
    })
    const set = (name: keyof typeof f) => (value: string) => setF({ ...f, [name]: value })
    const [first, last, slack, anchor] = [readLength(f.first, unit), readLength(f.last, unit), readLength(f.slack, unit), readLength(f.anchor, unit)]
    const [least, most] = [toNumber(f.least), toNumber(f.most)]
    const [shown, setShown] = useState(0)
    const found = useCompute(
        '/api/compute/place-buttons',
        first === null || last === null || least === null || most === null
            ? null
            : {
                  first_mm: first,
                  last_mm: last,
                  slack_mm: slack ?? 0,
                  counts: [Math.round(least), Math.round(most)],
                  anchors_mm: anchor === null ? [] : [anchor],
                  diameter_mm: across,
              },
    )
    const choices = found.error === null ? (found.data?.choices ?? []) : []
    const one = choices[Math.min(shown, choices.length - 1)]
    // What is shown is what is printed.
    const row = one === undefined ? '' : one.positions_mm.join(' ')
    useEffect(() => {
        if (one !== undefined && row !== (job.positions_mm ?? []).join(' '))
            hole.set({ positions_mm: one.positions_mm, count: one.count, first_mm: first, last_mm: last, slack_mm: slack, anchor_mm: anchor })
        // eslint-disable-next-line react-hooks/exhaustive-deps -- only another row is another place
    }, [row])
    return (
        <section className={cx('places')}>
            <h2>{t('workshop.whereOnTheBand')}</h2>
            <div className={cx('places-form')}>
                {LENGTHS.map(([name, word]) => (
                    <LengthField key={name} label={t(word)} unit={unit} step={1} value={f[name]} onChange={set(name)} />
                ))}
                {COUNTS.map(([name, word]) => (
                    <StepField
                        key={name}
                        name={t(word)}
                        label={t(word)}
                        keys
                        figures="tool"
                        maxLength={2}
                        value={f[name]}
                        onChange={(e) => set(name)(e.currentTarget.value)}
                        onStep={(up) => set(name)(String(stepNumber(f[name], up, 1, 1, 40)))}
                    />
                ))}
            </div>
            <Trouble error={found.error} />
            {one !== undefined && (
                <>
                    <Band
                        positions={one.positions_mm}
                        plan={plan}
                        across={across}
                        band={job.band_mm ?? null}
                        anchor={anchor}
                        unit={unit}
                        onShift={(by) => setF({ ...f, first: bare(Math.max(0, (first ?? 0) + by), unit), last: bare(Math.max(0, (last ?? 0) + by), unit) })}
                    />
                    <p className={cx('num')}>{one.positions_mm.map((p) => bare(p, unit)).join(' · ')}</p>
                    <table className={cx('rows')}>
                        <thead>
                            <tr>
                                <th>{t('workshop.howMany')}</th>
                                <th>{t('workshop.apart')}</th>
                                <th>{t('workshop.fromTheNamedPoint')}</th>
                            </tr>
                        </thead>
                        <tbody>
                            {choices.map((c, i) => (
                                <tr key={c.count} className={cx(c === one ? 'next' : '')}>
                                    <td>
                                        <Button variant="subtle" aria-pressed={c === one} onClick={() => setShown(i)}>
                                            {t('workshop.ofThem', { n: c.count })}
                                        </Button>
                                    </td>
                                    <td className={cx('num')}>{length(c.spacing_mm, unit)}</td>
                                    <td className={cx('num')}>{c.worst_anchor_mm === null ? '' : length(c.worst_anchor_mm, unit)}</td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                </>
            )}
        </section>
    )
}
