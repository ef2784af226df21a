import { TextInput } from '@mantine/core'
import type { ReactNode } from 'react'
import type { View } from '../../api/client'
import { t, type Key } from '../../text/words'
import { Choice } from '../../ui/Choice'
import { NumberField } from '../../ui/NumberField'
import { cx } from './dress'
import { HoleSketch, type Shown } from './HoleSketch'

type Facts = View['MachineFacts']

interface Props {
    facts: Facts
    /** What can be looked at of one that sews them so. */
    asks: readonly string[]
    /** As typed. */
    longest: string
    step: string
    onChange: (facts: Facts) => void
    onLongest: (typed: string) => void
    onStep: (typed: string) => void
}

/** What can be seen in one test on scrap, or nobody has looked. */
const LOOKED = [
    ['buttonhole_straight_first', 'straight', 'room.holeStraight'],
    ['buttonhole_stops', 'stops', 'room.holeStops'],
    ['buttonhole_ties_off', 'ties', 'room.holeTies'],
    ['buttonhole_lever', 'lever', 'room.holeLever'],
    ['buttonhole_balance', 'balance', 'room.holeBalance'],
] as const satisfies readonly (readonly [keyof Facts, Shown, Key])[]

/** Questions about how a machine sews a buttonhole, each with what to look at. */
export function HoleQuestions({ facts, asks, longest, step, onChange, onLongest, onStep }: Props) {
    const set = (what: Partial<Facts>) => onChange({ ...facts, ...what })
    const asked = LOOKED.filter(([fact]) => asks.includes(fact.replace('buttonhole_', '')))
    return (
        <fieldset className={cx('hole-questions')}>
            <legend>{t('room.buttonhole')}</legend>
            <Choice
                label={t('room.holeWay')}
                value={facts.buttonhole}
                options={WAYS.map(([id, key]) => ({ id, title: t(key) }))}
                onChange={(b) => set({ buttonhole: b })}
            />
            {facts.buttonhole !== 'none' && (
                <>
                    <p className={cx('quiet wide')}>{t('room.holeSewOne')}</p>
                    <Asked shown="starts">
                        <Choice
                            label={t('room.holeStarts')}
                            value={facts.buttonhole_starts}
                            options={choices({ '': 'room.unknown', front: 'room.sideFront', back: 'room.sideBack' })}
                            onChange={(b) => set({ buttonhole_starts: b as Facts['buttonhole_starts'] })}
                        />
                    </Asked>
                    <Asked shown="first-side">
                        <Choice
                            label={t('room.holeFirstSide')}
                            value={facts.buttonhole_first_side}
                            options={choices({ '': 'room.unknown', left: 'common.left', right: 'common.right' })}
                            onChange={(b) => set({ buttonhole_first_side: b as Facts['buttonhole_first_side'] })}
                        />
                    </Asked>
                    {asked.map(([fact, shown, key]) => (
                        <Asked key={fact} shown={shown}>
                            <Choice
                                label={t(key)}
                                value={facts[fact] === null ? '' : facts[fact] ? 'yes' : 'no'}
                                options={choices({ '': 'room.unknown', yes: 'room.holeYes', no: 'room.holeNo' })}
                                onChange={(b) => set({ [fact]: b === '' ? null : b === 'yes' })}
                            />
                        </Asked>
                    ))}
                    <Asked shown="zone">
                        <TextInput
                            label={t('room.holeZone')}
                            className={cx('choice')}
                            value={facts.buttonhole_zone}
                            maxLength={30}
                            onChange={(e) => set({ buttonhole_zone: e.currentTarget.value })}
                        />
                        {facts.buttonhole_zone !== '' && (
                            <Choice
                                label={t('room.holeDenseEnd')}
                                value={facts.buttonhole_dense_end}
                                options={choices({ '': 'room.unknown', low: 'room.holeLow', high: 'room.holeHigh' })}
                                onChange={(b) => set({ buttonhole_dense_end: b as Facts['buttonhole_dense_end'] })}
                            />
                        )}
                    </Asked>
                    {asks.includes('marks') && (
                        <Asked shown="marks">
                            <TextInput
                                label={
                                    <>
                                        {t('room.holeMarks')} <small>{t('room.withCommasBetween')}</small>
                                    </>
                                }
                                className={cx('choice')}
                                value={facts.buttonhole_marks.join(', ')}
                                maxLength={120}
                                onChange={(e) =>
                                    set({
                                        buttonhole_marks: e.currentTarget.value
                                            .split(',')
                                            .map((mark) => mark.trimStart())
                                            .slice(0, 6),
                                    })
                                }
                                onBlur={() => set({ buttonhole_marks: facts.buttonhole_marks.map((mark) => mark.trim()).filter((mark) => mark !== '') })}
                            />
                        </Asked>
                    )}
                    <NumberField label={t('room.longestButtonhole')} value={longest} min={0} max={60} step={1} onChange={onLongest} slider={false} />
                    {facts.buttonhole === 'typed' && (
                        <NumberField label={t('room.holeStep')} value={step} min={0} max={10} step={0.5} onChange={onStep} slider={false} />
                    )}
                </>
            )}
        </fieldset>
    )
}

const WAYS = [
    ['none', 'common.none'],
    ['one-step', 'room.buttonholeOneStep'],
    ['one-step-sensing', 'room.buttonholeSensing'],
    ['four-step', 'room.buttonholeFourStep'],
    ['three-position', 'room.buttonholeThreePosition'],
    ['foot-tells', 'room.buttonholeFootTells'],
    ['typed', 'room.buttonholeTyped'],
] as const satisfies readonly (readonly [Facts['buttonhole'], Key])[]

/** How a machine sews a buttonhole, in words. */
export const wayName = (way: Facts['buttonhole']) => t(WAYS.find(([id]) => id === way)?.[1] ?? 'common.none')

const choices = (words: Record<string, Key>) => Object.entries(words).map(([id, key]) => ({ id, title: t(key) }))

/** A question beside the picture of what to look at. */
export function Asked({ shown, children }: { shown: Shown; children: ReactNode }) {
    return (
        <div className={cx('asked')}>
            <HoleSketch shown={shown} />
            <div>{children}</div>
        </div>
    )
}
