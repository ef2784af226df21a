import { Button, Tabs } from '@mantine/core'
import { useState } from 'react'
import { Navigate, useSearchParams } from 'react-router'
import { ulid } from 'ulid'
import { useClass, useMe } from '../../api/queries'
import { useClassInHand } from '../../keeping/classInHand'
import { length } from '../../text/lengths'
import { t, type Key } from '../../text/words'
import { Choice } from '../../ui/Choice'
import { Trouble, Waiting } from '../../ui/Trouble'
import { Garment } from './buttonhole/Garment'
import { HowLong } from './buttonhole/HowLong'
import { Jobs } from './buttonhole/Jobs'
import { Kind } from './buttonhole/Kind'
import { Look } from './buttonhole/Look'
import { OpenRelease } from './buttonhole/OpenRelease'
import { Run } from './buttonhole/Run'
import { SewOn } from './buttonhole/SewOn'
import { draftOf, USUAL, useButtonhole, useButtonholes, useKeptButtonhole, type Draft, type Seen } from './buttonhole/useButtonhole'
import { Where } from './buttonhole/Where'
import { cx } from './dress'
import type { ToolProps } from './tool'

const STEPS = [
    ['garment', 'workshop.stepGarment'],
    ['kind', 'workshop.stepKind'],
    ['length', 'workshop.stepLength'],
    ['where', 'workshop.stepWhere'],
    ['look', 'workshop.stepLook'],
    ['open', 'workshop.stepOpen'],
    ['button', 'workshop.stepButton'],
] as const satisfies readonly (readonly [string, Key])[]
type Step = (typeof STEPS)[number][0]

/** From a button in the hand to a garment that buttons: one job, kept as it is typed. */
export function ButtonholeTool(props: ToolProps) {
    const [search, setSearch] = useSearchParams()
    const asked = search.get('job')
    const [fresh, setFresh] = useState(() => ulid().toLowerCase())
    const of = search.get('student')
    // A student's buttonhole goes on where it was left.
    const jobs = useButtonholes(asked === null && of !== null)
    const left = of === null ? undefined : jobs.data?.find((j) => j.student === of && j.released_at === null)?.id
    const kept = useKeptButtonhole(asked)
    const open = (job: string) => setSearch({ job })
    const begin = () => {
        setFresh(ulid().toLowerCase())
        setSearch({})
    }
    if (asked === null && of !== null && jobs.isPending) return <Waiting what={t('common.looking')} />
    if (asked === null && left !== undefined && left !== fresh) return <Navigate replace to={`/workshop/buttonhole?job=${left}`} />
    if (asked !== null && kept.data === undefined) return kept.error === null ? <Waiting what={t('common.looking')} /> : <Trouble error={kept.error} />
    const machine = search.get('machine') ?? props.room.machines.find((m) => m.machine.usable && m.machine.facts.buttonhole !== 'none')?.machine.id ?? null
    const start =
        kept.data === undefined || asked === null
            ? { class: search.get('class'), student: search.get('student'), machine, foot: null, job: USUAL }
            : draftOf(kept.data)
    const id = asked ?? fresh
    return (
        <ButtonholeJob
            key={id}
            {...props}
            id={id}
            start={start}
            kept={asked === null ? undefined : kept.data}
            onKept={() => setSearch({ job: id }, { replace: true })}
            onOpen={open}
            onBegin={begin}
        />
    )
}

interface JobProps extends ToolProps {
    id: string
    start: Draft
    kept: Seen | undefined
    onKept: () => void
    onOpen: (job: string) => void
    onBegin: () => void
}

