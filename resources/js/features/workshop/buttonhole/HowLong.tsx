import { Button } from '@mantine/core'
import type { View } from '../../../api/client'
import { length, type Unit } from '../../../text/lengths'
import { t } from '../../../text/words'
import { Choice } from '../../../ui/Choice'
import { cx } from '../dress'
import { Keep } from '../Keep'
import { ChainDrawing } from './ChainDrawing'
import { titled } from './fields'
import type { Buttonhole } from './useButtonhole'
import { PASSES, percent, SCHOOLS, TOLD, WAYS } from './words'

type Plan = View['ButtonholePlanView']

/** The chain of lengths, what is set on this machine, the schools beside each other, and which machine does it best. */
export function HowLong({ hole, plan, unit }: { hole: Buttonhole; plan: Plan; unit: Unit }) {
    const { job, machine } = hole.draft
    const across = job.diameter_mm ?? 0
    const l = plan.learned
    return (
        <div className={cx('job-panel')}>
            {plan.fits === false && <p className={cx('refused')}>{t('workshop.longerThanItCan')}</p>}
            {plan.passes !== 'passes' && <p className={cx('refused')}>{t('workshop.theButtonIs2', { how: t(PASSES[plan.passes]) })}</p>}
            {plan.estimated && <p className={cx('refused mild')}>{t('workshop.aDomeIsMeasured')}</p>}
            <p className={cx('quiet')}>
                {l.offset_u_mm === null
                    ? t('workshop.nothingLearned')
                    : t('workshop.learned', { n: l.sewn, offset: length(l.offset_mm, unit), u: length(2 * l.offset_u_mm, unit), bar: length(l.bar_mm, unit) })}
            </p>
            <ChainDrawing
                size={plan}
                across={across}
                through={job.shape === 'ball' ? across : (job.thickness_mm ?? 0)}
                shape={job.shape ?? 'flat'}
                unit={unit}
            />
            <Schools hole={hole} plan={plan} unit={unit} />
            <h2>{t('workshop.whichMachine')}</h2>
            <table className={cx('rows')}>
                <thead>
                    <tr>
                        <th>{t('workshop.machineOf')}</th>
                        <th>{t('workshop.sewsIt')}</th>
                        <th>{t('workshop.footOf')}</th>
                        <th>{t('workshop.soFar')}</th>
                    </tr>
                </thead>
                <tbody>
                    {(hole.seen?.machines ?? []).map((m) => (
                        <tr key={m.machine} className={cx(m.machine === machine ? 'next' : '')}>
                            <td>
                                <Button variant="subtle" aria-pressed={m.machine === machine} onClick={() => hole.change({ machine: m.machine, foot: null })}>
                                    {m.name}
                                </Button>
                            </td>
                            <td>
                                {t(WAYS[m.way] ?? 'workshop.byHand')}
                                {m.fits === false && <strong> · {t('workshop.tooShort')}</strong>}
                                {!m.kind && <strong> · {t('workshop.notThisKind')}</strong>}
                            </td>
                            <td>{m.foot_name ?? t('workshop.grooved')}</td>
                            <td className={cx('num')}>
                                {m.sewn === 0 ? t('workshop.noneYet') : t('workshop.goodOf', { chance: percent(m.success), n: m.sewn })}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
            <p className={cx('caution')}>{t('workshop.aTestOnTheSameStack')}</p>
            <Keep
                tool="size-buttonhole"
                text={t('workshop.buttonholeFor', {
                    across: length(across, unit),
                    told: plan.told_text,
                    opening: length(plan.opening_mm, unit),
                    finished: length(plan.finished_mm, unit),
                })}
            />
        </div>
    )
}

/** Every school's length beside what the button needs. */
function Schools({ hole, plan, unit }: { hole: Buttonhole; plan: Plan; unit: Unit }) {
    return (
        <>
            <div className={cx('job-row')}>
                <Choice
                    label={t('workshop.theLengthIsToldBy')}
                    value={hole.draft.job.told ?? ''}
                    options={[{ id: '' as const, title: t('workshop.asProposed', { what: t(TOLD[plan.told as keyof typeof TOLD]) }) }, ...titled(TOLD)]}
                    onChange={(told) => hole.set({ told: told === '' ? null : told })}
                />
                <Choice
                    label={t('workshop.school')}
                    value={hole.draft.job.school ?? ''}
                    options={[{ id: '' as const, title: t('workshop.theChain') }, ...titled(SCHOOLS)]}
                    onChange={(school) => hole.set({ school: school === '' ? null : school })}
                />
            </div>
            <table className={cx('rows')}>
                <thead>
                    <tr>
                        <th>{t('workshop.school')}</th>
                        <th>{t('workshop.finished')}</th>
                        <th>{t('workshop.opening')}</th>
                        <th>{t('workshop.theButton')}</th>
                    </tr>
                </thead>
                <tbody>
                    {plan.schools.map((s) => (
                        <tr key={s.id}>
                            <td>{t(SCHOOLS[s.id as keyof typeof SCHOOLS])}</td>
                            <td className={cx('num')}>{length(s.finished_mm, unit)}</td>
                            <td className={cx('num')}>{length(s.opening_mm, unit)}</td>
                            <td>{s.passes === 'passes' ? t(PASSES.passes) : <strong>{t(PASSES[s.passes])}</strong>}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </>
    )
}
