import { SegmentedControl, UnstyledButton, type TextInputProps } from '@mantine/core'
import { useLocalStorage } from '@mantine/hooks'
import { useEffect, useRef, useState, type KeyboardEvent } from 'react'
import type { View } from '../api/client'
import { stepNumber, stepSixteenths, toNumber } from '../text/numbers'
import { t } from '../text/words'
import { cx } from './dress'
import { StepField } from './StepField'

interface Props {
    field: View['FieldView']
    unit: 'mm' | 'in'
    values: string[]
    problem: string | null
    /** Which of its values is wrong, if any. */
    problemAt: number | null
    onChange: (index: number, value: string) => void
    onEye: (index: number) => void
    /** Answered by a key: whoever holds the form goes on. */
    onAnswered?: () => void
}

/** Steps a typed value by the reading's own resolution: half a millimetre, one stitch, a sixteenth of an inch. */
function stepped(typed: string, up: number, of: View['FieldValueView'], unit: 'mm' | 'in'): string {
    if (of.length && unit === 'in') return stepSixteenths(typed, up, of.min < 0)
    const next = stepNumber(typed, up, of.step, of.min, of.max)
    return of.length ? next.toFixed(1) : String(next)
}

/** A value that says how sure it is, from a picture or read by eye, stands with that beneath it, and whole while it is in hand. */
function shown(value: string, inHand: boolean, unit: 'mm' | 'in'): Pick<TextInputProps, 'value' | 'description' | 'inputWrapperOrder'> {
    const measured = inHand ? null : /^\s*([\d.,]+)\s*±\s*([\d.,]+)\s*$/.exec(value)
    const [number, sure] = [toNumber(measured?.[1] ?? ''), toNumber(measured?.[2] ?? '')]
    if (number === null || sure === null) return { value }
    const places = unit === 'mm' ? 1 : 2
    return { value: number.toFixed(places), description: `±${measured?.[2] ?? ''}`, inputWrapperOrder: ['label', 'input', 'description', 'error'] }
}

/** One reading: large fields for the ruler's numbers, two big keys for yes and no. */
export function ReadingField({ field, unit, values: typed, problem, problemAt, onChange: change, onEye, onAnswered }: Props) {
    const [usual, setUsual] = useLocalStorage<'nearest' | 'complete'>({ key: 'seam-counting', defaultValue: 'nearest' })
    const [inHand, setInHand] = useState<number | null>(null)
    // How this one was counted; what is not typed yet will be counted as the last one was.
    const counting = typed[0]?.endsWith('+') === true ? 'complete' : (typed[0] ?? '') === '' ? usual : 'nearest'
    // "10+" is ten whole stitches and what was left of the next one: half a stitch more on average.
    const values = field.kind === 'stitches' ? typed.map((v) => v.replace('+', '')) : typed
    const counted = (value: string, how: typeof counting) => (how === 'complete' && /^\d+$/.test(value.trim()) ? `${value.trim()}+` : value)
    const onChange = (index: number, value: string) => change(index, field.kind === 'stitches' && index === 0 ? counted(value, counting) : value)
    if (field.kind === 'yes-no')
        return <YesNo field={field} value={values[0] ?? ''} onChange={(v) => onChange(0, v)} onEye={() => onEye(0)} onAnswered={onAnswered} problem={problem} />
    if (field.kind === 'choice')
        return <Steps field={field} value={values[0] ?? ''} onChange={(v) => onChange(0, v)} onEye={() => onEye(0)} problem={problem} />
    return (
        <fieldset className={cx(`reading ${field.kind}`)}>
            <legend>
                {field.label}
                {field.hint !== '' && ` (${field.hint})`}
            </legend>
            <div className={cx('values')} data-size={field.size}>
                {field.values.map((of, i) => {
                    const name =
                        field.kind === 'stitches'
                            ? i === 0
                                ? t('look.stitches')
                                : t('look.over', { unit })
                            : field.size > 1
                              ? t('look.mark', { n: i + 1 })
                              : ''
                    const bad = problem !== null && (problemAt === null || problemAt === i)
                    return (
                        <StepField
                            key={i}
                            label={name === '' ? undefined : name}
                            name={field.label}
                            keys={field.size === 1}
                            figures="reading"
                            className="value"
                            data-reading
                            inputMode={of.min < 0 || (unit === 'in' && of.length) ? 'text' : 'decimal'}
                            aria-label={name === '' ? field.label : `${field.label}, ${name}`}
                            error={bad}
                            {...shown(values[i] ?? '', inHand === i, unit)}
                            onChange={(e) => onChange(i, e.currentTarget.value)}
                            onFocus={(e) => {
                                onEye(i)
                                setInHand(i)
                                // All of it, once it stands there whole: what is typed takes its place, also after a click.
                                const field = e.currentTarget
                                field.select()
                                requestAnimationFrame(() => {
                                    if (document.activeElement === field) field.select()
                                })
                            }}
                            onBlur={() => setInHand(null)}
                            onStep={(up) => onChange(i, stepped(values[i] ?? '', up, of, unit))}
                        />
                    )
                })}
            </div>
            {field.kind === 'stitches' && (
                <SegmentedControl
                    size="xs"
                    value={counting}
                    aria-label={t('look.howStitchesAreCounted')}
                    onChange={(how) => {
                        const to = how === 'complete' ? 'complete' : 'nearest'
                        setUsual(to)
                        if ((values[0] ?? '') !== '') change(0, counted(values[0] ?? '', to))
                    }}
                    data={[
                        { value: 'nearest', label: t('look.toTheNearestHalf') },
                        { value: 'complete', label: t('look.onlyWholeOnes') },
                    ]}
                />
            )}
            {problem !== null && (
                <p className={cx('wrong')} role="alert">
                    {problem}
                </p>
            )}
        </fieldset>
    )
}