function ButtonholeJob({ room, unit, ...job }: JobProps) {
    const hole = useButtonhole(job)
    const [step, setStep] = useState<Step>('garment')
    const [running, setRunning] = useState(false)
    const me = useMe()
    const inHand = useClassInHand(me.data?.classes ?? [])
    const students = useClass(hole.draft.class ?? inHand?.id ?? '')
    const ofClass = me.data?.classes.find((c) => c.id === (hole.draft.class ?? inHand?.id))
    const plan = hole.seen?.plan ?? null
    const machine = room.machines.find((m) => m.machine.id === hole.draft.machine)?.machine
    const at = STEPS.findIndex(([id]) => id === step)
    const next = STEPS[at + 1]
    return (
        <div className={cx('job')}>
            <div className={cx('job-head')}>
                <Choice
                    label={t('workshop.forWhom')}
                    value={hole.draft.student ?? (hole.draft.class === null ? '' : 'class')}
                    options={[
                        { id: '', title: t('workshop.justNow') },
                        ...(ofClass === undefined ? [] : [{ id: 'class', title: ofClass.title }]),
                        ...(students.data?.students ?? []).map((s) => ({ id: s.student, title: s.name })),
                    ]}
                    onChange={(who) =>
                        hole.change({
                            student: who === '' || who === 'class' ? null : who,
                            class: who === '' ? null : (hole.draft.class ?? inHand?.id ?? null),
                        })
                    }
                />
                <Choice
                    label={t('workshop.machineOf')}
                    value={hole.draft.machine ?? ''}
                    options={[{ id: '', title: t('workshop.byHand') }, ...room.machines.map((m) => ({ id: m.machine.id, title: m.machine.name }))]}
                    onChange={(id) => hole.change({ machine: id === '' ? null : id, foot: null })}
                />
                <Jobs hole={hole} />
            </div>
            <div className={cx('job-sum')}>
                {plan === null ? (
                    <span>{hole.seen?.asks?.message ?? ''}</span>
                ) : (
                    <>
                        <strong role="status">{plan.told_text}</strong>
                        <span>{t('workshop.openingOf', { n: length(plan.opening_mm, unit) })}</span>
                        <span>{t('workshop.finishedOf', { n: length(plan.finished_mm, unit) })}</span>
                        <span className={cx('quiet')}>
                            {t(hole.trouble !== null ? 'workshop.notSavedYet' : hole.saved ? 'workshop.saved' : 'workshop.saving')}
                        </span>
                        <Button className={cx('job-sew')} onClick={() => setRunning(true)}>
                            {t('workshop.sewIt')}
                        </Button>
                    </>
                )}
            </div>
            <Trouble error={hole.trouble} />
            <Tabs value={step} onChange={(to) => setStep((to ?? 'garment') as Step)} keepMounted={false}>
                <Tabs.List>
                    {STEPS.map(([id, key], i) => (
                        <Tabs.Tab key={id} value={id} disabled={plan === null && id !== 'garment'}>
                            {i + 1} {t(key)}
                        </Tabs.Tab>
                    ))}
                </Tabs.List>
                <Tabs.Panel value="garment">
                    <Garment key={hole.id} hole={hole} unit={unit} />
                </Tabs.Panel>
                {plan !== null && (
                    <>
                        <Tabs.Panel value="kind">
                            <Kind hole={hole} plan={plan} />
                        </Tabs.Panel>
                        <Tabs.Panel value="length">
                            <HowLong hole={hole} plan={plan} unit={unit} />
                        </Tabs.Panel>
                        <Tabs.Panel value="where">
                            <Where key={hole.id} hole={hole} plan={plan} unit={unit} />
                        </Tabs.Panel>
                        <Tabs.Panel value="look">
                            <Look key={hole.id} hole={hole} plan={plan} unit={unit} />
                        </Tabs.Panel>
                        <Tabs.Panel value="open">
                            <OpenRelease hole={hole} opening={plan.opening} />
                        </Tabs.Panel>
                        <Tabs.Panel value="button">
                            <SewOn key={hole.id} hole={hole} on={plan.button} unit={unit} />
                        </Tabs.Panel>
                    </>
                )}
            </Tabs>
            {plan !== null && next !== undefined && (
                <div className={cx('job-next')}>
                    <Button size="lg" variant="default" onClick={() => setStep(next[0])}>
                        {t('workshop.onTo', { step: t(next[1]) })}
                    </Button>
                </div>
            )}
            {running && plan !== null && (
                <Run
                    plan={plan}
                    machine={machine === undefined ? null : { id: machine.id, name: machine.name }}
                    onClose={(whole) => {
                        setRunning(false)
                        if (whole) setStep('look')
                    }}
                />
            )}
        </div>
    )
}
