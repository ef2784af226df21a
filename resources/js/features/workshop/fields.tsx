import { NativeSelect } from '@mantine/core'
import type { ReactNode } from 'react'
import type { View } from '../../api/client'

interface ChoiceProps {
    label: string
    value: string
    options: { id: string; title: string }[]
    onChange: (id: string) => void
}

export function Choice({ label, value, options, onChange }: ChoiceProps) {
    return (
        <NativeSelect label={label} className="choice" value={value} onChange={(e) => onChange(e.currentTarget.value)}>
            {options.map((o) => (
                <option key={o.id} value={o.id}>
                    {o.title}
                </option>
            ))}
        </NativeSelect>
    )
}

export function machineOptions(room: View['RoomView']) {
    return room.machines.map((m) => ({ id: m.machine.id, title: m.machine.name }))
}

export function Empty({ children }: { children: ReactNode }) {
    return <p className="empty">{children}</p>
}
