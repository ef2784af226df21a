import { Button, Checkbox, TextInput } from '@mantine/core'
import { api, ask, type View } from '../../../api/client'
import { useChange, useLessons } from '../../../api/queries'
import { mm } from '../../../text/numbers'
import { t } from '../../../text/words'
import { Choice } from '../../../ui/Choice'
import { Trouble } from '../../../ui/Trouble'
import { cx } from '../dress'
import { CheckEditor } from './CheckEditor'
import { withRow, type DraftLesson, type DraftPath, type DraftRow, pair } from './lesson'
import { Num } from './Num'

interface Props {
    lesson: DraftLesson
    row: DraftRow
    read: View['DraftRowView'] | undefined
    problems: View['DraftProblemView'][]
    stitches: View['StitchView'][]
    onChange: (what: string, by: (lesson: DraftLesson) => DraftLesson) => void
    onPut: (place: string, value: number) => void
}

const RUNS: { id: View['NewPathBody']['run']; title: string }[] = [
    { id: 'edge', title: t('samplers.alongAnEdge') },
    { id: 'line', title: t('samplers.aLineWithCorners') },
    { id: 'arc', title: t('samplers.anArc') },
    { id: 'circle', title: t('samplers.aCircle') },
    { id: 's-curve', title: t('samplers.anS') },
    { id: 'square-spiral', title: t('samplers.aSquareSpiral') },
    { id: 'round-spiral', title: t('samplers.aRoundSpiral') },
]

/** One row: its stitch, where it runs, what is looked for on it, and which machines sew it. */
export function RowEditor({ lesson, row, read, problems, stitches, onChange, onPut }: Props) {
    const change = (what: string, by: (row: DraftRow) => DraftRow) => onChange(`${row.id} ${what}`, (l) => withRow(l, row.id, by))
    const kind = stitches.find((s) => s.id === (row.stitch ?? 'straight'))
    const piece = lesson.sampler.pieces.find((p) => p.id === row.piece)
    const run = useChange('nothing', async (to: View['NewPathBody']['run']) => {
        if (piece === undefined) return
        const { path } = await ask(api.POST('/api/drafts/path', { body: { run: to, width_mm: piece.width_mm, height_mm: piece.height_mm } }))
        change('run', (r) => ({ ...r, path: path }))
    })
    return (
        <div className={cx('row-editor')}>
            {problems.map((p) => (
                <p key={p.place + p.text} className={cx(p.stops ? 'draft-problem stops' : 'draft-problem')} role={p.stops ? 'alert' : 'status'}>
                    {p.text}{' '}
                    {p.value !== null && (
                        <Button variant="default" onClick={() => onPut(p.place, p.value ?? 0)}>
                            {t('samplers.makeIt', { n: mm(p.value) })}
                        </Button>
                    )}
                </p>
            ))}
            <div className={cx('draft-fields')}>
                <TextInput
                    label={t('samplers.called')}
                    className={cx('wide')}
                    value={row.title}
                    maxLength={80}
                    onChange={(e) => {
                        const title = e.currentTarget.value
                        change('title', (r) => ({ ...r, title }))
                    }}
                />
                {row.path !== undefined && (
                    <>
                        <Choice
                            label={t('common.stitch')}
                            value={row.stitch ?? 'straight'}
                            options={stitches.map((s) => ({ id: s.id, title: s.title }))}
                            onChange={(id) => {
                                const next = stitches.find((s) => s.id === id)
                                change('stitch', ({ width_mm, ...r }) => ({
                                    ...r,
                                    stitch: id,
                                    stitch_mm: next?.length_mm ?? 2.5,
                                    ...(next?.swings === true ? { width_mm: next.width_mm > 0 ? next.width_mm : (width_mm ?? 3.5) } : {}),
                                }))
                            }}
                        />
                        <Num
                            label={t('common.length')}
                            unit="mm"
                            value={row.stitch_mm}
                            step={0.1}
                            onChange={(v) => change('length', (r) => ({ ...r, stitch_mm: v }))}
                        />
                        {kind?.swings === true && (
                            <Num
                                label={t('common.width')}
                                unit="mm"
                                value={row.width_mm}
                                step={0.1}
                                onChange={(v) => change('width', (r) => ({ ...r, width_mm: v }))}
                            />
                        )}
                        <Num
                            label={t('samplers.needleLeft')}
                            unit="mm"
                            value={row.needle_position_mm ?? 0}
                            onChange={(v) => change('needle', (r) => ({ ...r, needle_position_mm: v }))}
                        />
                        <Num
                            label={t('samplers.backStitches')}
                            unit=""
                            step={1}
                            value={row.back_stitches ?? 0}
                            onChange={(v) => change('back', (r) => ({ ...r, back_stitches: v }))}
                        />
                        <TextInput
                            label={t('samplers.guide')}
                            value={row.guide ?? ''}
                            maxLength={60}
                            onChange={(e) => {
                                const guide = e.currentTarget.value
                                change('guide', (r) => ({ ...r, guide }))
                            }}
                        />
                    </>
                )}
            </div>
            {row.path !== undefined && piece !== undefined && (
                <div className={cx('draft-fields')}>
                    <Choice
                        label={t('samplers.runs')}
                        value={row.path.run}
                        options={RUNS}
                        onChange={(id) => {
                            const to = RUNS.find((r) => r.id === id)
                            if (to !== undefined) run.mutate(to.id)
                        }}
                    />
                    <PathFields path={row.path} onChange={(what, path) => change(what, (r) => ({ ...r, path }))} />
                </div>
            )}
            <Trouble error={run.error} />
            {read !== undefined && read.machines.length > 0 && <Machines machines={read.machines} />}
            <Faults lesson={lesson} row={row} onChange={change} />
            <CheckEditor row={row} allows={read?.allows ?? {}} teaches={lesson.teaches} onChange={change} />
        </div>
    )
}

