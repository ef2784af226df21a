import { SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import { Link } from 'react-router'
import type { View } from '../../../api/client'
import { DrawingFrame } from '../../../drawing/DrawingFrame'
import { linePath } from '../../../drawing/stitches'
import { bare, length, type Unit } from '../../../text/lengths'
import { t, type Key } from '../../../text/words'
import { Choice } from '../../../ui/Choice'
import { NumberField } from '../../../ui/NumberField'
import { cx } from '../dress'
import { JobCount, JobLength } from './fields'
import type { Buttonhole } from './useButtonhole'

type On = View['ButtonOnView']
type Looked = NonNullable<Buttonhole['draft']['job']['sewn_on']>

const PATTERNS: Record<string, Key> = {
    'one-pair': 'workshop.patternPair',
    'two-rows-across': 'workshop.patternRowsAcross',
    'two-rows-along': 'workshop.patternRowsAlong',
    cross: 'workshop.patternCross',
}

const CHECKS: Record<string, Key> = {
    swings_1: 'workshop.lookSwingsFirst',
    swings_2: 'workshop.lookSwingsSecond',
    off_mm: 'workshop.lookOff',
    lies: 'workshop.lookLies',
    firm: 'workshop.lookFirm',
    flat: 'workshop.lookFlat',
}

/** The button on its place: the width for this dial with the needle's room at both walls, and a look at it once it is on. */
export function SewOn({ hole, on, unit }: { hole: Buttonhole; on: On; unit: Unit }) {
    const { job } = hole.draft
    const [pattern, setPattern] = useState('')
    const shown = on.patterns.includes(pattern) ? pattern : (on.patterns[0] ?? '')
    return (
        <div className={cx('job-cols two')}>
            <div>
                <fieldset className={cx('job-part')}>
                    <legend>{t('workshop.theButton')}</legend>
                    {job.shank === true && <p className={cx('refused')}>{t('workshop.shankByHand')}</p>}
                    <Choice
                        label={t('workshop.holesInIt')}
                        value={on.holes === 4 ? '4' : '2'}
                        options={[
                            { id: '2', title: '2' },
                            { id: '4', title: '4' },
                        ]}
                        onChange={(n) => hole.set({ holes: Number(n) })}
                    />
                    <JobLength
                        label={t('workshop.holesApart')}
                        unit={unit}
                        mm={job.spacing_mm ?? on.spacing_mm}
                        step={0.1}
                        onChange={(spacing_mm) => hole.set({ spacing_mm })}
                    />
                    <JobLength
                        label={t('workshop.aHoleAcross')}
                        unit={unit}
                        mm={job.hole_mm ?? on.hole_mm}
                        step={0.1}
                        onChange={(hole_mm) => hole.set({ hole_mm })}
                    />
                    <NumberField
                        label={t('workshop.needleSize')}
                        unit=""
                        value={String(job.needle_size ?? on.needle_size)}
                        min={60}
                        max={120}
                        step={10}
                        slider={false}
                        onChange={(n) => hole.set({ needle_size: Number(n) || null })}
                    />
                    <ol className={cx('open-acts')}>
                        <li>{t('workshop.buttonsPlace')}</li>
                        <li>{t('workshop.tapeHoldsIt')}</li>
                        <li>{t('workshop.swingsAPair')}</li>
                        <li>{t('workshop.tailsToTheBack')}</li>
                    </ol>
                </fieldset>
                <Once hole={hole} on={on} unit={unit} />
            </div>
            <div>
                <p className={cx(`big-verdict ${on.verdict}`)}>
                    <strong>{on.verdict === 'strike' ? t('workshop.notByMachine') : t('workshop.widthIs', { n: bare(on.width_mm, 'mm') })}</strong>
                    {on.verdict === 'close' && t('workshop.close')}
                </p>
                <Margins on={on} pattern={shown} />
                <p>{t('workshop.roomAtTheWalls', { n: length(on.margin_mm, unit) })}</p>
                {on.patterns.length > 1 && (
                    <SegmentedControl
                        value={shown}
                        onChange={setPattern}
                        data={on.patterns.map((p) => ({ value: p, label: t(PATTERNS[p] ?? 'workshop.patternPair') }))}
                    />
                )}
                {on.set_up.map((one) => (
                    <p key={one} className={cx('caution')}>
                        {one}
                    </p>
                ))}
            </div>
        </div>
    )
}

/** What is looked at once it is on; each answer is judged as it is given, and the one change said. */
function Once({ hole, on, unit }: { hole: Buttonhole; on: On; unit: Unit }) {
    const read: Looked = hole.draft.job.sewn_on ?? {}
    const set = (id: string, value: number | boolean | null) => hole.set({ sewn_on: { ...read, [id]: value } })
    const verdict = on.met === true ? 'met' : on.checks.some((c) => c.verdict === 'not-yet') ? 'not-yet' : on.met === false ? 'near' : null
    return (
        <fieldset className={cx('job-part button-look')}>
            <legend>{t('workshop.lookAtTheButton')}</legend>
            {on.checks.map(({ id, kind, verdict: of }) => {
                const value = read[id as keyof Looked] ?? null
                const label = t(CHECKS[id] ?? 'workshop.theButton')
                return (
                    <div key={id} className={cx(`button-check ${of ?? ''}`)}>
                        {kind === 'length' && <JobLength label={label} unit={unit} mm={value as number | null} step={0.5} onChange={(mm) => set(id, mm)} />}
                        {kind === 'count' && <JobCount label={label} value={value as number | null} min={0} max={60} onChange={(n) => set(id, n)} />}
                        {kind === 'yes-no' && (
                            <div className={cx('hole-choice')} role="group" aria-label={label}>
                                <span>{label}</span>
                                <SegmentedControl
                                    value={value === null ? '' : value === true ? 'yes' : 'no'}
                                    onChange={(v) => set(id, v === 'yes')}
                                    data={[
                                        { value: 'no', label: t('workshop.no') },
                                        { value: 'yes', label: t('workshop.yes') },
                                    ]}
                                />
                            </div>
                        )}
                    </div>
                )
            })}
            <div aria-live="polite">
                {verdict !== null && (
                    <p className={cx(verdict === 'met' ? 'big-verdict' : 'big-verdict close')}>
                        <strong>{t(verdict === 'met' ? 'workshop.buttonMet' : verdict === 'near' ? 'workshop.buttonNearly' : 'workshop.buttonNotYet')}</strong>
                    </p>
                )}
                {on.change !== null && <p className={cx('one-change')}>{on.change}</p>}
            </div>
            {hole.draft.student !== null && hole.draft.class !== null && (
                <p>
                    <Link to={`/look/${hole.draft.class}/${hole.draft.student}`}>{t('workshop.lookAtTheSample')}</Link>
                </p>
            )}
        </fieldset>
    )
}

/** The button from above with the needle in both holes and the thread as it will lie, to scale. */
function Margins({ on, pattern }: { on: On; pattern: string }) {
    const scale = Math.min(46, 360 / (on.spacing_mm + on.hole_mm + 6))
    const rows = on.holes === 4 ? [-on.spacing_mm / 2, on.spacing_mm / 2] : [0]
    const high = on.holes === 4 ? 300 : 200
    const at = ([x, y]: readonly number[]) => [240 + (x ?? 0) * scale, high / 2 + (y ?? 0) * scale]
    return (
        <DrawingFrame viewBox={`0 0 480 ${high}`} className={cx('button-drawing')} name={t('workshop.theNeedleInBothHoles')}>
            <circle cx={240} cy={high / 2} r={Math.min(high / 2 - 6, (on.spacing_mm + on.hole_mm + 4) * scale * 0.6)} className={cx('button-side')} />
            {rows.map((row) => (
                <g key={row}>
                    {[-1, 1].map((side) => (
                        <g key={side}>
                            <circle
                                cx={240 + (side * on.spacing_mm * scale) / 2}
                                cy={high / 2 + row * scale}
                                r={(on.hole_mm * scale) / 2}
                                className={cx('button-hole')}
                            />
                            <circle
                                cx={240 + (side * on.width_mm * scale) / 2}
                                cy={high / 2 + row * scale}
                                r={(on.needle_size * scale) / 200}
                                className={cx(on.margin_mm < 0 ? 'needle-strikes' : 'needle-now')}
                            />
                        </g>
                    ))}
                </g>
            ))}
            {(on.thread[pattern] ?? []).map((line) => (
                <path key={String(line)} d={linePath(line.map(at), 1)} className={cx('sewn-line')} />
            ))}
        </DrawingFrame>
    )
}