/** One stop for Tab in a group of answers: the one that is given, else the first. What is chosen by key has the focus. */
function useRadios(value: string) {
    const ref = useRef<HTMLDivElement>(null)
    useEffect(() => {
        if (ref.current?.contains(document.activeElement) === true) ref.current.querySelector<HTMLElement>('[data-reading]')?.focus()
    }, [value])
    return ref
}

/** Where Tab stops. */
const stop = (here: boolean) => (here ? { tabIndex: 0, 'data-reading': true } : { tabIndex: -1 })

function YesNo({
    field,
    value,
    onChange,
    onEye,
    onAnswered,
    problem,
}: {
    field: View['FieldView']
    value: string
    onChange: (value: string) => void
    onEye: () => void
    onAnswered: (() => void) | undefined
    problem: string | null
}) {
    const onKey = (event: KeyboardEvent) => {
        if (event.ctrlKey || event.metaKey || event.altKey) return
        // Enter goes on, as on every field; it does not press what has the focus.
        if (event.key === 'Enter') event.preventDefault()
        const to = { y: '1', '1': '1', n: '0', '0': '0', ArrowLeft: '1', ArrowUp: '1', ArrowRight: '0', ArrowDown: '0', Backspace: '', Delete: '' }[event.key]
        if (to === undefined) return
        event.preventDefault()
        event.stopPropagation()
        onChange(to)
        // A letter or a number is an answer; the arrows go to and fro, and what is rubbed out is not answered yet.
        if (/^[yn01]$/.test(event.key)) onAnswered?.()
    }
    const group = useRadios(value)
    const key = (to: string, word: string, first: boolean) => (
        <UnstyledButton
            role="radio"
            aria-checked={value === to}
            {...stop(value === to || (value === '' && first))}
            className={cx(value === to ? 'key on' : 'key')}
            onFocus={onEye}
            onClick={() => onChange(value === to ? '' : to)}>
            {word}
        </UnstyledButton>
    )
    return (
        <div className={cx('reading yes-no')}>
            <span id={`q-${field.key}`}>{field.label}</span>
            <div ref={group} role="radiogroup" aria-labelledby={`q-${field.key}`} className={cx('keys')} onKeyDown={onKey}>
                {key('1', t('look.yes'), true)}
                {key('0', t('look.no'), false)}
            </div>
            {problem !== null && (
                <p className={cx('wrong')} role="alert">
                    {problem}
                </p>
            )}
        </div>
    )
}

/** Described steps, best first: the number keys or the arrows choose. */
function Steps({
    field,
    value,
    onChange,
    onEye,
    problem,
}: {
    field: View['FieldView']
    value: string
    onChange: (value: string) => void
    onEye: () => void
    problem: string | null
}) {
    const onKey = (event: KeyboardEvent) => {
        const last = field.options.length - 1
        const now = value === '' ? -1 : Number(value)
        const to =
            event.key === 'ArrowDown' || event.key === 'ArrowRight'
                ? Math.min(last, now + 1)
                : event.key === 'ArrowUp' || event.key === 'ArrowLeft'
                  ? Math.max(0, now - 1)
                  : /^[1-9]$/.test(event.key) && Number(event.key) <= last + 1
                    ? Number(event.key) - 1
                    : null
        if (to === null) return
        event.preventDefault()
        event.stopPropagation()
        onChange(String(to))
    }
    const group = useRadios(value)
    return (
        <div className={cx('reading steps')}>
            <span id={`q-${field.key}`}>{field.label}</span>
            <div ref={group} role="radiogroup" aria-labelledby={`q-${field.key}`} className={cx('step-keys')} onKeyDown={onKey}>
                {field.options.map((option, i) => (
                    <UnstyledButton
                        key={option}
                        role="radio"
                        aria-checked={value === String(i)}
                        {...stop(value === String(i) || (value === '' && i === 0))}
                        onFocus={onEye}
                        className={cx(value === String(i) ? 'key on' : 'key')}
                        onClick={() => onChange(value === String(i) ? '' : String(i))}>
                        <span aria-hidden="true">{i + 1}</span> {option}
                    </UnstyledButton>
                ))}
            </div>
            {problem !== null && (
                <p className={cx('wrong')} role="alert">
                    {problem}
                </p>
            )}
        </div>
    )
}