function PathFields({ path, onChange }: { path: DraftPath; onChange: (what: string, path: DraftPath) => void }) {
    const num = (label: string, name: keyof DraftPath, unit = 'length', step = 0.5) => (
        <Num
            key={name}
            label={label}
            unit={unit}
            step={step}
            value={path[name] as number | undefined}
            onChange={(v) => onChange(name, { ...path, [name]: v })}
        />
    )
    const two = (label: string, name: 'centre' | 'from' | 'to') =>
        ([0, 1] as const).map((i) => (
            <Num
                key={`${name}${i}`}
                label={`${label} ${i === 0 ? t('samplers.fromLeft') : t('samplers.fromTop')}`}
                value={path[name]?.[i]}
                onChange={(v) => {
                    const old = pair(path[name])
                    onChange(`${name}${i}`, { ...path, [name]: i === 0 ? [v, old[1]] : [old[0], v] })
                }}
            />
        ))
    switch (path.run) {
        case 'edge':
            return (
                <>
                    <Choice
                        label={t('samplers.edge')}
                        value={path.edge ?? 'left'}
                        options={[
                            { id: 'left', title: t('common.left') },
                            { id: 'right', title: t('common.right') },
                        ]}
                        onChange={(edge) => onChange('edge', { ...path, edge })}
                    />
                    {num(t('samplers.fromTheEdge'), 'distance_mm')}
                    {num(t('samplers.beginsAt'), 'from_mm')}
                    {num(t('samplers.endsAt'), 'to_mm')}
                </>
            )
        case 'line':
            return (
                <div className={cx('corner-fields')}>
                    {(path.through ?? []).map((p, i) => (
                        <div key={i}>
                            {([0, 1] as const).map((k) => (
                                <Num
                                    key={k}
                                    label={`${i + 1} ${k === 0 ? t('samplers.fromLeft') : t('samplers.fromTop')}`}
                                    value={p[k]}
                                    onChange={(v) =>
                                        onChange(`corner ${i} ${k}`, {
                                            ...path,
                                            through: (path.through ?? []).map((q, n) => (n === i ? (k === 0 ? [v, pair(q)[1]] : [pair(q)[0], v]) : q)),
                                        })
                                    }
                                />
                            ))}
                            {(path.through ?? []).length > 2 && (
                                <Button
                                    variant="subtle"
                                    aria-label={t('samplers.cornerAway', { n: i + 1 })}
                                    onClick={() => onChange(`corner away ${i}`, { ...path, through: (path.through ?? []).filter((_, n) => n !== i) })}>
                                    ×
                                </Button>
                            )}
                        </div>
                    ))}
                    <Button
                        variant="subtle"
                        onClick={() => {
                            const through = path.through ?? []
                            const end = pair(through.at(-1) ?? [10, 10])
                            onChange(`corner more ${through.length}`, { ...path, through: [...through, [end[0] + 10, end[1]]] })
                        }}>
                        {t('samplers.oneCornerMore')}
                    </Button>
                </div>
            )
        case 'square-spiral':
            return (
                <>
                    {num(t('samplers.firstSidesFromTheEdge'), 'margin_mm')}
                    {num(t('samplers.lanesApart'), 'lane_mm')}
                    {num(t('samplers.corners'), 'corners', '', 1)}
                </>
            )
        case 's-curve':
            return (
                <>
                    {two(t('samplers.begins'), 'from')}
                    {two(t('samplers.ends'), 'to')}
                    {num(t('samplers.swingsOut'), 'swing_mm')}
                </>
            )
        case 'round-spiral':
            return (
                <>
                    {two(t('samplers.middle'), 'centre')}
                    {num(t('samplers.radius'), 'radius_mm')}
                    {num(t('samplers.lanesApart'), 'lane_mm')}
                    {num(t('samplers.turns'), 'turns', '', 0.5)}
                </>
            )
        default:
            return (
                <>
                    {two(t('samplers.middle'), 'centre')}
                    {num(t('samplers.radius'), 'radius_mm')}
                    {path.run === 'arc' && (
                        <>
                            {num(t('samplers.from'), 'from_deg', '°', 5)}
                            {num(t('common.to'), 'to_deg', '°', 5)}
                        </>
                    )}
                </>
            )
    }
}

