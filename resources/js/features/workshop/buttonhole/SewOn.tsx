import { SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import { Link } from 'react-router'
import type { View } from '../../../api/client'
import { useCompute } from '../../../api/compute'
import { DrawingFrame } from '../../../drawing/DrawingFrame'
import { bare, length, type Unit } from '../../../text/lengths'
import { t, type Key } from '../../../text/words'
import { Choice } from '../../../ui/Choice'
import { NumberField } from '../../../ui/NumberField'
import { Trouble } from '../../../ui/Trouble'
import { cx } from '../dress'
import { JobLength } from './fields'
import type { Buttonhole } from './useButtonhole'

const PATTERNS: Record<string, Key> = {
    'one-pair': 'workshop.patternPair',
    'two-rows-across': 'workshop.patternRowsAcross',
    'two-rows-along': 'workshop.patternRowsAlong',
    cross: 'workshop.patternCross',
}

const LOOK = ['workshop.lookSwings', 'workshop.lookPlace', 'workshop.lookLies', 'workshop.lookFirm', 'workshop.lookFlat'] as const satisfies readonly Key[]

/** The button on its place: the width for this dial, with the needle's room at both walls. */
export function SewOn({ hole, machine, unit }: { hole: Buttonhole; machine: View['MachineFacts'] | undefined; unit: Unit }) {
    const { job } = hole.draft
    const holes = job.holes ?? 2
    const needle = job.needle_size ?? 80
    const [spacing, wide] = [job.spacing_mm ?? 3.4, job.hole_mm ?? 1.8]
    const feed = machine?.feed_drop === 'drops' ? 'drops' : machine?.feed_drop === 'cover' ? 'cover' : 'zero-length'
    const found = useCompute('/api/compute/button-width', {
        holes: holes === 4 ? 4 : 2,
        spacing_mm: spacing,
        hole_mm: wide,
        needle_size: needle,
        dial_step_mm: 0.5,
        widest_mm: machine?.widest_swing_mm ?? 5,
        feed,
    })
    const a = found.error === null ? found.data : undefined
    const [pattern, setPattern] = useState('')
    const shown = a?.patterns.includes(pattern) === true ? pattern : (a?.patterns[0] ?? '')
    return (
        <div className={cx('job-cols two')}>
            <fieldset className={cx('job-part')}>
                <legend>{t('workshop.theButton')}</legend>
                {job.shank === true && <p className={cx('refused')}>{t('workshop.shankByHand')}</p>}
                <Choice
                    label={t('workshop.holesInIt')}
                    value={holes === 4 ? '4' : '2'}
                    options={[
                        { id: '2', title: '2' },
                        { id: '4', title: '4' },
                    ]}
                    onChange={(n) => hole.set({ holes: Number(n) })}
                />
                <JobLength label={t('workshop.holesApart')} unit={unit} mm={spacing} step={0.1} onChange={(spacing_mm) => hole.set({ spacing_mm })} />
                <JobLength label={t('workshop.aHoleAcross')} unit={unit} mm={wide} step={0.1} onChange={(hole_mm) => hole.set({ hole_mm })} />
                <NumberField
                    label={t('workshop.needleSize')}
                    unit=""
                    value={String(needle)}
                    min={60}
                    max={120}
                    step={10}
                    slider={false}
                    onChange={(n) => hole.set({ needle_size: Number(n) || 80 })}
                />
                <ol className={cx('open-acts')}>
                    <li>{t('workshop.buttonsPlace')}</li>
                    <li>{t('workshop.tapeHoldsIt')}</li>
                    <li>{t('workshop.swingsAPair')}</li>
                    <li>{t('workshop.tailsToTheBack')}</li>
                </ol>
            </fieldset>
            <div>
                <Trouble error={found.error} />
                {a !== undefined && (
                    <>
                        <p className={cx(`big-verdict ${a.verdict}`)}>
                            <strong>{a.verdict === 'strike' ? t('workshop.notByMachine') : t('workshop.widthIs', { n: bare(a.width_mm, 'mm') })}</strong>
                            {a.verdict === 'close' && t('workshop.close')}
                        </p>
                        <Margins spacing={spacing} hole={wide} width={a.width_mm} needle={needle / 100} holes={holes} pattern={shown} margin={a.margin_mm} />
                        <p>{t('workshop.roomAtTheWalls', { n: length(a.margin_mm, unit) })}</p>
                        {a.patterns.length > 1 && (
                            <SegmentedControl
                                value={shown}
                                onChange={setPattern}
                                data={a.patterns.map((p) => ({ value: p, label: t(PATTERNS[p] ?? 'workshop.patternPair') }))}
                            />
                        )}
                        <h2>{t('workshop.lookForOnButton')}</h2>
                        <ul className={cx('why')}>
                            {LOOK.map((key) => (
                                <li key={key}>{t(key)}</li>
                            ))}
                        </ul>
                        {hole.draft.student !== null && hole.draft.class !== null && (
                            <p>
                                <Link to={`/look/${hole.draft.class}/${hole.draft.student}`}>{t('workshop.lookAtTheSample')}</Link>
                            </p>
                        )}
                        {a.set_up.map((one) => (
                            <p key={one} className={cx('caution')}>
                                {one}
                            </p>
                        ))}
                    </>
                )}
            </div>
        </div>
    )
}

interface OfMargins {
    spacing: number
    hole: number
    width: number
    needle: number
    holes: number
    pattern: string
    margin: number
}

/** The swings as they lie on the button: a pair, two rows, or from corner to corner. */
function thread(pattern: string, width: number, spacing: number, holes: number, scale: number, high: number): string {
    const [w, r, m] = [(width * scale) / 2, holes === 4 ? (spacing * scale) / 2 : 0, high / 2]
    if (pattern === 'cross') return `M${240 - w} ${m - r}L${240 + w} ${m + r}M${240 + w} ${m - r}L${240 - w} ${m + r}`
    if (pattern === 'two-rows-along') return `M${240 - w} ${m - r}V${m + r}M${240 + w} ${m - r}V${m + r}`
    return holes === 4 ? `M${240 - w} ${m - r}H${240 + w}M${240 - w} ${m + r}H${240 + w}` : `M${240 - w} ${m}H${240 + w}`
}

/** The button from above with the needle in both holes, to scale. */
function Margins({ spacing, hole, width, needle, holes, pattern, margin }: OfMargins) {
    const scale = Math.min(46, 360 / (spacing + hole + 6))
    const rows = holes === 4 ? [-spacing / 2, spacing / 2] : [0]
    const high = holes === 4 ? 300 : 200
    return (
        <DrawingFrame viewBox={`0 0 480 ${high}`} className={cx('button-drawing')} name={t('workshop.theNeedleInBothHoles')}>
            <circle cx={240} cy={high / 2} r={Math.min(high / 2 - 6, (spacing + hole + 4) * scale * 0.6)} className={cx('button-side')} />
            {rows.map((row) => (
                <g key={row}>
                    {[-1, 1].map((side) => (
                        <g key={side}>
                            <circle cx={240 + (side * spacing * scale) / 2} cy={high / 2 + row * scale} r={(hole * scale) / 2} className={cx('button-hole')} />
                            <circle
                                cx={240 + (side * width * scale) / 2}
                                cy={high / 2 + row * scale}
                                r={(needle * scale) / 2}
                                className={cx(margin < 0 ? 'needle-strikes' : 'needle-now')}
                            />
                        </g>
                    ))}
                </g>
            ))}
            <path d={thread(pattern, width, spacing, holes, scale, high)} className={cx('sewn-line')} />
        </DrawingFrame>
    )
}
