import { Button } from '@mantine/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { api, ask, type View } from '../../api/client'
import { useChange } from '../../api/queries'
import { t } from '../../text/words'
import { Empty } from '../../ui/Empty'
import { Trouble } from '../../ui/Trouble'
import { DeleteClass } from './DeleteClass'
import { cx } from './dress'

/** Classes in use, put away and deleted; students who were deleted. Everything can be brought back for thirty days. */
export function StudioClasses({ s }: { s: View['StudioView'] }) {
    const [gone, setGone] = useState<View['StudioClassView'] | null>(null)
    const path = (id: string) => ({ params: { path: { class: id } } })
    const put = useChange('people', (id: string) => ask(api.POST('/api/classes/{class}/archive', path(id))))
    const take = useChange('people', (id: string) => ask(api.DELETE('/api/classes/{class}/archive', path(id))))
    const back = useChange('people', (id: string) => ask(api.POST('/api/classes/{class}/restore', path(id))))
    const share = useChange('people', (of: { id: string; shared: boolean }) =>
        ask(api.PATCH('/api/classes/{class}', { ...path(of.id), body: { shared: of.shared } })),
    )
    const restore = useChange('people', (id: string) => ask(api.POST('/api/students/{student}/restore', { params: { path: { student: id } } })))
    const rows = [
        { title: t('studio.classes'), list: s.classes.filter((c) => c.deleted_at === null && c.archived_at === null) },
        { title: t('common.putAway'), list: s.classes.filter((c) => c.deleted_at === null && c.archived_at !== null) },
        { title: t('studio.deleted'), list: s.classes.filter((c) => c.deleted_at !== null) },
    ]
    return (
        <>
            {rows
                .filter((r, i) => i === 0 || r.list.length > 0)
                .map((r) => (
                    <section key={r.title}>
                        <h2>{r.title}</h2>
                        {r.list.length === 0 && (
                            <Empty>
                                {t('studio.noClassYet')} <Link to="/start">{t('common.planAClass')}</Link>
                            </Empty>
                        )}
                        <ul className={cx('plain people')}>
                            {r.list.map((c) => (
                                <li key={c.id}>
                                    <span>
                                        {c.deleted_at === null ? (
                                            <Link to={`/class/${c.id}`}>
                                                <b>{c.name}</b>
                                            </Link>
                                        ) : (
                                            <b>{c.name}</b>
                                        )}
                                        <small>
                                            {t('studio.students', { n: c.students })}
                                            {c.ended_on !== null && ` · ${t('studio.until', { day: c.ended_on })}`}
                                            {!c.shared && ` · ${t('studio.notShared')}`}
                                            {c.gone_on !== null && ` · ${t('studio.goneForGoodOn', { day: c.gone_on })}`}
                                        </small>
                                    </span>
                                    {c.deleted_at !== null ? (
                                        <Button variant="subtle" onClick={() => back.mutate(c.id)}>
                                            {t('studio.bringItBack')}
                                        </Button>
                                    ) : (
                                        <>
                                            <Button variant="subtle" onClick={() => share.mutate({ id: c.id, shared: !c.shared })}>
                                                {c.shared ? t('studio.shareNoMore') : t('studio.share')}
                                            </Button>
                                            {c.archived_at === null ? (
                                                <Button variant="subtle" onClick={() => put.mutate(c.id)}>
                                                    {t('studio.putAway')}
                                                </Button>
                                            ) : (
                                                <Button variant="subtle" onClick={() => take.mutate(c.id)}>
                                                    {t('studio.takeOutAgain')}
                                                </Button>
                                            )}
                                            <Button variant="subtle" onClick={() => setGone(c)}>
                                                {t('studio.delete')}
                                            </Button>
                                        </>
                                    )}
                                </li>
                            ))}
                        </ul>
                    </section>
                ))}
            {s.gone.length > 0 && (
                <section>
                    <h2>{t('studio.deletedStudents')}</h2>
                    <ul className={cx('plain people')}>
                        {s.gone.map((g) => (
                            <li key={g.id}>
                                <span>
                                    <b>{g.name}</b>
                                    <small>
                                        {t('common.samples', { n: g.samples })} · {t('studio.goneForGoodOn', { day: g.gone_on })}
                                    </small>
                                </span>
                                <Button variant="subtle" onClick={() => restore.mutate(g.id)}>
                                    {t('studio.bringBack')}
                                </Button>
                            </li>
                        ))}
                    </ul>
                </section>
            )}
            <Trouble error={put.error ?? take.error ?? back.error ?? share.error ?? restore.error} />
            <DeleteClass of={gone} onClose={() => setGone(null)} />
        </>
    )
}
