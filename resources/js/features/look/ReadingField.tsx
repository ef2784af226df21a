import { SegmentedControl } from '@mantine/core'
import { useLocalStorage } from '@mantine/hooks'
import type { KeyboardEvent } from 'react'
import type { View } from '../../api/client'
import { t } from '../../app/text'

interface Props {
    field: View['FieldView']
    unit: 'mm' | 'in'
    values: string[]
    problem: string | null
    /** Which of its values is wrong, if any. */
    problemAt: number | null
    onChange: (index: number, value: string) => void
    onEye: (index: number) => void
}

const isLength = (kind: string, index: number) => kind === 'length' || kind === 'lengths' || (kind === 'stitches' && index === 1)

/** Steps a typed value by the reading's own resolution: half a millimetre, one stitch, a sixteenth of an inch. */
function stepped(value: string, up: number, field: View['FieldView'], index: number, unit: 'mm' | 'in'): string {
    const lengths = isLength(field.kind, index)
    if (lengths && unit === 'in') {
        const found = /^(-)?(?:(\d+)[ -]+)?(?:(\d+)\/(\d+)|(\d*[.,]?\d+))?$/.exec(value.trim())
        const whole = Number(found?.[2] ?? 0) + (found?.[3] !== undefined ? Number(found[3]) / Number(found[4]) : Number((found?.[5] ?? '0').replace(',', '.')))
        const sixteenths = Math.max(field.min < 0 ? -9999 : 0, Math.round(whole * 16) * (found?.[1] === '-' ? -1 : 1) + up)
        const [n, rest] = [Math.floor(Math.abs(sixteenths) / 16), Math.abs(sixteenths) % 16]
        let [over, under] = [rest, 16]
        while (over > 0 && over % 2 === 0) { over /= 2; under /= 2 }
        return `${sixteenths < 0 ? '-' : ''}${n > 0 || rest === 0 ? n : ''}${n > 0 && rest > 0 ? ' ' : ''}${rest > 0 ? `${over}/${under}` : ''}`
    }
    const now = Number(value.replace(',', '.').replace('−', '-'))
    const step = field.kind === 'stitches' && index === 1 ? 1 : field.step
    const next = Math.min(field.kind === 'stitches' && index === 1 ? 300 : field.max, Math.max(field.min, (Number.isFinite(now) ? now : 0) + up * step))
    return lengths ? next.toFixed(1) : String(next)
}

/** One reading: large fields for the ruler's numbers, two big keys for yes and no. */
export function ReadingField({ field, unit, values: typed, problem, problemAt, onChange: change, onEye }: Props) {
    const [usual, setUsual] = useLocalStorage<'nearest' | 'complete'>({ key: 'seam-counting', defaultValue: 'nearest' })
    // How this one was counted; what is not typed yet will be counted as the last one was.
    const counting = typed[0]?.endsWith('+') === true ? 'complete' : (typed[0] ?? '') === '' ? usual : 'nearest'
    // "10+" is ten whole stitches and what was left of the next one: half a stitch more on average.
    const values = field.kind === 'stitches' ? typed.map((v) => v.replace('+', '')) : typed
    const counted = (value: string, how: typeof counting) => (how === 'complete' && /^\d+$/.test(value.trim()) ? `${value.trim()}+` : value)
    const onChange = (index: number, value: string) => change(index, field.kind === 'stitches' && index === 0 ? counted(value, counting) : value)
    const onKey = (index: number) => (event: KeyboardEvent<HTMLElement>) => {
        if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
            event.preventDefault()
            onChange(index, stepped(values[index] ?? '', event.key === 'ArrowUp' ? 1 : -1, field, index, unit))
        }
    }
    if (field.kind === 'yes-no') return <YesNo field={field} value={values[0] ?? ''} onChange={(v) => onChange(0, v)} onEye={() => onEye(0)} problem={problem} />
    if (field.kind === 'choice') return <Steps field={field} value={values[0] ?? ''} onChange={(v) => onChange(0, v)} onEye={() => onEye(0)} problem={problem} />
    return (
        <fieldset className={`reading ${field.kind}`}>
            <legend>{field.label}{field.hint !== '' && ` (${field.hint})`}</legend>
            <div className="values" data-size={field.size}>
                {Array.from({ length: field.size }, (_, i) => {
                    const name = field.kind === 'stitches' ? (i === 0 ? t('stitches') : t('over {unit}', { unit })) : field.size > 1 ? t('mark {n}', { n: i + 1 }) : ''
                    const bad = problem !== null && (problemAt === null || problemAt === i)
                    return (
                        <label key={i} className={bad ? 'value bad' : 'value'}>
                            {name !== '' && <span>{name}</span>}
                            <span className="box">
                                <input
                                    className="num" data-reading inputMode={field.min < 0 || (unit === 'in' && isLength(field.kind, i)) ? 'text' : 'decimal'} autoComplete="off"
                                    aria-label={name === '' ? field.label : `${field.label}, ${name}`} aria-invalid={bad}
                                    value={values[i] ?? ''} onChange={(e) => onChange(i, e.currentTarget.value)}
                                    onFocus={(e) => { onEye(i); e.currentTarget.select() }} onKeyDown={onKey(i)}
                                />
                                {field.size === 1 && (
                                    <span className="stepper" aria-hidden="true">
                                        <button type="button" tabIndex={-1} onClick={() => onChange(i, stepped(values[i] ?? '', -1, field, i, unit))}>−</button>
                                        <button type="button" tabIndex={-1} onClick={() => onChange(i, stepped(values[i] ?? '', 1, field, i, unit))}>+</button>
                                    </span>
                                )}
                            </span>
                        </label>
                    )
                })}
            </div>
            {field.kind === 'stitches' && (
                <SegmentedControl
                    size="xs" value={counting} aria-label={t('How stitches are counted')}
                    onChange={(how) => { const to = how === 'complete' ? 'complete' : 'nearest'; setUsual(to); if ((values[0] ?? '') !== '') change(0, counted(values[0] ?? '', to)) }}
                    data={[{ value: 'nearest', label: t('to the nearest half') }, { value: 'complete', label: t('only whole ones') }]}
                />
            )}
            {problem !== null && <p className="wrong" role="alert">{problem}</p>}
        </fieldset>
    )
}

