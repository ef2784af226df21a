import { useState } from 'react'
import { useCompute, type Answered, type Asked } from '../../api/compute'
import { bare, length, readLength, type Unit } from '../../text/lengths'
import { mm } from '../../text/numbers'
import { t, type Key } from '../../text/words'
import { Choice } from '../../ui/Choice'
import { LengthField } from '../../ui/LengthField'
import { Trouble } from '../../ui/Trouble'
import { ButtonholeDrawing } from './ButtonholeDrawing'
import { ButtonholePlaces } from './ButtonholePlaces'
import { cx } from './dress'
import { Keep } from './Keep'
import type { ToolProps } from './tool'

type Sized = Answered<'/api/compute/size-buttonhole'>
const titled = (words: Record<string, Key>) => Object.entries(words).map(([id, key]) => ({ id, title: t(key) }))
const SHAPES = { flat: 'workshop.buttonFlat', domed: 'workshop.buttonDomed', ball: 'workshop.buttonBall' } as const
const WAYS = {
    marks: 'workshop.byMarks',
    slider: 'workshop.bySlider',
    'button-in-foot': 'workshop.byButtonInFoot',
    typed: 'workshop.byTyped',
    'by-hand': 'workshop.byHand',
} as const
const SCHOOLS: Record<string, Key> = {
    'diameter-plus-quarter': 'workshop.schoolQuarter',
    'diameter-thickness-eighth': 'workshop.schoolEighth',
    'button-in-foot': 'workshop.schoolInFoot',
    'marked-width': 'workshop.schoolWidth',
    'half-wrap': 'workshop.schoolHalfWrap',
    'slider-lines': 'workshop.schoolLines',
}
const PASSES = { passes: 'workshop.passes', tight: 'workshop.tight', 'will-not-pass': 'workshop.willNotPass' } as const

/** From a button in the hand to what is set: how long the hole is cut, finished and told, and where a row of them sits. */
export function ButtonholeTool({ unit }: ToolProps) {
    const from = (value: number) => bare(value, unit)
    const [f, setF] = useState({
        shape: 'flat',
        across: from(15),
        through: from(3),
        wrap: '',
        way: 'marks',
        line: from(3.175),
        step: from(0.5),
        longest: '',
        bar: from(1.5),
    })
    const set = (name: keyof typeof f) => (value: string) => setF({ ...f, [name]: value })
    const read = (name: 'across' | 'through' | 'wrap' | 'line' | 'step' | 'longest' | 'bar') => readLength(f[name], unit)
    const [across, through] = [read('across'), read('through')]
    const ball = f.shape === 'ball'
    const asked: Asked<'/api/compute/size-buttonhole'> | null =
        across === null || (through === null && !ball)
            ? null
            : {
                  shape: f.shape as keyof typeof SHAPES,
                  way: f.way as keyof typeof WAYS,
                  diameter_mm: across,
                  ...(ball ? {} : { thickness_mm: through ?? 0 }),
                  ...given('wrap_mm', read('wrap')),
                  ...given('bar_mm', read('bar')),
                  ...given('longest_mm', read('longest')),
                  ...(f.way === 'slider' ? given('line_mm', read('line')) : {}),
                  ...(f.way === 'typed' ? given('step_mm', read('step')) : {}),
              }
    const found = useCompute('/api/compute/size-buttonhole', asked)
    const a = found.error === null && asked !== null ? found.data : undefined
    return (
        <div className={cx('tool-cols')}>
            <div className={cx('tool-form')}>
                <Choice label={t('workshop.theButtonIs')} value={f.shape} options={titled(SHAPES)} onChange={set('shape')} />
                <LengthField label={t('workshop.across')} unit={unit} value={f.across} onChange={set('across')} />
                {!ball && <LengthField label={t('workshop.through')} unit={unit} value={f.through} onChange={set('through')} />}
                <LengthField label={t('workshop.wrap')} hint={t('workshop.wrapHint')} unit={unit} value={f.wrap} onChange={set('wrap')} />
                <Choice label={t('workshop.theLengthIsToldBy')} value={f.way} options={titled(WAYS)} onChange={set('way')} />
                {f.way === 'slider' && <LengthField label={t('workshop.linesApart')} unit={unit} step={0.1} value={f.line} onChange={set('line')} />}
                {f.way === 'typed' && <LengthField label={t('workshop.stepOfTheNumber')} unit={unit} step={0.1} value={f.step} onChange={set('step')} />}
                <LengthField label={t('workshop.longestItCan')} unit={unit} step={1} value={f.longest} onChange={set('longest')} />
                <LengthField label={t('workshop.aBarOfThisMachine')} unit={unit} value={f.bar} onChange={set('bar')} />
            </div>
            <div className={cx('tool-answer')}>
                <Trouble error={found.error} />
                {a !== undefined && across !== null && (
                    <>
                        <p className={cx('big-verdict')}>
                            <strong>{told(a, unit)}</strong> {t('workshop.finishedOverBothBars', { n: length(a.finished_mm, unit) })}
                        </p>
                        {a.fits === false && <p className={cx('refused')}>{t('workshop.longerThanItCan')}</p>}
                        {a.estimated && <p className={cx('refused mild')}>{t('workshop.aDomeIsMeasured')}</p>}
                        <ButtonholeDrawing size={a} across={across} through={ball ? across : (through ?? 0)} shape={f.shape} unit={unit} />
                        <Schools size={a} unit={unit} />
                        <p className={cx('caution')}>{t('workshop.aTestOnTheSameStack')}</p>
                        <ButtonholePlaces across={across} unit={unit} />
                    </>
                )}
                <Keep tool="size-buttonhole" text={a === undefined ? null : words(a, f.across, unit)} />
            </div>
        </div>
    )
}

const given = (name: string, value: number | null): Record<string, number> => (value === null || value <= 0 ? {} : { [name]: value })

/** What the machine, the foot or the marks are told, in a few words. */
function told(a: Sized, unit: Unit): string {
    const { lines, add_mm: add, mm: set } = a.set
    if (lines !== undefined) return t('workshop.setLines', { n: mm(lines, 1) })
    if (add !== undefined) return add >= 0 ? t('workshop.setAdd', { n: length(add, unit) }) : t('workshop.setLess', { n: length(-add, unit) })
    return t('workshop.setLength', { n: length(set, unit) })
}

function words(a: Sized, across: string, unit: Unit): string {
    return t('workshop.buttonholeFor', {
        across: `${across} ${unit}`,
        told: told(a, unit),
        opening: length(a.opening_mm, unit),
        finished: length(a.finished_mm, unit),
    })
}

/** Every school's length beside what the button needs. */
function Schools({ size, unit }: { size: Sized; unit: Unit }) {
    return (
        <table className={cx('rows')}>
            <thead>
                <tr>
                    <th>{t('workshop.school')}</th>
                    <th>{t('workshop.finished')}</th>
                    <th>{t('workshop.opening')}</th>
                    <th>{t('workshop.theButton')}</th>
                </tr>
            </thead>
            <tbody>
                {size.schools.map((s) => (
                    <tr key={s.id}>
                        <td>{t(SCHOOLS[s.id] ?? 'workshop.school')}</td>
                        <td className={cx('num')}>{length(s.finished_mm, unit)}</td>
                        <td className={cx('num')}>{length(s.opening_mm, unit)}</td>
                        <td>{s.passes === 'passes' ? t(PASSES.passes) : <strong>{t(PASSES[s.passes])}</strong>}</td>
                    </tr>
                ))}
            </tbody>
        </table>
    )
}
