import { Checkbox } from '@mantine/core'
import { useState } from 'react'
import { useCompute } from '../../api/compute'
import { FootOpening, ScaleBar } from '../../drawing/FootOpening'
import { mm, toNumber } from '../../text/numbers'
import { t, type Key } from '../../text/words'
import { Choice } from '../../ui/Choice'
import { Empty } from '../../ui/Empty'
import { NumberField } from '../../ui/NumberField'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'
import { machineOptions } from './fields'
import { Keep } from './Keep'
import { useMachineChoice, type ToolProps } from './tool'

const REACH = 8
const SCALE = 34
const SAY: Record<'clear' | 'close' | 'strike', Key> = { clear: 'common.clear', close: 'workshop.tooClose', strike: 'workshop.itStrikes' }

/** Machine, foot, stitch and needle together: does the needle pass, and does it sew at all. */
export function ClearanceTool({ room }: ToolProps) {
    const { id, setId, machine } = useMachineChoice(room)
    const [footId, setFootId] = useState(room.feet[0]?.id ?? '')
    const [stitch, setStitch] = useState('zigzag')
    const [typed, setTyped] = useState({ width: '5', length: '2', position: '0', needle: '80' })
    const [sticky, setSticky] = useState(false)
    const foot = room.feet.find((f) => f.id === footId)?.facts
    const kind = room.stitches.find((s) => s.id === stitch)
    const set = (name: keyof typeof typed) => (value: string) => setTyped({ ...typed, [name]: value })
    const n = { width: toNumber(typed.width), length: toNumber(typed.length), position: toNumber(typed.position), needle: toNumber(typed.needle) }
    const whole = n.width !== null && n.length !== null && n.position !== null && n.needle !== null
    const fit = useCompute(
        '/api/compute/check-fit',
        machine === undefined || foot === undefined || !whole
            ? null
            : {
                  machine: machine.facts,
                  foot,
                  stitch: stitch as 'zigzag',
                  width_mm: n.width ?? 0,
                  length_mm: kind?.generator === 'button' ? 0 : (n.length ?? 0),
                  needle_position_mm: n.position ?? 0,
                  needle_size: n.needle ?? 80,
                  sticky_cloth: sticky,
              },
    )
    if (machine === undefined || foot === undefined) return <Empty>{t('workshop.addAMachineAndA')}</Empty>
    const a = fit.error === null && whole ? fit.data : undefined
    const [from = 0, to = 0] = a?.swing_mm ?? []
    const width = to - from
    // On its open side a foot has no edge to strike.
    const margin = (of: number | null) => (of === null ? t('workshop.open') : t('common.mm', { n: mm(of) }))
    const strike = a !== undefined && (a.verdict === 'strike' || a.refusals.some((r) => r.danger))
    const instead = room.cells
        .filter((c) => c.stitch === stitch && c.works && !(c.machine === id && c.foot === footId))
        .sort((x, y) => Number(y.machine === id) - Number(x.machine === id))
        .slice(0, 2)
        .map((c) =>
            t('workshop.with', {
                machine: room.machines.find((m) => m.machine.id === c.machine)?.machine.name ?? '',
                foot: room.feet.find((f) => f.id === c.foot)?.facts.name ?? '',
            }),
        )
        .join(', ')
    const text =
        a === undefined
            ? null
            : t('workshop.wideNeedleAtMmMargins', {
                  machine: machine.name,
                  foot: foot.name,
                  stitch: kind?.title ?? stitch,
                  w: mm(width),
                  needle: mm(n.needle ?? 0),
                  p: mm(n.position ?? 0),
                  verdict: t(SAY[a.verdict]),
                  l: margin(a.margin_left_mm),
                  r: margin(a.margin_right_mm),
              })
    return (
        <div className={cx('tool-cols')}>
            <div className={cx('tool-form')}>
                <Choice label={t('common.machine')} value={id} options={machineOptions(room)} onChange={setId} />
                <Choice label={t('common.foot')} value={footId} options={room.feet.map((f) => ({ id: f.id, title: f.facts.name }))} onChange={setFootId} />
                <Choice
                    label={t('common.stitch')}
                    value={stitch}
                    options={room.stitches}
                    onChange={(s) => {
                        const k = room.stitches.find((x) => x.id === s)
                        setStitch(s)
                        setTyped({ ...typed, width: String(k?.width_mm ?? 0), length: String(k?.length_mm ?? 2) })
                    }}
                />
                {kind?.swings === true && <NumberField label={t('common.width')} value={typed.width} min={0} max={9} step={0.5} onChange={set('width')} />}
                <NumberField label={t('workshop.needlePosition')} value={typed.position} min={-3.5} max={3.5} step={0.5} onChange={set('position')} />
                <NumberField label={t('workshop.needleSize')} value={typed.needle} min={60} max={120} step={10} unit="" onChange={set('needle')} />
                <Checkbox
                    label={t('workshop.leatherVinylOrCoatedCloth')}

                    checked={sticky}
                    onChange={(e) => setSticky(e.currentTarget.checked)}
                />
            </div>
            <div className={cx('tool-answer')}>
                <Trouble error={fit.error} />
                {!whole && <p className={cx('refused')}>{t('workshop.typeANumberInEach')}</p>}
                {a !== undefined && (
                    <>
                        <p className={cx(`big-verdict ${strike ? 'strike' : a.verdict}`)}>
                            <strong>{strike && a.verdict !== 'strike' ? t('workshop.doNotSewThis') : t(SAY[a.verdict])}</strong>{' '}
                            {t('workshop.leftRight', { l: margin(a.margin_left_mm), r: margin(a.margin_right_mm) })}
                        </p>
                        <FootOpening
                            left={a.margin_left_mm === null ? REACH : foot.opening_left_mm}
                            right={a.margin_right_mm === null ? REACH : foot.opening_right_mm}
                            position={n.position ?? 0}
                            width={width}
                            needle={(n.needle ?? 80) / 100}
                            length={Math.max(0.4, n.length ?? 2)}
                            verdict={strike ? 'strike' : a.verdict}
                            scale={SCALE}
                            reach={REACH}
                            height={230}
                            label={t('workshop.needlePathInTheOpening', { foot: foot.name, verdict: t(SAY[a.verdict]) })}
                        />
                        <ScaleBar mm={5} scale={SCALE} />
                        {a.refusals.map((r) => (
                            <p key={r.rule} className={cx(r.danger ? 'refused' : 'refused mild')}>
                                {r.text}
                            </p>
                        ))}
                        {!a.works && instead !== '' && (
                            <p>
                                <strong>{t('common.instead')}</strong> {instead}.
                            </p>
                        )}
                        <p className={cx('caution')}>{t('workshop.powerOffToChangeNeedle')}</p>
                    </>
                )}
                <Keep tool="clearance" text={text} {...(strike ? { refused: t('workshop.thisStrikesAndCannotBe') } : {})} />
            </div>
        </div>
    )
}
