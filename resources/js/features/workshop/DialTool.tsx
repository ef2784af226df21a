import { useState } from 'react'
import { useCompute } from '../../api/compute'
import { t } from '../../app/text'
import { mm, toNumber } from '../../text/numbers'
import { NumberField } from '../../ui/NumberField'
import { Trouble } from '../../ui/Trouble'
import { Choice, Empty, machineOptions } from './fields'
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
    if (from.machine === undefined || to.machine === undefined) return <Empty>{t('Add two machines in Room first.')}</Empty>
    const a = answer.error === null ? answer.data : undefined
    const swings = kind?.swings === true
    const set =
        a?.possible !== true
            ? ''
            : [
                  a.stitch !== '' ? t('stitch {name}', { name: a.stitch }) : '',
                  a.fixed !== '' ? t('mark {name}', { name: a.fixed }) : swings ? t('width {n}', { n: mm(a.width_dial) }) : '',
                  a.fixed === '' && kind?.generator !== 'button' ? t('length {n}', { n: mm(a.length_dial) }) : '',
              ]
                  .filter((x) => x !== '')
                  .join(', ')
    const off =
        a === undefined
            ? ''
            : [
                  Math.abs(a.width_off_mm) > 0.005
                      ? t('{n} mm {way}', { n: mm(Math.abs(a.width_off_mm)), way: a.width_off_mm > 0 ? t('wider') : t('narrower') })
                      : '',
                  Math.abs(a.length_off_mm) > 0.005
                      ? t('{n} mm {way}', { n: mm(Math.abs(a.length_off_mm)), way: a.length_off_mm > 0 ? t('longer') : t('shorter') })
                      : '',
              ]
                  .filter((x) => x !== '')
                  .join(', ')
    return (
        <div className="tool-cols">
            <div className="tool-form">
                <Choice label={t('As set on')} value={from.id} options={machineOptions(room)} onChange={from.setId} />
                <Choice
                    label={t('Stitch')}
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
                        label={t('Width on its dial')}
                        value={typed.width}
                        min={0}
                        max={9}
                        step={0.5}
                        onChange={(v) => setTyped({ ...typed, width: v })}
                    />
                )}
                {kind?.generator !== 'button' && (
                    <NumberField
                        label={t('Length on its dial')}
                        value={typed.length}
                        min={0.2}
                        max={6}
                        step={0.1}
                        onChange={(v) => setTyped({ ...typed, length: v })}
                    />
                )}
                <Choice label={t('To sew on')} value={to.id} options={machineOptions(room)} onChange={to.setId} />
            </div>
            <div className="tool-answer">
                <Trouble error={answer.error} />
                {a !== undefined &&
                    (a.possible ? (
                        <>
                            <p className="big-verdict">
                                <strong>{to.machine.name}</strong> {set}
                            </p>
                            <p>{off === '' ? t('Comes out the same.') : t('Comes out {off}.', { off })}</p>
                            {swings && from.machine.facts.zigzag_length !== to.machine.facts.zigzag_length && (
                                <p className="quiet">
                                    {t(
                                        'One dial gives a zigzag’s length for each stroke, the other for the whole zigzag: the number differs, the stitch does not.',
                                    )}
                                </p>
                            )}
                            <p className="caution">{t('No dial is turned with the needle in the cloth. Hand wheel first after a change of width.')}</p>
                        </>
                    ) : (
                        <p className="refused">{t('{machine} does not have this stitch.', { machine: to.machine.name })}</p>
                    ))}
                <Keep
                    tool="translate-dial"
                    text={
                        a?.possible === true
                            ? t('{stitch}, {from} {size} = {to}: {set}{off}.', {
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
