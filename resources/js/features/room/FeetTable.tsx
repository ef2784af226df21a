import { Button } from '@mantine/core'
import type { View } from '../../api/client'
import { Drawn } from '../../drawing/Drawn'
import { t } from '../../text/words'
import { Empty } from '../../ui/Empty'
import { cx } from './dress'

/** What they cost together, and for each sample of a year. */
function each(f: View['FootFacts'], samples: number): string {
    const all = (f.price ?? 0) * f.count
    return samples === 0 ? t('room.cost', { all }) : t('room.costAndEach', { all, each: Math.round((all / samples) * 100) / 100 })
}

/** The feet, each with its opening to scale. */
export function FeetTable({ room, onEdit }: { room: View['RoomView']; onEdit: (foot: View['FootView']) => void }) {
    if (room.feet.length === 0) return <Empty>{t('room.noFeetYetAddThose')}</Empty>
    return (
        <table className={cx('rows feet')}>
            <thead>
                <tr>
                    <th>{t('room.foot')}</th>
                    <th>{t('room.howMany')}</th>
                    <th>{t('room.openingToScale')}</th>
                    <th>{t('room.measures')}</th>
                    <th>{t('room.fits')}</th>
                </tr>
            </thead>
            <tbody>
                {room.feet.map((foot) => {
                    const f = foot.facts
                    const kind = room.kinds.find((k) => k.id === f.kind)
                    return (
                        <tr key={foot.id}>
                            <td>
                                <Button variant="subtle" className={cx('name')} onClick={() => onEdit(foot)}>
                                    {f.name}
                                </Button>
                                <small>
                                    {kind?.about}
                                    {f.materials.length > 0 && ` · ${f.materials.join(', ')}`}
                                </small>
                            </td>
                            <td>
                                <span className={cx('num')}>{f.count}</span>
                                <small>
                                    {t('room.samplesAYear', { n: room.uses[f.kind] ?? 0 })}
                                    {f.price !== null && ` · ${each(f, room.uses[f.kind] ?? 0)}`}
                                </small>
                            </td>
                            <td className={cx('foot-picture')}>
                                <Drawn picture={foot.picture} name={t('room.openingOf', { foot: f.name })} />
                            </td>
                            <td>
                                {t('room.andMmSwingToMm', { l: f.opening_left_mm, r: f.opening_right_mm, w: f.largest_swing_mm })}
                                <small>
                                    {t('room.soleEdgesAndMm', { sole: f.sole, a: f.edge_left_mm, b: f.edge_right_mm })}
                                    {f.guide !== null && t('room.guideMm', { a: f.guide.min_mm, b: f.guide.max_mm })}
                                </small>
                            </td>
                            <td>
                                {room.mounts.find((m) => m.id === f.mount)?.title}
                                <small>
                                    {t('room.ofMachines', {
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
