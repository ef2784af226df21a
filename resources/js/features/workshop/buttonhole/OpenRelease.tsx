import { Button } from '@mantine/core'
import { api, ask, type View } from '../../../api/client'
import { useChange } from '../../../api/queries'
import { t, type Key } from '../../../text/words'
import { Choice } from '../../../ui/Choice'
import { Trouble } from '../../../ui/Trouble'
import { cx } from '../dress'
import type { Buttonhole } from './useButtonhole'
import { different, percent } from './words'

const LINES: Record<string, Key> = {
    button: 'workshop.theButton',
    cloth: 'workshop.cloth',
    layers: 'workshop.layers',
    interfacing: 'workshop.interfacing',
    stabiliser: 'workshop.stabiliser',
    machine: 'workshop.machineOf',
    foot: 'workshop.footOf',
    way: 'workshop.sewsIt',
    start: 'workshop.startOf',
    kind: 'workshop.kindOf',
    set: 'workshop.setTo',
    opening: 'workshop.opening',
    finished: 'workshop.finished',
    density: 'workshop.density',
    width: 'workshop.widthOf',
    swings: 'workshop.swings',
    needle: 'workshop.needleOf',
    thread: 'workshop.threadOf',
}

/** How it is opened, by the school that is followed; how one is unpicked; and whether the next may be sewn on the garment. */
export function OpenRelease({ hole, opening }: { hole: Buttonhole; opening: View['OpeningView'] }) {
    const way = opening.ways.find((w) => w.id === hole.draft.job.opened_by) ?? opening.ways[0]
    const release = hole.seen?.release
    const let_ = useChange('workshop', async (overrule: boolean) => {
        hole.take(await ask(api.POST('/api/buttonholes/{buttonhole}/release', { params: { path: { buttonhole: hole.id } }, body: { overrule } })))
    })
    const recipe = hole.seen?.recipe
    return (
        <div className={cx('job-cols two')}>
            <div>
                <Choice label={t('workshop.openedWith')} value={way?.id ?? ''} options={opening.ways} onChange={(opened_by) => hole.set({ opened_by })} />
                <p className={cx('caution')}>{opening.caution}</p>
                <ol className={cx('open-acts')}>
                    {[...(way?.acts ?? []), ...opening.after].map((act) => (
                        <li key={act}>{act}</li>
                    ))}
                </ol>
                <details>
                    <summary>{t('workshop.mendIt')}</summary>
                    <ol className={cx('open-acts')}>
                        {opening.unpick.map((act) => (
                            <li key={act}>{act}</li>
                        ))}
                    </ol>
                </details>
            </div>
            {release !== undefined && (
                <div>
                    <p className={cx(release.allowed || release.released_at !== null ? 'big-verdict' : 'big-verdict close')}>
                        <strong>
                            {t(release.released_at !== null ? 'workshop.released' : release.allowed ? 'workshop.mayBeSewn' : 'workshop.notYetOnTheGarment')}
                        </strong>
                    </p>
                    <p>{t('workshop.metInARow', { n: release.in_a_row, of: release.needed })}</p>
                    <p>
                        {t('workshop.chanceOfNext', { next: percent(release.next) })}
                        {(hole.draft.job.count ?? 1) > 1 && ` ${t('workshop.chanceOfAll', { all: percent(release.all), n: hole.draft.job.count ?? 1 })}`}
                    </p>
                    {release.overruled && <p className={cx('quiet')}>{t('workshop.overruled')}</p>}
                    {release.released_at === null && (
                        <div className={cx('acts')}>
                            <Button size="lg" disabled={!release.allowed || let_.isPending} onClick={() => let_.mutate(false)}>
                                {t('workshop.keepTheRecipe')}
                            </Button>
                            {!release.allowed && (
                                <Button variant="default" size="lg" disabled={let_.isPending} onClick={() => let_.mutate(true)}>
                                    {t('workshop.allTheSame')}
                                </Button>
                            )}
                        </div>
                    )}
                    <Trouble error={let_.error} />
                    {recipe !== null && recipe !== undefined && (
                        <section className={cx('recipe')}>
                            <h2>{t('workshop.recipe')}</h2>
                            <dl>
                                {Object.entries(recipe).map(([name, value]) => (
                                    <div key={name}>
                                        <dt>{t(LINES[name] ?? 'workshop.theButton')}</dt>
                                        <dd>{value}</dd>
                                    </div>
                                ))}
                            </dl>
                            <Button component="a" variant="default" href={`/api/buttonholes/${hole.id}/print?what=recipe`} target="_blank">
                                {t('workshop.printTheRecipe')}
                            </Button>
                        </section>
                    )}
                    {(hole.seen?.recipes ?? []).map((r) => (
                        <p key={r.job} className={cx('other-school')}>
                            {r.not_the_same.length === 0
                                ? t('workshop.recipeFits', { title: r.title })
                                : t('workshop.recipeNearly', { title: r.title, what: different(r.not_the_same) })}{' '}
                            <Button variant="default" onClick={() => hole.open(r.job)}>
                                {t('workshop.openIt')}
                            </Button>
                        </p>
                    ))}
                </div>
            )}
        </div>
    )
}
