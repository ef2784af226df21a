import { Checkbox, UnstyledButton } from '@mantine/core'
import { useState } from 'react'
import { useCompute } from '../../api/compute'
import { ScaleBar } from '../../drawing/FootOpening'
import { StitchRow } from '../../drawing/StitchRow'
import { length } from '../../text/lengths'
import { mm, toNumber } from '../../text/numbers'
import { t } from '../../text/words'
import { NumberField } from '../../ui/NumberField'
import { Trouble } from '../../ui/Trouble'
import { Calibrate, useTrueScale } from './Calibrate'
import { cx } from './dress'
import { Keep } from './Keep'
import type { ToolProps } from './tool'

/** Any stitch on both faces, to scale or at true size. */
export function StitchTool({ room, unit }: ToolProps) {
    const [stitch, setStitch] = useState('zigzag')
    const kind = room.stitches.find((s) => s.id === stitch)
    const [typed, setTyped] = useState({ length: '2', width: '3.5', row: '30', position: '0', stack: '0.6' })
    const [bars, setBars] = useState('6')
    const [trueSize, setTrueSize] = useState(false)
    const { scale: trueScale, known } = useTrueScale()
    const set = (name: keyof typeof typed) => (value: string) => setTyped({ ...typed, [name]: value })
    const choose = (id: string) => {
        const next = room.stitches.find((s) => s.id === id)
        setStitch(id)
        if (next !== undefined)
            setTyped({
                ...typed,
                length: String(next.length_mm),
                width: String(next.width_mm),
                row: next.generator === 'buttonhole' ? '20' : next.generator === 'button' ? '6' : '30',
            })
    }
    const numbers = Object.fromEntries(Object.entries(typed).map(([k, v]) => [k, toNumber(v)])) as Record<keyof typeof typed, number | null>
    const wrong = Object.entries(numbers).find(([, v]) => v === null)
    const picture = useCompute(
        '/api/compute/stitch-picture',
        wrong !== undefined
            ? null
            : {
                  stitch: stitch as 'zigzag',
                  length_mm: numbers.length ?? 0,
                  width_mm: numbers.width ?? 0,
                  row_mm: numbers.row ?? 0,
                  needle_position_mm: numbers.position ?? 0,
                  stack_mm: numbers.stack ?? 0,
                  ...(kind?.generator === 'pattern' ? {} : { stitches: Math.round(toNumber(bars) ?? 6) }),
              },
    )
    const p = picture.error === null ? picture.data : undefined
    const row = numbers.row ?? 30
    const half = Math.max(4, (p?.width_mm ?? 0) / 2 + Math.abs(numbers.position ?? 0) + 1.5, stitch === 'buttonhole-keyhole' ? 6 : 0)
    const scale = trueSize ? trueScale : Math.min(14, 620 / Math.max(row, 10), 200 / (2 * half))
    const text =
        p === undefined
            ? null
            : t('workshop.stitchesInMmThreadMm', {
                  title: p.title,
                  size: p.width_mm > 0 ? `${mm(p.width_mm)} wide × ${mm(p.length_mm)} long` : `${mm(p.length_mm)} mm long`,
                  n: p.stitches,
                  row: length(row, unit),
                  top: length(p.top_mm, unit),
                  bobbin: length(p.bobbin_mm, unit),
                  ratio: mm(p.ratio, 1),
                  min: mm(p.minutes, 1),
              })
    return (
        <>
            <div className={cx('stitch-list')} role="group" aria-label={t('common.stitch')}>
                {room.stitches.map((s) => (
                    <UnstyledButton key={s.id} aria-pressed={s.id === stitch} onClick={() => choose(s.id)}>
                        {s.title}
                    </UnstyledButton>
                ))}
            </div>
            <div className={cx('tool-cols')}>
                <div className={cx('tool-form')}>
                    {kind?.generator !== 'button' && (
                        <NumberField
                            label={t('common.length')}
                            value={typed.length}
                            min={p?.length_range_mm[0] ?? 0.1}
                            max={Math.min(6, p?.length_range_mm[1] ?? 6)}
                            step={0.1}
                            onChange={set('length')}
                        />
                    )}
                    {kind?.swings === true && (
                        <NumberField
                            label={t('common.width')}
                            value={typed.width}
                            min={p?.width_range_mm[0] ?? 0}
                            max={Math.min(9, p?.width_range_mm[1] ?? 9)}
                            step={0.5}
                            onChange={set('width')}
                        />
                    )}
                    {kind?.generator !== 'button' && (
                        <NumberField
                            label={kind?.generator === 'buttonhole' ? t('workshop.finishedLength') : t('common.row')}
                            value={typed.row}
                            min={5}
                            max={300}
                            step={1}
                            onChange={set('row')}
                        />
                    )}
                    {kind?.generator !== 'pattern' && (
                        <NumberField
                            label={kind?.generator === 'button' ? t('workshop.stitchesAPair') : t('workshop.stitchesABar')}
                            value={bars}
                            min={2}
                            max={20}
                            step={1}
                            unit=""
                            onChange={setBars}
                        />
                    )}
                    <NumberField label={t('workshop.needlePosition')} value={typed.position} min={-3.5} max={3.5} step={0.5} onChange={set('position')} />
                    <NumberField label={t('workshop.allLayers')} value={typed.stack} min={0.1} max={5} step={0.1} onChange={set('stack')} slider={false} />
                </div>
                <div className={cx('tool-answer')}>
                    {wrong !== undefined && <p className={cx('refused')}>{t('workshop.isNoNumber', { value: typed[wrong[0] as keyof typeof typed] })}</p>}
                    <Trouble error={picture.error} />
                    {p !== undefined && (
                        <>
                            <p className={cx('lead')}>
                                {p.about}
                                {p.iso_4915 !== null && <small> · {t('workshop.iso4915Class', { n: p.iso_4915 })}</small>}
                            </p>
                            <h2>{t('workshop.rightSide')}</h2>
                            <div className={cx('faces')} tabIndex={0}>
                                <StitchRow
                                    points={p.right_side}
                                    scale={scale}
                                    rowMm={row}
                                    halfMm={half}
                                    label={t('workshop.fromTheRightSideTo', { stitch: p.title })}
                                />
                            </div>
                            <h2>{t('workshop.underside')}</h2>
                            <div className={cx('faces')} tabIndex={0}>
                                <StitchRow
                                    points={p.underside}
                                    scale={scale}
                                    rowMm={row}
                                    halfMm={half}
                                    thread="bobbin"
                                    label={t('workshop.fromTheUndersideToScale', { stitch: p.title })}
                                />
                            </div>
                            <div className={cx('under-drawing')}>
                                <ScaleBar mm={10} scale={scale} />
                                <Checkbox
                                    label={t('workshop.trueSize')}

                                    checked={trueSize}
                                    onChange={(e) => setTrueSize(e.currentTarget.checked)}
                                />
                                {p.per_inch !== null && <span className={cx('quiet')}>{t('workshop.stitchesAnInch', { n: mm(p.per_inch, 1) })}</span>}
                            </div>
                            {trueSize && !known && <Calibrate />}
                        </>
                    )}
                    <Keep tool="stitch-picture" text={text} />
                </div>
            </div>
        </>
    )
}
