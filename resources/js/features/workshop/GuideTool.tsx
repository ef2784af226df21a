import { TextInput } from '@mantine/core'
import { useState } from 'react'
import { useCompute } from '../../api/compute'
import { DrawingFrame } from '../../drawing/DrawingFrame'
import { fine, length, type Unit } from '../../text/lengths'
import { mm } from '../../text/numbers'
import { t } from '../../text/words'
import { Choice } from '../../ui/Choice'
import { Empty } from '../../ui/Empty'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'
import { machineOptions } from './fields'
import { Keep } from './Keep'
import { useMachineChoice, type ToolProps } from './tool'

const MANY = 7

/** What the cloth's edge rides along for an allowance, on one machine with its feet. */
export function GuideTool({ room, unit }: ToolProps) {
    const { id, setId, machine } = useMachineChoice(room)
    const [allowance, setAllowance] = useState(unit === 'in' ? '5/8' : '15.9')
    const found = useCompute(
        '/api/compute/find-room-guide',
        machine === undefined || allowance.trim() === '' ? null : { machine: machine.facts, feet: room.feet.map((f) => f.facts), allowance, unit },
    )
    if (machine === undefined) return <Empty>{t('workshop.addAMachineInRoom')}</Empty>
    const a = found.error === null ? found.data : undefined
    const best = a?.all[0]
    const say = (g: NonNullable<typeof best>) =>
        g.needle_position_mm === 0
            ? t('workshop.guideAt', { guide: g.id, at: length(g.setting_mm, unit) })
            : t('workshop.guideAtNeedle', {
                  guide: g.id,
                  at: length(g.setting_mm, unit),
                  by: mm(Math.abs(g.needle_position_mm)),
                  side: g.needle_position_mm < 0 ? t('common.left') : t('common.right'),
              })
    const off = (g: NonNullable<typeof best>) =>
        g.error_mm < 0.005
            ? t('workshop.exact')
            : g.over_mm > 0
              ? t('workshop.wider', { by: fine(g.error_mm, unit) })
              : t('workshop.narrower', { by: fine(g.error_mm, unit) })
    const text =
        a === undefined || best === undefined
            ? null
            : t('workshop.allowanceOn', { allowance: length(a.allowance_mm, unit), machine: machine.name, guide: say(best), off: off(best) })
    return (
        <div className={cx('tool-cols')}>
            <div className={cx('tool-form')}>
                <Choice label={t('common.machine')} value={id} options={machineOptions(room)} onChange={setId} />
                <TextInput
                    label={
                        <>
                            {t('workshop.allowance')} <small>{unit === 'mm' ? t('workshop.mmOr58In') : t('workshop.inchesOr15Mm')}</small>
                        </>
                    }
                    className={cx('choice')}
                    classNames={{ input: cx('num big') }}
                    value={allowance}
                    maxLength={40}
                    onChange={(e) => setAllowance(e.currentTarget.value)}
                />
            </div>
            <div className={cx('tool-answer')}>
                <Trouble error={found.error} />
                {a !== undefined && best !== undefined && (
                    <>
                        <p className={cx('big-verdict')}>
                            <strong>{say(best)}</strong> {off(best)}
                        </p>
                        <GuideDrawing unit={unit} allowance={a.allowance_mm} all={a.all.slice(0, MANY)} />
                        {best.id.startsWith('tape') && <p className={cx('caution')}>{t('workshop.tapeOnTheBedMeasure')}</p>}
                        {best.id.startsWith('magnetic') && <p className={cx('caution')}>{t('workshop.magnetsOnlyWhereTheMachines')}</p>}
                        {best.needle_position_mm !== 0 && <p className={cx('caution')}>{t('workshop.needleMovedAFullTurn')}</p>}
                        <table className={cx('rows guides')}>
                            <thead>
                                <tr>
                                    <th>{t('workshop.guide')}</th>
                                    <th>{t('workshop.comesOut')}</th>
                                </tr>
                            </thead>
                            <tbody>
                                {a.all.slice(0, MANY).map((g) => (
                                    <tr key={g.id} className={cx(g === best ? 'next' : '')}>
                                        <td>{say(g)}</td>
                                        <td className={cx('num')}>{off(g)}</td>
                                    </tr>
                                ))}
                            </tbody>
                        </table>
                    </>
                )}
                <Keep tool="find-guide" text={text} />
            </div>
        </div>
    )
}

/** Needle, guides and the allowance along one line, to scale. */
function GuideDrawing({ unit, allowance, all }: { unit: Unit; allowance: number; all: { id: string; setting_mm: number; needle_position_mm: number }[] }) {
    const far = Math.max(allowance, 12, ...all.slice(0, 4).map((g) => g.setting_mm)) + 4
    const scale = 540 / (far + 8)
    const x = (at: number) => (at + 6) * scale
    const best = all[0]
    const needle = best?.needle_position_mm ?? 0
    return (
        <DrawingFrame width={560} height={96} className={cx('guide-drawing')} name={t('workshop.needleAndGuidesToScale')}>
            <rect x={x(needle - 6)} y={8} width={(allowance + 6) * scale} height={44} className={cx('cloth')} />
            <line x1={x(needle)} y1={4} x2={x(needle)} y2={58} className={cx('needle-line')} />
            <line x1={x(needle + allowance)} y1={4} x2={x(needle + allowance)} y2={66} className={cx('edge-line')} />
            {all
                .filter((g) => g.setting_mm < far)
                .map((g, i) => (
                    <line
                        key={g.id}
                        x1={x(g.setting_mm)}
                        y1={i === 0 ? 52 : 58}
                        x2={x(g.setting_mm)}
                        y2={i === 0 ? 78 : 70}
                        className={cx(i === 0 ? 'guide-best' : 'guide-other')}
                    />
                ))}
            <text x={x(needle) + 4} y={30}>
                {t('common.needle2')}
            </text>
            <text x={x(needle + allowance) - 6} y={30} textAnchor="end">
                {length(allowance, unit)}
            </text>
            {best !== undefined && (
                <text x={Math.min(x(best.setting_mm), 540)} y={92} textAnchor="middle">
                    {length(best.setting_mm, unit)}
                </text>
            )}
        </DrawingFrame>
    )
}
