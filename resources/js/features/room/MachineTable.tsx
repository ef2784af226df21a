import { Button, TextInput } from '@mantine/core'
import { useState } from 'react'
import { api, ask, type View } from '../../api/client'
import { useChange } from '../../api/queries'
import { day } from '../../text/time'
import { t, type Key } from '../../text/words'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'
import { wayName } from './HoleQuestions'

type Service = View['ServiceBody']['kind']
const WORDS: Record<Service, Key> = {
    needle: 'room.newNeedle',
    clean: 'room.cleaned',
    service: 'room.serviced',
    'out-of-use': 'room.doNotUse',
    'in-use': 'room.usedAgain',
}

interface Props {
    room: View['RoomView']
    zone: string
    onEdit: (machine: View['MachineView']) => void
}

/** Machines with their care: needle, cleaning, and what must not be used. */
export function MachineTable({ room, zone, onEdit }: Props) {
    const log = useChange('machines', async ({ id, kind, note }: { id: string; kind: Service; note: string }) => {
        await ask(api.POST('/api/machines/{machine}/service', { params: { path: { machine: id } }, body: { kind, note } }))
    })
    return (
        <>
            <p className={cx('caution')}>{t('room.damagedLeadSmellOfBurning')}</p>
            <Trouble error={log.error} />
            <table className={cx('rows machines')}>
                <thead>
                    <tr>
                        <th>{t('room.machine')}</th>
                        <th>{t('room.canDo')}</th>
                        <th>{t('common.needle2')}</th>
                        <th>{t('room.care')}</th>
                        <th>
                            <span className={cx('hidden')}>{t('room.acts')}</span>
                        </th>
                    </tr>
                </thead>
                <tbody>
                    {room.machines.map((m) => (
                        <MachineRow
                            key={m.machine.id}
                            m={m}
                            room={room}
                            zone={zone}
                            onEdit={() => onEdit(m.machine)}
                            onLog={(kind, note) => log.mutate({ id: m.machine.id, kind, note })}
                        />
                    ))}
                </tbody>
            </table>
        </>
    )
}

interface RowProps {
    m: View['RoomMachineView']
    room: View['RoomView']
    zone: string
    onEdit: () => void
    onLog: (kind: Service, note: string) => void
}

function MachineRow({ m, room, zone, onEdit, onLog }: RowProps) {
    const [why, setWhy] = useState<string | null>(null)
    const f = m.machine.facts
    const mount = room.mounts.find((x) => x.id === f.mount)?.title ?? f.mount
    return (
        <tr className={cx(m.machine.usable ? '' : 'out')}>
            <td>
                <Button variant="subtle" className={cx('name')} onClick={onEdit}>
                    {m.machine.name}
                </Button>
                <small>
                    {f.drive}, {mount}
                </small>
            </td>
            <td>
                {f.widest_swing_mm > 0
                    ? t('room.swingMmStitchMm', { w: f.widest_swing_mm, a: f.shortest_stitch_mm, b: f.longest_stitch_mm })
                    : t('room.straightMm', { a: f.shortest_stitch_mm, b: f.longest_stitch_mm })}
                <small>
                    {t('room.stitchesButtonholeTension', { n: Object.keys(f.stitch_names).length, kind: wayName(f.buttonhole), mark: m.machine.tension_mark })}
                </small>
            </td>
            <td>
                {m.needle_on === null ? t('room.neverNoted') : day(m.needle_on, zone)}
                <small>{t('room.hSewnSince', { n: m.needle_hours })}</small>
            </td>
            <td>
                {!m.machine.usable && <strong className={cx('lacking')}>{t('room.doNotUse3', { why: m.machine.note })}</strong>}
                {[...m.drifts, ...m.due].map((d) => (
                    <span key={d} className={cx('due')}>
                        {d}
                    </span>
                ))}
                {m.machine.usable && m.due.length === 0 && (m.clean_on === null ? t('room.neverNoted') : t('room.cleaned3', { day: day(m.clean_on, zone) }))}
                {m.log[0] !== undefined && (
                    <details className={cx('log')}>
                        <summary>{t('room.log')}</summary>
                        <ul>
                            {m.log.map((e) => (
                                <li key={e.done_at + e.kind}>
                                    {day(e.done_at, zone)}: {t(WORDS[e.kind])}
                                    {e.note !== '' && `, ${e.note}`}
                                </li>
                            ))}
                        </ul>
                    </details>
                )}
            </td>
            <td className={cx('machine-acts')}>
                {why === null ? (
                    <>
                        <Button variant="default" onClick={() => onLog('needle', '')}>
                            {t('room.newNeedle2')}
                        </Button>
                        <Button variant="default" onClick={() => onLog('clean', '')}>
                            {t('room.cleaned2')}
                        </Button>
                        {m.machine.usable ? (
                            <Button variant="default" aria-label={t('room.doNotUse4', { machine: m.machine.name })} onClick={() => setWhy('')}>
                                {t('room.doNotUse2')}
                            </Button>
                        ) : (
                            <Button variant="default" onClick={() => onLog('in-use', '')}>
                                {t('room.useItAgain')}
                            </Button>
                        )}
                    </>
                ) : (
                    <form
                        className={cx('why')}
                        onSubmit={(e) => {
                            e.preventDefault()
                            if (why.trim() !== '') {
                                onLog('out-of-use', why.trim())
                                setWhy(null)
                            }
                        }}>
                        <TextInput label={t('room.why')} autoFocus value={why} maxLength={200} onChange={(e) => setWhy(e.currentTarget.value)} />
                        <Button type="submit" disabled={why.trim() === ''}>
                            {t('room.doNotUse2')}
                        </Button>
                        <Button variant="subtle" onClick={() => setWhy(null)}>
                            {t('room.cancel')}
                        </Button>
                    </form>
                )}
            </td>
        </tr>
    )
}
