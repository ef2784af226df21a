import { Button, Checkbox, SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import type { View } from '../../../api/client'
import { t, type Key } from '../../../text/words'
import { Choice } from '../../../ui/Choice'
import { cx } from '../dress'
import { titled } from './fields'
import { HoleDrawing } from './HoleDrawing'
import type { Buttonhole } from './useButtonhole'
import { DIRECTIONS, KINDS, sewn, UNDER } from './words'

/** What it will be: kind, direction and what is under it, with the reasons, the refusals and the other school. */
export function Kind({ hole, plan }: { hole: Buttonhole; plan: View['ButtonholePlanView'] }) {
    const { job } = hole.draft
    const [beneath, setBeneath] = useState(false)
    const named = (id: string) => t(KINDS[id as keyof typeof KINDS])
    return (
        <div className={cx('job-cols two')}>
            <div>
                <p className={cx('big-verdict')}>
                    <strong>{named(plan.kind)}</strong> {t(DIRECTIONS[plan.direction])}
                </p>
                <ul className={cx('why')}>
                    {plan.why.map((why) => (
                        <li key={why}>{why}</li>
                    ))}
                </ul>
                {plan.refused.map((r) => (
                    <p key={r.kind} className={cx('refused mild')}>
                        <strong>{named(r.kind)}</strong> {r.why}
                    </p>
                ))}
                {plan.also !== null && (
                    <p className={cx('other-school')}>
                        {t('workshop.otherSchool', { direction: t(DIRECTIONS[plan.also as keyof typeof DIRECTIONS]) })}{' '}
                        <Button variant="default" onClick={() => hole.set({ direction: plan.also as keyof typeof DIRECTIONS })}>
                            {t('workshop.takeIt')}
                        </Button>
                    </p>
                )}
                <div className={cx('job-row')}>
                    <Choice
                        label={t('workshop.kindOf')}
                        value={job.kind ?? ''}
                        options={[{ id: '' as const, title: t('workshop.asProposed', { what: named(plan.proposed_kind) }) }, ...titled(KINDS)]}
                        onChange={(kind) => hole.set({ kind: kind === '' ? null : kind })}
                    />
                    <Choice
                        label={t('workshop.itLies')}
                        value={job.direction ?? ''}
                        options={[{ id: '' as const, title: t('workshop.asProposed', { what: '' }) }, ...titled(DIRECTIONS)]}
                        onChange={(direction) => hole.set({ direction: direction === '' ? null : direction })}
                    />
                </div>
                <fieldset className={cx('job-part')}>
                    <legend>{t('workshop.stabiliser')}</legend>
                    {Object.entries(UNDER).map(([id, key]: [string, Key]) => (
                        <Checkbox
                            key={id}
                            label={t(key)}
                            checked={plan.stabiliser.includes(id)}
                            onChange={(e) =>
                                hole.set({ stabiliser: e.currentTarget.checked ? [...plan.stabiliser, id] : plan.stabiliser.filter((s) => s !== id) })
                            }
                        />
                    ))}
                </fieldset>
            </div>
            <div>
                <SegmentedControl
                    value={beneath ? 'beneath' : 'above'}
                    onChange={(face) => setBeneath(face === 'beneath')}
                    data={[
                        { value: 'above', label: t('workshop.fromAbove') },
                        { value: 'beneath', label: t('workshop.fromBeneath') },
                    ]}
                />
                <HoleDrawing plan={plan} upTo={sewn(plan).points.length} foot={false} high={420} beneath={beneath} name={t('workshop.theHoleAsItIsSewn')} />
            </div>
        </div>
    )
}
