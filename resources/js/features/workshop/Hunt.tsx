import { Button } from '@mantine/core'
import { api, ask, type View } from '../../api/client'
import { useChange } from '../../api/queries'
import { Drawn } from '../../drawing/Drawn'
import { t } from '../../text/words'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'

interface Props {
    hunt: View['HuntView']
    faults: View['FaultLookView'][]
    machine: string | null
    onAgain: () => void
}

const RESULTS = { cured: 'workshop.thatWasIt', same: 'workshop.stillTheSame', worse: 'workshop.worsePutBack' } as const

/** One change at a time: what to try now, what was tried, and what it was in the end. */
export function Hunt({ hunt: h, faults, machine, onAgain }: Props) {
    const answer = useChange('workshop', (result: keyof typeof RESULTS) =>
        ask(api.POST('/api/hunts/{hunt}/trials', { params: { path: { hunt: h.id } }, body: { after: h.trials, cause: h.next ?? '', result } })),
    )
    const next = h.causes.find((c) => c.id === h.next)
    const found = h.causes.find((c) => c.id === h.found)
    const tried = h.causes.filter((c) => c.result !== null)
    const open = h.causes.filter((c) => c.result === null)
    return (
        <div className={cx('hunt')}>
            <p className={cx('hunt-seen')}>
                {h.seen.map((s) => s.title).join(', ')}
                {machine !== null && <> · {machine}</>}
            </p>
            <div className={cx('hunt-looks')}>
                {faults
                    .filter((f) => h.seen.some((s) => s.id === f.id))
                    .map((f) => (f.picture === null ? null : <Drawn key={f.id} picture={f.picture} name={f.seen} />))}
            </div>
            {next !== undefined && (
                <section className={cx('hunt-next')} aria-live="polite">
                    <small>{t('workshop.tryNowAndNothingElse')}</small>
                    <h2>{next.do}</h2>
                    <p>{t('workshop.likelyMinSewARow', { cause: next.title, chance: Math.round(next.chance * 100), minutes: next.minutes })}</p>
                    {next.do.startsWith('Power off') || next.do.includes('power off') ? (
                        <p className={cx('caution-line')}>{t('workshop.theMachinesManualDecidesBroken')}</p>
                    ) : null}
                    <div className={cx('acts')}>
                        <Button size="lg" disabled={answer.isPending} onClick={() => answer.mutate('cured')}>
                            {t('workshop.thatWasIt2')}
                        </Button>
                        <Button variant="default" size="lg" disabled={answer.isPending} onClick={() => answer.mutate('same')}>
                            {t('workshop.stillTheSame2')}
                        </Button>
                        <Button variant="default" size="lg" disabled={answer.isPending} onClick={() => answer.mutate('worse')}>
                            {t('workshop.worseIPutItBack')}
                        </Button>
                    </div>
                </section>
            )}
            {found !== undefined && (
                <section className={cx('hunt-next found')} role="status">
                    <small>{t('workshop.found')}</small>
                    <h2>{found.title}</h2>
                    <p>{t('workshop.notedTheNextSearchIn')}</p>
                </section>
            )}
            {h.closed && found === undefined && (
                <section className={cx('hunt-next found')} role="status">
                    <small>{t('workshop.noneOfThese')}</small>
                    <h2>{t('workshop.setEverythingBackToIts')}</h2>
                    <p>{t('workshop.seatTheStudentAtAnother')}</p>
                </section>
            )}
            <Trouble error={answer.error} />
            {tried.length > 0 && (
                <>
                    <h3>{t('workshop.tried')}</h3>
                    <ol className={cx('hunt-causes')}>
                        {tried.map((c) => (
                            <li key={c.id}>
                                <span>{c.do}</span>
                                <strong>{c.result === null ? '' : t(RESULTS[c.result])}</strong>
                            </li>
                        ))}
                    </ol>
                </>
            )}
            {open.length > 0 && !h.closed && (
                <>
                    <h3>{t('workshop.thenInThisOrderAbout', { n: Math.max(1, Math.round(h.expected_minutes)) })}</h3>
                    <ol className={cx('hunt-causes')}>
                        {open
                            .filter((c) => c.id !== h.next)
                            .map((c) => (
                                <li key={c.id}>
                                    <span>{c.title}</span>
                                    <span className={cx('chance')}>
                                        <span className={cx('chance-bar')} style={{ width: `${Math.max(2, Math.round(c.chance * 90))}px` }} />
                                        {t('common.sign', { n: Math.round(c.chance * 100) })} · {t('common.min', { n: c.minutes })}
                                    </span>
                                </li>
                            ))}
                    </ol>
                </>
            )}
            <p>
                <Button variant="default" onClick={onAgain}>
                    {t('workshop.lookForSomethingElse')}
                </Button>
            </p>
        </div>
    )
}
