import { NumberInput } from '@mantine/core'

interface Props {
    label: string
    value: number
    min: number
    max: number
    step?: number
    wrong?: string | undefined
    suffix?: string
    /** What it is for, in a line. */
    hint?: string
    onChange: (value: number) => void
}

/** A whole number with steppers. */
export function Whole({ label, value, min, max, step = 1, wrong, suffix, hint, onChange }: Props) {
    return (
        <NumberInput
            label={label}
            min={min}
            max={max}
            step={step}
            allowDecimal={false}
            value={value}
            error={wrong}
            description={hint}
            {...(suffix === undefined ? {} : { suffix })}
            onChange={(v) => onChange(Number(v))}
        />
    )
}

/** Names of the weekdays in the reader's language, Monday first. */
export function weekdays(): string[] {
    return [1, 2, 3, 4, 5, 6, 7].map((d) => new Date(Date.UTC(2024, 0, d)).toLocaleDateString(undefined, { weekday: 'short', timeZone: 'UTC' }))
}
