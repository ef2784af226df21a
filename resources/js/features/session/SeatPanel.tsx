import { Button, UnstyledButton } from '@mantine/core'
import type { View } from '../../api/client'
import { t } from '../../app/text'

type Seat = View['SeatView']

const STATES = ['here', 'late', 'absent', 'left'] as const
const WORDS = { here: 'here', late: 'late', absent: 'absent', left: 'has left' } as const

/** Whether a student is there: four keys. */
export function StateKeys({ seat, onState, busy }: { seat: Pick<Seat, 'name' | 'state'>; onState: (state: Seat['state']) => void; busy: boolean }) {
    return (
        <span className="state-keys" role="group" aria-label={t('Is {name} there?', { name: seat.name })}>
            {STATES.map((s) => (
                <UnstyledButton key={s} aria-pressed={seat.state === s} disabled={busy} onClick={() => onState(s)}>
                    {t(WORDS[s])}
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
        <section className="seat-panel" aria-live="polite">
            <h2>{seat.name}</h2>
            <StateKeys seat={seat} onState={onState} busy={busy} />
            {seat.round === 0 ? (
                <p>{seat.state === 'here' ? (seat.why ?? t('No place for {name} in this session.', { name: seat.name })) : t('Sews nothing now.')}</p>
            ) : (
                <p>
                    <strong>{seat.title}</strong>
                    {seat.round > 1 && <> · {t('round {n}', { n: seat.round })}</>}
                    {seat.change !== '' && (
                        <>
                            <br />
                            {seat.change}
                        </>
                    )}
                </p>
            )}
            {seat.round > 0 && seat.why !== null && (
                <p className="why">
                    {seat.why}
                    {seat.cost !== null && seat.cost > 0 && <> {t('It would cost the others {n} of a first choice.', { n: seat.cost })}</>}
                </p>
            )}
            {seat.choices.length > 0 && (
                <div className="seat-choices" role="group" aria-label={t('What {name} sews', { name: seat.name })}>
                    {seat.choices.map((c, i) => (
                        <UnstyledButton key={c.id} aria-pressed={c.id === seat.lesson} disabled={busy} onClick={() => onLesson(c.id)}>
                            {c.title}
                            {i === 0 && <small> {t('first choice')}</small>}
                        </UnstyledButton>
                    ))}
                </div>
            )}
            {seat.held !== null && (
                <Button variant="default" disabled={busy} onClick={onFree}>
                    {t('Hold {name} no longer', { name: seat.name })}
                </Button>
            )}
            <p className="quiet">{t('To move: drag, or touch “sit here” at a machine.')}</p>
        </section>
    )
}
