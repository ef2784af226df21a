import { Button, UnstyledButton } from '@mantine/core'
import { useState, type SubmitEvent } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { api, ask } from '../../api/client'
import { useChange, useClass, useEstimate, useMachines, useMe, usePlan } from '../../api/queries'
import { useTyped } from '../../keeping/useTyped'
import { isoDay } from '../../text/time'
import { t } from '../../text/words'
import { Trouble } from '../../ui/Trouble'
import { useNames } from '../class/useNames'
import { DateWishes } from './DateWishes'
import { cx } from './dress'
import { ClassAndRoom, CourseWishes, type NewClass } from './NewClassSteps'
import type { Plan } from './usePlanning'

/** A new class in three steps: class and room, wishes, dates. Or last term's course with new names and dates. */
export default function NewClassPage() {
    const [search] = useSearchParams()
    const from = search.get('from') ?? ''
    const plan = usePlan(from, from !== '')
    const me = useMe()
    if (me.data === undefined || (from !== '' && plan.data === undefined && plan.error === null)) return null
    return <Steps key={from} from={plan.data ?? null} today={isoDay(me.data.now, me.data.timezone)} />
}

function blank(from: Plan | null, today: string): NewClass {
    const w = from?.wishes
    return {
        name: from?.class.title ?? '',
        students: '',
        returning: [],
        course: '',
        helpers: from?.helpers ?? 0,
        machines: 8,
        starts_on: today,
        time: w?.time ?? '18:30',
        sessions: w?.sessions ?? 6,
        minutes: w?.minutes ?? 120,
        closed: [],
        weekdays: w?.weekdays ?? [],
        every_weeks: w?.every_weeks ?? 1,
        made_up: {},
        lengths: w?.lengths ?? {},
        home: w?.home ?? [],
        order: w?.order ?? 'course',
        settle: w?.settle ?? 5,
        clear: w?.clear ?? 10,
        review_every: w?.review_every ?? 0,
        review_minutes: w?.review_minutes ?? 20,
        pace: w?.pace ?? 100,
    }
}

