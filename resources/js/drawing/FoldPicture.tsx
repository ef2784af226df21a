import { Button } from '@mantine/core'
import { useReducedMotion } from '@mantine/hooks'
import { useEffect, useId, useState, type KeyboardEvent } from 'react'
import type { View } from '../api/client'
import { t } from '../text/words'
import { Drawn } from './Drawn'
import { cx } from './dress'
import { ended } from './ended'

/** A picture on the way is shown so long. */
const MOVE_MS = 110

/** Cloth as it is folded and sewn, step by step: cut across the folds, and below it from above. The right side is the heavy line. */
export function FoldPicture({ fold }: { fold: View['FoldView'] }) {
    const [at, setAt] = useState(0)
    // Which of the pictures on the way is shown; null: the step itself.
    const [move, setMove] = useState<number | null>(null)
    const still = useReducedMotion()
    const name = useId()
    const step = fold.steps[at]
    const moves = step?.moves.length ?? 0
    useEffect(() => {
        if (move === null) return
        const next = setTimeout(() => setMove(move + 1 < moves ? move + 1 : null), MOVE_MS)
        return () => clearTimeout(next)
    }, [move, moves])
    if (step === undefined) return null
    const last = fold.steps.length - 1
    const go = (to: number) => {
        const next = Math.min(last, Math.max(0, to))
        setAt(next)
        setMove(next > at && !still && (fold.steps[next]?.moves.length ?? 0) > 0 ? 0 : null)
    }
    const onKey = (event: KeyboardEvent) => {
        const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key]
        if (by === undefined) return
        event.preventDefault()
        go(at + by)
    }
    return (
        <div className={cx('fold')} role="group" aria-labelledby={name} onKeyDown={onKey}>
            <Drawn picture={(move === null ? undefined : step.moves[move]) ?? step.picture} name={`${fold.title}: ${step.say}`} />
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
