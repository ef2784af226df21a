import { useState } from 'react'
import { useCompute } from '../../api/compute'
import { t } from '../../app/text'
import { StitchRow } from '../../drawing/StitchRow'
import { toNumber } from '../../text/numbers'
import { NumberField } from '../../ui/NumberField'
import { Trouble } from '../../ui/Trouble'
import { Keep } from './Keep'

const ROW = Array.from({ length: 13 }, (_, i): [number, number] => [i * 2.5, 0])
const LOOK: Record<string, string> = { balanced: 'balanced', 'top-loose': 'top loose', 'top-tight': 'top tight' }
const MOVE: Record<string, string> = {
    none: 'Leave it. Change nothing that works.',
    'notch-up': 'Top tension one small notch up, then sew beside the last row.',
    'notch-down': 'Top tension one small notch down, then sew beside the last row.',
    rethread: 'Two notches did not cure it: set the dial back, foot up, rethread both threads, new needle.',
}

/** Where the two threads lock, and how both faces look: an illustration. */
export function TensionTool() {
    const [typed, setTyped] = useState({ top: '-2', bobbin: '0' })
    const [top, bobbin] = [toNumber(typed.top), toNumber(typed.bobbin)]
    const answer = useCompute('/api/compute/tension-picture', top === null || bobbin === null ? null : { top_notches: top, bobbin_notches: bobbin })
    const a = answer.error === null ? answer.data : undefined
    return (
        <div className="tool-cols">
            <div className="tool-form">
                <NumberField
                    label={t('Top, notches from its mark')}
                    value={typed.top}
                    min={-4}
                    max={4}
                    step={0.5}
                    unit=""
                    onChange={(v) => setTyped({ ...typed, top: v })}
                />
                <NumberField
                    label={t('Bobbin, the same')}
                    value={typed.bobbin}
                    min={-4}
                    max={4}
                    step={0.5}
                    unit=""
                    onChange={(v) => setTyped({ ...typed, bobbin: v })}
                />
                <p className="quiet">{t('Tighter is positive. A low number on the dial is a loose top thread.')}</p>
            </div>
            <div className="tool-answer">
                <Trouble error={answer.error} />
                {a !== undefined && (
                    <>
                        <p className="big-verdict">
                            <strong>{t(LOOK[a.look] ?? a.look)}</strong> {t(MOVE[a.move] ?? a.move)}
                        </p>
                        <LockDrawing lock={a.lock} />
                        <h2>{t('right side')}</h2>
                        <StitchRow points={ROW} scale={18} rowMm={30} halfMm={2} shows={a.right_side} label={t('right side: {what}', { what: a.right_side })} />
                        <h2>{t('underside')}</h2>
                        <StitchRow
                            points={ROW}
                            scale={18}
                            rowMm={30}
                            halfMm={2}
                            shows={a.underside}
                            thread="bobbin"
                            label={t('underside: {what}', { what: a.underside })}
                        />
                        <p className="quiet">{t('An illustration, not a measurement: dark is the top thread, red the bobbin thread.')}</p>
                    </>
                )}
                <Keep
                    tool="tension-picture"
                    text={a === undefined ? null : t('Tension: {look}. {move}', { look: t(LOOK[a.look] ?? a.look), move: t(MOVE[a.move] ?? a.move) })}
                />
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
        <svg width={w} height={108} role="img" aria-label={t('Where the threads lock, the cloth cut along the row')} className="lock-drawing">
            <rect x={0} y={top} width={w} height={bottom - top} className="cloth" />
            <line x1={0} y1={(top + bottom) / 2} x2={w} y2={(top + bottom) / 2} className="layer" />
            <path d={run(top - 3)} className="thread-run top" strokeWidth={4} />
            <path d={run(bottom + 3)} className="thread-run bobbin" strokeWidth={4} />
        </svg>
    )
}
