import { Button } from '@mantine/core'
import type { View } from '../../api/client'
import { t } from '../../app/text'
import { FootOpening } from '../../drawing/FootOpening'

/** The feet, each with its opening to scale. */
export function FeetTable({ room, onEdit }: { room: View['RoomView']; onEdit: (foot: View['FootView']) => void }) {
    if (room.feet.length === 0) return <p className="empty">{t('No feet yet. Add those that came with the machines first.')}</p>
    return (
        <table className="rows feet">
            <thead>
                <tr>
                    <th>{t('foot')}</th>
                    <th>{t('how many')}</th>
                    <th>{t('opening, to scale')}</th>
                    <th>{t('measures')}</th>
                    <th>{t('fits')}</th>
                </tr>
            </thead>
            <tbody>
                {room.feet.map((foot) => {
                    const f = foot.facts
                    const kind = room.kinds.find((k) => k.id === f.kind)
                    return (
                        <tr key={foot.id}>
                            <td>
                                <Button variant="subtle" className="name" onClick={() => onEdit(foot)}>
                                    {f.name}
                                </Button>
                                <small>
                                    {kind?.about}
                                    {f.materials.length > 0 && ` · ${f.materials.join(', ')}`}
                                </small>
                            </td>
                            <td className="num">{f.count}</td>
                            <td>
                                <FootOpening
                                    left={f.opening_left_mm}
                                    right={f.opening_right_mm}
                                    position={0}
                                    width={f.largest_swing_mm}
                                    needle={0.8}
                                    verdict="clear"
                                    scale={7}
                                    reach={8}
                                    height={34}
                                    label={t('opening of {foot}', { foot: f.name })}
                                />
                            </td>
                            <td>
                                {t('{l} and {r} mm, swing to {w} mm', { l: f.opening_left_mm, r: f.opening_right_mm, w: f.largest_swing_mm })}
                                <small>
                                    {t('{sole} sole, edges {a} and {b} mm', { sole: f.sole, a: f.edge_left_mm, b: f.edge_right_mm })}
                                    {f.guide !== null && t(', guide {a}–{b} mm', { a: f.guide.min_mm, b: f.guide.max_mm })}
                                </small>
                            </td>
                            <td>
                                {room.mounts.find((m) => m.id === f.mount)?.title}
                                <small>
                                    {t('{n} of {all} machines', {
                                        n: room.machines.filter((m) => m.machine.facts.mount === f.mount).length,
                                        all: room.machines.length,
                                    })}
                                </small>
                            </td>
                        </tr>
                    )
                })}
            </tbody>
        </table>
    )
}
