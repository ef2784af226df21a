import { Button } from '@mantine/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { api, ask, type View } from '../../api/client'
import { useChange } from '../../api/queries'
import { t } from '../../app/text'
import { Trouble } from '../../ui/Trouble'
import { DeleteClass } from './DeleteClass'

/** Classes in use, put away and deleted; students who were deleted. Everything can be brought back for thirty days. */
export function StudioClasses({ s }: { s: View['StudioView'] }) {
    const [gone, setGone] = useState<View['StudioClassView'] | null>(null)
    const path = (id: string) => ({ params: { path: { class: id } } })
    const put = useChange((id: string) => ask(api.POST('/api/classes/{class}/archive', path(id))))
    const take = useChange((id: string) => ask(api.DELETE('/api/classes/{class}/archive', path(id))))
    const back = useChange((id: string) => ask(api.POST('/api/classes/{class}/restore', path(id))))
    const share = useChange((of: { id: string; shared: boolean }) => ask(api.PATCH('/api/classes/{class}', { ...path(of.id), body: { shared: of.shared } })))
    const restore = useChange((id: string) => ask(api.POST('/api/students/{student}/restore', { params: { path: { student: id } } })))
    const rows = [
        { title: t('Classes'), list: s.classes.filter((c) => c.deleted_at === null && c.archived_at === null) },
        { title: t('Put away'), list: s.classes.filter((c) => c.deleted_at === null && c.archived_at !== null) },
        { title: t('Deleted'), list: s.classes.filter((c) => c.deleted_at !== null) },
    ]
    return (
        <>
            {rows
                .filter((r, i) => i === 0 || r.list.length > 0)
                .map((r) => (
                    <section key={r.title}>
                        <h2>{r.title}</h2>
                        {r.list.length === 0 && (
                            <p className="empty">
                                {t('No class yet.')} <Link to="/start">{t('Plan a class')}</Link>
                            </p>
                        )}
                        <ul className="plain people">
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
                                            {c.students === 1 ? t('1 student') : t('{n} students', { n: c.students })}
                                            {c.ended_on !== null && ` · ${t('until {day}', { day: c.ended_on })}`}
                                            {!c.shared && ` · ${t('not shared')}`}
                                            {c.gone_on !== null && ` · ${t('gone for good on {day}', { day: c.gone_on })}`}
                                        </small>
                                    </span>
                                    {c.deleted_at !== null ? (
                                        <Button variant="subtle" onClick={() => back.mutate(c.id)}>
                                            {t('bring it back')}
                                        </Button>
                                    ) : (
                                        <>
                                            <Button variant="subtle" onClick={() => share.mutate({ id: c.id, shared: !c.shared })}>
                                                {c.shared ? t('share no more') : t('share')}
                                            </Button>
                                            {c.archived_at === null ? (
                                                <Button variant="subtle" onClick={() => put.mutate(c.id)}>
                                                    {t('put away')}
                                                </Button>
                                            ) : (
                                                <Button variant="subtle" onClick={() => take.mutate(c.id)}>
                                                    {t('take out again')}
                                                </Button>
                                            )}
                                            <Button variant="subtle" onClick={() => setGone(c)}>
                                                {t('delete')}
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
                    <h2>{t('Deleted students')}</h2>
                    <ul className="plain people">
                        {s.gone.map((g) => (
                            <li key={g.id}>
                                <span>
                                    <b>{g.name}</b>
                                    <small>
                                        {g.samples === 1 ? t('1 sample') : t('{n} samples', { n: g.samples })} ·{' '}
                                        {t('gone for good on {day}', { day: g.gone_on })}
                                    </small>
                                </span>
                                <Button variant="subtle" onClick={() => restore.mutate(g.id)}>
                                    {t('bring back')}
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
