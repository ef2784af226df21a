import { Button, TextInput } from '@mantine/core'
import { useState } from 'react'
import { api, ask, type View } from '../../../api/client'
import { useChange } from '../../../api/queries'
import { t } from '../../../text/words'
import { Choice } from '../../../ui/Choice'
import { Trouble } from '../../../ui/Trouble'
import { cx } from '../dress'
import type { Band, DraftCheck, DraftReading, DraftRow } from './lesson'
import { Num } from './Num'

interface Props {
    row: DraftRow
    allows: Record<string, string>
    teaches: string[]
    onChange: (what: string, by: (row: DraftRow) => DraftRow) => void
}

/** What is looked for on a row: how much is met, how much near, and what to say when it is not. */
export function CheckEditor({ row, allows, teaches, onChange }: Props) {
    const change = (id: string, what: string, by: (check: DraftCheck) => DraftCheck) =>
        onChange(`check ${id} ${what}`, (r) => ({ ...r, checks: r.checks.map((c) => (c.id === id ? by(c) : c)) }))
    return (
        <div className={cx('draft-checks')}>
            <h2>{t('samplers.checks')}</h2>
            {row.checks.map((c) => (
                <div key={c.id} className={cx('draft-check')}>
                    <TextInput
                        aria-label={t('samplers.nameOfTheCheck')}
                        value={c.title}
                        maxLength={60}
                        onChange={(e) => {
                            const title = e.currentTarget.value
                            change(c.id, 'title', (x) => ({ ...x, title }))
                        }}
                    />
                    <Numbers
                        check={c}
                        lengths={isByRuler(row.readings.find((r) => r.id === c.of))}
                        onChange={(what, next) =>
                            change(c.id, what, (x) => {
                                const y = { ...x, ...next }
                                delete y.allows
                                return y
                            })
                        }
                    />
                    <small>
                        {row.readings.find((r) => r.id === c.of)?.label}: {allows[c.id] ?? c.allows ?? ''}
                    </small>
                    {row.checks.length > 1 && (
                        <Button
                            variant="subtle"
                            aria-label={t('samplers.takeTheCheckAway', { name: c.title })}
                            onClick={() => onChange(`check away ${c.id}`, (r) => without(r, c.id))}>
                            {t('samplers.away')}
                        </Button>
                    )}
                    <div className={cx('draft-say')}>
                        {(['low', 'high'] as const)
                            .filter((side) => side in c.changes || c.kind !== 'yes')
                            .map((side) => (
                                <TextInput
                                    label={
                                        side === 'low'
                                            ? c.kind === 'yes' || c.kind === 'choice'
                                                ? t('samplers.ifNot')
                                                : t('samplers.tooLittle')
                                            : t('samplers.tooMuch')
                                    }
                                    key={side}
                                    value={c.changes[side]?.text ?? ''}
                                    maxLength={200}
                                    onChange={(e) => {
                                        const text = e.currentTarget.value
                                        change(c.id, `say ${side}`, (x) => {
                                            const rest = Object.entries(x.changes).filter(([when]) => when !== side)
                                            const said = text === '' ? [] : [[side, { kind: x.changes[side]?.kind ?? 'habit', text }] as const]
                                            return { ...x, changes: Object.fromEntries([...rest, ...said]) }
                                        })
                                    }}
                                />
                            ))}
                    </div>
                </div>
            ))}
            <NewCheck
                row={row}
                teaches={teaches}
                onAdd={(reading, check) =>
                    onChange(`check new ${check.id}`, (r) => ({ ...r, readings: [...r.readings, reading], checks: [...r.checks, check] }))
                }
            />
        </div>
    )
}

/** A length that a ruler reads: not a count, and not the width of a stitch, which is read to a tenth. */
const isByRuler = (reading: DraftReading | undefined) => reading?.kind.startsWith('length') === true && (reading.step ?? RULER_STEP_MM) >= RULER_STEP_MM

const RULER_STEP_MM = 0.5

