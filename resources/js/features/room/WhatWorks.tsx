import { Drawer, UnstyledButton } from '@mantine/core'
import { useState } from 'react'
import { Link } from 'react-router'
import type { View } from '../../api/client'
import { useCompute } from '../../api/compute'
import { FootOpening, ScaleBar } from '../../drawing/FootOpening'
import { StitchRow } from '../../drawing/StitchRow'
import { t, type Key } from '../../text/words'
import { useGridKeys } from '../../ui/useGridKeys'
import { cx } from './dress'

const REACH = 6.5
const SAY: Record<View['RoomCellView']['clearance'], Key> = { clear: 'common.clear', close: 'room.closeHandWheelFirst', strike: 'room.strikes' }

/** Stitches × machines: the needle's path in the opening of the foot that sews it, or why none does. */
export function WhatWorks({ room }: { room: View['RoomView'] }) {
    const [touched, setTouched] = useState<View['RoomCellView'] | null>(null)
    const cell = (machine: string, stitch: string) => room.cells.find((c) => c.machine === machine && c.stitch === stitch)
    const foot = (id: string | null | undefined) => room.feet.find((f) => f.id === id)?.facts
    const grid = useGridKeys()
    return (
        <>
            <p className={cx('caution')}>{t('room.needle80AtTheSettings')}</p>
            <div className={cx('matrix works')} tabIndex={0} role="region" aria-label={t('room.whatWorks')}>
                <table {...grid.table(room.stitches.length, room.machines.length)}>
                    <thead>
                        <tr>
                            <th scope="col">{t('room.stitch')}</th>
                            {room.machines.map((m) => (
                                <th key={m.machine.id} scope="col">
                                    {m.machine.name}
                                    {!m.machine.usable && <small>{t('room.doNotUse')}</small>}
                                </th>
                            ))}
                        </tr>
                    </thead>
                    <tbody>
                        {room.stitches.map((s, row) => (
                            <tr key={s.id}>
                                <th scope="row">
                                    <Link to="/workshop/stitch">{s.title}</Link>
                                </th>
                                {room.machines.map((m, column) => {
                                    const c = cell(m.machine.id, s.id)
                                    const f = foot(c?.foot)
                                    if (c === undefined) return <td key={m.machine.id} />
                                    return (
                                        <td key={m.machine.id} className={cx(m.machine.usable ? '' : 'unusable')}>
                                            <UnstyledButton
                                                {...grid.cell(row, column)}
                                                onClick={() => setTouched(c)}
                                                aria-label={t('room.on', {
                                                    stitch: s.title,
                                                    machine: m.machine.name,
                                                    what: f === undefined ? c.why : t('room.with', { foot: f.name, verdict: t(SAY[c.clearance]) }),
                                                })}>
                                                {f === undefined ? (
                                                    <span className={cx('no-way')} aria-hidden="true">
                                                        —
                                                    </span>
                                                ) : (
                                                    <>
                                                        <FootOpening
                                                            left={f.opening_left_mm}
                                                            right={f.opening_right_mm}
                                                            position={0}
                                                            width={c.width_mm}
                                                            needle={0.8}
                                                            verdict={c.clearance}
                                                            scale={7}
                                                            reach={REACH}
                                                            height={42}
                                                            length={Math.max(1, c.length_mm)}
                                                        />
                                                        <small>{f.name}</small>
                                                    </>
                                                )}
                                            </UnstyledButton>
                                        </td>
                                    )
                                })}
                            </tr>
                        ))}
                    </tbody>
                </table>
            </div>
            <Drawer
                opened={touched !== null}
                onClose={() => setTouched(null)}
                position="right"
                size="lg"
                title={
                    touched === null
                        ? ''
                        : `${room.stitches.find((s) => s.id === touched.stitch)?.title ?? ''}, ${room.machines.find((m) => m.machine.id === touched.machine)?.machine.name ?? ''}`
                }>
                {touched !== null && <Cell room={room} cell={touched} foot={foot(touched.foot)} />}
            </Drawer>
        </>
    )
}

function Cell({ room, cell, foot }: { room: View['RoomView']; cell: View['RoomCellView']; foot: View['FootFacts'] | undefined }) {
    const machine = room.machines.find((m) => m.machine.id === cell.machine)?.machine
    const stitch = room.stitches.find((s) => s.id === cell.stitch)
    const row = stitch?.generator === 'buttonhole' ? 20 : 24
    const picture = useCompute('/api/compute/stitch-points', {
        stitch: cell.stitch as 'zigzag',
        length_mm: cell.length_mm,
        width_mm: cell.width_mm,
        row_mm: row,
        needle_position_mm: 0,
    })
    return (
        <div className={cx('cell-detail')}>
            {machine !== undefined && !machine.usable && <p className={cx('refused')}>{t('room.doNotUse3', { why: machine.note })}</p>}
            <p>{stitch?.about}</p>
            {picture.data !== undefined && (
                <StitchRow
                    points={picture.data.points}
                    scale={14}
                    rowMm={row}
                    halfMm={Math.max(3, cell.width_mm / 2 + 1, cell.stitch === 'buttonhole-keyhole' ? 5.5 : 0)}
                    label={t('room.toScale', { stitch: stitch?.title ?? '' })}
                />
            )}
            {foot === undefined ? (
                <>
                    <p className={cx('refused mild')}>{cell.why}</p>
                    {cell.instead !== '' && (
                        <p>
                            <strong>{t('common.instead')}</strong> {cell.instead}.
                        </p>
                    )}
                </>
            ) : (
                <>
                    <p>
                        <strong>{t('room.sewsItWith', { foot: foot.name })}</strong>
                        {machine?.facts.stitch_names[cell.stitch] !== undefined &&
                            machine.facts.stitch_names[cell.stitch] !== '' &&
                            t('room.stitchOnItsDial', { name: machine.facts.stitch_names[cell.stitch] ?? '' })}{' '}
                        · {cell.width_mm > 0 ? `${cell.width_mm} × ${cell.length_mm}` : cell.length_mm} mm · {t(SAY[cell.clearance])}
                    </p>
                    <FootOpening
                        left={foot.opening_left_mm}
                        right={foot.opening_right_mm}
                        position={0}
                        width={cell.width_mm}
                        needle={0.8}
                        verdict={cell.clearance}
                        scale={26}
                        reach={8}
                        height={170}
                        length={Math.max(0.5, cell.length_mm)}
                        label={t('room.needlePathInTheOpening', { foot: foot.name })}
                    />
                    <ScaleBar mm={5} scale={26} />
                    {room.kinds.find((k) => k.id === foot.kind)?.caution !== '' && (
                        <p className={cx('caution')}>{room.kinds.find((k) => k.id === foot.kind)?.caution}</p>
                    )}
                </>
            )}
        </div>
    )
}
