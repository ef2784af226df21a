import { TextInput } from '@mantine/core'
import { useState } from 'react'
import { useCompute } from '../../api/compute'
import { DrawingFrame } from '../../drawing/DrawingFrame'
import { mm, toNumber } from '../../text/numbers'
import { t } from '../../text/words'
import { Choice } from '../../ui/Choice'
import { NumberField } from '../../ui/NumberField'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'
import { Keep } from './Keep'
import type { ToolProps } from './tool'

const UNITS = [
    { id: 'tex', title: 'tex' },
    { id: 'weight', title: t('workshop.weightNumber') },
    { id: 'ticket', title: t('workshop.metricTicket') },
    { id: 'denier', title: 'denier' },
]
const FIBRES = ['polyester', 'cotton', 'silk', 'nylon', 'wool'].map((id) => ({ id, title: id }))

/** Needle size and point for cloth and thread. */
export function NeedleTool({ room }: ToolProps) {
    const [f, setF] = useState({ weight: 'medium', cloth: 'woven', thread: '30', unit: 'tex', fibre: 'polyester', stack: '0.6', fitted: '80', hours: '' })
    const set = (name: keyof typeof f) => (value: string) => setF({ ...f, [name]: value })
    const thread = toNumber(f.thread)
    const fitted = toNumber(f.fitted)
    const hours = toNumber(f.hours)
    const advice = useCompute('/api/compute/advise-needle', {
        weight: f.weight as 'medium',
        cloth: f.cloth as 'woven',
        stack_mm: toNumber(f.stack) ?? 0.6,
        ...(thread === null ? {} : { thread, thread_unit: f.unit as 'tex', fibre: f.fibre as 'cotton' }),
        ...(fitted === null ? {} : { fitted: Math.round(fitted) }),
        ...(hours === null ? {} : { hours }),
    })
    const a = advice.error === null ? advice.data : undefined
    return (
        <div className={cx('tool-cols')}>
            <div className={cx('tool-form')}>
                <Choice label={t('common.cloth')} value={f.weight} options={room.cloths} onChange={set('weight')} />
                <Choice label={t('workshop.madeAs')} value={f.cloth} options={room.made} onChange={set('cloth')} />
                <NumberField label={t('workshop.allLayers')} value={f.stack} min={0.1} max={8} step={0.1} onChange={set('stack')} />
                <div className={cx('pair')}>
                    <TextInput
                        label={t('workshop.thread')}
                        className={cx('choice')}
                        classNames={{ input: cx('num') }}
                        value={f.thread}
                        maxLength={10}
                        onChange={(e) => set('thread')(e.currentTarget.value)}
                    />
                    <Choice label={t('workshop.theNumberIs')} value={f.unit} options={UNITS} onChange={set('unit')} />
                </div>
                <Choice label={t('workshop.fibre')} value={f.fibre} options={FIBRES} onChange={set('fibre')} />
                <div className={cx('pair')}>
                    <TextInput
                        label={t('workshop.needleInIt')}
                        className={cx('choice')}
                        classNames={{ input: cx('num') }}
                        value={f.fitted}
                        maxLength={4}
                        onChange={(e) => set('fitted')(e.currentTarget.value)}
                    />
                    <TextInput
                        label={t('workshop.sewnHours')}
                        className={cx('choice')}
                        classNames={{ input: cx('num') }}
                        value={f.hours}
                        maxLength={6}
                        onChange={(e) => set('hours')(e.currentTarget.value)}
                    />
                </div>
            </div>
            <div className={cx('tool-answer')}>
                <Trouble error={advice.error} />
                {a !== undefined && (
                    <>
                        <p className={cx('big-verdict')}>
                            <strong className={cx('num')}>
                                {a.metric}/{a.number}
                            </strong>{' '}
                            {a.point}
                        </p>
                        <ul>
                            {a.reasons.map((r) => (
                                <li key={r}>{r}</li>
                            ))}
                        </ul>
                        {a.warnings.map((w) => (
                            <p key={w} className={cx('refused mild')}>
                                {w}
                            </p>
                        ))}
                        {a.thread !== null && (
                            <>
                                <EyeDrawing needle={a.metric / 100} thread={a.thread.diameter_mm} />
                                <p className={cx('quiet')}>
                                    {t('workshop.theThreadTexDenierWeight', {
                                        tex: mm(a.thread.tex, 1),
                                        denier: Math.round(a.thread.denier),
                                        weight: mm(a.thread.weight, 1),
                                        ticket: Math.round(a.thread.ticket),
                                        d: mm(a.thread.diameter_mm),
                                    })}
                                </p>
                            </>
                        )}
                        <p className={cx('caution')}>{t('workshop.powerOffBeforeTheNeedle')}</p>
                    </>
                )}
                <Keep
                    tool="advise-needle"
                    text={
                        a === undefined
                            ? null
                            : t('workshop.needle', { metric: a.metric, number: a.number, point: a.point, why: [...a.reasons, ...a.warnings].join(' ') })
                    }
                />
            </div>
        </div>
    )
}

/** The needle's shaft and the thread beside each other, forty times as large. */
function EyeDrawing({ needle, thread }: { needle: number; thread: number }) {
    const s = 40
    return (
        <DrawingFrame width={260} height={74} name={t('workshop.threadBesideTheNeedlesShaft')} className={cx('eye-drawing')}>
            <rect x={0} y={37 - (needle / 2) * s} width={120} height={needle * s} rx={3} className={cx('shaft')} />
            <rect x={130} y={37 - (thread / 2) * s} width={110} height={thread * s} rx={(thread / 2) * s} className={cx('thread-body')} />
            <text x={4} y={14}>
                {t('workshop.mmShaft', { n: mm(needle) })}
            </text>
            <text x={134} y={14}>
                {t('workshop.mmThread', { n: mm(thread) })}
            </text>
        </DrawingFrame>
    )
}
