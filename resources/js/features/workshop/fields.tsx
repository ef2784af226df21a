import { useId, type ReactNode } from 'react'
import type { View } from '../../api/client'
import { t } from '../../app/text'

interface NumberProps {
    label: string
    value: string
    min: number
    max: number
    step: number
    onChange: (value: string) => void
    unit?: string
    slider?: boolean
}

/** A number to type or to slide; what is typed stays as typed. */
export function NumberField({ label, value, min, max, step, onChange, unit = 'mm', slider = true }: NumberProps) {
    const id = useId()
    const number = toNumber(value)
    const move = (by: number) => onChange(String(Math.round(Math.min(max, Math.max(min, (number ?? min) + by)) * 1000) / 1000))
    return (
        <div className="number-field">
            <label htmlFor={id}>{label}{unit !== '' && <small> {unit}</small>}</label>
            <div className="number-row">
                <input
                    id={id} className="num" inputMode="decimal" value={value} maxLength={12} onChange={(e) => onChange(e.currentTarget.value)}
                    onKeyDown={(e) => {
                        if (e.key !== 'ArrowUp' && e.key !== 'ArrowDown') return
                        e.preventDefault()
                        move(e.key === 'ArrowUp' ? step : -step)
                    }}
                />
                <button type="button" tabIndex={-1} aria-label={t('{label} less', { label })} onClick={() => move(-step)}>−</button>
                <button type="button" tabIndex={-1} aria-label={t('{label} more', { label })} onClick={() => move(step)}>+</button>
            </div>
            {slider && <input type="range" aria-label={t('{label}, slide', { label })} min={min} max={max} step={step} value={number ?? min} onChange={(e) => onChange(e.currentTarget.value)} />}
        </div>
    )
}

/** Comma or point; null while it is no number. */
export function toNumber(typed: string): number | null {
    const text = typed.trim().replace(',', '.').replace('−', '-')
    return text !== '' && Number.isFinite(Number(text)) ? Number(text) : null
}

interface ChoiceProps {
    label: string
    value: string
    options: { id: string; title: string }[]
    onChange: (id: string) => void
}

export function Choice({ label, value, options, onChange }: ChoiceProps) {
    return (
        <label className="choice">
            {label}
            <select value={value} onChange={(e) => onChange(e.currentTarget.value)}>
                {options.map((o) => <option key={o.id} value={o.id}>{o.title}</option>)}
            </select>
        </label>
    )
}

export function machineOptions(room: View['RoomView']) {
    return room.machines.map((m) => ({ id: m.machine.id, title: m.machine.name }))
}

export function Empty({ children }: { children: ReactNode }) {
    return <p className="empty">{children}</p>
}

/** Shown numbers: two decimals at most, with a real minus. */
export function mm(value: number, digits = 2): string {
    return String(Math.round(value * 10 ** digits) / 10 ** digits).replace('-', '−')
}
