import { Slider } from '@mantine/core'
import { toNumber } from '../text/numbers'
import { t } from '../text/words'
import { StepField } from './StepField'

interface Props {
    label: string
    value: string
    min: number
    max: number
    step: number
    onChange: (value: string) => void
    unit?: string
    slider?: boolean
}

/** A number of a tool, to type, to step or to slide; what is typed stays as typed. */
export function NumberField({ label, value, min, max, step, onChange, unit = 'mm', slider = true }: Props) {
    const number = toNumber(value)
    const move = (by: number) => onChange(String(Math.round(Math.min(max, Math.max(min, (number ?? min) + by)) * 1000) / 1000))
    return (
        <div className="number-field">
            <StepField
                keys
                figures="tool"
                name={label}
                label={
                    <>
                        {label}
                        {unit !== '' && <small> {unit}</small>}
                    </>
                }
                maxLength={12}
                value={value}
                onChange={(e) => onChange(e.currentTarget.value)}
                onStep={(up) => move(up * step)}
            />
            {slider && (
                <Slider
                    thumbLabel={t('common.slide', { label })}
                    label={null}
                    min={min}
                    max={max}
                    step={step}
                    value={Math.min(max, Math.max(min, number ?? min))}
                    onChange={(v) => onChange(String(Math.round(v * 1000) / 1000))}
                />
            )}
        </div>
    )
}
