import { Button } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { Link, useParams, useSearchParams } from 'react-router'
import { api, ask } from '../../api/client'
import { useLessons, useMe, usePlan } from '../../api/queries'
import { day } from '../../text/time'
import { t } from '../../text/words'
import { Choice } from '../../ui/Choice'
import { Empty } from '../../ui/Empty'
import { Trouble, Waiting } from '../../ui/Trouble'
import { cx } from './dress'
import { PaperGrid } from './PaperGrid'

/** A session caught up from paper: students down, readings across, by keyboard. */
export default function CatchUpPage() {
    const id = useParams().classId ?? ''
    const [search, setSearch] = useSearchParams()
    const me = useMe().data
    const plan = usePlan(id)
    const lessons = useLessons(id)
    const begun = (plan.data?.sessions ?? []).map((s, i) => ({ ...s, number: i + 1 })).filter((s) => s.begun)
    const session = begun.find((s) => s.id === search.get('session')) ?? begun.at(-1)
    const kept = useQuery({
        queryKey: ['today', id, 'of', session?.id ?? ''],
        enabled: session !== undefined,
        queryFn: () => ask(api.GET('/api/classes/{class}/sessions/{session}/samples', { params: { path: { class: id, session: session?.id ?? '' } } })),
    })
    if (plan.data === undefined || lessons.data === undefined || me === undefined)
        return plan.error === null ? <Waiting what={t('catchUp.layingOutTheGrid')} /> : <Trouble error={plan.error} />
    if (session === undefined)
        return (
            <Empty>
                {t('catchUp.noSessionHasBegun')} <Link to={`/today/${id}`}>{t('round.backToToday')}</Link>
            </Empty>
        )
    const readable = lessons.data.filter((l) => l.rows.some((r) => r.fields.length > 0))
    const lesson =
        readable.find((l) => l.id === search.get('lesson')) ?? readable.find((l) => session.lessons.includes(l.id)) ?? readable.find((l) => l.drawing !== null)
    return (
        <div className={cx('catch-up')}>
            <div className={cx('round-head')}>
                <h1>
                    {t('catchUp.fromPaper')} <small>{plan.data.class.title}</small>
                </h1>
                <Choice
                    label={t('catchUp.sewnIn')}
                    value={session.id}
                    options={[...begun]
                        .reverse()
                        .map((s) => ({ id: s.id, title: t('catchUp.sessionOn', { n: s.number, day: day(s.starts_at, me.timezone) }) }))}
                    onChange={(s) => setSearch({ session: s })}
                />
                <Choice
                    label={t('common.lesson')}
                    value={lesson?.id ?? ''}
                    options={readable.map((l) => ({ id: l.id, title: session.lessons.includes(l.id) ? t('catchUp.planned', { lesson: l.title }) : l.title }))}
                    onChange={(l) => setSearch({ session: session.id, lesson: l })}
                />
                <Button component={Link} variant="default" to={`/today/${id}`}>
                    {t('round.backToToday')}
                </Button>
            </div>
            <Trouble error={kept.error} />
            {lesson !== undefined && kept.data !== undefined && (
                <PaperGrid
                    key={`${session.id}.${lesson.id}`}
                    id={id}
                    session={session.id}
                    lesson={lesson}
                    students={kept.data}
                    unit={me.unit}
                    zone={me.timezone}
                />
            )}
        </div>
    )
}
