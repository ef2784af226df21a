import { useState } from 'react'
import { useCompute } from '../../api/compute'
import { DrawingFrame } from '../../drawing/DrawingFrame'
import { StitchRow } from '../../drawing/StitchRow'
import { toNumber } from '../../text/numbers'
import { t, type Key } from '../../text/words'
import { NumberField } from '../../ui/NumberField'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'
import { Keep } from './Keep'

const ROW = Array.from({ length: 13 }, (_, i): [number, number] => [i * 2.5, 0])
const LOOK: Record<'balanced' | 'top-loose' | 'top-tight', Key> = {
    balanced: 'workshop.balanced',
    'top-loose': 'workshop.topLoose',
    'top-tight': 'workshop.topTight',
}
const MOVE: Record<'none' | 'notch-up' | 'notch-down' | 'rethread', Key> = {
    none: 'workshop.leaveItChangeNothingThat',
    'notch-up': 'workshop.topTensionOneSmallNotch',
    'notch-down': 'workshop.topTensionOneSmallNotchDown',
    rethread: 'workshop.twoNotchesDidNotCure',
}

/** Where the two threads lock, and how both faces look: an illustration. */
export function TensionTool() {
    const [typed, setTyped] = useState({ top: '-2', bobbin: '0' })
    const [top, bobbin] = [toNumber(typed.top), toNumber(typed.bobbin)]
    const answer = useCompute('/api/compute/tension-picture', top === null || bobbin === null ? null : { top_notches: top, bobbin_notches: bobbin })
    const a = answer.error === null ? answer.data : undefined
    return (
        <div className={cx('tool-cols')}>
            <div className={cx('tool-form')}>
                <NumberField
                    label={t('workshop.topNotchesFromItsMark')}
                    value={typed.top}
                    min={-4}
                    max={4}
                    step={0.5}
                    unit=""
                    onChange={(v) => setTyped({ ...typed, top: v })}
                />
                <NumberField
                    label={t('workshop.bobbinTheSame')}
                    value={typed.bobbin}
                    min={-4}
                    max={4}
                    step={0.5}
                    unit=""
                    onChange={(v) => setTyped({ ...typed, bobbin: v })}
                />
                <p className={cx('quiet')}>{t('workshop.tighterIsPositiveALow')}</p>
            </div>
            <div className={cx('tool-answer')}>
                <Trouble error={answer.error} />
                {a !== undefined && (
                    <>
                        <p className={cx('big-verdict')}>
                            <strong>{t(LOOK[a.look])}</strong> {t(MOVE[a.move])}
                        </p>
                        <LockDrawing lock={a.lock} />
                        <h2>{t('workshop.rightSide')}</h2>
                        <StitchRow
                            points={ROW}
                            scale={18}
                            rowMm={30}
                            halfMm={2}
                            shows={a.right_side}
                            label={t('workshop.rightSide2', { what: a.right_side })}
                        />
                        <h2>{t('workshop.underside')}</h2>
                        <StitchRow
                            points={ROW}
                            scale={18}
                            rowMm={30}
                            halfMm={2}
                            shows={a.underside}
                            thread="bobbin"
                            label={t('workshop.underside2', { what: a.underside })}
                        />
                        <p className={cx('quiet')}>{t('workshop.anIllustrationNotAMeasurement')}</p>
                    </>
                )}
                <Keep tool="tension-picture" text={a === undefined ? null : t('workshop.tension', { look: t(LOOK[a.look]), move: t(MOVE[a.move]) })} />
            </div>
        </div>
    )
}

/** The cloth cut along the row: top thread from above, bobbin thread from below, the lock between. */
function LockDrawing({ lock }: { lock: number }) {
    const [w, top, bottom] = [560, 24, 84]
    const y = bottom - lock * (bottom - top)
    const xs = Array.from({ length: 8 }, (_, i) => 20 + i * 74)
    const run = (face: number) =>
        xs
            .map(
                (x, i) =>
                    `${i === 0 ? `M${x} ${face}` : ''}C${x + 6} ${face} ${x + 6} ${y} ${x + 12} ${y}C${x + 18} ${y} ${x + 18} ${face} ${x + 24} ${face}H${x + 74}`,
            )
            .join('')
    return (
        <DrawingFrame width={w} height={108} name={t('workshop.whereTheThreadsLockThe')} className={cx('lock-drawing')}>
            <rect x={0} y={top} width={w} height={bottom - top} className={cx('cloth')} />
            <line x1={0} y1={(top + bottom) / 2} x2={w} y2={(top + bottom) / 2} className={cx('layer')} />
            <path d={run(top - 3)} className={cx('thread-run top')} strokeWidth={4} />
            <path d={run(bottom + 3)} className={cx('thread-run bobbin')} strokeWidth={4} />
        </DrawingFrame>
    )
}
