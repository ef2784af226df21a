import { Button, UnstyledButton } from '@mantine/core'
import { useElementSize } from '@mantine/hooks'
import { useState } from 'react'
import { Link } from 'react-router'
import type { View } from '../../api/client'
import { DrawingFrame } from '../../drawing/DrawingFrame'
import { day } from '../../text/time'
import { VERDICT_WORDS } from '../../text/verdicts'
import { t } from '../../text/words'
import { cx } from './dress'

const HIGH = 110
const LINE = 24
const DEEP = 54
/** Room for what up and down mean. */
const LEFT = 74

/** All samples as one long seam: on the guide line where all was good, off it where not; a chalk line for each session. */
export function LongSeam({
    id,
    student,
    seam,
    zone,
    onOpen,
}: {
    id: string
    student: string
    seam: View['SeamStitchView'][]
    zone: string
    onOpen: (sample: string) => void
}) {
    const { ref, width } = useElementSize<HTMLDivElement>()
    const [at, setAt] = useState(seam.length - 1)
    const step = Math.min(90, Math.max(40, (width - LEFT - 36) / Math.max(1, seam.length)))
    const long = Math.max(width, LEFT + 36 + step * seam.length)
    const x = (i: number) => LEFT + step / 2 + step * i
    const y = (s: View['SeamStitchView']) => LINE + DEEP * (1 - s.good)
    const shown = seam[at] ?? seam[seam.length - 1]
    return (
        <div className={cx('long-seam')}>
            <div ref={ref} className={cx('long-seam-cloth')} tabIndex={0} role="group" aria-label={t('student.allSamplesOldestFirst')}>
                <DrawingFrame width={long} height={HIGH}>
                    <line x1={LEFT} x2={long - 10} y1={LINE} y2={LINE} className={cx('guide-line')} />
                    <text x={10} y={LINE + 5} className="draw-label">
                        {t('common.met')}
                    </text>
                    <text x={10} y={LINE + DEEP + 5} className="draw-label">
                        {t('common.notYet')}
                    </text>
                    {seam.map((s, i) =>
                        i > 0 && s.session === seam[i - 1]?.session && s.elsewhere === seam[i - 1]?.elsewhere ? null : (
                            <g key={s.sample.id}>
                                <line x1={x(i) - step / 2} x2={x(i) - step / 2} y1={6} y2={HIGH - 8} className={cx('session-chalk')} />
                                <text x={x(i) - step / 2 + 5} y={HIGH - 10} className="draw-label">
                                    {s.session === null ? (s.elsewhere ?? t('student.betweenSessions')) : t('common.session', { n: s.session })}
                                </text>
                            </g>
                        ),
                    )}
                    <path d={seam.map((s, i) => `${i === 0 ? 'M' : 'L'}${x(i)} ${y(s)}`).join('')} className={cx('stitches')} />
                    {seam.map((s, i) => (
                        <circle key={s.sample.id} cx={x(i)} cy={y(s)} r={i === at ? 8 : 5} className={cx(i === at ? 'needle-point on' : 'needle-point')} />
                    ))}
                </DrawingFrame>
                {seam.map((s, i) => (
                    <UnstyledButton
                        key={s.sample.id}
                        style={{ left: x(i) - 22, top: y(s) - 22 }}
                        aria-pressed={i === at}
                        onClick={() => setAt(i)}
                        onFocus={() => setAt(i)}
                        aria-label={`${s.sample.title}, ${day(s.sample.kept_at, zone)}: ${s.sample.verdict === null ? '' : t(VERDICT_WORDS[s.sample.verdict])}`}
                    />
                ))}
            </div>
            {shown !== undefined && (
                <p aria-live="polite">
                    <strong>{shown.sample.title}</strong> · {day(shown.sample.kept_at, zone)} ·{' '}
                    {shown.sample.verdict === null
                        ? ''
                        : shown.sample.verdict === 'met' && shown.sample.open > 0
                          ? t('student.metSoFar')
                          : t(VERDICT_WORDS[shown.sample.verdict])}
                    : {shown.sample.text}{' '}
                    <Button variant="subtle" onClick={() => onOpen(shown.sample.id)}>
                        {t('student.openIt')}
                    </Button>{' '}
                    · <Link to={`/look/${id}/${student}?lesson=${shown.sample.lesson}`}>{t('student.lookAtTheLesson')}</Link>
                </p>
            )}
        </div>
    )
}
