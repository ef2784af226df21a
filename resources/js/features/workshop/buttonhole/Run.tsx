import { Button, Modal } from '@mantine/core'
import { useReducedMotion } from '@mantine/hooks'
import { useEffect, useState } from 'react'
import { useNavigate } from 'react-router'
import type { View } from '../../../api/client'
import { t } from '../../../text/words'
import { cx } from '../dress'
import { HoleDrawing } from './HoleDrawing'
import { sewn } from './words'

interface Props {
    plan: View['ButtonholePlanView']
    machine: { id: string; name: string } | null
    /** On a phone without a sign-in: nothing else of the program is reached from it. */
    alone?: boolean
    onClose: (whole: boolean) => void
}

const NEXT = ['ArrowRight', 'PageDown', 'Enter', ' ']
const BACK = ['ArrowLeft', 'PageUp', 'Backspace']
/** Needle points shown in a second. */
const PACE = 30

/** The buttonhole one act a screen, to be read from an arm's length; by key, finger, or a clicker. */
export function Run({ plan, machine, alone = false, onClose }: Props) {
    const [n, setN] = useState(0)
    const [instead, setInstead] = useState(false)
    const navigate = useNavigate()
    const act = plan.acts[n]
    const last = n === plan.acts.length - 1
    const go = (by: number) => {
        setInstead(false)
        if (by > 0 && last) onClose(true)
        else setN(Math.min(plan.acts.length - 1, Math.max(0, n + by)))
    }
    useEffect(() => {
        const onKey = (event: KeyboardEvent) => {
            const on = event.target as HTMLElement
            // A key that a button has by itself is left to it.
            if ((event.key === 'Enter' || event.key === ' ') && on.closest('button') !== null) return
            if (NEXT.includes(event.key)) go(1)
            else if (BACK.includes(event.key)) go(-1)
            else return
            event.preventDefault()
        }
        window.addEventListener('keydown', onKey)
        return () => window.removeEventListener('keydown', onKey)
    })
    if (act === undefined) return null
    return (
        <Modal
            opened
            fullScreen
            onClose={() => onClose(false)}
            title={`${machine?.name ?? t('workshop.byHand')} · ${t('workshop.actOf', { n: n + 1, of: plan.acts.length })}`}
            closeButtonProps={{ 'aria-label': t('workshop.closeTheRun') }}>
            <div className={cx('run')}>
                <div className={cx('run-act')} aria-live="polite">
                    <p className={cx('run-text')}>{act.text}</p>
                    {act.stop_when !== undefined && (
                        <p className={cx('run-stop')}>
                            <strong>{t('workshop.stopWhen')}</strong> {act.stop_when}
                        </p>
                    )}
                    {act.see !== undefined && (
                        <p className={cx('run-see')}>
                            <strong>{t('workshop.youSee')}</strong> {act.see}
                        </p>
                    )}
                    {act.caution !== undefined && <p className={cx('caution')}>{act.caution}</p>}
                    <div className={cx('acts')}>
                        <Button size="xl" onClick={() => go(1)} data-autofocus>
                            {t(last ? 'workshop.itIsSewn' : 'workshop.doneNext')}
                        </Button>
                        <Button size="xl" variant="default" disabled={n === 0} onClick={() => go(-1)}>
                            {t('workshop.back')}
                        </Button>
                        <Button size="xl" variant="default" aria-expanded={instead} onClick={() => setInstead(!instead)}>
                            {t('workshop.somethingElse')}
                        </Button>
                    </div>
                    {instead && (
                        <div className={cx('run-instead')}>
                            <p>{t('workshop.stopFirst')}</p>
                            {alone && <p>{t('workshop.callYourTeacher')}</p>}
                            {!alone && (
                                <>
                                    {plan.instead.map(({ fault, text }) => (
                                        <Button
                                            key={fault}
                                            variant="default"
                                            onClick={() => void navigate(`/workshop/faults?seen=${fault}${machine === null ? '' : `&machine=${machine.id}`}`)}>
                                            {text}
                                        </Button>
                                    ))}
                                    <Button variant="default" onClick={() => void navigate('/room?show=machines')}>
                                        {t('workshop.otherEnd')}
                                    </Button>
                                </>
                            )}
                        </div>
                    )}
                </div>
                {act.at !== undefined && <Moving key={n} plan={plan} at={act.at} />}
            </div>
        </Modal>
    )
}

/** Where the needle is in the hole, moving along its points; stopped and stepped by hand, and still for who wants no motion. */
function Moving({ plan, at }: { plan: View['ButtonholePlanView']; at: string }) {
    const still = useReducedMotion()
    const { points, ends } = sewn(plan)
    const order = Object.keys(plan.parts)
    const to = at === 'all' ? points.length : at === 'start' ? 1 : (ends[at] ?? points.length)
    const before = order[order.indexOf(at) - 1]
    const from = at === 'all' ? (ends.straight ?? 0) : at === 'start' || before === undefined ? 0 : (ends[before] ?? 0)
    const [upTo, setUpTo] = useState(still ? to : Math.max(1, from))
    const [moving, setMoving] = useState(!still)
    useEffect(() => {
        if (!moving || upTo >= to) return
        const step = setTimeout(() => setUpTo(upTo + 1), 1000 / PACE)
        return () => clearTimeout(step)
    }, [moving, upTo, to])
    return (
        <div className={cx('run-drawing')}>
            <HoleDrawing plan={plan} upTo={upTo} name={t('workshop.whereTheNeedleIs')} />
            <div className={cx('acts')}>
                <Button variant="default" onClick={() => (upTo >= to ? (setUpTo(Math.max(1, from)), setMoving(true)) : setMoving(!moving))}>
                    {t(upTo >= to ? 'workshop.onceMore' : moving ? 'workshop.hold' : 'workshop.goOn')}
                </Button>
                <Button
                    variant="default"
                    onClick={() => {
                        setMoving(false)
                        setUpTo(upTo >= to ? Math.max(1, from) : upTo + 1)
                    }}>
                    {t('workshop.oneStitch')}
                </Button>
            </div>
        </div>
    )
}
