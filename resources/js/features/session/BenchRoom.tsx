import { Button, UnstyledButton } from '@mantine/core'
import type { DragEvent, ReactNode } from 'react'
import { useParams } from 'react-router'
import type { View } from '../../api/client'
import { useLessons } from '../../api/queries'
import { MiniDrawing } from '../../drawing/MiniDrawing'
import { t } from '../../text/words'
import { cx } from './dress'

type Seat = View['SeatView']

interface Props {
    bench: View['BenchView']
    /** Whose place is being chosen. */
    picked: string | null
    /** On a narrow screen what is said of them stands under them, where the finger is. */
    panel: ReactNode
    onPick: (student: string | null) => void
    onMove: (student: string, machine: string) => void
}

/** The room as it stands: a place for each machine, with who sews there and after whom; a student is dragged or touched, then the place. */
export function BenchRoom({ bench, picked, panel, onPick, onMove }: Props) {
    const lessons = useLessons(useParams().classId).data ?? []
    const drop = (machine: string) => ({
        onDragOver: (e: DragEvent) => e.preventDefault(),
        onDrop: (e: DragEvent) => {
            e.preventDefault()
            const student = e.dataTransfer.getData('text/plain')
            if (student !== '') onMove(student, machine)
        },
    })
    const card = (s: Seat) => (
        <UnstyledButton
            key={s.student}
            draggable
            className={cx(`seat-card${picked === s.student ? ' picked' : ''}${s.held !== null ? ' held' : ''}`)}
            aria-pressed={picked === s.student}
            onDragStart={(e) => {
                e.dataTransfer.setData('text/plain', s.student)
                e.dataTransfer.effectAllowed = 'move'
            }}
            onClick={() => onPick(picked === s.student ? null : s.student)}>
            <MiniDrawing lesson={lessons.find((l) => l.id === s.lesson)} size={44} />
            <span>
                <b>
                    {s.round > 1 && <small>{t('session.then')} </small>}
                    {s.name}
                    {s.held !== null && <small> · {t('session.held')}</small>}
                </b>
                <span className={cx('one')}>{s.title}</span>
                {(s.foot !== null || s.wanted !== null) && (
                    <small>
                        {s.foot !== null ? t('session.foot', { foot: s.foot }) : ''}
                        {s.foot !== null && s.wanted !== null ? ' · ' : ''}
                        {s.wanted !== null ? t('session.not', { lesson: s.wanted.replace(/:.*/, '') }) : ''}
                    </small>
                )}
            </span>
        </UnstyledButton>
    )
    const cards = (of: Seat[]) => of.flatMap((s) => [card(s), ...(s.student === picked && panel !== null ? [<div key="panel">{panel}</div>] : [])])
    const at = (machine: string | null) => bench.students.filter((s) => s.round > 0 && s.machine === machine).sort((a, b) => a.round - b.round)
    const table = at(null)
    return (
        <div className={cx('bench-room')} role="group" aria-label={t('session.theRoom')}>
            {bench.machines.map((m) => (
                <div key={m.id} className={cx('bench-place')} {...drop(m.id)}>
                    <div className={cx('bench-machine')}>
                        <strong>{m.title}</strong>
                        {picked !== null && (
                            <Button variant="subtle" onClick={() => onMove(picked, m.id)}>
                                {t('session.sitHere')}
                            </Button>
                        )}
                    </div>
                    {cards(at(m.id))}
                    {at(m.id).length === 0 && <p className={cx('quiet')}>{t('common.free')}</p>}
                </div>
            ))}
            {table.length > 0 && (
                <div className={cx('bench-place table')}>
                    <div className={cx('bench-machine')}>
                        <strong>{t('session.atTheTable')}</strong>
                    </div>
                    {cards(table)}
                </div>
            )}
        </div>
    )
}