/** Which of the lesson's faults are usual on this row. */
function Faults({ lesson, row, onChange }: { lesson: DraftLesson; row: DraftRow; onChange: (what: string, by: (row: DraftRow) => DraftRow) => void }) {
    const all = useLessons().data?.find((l) => l.id === lesson.id)?.faults ?? []
    if (all.length === 0) return null
    const on = row.faults ?? all.map((f) => f.id)
    return (
        <fieldset className={cx('row-faults')}>
            <legend>{t('samplers.usualFaultsHere')}</legend>
            {all.map((f) => (
                <Checkbox
                    label={f.seen}

                    key={f.id}
                    checked={on.includes(f.id)}
                    onChange={(e) => {
                        const next = e.currentTarget.checked ? [...on, f.id] : on.filter((x) => x !== f.id)
                        onChange('faults', (r) => ({ ...r, faults: next }))
                    }}
                />
            ))}
        </fieldset>
    )
}

/** How many machines sew it, how much room the needle has, and why the others do not. */
function Machines({ machines }: { machines: View['RowFitView'][] }) {
    const can = machines.filter((m) => m.works)
    const least = can.reduce<View['RowFitView'] | null>((a, m) => (m.margin_mm !== null && (a?.margin_mm == null || m.margin_mm < a.margin_mm) ? m : a), null)
    return (
        <div className={cx('draft-machines')}>
            <strong>{t('samplers.ofMachinesSewIt', { n: can.length, all: machines.length })}</strong>
            {least?.margin_mm != null && (
                <span className={cx(least.clearance)}>
                    {' '}
                    {t('samplers.leastRoomBesideTheNeedle', {
                        n: least.margin_mm.toFixed(1),
                        machine: least.machine,
                        foot: least.foot,
                        word: least.clearance === 'close' ? t('samplers.closeTurnTheHandWheel') : '',
                    })}
                </span>
            )}
            {machines
                .filter((m) => !m.works)
                .map((m) => (
                    <div key={m.machine} className={cx('due')}>
                        {m.why}
                    </div>
                ))}
        </div>
    )
}
