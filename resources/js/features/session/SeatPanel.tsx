import { Button, UnstyledButton } from '@mantine/core'
import type { View } from '../../api/client'
import { t } from '../../text/words'
import { cx } from './dress'
import { STATES, STATE_WORDS } from './states'

type Seat = View['SeatView']

/** Whether a student is there: four keys. */
export function StateKeys({ seat, onState, busy }: { seat: Pick<Seat, 'name' | 'state'>; onState: (state: Seat['state']) => void; busy: boolean }) {
    return (
        <span className={cx('state-keys')} role="group" aria-label={t('common.isThere', { name: seat.name })}>
            {STATES.map((s) => (
                <UnstyledButton key={s} aria-pressed={seat.state === s} disabled={busy} onClick={() => onState(s)}>
                    {t(STATE_WORDS[s])}
                </UnstyledButton>
            ))}
        </span>
    )
}

interface Props {
    seat: Seat
    busy: boolean
    onState: (state: Seat['state']) => void
    onLesson: (lesson: string) => void
    onFree: () => void
}

/** One student: what they sew and why not what comes first; other lessons; where they are. */
export function SeatPanel({ seat, busy, onState, onLesson, onFree }: Props) {
    return (
        <section className={cx('seat-panel')} aria-live="polite">
            <h2>{seat.name}</h2>
            <StateKeys seat={seat} onState={onState} busy={busy} />
            {seat.round === 0 ? (
                <p>{seat.state === 'here' ? (seat.why ?? t('session.noPlaceForInThis', { name: seat.name })) : t('session.sewsNothingNow')}</p>
            ) : (
                <p>
                    <strong>{seat.title}</strong>
                    {seat.round > 1 && <> · {t('common.round', { n: seat.round })}</>}
                    {seat.change !== '' && (
                        <>
                            <br />
                            {seat.change}
                        </>
                    )}
                </p>
            )}
            {seat.round > 0 && seat.why !== null && (
                <p className={cx('why')}>
                    {seat.why}
                    {seat.cost !== null && seat.cost > 0 && <> {t('session.itWouldCostTheOthers', { n: seat.cost })}</>}
                </p>
            )}
            {seat.choices.length > 0 && (
                <div className={cx('seat-choices')} role="group" aria-label={t('session.whatSews', { name: seat.name })}>
                    {seat.choices.map((c, i) => (
                        <UnstyledButton key={c.id} aria-pressed={c.id === seat.lesson} disabled={busy} onClick={() => onLesson(c.id)}>
                            {c.title}
                            {i === 0 && <small> {t('session.firstChoice')}</small>}
                        </UnstyledButton>
                    ))}
                </div>
            )}
            {seat.held !== null && (
                <Button variant="default" disabled={busy} onClick={onFree}>
                    {t('session.holdNoLonger', { name: seat.name })}
                </Button>
            )}
            <p className={cx('quiet')}>{t('session.toMoveDragOrTouch')}</p>
        </section>
    )
}
