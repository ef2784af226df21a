import { Checkbox, TextInput } from '@mantine/core'
import { useLocalStorage } from '@mantine/hooks'
import { useState } from 'react'
import { useCompute } from '../../api/compute'
import { Drawn } from '../../drawing/Drawn'
import { t } from '../../text/words'
import { Empty } from '../../ui/Empty'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'
import { hours, MOST, numberIn, numbersOf, WORTH_WORDS, type Worth } from './footWorth'
import { Keep } from './Keep'
import type { ToolProps } from './tool'

/** From what a person wants to sew: which feet they need, what those that only help are worth, which to leave, what is there. */
export function FeetTool({ room }: ToolProps) {
    const [wants, setWants] = useState<string[]>(['seams', 'zips'])
    const [times, setTimes] = useState<Record<string, string>>({})
    // What feet cost does not change from one person to the next.
    const [prices, setPrices] = useLocalStorage<Record<string, string>>({ key: 'seam-foot-prices', defaultValue: {} })
    const [worth, setWorth] = useLocalStorage({ key: 'seam-hour-worth', defaultValue: '' })
    const have: Record<string, number> = {}
    for (const { facts } of room.feet) have[facts.kind] = (have[facts.kind] ?? 0) + facts.count
    const paid: Record<string, string> = {}
    for (const { facts } of room.feet) if (facts.price !== null) paid[facts.kind] = String(facts.price)
    const known = { ...paid, ...prices }
    const answer = useCompute(
        '/api/compute/advise-feet',
        wants.length === 0
            ? null
            : {
                  wants: wants as ['zips'],
                  have,
                  prices: numbersOf(
                      known,
                      room.kinds.map((k) => k.id),
                      MOST.price,
                  ),
                  times_a_year: numbersOf(times, wants, MOST.times),
                  hour_worth: numberIn(worth, MOST.price),
              },
    )
    const a = answer.error === null && wants.length > 0 ? answer.data : undefined
    const toggle = (id: string) => setWants(wants.includes(id) ? wants.filter((w) => w !== id) : [...wants, id])
    const drawn = (kind: string) => {
        const picture = room.kinds.find((k) => k.id === kind)?.picture
        return picture === undefined ? null : <Drawn picture={picture} />
    }
    const there = (n: number) => (n === 0 ? <strong className={cx('lacking')}>{t('workshop.notHere')}</strong> : t('workshop.here', { n }))
    /** What is typed and no number that can be is said beside it, and left out of the weighing. */
    const wrong = (typed: string, most: number) => (typed.trim() !== '' && numberIn(typed, most) === null ? t('workshop.fromNothingTo', { most }) : null)
    const price = (f: { kind: string; title: string }) => (
        <TextInput
            className={cx('foot-price')}
            inputMode="decimal"
            maxLength={9}
            label={t('workshop.price')}
            aria-label={t('workshop.priceOf', { foot: f.title })}
            value={known[f.kind] ?? ''}
            error={wrong(known[f.kind] ?? '', MOST.price)}
            onChange={(e) => setPrices({ ...prices, [f.kind]: e.currentTarget.value })}
        />
    )
    const saved = (minutes: number) => {
        const of = hours(minutes)
        return of.h === 0 ? t('workshop.savesMinutes', { min: of.min }) : t('workshop.savesAYear', of)
    }
    const saves = (f: { minutes_a_year: number; price_per_hour: number | null; pays_after_years: number | null; verdict: Worth }) => (
        <small>
            {saved(f.minutes_a_year)}
            {f.price_per_hour !== null && ` · ${t('workshop.anHourSavedCosts', { price: f.price_per_hour })}`}{' '}
            <span className={cx(`worth ${f.verdict}`)}>{t(WORTH_WORDS[f.verdict], { years: Math.round((f.pays_after_years ?? 0) * 10) / 10 })}</span>
        </small>
    )
    return (
        <div className={cx('tool-cols')}>
            <div className={cx('tool-form')}>
                <fieldset className={cx('wants')}>
                    <legend>{t('workshop.whatDoTheyWantTo')}</legend>
                    {room.wants.map((w) => (
                        <div key={w.id} className={cx('want')}>
                            <Checkbox label={w.title} checked={wants.includes(w.id)} onChange={() => toggle(w.id)} />
                            {wants.includes(w.id) && (
                                <TextInput
                                    inputMode="numeric"
                                    maxLength={5}
                                    placeholder="12"
                                    rightSection={<small aria-hidden>{t('workshop.aYear')}</small>}
                                    rightSectionWidth={64}
                                    aria-label={t('workshop.timesAYear', { what: w.title })}
                                    value={times[w.id] ?? ''}
                                    error={wrong(times[w.id] ?? '', MOST.times)}
                                    onChange={(e) => setTimes({ ...times, [w.id]: e.currentTarget.value })}
                                />
                            )}
                        </div>
                    ))}
                </fieldset>
            </div>
            <div className={cx('tool-answer')}>
                <Trouble error={answer.error} />
                {wants.length === 0 && <Empty>{t('workshop.tickWhatTheyWantTo')}</Empty>}
                {a !== undefined && (
                    <>
                        <h2>{t('common.needed')}</h2>
                        <ul className={cx('feet-list')}>
                            {a.need.map((f) => (
                                <li key={f.kind}>
                                    {drawn(f.kind)}
                                    <div>
                                        <strong>{f.title}</strong> · {there(f.have)}
                                        <small>{f.why}</small>
                                    </div>
                                    {f.have === 0 && price(f)}
                                </li>
                            ))}
                        </ul>
                        {a.price_of_need !== null && a.price_of_need > 0 && <p>{t('workshop.neededCosts', { price: a.price_of_need })}</p>}
                        {a.helps.length > 0 && (
                            <>
                                <div className={cx('helps-head')}>
                                    <h2>{t('workshop.helpsLater')}</h2>
                                    <TextInput
                                        inputMode="decimal"
                                        maxLength={9}
                                        label={t('workshop.anHourIsWorth')}
                                        placeholder={t('workshop.inWhatYouPayIn')}
                                        value={worth}
                                        error={wrong(worth, MOST.price)}
                                        onChange={(e) => setWorth(e.currentTarget.value)}
                                    />
                                </div>
                                <ul className={cx('feet-list')}>
                                    {a.helps.map((f) => (
                                        <li key={f.kind}>
                                            {drawn(f.kind)}
                                            <div>
                                                <strong>{f.title}</strong> · {there(f.have)}
                                                <small>{room.kinds.find((k) => k.id === f.kind)?.about}</small>
                                                {saves(f)}
                                            </div>
                                            {f.have === 0 && price(f)}
                                        </li>
                                    ))}
                                </ul>
                            </>
                        )}
                        {a.needles.length > 0 && <p>{t('workshop.moreThanAFootThe', { list: a.needles.join(', ') })}</p>}
                        <p className={cx('quiet')}>{t('workshop.leaveForNow', { list: a.leave.map((f) => f.title).join(', ') })}</p>
                    </>
                )}
                <Keep
                    tool="advise-feet"
                    text={
                        a === undefined
                            ? null
                            : t('workshop.feetNeeded', {
                                  need: a.need.map((f) => f.title).join(', '),
                                  lack: a.need.some((f) => f.have === 0)
                                      ? t('workshop.toGet', {
                                            list: a.need
                                                .filter((f) => f.have === 0)
                                                .map((f) => f.title)
                                                .join(', '),
                                        })
                                      : t('workshop.allAreHere'),
                              })
                    }
                />
            </div>
        </div>
    )
}
