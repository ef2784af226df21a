import { useState } from 'react'
import { useCompute } from '../../api/compute'
import { mm, toNumber } from '../../text/numbers'
import { t } from '../../text/words'
import { Choice } from '../../ui/Choice'
import { Empty } from '../../ui/Empty'
import { NumberField } from '../../ui/NumberField'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'
import { machineOptions } from './fields'
import { Keep } from './Keep'
import { useMachineChoice, type ToolProps } from './tool'

/** One machine's setting on another machine's dials. */
export function DialTool({ room }: ToolProps) {
    const from = useMachineChoice(room)
    const to = useMachineChoice(room, 2)
    const [stitch, setStitch] = useState('zigzag')
    const [typed, setTyped] = useState({ width: '3.5', length: '2' })
    const kind = room.stitches.find((s) => s.id === stitch)
    const [width, length] = [toNumber(typed.width), toNumber(typed.length)]
    const answer = useCompute(
        '/api/compute/translate-dial',
        from.machine === undefined || to.machine === undefined || width === null || length === null
            ? null
            : {
                  from: from.machine.facts,
                  to: to.machine.facts,
                  stitch: stitch as 'zigzag',
                  width_mm: width,
                  length_mm: kind?.generator === 'button' ? 0 : length,
              },
    )
    if (from.machine === undefined || to.machine === undefined) return <Empty>{t('workshop.addTwoMachinesInRoom')}</Empty>
    const a = answer.error === null ? answer.data : undefined
    const swings = kind?.swings === true
    const set =
        a?.possible !== true
            ? ''
            : [
                  a.stitch !== '' ? t('workshop.stitch', { name: a.stitch }) : '',
                  a.fixed !== '' ? t('workshop.mark', { name: a.fixed }) : swings ? t('workshop.width', { n: mm(a.width_dial) }) : '',
                  a.fixed === '' && kind?.generator !== 'button' ? t('workshop.length', { n: mm(a.length_dial) }) : '',
              ]
                  .filter((x) => x !== '')
                  .join(', ')
    const off =
        a === undefined
            ? ''
            : [
                  Math.abs(a.width_off_mm) > 0.005
                      ? t('workshop.mm', { n: mm(Math.abs(a.width_off_mm)), way: a.width_off_mm > 0 ? t('workshop.wider') : t('workshop.narrower') })
                      : '',
                  Math.abs(a.length_off_mm) > 0.005
                      ? t('workshop.mm', { n: mm(Math.abs(a.length_off_mm)), way: a.length_off_mm > 0 ? t('workshop.longer') : t('workshop.shorter') })
                      : '',
              ]
                  .filter((x) => x !== '')
                  .join(', ')
    return (
        <div className={cx('tool-cols')}>
            <div className={cx('tool-form')}>
                <Choice label={t('workshop.asSetOn')} value={from.id} options={machineOptions(room)} onChange={from.setId} />
                <Choice
                    label={t('common.stitch')}
                    value={stitch}
                    options={room.stitches.filter((s) => s.generator !== 'buttonhole')}
                    onChange={(s) => {
                        const k = room.stitches.find((x) => x.id === s)
                        setStitch(s)
                        setTyped({ width: String(k?.width_mm ?? 0), length: String(k?.length_mm ?? 2) })
                    }}
                />
                {swings && (
                    <NumberField
                        label={t('workshop.widthOnItsDial')}
                        value={typed.width}
                        min={0}
                        max={9}
                        step={0.5}
                        onChange={(v) => setTyped({ ...typed, width: v })}
                    />
                )}
                {kind?.generator !== 'button' && (
                    <NumberField
                        label={t('workshop.lengthOnItsDial')}
                        value={typed.length}
                        min={0.2}
                        max={6}
                        step={0.1}
                        onChange={(v) => setTyped({ ...typed, length: v })}
                    />
                )}
                <Choice label={t('workshop.toSewOn')} value={to.id} options={machineOptions(room)} onChange={to.setId} />
            </div>
            <div className={cx('tool-answer')}>
                <Trouble error={answer.error} />
                {a !== undefined &&
                    (a.possible ? (
                        <>
                            <p className={cx('big-verdict')}>
                                <strong>{to.machine.name}</strong> {set}
                            </p>
                            <p>{off === '' ? t('workshop.comesOutTheSame') : t('workshop.comesOut2', { off })}</p>
                            {swings && from.machine.facts.zigzag_length !== to.machine.facts.zigzag_length && (
                                <p className={cx('quiet')}>{t('workshop.oneDialGivesAZigzags')}</p>
                            )}
                            <p className={cx('caution')}>{t('workshop.noDialIsTurnedWith')}</p>
                        </>
                    ) : (
                        <p className={cx('refused')}>{t('workshop.doesNotHaveThisStitch', { machine: to.machine.name })}</p>
                    ))}
                <Keep
                    tool="translate-dial"
                    text={
                        a?.possible === true
                            ? t('workshop.sign', {
                                  stitch: kind?.title ?? '',
                                  from: from.machine.name,
                                  size: swings ? `${typed.width} × ${typed.length}` : typed.length,
                                  to: to.machine.name,
                                  set,
                                  off: off === '' ? '' : ` (${off})`,
                              })
                            : null
                    }
                />
            </div>
        </div>
    )
}
