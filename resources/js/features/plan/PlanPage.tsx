import { Button } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { useMe, usePlan } from '../../api/queries'
import { t } from '../../text/words'
import { Notice } from '../../ui/Notice'
import { Trouble, Waiting } from '../../ui/Trouble'
import { CalendarAddress } from './CalendarAddress'
import { ComparePlans } from './ComparePlans'
import { cx } from './dress'
import { Forecast } from './Forecast'
import { LayingOut } from './LayingOut'
import { LessonTape } from './LessonTape'
import { MoreDates } from './MoreDates'
import { PlanCosts } from './PlanCosts'
import { Sessions } from './Sessions'
import { usePlanning } from './usePlanning'
import { WishSheet } from './WishSheet'

/** The course laid along its sessions as lengths of tape; a lesson moves by hand or by key, and what breaks is said at once. */
export default function PlanPage() {
    const id = useParams().classId ?? ''
    const plan = usePlan(id)
    const me = useMe()
    const zone = me.data?.timezone ?? 'UTC'
    const [touched, setTouched] = useState<string | null>(null)
    const [wishing, setWishing] = useState(false)
    const change = usePlanning(id, plan.data)
    useHotkeys([['mod+Z', () => change.canUndo && !change.busy && change.back.mutate(undefined)]])
    if (plan.data === undefined) return plan.error === null ? <Waiting what={t('plan.unrollingThePlan')} /> : <Trouble error={plan.error} />
    const p = plan.data
    const without = (lesson: string) => ({
        sessions: p.sessions.map((s) => s.lessons.filter((x) => x !== lesson)),
        home: p.sessions.map((s) => s.home.filter((x) => x !== lesson)),
    })
    const move = (lesson: string, to: number, before: string | null) => {
        const next = without(lesson)
        const into = next.sessions[to]
        if (into === undefined || before === lesson) return
        const place = before === null ? -1 : into.indexOf(before)
        if (place < 0) into.push(lesson)
        else into.splice(place, 0, lesson)
        change.store.mutate(next)
    }
    const home = (lesson: string, after: number) => {
        const next = without(lesson)
        next.home[after]?.push(lesson)
        change.store.mutate(next)
    }
    const pin = (lesson: string, session: number | null) =>
        change.store.mutate({
            sessions: p.sessions.map((s) => s.lessons),
            pins: Object.fromEntries([
                ...p.pins.filter((x) => x.lesson !== lesson).map((x) => [x.lesson, x.session] as const),
                ...(session === null ? [] : [[lesson, session] as const]),
            ]),
        })
    const used = p.sessions.reduce((n, s) => n + s.used, 0)
    const laying = change.layOut.isPending || change.tryOut.isPending
    return (
        <div className="plan">
            <div className={cx('plan-head')}>
                <div>
                    <h1>
                        {p.class.title} <small>{p.course}</small>
                    </h1>
                    <p>
                        {t('plan.whoAndHowLong', {
                            students: t('count.students', { n: p.students }),
                            machines: t('count.machines', { n: p.machines }),
                            helpers: t('count.helpers', { n: p.helpers }),
                            lessons: t('count.lessons', { n: p.lessons.length }),
                            used: Math.round(used),
                            sessions: t('count.sessions', { n: p.sessions.length }),
                        })}
                    </p>
                </div>
                <div className={cx('plan-acts')}>
                    {change.canUndo && (
                        <Button variant="default" disabled={change.busy} onClick={() => change.back.mutate(undefined)}>
                            {t('common.undo')} <kbd>{t('common.ctrlZ')}</kbd>
                        </Button>
                    )}
                    <Button variant="default" disabled={change.busy} onClick={() => change.mend.mutate(undefined)}>
                        {t('plan.mendIt')}
                    </Button>
                    <Button variant="default" aria-expanded={wishing} onClick={() => setWishing(!wishing)}>
                        {t('plan.wishes')}
                    </Button>
                    <Button variant="default" disabled={change.busy} onClick={() => change.layOut.mutate(p.wishes)}>
                        {change.layOut.isPending ? t('plan.layingItOut') : t('plan.layItOutForMe')}
                    </Button>
                    <Button component={Link} variant="default" to={`/materials/${id}`}>
                        {t('common.materials')}
                    </Button>
                    <Button component={Link} to={`/today/${id}`}>
                        {t('common.goToToday')}
                    </Button>
                </div>
            </div>
            {laying && <LayingOut job={change.job} />}
            <Trouble error={change.error} />
            {wishing && (
                <WishSheet
                    key={p.version}
                    p={p}
                    zone={zone}
                    busy={change.busy}
                    wrong={(change.layOut.error ?? change.tryOut.error)?.all ?? {}}
                    onLay={(w) => change.layOut.mutate(w)}
                    onTry={(w) => change.tryOut.mutate(w)}
                />
            )}
            {change.tried !== null && (
                <ComparePlans
                    now={p}
                    then={change.tried.plan}
                    zone={zone}
                    busy={change.busy}
                    onTake={() => {
                        if (change.tried !== null) change.layOut.mutate(change.tried.wishes)
                    }}
                    onDrop={change.drop}
                />
            )}
            {change.moved !== null && (
                <Notice onClose={change.forget}>
                    {change.moved.lessons.length === 0
                        ? t('plan.nothingHadToMove')
                        : t('plan.moved', { lessons: change.moved.lessons.map((m) => m.title).join(', ') })}
                    {change.moved.lessons.length > 0 && change.moved.fewest && <span>{t('plan.fewerMovesCannotDo')}</span>}
                </Notice>
            )}
            <div className={cx('problems')} aria-live="polite">
                {p.problems.length === 0 && p.left.length === 0 ? (
                    <p className={cx('fine')}>{t('plan.everythingIsLaidInAn')}</p>
                ) : (
                    <ul>
                        {p.problems.map((x) => (
                            <li key={x.text}>{x.text}</li>
                        ))}
                    </ul>
                )}
                {p.proof !== null && (
                    <p className={cx('fine proof')}>
                        {p.proof.text}
                        {touched !== null && p.proof.reasons[touched] !== undefined && (
                            <>
                                {' '}
                                <strong>{p.lessons.find((l) => l.id === touched)?.title}:</strong> {p.proof.reasons[touched]}
                            </>
                        )}
                    </p>
                )}
                {p.left.length > 0 && (
                    <div className={cx('left-over')}>
                        <MoreDates p={p} busy={change.busy} onLay={(w) => change.layOut.mutate(w)} />
                        <span>{t('plan.noRoomYetFor')}</span>
                        {p.left.map((l) => (
                            <LessonTape
                                key={l}
                                p={p}
                                id={l}
                                share={18}
                                problem={false}
                                state={touched === l ? 'touched' : ''}
                                onTouch={setTouched}
                                at={-1}
                                onMove={(to) => move(l, to, null)}
                            />
                        ))}
                    </div>
                )}
            </div>
            <PlanCosts p={p} busy={change.busy} onLay={(w) => change.layOut.mutate(w)} />
            <Sessions p={p} zone={zone} touched={touched} onTouch={setTouched} onMove={move} onHome={home} onPin={pin} />
            <Forecast id={id} zone={zone} />
            <p className={cx('print-acts')}>
                <Button component="a" variant="default" href={`/api/classes/${id}/print?what=handout`} target="_blank" rel="noreferrer">
                    {t('plan.printItForTheStudents')}
                </Button>
                <Button component="a" variant="default" href={`/api/classes/${id}/plan/export?as=calendar`}>
                    {t('plan.intoACalendar')}
                </Button>
                <Button component="a" variant="default" href={`/api/classes/${id}/plan/export?as=table`}>
                    {t('plan.asATable')}
                </Button>
                <Button component="a" variant="default" href={`/api/classes/${id}/plan/export?as=bundle`}>
                    {t('plan.asACourseBundle')}
                </Button>
                <Button component={Link} variant="default" to={`/start?from=${id}`}>
                    {t('plan.teachItAgainToA')}
                </Button>
            </p>
            <CalendarAddress id={id} />
            <p className={cx('quiet')}>{t('plan.dragALessonOrTouch', { settle: p.wishes.settle, clear: p.wishes.clear })}</p>
        </div>
    )
}
