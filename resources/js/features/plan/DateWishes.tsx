import { Button, NativeSelect, TextInput, UnstyledButton } from '@mantine/core'
import { useState } from 'react'
import { firstWeekday } from '../../text/time'
import { t } from '../../text/words'
import { cx } from './dress'
import { Whole, weekdays } from './fields'
import type { Wishes } from './usePlanning'

export type Dates = Pick<Wishes, 'starts_on' | 'time' | 'sessions' | 'minutes' | 'closed' | 'weekdays' | 'every_weeks' | 'made_up' | 'lengths'>

interface Props {
    wishes: Dates
    wrong: Record<string, string>
    onChange: (change: Partial<Dates>) => void
    /** Days of the sessions there are, in the studio's own zone, if any: to say which is made up. */
    days?: string[]
}

const without = <T,>(of: Record<string, T>, key: string): Record<string, T> => Object.fromEntries(Object.entries(of).filter(([k]) => k !== key))

/** The seven days, 1 Monday to 7 Sunday, from the one a week begins with. */
const weekFrom = (first: number) => [0, 1, 2, 3, 4, 5, 6].map((n) => ((first - 1 + n) % 7) + 1)

/** The weekly rule, days without a class, make-up dates, and sessions that are longer or shorter. */
export function DateWishes({ wishes, wrong, onChange, days = [] }: Props) {
    const names = weekdays()
    const first = ((new Date(`${wishes.starts_on}T12:00:00Z`).getUTCDay() + 6) % 7) + 1
    const chosen = wishes.weekdays.length > 0 ? wishes.weekdays : [first]
    const toggle = (d: number) => {
        const next = chosen.includes(d) ? chosen.filter((x) => x !== d) : [...chosen, d].sort((a, b) => a - b)
        if (next.length > 0) onChange({ weekdays: next })
    }
    return (
        <>
            <div className={cx('wish-grid')}>
                <TextInput
                    label={t('plan.firstSession')}
                    type="date"
                    value={wishes.starts_on}
                    error={wrong.starts_on}
                    onChange={(e) => onChange({ starts_on: e.currentTarget.value })}
                />
                <TextInput
                    label={t('plan.at')}
                    type="time"
                    value={wishes.time}
                    error={wrong.time}
                    onChange={(e) => onChange({ time: e.currentTarget.value })}
                />
                <Whole
                    label={t('plan.sessions')}
                    min={1}
                    max={60}
                    value={wishes.sessions}
                    wrong={wrong.sessions}
                    onChange={(sessions) => onChange({ sessions })}
                />
                <Whole
                    label={t('plan.minutesEach')}
                    min={30}
                    max={600}
                    step={15}
                    value={wishes.minutes}
                    wrong={wrong.minutes}
                    onChange={(minutes) => onChange({ minutes })}
                />
            </div>
            <fieldset className={cx('weekdays')}>
                <legend>{t('plan.everyWeeksOn', { n: wishes.every_weeks })}</legend>
                {weekFrom(firstWeekday()).map((d) => (
                    <UnstyledButton key={d} aria-pressed={chosen.includes(d)} onClick={() => toggle(d)}>
                        {names[d - 1]}
                    </UnstyledButton>
                ))}
                <span className={cx('weeks')}>
                    {[1, 2, 3, 4].map((n) => (
                        <UnstyledButton
                            key={n}
                            aria-pressed={wishes.every_weeks === n}
                            aria-label={t('plan.everyWeeks', { n })}
                            onClick={() => onChange({ every_weeks: n })}>
                            {t('plan.weeks', { n })}
                        </UnstyledButton>
                    ))}
                </span>
            </fieldset>
            <Closed closed={wishes.closed} wrong={wrong.closed} onChange={(closed) => onChange({ closed })} />
            {(days.length > 0 || Object.keys(wishes.made_up).length > 0) && (
                <MadeUp
                    made={wishes.made_up}
                    days={days}
                    time={wishes.time}
                    wrong={Object.entries(wrong).find(([k]) => k.startsWith('made_up'))?.[1]}
                    onChange={(made_up) => onChange({ made_up })}
                />
            )}
            <Lengths lengths={wishes.lengths} sessions={wishes.sessions} usual={wishes.minutes} onChange={(lengths) => onChange({ lengths })} />
        </>
    )
}

