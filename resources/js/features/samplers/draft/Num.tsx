import { useState } from 'react'
import { api, ask } from '../../../api/client'
import { toNumber } from '../../../text/numbers'
import { t } from '../../../text/words'
import { StepField } from '../../../ui/StepField'
import { cx } from '../dress'

interface Props {
    label: string
    value: number | undefined
    onChange: (value: number) => void
    step?: number
    unit?: string
    /** Only the field; the label is for those who do not see it. */
    bare?: boolean
}

/** A number of the draft: comma or point, ↑ and ↓ by a step; a length also as inches, "5/8". */
export function Num({ label, value, onChange, step = 0.5, unit = 'mm', bare = false }: Props) {
    const [typed, setTyped] = useState<string | null>(null)
    const write = (text: string) => {
        setTyped(text)
        const number = toNumber(text)
        if (number !== null) onChange(number)
    }
    const settle = async () => {
        const text = typed
        if (text === null) return
        if (toNumber(text) === null && text.trim() !== '' && unit === 'mm') {
            try {
                const { mm } = await ask(api.POST('/api/compute/convert-length', { body: { value: text.replace(/ *(in|inch|")$/, ''), unit: 'in' } }))
                onChange(Math.round(mm * 1000) / 1000)
            } catch {
                return
            }
        }
        setTyped(null)
    }
    const move = (by: number) => {
        setTyped(null)
        onChange(Math.round(((value ?? 0) + by) * 1000) / 1000)
    }
    const wrong = typed !== null && toNumber(typed) === null && typed.trim() !== ''
    const shown = (
        <>
            {label}
            {unit !== '' && <small> {unit}</small>}
        </>
    )
    return (
        <StepField
            name={label}
            className={cx(bare ? 'num-field bare' : 'num-field')}
            {...(bare ? { 'aria-label': label } : { label: shown })}
            maxLength={12}
            error={wrong}
            title={wrong ? t('samplers.aNumberOrInchesSuch') : undefined}
            value={typed ?? (value === undefined ? '' : String(value))}
            onChange={(e) => write(e.currentTarget.value)}
            onBlur={() => void settle()}
            onKeyDown={(e) => {
                if (e.key === 'Enter') void settle()
            }}
            onStep={(up) => move(up * step)}
        />
    )
}
