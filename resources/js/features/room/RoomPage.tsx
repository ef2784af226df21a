import { Anchor, Button, Drawer } from '@mantine/core'
import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import type { View } from '../../api/client'
import { useMe, useRoom } from '../../api/queries'
import { useClassInHand } from '../../keeping/classInHand'
import { t } from '../../text/words'
import { Empty } from '../../ui/Empty'
import { Trouble, Waiting } from '../../ui/Trouble'
import { cx } from './dress'
import { FeetTable } from './FeetTable'
import { FootForm } from './FootForm'
import { MachineForm } from './MachineForm'
import { MachineTable } from './MachineTable'
import { WhatWorks } from './WhatWorks'

const SHOWN = [
    { id: 'works', name: 'room.whatWorks' },
    { id: 'machines', name: 'room.machines' },
    { id: 'feet', name: 'room.feet' },
] as const

/** More than this is folded away. */
const FEW = 3

/** What is being edited: a machine or a foot, a new one without an id. */
export type Editing = { machine: View['MachineView'] | null } | { foot: View['FootView'] | null; kind?: string }

/** The room: what works with what, what is short, and the care of the machines. */
export default function RoomPage() {
    const me = useMe()
    const room = useRoom(useClassInHand(me.data?.classes ?? [])?.id)
    const [search] = useSearchParams()
    // A foot that was just named is kept from here.
    const named = search.get('foot')
    const [editing, setEditing] = useState<Editing | null>(named === null ? null : { foot: null, kind: named })
    const shown = search.get('show') ?? 'works'
    if (room.data === undefined) return room.error === null ? <Waiting what={t('room.openingTheRoom')} /> : <Trouble error={room.error} />
    const r = room.data
    const close = () => setEditing(null)
    return (
        <div className={cx('room')}>
            <div className={cx('room-head')}>
                <h1>{t('common.room')}</h1>
                <nav className={cx('bench inline')} aria-label={t('room.partsOfTheRoom')}>
                    {SHOWN.map((s) => (
                        <Link
                            key={s.id}
                            to={s.id === 'works' ? '/room' : `/room?show=${s.id}`}
                            className={cx(s.id === shown ? 'on' : '')}
                            aria-current={s.id === shown ? 'page' : undefined}>
                            {t(s.name)}
                        </Link>
                    ))}
                </nav>
                <span className={cx('room-acts')}>
                    <Button variant="default" onClick={() => setEditing({ machine: null })}>
                        {t('room.addAMachine')}
                    </Button>
                    <Button variant="default" onClick={() => setEditing({ foot: null })}>
                        {t('room.addAFoot')}
                    </Button>
                </span>
            </div>
            {r.lessons.length > 0 && (
                <details className={cx('short')} open={r.lessons.length <= FEW}>
                    <summary>
                        {r.lessons.length === 1 ? t('room.theRunningCourseIsShort') : t('room.theRunningCourseIsShortOf', { n: r.lessons.length })}
                    </summary>
                    <ul>
                        {r.lessons.map((l) => (
                            <li key={l.lesson + l.text} className={cx(l.kind)}>
                                <strong>{l.title}</strong> {l.text}
                            </li>
                        ))}
                    </ul>
                </details>
            )}
            {r.machines.length === 0 && <Empty>{t('room.noMachinesYetAddThe')}</Empty>}
            {shown === 'works' && r.machines.length > 0 && <WhatWorks room={r} />}
            {shown === 'machines' && <MachineTable room={r} zone={me.data?.timezone ?? 'UTC'} onEdit={(machine) => setEditing({ machine })} />}
            {shown === 'feet' && <FeetTable room={r} onEdit={(foot) => setEditing({ foot })} />}
            {r.machines.length > 0 && (
                <p className={cx('quiet')}>
                    {t('room.asATable')} <Anchor href="/api/room/table?of=machines">{t('room.tableMachines')}</Anchor>,{' '}
                    <Anchor href="/api/room/table?of=feet">{t('room.tableFeet')}</Anchor>
                </p>
            )}
            <Drawer
                opened={editing !== null}
                onClose={close}
                position="right"
                size="xl"
                title={
                    editing === null
                        ? ''
                        : 'machine' in editing
                          ? (editing.machine?.name ?? t('room.aNewMachine'))
                          : (editing.foot?.facts.name ?? t('room.aNewFoot'))
                }>
                {editing !== null && 'machine' in editing && (
                    <MachineForm key={editing.machine?.id ?? 'new'} room={r} machine={editing.machine} onDone={close} />
                )}
                {editing !== null && 'foot' in editing && (
                    <FootForm key={editing.foot?.id ?? 'new'} room={r} foot={editing.foot} kind={editing.kind} onDone={close} />
                )}
            </Drawer>
        </div>
    )
}
