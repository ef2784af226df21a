import { UnstyledButton } from '@mantine/core'
import { t } from '../../text/words'
import { cx } from './dress'
import type { Plan } from './usePlanning'

interface Props {
    p: Plan
    id: string
    share: number
    problem: boolean
    state: string
    at: number
    onTouch: (id: string | null) => void
    onMove: (to: number, before: string | null) => void
    onDropBefore?: (dragged: string) => void
    pinned?: boolean
    onPin?: () => void
    onHome?: () => void
}

/** Moved by key it stands somewhere else on the page: the focus goes along. */
let moving: string | null = null

/** A lesson as a length of tape: it is dragged, or moved with the arrow keys. */
export function LessonTape({ p, id, share, problem, state, at, onTouch, onMove, onDropBefore, pinned = false, onPin, onHome }: Props) {
    const lesson = p.lessons.find((l) => l.id === id)
    if (lesson === undefined) return null
    const last = p.sessions.length
    const byKey = (to: number) => {
        moving = id
        onMove(to, null)
    }
    const goAlong = (button: HTMLButtonElement | null) => {
        if (button === null || moving !== id) return
        moving = null
        button.focus()
    }
    return (
        <div
            className={cx(`lesson-tape ${state} ${problem ? 'problem' : ''}`)}
            style={{ width: `${share}%` }}
            draggable
            data-lesson={id}
            onDragStart={(e) => e.dataTransfer.setData('text/plain', id)}
            onDragOver={(e) => e.preventDefault()}
            onDrop={(e) => {
                if (onDropBefore === undefined) return
                e.preventDefault()
                e.stopPropagation()
                onDropBefore(e.dataTransfer.getData('text/plain'))
            }}>
            <UnstyledButton
                ref={goAlong}
                className={cx('lesson-name')}
                onFocus={() => onTouch(id)}
                onClick={() => onTouch(id)}
                onKeyDown={(e) => {
                    const to = e.key === 'ArrowRight' || e.key === 'ArrowDown' ? at + 1 : e.key === 'ArrowLeft' || e.key === 'ArrowUp' ? at - 1 : null
                    if (to === null) return
                    e.preventDefault()
                    if (to >= 0 && to < last) byKey(to)
                }}>
                <strong>{lesson.title}</strong>
                <span>
                    {pinned && <b className={cx('pin')}>{t('plan.pinned')} · </b>}
                    {lesson.again < 0.5
                        ? t('common.min', { n: Math.round(lesson.minutes) })
                        : t('plan.minAgain', { n: Math.round(lesson.minutes - lesson.again), again: Math.round(lesson.again) })}
                    {lesson.rounds > 1 && ` · ${t('plan.rounds', { n: lesson.rounds })}`}
                </span>
                <span className={cx('hidden')}>
                    , {at < 0 ? t('plan.notLaid') : t('common.session', { n: at + 1 })}. {t('plan.arrowKeysMoveIt')}
                </span>
            </UnstyledButton>
            {state === 'touched' && (
                <span className={cx('nudge')}>
                    {onPin !== undefined && (
                        <UnstyledButton
                            aria-pressed={pinned}
                            aria-label={pinned ? t('plan.letItMoveAgain') : t('plan.pinItToThisSession')}
                            className={cx('pin-act')}
                            onClick={onPin}>
                            {pinned ? t('common.free') : t('plan.pin')}
                        </UnstyledButton>
                    )}
                    {onHome !== undefined && (
                        <UnstyledButton aria-label={t('plan.sewItAtHomeAfter')} className={cx('pin-act')} onClick={onHome}>
                            {t('plan.home')}
                        </UnstyledButton>
                    )}
                    {at > 0 && (
                        <UnstyledButton aria-label={t('plan.moveToSession', { n: at })} onClick={() => byKey(at - 1)}>
                            ↑
                        </UnstyledButton>
                    )}
                    {at < last - 1 && (
                        <UnstyledButton aria-label={t('plan.moveToSession', { n: at + 2 })} onClick={() => byKey(at + 1)}>
                            ↓
                        </UnstyledButton>
                    )}
                </span>
            )}
        </div>
    )
}