function Steps({ from, today }: { from: Plan | null; today: string }) {
    const me = useMe()
    const machines = useMachines()
    const navigate = useNavigate()
    const [step, setStep] = useState(0)
    const [typed, setForm, forget] = useTyped<Partial<NewClass>>(`new-class:${from?.class.id ?? ''}`, {})
    const asked: NewClass = { ...blank(from, today), ...typed }
    const before = useClass(from?.class.id ?? '', from !== null).data?.students ?? []
    const courses = me.data?.courses ?? []
    const course = courses.find((c) => c.id === asked.course) ?? courses.find((c) => c.title === from?.course) ?? courses[0]
    const understood = useNames(asked.students, null)
    const again = asked.returning.filter((id) => before.some((s) => s.student === id))
    const count = understood.people.length + again.length
    const set = (change: Partial<NewClass>) => setForm({ ...typed, ...change })
    const estimate = useEstimate(
        course === undefined || count === 0
            ? null
            : {
                  students: Math.min(40, count),
                  helpers: asked.helpers,
                  machines: asked.machines,
                  minutes: asked.minutes,
                  course: course.id,
                  home: asked.home,
                  order: asked.order,
                  settle: asked.settle,
                  clear: asked.clear,
                  review_every: asked.review_every,
                  review_minutes: asked.review_minutes,
                  pace: asked.pace,
              },
    )
    // As many sessions as it takes, with time to sew again, until somebody says another number.
    const form: NewClass =
        typed.sessions === undefined && from === null && estimate.data !== undefined ? { ...asked, sessions: estimate.data.sure_sessions } : asked
    const { home, order, ...plain } = form
    // What is taken over from last term is not sent again: its whole plan is copied.
    const same = from !== null && course?.title === from.course && order === from.wishes.order && home.join() === from.wishes.home.join()
    const make = useChange('everything', async (began: boolean) => {
        const made = await ask(
            api.POST('/api/classes', {
                body: {
                    ...plain,
                    began,
                    ...(same ? { from: from.class.id } : { home, order }),
                    course: course?.id ?? '',
                    ...understood.body,
                    returning: again,
                },
            }),
        )
        forget()
        await navigate(`/plan/${made.id}`)
    })
    const wrong = make.error?.all ?? {}
    const steps = [t('plan.classAndRoom'), t('plan.wishes'), t('plan.dates')]
    const ready = form.name.trim() !== '' && count > 0 && (form.students.trim() === '' || understood.ready)
    const last = step === steps.length - 1
    const submit = (event: SubmitEvent) => {
        event.preventDefault()
        if (!last) setStep(step + 1)
        else make.mutate(false)
    }
    const e = estimate.data
    return (
        <form className={cx('new-class')} onSubmit={submit}>
            <h1>{from === null ? t('common.planAClass') : t('plan.againForANewClass', { course: from.class.title })}</h1>
            <p>{me.data?.classes.length === 0 ? t('plan.threeStepsAndTheFirst') : t('plan.whoComesAndWhatStands')}</p>
            {Object.keys(typed).length > 0 && step === 0 && (
                <p className={cx('quiet')} role="status">
                    {t('common.asItWasLeft')}{' '}
                    <Button variant="subtle" onClick={forget}>
                        {t('plan.beginAnew')}
                    </Button>
                </p>
            )}
            <ol className={cx('plan-steps')}>
                {steps.map((s, i) => (
                    <li key={s} aria-current={i === step ? 'step' : undefined}>
                        <UnstyledButton disabled={i > 0 && !ready} onClick={() => setStep(i)}>
                            <b>{i + 1}</b>
                            {s}
                        </UnstyledButton>
                    </li>
                ))}
            </ol>
            {step === 0 && (
                <ClassAndRoom
                    form={form}
                    names={understood}
                    before={before}
                    wrong={wrong}
                    room={machines.data?.filter((m) => m.usable).length ?? 0}
                    asks={machines.data?.length === 0}
                    onChange={set}
                />
            )}
            {step === 1 && <CourseWishes form={form} wrong={wrong} courses={courses} course={course} lessons={estimate.data?.course ?? []} onChange={set} />}
            {step === 2 && (
                <div className={cx('step-dates')}>
                    <DateWishes wishes={form} wrong={wrong} onChange={set} />
                </div>
            )}
            {e === undefined ? (
                // Its place is kept: what is pressed below does not move under the hand.
                <p className={cx('estimate')} role="status">
                    {t('plan.howManySessionsItTakes')}
                </p>
            ) : (
                <p className={cx(e.spreads && e.sessions > form.sessions ? 'estimate short' : 'estimate')} role="status">
                    {t('plan.lessonsTakeStudentsMinIn', {
                        lessons: t('count.lessons', { n: e.lessons }),
                        students: t('count.students', { n: count }),
                        minutes: Math.round(e.minutes),
                        sessions: t('count.sessions', { n: e.sessions }),
                        each: form.minutes,
                    })}{' '}
                    {t('plan.withTimeToSewAgain', { sessions: e.sure_sessions })}
                    {e.left.length > 0 && ` ${t('plan.longerThanASession', { lessons: e.left.map((l) => l.title).join(', ') })}`}
                    {e.spreads && e.sessions > form.sessions && step === 2 && (
                        <Button variant="default" onClick={() => set({ sessions: e.sessions })}>
                            {t('plan.makeItSessions', { n: e.sessions })}
                        </Button>
                    )}
                </p>
            )}
            <Trouble error={make.error ?? estimate.error} />
            {make.error?.field === 'began' && (
                <p>
                    <Button variant="default" loading={make.isPending} onClick={() => make.mutate(true)}>
                        {t('plan.itDidBeginThen')}
                    </Button>
                </p>
            )}
            <p className={cx('step-acts')}>
                {step > 0 && (
                    <Button variant="default" size="lg" onClick={() => setStep(step - 1)}>
                        {t('common.back')}
                    </Button>
                )}
                {!last && (
                    <Button type="submit" size="lg" disabled={!ready}>
                        {t('plan.onTo', { step: steps[step + 1] ?? '' })}
                    </Button>
                )}
                <Button
                    type={last ? 'submit' : 'button'}
                    variant={last ? 'filled' : 'default'}
                    size="lg"
                    disabled={!ready || make.isPending}
                    onClick={last ? undefined : () => make.mutate(false)}>
                    {make.isPending ? t('plan.layingItOut') : t('plan.layItOutForMe')}
                </Button>
            </p>
        </form>
    )
}
