import { useState } from 'react'
import { useUnit } from '../../../api/queries'
import { bare as inUnit, readLength } from '../../../text/lengths'
import { toNumber } from '../../../text/numbers'
import { t } from '../../../text/words'
import { StepField } from '../../../ui/StepField'
import { cx } from '../dress'

interface Props {
    label: string
    value: number | undefined
    onChange: (value: number) => void
    step?: number
    /** "length": in the reader's own unit; "fine": the same, finer than a ruler is read; else what stands behind the number. */
    unit?: string
    /** Only the field; the label is for those who do not see it. */
    bare?: boolean
}

const MM_IN = 25.4
const SIXTEENTH_MM = MM_IN / 16
const FINE_STEP_MM = MM_IN / 200
/** Typed with its own unit: "5/8 in" for who measures in mm, "16 mm" for who does in inches. */
const WITH_UNIT = /^(.*?)\s*(mm|in|inch|inches|"|″)$/i

/** What is typed, in mm. */
function read(typed: string, reader: 'mm' | 'in'): number | null {
    const own = WITH_UNIT.exec(typed.trim())
    const value = own === null ? readLength(typed, reader) : readLength(own[1] ?? '', own[2]?.toLowerCase() === 'mm' ? 'mm' : 'in')
    // A fraction is inches, whoever types it.
    return value ?? (typed.includes('/') ? readLength(typed, 'in') : null)
}

/** A number of the draft: comma or point, ↑ and ↓ by a step; a length in the reader's unit, or with its own behind it: "5/8 in". */
export function Num({ label, value, onChange, step = 0.5, unit = 'length', bare = false }: Props) {
    const reader = useUnit()
    const [typed, setTyped] = useState<string | null>(null)
    const isLength = unit === 'length' || unit === 'fine'
    // Thousandths of an inch: a sixteenth would swallow most of what is allowed.
    const inInches = (mm: number) => (unit === 'fine' ? String(Number((mm / MM_IN).toFixed(3))) : inUnit(mm, 'in'))
    const of = (text: string) => (isLength ? read(text, reader) : toNumber(text))
    const settle = (text: string | null) => {
        const number = text === null ? null : of(text)
        if (number !== null) onChange(Math.round(number * 1000) / 1000)
        if (number !== null || text?.trim() === '') setTyped(null)
    }
    const move = (up: number) => {
        setTyped(null)
        const by = isLength && reader === 'in' ? (unit === 'fine' ? FINE_STEP_MM : SIXTEENTH_MM) : step
        onChange(Math.round(((value ?? 0) + up * by) * 1000) / 1000)
    }
    const wrong = typed !== null && of(typed) === null && typed.trim() !== ''
    const says = isLength ? reader : unit
    const shown = (
        <>
            {label}
            {says !== '' && <small> {says}</small>}
        </>
    )
    const plain = value === undefined ? '' : isLength && reader === 'in' ? inInches(value) : String(value)
    return (
        <StepField
            name={label}
            className={cx(bare ? 'num-field bare' : 'num-field')}
            {...(bare ? { 'aria-label': label } : { label: shown })}
            inputMode={isLength && reader === 'in' ? 'text' : 'decimal'}
            maxLength={12}
            error={wrong}
            title={wrong ? t('samplers.aNumberOrInchesSuch') : undefined}
            value={typed ?? plain}
            onChange={(e) => {
                const text = e.currentTarget.value
                setTyped(text)
                // "16" on the way to "16 mm" is taken as it stands; what it means in the end is settled when the field is left.
                const number = of(text)
                if (number !== null) onChange(Math.round(number * 1000) / 1000)
            }}
            onBlur={() => settle(typed)}
            onKeyDown={(e) => {
                if (e.key === 'Enter') settle(typed)
            }}
            onStep={move}
        />
    )
}
