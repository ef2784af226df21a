import { bare, readLength, type Unit } from '../text/lengths'
import { stepSixteenths } from '../text/numbers'
import { t } from '../text/words'
import { StepField } from './StepField'

interface Props {
    label: string
    unit: Unit
    /** As typed, in that unit. */
    value: string
    onChange: (value: string) => void
    /** [mm] One step up or down for who measures in mm; sixteenths in inches. */
    step?: number
    hint?: string
}

/** A length by ruler: typed or stepped in the reader's own unit. */
export function LengthField({ label, unit, value, onChange, step = 0.5, hint }: Props) {
    const up = (by: number) => onChange(unit === 'in' ? stepSixteenths(value, by, false) : bare(Math.max(0, (readLength(value, unit) ?? 0) + by * step), 'mm'))
    return (
        <StepField
            keys
            figures="tool"
            // A phone’s number keys have no slash.
            inputMode={unit === 'in' ? 'text' : 'decimal'}
            name={label}
            label={
                <>
                    {label} <small>{unit}</small>
                </>
            }
            description={hint}
            error={value.trim() !== '' && readLength(value, unit) === null ? (unit === 'in' ? t('common.typeInches') : t('common.typeMm')) : undefined}
            maxLength={12}
            value={value}
            onChange={(e) => onChange(e.currentTarget.value)}
            onStep={up}
        />
    )
}
