import { Checkbox } from '@mantine/core'
import { useState } from 'react'
import { bare, readLength, type Unit } from '../../../text/lengths'
import { stepNumber, toNumber } from '../../../text/numbers'
import { t, type Key } from '../../../text/words'
import { LengthField } from '../../../ui/LengthField'
import { StepField } from '../../../ui/StepField'

export const titled = <Id extends string>(words: Readonly<Record<Id, Key>>) => (Object.keys(words) as Id[]).map((id) => ({ id, title: t(words[id]) }))

interface OfLength {
    label: string
    unit: Unit
    mm: number | null | undefined
    onChange: (mm: number | null) => void
    step?: number
    hint?: string
}

/** A length of the job: stays as it was typed, and is kept in mm where it can be read. */
export function JobLength({ mm, unit, onChange, ...rest }: OfLength) {
    const of = mm ?? null
    const [typed, setTyped] = useState(of === null ? '' : bare(of, unit))
    const [known, setKnown] = useState(of)
    // It was set from elsewhere meanwhile.
    if (known !== of) {
        setKnown(of)
        if (readLength(typed, unit) !== of) setTyped(of === null ? '' : bare(of, unit))
    }
    const write = (value: string) => {
        setTyped(value)
        onChange(value.trim() === '' ? null : readLength(value, unit))
    }
    return <LengthField {...rest} unit={unit} value={typed} onChange={write} />
}

interface OfCount {
    label: string
    value: number | null | undefined
    min: number
    max: number
    onChange: (value: number) => void
}

/** How many of something. */
export function JobCount({ label, value, min, max, onChange }: OfCount) {
    return (
        <StepField
            name={label}
            label={label}
            keys
            figures="tool"
            maxLength={3}
            value={value === null || value === undefined ? '' : String(value)}
            onChange={(e) => onChange(Math.round(Math.min(max, Math.max(0, toNumber(e.currentTarget.value) ?? min))))}
            onStep={(up) => onChange(stepNumber(String(value ?? min), up, 1, min, max))}
        />
    )
}

export function JobCheck({ label, value, onChange }: { label: string; value: boolean | null | undefined; onChange: (value: boolean) => void }) {
    return <Checkbox label={label} checked={value === true} onChange={(e) => onChange(e.currentTarget.checked)} />
}