function without(row: DraftRow, id: string): DraftRow {
    const checks = row.checks.filter((c) => c.id !== id)
    const of = row.checks.find((c) => c.id === id)?.of
    // A reading that nothing judges any more is not asked for.
    const readings = checks.some((c) => c.of === of) ? row.readings : row.readings.filter((r) => r.id !== of)
    return { ...row, checks, readings }
}

function Numbers({ check: c, lengths, onChange }: { check: DraftCheck; lengths: boolean; onChange: (what: string, next: Partial<DraftCheck>) => void }) {
    // What is set on a dial stays in mm; what a ruler reads is in the reader's own unit.
    const [by, fine] = lengths ? ['length', 'fine'] : ['mm', 'mm']
    const num = (label: string, name: 'target_mm' | 'met_mm' | 'near_mm' | 'met_percent' | 'near_percent', unit = by, step = 0.1) => (
        <Num label={label} unit={unit} step={step} value={c[name]} onChange={(v) => onChange(name, { [name]: v })} />
    )
    if (c.kind === 'yes' || c.kind === 'choice')
        return <span className={cx('quiet')}>{c.kind === 'yes' ? t('samplers.yesOrNo') : t('samplers.describedSteps')}</span>
    if (c.kind === 'alike')
        return (
            <>
                {num(t('common.met'), 'met_percent', '%', 1)}
                {num(t('common.near'), 'near_percent', '%', 1)}
            </>
        )
    if (c.kind === 'band') {
        const band = (name: 'met' | 'near', side: keyof Band, label: string) =>
            c[name]?.[side] === undefined ? null : (
                <Num
                    label={label}
                    unit={lengths ? 'length' : ''}
                    step={0.5}
                    value={c[name][side]}
                    onChange={(v) => onChange(`${name} ${side}`, { [name]: { ...c[name], [side]: v } })}
                />
            )
        return (
            <>
                {band('met', 'from', t('samplers.metFrom'))}
                {band('met', 'to', t('samplers.metTo'))}
                {band('near', 'from', t('samplers.nearFrom'))}
                {band('near', 'to', t('samplers.nearTo'))}
            </>
        )
    }
    return (
        <>
            {c.kind !== 'spread' && num(t('samplers.target'), 'target_mm')}
            {num(c.kind === 'spread' ? t('samplers.metUpTo') : t('samplers.met'), 'met_mm', fine)}
            {num(c.kind === 'spread' ? t('samplers.nearUpTo') : t('samplers.near'), 'near_mm', fine)}
        </>
    )
}

type Kind = View['NewCheckBody']['kind']

const KINDS: { id: Kind; title: string }[] = [
    { id: 'yes-no', title: t('samplers.yesOrNo') },
    { id: 'length', title: t('samplers.oneLength') },
    { id: 'lengths', title: t('samplers.aLengthAtThreeMarks') },
    { id: 'count', title: t('samplers.aCount') },
    { id: 'stitches', title: t('samplers.stitchesCountedOverMm') },
]

function NewCheck({ row, teaches, onAdd }: { row: DraftRow; teaches: string[]; onAdd: (reading: DraftReading, check: DraftCheck) => void }) {
    const [label, setLabel] = useState('')
    const [kind, setKind] = useState<Kind>('yes-no')
    const add = useChange('nothing', async () => {
        const started = await ask(api.POST('/api/drafts/check', { body: { row: row, label, kind, teaches } }))
        onAdd(started.reading, started.check)
        setLabel('')
    })
    return (
        <div className={cx('draft-fields new-check')}>
            <TextInput
                label={t('samplers.lookAlsoFor')}
                className={cx('wide')}
                value={label}
                maxLength={60}
                placeholder={t('samplers.cornerLiesFlat')}
                onChange={(e) => setLabel(e.currentTarget.value)}
            />
            <Choice label={t('samplers.readAs')} value={kind} options={KINDS} onChange={(id) => setKind(KINDS.find((k) => k.id === id)?.id ?? 'yes-no')} />
            <Button variant="default" disabled={label.trim() === '' || add.isPending} onClick={() => add.mutate(undefined)}>
                {t('samplers.addTheCheck')}
            </Button>
            <Trouble error={add.error} />
        </div>
    )
}