/** Days without a class: the sessions from there on move to the next day of the rule. */
function Closed({ closed, wrong, onChange }: { closed: string[]; wrong: string | undefined; onChange: (closed: string[]) => void }) {
    const [day, setDay] = useState('')
    return (
        <div className={cx('closed')}>
            <TextInput label={t('plan.noClassOn')} type="date" value={day} onChange={(e) => setDay(e.currentTarget.value)} />
            <Button
                variant="default"
                disabled={day === ''}
                onClick={() => {
                    onChange([...new Set([...closed, day])].sort())
                    setDay('')
                }}>
                {t('plan.leaveThatDayOut')}
            </Button>
            {closed.map((d) => (
                <span key={d} className={cx('chip')}>
                    {d}{' '}
                    <Button variant="subtle" aria-label={t('plan.thereIsAClassOn', { day: d })} onClick={() => onChange(closed.filter((x) => x !== d))}>
                        ×
                    </Button>
                </span>
            ))}
            {wrong !== undefined && <span className={cx('short')}>{wrong}</span>}
        </div>
    )
}

function MadeUp({
    made,
    days,
    time,
    wrong,
    onChange,
}: {
    made: Record<string, string>
    days: string[]
    time: string
    wrong: string | undefined
    onChange: (made: Record<string, string>) => void
}) {
    const [of, setOf] = useState('')
    const [at, setAt] = useState('')
    const known = [...new Set(days)].filter((d) => !Object.values(made).some((m) => m.startsWith(d)))
    return (
        <div className={cx('closed')}>
            <NativeSelect
                label={t('plan.insteadOf')}
                value={of}
                onChange={(e) => {
                    setOf(e.currentTarget.value)
                    setAt(e.currentTarget.value === '' ? '' : `${e.currentTarget.value}T${time}`)
                }}>
                <option value="">{t('plan.chooseASession')}</option>
                {known.map((d) => (
                    <option key={d}>{d}</option>
                ))}
            </NativeSelect>
            <TextInput label={t('plan.madeUpOn')} type="datetime-local" value={at} onChange={(e) => setAt(e.currentTarget.value)} />
            <Button
                variant="default"
                disabled={of === '' || at === ''}
                onClick={() => {
                    onChange({ ...made, [of]: at.replace('T', ' ').slice(0, 16) })
                    setOf('')
                    setAt('')
                }}>
                {t('plan.moveThatSession')}
            </Button>
            {Object.entries(made).map(([d, m]) => (
                <span key={d} className={cx('chip')}>
                    {d} → {m}{' '}
                    <Button variant="subtle" aria-label={t('plan.theSessionOnStays', { day: d })} onClick={() => onChange(without(made, d))}>
                        ×
                    </Button>
                </span>
            ))}
            {wrong !== undefined && <span className={cx('short')}>{wrong}</span>}
        </div>
    )
}

function Lengths({
    lengths,
    sessions,
    usual,
    onChange,
}: {
    lengths: Record<string, number>
    sessions: number
    usual: number
    onChange: (lengths: Record<string, number>) => void
}) {
    const [session, setSession] = useState('')
    return (
        <div className={cx('closed')}>
            <NativeSelect
                label={t('plan.longerOrShorter')}
                value={session}
                onChange={(e) => {
                    setSession('')
                    onChange({ ...lengths, [e.currentTarget.value]: lengths[e.currentTarget.value] ?? usual })
                }}>
                <option value="">{t('plan.chooseASession')}</option>
                {Array.from({ length: sessions }, (_, i) => String(i + 1))
                    .filter((n) => lengths[n] === undefined)
                    .map((n) => (
                        <option key={n} value={n}>
                            {t('common.session', { n })}
                        </option>
                    ))}
            </NativeSelect>
            {Object.entries(lengths).map(([n, minutes]) => (
                <span key={n} className={cx('chip')}>
                    {t('common.session', { n })}{' '}
                    <TextInput
                        classNames={{ input: cx('amount') }}
                        type="number"
                        min={30}
                        max={600}
                        step={15}
                        aria-label={t('plan.minutesOfSession', { n })}
                        value={minutes}
                        onChange={(e) => onChange({ ...lengths, [n]: Number(e.currentTarget.value) })}
                    />{' '}
                    {t('plan.min')}{' '}
                    <Button variant="subtle" aria-label={t('plan.sessionAsLongAsThe', { n })} onClick={() => onChange(without(lengths, n))}>
                        ×
                    </Button>
                </span>
            ))}
        </div>
    )
}
