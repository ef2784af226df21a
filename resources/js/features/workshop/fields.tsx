import { NativeSelect } from '@mantine/core'
import type { ReactNode } from 'react'
import type { View } from '../../api/client'

interface ChoiceProps<Id extends string> {
    label: string
    value: NoInfer<Id>
    options: readonly { id: Id; title: string }[]
    onChange: (id: Id) => void
}

export function Choice<Id extends string>({ label, value, options, onChange }: ChoiceProps<Id>) {
    return (
        <NativeSelect label={label} className="choice" value={value} onChange={(e) => onChange(e.currentTarget.value as Id)}>
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
