import { Button } from '@mantine/core'
import { useId, useState, type KeyboardEvent } from 'react'
import type { View } from '../api/client'
import { t } from '../text/words'
import { cx } from './dress'

type Points = number[][]

const line = (points: Points) => points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`).join('')

/** There is no further step; the button keeps the focus, and the arrows go on. */
const ended = (is: boolean) => (is ? { 'aria-disabled': true, 'data-disabled': true } : {})

/** Cloth as it is folded and sewn, step by step: cut across the folds, and below it from above. The right side is the heavy line. */
export function FoldPicture({ fold }: { fold: View['FoldView'] }) {
    const [at, setAt] = useState(0)
    const name = useId()
    const step = fold.steps[at]
    if (step === undefined) return null
    const { left, right, top, deep } = fold.box
    const gap = fold.apart * 1.6
    const last = fold.steps.length - 1
    const go = (to: number) => setAt(Math.min(last, Math.max(0, to)))
    const onKey = (event: KeyboardEvent) => {
        const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key]
        if (by === undefined) return
        event.preventDefault()
        go(at + by)
    }
    const shapes = (of: View['ShapeView'][]) =>
        of.map((s, i) => (
            <path
                // The shapes of a step have no names; they are drawn anew with every step.
                key={`${at}.${i}`}
                d={line(s.points) + (s.role.startsWith('above') ? 'Z' : '')}
                className={cx(`fold-${s.role}`)}
                {...(s.role === 'cloth' ? { strokeWidth: fold.apart * 0.62 } : {})}
            />
        ))
    return (
        <div className={cx('fold')} role="group" aria-labelledby={name} onKeyDown={onKey}>
            <svg viewBox={`${left} ${-top} ${right - left} ${top + gap + deep}`} role="img" aria-label={`${fold.title}: ${step.say}`}>
                {shapes(step.section)}
                <line x1={left} x2={right} y1={0} y2={0} className={cx('fold-table')} />
                <g transform={`translate(0 ${gap})`}>{shapes(step.above)}</g>
            </svg>
            <div>
                <strong id={name}>{fold.title}</strong>{' '}
                <small>
                    {at + 1} / {last + 1}
                </small>
                <p aria-live="polite">{step.say}</p>
                <Button variant="default" {...ended(at === 0)} onClick={() => go(at - 1)} aria-label={t('common.stepBackOf', { name: fold.title })}>
                    {t('common.back')}
                </Button>{' '}
                <Button variant="default" {...ended(at === last)} onClick={() => go(at + 1)} aria-label={t('common.nextStepOf', { name: fold.title })}>
                    {t('common.nextStep')}
                </Button>
            </div>
        </div>
    )
}
