import { Button, SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import { ulid } from 'ulid'
import { api, ask, type View } from '../../../api/client'
import { useChange } from '../../../api/queries'
import { length, readLength, type Unit } from '../../../text/lengths'
import { stepNumber, toNumber } from '../../../text/numbers'
import { t, type Key } from '../../../text/words'
import { LengthField } from '../../../ui/LengthField'
import { StepField } from '../../../ui/StepField'
import { Trouble } from '../../../ui/Trouble'
import { cx } from '../dress'
import { SewnOver } from './SewnOver'
import type { Buttonhole } from './useButtonhole'
import { different, FIELDS } from './words'

type Field = View['ButtonholePlanView']['fields'][number]
type Read = View['ButtonholeTestBody']['read']

const CHOICES: Record<string, Record<string, Key>> = {
    'yes-no': { no: 'workshop.no', yes: 'workshop.yes' },
    shows: { none: 'workshop.showsNone', little: 'workshop.showsLittle', clear: 'workshop.showsClear' },
    button: { tight: 'workshop.buttonTight', snug: 'workshop.buttonSnug', loose: 'workshop.buttonLoose' },
}

/** A typed reading as it is sent: lengths in mm, words and yes or no as they are; null while it is none. */
function read(field: Field, typed: string, unit: Unit): number | string | boolean | null {
    if (typed.trim() === '') return null
    if (field.kind === 'yes-no') return typed === 'yes'
    if (field.kind === 'shows' || field.kind === 'button') return typed
    if (field.kind === 'count') return toNumber(typed)
    // Beyond its mark, or short of it with a minus before.
    const minus = /^\s*[-−]/.test(typed)
    const mm = readLength(typed.replace(/^\s*[-−]/, ''), unit)
    return mm === null ? null : minus ? -mm : mm
}

/** What ruler and eye say of the hole that was sewn; the program subtracts, and says the one change. */
export function Look({ hole, plan, unit }: { hole: Buttonhole; plan: View['ButtonholePlanView']; unit: Unit }) {
    const [typed, setTyped] = useState<Record<string, string>>({})
    const set = (id: string) => (value: string) => setTyped({ ...typed, [id]: value })
    const sent = Object.fromEntries(plan.fields.map((f) => [f.id, read(f, typed[f.id] ?? '', unit)] as const).filter(([, value]) => value !== null)) as Read
    const wrong = plan.fields.filter((f) => (typed[f.id] ?? '').trim() !== '' && read(f, typed[f.id] ?? '', unit) === null)
    const keep = useChange('workshop', async () => {
        const seen = await ask(
            api.POST('/api/buttonholes/{buttonhole}/tests', { params: { path: { buttonhole: hole.id } }, body: { id: ulid().toLowerCase(), read: sent } }),
        )
        hole.take(seen)
        setTyped({})
    })
    const last = hole.seen?.tests[0]
    const group = (opened: boolean) => plan.fields.filter((f) => f.opened === opened)
    return (
        <div className={cx('job-cols two')}>
            <div>
                {[false, true].map((opened) => (
                    <fieldset key={String(opened)} className={cx('job-part')}>
                        <legend>{t(opened ? 'workshop.onceItIsOpen' : 'workshop.asItIsSewn')}</legend>
                        <div className={cx('hole-fields')}>
                            {group(opened).map((f) => (
                                <One key={f.id} field={f} unit={unit} value={typed[f.id] ?? ''} onChange={set(f.id)} />
                            ))}
                        </div>
                    </fieldset>
                ))}
                <div className={cx('acts')}>
                    <Button size="lg" disabled={Object.keys(sent).length === 0 || wrong.length > 0 || keep.isPending} onClick={() => keep.mutate(undefined)}>
                        {t('workshop.lookAtIt')}
                    </Button>
                </div>
                <Trouble error={keep.error} />
            </div>
            <div aria-live="polite">
                {last === undefined ? (
                    <p className={cx('quiet')}>{t('workshop.notSewnYet')}</p>
                ) : (
                    <Verdict test={last} before={hole.seen?.tests[1]} plan={plan} unit={unit} machine={hole.draft.machine} />
                )}
            </div>
        </div>
    )
}

function One({ field, unit, value, onChange }: { field: Field; unit: Unit; value: string; onChange: (value: string) => void }) {
    const label = t(FIELDS[field.id] ?? 'workshop.theButton')
    const words = CHOICES[field.kind]
    if (words !== undefined)
        return (
            <div className={cx('hole-choice')} role="group" aria-label={label}>
                <span>{label}</span>
                <SegmentedControl
                    value={value}
                    onChange={(v) => onChange(v === value ? '' : v)}
                    data={Object.entries(words).map(([id, key]) => ({ value: id, label: t(key) }))}
                />
            </div>
        )
    if (field.kind === 'count')
        return (
            <StepField
                name={label}
                label={label}
                value={value}
                maxLength={6}
                onChange={(e) => onChange(e.currentTarget.value)}
                onStep={(up) => onChange(String(stepNumber(value, up, 1, 0, 200)))}
            />
        )
    return <LengthField label={label} unit={unit} value={value} onChange={onChange} />
}

interface OfVerdict {
    test: View['ButtonholeTestView']
    before: View['ButtonholeTestView'] | undefined
    plan: View['ButtonholePlanView']
    unit: Unit
    machine: string | null
}

/** The last test drawn over what was planned, its verdict, and the one change in this machine's terms. */
function Verdict({ test, before, plan, unit, machine }: OfVerdict) {
    const off = test.checks.filter((c) => c.verdict !== 'met')
    return (
        <section className={cx('hole-verdict')}>
            <p className={cx(test.met ? 'big-verdict' : 'big-verdict close')}>
                <strong>{t(test.met ? (test.snug === true ? 'workshop.metAndSnug' : 'workshop.metNotOpened') : 'workshop.notMet')}</strong>
            </p>
            <p className={cx('one-change')}>{test.change}</p>
            {test.told_next !== null && (
                <p>
                    <strong>{t('workshop.forTheNext')}</strong> {test.told_next}
                </p>
            )}
            {test.skill !== null && (
                <p className={cx('quiet')}>
                    {t('workshop.itSpeaksOf', { skill: test.skill.title })}{' '}
                    {test.drill !== null && <a href={`/samplers/${test.drill.lesson}`}>{t('workshop.drillIs', { drill: test.drill.title })}</a>} ·{' '}
                    <a href={`/workshop/faults${machine === null ? '' : `?machine=${machine}`}`}>{t('workshop.faultFinder')}</a>
                </p>
            )}
            {test.not_the_same.length > 0 && <p className={cx('refused mild')}>{t('workshop.anotherStack', { what: different(test.not_the_same) })}</p>}
            <SewnOver test={test} plan={plan} />
            {test.finished_mm !== null && <Bars planned={test.planned_mm} finished={test.finished_mm} before={before?.finished_mm ?? null} unit={unit} />}
            {off.length > 0 && (
                <ul className={cx('why')}>
                    {off.map((c) => (
                        <li key={c.id}>
                            {t('workshop.checkIs', {
                                what: t(CHECKS[c.id] ?? 'workshop.theButton'),
                                how: t(c.verdict === 'near' ? 'workshop.nearly' : 'workshop.notYet'),
                            })}
                        </li>
                    ))}
                </ul>
            )}
        </section>
    )
}

const CHECKS: Record<string, Key> = {
    finished: 'workshop.finished',
    sides: 'workshop.bothSides',
    bars: 'workshop.bothBars',
    place: 'workshop.itsPlace',
    gap: 'workshop.holeGap',
    points: 'workshop.pointsOfBothSides',
    'cloth-left': 'workshop.holeShowsLeft',
    'cloth-right': 'workshop.holeShowsRight',
    skew: 'workshop.itsLean',
    puckered: 'workshop.holePuckered',
    'thread-caught': 'workshop.holeCaught',
    nest: 'workshop.holeNest',
    ridge: 'workshop.holeRidge',
    'start-gap': 'workshop.holeStartGap',
    tied: 'workshop.holeTied',
    opening: 'workshop.holeOpening',
    button: 'workshop.theButton',
    'bar-cut': 'workshop.holeBarCut',
    'side-cut': 'workshop.holeSideCut',
}

/** Planned, sewn, and the one before, to one scale. */
function Bars({ planned, finished, before, unit }: { planned: number; finished: number; before: number | null; unit: Unit }) {
    const rows = [
        ['workshop.planned', planned, 'planned'],
        ['workshop.thisOne', finished, 'this'],
        ...(before === null ? [] : ([['workshop.theOneBefore', before, 'before']] as const)),
    ] as const
    const scale = 180 / Math.max(...rows.map(([, mm]) => mm))
    return (
        <svg viewBox={`0 0 350 ${rows.length * 34 + 6}`} className={cx('hole-compare')} role="img" aria-label={t('workshop.besideTheOneBefore')}>
            {rows.map(([key, mm, look], i) => (
                <g key={key} transform={`translate(0 ${i * 34 + 4})`}>
                    <rect x={0} y={0} width={mm * scale} height={18} className={cx(`compare-${look}`)} />
                    <text x={mm * scale + 10} y={15}>
                        {t(key)} {length(mm, unit)}
                    </text>
                </g>
            ))}
            <line x1={planned * scale} x2={planned * scale} y1={0} y2={rows.length * 34} className={cx('edge-line')} />
        </svg>
    )
}