function YesNo({ field, value, onChange, onEye, problem }: { field: View['FieldView']; value: string; onChange: (value: string) => void; onEye: () => void; problem: string | null }) {
    const onKey = (event: KeyboardEvent) => {
        const to = { y: '1', '1': '1', n: '0', '0': '0', ArrowLeft: '1', ArrowUp: '1', ArrowRight: '0', ArrowDown: '0' }[event.key]
        if (to === undefined) return
        event.preventDefault()
        event.stopPropagation()
        onChange(to)
    }
    const key = (to: string, word: string) => (
        <span role="radio" aria-checked={value === to} tabIndex={-1} className={value === to ? 'key on' : 'key'} onClick={() => onChange(value === to ? '' : to)}>{word}</span>
    )
    return (
        <div className="reading yes-no">
            <span id={`q-${field.key}`}>{field.label}</span>
            <div role="radiogroup" aria-labelledby={`q-${field.key}`} tabIndex={0} data-reading className="keys" onKeyDown={onKey} onFocus={onEye}>
                {key('1', t('yes'))}
                {key('0', t('no'))}
            </div>
            {problem !== null && <p className="wrong" role="alert">{problem}</p>}
        </div>
    )
}

/** Described steps, best first: the number keys or the arrows choose. */
function Steps({ field, value, onChange, onEye, problem }: { field: View['FieldView']; value: string; onChange: (value: string) => void; onEye: () => void; problem: string | null }) {
    const onKey = (event: KeyboardEvent) => {
        const last = field.options.length - 1
        const now = value === '' ? -1 : Number(value)
        const to = event.key === 'ArrowDown' || event.key === 'ArrowRight' ? Math.min(last, now + 1) : event.key === 'ArrowUp' || event.key === 'ArrowLeft' ? Math.max(0, now - 1) : /^[1-9]$/.test(event.key) && Number(event.key) <= last + 1 ? Number(event.key) - 1 : null
        if (to === null) return
        event.preventDefault()
        event.stopPropagation()
        onChange(String(to))
    }
    return (
        <div className="reading steps">
            <span id={`q-${field.key}`}>{field.label}</span>
            <div role="radiogroup" aria-labelledby={`q-${field.key}`} tabIndex={0} data-reading className="step-keys" onKeyDown={onKey} onFocus={onEye}>
                {field.options.map((option, i) => (
                    <span key={option} role="radio" aria-checked={value === String(i)} tabIndex={-1} className={value === String(i) ? 'key on' : 'key'} onClick={() => onChange(value === String(i) ? '' : String(i))}><span aria-hidden="true">{i + 1}</span> {option}</span>
                ))}
            </div>
            {problem !== null && <p className="wrong" role="alert">{problem}</p>}
        </div>
    )
}
